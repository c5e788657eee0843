package ungula.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.cast.Production;
import ungula.core.cast.Production.Order;
import ungula.core.cast.Production.Outcome;
import ungula.core.choice.CastSeries;
import ungula.core.plan.AmountPart;
import ungula.core.plan.CastPart;
import ungula.core.plan.LifePart;
import ungula.core.plan.Plan;
import ungula.core.pour.Pace;
import ungula.core.rubber.Product;
import ungula.core.step.Cost;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/**
 * When the casts a job still wants are done, from so many moulds.
 *
 * @param order as it is asked for, in pours: each gives a cast of every master on the plate
 * @param left casts that are still wanted
 * @param ofAPour casts
 * @param start second of the epoch: when the first mould is open, or now
 * @param rows with one mould, two, three …
 */
public record CastRun(Order order, int left, int ofAPour, long start, List<Row> rows) {

  /** So many moulds are looked at. */
  private static final int MOST_MOULDS = 8;

  private static final int COURSES = 200;

  /** Casts in all courses of a row, at most: larger runs spread less. */
  private static final int MOST_CASTS = 100_000;

  private static final long SEED = 19;

  /**
   * With so many moulds.
   *
   * @param cost of all moulds that are used up; null while it is not known
   */
  public record Row(int moulds, int used, Double cost, Outcome outcome) {}

  /** Why it is not known yet; empty when it is. */
  public static Optional<String> missing(JobPlan job) {
    Plan plan = job.plan();
    Product cast = plan.brief().cast();
    if (plan.choices().cast().wanted() == null) {
      return Optional.of("Say how many casts are wanted.");
    }
    if (cast == null) {
      return Optional.of("Say which product is cast: its sheet says how long a cast stays in.");
    }
    if (cast.demouldMin() == null) {
      return Optional.of(
          "The sheet of " + cast.name() + " does not say when a cast can be taken out.");
    }
    if (plan.amount().isEmpty() || plan.life().isEmpty() || !job.steps().whole()) {
      return Optional.of("Finish the stages before: the mould is not known yet.");
    }
    return plan.life().get().pours() < 1
        ? Optional.of("The mould gives no cast: see what is said below.")
        : Optional.empty();
  }

  /**
   * What is still to be cast.
   *
   * @param usable casts that are made already
   * @param now second of the epoch: what is left begins no sooner
   * @throws IllegalArgumentException when it cannot be done in the workshop's hours
   */
  public static CastRun of(JobPlan job, int usable, long now) {
    Plan plan = job.plan();
    Workshop w = plan.workshop();
    LifePart life = plan.life().orElseThrow();
    CastSeries series = plan.choices().cast().series();
    Integer moulds = plan.choices().rubber().moulds();
    int left = Math.max(1, plan.choices().cast().wanted() - usable);
    int pours = (int) Math.ceil((double) left / life.castsOfAPour());
    Order order =
        new Order(
            pours,
            moulds == null ? 1 : moulds,
            pourMin(plan),
            plan.brief().inRoomMin(plan.brief().cast(), plan.brief().cast().demouldMin()),
            w.rates().get(Rate.CAST_OUT) + w.rates().get(Rate.CLOSE),
            w.hours().people(),
            series.perMix(),
            series.scrapPct() / 100,
            series.spreadPct() / 100,
            (int) life.pours(),
            job.steps().openMin(),
            null);
    // what was cast was cast in a mould that is open
    long start = usable > 0 ? now : Math.max(now, job.steps().open());
    List<Row> rows = new ArrayList<>();
    for (int m = 1; m <= Math.max(order.moulds(), Math.min(MOST_MOULDS, pours)); m++) {
      if (m <= MOST_MOULDS || m == order.moulds()) {
        rows.add(row(job, order.withMoulds(m), start));
      }
    }
    return new CastRun(order, left, life.castsOfAPour(), start, List.copyOf(rows));
  }

  private static Row row(JobPlan job, Order order, long start) {
    Outcome outcome =
        Production.of(order, job.plan().workshop().hours().calendar(), start, SEED, courses(order));
    int used = 0;
    for (int casts : outcome.perMould()) {
      used += Math.max(1, (casts + order.mouldLife() - 1) / order.mouldLife());
    }
    int all = used;
    return new Row(
        order.moulds(), all, Cost.of(job.steps()).map(c -> c.moulds(all)).orElse(null), outcome);
  }

  private static int courses(Order order) {
    return Math.max(20, Math.min(COURSES, MOST_CASTS / order.casts()));
  }

  /** Weighing, stirring and pouring one mix. */
  private static double pourMin(Plan plan) {
    Pace pace = plan.workshop().mixing().pace();
    AmountPart amount = plan.amount().orElseThrow();
    CastPart cast = plan.cast().orElseThrow();
    double mm3 =
        amount.amounts() == null || amount.amounts().mixedMm3() == null
            ? cast.volumeMm3()
            : amount.amounts().mixedMm3();
    return plan.workshop().rates().get(Rate.CAST_MIX)
        + pace.pouringMin(mm3 * plan.choices().cast().series().perMix());
  }

  /** Of those that are wanted, what so many good pours give. */
  public int casts(int pours) {
    return Math.min(left, pours * ofAPour);
  }

  /** With as many moulds as the job makes. */
  public Row chosen() {
    return rows.stream().filter(r -> r.moulds() == order.moulds()).findFirst().orElseThrow();
  }
}
