package ungula.core.diagnose;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import ungula.core.choice.Choices;
import ungula.core.contact.Patch;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.plan.Plan;
import ungula.core.plan.ShapePart;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Product;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.working.Figure;

/**
 * What a job's own record says of a case, by the names {@link Rules} go by: of its plan, and of
 * what happened at the bench. What is not on record is left out, never guessed. Pure.
 */
public final class CaseRecord {

  private final Map<String, Object> facts = new LinkedHashMap<>();

  private CaseRecord() {}

  /**
   * What was weighed of a batch.
   *
   * @param hardenerPerBase as it is to be
   */
  public record Batch(double baseG, double hardenerG, double hardenerPerBase) {

    /** From its ratio, a share. */
    double off() {
      return Math.abs(hardenerG / (baseG * hardenerPerBase) - 1);
    }
  }

  /**
   * @param mould run in which it was made; empty where nobody followed it
   * @param cast run of the cast it is seen on; empty likewise
   * @param byHand batches of the mould that were put down without the bench
   * @param place it is seen at, in the posed frame; null where nobody showed it
   */
  public static Map<String, Object> of(
      Seen seen,
      JobPlan job,
      Optional<Bench> mould,
      Optional<Bench> cast,
      List<Batch> byHand,
      Vec3 place) {
    CaseRecord r = new CaseRecord();
    r.plan(job.plan(), job, place);
    Optional<Bench> mixed = seen.ofCast() ? cast : mould;
    List<Batch> batches = new ArrayList<>(mixed.map(CaseRecord::batches).orElse(List.of()));
    if (!seen.ofCast()) {
      batches.addAll(byHand);
    }
    r.ratio(batches);
    mixed.ifPresent(r::bench);
    if (seen.ofCast()) {
      cast.ifPresent(c -> r.takenOut(c, job.plan().brief().cast()));
    } else {
      mould.ifPresent(r::release);
    }
    return r.facts;
  }

  /**
   * A fact on record in words.
   *
   * @param record as {@link #of} tells it
   */
  public static String text(String fact, Map<String, Object> record, Units units) {
    Object v = record.get(fact);
    return switch (fact) {
      case "hardenerG" ->
          "weighed "
              + g(record, "baseG", units)
              + " + "
              + g(record, fact, units)
              + ", to be "
              + record.get("ratio");
      case "witness" -> "witness cup " + v;
      case "patch" -> "patch on the master " + v;
      case "roomC" -> "room at " + Numbers.fixed((double) v, 1) + " °C";
      case "stirredByHandG" -> g(record, fact, units) + " in the largest pot";
      case "secondCup" -> yes(v) ? "a second cup" : "no second cup";
      case "degassed" -> yes(v) ? "degassed" : "not degassed";
      case "releaseSkipped" -> yes(v) ? "release was skipped" : "released";
      case "trapMl" -> Numbers.fixed((double) v, 2) + " mL of air stays there";
      case "vents" -> number(v) + ((double) v == 1 ? " vent" : " vents");
      case "keys" -> number(v) + ((double) v == 1 ? " key" : " keys");
      case "castAtKPa" ->
          (double) v == 0 ? "cast under no pressure" : "cast at " + number(v) + " kPa";
      case "elongationPct" -> "the rubber stretches by " + number(v) + " %";
      case "hoursBetweenCoats" -> Numbers.fixed((double) v, 1) + " h between two coats";
      case "demouldMin" ->
          "out after "
              + Timespan.formatMin((double) v)
              + ", by its sheet "
              + Timespan.formatMin((double) record.get("sheetDemouldMin"));
      case "masterMaterial" -> "master of " + v;
      case "preparation" -> "made ready: " + v;
      case "castMaterial" -> "cast of " + v;
      case "chemistry" -> v + " rubber";
      default -> fact + ": " + v;
    };
  }

  private static boolean yes(Object v) {
    return Boolean.TRUE.equals(v);
  }

  private static String number(Object v) {
    return Numbers.trimmed((double) v, 1);
  }

  private static String g(Map<String, Object> record, String fact, Units units) {
    return Mass.format((double) record.get(fact), units);
  }

