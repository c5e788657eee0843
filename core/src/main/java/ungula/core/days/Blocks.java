package ungula.core.days;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Busy;
import ungula.core.days.Network.Step;

/**
 * A network as blocks: a step alone, or a group that runs without a gap. A block has one unknown,
 * when it begins. All that binds blocks but the sharing of resources says "no sooner than", by
 * functions that never fall; so of all times that satisfy it there is an earliest for every block
 * at once, and raising times until nothing asks for more finds it.
 *
 * <p>A wait with several others to wait for begins when the last of them lets it: which one that is
 * is left to the search, as is the order of those who share a resource.
 */
final class Blocks {

  private static final long MINUTE = 60;

  /** No time is later. */
  final long horizon;

  final Network network;
  final Hours hours;

  /** Steps, block by block in the order they run. */
  final List<Step> steps = new ArrayList<>();

  final int[] blockOf;
  private final int[] firstOf;
  final int count;

  /** How long each takes, s; what follows the room at 23 °C. */
  private final long[] takes;

  /** Whether work at it goes on after a break: it is longer than any span of hours. */
  private final boolean[] cut;

  /** After its block, s, where that is always the same; −1 where the room counts. */
  private final long[] offset;

  private final List<Lag> lags = new ArrayList<>();

  /** By resource, the steps that hold it; only what two could want at once. */
  final Map<String, int[]> holders = new LinkedHashMap<>();

  private final Map<String, List<Busy>> busy = new HashMap<>();

  /** When others leave nothing of a resource. */
  private final Map<String, Taken> taken = new HashMap<>();

  /**
   * Step {@code to} begins no sooner than the least lag after {@code from}, and no later than the
   * greatest or on a later day.
   *
   * @param least minutes
   * @param most greatest, null without
   * @param nextDay least for a later day, null when there is no such way
   */
  record Lag(
      int from,
      int to,
      boolean fromBegin,
      Double perTen,
      double least,
      Double most,
      Double nextDay) {}

  /** Which way of two or more a lag is kept. */
  record Kept(Lag lag, How how) {
    enum How {
      /** Just when it lets the other begin. */
      AT_ONCE,
      WITHIN,
      NEXT_DAY
    }
  }

  /** One of two steps that would use the same comes first, or one comes after others' use of it. */
  sealed interface Order {
    /** The step that comes later. */
    int then();

    record Before(int first, int then) implements Order {}

    record NotBefore(long time, int then) implements Order {}
  }

  Blocks(Network network, Hours hours, long horizon) {
    this.network = network;
    this.hours = hours;
    this.horizon = horizon;
    Map<String, List<Step>> groups = new LinkedHashMap<>();
    for (Step s : network.steps()) {
      boolean alone = s.unbroken().isEmpty() || s.done() != null;
      String group = alone ? "step " + s.key() : "group " + s.unbroken();
      groups.computeIfAbsent(group, g -> new ArrayList<>()).add(s);
    }
    List<Integer> blocks = new ArrayList<>();
    List<Integer> firsts = new ArrayList<>();
    for (List<Step> group : groups.values()) {
      firsts.add(steps.size());
      for (Step s : inOrder(group)) {
        blocks.add(firsts.size() - 1);
        steps.add(s);
      }
    }
    firsts.add(steps.size());
    blockOf = blocks.stream().mapToInt(Integer::intValue).toArray();
    firstOf = firsts.stream().mapToInt(Integer::intValue).toArray();
    count = firstOf.length - 1;
    takes = steps.stream().mapToLong(s -> seconds(s.minutes())).toArray();
    cut = new boolean[steps.size()];
    for (int m = 0; m < cut.length; m++) {
      Step s = steps.get(m);
      cut[m] = s.hands() && s.unbroken().isEmpty() && takes[m] > hours.longest();
    }
    offset = offsets();
    lags();
    holders();
    network.busy().stream()
        .filter(b -> b.to() > network.start())
        .forEach(b -> busy.computeIfAbsent(b.resource(), r -> new ArrayList<>()).add(b));
    busy.forEach((name, all) -> taken.put(name, Taken.of(all, network.capacity(name))));
  }

