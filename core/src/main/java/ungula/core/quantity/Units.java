package ungula.core.quantity;

/**
 * How one job reads and shows quantities.
 *
 * @param display what lengths, volumes and masses are shown in, and what a bare number means
 * @param gallon which gallon, quart and fluid ounce are meant; always printed beside them
 */
public record Units(Display display, Gallon gallon) {

  public static final Units METRIC = new Units(Display.METRIC, Gallon.US);

  public enum Display implements Choosable {
    METRIC("millimetres and grams"),
    INCH("inches and ounces");

    private final String text;

    Display(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** 1 US gal = 231 in³ exactly; 1 imperial gal = 4.54609 L exactly. */
  public enum Gallon implements Choosable {
    US("US", 231 * 25.4 * 25.4 * 25.4),
    IMPERIAL("imp", 4_546_090);

    private final String mark;
    private final double mm3;

    Gallon(String mark, double mm3) {
      this.mark = mark;
      this.mm3 = mm3;
    }

    @Override
    public String text() {
      return this == US ? "US gallon" : "imperial gallon";
    }

    public String mark() {
      return mark;
    }

    public double mm3() {
      return mm3;
    }

    public double quartMm3() {
      return mm3 / 4;
    }

    /** A US fluid ounce is 1/128 gal, an imperial one 1/160 gal. */
    public double fluidOunceMm3() {
      return mm3 / (this == US ? 128 : 160);
    }
  }
}