  private static String words(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void plan(Plan plan, JobPlan job, Vec3 place) {
    Choices c = plan.choices();
    Product rubber = plan.brief().product();
    if (rubber != null) {
      facts.put("chemistry", words(rubber.chemistry()));
      if (rubber.elongationPct() != null) {
        facts.put("elongationPct", rubber.elongationPct());
      }
    }
    facts.put("masterMaterial", c.master().material().text());
    facts.put("preparation", c.master().preparation().text());
    facts.put("castMaterial", plan.brief().castingMaterial().text());
    facts.put("castAtKPa", c.cast().pressureKpa() == null ? 0.0 : c.cast().pressureKpa());
    Patch patch = plan.brief().recorded().master().patch();
    if (patch != Patch.NONE) {
      facts.put("patch", words(patch));
    }
    Figure keys = job.figures().get("parting.keys");
    if (keys != null) {
      facts.put("keys", keys.value());
    }
    if (plan.shape().isPresent()) {
      facts.put("vents", (double) c.casting().vents().size());
      trap(plan.shape().get(), place).ifPresent(ml -> facts.put("trapMl", ml));
    }
  }

  /** Of the air that stays in a cast, what stays at a place, mL; empty where none was shown. */
  private static Optional<Double> trap(ShapePart shape, Vec3 place) {
    if (place == null) {
      return Optional.empty();
    }
    return Optional.of(AtPlace.airMm3(shape, place) / Volume.ML_MM3);
  }

  private static List<Batch> batches(Bench run) {
    return run.state().batches().stream()
        .filter(p -> p.baseG() > 0 && p.hardenerG() > 0 && p.batch().hardenerPerBase() > 0)
        .map(p -> new Batch(p.baseG(), p.hardenerG(), p.batch().hardenerPerBase()))
        .toList();
  }

  /** Of several batches the one that is furthest from its ratio, and the largest. */
  private void ratio(List<Batch> batches) {
    batches.stream()
        .max(Comparator.comparingDouble(Batch::off))
        .ifPresent(
            b -> {
              facts.put("baseG", b.baseG);
              facts.put("hardenerG", b.hardenerG);
              facts.put("ratio", "1 : " + Numbers.trimmed(b.hardenerPerBase, 5));
            });
    batches.stream()
        .mapToDouble(b -> b.baseG + b.hardenerG)
        .max()
        .ifPresent(g -> facts.put("stirredByHandG", g));
  }

  /** What was done with what was mixed. */
  private void bench(Bench run) {
    run.state().batches().stream()
        .map(Progress::metC)
        .filter(Objects::nonNull)
        .min(Comparator.naturalOrder())
        .ifPresent(c -> facts.put("roomC", c));
    done(run, ".cup").ifPresent(yes -> facts.put("secondCup", yes));
    boolean degasses = run.plan().tasks().stream().anyMatch(t -> t.key().endsWith("degas"));
    if (degasses) {
      done(run, "degas").ifPresent(yes -> facts.put("degassed", yes));
    } else if (!run.plan().batches().isEmpty()) {
      facts.put("degassed", false);
    }
    witness(run);
    coats(run);
  }

  /** Whether all steps that are called so were done; false where one was passed over. */
  private static Optional<Boolean> done(Bench run, String key) {
    List<Optional<RunState.Ended>> its =
        run.plan().tasks().stream()
            .filter(t -> t.key().endsWith(key))
            .map(t -> run.state().ended(t))
            .toList();
    if (its.isEmpty() || its.stream().anyMatch(Optional::isEmpty)) {
      return Optional.empty();
    }
    return Optional.of(its.stream().noneMatch(e -> e.get().skipped()));
  }

  private void witness(Bench run) {
    for (Task t : run.plan().tasks()) {
      if (t.key().endsWith(".witness")) {
        boolean passed = run.state().ended(t).filter(e -> !e.skipped()).isPresent();
        if (!passed && run.state().notGood(t).isPresent()) {
          facts.put("witness", "soft");
        } else if (passed) {
          facts.putIfAbsent("witness", "hard");
        }
      }
    }
  }

  /** The longest wait between a coat and the next. */
  private void coats(Bench run) {
    List<Instant> brushed = new ArrayList<>();
    for (Task t : run.plan().tasks()) {
      if (t.key().endsWith(".brush")) {
        run.state().ended(t).filter(e -> !e.skipped()).ifPresent(e -> brushed.add(e.at()));
      }
    }
    double most = 0;
    for (int i = 1; i < brushed.size(); i++) {
      most =
          Math.max(most, Duration.between(brushed.get(i - 1), brushed.get(i)).toMinutes() / 60.0);
    }
    if (most > 0) {
      facts.put("hoursBetweenCoats", most);
    }
  }

  private void release(Bench run) {
    List<Optional<RunState.Ended>> its =
        run.plan().tasks().stream()
            .filter(t -> t.key().contains("release"))
            .map(t -> run.state().ended(t))
            .toList();
    if (!its.isEmpty() && its.stream().allMatch(Optional::isPresent)) {
      facts.put("releaseSkipped", its.stream().anyMatch(e -> e.get().skipped()));
    }
  }

  /** How long a cast was in the mould. */
  private void takenOut(Bench run, Product cast) {
    Optional<Instant> poured =
        run.state().batches().stream()
            .map(Progress::used)
            .filter(u -> u != null)
            .max(Comparator.naturalOrder());
    Optional<Instant> out =
        run.entries().stream()
            .filter(Entry.Came.class::isInstance)
            .map(Entry::at)
            .min(Comparator.naturalOrder());
    if (poured.isPresent() && out.isPresent() && cast != null && cast.demouldMin() != null) {
      facts.put("demouldMin", Duration.between(poured.get(), out.get()).toSeconds() / 60.0);
      facts.put("sheetDemouldMin", cast.demouldMin());
    }
  }
}
