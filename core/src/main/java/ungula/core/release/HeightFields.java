package ungula.core.release;

import java.util.Arrays;
import ungula.core.field.InsideCells;
import ungula.core.geometry.Rotation;
import ungula.core.mesh.TriangleMesh;

/**
 * The highest and the lowest surface of a body seen along a direction, over a square raster: one
 * look serves the direction and its opposite. One object serves many directions, one after the
 * other; it is not to be shared between threads.
 */
public final class HeightFields {

  private final TriangleMesh mesh;
  private final int side;
  private final boolean closed;
  private final float[] top;
  private final float[] bottom;

  /** Vertices as seen: across, up the raster, towards the eye. Stride 3. */
  private final float[] seen;

  /**
   * @param side pixels along each side of the raster
   */
  public HeightFields(TriangleMesh mesh, int side) {
    this.mesh = mesh;
    this.side = side;
    this.closed = InsideCells.bounds(mesh);
    this.top = new float[side * side];
    this.bottom = new float[side * side];
    this.seen = new float[mesh.xyz().length];
  }

  /**
   * What a direction shows, with the direction as up.
   *
   * @param lengthMm of the raster's side along its first axis
   * @param widthMm along its second
   * @param heightMm from the lowest to the highest point
   * @param shadowMm2 area the body covers
   * @param overMm3 room between the body's lowest level and its highest surface, over its shadow
   * @param underMm3 room between the body's highest level and its lowest surface: what overMm3 is
   *     with the body upside down
   * @param betweenMm3 room between its lowest and its highest surface
   */
  public record View(
      double lengthMm,
      double widthMm,
      double heightMm,
      double shadowMm2,
      double overMm3,
      double underMm3,
      double betweenMm3) {}

  /**
   * @param turn brings the direction looked along upright
   */
  public View along(Rotation turn) {
    double[] m = turn.matrix();
    double[] p = mesh.xyz();
    float[] lo = {Float.MAX_VALUE, Float.MAX_VALUE, Float.MAX_VALUE};
    float[] hi = {-Float.MAX_VALUE, -Float.MAX_VALUE, -Float.MAX_VALUE};
    for (int axis = 0; axis < 3; axis++) {
      double mx = m[3 * axis];
      double my = m[3 * axis + 1];
      double mz = m[3 * axis + 2];
      float least = Float.MAX_VALUE;
      float most = -Float.MAX_VALUE;
      for (int i = 0; i < seen.length; i += 3) {
        float at = (float) (mx * p[i] + my * p[i + 1] + mz * p[i + 2]);
        seen[i + axis] = at;
        least = at < least ? at : least;
        most = at > most ? at : most;
      }
      lo[axis] = least;
      hi[axis] = most;
    }
    float length = Math.max(hi[0] - lo[0], 1e-6f);
    float width = Math.max(hi[1] - lo[1], 1e-6f);
    raster(lo, side / length, side / width);
    double pixel = (double) length * width / top.length;
    double over = 0;
    double under = 0;
    double between = 0;
    int covered = 0;
    for (int i = 0; i < top.length; i++) {
      if (top[i] >= bottom[i]) {
        covered++;
        over += top[i] - lo[2];
        under += hi[2] - bottom[i];
        between += top[i] - bottom[i];
      }
    }
    return new View(
        length,
        width,
        hi[2] - lo[2],
        covered * pixel,
        over * pixel,
        under * pixel,
        between * pixel);
  }

  private void raster(float[] lo, float perU, float perV) {
    Arrays.fill(top, -Float.MAX_VALUE);
    Arrays.fill(bottom, Float.MAX_VALUE);
    for (int i = 0; i < seen.length; i += 3) {
      // pixel centres lie on whole numbers
      seen[i] = (seen[i] - lo[0]) * perU - 0.5f;
      seen[i + 1] = (seen[i + 1] - lo[1]) * perV - 0.5f;
    }
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      int a = 3 * c[t];
      int b = 3 * c[t + 1];
      int d = 3 * c[t + 2];
      float ua = seen[a];
      float ub = seen[b];
      float ud = seen[d];
      float least = ua < ub ? ua : ub;
      float most = ua < ub ? ub : ua;
      least = ud < least ? ud : least;
      most = ud > most ? ud : most;
      int i0 = ceil(least);
      int i1 = floor(most);
      float va = seen[a + 1];
      float vb = seen[b + 1];
      float vd = seen[d + 1];
      least = va < vb ? va : vb;
      most = va < vb ? vb : va;
      least = vd < least ? vd : least;
      most = vd > most ? vd : most;
      int j0 = ceil(least);
      int j1 = floor(most);
      if (i0 <= i1 & j0 <= j1) {
        triangle(a, b, d, i0, Math.min(side - 1, i1), j0, Math.min(side - 1, j1));
      }
    }
  }

  /** For values from −1: no branch. */
  private static int floor(float at) {
    return (int) (at + 1) - 1;
  }

  private int ceil(float at) {
    return side - (int) (side - at);
  }

  private void triangle(int a, int b, int d, int i0, int i1, int j0, int j1) {
    float bu = seen[b] - seen[a];
    float bv = seen[b + 1] - seen[a + 1];
    float du = seen[d] - seen[a];
    float dv = seen[d + 1] - seen[a + 1];
    float det = bu * dv - bv * du;
    if (det == 0) {
      return;
    }
    boolean front = det > 0 || !closed;
    boolean back = det < 0 || !closed;
    float inverse = 1 / det;
    // height over the raster: a plane through the corners
    float bw = (seen[b + 2] - seen[a + 2]) * inverse;
    float dw = (seen[d + 2] - seen[a + 2]) * inverse;
    float perI = dv * bw - bv * dw;
    float perJ = bu * dw - du * bw;
    float sPerI = dv * inverse;
    float sPerJ = -du * inverse;
    float rPerI = -bv * inverse;
    float rPerJ = bu * inverse;
    float pu = i0 - seen[a];
    for (int j = j0; j <= j1; j++) {
      float pv = j - seen[a + 1];
      float s = pu * sPerI + pv * sPerJ;
      float r = pu * rPerI + pv * rPerJ;
      float z = seen[a + 2] + pu * perI + pv * perJ;
      for (int pixel = j * side + i0; pixel <= j * side + i1; pixel++) {
        // of a closed surface only what faces the eye can be highest
        if (s >= 0 & r >= 0 & s + r <= 1) {
          if (front && z > top[pixel]) {
            top[pixel] = z;
          }
          if (back && z < bottom[pixel]) {
            bottom[pixel] = z;
          }
        }
        s += sPerI;
        r += rPerI;
        z += perI;
      }
    }
  }
}
