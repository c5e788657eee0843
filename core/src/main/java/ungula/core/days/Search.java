package ungula.core.days;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import ungula.core.days.Blocks.Kept;
import ungula.core.days.Blocks.Order;
import ungula.core.days.Network.Busy;

/**
 * Branch and bound over what {@link Blocks} leaves open. Where more would share a resource than
 * there are, one of them comes before another: each such order is tried, the one that promises more
 * first. Beginnings only rise as orders are added, so what is found too late already is given up.
 */
final class Search {

  /** Orders tried before the best found so far is taken without proof. */
  private static final int MOST_TRIED = 4_000;

  /** Orders tried before it is given up to find any. */
  private static final int MOST_TO_FIND = 40_000;

  /** What is looked for first. */
  enum Aim {
    /** That all is finished soonest, then with the fewest gaps, then each step soonest. */
    FINISH,
    /** That the first step begins soonest. */
    BEGIN
  }

  /** Of orders that finish as soon as the best, so many are looked at for fewer gaps. */
  private static final int MOST_ALIKE = 200;

  private final Blocks blocks;
  private final Aim aim;
  private int tried;
  private int alike;

  private long[] best;
  private List<Order> orders = List.of();
  private List<Kept> ways = List.of();
  private long[] worth;

  private Search(Blocks blocks, Aim aim) {
    this.blocks = blocks;
    this.aim = aim;
  }

  /**
   * @param starts of each block; null when none was found
   * @param proven whether nothing better can be, or none at all
   */
  record Found(long[] starts, boolean proven) {
    boolean none() {
      return starts == null;
    }
  }

  static Found of(Blocks blocks, Aim aim) {
    Search s = new Search(blocks, aim);
    s.look(blocks.atFirst(), List.of(), List.of());
    if (s.best != null && aim == Aim.FINISH) {
      s.closeGaps();
    }
    return new Found(s.best, s.tried <= MOST_TRIED || s.best == null && s.tried <= MOST_TO_FIND);
  }

  private void look(long[] above, List<Order> chosen, List<Kept> kept) {
    if (tried > MOST_TRIED && best != null || tried > MOST_TO_FIND) {
      return;
    }
    tried++;
    long[] starts = above.clone();
    if (!blocks.settle(starts, chosen, kept, limit()) || !promises(starts)) {
      return;
    }
    List<Order> open = conflict(starts);
    if (!open.isEmpty()) {
      branch(starts, chosen, kept, open);
      return;
    }
    List<Kept> either = blocks.open(starts);
    if (!either.isEmpty()) {
      for (Kept way : either) {
        look(starts, chosen, with(kept, way));
      }
      return;
    }
    long[] now = worth(starts);
    if (best == null || Arrays.compare(now, worth) < 0) {
      best = starts;
      worth = now;
      orders = chosen;
      ways = kept;
    }
  }

  /** What begins later is no better than what was found. */
  private long limit() {
    return best == null || aim != Aim.FINISH ? blocks.horizon : Math.min(blocks.horizon, worth[0]);
  }

  private void branch(long[] starts, List<Order> chosen, List<Kept> kept, List<Order> open) {
    List<long[]> promised = new ArrayList<>();
    for (int i = 0; i < open.size(); i++) {
      long[] s = starts.clone();
      if (blocks.settle(s, with(chosen, open.get(i)), kept, limit())) {
        promised.add(new long[] {first(s), sum(s), i});
      }
    }
    promised.sort((a, b) -> Arrays.compare(a, b));
    for (long[] p : promised) {
      look(starts, with(chosen, open.get((int) p[2])), kept);
    }
  }

  private static <T> List<T> with(List<T> all, T one) {
    List<T> more = new ArrayList<>(all.size() + 1);
    more.addAll(all);
    more.add(one);
    return more;
  }

  /** Whether something better may follow; of what is just as soon only some is looked at. */
  private boolean promises(long[] starts) {
    if (best == null) {
      return true;
    }
    long least = Math.max(first(starts), aim == Aim.FINISH ? worked(starts) : 0);
    return least < worth[0] || least == worth[0] && ++alike <= MOST_ALIKE;
  }

  /** When all hands-on work can be done at the soonest, by as many as there are. */
  private long worked(long[] starts) {
    List<long[]> work = new ArrayList<>();
    for (int m : blocks.holders.getOrDefault(Network.PERSON, new int[0])) {
      long begin = blocks.begin(m, starts[blocks.blockOf[m]]);
      work.add(new long[] {begin, Blocks.seconds(blocks.steps.get(m).minutes())});
    }
    work.sort((a, b) -> Long.compare(b[0], a[0]));
    int many = blocks.network.capacity(Network.PERSON);
    long least = 0;
    long sum = 0;
    for (long[] w : work) {
      sum += w[1];
      least = Math.max(least, blocks.hours.worked(w[0], sum / many));
    }
    return least;
  }

  /** What is aimed at first. */
  private long first(long[] starts) {
    return aim == Aim.FINISH ? finish(starts) : starts[blocks.blockOf[firstStep()]];
  }

