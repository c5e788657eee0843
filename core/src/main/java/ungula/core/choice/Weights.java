package ungula.core.choice;

/**
 * What counts when kinds of mould are compared, each from 0 to {@link #MOST}.
 *
 * @param money for rubber and box
 * @param time until it is open
 * @param ease of the work
 * @param finish of the casts
 */
public record Weights(int money, int time, int ease, int finish) {

  public static final int MOST = 10;

  static final Weights EQUAL = new Weights(5, 5, 5, 5);
}
