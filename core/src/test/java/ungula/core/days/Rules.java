package ungula.core.days;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;

/**
 * Which rules of a network times break, looked at minute by minute and from the clock on the wall:
 * nothing of how schedules are made is used. Times and networks are in whole minutes, without a
 * temperature.
 */
final class Rules {

  private final Network n;

  /** Minutes from the start that were looked at, and those of them in which work goes on. */
  private final BitSet seen = new BitSet();

  private final BitSet worked = new BitSet();
  private final long longest;

  private Map<String, long[]> times = Map.of();
  private List<String> broken = List.of();

  Rules(Network n) {
    this.n = n;
    this.longest = longest();
  }

  List<String> broken(Schedule s) {
    Map<String, long[]> all = new HashMap<>();
    s.steps().forEach(p -> all.put(p.key(), new long[] {p.from(), p.to()}));
    return broken(all);
  }

  /**
   * @param all begin and end of steps by key; steps without are not looked at
   */
  List<String> broken(Map<String, long[]> all) {
    times = all;
    broken = new ArrayList<>();
    look();
    return broken;
  }

  boolean works(long at) {
    if (at < n.start()) {
      return works(n, at);
    }
    int minute = (int) ((at - n.start()) / 60);
    if (!seen.get(minute)) {
      seen.set(minute);
      worked.set(minute, works(n, at));
    }
    return worked.get(minute);
  }

  private boolean works(long from, long to) {
    for (long at = from; at < to; at += 60) {
      if (!works(at)) {
        return false;
      }
    }
    return true;
  }

  /** Whether the clock on the wall says that work goes on in the minute that begins then. */
  private static boolean works(Network n, long at) {
    ZonedDateTime t = Instant.ofEpochSecond(at).atZone(n.calendar().zone());
    for (int back = 0; back <= 1; back++) {
      var day = t.toLocalDate().minusDays(back);
      if (n.calendar().off().contains(day)) {
        continue;
      }
      var spans =
          n.calendar()
              .dates()
              .getOrDefault(day, n.calendar().week().getOrDefault(day.getDayOfWeek(), List.of()));
      for (Hours.Span s : spans) {
        boolean over = !s.to().isAfter(s.from());
        var time = t.toLocalTime();
        boolean in =
            back == 0
                ? !time.isBefore(s.from()) && (over || time.isBefore(s.to()))
                : over && time.isBefore(s.to());
        if (in) {
          return true;
        }
      }
    }
    return false;
  }

  private long longest() {
    long most = 0;
    for (var spans : n.calendar().week().values()) {
      for (Hours.Span s : spans) {
        most = Math.max(most, s.to().toSecondOfDay() - s.from().toSecondOfDay());
      }
    }
    return most;
  }

  private void look() {
    Map<String, List<Step>> groups = new HashMap<>();
    for (Step s : n.steps()) {
      long[] t = times.get(s.key());
      if (t == null) {
        continue;
      }
      if (!s.unbroken().isEmpty()) {
        groups.computeIfAbsent(s.unbroken(), g -> new ArrayList<>()).add(s);
      }
      long takes = Math.round(60 * s.minutes());
      rule(t[0] >= n.start(), s.key(), " begins before the start");
      rule(s.pinned() == null || t[0] == s.pinned(), s.key(), " is not where it is pinned");
      if (s.hands() && takes > longest && s.unbroken().isEmpty()) {
        long worked = 0;
        for (long at = t[0]; at < t[1]; at += 60) {
          worked += works(at) ? 60 : 0;
        }
        rule(worked == takes && works(t[0]) && works(t[1] - 60), s.key(), " is cut wrongly");
      } else {
        rule(t[1] - t[0] == takes, s.key(), " takes ", (t[1] - t[0]));
        rule(!s.hands() || works(t[0], t[1]), s.key(), " is outside the hours");
      }
      after(s, t);
    }
    groups.values().forEach(this::unbroken);
    shared();
  }

  private void after(Step s, long[] t) {
    long last = Long.MIN_VALUE;
    boolean all = true;
    for (After a : s.after()) {
      long[] o = times.get(a.step());
      if (o == null) {
        all = false;
        continue;
      }
      long ref = o[a.fromBegin() ? 0 : 1];
      last = Math.max(last, ref + Math.round(60 * a.least()));
      boolean within =
          a.greatest() == null ? a.nextDay() == null : t[0] <= ref + Math.round(60 * a.greatest());
      boolean later =
          a.nextDay() != null
              && day(t[0]).isAfter(day(ref))
              && t[0] >= ref + Math.round(60 * a.nextDay());
      rule(within || later, s.key(), " comes too late after ", a.step());
    }
    rule(t[0] >= last, s.key(), " comes too soon");
    boolean waits = !s.hands() && s.unbroken().isEmpty() && !s.after().isEmpty();
    rule(!waits || !all || t[0] == last, s.key(), " waits before it waits");
  }

  private LocalDate day(long at) {
    return Instant.ofEpochSecond(at).atZone(n.calendar().zone()).toLocalDate();
  }

  private void unbroken(List<Step> group) {
    List<long[]> all = group.stream().map(s -> times.get(s.key())).toList();
    for (int i = 1; i < all.size(); i++) {
      rule(all.get(i)[0] == all.get(i - 1)[1], group.get(0).unbroken(), " has a gap");
    }
    rule(
        works(all.get(0)[0], all.get(all.size() - 1)[1]),
        group.get(0).unbroken(),
        " does not lie in one span");
  }

  private void shared() {
    TreeSet<String> names = new TreeSet<>(List.of(Network.PERSON));
    n.steps().forEach(s -> names.addAll(s.holds()));
    for (String name : names) {
      TreeSet<Long> moments = new TreeSet<>();
      times.values().forEach(t -> moments.add(t[0]));
      n.busy().forEach(b -> moments.add(b.from()));
      for (long at : moments) {
        long steps =
            n.steps().stream()
                .filter(s -> s.holds(name) && times.containsKey(s.key()))
                .map(s -> times.get(s.key()))
                .filter(t -> t[0] <= at && t[1] > at)
                .count();
        long others =
            n.busy().stream()
                .filter(b -> b.resource().equals(name) && b.from() <= at && b.to() > at)
                .count();
        rule(steps == 0 || steps + others <= n.capacity(name), "more than there are of ", name);
      }
    }
  }

  /**
   * @param what in words, put together only when it is not kept
   */
  private void rule(boolean kept, Object... what) {
    if (!kept) {
      broken.add(Arrays.stream(what).map(String::valueOf).collect(Collectors.joining()));
    }
  }
}
