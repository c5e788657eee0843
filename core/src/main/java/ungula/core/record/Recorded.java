package ungula.core.record;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import ungula.core.choice.BoxChoice;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterChoice;
import ungula.core.choice.MasterSource;
import ungula.core.contact.Patch;
import ungula.core.quantity.Units;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;

/**
 * What happened in a job, as far as a plan asks for it: no decision, and never undone with one.
 * Each word of it is recorded by itself, and corrected by a further record.
 *
 * @param master what was found out on it
 * @param rubber what was weighed
 */
public record Recorded(Master master, Rubber rubber) {

  public static final Recorded NOTHING =
      new Recorded(new Master(Patch.NONE, null), new Rubber(null, null, null));

  private static final double LARGEST_G = 1e8;

  private static final String MOULD = "rubber.mouldG";

  private static final String WHERE = "master.where";

  /** Keys of all its words. */
  public static final List<String> WORDS =
      List.of("master.patch", WHERE, "rubber.firstG", "rubber.secondG", MOULD);

  private static final WordBook<Recorded> BOOK =
      new WordBook<Recorded>()
          .word("master.patch", "test patch of the rubber on it", Kind.choice(Patch.class))
          .open(WHERE, "where the master is", Kind.text(80), "nobody said where")
          .open("rubber.firstG", "really poured of the first part", Kind.mass(LARGEST_G), "not yet")
          .open(
              "rubber.secondG", "really poured of the second part", Kind.mass(LARGEST_G), "not yet")
          .open(MOULD, "mass of the first mould", Kind.mass(LARGEST_G), "not weighed");

  /**
   * @param patch how a patch of the rubber came out on it
   * @param where it is; null when nobody said
   */
  public record Master(Patch patch, String where) {}

  /**
   * @param firstG what was really poured of the first part; null before
   * @param secondG what was really poured of the other; null before
   * @param mouldG what the first of several moulds weighs; null before it is weighed
   */
  public record Rubber(Double firstG, Double secondG, Double mouldG) {}

  /** Whether a word is of what happened, not of what was decided. */
  public static boolean has(String word) {
    return WORDS.contains(word);
  }

  /**
   * What a record of a word holds for: where a master is for its job, a patch for one rubber on one
   * surface, what a mould weighs for one rubber round one master in one mould, the rest for one
   * rubber. With other choices it is not forgotten, but says nothing.
   */
  public static String about(String word, Choices c) {
    if (word.equals(WHERE)) {
      return "";
    }
    String product = c.rubber().product();
    if (word.startsWith("master.")) {
      return Choices.fingerprint(c.master().material(), c.master().preparation(), product);
    }
    return word.equals(MOULD) ? Choices.fingerprint(product, mould(c)) : ofRubber(c);
  }

  /** Whether a record still counts; moulds were once recorded of their rubber alone. */
  public static boolean counts(String word, String about, Choices c) {
    return about.equals(about(word, c)) || word.equals(MOULD) && about.equals(ofRubber(c));
  }

  private static String ofRubber(Choices c) {
    return Choices.fingerprint(c.rubber().product());
  }

  /** All that decides how much rubber is in it. */
  private static List<Object> mould(Choices c) {
    BoxChoice box = c.mould();
    MasterChoice master = c.master();
    return Arrays.asList(
        box.kind(),
        box.shape(),
        box.sidesMm(),
        box.leftMm(),
        box.rightMm(),
        box.frontMm(),
        box.backMm(),
        box.insideLengthMm(),
        box.insideWidthMm(),
        box.overTopMm(),
        c.pose().turn(),
        c.pose().liftMm(),
        c.skin().wallMm(),
        c.skin().flangeMm(),
        c.rubber().offcutsMm3(),
        master.source(),
        master.model(),
        master.unitMm(),
        master.source() == MasterSource.SOLID ? master.solid().volumeMm3() : null);
  }

  /**
   * @throws WordBook.Refused naming the word and what would be understood
   */
  public Recorded edit(List<Edit> edits, Units units) {
    return BOOK.edit(this, edits, units);
  }

  /** As they are shown. */
  public Map<String, Word.State> states(Units units) {
    return BOOK.states(this, units);
  }

  public static String label(String word) {
    return BOOK.label(word);
  }

  /**
   * The words that say something else in another, each with what is to be kept of it.
   *
   * @param now after something was recorded
   */
  public Map<String, String> changedIn(Recorded now) {
    return WORDS.stream()
        .filter(word -> !said(word).equals(now.said(word)))
        .collect(Collectors.toMap(word -> word, now::said));
  }

  /** What is kept of a word: the exact value, or nothing. */
  private String said(String word) {
    return switch (word) {
      case "master.patch" -> master.patch.name();
      case WHERE -> Objects.requireNonNullElse(master.where, "");
      case "rubber.firstG" -> grams(rubber.firstG);
      case "rubber.secondG" -> grams(rubber.secondG);
      case MOULD -> grams(rubber.mouldG);
      default -> throw new IllegalArgumentException(word);
    };
  }

  private static String grams(Double g) {
    return Optional.ofNullable(g).map(x -> x + " g").orElse("");
  }

  /**
   * @param said the newest record of each word, as {@link #changedIn} told it
   */
  public static Recorded of(Map<String, String> said) {
    List<Edit> edits =
        said.entrySet().stream().map(e -> Edit.of(e.getKey(), e.getValue())).toList();
    return NOTHING.edit(edits, Units.METRIC);
  }
}
