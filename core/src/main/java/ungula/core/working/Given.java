package ungula.core.working;

/**
 * One input of a computation, as text, with where it comes from.
 *
 * @param name what it is
 * @param text its value with its unit
 * @param source why this value
 */
public record Given(String name, String text, Source source) {

  public enum Source {
    /** Read off a product's data sheet. */
    SHEET,
    /** Measured by the user, or computed from the model. */
    MEASURED,
    /** Chosen by the user. */
    CHOSEN,
    /** A setting nobody has changed. */
    DEFAULT,
    /** Learned from the workshop's own jobs, and taken by the user. */
    LEARNED,
    /** Worked out above. */
    COMPUTED
  }
}
