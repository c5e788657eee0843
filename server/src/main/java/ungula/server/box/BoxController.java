package ungula.server.box;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.CutPart;
import ungula.core.cutlist.CutSheet;
import ungula.core.cutlist.Dxf;
import ungula.core.cutlist.Svg;
import ungula.core.offer.BoxOffers;
import ungula.core.sentence.WordBook;
import ungula.core.working.Figure;
import ungula.core.working.KeyedBy;
import ungula.core.workshop.OwnBox;
import ungula.core.workshop.Workshop;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.job.Shapes;
import ungula.server.web.Named;
import ungula.server.workshop.Habits;

/** The box of a job: shapes it could have, and what to cut for the one chosen. */
@RestController
@RequestMapping("/api/jobs/{id}/box")
class BoxController {

  private final Jobs jobs;
  private final Shapes shapes;
  private final Habits habits;

  BoxController(Jobs jobs, Shapes shapes, Habits habits) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.habits = habits;
  }

  /**
   * @param shape its name among the choices
   * @param figures rubber, saved, thinnest, sheet
   * @param own whether the workshop has it
   * @param edits that take it
   */
  record BoxView(
      String shape,
      String text,
      @KeyedBy("BoxFigure") Map<String, Figure> figures,
      boolean own,
      boolean now,
      List<WordBook.Edit> edits) {}

  /** Boxes of every shape with the walls chosen. */
  @GetMapping("/shapes")
  List<BoxView> boxShapes(@PathVariable String id) {
    Job job = jobs.find(id);
    List<OwnBox> there = Objects.requireNonNullElse(habits.current().boxes(), List.of());
    return BoxOffers.of(job.box(), job.choices(), shapes.facts(job.choices()), there).stream()
        .map(o -> new BoxView(o.shape().name(), o.name(), o.figures(), o.own(), o.now(), o.edits()))
        .toList();
  }

  /**
   * @param size in words
   * @param note what to do with it
   */
  record PartView(String name, int count, String size, String note) {}

  /**
   * @param besides what else is needed, in words
   */
  record CutListResponse(List<PartView> parts, List<String> besides) {}

  private static CutList list(Job job) {
    job.box();
    return job.plan().plan().cuts().orElseThrow();
  }

  @GetMapping("/cutlist")
  CutListResponse cutList(@PathVariable String id) {
    CutList list = list(jobs.find(id));
    return new CutListResponse(
        list.parts().stream().map(BoxController::view).toList(), list.besides());
  }

  private static PartView view(CutPart p) {
    return new PartView(p.name(), p.count(), p.size(), p.note());
  }

  @GetMapping("/cutlist.dxf")
  ResponseEntity<byte[]> dxf(@PathVariable String id) {
    Job job = jobs.find(id);
    byte[] dxf = Dxf.of(CutSheet.of(list(job))).getBytes(StandardCharsets.US_ASCII);
    return file(job, "dxf", MediaType.parseMediaType("image/vnd.dxf"), dxf);
  }

  @GetMapping("/cutlist.svg")
  ResponseEntity<byte[]> svg(@PathVariable String id) {
    Job job = jobs.find(id);
    byte[] svg = Svg.of(CutSheet.of(list(job))).getBytes(StandardCharsets.UTF_8);
    return file(job, "svg", MediaType.parseMediaType("image/svg+xml"), svg);
  }

  /** One page as large as the sheet, or pages of the workshop's paper to be glued together. */
  @GetMapping("/cutlist.pdf")
  ResponseEntity<byte[]> pdf(
      @PathVariable String id,
      @RequestParam(defaultValue = "false") boolean tiled,
      @RequestParam(required = false) Workshop.Paper paper)
      throws IOException {
    Job job = jobs.find(id);
    CutSheet sheet = CutSheet.of(list(job));
    Workshop.Paper on = paper == null ? habits.current().paper() : paper;
    byte[] pdf = tiled ? CutSheetPdf.tiled(sheet, on) : CutSheetPdf.of(sheet);
    return file(job, "pdf", MediaType.APPLICATION_PDF, pdf);
  }

  private static ResponseEntity<byte[]> file(
      Job job, String ending, MediaType type, byte[] content) {
    return Named.attachment(job.row().name() + ", cut list." + ending)
        .contentType(type)
        .body(content);
  }
}
