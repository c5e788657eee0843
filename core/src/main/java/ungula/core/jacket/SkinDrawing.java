package ungula.core.jacket;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Measure;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.mould.SectionDrawing.Shape;
import ungula.core.mould.SectionDrawing.Side;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.skin.Coat;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinField;

/** A cut through a master with its coats and jacket, each as a band to scale. */
public final class SkinDrawing {

  /** A hair above the board. */
  private static final double LOW_MM = 0.5;

  private static final double BOARD_MM = 12;

  /** Points of an outline closer to it than this share of the drawing are left out. */
  private static final double FINE = 1.0 / 3000;

  private final SkinField field;
  private final Vec3 size;
  private final Cut cut;
  private final Units units;
  private final List<Shape> shapes = new ArrayList<>();
  private final List<Dimension> dimensions = new ArrayList<>();

  private SkinDrawing(SkinField field, Vec3 sizeMm, Cut cut, Units units) {
    this.field = field;
    this.size = sizeMm;
    this.cut = cut;
    this.units = units;
  }

  /**
   * @param field null while only measures are known: bands are drawn round the outer size
   * @param slicer of the master along this cut; null with the field
   * @param cutDegrees the way the skin is cut open; null when it is not
   * @param sections of the jacket; null while they are not known
   * @param jacket as asked for
   * @param jacketMm thickness of the jacket; 0 leaves it out
   */
  public static SectionDrawing of(
      SkinField field,
      Slicer slicer,
      Vec3 sizeMm,
      List<Coat> coats,
      Skin skin,
      Double cutDegrees,
      Sections sections,
      Jacket jacket,
      double jacketMm,
      Cut cut,
      Double at,
      Units units) {
    SkinDrawing drawing = new SkinDrawing(field, sizeMm, cut, units);
    boolean plugged = !skin.plugs().isEmpty();
    return drawing.draw(
        slicer,
        coats,
        plugged,
        skin.flangeMm(),
        cutDegrees,
        sections,
        jacket.flangeMm(),
        jacketMm,
        at);
  }

  private SectionDrawing draw(
      Slicer slicer,
      List<Coat> coats,
      boolean plugged,
      double flange,
      Double cutDegrees,
      Sections sections,
      double jacketFlange,
      double jacketMm,
      Double asked) {
    double wall = coats.get(coats.size() - 1).toMm();
    double half = (cut == Cut.SIDE ? size.y() : size.x()) / 2;
    double depth = (cut == Cut.SIDE ? size.x() : size.y()) / 2 + wall;
    double from = cut == Cut.TOP ? 0 : -depth;
    double to = cut == Cut.TOP ? size.z() + wall : depth;
    double middle = cut == Cut.TOP ? size.z() / 2 : 0;
    double at = Math.max(from, Math.min(to, asked == null ? middle : asked));
    boolean plan = cut == Cut.TOP;
    double outer = half + wall;
    double edge = outer + flange;
    // the flange goes on from where the skin meets the board
    double right = onBoard(wall, cut == Cut.SIDE ? 90 : 0, outer);
    double left = onBoard(wall, cut == Cut.SIDE ? 270 : 180, outer);
    double up = plan ? size.y() / 2 + wall : size.z() + wall;
    double thick = Math.min(jacketMm, Skin.MOST_MM - wall);
    if (thick > 0) {
      band(Role.JACKET, wall + thick, at);
    }
    if (!plan) {
      add(Role.PLATE, rectangle(-edge - 20, -BOARD_MM, edge + 20, 0));
      if (flange > 0) {
        add(Role.BUILD_COAT, rectangle(-left - flange, 0, right + flange, wall));
      }
    }
    for (int i = coats.size() - 1; i >= 0; i--) {
      Coat c = coats.get(i);
      band(role(c.kind()), c.toMm(), at);
      if (c.cloth()) {
        band(Role.CLOTH, c.toMm(), at);
      }
    }
    if (plugged) {
      band(Role.PLUG, 0, at);
    }
    master(slicer, at);
    if (plan && sections != null) {
      for (double degrees : sections.partings()) {
        double begins = outermost(wall, degrees, at);
        add(Role.PARTING, along(degrees, begins, begins + thick + jacketFlange));
      }
    }
    if (plan && cutDegrees != null) {
      double ends = outermost(wall, cutDegrees, at);
      add(Role.CUT_LINE, along(cutDegrees, Math.max(0, ends - 2 * wall), ends));
    }
    dimension(Side.BELOW, 1, -outer, -half, Measure.SKIN_WALL);
    dimension(Side.BELOW, 2, -outer, outer, Measure.ACROSS);
    if (!plan) {
      dimension(Side.BELOW, 1, right, right + flange, Measure.FLANGE);
      dimension(Side.LEFT, 1, size.z(), size.z() + wall, Measure.SKIN_WALL);
      dimension(Side.LEFT, 2, 0, size.z() + wall, Measure.HEIGHT);
    } else {
      dimension(Side.LEFT, 2, -up, up, Measure.ACROSS);
    }
    double round = thick + Math.max(20, jacketFlange);
    double beside = plan ? outer + round : edge + 20;
    double bottom = plan ? -up - round : -BOARD_MM;
    return new SectionDrawing(
        cut,
        at,
        from,
        to,
        -beside,
        bottom,
        beside,
        plan ? up + round : up + thick,
        List.copyOf(shapes),
        List.copyOf(dimensions));
  }

