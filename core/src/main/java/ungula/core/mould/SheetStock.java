package ungula.core.mould;

import ungula.core.quantity.Choosable;

/** Sheet that boxes are made of. */
public enum SheetStock implements Choosable {
  FOAM_BOARD_6("6 mm foam board", 6, 0.25, 6.0, "the cut edges, with tape"),
  FOAM_BOARD_10("10 mm foam board", 10, 0.25, 9.0, "the cut edges, with tape"),
  STYRENE_2("2 mm styrene", 2, 2.3, 11.0, ""),
  ACRYLIC_3("3 mm acrylic", 3, 3.0, 24.0, ""),
  CARD_2("2 mm card", 2, 1.5, 3.0, "the whole inside, with shellac or wax"),
  PLY_12("12 mm ply", 12, 7.0, 22.0, "the whole inside, with shellac, PVA or wax"),
  MELAMINE_16("16 mm melamine board", 16, 2.5, 14.0, "the cut edges, with tape"),
  MDF_18("18 mm MDF", 18, 3.0, 12.0, "the whole inside, with shellac or varnish");

  private final String text;
  private final double thicknessMm;
  private final double stiffnessGpa;
  private final double pricePerM2;
  private final String sealing;

  SheetStock(
      String text, double thicknessMm, double stiffnessGpa, double pricePerM2, String sealing) {
    this.text = text;
    this.thicknessMm = thicknessMm;
    this.stiffnessGpa = stiffnessGpa;
    this.pricePerM2 = pricePerM2;
    this.sealing = sealing;
  }

  @Override
  public String text() {
    return text;
  }

  public double thicknessMm() {
    return thicknessMm;
  }

  /** Modulus of elasticity in bending, GPa. */
  public double stiffnessGpa() {
    return stiffnessGpa;
  }

  public double pricePerM2() {
    return pricePerM2;
  }

  /** What must be sealed before pouring and with what; empty when nothing. */
  public String sealing() {
    return sealing;
  }
}
