package ungula.core.cast;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import ungula.core.days.Hours;

/**
 * Many casts from several moulds, as a simulation of what happens one after the other: all empty
 * moulds are filled before a ready one is opened, and an opened one is filled again at once, as
 * hands, hours of work and room in the pot allow.
 *
 * <p>Times are log-normal, with the time given as the median and {@code σ² = ln(1 + spread²)}. What
 * is chance belongs to the number of a cast, so that one more mould meets the same casts; and as a
 * mould may be left standing, more moulds never come later.
 */
public final class Production {

  /**
   * What is made, with what.
   *
   * @param casts good ones that are wanted
   * @param pourMin by hand, of one mix
   * @param cureMin until a cast can be opened
   * @param demouldMin by hand: opening, cleaning and closing again
   * @param perMix moulds that one mix fills
   * @param scrap share of casts that are no good, below 1
   * @param spread of all times, a share of them
   * @param mouldLife casts a mould takes; null: more than are made
   * @param remakeMin from the last cast of a mould to the first of its successor
   * @param potHolds moulds that cure at the same time; null: all of them
   * @param worn casts each mould gave before, the first in front; of those not named none
   * @param warmCureMin until a cast can be opened that was filled into a mould still warm from the
   *     one before, no more than {@link #WARM_MIN} after it was opened; null: as of a cold one
   */
  public record Order(
      int casts,
      int moulds,
      double pourMin,
      double cureMin,
      double demouldMin,
      int people,
      int perMix,
      double scrap,
      double spread,
      Integer mouldLife,
      double remakeMin,
      Integer potHolds,
      List<Integer> worn,
      Double warmCureMin) {

    /** Of new moulds. */
    public Order(
        int casts,
        int moulds,
        double pourMin,
        double cureMin,
        double demouldMin,
        int people,
        int perMix,
        double scrap,
        double spread,
        Integer mouldLife,
        double remakeMin,
        Integer potHolds) {
      this(
          casts,
          moulds,
          pourMin,
          cureMin,
          demouldMin,
          people,
          perMix,
          scrap,
          spread,
          mouldLife,
          remakeMin,
          potHolds,
          List.of(),
          null);
    }

    public Order {
      worn = List.copyOf(worn);
      if (casts < 1 || moulds < 1 || people < 1 || perMix < 1) {
        throw new IllegalArgumentException(
            "There is at least one cast to make, one mould, one person, and one mould to a mix.");
      }
      if (!(scrap >= 0 && scrap <= MOST_SCRAP)) {
        throw new IllegalArgumentException("More than 95 % of scrap is no production.");
      }
      if (mouldLife != null && mouldLife < 1 || potHolds != null && potHolds < 1) {
        throw new IllegalArgumentException("A mould takes a cast at least, and a pot a mould.");
      }
      if (warmCureMin != null && !(warmCureMin > 0 && warmCureMin <= cureMin)) {
        throw new IllegalArgumentException("Out of a warm mould a cast does not come later.");
      }
    }

    public Order withMoulds(int many) {
      return with(many, people, potHolds);
    }

    private Order with(int mouldsNow, int peopleNow, Integer potNow) {
      return new Order(
          casts,
          mouldsNow,
          pourMin,
          cureMin,
          demouldMin,
          peopleNow,
          perMix,
          scrap,
          spread,
          mouldLife,
          remakeMin,
          potNow,
          worn,
          warmCureMin);
    }

    /** As everything goes that is neither faster nor slower than planned, and none is scrap. */
    private Order steady() {
      return new Order(
          casts,
          moulds,
          pourMin,
          cureMin,
          demouldMin,
          people,
          perMix,
          0,
          0,
          mouldLife,
          remakeMin,
          potHolds,
          worn,
          warmCureMin);
    }

    /** Of its time in a cold mould, what a cast takes in a warm one. */
    double warmShare() {
      return warmCureMin == null || cureMin == 0 ? 1 : warmCureMin / cureMin;
    }

    int worn(int mould) {
      return mould < worn.size() ? worn.get(mould) : 0;
    }
  }

  /**
   * Something done by hand.
   *
   * @param atMin from the start
   * @param pours whether moulds are filled; else one is opened and closed again
   * @param moulds it is done to, from 1
   */
  public record Deed(double atMin, boolean pours, List<Integer> moulds) {}

  /** What is done when, as long as all takes what is planned and none is scrap. */
  public static List<Deed> steps(Order order, Hours.Calendar calendar, long start) {
    Order steady = order.steady();
    List<Deed> deeds = new ArrayList<>();
    new Course(steady, new Draws(steady, 0, 0), new Shifts(calendar, start), deeds);
    return List.copyOf(deeds);
  }

  /** What there is too little of. */
  public enum HeldUp {
    HANDS,
    MOULDS,
    POT,
    /** More of anything would not bring it forward. */
    NOTHING
  }

