package ungula.core.rubber;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;

/**
 * A pack a product is sold in: base and hardener together.
 *
 * @param massG what both parts of it come to
 * @param price in the workshop's currency
 */
public record Pack(double massG, double price) {

  public Pack {
    if (!(massG > 0) || !(price >= 0)) {
      throw new UnreadableQuantity("A pack needs a mass and a price.");
    }
  }

  /** Reads "1 kg at 34, 5 kg at 139". */
  public static List<Pack> parse(String text) {
    List<Pack> packs = new ArrayList<>();
    for (String one : text.strip().split("\\s*[,;]\\s+|\\s*;\\s*")) {
      String[] halves = one.toLowerCase(Locale.ROOT).split("\\s+(?:at|for|@)\\s+");
      if (halves.length != 2) {
        throw new UnreadableQuantity(
            "“" + one + "” is not a pack. Write them as “1 kg at 34, 5 kg at 139”.");
      }
      packs.add(
          new Pack(
              Mass.parseG(halves[0], Units.METRIC),
              Numbers.parse(halves[1].replaceAll("[^\\d.,]", ""))));
    }
    packs.sort((a, b) -> Double.compare(a.massG, b.massG));
    return List.copyOf(packs);
  }

  public static String text(List<Pack> packs) {
    return String.join(
        ", ",
        packs.stream()
            .map(p -> Numbers.trimmed(p.massG / 1000, 3) + " kg at " + Numbers.trimmed(p.price, 2))
            .toList());
  }
}
