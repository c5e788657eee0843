package ungula.core.run;

import java.util.ArrayList;
import java.util.List;
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
 * @param spoilt whether there is too much of something, so that it may be started again
 * @param toZero whether the cup has to be put on and the scale set to zero first
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
    Cup cup,
    boolean spoilt,
    boolean toZero) {

  public enum Place {
    UNDER,
    GREEN,
    OVER
  }

  /**
   * What is in the cup, as shares of its height, drawn so that all of the batch fills most of it.
   *
   * @param layers from below; the last is what is poured now
   * @param low below it is too little
   * @param mark where it is to stand
   * @param high above it is too much
   */
  public record Cup(List<Layer> layers, double low, double mark, double high) {}

  /**
   * @param first whether it is of the first part
   * @param top of it
   */
  public record Layer(String name, boolean first, double top) {}

  /** Of a cup this is filled by a whole batch. */
  private static final double FULL = 0.72;

  private static final double KILO = 10_000;

  /**
   * @param scale whether one is heard
   * @param grams of the part that is poured now, as it shows them; null: as weighed last
   */
  public static Optional<Weighing> of(RunPlan plan, RunState state, boolean scale, Double grams) {
    return state
        .current()
        .filter(p -> state.pouring().isPresent())
        .map(p -> new Making(plan, state, p, scale, grams).weighing());
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
    private final boolean unknown;

    Making(RunPlan plan, RunState state, Progress p, boolean scale, Double grams) {
      this.plan = plan;
      this.unknown = scale && state.grams(0).isEmpty();
      this.p = p;
      this.part = state.pouring().orElseThrow();
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

    /** Whether the scale waits for a cup. */
    private boolean empty() {
      return unknown && p.phase() != Phase.MIX;
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
      if (empty()) {
        return "Put the cup on the scale, and set it to zero.";
      }
      if (p.phase() == Phase.MIX) {
        return "Weighed. Lift the cup off the scale.";
      }
      return switch (place) {
        case UNDER ->
            (part == Part.ADDITIVE ? "Add " : "Pour ")
                + name()
                + " until the mark stands in the green.";
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
        String then =
            batch().hardenerPerBase() > 0
                ? " The " + plan.role().second() + " follows what you really pour."
                : "";
        return batch().title() + ", " + say(targetG) + " of " + name() + "." + then;
      }
      String second =
          p.hardenerG() > 0 ? " and " + say(p.hardenerG()) + " of " + plan.role().second() : "";
      String third =
          p.additiveG() > 0 ? ", " + say(p.additiveG()) + " of " + batch().additive() : "";
      return say(p.baseG()) + " of " + first() + second + third + ".";
    }

    private Cup cup() {
      double whole =
          Math.max(batch().baseG(), p.baseG())
              * (1 + batch().hardenerPerBase())
              * (1 + batch().additiveShare());
      double scale = FULL / Math.max(whole, 1e-9);
      List<Layer> layers = new ArrayList<>();
      boolean saves = p.phase() == Phase.SAVE;
      double belowG = 0;
      if (part != Part.BASE || saves) {
        belowG += p.baseG();
        layers.add(new Layer(first(), true, Math.min(1, belowG * scale)));
      }
      if (part == Part.ADDITIVE || saves) {
        belowG += p.hardenerG();
        layers.add(new Layer(plan.role().second(), false, Math.min(1, belowG * scale)));
      }
      // of base that is added to save a batch the first of it is in already
      double thereG = saves ? p.baseG() : 0;
      double to = belowG - thereG;
      layers.add(new Layer(name(), part == Part.BASE, Math.min(1, (to + nowG) * scale)));
      return new Cup(
          List.copyOf(layers),
          Math.min(1, (to + low()) * scale),
          Math.min(1, (to + targetG) * scale),
          Math.min(1, (to + high()) * scale));
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
          cup(),
          place() == Place.OVER || p.phase() == Phase.SAVE,
          empty());
    }
  }
}
