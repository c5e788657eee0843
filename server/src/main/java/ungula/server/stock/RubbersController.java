package ungula.server.stock;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.offer.RubberOffers;
import ungula.core.rubber.Product;
import ungula.server.job.Jobs;
import ungula.server.product.Products;
import ungula.server.workshop.Habits;

/** How each rubber would do for a job. */
@RestController
@RequestMapping("/api/jobs/{id}/rubbers")
class RubbersController {

  private final Jobs jobs;
  private final Products products;
  private final Stocks stocks;
  private final Habits workshop;

  RubbersController(Jobs jobs, Products products, Stocks stocks, Habits workshop) {
    this.jobs = jobs;
    this.products = products;
    this.stocks = stocks;
    this.workshop = workshop;
  }

  /** Best first; empty while the master's size is not known. */
  @GetMapping
  List<RubberOffers.Candidate> rubbers(@PathVariable String id) {
    Jobs.Job job = jobs.find(id);
    Map<String, Product> rubbers = new LinkedHashMap<>();
    Map<String, Double> usable = new LinkedHashMap<>();
    for (Products.Offer offer : products.rubbers()) {
      rubbers.put(offer.id(), products.find(offer.id()).orElseThrow());
      usable.put(offer.id(), stocks.usableG(offer.id()));
    }
    return RubberOffers.of(
        job.choices(),
        job.recorded(),
        job.facts(),
        job.materials(),
        workshop.current(),
        rubbers,
        usable);
  }
}
