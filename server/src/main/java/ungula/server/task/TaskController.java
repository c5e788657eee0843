package ungula.server.task;

import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.server.task.Tasks.TaskView;

@RestController
@RequestMapping("/api/tasks")
class TaskController {

  private final Tasks tasks;

  TaskController(Tasks tasks) {
    this.tasks = tasks;
  }

  @GetMapping("/{id}")
  TaskView task(@PathVariable String id) {
    return tasks.find(id);
  }

  @DeleteMapping("/{id}")
  TaskView cancelTask(@PathVariable String id) {
    tasks.cancel(id);
    return tasks.find(id);
  }
}
