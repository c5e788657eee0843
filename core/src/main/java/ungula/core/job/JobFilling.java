package ungula.core.job;

import java.util.Optional;
import ungula.core.attitude.Attitude;
import ungula.core.filling.Filling;
import ungula.core.filling.Flow;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.plan.CastPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Timespan;
import ungula.core.sprue.Sprue;

/**
 * How a job's mould fills, told.
 *
 * @param says how long it takes, a sentence or two
 */
public record JobFilling(Filling filling, String says) {

  /** Of a cast, as its mould lies; empty while the shape is not worked out. */
  public static Optional<JobFilling> cast(Plan p) {
    if (p.facts() == null || p.facts().shape() == null || p.facts().parted() == null) {
      return Optional.empty();
    }
    return p.cast().map(cast -> cast(p, cast));
  }

  private static JobFilling cast(Plan p, CastPart cast) {
    Attitude lies = p.facts().shape().study().lies();
    double lift = p.choices().pose().liftMm();
    TriangleMesh lying =
        p.facts()
            .parted()
            .mesh()
            .moved(1, Rotation.NONE, new Vec3(0, 0, lift))
            .moved(1, lies.turn(), Vec3.ZERO);
    FillCurve curve = FillCurve.of(lying, Filling.LEVELS + 1).scaledTo(cast.solidMm3());
    Flow flow =
        cast.sprue() == null
            ? Flow.open(poursMm3PerS(p))
            : new Flow(Sprue.POURED_MM3_S, cast.sprue(), cast.resin());
    Filling filling =
        Filling.of(
            lies.up(),
            curve.bottomMm(),
            curve.topMm(),
            curve::below,
            p.facts().shape().study().cast(),
            flow);
    return new JobFilling(filling, castSays(filling.full(), cast));
  }

  private static String castSays(Filling.Point full, CastPart cast) {
    double potS = 60 * cast.resin().potLifeMin();
    String gels = " It gels after " + text(potS) + ".";
    if (cast.sprue() == null) {
      return "Poured as on the Workshop page it takes " + text(full.freshS()) + "." + gels;
    }
    String fresh = "Full after " + text(full.freshS()) + " if it stays as thin as it was mixed; ";
    return full.thickeningS() < potS
        ? fresh + "after " + text(full.thickeningS()) + " as it thickens." + gels
        : fresh
            + "as it thickens the last of it does not arrive before it gels, after "
            + text(potS)
            + ".";
  }

  /** Of the rubber round the master, poured in one go; empty for any other mould. */
  public static Optional<JobFilling> rubber(Plan p) {
    if (!p.poured() || p.parting().isPresent() || p.facts() == null || p.facts().shape() == null) {
      return Optional.empty();
    }
    return p.inBox().map(box -> rubber(p, box));
  }

  private static JobFilling rubber(Plan p, BoxMould box) {
    Filling filling =
        Filling.of(
            Vec3.UP,
            0,
            box.pourLineMm(),
            box::rubberBelow,
            p.facts().shape().study().poured(),
            Flow.open(poursMm3PerS(p)));
    return new JobFilling(
        filling,
        "Poured as on the Workshop page it takes " + text(filling.full().freshS()) + " in all.");
  }

  private static double poursMm3PerS(Plan p) {
    return p.brief().workshop().mixing().pace().pourMm3PerMin() / 60;
  }

  private static String text(double s) {
    return Timespan.formatMin(s / 60);
  }
}
