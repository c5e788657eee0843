package ungula.server.job;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Dipstick;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;

/** Jobs: the shelf's entries and what is decided about each. */
@RestController
@RequestMapping("/api/jobs")
class JobController {

  private final Jobs jobs;
  private final JobViews views;

  JobController(Jobs jobs, JobViews views) {
    this.jobs = jobs;
    this.views = views;
  }

  /**
   * @param name of a new job, or a new name
   */
  record JobName(@Nullable String name) {}

  /**
   * @param version the edits were made on
   */
  record JobEdits(int version, List<Edit> edits) {}

  /** Which job came of it. */
  record JobId(String id) {}

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  JobId addJob(@RequestBody JobName body) {
    boolean named = body.name() != null && !body.name().isBlank();
    return new JobId(jobs.addFresh(named ? body.name() : "New job"));
  }

  @GetMapping("/{id}")
  JobResponse job(@PathVariable String id) {
    return views.view(jobs.find(id));
  }

  @PostMapping("/{id}/edits")
  JobResponse editJob(@PathVariable String id, @RequestBody JobEdits body) {
    return views.view(jobs.edit(id, body.version(), body.edits()));
  }

  /** Back one step (by = −1), or forward again (by = 1). */
  @PostMapping("/{id}/steps")
  JobResponse stepJob(@PathVariable String id, @RequestParam int version, @RequestParam int by) {
    return views.view(jobs.step(id, version, by < 0 ? -1 : 1));
  }

  /** A stage was looked at: its "look again" is settled. No part of the job's history. */
  @PostMapping("/{id}/looked/{stage}")
  JobResponse lookJob(@PathVariable String id, @PathVariable String stage) {
    jobs.look(id, stage);
    return views.view(jobs.find(id));
  }

  @PostMapping("/{id}/name")
  JobResponse renameJob(@PathVariable String id, @RequestBody JobName body) {
    jobs.rename(id, body.name());
    return views.view(jobs.find(id));
  }

  @PostMapping("/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  JobId copyJob(@PathVariable String id) {
    return new JobId(jobs.copy(id));
  }

  @PostMapping("/{id}/archived")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void archiveJob(@PathVariable String id, @RequestParam boolean archived) {
    jobs.archive(id, archived);
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteJob(@PathVariable String id) {
    jobs.delete(id, true);
  }

  /** Undoes a deletion. */
  @PostMapping("/{id}/restored")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restoreJob(@PathVariable String id) {
    jobs.delete(id, false);
  }

  /** What can be dragged along the dipstick. */
  enum DipstickMark {
    LINE,
    PARTING
  }

  /** What the dipstick would read with a mark dragged to a height: nothing is saved. */
  @GetMapping("/{id}/dipstick")
  Dipstick.Reading dipstick(
      @PathVariable String id, @RequestParam DipstickMark mark, @RequestParam double at) {
    Job job = jobs.find(id);
    BoxMould box = job.box();
    Units units = job.choices().units();
    double height =
        mark == DipstickMark.LINE
            ? Dipstick.snapped(box, at, units)
            : Dipstick.snappedParting(box, at, units);
    double share = job.plan().plan().firstMouldShare();
    return Dipstick.at(box, height, share, JobViews.density(job), units);
  }
}
