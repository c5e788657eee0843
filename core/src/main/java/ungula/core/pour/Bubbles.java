package ungula.core.pour;

import java.util.Collection;
import java.util.Comparator;
import ungula.core.quantity.Choosable;

/** How air is got out of mixed rubber. */
public enum Bubbles implements Choosable {
  THIN_POUR("poured high and thin"),
  VACUUM("pulled in the vacuum chamber, straight through"),
  VACUUM_CYCLED("pulled in the vacuum chamber, the pump cycled by hand"),
  VACUUM_TWO_CUPS("pulled in the vacuum chamber, in two cups side by side"),
  VIBRATED("vibrated after pouring");

  /** Foam stands so many times as high as the mix when it is pulled straight through. */
  private static final double RISE = 5;

  private static final double CYCLED_RISE = 2.5;

  private final String text;

  Bubbles(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }

  /** What asks for most where several share a batch: room for foam first, then time. */
  public static Bubbles most(Collection<Bubbles> all) {
    return all.stream()
        .max(
            Comparator.comparingDouble(Bubbles::rise)
                .thenComparing(b -> b == VIBRATED || b == VACUUM))
        .orElse(THIN_POUR);
  }

  public boolean vacuum() {
    return this == VACUUM || this == VACUUM_CYCLED || this == VACUUM_TWO_CUPS;
  }

  /** Between how many cups alike a batch is divided meanwhile. */
  public int cups() {
    return this == VACUUM_TWO_CUPS ? 2 : 1;
  }

  /** How many times its volume a mix takes in its vessel meanwhile. */
  public double rise() {
    return switch (this) {
      case VACUUM, VACUUM_TWO_CUPS -> RISE;
      case VACUUM_CYCLED -> CYCLED_RISE;
      default -> 1;
    };
  }
}
