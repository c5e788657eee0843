package ungula.core.cutline;

import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.parting.PartingScan;
import ungula.core.parting.UprightLines;
import ungula.core.work.Parallel;

/**
 * Upright planes a block of rubber could be cut along, all through the middle of its master. What a
 * plane locks is worked out once for each. Safe to share between threads.
 */
public final class CutPlanes {

  /** Between two planes looked at. */
  public static final int STEP_DEGREES = 15;

  private static final int PLANES = 180 / STEP_DEGREES;

  private static final int MOST_KEPT = 400;

  /** All of the rubber cut through counts like so much of the master locked. */
  private static final double LONG = 0.1;

  private final TriangleMesh mesh;
  private final double[] lockedMm3 = new double[PLANES];
  private boolean looked;
  private final Map<Double, Met> met = new HashMap<>();
  private FacetSet marked = FacetSet.NONE;

  /**
   * @param mesh set down at z = 0, its middle over the origin
   */
  public CutPlanes(TriangleMesh mesh) {
    this.mesh = mesh;
  }

  private synchronized double locked(double degrees) {
    if (!looked) {
      Parallel.ALL.each(PLANES, i -> lockedMm3[i] = lockedAcross(i));
      looked = true;
    }
    // between two planes, from the nearer
    int nearest = (int) Math.round(degrees / STEP_DEGREES);
    return lockedMm3[Math.floorMod(nearest, PLANES)];
  }

  /** Asked for with every plan: kept until other facets are marked. */
  private synchronized Met met(double degrees, FacetSet keepClean) {
    if (!keepClean.equals(marked) || met.size() > MOST_KEPT) {
      met.clear();
      marked = keepClean;
    }
    return met.computeIfAbsent(
        degrees,
        d -> {
          double a = Math.toRadians(d);
          return new Met(mesh, Math.cos(a), Math.sin(a), keepClean.facets());
        });
  }

  /** The block opens to both sides of the plane: straight away from it, as a hinge begins to. */
  private double lockedAcross(int plane) {
    double a = Math.toRadians(plane * STEP_DEGREES);
    Vec3 across = new Vec3(-Math.sin(a), Math.cos(a), 0);
    TriangleMesh lying = mesh.moved(1, Rotation.bringing(across, Vec3.UP), Vec3.ZERO);
    double low = lying.bounds().min().z();
    TriangleMesh down = lying.moved(1, Rotation.NONE, new Vec3(0, 0, -low));
    return PartingScan.of(down, UprightLines.of(down)).lockedMm3(-low);
  }

  /**
   * The cut towards a direction.
   *
   * @param box round the master
   * @param keepClean marked facets
   */
  public CutLine towards(double degrees, BoxMould box, FacetSet keepClean) {
    double a = Math.toRadians(degrees);
    Met met = met(degrees, keepClean);
    double wall = toWall(box.inside().ring(), Math.cos(a), Math.sin(a));
    return new CutLine(
        (degrees % 360 + 360) % 360,
        Math.max(0, wall * box.pourLineMm() - met.areaMm2),
        met.seamMm,
        met.cleanMm,
        wall - met.outermost,
        locked(degrees),
        met.areaMm2,
        met.middleMm(),
        Extent.HINGE);
  }

  /** The same plane cut to both sides. */
  public CutLine round(CutLine one, BoxMould box, FacetSet keepClean) {
    CutLine other = towards(one.degrees() + 180, box, keepClean);
    return new CutLine(
        one.degrees(),
        one.areaMm2() + other.areaMm2(),
        one.seamMm() + other.seamMm(),
        one.seamOnCleanMm() + other.seamOnCleanMm(),
        Math.min(one.shallowestMm(), other.shallowestMm()),
        one.lockedMm3(),
        one.castMm2() + other.castMm2(),
        (one.castMm2() * one.castMm() + other.castMm2() * other.castMm())
            / Math.max(1e-9, one.castMm2() + other.castMm2()),
        Extent.ROUND);
  }

