package ungula.core.choice;

import ungula.core.contact.CastingMaterial;

/**
 * What casts are made of.
 *
 * @param material while no product is picked
 * @param product id of it; null while none is picked
 * @param wanted casts; null while it is not said
 */
public record CastChoice(CastingMaterial material, String product, Integer wanted) {
  static final CastChoice USUAL = new CastChoice(CastingMaterial.URETHANE, null, null);
}