  private int firstStep() {
    return blocks.steps.indexOf(blocks.network.steps().get(0));
  }

  private long finish(long[] starts) {
    long finish = 0;
    for (int b = 0; b < blocks.count; b++) {
      finish = Math.max(finish, blocks.endOf(b, starts[b]));
    }
    return finish;
  }

  private static long sum(long[] starts) {
    return Arrays.stream(starts).sum();
  }

  private long[] worth(long[] starts) {
    long gaps = aim == Aim.FINISH ? gaps(starts) : 0;
    return new long[] {first(starts), gaps, sum(starts)};
  }

  /** How often hands lie idle, in hours of work, between two steps by hand. */
  private long gaps(long[] starts) {
    List<long[]> work = new ArrayList<>();
    for (int m = 0; m < blocks.steps.size(); m++) {
      if (blocks.steps.get(m).hands()) {
        long s = starts[blocks.blockOf[m]];
        work.add(new long[] {blocks.begin(m, s), blocks.end(m, s)});
      }
    }
    work.sort((a, b) -> Long.compare(a[0], b[0]));
    long gaps = 0;
    long until = work.isEmpty() ? 0 : work.get(0)[1];
    for (long[] w : work) {
      if (w[0] > until && blocks.hours.between(until, w[0]) > 0) {
        gaps++;
      }
      until = Math.max(until, w[1]);
    }
    return gaps;
  }

  /**
   * The first time too many want the same; the orders that would mend it, none when all is well.
   */
  private List<Order> conflict(long[] starts) {
    long[] begins = new long[blocks.steps.size()];
    long[] ends = new long[begins.length];
    for (int m = 0; m < begins.length; m++) {
      long start = starts[blocks.blockOf[m]];
      begins[m] = blocks.begin(m, start);
      ends[m] = blocks.end(m, start);
    }
    long soonest = Long.MAX_VALUE;
    List<Integer> of = List.of();
    List<Busy> others = List.of();
    for (Map.Entry<String, int[]> e : blocks.holders.entrySet()) {
      int[] holders = e.getValue();
      for (long at : moments(e.getKey(), holders, begins)) {
        if (at >= soonest) {
          continue;
        }
        List<Integer> together = new ArrayList<>();
        for (int o : holders) {
          if (begins[o] <= at && ends[o] > at) {
            together.add(o);
          }
        }
        int capacity = blocks.network.capacity(e.getKey());
        // of what there is one of, nothing stands where others use it
        List<Busy> used = capacity == 1 ? List.of() : blocks.used(e.getKey(), at);
        int room = Math.max(0, capacity - used.size());
        if (together.size() > room) {
          soonest = at;
          of = together.subList(0, room + 1);
          others = used;
        }
      }
    }
    return orders(of, others);
  }

  /** When use of a resource may become more. */
  private long[] moments(String resource, int[] holders, long[] begins) {
    LongStream own = Arrays.stream(holders).mapToLong(m -> begins[m]);
    return blocks.network.capacity(resource) == 1
        ? own.toArray()
        : LongStream.concat(
                own,
                blocks.network.busy().stream()
                    .filter(b -> b.resource().equals(resource))
                    .mapToLong(Busy::from))
            .toArray();
  }

  private List<Order> orders(List<Integer> of, List<Busy> others) {
    List<Order> orders = new ArrayList<>();
    for (int a : of) {
      for (int b : of) {
        if (blocks.blockOf[a] != blocks.blockOf[b]) {
          orders.add(new Order.Before(a, b));
        }
      }
    }
    others.stream()
        .mapToLong(Busy::to)
        .min()
        .ifPresent(end -> of.forEach(m -> orders.add(new Order.NotBefore(end, m))));
    return orders;
  }

  /** Moves work up to what follows it where that leaves fewer gaps and finishes no later. */
  private void closeGaps() {
    boolean closed = true;
    while (closed && worth[1] > 0) {
      closed = false;
      for (int b = blocks.count - 1; b >= 0 && !closed; b--) {
        closed = closeAfter(b);
      }
    }
  }

  private boolean closeAfter(int block) {
    long end = blocks.endOf(block, best[block]);
    long next = Long.MAX_VALUE;
    for (int m = 0; m < blocks.steps.size(); m++) {
      long begin = blocks.begin(m, best[blocks.blockOf[m]]);
      if (blocks.steps.get(m).hands() && blocks.blockOf[m] != block && begin > end) {
        next = Math.min(next, begin);
      }
    }
    if (next == Long.MAX_VALUE) {
      return false;
    }
    long[] starts = best.clone();
    starts[block] += next - end;
    if (!blocks.settle(starts, orders, ways, limit())
        || !conflict(starts).isEmpty()
        || !blocks.open(starts).isEmpty()) {
      return false;
    }
    long[] now = worth(starts);
    if (now[0] > worth[0] || now[1] >= worth[1]) {
      return false;
    }
    best = starts;
    worth = now;
    return true;
  }
}
