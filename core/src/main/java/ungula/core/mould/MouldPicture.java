package ungula.core.mould;

import java.util.Arrays;
import java.util.function.IntFunction;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/**
 * A small shaded picture of a master in its block or skin of rubber, seen from the front left
 * above, without perspective. Drawn by z-buffer at twice the size and averaged down.
 */
public final class MouldPicture {

  private static final int FINER = 2;
  private static final Vec3 LIGHT = new Vec3(-0.35, -0.65, 0.68).unit();
  private static final int[] MASTER = {0xe9, 0xdd, 0xc6};
  private static final int[] FREED = {0x8f, 0xc0, 0xa3};
  private static final int[] LOCKED = {0xb8, 0x5c, 0x4c};
  private static final int[] RUBBER = {0x6f, 0xa9, 0xb4};
  private static final int[] INK = {0x1d, 0x2a, 0x36};

  /** What of a master a skin in front of it hides. */
  private static final float SKIN_COVER = 0.55f;

  private final int width;
  private final int height;
  private final double scale;
  private final double[] view;
  private final double shiftX;
  private final double shiftY;

  // red, green, blue, cover per pixel: stride 4
  private final float[] pixels;
  private final float[] depth;

  private MouldPicture(int width, int height, Vec3 size, double middle) {
    this(
        width,
        height,
        size,
        middle,
        Rotation.about(new Vec3(1, 0, 0), -62).after(Rotation.about(Vec3.UP, 32)).matrix());
  }

  private MouldPicture(int width, int height, Vec3 size, double middle, double[] view) {
    this.view = view;
    this.width = width * FINER;
    this.height = height * FINER;
    double spanX = Math.abs(view[0]) * size.x() + Math.abs(view[1]) * size.y();
    double spanY =
        Math.abs(view[3]) * size.x() + Math.abs(view[4]) * size.y() + Math.abs(view[5]) * size.z();
    scale = 0.92 * Math.min(this.width / spanX, this.height / spanY);
    shiftX = this.width / 2.0;
    shiftY = this.height / 2.0 + view[5] * middle * scale;
    pixels = new float[4 * this.width * this.height];
    depth = new float[this.width * this.height];
    Arrays.fill(depth, Float.NEGATIVE_INFINITY);
  }

  /**
   * A master as the piece of a mould sees it that is pulled off it: all it frees is in sight.
   *
   * @param of by facet: the piece that frees it
   * @param piece seen from; what it frees is green, what others free before it pale, the rest red
   */
  public static int[] seenBy(
      TriangleMesh master, Vec3 pull, byte[] of, int piece, int width, int height) {
    Rotation towards = Rotation.bringing(pull, Vec3.UP);
    Vec3 up = towards.apply(Vec3.UP);
    double turn = 90 - Math.toDegrees(Math.atan2(up.y(), up.x()));
    boolean level = Math.hypot(up.x(), up.y()) > 1e-6;
    TriangleMesh seen =
        master.moved(1, Rotation.about(Vec3.UP, level ? turn : 0).after(towards), Vec3.ZERO);
    Vec3 c = seen.bounds().centre();
    MouldPicture p =
        new MouldPicture(width, height, seen.bounds().size(), 0, Rotation.NONE.matrix());
    p.mesh(
        seen.moved(1, Rotation.NONE, c.times(-1)),
        0,
        Vec3.UP,
        t -> of[t] == piece ? FREED : of[t] >= 0 && of[t] < piece ? MASTER : LOCKED);
    return p.result();
  }

  /**
   * @param master set down at z = 0
   * @param box round it; null draws the master alone
   * @return ARGB, row by row from the top; transparent where nothing is
   */
  public static int[] of(TriangleMesh master, BoxMould box, int width, int height) {
    Vec3 size = master.bounds().size();
    if (box == null) {
      MouldPicture p = new MouldPicture(width, height, size, size.z() / 2);
      p.mesh(master, 0);
      return p.result();
    }
    double z1 = Math.max(1, box.pourLineMm());
    double top = Math.max(z1, box.belowMm() + box.masterMm().z());
    Vec3 all = new Vec3(box.insideLengthMm(), box.insideWidthMm(), top);
    MouldPicture p = new MouldPicture(width, height, all, top / 2);
    double[] ring = box.inside().ring();
    p.walls(ring, z1, false);
    p.mesh(master, box.belowMm());
    p.walls(ring, z1, true);
    p.lid(ring, z1);
    return p.result();
  }

  /**
   * A master in the rubber brushed on to it: about as far out as that is thick.
   *
   * @param master set down at z = 0
   */
  public static int[] inSkin(TriangleMesh master, double wallMm, int width, int height) {
    TriangleMesh outside = grown(master, wallMm);
    Vec3 size = outside.bounds().size();
    MouldPicture p = new MouldPicture(width, height, size, outside.bounds().centre().z());
    p.mesh(master, 0);
    MouldPicture skin = new MouldPicture(width, height, size, outside.bounds().centre().z());
    skin.mesh(outside, 0, LIGHT, t -> RUBBER);
    for (int at = 0; at < p.depth.length; at++) {
      if (skin.depth[at] > p.depth[at]) {
        int[] shaded = new int[3];
        for (int c = 0; c < 3; c++) {
          shaded[c] = Math.round(skin.pixels[4 * at + c]);
        }
        p.blend(at, shaded, SKIN_COVER);
      }
    }
    return p.result();
  }

