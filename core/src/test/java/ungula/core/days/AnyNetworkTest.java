package ungula.core.days;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;

/** Networks at random: no rule is ever broken, and what is said to be the soonest is. */
public class AnyNetworkTest {

  private static final long HALF_HOUR = 1800;

  /** Days looked at one by one: in them short hours, so that much does not fit. */
  private static final int DAYS = 4;

  private static Net net(Random r, int most) {
    Net n = Net.week("2027-03-08T0" + (6 + r.nextInt(3)) + ":00");
    for (DayOfWeek d : DayOfWeek.values()) {
      n.on(d, "08:00-10:00", "11:00-13:00");
    }
    if (r.nextInt(4) == 0) {
      n.off("2027-03-09");
    }
    n.has("oven", 1).has("person", 1 + r.nextInt(5) / 4);
    int many = 2 + r.nextInt(most - 1);
    for (int i = 0; i < many; i++) {
      n.add(step(r, i));
    }
    if (r.nextInt(4) == 0) {
      n.busy("person", "2027-03-08T08:30", "2027-03-08T09:30");
      if (r.nextBoolean()) {
        n.busy("person", "2027-03-08T09:30", "2027-03-08T11:30");
        n.busy("oven", "2027-03-08T11:00", "2027-03-09T08:30");
      }
    }
    return n;
  }

  private static Step step(Random r, int i) {
    boolean hands = i == 0 || r.nextInt(3) > 0;
    List<After> after = new ArrayList<>();
    for (int other = 0; other < i; other++) {
      if (r.nextInt(i + 1) == 0 && after.size() < 2) {
        double least = 30 * r.nextInt(4);
        Double greatest = r.nextInt(3) == 0 ? (Double) (least + 30 * r.nextInt(5)) : null;
        boolean nextDay = hands && r.nextInt(6) == 0;
        after.add(
            new After(
                "s" + other,
                least,
                greatest,
                r.nextInt(3) == 0,
                null,
                nextDay ? (Double) (30.0 * r.nextInt(20)) : null));
      }
    }
    if (!hands && after.isEmpty()) {
      after.add(Net.end("s" + (i - 1)));
    }
    double minutes = hands ? 30 * (1 + r.nextInt(r.nextInt(6) == 0 ? 6 : 3)) : 30 * r.nextInt(30);
    boolean grouped = hands && minutes <= 60 && r.nextInt(4) == 0;
    Set<String> holds = r.nextInt(4) == 0 ? Set.of("oven") : Set.of();
    return new Step("s" + i, hands, minutes, null, after, grouped ? "group" : "", holds, null);
  }

  @Test
  public void noRuleIsEverBroken() {
    Random r = new Random(17);
    int feasible = 0;
    for (int i = 0; i < 4_000; i++) {
      Network n = net(r, 8).network();
      Schedule s = Scheduler.earliest(n);
      if (s.feasible()) {
        feasible++;
        assertEquals(String.join("; ", new Rules(n).broken(s)), "", "network " + i + ": " + n);
      }
    }
    assertTrue(feasible > 2_000 && feasible < 4_000, feasible + " can be");
  }

  @Test
  public void smallOnesFinishAsSoonAsCanBe() {
    Random r = new Random(4);
    int found = 0;
    for (int i = 0; i < 400; i++) {
      Network n = net(r, 4).network();
      Schedule s = Scheduler.earliest(n);
      long best = new Exhaustive(n).best();
      long finish = s.feasible() ? s.finish() : Long.MAX_VALUE;
      if (best <= n.start() + DAYS * 86_400L || finish <= n.start() + DAYS * 86_400L) {
        boolean cut = n.steps().stream().anyMatch(o -> o.minutes() > 120 && o.unbroken().isEmpty());
        // what is cut at breaks may do better off the half hours
        if (!cut || finish > best) {
          assertEquals(finish, best, "network " + i + ": " + n.steps() + s);
        }
        assertTrue(s.proven());
        found++;
      }
    }
    assertTrue(found > 150, found + " were compared");
  }

  /** Larger ones than can be gone through, against a constraint solver. */
  @Test
  public void whatIsProvenIsWhatASolverFinds() {
    Random r = new Random(8);
    int found = 0;
    for (int i = 0; i < 1_000; i++) {
      Network n = net(r, 10).network();
      boolean plain =
          n.steps().stream()
              .noneMatch(
                  s ->
                      s.hands() && (s.minutes() > 120 || !s.unbroken().isEmpty())
                          || s.after().stream().anyMatch(a -> a.nextDay() != null));
      Schedule s = plain ? Scheduler.earliest(n) : null;
      if (s != null && s.proven()) {
        long best = Solver.finish(n, 2 * DAYS);
        long finish = s.feasible() ? s.finish() : Long.MAX_VALUE;
        if (best < Long.MAX_VALUE || finish < n.start() + DAYS * 86_400L) {
          assertEquals(finish, best, "network " + i + ": " + n.steps() + s);
          found++;
        }
      }
    }
    assertTrue(found > 100, found + " were compared");
  }

  /** Every time of every step, on the half hours. */
  private static final class Exhaustive {
    private final Network n;
    private final Rules rules;
    private final Map<String, long[]> times = new HashMap<>();
    private final List<Long> work = new ArrayList<>();
    private long best = Long.MAX_VALUE;

    Exhaustive(Network n) {
      this.n = n;
      this.rules = new Rules(n);
      for (long at = n.start(); at < n.start() + DAYS * 86_400L; at += HALF_HOUR) {
        if (rules.works(at)) {
          work.add(at);
        }
      }
    }

    long best() {
      place(0);
      return best;
    }

    private void place(int i) {
      if (i == n.steps().size()) {
        long finish = times.values().stream().mapToLong(t -> t[1]).max().orElseThrow();
        best = Math.min(best, finish);
        return;
      }
      Step s = n.steps().get(i);
      for (long at : begins(s)) {
        long end = end(s, at);
        if (end >= best) {
          break;
        }
        times.put(s.key(), new long[] {at, end});
        if (rules.broken(times).isEmpty()) {
          place(i + 1);
        }
        times.remove(s.key());
      }
    }

    /** A wait begins when it is let, work on any half hour of the hours. */
    private List<Long> begins(Step s) {
      if (s.hands()) {
        return work;
      }
      long last = 0;
      for (After a : s.after()) {
        long[] o = times.get(a.step());
        last = Math.max(last, o[a.fromBegin() ? 0 : 1] + Math.round(60 * a.least()));
      }
      return List.of(last);
    }

    private long end(Step s, long at) {
      long left = Math.round(60 * s.minutes());
      if (!s.hands() || left <= 2 * 3600 || !s.unbroken().isEmpty()) {
        return at + left;
      }
      long end = at;
      while (left > 0 && end < at + 4 * 86_400) {
        left -= rules.works(end) ? 60 : 0;
        end += 60;
      }
      return end;
    }
  }
}
