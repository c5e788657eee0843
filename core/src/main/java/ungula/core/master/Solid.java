package ungula.core.master;

import static java.lang.Math.PI;

import java.util.ArrayList;
import java.util.List;
import ungula.core.mesh.TriangleMesh;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;

/**
 * A master described by a few measures instead of a file. Which measures count depends on the kind;
 * the others are kept, so that changing the kind and back loses nothing.
 *
 * @param kind of solid
 * @param lengthMm along x
 * @param widthMm along y
 * @param heightMm along z
 * @param diameterMm outside
 * @param topDiameterMm of a cone frustum's top
 * @param tubeDiameterMm of a torus's ring
 * @param profile a turned profile: "radius at height" pairs from the bottom up
 * @param girths a body measured with a tape: "girth at height" pairs from the bottom up
 * @param carvedPct by how much a relief's face is larger than its outline
 * @param toleranceMm ± on every measure, k = 2
 */
public record Solid(
    Shape kind,
    double lengthMm,
    double widthMm,
    double heightMm,
    double diameterMm,
    double topDiameterMm,
    double tubeDiameterMm,
    String profile,
    String girths,
    Double carvedPct,
    double toleranceMm) {

  private static final String GIRTHS = "480 at 0, 420 at 300, 510 at 450, 260 at 560";

  public static final Solid DEFAULT =
      new Solid(
          Shape.BOX, 80, 55, 42, 60, 40, 24, "30 at 0, 22 at 40, 26 at 60", GIRTHS, 20.0, 0.5);

  /** A body with the girths measured is rarely round: ± of its volume and its surface. */
  private static final double UNROUND = 0.08;

  /** What a guess at how much a face is carved leaves open, ± of its surface. */
  private static final double CARVED = 0.1;

  /** What was kept before there were bodies measured by tape and reliefs has usual ones. */
  public Solid {
    girths = girths == null ? GIRTHS : girths;
    carvedPct = carvedPct == null ? Double.valueOf(20) : carvedPct;
  }

  public enum Shape implements Choosable {
    BOX("box", "lengthMm", "widthMm", "heightMm"),
    CYLINDER("cylinder", "diameterMm", "heightMm"),
    FRUSTUM("cone frustum", "diameterMm", "topDiameterMm", "heightMm"),
    SPHERE("sphere", "diameterMm"),
    CAP("spherical cap", "diameterMm", "heightMm"),
    ELLIPSOID("ellipsoid", "lengthMm", "widthMm", "heightMm"),
    TORUS("torus", "diameterMm", "tubeDiameterMm"),
    HALF_ROUND("half-round", "diameterMm", "lengthMm"),
    UNGULA("wedge cut from a cylinder", "diameterMm", "heightMm"),
    TURNED("turned profile", "profile"),
    GIRTHS("body measured by tape", "girths"),
    RELIEF("relief", "lengthMm", "widthMm", "heightMm", "carvedPct");

    private final String text;
    private final List<String> measures;

    Shape(String text, String... measures) {
      this.text = text;
      this.measures = List.of(measures);
    }

    @Override
    public String text() {
      return text;
    }

    /** The measures that count for this kind, by their component names. */
    public List<String> measures() {
      return measures;
    }
  }

  /** Round a circle: buys 1e-5 of the area, well under what calipers can tell. */
  private static final int ROUND = 768;

  /**
   * The volume by formula, mm³.
   *
   * @throws UnreadableQuantity when the measures contradict each other
   */
  public double volumeMm3() {
    double r = diameterMm / 2;
    double t = topDiameterMm / 2;
    double h = heightMm;
    return switch (kind) {
      case BOX, RELIEF -> lengthMm * widthMm * h;
      case CYLINDER -> PI * r * r * h;
      case FRUSTUM -> PI * h / 3 * (r * r + r * t + t * t);
      case SPHERE -> 4 * PI / 3 * r * r * r;
      case CAP -> PI * capHeight() * capHeight() / 3 * (3 * r - capHeight());
      case ELLIPSOID -> PI / 6 * lengthMm * widthMm * h;
      case TORUS -> 2 * PI * PI * ringRadius() * tubeRadius() * tubeRadius();
      case HALF_ROUND -> PI * r * r / 2 * lengthMm;
      case UNGULA -> 2.0 / 3 * r * r * h;
      case TURNED, GIRTHS -> {
        double sum = 0;
        double[][] p = outline();
        for (int i = 1; i < p.length; i++) {
          double a = p[i - 1][0];
          double b = p[i][0];
          sum += PI / 3 * (p[i][1] - p[i - 1][1]) * (a * a + a * b + b * b);
        }
        yield sum;
      }
    };
  }

  /** Radius, height pairs of a turned body; one measured by tape counts as round. */
  private double[][] outline() {
    if (kind == Shape.TURNED) {
      return profile(profile);
    }
    double[][] p = girths(girths);
    for (double[] at : p) {
      at[0] /= 2 * PI;
    }
    return p;
  }

  /**
   * ± of the volume from ± of every measure, independent: √Σ (∂V/∂m · tolerance)²; and for a body
   * measured by tape what it is not round.
   */
  public double volumeErrorMm3() {
    double v = volumeMm3();
    double unround = kind == Shape.GIRTHS ? UNROUND * v : 0;
    double sum = unround * unround;
    for (String measure : kind.measures) {
      double changed = nudged(measure, toleranceMm).volumeMm3() - v;
      sum += changed * changed;
    }
    return Math.sqrt(sum);
  }

  /** ± of the surface, and so of what coats take, as a share of it. */
  public double surfaceErrorShare() {
    double measured = volumeErrorMm3() / volumeMm3();
    return kind == Shape.RELIEF ? Math.hypot(CARVED, measured) : measured;
  }

  /** Of a relief, how much larger its carved face is than its outline, mm²; else 0. */
  public double carvedMm2() {
    return kind == Shape.RELIEF ? carvedPct / 100 * lengthMm * widthMm : 0;
  }

  private Solid nudged(String measure, double by) {
    return switch (measure) {
      case "lengthMm" ->
          with(lengthMm + by, widthMm, heightMm, diameterMm, topDiameterMm, tubeDiameterMm);
      case "widthMm" ->
          with(lengthMm, widthMm + by, heightMm, diameterMm, topDiameterMm, tubeDiameterMm);
      case "heightMm" ->
          with(lengthMm, widthMm, heightMm + by, diameterMm, topDiameterMm, tubeDiameterMm);
      case "diameterMm" ->
          with(lengthMm, widthMm, heightMm, diameterMm + by, topDiameterMm, tubeDiameterMm);
      case "topDiameterMm" ->
          with(lengthMm, widthMm, heightMm, diameterMm, topDiameterMm + by, tubeDiameterMm);
      case "tubeDiameterMm" ->
          with(lengthMm, widthMm, heightMm, diameterMm, topDiameterMm, tubeDiameterMm + by);
      case "profile" -> with(grown(profile(profile), by), girths);
      case "girths" -> with(profile, grown(girths(girths), by));
      default -> this;
    };
  }

  private static String grown(double[][] pairs, double by) {
    StringBuilder grown = new StringBuilder();
    for (double[] p : pairs) {
      grown.append(grown.isEmpty() ? "" : "; ").append(p[0] + by).append(" at ").append(p[1]);
    }
    return grown.toString();
  }

  private Solid with(String turned, String taped) {
    return new Solid(
        kind,
        lengthMm,
        widthMm,
        heightMm,
        diameterMm,
        topDiameterMm,
        tubeDiameterMm,
        turned,
        taped,
        carvedPct,
        toleranceMm);
  }

  private Solid with(double l, double w, double h, double d, double t, double tube) {
    return new Solid(kind, l, w, h, d, t, tube, profile, girths, carvedPct, toleranceMm);
  }

  private double tubeRadius() {
    return tubeDiameterMm / 2;
  }

  private double ringRadius() {
    double ring = diameterMm / 2 - tubeRadius();
    if (ring <= tubeRadius()) {
      throw new UnreadableQuantity(
          "The ring is too thick for a torus "
              + Length.format(diameterMm, Units.METRIC)
              + " across: it must be under half of that.");
    }
    return ring;
  }

  private double capHeight() {
    if (heightMm > diameterMm) {
      throw new UnreadableQuantity(
          "A cap cannot be higher than its sphere, "
              + Length.format(diameterMm, Units.METRIC)
              + ".");
    }
    return heightMm;
  }

  /** The solid as a closed mesh standing on z = 0, at least 20 000 triangles where it is round. */
  public TriangleMesh mesh() {
    double r = diameterMm / 2;
    double h = heightMm;
    return switch (kind) {
      case BOX, RELIEF -> Tessellation.box(lengthMm, widthMm, h);
      case CYLINDER -> Tessellation.turned(new double[][] {{0, 0}, {r, 0}, {r, h}, {0, h}}, 4096);
      case FRUSTUM ->
          Tessellation.turned(
              new double[][] {{0, 0}, {r, 0}, {topDiameterMm / 2, h}, {0, h}}, 4096);
      case SPHERE -> Tessellation.turned(arc(r, 2 * r, 256), ROUND);
      case CAP -> Tessellation.turned(cap(r, capHeight()), ROUND);
      case ELLIPSOID -> {
        TriangleMesh ball = Tessellation.turned(arc(0.5, 1, 256), ROUND);
        yield Tessellation.stretched(ball, lengthMm, widthMm, h);
      }
      case TORUS -> Tessellation.torus(ringRadius(), tubeRadius(), ROUND, 192);
      case HALF_ROUND -> Tessellation.halfRound(r, lengthMm, 4096);
      case UNGULA -> Tessellation.ungula(r, h, 6144);
      case TURNED, GIRTHS -> {
        List<double[]> outline = new ArrayList<>();
        double[][] p = outline();
        if (p[0][0] > 0) {
          outline.add(new double[] {0, p[0][1]});
        }
        outline.addAll(List.of(p));
        if (p[p.length - 1][0] > 0) {
          outline.add(new double[] {0, p[p.length - 1][1]});
        }
        yield Tessellation.turned(outline.toArray(double[][]::new), ROUND);
      }
    };
  }

  /** Radius, height pairs up a sphere standing on z = 0, cut at a height. */
  private static double[][] arc(double r, double height, int steps) {
    double end = Math.acos(Math.max(-1, (r - height) / r));
    double[][] p = new double[steps + 1][];
    for (int i = 0; i <= steps; i++) {
      double a = end * i / steps;
      p[i] = new double[] {i == 0 ? 0 : r * Math.sin(a), r * (1 - Math.cos(a))};
    }
    if (height >= 2 * r) {
      p[steps][0] = 0;
    }
    return p;
  }

  /** A cap on its flat face: the arc upside down. */
  private static double[][] cap(double r, double h) {
    double[][] up = arc(r, h, 192);
    List<double[]> down = new ArrayList<>();
    down.add(new double[] {0, 0});
    for (int i = up.length - 1; i >= 0; i--) {
      down.add(new double[] {up[i][0], h - up[i][1]});
    }
    return down.toArray(double[][]::new);
  }

  /**
   * Reads "30 at 0, 22 at 40, 26 at 60": radius at height, heights rising.
   *
   * @return radius, height pairs in mm
   */
  public static double[][] profile(String text) {
    return pairs(text, "profile", "radius");
  }

  /**
   * Reads "480 at 0, 420 at 300": girth at height, heights rising.
   *
   * @return girth, height pairs in mm
   */
  public static double[][] girths(String text) {
    return pairs(text, "body", "girth");
  }

  private static double[][] pairs(String text, String of, String what) {
    String[] points = text.strip().split("\\s*[,;]\\s+|\\s*;\\s*");
    if (points.length < 2) {
      throw new UnreadableQuantity(
          "A "
              + of
              + " needs at least two points. Write “300 at 0, 220 at 40, 260 at 60”: "
              + what
              + " at height, from the bottom up.");
    }
    double[][] p = new double[points.length][];
    for (int i = 0; i < p.length; i++) {
      String[] halves = points[i].split("\\s+(?:at|@)\\s+");
      if (halves.length != 2) {
        throw new UnreadableQuantity(
            "“" + points[i] + "” is no " + what + " at a height. Write “220 at 40”.");
      }
      p[i] =
          new double[] {
            Length.parseMm(halves[0], Units.METRIC), Length.parseMm(halves[1], Units.METRIC)
          };
      if (p[i][0] < 0 || i > 0 && p[i][1] < p[i - 1][1]) {
        throw new UnreadableQuantity(
            "“"
                + points[i]
                + "”: a "
                + what
                + " cannot be negative, and heights must rise from the bottom.");
      }
    }
    if (p[p.length - 1][1] <= p[0][1]) {
      throw new UnreadableQuantity("The " + of + " has no height.");
    }
    return p;
  }
}
