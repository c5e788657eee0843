package ungula.server.days;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.quantity.UnreadableQuantity;
import ungula.server.days.BenchResponse.AlarmsResponse;
import ungula.server.days.BenchResponse.Between;
import ungula.server.job.JobLists;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** The days of the workshop: all jobs on one bench. */
@RestController
@RequestMapping("/api/days")
class BenchController {

  private final JobLists lists;
  private final Habits workshop;

  BenchController(JobLists lists, Habits workshop) {
    this.lists = lists;
    this.workshop = workshop;
  }

  /**
   * @param jobs by id, first the one that is done first
   */
  record JobOrder(List<String> jobs) {}

  @GetMapping
  BenchResponse bench() {
    return new BenchDays(lists, workshop).view();
  }

  /** Which job comes first where two want the same hands. */
  @PostMapping("/order")
  BenchResponse orderBench(@RequestBody JobOrder body) {
    lists.order(body.jobs());
    return bench();
  }

  /** When waits end, from a little before now to two days after. */
  @GetMapping("/alarms")
  AlarmsResponse alarms() {
    return new BenchDays(lists, workshop).alarms();
  }

  /**
   * What can be done between two times.
   *
   * @param from such as "14:00" or "tomorrow 9:00"
   * @param to such as "16:00"
   */
  @GetMapping("/between")
  Between between(@RequestParam String from, @RequestParam String to) {
    try {
      return new BenchDays(lists, workshop).between(from, to);
    } catch (UnreadableQuantity e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not a time", e.getMessage());
    }
  }
}
