package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.AnyPlans;
import ungula.core.Near;
import ungula.core.step.Step.Hold;
import ungula.core.step.Timeline.Kept;
import ungula.core.step.Timeline.Span;
import ungula.core.working.FigureBook;

/** Several moulds of one master, of many plans. */
public class SeriesTest {

  private static final List<String> ONCE = List.of("master", "fix", "board");

  private static boolean once(Step s) {
    return ONCE.contains(s.key().split("\\.")[0]);
  }

  private static List<Steps> plans() {
    return AnyPlans.first(60).stream().map(p -> p.plan().steps()).filter(Steps::whole).toList();
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

  /** No mould is begun before the last has let go of the master, nor are hands in two. */
  @Test
  public void theMasterIsInOneMouldAtATime() {
    for (Steps one : plans()) {
      List<Timeline> each = Series.of(one, 4).each();
      String last = null;
      for (Step s : one.making()) {
        last = s.holds().contains(Hold.MASTER) ? s.key() : last;
      }
      List<Span> hands = new ArrayList<>();
      for (int n = 1; n <= 4; n++) {
        Timeline mould = each.get(n - 1);
        for (Step s : one.making()) {
          Span at = mould.of(s.key());
          assertEquals(at == null, n > 1 && once(s), s.key());
          if (at != null && n > 1) {
            assertTrue(at.begin() >= each.get(n - 2).of(last).end(), s.key() + " of " + n);
          }
          if (at != null && s.byHand() && at.end() > at.begin() && mould.kept() == Kept.HOURS) {
            hands.add(at);
          }
        }
      }
      hands.sort(Comparator.comparingLong(Span::begin));
      for (int i = 1; i < hands.size(); i++) {
        assertTrue(hands.get(i).begin() >= hands.get(i - 1).end(), hands.toString());
      }
    }
  }

  /** A thousand are not made one by one, and come at the pace of those that are. */
  @Test
  public void manyComeAtTheirPace() {
    Steps one = plans().get(0);
    assertEquals(Series.of(one, 500).each().size(), 30);
    FigureBook few = one.plan().figures();
    Series.of(one, 30).show(few);
    FigureBook many = one.plan().figures();
    Series.of(one, 300).show(many);
    assertTrue(many.value("moulds.elapsed") > 5 * few.value("moulds.elapsed"));
  }
}
