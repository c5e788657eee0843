package ungula.server.cast;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.cast.Made;
import ungula.core.caution.Caution;
import ungula.core.days.Moments;
import ungula.core.plan.PlanPart;
import ungula.core.quantity.Mass;
import ungula.core.rubber.Product;
import ungula.core.workshop.Workshop;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.sheet.CastSheet;
import ungula.server.web.Named;
import ungula.server.workshop.Habits;

/** The casts' run sheet on paper. */
@RestController
@RequestMapping("/api/jobs/{id}/casts")
class CastSheetController {

  /** Lines for casts to be written in by hand: so many at least, and at most. */
  private static final int OPEN_LINES = 12;

  private static final int MOST_LINES = 120;

  private final Jobs jobs;
  private final CastsMade casts;
  private final Habits workshop;
  private final Clock clock;

  CastSheetController(Jobs jobs, CastsMade casts, Habits workshop, Clock clock) {
    this.jobs = jobs;
    this.casts = casts;
    this.workshop = workshop;
    this.clock = clock;
  }

  /** What to mix, in what order, and a line for each cast. */
  @GetMapping(value = "/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> castSheet(@PathVariable String id) throws IOException {
    Job job = jobs.find(id);
    jobs.ask(job);
    Workshop shop = workshop.current();
    Made made = casts.of(id);
    Integer wanted = job.choices().cast().wanted();
    int left = wanted == null ? OPEN_LINES : wanted - made.usable();
    Product product = job.plan().plan().brief().cast();
    CastSheet.Content content =
        new CastSheet.Content(
            job.row().name(),
            shop,
            job.plan().figures(),
            product == null ? job.plan().plan().brief().castingMaterial().text() : product.name(),
            job.plan().castStop().map(Caution::title).orElse(""),
            PlanPart.missing(jobs.parts(job)),
            job.plan().steps(),
            rows(made, job, shop),
            Math.max(OPEN_LINES, Math.min(MOST_LINES, left)),
            LocalDate.now(clock));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    CastSheet.write(content, shop.paper(), out);
    return Named.inline(job.row().name() + " casts.pdf").body(out.toByteArray());
  }

  private static List<CastSheet.Row> rows(Made made, Job job, Workshop shop) {
    return made.counting().stream().map(m -> row(m, job, shop)).toList();
  }

  private static CastSheet.Row row(Made.Cast m, Job job, Workshop shop) {
    String at = Moments.text(m.at().atZone(shop.hours().clock()).toLocalDateTime());
    int result =
        switch (m.result()) {
          case GOOD -> 0;
          case REPAIR -> 1;
          case SCRAP -> 2;
          default -> -1;
        };
    return new CastSheet.Row(
        m.number(),
        m.mould(),
        (at + " " + m.who()).strip(),
        m.grams() == null ? "" : "came to " + Mass.format(m.grams(), job.choices().units()),
        result,
        m.result() == Made.Result.CLEANING ? "its clean-out" : m.why());
  }
}
