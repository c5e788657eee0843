package ungula.core.run;

import java.util.Optional;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Volume;
import ungula.core.run.Entry.Part;
import ungula.core.run.Progress.Phase;
import ungula.core.run.RunPlan.Batch;

/**
 * What is to be done at the scale now, as it is read from two metres.
 *
 * @param batch by key
 * @param part that is poured
 * @param name of it
 * @param headline what to do
 * @param follows why so much of it
 * @param now in the cup, its digits
 * @param unit of all that is said here
 * @param target that is to be in the cup, with its unit
 * @param left until then, in words
 * @param place how the cup stands to it
 * @param cup levels in it
 */
public record Weighing(
    String batch,
    Part part,
    String name,
    String headline,
    String follows,
    String now,
    String unit,
    String target,
    String left,
    Place place,
    Cup cup) {

  public enum Place {
    UNDER,
    GREEN,
    OVER
  }

  /**
   * Levels in the cup as shares of its height, drawn so that all of the batch fills most of it.
   *
   * @param base top of the first part
   * @param all top of what is poured now
   * @param low below it is too little
   * @param mark where it is to stand
   * @param high above it is too much
   */
  public record Cup(double base, double all, double low, double mark, double high) {}

  /** Of a cup this is filled by a whole batch. */
  private static final double FULL = 0.72;

  private static final double KILO = 10_000;

  /**
   * @param grams of the part that is poured now, as the scale shows it; null: as weighed last
   */
  public static Optional<Weighing> of(RunPlan plan, RunState state, Double grams) {
    return state
        .current()
        .filter(p -> state.pouring().isPresent())
        .map(p -> new Making(plan, p, state.pouring().get(), grams).weighing());
  }

  /** Digits of a mass at the scale, without its unit. */
  private static String digits(double g, Units units) {
    if (units.display() == Display.INCH) {
      return Numbers.fixed(g / Mass.OUNCE_G, 2);
    }
    return Math.abs(g) < KILO ? Numbers.fixed(g, 1) : Numbers.fixed(g / 1000, 3);
  }

  private static String unit(double g, Units units) {
    return units.display() == Display.INCH ? "oz" : Math.abs(g) < KILO ? "g" : "kg";
  }

  /** A mass as it is said at the scale. */
  public static String grams(double g, Units units) {
    return digits(g, units) + " " + unit(g, units);
  }

  private static final class Making {
    private final RunPlan plan;
    private final Progress p;
    private final Part part;
    private final double nowG;
    private final double targetG;

    Making(RunPlan plan, Progress p, Part part, Double grams) {
      this.plan = plan;
      this.p = p;
      this.part = part;
      this.nowG = grams == null ? p.of(part) : Math.max(0, grams);
      this.targetG =
          p.phase() == Phase.SAVE
              ? p.baseG() + p.still().orElseThrow().addBaseG()
              : p.targetG(part);
    }

    private Batch batch() {
      return p.batch();
    }

    private String first() {
      return plan.role().first();
    }

    private String name() {
      return switch (part) {
        case BASE -> first();
        case HARDENER -> plan.role().second();
        case ADDITIVE -> batch().additive();
      };
    }

    private String say(double g) {
      return grams(g, plan.units());
    }

    private double low() {
      return targetG * (1 - batch().tolerance());
    }

    private double high() {
      return targetG * (1 + batch().tolerance());
    }

    private Place place() {
      return nowG < low() ? Place.UNDER : nowG > high() ? Place.OVER : Place.GREEN;
    }

    private String left() {
      double off = targetG - nowG;
      if (place() == Place.GREEN) {
        return "in the green";
      }
      return off > 0 ? say(off) + " to go" : say(-off) + " too much";
    }

    private String headline() {
      Place place = place();
      if (p.phase() == Phase.SAVE) {
        return "Too much "
            + plan.role().second()
            + ": add "
            + say(targetG - p.baseG())
            + " of "
            + first()
            + ".";
      }
      if (p.phase() == Phase.MIX) {
        return "Weighed. Lift the cup off the scale.";
      }
      return switch (place) {
        case UNDER -> "Pour " + name() + " until the mark stands in the green.";
        case GREEN -> "Stop: the " + name() + " is in the green.";
        case OVER -> "Stop: more " + name() + " than planned.";
      };
    }

    private String follows() {
      if (p.phase() == Phase.SAVE) {
        Progress.Still still = p.still().orElseThrow();
        String volume = still.mm3() == null ? "" : ", " + Volume.format(still.mm3(), plan.units());
        return "Then "
            + say(still.totalG())
            + volume
            + " are in the cup. If it does not hold that, start again in a clean one.";
      }
      if (part == Part.BASE || p.phase() == Phase.MIX) {
        return weighed();
      }
      double more = p.baseG() - batch().baseG();
      boolean off = Math.abs(more) > Math.max(0.05, batch().baseG() * 0.0005);
      String poured = "You poured " + say(p.baseG()) + " of " + first();
      return off
          ? poured
              + ", "
              + say(Math.abs(more))
              + (more > 0 ? " more" : " less")
              + " than planned: the "
              + name()
              + " follows it."
          : poured + ", as planned.";
    }

    private String weighed() {
      if (p.phase() != Phase.MIX) {
        return "For " + batch().name() + ".";
      }
      String second =
          p.hardenerG() > 0 ? " and " + say(p.hardenerG()) + " of " + plan.role().second() : "";
      String third =
          p.additiveG() > 0 ? ", " + say(p.additiveG()) + " of " + batch().additive() : "";
      return say(p.baseG()) + " of " + first() + second + third + ".";
    }

    private Cup cup() {
      double hardener = p.targetG(Part.HARDENER);
      double whole =
          Math.max(batch().baseG(), p.baseG())
              * (1 + batch().hardenerPerBase())
              * (1 + batch().additiveShare());
      double scale = FULL / Math.max(whole, 1e-9);
      double below =
          switch (part) {
            case BASE -> p.hardenerG();
            case HARDENER -> p.baseG();
            case ADDITIVE -> p.baseG() + Math.max(p.hardenerG(), hardener);
          };
      double base = part == Part.BASE ? (p.phase() == Phase.SAVE ? below : 0) : p.baseG();
      return new Cup(
          Math.min(1, base * scale),
          Math.min(1, (below + nowG) * scale),
          Math.min(1, (below + low()) * scale),
          Math.min(1, (below + targetG) * scale),
          Math.min(1, (below + high()) * scale));
    }

    Weighing weighing() {
      return new Weighing(
          batch().key(),
          part,
          name(),
          headline(),
          follows(),
          digits(nowG, plan.units()),
          unit(nowG, plan.units()),
          say(targetG),
          left(),
          place(),
          cup());
    }
  }
}
