package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Collections;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.days.Diary;
import ungula.core.skin.Recoat;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinClock;
import ungula.core.skin.SkinClock.Brushing;
import ungula.core.skin.SkinClock.Times;
import ungula.core.step.Step.After;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Workshop;

public class CoatClockTest {

  private static final Takes NONE = Takes.of(0, Given.Source.CHOSEN, "");

  /** Gels in an hour, sticky until two, set in five. */
  private static final Times RUBBER = new Times(60, 120, 300);

  private static SkinClock clock(Skin skin, Times rubber, double... brushMin) {
    return clock(skin, brushMin, Collections.nCopies(brushMin.length, rubber));
  }

  /** Read off the steps of coats that take so long to brush on. */
  private static SkinClock clock(Skin skin, double[] brushMin, List<Times> rubber) {
    StepList steps = new StepList(Workshop.DEFAULT);
    for (int n = 1; n <= brushMin.length; n++) {
      Takes takes = Takes.of(brushMin[n - 1], Given.Source.CHOSEN, "");
      StepList.Making weigh =
          steps.hands(SkinProcedure.key(n) + ".weigh", NONE, "weigh").unbroken("coat." + n);
      if (n > 1) {
        weigh.after(SkinProcedure.follows(n - 1, rubber.get(n - 2), skin.after(n - 1), 2));
      }
      weigh.add();
      steps.hands(SkinProcedure.key(n) + ".brush", takes, "brush").unbroken("coat." + n).add();
    }
    double set = rubber.get(rubber.size() - 1).setMin();
    String last = SkinProcedure.key(brushMin.length) + ".weigh";
    steps
        .wait("coat.cure", Takes.of(set, Given.Source.SHEET, ""), "cure")
        .after(After.begin(last, 0))
        .add();
    return CoatClock.clock(NineHours.line(steps.all()), skin, rubber.size());
  }

  /** Minutes from when work began on the first day. */
  private static double min(long time) {
    return Timeline.minutes(Diary.PLAIN.morning(), time);
  }

  @Test
  public void whileItIsTackyTheNextGoesOnFromGelToOpenLimit() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20);
    Brushing first = c.coats().get(0);
    assertEquals(min(first.to()), 20.0);
    assertEquals(min(first.opens()), 60.0);
    assertEquals(min(first.closes()), 120.0);
    assertEquals(c.window(first), "9:00 to 10:00");
    assertEquals(min(c.coats().get(1).from()), 60.0);
    assertEquals(c.window(c.coats().get(2)), "");
    assertEquals(min(c.cured()), 120.0 + 300);
    assertEquals(c.days(), 1);
    assertFalse(first.late());
    assertEquals(c.brushed(first), "Mon 8:00 to 8:20");
  }

  /** After a coat that takes longer than the rubber stays sticky, the next waits for a night. */
  @Test
  public void brushedTooSlowlyTheNextWaitsForANight() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 150, 20);
    assertTrue(c.coats().get(0).late());
    assertEquals(c.window(c.coats().get(0)), "from Tue 8:00");
    assertTrue(c.coats().get(0).missed().contains("massaged"));
    assertFalse(clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 150, 20).coats().get(0).late());
  }

  @Test
  public void overSetRubberItWaitsUntilThatCanBeHandled() {
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 20, 20, 20);
    assertEquals(min(c.coats().get(1).from()), 300.0);
    // the gap after it is as all others
    assertEquals(c.coats().get(1).next(), Recoat.TACKY);
    assertEquals(min(c.coats().get(2).from()), 360.0);
  }

  @Test
  public void aNightBeginsTheNextDayInTheMorning() {
    SkinClock c = clock(Skin.USUAL.after(2, Recoat.NEXT_DAY), RUBBER, 20, 20, 20, 20);
    assertEquals(min(c.coats().get(2).from()), 24 * 60.0);
    assertEquals(c.window(c.coats().get(1)), "from Tue 8:00");
    assertEquals(min(c.coats().get(3).from()), 24 * 60 + 60.0);
    assertEquals(c.days(), 2);
    assertEquals(min(c.cured()), 24 * 60 + 60 + 300.0);
  }

  /** What no longer fits into a day waits for the next without being told to. */
  @Test
  public void aDayHasNineHours() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20, 20, 20, 20, 20, 20, 20, 20);
    for (Brushing b : c.coats()) {
      assertTrue(min(b.to()) % (24 * 60) <= 9 * 60, b.toString());
    }
    assertEquals(c.days(), 2);
  }

  /** In the cold rubber may take more than a night to set. */
  @Test
  public void nobodyGoesOnOverRubberThatHasNotSet() {
    Times cold = new Times(600, 1200, 2000);
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.NEXT_DAY), cold, 20, 20);
    assertEquals(min(c.coats().get(1).from()), 2 * 24 * 60.0);
  }

  @Test
  public void eachCoatKeepsTheTimesOfItsOwnRubber() {
    Times fast = new Times(10, 30, 60);
    SkinClock c = clock(Skin.USUAL, new double[] {5, 5, 5}, List.of(RUBBER, fast, RUBBER));
    assertEquals(min(c.coats().get(1).from()), 60.0);
    assertEquals(min(c.coats().get(2).from()), 70.0);
    assertEquals(min(c.cured()), 70 + 300.0);
  }
}
