package ungula.core.rubber;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;

/** What could be taken instead of a product: of the same role, nearest by its properties first. */
public final class Substitutes {

  /** Another chemistry counts like so many points of Shore A: what it touches must be looked at. */
  private static final double OTHER_CHEMISTRY = 15;

  /** A doubled or halved time or stretch counts like so many points of Shore A. */
  private static final double DOUBLED = 8;

  /** Further off than this it is no substitute. */
  private static final double FURTHEST = 40;

  private Substitutes() {}

  /**
   * @param product id of it
   * @param distance in points of Shore A
   * @param differences in words; empty when the sheets say the same
   */
  public record Substitute(String product, double distance, List<String> differences) {}

  public static List<Substitute> of(Product wanted, Map<String, Product> others) {
    return others.entrySet().stream()
        .filter(e -> e.getValue().role() == wanted.role() && !e.getValue().equals(wanted))
        .map(e -> compared(e.getKey(), wanted, e.getValue()))
        .filter(s -> s.distance <= FURTHEST)
        .sorted(Comparator.comparingDouble(Substitute::distance))
        .toList();
  }

  private static Substitute compared(String id, Product wanted, Product other) {
    List<String> words = new ArrayList<>();
    double distance = 0;
    if (wanted.hardness() != null && other.hardness() != null) {
      double harder = other.shoreA() - wanted.shoreA();
      distance += Math.abs(harder);
      if (Math.abs(harder) >= 1) {
        words.add((harder > 0 ? "harder" : "softer") + ", " + other.hardnessText());
      }
    }
    if (other.chemistry() != wanted.chemistry()) {
      distance += OTHER_CHEMISTRY;
      words.add(other.chemistry().text());
    }
    distance += doublings(wanted.potLifeMin(), other.potLifeMin());
    if (apart(wanted.potLifeMin(), other.potLifeMin())) {
      Duration pot = Duration.ofSeconds(Math.round(60 * other.potLifeMin()));
      words.add("pot life " + Timespan.format(pot));
    }
    distance += doublings(wanted.elongationPct(), other.elongationPct());
    if (apart(wanted.elongationPct(), other.elongationPct())) {
      words.add("stretches " + Share.format(other.elongationPct() / 100));
    }
    if (other.clear() != wanted.clear()) {
      distance += 2;
      words.add(other.clear().text());
    }
    return new Substitute(id, distance, List.copyOf(words));
  }

  private static double doublings(Double wanted, Double other) {
    return wanted == null || other == null
        ? 0
        : DOUBLED * Math.abs(Math.log(other / wanted) / Math.log(2));
  }

  /** Whether one is a quarter more than the other. */
  private static boolean apart(Double wanted, Double other) {
    return wanted != null
        && other != null
        && Math.max(wanted, other) > 1.25 * Math.min(wanted, other);
  }
}
