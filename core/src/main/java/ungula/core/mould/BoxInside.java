package ungula.core.mould;

import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumBoundingCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Rings;

/**
 * The inside of a box seen from above: how far rubber reaches round a master, the same at every
 * height. Places in the posed frame, the master's middle over the origin.
 *
 * @param shape how it runs
 * @param ring its outline, x and y in turn, counter-clockwise; curves by {@link #ARC} chords a turn
 * @param areaMm2 exact also where it is curved
 * @param perimeterMm as well
 * @param spanMm the longest straight stretch of wall, which bows most
 * @param legsMm of the corner blocks: left front, right front, right back, left back; empty without
 * @param thinnestMm between it and the master, seen from above; negative where it does not fit
 */
public record BoxInside(
    BoxShape shape,
    double[] ring,
    double areaMm2,
    double perimeterMm,
    double spanMm,
    double[] legsMm,
    double thinnestMm) {

  /** Chords to a full turn: under 0.02 % of the radius off. */
  private static final int ARC = 180;

  /** Stretches of an outline between bends are no shorter, or it cannot be scored and bent. */
  public static final double LEAST_STRETCH_MM = 20;

  /** A block smaller than this is not worth cutting. */
  private static final double LEAST_LEG_MM = 10;

  /** Inside diameters pipe is sold in; a wider tube is rolled to suit. */
  private static final double[] PIPES_MM = {
    40, 50, 65, 75, 100, 110, 125, 150, 160, 200, 250, 300, 315, 400
  };

  /** How much of a shadow's detail an outline leaves out. */
  private static final double ROUGH_MM = 0.15;

  /** Setting out to corners, cut off where they would reach further than three times that. */
  private static final BufferParameters SHARP =
      new BufferParameters(8, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, 3);

  /** A rectangle by its sides; {@code thinnest} is the narrowest of them. */
  public static BoxInside rectangle(
      double masterX, double masterY, double left, double right, double front, double back) {
    double x0 = -masterX / 2 - left;
    double x1 = masterX / 2 + right;
    double y0 = -masterY / 2 - front;
    double y1 = masterY / 2 + back;
    return new BoxInside(
        BoxShape.RECTANGLE,
        new double[] {x0, y0, x1, y0, x1, y1, x0, y1},
        (x1 - x0) * (y1 - y0),
        2 * (x1 - x0 + y1 - y0),
        Math.max(x1 - x0, y1 - y0),
        new double[0],
        Math.min(Math.min(left, right), Math.min(front, back)));
  }

  /**
   * A box of any other shape.
   *
   * @param rectangle the rectangular box with the same walls
   * @param shadow of the master
   * @param wall round the sides
   */
  public static BoxInside of(
      BoxShape shape, BoxInside rectangle, List<double[]> shadow, double wall) {
    return switch (shape) {
      case RECTANGLE -> rectangle;
      case OWN -> rectangle.own();
      case BLOCKS -> rectangle.withBlocks(shadow, wall);
      case OUTLINE -> outline(shadow, wall);
      case ROUND_ENDED -> roundEnded(shadow, wall);
      case TUBE -> tube(shadow, wall);
    };
  }

  private BoxInside own() {
    return new BoxInside(BoxShape.OWN, ring, areaMm2, perimeterMm, spanMm, legsMm, thinnestMm);
  }

  /**
   * The rectangle with a three-cornered block in each corner, as large as leaves the wall.
   *
   * @param shadow of the master
   */
  private BoxInside withBlocks(List<double[]> shadow, double wall) {
    double x0 = ring[0];
    double y0 = ring[1];
    double x1 = ring[4];
    double y1 = ring[5];
    double most = Math.min(x1 - x0, y1 - y0) / 2;
    double[] toCorner = {
      toCorner(shadow, -1, -1, x0, y0),
      toCorner(shadow, 1, -1, x1, y0),
      toCorner(shadow, 1, 1, x1, y1),
      toCorner(shadow, -1, 1, x0, y1)
    };
    double[] legs = Arrays.stream(toCorner).map(d -> leg(d - wall, most)).toArray();
    double[] rubber = new double[4];
    Arrays.setAll(rubber, i -> legs[i] > 0 ? toCorner[i] - legs[i] / Math.sqrt(2) : thinnestMm);
    double[] cut = {
      x0 + legs[0],
      y0,
      x1 - legs[1],
      y0,
      x1,
      y0 + legs[1],
      x1,
      y1 - legs[2],
      x1 - legs[2],
      y1,
      x0 + legs[3],
      y1,
      x0,
      y1 - legs[3],
      x0,
      y0 + legs[0]
    };
    double corners = Arrays.stream(legs).map(l -> l * l / 2).sum();
    double saved = Arrays.stream(legs).map(l -> (2 - Math.sqrt(2)) * l).sum();
    return new BoxInside(
        BoxShape.BLOCKS,
        cut,
        areaMm2 - corners,
        perimeterMm - saved,
        spanMm,
        legs,
        Math.min(thinnestMm, Arrays.stream(rubber).min().orElseThrow()));
  }

  /** From a corner of the box, straight across it, to the master. */
  private static double toCorner(List<double[]> shadow, int dx, int dy, double x, double y) {
    double furthest = Double.NEGATIVE_INFINITY;
    for (double[] r : shadow) {
      for (int i = 0; i < r.length; i += 2) {
        furthest = Math.max(furthest, dx * r[i] + dy * r[i + 1]);
      }
    }
    return (dx * x + dy * y - furthest) / Math.sqrt(2);
  }

  /** How far a block so deep may reach along both walls, in whole fives of a millimetre. */
  private static double leg(double deep, double most) {
    double whole = Math.floor(Math.min(deep * Math.sqrt(2), most) / 5) * 5;
    return whole < LEAST_LEG_MM ? 0 : whole;
  }

  /** A pipe as sold, or a rolled tube where none is wide enough. */
  private static BoxInside tube(List<double[]> shadow, double wall) {
    MinimumBoundingCircle least = new MinimumBoundingCircle(body(shadow));
    double needed = 2 * (least.getRadius() + wall);
    return pipe(
        least, Arrays.stream(PIPES_MM).filter(d -> d >= needed - 0.1).findFirst().orElse(needed));
  }

  /**
   * A pipe that is there already.
   *
   * @param shadow of the master
   */
  public static BoxInside pipe(List<double[]> shadow, double diameterMm) {
    return pipe(new MinimumBoundingCircle(body(shadow)), diameterMm);
  }

  private static BoxInside pipe(MinimumBoundingCircle least, double diameter) {
    Coordinate c = least.getCentre();
    double r = diameter / 2;
    return new BoxInside(
        BoxShape.TUBE,
        oblong(c.x, c.y, 0, r, true),
        Math.PI * r * r,
        2 * Math.PI * r,
        0,
        new double[0],
        r - least.getRadius());
  }

  /**
   * Two straight walls and a half circle at each end: of those that leave the wall the smallest.
   */
  private static BoxInside roundEnded(List<double[]> shadow, double wall) {
    Coordinate[] hull = body(shadow).convexHull().getCoordinates();
    double x = reach(hull, true);
    double y = reach(hull, false);
    boolean alongX = x >= y;
    double longest = Math.max(x, y);
    double best = Double.POSITIVE_INFINITY;
    double half = 0;
    for (int step = 0; step <= ARC; step++) {
      double a = longest * step / ARC;
      double r = radius(hull, a, alongX) + wall;
      double area = 4 * a * r + Math.PI * r * r;
      if (area < best) {
        best = area;
        half = a;
      }
    }
    double r = radius(hull, half, alongX) + wall;
    return new BoxInside(
        BoxShape.ROUND_ENDED,
        oblong(0, 0, half, r, alongX),
        best,
        4 * half + 2 * Math.PI * r,
        2 * half,
        new double[0],
        wall);
  }

  private static double reach(Coordinate[] points, boolean x) {
    return Arrays.stream(points).mapToDouble(p -> Math.abs(x ? p.x : p.y)).max().orElseThrow();
  }

  /** How far the points reach from a stretch so long to both sides of the middle. */
  private static double radius(Coordinate[] points, double half, boolean alongX) {
    double most = 0;
    for (Coordinate p : points) {
      double along = Math.max(0, Math.abs(alongX ? p.x : p.y) - half);
      most = Math.max(most, Math.hypot(along, alongX ? p.y : p.x));
    }
    return most;
  }

  private static double[] oblong(double cx, double cy, double half, double r, boolean alongX) {
    double[] ring = new double[2 * ARC];
    for (int i = 0; i < ARC; i++) {
      double angle = 2 * Math.PI * (i + 0.5) / ARC - Math.PI / 2;
      double along = r * Math.cos(angle) + Math.copySign(half, Math.cos(angle));
      double aside = r * Math.sin(angle);
      ring[2 * i] = cx + (alongX ? along : -aside);
      ring[2 * i + 1] = cy + (alongX ? aside : along);
    }
    return ring;
  }

  /**
   * The shadow set out by the wall, in straight stretches that can be scored and bent: with as
   * little more than the wall as makes them long enough.
   */
  private static BoxInside outline(List<double[]> shadow, double wall) {
    Geometry body = body(shadow.stream().map(r -> bent(r, ROUGH_MM)).toList());
    boolean one = body instanceof Polygon;
    Geometry whole = one ? body : joined(body, wall);
    double[] ring = null;
    double least = Double.POSITIVE_INFINITY;
    for (double more = 2 * ROUGH_MM; more < Math.max(wall, 8); more *= 1.4) {
      for (boolean sharp : new boolean[] {true, false}) {
        double[] tried = sharp ? mitred(whole, wall, more) : rounded(whole, wall, more);
        if (tried.length < 6) {
          // straightened out of existence
          continue;
        }
        double penalty = Math.max(0, LEAST_STRETCH_MM - shortest(tried));
        double area = Outline.area(tried) * (1 + 100 * penalty);
        if (area < least) {
          least = area;
          ring = tried;
        }
      }
    }
    double perimeter = 0;
    double longest = 0;
    for (int i = 0; i < ring.length; i += 2) {
      perimeter += stretch(ring, i);
      longest = Math.max(longest, stretch(ring, i));
    }
    return new BoxInside(
        BoxShape.OUTLINE,
        ring,
        Math.abs(Outline.area(ring)),
        perimeter,
        longest,
        new double[0],
        clearance(ring, shadow));
  }

  /** Several masters' shadows as one: bridged where their walls meet, else wrapped together. */
  private static Geometry joined(Geometry bodies, double wall) {
    Geometry met = bodies.buffer(wall).buffer(-wall);
    return met instanceof Polygon ? met : bodies.convexHull();
  }

  /** Round the corners of the body, then straightened: for round ones. */
  private static double[] rounded(Geometry body, double wall, double more) {
    Polygon out = (Polygon) body.buffer(wall + more, 8);
    return bent(Rings.of(out.getExteriorRing()), more);
  }

  /** The body straightened, then set out to sharp corners: for square ones. */
  private static double[] mitred(Geometry body, double wall, double more) {
    Polygon near = (Polygon) body.buffer(more / 4, 4);
    double[] straight = bent(Rings.of(near.getExteriorRing()), more);
    if (straight.length < 6) {
      return straight;
    }
    Geometry out = BufferOp.bufferOp(Rings.polygon(straight).buffer(0), wall + more, SHARP);
    Geometry one = out instanceof Polygon ? out : out.convexHull();
    return bent(Rings.of(((Polygon) one).getExteriorRing()), 0.01);
  }

  /**
   * An outline in fewer, straight stretches, nowhere further from it than so much. It keeps the
   * point furthest from the middle, which is a corner if there are any.
   */
  private static double[] bent(double[] ring, double within) {
    if (ring.length < 6) {
      return ring;
    }
    double[] thin = Outline.thinned(closedAtFurthest(ring), within);
    // the last point is the first again
    double[] out = Arrays.copyOf(thin, thin.length - 2);
    if (Outline.area(out) < 0) {
      double[] turned = new double[out.length];
      for (int i = 0; i < out.length; i += 2) {
        turned[i] = out[out.length - 2 - i];
        turned[i + 1] = out[out.length - 1 - i];
      }
      return turned;
    }
    return out;
  }

  private static double[] closedAtFurthest(double[] ring) {
    int n = ring.length;
    double x = 0;
    double y = 0;
    for (int i = 0; i < n; i += 2) {
      x += 2 * ring[i] / n;
      y += 2 * ring[i + 1] / n;
    }
    int furthest = 0;
    double most = -1;
    for (int i = 0; i < n; i += 2) {
      double d = Math.hypot(ring[i] - x, ring[i + 1] - y);
      if (d > most) {
        most = d;
        furthest = i;
      }
    }
    double[] all = new double[n + 2];
    for (int i = 0; i < n + 2; i++) {
      all[i] = ring[(furthest + i) % n];
    }
    return all;
  }

  /** From corner i/2 to the next. */
  private static double stretch(double[] ring, int i) {
    int j = (i + 2) % ring.length;
    return Math.hypot(ring[j] - ring[i], ring[j + 1] - ring[i + 1]);
  }

  /** Of the outline from one corner to the next. */
  public double stretchMm(int corner) {
    return stretch(ring, 2 * corner);
  }

  private static double shortest(double[] ring) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < ring.length; i += 2) {
      least = Math.min(least, stretch(ring, i));
    }
    return least;
  }

  private static Geometry body(List<double[]> shadow) {
    return UnaryUnionOp.union(shadow.stream().map(Rings::polygon).toList());
  }

  private static double clearance(double[] ring, List<double[]> shadow) {
    Polygon within = Rings.polygon(ring);
    Geometry body = body(shadow);
    double apart = within.getExteriorRing().distance(body);
    return within.contains(body) ? apart : -apart;
  }

  /** This outline set out by a thickness: the outside of the walls. */
  public double[] setOut(double mm) {
    if (shape.sided()) {
      double x0 = minX() - mm;
      double x1 = maxX() + mm;
      double y0 = minY() - mm;
      double y1 = maxY() + mm;
      return new double[] {x0, y0, x1, y0, x1, y1, x0, y1};
    }
    BufferParameters corners = shape == BoxShape.OUTLINE ? SHARP : new BufferParameters(ARC / 4);
    Polygon out = (Polygon) BufferOp.bufferOp(Rings.polygon(ring), mm, corners);
    return Rings.of(out.getExteriorRing());
  }

  public double minX() {
    return extreme(0, -1);
  }

  public double maxX() {
    return extreme(0, 1);
  }

  public double minY() {
    return extreme(1, -1);
  }

  public double maxY() {
    return extreme(1, 1);
  }

  private double extreme(int axis, int sign) {
    double most = Double.NEGATIVE_INFINITY;
    for (int i = axis; i < ring.length; i += 2) {
      most = Math.max(most, sign * ring[i]);
    }
    return sign * most;
  }

  /**
   * Where a straight cut runs inside a ring: from, to, from, to … along it.
   *
   * @param axis the cut runs along: 0 for x, 1 for y
   * @param at where it lies on the other
   */
  public static double[] along(double[] ring, int axis, double at) {
    int other = 1 - axis;
    double[] met = new double[ring.length / 2];
    int n = 0;
    for (int i = 0; i < ring.length; i += 2) {
      int j = (i + 2) % ring.length;
      double a = ring[i + other];
      double b = ring[j + other];
      if (a <= at != b <= at) {
        met[n++] = ring[i + axis] + (at - a) / (b - a) * (ring[j + axis] - ring[i + axis]);
      }
    }
    double[] sorted = Arrays.copyOf(met, n);
    Arrays.sort(sorted);
    return sorted;
  }
}
