package ungula.core.study;

import java.util.Optional;
import ungula.core.air.FlatSeam;
import ungula.core.air.Seam;
import ungula.core.geometry.Vec3;
import ungula.core.parting.Keying;

/**
 * How a mould parts, as far as vents in its seam go.
 *
 * @param at mm above the plate, or degrees the cut runs towards
 * @param keying of two halves; null for a cut
 */
public record Parted(Along along, double at, Keying keying) {

  public enum Along {
    /** A level. */
    LEVEL,
    /** The silhouette, near to a level. */
    SILHOUETTE,
    /** An upright cut to one side. */
    CUT,
    /** An upright cut to both sides. */
    CUT_ROUND
  }

  /** The seam of a cut; empty of two halves, which have to be laid to know theirs. */
  public Optional<Seam> cut() {
    double a = Math.toRadians(at);
    Vec3 across = new Vec3(-Math.sin(a), Math.cos(a), 0);
    return switch (along) {
      case LEVEL, SILHOUETTE -> Optional.empty();
      case CUT -> Optional.of(new FlatSeam(across, 0, new Vec3(Math.cos(a), Math.sin(a), 0)));
      case CUT_ROUND -> Optional.of(new FlatSeam(across, 0, null));
    };
  }
}
