package ungula.core.cast;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/** One course of a production, event by event. Used once. */
final class Course {

  /** What happens; at one moment in this order. */
  private static final class Kind {
    /** Somebody is done pouring. */
    static final int POURED = 0;

    /** A cast can be opened. */
    static final int READY = 1;

    /** A mould is opened, and closed again. */
    static final int OPENED = 2;

    /** A successor is there. */
    static final int REMADE = 3;

    /** Hands are back at work. */
    static final int BACK = 4;
  }

  private final Production.Order order;
  private final Draws draws;
  private final Shifts shifts;
  private final Events events = new Events();
  private final Deque<Integer> empty = new ArrayDeque<>();
  private final Deque<Integer> ready = new ArrayDeque<>();
  private final int[] cast;
  private final int[] worn;
  private final int[] poured;

  /** When a cast was last taken out of each, seconds; of one that is cold long ago. */
  private final double[] emptied;

  private final double[] made;
  private int good;
  private int idle;
  private int next;
  private int inMoulds;
  private int inPot;

  /** What is done; null where nobody asks. */
  private final List<Production.Deed> deeds;

  /** When somebody is called back next; not before is nothing. */
  private double back = -1;

  /**
   * @param deeds what is done is added to; null where nobody asks
   */
  Course(Production.Order order, Draws draws, Shifts shifts, List<Production.Deed> deeds) {
    this.deeds = deeds;
    this.order = order;
    this.draws = draws;
    this.shifts = shifts;
    this.idle = order.people();
    this.made = new double[order.casts()];
    this.cast = new int[order.moulds()];
    this.worn = new int[order.moulds()];
    this.poured = new int[order.moulds()];
    this.emptied = new double[order.moulds()];
    Arrays.fill(emptied, Double.NEGATIVE_INFINITY);
    for (int m = 0; m < order.moulds(); m++) {
      worn[m] = order.worn(m);
      emptied(0, m);
    }
    run();
  }

  private void run() {
    work(0);
    while (good < order.casts()) {
      double now = events.nextAt();
      while (events.any() && events.nextAt() == now) {
        int kind = events.nextKind();
        take(now, kind, events.poll());
      }
      if (good < order.casts()) {
        work(now);
      }
    }
  }

  private void take(double now, int kind, int mould) {
    switch (kind) {
      case Kind.POURED -> idle++;
      case Kind.READY -> ready.add(mould);
      case Kind.REMADE -> empty.add(mould);
      case Kind.OPENED -> opened(now, mould);
      default -> back = -1;
    }
  }

  private void opened(double now, int mould) {
    idle++;
    inMoulds--;
    if (good < made.length && draws.good(cast[mould])) {
      made[good++] = now / 60;
    }
    emptied[mould] = now;
    emptied(now, mould);
  }

  /** Filled again, unless it is worn out: then its successor is. */
  private void emptied(double now, int mould) {
    if (order.mouldLife() != null && worn[mould] >= order.mouldLife()) {
      worn[mould] = 0;
      emptied[mould] = Double.NEGATIVE_INFINITY;
      events.add(now + 60 * order.remakeMin(), Kind.REMADE, mould);
    } else {
      empty.add(mould);
    }
  }

  private void did(double now, boolean pours, List<Integer> moulds) {
    if (deeds != null) {
      deeds.add(new Production.Deed(now / 60, pours, moulds));
    }
  }

  /** What can be begun now, is. */
  private void work(double now) {
    boolean more = true;
    while (idle > 0 && more) {
      more = fill(now) || open(now);
    }
  }

  /** Fills as many empty moulds as a mix does; false where there is none to fill now. */
  private boolean fill(double now) {
    int room = order.potHolds() == null ? Integer.MAX_VALUE : order.potHolds() - inPot;
    int wanted = order.casts() - good - inMoulds;
    int many = Math.min(Math.min(empty.size(), order.perMix()), Math.min(room, wanted));
    if (many <= 0 || !canBegin(now, draws.pour(next))) {
      return false;
    }
    double done = now + draws.pour(next);
    List<Integer> filled = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      int mould = empty.poll();
      cast[mould] = next;
      filled.add(mould + 1);
      worn[mould]++;
      poured[mould]++;
      inMoulds++;
      inPot++;
      boolean warm = now - emptied[mould] <= 60 * Production.WARM_MIN;
      events.add(done + draws.cure(next) * (warm ? order.warmShare() : 1), Kind.READY, mould);
      next++;
    }
    idle--;
    events.add(done, Kind.POURED, -1);
    did(now, true, filled);
    return true;
  }

  private boolean open(double now) {
    if (ready.isEmpty() || !canBegin(now, draws.demould(cast[ready.peek()]))) {
      return false;
    }
    int mould = ready.poll();
    inPot--;
    idle--;
    events.add(now + draws.demould(cast[mould]), Kind.OPENED, mould);
    did(now, false, List.of(mould + 1));
    return true;
  }

  /** Whether work of a length can begin now; else somebody comes back when it can. */
  private boolean canBegin(double now, double seconds) {
    double at = shifts.fits(now, seconds);
    if (at > now && (back < 0 || at < back)) {
      back = at;
      events.add(at, Kind.BACK, -1);
    }
    return at <= now;
  }

  /** Until the last good one is out. */
  double minutes() {
    return made[good - 1];
  }

  /** Until so many good ones are out. */
  double minutes(int casts) {
    return made[casts - 1];
  }

  List<Integer> perMould() {
    return Arrays.stream(poured).boxed().toList();
  }
}
