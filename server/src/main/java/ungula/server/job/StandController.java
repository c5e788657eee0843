package ungula.server.job;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.choice.Choices;
import ungula.core.geometry.Rotation;
import ungula.core.master.Pose;
import ungula.core.mesh.TriangleMesh;
import ungula.core.offer.StandOffers;
import ungula.core.orient.Stand;
import ungula.core.orient.StandSearch;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.server.job.Studies.Question;
import ungula.server.web.Named;
import ungula.server.web.Problem;

/** Ways a job's master could stand: the search for them, and the few best. */
@RestController
@RequestMapping("/api/jobs/{id}/stands")
public class StandController {

  private static final int WIDTH = 288;
  private static final int HEIGHT = 216;

  private final Jobs jobs;
  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;

  StandController(Jobs jobs, Shapes shapes, JobQuestions questions, Studies studies) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
  }

  /**
   * A way to stand.
   *
   * @param edit text that stands the master so
   * @param picture where its picture is
   * @param way what it is called
   * @param why it is offered
   * @param now whether it stands so already
   * @param figures rubber, height, locked, poured and cast
   */
  record StandView(
      String edit,
      String picture,
      String way,
      String why,
      boolean now,
      @KeyedBy("StandFigure") Map<String, Figure> figures) {}

  /**
   * @param looked how many ways are looked at so far
   * @param stands the best of them
   */
  record StandsResponse(WorkView work, int looked, List<StandView> stands) {}

  /** All ways to stand, and how it stands now. */
  private record Asked(Question<StandSearch.Found> all, Question<Stand> now) {}

  private Optional<Asked> asked(Job job) {
    Choices c = job.choices();
    double volume = shapes.facts(c).report() == null ? 0 : shapes.facts(c).report().volumeMm3();
    return shapes
        .posed(c)
        .map(p -> new Asked(questions.stands(c, volume), questions.standing(c, volume)));
  }

  /** Of the model once. */
  private double volumeMm3(Job job) {
    double all = job.plan().figures().get("master.volume").value();
    return all / job.choices().laid().copies();
  }

  @GetMapping
  StandsResponse stands(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Looks for them in the background, or goes on where an earlier search was stopped. */
  @PostMapping
  StandsResponse searchStands(@PathVariable String id) {
    Job job = jobs.find(id);
    asked(job)
        .filter(a -> studies.known(a.all).filter(StandSearch.Found::complete).isEmpty())
        .ifPresent(a -> studies.ask(id, a.all));
    return view(job);
  }

  /** Stops looking; what is found so far is kept. */
  @DeleteMapping
  StandsResponse stopStands(@PathVariable String id) {
    Job job = jobs.find(id);
    asked(job)
        .ifPresent(
            a -> {
              studies.stop(a.all);
              studies.stop(a.now);
            });
    return view(job);
  }

  private StandsResponse view(Job job) {
    Optional<Asked> asked = asked(job);
    Optional<StandSearch.Found> found = asked.flatMap(a -> studies.known(a.all));
    Optional<Stand> now = asked.flatMap(a -> studies.known(a.now));
    boolean complete = found.filter(StandSearch.Found::complete).isPresent();
    // one way more takes a moment: it is not waited to be asked for
    asked
        .filter(a -> complete && now.isEmpty() && studies.last(a.now).isEmpty())
        .ifPresent(a -> studies.ask(job.row().id(), a.now));
    Optional<Question<?>> next = asked.map(a -> complete ? a.now : a.all);
    return new StandsResponse(
        WorkView.of(next, complete && now.isPresent(), studies),
        found.map(f -> f.stands().size()).orElse(0),
        found.map(f -> offers(job, f, now.orElse(null))).orElse(List.of()));
  }

  private List<StandView> offers(Job job, StandSearch.Found found, Stand now) {
    return StandOffers.of(
            found.stands(),
            now,
            shapes.posed(job.choices()).orElseThrow().standing(),
            job.choices(),
            volumeMm3(job))
        .stream()
        .map(o -> stand(job, o))
        .toList();
  }

  private static StandView stand(Job job, StandOffers.Offer o) {
    return new StandView(
        edit(o.turn()), picture(job, o.turn()), o.way(), o.why(), o.now(), o.figures());
  }

  private static String edit(Rotation t) {
    return t.w() + " " + t.x() + " " + t.y() + " " + t.z();
  }

  /** Where a picture of a job's master is, standing so. */
  public static String picture(Job job, Rotation turn) {
    return "/api/jobs/"
        + job.row().id()
        + "/stands/picture?turn="
        + edit(turn).replace(' ', '+')
        + "&of="
        + Jobs.surfaceKey(job.choices());
  }

  /**
   * The master standing so.
   *
   * @param turn as in the edit
   * @param of names the surface, so that the picture can be kept
   */
  @GetMapping(value = "/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> standPicture(
      @PathVariable String id, @RequestParam String turn, @RequestParam String of)
      throws IOException {
    TriangleMesh mesh =
        shapes
            .asModelled(jobs.find(id).choices())
            .orElseThrow(() -> Problem.gone("The shape of this master"));
    return Named.picture(
        Drawings.alone(Pose.AS_MODELLED.stood(turn).setDown(mesh, 1), WIDTH, HEIGHT));
  }
}
