package ungula.core.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.caution.Caution;
import ungula.core.caution.CautionFinder;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.mould.BoxMould;
import ungula.core.plan.Brief;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Plan;
import ungula.core.plan.PlanPart;
import ungula.core.plan.Planner;
import ungula.core.plan.Touching;
import ungula.core.record.Recorded;
import ungula.core.rubber.Product;
import ungula.core.step.Cost;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.workshop.Workshop;

/**
 * All that a job's page needs: its plan, what is done for it, what may go wrong, what it costs.
 *
 * @param plan part by part
 * @param figures every number that may be shown, by its key, each with its working
 * @param cautions worst first
 * @param steps it asks for
 * @param touching what fresh rubber and casts lie against, with a verdict each
 * @param stages what each stage is like, by its key
 * @param undecided what it is not whole without, what to decide first before the rest
 * @param parts that take a closer look at the shape, and how far each is known
 */
public record JobPlan(
    Plan plan,
    Map<String, Figure> figures,
    List<Caution> cautions,
    Steps steps,
    List<Touching> touching,
    Map<String, Stage.Basis> stages,
    List<Undecided> undecided,
    List<PlanPart> parts) {

  /**
   * On a plain Monday, with nothing else to do.
   *
   * @param facts null while the master's size is not known
   * @param product null while no rubber is picked
   */
  public static JobPlan of(Choices choices, MasterFacts facts, Product product, Workshop workshop) {
    return of(
        choices,
        Recorded.NOTHING,
        facts,
        Materials.of(product),
        workshop,
        Planner.box(choices, facts),
        Diary.PLAIN);
  }

  /**
   * @param recorded what happened so far
   * @param facts null while the master's size is not known
   * @param known what {@link Planner#box} says of the same choices and facts
   * @param diary what else there is to do in the workshop
   */
  public static JobPlan of(
      Choices choices,
      Recorded recorded,
      MasterFacts facts,
      Materials materials,
      Workshop workshop,
      Optional<BoxMould> known,
      Diary diary) {
    Plan plan = Planner.plan(Brief.of(choices, recorded, facts, materials, workshop), known);
    FigureBook figures = plan.figures();
    Steps steps = Steps.of(plan, diary);
    steps.show(figures);
    Cost.of(steps).ifPresent(c -> c.show(figures));
    return new JobPlan(
        plan,
        figures.all(),
        CautionFinder.of(steps),
        steps,
        Touching.of(plan.brief()),
        Stage.of(plan),
        Undecided.of(plan),
        PlanPart.of(choices, facts));
  }

  /** What stops the mould itself: under it nothing is weighed. */
  public Optional<Caution> mouldStop() {
    return cautions.stream()
        .filter(c -> c.level() == Caution.Level.STOP && c.stage().equals("mould"))
        .findFirst();
  }

  /** What stops casting from it; empty when nothing does. */
  public Optional<Caution> castStop() {
    return cautions.stream()
        .filter(c -> c.level() == Caution.Level.STOP)
        .filter(c -> c.stage().equals("casts") || c.id().equals("contact.cast"))
        .findFirst();
  }

  /** What it rests on that nobody has said, weightiest first. */
  public List<Assumed> assumed() {
    return Assumed.of(plan);
  }

  public boolean stopped() {
    return cautions.stream().anyMatch(c -> c.level() == Caution.Level.STOP);
  }
}
