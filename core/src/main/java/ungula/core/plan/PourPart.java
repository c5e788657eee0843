package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import ungula.core.choice.First;
import ungula.core.mould.BoxMould;
import ungula.core.pour.Batches;
import ungula.core.pour.Batching;
import ungula.core.pour.Bubbles;
import ungula.core.pour.NamedVessel;
import ungula.core.pour.Pace;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Vacuum;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Ratio;
import ungula.core.skin.Coat;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What is mixed when: the batches of a plan, one after the other.
 *
 * @param box rubber is poured into; null for a skin
 * @param coated what is brushed; null for rubber that is poured
 * @param halves rubber is poured in; null where it is poured in one
 * @param list of batches, in the order they are mixed
 */
public record PourPart(
    Brief brief, MixPart mix, BoxMould box, CoatsPart coated, HalvesPart halves, List<Batch> list)
    implements Part {

  /**
   * One batch.
   *
   * @param mix of it
   * @param levelMm in the box once it is poured, above what is its base then; null for a skin
   */
  public record Batch(PlannedBatch batch, Mix mix, Double levelMm) {

    public double mm3() {
      return mix.volumeMm3();
    }

    /** Whether it is poured first and left until tacky. */
    public boolean sealing() {
      return batch.batch() == 0;
    }

    /** What is weighed for it, g, by the keys of their figures. */
    public Map<String, Double> amounts() {
      Map<String, Double> all = new LinkedHashMap<>();
      all.put(batch.base(), mix.baseG());
      if (!batch.hardener().isEmpty()) {
        all.put(batch.hardener(), mix.hardenerG());
      }
      for (int i = 0; i < batch.additives().size(); i++) {
        all.put(batch.additives().get(i), mix.additivesG().get(i));
      }
      return all;
    }
  }

  /**
   * Of rubber poured into a box.
   *
   * @param halves it is poured in; null where it is poured in one
   */
  static PourPart of(Brief b, MixPart mix, BoxMould box, HalvesPart halves) {
    PourPart none = new PourPart(b, mix, box, null, halves, List.of());
    List<Batch> list = new ArrayList<>();
    for (int pour = 1; pour <= mix.pours().size(); pour++) {
      none.poured(pour, list);
    }
    return new PourPart(b, mix, box, null, halves, List.copyOf(list));
  }

  private void poured(int pour, List<Batch> list) {
    PourMix its = mix.pours().get(pour - 1);
    double poured = 0;
    for (int i = its.firstNumber(); i <= its.batches(); i++) {
      boolean rest = its.rest() != null && i > 1;
      String keys =
          i == 0 ? "sealing" : pour > 1 ? (rest ? "laterRest" : "later") : rest ? "rest" : "mix";
      Mix weighed = its.batch(i);
      poured += weighed.volumeMm3() / its.mm3();
      int number = list.size() + 1;
      list.add(
          new Batch(
              new PlannedBatch(
                  number,
                  pour,
                  i,
                  i == 0 ? "sealing pour" : half(pour),
                  "batch." + number,
                  keys + ".base",
                  keys + ".hardener",
                  MixPart.additiveKeys(keys, weighed),
                  false),
              weighed,
              levelMm(pour, poured)));
    }
  }

  private String half(int pour) {
    return halves == null ? "" : pour == 1 ? "upper half" : "lower half";
  }

  /** Rubber of a pour in the box. */
  public double inBoxMm3(int pour) {
    return halves == null ? box.rubberMm3() : halves.halfMm3(pour);
  }

  /** Rubber mixed for a pour: what is in the box, and what is lost in cups. */
  public double mixedMm3(int pour) {
    return mix.pours().get(pour - 1).mm3();
  }

  /** How high the box is full with a share of a pour, above what is its base then. */
  public double levelMm(int pour, double share) {
    return halves == null
        ? box.levelOf(share * box.rubberMm3())
        : halves.levelMm(pour, Math.min(1, share));
  }

  /** Where a pour's first batch leaves the master bare, or a line shows on every cast. */
  public record Bare(int pour, String of, double levelMm, double masterTopMm) {}

  /** Pours in several batches whose first does not cover the master. */
  public List<Bare> bare() {
    List<Bare> bare = new ArrayList<>();
    for (int pour = 1; coated == null && pour <= mix.pours().size(); pour++) {
      PourMix its = mix.pours().get(pour - 1);
      if (its.batches() < 2 || its.first() == null) {
        continue;
      }
      double level = levelMm(pour, its.firstShare());
      double covered = halves == null ? box.coveredMm() : halves.coveredMm(pour);
      double top = halves == null ? box.belowMm() + box.masterMm().z() : halves.masterTopMm(pour);
      if (level < covered - 1e-6) {
        bare.add(new Bare(pour, half(pour), level, top));
      }
    }
    return bare;
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
                  its.hardenerG() > 0 ? coat + ".hardener" : "",
                  its.additiveG() > 0 ? List.of(coat + ".thickener") : List.of(),
                  c.kind() == Coat.Kind.BUILD && b.build() != b.product()),
              its,
              null));
    }
    return new PourPart(b, mix, null, coated, null, List.copyOf(list));
  }

  /**
   * What is still to mix for the first pour.
   *
   * @param open its batches that are not recorded
   * @param all to mix for it, as it is shown
   */
  public Figure toMix(List<PlannedBatch> open, Figure all) {
    List<Batch> first = list.stream().filter(b -> b.batch.pour() == 1).toList();
    if (open.size() == first.size()) {
      return all;
    }
    double mm3 = first.stream().filter(b -> open.contains(b.batch)).mapToDouble(Batch::mm3).sum();
    return new Figure(
        all.key(),
        "left to mix for the first pour",
        mm3,
        Volume.format(mm3, brief.units()),
        Volume.exact(mm3, brief.units()),
        Working.of("to mix for the first pour − batches that are recorded")
            .given("to mix", all.text(), COMPUTED)
            .given("batches recorded", first.size() - open.size() + "", MEASURED)
            .done());
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

  /** A sealing pour is tacky so long after it is in; null while its rubber's gel is not known. */
  public Double tackyMin(Batch sealing) {
    SkinPart.Rubber times = times();
    double past = pace().batchMin(sealing.mm3(), bubbles()) - pace().measureMin();
    return times == null ? null : Math.max(0, times.times().gelMin() - past);
  }

  /** When its rubber gels and for how long it stays tacky; null while its sheet does not say. */
  public SkinPart.Rubber times() {
    return SkinPart.Rubber.of(brief, brief.product());
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

  /** The limits that decide on the number of batches of the pour they split most. */
  private Optional<Batching> limited() {
    return brief.choices().rubber().batches() != null
        ? Optional.empty()
        : mix.pours().stream()
            .map(PourMix::batching)
            .filter(Objects::nonNull)
            .max(Comparator.comparingInt(Batching::count));
  }

  public Batches batches() {
    return new Batches(
        list.stream().map(Batch::batch).toList(),
        limited().map(Batching::reason).map(Batching.Limit::reason).orElse(""),
        fewer());
  }

  /** What would make fewer batches do, in words. */
  private List<String> fewer() {
    return limited().map(Batching::without).orElse(List.of()).stream()
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
    inAll(figures);
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

  /** Everything that is weighed for the mould; of each part where all batches are of one rubber. */
  private void inAll(FigureBook figures) {
    if (list.isEmpty()) {
      return;
    }
    sum("all.total", "to mix in all", Mix::totalG, figures);
    if (list.stream().noneMatch(t -> t.batch.build())) {
      sum("all.base", "base in all", Mix::baseG, figures);
      sum("all.hardener", "hardener in all", Mix::hardenerG, figures);
      if (coated != null) {
        if (list.stream().anyMatch(t -> t.mix.additiveG() > 0)) {
          sum("all.additive", "thickener in all", Mix::additiveG, figures);
        }
        return;
      }
      List<Additive> stirred = brief.choices().rubber().stirredIn();
      List<String> keys = MixPart.additiveKeys("all", list.get(0).mix);
      for (int i = 0; i < keys.size(); i++) {
        int at = i;
        String label = stirred.get(i).called() + " in all";
        sum(keys.get(i), label, m -> m.additivesG().get(at), figures);
      }
    }
  }

  private void sum(String key, String label, ToDoubleFunction<Mix> part, FigureBook figures) {
    Working.Builder sum = Working.of("sum of all batches");
    for (Batch t : list) {
      String g = Mass.format(part.applyAsDouble(t.mix), brief.units());
      sum.given("batch " + t.batch.number(), g, COMPUTED);
    }
    double g = list.stream().mapToDouble(t -> part.applyAsDouble(t.mix)).sum();
    figures.mass(key, label, g, sum.done());
  }

  /** What is mixed for the first pour into the box, over all its batches. */
  private void first(FigureBook figures) {
    figures.volume(
        "pour.first",
        "to mix for the first pour",
        mix.pours().get(0).mm3(),
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
    boolean larger = mix.pours().stream().anyMatch(p -> p.rest() != null);
    if (larger) {
      w.step("The first is larger, to cover the master: equal ones would leave a line on it.");
    }
    for (int i = 0; i < mix.pours().size(); i++) {
      Batching its = mix.pours().get(i).batching();
      if (its != null) {
        String of = half(i + 1);
        w.given(of.isEmpty() ? "to mix" : of, brief.ml(mix.pours().get(i).mm3()), COMPUTED);
        w.step(
            (of.isEmpty() ? "" : "The " + of + ": ")
                + (its.reason() == null ? "One keeps within all of them." : its.reason().reason()));
      }
    }
    if (chosen != null) {
      w.given(
          mix.pours().size() == 1 ? "asked for" : "asked for, of each half",
          String.valueOf(chosen),
          CHOSEN);
    }
    figures.put("batch.count", "batches", mix.batches(), counted(larger), w.done());
  }

  private String counted(boolean larger) {
    PourMix first = mix.pours().get(0);
    String sealing = first.sealing() == null ? "" : "a sealing pour, then ";
    if (halves == null) {
      return sealing
          + (first.batches() == 1
              ? "one batch"
              : first.batches() + (larger ? " batches, the first larger" : " equal batches"));
    }
    return sealing
        + first.batches()
        + " for the upper half, "
        + mix.pours().get(1).batches()
        + " for the lower";
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
        weighed(c, its, mix.pours().get(c.number() - 1).mm3(), figures);
      }
    }
  }

  private void weighed(Coat c, Mix its, double mm3, FigureBook figures) {
    String name = CoatsPart.name(c);
    Working.Builder w =
        Working.of("share of all that is mixed, as its rubber is of all coats; split by the ratio")
            .given("volume to mix", brief.ml(mm3), COMPUTED)
            .given("ratio", brief.ratio(coated.product(c)).text(), SHEET);
    if (brief.build() != brief.product()) {
      w.given("rubber", coated.product(c).name(), CHOSEN);
    }
    if (its.additiveG() > 0) {
      w.given(
          c.thickener().text(),
          Numbers.trimmed(c.thickener().dosePct(), 1)
              + " % of "
              + (its.hardenerG() > 0 ? "base and hardener" : "the sealant"),
          DEFAULT);
    }
    Working done = w.rounded("rounded as shown; right within 2 %").done();
    String first = coated.product(c).role().first();
    figures.mass(CoatsPart.key(c, "base"), first + ", " + name, its.baseG(), done);
    if (its.hardenerG() > 0) {
      figures.mass(CoatsPart.key(c, "hardener"), "hardener, " + name, its.hardenerG(), done);
    }
    if (its.additiveG() > 0) {
      String adds = c.thickener().adds();
      figures.mass(CoatsPart.key(c, "thickener"), adds + ", " + name, its.additiveG(), done);
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
              int cups = bubbles().cups();
              double each = t.mm3() / cups;
              double level = n.vessel().levelMm(each);
              Working.Builder w =
                  Working.of("height of the volume in a tapering vessel")
                      .given("volume", brief.ml(t.mm3()), COMPUTED)
                      .given(
                          "the " + n.name() + " holds", brief.ml(n.vessel().volumeMm3()), MEASURED);
              if (bubbles().vacuum()) {
                double foam = Math.min(bubbles().rise() * each, n.vessel().volumeMm3());
                w.step("Its foam stands up to " + brief.mm(n.vessel().levelMm(foam)) + ".");
              }
              if (cups > 1) {
                w.step("Mixed in one vessel, then divided between two alike, side by side.");
              }
              String text = brief.mm(level) + ", " + (cups > 1 ? "each of two: " : "") + n.name();
              figures.put(
                  t.batch.key() + ".fill", t.batch.figure("fill mark"), level, text, w.done());
              line(t, n, figures);
            });
  }

  /** Where the parts are measured by volume: the line to fill the first to. */
  private void line(Batch t, NamedVessel n, FigureBook figures) {
    Mix its = t.mix;
    boolean known = its.baseMm3() != null && its.hardenerMm3() != null;
    if (!known || brief.ratio() == null || brief.ratio().basis() != Ratio.Basis.VOLUME) {
      return;
    }
    boolean baseFirst = brief.choices().rubber().first() == First.BASE;
    double first = baseFirst ? its.baseMm3() : its.hardenerMm3();
    double line = n.vessel().levelMm(first);
    figures.put(
        t.batch.key() + ".line",
        t.batch.figure("line on the vessel"),
        line,
        (baseFirst ? "base to " : "hardener to ") + brief.mm(line),
        Working.of("height of the volume of the first part in a tapering vessel")
            .given("base", brief.ml(its.baseMm3()), COMPUTED)
            .given("hardener", brief.ml(its.hardenerMm3()), COMPUTED)
            .given("the " + n.name() + " holds", brief.ml(n.vessel().volumeMm3()), MEASURED)
            .step("Where a scale is at hand, weigh: a millimetre of line is easily misread.")
            .done());
  }

  /** How high the box is full after a share of what is poured. */
  private void level(Batch t, FigureBook figures) {
    if (t.levelMm == null) {
      return;
    }
    int pour = t.batch.pour();
    double share =
        list.stream()
                .filter(o -> o.batch.pour() == pour && o.batch.batch() <= t.batch.batch())
                .mapToDouble(Batch::mm3)
                .sum()
            / mix.pours().get(pour - 1).mm3();
    double shape = halves == null ? box.rubberMm3() : halves.halfMm3(pour);
    double all = brief.firstMouldShare(box.rubberMm3()) * shape;
    figures.length(
        t.batch.key() + ".level",
        t.batch.figure("level in the box"),
        t.levelMm,
        Working.of("height at which the box holds what is poured")
            .given("poured so far", brief.ml(share * all), COMPUTED)
            .step(halves != null && pour == 2 ? "Turned over, its base is the first half." : "")
            .step(
                "Read it off with the dipstick: more than 5 % short, it leaks or the master lifts.")
            .done());
  }
}
