package ungula.core.skin;

import java.util.BitSet;
import java.util.List;
import ungula.core.field.Coats;
import ungula.core.field.Contour;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.Reach;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The room round a master that stands on a plate, by distance from its surface: what coats of any
 * thickness take, and how they look in section. Hollows that the plate closes off count as master.
 * Below the plate it goes on as at the plate, so that nothing there is nearer than it is. Safe to
 * share between threads.
 */
public final class SkinField {

  /** Cells along the longest side of the master with the thickest skin round it. */
  private static final int CELLS = 144;

  /** Of those, enough to compare kinds of mould by. */
  public static final int COARSE = 64;

  /** Coats are told apart so finely in the curve. */
  private static final double STEP_MM = 0.25;

  /** How far inside the master distances are known, cells. */
  private static final double INSIDE = 2;

  /** Changes when the same master comes out otherwise: old ones are made again. */
  public static final int VERSION = 2;

  private final DistanceField field;

  /** First layer of cells above the plate. */
  private final int first;

  private SkinField(DistanceField field) {
    this.field = field;
    this.first = first(field.grid());
  }

  /** First layer of cells above the plate. */
  static int first(Grid grid) {
    int k = 0;
    while (grid.z(k) < 0) {
      k++;
    }
    return k;
  }

  /**
   * @param master set down at z = 0
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static SkinField of(TriangleMesh master, Parallel parallel, Progress progress) {
    return of(master, CELLS, parallel, progress);
  }

  /**
   * @param cells along the longest side of the master with the thickest skin round it
   */
  public static SkinField of(TriangleMesh master, int cells, Parallel parallel, Progress progress) {
    double wished = (master.bounds().longest() + 2 * Skin.MOST_MM) / cells;
    Grid grid = Grid.round(master.bounds(), Skin.MOST_MM + 2 * wished, wished);
    Reach reach = new Reach(INSIDE * grid.h(), Skin.MOST_MM + 2 * grid.h());
    DistanceField field = DistanceField.of(master, grid, reach, parallel, progress);
    float[] mm = new float[grid.count()];
    int layer = grid.nx() * grid.ny();
    int first = first(grid);
    BitSet brushed = reached(field, first * layer);
    for (int i = 0; i < mm.length; i++) {
      int from = i < first * layer ? first * layer + i % layer : i;
      float d = field.at(from);
      mm[i] = d > 0 && !brushed.get(from) ? (float) (-INSIDE * grid.h()) : d;
    }
    return new SkinField(DistanceField.kept(grid, mm));
  }

  /**
   * Cells off the surface that a brush gets to: not those closed off, by the plate or all round.
   */
  private static BitSet reached(DistanceField field, int floor) {
    Grid g = field.grid();
    BitSet reached = new BitSet(g.count());
    int[] stack = new int[g.count() - floor];
    int top = 0;
    int layer = g.nx() * g.ny();
    // the topmost layer lies wholly outside
    for (int i = g.count() - layer; i < g.count(); i++) {
      reached.set(i);
      stack[top++] = i;
    }
    int[] steps = {1, -1, g.nx(), -g.nx(), layer, -layer};
    while (top > 0) {
      int cell = stack[--top];
      for (int step : steps) {
        int next = cell + step;
        if (next >= floor && next < g.count() && !reached.get(next) && field.at(next) > 0) {
          reached.set(next);
          stack[top++] = next;
        }
      }
    }
    return reached;
  }

  /**
   * The room when recesses of the master are plugged: the plugs count as master.
   *
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public SkinField plugged(List<Skin.Plug> plugs, Parallel parallel, Progress progress) {
    Grid grid = field.grid();
    float[] mm = new float[grid.count()];
    for (int i = 0; i < mm.length; i++) {
      mm[i] = field.at(i);
    }
    List<Double> walls = plugs.stream().map(Skin.Plug::wallMm).distinct().toList();
    for (int w = 0; w < walls.size(); w++) {
      double wall = walls.get(w);
      List<Vec3> at = plugs.stream().filter(p -> p.wallMm() == wall).map(Skin.Plug::at).toList();
      Progress part = progress.part(w / (double) walls.size(), (w + 1.0) / walls.size());
      DistanceField filled = Bridging.filled(this, wall, at, parallel, part);
      for (int i = 0; filled != null && i < mm.length; i++) {
        mm[i] = Math.min(mm[i], filled.at(i));
      }
    }
    return new SkinField(DistanceField.kept(grid, mm));
  }

  /** One that was kept. */
  public static SkinField kept(DistanceField field) {
    return new SkinField(field);
  }

