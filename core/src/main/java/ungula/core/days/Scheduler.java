package ungula.core.days;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

  /** Nobody plans further; whatever asks for more cannot be. */
  private static final long MOST_YEARS = 30;

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
    long ahead = day.plusDays(AHEAD_DAYS).atStartOfDay(network.zone()).toEpochSecond();
    this.horizon = Math.min(ahead + 8 * work, network.start() + MOST_YEARS * 366 * DAY);
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
    if (network.steps().isEmpty()) {
      return nothing(network);
    }
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
    Map<String, Step> left = new LinkedHashMap<>();
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
      throw new IllegalArgumentException(
          "Steps wait on each other in a circle: " + String.join(", ", left.keySet()) + ".");
    }
  }

  private static Schedule nothing(Network n) {
    return new Schedule(true, n.start(), List.of(), n.start(), "", null, null, true);
  }

  private Schedule schedule() {
    if (network.steps().isEmpty()) {
      return nothing(network);
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
    return new Schedule(true, finish(planned), planned, latest, "", null, null, found.proven());
  }

  private Blocks blocks(Network n) {
    return new Blocks(n, hours, horizon);
  }

  private Found find(Network n, Aim aim) {
    return Search.of(blocks(n), aim);
  }

  private static long finish(List<Planned> planned) {
    return planned.stream().mapToLong(Planned::to).max().orElseThrow();
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

  /** When all is finished of what begins no earlier than a time; null when it cannot be. */
  private Long finish(long start) {
    Network n = network.from(start, false);
    Found found = find(n, Aim.FINISH);
    return found.none() ? null : (Long) finish(planned(blocks(n), found.starts()));
  }

  /** The latest start for which it is finished just as soon. */
  private long latest(long finish) {
    long low = network.start();
    long high = finish;
    // work by hand begins on full minutes: only a wait could begin in between
    boolean waits = network.steps().stream().anyMatch(s -> !s.hands() && s.after().isEmpty());
    long exact = waits ? 1 : 60;
    while (high - low > exact) {
      long mid = low + (high - low) / 2 / exact * exact;
      if (mid == low) {
        break;
      }
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
    Blocks blocks = blocks(network);
    for (Step s : network.steps()) {
      if (blocks.lacks(s) != null) {
        return s.key() + " needs what there is none of: " + blocks.lacks(s) + ".";
      }
    }
    return Stream.<Supplier<String>>of(
            this::tooLong, this::pinnedOut, this::windowMissed, this::pinMissed)
        .map(Supplier::get)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse("The windows between the steps cannot all be kept in the hours of work.");
  }

  private boolean can(Network n) {
    return !find(n, Aim.FINISH).none();
  }

  /** A group that no span of hours is long enough for; null without. */
  private String tooLong() {
    Map<String, List<Step>> groups = new LinkedHashMap<>();
    network.steps().stream()
        .filter(s -> !s.unbroken().isEmpty())
        .forEach(s -> groups.computeIfAbsent(s.unbroken(), g -> new ArrayList<>()).add(s));
    for (Map.Entry<String, List<Step>> group : groups.entrySet()) {
      List<Step> all = group.getValue();
      Set<String> keys = all.stream().map(Step::key).collect(Collectors.toSet());
      List<Step> alone =
          all.stream()
              .map(
                  s ->
                      s.waitingOn(s.after().stream().filter(a -> keys.contains(a.step())).toList()))
              .map(s -> s.pinnedTo(null))
              .toList();
      if (!can(network.with(alone).from(network.start(), false))) {
        return group.getKey()
            + " takes "
            + Timespan.formatMin(all.stream().mapToDouble(Step::minutes).sum())
            + " without a break; no hours of work are that long (the longest are "
            + Timespan.formatMin(hours.longest() / 60.0)
            + ").";
      }
    }
    return null;
  }

  /** A step that by itself cannot begin when it is pinned; null without. */
  private String pinnedOut() {
    for (Step s : network.steps()) {
      boolean first = network.pinStart() && s == network.steps().get(0);
      Long at = first ? (Long) network.start() : s.pinned();
      if (at != null && at < network.start()) {
        return s.key() + " is pinned to a time before the start.";
      }
      Step alone = s.waitingOn(List.of()).pinnedTo(at);
      if (at != null && !can(network.with(List.of(alone)).from(network.start(), false))) {
        return s.key() + " cannot begin at that time: it does not fit in the hours of work then.";
      }
    }
    return null;
  }

  /** A window that would have to stay open longer; null when no one alone helps. */
  private String windowMissed() {
    for (Step s : network.steps()) {
      for (After a : s.after()) {
        After open = new After(a.step(), a.least(), null, a.fromBegin(), a.perTen());
        List<After> others = s.after().stream().map(o -> o == a ? open : o).toList();
        if (a.greatest() != null && can(but(s, s.waitingOn(others)))) {
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
    return null;
  }

  /** A pin without which it could be; null when no one alone helps. */
  private String pinMissed() {
    for (Step s : network.steps()) {
      if (s.pinned() != null && can(but(s, s.pinnedTo(null)))) {
        return s.key() + " cannot begin just when it is pinned.";
      }
    }
    return null;
  }

  private Network but(Step step, Step instead) {
    return network.with(network.steps().stream().map(s -> s == step ? instead : s).toList());
  }
}
