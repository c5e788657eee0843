package ungula.core.stock;

import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.Day;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.working.Figure;
import ungula.core.working.Working;

/**
 * All packs of one product, by their id.
 *
 * @param product they are of
 * @param lots by id
 */
public record Stock(Product product, Map<String, Lot> lots) {

  /** Under this share of the smallest pack there is little left. */
  private static final double LOW_SHARE = 0.25;

  /**
   * What a mix takes out of one pack.
   *
   * @param lot id of it
   * @param opened whether it was closed until then
   */
  public record Taken(String lot, double baseG, double hardenerG, boolean opened) {

    /** The same, as what opened it. */
    public Taken opening() {
      return new Taken(lot, baseG, hardenerG, true);
    }
  }

  /**
   * @param taken from each pack
   * @param shortBaseG of the first part that is not there
   * @param shortHardenerG of the second
   */
  public record Drawn(List<Taken> taken, double shortBaseG, double shortHardenerG) {}

  /** Packs that are over, or soon will be, each one sentence; the one that is over first first. */
  public List<String> ages(LocalDate today) {
    return lots.values().stream()
        .filter(l -> !l.empty() && l.keeping(product, today) != Lot.Keeping.FINE)
        .sorted(Comparator.comparing(l -> l.goodUntil(product)))
        .map(l -> age(l, today))
        .toList();
  }

  private String age(Lot lot, LocalDate today) {
    boolean over = lot.keeping(product, today) == Lot.Keeping.OVER;
    String it =
        (lot.number().isEmpty() ? "A pack" : "Lot " + lot.number())
            + " of "
            + product.name()
            + (lot.opened() == null ? "" : ", opened " + Day.format(lot.opened()) + ",")
            + (over ? " was good until " : " is good until ")
            + Day.format(lot.goodUntil(product))
            + ".";
    return lot.opened() != null && product.chemistry() == Chemistry.URETHANE
        ? it
            + " Opened, its part B takes water from the air and foams: "
            + (over
                ? "try a small cup first, or open another."
                : "close it well, and use it first.")
        : over ? it + " Try a small cup first, or open another." : it;
  }

  /** Packs that are still good, those that are over soonest first; opened ones before closed. */
  private List<Map.Entry<String, Lot>> inTurn(LocalDate today) {
    return lots.entrySet().stream()
        .filter(e -> !e.getValue().empty())
        .filter(e -> e.getValue().keeping(product, today) != Lot.Keeping.OVER)
        .sorted(
            Comparator.comparing(
                    (Map.Entry<String, Lot> e) -> e.getValue().goodUntil(product),
                    Comparator.nullsLast(Comparator.naturalOrder()))
                .thenComparing(e -> e.getValue().opened() == null)
                .thenComparing(Map.Entry::getKey))
        .toList();
  }

  /** What is taken from which pack for a mix; packs that are over are left alone. */
  public Drawn draw(double baseG, double hardenerG, LocalDate today) {
    return draw(baseG, hardenerG, today, null);
  }

  /**
   * The same where somebody picked a pack.
   *
   * @param picked pack that comes first, also when it is over; null for none
   */
  public Drawn draw(double baseG, double hardenerG, LocalDate today, String picked) {
    List<Taken> taken = new ArrayList<>();
    double base = baseG;
    double hardener = hardenerG;
    List<Map.Entry<String, Lot>> turn = new ArrayList<>();
    lots.entrySet().stream().filter(e -> e.getKey().equals(picked)).forEach(turn::add);
    inTurn(today).stream().filter(e -> !e.getKey().equals(picked)).forEach(turn::add);
    for (Map.Entry<String, Lot> e : turn) {
      double b = Math.min(base, e.getValue().baseLeftG());
      double h = Math.min(hardener, e.getValue().hardenerLeftG());
      if (b + h > 0) {
        taken.add(new Taken(e.getKey(), b, h, e.getValue().opened() == null));
        base -= b;
        hardener -= h;
      }
    }
    return new Drawn(List.copyOf(taken), base, hardener);
  }

  /** What good packs hold of each part. */
  Parts good(LocalDate today) {
    return inTurn(today).stream()
        .map(e -> new Parts(e.getValue().baseLeftG(), e.getValue().hardenerLeftG()))
        .reduce(Parts.NONE, Parts::plus);
  }

  /** Mass that can be mixed of all that is good, as far as the scarcer part goes. */
  public double usableG(LocalDate today) {
    Parts good = good(today);
    double h = product.soldHardenerPerBase();
    return h <= 0 ? good.firstG() : Math.min(good.firstG(), good.secondG() / h) * (1 + h);
  }

  /** The same with its working. */
  public Figure usable(LocalDate today, Units units) {
    Working.Builder w =
        Working.of("all that is good on the shelf, as far as the scarcer part goes, by the ratio");
    for (Map.Entry<String, Lot> e : inTurn(today)) {
      Lot lot = e.getValue();
      String name = lot.number() == null || lot.number().isEmpty() ? "a pack" : lot.number();
      String left = Mass.format(lot.baseLeftG(), units);
      w.given(
          name,
          lot.hardenerG() > 0 ? left + " + " + Mass.format(lot.hardenerLeftG(), units) : left,
          MEASURED);
    }
    if (product.ratio() != null) {
      w.given("ratio", product.ratio().text(), SHEET);
    }
    double g = usableG(today);
    return new Figure(
        "usable",
        "can be mixed",
        g,
        Mass.format(g, units),
        Mass.exact(g, units),
        w.step("What is past its day is left out.").done());
  }

  /** Whether little is left: less than is needed, or than a share of the smallest pack. */
  public boolean low(double neededG, LocalDate today) {
    double usable = usableG(today);
    double least = product.packs().isEmpty() ? 0 : LOW_SHARE * product.packs().get(0).massG();
    return usable < neededG || usable < least && !lots.isEmpty();
  }
}
