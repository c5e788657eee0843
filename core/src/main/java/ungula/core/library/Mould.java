package ungula.core.library;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import ungula.core.quantity.Day;
import ungula.core.quantity.Units;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;

/**
 * A mould that is made, as far as somebody says what there is to know of it. Each word is recorded
 * by itself, and corrected by a further record.
 *
 * @param of what it is of; null: as its job is called
 * @param made on this day; null when not known
 * @param rubber it is made of, in words; null when not known
 * @param lot of the rubber; null when not known
 * @param expects casts it gives in all, about; null when nobody knows
 * @param gaveBefore casts it gave before they were counted here
 * @param lasts years it keeps, used or not; null: as the workshop says of its rubber
 * @param place where it lies; null when nobody said
 * @param jacket it lies in; null without one
 * @param note anything else; null for nothing
 */
public record Mould(
    String of,
    LocalDate made,
    String rubber,
    String lot,
    Integer expects,
    int gaveBefore,
    Double lasts,
    String place,
    Condition condition,
    String jacket,
    String note) {

  /** Of which nothing is known. */
  public static final Mould UNKNOWN =
      new Mould(null, null, null, null, null, 0, null, null, Condition.GOOD, null, null);

  private static final WordBook<Mould> WORDS =
      new WordBook<Mould>()
          .open("of", "what it is of", Kind.text(120), "as its job")
          .open("made", "made on", Kind.parsed("day", Day::parse, Day::format), "a day not known")
          .open("rubber", "rubber it is of", Kind.text(80), "a rubber not named")
          .open("lot", "lot of the rubber", Kind.text(40), "not known")
          .open("expects", "casts it gives in all", Kind.count("cast", "casts", 1, 100_000), "?")
          .word(
              "gaveBefore",
              "casts it gave before they were counted",
              Kind.count("cast", "casts", 0, 100_000))
          .open("lasts", "years it keeps", Kind.plain("years", 0.1, 100, 1), "as the workshop says")
          .open("place", "where it lies", Kind.text(80), "nobody said where")
          .word("condition", "condition", Kind.choice(Condition.class))
          .open("jacket", "jacket it lies in", Kind.text(120), "none")
          .open("note", "note", Kind.text(300), "none");

  public static WordBook<Mould> words() {
    return WORDS;
  }

  /**
   * @throws WordBook.Refused naming the word and what would be understood
   */
  public Mould edit(List<Edit> edits, Units units) {
    return WORDS.edit(this, edits, units);
  }

  public Map<String, Word.State> states(Units units) {
    return WORDS.states(this, units);
  }

  /** The words that say something else in another, with what they say there. */
  public Map<String, String> changedIn(Mould now) {
    Map<String, Word.State> before = states(Units.METRIC);
    return now.states(Units.METRIC).entrySet().stream()
        .filter(e -> !e.getValue().equals(before.get(e.getKey())))
        .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().text()));
  }
}
