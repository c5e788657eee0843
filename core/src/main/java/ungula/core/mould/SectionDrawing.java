package ungula.core.mould;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;

/**
 * A cut through box, rubber and master, to scale, with its dimensions: what the page and the sheet
 * both draw. All coordinates in mm, right and up as seen.
 *
 * @param cut which way one looks
 * @param at where the plane lies along its axis
 * @param from least {@code at} that still cuts the box
 * @param to greatest
 * @param left least x of everything drawn but dimensions
 * @param bottom least y
 * @param right greatest x
 * @param top greatest y
 * @param shapes from back to front
 * @param dimensions to be drawn outside the shapes
 */
public record SectionDrawing(
    Cut cut,
    double at,
    double from,
    double to,
    double left,
    double bottom,
    double right,
    double top,
    List<Shape> shapes,
    List<Dimension> dimensions) {

  public enum Role {
    PLATE,
    WALL,
    RUBBER,
    MASTER,
    /** Only the outer size of the master is known. */
    ENVELOPE,
    POUR_LINE,
    /** All of the master, seen as the cut is. */
    OUTLINE,
    GAP,
    /** Where two halves meet. */
    PARTING,
    /** Carries the master while its upper half is poured. */
    RISER,
    /** What a cast is poured in through. */
    SPRUE,
    /** What air leaves a cast by. */
    VENT,
    /** Keeps a cast hollow. */
    CORE,
    /** Where a knife opens the block. */
    CUT_LINE,
    /** All that lies within a coat, the coats under it and the master too. */
    DETAIL_COAT,
    BUILD_COAT,
    SMOOTHING_COAT,
    /** Master and the clay that plugs its recesses. */
    PLUG,
    /** Bedded in between coats. */
    CLOTH,
    /** All within the jacket. */
    JACKET,
    /** Keys and seal ring, seen from above. */
    KEY,
    /** Set into the box, to be read in the rubber. */
    LABEL,
    /** Air that stays in the rubber. */
    AIR,
    /** Air that stays in a cast. */
    CAST_AIR
  }

  /**
   * @param role what it is
   * @param rings x, y pairs; even-odd filled; two points make a line
   */
  public record Shape(Role role, List<double[]> rings) {}

  /** Which side of the drawing a dimension is set out to. */
  public enum Side {
    BELOW,
    LEFT
  }

  /** What a dimension measures. */
  public enum Measure {
    LEFT_WALL,
    RIGHT_WALL,
    FRONT_WALL,
    BACK_WALL,
    LENGTH,
    WIDTH,
    /** From the base to the pour line. */
    HEIGHT,
    /** Over all, where nothing decides it but the rest. */
    ACROSS,
    LIFT,
    OVER_TOP,
    PARTING,
    /** From an end of the master to its riser. */
    RISER_LEFT,
    RISER_RIGHT,
    SKIN_WALL,
    FLANGE
  }

  /**
   * @param side it is set out to
   * @param row how far out, from 1
   * @param from along the side
   * @param to along the side
   * @param text with its unit
   * @param of what it measures
   */
  public record Dimension(Side side, int row, double from, double to, String text, Measure of) {}

  /** With one more shape in front; the same when it has no rings. */
  public SectionDrawing with(Role role, List<double[]> rings) {
    if (rings.isEmpty()) {
      return this;
    }
    List<Shape> all = new ArrayList<>(shapes);
    all.add(new Shape(role, rings));
    return new SectionDrawing(
        cut, at, from, to, left, bottom, right, top, List.copyOf(all), dimensions);
  }

  /** With one more measure set out. */
  public SectionDrawing with(Dimension dimension) {
    List<Dimension> all = new ArrayList<>(dimensions);
    all.add(dimension);
    return new SectionDrawing(
        cut, at, from, to, left, bottom, right, top, shapes, List.copyOf(all));
  }

  /** Points of an outline closer to it than this share of the drawing are left out. */
  private static final double FINE = 1.0 / 3000;

  /**
   * @param box the mould
   * @param slicer over the master set down at z = 0; null when only its size is known
   * @param round whether a master without a model is round
   * @param at the plane's place along the cut's axis, mm; drawn at the nearest place in the box
   */
  public static SectionDrawing of(
      BoxMould box, Slicer slicer, Cut cut, boolean round, double at, Units units) {
    return new Pen(box, cut, at, units).draw(slicer, round);
  }

  private static final class Pen {

    private final BoxMould box;
    private final Cut cut;
    private final Units units;
    private final double at;
    private final double from;
    private final double to;
    private final List<Shape> shapes = new ArrayList<>();
    private final List<Dimension> dimensions = new ArrayList<>();

    /** Outside of the walls, seen from above. */
    private final double[] outer;

    /** Where the cut runs inside: from, to, from, to … across the drawing. */
    private final double[] within;

    // its ends, and the master's reach
    private final double low;
    private final double high;
    private final double masterLow;
    private final double masterHigh;

    Pen(BoxMould box, Cut cut, double at, Units units) {
      this.box = box;
      this.cut = cut;
      this.units = units;
      Vec3 m = box.masterMm();
      BoxInside inside = box.inside();
      boolean side = cut == Cut.SIDE;
      outer = inside.setOut(box.wallMm());
      masterHigh = (side ? m.y() : m.x()) / 2;
      masterLow = -masterHigh;
      from = cut == Cut.FRONT ? inside.minY() : side ? inside.minX() : 0;
      to = cut == Cut.FRONT ? inside.maxY() : side ? inside.maxX() : box.wallHeightMm();
      this.at = Math.max(from, Math.min(to, at));
      if (cut == Cut.TOP) {
        within = new double[] {inside.minX(), inside.maxX()};
        low = within[0];
        high = within[1];
      } else {
        // a cut along a wall runs just inside it
        double near = Math.max(from + 1e-6, Math.min(to - 1e-6, at));
        within = BoxInside.along(inside.ring(), side ? 1 : 0, near);
        low = within[0];
        high = within[within.length - 1];
      }
    }

    SectionDrawing draw(Slicer slicer, boolean round) {
      if (cut == Cut.TOP) {
        plan();
      } else {
        upright();
      }
      master(slicer, round);
      double t = box.wallMm();
      boolean plan = cut == Cut.TOP;
      double bottom = plan ? box.inside().minY() - t : -box.sheet().thicknessMm();
      double top = plan ? box.inside().maxY() + t : box.wallHeightMm();
      double over = plan ? 0 : 20;
      return new SectionDrawing(
          cut, at, from, to, low - t - over, bottom, high + t + over, top, shapes, dimensions);
    }

    private void upright() {
      double line = box.pourLineMm();
      double wall = box.wallHeightMm();
      boolean side = cut == Cut.SIDE;
      double[] walls = BoxInside.along(outer, side ? 1 : 0, Math.max(from, Math.min(to, at)));
      double out = BoxMould.BASE_OUT_MM;
      add(
          Role.PLATE,
          rectangle(walls[0] - out, -box.sheet().thicknessMm(), walls[walls.length - 1] + out, 0));
      for (int i = 0; i + 1 < within.length; i += 2) {
        if (line > 0) {
          add(Role.RUBBER, rectangle(within[i], 0, within[i + 1], line));
        }
      }
      for (int i = 0; i + 1 < walls.length; i += 2) {
        walls(walls[i], walls[i + 1], wall);
      }
      for (int i = 0; i + 1 < within.length; i += 2) {
        add(Role.POUR_LINE, new double[] {within[i], line, within[i + 1], line});
      }
      if (box.inside().shape().sided()) {
        dimension(Side.BELOW, 1, low, masterLow, side ? Measure.FRONT_WALL : Measure.LEFT_WALL);
        dimension(Side.BELOW, 1, masterHigh, high, side ? Measure.BACK_WALL : Measure.RIGHT_WALL);
      }
      dimension(Side.BELOW, 2, low, high, side ? Measure.WIDTH : Measure.LENGTH);
      double masterTop = box.belowMm() + box.masterMm().z();
      if (box.belowMm() > 0) {
        dimension(Side.LEFT, 1, 0, box.belowMm(), Measure.LIFT);
      }
      dimension(Side.LEFT, 1, masterTop, line, Measure.OVER_TOP);
      dimension(Side.LEFT, 2, 0, line, Measure.HEIGHT);
    }

    /** Walls where a stretch of the cut is not inside the box. */
    private void walls(double begin, double end, double high) {
      double begun = begin;
      for (int i = 0; i + 1 < within.length; i += 2) {
        if (within[i] >= begin && within[i + 1] <= end) {
          add(Role.WALL, rectangle(begun, 0, within[i], high));
          begun = within[i + 1];
        }
      }
      add(Role.WALL, rectangle(begun, 0, end, high));
    }

    private void plan() {
      double front = box.inside().minY();
      double back = box.inside().maxY();
      add(Role.WALL, outer, box.inside().ring());
      if (at <= box.pourLineMm()) {
        add(Role.RUBBER, box.inside().ring());
      }
      if (box.inside().shape().sided()) {
        dimension(Side.BELOW, 1, low, masterLow, Measure.LEFT_WALL);
        dimension(Side.BELOW, 1, masterHigh, high, Measure.RIGHT_WALL);
        dimension(Side.LEFT, 1, front, -box.masterMm().y() / 2, Measure.FRONT_WALL);
        dimension(Side.LEFT, 1, box.masterMm().y() / 2, back, Measure.BACK_WALL);
      }
      dimension(Side.BELOW, 2, low, high, Measure.LENGTH);
      dimension(Side.LEFT, 2, front, back, Measure.WIDTH);
    }

    private void master(Slicer slicer, boolean round) {
      if (slicer == null) {
        double y = box.masterMm().y() / 2;
        double z = box.belowMm();
        if (cut != Cut.TOP) {
          add(Role.ENVELOPE, rectangle(masterLow, z, masterHigh, z + box.masterMm().z()));
        } else if (round) {
          add(Role.ENVELOPE, circle(masterHigh));
        } else {
          add(Role.ENVELOPE, rectangle(masterLow, -y, masterHigh, y));
        }
        return;
      }
      double lift = box.belowMm();
      Slicer.Section section = slicer.at(cut == Cut.TOP ? at - lift : at);
      double fine = box.masterMm().norm() * FINE;
      double up = cut == Cut.TOP ? 0 : lift;
      List<double[]> rings = new ArrayList<>();
      for (double[] loop : section.loops()) {
        double[] thin = Outline.thinned(loop, fine);
        if (thin.length >= 6) {
          rings.add(raised(thin, up));
        }
      }
      if (!rings.isEmpty()) {
        shapes.add(new Shape(Role.MASTER, rings));
      }
      for (double[] chain : section.openChains()) {
        shapes.add(new Shape(Role.GAP, List.of(raised(Outline.thinned(chain, fine), up))));
      }
    }

    private static double[] raised(double[] line, double by) {
      double[] out = new double[line.length];
      for (int i = 0; i < line.length; i += 2) {
        // a thousandth of a millimetre is finer than any screen or printer
        out[i] = Math.round(line[i] * 1000) / 1000.0;
        out[i + 1] = Math.round((line[i + 1] + by) * 1000) / 1000.0;
      }
      return out;
    }

    private static double[] circle(double r) {
      double[] ring = new double[180];
      for (int i = 0; i < 90; i++) {
        ring[2 * i] = r * Math.cos(i * Math.PI / 45);
        ring[2 * i + 1] = r * Math.sin(i * Math.PI / 45);
      }
      return ring;
    }

    private static double[] rectangle(double x0, double y0, double x1, double y1) {
      return new double[] {x0, y0, x1, y0, x1, y1, x0, y1};
    }

    private void add(Role role, double[]... rings) {
      shapes.add(new Shape(role, List.of(rings)));
    }

    private void dimension(Side side, int row, double a, double b, Measure of) {
      if (Math.abs(b - a) >= 0.05) {
        dimensions.add(
            new Dimension(
                side, row, Math.min(a, b), Math.max(a, b), Length.format(b - a, units), of));
      }
    }
  }
}
