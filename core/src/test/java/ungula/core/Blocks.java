package ungula.core;

import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.plan.MasterFacts;

/** Masters of which only measures are known. */
public final class Blocks {

  private Blocks() {}

  /** A full block, mm. */
  public static MasterFacts measured(double length, double width, double height) {
    double area = length * width;
    return new MasterFacts(
        new Vec3(length, width, height),
        new Vec3(0, 0, height),
        FillCurve.even(area * height, 0, height),
        area,
        null,
        null,
        "measured by hand");
  }
}
