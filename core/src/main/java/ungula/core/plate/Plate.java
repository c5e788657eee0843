package ungula.core.plate;

/**
 * What stands together in one open mould.
 *
 * @param copies of the whole model; more than one are always laid close
 * @param laying of the masters
 * @param landMm rubber left between any two of them
 */
public record Plate(int copies, Laying laying, double landMm) {

  /** The model as it is, once. */
  public static final Plate ALONE = new Plate(1, Laying.AS_MODELLED, 12);

  public static final int MOST_COPIES = 24;

  /** This made consistent after an edit: copies are laid close, and as modelled there is one. */
  public Plate consistentAfter(Plate before) {
    if (copies == 1 || laying == Laying.CLOSE) {
      return this;
    }
    boolean spread = before.laying == Laying.CLOSE && before.copies == copies;
    return spread ? new Plate(1, laying, landMm) : new Plate(copies, Laying.CLOSE, landMm);
  }

  /** Whether the masters are moved from where they are modelled. */
  public boolean moves() {
    return laying == Laying.CLOSE;
  }
}
