package ungula.server.run;

import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
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
import ungula.core.device.DeviceKind;
import ungula.core.mould.SectionDrawing;
import ungula.core.run.Score;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/** Moulds as they are made at the bench. */
@RestController
@RequestMapping("/api")
class RunController {

  private static final double MOST_SPEED = 1000;

  private final Runs runs;
  private final RunActs acts;
  private final Rehearsals rehearsals;
  private final RunViews views;
  private final RunLive live;
  private final RunPlans plans;
  private final RunLots lots;
  private final Jobs jobs;

  RunController(
      Runs runs,
      RunActs acts,
      Rehearsals rehearsals,
      RunViews views,
      RunLive live,
      RunPlans plans,
      RunLots lots,
      Jobs jobs) {
    this.runs = runs;
    this.acts = acts;
    this.rehearsals = rehearsals;
    this.views = views;
    this.live = live;
    this.plans = plans;
    this.lots = lots;
    this.jobs = jobs;
  }

  /**
   * @param name of the job
   * @param ended null while it runs
   * @param moulds that are cast from; empty where one is made
   * @param presses what is to be done next, or by when; only of those that go on
   */
  record RunListed(
      String id,
      String job,
      String name,
      String begun,
      @Nullable String ended,
      List<Integer> moulds,
      String presses) {}

  private RunListed listed(RunMapper.Listed r, String presses) {
    return new RunListed(
        r.id(),
        r.jobId(),
        r.job(),
        views.day(r.begun()),
        r.ended() == null ? null : views.day(r.ended()),
        Freezing.moulds(r.moulds()),
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
    return run(runs.begin(job, List.of()));
  }

  /**
   * Begins a cast, or several of one mix.
   *
   * @param moulds that are filled, such as 1,2
   */
  @PostMapping("/jobs/{job}/casts/runs")
  RunResponse beginCast(@PathVariable String job, @RequestParam String moulds) {
    List<Integer> numbers = Freezing.moulds(moulds);
    if (numbers.isEmpty()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "Which moulds?", "Say which mould is filled.");
    }
    return run(runs.begin(job, numbers));
  }

  /** Begins a rehearsal of it, by the same plan and the same rules; nothing of it is kept. */
  @PostMapping("/jobs/{job}/rehearsals")
  RunResponse rehearseRun(@PathVariable String job) {
    return run(rehearsals.begin(job));
  }

  /**
   * How fast the clock of a rehearsal runs.
   *
   * @param times as fast as a clock; 1 to 1000
   */
  @PostMapping("/runs/{id}/speed")
  RunResponse hurryRun(@PathVariable String id, @RequestParam double times) {
    if (!(times >= 1 && times <= MOST_SPEED)) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Not a speed",
          "The clock of a rehearsal runs 1 to 1000 times as fast as a clock.");
    }
    rehearsals.find(id).clock.run(times);
    return run(id);
  }

  /**
   * What a hand does to a stand-in of a rehearsal.
   *
   * @param deed such as "put 45"
   */
  record Handed(DeviceKind kind, String deed) {}

  /**
   * @param said what was done, or what could be
   */
  record HandedDone(String said) {}

  @PostMapping("/runs/{id}/hand")
  HandedDone handInRun(@PathVariable String id, @RequestBody Handed body) {
    return new HandedDone(rehearsals.find(id).devices.hand(body.kind(), body.deed()));
  }

  /** How well it went so far. */
  @GetMapping("/runs/{id}/score")
  Score scoreOfRun(@PathVariable String id) {
    return views.score(id);
  }

  @GetMapping("/runs/{id}")
  RunResponse run(@PathVariable String id) {
    return views.view(id, jobs.name(runs.find(id).jobId));
  }

  /** Packs the batches of a run could be taken from. */
  @GetMapping("/runs/{id}/lots")
  List<RunLots.RunLot> lotsOfRun(@PathVariable String id) {
    return lots.of(runs.find(id));
  }

  /** What the job's plan says by now that this run does not go by. */
  @GetMapping("/runs/{id}/changes")
  RunPlans.PlanChanges changesOfRun(@PathVariable String id) {
    return plans.changes(runs.find(id));
  }

  /** The mould it makes, cut from front to back. */
  @GetMapping("/runs/{id}/section")
  SectionDrawing sectionOfRun(@PathVariable String id) {
    return plans.drawing(runs.find(id));
  }

  @PostMapping("/runs/{id}/acts")
  RunResponse act(@PathVariable String id, @RequestBody Act body) {
    acts.act(id, body);
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
