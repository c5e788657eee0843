package ungula.core.job;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import ungula.core.choice.Choices;
import ungula.core.choice.LabelChoice;
import ungula.core.choice.LyingChoice;
import ungula.core.choice.RubberChoice;
import ungula.core.plan.Plan;

/** A stage of a job: what makes it done, and what it rests on. In the order of work. */
public enum Stage {
  MASTER(c -> List.of(), p -> p.facts() != null),
  APPROACH(c -> List.of(c.master().shape(), c.marks()), Stage::kindDecided),
  MOULD(c -> List.of(c.master().shape(), c.pose()), Stage::kindDecided),
  RUBBER(Stage::mould, p -> p.firstMix().isPresent()),
  /** Nothing is decided here, so it is done once it was seen. */
  POURS(Stage::mix, p -> p.firstMix().isPresent()),
  DAYS(Stage::work, p -> p.choices().days().begin() != null),
  /** Done by what happened, which no plan knows. */
  BENCH(c -> List.of(), p -> false),
  CASTS(
      c -> lain(c, Arrays.asList(mould(c), c.channels(), c.casting(), c.cast().product())),
      p -> p.choices().decided("cast.wanted")),
  /** What happened: nothing to decide, never done. */
  LOG(c -> List.of(), p -> false);

  private final Function<Choices, List<Object>> restsOn;
  private final Predicate<Plan> decided;

  Stage(Function<Choices, List<Object>> restsOn, Predicate<Plan> decided) {
    this.restsOn = restsOn;
    this.decided = decided;
  }

  private static boolean kindDecided(Plan p) {
    return p.facts() != null && p.choices().decided("mould.kind");
  }

  /** How far a stage is. */
  public enum State {
    OPEN,
    DONE,
    /** Something it rests on changed since it was last looked at. */
    LOOK_AGAIN
  }

  /**
   * What a stage is like in a plan.
   *
   * @param decided whether all that belongs to it is
   * @param toBeSeen whether it is done only once it was looked at
   * @param restsOn fingerprint of what it rests on; null for the first, which rests on nothing
   */
  public record Basis(boolean decided, boolean toBeSeen, String restsOn) {

    /**
     * @param seen what it rested on when it was last looked at; null before
     */
    public State state(String seen) {
      if (!decided || toBeSeen && seen == null) {
        return State.OPEN;
      }
      boolean same = restsOn == null || seen == null || restsOn.equals(seen);
      return same ? State.DONE : State.LOOK_AGAIN;
    }
  }

  private static List<Object> mould(Choices c) {
    List<Object> all =
        List.of(
            c.master(),
            c.pose(),
            c.laid(),
            c.mould(),
            c.parting(),
            c.cut(),
            c.skin(),
            c.jacket(),
            c.site());
    // a mould without a label rests on what it rested on before there were any
    return c.label().equals(LabelChoice.NONE) ? all : List.of(all, c.label());
  }

  /**
   * A mould that is turned over to be cast in rests on what it did before it could lie otherwise.
   */
  private static List<Object> lain(Choices c, List<Object> all) {
    return c.lying().equals(LyingChoice.USUAL) ? all : List.of(all, c.lying());
  }

  private static List<Object> mix(Choices c) {
    RubberChoice r = c.rubber();
    return List.of(
        mould(c),
        String.valueOf(r.product()),
        String.valueOf(r.catalyst()),
        String.valueOf(r.ratio()),
        r.stirredIn());
  }

  private static List<Object> work(Choices c) {
    RubberChoice r = c.rubber();
    return Arrays.asList(mix(c), r.batches(), r.sealingMm(), r.bubbles());
  }

  /** Its name in addresses and answers. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What is decided on a stage; what stands on two of them is of both. */
  private List<Object> decides(Choices c) {
    RubberChoice r = c.rubber();
    return switch (this) {
      case MASTER -> List.of(c.master(), c.pose(), c.marks());
      case APPROACH -> List.of(c.weights());
      case MOULD ->
          List.of(
              c.pose(),
              c.laid(),
              c.mould(),
              c.parting(),
              c.cut(),
              c.channels(),
              c.hollow(),
              c.skin(),
              c.jacket(),
              c.site(),
              c.casting(),
              c.label(),
              c.lying());
      case RUBBER ->
          Arrays.asList(
              r.product(),
              r.catalyst(),
              r.ratio(),
              r.ratioMeant(),
              r.first(),
              r.allowancePct(),
              r.additive(),
              r.also(),
              r.offcutsMm3(),
              r.moulds(),
              c.cast().material(),
              c.cast().product(),
              c.cast().wanted());
      case POURS -> Arrays.asList(r.batches(), r.sealingMm(), r.bubbles());
      case DAYS -> List.of(c.days());
      case BENCH, LOG -> List.of();
      case CASTS -> Arrays.asList(c.cast(), r.moulds());
    };
  }

  /** Keys of the stages that show what is different; the one to look at first comes first. */
  public static List<String> changed(Choices before, Choices after) {
    return Stream.of(MOULD, RUBBER, POURS, DAYS, CASTS, MASTER, APPROACH)
        .filter(s -> !s.decides(before).equals(s.decides(after)))
        .map(Stage::key)
        .toList();
  }

  /** Of every stage, by its key. */
  static Map<String, Basis> of(Plan plan) {
    Map<String, Basis> all = new LinkedHashMap<>();
    for (Stage s : values()) {
      List<Object> parts = s.restsOn.apply(plan.choices());
      String restsOn = parts.isEmpty() ? null : Choices.fingerprint(parts.toArray());
      all.put(s.key(), new Basis(s.decided.test(plan), s == POURS, restsOn));
    }
    return all;
  }
}
