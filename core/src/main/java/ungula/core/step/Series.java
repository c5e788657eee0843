package ungula.core.step;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import ungula.core.days.Network;
import ungula.core.quantity.Numbers;
import ungula.core.step.Step.Hold;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * Several identical moulds, one after the other of one master: it is made ready and fixed once, and
 * the next mould is begun when the last has let go of it. Each is done as early as it can be beside
 * those before.
 *
 * @param each when each is made, as far as they are looked at one by one
 */
record Series(Steps one, int moulds, List<Timeline> each) {

  /** Of a master that stays on its base, done once: these, and what belongs to them. */
  private static final List<String> ONCE = List.of("master", "fix", "board");

  /** So many in a row show how many a day. */
  private static final int PACED = 8;

  /** More of them come at the pace of these. */
  private static final int MOST = 30;

  /**
   * @param moulds at least one
   */
  static Series of(Steps one, int moulds) {
    return new Series(one, moulds, each(one, Math.min(MOST, Math.max(PACED, moulds))));
  }

  private static List<Timeline> each(Steps one, int count) {
    String free = free(one.making());
    List<Network.Step> again = StepNetwork.of(again(one.making()), one.plan().workshop().roomC());
    Timeline first = one.timeline();
    List<Network.Step> mould =
        first.network().steps().stream()
            .filter(s -> one.making().stream().anyMatch(m -> m.key().equals(s.key())))
            .toList();
    List<Timeline> all = new ArrayList<>();
    all.add(first.then(mould, first.network().start(), List.of()));
    List<Network.Busy> taken = new ArrayList<>();
    for (int n = 1; n < count; n++) {
      Timeline before = all.get(n - 1);
      taken.addAll(before.taken());
      long begin = before.of(free).end();
      taken.removeIf(b -> b.to() <= begin);
      all.add(first.then(again, begin, taken));
    }
    return List.copyOf(all);
  }

  /** The steps of a further mould. */
  private static List<Step> again(List<Step> making) {
    Set<String> repeated = new HashSet<>();
    making.stream().filter(s -> !once(s)).forEach(s -> repeated.add(s.key()));
    return making.stream()
        .filter(s -> !once(s))
        .map(
            s ->
                s.again(
                    s.key(),
                    s.after().stream().filter(a -> repeated.contains(a.key())).toList(),
                    ""))
        .toList();
  }

  /** The step with which a mould lets go of the master. */
  private static String free(List<Step> making) {
    return making.stream()
        .filter(s -> s.holds().contains(Hold.MASTER))
        .reduce((a, b) -> b)
        .orElse(making.get(making.size() - 1))
        .key();
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
    String free = free(one.making());
    Timeline first = each.get(0);
    int days = first.days(first.of(free).end(), each.get(PACED - 1).of(free).end());
    return (PACED - 1) / (double) Math.max(1, days);
  }

  /** When a mould opens, second of the epoch. */
  private static long opens(Timeline mould) {
    return mould.end();
  }

  /** Hours until the last opens, and the day on which it does. */
  private double lastMin() {
    Timeline last = each.get(Math.min(moulds, each.size()) - 1);
    double beyond = Math.max(0, moulds - each.size()) / perDay();
    return Timeline.minutes(each.get(0).begin(), opens(last)) + beyond * 24 * 60;
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
    double last = lastMin();
    figures.put(
        "moulds.elapsed",
        "until the last opens",
        last,
        Steps.elapsed(each.get(0), each.get(0).begin() + Math.round(60 * last)),
        Working.of("one master, one mould at a time, each begun as soon as the last is open")
            .given("moulds", String.valueOf(moulds), CHOSEN)
            .given("until one is open", Steps.elapsed(one.timeline(), one.open()), COMPUTED)
            .step(
                "Rubber sets through the night; what is done by hand keeps to your hours of work.")
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
            .given("until one is open", Steps.elapsed(one.timeline(), one.open()), COMPUTED)
            .done());
  }
}
