package ungula.core.rubber;

/**
 * Holds an entered ratio against the product's sheet, and two ratios of one sheet against each
 * other.
 */
public final class RatioGuard {

  /** An entry further off the sheet than this, either way, stops. */
  public static final double STOP_FACTOR = 1.5;

  /** Two ratios on one sheet, by weight and by volume, should agree within this share. */
  public static final double AGREE = 0.03;

  private RatioGuard() {}

  /**
   * @param stop whether the entry is off the sheet by more than {@link #STOP_FACTOR}
   * @param entered grams of hardener for every 100 g of base, as entered
   * @param sheet the same by the sheet
   * @param words both readings side by side
   */
  public record Verdict(boolean stop, double entered, double sheet, String words) {}

  public static Verdict check(Ratio entered, Product product) {
    double of = 100 * product.hardenerPerBase(entered);
    double by = 100 * product.hardenerPerBase(product.ratio());
    double off = Math.max(of / by, by / of);
    String words =
        "“"
            + entered.text()
            + "” is "
            + product.sentence(entered)
            + ". The sheet says “"
            + product.ratio().text()
            + "”: "
            + product.sentence(product.ratio())
            + ".";
    return new Verdict(off > STOP_FACTOR, of, by, words);
  }

  /** Whether a sheet's ratio by weight and its ratio by volume say the same. */
  public static boolean agree(Ratio one, Ratio other, double densityBase, double densityHardener) {
    double a = one.hardenerPerBase(densityBase, densityHardener);
    double b = other.hardenerPerBase(densityBase, densityHardener);
    return Math.abs(a / b - 1) <= AGREE;
  }
}
