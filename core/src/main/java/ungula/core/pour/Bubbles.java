package ungula.core.pour;

import java.util.Collection;
import java.util.Comparator;
import ungula.core.quantity.Choosable;

/** How air is got out of mixed rubber. */
public enum Bubbles implements Choosable {
  THIN_POUR("poured high and thin"),
  VACUUM("pulled in the vacuum chamber, straight through"),
  VACUUM_CYCLED("pulled in the vacuum chamber, the pump cycled by hand"),
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
        .max(Comparator.comparingDouble(Bubbles::rise).thenComparing(b -> b == VIBRATED))
        .orElse(THIN_POUR);
  }

  public boolean vacuum() {
    return this == VACUUM || this == VACUUM_CYCLED;
  }

  /** How many times its volume a mix takes in its vessel meanwhile. */
  public double rise() {
    return switch (this) {
      case VACUUM -> RISE;
      case VACUUM_CYCLED -> CYCLED_RISE;
      default -> 1;
    };
  }
}
