package ungula.core.hollow;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.IsoSurface;
import ungula.core.field.Reach;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plate.Masters;
import ungula.core.release.Stretch;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What fills a cast's inside so that it comes out hollow: all of the master deeper than the wall of
 * the cast, where its signed distance field is under −wall. Of a master that stands on the plate
 * the cast stays open there: the core goes on through it as a print that holds it in the mould.
 *
 * <p>Parts that nothing holds are left out: of an open cast those that do not reach the opening, of
 * a closed one all but the largest. Safe to share between threads.
 */
public final class HollowCore {

  /** Along the longest side, and at least so many to a wall. */
  private static final int CELLS = 110;

  private static final double CELLS_PER_WALL = 2.5;

  /** Cells are so many times as wide where a core is only compared with others. */
  private static final double COARSE = 2;

  /** How far the print stands out of the cavity. */
  public static final double PRINT_MM = 15;

  private static final int LEVELS = 256;

  private final double wallMm;
  private final boolean open;
  private final TriangleMesh mesh;
  private final double volumeMm3;
  private final Loose loose;
  private final double openingMm2;
  private final double areaMm2;
  private final Stretch stretch;
  private final Map<Cut, Slicer> slicers = new EnumMap<>(Cut.class);

  /** Changes when the same master comes out otherwise: old ones are made again. */
  public static final int VERSION = 2;

  /**
   * Inside that stays solid, because nothing would hold a core there.
   *
   * @param at the middle of the largest such part
   */
  public record Loose(double mm3, Vec3 at) {
    static final Loose NOTHING = new Loose(0, Vec3.ZERO);
  }

  /**
   * @param mesh of the core with its print, as {@link #mesh()} tells it
   */
  public HollowCore(double wallMm, boolean open, TriangleMesh mesh, Loose loose) {
    this.wallMm = wallMm;
    this.open = open;
    this.mesh = mesh;
    this.loose = loose;
    double low = mesh.bounds().min().z();
    FillCurve curve = FillCurve.of(mesh.moved(1, Rotation.NONE, new Vec3(0, 0, -low)), LEVELS);
    this.volumeMm3 = curve.total() - (low < 0 ? curve.below(-low) : 0);
    this.openingMm2 = open ? slicer(Cut.TOP).at(1e-3).areaMm2() : 0;
    this.areaMm2 = mesh.measure().areaMm2();
    this.stretch = Stretch.pulledUp(Masters.of(mesh).bodies(), Parallel.ALL);
  }

  /**
   * @param master set down at z = 0, mm
   * @param open whether the cast stays open where the master stands on the plate
   * @param wallMm of the cast
   * @return empty where the master is nowhere thicker than two walls, or where nothing of the core
   *     would reach the opening
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static Optional<HollowCore> of(
      TriangleMesh master, boolean open, double wallMm, Parallel parallel, Progress progress) {
    return of(master, open, wallMm, 1, parallel, progress);
  }

  /** In coarser cells, enough to compare kinds of mould by: within a few hundredths. */
  public static Optional<HollowCore> coarse(
      TriangleMesh master, boolean open, double wallMm, Parallel parallel, Progress progress) {
    return of(master, open, wallMm, COARSE, parallel, progress);
  }

  private static Optional<HollowCore> of(
      TriangleMesh master,
      boolean open,
      double wallMm,
      double coarser,
      Parallel parallel,
      Progress progress) {
    TriangleMesh body = open ? Prolonged.down(master, wallMm + PRINT_MM) : master;
    double h = coarser * Math.min(Grid.spacing(body.bounds(), CELLS), wallMm / CELLS_PER_WALL);
    Grid grid = Grid.round(body.bounds(), 2 * h, h);
    DistanceField field =
        DistanceField.of(
            body, grid, new Reach(wallMm + 2 * grid.h(), 2 * grid.h()), parallel, progress);
    boolean any = false;
    for (int i = 0; i < grid.count() && !any; i++) {
      any = field.at(i) < -wallMm;
    }
    if (!any) {
      return Optional.empty();
    }
    TriangleMesh all = IsoSurface.of(grid, cell -> field.at(cell) + wallMm);
    return held(all, open, wallMm);
  }

  /** Leaves out what nothing holds. */
  private static Optional<HollowCore> held(TriangleMesh all, boolean open, double wallMm) {
    Topology topology = Topology.of(all);
    int[] part = topology.partOf();
    double[] volume = new double[topology.parts()];
    double[] low = new double[topology.parts()];
    Arrays.fill(low, Double.POSITIVE_INFINITY);
    Vec3[] middle = new Vec3[low.length];
    Arrays.fill(middle, Vec3.ZERO);
    int[] facets = new int[low.length];
    for (int t = 0; t < part.length; t++) {
      Vec3 a = all.vertex(all.corners()[3 * t]);
      Vec3 b = all.vertex(all.corners()[3 * t + 1]);
      Vec3 c = all.vertex(all.corners()[3 * t + 2]);
      middle[part[t]] = middle[part[t]].plus(all.middle(t));
      facets[part[t]]++;
      volume[part[t]] += a.dot(b.cross(c)) / 6;
      low[part[t]] = Math.min(low[part[t]], Math.min(a.z(), Math.min(b.z(), c.z())));
    }
    double most = Arrays.stream(volume).max().orElse(0);
    boolean[] keep = new boolean[volume.length];
    Loose loose = Loose.NOTHING;
    double largest = 0;
    boolean any = false;
    for (int k = 0; k < keep.length; k++) {
      keep[k] = open ? low[k] < 0 && volume[k] > 0 : volume[k] == most;
      any |= keep[k];
      if (!keep[k] && volume[k] > 0) {
        boolean more = volume[k] > largest;
        loose =
            new Loose(loose.mm3 + volume[k], more ? middle[k].times(1.0 / facets[k]) : loose.at);
        largest = Math.max(largest, volume[k]);
      }
    }
    if (!any) {
      return Optional.empty();
    }
    return Optional.of(new HollowCore(wallMm, open, all.only(t -> keep[part[t]]), loose));
  }

  public double wallMm() {
    return wallMm;
  }

  /** Whether the cast is open where it stands; a closed one never lets its core go. */
  public boolean open() {
    return open;
  }

  /** With its print; the plate is z = 0. */
  public TriangleMesh mesh() {
    return mesh;
  }

  /** Of the core within the cavity, without its print. */
  public double volumeMm3() {
    return volumeMm3;
  }

  public Loose loose() {
    return loose;
  }

  /** Of the opening in the cast's base; 0 when it is closed. */
  public double openingMm2() {
    return openingMm2;
  }

  /** Surface of the core. */
  public double areaMm2() {
    return areaMm2;
  }

  /** How far a core of rubber must give to be drawn out through the opening. */
  public Stretch stretch() {
    return stretch;
  }

  /** What a plane cuts of it: rings in the cut's right and up axes. */
  public List<double[]> at(Cut cut, double at) {
    return slicer(cut).at(at).loops();
  }

  private Slicer slicer(Cut cut) {
    synchronized (slicers) {
      return slicers.computeIfAbsent(cut, c -> new Slicer(mesh, c));
    }
  }
}
