package ungula.core.mesh;

import java.util.Arrays;

/**
 * How much of a body lies below each height: volume and section area against z.
 *
 * <p>Exact at the stored levels for a closed mesh: the volume below z₀ is −Σ ∫ (z₀ − z)⁺ dA over
 * the triangles' signed shadows on the plate, a cubic in z₀ per triangle. Between levels a cubic
 * through both volumes and both section areas; its error vanishes with the level spacing except
 * where a level face falls between two levels, where the volume is still right to spacing × the
 * jump in area. Volumes never fall with height.
 */
public final class FillCurve {

  private final double bottom;
  private final double spacing;
  private final double[] volume;
  private final double[] area;

  private FillCurve(double bottom, double spacing, double[] volume, double[] area) {
    this.bottom = bottom;
    this.spacing = spacing;
    this.volume = volume;
    this.area = area;
  }

  /**
   * @param levels how many heights from bottom to top, at least 2
   */
  public static FillCurve of(TriangleMesh mesh, int levels) {
    double lo = mesh.bounds().min().z();
    double step = mesh.bounds().size().z() / (levels - 1);
    double[] volume = new double[levels];
    double[] area = new double[levels];
    // sums over triangles wholly below a level: signed shadow, and shadow × mean height
    double[] shadow = new double[levels + 1];
    double[] moment = new double[levels + 1];
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    for (int t = 0; t < c.length; t += 3) {
      int i = 3 * c[t];
      int j = 3 * c[t + 1];
      int k = 3 * c[t + 2];
      double s =
          ((p[j] - p[i]) * (p[k + 1] - p[i + 1]) - (p[k] - p[i]) * (p[j + 1] - p[i + 1])) / 2;
      double z1 = p[i + 2] - lo;
      double z2 = p[j + 2] - lo;
      double z3 = p[k + 2] - lo;
      double swap;
      if (z1 > z2) {
        swap = z1;
        z1 = z2;
        z2 = swap;
      }
      if (z2 > z3) {
        swap = z2;
        z2 = z3;
        z3 = swap;
      }
      if (z1 > z2) {
        swap = z1;
        z1 = z2;
        z2 = swap;
      }
      double mean = (z1 + z2 + z3) / 3;
      int whole = step > 0 ? (int) Math.ceil(z3 / step) : 0;
      int first = step > 0 ? (int) Math.floor(z1 / step) + 1 : 0;
      whole = Math.min(whole, levels);
      shadow[whole] += s;
      moment[whole] += s * mean;
      for (int n = first; n < whole; n++) {
        double z = n * step;
        if (z <= z2) {
          double d = z - z1;
          double base = (z2 - z1) * (z3 - z1);
          volume[n] -= s * d * d * d / (3 * base);
          area[n] -= s * d * d / base;
        } else {
          double d = z3 - z;
          double base = (z3 - z1) * (z3 - z2);
          volume[n] -= s * (z - mean) + s * d * d * d / (3 * base);
          area[n] -= s - s * d * d / base;
        }
      }
    }
    double sumShadow = 0;
    double sumMoment = 0;
    double below = 0;
    for (int n = 0; n < levels; n++) {
      sumShadow += shadow[n];
      sumMoment += moment[n];
      volume[n] -= sumShadow * n * step - sumMoment;
      area[n] = Math.max(0, area[n] - sumShadow);
      below = Math.max(below, volume[n]);
      volume[n] = below;
    }
    return new FillCurve(lo, step, volume, area);
  }

  /** A body known by volume and height only: spread evenly from bottom to top. */
  public static FillCurve even(double volumeMm3, double bottomMm, double heightMm) {
    double a = volumeMm3 / heightMm;
    return new FillCurve(bottomMm, heightMm, new double[] {0, volumeMm3}, new double[] {a, a});
  }

  /** The same curve for a body whose volume is known better than the mesh tells. */
  public FillCurve scaledTo(double volumeMm3) {
    double f = total() > 0 ? volumeMm3 / total() : 0;
    return new FillCurve(
        bottom,
        spacing,
        Arrays.stream(volume).map(v -> v * f).toArray(),
        Arrays.stream(area).map(a -> a * f).toArray());
  }

  /** The same curve, lifted. */
  public FillCurve raised(double mm) {
    return new FillCurve(bottom + mm, spacing, volume, area);
  }

  public double bottomMm() {
    return bottom;
  }

  public double topMm() {
    return bottom + spacing * (volume.length - 1);
  }

  public double total() {
    return volume[volume.length - 1];
  }

  /** Volume of the body below a height, mm³. */
  public double below(double zMm) {
    double at = (zMm - bottom) / spacing;
    if (!(at > 0)) {
      return 0;
    }
    if (at >= volume.length - 1) {
      return total();
    }
    int n = (int) at;
    double u = at - n;
    double v0 = volume[n];
    double v1 = volume[n + 1];
    double m0 = area[n] * spacing;
    double m1 = area[n + 1] * spacing;
    double u2 = u * u;
    double u3 = u2 * u;
    double v =
        v0 * (2 * u3 - 3 * u2 + 1)
            + m0 * (u3 - 2 * u2 + u)
            + v1 * (3 * u2 - 2 * u3)
            + m1 * (u3 - u2);
    return Math.min(v1, Math.max(v0, v));
  }

  /** Section area at a height, mm², linear between levels. */
  public double areaAt(double zMm) {
    double at = (zMm - bottom) / spacing;
    if (at < 0 || at > volume.length - 1) {
      return 0;
    }
    int n = Math.min((int) at, volume.length - 2);
    return area[n] + (at - n) * (area[n + 1] - area[n]);
  }
}
