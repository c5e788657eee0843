package ungula.server.job;

import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.air.AirTraps;
import ungula.core.air.PotPressure;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plan.Choices;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.study.ShapeStudy;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Problem;

/** What a job's shape decides, as far as it is worked out, and where to draw it. */
@RestController
@RequestMapping("/api/jobs/{id}/study")
class StudyController {

  private final Jobs jobs;
  private final Shapes shapes;
  private final Studies studies;

  StudyController(Jobs jobs, Shapes shapes, Studies studies) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.studies = studies;
  }

  enum State {
    /** There is no shape to study. */
    NONE,
    /** Nobody has asked yet. */
    OPEN,
    WORKING,
    READY,
    STOPPED,
    FAILED
  }

  /**
   * A pocket of air, in the posed frame, mm.
   *
   * @param x of its top, from the middle
   * @param y of its top, from the middle
   * @param z of its top, above the plate
   * @param sizeMm diameter of a ball as large
   * @param text what it is, in words
   */
  record PocketView(double x, double y, double z, double sizeMm, String text) {}

  /** A place on the master in the posed frame, mm. */
  record PlaceView(double x, double y, double z) {}

  /**
   * @param task to ask about and to stop; empty when none runs
   * @param doing what it is at
   * @param fraction of the whole
   * @param problem why it failed
   * @param inlet where a cast is poured in, in words
   * @param poured air in the rubber
   * @param cast air in a cast
   * @param sprue where it is placed; absent without one
   * @param vents placed
   */
  record StudyResponse(
      State state,
      String task,
      String doing,
      double fraction,
      String problem,
      String inlet,
      List<PocketView> poured,
      List<PocketView> cast,
      PlaceView sprue,
      List<PlaceView> vents) {}

  @GetMapping
  StudyResponse study(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Asks for it: it is worked out in the background, once for all who ask. */
  @PostMapping
  StudyResponse askStudy(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    if (job.study().isEmpty()) {
      job.question().ifPresent(q -> studies.ask(q, shapes.posed(job.choices()).orElseThrow()));
    }
    // it may be known by now
    return view(jobs.find(id));
  }

  /** How much of each facet is locked against the mould's pull: a byte each, 255 is all of it. */
  @GetMapping(value = "/locked", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> locked(@PathVariable String id) {
    return ResponseEntity.ok(
        jobs.find(id)
            .question()
            .flatMap(studies::locked)
            .orElseThrow(() -> Problem.gone("A study of this shape")));
  }

  private static State state(Jobs.Job job, TaskView task) {
    if (job.question().isEmpty()) {
      return State.NONE;
    }
    if (job.study().isPresent()) {
      return State.READY;
    }
    if (task == null) {
      return State.OPEN;
    }
    return switch (task.state()) {
      case RUNNING -> State.WORKING;
      case CANCELLED -> State.STOPPED;
      case FAILED -> State.FAILED;
      case DONE -> State.OPEN;
    };
  }

  private StudyResponse view(Jobs.Job job) {
    Choices c = job.choices();
    ShapeStudy study = job.study().orElse(null);
    TaskView task = study == null ? job.question().flatMap(studies::last).orElse(null) : null;
    boolean running = task != null && task.state() == Tasks.State.RUNNING;
    TriangleMesh mesh = shapes.posed(c).map(PosedMaster::mesh).orElse(null);
    Vec3 lift = new Vec3(0, 0, c.pose().liftMm());
    SurfacePoint sprue = c.casting().sprue();
    return new StudyResponse(
        state(job, task),
        running ? task.id() : "",
        task == null ? "" : task.doing(),
        task == null ? 0 : task.fraction(),
        task == null ? "" : task.problem(),
        study == null ? "" : study.inlet().text(),
        study == null ? List.of() : pockets(study.poured(), c.units()),
        study == null ? List.of() : pockets(study.cast(), c.units()),
        sprue == null || mesh == null ? null : place(sprue.on(mesh).plus(lift)),
        mesh == null
            ? List.of()
            : c.casting().vents().stream().map(v -> place(v.on(mesh).plus(lift))).toList());
  }

  private static PlaceView place(Vec3 p) {
    return new PlaceView(p.x(), p.y(), p.z());
  }

  private static List<PocketView> pockets(AirTraps.Result air, Units units) {
    return air.pockets().stream()
        .map(
            p ->
                new PocketView(
                    p.top().x(),
                    p.top().y(),
                    p.top().z(),
                    PotPressure.ballMm(p.volumeMm3()),
                    Volume.format(p.volumeMm3(), units)
                        + " of air, "
                        + Length.format(p.depthMm(), units)
                        + " deep"))
        .toList();
  }
}
