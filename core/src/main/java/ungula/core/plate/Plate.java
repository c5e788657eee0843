package ungula.core.plate;

/**
 * What stands together in one open mould.
 *
 * @param copies of the whole model; more than one is laid close whatever the laying says
 * @param laying of the masters
 * @param landMm rubber left between any two of them
 */
public record Plate(int copies, Laying laying, double landMm) {

  /** The model as it is, once. */
  public static final Plate ALONE = new Plate(1, Laying.AS_MODELLED, 12);

  public static final int MOST_COPIES = 24;

  /** Whether the masters are moved from where they are modelled. */
  public boolean moves() {
    return copies > 1 || laying == Laying.CLOSE;
  }
}
