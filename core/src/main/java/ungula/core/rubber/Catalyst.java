package ungula.core.rubber;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.UnreadableQuantity;

/**
 * A grade of catalyst a base is sold with: its own dose and its own times.
 *
 * @param name as the sheet calls it: "fast", "slow"
 * @param ratio it is dosed at
 * @param potLifeMin minutes at the sheet's temperature; null when not stated
 * @param demouldMin minutes at the sheet's temperature; null when not stated
 */
public record Catalyst(String name, Ratio ratio, Double potLifeMin, Double demouldMin) {

  /** Reads "fast: 4 % of base, pot life 20 min, demould 5 h; slow: …". */
  public static List<Catalyst> parse(String text) {
    List<Catalyst> all = new ArrayList<>();
    for (String one : text.strip().split("\\s*;\\s*")) {
      String[] named = one.split("\\s*:\\s+", 2);
      if (named.length != 2 || named[0].isBlank()) {
        throw new UnreadableQuantity(
            "“"
                + one
                + "” is not a grade. Write them as “fast: 4 % of base, pot life 20 min, demould"
                + " 5 h; slow: …”.");
      }
      String[] parts = named[1].split("\\s*,\\s+");
      Double pot = null;
      Double demould = null;
      for (int i = 1; i < parts.length; i++) {
        String part = parts[i].toLowerCase(Locale.ROOT);
        if (part.startsWith("pot life ")) {
          pot = minutes(part.substring(9));
        } else if (part.startsWith("demould ")) {
          demould = minutes(part.substring(8));
        } else {
          throw new UnreadableQuantity(
              "“" + parts[i] + "” is neither a pot life nor a demould time.");
        }
      }
      all.add(new Catalyst(named[0].strip(), Ratio.parse(parts[0]), pot, demould));
    }
    return List.copyOf(all);
  }

  public static String text(List<Catalyst> all) {
    return String.join("; ", all.stream().map(Catalyst::text).toList());
  }

  private String text() {
    return name
        + ": "
        + ratio.text()
        + (potLifeMin == null ? "" : ", pot life " + time(potLifeMin))
        + (demouldMin == null ? "" : ", demould " + time(demouldMin));
  }

  private static double minutes(String text) {
    return Timespan.parse(text).toMillis() / 60_000.0;
  }

  private static String time(double minutes) {
    return Timespan.format(Duration.ofSeconds(Math.round(60 * minutes)));
  }
}
