package ungula.core.workshop;

/**
 * The boards a workshop keeps of one kind of sheet.
 *
 * @param lengthMm null when it is not kept, or not said
 * @param widthMm of a board
 * @param count of them there are; null when it is not counted
 */
public record Board(Double lengthMm, Double widthMm, Integer count) {

  static final Board UNKNOWN = new Board(null, null, null);

  public boolean known() {
    return lengthMm != null && widthMm != null;
  }

  public double longerMm() {
    return Math.max(lengthMm, widthMm);
  }

  public double shorterMm() {
    return Math.min(lengthMm, widthMm);
  }
}
