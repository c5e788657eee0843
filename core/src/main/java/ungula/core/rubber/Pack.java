package ungula.core.rubber;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;

/**
 * A pack a product is sold in.
 *
 * @param massG of what is in it
 * @param price in the workshop's currency
 * @param of which part it holds, as the sheet calls it: "base", "hardener", or a grade of catalyst;
 *     empty for both parts together
 */
public record Pack(double massG, double price, String of) {

  /** Words for the second part whatever a sheet calls it. */
  private static final List<String> SECOND = List.of("hardener", "catalyst");

  /** What a pack holds for a mix. */
  public enum Holds {
    BOTH,
    FIRST,
    SECOND,
    /** A grade of catalyst that is not the one picked. */
    ANOTHER
  }

  /** What was kept before parts were sold apart holds both. */
  public Pack {
    if (!(massG > 0) || !(price >= 0)) {
      throw new UnreadableQuantity("A pack needs a mass and a price.");
    }
    of = of == null ? "" : of;
  }

  /** Both parts together. */
  public Pack(double massG, double price) {
    this(massG, price, "");
  }

  /** What it holds for a mix of a product, with the grade of catalyst that is picked. */
  public Holds holds(Product product) {
    if (of.isEmpty()) {
      return Holds.BOTH;
    }
    if (of.equalsIgnoreCase(product.role().first())) {
      return Holds.FIRST;
    }
    String grade = product.grade();
    // with a grade that has packs of its own, the sheet's usual one is another
    boolean named =
        !grade.isEmpty() && product.packs().stream().anyMatch(p -> p.of.equalsIgnoreCase(grade));
    boolean usual = of.equalsIgnoreCase(product.role().second()) || SECOND.contains(of);
    return (named ? of.equalsIgnoreCase(grade) : usual) ? Holds.SECOND : Holds.ANOTHER;
  }

  /** Reads "1 kg at 34, 20 kg of base at 410, 1 kg of hardener at 45". */
  public static List<Pack> parse(String text) {
    List<Pack> packs = new ArrayList<>();
    for (String one : text.strip().split("\\s*[,;]\\s+|\\s*;\\s*")) {
      String[] halves = one.toLowerCase(Locale.ROOT).split("\\s+(?:at|for|@)\\s+");
      if (halves.length != 2) {
        throw new UnreadableQuantity(
            "“"
                + one
                + "” is not a pack. Write them as “1 kg at 34, 5 kg at 139”, and parts sold apart"
                + " as “20 kg of base at 410, 1 kg of hardener at 45”.");
      }
      Pack what = unpriced(halves[0], Units.METRIC);
      double price = Numbers.parse(halves[1].replaceAll("[^\\d.,]", ""));
      packs.add(new Pack(what.massG, price, what.of));
    }
    packs.sort(Comparator.comparing(Pack::of).thenComparingDouble(Pack::massG));
    return List.copyOf(packs);
  }

  /** Reads "5 kg", "1 kg of hardener". */
  public static Pack unpriced(String text, Units units) {
    String[] what = text.strip().toLowerCase(Locale.ROOT).split("\\s+of\\s+", 2);
    return new Pack(Mass.parseG(what[0], units), 0, what.length == 1 ? "" : what[1].strip());
  }

  public static String text(List<Pack> packs) {
    return String.join(
        ", ", packs.stream().map(p -> p.text() + " at " + Numbers.trimmed(p.price, 2)).toList());
  }

  /** "20 kg of base". */
  public String text() {
    return Numbers.trimmed(massG / 1000, 3) + " kg" + ofWhat();
  }

  /** The same in the units of a job or the workshop. */
  public String text(Units units) {
    return Mass.format(massG, units) + ofWhat();
  }

  private String ofWhat() {
    return of.isEmpty() ? "" : " of " + of;
  }
}
