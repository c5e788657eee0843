package ungula.core.jacket;

import java.util.ArrayList;
import java.util.List;
import ungula.core.quantity.Numbers;

/**
 * What a jacket takes. Masses, times and prices are usual ones until the products' sheets say.
 *
 * @param layers of sheet; 0 for what is not layered
 * @param thickMm of the jacket
 * @param massG of all of it
 * @param needs what to have ready
 * @param cost of it
 * @param handsMin at work
 * @param betweenMin from one section to the next
 * @param readyMin from the last section until it can be handled
 * @param dryMin from then until it is dry
 */
public record JacketNeeds(
    int layers,
    double thickMm,
    double massG,
    List<Need> needs,
    double cost,
    double handsMin,
    double betweenMin,
    double readyMin,
    double dryMin) {

  private static final double OVERLAP = 0.2;

  /** A roll of 2.75 m by 150 mm. */
  private static final double ROLL_M2 = 2.75 * 0.15;

  private static final double ROLL_PRICE = 3.5;
  private static final double BANDAGE_G_PER_M2 = 850;
  private static final double BANDAGE_MM = 0.8;

  /** Set plaster with fibre, g/cm³, and water to a hundred of plaster. */
  private static final double PLASTER = 1.6;

  private static final double WATER = 0.7;
  private static final double PLASTER_PER_KG = 1.2;
  private static final double FIBRE_G_PER_KG = 15;

  private static final double MAT_G_PER_M2 = 300;

  /** Resin for each gram of mat. */
  private static final double RESIN = 2.25;

  private static final double LAMINATE_MM = 0.9;
  private static final double MAT_PER_M2 = 4;
  private static final double RESIN_PER_KG = 12;

  private static final double PUTTY = 1.3;
  private static final double PUTTY_PER_KG = 14;

  private static final double HAND_MM = 250;
  private static final double HALF_METRE_MM = 600;

  /**
   * One thing to have ready.
   *
   * @param amount in its unit, as text
   */
  public record Need(String name, double value, String amount) {}

  /** By size: to a hand's, to half a metre, larger. */
  private static int size(double longestMm) {
    return longestMm <= HAND_MM ? 0 : longestMm <= HALF_METRE_MM ? 1 : 2;
  }

  public static int usualLayers(JacketKind kind, double longestMm) {
    int[] layers =
        kind == JacketKind.BANDAGE
            ? new int[] {5, 8, 10}
            : kind == JacketKind.LAMINATE ? new int[] {2, 3, 4} : new int[3];
    return layers[size(longestMm)];
  }

  private static double usualMm(JacketKind kind, double longestMm) {
    double[] mm = kind == JacketKind.PLASTER ? new double[] {12, 15, 20} : new double[] {6, 8, 10};
    return mm[size(longestMm)];
  }

  /**
   * @param areaMm2 of the jacket, its flanges with it
   * @param longestMm side of the master
   * @param sections it is made in
   */
  public static JacketNeeds of(Jacket jacket, double areaMm2, double longestMm, int sections) {
    JacketKind kind = jacket.kind();
    int layers =
        !kind.layered()
            ? 0
            : jacket.layers() != null ? jacket.layers() : usualLayers(kind, longestMm);
    double thick =
        !kind.layered() && jacket.thickMm() != null ? jacket.thickMm() : usualMm(kind, longestMm);
    double m2 = areaMm2 / 1e6;
    List<Need> needs = new ArrayList<>();
    switch (kind) {
      case BANDAGE -> {
        double rolls = Math.ceil(m2 * layers * (1 + OVERLAP) / ROLL_M2 - 1e-9);
        needs.add(new Need("rolls of 2.75 m × 150 mm", rolls, Numbers.fixed(rolls, 0)));
        return new JacketNeeds(
            layers,
            layers * BANDAGE_MM,
            m2 * layers * (1 + OVERLAP) * BANDAGE_G_PER_M2,
            needs,
            rolls * ROLL_PRICE,
            sections * 15 + 12 * m2 * layers,
            40,
            90,
            24 * 60);
      }
      case PLASTER -> {
        double g = areaMm2 * thick / 1000 * PLASTER;
        double plaster = g / (1 + WATER);
        needs.add(kg("plaster", plaster));
        needs.add(litres("water", g - plaster));
        needs.add(kg("fibre", plaster * FIBRE_G_PER_KG / 1000));
        return new JacketNeeds(
            0,
            thick,
            g,
            needs,
            plaster / 1000 * PLASTER_PER_KG,
            sections * 25 + 90 * m2,
            40,
            90,
            24 * 60);
      }
      case LAMINATE -> {
        double sheets = m2 * layers * (1 + OVERLAP);
        // laps are wetted out as the rest is
        double mat = sheets * MAT_G_PER_M2;
        double resin = RESIN * mat;
        needs.add(new Need("mat of 300 g/m²", sheets, Numbers.fixed(sheets, 2) + " m²"));
        needs.add(kg("resin", resin));
        return new JacketNeeds(
            layers,
            layers * LAMINATE_MM,
            mat + resin,
            needs,
            sheets * MAT_PER_M2 + resin / 1000 * RESIN_PER_KG,
            sections * 20 + 50 * m2 * layers,
            4 * 60,
            12 * 60,
            24 * 60);
      }
      default -> {
        double g = areaMm2 * thick / 1000 * PUTTY;
        needs.add(kg("filled resin", g));
        return new JacketNeeds(
            0, thick, g, needs, g / 1000 * PUTTY_PER_KG, sections * 20 + 60 * m2, 45, 180, 0);
      }
    }
  }

  private static Need kg(String name, double g) {
    return new Need(
        name, g, g < 1000 ? Numbers.fixed(g, 0) + " g" : Numbers.fixed(g / 1000, 2) + " kg");
  }

  private static Need litres(String name, double g) {
    return new Need(name, g, Numbers.fixed(g / 1000, 2) + " L");
  }
}
