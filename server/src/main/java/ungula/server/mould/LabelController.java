package ungula.server.mould;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.library.Label;
import ungula.core.plan.Plan;
import ungula.core.working.Figure;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.sheet.LabelPaper;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Labels of moulds, to be printed. */
@RestController
@RequestMapping("/api/moulds")
class LabelController {

  /** So many dots an inch have label printers and readers to agree on. */
  private static final float DPI = 300;

  private static final int MOST = 500;

  private final Moulds moulds;
  private final Jobs jobs;
  private final Habits workshop;

  LabelController(Moulds moulds, Jobs jobs, Habits workshop) {
    this.moulds = moulds;
    this.jobs = jobs;
    this.workshop = workshop;
  }

  /** Of a mould, and of each section of its jacket. */
  private List<Label> labels(MouldMapper.Row row) {
    Optional<Job> job = job(row);
    Map<String, Figure> figures = job.map(j -> j.plan().figures()).orElse(Map.of());
    String of = row.called() + (row.number() > 1 ? ", mould " + row.number() : "");
    int gave = row.gaveBefore() + row.pulls();
    Label label =
        Label.of(
            of,
            row.code(),
            workshop.current().address(),
            row.mould(),
            figures,
            gave,
            moulds.now().today());
    List<Label> all = new ArrayList<>(List.of(label));
    int sections =
        row.jacket() == null
            ? 0
            : job.map(j -> j.plan().plan())
                .flatMap(Plan::jacket)
                .map(j -> j.sections().count())
                .orElse(1);
    for (int i = 1; i <= sections; i++) {
      all.add(label.onJacket(i, sections));
    }
    return all;
  }

  /** Empty where it was made for none, or that cannot be read. */
  private Optional<Job> job(MouldMapper.Row row) {
    try {
      return Optional.ofNullable(row.jobId()).map(jobs::find);
    } catch (Problem unreadable) {
      return Optional.empty();
    }
  }

  /** For a label printer, 62 × 29 mm: a page for the mould and for each section of its jacket. */
  @GetMapping(value = "/{code}/label.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> label(@PathVariable String code) throws IOException {
    MouldMapper.Row row = moulds.find(code);
    return Named.inline("Label " + row.code() + ".pdf").body(roll(labels(row)));
  }

  private static byte[] roll(List<Label> labels) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    LabelPaper.rolls(labels, out);
    return out.toByteArray();
  }

  /** The first of them as it is printed, at 300 dpi. */
  @GetMapping(value = "/{code}/label.png", produces = MediaType.IMAGE_PNG_VALUE)
  byte[] labelPicture(@PathVariable String code) throws IOException {
    List<Label> labels = labels(moulds.find(code));
    try (PDDocument document = Loader.loadPDF(roll(labels.subList(0, 1)))) {
      BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI, ImageType.GRAY);
      return Named.png(image);
    }
  }

  /**
   * Many on sheets of paper.
   *
   * @param codes of the moulds, with commas between
   */
  @GetMapping(value = "/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> labelSheets(@RequestParam List<String> codes) throws IOException {
    if (codes.isEmpty() || codes.size() > MOST) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Which moulds?",
          "Say of which moulds labels are printed, " + MOST + " at most.");
    }
    List<Label> all = new ArrayList<>();
    codes.forEach(c -> all.addAll(labels(moulds.find(c))));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    LabelPaper.sheets(all, workshop.current().paper(), out);
    return Named.inline("Labels.pdf").body(out.toByteArray());
  }
}
