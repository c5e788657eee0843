package ungula.core.mould;

import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;

/** Height against volume against mass of the rubber in a box. */
public final class Dipstick {

  /** A drag this close to a mark is taken for the mark. */
  private static final double SNAP_MM = 1.5;

  private Dipstick() {}

  /**
   * @param heightMm above the plate
   * @param overTopMm above the master's top
   * @param upMm above the master's lowest point
   * @param height as shown
   * @param volume as shown
   * @param mass as shown; empty while the density is not known
   */
  public record Reading(
      double heightMm, double overTopMm, double upMm, String height, String volume, String mass) {}

  /**
   * @param share of the rubber that box and master ask for, what is counted on
   * @param density g/cm³ of the mix; null while it is not known
   */
  public static Reading at(
      BoxMould box, double heightMm, double share, Double density, Units units) {
    double volume = share * box.rubberBelow(heightMm);
    return new Reading(
        heightMm,
        heightMm - box.belowMm() - box.masterMm().z(),
        heightMm - box.belowMm(),
        Length.format(heightMm, units),
        Volume.format(volume, units),
        density == null ? "" : Mass.format(volume / 1000 * density, units));
  }

  /**
   * The height a drag means: the master's top, the usual 10 mm over it, or else a whole millimetre
   * (a sixteenth of an inch), counted from the master's top.
   */
  public static double snapped(BoxMould box, double heightMm, Units units) {
    double top = box.belowMm() + box.masterMm().z();
    double lowest = Math.min(1, top);
    for (double mark : new double[] {top, top + 10}) {
      if (Math.abs(heightMm - mark) <= SNAP_MM) {
        return mark;
      }
    }
    double step = units.display() == Units.Display.INCH ? Length.INCH_MM / 16 : 1;
    return Math.max(lowest, top + Math.round((heightMm - top) / step) * step);
  }

  /** The height a drag of the parting means: a whole millimetre up the master, within it. */
  public static double snappedParting(BoxMould box, double heightMm, Units units) {
    double step = units.display() == Units.Display.INCH ? Length.INCH_MM / 16 : 1;
    double up = Math.round((heightMm - box.belowMm()) / step) * step;
    return box.belowMm() + Math.max(0, Math.min(box.masterMm().z(), up));
  }

  /** The scale's distance between numbered ticks, so that 4 to 9 of them fit. */
  public static double tickMm(BoxMould box, Units units) {
    double[] steps =
        units.display() == Units.Display.INCH
            ? new double[] {6.35, 12.7, 25.4, 50.8, 152.4, 304.8, 1219.2}
            : new double[] {1, 2, 5, 10, 20, 50, 100, 200, 500, 1000};
    for (double step : steps) {
      if (box.wallHeightMm() / step <= 9) {
        return step;
      }
    }
    return steps[steps.length - 1];
  }

  /** A tick's number, without its unit. */
  public static String tickText(double mm, Units units) {
    return units.display() == Units.Display.INCH
        ? Length.format(mm, units).replace(" in", "")
        : Numbers.trimmed(mm, 0);
  }
}
