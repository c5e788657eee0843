package ungula.core.air;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;

/**
 * Ways of channels along a mould's seam as it lies: from the cast to the seam, and on in that, ever
 * rising, led round the cast and the seam's keys. Least rubber first, then the shortest: a search
 * row by row over places of the seam, each reached from those of the row below.
 */
final class SeamRoutes {

  /** A seam leaning more than this from upright, as a sine, lets no air up: 6°. */
  private static final double UPRIGHT = 0.105;

  /** What is no further from the seam is in it: a vent is wider, mm. */
  private static final double IN_IT_MM = 1;

  /** A way to the seam rises by this share of how far it leads sideways. */
  private static final double RISES = 0.1;

  /** Between the places looked at, mm. */
  private static final double STEP_MM = 1.5;

  /** So many of those, as far as it may be, keep a channel off the cast. */
  private static final int CLEAR_STEPS = 2;

  /** From one row to the next a channel leads no further sideways, in places. */
  private static final int MOST_ASIDE = 4;

  /** The seam is looked for no further sideways, mm. */
  private static final double REACH_MM = 15;

  /** So many of the nearest places of the seam a way may lead to. */
  private static final int ENTRIES = 40;

  /** A millimetre through rubber is worth so many along the seam. */
  private static final double RUBBER = 10;

  private static final byte FREE = 1;
  private static final byte IN_CAST = 2;
  private static final byte OUTSIDE = 3;

  private final Room cavity;
  private final Seam seam;
  private final Box3 block;

  /** In the seam, as steeply up as that lets. */
  private final Vec3 climbs;

  private final Vec3 aside;
  private final Vec3 up;
  private final Vec3 top;

  /** How high the cast fills. */
  private final double full;

  private final Vec3 corner;
  private final int rows;
  private final int columns;

  /** What is at a place, by row and column; 0 while nobody looked. */
  private final byte[] there;

  /** The same with what is close to the cast, or to a key, taken for it. */
  private final byte[] open;

  private SeamRoutes(Room cavity, Seam seam, Box3 block, Vec3 climbs, Vec3 up) {
    this.cavity = cavity;
    this.seam = seam;
    this.block = block;
    this.climbs = climbs;
    this.up = up;
    this.top = top(up);
    this.full = cavity.highest(up);
    this.aside = climbs.cross(seam.normal());
    double low = -block.most(climbs.times(-1));
    double left = -block.most(aside.times(-1));
    this.rows = 2 + (int) Math.ceil((block.most(climbs) - low) / STEP_MM);
    this.columns = 2 + (int) Math.ceil((block.most(aside) - left) / STEP_MM);
    this.corner = climbs.times(low).plus(aside.times(left));
    this.there = new byte[rows * columns];
    this.open = new byte[rows * columns];
  }

  /**
   * @param up of length one
   * @return empty where air does not rise along the seam
   */
  static Optional<SeamRoutes> of(Room cavity, Seam seam, Box3 block, Vec3 up) {
    Vec3 n = seam.normal();
    double leans = n.dot(up);
    return Math.abs(leans) > UPRIGHT
        ? Optional.empty()
        : Optional.of(new SeamRoutes(cavity, seam, block, up.minus(n.times(leans)).unit(), up));
  }

  /** From a place on the cast; empty where the cast is in the way of all. */
  Optional<VentWay> from(Vec3 top) {
    List<Entry> entries = entries(top);
    if (entries.isEmpty()) {
      return Optional.empty();
    }
    double[] cost = new double[rows * columns];
    int[] before = new int[rows * columns];
    Arrays.fill(cost, Double.POSITIVE_INFINITY);
    Arrays.fill(before, -1);
    int first = rows;
    for (Entry e : entries) {
      cost[e.place] = e.cost;
      first = Math.min(first, e.place / columns);
    }
    int out = -1;
    for (int at = first * columns; at < cost.length - columns; at++) {
      if (cost[at] < Double.POSITIVE_INFINITY && (out < 0 || cost[at] < cost[out])) {
        int reached = climb(at, cost, before);
        out = reached >= 0 && (out < 0 || cost[reached] < cost[out]) ? reached : out;
      }
    }
    return out < 0 ? Optional.empty() : Optional.of(way(top, out, before, entries));
  }

  /** To the places of the row above; the best of them that is outside, −1 for none. */
  private int climb(int at, double[] cost, int[] before) {
    int best = -1;
    int column = at % columns;
    for (int turn = -1; turn <= 1; turn += 2) {
      for (int k = turn < 0 ? 0 : 1; k <= MOST_ASIDE; k++) {
        int to = column + turn * k;
        byte what = to < 0 || to >= columns ? IN_CAST : open(at / columns + 1, to);
        if (what == IN_CAST) {
          break;
        }
        int next = at - column + columns + to;
        double sum = cost[at] + STEP_MM * Math.hypot(1, k);
        if (sum < cost[next]) {
          cost[next] = sum;
          before[next] = at;
        }
        if (what == OUTSIDE) {
          best = best < 0 || cost[next] < cost[best] ? next : best;
          break;
        }
      }
    }
    return best;
  }

  private record Entry(int place, double cost, double apartMm) {}

