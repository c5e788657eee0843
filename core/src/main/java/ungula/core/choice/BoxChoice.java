package ungula.core.choice;

import ungula.core.mould.BoxShape;
import ungula.core.mould.Filling;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;

/**
 * @param kind of mould; an open one stands on the plate, any other clear of it
 * @param shape how the box runs round the master; its sides have walls of their own only when it is
 *     rectangular
 * @param sidesMm wall asked for round the sides
 * @param leftMm wall at the left; null is as the sides
 * @param rightMm wall at the right; null is as the sides
 * @param frontMm wall at the front; null is as the sides
 * @param backMm wall at the back; null is as the sides
 * @param insideLengthMm inside length of a box that is there already; null follows the walls
 * @param insideWidthMm inside width of it; null follows the walls
 * @param overTopMm from the master's top to the pour line
 * @param freeboardMm wall above the pour line
 * @param sheet the walls are cut from
 * @param ribSpacingMm distance of ribs along the walls; null is none
 * @param fixing what holds the master down
 * @param filling what is filled first where the master is hollow from above
 */
public record BoxChoice(
    MouldKind kind,
    BoxShape shape,
    double sidesMm,
    Double leftMm,
    Double rightMm,
    Double frontMm,
    Double backMm,
    Double insideLengthMm,
    Double insideWidthMm,
    double overTopMm,
    double freeboardMm,
    SheetStock sheet,
    Double ribSpacingMm,
    Fixing fixing,
    Filling filling) {

  /**
   * What was kept before boxes had shapes is rectangular, before a filling was asked round first.
   */
  public BoxChoice {
    shape = shape == null ? BoxShape.RECTANGLE : shape;
    filling = filling == null ? Filling.ROUND_FIRST : filling;
  }

  /** The same with a box that is there already, or with none. */
  public BoxChoice inside(Double lengthMm, Double widthMm) {
    return with(kind, lengthMm, widthMm);
  }

  BoxChoice of(MouldKind other) {
    return with(other, insideLengthMm, insideWidthMm);
  }

  private BoxChoice with(MouldKind its, Double lengthMm, Double widthMm) {
    return new BoxChoice(
        its,
        shape,
        sidesMm,
        leftMm,
        rightMm,
        frontMm,
        backMm,
        lengthMm,
        widthMm,
        overTopMm,
        freeboardMm,
        sheet,
        ribSpacingMm,
        fixing,
        filling);
  }
}
