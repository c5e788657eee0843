package ungula.core.run;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Ratio;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.Progress.Phase;
import ungula.core.run.RunPlan.Batch;
import ungula.core.working.Working;

/**
 * What is to be done at the scale now, as it is read from two metres.
 *
 * @param batch by key
 * @param part that is poured
 * @param which of what is stirred in, from 0
 * @param name of it
 * @param headline what to do
 * @param follows why so much of it
 * @param now in the cup, its digits
 * @param unit of all that is said here
 * @param target that is to be in the cup, with its unit
 * @param working how that came about
 * @param left until then, in words
 * @param place how the cup stands to it
 * @param cup levels in it
 * @param spoilt whether there is too much of something, so that it may be started again
 * @param toZero whether the cup has to be put on and the scale set to zero first
 */
public record Weighing(
    String batch,
    Part part,
    int which,
    String name,
    String headline,
    String follows,
    String now,
    String unit,
    String target,
    Working working,
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
    private final Ingredient what;
    private final double nowG;
    private final double targetG;
    private final boolean unknown;

    Making(RunPlan plan, RunState state, Progress p, boolean scale, Double grams) {
      this.plan = plan;
      this.unknown = scale && state.grams(0).isEmpty();
      this.p = p;
      this.what = state.pouring().orElseThrow();
      this.nowG = grams == null ? p.of(what) : Math.max(0, grams);
      this.targetG =
          p.phase() == Phase.SAVE ? p.firstG() + p.still().orElseThrow().addG() : p.targetG(what);
    }

    private Batch batch() {
      return p.batch();
    }

    private String second() {
      return plan.second(batch());
    }

    private boolean isFirst() {
      return what.part() == batch().first();
    }

    private String first() {
      return plan.first(batch());
    }

    private String name() {
      return plan.called(batch(), what);
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
            + second()
            + ": add "
            + say(targetG - p.firstG())
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
            (what.part() == Part.ADDITIVE ? "Add " : "Pour ")
                + name()
                + " until the mark stands in the green.";
        case GREEN -> "Stop: " + RunPlan.the(name()) + " is in the green.";
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
      if (isFirst() || p.phase() == Phase.MIX) {
        return weighed();
      }
      if (what.part() == Part.ADDITIVE && batch().stirred().get(what.which()).early()) {
        return "Blend it into "
            + RunPlan.the(first())
            + " before "
            + RunPlan.the(second())
            + " goes in.";
      }
      double planned = p.targetG(Ingredient.of(batch().first()));
      double more = p.firstG() - planned;
      boolean off = Math.abs(more) > Math.max(0.05, planned * 0.0005);
      String poured = "You poured " + say(p.firstG()) + " of " + first();
      return off
          ? poured
              + ", "
              + say(Math.abs(more))
              + (more > 0 ? " more" : " less")
              + " than planned: "
              + RunPlan.the(name())
              + " follows it."
          : poured + ", as planned.";
    }

    private String weighed() {
      if (p.phase() != Phase.MIX) {
        String then =
            batch().hardenerPerBase() > 0
                ? " " + RunPlan.atFirst(second()) + " follows what you really pour."
                : "";
        return batch().title() + ", " + say(targetG) + " of " + name() + shared() + "." + then;
      }
      StringBuilder all = new StringBuilder(say(p.firstG()) + " of " + first());
      if (p.secondG() > 0) {
        all.append(" and ").append(say(p.secondG())).append(" of ").append(second());
      }
      for (int i = 0; i < p.stirredG().size(); i++) {
        Ingredient stirred = Ingredient.stirred(i);
        all.append(", ").append(say(p.of(stirred))).append(" of ");
        all.append(plan.called(batch(), stirred));
      }
      return all.append('.').toString();
    }

    /** Whom it is weighed for besides. */
    private String shared() {
      return p.shares().stream()
          .map(s -> ", " + say(s.firstG()) + " of it for " + s.mould())
          .collect(Collectors.joining());
    }

    private Cup cup() {
      double whole =
          Math.max(p.targetG(Ingredient.of(batch().first())), p.firstG())
              * (1 + batch().secondPerFirst())
              * (1 + batch().stirred().stream().mapToDouble(RunPlan.Stirred::share).sum());
      double scale = FULL / Math.max(whole, 1e-9);
      List<Layer> layers = new ArrayList<>();
      boolean saves = p.phase() == Phase.SAVE;
      double belowG = 0;
      for (Ingredient in : inTheCup(saves)) {
        belowG += p.of(in);
        boolean first = in.part() == batch().first();
        layers.add(new Layer(plan.called(batch(), in), first, Math.min(1, belowG * scale)));
      }
      // of what is added to save a batch the first of it is in already
      double thereG = saves ? p.firstG() : 0;
      double to = belowG - thereG;
      layers.add(new Layer(name(), isFirst(), Math.min(1, (to + nowG) * scale)));
      return new Cup(
          List.copyOf(layers),
          Math.min(1, (to + low()) * scale),
          Math.min(1, (to + targetG) * scale),
          Math.min(1, (to + high()) * scale));
    }

    /** By what was really poured, as far as anything was. */
    private Working working() {
      RunPlan.Batch b = batch();
      if (p.phase() == Phase.SAVE) {
        return Working.of("the second part as poured ÷ ratio")
            .given(second() + " poured", say(p.secondG()), MEASURED)
            .given("ratio", ratio(), SHEET)
            .done();
      }
      if (what.part() == Part.ADDITIVE) {
        boolean early = b.stirred().get(what.which()).early();
        return Working.of(
                early ? "both parts as they will be × dose" : "both parts as poured × dose")
            .given("both parts", say(targetG / b.stirred().get(what.which()).share()), COMPUTED)
            .given("dose", Share.format(b.stirred().get(what.which()).share(), 2), CHOSEN)
            .done();
      }
      if (!isFirst()) {
        return Working.of("the first part as poured × ratio")
            .given(first() + " poured", say(p.firstG()), MEASURED)
            .given("ratio", ratio(), SHEET)
            .done();
      }
      Working.Builder w =
          Working.of(p.shares().isEmpty() ? "as planned" : "as planned + for other moulds")
              .given(b.name(), say(b.firstG()), COMPUTED);
      p.shares().forEach(s -> w.given("for " + s.mould(), say(s.firstG()), COMPUTED));
      return w.done();
    }

    private String ratio() {
      return Ratio.sentence(batch().hardenerPerBase(), plan.role().first(), plan.role().second());
    }

    /** What lies under what is poured now, from below. */
    private List<Ingredient> inTheCup(boolean saves) {
      List<Ingredient> order = new ArrayList<>();
      order.add(Ingredient.of(batch().first()));
      List<Ingredient> late = new ArrayList<>();
      for (int i = 0; i < batch().stirred().size(); i++) {
        (batch().stirred().get(i).early() ? order : late).add(Ingredient.stirred(i));
      }
      order.add(Ingredient.of(batch().second()));
      order.addAll(late);
      return order.stream()
          .filter(in -> p.of(in) > 0 && (saves || order.indexOf(in) < order.indexOf(what)))
          .toList();
    }

    Weighing weighing() {
      return new Weighing(
          batch().key(),
          what.part(),
          what.which(),
          name(),
          headline(),
          follows(),
          digits(nowG, plan.units()),
          unit(nowG, plan.units()),
          say(targetG),
          working(),
          left(),
          place(),
          cup(),
          place() == Place.OVER || p.phase() == Phase.SAVE,
          empty());
    }
  }
}
