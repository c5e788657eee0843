package ungula.core.cutline;

import java.util.Arrays;
import java.util.List;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.BoxMould;

/**
 * Where a knife opens a block of rubber: down an upright plane from its middle out to one side, the
 * other left whole as a hinge; or out to both sides, so that it comes apart in two.
 *
 * @param degrees it runs towards, seen from above: 0 to the right, 90 to the back
 * @param areaMm2 of rubber to cut through
 * @param seamMm of it that meets the master
 * @param seamOnCleanMm how much of that is on what is to be kept clean
 * @param shallowestMm least rubber on the way out to the side
 * @param lockedMm3 rubber with master in its way as the block opens to both sides of the cut
 * @param castMm2 of a cast in the plane that is cut
 * @param castMm as high lies the middle of that over the foot of the master
 * @param extent how far round it goes
 */
public record CutLine(
    double degrees,
    double areaMm2,
    double seamMm,
    double seamOnCleanMm,
    double shallowestMm,
    double lockedMm3,
    double castMm2,
    double castMm,
    Extent extent) {

  /** Steps of the knife out in the rubber, and next to the cavity. */
  private static final double BIG_MM = 10;

  private static final double FINE_MM = 3;

  /** Fine steps are taken this close to the cavity. */
  private static final double NEAR_MM = 8;

  /** How far the knife swings out, as a share of a step. */
  private static final double SWING = 0.35;

  /** Which side it is on, in words: to follow "at" or "to". */
  public String side() {
    return extent == Extent.ROUND
        ? side(degrees) + " and " + side((degrees + 180) % 360)
        : side(degrees);
  }

  private static String side(double degrees) {
    String[] sides = {"the right", "the back", "the left", "the front"};
    int nearest = (int) Math.round(degrees / 90);
    long off = Math.round(degrees - 90 * nearest);
    String main = sides[nearest % 4];
    return off == 0
        ? main
        : main + ", " + Math.abs(off) + "° to " + sides[(nearest + (off > 0 ? 1 : 3)) % 4];
  }

  /** The cut as it is drawn in a view: from above, or where it comes out of the block's side. */
  public List<double[]> seen(Cut view, BoxMould box, List<double[]> shadow) {
    return extent == Extent.ROUND
        ? List.of(seen(degrees, view, box, shadow), seen((degrees + 180) % 360, view, box, shadow))
        : List.of(seen(degrees, view, box, shadow));
  }

  private static double[] seen(double degrees, Cut view, BoxMould box, List<double[]> shadow) {
    if (view == Cut.TOP) {
      return fromAbove(degrees, box, shadow);
    }
    double a = Math.toRadians(degrees);
    double out = CutPlanes.toWall(box.inside().ring(), Math.cos(a), Math.sin(a));
    double across = out * (view == Cut.FRONT ? Math.cos(a) : Math.sin(a));
    int steps = Math.max(2, (int) Math.round(box.pourLineMm() / BIG_MM));
    double[] line = new double[2 * (steps + 1)];
    for (int i = 0; i <= steps; i++) {
      line[2 * i] = across - (i % 2 == 0 ? 0 : Math.signum(across) * SWING * BIG_MM);
      line[2 * i + 1] = box.pourLineMm() * i / steps;
    }
    return line;
  }

  /**
   * The cut seen from above, jagged so that it closes again as it was: big steps outside, fine ones
   * near the cavity. Right, up pairs from the box inwards.
   *
   * @param shadow of the master, to its outermost along the cut
   */
  static double[] fromAbove(double degrees, BoxMould box, List<double[]> shadow) {
    double a = Math.toRadians(degrees);
    double ux = Math.cos(a);
    double uy = Math.sin(a);
    double out = CutPlanes.toWall(box.inside().ring(), ux, uy);
    double in = Math.max(0, Math.min(out, CutPlanes.outermost(shadow, ux, uy)));
    double[] line = new double[2 * (4 + (int) ((out - in) / FINE_MM))];
    int n = 0;
    int side = 1;
    double at = out;
    while (at > in && n < line.length - 2) {
      double step = at - in > NEAR_MM ? BIG_MM : FINE_MM;
      boolean end = n == 0;
      double aside = end ? 0 : side * SWING * step;
      line[n++] = at * ux - aside * uy;
      line[n++] = at * uy + aside * ux;
      side = -side;
      at -= step;
    }
    line[n++] = in * ux;
    line[n++] = in * uy;
    return Arrays.copyOf(line, n);
  }
}
