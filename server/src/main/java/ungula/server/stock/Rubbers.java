package ungula.server.stock;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import ungula.core.offer.RubberOffers;
import ungula.core.rubber.Product;
import ungula.server.job.Job;
import ungula.server.product.Products;
import ungula.server.workshop.Habits;

/** The rubbers there are to choose from. */
@Component
public class Rubbers {

  private final Products products;
  private final Stocks stocks;
  private final Habits workshop;

  Rubbers(Products products, Stocks stocks, Habits workshop) {
    this.products = products;
    this.stocks = stocks;
    this.workshop = workshop;
  }

  /** What can be mixed of each, by its id, g. */
  public Map<String, Double> usableG() {
    Map<String, Double> usable = new LinkedHashMap<>();
    products.rubbers().forEach(r -> usable.put(r.id(), stocks.usableG(r.id())));
    return usable;
  }

  /**
   * How each would do for a job, best first; empty while the master's size is not known.
   *
   * @param usableG what {@link #usableG} says
   */
  public List<RubberOffers.Candidate> weighedFor(Job job, Map<String, Double> usableG) {
    Map<String, Product> all = new LinkedHashMap<>();
    products.rubbers().forEach(r -> all.put(r.id(), products.find(r.id()).orElseThrow()));
    return RubberOffers.of(
        job.choices(),
        job.recorded(),
        job.facts(),
        job.materials(),
        workshop.current(),
        all,
        usableG);
  }
}