  private long[] offsets() {
    long[] all = new long[steps.size()];
    for (int block = 0; block < count; block++) {
      for (int m = firstOf[block] + 1; m < firstOf[block + 1]; m++) {
        Step before = steps.get(m - 1);
        all[m] = before.perTen() != null || all[m - 1] < 0 ? -1 : all[m - 1] + takes[m - 1];
      }
    }
    return all;
  }

  /** A group in an order in which each comes after those of it that it waits on. */
  private static List<Step> inOrder(List<Step> group) {
    List<Step> left = new ArrayList<>(group);
    List<Step> sorted = new ArrayList<>();
    while (!left.isEmpty()) {
      Step next =
          left.stream()
              .filter(
                  s ->
                      s.after().stream()
                          .noneMatch(a -> left.stream().anyMatch(o -> o.key().equals(a.step()))))
              .findFirst()
              .orElseThrow();
      left.remove(next);
      sorted.add(next);
    }
    return sorted;
  }

  private void lags() {
    Map<String, Integer> at = new HashMap<>();
    for (int m = 0; m < steps.size(); m++) {
      at.put(steps.get(m).key(), m);
    }
    for (int m = 0; m < steps.size(); m++) {
      Step s = steps.get(m);
      if (s.done() != null) {
        // it was done, whatever it should have waited for
        continue;
      }
      boolean one = s.after().size() == 1 && !s.hands();
      for (After a : s.after()) {
        // a wait for one thing begins just when that lets it
        Double most = one ? (Double) a.least() : a.greatest();
        if (one && a.greatest() != null && a.greatest() < a.least()) {
          most = a.greatest();
        }
        lags.add(
            new Lag(at.get(a.step()), m, a.fromBegin(), a.perTen(), a.least(), most, a.nextDay()));
      }
    }
  }

  private void holders() {
    TreeSet<String> names = new TreeSet<>();
    names.add(Network.PERSON);
    steps.forEach(s -> names.addAll(s.holds()));
    for (String name : names) {
      int[] all = new int[steps.size()];
      int n = 0;
      for (int m = 0; m < steps.size(); m++) {
        Step s = steps.get(m);
        if (s.holds(name) && s.minutes() > 0 && s.done() == null) {
          all[n++] = m;
        }
      }
      if (n > 0) {
        holders.put(name, Arrays.copyOf(all, n));
      }
    }
  }

  static long seconds(double minutes) {
    return Math.round(60 * minutes);
  }

  private boolean alone(int m) {
    int block = blockOf[m];
    return firstOf[block + 1] - firstOf[block] == 1;
  }

  /** When a step of a block begins that begins then. */
  long begin(int m, long start) {
    if (offset[m] >= 0) {
      return start + offset[m];
    }
    long at = start;
    for (int i = firstOf[blockOf[m]]; i < m; i++) {
      at = ends(i, at);
    }
    return at;
  }

  long end(int m, long start) {
    return ends(m, begin(m, start));
  }

  private long ends(int m, long begin) {
    Step s = steps.get(m);
    if (s.done() != null) {
      return begin + s.done().to() - s.done().from();
    }
    if (cut[m]) {
      return hours.worked(begin, takes[m]);
    }
    return s.perTen() == null ? begin + takes[m] : network.later(begin, s.minutes(), s.perTen());
  }

  private int last(int block) {
    return firstOf[block + 1] - 1;
  }

  long endOf(int block, long start) {
    return end(last(block), start);
  }

  /** When a lag from a step ends that begins with its block. */
  private long lagged(Lag lag, double minutes, long start) {
    long ref = lag.fromBegin ? begin(lag.from, start) : end(lag.from, start);
    return ref == Long.MAX_VALUE ? ref : network.later(ref, minutes, lag.perTen);
  }

  /** Of each block the beginning at first. */
  long[] atFirst() {
    long[] starts = new long[count];
    Arrays.fill(starts, network.start());
    long first =
        steps.stream()
            .filter(s -> s.done() != null)
            .mapToLong(s -> s.done().from())
            .reduce(network.start(), Math::min);
    for (int m = 0; m < steps.size(); m++) {
      Step s = steps.get(m);
      if (s.done() != null) {
        starts[blockOf[m]] = s.done().from();
      } else if (!s.hands() && alone(m) && !s.after().isEmpty()) {
        // a wait may be under way since something was done
        starts[blockOf[m]] = first;
      }
    }
    return starts;
  }

