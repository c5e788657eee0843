package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.pour.Batches;
import ungula.core.pour.Batching;
import ungula.core.pour.Batching.Limit;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Vacuum;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Ratio;
import ungula.core.skin.Coat;
import ungula.core.working.Working;

/** What is mixed when: the batches of a plan, one after the other. */
final class PourFigures {

  private final Planner p;
  private final Bubbles bubbles;
  private final Pace pace;
  private final List<PlannedBatch> batches = new ArrayList<>();

  private PourFigures(Planner p) {
    this.p = p;
    this.bubbles = p.choices.rubber().bubbles();
    this.pace = p.workshop.mixing().pace();
  }

  /**
   * How a mix is split by the workshop's limits; empty while no rubber is picked that can be
   * weighed.
   */
  static Optional<Batching> split(Planner p, double mixMm3) {
    Ratio own = p.choices.rubber().ratio();
    Ratio ratio = own != null || p.product == null ? own : p.product.ratio();
    if (p.product == null || ratio == null) {
      return Optional.empty();
    }
    Double density = p.product.mixedDensity(p.product.hardenerPerBase(ratio));
    return density == null
        ? Optional.empty()
        : Optional.of(Batching.of(mixMm3, limits(p).most(density)));
  }

  private static BatchLimits limits(Planner p) {
    return new BatchLimits(p.product, p.workshop, p.choices.rubber().bubbles());
  }

  /** Adds the figures of all batches; none while nothing can be weighed. */
  static Batches add(Planner p, double[] pours) {
    if (p.mix() == null) {
      return Batches.NONE;
    }
    PourFigures f = new PourFigures(p);
    f.budget();
    f.vacuum();
    if (p.poured()) {
      f.first(pours);
      f.count();
      f.poured(pours);
    } else {
      f.coats();
    }
    boolean limited = p.choices.rubber().batches() == null && p.batching != null;
    String reason = limited && p.batching.reason() != null ? reason(p.batching.reason()) : "";
    return new Batches(List.copyOf(f.batches), reason, fewer(p));
  }

  private String ml(double mm3) {
    return Volume.format(mm3, p.units);
  }

  /** What is mixed for the first pour into the box, over all its batches. */
  private void first(double[] pours) {
    Working.Builder w =
        Working.of(
            pours.length == 1
                ? "rubber to mix"
                : "rubber to mix × upper half ÷ all rubber in the box");
    p.figures.volume(
        "pour.first",
        "to mix for the first pour",
        pours[0],
        w.given("rubber to mix", p.figures.get("rubber.mix").text(), COMPUTED).done());
  }

  private void count() {
    Integer chosen = p.choices.rubber().batches();
    Working.Builder w = Working.of("fewest equal batches that keep within every limit");
    if (p.firstMm3 != null) {
      w.step("The first is larger, to cover the master: equal ones would leave a line on it.");
    }
    Optional<Batching> split = Optional.ofNullable(p.batching);
    split.ifPresent(
        b -> {
          w.given("largest pour", ml(b.eachMm3() * b.count()), COMPUTED);
          w.step(b.reason() == null ? "One keeps within all of them." : reason(b.reason()));
        });
    if (chosen != null) {
      w.given("asked for", String.valueOf(chosen), CHOSEN);
    }
    p.figures.put(
        "batch.count",
        "batches",
        p.batches,
        p.batches == 1
            ? "one batch"
            : p.batches + (p.firstMm3 == null ? " equal batches" : " batches, the first larger"),
        w.done());
  }

  /** Why a batch is no larger, as a sentence. */
  static String reason(Limit limit) {
    return switch (limit) {
      case MIXING -> "More is not stirred evenly by hand in time.";
      case BUCKET -> "More is not carried and poured from one bucket.";
      case VESSEL -> "The largest vessel holds no more.";
      case DEGASSING -> "Its foam fills the largest vessel that goes into the vacuum chamber.";
      case SCALE -> "The scale carries no more.";
      case CLOCK -> "More is not weighed, mixed and poured within four fifths of the pot life.";
    };
  }