  /** From the middle to the outside of the skin. */
  /** How far the skin reaches on the board; the outer size until its room is worked out. */
  private double onBoard(double wall, double degrees, double outer) {
    double reaches = field == null ? 0 : field.outermostMm(wall, degrees, LOW_MM);
    return reaches > 0 ? reaches : outer;
  }

  private double outermost(double wall, double degrees, double at) {
    if (field != null) {
      return field.outermostMm(wall, degrees, at);
    }
    double cos = Math.abs(Math.cos(Math.toRadians(degrees)));
    double sin = Math.abs(Math.sin(Math.toRadians(degrees)));
    return Math.min(
        (size.x() / 2 + wall) / Math.max(1e-9, cos), (size.y() / 2 + wall) / Math.max(1e-9, sin));
  }

  private static double[] along(double degrees, double from, double to) {
    double cos = Math.cos(Math.toRadians(degrees));
    double sin = Math.sin(Math.toRadians(degrees));
    return new double[] {from * cos, from * sin, to * cos, to * sin};
  }

  private static Role role(Coat.Kind kind) {
    return switch (kind) {
      case DETAIL -> Role.DETAIL_COAT;
      case BUILD -> Role.BUILD_COAT;
      case SMOOTHING -> Role.SMOOTHING_COAT;
    };
  }

  /** All within a distance of the master. */
  private void band(Role role, double mm, double at) {
    List<double[]> rings = new ArrayList<>();
    if (field == null) {
      double half = (cut == Cut.SIDE ? size.y() : size.x()) / 2 + mm;
      rings.add(
          cut == Cut.TOP
              ? rectangle(-half, -size.y() / 2 - mm, half, size.y() / 2 + mm)
              : rectangle(-half, 0, half, size.z() + mm));
    } else {
      for (double[] ring : field.within(mm, cut, at)) {
        rings.add(Outline.thinned(ring, size.norm() * FINE));
      }
    }
    rings.removeIf(r -> r.length < 6);
    if (!rings.isEmpty()) {
      shapes.add(new Shape(role, rings));
    }
  }

  private void master(Slicer slicer, double at) {
    List<double[]> rings = new ArrayList<>();
    if (slicer == null) {
      double half = (cut == Cut.SIDE ? size.y() : size.x()) / 2;
      add(
          Role.ENVELOPE,
          cut == Cut.TOP
              ? rectangle(-half, -size.y() / 2, half, size.y() / 2)
              : rectangle(-half, 0, half, size.z()));
      return;
    }
    for (double[] loop : slicer.at(at).loops()) {
      rings.add(Outline.thinned(loop, size.norm() * FINE));
    }
    rings.removeIf(r -> r.length < 6);
    if (!rings.isEmpty()) {
      shapes.add(new Shape(Role.MASTER, rings));
    }
  }

  private static double[] rectangle(double x0, double y0, double x1, double y1) {
    return new double[] {x0, y0, x1, y0, x1, y1, x0, y1};
  }

  private void add(Role role, double[] ring) {
    shapes.add(new Shape(role, List.of(ring)));
  }

  private void dimension(Side side, int row, double a, double b, Measure of) {
    if (b - a >= 0.05) {
      dimensions.add(new Dimension(side, row, a, b, Length.format(b - a, units), of));
    }
  }
}
