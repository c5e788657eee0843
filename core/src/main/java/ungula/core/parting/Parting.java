package ungula.core.parting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;
import ungula.core.air.Seam;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;

/**
 * How a block of rubber comes apart into a lower and an upper half: over every place of the box one
 * height, keys and seal ring included, so that both halves pull straight. Places are in the frame
 * of the box: from the master's middle, and above the plate.
 */
public final class Parting {

  /** Between two points of the parting as it is drawn and measured, mm. */
  private static final double STEP_MM = 0.5;

  private final BoxMould box;
  private final PartingLine line;
  private final double levelMm;
  private final PartedMaster master;
  private final UprightLines lines;
  private final List<Key> keys;
  private final SealRing ring;
  private final IndexedFacetDistance toRing;

  // heights along the silhouette; empty where it is level
  private final double[] heights;
  private final int nx;
  private final int ny;
  private final int firstColumn;
  private final int firstRow;

  private final double seamMm;
  private final double seamOnCleanMm;
  private final double lockedMm3;
  private final double lowerMm3;

  /**
   * @param line wanted; level where the master's shape is not known
   * @param upMm level above the master's lowest point; null is the best
   * @param keying what registers the halves
   * @param ring what a seal ring is like
   * @param keepClean marked facets
   */
  public record Wanted(
      PartingLine line, Double upMm, Keying keying, SealRing.Form ring, FacetSet keepClean) {}

  private Parting(BoxMould box, PartedMaster master, List<double[]> shadow, Wanted wanted) {
    this.box = box;
    this.master = master;
    line = master == null ? PartingLine.LEVEL : wanted.line;
    double up = upMm(box, master, wanted);
    levelMm = levelMm(box, up);
    lines = master == null ? null : master.lines();
    Geometry cavity = Rings.filled(shadow);
    if (line == PartingLine.SILHOUETTE) {
      firstColumn = lines.column(box.inside().minX()) - 1;
      firstRow = lines.row(box.inside().minY()) - 1;
      nx = lines.column(box.inside().maxX()) + 2 - firstColumn;
      ny = lines.row(box.inside().maxY()) + 2 - firstRow;
      heights = silhouette();
    } else {
      firstColumn = 0;
      firstRow = 0;
      nx = 0;
      ny = 0;
      heights = new double[0];
    }
    keys = KeyLayout.of(wanted.keying, Rings.polygon(box.inside().ring()), cavity);
    Geometry section = master == null ? cavity : Rings.filled(master.outlines(Cut.TOP, up));
    ring =
        wanted.keying == Keying.RING
            ? SealRing.round(level() && !section.isEmpty() ? section : cavity, wanted.ring)
            : null;
    toRing = ring == null ? null : new IndexedFacetDistance(ring.centreLines());
    if (level()) {
      seamMm = master == null ? cavity.getLength() : master.scan().seamMm(up);
      seamOnCleanMm = master == null ? 0 : master.seamOver(wanted.keepClean, up);
      lockedMm3 = master == null ? 0 : master.scan().lockedMm3(up);
    } else {
      double[] seam = alongShadow(shadow, master.points(wanted.keepClean));
      seamMm = seam[0];
      seamOnCleanMm = seam[1];
      lockedMm3 = master.scan().betweenMm3();
    }
    double lower = box.rubberBelow(levelMm) + moved() + keysMm3();
    lowerMm3 = Math.max(0, Math.min(box.rubberMm3(), lower));
  }

  /**
   * @param master null while only its size is known
   * @param shadow of the master
   */
  public static Parting of(
      BoxMould box, PartedMaster master, List<double[]> shadow, Wanted wanted) {
    return new Parting(box, master, shadow, wanted);
  }

  /** Of a level parting, and what one along the silhouette stays near to; above the plate. */
  public static double levelMm(BoxMould box, PartedMaster master, Wanted wanted) {
    return levelMm(box, upMm(box, master, wanted));
  }

  private static double levelMm(BoxMould box, double up) {
    return Math.max(0, Math.min(box.belowMm() + up, box.pourLineMm()));
  }