  /**
   * Raises beginnings until all of it holds.
   *
   * @param starts raised in place; each must be no later than it can be
   * @param orders chosen between those who share
   * @param kept ways chosen to keep lags that could be kept otherwise
   * @param limit no later than {@link #horizon}: nothing is to begin after it
   * @return whether there is a time for all
   */
  boolean settle(long[] starts, List<Order> orders, List<Kept> kept, long limit) {
    boolean raised = true;
    while (raised) {
      raised = false;
      for (int b = 0; b < count; b++) {
        long at = allowed(b, starts[b]);
        raised |= at > starts[b];
        starts[b] = at;
        if (at > limit) {
          return false;
        }
      }
      for (Lag lag : lags) {
        raised |= hold(lag, lag.nextDay == null ? lag.most : null, starts);
      }
      for (Kept k : kept) {
        raised |= hold(k, starts);
      }
      for (Order o : orders) {
        long least =
            o instanceof Order.Before before
                ? end(before.first(), starts[blockOf[before.first()]])
                : ((Order.NotBefore) o).time();
        raised |= raise(blockOf[o.then()], s -> begin(o.then(), s), least, starts);
      }
      for (long s : starts) {
        if (s > limit) {
          return false;
        }
      }
    }
    return true;
  }

  private boolean late(long at) {
    return at > horizon;
  }

  private boolean hold(Lag lag, Double most, long[] starts) {
    int from = blockOf[lag.from];
    int to = blockOf[lag.to];
    boolean raised = raise(to, s -> begin(lag.to, s), lagged(lag, lag.least, starts[from]), starts);
    if (most != null) {
      raised |= raise(from, s -> lagged(lag, most, s), begin(lag.to, starts[to]), starts);
    }
    return raised;
  }

  private boolean hold(Kept k, long[] starts) {
    Lag lag = k.lag;
    return switch (k.how) {
      case AT_ONCE -> hold(lag, lag.least, starts);
      case WITHIN -> hold(lag, lag.most, starts);
      case NEXT_DAY ->
          raise(
              blockOf[lag.to],
              s -> begin(lag.to, s),
              nextDay(lag, starts[blockOf[lag.from]]),
              starts);
    };
  }

  /** From when on a step may begin on a day after the one the other is done, or begun. */
  private long nextDay(Lag lag, long start) {
    long ref = lag.fromBegin ? begin(lag.from, start) : end(lag.from, start);
    if (ref > horizon) {
      return ref;
    }
    long midnight =
        Instant.ofEpochSecond(ref)
            .atZone(network.zone())
            .toLocalDate()
            .plusDays(1)
            .atStartOfDay(network.zone())
            .toEpochSecond();
    return Math.max(midnight, lagged(lag, lag.nextDay, start));
  }

  /** Raises a block's beginning until what follows from it is no earlier than a time. */
  private boolean raise(int block, LongUnaryOperator follows, long least, long[] starts) {
    long start = starts[block];
    if (least > horizon || start > horizon) {
      starts[block] = Math.max(start, Math.min(least, horizon + 1));
      return false;
    }
    long at = follows.applyAsLong(start);
    if (at >= least) {
      return false;
    }
    long high = start;
    while (at < least && high <= horizon) {
      high += Math.max(1, least - at);
      at = follows.applyAsLong(high);
    }
    if (at > least && follows.applyAsLong(high - 1) >= least) {
      long low = start;
      while (high - low > 1) {
        long mid = (low + high) >>> 1;
        if (follows.applyAsLong(mid) < least) {
          low = mid;
        } else {
          high = mid;
        }
      }
    }
    starts[block] = high;
    return true;
  }

