package ungula.server.approach;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.approach.Pieces;
import ungula.core.approach.Pieces.Piece;
import ungula.core.choice.Choices;
import ungula.core.mesh.TriangleMesh;
import ungula.core.release.PieceCover;
import ungula.core.working.Figure;
import ungula.server.job.Drawings;
import ungula.server.job.Job;
import ungula.server.job.JobQuestions;
import ungula.server.job.Jobs;
import ungula.server.job.Shapes;
import ungula.server.job.Studies;
import ungula.server.job.Studies.Question;
import ungula.server.job.WorkView;
import ungula.server.web.Named;
import ungula.server.web.Problem;

/** Into how many pieces a mould of a job's master would have to part, and what each frees. */
@RestController
@RequestMapping("/api/jobs/{id}/partition")
class PiecesController {

  private static final int WIDTH = 240;
  private static final int HEIGHT = 200;

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
  record PieceView(String pull, Figure freed, String picture) {}

  /**
   * @param says what follows; empty while it is not known
   */
  record PartitionResponse(WorkView work, String says, List<PieceView> pieces) {}

  private Optional<Question<PieceCover>> question(Job job) {
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
    Job job = jobs.find(id);
    question(job).filter(q -> studies.known(q).isEmpty()).ifPresent(q -> studies.ask(id, q));
    return view(job);
  }

  @DeleteMapping
  PartitionResponse stopPartition(@PathVariable String id) {
    Job job = jobs.find(id);
    question(job).ifPresent(studies::stop);
    return view(job);
  }

  private PartitionResponse view(Job job) {
    Optional<Question<PieceCover>> question = question(job);
    Optional<PieceCover> found = question.flatMap(studies::known);
    return new PartitionResponse(
        WorkView.of(question, found.isPresent(), studies),
        found.map(PieceCover::says).orElse(""),
        found.map(c -> pieces(job, c)).orElse(List.of()));
  }

  private static List<PieceView> pieces(Job job, PieceCover cover) {
    Choices c = job.choices();
    List<Piece> pieces = Pieces.of(cover, c.pose().turn());
    String of = PieceCover.VERSION + Jobs.surfaceKey(c);
    String picture = "/api/jobs/" + job.row().id() + "/partition/picture?of=" + of + "&piece=";
    return IntStream.range(0, pieces.size())
        .mapToObj(k -> new PieceView(pieces.get(k).pull(), pieces.get(k).freed(), picture + k))
        .toList();
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
    Job job = jobs.find(id);
    Question<PieceCover> question =
        question(job).orElseThrow(() -> Problem.gone("The shape of this master"));
    PieceCover cover =
        studies
            .known(question)
            .filter(c -> piece >= 0 && piece < c.pieces())
            .orElseThrow(() -> Problem.gone("This piece"));
    byte[] by = studies.facets(question).orElseThrow(() -> Problem.gone("This piece"));
    TriangleMesh mesh = shapes.asModelled(job.choices()).orElseThrow();
    return Named.picture(Drawings.seenBy(mesh, cover.pulls().get(piece), by, piece, WIDTH, HEIGHT));
  }
}
