package ungula.core.quantity;

/** A part of a whole, shown in percent. */
public final class Share {

  private Share() {}

  /**
   * @param share 1 for the whole
   */
  public static String format(double share) {
    return format(share, 0);
  }

  public static String format(double share, int decimals) {
    return Numbers.fixed(100 * share, decimals) + " %";
  }

  /** As it was typed: {@code pct} of a hundred, no zeros at its end. */
  public static String typed(double pct) {
    return Numbers.trimmed(pct, 2) + " %";
  }
}
