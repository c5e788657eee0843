package ungula.server.run;

import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import ungula.core.mould.SectionDrawing;
import ungula.server.job.Jobs;

/** Moulds as they are made at the bench. */
@RestController
@RequestMapping("/api")
class RunController {

  private final Runs runs;
  private final RunViews views;
  private final RunLive live;
  private final Jobs jobs;

  RunController(Runs runs, RunViews views, RunLive live, Jobs jobs) {
    this.runs = runs;
    this.views = views;
    this.live = live;
    this.jobs = jobs;
  }

  /**
   * @param name of the job
   * @param ended null while it runs
   * @param entries written down in it
   * @param presses what is to be done next, or by when; only of those that go on
   */
  record RunListed(
      String id,
      String job,
      String name,
      String begun,
      @Nullable String ended,
      int entries,
      String presses) {}

  private RunListed listed(RunMapper.Listed r, String presses) {
    return new RunListed(
        r.id(),
        r.jobId(),
        r.job(),
        views.day(r.begun()),
        r.ended() == null ? null : views.day(r.ended()),
        r.entries(),
        presses);
  }

  /** Runs that are not ended. */
  @GetMapping("/runs")
  List<RunListed> goingRuns() {
    return runs.going().stream().map(r -> listed(r, views.presses(r.id()))).toList();
  }

  /** All runs of a job, the newest first. */
  @GetMapping("/jobs/{job}/runs")
  List<RunListed> runsOf(@PathVariable String job) {
    return runs.of(job).stream().map(r -> listed(r, "")).toList();
  }

  /** Begins one by the job's plan as it is, which is frozen for it. */
  @PostMapping("/jobs/{job}/runs")
  RunResponse beginRun(@PathVariable String job) {
    return run(runs.begin(job));
  }

  @GetMapping("/runs/{id}")
  RunResponse run(@PathVariable String id) {
    return views.view(id, jobs.name(runs.find(id).jobId));
  }

  /** The mould it makes, cut from front to back. */
  @GetMapping("/runs/{id}/section")
  SectionDrawing sectionOfRun(@PathVariable String id) {
    return runs.drawing(id);
  }

  @PostMapping("/runs/{id}/acts")
  RunResponse act(@PathVariable String id, @RequestBody Act body) {
    runs.act(id, body);
    return run(id);
  }

  /** Ends a run, or takes it up again. */
  @PostMapping("/runs/{id}/ended")
  RunResponse endRun(@PathVariable String id, @RequestParam boolean ended) {
    runs.end(id, ended);
    return run(id);
  }

  /** What changes, as it does: messages of {@link RunResponse.Live}. */
  @GetMapping(value = "/runs/{id}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter liveRun(@PathVariable String id) {
    return live.open(id);
  }

  /** The same once. */
  @GetMapping("/runs/{id}/now")
  RunResponse.Live nowOfRun(@PathVariable String id) {
    return views.live(id);
  }

  /** A JPEG taken at a step, as it was kept. */
  @GetMapping(value = "/runs/{id}/pictures/{picture}", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> runPicture(@PathVariable String id, @PathVariable String picture) {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)))
        .body(runs.picture(id, picture));
  }

  /**
   * Keeps a picture of a step: JPEG, PNG or WebP.
   *
   * @param who takes it
   */
  @PostMapping(value = "/runs/{id}/pictures", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  RunResponse addRunPicture(
      @PathVariable String id,
      @RequestParam String step,
      @RequestParam String who,
      @RequestBody byte[] file) {
    runs.picture(id, step, who, StepPicture.jpeg(file));
    return run(id);
  }
}
