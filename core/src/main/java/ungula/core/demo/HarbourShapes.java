package ungula.core.demo;

import java.util.ArrayList;
import java.util.List;
import ungula.core.field.IsoSurface;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** The harbour museum's masters, made by formula: closed meshes in millimetres. */
public final class HarbourShapes {

  private HarbourShapes() {}

  /** A nautilus shell standing on its keel, about 125 mm high, open at its mouth. */
  public static TriangleMesh nautilus() {
    double growth = Math.log(3.0) / (2 * Math.PI);
    double last = 4.7 * Math.PI;
    double mouth = 78 / Math.exp(growth * last);
    IsoSurface.Shape shell =
        (x, y, z) -> {
          double rho = Math.hypot(x, z);
          double theta = Math.atan2(z, x);
          double outer = 1e9;
          double inner = 1e9;
          for (int turn = 0; turn <= 2; turn++) {
            double t = theta + 2 * Math.PI * turn;
            double past = Math.max(0, t - last);
            double reach = mouth * Math.exp(growth * Math.min(t, last));
            double middle = 0.64 * reach;
            double tube = 0.37 * reach;
            double along = past * rho;
            double across = Math.hypot(rho - middle, y * 1.12);
            double whorl = -softest(tube - across, 1 - along, 2.5);
            outer = softest(outer, whorl, 2);
            double back = Math.max(0, last - 1.2 - t);
            double hollow = Math.hypot(across, 0.6 * back * rho);
            if (t > last - Math.PI) {
              inner = Math.min(inner, hollow - 0.8 * tube);
            }
          }
          // shallow growth ribs, fading towards the middle; the middle itself is solid
          double ribs = 0.6 * Math.cos(15 * theta) * Math.min(1, Math.max(0, rho - 25) / 40);
          double core = Math.hypot(rho, 1.3 * y) - 15;
          return -softest(-softest(outer + ribs, core, 5), inner, 2);
        };
    Box3 room = new Box3(new Vec3(-90, -42, -90), new Vec3(90, 42, 96));
    TriangleMesh mesh = IsoSurface.of(shell, room, 150);
    return standing(mesh, Rotation.about(new Vec3(0, 1, 0), 20));
  }

  /** Smooth union of two shapes: blends where they are within {@code r} of each other. */
  private static double softest(double a, double b, double r) {
    double h = Math.max(0, r - Math.abs(a - b));
    return Math.min(a, b) - h * h / (4 * r);
  }

  private static TriangleMesh standing(TriangleMesh mesh, Rotation turn) {
    TriangleMesh turned = mesh.moved(1, turn, Vec3.ZERO);
    return turned.moved(1, Rotation.NONE, new Vec3(0, 0, -turned.bounds().min().z()));
  }

  /** A lantern finial, turned, 128 mm high. */
  public static TriangleMesh finial() {
    double[][] knots = {
      {26, 0}, {26, 7}, {21, 10}, {15, 15}, {12, 24}, {16, 31}, {24, 39}, {28, 48}, {27, 57},
      {21, 66}, {12, 73}, {8.5, 78}, {12, 82}, {13, 86}, {9, 90}, {6, 97}, {4, 108}, {2.2, 119},
      {0, 128}
    };
    return Tessellation.turned(profile(knots, 12, 2), 180);
  }

  /** A mooring bollard as a chess piece. */
  private static TriangleMesh bollard(double height, double width) {
    double[][] knots = {
      {1.0, 0},
      {1.0, 0.06},
      {0.82, 0.12},
      {0.62, 0.22},
      {0.52, 0.4},
      {0.5, 0.58},
      {0.56, 0.68},
      {0.84, 0.74},
      {0.92, 0.81},
      {0.84, 0.9},
      {0.5, 0.975},
      {0, 1.0}
    };
    for (double[] k : knots) {
      k[0] *= width / 2;
      k[1] *= height;
    }
    return Tessellation.turned(profile(knots, 10, 2), 120);
  }

  /** Three bollards of falling height on one plate. */
  public static TriangleMesh chessSet() {
    TriangleMesh.Builder all = new TriangleMesh.Builder(1 << 14);
    add(all, bollard(82, 34), -46, 0);
    add(all, bollard(68, 30), 0, 0);
    add(all, bollard(54, 26), 42, 0);
    return all.build();
  }

