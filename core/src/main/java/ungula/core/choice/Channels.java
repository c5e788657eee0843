package ungula.core.choice;

import ungula.core.sprue.Spout;
import ungula.core.sprue.Sprue.Resin;
import ungula.core.sprue.VentKind;

/**
 * What a cast runs in through and air goes out by.
 *
 * @param sprueMm across the sprue; null is as narrow as fills it in time
 * @param ventMm across each vent
 * @param ventBy what makes the vents
 * @param spout how the sprue opens to the outside
 * @param resin that is cast
 */
public record Channels(Double sprueMm, double ventMm, VentKind ventBy, Spout spout, Resin resin) {

  static final Channels USUAL = new Channels(null, 2, VentKind.KNIFE, Spout.STRAIGHT, Resin.USUAL);

  public Channels {
    ventBy = ventBy == null ? VentKind.KNIFE : ventBy;
  }
}
