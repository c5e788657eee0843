package ungula.core.rubber;

/**
 * Masses of a product's two parts.
 *
 * @param firstG base, part A, powder; all of what comes ready
 * @param secondG hardener, part B; 0 for what comes ready
 */
public record Parts(double firstG, double secondG) {

  public static final Parts NONE = new Parts(0, 0);

  /** Of so much together, split as the product is sold. */
  public static Parts of(Product product, double massG) {
    double first = massG / (1 + product.soldHardenerPerBase());
    return new Parts(first, massG - first);
  }

  public double totalG() {
    return firstG + secondG;
  }

  public Parts plus(Parts other) {
    return new Parts(firstG + other.firstG, secondG + other.secondG);
  }

  /** What is left to find of each when so much is there. */
  public Parts less(Parts there) {
    return new Parts(Math.max(0, firstG - there.firstG), Math.max(0, secondG - there.secondG));
  }

  public Parts times(double by) {
    return new Parts(firstG * by, secondG * by);
  }
}
