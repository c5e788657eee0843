package ungula.server.command;

import static ungula.server.command.JsonFile.flag;
import static ungula.server.command.JsonFile.list;
import static ungula.server.command.JsonFile.maybe;
import static ungula.server.command.JsonFile.number;
import static ungula.server.command.JsonFile.or;
import static ungula.server.command.JsonFile.part;
import static ungula.server.command.JsonFile.text;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import ungula.core.cast.Amounts.Cast;
import ungula.core.cast.Amounts.Liquid;
import ungula.core.pour.Vessel;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Ratio;
import ungula.server.command.JsonFile.Unreadable;

/** {@code amounts FILE}: what is mixed for a cast, no server; keys in docs/methods.md, "Casts". */
public final class Amounts implements FileCommand.Answer {

  private static final String USAGE = "amounts FILE.json [--json]";
  private static final String FILE = "the file";
  private static final double MOST_ML = 1e7;
  private static final double MOST_G = 1e7;
  private static final double MOST_MM = 1e5;
  private static final double MOST_DENSITY = 25;

  private final ungula.core.cast.Amounts amounts;

  private Amounts(ungula.core.cast.Amounts amounts) {
    this.amounts = amounts;
  }

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a file that cannot be read or says too
   *     little
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    return FileCommand.run(
        USAGE, "One cast is worked out at a time.", args, out, err, Amounts::answer);
  }

  private static Amounts answer(byte[] json) throws Unreadable {
    JsonNode all = JsonFile.object(json, "A cast");
    double channels =
        or(maybe(all, "sprueMl", FILE, 0, MOST_ML), 0)
            + or(maybe(all, "ventsMl", FILE, 0, MOST_ML), 0);
    double loss =
        or(maybe(all, "lossPct", FILE, 0, 100), 100 * ungula.core.cast.Amounts.USUAL_LOSS) / 100;
    JsonNode product = part(all, "product", FILE);
    Liquid liquid =
        new Liquid(ratio(product), density(product, "densityA"), density(product, "densityB"));
    return new Amounts(
        ungula.core.cast.Amounts.of(
            cast(all),
            inserts(all),
            1000 * channels,
            loss,
            liquid,
            fillers(all),
            flag(all, "byVolume", FILE) ? cup(part(all, "cup", FILE)) : null));
  }

  private static Cast cast(JsonNode all) throws Unreadable {
    Double cavity = maybe(all, "cavityMl", FILE, 0.001, MOST_ML);
    Double master = maybe(all, "masterG", FILE, 0.001, MOST_G);
    if (cavity == null && master == null || cavity != null && master != null) {
      throw new Unreadable(
          "the file: say \"cavityMl\", or \"masterG\" and its \"factor\", and only one of them.");
    }
    return cavity == null
        ? Cast.ofMaster(master, number(all.get("factor"), "factor", 0.01, 100))
        : Cast.ofCavity(1000 * cavity);
  }

  private static Double density(JsonNode of, String key) throws Unreadable {
    return maybe(of, key, "product", 0.01, MOST_DENSITY);
  }

  private static Ratio ratio(JsonNode product) throws Unreadable {
    JsonNode ratio = part(product, "ratio", "product");
    String kind = text(ratio, "kind", "ratio");
    double b = number(ratio.get("b"), "ratio, b", 0.001, MOST_G);
    if (kind.equals("pctOfBase")) {
      return new Ratio(Ratio.Basis.PERCENT_OF_BASE, 100, b);
    }
    double a = number(ratio.get("a"), "ratio, a", 0.001, MOST_G);
    return switch (kind) {
      case "weight" -> new Ratio(Ratio.Basis.WEIGHT, a, b);
      case "volume" -> new Ratio(Ratio.Basis.VOLUME, a, b);
      default ->
          throw new Unreadable(
              "ratio, kind: weight, volume or pctOfBase, “" + kind + "” is none of them.");
    };
  }

  private static double inserts(JsonNode all) throws Unreadable {
    double mm3 = 0;
    int number = 0;
    for (JsonNode i : list(all, "inserts", FILE)) {
      String where = "insert " + ++number;
      Double mass = maybe(i, "massG", where, 0.001, MOST_G);
      mm3 +=
          mass == null
              ? ungula.core.cast.Amounts.rodMm3(
                  number(i.get("diameterMm"), where + ", diameterMm", 0.01, MOST_MM),
                  number(i.get("lengthMm"), where + ", lengthMm", 0.01, MOST_MM))
              : 1000 * mass / number(i.get("density"), where + ", density", 0.01, MOST_DENSITY);
    }
    return mm3;
  }

  private static List<Additive> fillers(JsonNode all) throws Unreadable {
    List<Additive> fillers = new ArrayList<>();
    for (JsonNode f : list(all, "fillers", FILE)) {
      String where = "filler " + (fillers.size() + 1);
      String of = text(f, "of", where);
      Additive.Of base =
          switch (of) {
            case "A" -> Additive.Of.BASE;
            case "B" -> Additive.Of.HARDENER;
            case "A+B" -> Additive.Of.BASE_AND_HARDENER;
            default ->
                throw new Unreadable(
                    where
                        + ", of: a dose is a percentage of A, of B or of A+B, not of "
                        + of
                        + ".");
          };
      fillers.add(
          new Additive(
              "",
              Additive.Kind.FILLER,
              number(f.get("pct"), where + ", pct", 0, 1000),
              base,
              maybe(f, "density", where, 0.01, MOST_DENSITY)));
    }
    return fillers;
  }

  private static Vessel cup(JsonNode cup) throws Unreadable {
    return new Vessel(
        number(cup.get("bottomMm"), "cup, bottomMm", 1, MOST_MM),
        number(cup.get("rimMm"), "cup, rimMm", 1, MOST_MM),
        number(cup.get("heightMm"), "cup, heightMm", 1, MOST_MM));
  }

  /** Null stays null. */
  private static Double rounded(Double number, double to) {
    return number == null ? null : (Double) (Math.round(to * number) / to);
  }

  private static Double hundredth(Double number) {
    return rounded(number, 100);
  }

  @Override
  public Map<String, Object> fields() {
    Double ml = amounts.mixedMm3() == null ? null : (Double) (amounts.mixedMm3() / 1000);
    return FileCommand.row(
        "mixedMl",
        hundredth(ml),
        "totalG",
        hundredth(amounts.totalG()),
        "aG",
        hundredth(amounts.aG()),
        "bG",
        hundredth(amounts.bG()),
        "fillersG",
        hundredth(amounts.fillersG()),
        "density",
        rounded(amounts.density(), 10_000),
        "lines",
        amounts.linesMm().stream().map(Amounts::hundredth).toList());
  }

  @Override
  public void print(PrintStream out) {
    if (amounts.aG() != null) {
      out.printf(Locale.ROOT, "A %.1f g, B %.1f g", amounts.aG(), amounts.bG());
      if (amounts.fillersG() > 0) {
        out.printf(Locale.ROOT, ", stirred in %.1f g", amounts.fillersG());
      }
      out.printf(Locale.ROOT, ": %.1f g in all.%n", amounts.totalG());
    }
    if (amounts.mixedMm3() != null) {
      out.printf(Locale.ROOT, "That is %.1f mL.%n", amounts.mixedMm3() / 1000);
    }
    if (!amounts.linesMm().isEmpty()) {
      out.printf(
          Locale.ROOT,
          "In the cup: A to %.1f mm, then B to %.1f mm.%n",
          amounts.linesMm().get(0),
          amounts.linesMm().get(1));
    }
  }
}
