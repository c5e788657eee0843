package ungula.core.stock;

import java.time.LocalDate;
import java.util.stream.Stream;
import ungula.core.quantity.Day;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Pack;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/**
 * A pack on the shelf, with what is left in it.
 *
 * @param number as printed on it; empty when it has none
 * @param baseG of the first part when it was full
 * @param hardenerG of the second part when it was full; 0 for what comes ready
 * @param baseLeftG now
 * @param hardenerLeftG now
 * @param received on this day; null when not known
 * @param opened on this day; null while it is closed
 * @param useBy as printed on it; null when nothing is
 */
public record Lot(
    String number,
    double baseG,
    double hardenerG,
    double baseLeftG,
    double hardenerLeftG,
    LocalDate received,
    LocalDate opened,
    LocalDate useBy) {

  /** Shows so many days before it is over. */
  static final int SOON_DAYS = 30;

  /** Drift of the parts is only told when so much of the first was used. */
  private static final double USED_SHARE = 0.2;

  /** Parts may drift apart by so much before it points to misdosing. */
  private static final double DRIFT_SHARE = 0.05;

  private static final double MOST_G = 1e7;

  /** How long a pack is good for. */
  public enum Keeping {
    FINE,
    SOON,
    OVER
  }

  /** A full pack of both parts, split as they are mixed. */
  public static Lot full(Product product, double massG, LocalDate received) {
    return full(product, new Pack(massG, 0), received);
  }

  /** A full pack, of both parts or of one. */
  public static Lot full(Product product, Pack pack, LocalDate received) {
    double g = pack.massG();
    Parts in =
        switch (pack.holds(product)) {
          case BOTH -> Parts.of(product, g);
          case FIRST -> new Parts(g, 0);
          case SECOND -> new Parts(0, g);
          case ANOTHER -> {
            if (product.catalysts().stream().noneMatch(c -> c.name().equalsIgnoreCase(pack.of()))) {
              throw new UnreadableQuantity(
                  "“"
                      + pack.of()
                      + "” is neither "
                      + product.role().first()
                      + " nor "
                      + product.role().second()
                      + " of "
                      + product.name()
                      + ", nor a grade of its catalyst.");
            }
            yield new Parts(0, g);
          }
        };
    return new Lot("", in.firstG(), in.secondG(), in.firstG(), in.secondG(), received, null, null);
  }

  public static WordBook<Lot> words() {
    Kind<LocalDate> day = Kind.parsed("day", Day::parse, Day::format);
    return new WordBook<Lot>()
        .open("number", "lot number", Kind.text(40), "no number")
        .word("baseLeftG", "left of the first part", Kind.mass(MOST_G))
        .word("hardenerLeftG", "left of the second part", Kind.mass(MOST_G))
        .open("received", "received", day, "not known")
        .open("opened", "opened", day, "not yet")
        .open("useBy", "use by", day, "not printed");
  }

  /**
   * The last day it is good for: the earliest of what is printed on it and what the sheet says of
   * unopened and of opened packs. Null when nothing is known.
   */
  public LocalDate goodUntil(Product product) {
    return Stream.of(
            useBy,
            after(received, opened == null ? product.shelfDays() : null),
            after(opened, product.openedDays()))
        .filter(d -> d != null)
        .min(LocalDate::compareTo)
        .orElse(null);
  }

  private static LocalDate after(LocalDate day, Integer days) {
    return day == null || days == null ? null : day.plusDays(days);
  }

  public Keeping keeping(Product product, LocalDate today) {
    LocalDate until = goodUntil(product);
    if (until == null || until.isAfter(today.plusDays(SOON_DAYS))) {
      return Keeping.FINE;
    }
    return until.isBefore(today) ? Keeping.OVER : Keeping.SOON;
  }

  /**
   * How far the second part's use is off the first's, as a share: more than nothing is too much
   * hardener. Null while too little was used to tell, or when they run out together.
   */
  public Double drift(double hardenerPerBase) {
    double base = baseG - baseLeftG;
    double hardener = hardenerG - hardenerLeftG;
    if (hardenerG <= 0 || base < USED_SHARE * baseG) {
      return null;
    }
    double off = hardener / (base * hardenerPerBase) - 1;
    return Math.abs(off) > DRIFT_SHARE ? off : null;
  }

  /** Mass that can be mixed of it: as far as the scarcer part goes. */
  public double usableG(double hardenerPerBase) {
    return hardenerPerBase <= 0
        ? baseLeftG
        : Math.min(baseLeftG, hardenerLeftG / hardenerPerBase) * (1 + hardenerPerBase);
  }

  /** With so much taken out, opened by then. */
  public Lot taken(double base, double hardener, LocalDate on) {
    return new Lot(
        number,
        baseG,
        hardenerG,
        Math.max(0, baseLeftG - base),
        Math.max(0, hardenerLeftG - hardener),
        received,
        opened == null ? on : opened,
        useBy);
  }

  /**
   * With so much put back.
   *
   * @param closed whether it is as if it had never been opened
   */
  public Lot givenBack(double base, double hardener, boolean closed) {
    return new Lot(
        number,
        baseG,
        hardenerG,
        baseLeftG + base,
        hardenerLeftG + hardener,
        received,
        closed ? null : opened,
        useBy);
  }

  public boolean empty() {
    return baseLeftG + hardenerLeftG < 1;
  }
}