  public DistanceField field() {
    return field;
  }

  /**
   * Whether a brush gets to a place of the surface.
   *
   * @param out away from it, a unit vector
   */
  boolean brushed(Vec3 p, Vec3 out) {
    Vec3 off = p.plus(out.times(field.grid().h()));
    return off.z() > 0 && field.at(off) > 0;
  }

  /**
   * The outside of all that lies no further from the surface, for drawing: it goes on a little
   * below the plate, and is open there.
   */
  public TriangleMesh outside(double mm) {
    TriangleMesh all = Bridging.outside(this, mm);
    double below = -field.grid().h();
    return all.only(t -> all.middle(t).z() > below);
  }

  /** Volume of coats of any thickness, above the plate. */
  public CoatCurve curve() {
    int steps = (int) Math.round(Skin.MOST_MM / STEP_MM);
    return new CoatCurve(STEP_MM, Coats.curve(field, Coats.On.PLATE, 0, STEP_MM, steps));
  }

  /**
   * What a plane cuts of all that lies no further from the surface, above the plate, the master
   * included: rings in the cut's right and up axes.
   */
  public List<double[]> within(double mm, Cut cut, double at) {
    Grid g = field.grid();
    int nu = cut == Cut.SIDE ? g.ny() : g.nx();
    double u0 = cut == Cut.SIDE ? g.origin().y() : g.origin().x();
    if (cut == Cut.TOP) {
      double[] value = new double[nu * g.ny()];
      for (int j = 0; j < g.ny(); j++) {
        for (int i = 0; i < nu; i++) {
          value[j * nu + i] = field.at(new Vec3(g.x(i), g.y(j), at));
        }
      }
      return Contour.within(value, nu, mm, u0, g.origin().y(), g.h());
    }
    return Contour.within(upright(cut, at, nu), nu, mm, u0, 0, g.h());
  }

  /** How far from the middle a skin reaches at a height, one way; 0 where it does not. */
  public double outermostMm(double wallMm, double degrees, double heightMm) {
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    double h = field.grid().h();
    double r = h * Math.hypot(field.grid().nx(), field.grid().ny()) / 2;
    while (r > 0 && field.at(new Vec3(r * cos, r * sin, heightMm)) > wallMm) {
      r -= h / 4;
    }
    return Math.max(0, r);
  }

  /** Distances in an upright plane, from the plate upwards. */
  private double[] upright(Cut cut, double at, int nu) {
    Grid g = field.grid();
    int nv = g.nz() - first;
    double[] value = new double[nu * nv];
    for (int k = 0; k < nv; k++) {
      for (int i = 0; i < nu; i++) {
        double z = k * g.h();
        value[k * nu + i] =
            field.at(cut == Cut.SIDE ? new Vec3(at, g.y(i), z) : new Vec3(g.x(i), at, z));
      }
    }
    return value;
  }

  /**
   * Length of the outside of a skin along an upright half plane through the middle.
   *
   * @param degrees the way it runs, seen from above: 0 to the right, 90 to the back
   */
  public double alongMm(double wallMm, double degrees) {
    Grid g = field.grid();
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    int nu = (int) Math.ceil(Math.hypot(g.nx(), g.ny()) / 2);
    int nv = g.nz() - first;
    double[] value = new double[nu * nv];
    for (int k = 0; k < nv; k++) {
      for (int i = 0; i < nu; i++) {
        double r = i * g.h();
        value[k * nu + i] = field.at(new Vec3(r * cos, r * sin, k * g.h()));
      }
    }
    return Contour.length(value, nu, wallMm, g.h());
  }
}
