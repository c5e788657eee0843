package ungula.core.sentence;

import java.util.List;
import ungula.core.quantity.Units;

/**
 * One changeable word of a sentence: a component of a record, how it is read and shown, and what it
 * is called.
 */
public final class Word<V> {

  private final String key;
  private final String label;
  private final Kind<V> kind;
  private final String empty;
  private final RecordPath path;

  /**
   * @param key path of the record component
   * @param label what a screen reader and the keyboard help call it
   * @param kind how it is read and shown
   * @param empty what stands there when nothing is chosen; null when something always is
   */
  Word(String key, String label, Kind<V> kind, String empty) {
    this.key = key;
    this.label = label;
    this.kind = kind;
    this.empty = empty;
    this.path = new RecordPath(key);
  }

  String key() {
    return key;
  }

  <T extends Record> T written(T root, String text, Units units) {
    boolean cleared = empty != null && (text == null || text.isBlank());
    return path.with(root, cleared ? null : kind.parse(text, units));
  }

  <T extends Record> T nudged(T root, int steps, Units units) {
    @SuppressWarnings("unchecked")
    V value = (V) path.get(root);
    return value == null ? root : path.with(root, kind.nudge(value, steps, units));
  }

  State state(Record root, Units units) {
    @SuppressWarnings("unchecked")
    V value = (V) path.get(root);
    boolean none = value == null || "".equals(value) || empty != null && List.of().equals(value);
    return new State(
        label,
        kind.name(),
        none ? empty == null ? "" : empty : kind.format(value, units),
        none ? "" : kind.exact(value, units),
        none,
        false,
        empty != null,
        value instanceof Enum<?> e ? e.name() : "",
        kind.options());
  }

  /**
   * A word as the page shows it.
   *
   * @param label what it is called
   * @param kind length, mass, choice …: decides how it is edited
   * @param text what stands in the sentence
   * @param exact the same with more decimals, for the tooltip
   * @param unset whether nothing is chosen yet, and {@code text} only says so
   * @param assumed whether it is chosen only because nobody said otherwise
   * @param clearable whether it may be emptied
   * @param value the chosen option of a choice
   * @param options what a choice offers
   */
  public record State(
      String label,
      String kind,
      String text,
      String exact,
      boolean unset,
      boolean assumed,
      boolean clearable,
      String value,
      List<Kind.Option> options) {

    /** The same, assumed unless there is nothing to assume. */
    public State asAssumed() {
      return new State(label, kind, text, exact, unset, !unset, clearable, value, options);
    }
  }
}
