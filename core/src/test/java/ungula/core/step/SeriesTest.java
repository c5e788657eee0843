package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.Near;
import ungula.core.step.Step.Hold;
import ungula.core.step.Timeline.Span;

/** Several moulds of one master, of many plans. */
public class SeriesTest {

  private static final List<String> ONCE = List.of("master", "fix", "board");

  private static boolean once(Step s) {
    return ONCE.contains(s.key().split("\\.")[0]);
  }

  private static List<Steps> plans() {
    Random random = new Random(17);
    return java.util.stream.Stream.generate(() -> AnyPlan.any(random).plan().steps())
        .limit(60)
        .filter(Steps::whole)
        .toList();
  }

  /** The master is made ready once; every mould after the first does the rest again. */
  @Test
  public void theMasterIsMadeReadyOnce() {
    for (Steps one : plans()) {
      double once = 0;
      double again = 0;
      for (Step s : one.making()) {
        double min = s.byHand() ? s.takes().minutes() : 0;
        once += once(s) ? min : 0;
        again += once(s) ? 0 : min;
      }
      Near.relative(Series.of(one, 5).handsMin(), once + 5 * again, 1e-9);
    }
  }

  /** No mould is begun on the master before the last has let go of it; days and nights count. */
  @Test
  public void theMasterIsInOneMouldAtATime() {
    for (Steps one : plans()) {
      Timeline line = Series.of(one, 4).timeline();
      Step last = null;
      for (Step s : one.making()) {
        last = s.holds().contains(Hold.MASTER) ? s : last;
      }
      for (int n = 2; n <= 4; n++) {
        double free = line.of(last.key() + (n == 2 ? "" : "#" + (n - 1))).endMin();
        for (Step s : one.making()) {
          Span at = line.of(s.key() + "#" + n);
          assertEquals(at == null, once(s), s.key());
          assertTrue(at == null || at.beginMin() >= free - 1e-6, s.key() + " of " + n);
        }
      }
      // each takes no less than the first did once its master was ready
      double first = one.openMin();
      assertTrue(line.endMin() > first, "ends with the first");
      assertFalse(line.endMin() > 4 * (first + 2 * Timeline.DAY_MIN), first + " " + line.endMin());
    }
  }
}
