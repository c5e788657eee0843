package ungula.server.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.pour.Bubbles;
import ungula.core.pour.PourTogether;
import ungula.core.rubber.Product;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;
import ungula.server.job.Jobs;
import ungula.server.product.Products;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Moulds of several jobs poured of the same batches. */
@RestController
@RequestMapping("/api/together")
class TogetherController {

  private final Jobs jobs;
  private final Products products;
  private final Habits workshop;

  TogetherController(Jobs jobs, Products products, Habits workshop) {
    this.jobs = jobs;
    this.products = products;
    this.workshop = workshop;
  }

  /**
   * @param volume to mix for its first pour
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
    Jobs.Open open = jobs.open();
    for (Jobs.Job job : planned(open)) {
      if (poured(job)) {
        groups
            .computeIfAbsent(job.choices().rubber().product(), id -> new ArrayList<>())
            .add(
                new MouldView(
                    job.row().id(), job.row().name(), job.plan().figures().get("pour.first")));
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

  private List<Jobs.Job> planned(Jobs.Open open) {
    return open.jobs().stream().map(j -> jobs.find(j.id())).toList();
  }

  /** Poured into a box, of the rubber as its sheet says and nothing besides. */
  private static boolean poured(Jobs.Job job) {
    var rubber = job.choices().rubber();
    return job.plan().figures().containsKey("pour.first")
        && rubber.ratio() == null
        && rubber.catalyst() == null
        && !rubber.additive().used();
  }

  /**
   * @param jobs by id
   */
  @GetMapping("/{product}")
  PourTogether together(
      @PathVariable String product,
      @RequestParam List<String> jobs,
      @RequestParam(defaultValue = "THIN_POUR") Bubbles bubbles) {
    List<PourTogether.Pour> pours =
        planned(this.jobs.open()).stream()
            .filter(
                j ->
                    jobs.contains(j.row().id())
                        && product.equals(j.choices().rubber().product())
                        && poured(j))
            .map(
                j ->
                    new PourTogether.Pour(
                        j.row().name(), j.plan().figures().get("pour.first").value()))
            .toList();
    Product rubber = products.find(product).orElseThrow(() -> Problem.gone("This product"));
    Workshop shop = workshop.current();
    return PourTogether.of(
        pours, rubber, shop.limits(rubber, bubbles), shop.units(), shop.currency());
  }
}
