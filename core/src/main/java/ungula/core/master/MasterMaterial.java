package ungula.core.master;

import ungula.core.quantity.Choosable;

/** What a master is made of, with the density counted on until it is weighed. */
public enum MasterMaterial implements Choosable {
  /** Nobody has said it: nothing is ruled out by it, and it is counted as heavy as water. */
  UNKNOWN("an unknown material", 1.0),
  PRINT_RESIN("printed resin", 1.18),
  PRINT_PLA("printed PLA", 1.24),
  CLAY_OIL("oil clay", 1.55),
  CLAY_WATER("water clay", 1.9),
  WAX("wax", 0.93),
  WOOD("wood", 0.65),
  PLASTER("plaster", 1.2),
  STONE("stone", 2.6),
  METAL("metal", 7.8),
  GLASS("glass", 2.5),
  PU_BOARD("tooling board", 0.7),
  CAST_RESIN("cast resin", 1.1),
  RUBBER("vulcanised rubber", 1.2),
  PAINT("painted all over", 1.0),
  SILICONE_RUBBER("silicone rubber", 1.1),
  TIN_SILICONE("condensation-cure silicone", 1.2),
  ADDITION_SILICONE("addition-cure silicone", 1.1),
  LATEX("latex", 0.95),
  GLAZED_CERAMIC("glazed ceramic", 2.3),
  FIRED_CLAY("unglazed fired clay", 1.9);

  private final String text;
  private final double density;

  MasterMaterial(String text, double density) {
    this.text = text;
    this.density = density;
  }

  @Override
  public String text() {
    return text;
  }

  /** g/cm³, of a solid piece; hollow or filled masters are weighed. */
  public double density() {
    return density;
  }
}
