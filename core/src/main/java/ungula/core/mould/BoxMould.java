package ungula.core.mould;

import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;

/**
 * A rectangular box round a posed master, poured to a line. The master's middle is over the origin,
 * the plate at z = 0.
 *
 * @param masterMm outer size of the master as posed
 * @param curve of the master, lifted as it stands in the box
 * @param leftMm rubber between master and wall at −x
 * @param rightMm at +x
 * @param frontMm at −y
 * @param backMm at +y
 * @param belowMm between plate and master
 * @param overTopMm between the master's top and the pour line; negative when it stays in the air
 * @param freeboardMm wall above the pour line
 * @param sheet the walls are cut from
 */
public record BoxMould(
    Vec3 masterMm,
    FillCurve curve,
    double leftMm,
    double rightMm,
    double frontMm,
    double backMm,
    double belowMm,
    double overTopMm,
    double freeboardMm,
    SheetStock sheet) {

  public double insideLengthMm() {
    return leftMm + masterMm.x() + rightMm;
  }

  public double insideWidthMm() {
    return frontMm + masterMm.y() + backMm;
  }

  public double pourLineMm() {
    return belowMm + masterMm.z() + overTopMm;
  }

  public double wallHeightMm() {
    return Math.max(pourLineMm(), belowMm + masterMm.z()) + freeboardMm;
  }

  public double outsideLengthMm() {
    return insideLengthMm() + 2 * sheet.thicknessMm();
  }

  public double outsideWidthMm() {
    return insideWidthMm() + 2 * sheet.thicknessMm();
  }

  public double insideAreaMm2() {
    return insideLengthMm() * insideWidthMm();
  }

  /** Rubber below a height, mm³. */
  public double rubberBelow(double zMm) {
    return Math.max(0, insideAreaMm2() * Math.max(0, zMm) - curve.below(zMm));
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

  /**
   * The thinnest rubber anywhere: between bounds and walls, over and under. Exact for the box,
   * since the master touches its bounds on every side.
   */
  public double thinnestWallMm() {
    double side = Math.min(Math.min(leftMm, rightMm), Math.min(frontMm, backMm));
    double top = overTopMm > 0 ? Math.min(side, overTopMm) : side;
    return belowMm > 0 ? Math.min(top, belowMm) : top;
  }

  /** Where the thinnest rubber is, as a place on the drawing. */
  public String thinnestPlace() {
    double thinnest = thinnestWallMm();
    if (overTopMm == thinnest) {
      return "over the top";
    }
    if (belowMm == thinnest) {
      return "below";
    }
    if (leftMm == thinnest) {
      return "left";
    }
    if (rightMm == thinnest) {
      return "right";
    }
    return frontMm == thinnest ? "front" : "back";
  }

  /** Sheet for the four walls and the base, mm². The base stands out 20 mm all round. */
  public double sheetAreaMm2() {
    double walls = 2 * (insideLengthMm() + outsideWidthMm()) * wallHeightMm();
    return walls + (outsideLengthMm() + 40) * (outsideWidthMm() + 40);
  }
}
