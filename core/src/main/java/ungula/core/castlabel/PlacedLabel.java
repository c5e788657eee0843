package ungula.core.castlabel;

import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Insert;

/**
 * A label where it is set in a box, in the posed frame: x and y from the middle, z above the base.
 *
 * @param on which face of the box
 * @param middle of its back, mm
 * @param turned a quarter turn, its lines running from front to back; only on the base
 * @param rubberMm between it and the master, at least: on the base as seen from above
 */
public record PlacedLabel(CastLabel label, Face on, Vec3 middle, boolean turned, double rubberMm) {

  /** Rubber under this tears when the plate is taken out of it. */
  public static final double LEAST_MM = 3;

  /** Kept free along walls, joints and the pour line, where sealant sits and rubber creeps. */
  private static final double JOINT_MM = 2;

  /** Detail of a shadow that is not looked at while places are tried. */
  private static final double ROUGH_MM = 0.5;

  /** Places tried along the longer side of a box. */
  private static final int TRIED = 40;

  private static final Comparator<PlacedLabel> BEST =
      Comparator.comparingDouble(p -> Math.rint(10 * p.rubberMm));

  /** Inside of the box. */
  public enum Face {
    BASE("on the base"),
    LEFT("on the left wall"),
    RIGHT("on the right wall"),
    FRONT("on the front wall"),
    BACK("on the back wall");

    private final String text;

    Face(String text) {
      this.text = text;
    }

    public String text() {
      return text;
    }
  }

  /**
   * Where a box has room for a label.
   *
   * @param shadow of the master seen from above: a label on the base keeps clear of it, and so of
   *     sprue and vents
   * @param clean points on what is to be kept clean; empty where nothing is
   * @param closed walls that are parted or cut
   */
  public record Room(BoxMould box, List<double[]> shadow, List<Vec3> clean, Set<Face> closed) {}

  /**
   * On the base, for each way the text is laid out, the place with the most rubber between label
   * and master; on the walls their middles. Of all these the one with the most rubber, or the one
   * furthest from what is to be kept clean where something is; of those the text in fewest lines.
   *
   * @param parts of the text, each in a line of its own or several in one
   * @return empty where there is no room
   */
  public static Optional<PlacedLabel> of(
      LabelPlace place, List<String> parts, double letterMm, Room room) {
    Comparator<PlacedLabel> best =
        room.clean.isEmpty() ? BEST : Comparator.comparingDouble(p -> p.fromClean(room.clean));
    return CastLabel.layouts(parts, letterMm).stream()
        .flatMap(l -> places(place, l, room))
        // of two alike the first
        .reduce((a, b) -> best.compare(b, a) > 0 ? b : a);
  }

  private static Stream<PlacedLabel> places(LabelPlace place, CastLabel label, Room room) {
    Stream<PlacedLabel> base =
        place == LabelPlace.WALL ? Stream.empty() : onBase(label, room).stream();
    Stream<PlacedLabel> walls =
        place == LabelPlace.BASE
            ? Stream.empty()
            : EnumSet.range(Face.LEFT, Face.BACK).stream()
                .filter(f -> !room.closed.contains(f))
                .flatMap(f -> onWall(label, f, room.box).stream());
    return Stream.concat(base, walls);
  }

  private double fromClean(List<Vec3> clean) {
    return clean.stream().mapToDouble(p -> p.minus(middle).norm()).min().orElse(0);
  }

  /** Half way up a flat wall, in its middle. */
  private static Optional<PlacedLabel> onWall(CastLabel label, Face on, BoxMould box) {
    BoxShape shape = box.inside().shape();
    boolean flat = shape == BoxShape.RECTANGLE || shape == BoxShape.OWN || shape == BoxShape.BLOCKS;
    boolean ends = on == Face.LEFT || on == Face.RIGHT;
    double blocks = Arrays.stream(box.inside().legsMm()).max().orElse(0);
    double along = (ends ? box.insideWidthMm() : box.insideLengthMm()) - 2 * blocks;
    double wall =
        switch (on) {
          case LEFT -> box.leftMm();
          case RIGHT -> box.rightMm();
          case FRONT -> box.frontMm();
          case BACK -> box.backMm();
          case BASE -> throw new IllegalArgumentException("The base is no wall.");
        };
    double left = wall - CastLabel.thickMm();
    boolean fits =
        label.widthMm() <= along - 2 * JOINT_MM
            && label.heightMm() <= box.pourLineMm() - 2 * JOINT_MM
            && left >= LEAST_MM;
    if (!flat || !fits) {
      return Optional.empty();
    }
    double middleX = (box.inside().minX() + box.inside().maxX()) / 2;
    double middleY = (box.inside().minY() + box.inside().maxY()) / 2;
    double z = box.pourLineMm() / 2;
    Vec3 at =
        switch (on) {
          case LEFT -> new Vec3(box.inside().minX(), middleY, z);
          case RIGHT -> new Vec3(box.inside().maxX(), middleY, z);
          case FRONT -> new Vec3(middleX, box.inside().minY(), z);
          default -> new Vec3(middleX, box.inside().maxY(), z);
        };
    return Optional.of(new PlacedLabel(label, on, at, false, left));
  }