  /** Every vertex further out, as the facets round it face; nothing below the plate. */
  private static TriangleMesh grown(TriangleMesh mesh, double mm) {
    int[] c = mesh.corners();
    double[] out = new double[mesh.xyz().length];
    for (int t = 0; t < c.length; t += 3) {
      Vec3 a = mesh.vertex(c[t]);
      // as long as the facet is large: that much it counts
      Vec3 n = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
      for (int k = t; k < t + 3; k++) {
        out[3 * c[k]] += n.x();
        out[3 * c[k] + 1] += n.y();
        out[3 * c[k] + 2] += n.z();
      }
    }
    for (int v = 0; v < mesh.vertexCount(); v++) {
      Vec3 n = new Vec3(out[3 * v], out[3 * v + 1], out[3 * v + 2]);
      Vec3 at = n.norm() > 0 ? mesh.vertex(v).plus(n.unit().times(mm)) : mesh.vertex(v);
      out[3 * v] = at.x();
      out[3 * v + 1] = at.y();
      out[3 * v + 2] = Math.max(0, at.z());
    }
    return new TriangleMesh(out, c);
  }

  /** The upright faces of the rubber that look towards the eye, or away from it. */
  private void walls(double[] ring, double z, boolean towards) {
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      double nx = ring[j + 1] - ring[i + 1];
      double ny = ring[i] - ring[j];
      double facing = (view[6] * nx + view[7] * ny) / Math.max(1e-9, Math.hypot(nx, ny));
      if (facing > 0 == towards) {
        float cover =
            towards ? (float) (0.30 + 0.10 * Math.max(0, -nx / Math.hypot(nx, ny))) : 0.1f;
        double[] a = {ring[i], ring[i + 1]};
        double[] b = {ring[j], ring[j + 1]};
        quad(cover, a[0], a[1], 0, b[0], b[1], 0, b[0], b[1], z, a[0], a[1], z);
        if (towards) {
          line(new double[] {a[0], a[1], 0, b[0], b[1], 0});
          if (turns(ring, i)) {
            line(new double[] {a[0], a[1], 0, a[0], a[1], z});
          }
          if (turns(ring, j)) {
            line(new double[] {b[0], b[1], 0, b[0], b[1], z});
          }
        }
      }
    }
  }

  /** Whether a corner of the ring is one: a curve's chords turn less. */
  private static boolean turns(double[] ring, int i) {
    int n = ring.length;
    double ax = ring[i] - ring[(i + n - 2) % n];
    double ay = ring[i + 1] - ring[(i + n - 1) % n];
    double bx = ring[(i + 2) % n] - ring[i];
    double by = ring[(i + 3) % n] - ring[i + 1];
    return Math.abs(ax * by - ay * bx) > 0.05 * Math.hypot(ax, ay) * Math.hypot(bx, by);
  }

  /** The rubber's top, from its middle. */
  private void lid(double[] ring, double z) {
    double x = 0;
    double y = 0;
    for (int i = 0; i < ring.length; i += 2) {
      x += 2 * ring[i] / ring.length;
      y += 2 * ring[i + 1] / ring.length;
    }
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      quad(0.18f, x, y, z, ring[i], ring[i + 1], z, ring[j], ring[j + 1], z, x, y, z);
      line(new double[] {ring[i], ring[i + 1], z, ring[j], ring[j + 1], z});
    }
  }

  private double screenX(double x, double y, double z) {
    return shiftX + scale * (view[0] * x + view[1] * y + view[2] * z);
  }

  private double screenY(double x, double y, double z) {
    return shiftY - scale * (view[3] * x + view[4] * y + view[5] * z);
  }

  private void mesh(TriangleMesh mesh, double lift) {
    mesh(mesh, lift, LIGHT, t -> MASTER);
  }

  /**
   * @param colour by facet
   */
  private void mesh(TriangleMesh mesh, double lift, Vec3 light, IntFunction<int[]> colour) {
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    int n = mesh.vertexCount();
    // screen x, screen y, depth: stride 3
    float[] s = new float[3 * n];
    for (int v = 0; v < n; v++) {
      double x = p[3 * v];
      double y = p[3 * v + 1];
      double z = p[3 * v + 2] + lift;
      s[3 * v] = (float) screenX(x, y, z);
      s[3 * v + 1] = (float) screenY(x, y, z);
      s[3 * v + 2] = (float) (view[6] * x + view[7] * y + view[8] * z);
    }
    for (int t = 0; t < c.length; t += 3) {
      Vec3 a = mesh.vertex(c[t]);
      Vec3 cross = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
      double norm = cross.norm();
      if (norm > 0) {
        double lambert = Math.max(0, cross.dot(light) / norm);
        float shade = (float) (0.42 + 0.58 * lambert);
        triangle(s, c[t], c[t + 1], c[t + 2], shade, colour.apply(t / 3));
      }
    }
  }

  private void triangle(float[] s, int i, int j, int k, float shade, int[] colour) {
    float x0 = s[3 * i];
    float y0 = s[3 * i + 1];
    float x1 = s[3 * j];
    float y1 = s[3 * j + 1];
    float x2 = s[3 * k];
    float y2 = s[3 * k + 1];
    float det = (x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0);
    if (det == 0) {
      return;
    }
    int left = Math.max(0, (int) Math.ceil(Math.min(x0, Math.min(x1, x2)) - 0.5f));
    int right = Math.min(width - 1, (int) Math.floor(Math.max(x0, Math.max(x1, x2)) - 0.5f));
    int up = Math.max(0, (int) Math.ceil(Math.min(y0, Math.min(y1, y2)) - 0.5f));
    int down = Math.min(height - 1, (int) Math.floor(Math.max(y0, Math.max(y1, y2)) - 0.5f));
    for (int y = up; y <= down; y++) {
      for (int x = left; x <= right; x++) {
        float px = x + 0.5f - x0;
        float py = y + 0.5f - y0;
        float u = (px * (y2 - y0) - (x2 - x0) * py) / det;
        float v = ((x1 - x0) * py - px * (y1 - y0)) / det;
        if (u < 0 || v < 0 || u + v > 1) {
          continue;
        }
        float d =
            s[3 * i + 2] + u * (s[3 * j + 2] - s[3 * i + 2]) + v * (s[3 * k + 2] - s[3 * i + 2]);
        int at = y * width + x;
        if (d > depth[at]) {
          depth[at] = d;
          for (int channel = 0; channel < 3; channel++) {
            pixels[4 * at + channel] = colour[channel] * shade;
          }
          pixels[4 * at + 3] = 1;
        }
      }
    }
  }

  private void quad(float cover, double... xyz) {
    double[] x = new double[4];
    double[] y = new double[4];
    for (int i = 0; i < 4; i++) {
      x[i] = screenX(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
      y[i] = screenY(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]);
    }
    for (int row = 0; row < height; row++) {
      double py = row + 0.5;
      double from = Double.POSITIVE_INFINITY;
      double to = Double.NEGATIVE_INFINITY;
      for (int i = 0, j = 3; i < 4; j = i++) {
        if (y[i] > py != y[j] > py) {
          double cross = x[i] + (py - y[i]) / (y[j] - y[i]) * (x[j] - x[i]);
          from = Math.min(from, cross);
          to = Math.max(to, cross);
        }
      }
      for (int col = (int) Math.max(0, Math.ceil(from - 0.5));
          col < Math.min(width, to - 0.5);
          col++) {
        blend(row * width + col, RUBBER, cover);
      }
    }
  }

  private void line(double[] e) {
    double x0 = screenX(e[0], e[1], e[2]);
    double y0 = screenY(e[0], e[1], e[2]);
    double x1 = screenX(e[3], e[4], e[5]);
    double y1 = screenY(e[3], e[4], e[5]);
    int steps = (int) Math.ceil(2 * Math.hypot(x1 - x0, y1 - y0)) + 1;
    int before = -1;
    for (int i = 0; i <= steps; i++) {
      int x = (int) (x0 + (x1 - x0) * i / steps);
      int y = (int) (y0 + (y1 - y0) * i / steps);
      int at = y * width + x;
      if (x >= 0 && x < width && y >= 0 && y < height && at != before) {
        blend(at, INK, 0.7f);
        before = at;
      }
    }
  }

  private void blend(int at, int[] colour, float cover) {
    float under = pixels[4 * at + 3];
    float out = cover + under * (1 - cover);
    for (int c = 0; c < 3; c++) {
      pixels[4 * at + c] = (colour[c] * cover + pixels[4 * at + c] * under * (1 - cover)) / out;
    }
    pixels[4 * at + 3] = out;
  }

  private int[] result() {
    int w = width / FINER;
    int h = height / FINER;
    int[] out = new int[w * h];
    float[] sum = new float[4];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        Arrays.fill(sum, 0);
        for (int i = 0; i < FINER * FINER; i++) {
          int at = 4 * ((y * FINER + i / FINER) * width + x * FINER + i % FINER);
          float cover = pixels[at + 3];
          for (int c = 0; c < 3; c++) {
            sum[c] += pixels[at + c] * cover;
          }
          sum[3] += cover;
        }
        float cover = sum[3] / (FINER * FINER);
        float whole = sum[3] == 0 ? 1 : sum[3];
        out[y * w + x] =
            Math.round(cover * 255) << 24
                | Math.min(255, Math.round(sum[0] / whole)) << 16
                | Math.min(255, Math.round(sum[1] / whole)) << 8
                | Math.min(255, Math.round(sum[2] / whole));
      }
    }
    return out;
  }
}
