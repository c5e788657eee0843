package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.mould.BoxMould;
import ungula.core.pour.Batches;
import ungula.core.pour.Batching;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Vacuum;
import ungula.core.rubber.Mix;
import ungula.core.skin.Coat;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What is mixed when: the batches of a plan, one after the other.
 *
 * @param box rubber is poured into; null for a skin
 * @param coated what is brushed; null for rubber that is poured
 * @param batching how the workshop's limits split the largest pour; null for a skin
 * @param list of batches, in the order they are mixed
 */
public record PourPart(
    Brief brief, MixPart mix, BoxMould box, CoatsPart coated, Batching batching, List<Batch> list)
    implements Part {

  /**
   * One batch.
   *
   * @param mix of it
   * @param levelMm in the box once it is poured; null where pours are several, and for a skin
   */
  public record Batch(PlannedBatch batch, Mix mix, Double levelMm) {

    public double mm3() {
      return mix.volumeMm3();
    }

    /** What is weighed for it, g, by the keys of their figures. */
    public Map<String, Double> amounts() {
      Map<String, Double> all = new LinkedHashMap<>();
      all.put(batch.base(), mix.baseG());
      all.put(batch.hardener(), mix.hardenerG());
      if (!batch.additive().isEmpty()) {
        all.put(batch.additive(), mix.additiveG());
      }
      return all;
    }
  }

  /** Of rubber poured into a box. */
  static PourPart of(Brief b, MixPart mix, BoxMould box, Batching batching) {
    List<Batch> list = new ArrayList<>();
    for (int pour = 0; pour < mix.pours().size(); pour++) {
      poured(mix, box, pour, list);
    }
    return new PourPart(b, mix, box, null, batching, List.copyOf(list));
  }

  private static void poured(MixPart mix, BoxMould box, int pour, List<Batch> list) {
    boolean two = mix.pours().size() > 1;
    double all = mix.pours().get(pour);
    double poured = 0;
    for (int i = 1; i <= mix.batches(); i++) {
      boolean rest = mix.rest() != null && i > 1;
      String keys = pour > 0 ? "later" : rest ? "rest" : "mix";
      Mix weighed = pour > 0 ? mix.later().get(pour - 1) : rest ? mix.rest() : mix.first();
      double mm3 = weighed.volumeMm3();
      poured += mm3 / all;
      int number = list.size() + 1;
      list.add(
          new Batch(
              new PlannedBatch(
                  number,
                  pour + 1,
                  i,
                  two ? pour == 0 ? "upper half" : "lower half" : "",
                  "batch." + number,
                  keys + ".base",
                  keys + ".hardener",
                  weighed.additiveG() > 0 ? keys + ".additive" : "",
                  false),
              weighed,
              two ? null : box.levelOf(poured * box.rubberMm3())));
    }
  }

  /** Of coats, each a batch; none of those whose rubber cannot be weighed. */
  static PourPart of(Brief b, MixPart mix, CoatsPart coated) {
    List<Batch> list = new ArrayList<>();
    for (Coat c : coated.list()) {
      String coat = "coat." + c.number();
      Mix its = mix.coats().get(c.number() - 1);
      if (its == null) {
        continue;
      }
      int number = list.size() + 1;
      list.add(
          new Batch(
              new PlannedBatch(
                  number,
                  c.number(),
                  1,
                  c.kind().text() + " coat",
                  "batch." + number,
                  coat + ".base",
                  coat + ".hardener",
                  its.additiveG() > 0 ? coat + ".thickener" : "",
                  c.kind() == Coat.Kind.BUILD && b.build() != b.product()),
              its,
              null));
    }
    return new PourPart(b, mix, null, coated, null, List.copyOf(list));
  }

  private Bubbles bubbles() {
    return brief.choices().rubber().bubbles();
  }

  private Pace pace() {
    return brief.workshop().mixing().pace();
  }

  /** From weighing one batch to the last of it poured. */
  public double batchMin() {
    return pace().batchMin(mix.first().volumeMm3(), bubbles());
  }

  /** Left in the chamber, kPa; null without vacuum, and while the pump's reach is not said. */
  public Double leftKpa() {
    Vacuum vacuum = brief.workshop().mixing().vacuum();
    return !bubbles().vacuum() || vacuum == null ? null : vacuum.absoluteKpa(airKpa());
  }

  /** The air outside, kPa. */
  public double airKpa() {
    return Vacuum.airKpa(brief.workshop().air().altitudeM());
  }

  /** Whether the workshop's limits decide on the number of batches. */
  private boolean limited() {
    return brief.choices().rubber().batches() == null && batching != null;
  }

  public Batches batches() {
    return new Batches(
        list.stream().map(Batch::batch).toList(),
        limited() && batching.reason() != null ? batching.reason().reason() : "",
        fewer());
  }

  /** What would make fewer batches do, in words. */
  private List<String> fewer() {
    return !limited()
        ? List.of()
        : batching.without().stream()
            .map(
                w ->
                    Numbers.fixed(w.count(), 0)
                        + (w.count() == 1 ? " batch " : " batches ")
                        + w.limit().lifted())
            .toList();
  }

  @Override
  public void show(FigureBook figures) {
    budget(figures);
    vacuum(figures);
    if (coated != null) {
      coats(figures);
      list.forEach(t -> fill(t, figures));
      return;
    }
    first(figures);
    count(figures);
    for (Batch t : list) {
      fill(t, figures);
      level(t, figures);
    }
  }

  /** What is mixed for the first pour into the box, over all its batches. */
  private void first(FigureBook figures) {
    figures.volume(
        "pour.first",
        "to mix for the first pour",
        mix.pours().get(0),
        Working.of(
                mix.pours().size() == 1
                    ? "rubber to mix"
                    : "rubber to mix × upper half ÷ all rubber in the box")
            .given("rubber to mix", figures.get("rubber.mix").text(), COMPUTED)
            .done());
  }

  private void count(FigureBook figures) {
    Integer chosen = brief.choices().rubber().batches();
    Working.Builder w = Working.of("fewest equal batches that keep within every limit");
    if (mix.rest() != null) {
      w.step("The first is larger, to cover the master: equal ones would leave a line on it.");
    }
    if (batching != null) {
      w.given("largest pour", brief.ml(batching.eachMm3() * batching.count()), COMPUTED);
      w.step(
          batching.reason() == null ? "One keeps within all of them." : batching.reason().reason());
    }
    if (chosen != null) {
      w.given("asked for", String.valueOf(chosen), CHOSEN);
    }
    int count = mix.batches();
    figures.put(
        "batch.count",
        "batches",
        count,
        count == 1
            ? "one batch"
            : count + (mix.rest() == null ? " equal batches" : " batches, the first larger"),
        w.done());
  }

  /** How long one batch takes against its pot life. */
  private void budget(FigureBook figures) {
    Pace pace = pace();
    Working.Builder w =
        Working.of("weighing + stirring + second cup + getting air out + pouring")
            .given("weighing", Timespan.formatMin(pace.measureMin()), DEFAULT)
            .given("stirring", Timespan.formatMin(pace.mixMin()), DEFAULT)
            .given("second cup", Timespan.formatMin(pace.secondCupMin()), DEFAULT);
    if (pace.airMin(bubbles()) > 0) {
      String air = bubbles().vacuum() ? "degassing" : "vibrating";
      w.given(air, Timespan.formatMin(pace.airMin(bubbles())), DEFAULT);
    }
    figures.put(
        "batch.minutes",
        "one batch takes",
        batchMin(),
        Timespan.formatMin(batchMin()),
        w.given("pouring", Timespan.formatMin(pace.pouringMin(mix.first().volumeMm3())), COMPUTED)
            .step("In a high thin stream of " + brief.ml(pace.pourMm3PerMin()) + " a minute.")
            .done());
  }

  /** What the pump leaves in the chamber. */
  private void vacuum(FigureBook figures) {
    if (leftKpa() == null) {
      return;
    }
    double air = airKpa();
    double left = Math.max(0, leftKpa());
    figures.put(
        "pump.left",
        "left in the chamber",
        left,
        Numbers.fixed(left, 1) + " kPa",
        Working.of("air outside − what the gauge shows")
            .given("the pump reaches", brief.workshop().mixing().vacuum().text(), MEASURED)
            .given("air outside", Numbers.fixed(air, 1) + " kPa", COMPUTED)
            .given(
                "height above the sea",
                Numbers.trimmed(brief.workshop().air().altitudeM(), 0) + " m",
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

  private void coats(FigureBook figures) {
    for (Coat c : coated.list()) {
      Mix its = mix.coats().get(c.number() - 1);
      if (its != null) {
        weighed(c, its, mix.pours().get(c.number() - 1), figures);
      }
    }
  }

  private void weighed(Coat c, Mix its, double mm3, FigureBook figures) {
    String name = CoatsPart.name(c);
    Working.Builder w =
        Working.of("share of all that is mixed, as its rubber is of all coats; split by the ratio")
            .given("volume to mix", brief.ml(mm3), COMPUTED)
            .given("ratio", mix.ratio(coated.product(c)).text(), SHEET);
    if (brief.build() != brief.product()) {
      w.given("rubber", coated.product(c).name(), CHOSEN);
    }
    if (its.additiveG() > 0) {
      w.given(
          c.thickener().text(),
          Numbers.trimmed(c.thickener().dosePct(), 1) + " % of base and hardener",
          DEFAULT);
    }
    Working done = w.rounded("rounded as shown; right within 2 %").done();
    figures.mass(CoatsPart.key(c, "base"), "base, " + name, its.baseG(), done);
    figures.mass(CoatsPart.key(c, "hardener"), "hardener, " + name, its.hardenerG(), done);
    if (its.additiveG() > 0) {
      figures.mass(CoatsPart.key(c, "thickener"), "thickener, " + name, its.additiveG(), done);
    }
    figures.mass(CoatsPart.key(c, "mass"), "to mix, " + name, its.totalG(), done);
  }

  /** How high a batch stands in the vessel it is mixed in. */
  private void fill(Batch t, FigureBook figures) {
    brief
        .workshop()
        .limits(brief.product(), bubbles())
        .vesselFor(t.mm3())
        .ifPresent(
            n -> {
              double level = n.vessel().levelMm(t.mm3());
              Working.Builder w =
                  Working.of("height of the volume in a tapering vessel")
                      .given("volume", brief.ml(t.mm3()), COMPUTED)
                      .given(
                          "the " + n.name() + " holds", brief.ml(n.vessel().volumeMm3()), MEASURED);
              if (bubbles().vacuum()) {
                double foam = Math.min(bubbles().rise() * t.mm3(), n.vessel().volumeMm3());
                w.step("Its foam stands up to " + brief.mm(n.vessel().levelMm(foam)) + ".");
              }
              String text = brief.mm(level) + ", " + n.name();
              figures.put(t.batch.key() + ".fill", "fill mark", level, text, w.done());
            });
  }

  /** How high the box is full after a share of what is poured. */
  private void level(Batch t, FigureBook figures) {
    if (t.levelMm == null) {
      return;
    }
    double sofar = list.stream().takeWhile(o -> o != t).mapToDouble(Batch::mm3).sum() + t.mm3();
    figures.length(
        t.batch.key() + ".level",
        "level in the box",
        t.levelMm,
        Working.of("height at which the box holds what is poured")
            .given(
                "poured so far", brief.ml(sofar / mix.pours().get(0) * box.rubberMm3()), COMPUTED)
            .step(
                "Read it off with the dipstick: more than 5 % short, it leaks or the master lifts.")
            .done());
  }
}
