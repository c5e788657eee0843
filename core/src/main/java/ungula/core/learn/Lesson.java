package ungula.core.learn;

import ungula.core.quantity.Numbers;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Units;
import ungula.core.workshop.Workshop;

/** Something of a workshop that its own jobs say better than any rule of thumb. */
public enum Lesson {
  /** Rubber that was mixed, less what stood over the line, against what was computed, %. */
  ALLOWANCE("allowancePct", "rubber a mould took over what was computed", 0.5, 0.2),
  /** How warm the room was as rubber was mixed, °C. */
  ROOM("roomC", "the room when rubber is mixed", 0.5, 0.75);

  private final String word;
  private final String text;
  private final double readingError;
  private final double worthSaying;

  /**
   * @param word of the workshop that follows from it
   * @param readingError what one job can be wrong by because nobody reads closer
   * @param worthSaying a difference under this is none
   */
  Lesson(String word, String text, double readingError, double worthSaying) {
    this.word = word;
    this.text = text;
    this.readingError = readingError;
    this.worthSaying = worthSaying;
  }

  public String word() {
    return word;
  }

  public String text() {
    return text;
  }

  public double readingError() {
    return readingError;
  }

  /** What the workshop goes by now. */
  public double now(Workshop w) {
    return this == ALLOWANCE ? w.allowancePct() : w.roomC();
  }

  /**
   * What it would go by: of the allowance what nearly all jobs stay under, and never less than is
   * lost in the cup; of the room the middle.
   */
  public double offered(Learned l, Workshop w) {
    return this == ALLOWANCE
        ? Math.max(w.cupLossPct(), Math.ceil(10 * l.allowance() - 1e-9) / 10)
        : Math.rint(2 * l.median()) / 2;
  }

  /** Whether that is another value than the workshop goes by. */
  public boolean differs(Learned l, Workshop w) {
    return Math.abs(offered(l, w) - now(w)) >= worthSaying;
  }

  /** A value as it is written into its word. */
  public String typed(double value) {
    return this == ALLOWANCE ? value + " %" : value + " \u00b0C";
  }

  /** A value in words. */
  public String said(double value, Units units) {
    return this == ALLOWANCE ? Numbers.fixed(value, 1) + " %" : Temperature.format(value, units);
  }
}
