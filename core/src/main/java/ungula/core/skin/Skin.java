package ungula.core.skin;

import java.util.ArrayList;
import java.util.List;
import ungula.core.geometry.Vec3;

/**
 * A skin of rubber brushed onto a master in coats, as it is asked for.
 *
 * @param wallMm of all coats together; null as the master's size asks
 * @param detailMm of the detail coat, which is never thickened
 * @param buildMm a build coat is no thicker
 * @param thickener in the build coats
 * @param smoothingMm of a last coat, not thickened, on which the jacket seats; null is none
 * @param clothAfter coat that cloth is bedded in; null is none
 * @param flangeMm how far the rubber goes on over the plate, and along where it opens
 * @param lossPct left in brush, pot and drips, of what is on the master
 * @param recoat how coats follow each other
 * @param nightAfter coat after which work stops until the next day; null is none
 * @param opening how it comes off; null as it asks
 * @param plugs places of recesses filled with clay before the first coat, on the master as it
 *     stands
 */
public record Skin(
    Double wallMm,
    double detailMm,
    double buildMm,
    Thickener thickener,
    Double smoothingMm,
    Integer clothAfter,
    double flangeMm,
    double lossPct,
    Recoat recoat,
    Integer nightAfter,
    TakenOff opening,
    List<Vec3> plugs) {

  public static final Skin USUAL =
      new Skin(
          null, 1, 2.5, Thickener.NORMAL, 1.0, null, 30, 8, Recoat.TACKY, null, null, List.of());

  /** Thinner skins tear. */
  public static final double THIN_MM = 5;

  /** Nothing on a master is thicker. */
  public static final double MOST_MM = 30;

  private static final double HAND_MM = 250;
  private static final double HALF_METRE_MM = 900;

  /** Coats are taken for equal where they differ by less than this. */
  private static final double NEAR_MM = 1e-9;

  public Skin {
    plugs = List.copyOf(plugs);
  }

  /**
   * The wall that suits a master: 9 mm for one of a hand's size, 12 mm for half a metre, 16 mm for
   * a figure as large as life.
   */
  public static double usualWallMm(Vec3 sizeMm) {
    double longest = Math.max(sizeMm.x(), Math.max(sizeMm.y(), sizeMm.z()));
    return longest <= HAND_MM ? 9 : longest <= HALF_METRE_MM ? 12 : 16;
  }

  /** All coats together, on a master of such a size. */
  public double wallMm(Vec3 sizeMm) {
    return wallMm == null ? usualWallMm(sizeMm) : wallMm;
  }

  /** From the master outwards: detail, as many equal build coats as it takes, smoothing. */
  public List<Coat> coats(Vec3 sizeMm) {
    double wall = wallMm(sizeMm);
    double smoothing = smoothingMm == null ? 0 : smoothingMm;
    double build = Math.max(0, wall - detailMm - smoothing);
    int count = (int) Math.ceil(build / buildMm - NEAR_MM);
    List<Coat> coats = new ArrayList<>();
    add(coats, Coat.Kind.DETAIL, Math.min(detailMm, wall), Thickener.NONE);
    for (int i = 0; i < count; i++) {
      add(coats, Coat.Kind.BUILD, build / count, thickener);
    }
    if (smoothing > 0 && wall > detailMm) {
      add(coats, Coat.Kind.SMOOTHING, Math.min(smoothing, wall - detailMm), Thickener.NONE);
    }
    return List.copyOf(coats);
  }

  private void add(List<Coat> coats, Coat.Kind kind, double mm, Thickener with) {
    double from = coats.isEmpty() ? 0 : coats.get(coats.size() - 1).toMm();
    int number = coats.size() + 1;
    boolean cloth = clothAfter != null && clothAfter == number;
    coats.add(new Coat(kind, number, from, from + mm, with, cloth));
  }

  /** With one more recess plugged. */
  public Skin plugged(Vec3 at) {
    List<Vec3> all = new ArrayList<>(plugs);
    all.add(at);
    return with(all);
  }

  /** Without any plug. */
  public Skin open() {
    return with(List.of());
  }

  private Skin with(List<Vec3> plugged) {
    return new Skin(
        wallMm,
        detailMm,
        buildMm,
        thickener,
        smoothingMm,
        clothAfter,
        flangeMm,
        lossPct,
        recoat,
        nightAfter,
        opening,
        plugged);
  }
}
