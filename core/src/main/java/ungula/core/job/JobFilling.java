package ungula.core.job;

import java.util.Optional;
import ungula.core.air.AirTraps;
import ungula.core.filling.Filling;
import ungula.core.filling.Flow;
import ungula.core.filling.Fronts;
import ungula.core.filling.Levels;
import ungula.core.geometry.Vec3;
import ungula.core.mould.BoxMould;
import ungula.core.plan.CastPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Timespan;

/**
 * How a job's mould fills, told.
 *
 * @param fronts when it arrives where; null for rubber, and while it is not known
 * @param says how long it takes, a sentence or two
 */
public record JobFilling(Filling filling, Fronts fronts, String says) {

  /** Of a cast, as its mould lies; empty while the shape is not worked out. */
  public static Optional<JobFilling> cast(Plan p) {
    return p.cast()
        .filter(cast -> cast.filling() != null)
        .map(
            cast ->
                new JobFilling(
                    cast.filling(), cast.fronts(), castSays(cast.filling().full(), cast)));
  }

  private static String castSays(Filling.Point full, CastPart cast) {
    double potS = 60 * cast.resin().potLifeMin();
    String fresh = text(full.freshS());
    String thickening = text(full.thickeningS());
    String poured =
        full.thickeningS() > potS
            ? "All of it is poured after "
                + fresh
                + " if it stays as thin as it was mixed; as it thickens not all of it runs in."
            : "All of it is poured after "
                + fresh
                + (fresh.equals(thickening) ? "." : ", or " + thickening + " as it thickens.");
    String last =
        cast.fronts() == null
            ? ""
            : " The last of it arrives, where the ring is, after " + cast.lastText() + ".";
    return poured + last + " It gels after " + text(potS) + ".";
  }

  /** Of the rubber round the master, poured in one go; empty for any other mould. */
  public static Optional<JobFilling> rubber(Plan p) {
    if (!p.poured() || p.parting().isPresent() || p.facts() == null || p.facts().shape() == null) {
      return Optional.empty();
    }
    return p.inBox().map(box -> rubber(p, box));
  }

  private static JobFilling rubber(Plan p, BoxMould box) {
    AirTraps.Result air = p.facts().shape().study().rubber().air();
    Filling filling =
        Filling.of(
            Levels.of(Vec3.UP, 0, box.pourLineMm(), box::rubberBelow, air),
            air.worth(),
            Flow.open(poursMm3PerS(p)));
    return new JobFilling(
        filling,
        null,
        "Poured as on the Workshop page it takes " + text(filling.full().freshS()) + " in all.");
  }

  private static double poursMm3PerS(Plan p) {
    return p.brief().workshop().mixing().pace().pourMm3PerMin() / 60;
  }

  private static String text(double s) {
    return Timespan.formatMin(s / 60);
  }
}
