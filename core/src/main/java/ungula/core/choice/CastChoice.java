package ungula.core.choice;

import ungula.core.contact.CastingMaterial;

/**
 * What casts are made of, and how many.
 *
 * @param material while no product is picked
 * @param product id of it; null while none is picked
 * @param wanted casts; null while it is not said
 * @param amount of one
 * @param series of them
 * @param pressureKpa over the air's, in the pot until it has set; null: none
 */
public record CastChoice(
    CastingMaterial material,
    String product,
    Integer wanted,
    CastAmount amount,
    CastSeries series,
    Double pressureKpa) {

  static final CastChoice USUAL =
      new CastChoice(CastingMaterial.URETHANE, null, null, null, null, null);

  /** What was kept before something was asked about has what is usual. */
  public CastChoice {
    amount = amount == null ? CastAmount.USUAL : amount;
    series = series == null ? CastSeries.USUAL : series;
  }
}
