package ungula.core.run;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ungula.core.cast.Amounts;
import ungula.core.caution.Caution;
import ungula.core.mould.MouldKind;
import ungula.core.plan.AmountPart;
import ungula.core.plan.Brief;
import ungula.core.plan.LifePart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
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

/** Makes of the steps of a cast what a run goes by: one mix, into one mould or several. */
public final class FreezeCast {

  private static final String BATCH = "cast";

  /** Results of casts that are thrown away begin so. */
  static final String CLEAN = "cast.clean.";

  /** What is done with the cup, and what it is called. */
  private static final Map<String, String> OF_THE_CUP =
      Map.of(
          "cast.weigh", "weigh",
          "cast.stir", "stir",
          "cast.degas", "degas",
          "cast.pour", "pour");

  private final Plan plan;
  private final Brief brief;
  private final List<Integer> moulds;
  private final Set<Integer> fresh;
  private final Map<String, Figure> figures;
  private final Map<String, String> cautions = new HashMap<>();
  private final List<Batch> batches = new ArrayList<>();
  private final List<Task> tasks = new ArrayList<>();

  private FreezeCast(
      Plan plan, List<Integer> moulds, Set<Integer> fresh, Map<String, Figure> figures) {
    this.plan = plan;
    this.brief = plan.brief();
    this.moulds = moulds;
    this.fresh = fresh;
    this.figures = figures;
  }

  /**
   * @param moulds that are filled of one mix, from 1
   * @param fresh those of them that gave nothing yet
   * @param figures of the plan, by key
   * @param cautions of the plan
   * @param product what it is cast of is called where it is kept; empty where that is not
   */
  public static RunPlan of(
      Steps steps,
      List<Integer> moulds,
      Set<Integer> fresh,
      Map<String, Figure> figures,
      List<Caution> cautions,
      String product) {
    FreezeCast f = new FreezeCast(steps.plan(), moulds, fresh, figures);
    cautions.forEach(c -> f.cautions.put(c.id(), c.title()));
    f.batch(product).ifPresent(f.batches::add);
    steps.casting().forEach(f::task);
    int each = steps.plan().life().map(LifePart::castsOfAPour).orElse(1);
    for (int mould : moulds) {
      for (int k = 1; k <= each; k++) {
        f.result(mould, k, each);
      }
    }
    Product.Role role =
        Optional.ofNullable(f.brief.cast()).map(Product::role).orElse(Product.Role.RESIN);
    Units units = f.plan.units();
    return new RunPlan(f.tasks, f.batches, role, units, null, null, true, moulds);
  }

  /** Empty where its parts are not weighed. */
  private Optional<Batch> batch(String product) {
    Product cast = brief.cast();
    Amounts a = plan.amount().map(AmountPart::amounts).orElse(null);
    if (cast == null || a == null || a.aG() == null) {
      return Optional.empty();
    }
    double baseG = a.aG() * moulds.size();
    double both = a.aG() + a.bG();
    List<String> names = AmountPart.names(brief);
    boolean resin = cast.role() == Product.Role.RESIN && a.bG() > 0;
    List<Stirred> stirred =
        IntStream.range(0, names.size())
            .mapToObj(i -> new Stirred(names.get(i), a.fillerG().get(i) / both, resin))
            .toList();
    // what is blended into part B is weighed with it; powder is sifted into water
    boolean second =
        a.bG() > 0 && (!stirred.isEmpty() && resin || cast.role() == Product.Role.PLASTER);
    double totalG = a.totalG() * moulds.size();
    return Optional.of(
        new Batch(
            BATCH,
            Batch.CAST,
            1,
            moulds.size() == 1 ? "the cast" : "the casts",
            product,
            baseG,
            a.bG() / a.aG(),
            second,
            stirred,
            Mix.TOLERANCE,
            a.density(),
            a.bG() > 0 ? brief.inRoomMin(cast, cast.potLifeMin(totalG)) : null,
            brief.workshop().roomC(),
            cast.factorPerTen(),
            "cast.pour",
            null));
  }

  private void task(Step s) {
    boolean cup = OF_THE_CUP.containsKey(s.key());
    tasks.add(
        new Task(
            s.key(),
            kind(s),
            s.part(),
            cup ? OF_THE_CUP.get(s.key()) : s.label(),
            what(s),
            s.why(),
            s.takes().minutes(),
            cup && !batches.isEmpty() ? BATCH : "",
            s.after().stream()
                .map(
                    a ->
                        new After(
                            a.key(),
                            a.from() == Step.After.From.BEGIN,
                            a.leastMin(),
                            a.mostMin(),
                            a.nextDayMin()))
                .toList(),
            s.figures().stream()
                // what is weighed for several moulds the bench says itself
                .filter(
                    f ->
                        moulds.size() == 1
                            || !f.matches("cast\\.(first|second|filler|also|mixed|total|potLife)"))
                .map(figures::get)
                .filter(Objects::nonNull)
                .toList(),
            s.cautions().stream().map(cautions::get).filter(Objects::nonNull).toList(),
            Freeze.rates(s, brief.workshop())));
  }

  /** Of one mix for several moulds all of it. */
  private String what(Step s) {
    String all = moulds.stream().map(String::valueOf).collect(Collectors.joining(", "));
    boolean several = moulds.size() > 1;
    Double grams = plan.amount().map(AmountPart::amounts).map(Amounts::totalG).orElse(null);
    if (several && s.key().equals("cast.weigh") && grams != null) {
      String of = brief.cast() == null ? brief.castingMaterial().text() : brief.cast().name();
      String mass = Mass.format(grams * moulds.size(), plan.units());
      return "Weigh " + mass + " of " + of + " for moulds " + all + ", all parts together.";
    }
    return several && s.key().equals("cast.pour")
        ? "Into moulds " + all + ", one after the other. " + s.what()
        : s.what();
  }

  private Kind kind(Step s) {
    boolean weighed = !batches.isEmpty();
    if (s.records().contains(Step.Noted.GAUGE) && s.holds().contains(Step.Hold.CHAMBER)) {
      return weighed ? Kind.DEGAS : Kind.HANDS;
    }
    return switch (s.kind()) {
      case HANDS -> weighed && s.key().equals("cast.weigh") ? Kind.WEIGH : Kind.HANDS;
      case WAIT -> Kind.WAIT;
      case GATE -> s.records().contains(Step.Noted.VERDICT) ? Kind.VERDICT : Kind.GATE;
    };
  }

  /** How each came out of a mould, asked once it is out. */
  private void result(int mould, int cast, int ofAPour) {
    boolean cleans = plan.choices().mould().kind() == MouldKind.CUT && fresh.contains(mould);
    String which = ofAPour == 1 ? "" : cast + " of " + ofAPour;
    String from = moulds.size() == 1 ? "" : "out of mould " + mould;
    String of = Stream.of(which, from).filter(t -> !t.isEmpty()).collect(Collectors.joining(", "));
    String said = of.isEmpty() ? "" : " " + of;
    tasks.add(
        new Task(
            (cleans ? CLEAN : "cast.result.") + (ofAPour == 1 ? "" : cast + ".") + mould,
            Kind.RESULT,
            "A cast",
            "cast" + said,
            cleans
                ? "The first cast" + said + " took crumbs of the cut along: throw it away."
                : "Look over the cast" + said + ". How did it come out?",
            cleans ? "It is written down as a clean-out, and is no scrap." : "",
            0,
            "",
            List.of(After.end("cast.out")),
            List.of(),
            List.of()));
  }
}
