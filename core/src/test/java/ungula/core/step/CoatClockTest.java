package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Collections;
import java.util.List;
import org.testng.annotations.Test;
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
        weigh.after(SkinProcedure.follows(n - 1, rubber.get(n - 2), skin.after(n - 1)));
      }
      weigh.add();
      steps.hands(SkinProcedure.key(n) + ".brush", takes, "brush").unbroken("coat." + n).add();
    }
    double set = rubber.get(rubber.size() - 1).setMin();
    String last = SkinProcedure.key(brushMin.length) + ".weigh";
    steps
        .wait("coat.cure", Takes.of(set, Given.Source.SHEET, ""), "cure")
        .after(new After(last, After.From.BEGIN, 0, null, null))
        .add();
    return CoatClock.clock(Timeline.of(steps.all()), skin, rubber);
  }

  @Test
  public void whileItIsTackyTheNextGoesOnFromGelToOpenLimit() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20);
    Brushing first = c.coats().get(0);
    assertEquals(first.toMin(), 20.0);
    assertEquals(first.opensMin(), 60.0);
    assertEquals(first.closesMin(), 120.0);
    assertEquals(first.window(), "1:00 to 2:00");
    assertEquals(c.coats().get(1).fromMin(), 60.0);
    assertEquals(c.coats().get(2).window(), "");
    assertEquals(c.curedMin(), 120.0 + 300);
    assertEquals(c.days(), 1);
    assertFalse(c.tooLate(1));
  }

  /** A coat that takes longer than the rubber stays sticky is missed. */
  @Test
  public void brushedTooSlowlyTheNextComesTooLate() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 150, 20);
    assertEquals(c.coats().get(1).fromMin(), 150.0);
    assertTrue(c.tooLate(1));
    assertTrue(c.coats().get(0).missed().contains("massage"));
    assertFalse(clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 150, 20).tooLate(1));
  }

  @Test
  public void overSetRubberItWaitsUntilThatCanBeHandled() {
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.SET), RUBBER, 20, 20, 20);
    assertEquals(c.coats().get(1).fromMin(), 300.0);
    // the gap after it is as all others
    assertEquals(c.coats().get(1).next(), Recoat.TACKY);
    assertEquals(c.coats().get(2).fromMin(), 360.0);
  }

  @Test
  public void aNightBeginsTheNextDayInTheMorning() {
    SkinClock c = clock(Skin.USUAL.after(2, Recoat.NEXT_DAY), RUBBER, 20, 20, 20, 20);
    assertEquals(c.coats().get(2).fromMin(), 24 * 60.0);
    assertEquals(c.coats().get(1).window(), "from day 2, 0:00");
    assertEquals(c.coats().get(3).fromMin(), 24 * 60 + 60.0);
    assertEquals(c.days(), 2);
    assertEquals(c.curedMin(), 24 * 60 + 60 + 300.0);
  }

  /** What no longer fits into a day waits for the next without being told to. */
  @Test
  public void aDayHasNineHours() {
    SkinClock c = clock(Skin.USUAL, RUBBER, 20, 20, 20, 20, 20, 20, 20, 20, 20, 20);
    for (Brushing b : c.coats()) {
      assertTrue(b.toMin() % (24 * 60) <= Timeline.WORKING_MIN, b.toString());
    }
    assertEquals(c.days(), 2);
  }

  /** In the cold rubber may take more than a night to set. */
  @Test
  public void nobodyGoesOnOverRubberThatHasNotSet() {
    Times cold = new Times(600, 1200, 2000);
    SkinClock c = clock(Skin.USUAL.after(1, Recoat.NEXT_DAY), cold, 20, 20);
    assertEquals(c.coats().get(1).fromMin(), 2 * 24 * 60.0);
  }

  @Test
  public void eachCoatKeepsTheTimesOfItsOwnRubber() {
    Times fast = new Times(10, 30, 60);
    SkinClock c = clock(Skin.USUAL, new double[] {5, 5, 5}, List.of(RUBBER, fast, RUBBER));
    assertEquals(c.coats().get(1).fromMin(), 60.0);
    assertEquals(c.coats().get(2).fromMin(), 70.0);
    assertEquals(c.curedMin(), 70 + 300.0);
  }
}
