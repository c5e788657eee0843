package ungula.server.approach;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.quantity.Numbers;
import ungula.core.release.PieceCover;
import ungula.server.job.Drawings;
import ungula.server.job.JobQuestions;
import ungula.server.job.Jobs;
import ungula.server.job.Shapes;
import ungula.server.job.Studies;
import ungula.server.job.Studies.Question;
import ungula.server.job.WorkView;
import ungula.server.web.Problem;

/** Into how many pieces a mould of a job's master would have to part, and what each frees. */
@RestController
@RequestMapping("/api/jobs/{id}/partition")
class PiecesController {

  private static final int WIDTH = 240;
  private static final int HEIGHT = 200;

  /** A pull that leans less than this towards an axis (its cosine) is not said to. */
  private static final double LEANS = 0.38;

  private final Jobs jobs;
  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;

  PiecesController(Jobs jobs, Shapes shapes, JobQuestions questions, Studies studies) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
  }

  /**
   * @param pull which way it comes off, in words, as the master stands
   * @param freed share of the surface free with it and those before
   * @param picture of the master as it sees it
   */
  record PieceView(String pull, String freed, String picture) {}

  /**
   * @param says what follows; empty while it is not known
   */
  record PartitionResponse(WorkView work, String says, List<PieceView> pieces) {}

  private Optional<Question<PieceCover>> question(Jobs.Job job) {
    return shapes.posed(job.choices()).isEmpty()
        ? Optional.empty()
        : Optional.of(questions.pieces(job.choices()));
  }

  @GetMapping
  PartitionResponse partition(@PathVariable String id) {
    return view(jobs.find(id));
  }

  /** Works it out in the background. */
  @PostMapping
  PartitionResponse searchPartition(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    question(job).filter(q -> studies.known(q).isEmpty()).ifPresent(studies::ask);
    return view(job);
  }

  @DeleteMapping
  PartitionResponse stopPartition(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    question(job).ifPresent(studies::stop);
    return view(job);
  }

  private PartitionResponse view(Jobs.Job job) {
    Optional<Question<PieceCover>> question = question(job);
    Optional<PieceCover> found = question.flatMap(studies::known);
    return new PartitionResponse(
        WorkView.of(question, found.isPresent(), studies),
        found.map(PieceCover::says).orElse(""),
        found.map(c -> pieces(job, c)).orElse(List.of()));
  }

  private static List<PieceView> pieces(Jobs.Job job, PieceCover cover) {
    List<PieceView> all = new ArrayList<>();
    Rotation turn = job.choices().pose().turn();
    for (int k = 0; k < cover.pieces(); k++) {
      all.add(
          new PieceView(
              "pulled " + way(turn.apply(cover.pulls().get(k))),
              Numbers.fixed(100 * cover.freed().get(k), 0) + " %",
              "/api/jobs/"
                  + job.row().id()
                  + "/partition/picture?piece="
                  + k
                  + "&of="
                  + PieceCover.VERSION
                  + Jobs.surfaceKey(job.choices())));
    }
    return all;
  }

  private static String way(Vec3 d) {
    List<String> words = new ArrayList<>();
    if (Math.abs(d.x()) > LEANS) {
      words.add(d.x() > 0 ? "right" : "left");
    }
    if (Math.abs(d.y()) > LEANS) {
      words.add(d.y() > 0 ? "back" : "forward");
    }
    if (Math.abs(d.z()) > LEANS) {
      words.add(d.z() > 0 ? "up" : "down");
    }
    return String.join(" and ", words);
  }

  /**
   * The master as a piece sees it.
   *
   * @param piece from 0
   * @param of names the surface, so that the picture can be kept
   */
  @GetMapping(value = "/picture", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> pieceMap(
      @PathVariable String id, @RequestParam int piece, @RequestParam String of)
      throws IOException {
    Jobs.Job job = jobs.find(id);
    Question<PieceCover> question =
        question(job).orElseThrow(() -> Problem.gone("The shape of this master"));
    PieceCover cover =
        studies
            .known(question)
            .filter(c -> piece >= 0 && piece < c.pieces())
            .orElseThrow(() -> Problem.gone("This piece"));
    byte[] by = studies.facets(question).orElseThrow(() -> Problem.gone("This piece"));
    TriangleMesh mesh = shapes.asModelled(job.choices()).orElseThrow();
    BufferedImage image = Drawings.seenBy(mesh, cover.pulls().get(piece), by, piece, WIDTH, HEIGHT);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ofDays(365)))
        .body(out.toByteArray());
  }
}