  /** What lifting a limit would take, as a phrase. */
  static String lifted(Limit limit) {
    return switch (limit) {
      case MIXING -> "with a mixer on a drill";
      case BUCKET -> "with two who pour";
      case VESSEL -> "in a larger vessel";
      case DEGASSING -> "with a larger chamber and vessel";
      case SCALE -> "on a larger scale";
      case CLOCK -> "with a slower grade, or a helper";
    };
  }

  /** How long one batch takes against its pot life. */
  private void budget() {
    double mm3 = p.mix().volumeMm3();
    double minutes = pace.batchMin(mm3, bubbles);
    Working.Builder w =
        Working.of("weighing + stirring + second cup + getting air out + pouring")
            .given("weighing", Amounts.minutes(pace.measureMin()), DEFAULT)
            .given("stirring", Amounts.minutes(pace.mixMin()), DEFAULT)
            .given("second cup", Amounts.minutes(pace.secondCupMin()), DEFAULT);
    if (pace.airMin(bubbles) > 0) {
      String air = bubbles.vacuum() ? "degassing" : "vibrating";
      w.given(air, Amounts.minutes(pace.airMin(bubbles)), DEFAULT);
    }
    p.figures.put(
        "batch.minutes",
        "one batch takes",
        minutes,
        Amounts.minutes(minutes),
        w.given("pouring", Amounts.minutes(pace.pouringMin(mm3)), COMPUTED)
            .step("In a high thin stream of " + ml(pace.pourMm3PerMin()) + " a minute.")
            .done());
  }

  /** What the pump leaves in the chamber. */
  private void vacuum() {
    Vacuum vacuum = p.workshop.mixing().vacuum();
    if (!bubbles.vacuum() || vacuum == null) {
      return;
    }
    double air = Vacuum.airKpa(p.workshop.air().altitudeM());
    double left = Math.max(0, vacuum.absoluteKpa(air));
    p.figures.put(
        "pump.left",
        "left in the chamber",
        left,
        Numbers.fixed(left, 1) + " kPa",
        Working.of("air outside − what the gauge shows")
            .given("the pump reaches", vacuum.text(), MEASURED)
            .given("air outside", Numbers.fixed(air, 1) + " kPa", COMPUTED)
            .given(
                "height above the sea",
                Numbers.trimmed(p.workshop.air().altitudeM(), 0) + " m",
                DEFAULT)
            .step(
                "The same as −"
                    + Numbers.fixed((air - left) / 100, 2)
                    + " bar on a gauge here, "
                    + Numbers.fixed((air - left) / 3.386389, 1)
                    + " inHg, or "
                    + Numbers.fixed(100 * (1 - left / air), 0)
                    + " % of the air gone.")
            .plusMinus("± 3 % of the air outside, with the weather")
            .done());
  }

  /** Each pour has a clock of its own: the second waits until the first has cured. */
  private void poured(double[] pours) {
    for (int pour = 0; pour < pours.length; pour++) {
      double start = 0;
      String of = pours.length == 1 ? "" : pour == 0 ? "upper half" : "lower half";
      double poured = 0;
      double before = start;
      for (int i = 1; i <= p.batches; i++) {
        boolean rest = p.firstMm3 != null && i > 1;
        String keys = pour > 0 ? "later" : rest ? "rest" : "mix";
        double each =
            p.firstMm3 == null
                ? pours[pour] / p.batches
                : rest ? (pours[0] - p.firstMm3) / (p.batches - 1) : p.firstMm3;
        int number = batches.size() + 1;
        String key = "batch." + number;
        fill(key, each);
        poured += each / pours[pour];
        if (pours.length == 1) {
          level(key, poured);
        }
        double begin = start;
        start = clock(key, each, begin);
        if (i > 1) {
          latest(key, each, before);
        }
        before = begin;
        batches.add(
            new PlannedBatch(
                number,
                pour + 1,
                i,
                of,
                key,
                keys + ".base",
                keys + ".hardener",
                additive(keys),
                false));
      }
    }
  }

  private String additive(String keys) {
    return p.figures.has(keys + ".additive") ? keys + ".additive" : "";
  }

