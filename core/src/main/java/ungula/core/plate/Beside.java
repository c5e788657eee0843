package ungula.core.plate;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/** Two models as one, so that both stand on one plate. */
public final class Beside {

  private static final double APART_MM = 12;

  private Beside() {}

  /**
   * The second to the right of the first and as low, each as it stands.
   *
   * @param first in its own axes, mm
   * @param turn it stands in
   * @param second as it stands, mm
   * @return both in the axes of the first, whose facets come first
   */
  public static TriangleMesh of(TriangleMesh first, Rotation turn, TriangleMesh second) {
    Box3 a = first.moved(1, turn, Vec3.ZERO).bounds();
    Box3 b = second.bounds();
    Vec3 shift =
        new Vec3(
            a.max().x() + APART_MM - b.min().x(),
            a.centre().y() - b.centre().y(),
            a.min().z() - b.min().z());
    Rotation back = turn.inverse();
    TriangleMesh beside = second.moved(1, Rotation.NONE, shift).moved(1, back, Vec3.ZERO);
    int vertices = first.vertexCount();
    double[] xyz = new double[first.xyz().length + beside.xyz().length];
    System.arraycopy(first.xyz(), 0, xyz, 0, first.xyz().length);
    System.arraycopy(beside.xyz(), 0, xyz, first.xyz().length, beside.xyz().length);
    int[] corners = new int[first.corners().length + beside.corners().length];
    System.arraycopy(first.corners(), 0, corners, 0, first.corners().length);
    for (int k = 0; k < beside.corners().length; k++) {
      corners[first.corners().length + k] = vertices + beside.corners()[k];
    }
    return new TriangleMesh(xyz, corners);
  }
}
