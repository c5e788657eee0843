package ungula.core.run;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import ungula.core.caution.Caution;
import ungula.core.choice.First;
import ungula.core.mould.BoxMould;
import ungula.core.plan.Brief;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.PourPart;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Temperature;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Stirred;
import ungula.core.run.RunPlan.Task;
import ungula.core.step.Step;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** Makes of the steps of a plan what a run goes by, with all its numbers as they are. */
public final class Freeze {

  /** A pour's levels are kept so many times from its bottom to its top. */
  private static final int LEVELS = 48;

  /** Lower rubber has no level that could be read. */
  private static final double LEAST_MM = 1;

  private static final double HEAVY_G = 20_000;

  private static final Map<String, String> LABELS =
      Map.of(
          "weigh", "weigh",
          "stir", "stir",
          "cup", "into the second cup",
          "degas", "degas",
          "pour", "pour",
          "vibrate", "vibrate",
          "level", "read the level",
          "tacky", "wait until tacky",
          "brush", "brush");

  private final Plan plan;
  private final Brief brief;
  private final Map<String, Figure> figures;
  private final Map<String, Caution> cautions = new HashMap<>();
  private final List<Batch> batches = new ArrayList<>();
  private final List<Task> tasks = new ArrayList<>();
  private final Set<String> gated = new HashSet<>();

  private Freeze(Plan plan, Map<String, Figure> figures, List<Caution> cautions) {
    this.plan = plan;
    this.brief = plan.brief();
    this.figures = figures;
    cautions.forEach(c -> this.cautions.put(c.id(), c));
  }

  /**
   * Of the making of a mould.
   *
   * @param figures of the plan, by key
   * @param cautions of the plan
   * @param product what the rubber of a batch is called where it is kept
   */
  public static RunPlan of(
      Steps steps,
      Map<String, Figure> figures,
      List<Caution> cautions,
      Function<PourPart.Batch, String> product) {
    Freeze f = new Freeze(steps.plan(), figures, cautions);
    f.plan.pours().ifPresent(p -> p.list().forEach(b -> f.batches.add(f.batch(p, b, product))));
    steps.making().forEach(f::task);
    Product.Role role =
        Optional.ofNullable(f.brief.product()).map(Product::role).orElse(Product.Role.RUBBER);
    return new RunPlan(
        f.tasks,
        f.batches,
        role,
        f.plan.units(),
        f.plan.inBox().map(BoxMould::pourLineMm).orElse(null),
        f.plan.inBox().map(BoxMould::insideAreaMm2).orElse(null),
        true,
        List.of());
  }

  private Batch batch(PourPart p, PourPart.Batch b, Function<PourPart.Batch, String> product) {
    boolean coat = b.levelMm() == null;
    int pour = b.batch().pour();
    String key = coat ? "coat." + pour : "pour." + pour + "." + b.batch().batch();
    Mix mix = b.mix();
    Product rubber = b.batch().build() ? brief.build() : brief.product();
    boolean parts = mix.hardenerG() > 0;
    double both = mix.baseG() + mix.hardenerG();
    String of = b.batch().of().isEmpty() ? "" : ", " + b.batch().of();
    return new Batch(
        key,
        pour,
        b.batch().batch(),
        coat
            ? "coat " + pour
            : (p.list().size() == 1 ? "the batch" : "batch " + b.batch().number()) + of,
        Objects.requireNonNullElse(product.apply(b), ""),
        mix.baseG(),
        mix.hardenerG() / mix.baseG(),
        parts && brief.choices().rubber().first() == First.HARDENER,
        stirred(b, both),
        Mix.TOLERANCE,
        mix.density(),
        parts && rubber.potLifeMin() != null
            ? rubber.inRoomMin(rubber.potLifeMin(), brief.workshop().roomC())
            : null,
        brief.workshop().roomC(),
        rubber.factorPerTen(),
        key + (coat ? ".brush" : ".pour"),
        coat ? null : rise(p, pour));
  }

  private List<Stirred> stirred(PourPart.Batch b, double bothG) {
    List<MixPart.Stirred> coats = plan.mix().orElseThrow().stirred();
    List<Additive> all =
        coats.isEmpty()
            ? brief.choices().rubber().stirredIn()
            : List.of(coats.get(b.batch().pour() - 1).additive());
    List<Double> grams = b.mix().additivesG();
    return IntStream.range(0, grams.size())
        .mapToObj(i -> new Stirred(all.get(i).called(), grams.get(i) / bothG, false))
        .toList();
  }

  /**
   * Null where there is no level to read. By what is mixed: of each batch the same share is lost in
   * its cups.
   */
  private Rise rise(PourPart p, int pour) {
    double all = p.mixedMm3(pour);
    List<Rise.Level> levels = new ArrayList<>();
    // the second half stands on the first
    Rise.Level last = new Rise.Level(Math.max(0, p.levelMm(pour, 0)), 0);
    levels.add(last);
    for (double share : shares(p, pour, all)) {
      Rise.Level at = new Rise.Level(p.levelMm(pour, share), all * share);
      if (at.mm() > last.mm()) {
        levels.add(at);
        last = at;
      }
    }
    if (last.mm() < levels.get(0).mm() + LEAST_MM) {
      return null;
    }
    double areaMm2 = plan.inBox().map(BoxMould::insideAreaMm2).orElseThrow();
    return new Rise(levels, areaMm2 * all / p.inBoxMm3(pour));
  }

