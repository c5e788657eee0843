package ungula.core.plate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import ungula.core.mesh.Rings;

/**
 * Lays footprints on a plate, each free to turn, so that the box round them is small: rubber is
 * poured over its whole inside.
 *
 * <p>Bottom-left placing (B. S. Baker, E. G. Coffman and R. L. Rivest, Orthogonal packings in two
 * dimensions, 1980) on a raster, of true outlines instead of rectangles, for boards of many widths
 * and masters in several orders; the best is pushed together exactly. Rows, and where the masters
 * are already, are looked at too, so that what is found is never worse. Found, not proven, to be
 * small. The same for the same footprints.
 */
public final class Packing {

  /** Ways a footprint is turned. */
  private static final int TURNS = 24;

  /** Boards tried between the narrowest and the widest. */
  private static final int WIDTHS = 16;

  /** Orders tried at random, besides the largest and the longest first. */
  private static final int SHUFFLES = 4;

  /** Cells along the side of a square as large as all masters together. */
  private static final double FINE = 90;

  /** With more masters than this, orders are no longer tried at random. */
  private static final int FEW = 12;

  private static final int PUSHES = 4;

  /** Footprints are no closer than the land, but for this. */
  static final double EXACT_MM = 0.01;

  private final List<Geometry> footprints;
  private final double landMm;
  private final double cell;

  /** By footprint, then by turn; where two footprints are one object they share theirs. */
  private final List<Geometry[]> turned = new ArrayList<>();

  private final List<Raster[]> rasters = new ArrayList<>();

  private Packing(List<Geometry> footprints, double landMm) {
    this.footprints = footprints;
    this.landMm = landMm;
    double area = footprints.stream().mapToDouble(f -> f.buffer(landMm / 2).getArea()).sum();
    this.cell = Math.sqrt(area) / FINE;
    for (int i = 0; i < footprints.size(); i++) {
      int first = footprints.indexOf(footprints.get(i));
      if (first < i) {
        turned.add(turned.get(first));
        rasters.add(rasters.get(first));
        continue;
      }
      Geometry one = footprints.get(i);
      Geometry[] ways = new Geometry[TURNS];
      Arrays.setAll(
          ways,
          k -> AffineTransformation.rotationInstance(Math.toRadians(degrees(k))).transform(one));
      turned.add(ways);
      rasters.add(
          Arrays.stream(ways)
              .map(g -> Raster.of(g.buffer(landMm / 2 + cell / Math.sqrt(2)), cell))
              .toArray(Raster[]::new));
    }
  }

  private static double degrees(int turn) {
    return 360.0 * turn / TURNS;
  }

  /**
   * @param footprints outline of each master, x and y in turn; copies are the same array
   * @param landMm least distance between any two
   * @return where each goes: the box round all has its middle over the origin and its longer side
   *     along x
   */
  public static List<Laid> of(List<double[]> footprints, double landMm) {
    List<Geometry> areas = new ArrayList<>();
    for (int i = 0; i < footprints.size(); i++) {
      int first = footprints.indexOf(footprints.get(i));
      areas.add(first < i ? areas.get(first) : Rings.polygon(footprints.get(i)).buffer(0));
    }
    return new Packing(areas, landMm).best();
  }

  private List<Laid> best() {
    List<List<Laid>> found = new ArrayList<>();
    for (int perRow = 1; perRow <= footprints.size(); perRow++) {
      found.add(rows(perRow, 0));
      found.add(rows(perRow, TURNS / 4));
    }
    List<Laid> still = Collections.nCopies(footprints.size(), Laid.WHERE_IT_IS);
    if (apart(still) >= landMm - EXACT_MM) {
      found.add(still);
    }
    double narrowest = 0;
    double widest = 0;
    for (Raster[] ways : rasters) {
      narrowest = Math.max(narrowest, Arrays.stream(ways).mapToInt(r -> r.wide).min().orElse(0));
      widest += Arrays.stream(ways).mapToInt(r -> r.wide).max().orElse(0);
    }
    for (int[] order : orders()) {
      for (int k = 0; k < WIDTHS; k++) {
        double wide = narrowest * Math.pow(widest / narrowest, k / (WIDTHS - 1.0));
        found.add(placed(order, (int) Math.ceil(wide)));
      }
    }
    List<Laid> best =
        found.stream()
            .sorted(Comparator.comparingDouble(this::boxMm2))
            .limit(4)
            .map(this::pushed)
            .min(Comparator.comparingDouble(this::boxMm2))
            .orElseThrow();
    return centred(best);
  }

  private List<int[]> orders() {
    int n = footprints.size();
    List<Integer> all = new ArrayList<>(IntStream.range(0, n).boxed().toList());
    List<int[]> orders = new ArrayList<>();
    all.sort(Comparator.comparingDouble(i -> -footprints.get(i).getArea()));
    orders.add(ints(all));
    all.sort(
        Comparator.comparingDouble(i -> -footprints.get(i).getEnvelopeInternal().getDiameter()));
    addNew(ints(all), orders);
    Random random = new Random(n);
    for (int k = 0; k < SHUFFLES && n <= FEW; k++) {
      Collections.shuffle(all, random);
      addNew(ints(all), orders);
    }
    return orders;
  }

  /** Copies may change places without making another order. */
  private void addNew(int[] order, List<int[]> orders) {
    boolean known =
        orders.stream()
            .anyMatch(
                o ->
                    IntStream.range(0, o.length)
                        .allMatch(i -> footprints.get(o[i]) == footprints.get(order[i])));
    if (!known) {
      orders.add(order);
    }
  }

  private static int[] ints(List<Integer> all) {
    return all.stream().mapToInt(i -> i).toArray();
  }