  /**
   * When all are made.
   *
   * @param medianMin from the start
   * @param p90Min nine times of ten it takes no longer
   * @param perMould casts of each mould, the good and the others, of a middling course of it
   * @param made how it goes on, at every cast of few and at some of many; the last is the last
   */
  public record Outcome(
      double medianMin, double p90Min, List<Integer> perMould, HeldUp heldUpBy, List<Point> made) {}

  /**
   * When so many good casts are made, minutes from the start.
   *
   * @param p10Min one time of ten it takes no longer
   * @param p90Min nine times of ten it takes no longer
   */
  public record Point(int casts, double p10Min, double medianMin, double p90Min) {}

  /** A mould keeps warm for so long once it is opened, minutes. */
  public static final double WARM_MIN = 30;

  private static final double MOST_SCRAP = 0.95;

  /** So many points show how it goes on. */
  private static final int POINTS = 60;

  /** So many courses tell what holds it up. */
  private static final int ENOUGH = 20;

  /** What is gained by less than this share is nothing. */
  private static final double NO_GAIN = 1e-9;

  private final Order order;
  private final Hours.Calendar calendar;
  private final long start;
  private final long seed;

  private Production(Order order, Hours.Calendar calendar, long start, long seed) {
    this.order = order;
    this.calendar = calendar;
    this.start = start;
    this.seed = seed;
  }

  /**
   * @param calendar when there are hands; null: day and night
   * @param start second of the epoch
   * @param repeats courses that are tried, at least one
   * @throws IllegalArgumentException when it cannot be done in such hours
   */
  public static Outcome of(
      Order order, Hours.Calendar calendar, long start, long seed, int repeats) {
    int many = order.spread > 0 || order.scrap > 0 ? repeats : 1;
    return new Production(order, calendar, start, seed).run(many);
  }

  private Outcome run(int repeats) {
    Course[] all = courses(order, repeats);
    double[] minutes = sorted(all);
    Course middling = all[0];
    double median = quantile(minutes, 0.5);
    for (Course c : all) {
      if (Math.abs(c.minutes() - median) < Math.abs(middling.minutes() - median)) {
        middling = c;
      }
    }
    return new Outcome(
        median, quantile(minutes, 0.9), perMould(middling), heldUp(repeats), made(all));
  }

  private List<Point> made(Course[] all) {
    List<Point> points = new ArrayList<>();
    int many = Math.min(POINTS, order.casts);
    for (int i = 1; i <= many; i++) {
      int casts = (int) Math.round((double) i * order.casts / many);
      double[] at = Arrays.stream(all).mapToDouble(c -> c.minutes(casts)).sorted().toArray();
      points.add(new Point(casts, quantile(at, 0.1), quantile(at, 0.5), quantile(at, 0.9)));
    }
    return List.copyOf(points);
  }

  /** Those that were left standing make none. */
  private List<Integer> perMould(Course course) {
    List<Integer> all = new ArrayList<>(course.perMould());
    while (all.size() < order.moulds) {
      all.add(0);
    }
    return List.copyOf(all);
  }

  private Course[] courses(Order of, int repeats) {
    Shifts shifts = new Shifts(calendar, start);
    Course[] all = new Course[repeats];
    for (int r = 0; r < repeats; r++) {
      Draws draws = new Draws(of, seed, r);
      int moulds = Math.min(of.moulds, of.casts);
      all[r] = new Course(of.withMoulds(moulds), draws, shifts, null);
      double least = draws.inMouldsMin();
      // so many moulds cannot be done before they have held all casts
      while (--moulds > 0 && least / moulds < all[r].minutes()) {
        Course c = new Course(of.withMoulds(moulds), draws, shifts, null);
        all[r] = c.minutes() < all[r].minutes() ? c : all[r];
      }
    }
    return all;
  }

  private static double[] sorted(Course[] all) {
    return Arrays.stream(all).mapToDouble(Course::minutes).sorted().toArray();
  }

  /** Between the two next to it, in a straight line. */
  private static double quantile(double[] sorted, double share) {
    double at = share * (sorted.length - 1);
    int below = (int) at;
    int above = Math.min(below + 1, sorted.length - 1);
    return sorted[below] + (at - below) * (sorted[above] - sorted[below]);
  }

  private HeldUp heldUp(int repeats) {
    int many = Math.min(repeats, ENOUGH);
    double now = median(order, many);
    double least = now * (1 - NO_GAIN);
    HeldUp held = HeldUp.NOTHING;
    List<HeldUp> what = new ArrayList<>(List.of(HeldUp.HANDS, HeldUp.MOULDS));
    if (order.potHolds != null) {
      what.add(HeldUp.POT);
    }
    for (HeldUp h : what) {
      Order more =
          switch (h) {
            case HANDS -> order.with(order.moulds, order.people + 1, order.potHolds);
            case MOULDS -> order.withMoulds(order.moulds + 1);
            default -> order.with(order.moulds, order.people, order.potHolds + 1);
          };
      double then = median(more, many);
      if (then < least) {
        least = then;
        held = h;
      }
    }
    return held;
  }

  private double median(Order of, int repeats) {
    return quantile(sorted(courses(of, repeats)), 0.5);
  }
}