  private static void add(TriangleMesh.Builder all, TriangleMesh one, double x, double y) {
    int[] welded = new int[one.vertexCount()];
    for (int v = 0; v < welded.length; v++) {
      Vec3 p = one.vertex(v);
      welded[v] = all.vertex(p.x() + x, p.y() + y, p.z());
    }
    int[] c = one.corners();
    for (int t = 0; t < c.length; t += 3) {
      all.triangle(welded[c[t]], welded[c[t + 1]], welded[c[t + 2]]);
    }
  }

  /** A wall tile 150 × 150 mm with waves in relief, flat at the back. */
  public static TriangleMesh waveTile() {
    int n = 200;
    double side = 150;
    TriangleMesh.Builder b = new TriangleMesh.Builder(4 * n * n);
    int[][] top = new int[n + 1][n + 1];
    int[][] base = new int[n + 1][n + 1];
    for (int j = 0; j <= n; j++) {
      for (int i = 0; i <= n; i++) {
        double u = (double) i / n;
        double v = (double) j / n;
        double x = (u - 0.5) * side;
        double y = (v - 0.5) * side;
        top[j][i] = b.vertex(x, y, wave(u, v));
        base[j][i] = b.vertex(x, y, 0);
      }
    }
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        b.triangle(top[j][i], top[j][i + 1], top[j + 1][i + 1]);
        b.triangle(top[j][i], top[j + 1][i + 1], top[j + 1][i]);
        b.triangle(base[j][i], base[j + 1][i + 1], base[j][i + 1]);
        b.triangle(base[j][i], base[j + 1][i], base[j + 1][i + 1]);
      }
    }
    for (int i = 0; i < n; i++) {
      wall(b, base[0][i], base[0][i + 1], top[0][i + 1], top[0][i]);
      wall(b, base[i][n], base[i + 1][n], top[i + 1][n], top[i][n]);
      wall(b, base[n][i + 1], base[n][i], top[n][i], top[n][i + 1]);
      wall(b, base[i + 1][0], base[i][0], top[i][0], top[i + 1][0]);
    }
    return b.build();
  }

  private static void wall(TriangleMesh.Builder b, int p, int q, int r, int s) {
    b.triangle(p, q, r);
    b.triangle(p, r, s);
  }

  private static double wave(double u, double v) {
    double edge = Math.min(Math.min(u, 1 - u), Math.min(v, 1 - v));
    double frame = Math.min(1, Math.max(0, (edge - 0.04) / 0.05));
    double swell = Math.sin(2 * Math.PI * (2.2 * v + 0.22 * Math.sin(2 * Math.PI * u)));
    double crest = Math.pow(Math.max(0, swell), 3);
    double chop = 0.25 * Math.sin(2 * Math.PI * (5 * u + 3 * v)) * (1 - crest);
    return 11 + frame * (3 + 6.5 * crest + 1.2 * swell + chop - 2.5);
  }

  /**
   * A smooth profile through knots (Catmull and Rom: a class of local interpolating splines, 1974),
   * with straight pieces at the start, from the axis at the bottom to the axis at the top.
   */
  private static double[][] profile(double[][] knots, int steps, int straight) {
    List<double[]> out = new ArrayList<>();
    out.add(new double[] {0, knots[0][1]});
    for (int i = 0; i + 1 < knots.length; i++) {
      if (i < straight) {
        out.add(knots[i]);
        continue;
      }
      double[] p0 = knots[Math.max(straight, i - 1)];
      double[] p1 = knots[i];
      double[] p2 = knots[i + 1];
      double[] p3 = knots[Math.min(knots.length - 1, i + 2)];
      for (int s = 0; s < steps; s++) {
        double t = (double) s / steps;
        double r = spline(p0[0], p1[0], p2[0], p3[0], t);
        out.add(new double[] {Math.max(0.2, r), spline(p0[1], p1[1], p2[1], p3[1], t)});
      }
    }
    out.add(knots[knots.length - 1]);
    return out.toArray(double[][]::new);
  }

  private static double spline(double a, double b, double c, double d, double t) {
    return 0.5
        * (2 * b
            + (c - a) * t
            + (2 * a - 5 * b + 4 * c - d) * t * t
            + (3 * b - a - 3 * c + d) * t * t * t);
  }
}
