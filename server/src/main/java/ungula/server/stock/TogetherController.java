package ungula.server.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.pour.Bubbles;
import ungula.core.pour.PlannedBatch;
import ungula.core.pour.PourTogether;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.stock.Stock;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;
import ungula.server.job.Job;
import ungula.server.job.JobLists;
import ungula.server.job.Jobs;
import ungula.server.product.Products;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Moulds of several jobs poured of the same batches. */
@RestController
@RequestMapping("/api/together")
class TogetherController {

  private final Jobs jobs;
  private final JobLists lists;
  private final Stocks stocks;
  private final Products products;
  private final Habits workshop;

  TogetherController(Jobs jobs, JobLists lists, Stocks stocks, Products products, Habits workshop) {
    this.jobs = jobs;
    this.lists = lists;
    this.stocks = stocks;
    this.products = products;
    this.workshop = workshop;
  }

  /**
   * @param volume still to mix for its first pour
   */
  record MouldView(String id, String name, Figure volume) {}

  /**
   * @param product by id
   * @param moulds of it that are open, and mixed as the sheet says
   */
  record GroupView(String product, String name, List<MouldView> moulds) {}

  /**
   * @param missing what is left out and why, as sentences
   */
  record GroupsView(List<GroupView> groups, List<String> missing) {}

  /** Rubbers that open jobs are poured of, each with its moulds. */
  @GetMapping
  GroupsView groups() {
    Map<String, List<MouldView>> groups = new LinkedHashMap<>();
    JobLists.Open open = lists.open();
    for (Job job : planned(open)) {
      if (poured(job)) {
        groups
            .computeIfAbsent(job.choices().rubber().product(), id -> new ArrayList<>())
            .add(new MouldView(job.row().id(), job.row().name(), toMix(job)));
      }
    }
    return new GroupsView(
        groups.entrySet().stream()
            .map(
                e ->
                    new GroupView(
                        e.getKey(), products.find(e.getKey()).orElseThrow().name(), e.getValue()))
            .toList(),
        open.missing());
  }

  private List<Job> planned(JobLists.Open open) {
    return open.jobs().stream().map(j -> jobs.find(j.id())).toList();
  }

  /**
   * Poured into a box, of the rubber as its sheet says and nothing besides, and not all of its
   * first pour mixed.
   */
  private boolean poured(Job job) {
    var rubber = job.choices().rubber();
    return job.plan().figures().containsKey("pour.first")
        && rubber.ratio() == null
        && rubber.catalyst() == null
        && rubber.stirredIn().isEmpty()
        && !stocks.toMix(job).isEmpty();
  }

  /** What is still to mix for a job's first pour: all of it, less the batches that are recorded. */
  private Figure toMix(Job job) {
    Figure all = job.plan().figures().get("pour.first");
    return job.plan().plan().pours().orElseThrow().toMix(stocks.toMix(job), all);
  }

  /**
   * @param jobs by id
   * @param bubbles how air is got out; left out as the one of the jobs asks that asks for most
   */
  @GetMapping("/{product}")
  PourTogether together(
      @PathVariable String product,
      @RequestParam List<String> jobs,
      @RequestParam(required = false) Bubbles bubbles) {
    List<Job> asked = asked(product, jobs);
    Bubbles air =
        bubbles != null
            ? bubbles
            : Bubbles.most(asked.stream().map(j -> j.choices().rubber().bubbles()).toList());
    Product rubber = rubber(product);
    Workshop shop = workshop.current();
    return PourTogether.of(
        asked.stream().map(j -> new PourTogether.Pour(j.row().name(), toMix(j).value())).toList(),
        rubber,
        shop.limits(rubber, air),
        shop.units(),
        shop.currency());
  }

  private List<Job> asked(String product, List<String> ids) {
    return planned(lists.open()).stream()
        .filter(
            j ->
                ids.contains(j.row().id())
                    && product.equals(j.choices().rubber().product())
                    && poured(j))
        .toList();
  }

  private Product rubber(String product) {
    return products.find(product).orElseThrow(() -> Problem.gone("This product"));
  }

  /**
   * @param jobs by id
   */
  record PouredTogether(List<String> jobs) {}

  /**
   * @param said what was recorded, and what was not on the shelf
   */
  record TogetherAnswer(String said) {}

  /**
   * Records all that was still to mix for the first pours of jobs, as planned; whole or not at all.
   */
  @PostMapping("/{product}/mixed")
  @Transactional
  public TogetherAnswer recordTogether(
      @PathVariable String product, @RequestBody PouredTogether body) {
    rubber(product);
    List<String> names = new ArrayList<>();
    double missedG = 0;
    for (Job job : asked(product, body.jobs())) {
      for (PlannedBatch batch : stocks.toMix(job)) {
        Stocks.Planned was = Stocks.Planned.of(job, batch);
        Stock.Drawn drawn =
            stocks.mix(
                job.row().id(),
                Stocks.Mixed.byHand(product, batch, was, new Parts(was.baseG(), was.hardenerG())));
        missedG += drawn.shortBaseG() + drawn.shortHardenerG();
      }
      names.add(job.row().name());
    }
    if (names.isEmpty()) {
      throw Problem.gone("What was to be mixed");
    }
    return new TogetherAnswer(
        ("Recorded as mixed for "
                + String.join(", ", names)
                + ". "
                + MixedController.missed(missedG, workshop.current().units()))
            .strip());
  }
}
