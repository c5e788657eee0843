package ungula.core.master;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.mesh.ConvexHull;
import ungula.core.mesh.ConvexHull.FlatFace;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Shadow;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plate.LaidOut;
import ungula.core.plate.Masters;
import ungula.core.plate.OnPlate;
import ungula.core.plate.Plate;

/**
 * A master's mesh as it stands: turned, set down at z = 0, with what the plan asks of it worked out
 * once. Safe to share between threads.
 */
public final class PosedMaster {

  /** Levels of the fill curve: finer than a level can be read at the bench. */
  private static final int LEVELS = 512;

  /** Facets this close to the plate rest on it, as a share of the height. */
  private static final double RESTS = 1e-4;

  /** A master does not stand on less than this share of its diagonal's square. */
  private static final double LEAST_REST = 3e-4;

  /** Facets of the hull leaning less than this apart rest as one face. */
  private static final double FLAT_DEGREES = 1;

  private final TriangleMesh standing;

  /** Null where they are as they stand. */
  private final LaidOut laidOut;

  private final TriangleMesh mesh;
  private final Plate plate;
  private final Rotation turn;
  private final Vec3 shift;
  private final FillCurve curve;
  private final double restMm2;
  private final Foot foot = new Foot(z -> slicer(Cut.TOP).at(z).loops());
  private final Map<Cut, Slicer> slicers = new EnumMap<>(Cut.class);
  private final Vec3 top;
  private List<FlatFace> flatFaces;
  private final Map<Cut, List<double[]>> outlines = new EnumMap<>(Cut.class);
  private Masters masters;
  private OnPlate onPlate;

  private PosedMaster(TriangleMesh standing, Rotation turn, Vec3 shift, Plate plate) {
    this.standing = standing;
    this.plate = plate;
    this.masters = plate.moves() ? Masters.of(standing) : null;
    this.laidOut = masters == null ? null : masters.laidOut(plate);
    this.mesh = laidOut == null ? standing : laidOut.mesh();
    this.turn = turn;
    this.shift = shift;
    this.curve = FillCurve.of(mesh, LEVELS);
    this.restMm2 = restingMm2(mesh, Vec3.UP);
    this.top = mesh.furthest(Vec3.UP);
  }

  /**
   * @param mesh in file units
   * @param unitMm millimetres per file unit
   */
  public static PosedMaster of(TriangleMesh mesh, double unitMm, Pose pose) {
    return of(mesh, unitMm, pose, Plate.ALONE);
  }

  /**
   * @param plate how what stands is laid out, and how often
   */
  public static PosedMaster of(TriangleMesh mesh, double unitMm, Pose pose, Plate plate) {
    TriangleMesh posed = pose.setDown(mesh, unitMm);
    // any vertex tells how far the turned mesh was moved to be set down
    Vec3 shift = posed.vertex(0).minus(pose.turn().apply(mesh.vertex(0).times(unitMm)));
    return new PosedMaster(posed, pose.turn(), shift, plate);
  }

  /** Where a place of the model is, set down. Both in millimetres. */
  public Vec3 place(Vec3 asModelled) {
    Vec3 stood = turn.apply(asModelled).plus(shift);
    return laidOut == null ? stood : laidOut.place(stood);
  }

  /** Where a direction at a place of the model points, set down. */
  public Vec3 direction(Vec3 asModelled, Vec3 d) {
    Vec3 stood = turn.apply(d);
    return laidOut == null ? stood : laidOut.direction(turn.apply(asModelled).plus(shift), stood);
  }

  /**
   * How much of a mesh lies flat on a plate it is set down on, mm²; 0 when it is too little to
   * stand on.
   *
   * @param up away from the plate, a unit vector
   */
  public static double restingMm2(TriangleMesh mesh, Vec3 up) {
    double low = mesh.furthest(up.times(-1)).dot(up);
    double high = mesh.furthest(up).dot(up);
    double near = low + 0.005 + RESTS * (high - low);
    int[] c = mesh.corners();
    double area = 0;
    for (int t = 0; t < c.length; t += 3) {
      Vec3 a = mesh.vertex(c[t]);
      if (a.dot(up) > near) {
        continue;
      }
      Vec3 b = mesh.vertex(c[t + 1]);
      Vec3 d = mesh.vertex(c[t + 2]);
      if (b.dot(up) <= near && d.dot(up) <= near) {
        area -= b.minus(a).cross(d.minus(a)).dot(up) / 2;
      }
    }
    double extent = mesh.bounds().diagonal();
    return area < LEAST_REST * extent * extent ? 0 : area;
  }

  /** The model once, set down at z = 0, before its masters are laid out. */
  public TriangleMesh standing() {
    return standing;
  }

  /** The masters seen from above, as they lie. */
  public OnPlate onPlate() {
    synchronized (slicers) {
      if (onPlate == null) {
        onPlate = masters().on(plate, laidOut);
      }
      return onPlate;
    }
  }

  /** Bounds of each of some facets of the model, set down. */
  public List<Box3> bounds(FacetSet facets) {
    return facets.facets().stream().mapToObj(standing::bounds).toList();
  }

  /** Each master of the model by itself, set down; copies are not told again. */
  public List<TriangleMesh> bodies() {
    return masters().bodies();
  }

  /** Outer size of the largest of them as it stands. */
  public Vec3 largestMm() {
    return bodies().stream()
        .map(body -> body.bounds().size())
        .max(Comparator.comparingDouble(Vec3::longest))
        .orElseThrow();
  }

  private Masters masters() {
    synchronized (slicers) {
      masters = masters == null ? Masters.of(standing) : masters;
      return masters;
    }
  }

  /** Set down at z = 0, its middle over the origin. */
  public TriangleMesh mesh() {
    return mesh;
  }

  /** Volume below each height, set down at z = 0. */
  public FillCurve curve() {
    return curve;
  }

  /** A highest point. */
  public Vec3 top() {
    return top;
  }

  /** What it covers seen from above: rings from the middle, mm. */
  public List<double[]> shadow() {
    return outline(Cut.TOP);
  }

  /** All of it, seen as a cut is: rings of right, up pairs, set down at z = 0, mm. */
  public List<double[]> outline(Cut seen) {
    synchronized (slicers) {
      return outlines.computeIfAbsent(seen, cut -> Shadow.of(mesh, cut));
    }
  }

  /** How much of it lies flat on the plate, mm². */
  public double restMm2() {
    return restMm2;
  }

  /** The hull's flat faces, largest first: what the master could rest on. */
  public List<FlatFace> flatFaces() {
    synchronized (slicers) {
      if (flatFaces == null) {
        flatFaces = ConvexHull.flatFaces(ConvexHull.of(standing), FLAT_DEGREES);
      }
      return flatFaces;
    }
  }

  /** Where what lies on it meets the plate. */
  public Foot foot() {
    return foot;
  }

  public Slicer slicer(Cut cut) {
    synchronized (slicers) {
      return slicers.computeIfAbsent(cut, c -> new Slicer(mesh, c));
    }
  }
}
