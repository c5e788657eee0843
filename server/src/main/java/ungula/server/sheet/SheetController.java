package ungula.server.sheet;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.caution.Caution;
import ungula.core.choice.Choices;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.plan.Plan;
import ungula.core.plan.PlanPart;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;
import ungula.server.job.Drawings;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** What leaves on paper or into a spreadsheet. */
@RestController
@RequestMapping("/api/jobs/{id}")
class SheetController {

  private final Jobs jobs;
  private final Drawings drawings;
  private final Habits workshop;
  private final Clock clock;

  SheetController(Jobs jobs, Drawings drawings, Habits workshop, Clock clock) {
    this.clock = clock;
    this.jobs = jobs;
    this.drawings = drawings;
    this.workshop = workshop;
  }

  /** The job sheet; on the workshop's paper when none is named; the working when asked for. */
  @GetMapping(value = "/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> sheet(
      @PathVariable String id,
      @RequestParam(required = false) Workshop.Paper paper,
      @RequestParam(defaultValue = "false") boolean working)
      throws IOException {
    Job job = jobs.find(id);
    Choices c = job.choices();
    Workshop shop = workshop.current();
    Ratio ratio = job.plan().plan().brief().ratio();
    boolean drawn = job.plan().plan().inBox().isPresent() || job.plan().plan().skin().isPresent();
    String stop = job.plan().mouldStop().map(Caution::title).orElse("");
    JobSheet.Content content =
        new JobSheet.Content(
            job.row().name(),
            shop,
            c,
            job.plan().figures(),
            job.plan().cautions(),
            stop,
            missing(job),
            job.plan().steps(),
            drawn ? views(job) : List.of(),
            job.plan().plan().cuts().orElse(null),
            stop.isEmpty() ? job.plan().plan().batches().each() : List.of(),
            job.plan().plan().skin().orElse(null),
            Optional.ofNullable(job.materials().build()).map(Product::name).orElse(""),
            drawings.picture(job, 528, 396).orElse(null),
            job.product() == null ? "" : job.product().name(),
            ratio == null ? "" : job.product().sentence(ratio),
            LocalDate.now(clock),
            working);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    JobSheet.write(content, paper == null ? shop.paper() : paper, out);
    return Named.inline(job.row().name() + ".pdf").body(out.toByteArray());
  }

  private List<String> missing(Job job) {
    jobs.ask(job);
    return PlanPart.missing(jobs.parts(job));
  }

  private List<JobSheet.View> views(Job job) {
    return List.of(
        new JobSheet.View(
            drawings.section(job, Cut.FRONT, null), "seen from the front, cut through the middle"),
        new JobSheet.View(drawings.section(job, Cut.TOP, null), "seen from above, cut half way up"),
        new JobSheet.View(
            drawings.section(job, Cut.SIDE, null), "seen from the right, cut through the middle"));
  }

  /** The label that is cast into the rubber, at its true size. */
  @GetMapping(value = "/label.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> castLabel(@PathVariable String id) throws IOException {
    Job job = jobs.find(id);
    Plan plan = job.plan().plan();
    PlacedLabel label =
        plan.placedLabel().orElseThrow(() -> Problem.gone("A label cast into the rubber"));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    CastLabelPaper.write(
        job.row().name(),
        label.where(plan.mould().inside(), plan.brief()::mm),
        label.label(),
        workshop.current().paper(),
        out);
    return Named.inline(job.row().name() + ", label.pdf").body(out.toByteArray());
  }

  /** Every figure: name, value in the core's unit, and as shown. RFC 4180, UTF-8. */
  @GetMapping(value = "/amounts.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> amounts(@PathVariable String id) {
    Job job = jobs.find(id);
    StringBuilder csv = new StringBuilder("figure,label,value,shown\r\n");
    for (Figure f : job.plan().figures().values()) {
      csv.append(f.key())
          .append(',')
          .append(quoted(f.label()))
          .append(',')
          .append(f.value())
          .append(',')
          .append(quoted(f.text()))
          .append("\r\n");
    }
    for (String m : missing(job)) {
      csv.append("missing,").append(quoted(m)).append(",,\r\n");
    }
    return Named.attachment(job.row().name() + ".csv").body(csv.toString());
  }

  private static String quoted(String text) {
    return '"' + text.replace('\u202f', ' ').replace("\"", "\"\"") + '"';
  }
}
