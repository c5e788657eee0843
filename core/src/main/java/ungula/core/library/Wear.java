package ungula.core.library;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * How far a mould is used up, and when it has to be made anew: once it gave what it is expected to
 * give, at the pace it is cast from, or once its rubber is too old, whichever comes first.
 *
 * @param gave casts
 * @param expects casts in all, about; null when nobody knows
 * @param perYear casts it is asked for at its pace; null while there is none
 * @param wornOn when it gave all at that pace; null when that cannot be told, or is centuries off
 * @param agedOn when its rubber is too old; null when that cannot be told
 */
public record Wear(int gave, Integer expects, Double perYear, LocalDate wornOn, LocalDate agedOn) {

  /** How much is left of it. */
  public enum State {
    /** Nobody knows what it gives, nor how long it keeps. */
    UNKNOWN,
    FINE,
    SOON,
    OVER
  }

  /** Fewer casts have no pace. */
  static final int LEAST_CASTS = 3;

  /** Casts of fewer days have no pace: somebody casts a series, and then none for a year. */
  static final int LEAST_DAYS = 30;

  /** Less than this share of it left is soon. */
  private static final double SOON_SHARE = 0.1;

  /** So is what is used up within so many days. */
  private static final int SOON_DAYS = 60;

  private static final double YEAR_DAYS = 365.25;

  private static final double FAR_DAYS = 200 * YEAR_DAYS;

  /**
   * @param gave casts in all
   * @param counted of them that have a day
   * @param first day of these; null while there is none
   * @param made when it was made; null when not known
   * @param lasts years it keeps; null when not known
   */
  public static Wear of(
      int gave,
      Integer expects,
      int counted,
      LocalDate first,
      LocalDate made,
      Double lasts,
      LocalDate today) {
    Double perYear = perYear(counted, first, today);
    LocalDate worn = null;
    if (expects != null && gave >= expects) {
      worn = today;
    } else if (expects != null && perYear != null) {
      double days = (expects - gave) / perYear * YEAR_DAYS;
      worn = days > FAR_DAYS ? null : today.plusDays((long) Math.ceil(days));
    }
    LocalDate aged =
        made == null || lasts == null ? null : made.plusDays(Math.round(lasts * YEAR_DAYS));
    return new Wear(gave, expects, perYear, worn, aged);
  }

  private static Double perYear(int counted, LocalDate first, LocalDate today) {
    if (counted < LEAST_CASTS) {
      return null;
    }
    long days = ChronoUnit.DAYS.between(first, today);
    return days < LEAST_DAYS ? null : counted * YEAR_DAYS / days;
  }

  /** Casts that are left in it; null when nobody knows. */
  public Integer left() {
    return expects == null ? null : (Integer) Math.max(0, expects - gave);
  }

  /** When it has to be made anew; null when that cannot be told. */
  public LocalDate anewOn() {
    return Stream.of(wornOn, agedOn)
        .filter(Objects::nonNull)
        .min(LocalDate::compareTo)
        .orElse(null);
  }

  public State state(LocalDate today) {
    LocalDate anew = anewOn();
    if (expects == null && agedOn == null) {
      return State.UNKNOWN;
    }
    boolean little = expects != null && left() <= SOON_SHARE * expects;
    if (anew != null && !anew.isAfter(today)) {
      return State.OVER;
    }
    return little || anew != null && !anew.isAfter(today.plusDays(SOON_DAYS))
        ? State.SOON
        : State.FINE;
  }
}
