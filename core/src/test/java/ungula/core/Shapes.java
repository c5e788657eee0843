package ungula.core;

import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Solid;
import ungula.core.master.Solid.Shape;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** Bodies the tests share, mm. */
public final class Shapes {

  /** Facets to a turn: volumes of round bodies are short by 7e-5. */
  private static final int ROUND = 300;

  private Shapes() {}

  /** Of a circle of r 30 about the axis, set down at z = 0, from a step of 120 up to the top. */
  private static double[][] arc(int from, int steps) {
    double[][] profile = new double[steps + 1][];
    for (int i = 0; i <= steps; i++) {
      double a = Math.PI * (from + i) / 120;
      profile[i] = new double[] {from + i == 120 ? 0 : 30 * Math.sin(a), 30 - 30 * Math.cos(a)};
    }
    return profile;
  }

  private static TriangleMesh solid(
      Shape kind, double l, double w, double h, double d, double top, double tube) {
    return new Solid(kind, l, w, h, d, top, tube, Solid.DEFAULT.profile(), null, null, 0.5).mesh();
  }

  /** r 30, standing at z = 0. */
  public static TriangleMesh sphere() {
    return Tessellation.turned(arc(0, 120), ROUND);
  }

  /** 40 × 60 × 80. */
  public static TriangleMesh box() {
    return solid(Shape.BOX, 40, 60, 80, 1, 1, 1);
  }

  /** r 25, h 70. */
  public static TriangleMesh cylinder() {
    return solid(Shape.CYLINDER, 1, 1, 70, 50, 1, 1);
  }

  /** r 25, h 70, of 480 long triangles and two fans. */
  public static TriangleMesh plainCylinder() {
    return Tessellation.turned(new double[][] {{0, 0}, {25, 0}, {25, 70}, {0, 70}}, 240);
  }

  /** R 40, r 12, lying flat. */
  public static TriangleMesh torus() {
    return Tessellation.torus(40, 12, ROUND, 96);
  }

  /** Half of a sphere of r 30, flat side down. */
  public static TriangleMesh dome() {
    double[][] half = arc(60, 60);
    double[][] profile = new double[half.length + 1][];
    profile[0] = new double[] {0, 0};
    for (int i = 0; i < half.length; i++) {
      profile[i + 1] = new double[] {half[i][0], half[i][1] - 30};
    }
    return Tessellation.turned(profile, ROUND);
  }

  /** Outside r 30 h 50, inside r 26 h 46, mouth down, its rim at z = 5. */
  public static TriangleMesh cup() {
    return Tessellation.turned(
        new double[][] {{0, 51}, {0, 51}, {26, 51}, {26, 5}, {30, 5}, {30, 55}, {0, 55}}, 240);
  }

  /** The cup in its box: 12 mm round and over it, the plate at z = 0. */
  public static Box3 boxRoundCup() {
    return new Box3(new Vec3(-42, -42, 0), new Vec3(42, 42, 67));
  }

  public static TriangleMesh turned(TriangleMesh mesh, Rotation turn) {
    return mesh.moved(1, turn, Vec3.ZERO);
  }

  /** Without every n-th triangle: full of holes. */
  public static TriangleMesh torn(TriangleMesh mesh, int n) {
    int[] c = mesh.corners();
    int[] kept = new int[c.length];
    int used = 0;
    for (int t = 0; t < mesh.triangleCount(); t++) {
      if (t % n != 0) {
        System.arraycopy(c, 3 * t, kept, used, 3);
        used += 3;
      }
    }
    return new TriangleMesh(mesh.xyz(), java.util.Arrays.copyOf(kept, used));
  }

  /** Two bodies in one mesh, the second moved. */
  public static TriangleMesh both(TriangleMesh a, TriangleMesh b, Vec3 shift) {
    TriangleMesh moved = b.moved(1, Rotation.NONE, shift);
    double[] xyz = java.util.Arrays.copyOf(a.xyz(), a.xyz().length + moved.xyz().length);
    System.arraycopy(moved.xyz(), 0, xyz, a.xyz().length, moved.xyz().length);
    int[] c = java.util.Arrays.copyOf(a.corners(), a.corners().length + b.corners().length);
    for (int i = 0; i < b.corners().length; i++) {
      c[a.corners().length + i] = b.corners()[i] + a.vertexCount();
    }
    return new TriangleMesh(xyz, c);
  }

  /** Every triangle facing the other way. */
  public static TriangleMesh insideOut(TriangleMesh mesh) {
    int[] c = mesh.corners().clone();
    for (int t = 0; t < c.length; t += 3) {
      int keep = c[t];
      c[t] = c[t + 1];
      c[t + 1] = keep;
    }
    return new TriangleMesh(mesh.xyz(), c);
  }
}
