package ungula.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import ungula.core.cast.Made;
import ungula.core.cast.Production;
import ungula.core.cast.Production.Deed;
import ungula.core.cast.Production.Order;
import ungula.core.cast.Production.Outcome;
import ungula.core.choice.CastSeries;
import ungula.core.fit.Pot;
import ungula.core.plan.EquipmentPart;
import ungula.core.plan.LifePart;
import ungula.core.plan.Plan;
import ungula.core.rubber.Product;
import ungula.core.step.CastTimes;
import ungula.core.step.Cost;
import ungula.core.workshop.Workshop;

/**
 * When the casts a job still wants are done, from so many moulds.
 *
 * @param order as it is asked for, in pours: each gives a cast of every master on the plate
 * @param left casts that are still wanted
 * @param ofAPour casts
 * @param start second of the epoch: when the first mould is open, or now
 * @param rows with one mould, two, three …
 * @param deeds what is done when, as planned
 */
public record CastRun(
    Order order, int left, int ofAPour, long start, List<Row> rows, List<Deed> deeds) {

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
   * @param each what a cast comes to, with its share of the moulds and of scrap; null likewise
   */
  public record Row(int moulds, int used, Double cost, Double each, Outcome outcome) {}

  /** Why it is not known yet; empty when it is. */
  public static Optional<String> missing(JobPlan job) {
    Plan plan = job.plan();
    Product cast = plan.brief().cast();
    if (plan.choices().cast().wanted() == null) {
      return Optional.of("Say how many casts are wanted.");
    }
    if (cast != null && cast.demouldMin() == null) {
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

  /** What is still to be cast, from moulds that were all made for it and never retired. */
  public static CastRun of(JobPlan job, Made made, long now) {
    Integer before = job.plan().choices().cast().series().gaveBefore();
    List<Integer> gave =
        IntStream.rangeClosed(1, moulds(job))
            .mapToObj(m -> made.of(m) + (m == 1 && before != null ? before : 0))
            .toList();
    return of(job, made, gave, now);
  }

  /** That a job makes. */
  private static int moulds(JobPlan job) {
    Integer moulds = job.plan().choices().rubber().moulds();
    return moulds == null ? 1 : moulds;
  }

  /**
   * What is still to be cast.
   *
   * @param made so far
   * @param gave casts that each of the moulds gave which are cast from now
   * @param now second of the epoch: what is left begins no sooner
   * @throws IllegalArgumentException when it cannot be done in the workshop's hours
   */
  public static CastRun of(JobPlan job, Made made, List<Integer> gave, long now) {
    Plan plan = job.plan();
    Workshop w = plan.workshop();
    LifePart life = plan.life().orElseThrow();
    CastSeries series = plan.choices().cast().series();
    int usable = made.usable();
    int left = Math.max(1, plan.choices().cast().wanted() - usable);
    int pours = (int) Math.ceil((double) left / life.castsOfAPour());
    CastTimes times = CastTimes.of(job.steps());
    Order order =
        new Order(
            pours,
            moulds(job),
            times.pourMin(),
            times.cureMin(),
            times.demouldMin(),
            w.hours().people(),
            series.perMix(),
            scrap(made, series),
            series.spreadPct() / 100,
            (int) life.pours(),
            job.steps().openMin(),
            inPot(plan),
            worn(gave, life),
            series.warmMin() == null ? null : Math.min(series.warmMin(), times.cureMin()));
    // what was cast was cast in a mould that is open
    long start = usable > 0 ? now : Math.max(now, job.steps().open());
    List<Row> rows = new ArrayList<>();
    for (int m = 1; m <= Math.max(order.moulds(), Math.min(MOST_MOULDS, pours)); m++) {
      if (m <= MOST_MOULDS || m == order.moulds()) {
        rows.add(row(job, order.withMoulds(m), left, start));
      }
    }
    List<Deed> deeds = Production.steps(order, w.hours().calendar(), start);
    return new CastRun(order, left, life.castsOfAPour(), start, List.copyOf(rows), deeds);
  }

  /** What scrap there really was, once a mould gave enough to tell; else as it was said. */
  private static double scrap(Made made, CastSeries series) {
    int casts = made.tried();
    return casts < ENOUGH
        ? series.scrapPct() / 100
        : Math.min(MOST_SCRAP, made.count(Made.Result.SCRAP) / (double) casts);
  }

  /** So many casts say how many are scrap. */
  public static final int ENOUGH = 20;

  private static final double MOST_SCRAP = 0.9;

  private static List<Integer> worn(List<Integer> gave, LifePart life) {
    return gave.stream().map(g -> sinceNew(g / life.castsOfAPour(), (int) life.pours())).toList();
  }

  /** What gave more than a mould lasts was made anew meanwhile. */
  private static int sinceNew(int gave, int life) {
    return gave <= life ? gave : gave % life;
  }

  /** How many moulds set under pressure at the same time; null where none do, or nobody knows. */
  private static Integer inPot(Plan plan) {
    Pot pot = plan.workshop().equipment().pot();
    Pot.Stood stood = plan.equipment().map(EquipmentPart::inPot).orElse(null);
    boolean pressed = plan.choices().cast().pressureKpa() != null;
    return !pressed || pot == null || stood == null || !stood.fits() ? null : pot.holds(stood);
  }

  private static Row row(JobPlan job, Order order, int left, long start) {
    Outcome outcome =
        Production.of(order, job.plan().workshop().hours().calendar(), start, SEED, courses(order));
    int used = 0;
    int poured = 0;
    for (int m = 0; m < outcome.perMould().size(); m++) {
      int casts = outcome.perMould().get(m);
      int before = m < order.worn().size() ? order.worn().get(m) : 0;
      used += Math.max(1, (before + casts + order.mouldLife() - 1) / order.mouldLife());
      poured += casts;
    }
    int all = used;
    Optional<Cost> cost = Cost.of(job.steps());
    Double moulds = cost.map(c -> c.moulds(all)).orElse(null);
    int casts = poured;
    Double each =
        cost.flatMap(c -> c.ofAPour().map(m -> (c.moulds(all) + casts * m) / left)).orElse(null);
    return new Row(order.moulds(), all, moulds, each, outcome);
  }

  private static int courses(Order order) {
    return Math.max(20, Math.min(COURSES, MOST_CASTS / order.casts()));
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
