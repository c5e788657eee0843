package ungula.core.choice;

import ungula.core.rubber.Product;

/**
 * The products picked for a job, each with its grade of catalyst.
 *
 * @param rubber of the mould; null while none is picked
 * @param build rubber of a skin's build coats; null as the other
 * @param cast what is cast; null while no product is picked for it
 */
public record Materials(Product rubber, Product build, Product cast) {

  public static Materials of(Product rubber) {
    return new Materials(rubber, null, null);
  }
}