  /** Evenly, and where each batch ends: there the level is the plan's own. */
  private static SortedSet<Double> shares(PourPart p, int pour, double mm3) {
    SortedSet<Double> shares = new TreeSet<>();
    for (int i = 1; i <= LEVELS; i++) {
      shares.add((double) i / LEVELS);
    }
    double poured = 0;
    for (PourPart.Batch b : p.list()) {
      if (b.batch().pour() == pour) {
        poured += b.mix().volumeMm3();
        shares.add(Math.min(1, poured / mm3));
      }
    }
    return shares;
  }

  private void task(Step s) {
    List<After> after = new ArrayList<>(s.after().stream().map(Freeze::after).toList());
    pourOf(s)
        .filter(gated::add)
        .ifPresent(
            pour -> {
              List<Task> gates =
                  Gates.of(pour + ".gate", s.part(), List.copyOf(after), before(pour));
              tasks.addAll(gates);
              gates.forEach(g -> after.add(After.end(g.key())));
            });
    if (s.key().matches("coat\\.\\d+\\.weigh")
        && after.stream().anyMatch(a -> a.mostMin() != null)) {
      Task touch = touch(s, after);
      tasks.add(touch);
      after.add(After.end(touch.key()));
    }
    String batch =
        batches.stream()
            .map(Batch::key)
            .filter(key -> s.key().startsWith(key + "."))
            .findFirst()
            .orElse("");
    tasks.add(
        new Task(
            s.key(),
            kind(s, batch),
            s.part(),
            label(s, batch),
            s.what(),
            s.why(),
            s.takes().minutes(),
            batch,
            after,
            s.figures().stream()
                .filter(Freeze::keeps)
                .map(figures::get)
                .filter(Objects::nonNull)
                .toList(),
            s.cautions().stream()
                .map(cautions::get)
                .filter(Objects::nonNull)
                .map(Caution::title)
                .toList(),
            rates(s, brief.workshop())));
  }

  /** Minutes each rate stands for, as it is planned by. */
  static Map<Rate, Double> rates(Step s, Workshop w) {
    return s.takes().rates().stream().collect(Collectors.toMap(r -> r, w.rates()::get));
  }

  /** Before a coat that is to bond to one that has not set. */
  private static Task touch(Step weigh, List<After> after) {
    String coat = weigh.key().substring(0, weigh.key().lastIndexOf('.'));
    String before = "coat " + (Integer.parseInt(coat.substring("coat.".length())) - 1);
    return new Task(
        coat + ".touch",
        Kind.GATE,
        weigh.part(),
        "touch " + before,
        "Touch " + before + ": it takes a print, and leaves nothing on the glove.",
        "So far set, the next coat bonds to it by itself. Where it has set already, dust it off and"
            + " massage a thin layer in first.",
        0,
        "",
        after.stream().map(a -> new After(a.task(), a.begun(), a.leastMin(), null, null)).toList(),
        List.of(),
        List.of());
  }

  /** What was planned stays; what the bench itself counts, by what really happened, is not said. */
  private static boolean keeps(String figure) {
    return !figure.equals("rubber.potLife") && !figure.matches(".*\\.(by|level|base|hardener)");
  }

  /** Of a batch each step by its own name. */
  private String label(Step s, String batch) {
    String own = batch.isEmpty() ? null : LABELS.get(s.key().substring(batch.length() + 1));
    return own == null
        ? s.label()
        : batches.size() == 1
            ? own
            : batches.stream().filter(b -> b.key().equals(batch)).findFirst().orElseThrow().name()
                + ": "
                + own;
  }

  /** The pour a step belongs to, or the coats; empty for none. */
  private static Optional<String> pourOf(Step s) {
    String[] key = s.key().split("\\.");
    return switch (key[0]) {
      case "pour" -> Optional.of("pour." + key[1]);
      case "coat" -> Optional.of("coat");
      default -> Optional.empty();
    };
  }

  private Gates.Before before(String pour) {
    List<Batch> its = batches.stream().filter(b -> b.key().startsWith(pour + ".")).toList();
    double baseG = its.stream().mapToDouble(Batch::baseG).sum();
    double hardG = its.stream().mapToDouble(b -> b.baseG() * b.hardenerPerBase()).sum();
    String amount =
        its.isEmpty()
            ? ""
            : mass(baseG) + (hardG > 0 ? " of base and " + mass(hardG) + " of hardener" : "");
    boolean pail = baseG > HEAVY_G;
    return new Gates.Before(
        plan.poured(),
        brief.product(),
        amount,
        Temperature.format(brief.workshop().roomC(), brief.units()),
        brief.choices().rubber().bubbles().vacuum(),
        pail ? "the rubber weighs more than " + mass(HEAVY_G) : "");
  }

  private String mass(double g) {
    return Mass.format(g, plan.units());
  }

  private static After after(Step.After a) {
    return new After(
        a.key(), a.from() == Step.After.From.BEGIN, a.leastMin(), a.mostMin(), a.nextDayMin());
  }

  private static Kind hands(Step s, String batch) {
    if (s.records().contains(Step.Noted.GAUGE)) {
      return Kind.DEGAS;
    }
    return !batch.isEmpty() && s.key().equals(batch + ".pour") ? Kind.POUR : Kind.HANDS;
  }

  private boolean risen(String batch) {
    return batches.stream().anyMatch(b -> b.key().equals(batch) && b.rise() != null);
  }

  private Kind kind(Step s, String batch) {
    if (!batch.isEmpty() && s.key().equals(batch + ".weigh")) {
      return Kind.WEIGH;
    }
    return switch (s.kind()) {
      case HANDS -> hands(s, batch);
      case WAIT -> Kind.WAIT;
      case GATE ->
          s.records().contains(Step.Noted.LEVEL) && risen(batch)
              ? Kind.LEVEL
              : s.records().contains(Step.Noted.VERDICT) ? Kind.VERDICT : Kind.GATE;
    };
  }
}
