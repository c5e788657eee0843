package ungula.core.days;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;
import ungula.core.days.Schedule.Planned;
import ungula.core.days.Search.Aim;
import ungula.core.days.Search.Found;
import ungula.core.quantity.Timespan;

/**
 * The earliest schedule of a network inside the hours of a calendar (handbook 6.2): first the
 * finish, which is proven the soonest where the search ends; then few gaps between work by hand,
 * which is not proven; then each step as early as can be.
 *
 * <p>The same network gives the same schedule.
 */
public final class Scheduler {

  private static final long DAY = 24 * 3600;

  /**
   * What does not fit within so many days after the last that is not like others of the week does
   * not fit later either; but for the night the clocks change, which nobody waits for.
   */
  private static final long AHEAD_DAYS = 40;

  /** How far another start is looked for before the one wanted. */
  private static final long BACK_DAYS = 14;

  private final Network network;
  private final Hours hours;
  private final long horizon;

  private Scheduler(Network network) {
    this.network = network;
    long work = 0;
    long last = Math.max(network.start(), network.room().last());
    for (Step s : network.steps()) {
      work += Blocks.seconds(s.minutes()) + s.after().stream().mapToLong(Scheduler::least).sum();
      last = s.pinned() == null ? last : Math.max(last, s.pinned());
    }
    for (Network.Busy b : network.busy()) {
      last = Math.max(last, b.to());
    }
    LocalDate day = network.calendar().last(day(last));
    this.horizon = day.plusDays(AHEAD_DAYS).atStartOfDay(network.zone()).toEpochSecond() + 8 * work;
    LocalDate first = day(network.start()).minusDays(BACK_DAYS + 1);
    this.hours = Hours.of(network.calendar(), first, day(horizon).plusDays(1));
  }

  private static long least(After after) {
    return Blocks.seconds(Math.max(0, after.least()));
  }

  private LocalDate day(long at) {
    return Instant.ofEpochSecond(at).atZone(network.zone()).toLocalDate();
  }

  /**
   * @throws IllegalArgumentException when the network says something that cannot be meant: a step
   *     named twice, one that waits on what is not there, steps in a circle
   */
  public static Schedule of(Network network) {
    check(network);
    return new Scheduler(network).schedule();
  }

  /**
   * The same without what else could be: no latest start, no rule and no other start is looked for.
   */
  public static Schedule earliest(Network network) {
    check(network);
    Scheduler s = new Scheduler(network);
    Found found = s.find(network, Aim.FINISH);
    return found.none()
        ? new Schedule(false, null, List.of(), null, "", null, null, found.proven())
        : s.made(found, null);
  }

  private static void check(Network network) {
    Set<String> keys = new HashSet<>();
    for (Step s : network.steps()) {
      if (!keys.add(s.key())) {
        throw new IllegalArgumentException("There are two steps called " + s.key() + ".");
      }
    }
    Map<String, Step> left = new HashMap<>();
    for (Step s : network.steps()) {
      left.put(s.key(), s);
      for (After a : s.after()) {
        if (!keys.contains(a.step())) {
          throw new IllegalArgumentException(
              s.key() + " waits on " + a.step() + ", which is not there.");
        }
      }
    }
    boolean some = true;
    while (some) {
      some =
          left.values()
              .removeIf(s -> s.after().stream().noneMatch(a -> left.containsKey(a.step())));
    }
    if (!left.isEmpty()) {
      throw new IllegalArgumentException(Blocks.round(List.copyOf(left.values())));
    }
  }

  private Schedule schedule() {
    if (network.steps().isEmpty()) {
      return new Schedule(true, network.start(), List.of(), network.start(), "", null, null, true);
    }
    Found found = find(network, Aim.FINISH);
    if (found.none()) {
      String rule = found.proven() ? rule() : "No schedule was found; there may be one.";
      return new Schedule(
          false, null, List.of(), null, rule, begin(network.start()), last(), found.proven());
    }
    long finish = made(found, null).finish();
    return made(found, latest(finish));
  }

  private Schedule made(Found found, Long latest) {
    List<Planned> planned = planned(blocks(network), found.starts());
    long finish = planned.stream().mapToLong(Planned::to).max().orElseThrow();
    return new Schedule(true, finish, planned, latest, "", null, null, found.proven());
  }

  private Blocks blocks(Network n) {
    return new Blocks(n, hours, horizon);
  }

  private Found find(Network n, Aim aim) {
    return Search.of(blocks(n), aim);
  }

  private List<Planned> planned(Blocks blocks, long[] starts) {
    List<Planned> all = new ArrayList<>();
    for (Step s : network.steps()) {
      int m = blocks.steps.indexOf(s);
      long start = starts[blocks.blockOf[m]];
      all.add(new Planned(s.key(), blocks.begin(m, start), blocks.end(m, start)));
    }
    return all;
  }

