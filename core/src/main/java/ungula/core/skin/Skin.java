package ungula.core.skin;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import ungula.core.geometry.Vec3;

/**
 * A skin of rubber brushed onto a master in coats, as it is asked for.
 *
 * @param wallMm of all coats together; null as the master's size asks
 * @param detailMm of the detail coat, which is never thickened
 * @param buildMm a build coat is no thicker
 * @param thickener in the build coats
 * @param buildProduct rubber of the build coats; null as of the others
 * @param smoothingMm of a last coat, not thickened, on which the jacket seats; null is none
 * @param clothAfter coat that cloth is bedded in; null is none
 * @param flangeMm how far the rubber goes on over the plate, and along where it opens
 * @param lossPct left in brush, pot and drips, of what is on the master
 * @param recoat how coats follow each other
 * @param gaps how the next coat follows certain coats, by their number, where that is otherwise
 * @param opening how it comes off; null as it asks
 * @param plugs recesses filled with clay before the first coat
 */
public record Skin(
    Double wallMm,
    double detailMm,
    double buildMm,
    Thickener thickener,
    String buildProduct,
    Double smoothingMm,
    Integer clothAfter,
    double flangeMm,
    double lossPct,
    Recoat recoat,
    Map<Integer, Recoat> gaps,
    TakenOff opening,
    List<Plug> plugs) {

  public static final Skin USUAL =
      new Skin(
          null,
          1,
          2.5,
          Thickener.NORMAL,
          null,
          1.0,
          null,
          30,
          8,
          Recoat.TACKY,
          Map.of(),
          null,
          List.of());

  /** Thinner skins tear. */
  public static final double THIN_MM = 5;

  /** Nothing on a master is thicker. */
  public static final double MOST_MM = 30;

  private static final double HAND_MM = 250;
  private static final double HALF_METRE_MM = 900;

  /** Coats are taken for equal where they differ by less than this. */
  private static final double NEAR_MM = 1e-9;

  public Skin {
    gaps = Collections.unmodifiableMap(new TreeMap<>(gaps));
    plugs = List.copyOf(plugs);
  }

  /**
   * A recess filled with clay: all of it that lies deeper below the outside of a skin than its
   * wall.
   *
   * @param at in the recess, on the master as it stands
   * @param wallMm of the skin
   */
  public record Plug(Vec3 at, double wallMm) {}

  /**
   * The wall that suits a master: 9 mm for one of a hand's size, 12 mm for half a metre, 16 mm for
   * a figure as large as life.
   */
  public static double usualWallMm(Vec3 sizeMm) {
    double longest = sizeMm.longest();
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

  /** How the next coat follows a coat. */
  public Recoat after(int coat) {
    return gaps.getOrDefault(coat, recoat);
  }

  /**
   * With a gap of its own after a coat.
   *
   * @param how null as all others
   */
  public Skin after(int coat, Recoat how) {
    Map<Integer, Recoat> changed = new TreeMap<>(gaps);
    if (how == null) {
      changed.remove(coat);
    } else {
      changed.put(coat, how);
    }
    return with(changed, plugs);
  }

  /** With one more recess plugged. */
  public Skin plugged(Plug plug) {
    List<Plug> all = new ArrayList<>(plugs);
    all.add(plug);
    return with(gaps, all);
  }

  /** Without any plug. */
  public Skin open() {
    return with(gaps, List.of());
  }

  private Skin with(Map<Integer, Recoat> between, List<Plug> plugged) {
    return new Skin(
        wallMm,
        detailMm,
        buildMm,
        thickener,
        buildProduct,
        smoothingMm,
        clothAfter,
        flangeMm,
        lossPct,
        recoat,
        between,
        opening,
        plugged);
  }
}
