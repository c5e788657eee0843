package ungula.core.sentence;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;

/**
 * All changeable words of one kind of record: a job's choices, a product's sheet, the workshop's
 * habits. Words are known by the path of the record component they change.
 *
 * @param <T> the record
 */
public final class WordBook<T extends Record> {

  private final Map<String, Word<?>> words = new LinkedHashMap<>();
  private final Map<String, BiFunction<T, String, T>> deeds = new LinkedHashMap<>();
  private final Map<String, String> labels = new LinkedHashMap<>();

  /**
   * One change: text typed into a word, or steps to nudge it by.
   *
   * @param word which
   * @param text as typed; ignored when nudged
   * @param nudge steps; null when text was typed
   */
  public record Edit(String word, @Nullable String text, @Nullable Integer nudge) {

    public static Edit of(String word, String text) {
      return new Edit(word, text, null);
    }

    /** The word is meant as it stands: what is shown may be rounded, and is not read again. */
    public static Edit asItStands(String word) {
      return new Edit(word, null, 0);
    }
  }

  /** A change that could not be made; the record is as it was. */
  public static final class Refused extends RuntimeException {

    private final String word;

    public Refused(String word, String message) {
      super(message);
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  public <V> WordBook<T> word(String key, String label, Kind<V> kind) {
    words.put(key, new Word<>(key, label, kind, null));
    labels.put(key, label);
    return this;
  }

  /** A word that may be left open, and what then stands in its place. */
  public <V> WordBook<T> open(String key, String label, Kind<V> kind, String empty) {
    words.put(key, new Word<>(key, label, kind, empty));
    labels.put(key, label);
    return this;
  }

  /** A change that is more than one component, such as turning the master. */
  public WordBook<T> deed(String key, String label, BiFunction<T, String, T> deed) {
    deeds.put(key, deed);
    labels.put(key, label);
    return this;
  }

  /**
   * The record with all edits made, or none.
   *
   * @throws Refused naming the word and what would be understood
   */
  public T edit(T root, List<Edit> edits, Units units) {
    T at = root;
    for (Edit e : edits) {
      BiFunction<T, String, T> deed = deeds.get(e.word);
      Word<?> word = words.get(e.word);
      if (deed == null && word == null) {
        throw new Refused(e.word, "There is no “" + e.word + "” to change here.");
      }
      try {
        if (deed != null) {
          at = deed.apply(at, e.text);
        } else if (e.nudge != null) {
          at = word.nudged(at, e.nudge, units);
        } else {
          at = word.written(at, e.text, units);
        }
      } catch (UnreadableQuantity refused) {
        throw new Refused(e.word, refused.getMessage());
      }
    }
    return at;
  }

  /** What a word or deed is called. */
  public String label(String key) {
    return labels.getOrDefault(key, key);
  }

  public Map<String, Word.State> states(T root, Units units) {
    Map<String, Word.State> states = new LinkedHashMap<>();
    words.forEach((key, word) -> states.put(key, word.state(root, units)));
    return states;
  }
}
