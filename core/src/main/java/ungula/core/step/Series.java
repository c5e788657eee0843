package ungula.core.step;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import ungula.core.quantity.Numbers;
import ungula.core.step.Step.After;
import ungula.core.step.Step.Hold;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * Several identical moulds, one after the other of one master: it is made ready and fixed once, and
 * the next mould is begun when the last has let go of it.
 *
 * @param timeline of all, by one person
 */
record Series(Steps one, int moulds, Timeline timeline) {

  /** Of a master that stays on its base, done once: these, and what belongs to them. */
  private static final List<String> ONCE = List.of("master", "fix", "board");

  /** So many in a row show how many a day. */
  private static final int PACED = 8;

  /**
   * @param moulds at least one
   */
  static Series of(Steps one, int moulds) {
    List<Step> all = new ArrayList<>(one.making());
    for (int n = 2; n <= moulds; n++) {
      again(one.making(), n, all);
    }
    return new Series(one, moulds, Timeline.of(all));
  }

  /** Adds the steps of a further mould. */
  private static void again(List<Step> making, int n, List<Step> to) {
    Set<String> repeated = new HashSet<>();
    making.stream().filter(s -> !once(s)).forEach(s -> repeated.add(s.key()));
    After free = After.end(key(free(making), n - 1));
    for (Step s : making) {
      if (once(s)) {
        continue;
      }
      List<After> after = new ArrayList<>();
      for (After a : s.after()) {
        if (repeated.contains(a.key())) {
          after.add(a.of(key(a.key(), n)));
        }
      }
      to.add(s.again(key(s.key(), n), after.isEmpty() ? List.of(free) : after, " " + n));
    }
  }

  /** The step with which a mould lets go of the master. */
  private static String free(List<Step> making) {
    return making.stream()
        .filter(s -> s.holds().contains(Hold.MASTER))
        .reduce((a, b) -> b)
        .orElse(making.get(making.size() - 1))
        .key();
  }

  private static String key(String key, int n) {
    return n == 1 ? key : key + "#" + n;
  }

  private static boolean once(Step s) {
    return ONCE.stream().anyMatch(k -> s.key().equals(k) || s.key().startsWith(k + "."));
  }

  /** Work by hand on a mould that is done once for several of its master, minutes. */
  static double onceMin(Steps one) {
    return one.making().stream()
        .filter(s -> s.byHand() && once(s))
        .mapToDouble(s -> s.takes().minutes())
        .sum();
  }

  /** Work by hand on all of them, minutes. */
  double handsMin() {
    return moulds * one.handsMin() - (moulds - 1) * onceMin(one);
  }

  /** Moulds that open in a day, once the first is open. */
  private double perDay() {
    Series many = of(one, PACED);
    List<Double> opened =
        IntStream.rangeClosed(1, PACED)
            .mapToObj(n -> many.timeline.of(key(free(one.making()), n)).endMin())
            .toList();
    double days = Timeline.day(opened.get(PACED - 1)) - Timeline.day(opened.get(0));
    return (PACED - 1) / Math.max(1, days);
  }

  void show(FigureBook figures) {
    figures.put(
        "moulds.hands",
        "work by hand on all",
        handsMin() / 60,
        Steps.hours(handsMin()),
        Working.of("moulds × work by hand on one − what is done once")
            .given("moulds", String.valueOf(moulds), CHOSEN)
            .given("on one", Steps.hours(one.handsMin()), COMPUTED)
            .given("master made ready and fixed, once", Steps.hours(onceMin(one)), COMPUTED)
            .done());
    double last = timeline.endMin();
    figures.put(
        "moulds.elapsed",
        "until the last opens",
        last,
        Steps.elapsed(last),
        Working.of("one master, one mould at a time, each begun as soon as the last is open")
            .given("moulds", String.valueOf(moulds), CHOSEN)
            .given("until one is open", Steps.elapsed(one.openMin()), COMPUTED)
            .given("hours of work in a day", Steps.hours(Timeline.WORKING_MIN), DEFAULT)
            .step("Rubber sets through the night; what is done by hand waits for the morning.")
            .done());
    double perDay = perDay();
    figures.put(
        "moulds.pace",
        "how many a day",
        perDay,
        perDay < 1
            ? "one in " + Numbers.trimmed(1 / perDay, 1) + " days"
            : Numbers.trimmed(perDay, 1) + " a day",
        Working.of("moulds that open in a row, one after the other ÷ days they take")
            .given("in a row", String.valueOf(PACED), DEFAULT)
            .given("until one is open", Steps.elapsed(one.openMin()), COMPUTED)
            .done());
  }
}
