package ungula.core.choice;

/**
 * Whether a cast is hollow.
 *
 * @param wallMm of the cast; null is solid
 */
public record Hollow(Double wallMm) {
  static final Hollow SOLID = new Hollow(null);
}