  private static double upMm(BoxMould box, PartedMaster master, Wanted wanted) {
    return wanted.upMm != null
        ? Math.min(wanted.upMm, box.masterMm().z())
        : master == null ? box.masterMm().z() / 2 : master.best(box, wanted.keepClean);
  }

  private boolean level() {
    return line == PartingLine.LEVEL;
  }

  /** As near to the level as the master's outline lets every upright line be free. */
  private double[] silhouette() {
    double[] z = new double[nx * ny];
    for (int j = 0; j < ny; j++) {
      for (int i = 0; i < nx; i++) {
        int column = firstColumn + i;
        int row = firstRow + j;
        z[j * nx + i] =
            lines.covered(column, row)
                ? Math.max(
                    box.belowMm() + lines.low(column, row),
                    Math.min(box.belowMm() + lines.high(column, row), levelMm))
                : Double.NaN;
      }
    }
    Membrane.spread(z, nx, ny);
    return z;
  }

  /** What the lower half gains by following the silhouette, mm³. */
  private double moved() {
    double sum = 0;
    for (int j = 0; j < ny; j++) {
      double[] within = BoxInside.along(box.inside().ring(), 0, lines.y(firstRow + j));
      for (int i = 0; i < nx; i++) {
        if (between(within, lines.x(firstColumn + i))) {
          sum += heights[j * nx + i] - levelMm;
        }
      }
    }
    return nx == 0 ? 0 : sum * lines.pixelMm() * lines.pixelMm();
  }

  private static boolean between(double[] within, double x) {
    int n = Arrays.binarySearch(within, x);
    return n >= 0 || (-n - 1) % 2 == 1;
  }

  private double keysMm3() {
    double sum = ring == null ? 0 : ring.volumeMm3();
    for (Key k : keys) {
      sum += k.up() ? k.volumeMm3() : -k.volumeMm3();
    }
    return sum;
  }

  /** Length of the seam round the shadow, and how much of it is on what is marked. */
  private double[] alongShadow(List<double[]> shadow, MarkedPoints marked) {
    double length = 0;
    double over = 0;
    for (double[] traced : shadow) {
      // without the steps of the raster it was traced round
      double[] r = Outline.thinned(traced, lines.pixelMm() / 2);
      for (int i = 0; i < r.length; i += 2) {
        int j = (i + 2) % r.length;
        double flat = Math.hypot(r[j] - r[i], r[j + 1] - r[i + 1]);
        int steps = 1 + (int) (flat / STEP_MM);
        double z = bare(r[i], r[i + 1]);
        for (int n = 1; n <= steps; n++) {
          double x = r[i] + (r[j] - r[i]) * n / steps;
          double y = r[i + 1] + (r[j + 1] - r[i + 1]) * n / steps;
          double next = bare(x, y);
          double step = Math.hypot(flat / steps, next - z);
          length += step;
          over += marked.near(x, y, next - box.belowMm()) ? step : 0;
          z = next;
        }
      }
    }
    return new double[] {length, over};
  }

  /** Height of the parting at a place, mm above the plate, keys and ring included. */
  public double at(double x, double y) {
    double z = bare(x, y);
    for (Key k : keys) {
      z += k.at(x, y);
    }
    if (toRing != null) {
      Point p = Rings.JTS.createPoint(new Coordinate(x, y));
      if (toRing.isWithinDistance(p, ring.form().widthMm() / 2)) {
        z += ring.at(toRing.distance(p));
      }
    }
    return z;
  }

  /** Whether the parting runs inside the master, or along its surface, at a place. */
  boolean inMaster(double x, double y) {
    if (master == null || !lines.covered(lines.column(x), lines.row(y))) {
      return false;
    }
    double up = levelMm - box.belowMm();
    return !level()
        || lines.low(lines.column(x), lines.row(y)) <= up
            && up <= lines.high(lines.column(x), lines.row(y));
  }

