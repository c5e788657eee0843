package ungula.core.plan;

import java.util.List;
import java.util.function.Supplier;
import ungula.core.cutline.CutPlanes;
import ungula.core.geometry.Vec3;
import ungula.core.master.Foot;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.FillCurve;
import ungula.core.parting.PartedMaster;
import ungula.core.plate.OnPlate;
import ungula.core.study.MeshReport;

/**
 * What is known of a master's shape as it is posed: everything the plan needs, and nothing of how
 * it was found out.
 *
 * @param sizeMm outer size as posed, of all masters together
 * @param oneMm outer size of the largest of them by itself, however far apart they lie
 * @param topMm its highest point, from the middle and above the plate it is set down on
 * @param curve volume below each height, set down at z = 0
 * @param shadow what it covers seen from above: rings from the middle, mm; told when asked for
 * @param foot where what lies on it meets the plate
 * @param restMm2 how much of it lies on the plate
 * @param report of the mesh, in millimetres; null when there is no mesh
 * @param guessedUnitMm the unit taken for the file; null when the file or the user says
 * @param titled what the shape is known from, in a few words
 * @param parted what partings ask of it; null when there is no mesh
 * @param cuts a knife could make; null when there is no mesh
 * @param onPlate the masters as they lie; told when asked for
 * @param core of a hollow cast; null when casts are solid, and while it is not worked out
 * @param skin what is found out about a skin on it; null while it is not worked out, or no skin
 * @param shape what is found out about it; null while it is not worked out
 */
public record MasterFacts(
    Vec3 sizeMm,
    Vec3 oneMm,
    Vec3 topMm,
    FillCurve curve,
    Supplier<List<double[]>> shadow,
    Foot foot,
    double restMm2,
    MeshReport report,
    Double guessedUnitMm,
    String titled,
    PartedMaster parted,
    CutPlanes cuts,
    Supplier<OnPlate> onPlate,
    CoreFacts core,
    SkinFacts skin,
    ShapeFacts shape) {

  /** Before its shape is worked out; seen from above it fills its outer size. */
  public MasterFacts(
      Vec3 sizeMm,
      Vec3 topMm,
      FillCurve curve,
      double restMm2,
      MeshReport report,
      Double guessedUnitMm,
      String titled) {
    this(
        sizeMm,
        sizeMm,
        topMm,
        curve,
        () -> rectangle(sizeMm),
        new Foot(height -> rectangle(sizeMm)),
        restMm2,
        report,
        guessedUnitMm,
        titled,
        null,
        null,
        () -> new OnPlate(List.of(rectangle(sizeMm).get(0)), 0),
        null,
        null,
        null);
  }

  /** Of a mesh as it stands. */
  public static MasterFacts of(
      PosedMaster posed,
      PartedMaster parted,
      CutPlanes cuts,
      MeshReport report,
      Double guessedUnitMm,
      String titled) {
    return new MasterFacts(
        posed.mesh().bounds().size(),
        posed.largestMm(),
        posed.top(),
        posed.curve(),
        posed::shadow,
        posed.foot(),
        posed.restMm2(),
        report,
        guessedUnitMm,
        titled,
        parted,
        cuts,
        posed::onPlate,
        null,
        null,
        null);
  }

  private static List<double[]> rectangle(Vec3 size) {
    double x = size.x() / 2;
    double y = size.y() / 2;
    return List.of(new double[] {-x, -y, x, -y, x, y, -x, y});
  }

  /** Whether the mould is open at the plate: the master stands on it and is not lifted off. */
  public boolean baseOpen(double liftMm) {
    return restMm2 > 0 && liftMm == 0;
  }

  public MasterFacts with(ShapeFacts found) {
    return with(core, skin, found);
  }

  /** For hollow casts. */
  public MasterFacts with(CoreFacts made) {
    return with(made, skin, shape);
  }

  /** For a skin. */
  public MasterFacts with(SkinFacts brushed) {
    return with(core, brushed, shape);
  }

  private MasterFacts with(CoreFacts made, SkinFacts brushed, ShapeFacts found) {
    return new MasterFacts(
        sizeMm,
        oneMm,
        topMm,
        curve,
        shadow,
        foot,
        restMm2,
        report,
        guessedUnitMm,
        titled,
        parted,
        cuts,
        onPlate,
        made,
        brushed,
        found);
  }
}
