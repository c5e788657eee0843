package ungula.core.master;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.ConvexHull;
import ungula.core.mesh.ConvexHull.FlatFace;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;

/**
 * A master's mesh as it stands: turned, set down at z = 0, with what the plan asks of it worked out
 * once. Safe to share between threads.
 */
public final class PosedMaster {

  /** Levels of the fill curve: finer than a level can be read at the bench. */
  private static final int LEVELS = 512;

  /** Facets this close to the plate rest on it, as a share of the height. */
  private static final double RESTS = 1e-4;

  /** Facets of the hull leaning less than this apart rest as one face. */
  private static final double FLAT_DEGREES = 1;

  private final TriangleMesh mesh;
  private final FillCurve curve;
  private final double restMm2;
  private final Map<Cut, Slicer> slicers = new EnumMap<>(Cut.class);
  private final Vec3 top;
  private List<FlatFace> flatFaces;

  private PosedMaster(TriangleMesh mesh) {
    this.mesh = mesh;
    this.curve = FillCurve.of(mesh, LEVELS);
    this.restMm2 = restingArea(mesh);
    this.top = mesh.highest();
  }

  /**
   * @param mesh in file units
   * @param unitMm millimetres per file unit
   */
  public static PosedMaster of(TriangleMesh mesh, double unitMm, Pose pose) {
    return new PosedMaster(pose.setDown(mesh, unitMm));
  }

  private static double restingArea(TriangleMesh mesh) {
    double near = 0.005 + RESTS * mesh.bounds().size().z();
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    double area = 0;
    for (int t = 0; t < c.length; t += 3) {
      int i = 3 * c[t];
      int j = 3 * c[t + 1];
      int k = 3 * c[t + 2];
      if (p[i + 2] <= near && p[j + 2] <= near && p[k + 2] <= near) {
        double shadow =
            (p[j] - p[i]) * (p[k + 1] - p[i + 1]) - (p[k] - p[i]) * (p[j + 1] - p[i + 1]);
        area -= shadow / 2;
      }
    }
    return Math.max(0, area);
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

  /** How much of it lies flat on the plate, mm². */
  public double restMm2() {
    return restMm2;
  }

  /** The hull's flat faces, largest first: what the master could rest on. */
  public List<FlatFace> flatFaces() {
    synchronized (slicers) {
      if (flatFaces == null) {
        flatFaces = ConvexHull.flatFaces(ConvexHull.of(mesh), FLAT_DEGREES);
      }
      return flatFaces;
    }
  }

  public Slicer slicer(Cut cut) {
    synchronized (slicers) {
      return slicers.computeIfAbsent(cut, c -> new Slicer(mesh, c));
    }
  }
}
