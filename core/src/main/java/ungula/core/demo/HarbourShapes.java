package ungula.core.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import ungula.core.field.IsoSurface;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/**
 * The harbour museum's masters, made by formula: closed meshes in millimetres.
 *
 * @param detail how finely they are divided along each way, 1 as they are shown
 */
public record HarbourShapes(double detail) {

  public static final HarbourShapes FINE = new HarbourShapes(1);

  /** How many there are of what is so many in full detail. */
  private int of(int fine) {
    return (int) Math.round(detail * fine);
  }

  /** A nautilus shell standing on its keel, about 125 mm high, open at its mouth. */
  public TriangleMesh nautilus() {
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
    TriangleMesh mesh = IsoSurface.of(shell, room, of(150));
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
  public TriangleMesh finial() {
    double[][] knots = {
      {26, 0}, {26, 7}, {21, 10}, {15, 15}, {12, 24}, {16, 31}, {24, 39}, {28, 48}, {27, 57},
      {21, 66}, {12, 73}, {8.5, 78}, {12, 82}, {13, 86}, {9, 90}, {6, 97}, {4, 108}, {2.2, 119},
      {0, 128}
    };
    return Tessellation.turned(profile(knots, of(12), 2), of(180));
  }

  /** A mooring bollard as a chess piece. */
  private TriangleMesh bollard(double height, double width) {
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
    return Tessellation.turned(profile(knots, of(10), 2), of(120));
  }

  /** Three bollards of falling height on one plate. */
  public TriangleMesh chessSet() {
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

  /**
   * An octopus on a rock, about 95 mm high: a mantle like an umbrella, arms that arch and curl,
   * tips that hang.
   */
  public TriangleMesh octopus() {
    List<double[]> beads = new ArrayList<>();
    for (int arm = 0; arm < 8; arm++) {
      double way = 2 * Math.PI * (arm + 0.3) / 8;
      double reach = 44 + 7 * Math.sin(2.3 * arm);
      double arch = 9 + 7 * Math.cos(1.7 * arm);
      boolean curls = arm % 2 == 0;
      for (int i = 0; i <= 26; i++) {
        double t = i / 26.0;
        double bend = way + 0.55 * t * t * (arm % 3 - 1);
        double out = 12 + (reach - 12) * Math.sin(t * (curls ? 1.9 : 1.45)) / Math.sin(1.45);
        double up =
            40 - 30 * t + arch * Math.sin(Math.PI * t) + (curls ? 34 : 5) * Math.pow(t, 3) * t;
        beads.add(new double[] {out * Math.cos(bend), out * Math.sin(bend), up, 8.2 - 5.4 * t});
      }
    }
    Map<List<Integer>, double[][]> near = new HashMap<>();
    IsoSurface.Shape shape =
        (x, y, z) -> {
          double r = Math.hypot(x, y);
          double way = Math.atan2(y, x);
          double rough = 1.6 * Math.sin(0.21 * x + 1) * Math.sin(0.19 * y) * Math.sin(0.3 * z + 2);
          double rock = (Math.hypot(r / 46, (z + 4) / 19) - 1) * 19 - rough;
          double head = (Math.hypot(Math.hypot(x + 5, y) / 19, (z - 70) / 25) - 1) * 19;
          double neck = (Math.hypot(r / 13, (z - 46) / 14) - 1) * 13;
          double eyes = Math.hypot(Math.hypot(x - 13, Math.abs(y) - 9), z - 57) - 5.5;
          // the skin between the arms: a shell, open below
          double dome = Math.hypot(r, 1.15 * (z - 14)) - 31 - 1.6 * Math.cos(8 * way - 1.9);
          double skirt = Math.max(Math.abs(dome) - 1.7, 25 - z);
          double body = softest(softest(head, neck, 9), softest(skirt, eyes, 3), 5);
          double arms = 1e9;
          for (double[] b : near.computeIfAbsent(block(x, y, z), at -> near(at, beads))) {
            double dx = x - b[0];
            double dy = y - b[1];
            double dz = z - b[2];
            double d2 = dx * dx + dy * dy + dz * dz;
            if (d2 < 400) {
              arms = Math.min(arms, Math.sqrt(d2) - b[3]);
            }
          }
          double stem = Math.max(r - 8, Math.max(z - 40, -z));
          return Math.max(softest(rock, softest(softest(body, arms, 4), stem, 4), 3), -z);
        };
    Box3 room = new Box3(new Vec3(-66, -66, -1.2), new Vec3(66, 66, 100));
    return standing(IsoSurface.of(shape, room, of(120)), Rotation.NONE);
  }

  /** Which block of 20 mm a place is in. */
  private static List<Integer> block(double x, double y, double z) {
    return List.of((int) Math.floor(x / 20), (int) Math.floor(y / 20), (int) Math.floor(z / 20));
  }

  /** Those of which a place in the block may be within 20 mm. */
  private static double[][] near(List<Integer> block, List<double[]> beads) {
    return beads.stream()
        .filter(
            b ->
                IntStream.range(0, 3).allMatch(a -> Math.abs(b[a] / 20 - block.get(a) - 0.5) < 1.5))
        .toArray(double[][]::new);
  }

  /** A rope paperweight: three strands twisted, tied in a closed trefoil, lying flat. */
  public TriangleMesh ropeKnot() {
    int steps = of(600);
    int round = of(96);
    TriangleMesh.Builder b = new TriangleMesh.Builder(2 * steps * round);
    int[][] at = new int[steps][round];
    for (int i = 0; i < steps; i++) {
      double t = 2 * Math.PI * i / steps;
      Vec3 middle = knot(t);
      Vec3 along = knot(t + 1e-4).minus(knot(t - 1e-4)).unit();
      Vec3 right = along.cross(Vec3.UP).unit();
      Vec3 over = right.cross(along);
      for (int j = 0; j < round; j++) {
        double turn = 2 * Math.PI * j / round;
        double radius = 8.6 - 1.1 * Math.abs(Math.sin(1.5 * turn + 12 * t));
        Vec3 p =
            middle
                .plus(right.times(radius * Math.cos(turn)))
                .plus(over.times(radius * Math.sin(turn)));
        at[i][j] = b.vertex(p.x(), p.y(), p.z());
      }
    }
    for (int i = 0; i < steps; i++) {
      for (int j = 0; j < round; j++) {
        int[] here = at[i];
        int[] next = at[(i + 1) % steps];
        int k = (j + 1) % round;
        b.triangle(here[j], next[j], next[k]);
        b.triangle(here[j], next[k], here[k]);
      }
    }
    return standing(b.build(), Rotation.NONE);
  }

  private static Vec3 knot(double t) {
    return new Vec3(
        15 * (Math.sin(t) + 2 * Math.sin(2 * t)),
        15 * (Math.cos(t) - 2 * Math.cos(2 * t)),
        -11 * Math.sin(3 * t));
  }

  /** A ship's bell standing on its mouth, hollow, with a crown to hang it by; 120 mm high. */
  public TriangleMesh bell() {
    double[][] outside = {
      {44, 0},
      {46, 3},
      {45, 9},
      {38, 22},
      {33, 40},
      {30.5, 58},
      {29, 72},
      {25, 82},
      {16, 88},
      {10, 91},
      {8, 96},
      {11, 102},
      {12.5, 109},
      {10, 116},
      {0, 120}
    };
    double[][] inside = {
      {0, 79}, {14, 78}, {21, 75}, {24.5, 68}, {26, 56}, {29, 38}, {34, 20}, {39, 8}, {40, 0}
    };
    List<double[]> ring = new ArrayList<>();
    for (double[] p : profile(inside, of(8), 0)) {
      if (ring.isEmpty() || p[1] < ring.get(ring.size() - 1)[1] + 1e-9) {
        ring.add(p);
      }
    }
    double[][] out = profile(outside, of(8), 1);
    for (int i = 1; i < out.length; i++) {
      ring.add(out[i]);
    }
    return Tessellation.turned(ring.toArray(double[][]::new), of(160));
  }

  /** A harbour seal pup on its belly, flat underneath, about 150 mm long. */
  public TriangleMesh sealPup() {
    IsoSurface.Shape seal =
        (x, y, z) -> {
          double side = Math.abs(y);
          double taper = 1 - 0.0042 * Math.max(0, x);
          double body =
              (Math.hypot(Math.hypot(x / 62, y / (25 * taper)), (z - 19) / (22 * taper)) - 1) * 22;
          double chest = Math.hypot(Math.hypot(x + 42, y), z - 27) - 19;
          double head = (Math.hypot(Math.hypot(x + 57, y) / 17, (z - 45) / 15) - 1) * 15;
          double muzzle = Math.hypot(Math.hypot(x + 71, y), z - 41) - 7.5;
          double eye = Math.hypot(Math.hypot(x + 67, side - 8.5), z - 49) - 2.6;
          double flipper =
              (Math.hypot(
                          Math.hypot((x + 28 - 0.5 * (side - 20)) / 11, (side - 31) / 16),
                          (z - 7) / 5)
                      - 1)
                  * 5;
          double tail =
              (Math.hypot(Math.hypot((x - 70) / 18, (side - 8) / 8), (z - 12) / 4.5) - 1) * 4.5;
          double all = softest(softest(body, chest, 14), softest(head, muzzle, 7), 9);
          all = softest(softest(all, flipper, 6), softest(tail, eye, 1), 5);
          return Math.max(all, 1.5 - z);
        };
    Box3 room = new Box3(new Vec3(-86, -54, -1), new Vec3(96, 54, 66));
    return standing(IsoSurface.of(seal, room, of(130)), Rotation.NONE);
  }

  /** A mooring post half a metre high with barnacles, a groove worn by ropes and a cap. */
  public TriangleMesh mooringPost() {
    List<double[]> barnacles = new ArrayList<>();
    for (int i = 0; i < 70; i++) {
      double way = 2.399963 * i;
      double up = 24 + 250 * Math.pow((i + 0.5) / 70, 1.6);
      double out = 63 - 0.03 * up;
      double size = 5 + 4 * Math.abs(Math.sin(7.1 * i));
      barnacles.add(new double[] {out * Math.cos(way), out * Math.sin(way), up, size});
    }
    IsoSurface.Shape post =
        (x, y, z) -> {
          double r = Math.hypot(x, y);
          double way = Math.atan2(y, x);
          double grain = 0.9 * Math.sin(17 * way + 0.02 * z) * Math.sin(5 * way);
          double radius = 66 - 0.03 * z + grain;
          double worn = 9 * Math.exp(-Math.pow((z - 405) / 22, 2));
          double trunk = Math.max(r - radius + worn, Math.max(-z, z - 470));
          double cap = Math.max(Math.hypot(r, 1.6 * (z - 458)) - 76, 452 - z);
          double shells = 1e9;
          for (double[] b : barnacles) {
            double dx = x - b[0];
            double dy = y - b[1];
            double dz = z - b[2];
            double d2 = dx * dx + dy * dy + dz * dz;
            if (d2 < 26 * 26) {
              double mouth = Math.hypot(Math.hypot(x - 1.2 * b[0], y - 1.2 * b[1]), dz);
              shells = Math.min(shells, Math.max(Math.sqrt(d2) - b[3] - 3, 0.55 * b[3] - mouth));
            }
          }
          // where a ring was bolted on
          double hole = Math.max(Math.hypot(y, z - 330) - 9, 28 - x);
          return Math.max(Math.max(softest(softest(trunk, cap, 6), shells, 3), -hole), -z);
        };
    Box3 room = new Box3(new Vec3(-86, -86, -5), new Vec3(86, 86, 512));
    return standing(IsoSurface.of(post, room, of(190)), Rotation.NONE);
  }

  /** A wall tile 150 × 150 mm with waves in relief, flat at the back. */
  public TriangleMesh waveTile() {
    int n = of(200);
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
