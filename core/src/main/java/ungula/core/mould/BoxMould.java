package ungula.core.mould;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;

/**
 * A box round a posed master, poured to a line. The master's middle is over the origin, the plate
 * at z = 0.
 *
 * @param masterMm outer size of the master as posed
 * @param curve of the master, lifted as it stands in the box
 * @param inside of the walls, seen from above
 * @param belowMm between plate and master
 * @param overTopMm between the master's top and the pour line; negative when it stays in the air
 * @param freeboardMm wall above the pour line
 * @param sheet the walls are cut from
 * @param insert set into it besides the master; null for nothing
 */
public record BoxMould(
    Vec3 masterMm,
    FillCurve curve,
    BoxInside inside,
    double belowMm,
    double overTopMm,
    double freeboardMm,
    SheetStock sheet,
    @Nullable Insert insert) {

  /** With nothing in it but the master. */
  public BoxMould(
      Vec3 masterMm,
      FillCurve curve,
      BoxInside inside,
      double belowMm,
      double overTopMm,
      double freeboardMm,
      SheetStock sheet) {
    this(masterMm, curve, inside, belowMm, overTopMm, freeboardMm, sheet, null);
  }

  /** The same with something set into it. */
  public BoxMould with(Insert set) {
    return new BoxMould(masterMm, curve, inside, belowMm, overTopMm, freeboardMm, sheet, set);
  }

  /** The same with other walls. */
  public BoxMould in(BoxInside other) {
    return new BoxMould(masterMm, curve, other, belowMm, overTopMm, freeboardMm, sheet, insert);
  }

  /** What one degree out of level may cost before it is worth a word. */
  private static final double LEVEL_MM = 5;

  /** The first batch covers the master so far, or a line shows on every cast, mm. */
  public static final double COVERED_MM = 5;

  /** What the base stands out round the walls. */
  public static final double BASE_OUT_MM = 20;

  /** Strip that goes round is closed with a lap of this. */
  public static final double LAP_MM = 20;

  /** Wall of plastic pipe. */
  private static final double PIPE_WALL_MM = 3;

  /** What it takes up, from the plate to the pour line. */
  public Box3 block() {
    return new Box3(
        new Vec3(inside.minX(), inside.minY(), 0),
        new Vec3(inside.maxX(), inside.maxY(), Math.max(pourLineMm(), 0.01)));
  }

  /** Rubber between the master's outer size and the wall at −x. */
  public double leftMm() {
    return -masterMm.x() / 2 - inside.minX();
  }

  /** At +x. */
  public double rightMm() {
    return inside.maxX() - masterMm.x() / 2;
  }

  /** At −y. */
  public double frontMm() {
    return -masterMm.y() / 2 - inside.minY();
  }

  /** At +y. */
  public double backMm() {
    return inside.maxY() - masterMm.y() / 2;
  }

  public double insideLengthMm() {
    return inside.maxX() - inside.minX();
  }

  public double insideWidthMm() {
    return inside.maxY() - inside.minY();
  }

  /** Whether a degree out of level costs enough to be worth a word. */
  public boolean levelMatters() {
    return slopeMm(1) >= LEVEL_MM;
  }

  /**
   * What the rubber is thinner over the top at one end than at the other, out of level by so much.
   */
  public double slopeMm(double degrees) {
    return Math.tan(Math.toRadians(degrees)) * inside.spanMm();
  }

  public double pourLineMm() {
    return belowMm + masterMm.z() + overTopMm;
  }

  public double wallHeightMm() {
    return Math.max(pourLineMm(), belowMm + masterMm.z()) + freeboardMm;
  }

  public double outsideLengthMm() {
    return insideLengthMm() + 2 * wallMm();
  }

  public double outsideWidthMm() {
    return insideWidthMm() + 2 * wallMm();
  }

  /** Thickness of the walls. */
  public double wallMm() {
    return inside.shape().ofPipe() ? PIPE_WALL_MM : sheet.thicknessMm();
  }

  public double insideAreaMm2() {
    return inside.areaMm2();
  }

  /** Rubber below a height, mm³. */
  public double rubberBelow(double zMm) {
    double set = insert == null ? 0 : insert.below(zMm);
    return Math.max(0, insideAreaMm2() * Math.max(0, zMm) - curve.below(zMm) - set);
  }

  /** Rubber to the pour line, mm³. */
  public double rubberMm3() {
    return rubberBelow(pourLineMm());
  }

  /** Height at which so much rubber stands, mm: the dipstick read backwards. */
  public double levelOf(double volumeMm3) {
    double lo = 0;
    double hi = wallHeightMm();
    for (int i = 0; i < 60; i++) {
      double mid = (lo + hi) / 2;
      if (rubberBelow(mid) < volumeMm3) {
        lo = mid;
      } else {
        hi = mid;
      }
    }
    return (lo + hi) / 2;
  }

  /** Up to here the first of several batches has to stand, above the base. */
  public double coveredMm() {
    return Math.min(belowMm + masterMm.z() + COVERED_MM, pourLineMm());
  }

  /**
   * The thinnest rubber anywhere: round the sides, over and under. Walls are upright, so round the
   * sides it is what one sees from above.
   */
  public double thinnestWallMm() {
    double side = inside.thinnestMm();
    double top = overTopMm > 0 ? Math.min(side, overTopMm) : side;
    return belowMm > 0 ? Math.min(top, belowMm) : top;
  }

  /** Where the thinnest rubber is. */
  public WallPlace thinnestPlace() {
    double thinnest = thinnestWallMm();
    if (overTopMm == thinnest) {
      return WallPlace.TOP;
    }
    if (belowMm == thinnest) {
      return WallPlace.BELOW;
    }
    double near = 1e-9;
    if (Math.abs(leftMm() - thinnest) < near) {
      return WallPlace.LEFT;
    }
    if (Math.abs(rightMm() - thinnest) < near) {
      return WallPlace.RIGHT;
    }
    if (Math.abs(frontMm() - thinnest) < near) {
      return WallPlace.FRONT;
    }
    return Math.abs(backMm() - thinnest) < near ? WallPlace.BACK : WallPlace.SIDES;
  }

  /** Sheet for the walls, with the laps, mm². A pipe takes none, nor a box one has. */
  public double wallSheetMm2() {
    return switch (inside.shape()) {
      case RECTANGLE, BLOCKS -> 2 * (insideLengthMm() + outsideWidthMm()) * wallHeightMm();
      case OUTLINE, ROUND_ENDED -> (inside.perimeterMm() + LAP_MM) * wallHeightMm();
      case TUBE, OWN -> 0;
    };
  }

  /** Sheet for walls and base, mm². */
  public double sheetAreaMm2() {
    return wallSheetMm2()
        + (outsideLengthMm() + 2 * BASE_OUT_MM) * (outsideWidthMm() + 2 * BASE_OUT_MM);
  }

  /** All joints inside that could leak: round the base, and up the walls. */
  public double sealMm() {
    int upright =
        switch (inside.shape()) {
          case RECTANGLE, OWN -> 4;
          case BLOCKS -> 4 + 2 * (int) Arrays.stream(inside.legsMm()).filter(l -> l > 0).count();
          case OUTLINE, ROUND_ENDED -> 1;
          case TUBE -> 0;
        };
    return inside.perimeterMm() + upright * wallHeightMm();
  }
}
