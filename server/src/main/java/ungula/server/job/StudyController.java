package ungula.server.job;

import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.air.AirTraps;
import ungula.core.air.PotPressure;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
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
   * @param poured air in the rubber
   * @param cast air in a cast
   * @param sprue where it is placed; absent without one
   * @param vents placed
   * @param proposed vents
   */
  record StudyResponse(
      State state,
      String task,
      String doing,
      double fraction,
      String problem,
      List<PocketView> poured,
      List<PocketView> cast,
      PlaceView sprue,
      List<PlaceView> vents,
      List<PlaceView> proposed) {}

  @GetMapping
  StudyResponse study(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    Choices c = job.choices();
    Optional<Studies.Question> q = jobs.question(c);
    if (q.isEmpty()) {
      return view(State.NONE, null, c, null);
    }
    if (job.study().isPresent()) {
      return view(State.READY, null, c, job.study().get());
    }
    TaskView task = studies.last(q.get()).orElse(null);
    State state =
        task == null
            ? State.OPEN
            : switch (task.state()) {
              case RUNNING -> State.WORKING;
              case CANCELLED -> State.STOPPED;
              case FAILED -> State.FAILED;
              case DONE -> State.OPEN;
            };
    return view(state, task, c, null);
  }

  /** Asks for it: it is worked out in the background, once for all who ask. */
  @PostMapping
  StudyResponse askStudy(@PathVariable String id) {
    Choices c = jobs.find(id).choices();
    jobs.question(c)
        .filter(q -> studies.known(q).isEmpty())
        .ifPresent(q -> studies.ask(q, shapes.posed(c).orElseThrow()));
    return study(id);
  }

  /** How much of each facet is locked against the mould's pull: a byte each, 255 is all of it. */
  @GetMapping(value = "/locked", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> locked(@PathVariable String id) {
    return ResponseEntity.ok(
        jobs.question(jobs.find(id).choices())
            .flatMap(studies::locked)
            .orElseThrow(() -> Problem.gone("A study of this shape")));
  }

  private StudyResponse view(State state, TaskView task, Choices c, ShapeStudy study) {
    boolean running = task != null && task.state() == Tasks.State.RUNNING;
    TriangleMesh mesh =
        shapes
            .posed(c)
            .map(p -> p.mesh().moved(1, Rotation.NONE, new Vec3(0, 0, c.pose().liftMm())))
            .orElse(null);
    SurfacePoint sprue = c.casting().sprue();
    return new StudyResponse(
        state,
        running ? task.id() : "",
        task == null ? "" : task.doing(),
        task == null ? 0 : task.fraction(),
        task == null ? "" : task.problem(),
        study == null ? List.of() : pockets(study.poured(), c.units()),
        study == null ? List.of() : pockets(study.cast(), c.units()),
        sprue == null || mesh == null ? null : place(sprue.on(mesh)),
        mesh == null
            ? List.of()
            : c.casting().vents().stream().map(v -> place(v.on(mesh))).toList(),
        study == null ? List.of() : study.vents().stream().map(v -> place(v.point())).toList());
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