  /** When all is finished of what begins no earlier than a time. */
  private Long finish(long start) {
    Network n = network.from(start, false);
    Found found = find(n, Aim.FINISH);
    return found.none()
        ? null
        : (Long)
            planned(blocks(n), found.starts()).stream().mapToLong(Planned::to).max().orElseThrow();
  }

  /** The latest start for which it is finished just as soon. */
  private long latest(long finish) {
    long low = network.start();
    long high = finish;
    while (high - low > 1) {
      long mid = (low + high) >>> 1;
      Long at = finish(mid);
      if (at != null && at <= finish) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return low;
  }

  /** When the first step can begin at or after a time; null when never. */
  private Long begin(long start) {
    Network n = network.from(start, false);
    Blocks blocks = blocks(n);
    Found found = Search.of(blocks, Aim.BEGIN);
    if (found.none()) {
      return null;
    }
    int m = blocks.steps.indexOf(n.steps().get(0));
    return blocks.begin(m, found.starts()[blocks.blockOf[m]]);
  }

  /** The last time before the start wanted at which the first step can begin; null when none. */
  private Long last() {
    long high = network.start();
    long low = high - BACK_DAYS * DAY;
    Long first = begin(low);
    if (first == null || first >= high) {
      return null;
    }
    while (high - low > 1) {
      long mid = (low + high) >>> 1;
      Long at = begin(mid);
      if (at != null && at < network.start()) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return begin(low);
  }

  /** The first rule without which it could be done. */
  private String rule() {
    if (hours.count() == 0) {
      return "There are no hours of work in the calendar.";
    }
    for (Step s : network.steps()) {
      String group = s.unbroken();
      if (!group.isEmpty()) {
        List<Step> all = network.steps().stream().filter(o -> o.unbroken().equals(group)).toList();
        Network alone = network.with(all.stream().map(o -> freed(o, all)).toList());
        if (find(alone.from(network.start(), false), Aim.FINISH).none()) {
          return group
              + " takes "
              + Timespan.formatMin(all.stream().mapToDouble(Step::minutes).sum())
              + " without a break; no hours of work are that long (the longest are "
              + Timespan.formatMin(hours.longest() / 60.0)
              + ").";
        }
      }
    }
    if (network.pinStart() && pinnedAlone(network.steps().get(0), network.start()) != null) {
      return pinnedAlone(network.steps().get(0), network.start());
    }
    for (Step s : network.steps()) {
      if (s.pinned() != null && pinnedAlone(s, s.pinned()) != null) {
        return pinnedAlone(s, s.pinned());
      }
    }
    for (Step s : network.steps()) {
      for (After a : s.after()) {
        if (a.greatest() != null && !find(without(s, a), Aim.FINISH).none()) {
          return s.key()
              + " cannot begin within "
              + Timespan.formatMin(a.greatest())
              + " after "
              + a.step()
              + (a.fromBegin() ? " began" : " ended")
              + " in the hours of work.";
        }
      }
    }
    for (Step s : network.steps()) {
      if (s.pinned() != null && !find(unpinned(s), Aim.FINISH).none()) {
        return s.key() + " cannot begin just when it is pinned.";
      }
    }
    return "The windows between the steps cannot all be kept in the hours of work.";
  }

  /** A step of a group without what others it waits on. */
  private static Step freed(Step s, List<Step> group) {
    Set<String> keys = new HashSet<>();
    group.forEach(o -> keys.add(o.key()));
    return new Step(
        s.key(),
        s.hands(),
        s.minutes(),
        s.at23(),
        s.after().stream().filter(a -> keys.contains(a.step())).toList(),
        s.unbroken(),
        s.holds(),
        null);
  }

  /** What keeps a step by itself from beginning when it is pinned; null when nothing does. */
  private String pinnedAlone(Step s, long at) {
    Step alone = new Step(s.key(), s.hands(), s.minutes(), s.at23(), List.of(), "", s.holds(), at);
    Network n = network.with(List.of(alone)).from(Math.min(at, network.start()), false);
    if (at < network.start()) {
      return s.key() + " is pinned to a time before the start.";
    }
    return !find(n, Aim.FINISH).none()
        ? null
        : s.key() + " cannot begin at that time: it does not fit in the hours of work then.";
  }

  private Network without(Step step, After after) {
    return network.with(
        network.steps().stream()
            .map(
                s ->
                    s == step
                        ? with(s, s.after().stream().map(a -> a == after ? open(a) : a).toList())
                        : s)
            .toList());
  }

  private static After open(After a) {
    return new After(a.step(), a.least(), null, a.fromBegin(), a.at23());
  }

  private static Step with(Step s, List<After> after) {
    return new Step(
        s.key(), s.hands(), s.minutes(), s.at23(), after, s.unbroken(), s.holds(), s.pinned());
  }

  private Network unpinned(Step step) {
    return network.with(
        network.steps().stream()
            .map(
                s ->
                    s == step
                        ? new Step(
                            s.key(),
                            s.hands(),
                            s.minutes(),
                            s.at23(),
                            s.after(),
                            s.unbroken(),
                            s.holds(),
                            null)
                        : s)
            .toList());
  }
}
