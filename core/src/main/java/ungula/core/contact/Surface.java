package ungula.core.contact;

import ungula.core.master.MasterMaterial;

/**
 * What fresh rubber lies against, with what it does to it. The rules of contact are data here; that
 * every pair has a verdict is in {@link Contact}.
 */
public enum Surface {
  PRINT_RESIN(
      false,
      false,
      "Resin that has not cured through keeps addition-cure rubber tacky against it",
      true,
      "Wash it, cure it on all sides, bake it where its sheet allows, or coat it."),
  PRINT_PLA(false, false, null, false, ""),
  CLAY_OIL(
      false,
      false,
      "Many oil clays hold sulphur, which keeps addition-cure rubber from curing",
      false,
      "Take a sulphur-free clay, or seal it; then try a patch."),
  CLAY_WATER(true, false, null, false, ""),
  WAX(false, false, null, false, ""),
  WOOD(true, false, null, false, ""),
  PLASTER(true, false, null, false, ""),
  STONE(false, true, null, false, ""),
  METAL(false, false, null, false, ""),
  GLASS(false, true, null, false, ""),
  PU_BOARD(
      true,
      false,
      "Fresh urethane gives off amines, which keep addition-cure rubber from curing",
      false,
      "Let it age, warm, for some days, or seal it; then try a patch."),
  CAST_RESIN(
      false,
      false,
      "Fresh epoxy and urethane give off amines, which keep addition-cure rubber from curing",
      false,
      "Let it cure warm for some days, or coat it; then try a patch.");

  private final boolean porous;
  private final boolean bonds;
  private final String inhibits;
  private final boolean surely;
  private final String remedy;

  Surface(boolean porous, boolean bonds, String inhibits, boolean surely, String remedy) {
    this.porous = porous;
    this.bonds = bonds;
    this.inhibits = inhibits;
    this.surely = surely;
    this.remedy = remedy;
  }

  public static Surface of(MasterMaterial material) {
    return valueOf(material.name());
  }

  /** Drinks rubber, which then cannot be pulled off. */
  boolean porous() {
    return porous;
  }

  /** Silicone bonds to it unless released. */
  boolean bonds() {
    return bonds;
  }

  /** Why addition-cure rubber may stay tacky against it; null where it does not. */
  String inhibits() {
    return inhibits;
  }

  /** Whether it does so for certain when bare. */
  boolean surely() {
    return surely;
  }

  /** What is done against that. */
  String remedy() {
    return remedy;
  }
}