  /** Beside the master's shadow, lines along the box or across it. */
  private static Optional<PlacedLabel> onBase(CastLabel label, Room room) {
    Geometry shadow = Rings.filled(room.shadow);
    Geometry rough = DouglasPeuckerSimplifier.simplify(shadow, ROUGH_MM);
    double off = rough.getNumPoints() < shadow.getNumPoints() ? ROUGH_MM : 0;
    BoxInside inside = room.box.inside();
    PreparedGeometry free =
        PreparedGeometryFactory.prepare(
            Rings.polygon(inside.ring())
                .buffer(-JOINT_MM)
                .difference(rough.buffer(LEAST_MM + off)));
    double step = Math.max(1, inside.spanMm() / TRIED);
    PlacedLabel best = null;
    for (boolean turned : new boolean[] {false, true}) {
      double[] ring = turned ? turned(label.outline()) : label.outline();
      double halfX = (turned ? label.heightMm() : label.widthMm()) / 2 + JOINT_MM;
      double halfY = (turned ? label.widthMm() : label.heightMm()) / 2 + JOINT_MM;
      for (double x = inside.minX() + halfX; x <= inside.maxX() - halfX; x += step) {
        for (double y = inside.minY() + halfY; y <= inside.maxY() - halfY; y += step) {
          Geometry plate = Rings.polygon(moved(ring, x, y));
          if (free.covers(plate)) {
            double away = plate.distance(rough);
            if (best == null || away > best.rubberMm + 1e-9) {
              best = new PlacedLabel(label, Face.BASE, new Vec3(x, y, 0), turned, away);
            }
          }
        }
      }
    }
    return Optional.ofNullable(best).map(p -> p.measured(shadow));
  }

  /** With what there really is between it and the master. */
  private PlacedLabel measured(Geometry shadow) {
    double[] ring = turned ? turned(label.outline()) : label.outline();
    double away = Rings.polygon(moved(ring, middle.x(), middle.y())).distance(shadow);
    return new PlacedLabel(label, on, middle, turned, away);
  }

  private static double[] turned(double[] ring) {
    double[] out = new double[ring.length];
    for (int i = 0; i < ring.length; i += 2) {
      out[i] = -ring[i + 1];
      out[i + 1] = ring[i];
    }
    return out;
  }

  private static double[] moved(double[] ring, double x, double y) {
    double[] out = ring.clone();
    for (int i = 0; i < ring.length; i += 2) {
      out[i] += x;
      out[i + 1] += y;
    }
    return out;
  }

  /**
   * Where its middle comes to lie, in words.
   *
   * @param mm how a length is written
   */
  public String where(BoxInside inside, DoubleFunction<String> mm) {
    return on == Face.BASE
        ? on.text
            + ", its middle "
            + mm.apply(middle.x() - inside.minX())
            + " from the left wall and "
            + mm.apply(middle.y() - inside.minY())
            + " from the front"
            + (turned ? ", its lines from front to back" : "")
        : on.text + ", in the middle of it, " + mm.apply(middle.z()) + " above the base";
  }

  /** What of the box it takes. */
  public Insert insert() {
    Box3 b = extent();
    return new Insert(label.volumeMm3(), b.min().z(), b.max().z());
  }

  /** Its outline in a drawing, right and up as seen. */
  public double[] seen(Cut cut) {
    Box3 b = extent();
    return switch (cut) {
      case TOP -> rectangle(b.min().x(), b.min().y(), b.max().x(), b.max().y());
      case FRONT -> rectangle(b.min().x(), b.min().z(), b.max().x(), b.max().z());
      case SIDE -> rectangle(b.min().y(), b.min().z(), b.max().y(), b.max().z());
    };
  }

  private static double[] rectangle(double x0, double y0, double x1, double y1) {
    return new double[] {x0, y0, x1, y0, x1, y1, x0, y1};
  }

  private Box3 extent() {
    double wide = label.widthMm() / 2;
    double high = label.heightMm() / 2;
    double thick = CastLabel.thickMm();
    return switch (on) {
      case BASE -> {
        Vec3 half = turned ? new Vec3(high, wide, 0) : new Vec3(wide, high, 0);
        yield new Box3(middle.minus(half), middle.plus(half).plus(new Vec3(0, 0, thick)));
      }
      case LEFT -> between(new Vec3(0, -wide, -high), new Vec3(thick, wide, high));
      case RIGHT -> between(new Vec3(-thick, -wide, -high), new Vec3(0, wide, high));
      case FRONT -> between(new Vec3(-wide, 0, -high), new Vec3(wide, thick, high));
      case BACK -> between(new Vec3(-wide, -thick, -high), new Vec3(wide, 0, high));
    };
  }

  private Box3 between(Vec3 from, Vec3 to) {
    return new Box3(middle.plus(from), middle.plus(to));
  }
}
