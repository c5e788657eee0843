package ungula.core.run;

import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.RunPlan.Task;

/** Does at a bench what is next, one after the other, as somebody would who does it right. */
public final class Maker {

  /** No mould takes more. */
  private static final int MOST = 2_000;

  public final Bench bench;
  public Instant now;

  public Maker(RunPlan plan, Instant from) {
    this.bench = new Bench(plan, List.of());
    this.now = from;
  }

  public Task next() {
    return bench.state().next(now).orElse(null);
  }

  /** Does what is next until that is something; null at the end. */
  public Task until(String key) throws Bench.Refused {
    for (int i = 0; i < MOST; i++) {
      Task t = next();
      if (t == null || t.key().endsWith(key)) {
        return t;
      }
      does(t);
    }
    throw new AssertionError("It does not come to an end: " + next());
  }

  public void does(Task t) throws Bench.Refused {
    Instant opens = bench.state().window(t, now).opens();
    now = opens != null && opens.isAfter(now) ? opens : now;
    switch (t.kind()) {
      case GATE -> bench.gate(now, t.key(), false);
      case VERDICT -> bench.judge(now, t.key(), true);
      case WEIGH -> weigh();
      case LEVEL -> {
        RunState s = bench.state();
        RunPlan.Batch b = bench.plan().batch(t.batch()).orElseThrow();
        bench.level(now, b.rise().mm(s.pouredMm3(b).orElseThrow()));
      }
      case WAIT -> {
        Instant over = bench.state().over(t).orElseThrow();
        assertTrue(!over.isBefore(now), t.key() + " is over and still next");
        now = over;
      }
      default -> {
        now = now.plusMillis(Math.round(60_000 * t.minutes()));
        bench.tick(now, t.key());
      }
    }
  }

  private void weigh() throws Bench.Refused {
    Progress p = bench.state().current().orElseThrow();
    Ingredient part = bench.state().pouring().orElseThrow();
    now = now.plusSeconds(60);
    bench.typed(now, p.targetG(part));
  }
}