  /** From when on a block can stand in the hours, at its pin and beside what others use. */
  private long allowed(int block, long earliest) {
    Network.Done done = steps.get(firstOf[block]).done();
    if (done != null) {
      return earliest > done.from() ? horizon + 1 : done.from();
    }
    long at = earliest;
    long before = -1;
    while (at != before && !late(at)) {
      before = at;
      at = inHours(block, at);
      if (late(at)) {
        return horizon + 1;
      }
      for (int m = firstOf[block]; m <= last(block); m++) {
        long begin = begin(m, at);
        long pin = pin(m);
        if (pin > begin) {
          at += pin - begin;
          begin = begin(m, at);
        }
        if (pin >= 0 && begin > pin) {
          return horizon + 1;
        }
        at += Math.max(0, freeFrom(m, begin, end(m, at)) - begin);
      }
    }
    return at;
  }

  private long pin(int m) {
    Step s = steps.get(m);
    if (network.pinStart() && s == network.steps().get(0)) {
      return network.start();
    }
    return s.pinned() == null ? -1 : s.pinned();
  }

  /** Work by hand begins on a full minute. */
  private long inHours(int block, long earliest) {
    boolean work = false;
    for (int m = firstOf[block]; m <= last(block); m++) {
      work |= steps.get(m).hands();
    }
    if (!work) {
      return earliest;
    }
    long at = -Math.floorDiv(-earliest, MINUTE) * MINUTE;
    int first = firstOf[block];
    if (cut[first]) {
      int span = hours.after(at);
      return span == hours.count() ? horizon + 1 : Math.max(at, hours.from(span));
    }
    // what takes no time may be done as a span ends
    int span = hours.after(endOf(block, at) == at ? at - 1 : at);
    for (; span < hours.count(); span++) {
      long t = Math.max(at, hours.from(span));
      if (t <= hours.to(span) && endOf(block, t) <= hours.to(span)) {
        return t;
      }
    }
    return horizon + 1;
  }

  /** From when on a step that would run from one time to another finds what it holds free. */
  private long freeFrom(int m, long begin, long end) {
    if (end <= begin) {
      return begin;
    }
    if (lacks(steps.get(m)) != null) {
      return horizon + 1;
    }
    long free = begin;
    for (Map.Entry<String, Taken> e : taken.entrySet()) {
      if (steps.get(m).holds(e.getKey())) {
        free = Math.max(free, e.getValue().freeFrom(begin, end));
      }
    }
    return free;
  }

  /** What a step holds and there is none of; null when there is all of it. */
  String lacks(Step s) {
    for (String name : holders.keySet()) {
      if (network.capacity(name) == 0 && s.holds(name) && s.minutes() > 0) {
        return name;
      }
    }
    return null;
  }

  /** How others use a resource at a time. */
  List<Busy> used(String resource, long at) {
    return busy.getOrDefault(resource, List.of()).stream()
        .filter(o -> o.from() <= at && o.to() > at)
        .toList();
  }

  /** The ways to keep the first lag that is not kept either way; none when all are. */
  List<Kept> open(long[] starts) {
    for (Lag lag : lags) {
      long begin = begin(lag.to, starts[blockOf[lag.to]]);
      long from = starts[blockOf[lag.from]];
      boolean within = lag.most != null && begin <= lagged(lag, lag.most, from);
      if (lag.nextDay != null && !within && begin < nextDay(lag, from)) {
        Kept later = new Kept(lag, Kept.How.NEXT_DAY);
        // the way that always is comes first: what is found bounds how far the other is looked for
        return lag.most == null ? List.of(later) : List.of(later, new Kept(lag, Kept.How.WITHIN));
      }
    }
    return idle(starts);
  }

  /** Of a wait for several that begins later than the last of them lets it, which that may be. */
  private List<Kept> idle(long[] starts) {
    for (int m = 0; m < steps.size(); m++) {
      Step s = steps.get(m);
      if (!s.hands() && s.done() == null && s.after().size() > 1 && alone(m)) {
        int wait = m;
        List<Lag> lets = lags.stream().filter(lag -> lag.to == wait).toList();
        long least =
            lets.stream()
                .mapToLong(lag -> lagged(lag, lag.least, starts[blockOf[lag.from]]))
                .max()
                .orElseThrow();
        if (begin(m, starts[blockOf[m]]) > least) {
          return lets.stream().map(lag -> new Kept(lag, Kept.How.AT_ONCE)).toList();
        }
      }
    }
    return List.of();
  }
}