  /** Places of the seam a straight way leads to, clear of the cast and rising; the nearest. */
  private List<Entry> entries(Vec3 top) {
    Optional<Vec3> foot = seam.from(top);
    if (foot.isEmpty()) {
      return List.of();
    }
    double off = foot.get().minus(top).norm();
    int row = (int) Math.round(climbs.dot(top.minus(corner)) / STEP_MM);
    int column = (int) Math.round(aside.dot(top.minus(corner)) / STEP_MM);
    int reach = (int) (REACH_MM / STEP_MM);
    List<Entry> near = new ArrayList<>();
    for (int r = Math.max(0, row); r < Math.min(rows - 1, row + 2 * reach); r++) {
      for (int c = Math.max(0, column - reach); c <= Math.min(columns - 1, column + reach); c++) {
        if (open(r, c) == FREE) {
          Vec3 to = place(r, c).orElseThrow().minus(top);
          double rise = to.dot(climbs);
          double flat = Math.sqrt(Math.max(0, to.dot(to) - rise * rise));
          if (rise > 0 && rise >= RISES * flat) {
            double d = to.norm();
            near.add(new Entry(r * columns + c, off < IN_IT_MM ? d : RUBBER * d, d));
          }
        }
      }
    }
    return near.stream()
        .sorted(Comparator.comparingDouble(Entry::cost))
        .filter(e -> cavity.clear(top, place(e.place / columns, e.place % columns).orElseThrow()))
        .limit(ENTRIES)
        .toList();
  }

  private VentWay way(Vec3 top, int out, int[] before, List<Entry> entries) {
    List<Integer> places = new ArrayList<>();
    for (int at = out; at >= 0; at = before[at]) {
      places.add(at);
    }
    Collections.reverse(places);
    Entry entry = entries.stream().filter(e -> e.place == places.get(0)).findFirst().orElseThrow();
    List<Vec3> path = new ArrayList<>(List.of(top));
    for (int at : seam.flat() ? straightened(places) : places) {
      path.add(place(at / columns, at % columns).orElseThrow());
    }
    int last = path.size() - 1;
    Vec3 from = path.get(last - 1);
    path.set(last, VentWay.leaves(from, path.get(last).minus(from).unit(), block));
    boolean inIt = entry.cost == entry.apartMm;
    double along = inIt ? entry.apartMm : 0;
    for (int i = 2; i < path.size(); i++) {
      along += path.get(i).minus(path.get(i - 1)).norm();
    }
    return new VentWay(path, inIt ? 0 : entry.apartMm, along, 0);
  }

  /** Those where it has to bend. */
  private List<Integer> straightened(List<Integer> places) {
    List<Integer> bends = new ArrayList<>(List.of(places.get(0)));
    int from = 0;
    while (from < places.size() - 1) {
      int to = places.size() - 1;
      while (to > from + 1 && !straight(places.get(from), places.get(to))) {
        to--;
      }
      bends.add(places.get(to));
      from = to;
    }
    return bends;
  }

  /** Whether all places beside the straight line between two are free. */
  private boolean straight(int a, int b) {
    int up = b / columns - a / columns;
    for (int r = 1; r < up; r++) {
      double c = a % columns + (b % columns - a % columns) * (double) r / up;
      int row = a / columns + r;
      if (open(row, (int) Math.floor(c)) != FREE || open(row, (int) Math.ceil(c)) != FREE) {
        return false;
      }
    }
    return true;
  }

  private Optional<Vec3> place(int row, int column) {
    return seam.from(corner.plus(climbs.times(row * STEP_MM)).plus(aside.times(column * STEP_MM)));
  }

  private byte open(int row, int column) {
    int at = row * columns + column;
    if (open[at] == 0) {
      byte what = there(row, column);
      for (int r = Math.max(0, row - CLEAR_STEPS);
          what == FREE && r <= Math.min(rows - 1, row + CLEAR_STEPS);
          r++) {
        for (int c = Math.max(0, column - CLEAR_STEPS);
            what == FREE && c <= Math.min(columns - 1, column + CLEAR_STEPS);
            c++) {
          what = there(r, c) == IN_CAST ? IN_CAST : FREE;
        }
      }
      open[at] = what;
    }
    return open[at];
  }

  /** Where the seam does not reach, no channel does. */
  private byte there(int row, int column) {
    int at = row * columns + column;
    if (there[at] == 0) {
      there[at] =
          place(row, column)
              .map(p -> block.contains(p) ? closed(p) ? IN_CAST : FREE : outside(p))
              .orElse(IN_CAST);
    }
    return there[at];
  }

  private boolean closed(Vec3 p) {
    return cavity.holds(p) || seam.taken(p);
  }

  /** By the side that lies on top, and no lower than the cast fills: else that would run out. */
  private byte outside(Vec3 p) {
    return p.dot(top) > block.most(top) && p.dot(up) >= full ? OUTSIDE : IN_CAST;
  }

  /** Out of the side of the block that lies most upwards. */
  private static Vec3 top(Vec3 up) {
    double x = Math.abs(up.x());
    double y = Math.abs(up.y());
    double z = Math.abs(up.z());
    return z >= x && z >= y
        ? new Vec3(0, 0, Math.signum(up.z()))
        : x >= y ? new Vec3(Math.signum(up.x()), 0, 0) : new Vec3(0, Math.signum(up.y()), 0);
  }
}