  /** So many side by side along x, row over row, each turned the same. */
  private List<Laid> rows(int perRow, int turn) {
    List<Laid> all = new ArrayList<>();
    double x = 0;
    double y = 0;
    double deepest = 0;
    for (Geometry[] ways : turned) {
      Envelope e = ways[turn].getEnvelopeInternal();
      if (!all.isEmpty() && all.size() % perRow == 0) {
        y += deepest + landMm;
        x = 0;
        deepest = 0;
      }
      all.add(new Laid(degrees(turn), x - e.getMinX(), y - e.getMinY()));
      x += e.getWidth() + landMm;
      deepest = Math.max(deepest, e.getHeight());
    }
    return all;
  }

  /** As low as each goes, then as far left, on a board so many cells wide. */
  private List<Laid> placed(int[] order, int wide) {
    int most = 0;
    for (Raster[] ways : rasters) {
      most += Arrays.stream(ways).mapToInt(r -> Math.max(r.wide, r.high)).max().orElse(0);
    }
    Raster board = Raster.empty(wide, most);
    Laid[] all = new Laid[order.length];
    for (int i : order) {
      int lowest = Integer.MAX_VALUE;
      int x = 0;
      int y = 0;
      int turn = 0;
      for (int k = 0; k < TURNS; k++) {
        Raster r = rasters.get(i)[k];
        int[] at = lowest(board, r, wide, lowest - r.high);
        if (at != null) {
          lowest = at[1] + r.high;
          x = at[0];
          y = at[1];
          turn = k;
        }
      }
      Raster r = rasters.get(i)[turn];
      board.add(r, x, y);
      all[i] = new Laid(degrees(turn), x * cell - r.x0, y * cell - r.y0);
    }
    return Arrays.asList(all);
  }

  /** Below a row; null where there is no room. */
  private static int[] lowest(Raster board, Raster r, int wide, int below) {
    for (int y = 0; y < below && y + r.high <= board.high; y++) {
      for (int x = 0; x + r.wide <= wide; x++) {
        if (board.clear(r, x, y)) {
          return new int[] {x, y};
        }
      }
    }
    return null;
  }

  /** Pushed to the left and down, as far as the raster left room. */
  private List<Laid> pushed(List<Laid> laid) {
    List<Laid> all = new ArrayList<>(laid);
    List<Geometry> at = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      at.add(area(i, all.get(i)));
    }
    for (int n = 0; n < PUSHES; n++) {
      for (boolean sideways : new boolean[] {true, false}) {
        double edge = edge(at, sideways);
        Integer[] order = IntStream.range(0, all.size()).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingDouble(i -> low(at.get(i), sideways)));
        for (int i : order) {
          double room = Math.min(4 * cell, low(at.get(i), sideways) - edge);
          double by = furthest(at, i, room, sideways);
          Laid to = all.get(i).moved(sideways ? -by : 0, sideways ? 0 : -by);
          all.set(i, to);
          at.set(i, area(i, to));
        }
      }
    }
    return all;
  }

  private static double edge(List<Geometry> at, boolean sideways) {
    return at.stream().mapToDouble(g -> low(g, sideways)).min().orElse(0);
  }

  private static double low(Geometry g, boolean sideways) {
    Envelope e = g.getEnvelopeInternal();
    return sideways ? e.getMinX() : e.getMinY();
  }

  /** How far one of them goes, up to so much, without coming closer to another than the land. */
  private double furthest(List<Geometry> at, int i, double room, boolean sideways) {
    double free = 0;
    double tried = room;
    for (int n = 0; n < 10 && tried - free > EXACT_MM / 4; n++) {
      double by = n == 0 ? room : (free + tried) / 2;
      Geometry moved =
          AffineTransformation.translationInstance(sideways ? -by : 0, sideways ? 0 : -by)
              .transform(at.get(i));
      if (clear(at, i, moved)) {
        free = by;
      } else {
        tried = by;
      }
      if (free == room) {
        break;
      }
    }
    return free;
  }

  private boolean clear(List<Geometry> at, int i, Geometry moved) {
    for (int j = 0; j < at.size(); j++) {
      if (j != i && moved.isWithinDistance(at.get(j), landMm)) {
        return false;
      }
    }
    return true;
  }

  private Geometry area(int i, Laid laid) {
    AffineTransformation to = AffineTransformation.rotationInstance(Math.toRadians(laid.degrees()));
    to.translate(laid.x(), laid.y());
    return to.transform(footprints.get(i));
  }

  private double apart(List<Laid> laid) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < laid.size(); i++) {
      for (int j = 0; j < i; j++) {
        least = Math.min(least, area(i, laid.get(i)).distance(area(j, laid.get(j))));
      }
    }
    return least;
  }

  private Envelope round(List<Laid> laid) {
    Envelope e = new Envelope();
    for (int i = 0; i < laid.size(); i++) {
      e.expandToInclude(area(i, laid.get(i)).getEnvelopeInternal());
    }
    return e;
  }

  /** Of the box round them, with as much rubber round the sides as between two. */
  private double boxMm2(List<Laid> laid) {
    Envelope e = round(laid);
    return (e.getWidth() + 2 * landMm) * (e.getHeight() + 2 * landMm);
  }

  private List<Laid> centred(List<Laid> laid) {
    Envelope e = round(laid);
    List<Laid> lying =
        e.getWidth() < e.getHeight() ? laid.stream().map(Laid::quarter).toList() : laid;
    Envelope now = round(lying);
    return lying.stream().map(l -> l.moved(-now.centre().x, -now.centre().y)).toList();
  }
}
