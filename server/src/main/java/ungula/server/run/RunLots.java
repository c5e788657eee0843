package ungula.server.run;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import ungula.core.quantity.Mass;
import ungula.core.run.Bench;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Batch;
import ungula.core.stock.Lot;
import ungula.core.stock.Stock;
import ungula.server.stock.Stocks;
import ungula.server.web.Problem;

/** Packs that what is mixed at the bench is taken from. */
@Component
class RunLots {

  private final Stocks stocks;

  RunLots(Stocks stocks) {
    this.stocks = stocks;
  }

  /**
   * A pack of what is mixed.
   *
   * @param product what its rubber is called
   * @param left in it, in words, and whether it is over
   * @param picked whether it comes first
   */
  record RunLot(String id, String product, String number, String left, boolean picked) {}

  /** Packs the batches of a run could be taken from; none of a rehearsal. */
  List<RunLot> of(Going g) {
    synchronized (g) {
      return g.rehearsal != null
          ? List.of()
          : products(g.bench.plan()).flatMap(p -> of(g.bench, p)).toList();
    }
  }

  private Stream<RunLot> of(Bench bench, String product) {
    Stock stock = stocks.of(product);
    String picked = bench.state().lot(product).orElse("");
    return stock.lots().entrySet().stream()
        .filter(e -> !e.getValue().empty())
        .map(
            e ->
                new RunLot(
                    e.getKey(),
                    stock.product().name(),
                    number(e.getValue()),
                    left(e.getValue(), bench.plan())
                        + (stocks.over(stock.product(), e.getValue()) ? ", over its date" : ""),
                    e.getKey().equals(picked)));
  }

  private static String number(Lot lot) {
    return Objects.requireNonNullElse(lot.number(), "");
  }

  private static Stream<String> products(RunPlan plan) {
    return plan.batches().stream().map(Batch::product).filter(p -> !p.isEmpty()).distinct();
  }

  private static String left(Lot lot, RunPlan plan) {
    String base = Mass.format(lot.baseLeftG(), plan.units());
    return (lot.hardenerG() > 0
            ? base + " + " + Mass.format(lot.hardenerLeftG(), plan.units())
            : base)
        + " left";
  }

  /** Rubber is taken from a pack. */
  Runs.Doing pick(Going g, Act act, Instant at) {
    for (String product : products(g.bench.plan()).toList()) {
      Lot lot = stocks.of(product).lots().get(act.key());
      if (lot != null) {
        return b -> b.pick(at, product, act.key(), number(lot));
      }
    }
    throw Problem.gone("This pack");
  }
}