  /** Without keys and ring. */
  private double bare(double x, double y) {
    if (level()) {
      return levelMm;
    }
    double u = Math.max(0, Math.min(nx - 1.001, (x - lines.x(firstColumn)) / lines.pixelMm()));
    double v = Math.max(0, Math.min(ny - 1.001, (y - lines.y(firstRow)) / lines.pixelMm()));
    int i = (int) u;
    int j = (int) v;
    int at = j * nx + i;
    double front = heights[at] + (u - i) * (heights[at + 1] - heights[at]);
    double back = heights[at + nx] + (u - i) * (heights[at + nx + 1] - heights[at + nx]);
    return front + (v - j) * (back - front);
  }

  /**
   * The parting in an upright cut: lines of right, up pairs, broken where they run in the master.
   *
   * @param at where the cut lies along its axis
   */
  public List<double[]> cut(Cut cut, double at) {
    boolean side = cut == Cut.SIDE;
    List<double[]> solid = master == null ? List.of() : master.outlines(cut, at);
    double[] within = BoxInside.along(box.inside().ring(), side ? 1 : 0, at);
    List<double[]> out = new ArrayList<>();
    for (int s = 0; s + 1 < within.length; s += 2) {
      int steps = 1 + (int) ((within[s + 1] - within[s]) / STEP_MM);
      double[] run = new double[2 * (steps + 1)];
      int n = 0;
      for (int i = 0; i <= steps; i++) {
        double along = within[s] + (within[s + 1] - within[s]) * i / steps;
        double x = side ? at : along;
        double y = side ? along : at;
        double z = at(x, y);
        boolean rubber = !Outline.inside(solid, along, z - box.belowMm());
        if (rubber) {
          run[n++] = along;
          run[n++] = z;
        }
        if (n > 0 && (i == steps || !rubber)) {
          if (n > 2) {
            out.add(Arrays.copyOf(run, n));
          }
          n = 0;
        }
      }
    }
    return out;
  }

  /** What a board under the upper half is cut out to: the master at a level parting; else null. */
  public List<double[]> boardCutouts() {
    return master == null || !level() ? null : master.outlines(Cut.TOP, levelMm - box.belowMm());
  }

  /** Keys and seal ring seen from above: rings of right, up pairs. */
  public List<double[]> keysFromAbove() {
    List<double[]> rings = new ArrayList<>();
    for (Key k : keys) {
      rings.add(k.fromAbove());
    }
    if (ring != null) {
      rings.addAll(ring.band());
    }
    return rings;
  }

  /** Where the halves meet, keys standing in it; a seal ring is crossed. */
  public Seam seam() {
    return new Seam() {
      @Override
      public Vec3 normal() {
        return Vec3.UP;
      }

      @Override
      public Optional<Vec3> from(Vec3 place) {
        double z = level() ? levelMm : bare(place.x(), place.y());
        return Optional.of(new Vec3(place.x(), place.y(), z));
      }

      @Override
      public boolean flat() {
        return level();
      }

      @Override
      public boolean taken(Vec3 place) {
        return keys.stream().anyMatch(k -> k.covers(place.x(), place.y()));
      }
    };
  }

  public BoxMould box() {
    return box;
  }

  public PartingLine line() {
    return line;
  }

  /** Of a level parting, and what one along the silhouette stays near to; above the plate. */
  public double levelMm() {
    return levelMm;
  }

  /** The lowest place of the parting, without keys. */
  public double lowestMm() {
    return level() ? levelMm : Arrays.stream(heights).min().orElseThrow();
  }

  public double highestMm() {
    return level() ? levelMm : Arrays.stream(heights).max().orElseThrow();
  }

  public List<Key> keys() {
    return keys;
  }

  /** Null without one. */
  public SealRing ring() {
    return ring;
  }

  /** Where the halves meet on the master, mm. */
  public double seamMm() {
    return seamMm;
  }

  /** How much of that is on what is to be kept clean. */
  public double seamOnCleanMm() {
    return seamOnCleanMm;
  }

  /** Rubber with master in its way when the halves are pulled apart, mm³. */
  public double lockedMm3() {
    return lockedMm3;
  }

  /** Rubber of the lower half, mm³; as much clay beds the master for the first pour. */
  public double lowerMm3() {
    return lowerMm3;
  }

  public double upperMm3() {
    return box.rubberMm3() - lowerMm3;
  }
}