  /**
   * The cut that is best: what it locks as a share of the master, its seam on what is kept clean as
   * a share of the seam, and a tenth of the rubber cut as a share of the most.
   */
  public CutLine best(BoxMould box, FacetSet keepClean) {
    List<CutLine> all =
        IntStream.range(0, 2 * PLANES)
            .mapToObj(i -> towards(i * STEP_DEGREES, box, keepClean))
            .toList();
    double most = all.stream().mapToDouble(CutLine::areaMm2).max().orElseThrow();
    double master = Math.max(1e-9, box.curve().total());
    return all.stream()
        .min(
            Comparator.comparingDouble(
                c ->
                    c.lockedMm3() / master
                        + c.seamOnCleanMm() / Math.max(1e-9, c.seamMm())
                        + LONG * c.areaMm2() / Math.max(1e-9, most)))
        .orElseThrow();
  }

  /** From the middle to the wall of the box. */
  static double toWall(double[] ring, double ux, double uy) {
    return outermost(List.of(ring), ux, uy);
  }

  /** How far rings reach along a ray from the middle; 0 when it meets none. */
  static double outermost(List<double[]> rings, double ux, double uy) {
    double most = 0;
    for (double[] r : rings) {
      for (int i = 0; i < r.length; i += 2) {
        int j = (i + 2) % r.length;
        double da = ux * r[i + 1] - uy * r[i];
        double db = ux * r[j + 1] - uy * r[j];
        if (da <= 0 != db <= 0) {
          double u = da / (da - db);
          double x = r[i] + u * (r[j] - r[i]);
          double y = r[i + 1] + u * (r[j + 1] - r[i + 1]);
          most = Math.max(most, ux * x + uy * y);
        }
      }
    }
    return most;
  }

  /** What a half plane, out from the middle, meets of a mesh. */
  private static final class Met {
    private final double ux;
    private final double uy;
    private double seamMm;
    private double cleanMm;
    private double areaMm2;

    /** Of the area, about the plate. */
    private double momentMm3;

    private double outermost;

    Met(TriangleMesh mesh, double ux, double uy, BitSet clean) {
      this.ux = ux;
      this.uy = uy;
      int[] c = mesh.corners();
      double[] p = mesh.xyz();
      double[] aside = new double[3];
      double[] s = new double[2];
      double[] z = new double[2];
      for (int t = 0; t < c.length; t += 3) {
        for (int k = 0; k < 3; k++) {
          aside[k] = ux * p[3 * c[t + k] + 1] - uy * p[3 * c[t + k]];
        }
        int n = 0;
        boolean falling = false;
        for (int k = 0; k < 3; k++) {
          int l = (k + 1) % 3;
          if (aside[k] <= 0 != aside[l] <= 0) {
            double u = aside[k] / (aside[k] - aside[l]);
            int a = 3 * c[t + k];
            int b = 3 * c[t + l];
            falling = n == 0 ? aside[k] > 0 : falling;
            s[n] = along(p, a) + u * (along(p, b) - along(p, a));
            z[n] = p[a + 2] + u * (p[b + 2] - p[a + 2]);
            n++;
          }
        }
        if (n == 2) {
          segment(s, z, falling, clean.get(t / 3));
        }
      }
      momentMm3 *= Math.signum(areaMm2);
      areaMm2 = Math.abs(areaMm2);
    }

    double middleMm() {
      return momentMm3 / Math.max(1e-9, areaMm2);
    }

    private double along(double[] p, int at) {
      return ux * p[at] + uy * p[at + 1];
    }

    /** Counts what of it lies on the half that is cut; area by ∮ s dz, its moment by ∮ s z dz. */
    private void segment(double[] s, double[] z, boolean falling, boolean clean) {
      if (s[0] <= 0 && s[1] <= 0) {
        return;
      }
      double from = s[0] < 0 ? s[0] / (s[0] - s[1]) : 0;
      double to = s[1] < 0 ? s[0] / (s[0] - s[1]) : 1;
      double s0 = s[0] + from * (s[1] - s[0]);
      double s1 = s[0] + to * (s[1] - s[0]);
      double rise = (to - from) * (z[1] - z[0]);
      double length = Math.hypot(s1 - s0, rise);
      seamMm += length;
      cleanMm += clean ? length : 0;
      double z0 = z[0] + from * (z[1] - z[0]);
      double sign = falling ? 1 : -1;
      areaMm2 += sign * (s0 + s1) / 2 * rise;
      momentMm3 +=
          sign * rise * (s0 * z0 + (s0 * rise + (s1 - s0) * z0) / 2 + (s1 - s0) * rise / 3);
      outermost = Math.max(outermost, Math.max(s0, s1));
    }
  }
}
