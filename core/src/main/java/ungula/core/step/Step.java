package ungula.core.step;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.quantity.Timespan;
import ungula.core.working.Figure;
import ungula.core.working.Given;
import ungula.core.working.Working;
import ungula.core.workshop.Rate;

/**
 * Something a job asks somebody to do, or to wait for.
 *
 * @param key stable when the plan changes, such as {@code pour.2.1.weigh}: records stay with it
 * @param part of the work it belongs to, as a heading
 * @param label the same in a few words, for where there is little room: "seal master", "pour 1"
 * @param what one imperative sentence, with its own numbers
 * @param why one line of reason; empty where it goes without saying
 * @param takes how long
 * @param after what has to be finished first
 * @param unbroken name of those it runs with without a break between them; empty for none
 * @param holds what nothing else uses meanwhile
 * @param figures keys of those needed at that moment
 * @param cautions ids of those that may stand against it
 * @param records what is written down of it
 */
public record Step(
    String key,
    String part,
    String label,
    String what,
    String why,
    Kind kind,
    Takes takes,
    List<After> after,
    String unbroken,
    Set<Hold> holds,
    List<String> figures,
    List<String> cautions,
    Set<Noted> records) {

  public enum Kind {
    /** Hands on. */
    HANDS,
    /** The mould works, not you. */
    WAIT,
    /** A tick without which nothing goes on. */
    GATE
  }

  /** What a step uses alone. */
  public enum Hold {
    PERSON,
    SCALE,
    CHAMBER,
    POT,
    MOULD,
    MASTER,
    BENCH
  }

  /** What is written down of a step. */
  public enum Noted {
    MASS_A,
    MASS_B,
    LEVEL,
    BEGUN,
    ENDED,
    ROOM,
    GAUGE,
    VERDICT
  }

  /**
   * How long a step takes.
   *
   * @param from what it comes about by
   * @param perTen how many times faster it goes in a room 10 °C warmer; null when the room does not
   *     count
   * @param rates of the workshop it goes by
   */
  public record Takes(double minutes, List<Given> from, Double perTen, Set<Rate> rates) {

    /** Rates are in their own order. */
    public Takes {
      rates = rates.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(rates));
    }

    /** Whatever the room is like. */
    static Takes of(double minutes, List<Given> from) {
      return new Takes(minutes, from, null, Set.of());
    }

    /** By a rate of the workshop. */
    static Takes of(double minutes, List<Given> from, Rate rate) {
      return new Takes(minutes, from, null, Set.of(rate));
    }

    /** As it is said somewhere. */
    static Takes of(double minutes, Given.Source source, String how) {
      return of(minutes, List.of(new Given(how, Timespan.formatMin(minutes), source)));
    }

    /** The same, faster in a warmer room. */
    Takes faster(double perTenDegrees) {
      return new Takes(minutes, from, perTenDegrees, rates);
    }

    /** So much of it. */
    Takes times(double share) {
      return new Takes(share * minutes, from, perTen, rates);
    }

    /** One after the other. */
    Takes and(Takes other) {
      return new Takes(
          minutes + other.minutes,
          Stream.concat(from.stream(), other.from.stream()).toList(),
          null,
          Stream.concat(rates.stream(), other.rates.stream()).collect(Collectors.toSet()));
    }
  }

  /** Its time with its working; empty for a look, which takes none. */
  public Optional<Figure> time() {
    if (!(takes.minutes > 0)) {
      return Optional.empty();
    }
    Working.Builder w =
        Working.of(byHand() ? "time by hand = each rate × how much of it" : "time to wait");
    takes.from.forEach(g -> w.given(g.name(), g.text(), g.source()));
    String text = Timespan.formatMin(takes.minutes);
    return Optional.of(
        new Figure("step." + key, "this step takes", takes.minutes, text, text, w.done()));
  }

  /**
   * What a step waits for.
   *
   * @param key of the other step
   * @param from what of the other the lags are counted from
   * @param leastMin at least so long after
   * @param mostMin no later than so long after; null when there is no window
   * @param nextDayMin on the morning of a later day instead, so long after, when the window falls
   *     out of the hours of work, and always where there is none; null for the same day or any
   * @param perTen how many times shorter all of it is in a room 10 °C warmer; null when the room
   *     does not count
   */
  public record After(
      String key, From from, double leastMin, Double mostMin, Double nextDayMin, Double perTen) {

    public enum From {
      BEGIN,
      END
    }

    /** The same of another step. */
    After of(String other) {
      return new After(other, from, leastMin, mostMin, nextDayMin, perTen);
    }

    /** As soon as the other is done. */
    static After end(String key) {
      return new After(key, From.END, 0, null, null, null);
    }

    /** So long after the other began, or later. */
    static After begin(String key, double leastMin) {
      return new After(key, From.BEGIN, leastMin, null, null, null);
    }

    /** Within a window that opens and closes after the other began. */
    static After within(String key, double opensMin, double closesMin, double nextDayMin) {
      return new After(key, From.BEGIN, opensMin, closesMin, nextDayMin, null);
    }

    /** On the next day on which the other began so long ago. */
    static After nextDay(String key, double leastMin) {
      return new After(key, From.BEGIN, leastMin, null, leastMin, null);
    }

    /** The same, shorter in a warmer room. */
    After faster(double perTenDegrees) {
      return new After(key, from, leastMin, mostMin, nextDayMin, perTenDegrees);
    }
  }

  /**
   * The same once more.
   *
   * @param of what tells its group from that of the first time
   */
  Step again(String otherKey, List<After> others, String of) {
    String group = unbroken.isEmpty() ? "" : unbroken + of;
    return new Step(
        otherKey, part, label, what, why, kind, takes, others, group, holds, figures, cautions,
        records);
  }

  public boolean byHand() {
    return kind != Kind.WAIT;
  }
}
