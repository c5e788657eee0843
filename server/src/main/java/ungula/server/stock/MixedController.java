package ungula.server.stock;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.SecondPart;
import ungula.core.stock.Stock;
import ungula.core.working.Figure;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/** The batches of a job as they were really mixed. */
@RestController
@RequestMapping("/api/jobs/{job}/mixed")
class MixedController {

  /** Less than this is not missed, g. */
  private static final double MISSED_G = 0.5;

  private final Jobs jobs;
  private final Stocks stocks;
  private final StockMapper mapper;

  MixedController(Jobs jobs, Stocks stocks, StockMapper mapper) {
    this.jobs = jobs;
    this.stocks = stocks;
    this.mapper = mapper;
  }

  /**
   * @param number of the batch in the plan as it is now; null when the plan has no such batch
   * @param name it was recorded under, when the plan has no such batch; else empty
   * @param text what went into the cup
   * @param planned what was to go in; empty when that was not kept yet
   * @param again whether the same batch was recorded before
   */
  record MixedView(
      String id,
      @Nullable Integer number,
      String name,
      String text,
      String planned,
      boolean again) {}

  /**
   * @param batch by its number in the plan
   * @param base as weighed, as typed; null as planned
   * @param hardener as weighed, as typed; null as planned
   */
  record NewMixed(int batch, @Nullable String base, @Nullable String hardener) {}

  /**
   * @param said what to know of it: parts out of tolerance, stock that was not there; empty when
   *     all is well
   */
  record MixedAnswer(List<MixedView> mixed, String said) {}

  @GetMapping
  List<MixedView> mixed(@PathVariable String job) {
    return views(jobs.find(job));
  }

  private List<MixedView> views(Job job) {
    return mapper.mixedOf(job.row().id()).stream().map(m -> view(m, job)).toList();
  }

  private MixedView view(StockMapper.MixedRow m, Job job) {
    Units units = job.choices().units();
    Optional<PlannedBatch> batch =
        job.plan().plan().batches().each().stream().filter(b -> Stocks.is(m, b)).findFirst();
    Stocks.Planned planned = stocks.planned(m);
    String name = planned == null ? "Batch " + m.batch() : planned.name();
    return new MixedView(
        m.id(),
        batch.map(PlannedBatch::number).orElse(null),
        batch.isPresent() ? "" : name,
        parts(m.baseG(), m.hardenerG(), units),
        planned == null ? "" : parts(planned.baseG(), planned.hardenerG(), units),
        m.again() > 0);
  }

  private static String parts(double baseG, double hardenerG, Units units) {
    String base = Mass.format(baseG, units);
    return hardenerG > 0 ? base + " + " + Mass.format(hardenerG, units) : base;
  }

  @PostMapping
  MixedAnswer recordMixed(@PathVariable String job, @RequestBody NewMixed body) {
    Job planned = jobs.find(job);
    PlannedBatch batch =
        planned.plan().plan().batches().each().stream()
            .filter(b -> b.number() == body.batch())
            .findFirst()
            .orElseThrow(() -> Problem.gone("This batch"));
    double base = weighed(body.base(), planned, batch.base());
    double hardener =
        batch.hardener().isEmpty() ? 0 : weighed(body.hardener(), planned, batch.hardener());
    String product =
        batch.build()
            ? planned.choices().skin().buildProduct()
            : planned.choices().rubber().product();
    Stocks.Planned was = Stocks.Planned.of(planned, batch);
    Stock.Drawn drawn =
        stocks.mix(job, Stocks.Mixed.byHand(product, batch, was, new Parts(base, hardener)));
    return new MixedAnswer(
        views(planned),
        (off(planned, batch, base, hardener) + " " + missed(planned, drawn)).strip());
  }

  private static double weighed(String typed, Job job, String figure) {
    if (typed == null || typed.isBlank()) {
      return figure(job, figure).value();
    }
    double g = Mass.parseG(typed, job.choices().units());
    if (!(g > 0)) {
      throw new UnreadableQuantity("“" + typed.strip() + "” is nothing to mix.");
    }
    return g;
  }

  private static Figure figure(Job job, String key) {
    return job.plan().figures().get(key);
  }

  private static String off(Job job, PlannedBatch batch, double base, double hardener) {
    if (batch.hardener().isEmpty()) {
      return "";
    }
    double planned = figure(job, batch.hardener()).value() / figure(job, batch.base()).value();
    SecondPart second =
        SecondPart.of(
            true,
            base,
            hardener,
            planned,
            Mix.TOLERANCE,
            Product.Role.RUBBER,
            job.choices().units());
    return second.state() == SecondPart.State.RIGHT ? "" : second.words();
  }

  private static String missed(Job job, Stock.Drawn drawn) {
    return missed(drawn.shortBaseG() + drawn.shortHardenerG(), job.choices().units());
  }

  /** What to say of what was not on the shelf; empty when all was. */
  static String missed(double g, Units units) {
    return g < MISSED_G
        ? ""
        : Mass.format(g, units) + " of it were not on the shelf by the records.";
  }

  @DeleteMapping("/{id}")
  List<MixedView> strikeOut(@PathVariable String job, @PathVariable String id) {
    stocks.unmix(job, id);
    return mixed(job);
  }
}
