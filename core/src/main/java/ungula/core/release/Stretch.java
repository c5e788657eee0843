package ungula.core.release;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import ungula.core.mesh.Slicer;
import ungula.core.work.Parallel;

/**
 * How far a one-piece mould must stretch to be pulled up off a master standing on a plate: rubber
 * at a throat has to pass over every part above it that is wider.
 *
 * <p>With P(z) the length of a cord round the section at height z: stretch = max over z₁ &lt; z₂ of
 * P(z₂)/P(z₁) − 1, over {@link #LEVELS} levels. Sections under a tenth of the widest do not count
 * as throats: rubber that thin gives way.
 *
 * @param share 0.2 is 20 % longer; 0 when nothing is wider above
 * @param wideMm height of the wide part
 * @param throatMm height of the throat
 */
public record Stretch(double share, double wideMm, double throatMm) {

  /** New rubber may be stretched to this share of its elongation at break. */
  public static final double FRESH = 1 / 4.0;

  /** At break: taken while no sheet says. */
  private static final double USUAL_ELONGATION_PCT = 300;

  private static final int LEVELS = 160;
  private static final double LEAST_THROAT = 0.1;

  /**
   * How much longer new rubber may get, as a share.
   *
   * @param elongationPct at break, as its sheet says; null takes a usual one
   */
  public static double allowed(Double elongationPct) {
    return FRESH * elongationPct(elongationPct) / 100;
  }

  /** Elongation at break, %, as the sheet says; a usual one while it does not. */
  public static double elongationPct(Double stated) {
    return stated == null ? USUAL_ELONGATION_PCT : stated;
  }

  /**
   * @param levels sections from above of the body as it stands
   * @param heightMm of the body
   */
  public static Stretch pulledUp(Slicer levels, double heightMm, Parallel parallel) {
    double[] cord = new double[LEVELS];
    parallel.each(LEVELS, i -> cord[i] = cord(levels, heightOf(i, heightMm)));
    double widest = Arrays.stream(cord).max().orElseThrow();
    Stretch most = new Stretch(0, 0, 0);
    int wide = LEVELS - 1;
    for (int i = LEVELS - 2; i >= 0; i--) {
      double share = cord[i] > LEAST_THROAT * widest ? cord[wide] / cord[i] - 1 : 0;
      if (share > most.share) {
        most = new Stretch(share, heightOf(wide, heightMm), heightOf(i, heightMm));
      }
      wide = cord[i] > cord[wide] ? i : wide;
    }
    return most;
  }

  private static double heightOf(int level, double heightMm) {
    return (level + 0.5) * heightMm / LEVELS;
  }

  private static double cord(Slicer levels, double z) {
    List<Coordinate> points = new ArrayList<>();
    for (double[] ring : levels.at(z).loops()) {
      for (int i = 0; i < ring.length; i += 2) {
        points.add(new Coordinate(ring[i], ring[i + 1]));
      }
    }
    Coordinate[] all = points.toArray(Coordinate[]::new);
    return new ConvexHull(all, new GeometryFactory()).getConvexHull().getLength();
  }
}
