package ungula.server.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.air.AirTraps;
import ungula.core.air.PotPressure;
import ungula.core.attitude.Attitude;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.mould.BoxMould;
import ungula.core.offer.LyingOffers;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.RubberStudy;
import ungula.core.study.ShapeStudy;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.Studies.Question;
import ungula.server.web.Problem;

/** What a job's shape decides, as far as it is worked out, and where to draw it. */
@RestController
@RequestMapping("/api/jobs/{id}/study")
class StudyController {

  private final Jobs jobs;
  private final Shapes shapes;
  private final Studies studies;
  private final Facets facets;

  StudyController(Jobs jobs, Shapes shapes, Studies studies, Facets facets) {
    this.facets = facets;
    this.jobs = jobs;
    this.shapes = shapes;
    this.studies = studies;
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

  /** A place on the master, or a direction, in the posed frame, mm. */
  record PlaceView(double x, double y, double z) {}

  /** From a place on the master out of the mould, straight from each to the next. */
  record ChannelView(List<PlaceView> path) {}

  /**
   * A way for the mould to lie while it is cast in.
   *
   * @param text to follow "it is cast"
   * @param held what holds it so, a sentence; empty where it lies level
   * @param now whether it lies so already
   * @param pot why it does not go into the pressure pot; empty where it does
   * @param figures vents it asks for, air left with them, rubber they pass, air without them
   * @param edits that lay it so
   */
  record AttitudeView(
      String text,
      String held,
      boolean now,
      String pot,
      @KeyedBy("LyingFigure") Map<String, Figure> figures,
      List<Edit> edits) {}

  /**
   * @param open questions that are not answered yet
   * @param inlet where a cast is poured in, in words
   * @param poured air in the rubber
   * @param cast air in a cast
   * @param sprue from where it is placed, or the cast is highest; absent without one
   * @param spruePlaced whether somebody placed it
   * @param vents placed
   * @param thinnest rubber: where
   * @param thinnestText what is across from there
   * @param castUp against gravity while it is cast in, in the posed frame
   * @param attitudes it may be cast in, the best first; none where there is no choice
   */
  record StudyResponse(
      WorkView work,
      int open,
      String inlet,
      List<PocketView> poured,
      List<PocketView> cast,
      @Nullable ChannelView sprue,
      boolean spruePlaced,
      List<ChannelView> vents,
      @Nullable PlaceView thinnest,
      String thinnestText,
      PlaceView castUp,
      List<AttitudeView> attitudes) {}

  @GetMapping
  StudyResponse study(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Asks for it: it is worked out in the background, once for all who ask. */
  @PostMapping
  StudyResponse askStudy(@PathVariable String id) {
    Job job = jobs.find(id);
    jobs.ask(job);
    // it may be known by now
    return view(jobs.find(id));
  }

  /** Stops finding it out. */
  @DeleteMapping
  StudyResponse stopStudy(@PathVariable String id) {
    Job job = jobs.find(id);
    job.shape().ifPresent(s -> s.open().forEach(studies::stop));
    return view(job);
  }

  /** Values by facet, a byte each. */
  @GetMapping(value = "/facets", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> facets(@PathVariable String id, @RequestParam Facets.Quantity quantity) {
    return ResponseEntity.ok(
        facets
            .of(jobs.find(id), quantity)
            .orElseThrow(() -> Problem.gone("A study of this shape")));
  }

  /** How far the first question is that is not answered yet. */
  private WorkView work(Job job) {
    boolean ready = job.shape().filter(s -> s.open().isEmpty()).isPresent();
    Optional<Question<?>> next = job.shape().map(s -> ready ? s.form().of() : s.open().get(0));
    return WorkView.of(next, ready, studies);
  }

  private StudyResponse view(Job job) {
    Choices c = job.choices();
    ShapeStudy study = job.study().orElse(null);
    CastWays ways = CastWays.of(job, shapes);
    Attitude lies = study == null ? Attitude.OVER : study.cast().lies();
    return new StudyResponse(
        work(job),
        job.shape().map(s -> s.open().size()).orElse(0),
        study == null ? "" : study.cast().inlet().text(),
        study == null ? List.of() : pockets(study.rubber().air(), c.units()),
        study == null ? List.of() : pockets(study.cast().air(), c.units()),
        ways.sprue().map(StudyController::channel).orElse(null),
        c.casting().sprue() != null,
        ways.vents().stream().map(StudyController::channel).toList(),
        study == null ? null : place(study.rubber().thinnest().at()),
        study == null ? "" : thinnest(study.rubber().thinnest(), job),
        place(lies.up()),
        LyingOffers.of(job.plan().plan()).stream().map(StudyController::attitude).toList());
  }

  private static AttitudeView attitude(LyingOffers.Offer o) {
    return new AttitudeView(o.text(), o.held(), o.now(), o.pot(), o.figures(), o.edits());
  }

  private static String thinnest(RubberStudy.Thinnest wall, Job job) {
    Units units = job.choices().units();
    if (wall.facing()) {
      return Length.format(wall.mm(), units) + " between two faces of the master";
    }
    double box = job.plan().plan().inBox().map(BoxMould::thinnestWallMm).orElse(wall.mm());
    return Length.format(box, units) + " to the box";
  }

  private static ChannelView channel(List<Vec3> path) {
    return new ChannelView(path.stream().map(StudyController::place).toList());
  }

  private static PlaceView place(Vec3 p) {
    return new PlaceView(p.x(), p.y(), p.z());
  }

  private static List<PocketView> pockets(AirTraps.Result air, Units units) {
    return air.worth().stream()
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