  private void coats() {
    for (Coat c : p.skin.coats()) {
      String coat = "coat." + c.number();
      int number = batches.size() + 1;
      String key = "batch." + number;
      Mix mix = p.amounts.coats().get(c.number() - 1);
      if (mix == null) {
        continue;
      }
      fill(key, mix.volumeMm3());
      batches.add(
          new PlannedBatch(
              number,
              c.number(),
              1,
              c.kind().text() + " coat",
              key,
              coat + ".base",
              coat + ".hardener",
              p.figures.has(coat + ".thickener") ? coat + ".thickener" : "",
              c.kind() == Coat.Kind.BUILD && p.build != p.product));
    }
  }

  /** How high a batch stands in the vessel it is mixed in. */
  private void fill(String key, double mm3) {
    limits(p)
        .vesselFor(mm3)
        .ifPresent(
            n -> {
              double level = n.vessel().levelMm(mm3);
              String text = Length.format(level, p.units) + ", " + n.name();
              Working.Builder w =
                  Working.of("height of the volume in a tapering vessel")
                      .given("volume", ml(mm3), COMPUTED)
                      .given("the " + n.name() + " holds", ml(n.vessel().volumeMm3()), MEASURED);
              if (bubbles.vacuum()) {
                w.step(
                    "Its foam stands up to "
                        + Length.format(
                            n.vessel()
                                .levelMm(Math.min(bubbles.rise() * mm3, n.vessel().volumeMm3())),
                            p.units)
                        + ".");
              }
              p.figures.put(key + ".fill", "fill mark", level, text, w.done());
            });
  }

  /** How high the box is full after a share of what is poured. */
  private void level(String key, double share) {
    double level = p.box.levelOf(share * p.box.rubberMm3());
    p.figures.length(
        key + ".level",
        "level in the box",
        level,
        Working.of("height at which the box holds what is poured")
            .given("poured so far", ml(share * p.box.rubberMm3()), COMPUTED)
            .step(
                "Read it off with the dipstick: more than 5 % short, it leaks or the master lifts.")
            .done());
  }

  /**
   * When a batch begins, and until when it is poured.
   *
   * @return when the next begins
   */
  private double clock(String key, double mm3, double startMin) {
    p.figures.put(
        key + ".start",
        "begin",
        startMin,
        clock(startMin),
        Working.of("when the batch before is poured")
            .given("each takes", p.figures.get("batch.minutes").text(), COMPUTED)
            .done());
    if (p.figures.has("rubber.potLife")) {
      double by = startMin + pace.measureMin() + p.figures.value("rubber.potLife");
      p.figures.put(
          key + ".by",
          "poured by",
          by,
          clock(by),
          Working.of("both parts meet + pot life in your room")
              .given("they meet", clock(startMin + pace.measureMin()), COMPUTED)
              .given("pot life", p.figures.get("rubber.potLife").text(), COMPUTED)
              .done());
    }
    return startMin + pace.batchMin(mm3, bubbles);
  }

  /** A batch still bonds to the one before until that has gelled. */
  private void latest(String key, double mm3, double beforeMin) {
    Double gel = Amounts.roomMin(p.product.gelMin(), p.product, p.workshop);
    if (gel == null) {
      return;
    }
    double gelled = beforeMin + pace.measureMin() + gel;
    double latest = gelled - pace.batchMin(mm3, bubbles);
    p.figures.put(
        key + ".latest",
        "begin at the latest",
        latest,
        clock(Math.max(0, latest)),
        Working.of("when the batch before has gelled − how long this one takes")
            .given("the one before has gelled", clock(gelled), COMPUTED)
            .given("this one takes", Amounts.minutes(pace.batchMin(mm3, bubbles)), COMPUTED)
            .step("Later, a line shows where they meet, and they may come apart.")
            .done());
  }

  /** Hours and minutes from the first: "0:25". */
  private static String clock(double min) {
    long all = Math.round(min);
    return all / 60 + (all % 60 < 10 ? ":0" : ":") + all % 60;
  }

  /** What would make fewer batches do, in words. */
  private static List<String> fewer(Planner p) {
    if (p.batching == null || p.choices.rubber().batches() != null) {
      return List.of();
    }
    return p.batching.without().stream()
        .map(
            w ->
                Numbers.fixed(w.count(), 0)
                    + (w.count() == 1 ? " batch " : " batches ")
                    + lifted(w.limit()))
        .toList();
  }
}
