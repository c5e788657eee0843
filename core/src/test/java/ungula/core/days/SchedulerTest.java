package ungula.core.days;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static ungula.core.days.Net.end;
import static ungula.core.days.Net.local;
import static ungula.core.days.Net.window;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.days.Network.After;
import ungula.core.days.Network.Step;

public class SchedulerTest {

  /** Two pours, begun on Monday 8 March 2027. */
  private static Net twoPart(String start) {
    return Net.week(start)
        .hands("seal", 30)
        .wait("seal.dry", 60, end("seal"))
        .hands("bed", 45, end("seal.dry"))
        .hands("box", 40, end("bed"))
        .hands("release", 10, end("box"))
        .wait("release.dry", 10, end("release"))
        .group("pour.1", "pour 1", 25, end("release.dry"))
        .wait("cure.1", 960, end("pour.1"))
        .hands("turn", 30, end("cure.1"))
        .hands("release.2", 10, end("turn"))
        .wait("release.2.dry", 10, end("release.2"))
        .group("pour.2", "pour 2", 25, end("release.2.dry"))
        .wait("cure.2", 960, end("pour.2"))
        .hands("open", 20, end("cure.2"))
        .hands("wash", 10, end("open"))
        .hands("cast", 20, end("wash"))
        .wait("demould", 60, end("cast"))
        .hands("out", 10, end("demould"));
  }

  @Test
  public void aTwoPartBlockTakesUntilWednesday() {
    Schedule s = twoPart("2027-03-08T08:00").schedule();
    assertTrue(s.feasible() && s.proven());
    assertEquals(local(s.of("pour.1").from()), "2027-03-08T11:15");
    assertEquals(local(s.of("pour.1").to()), "2027-03-08T11:40");
    assertEquals(local(s.of("pour.2").from()), "2027-03-09T08:50");
    assertEquals(local(s.of("pour.2").to()), "2027-03-09T09:15");
    assertEquals(local(s.finish()), "2027-03-10T10:00");
    // all before the second pour may move up to where its cure still ends by eight
    Schedule late = twoPart(local(s.latestStart())).schedule();
    assertEquals(late.finish(), s.finish());
    assertTrue(twoPart(local(s.latestStart() + 60)).schedule().finish() > s.finish());
  }

  @Test
  public void aPourThatDoesNotFitBeforeNoonIsMadeAfterIt() {
    Schedule s = twoPart("2027-03-08T08:40").schedule();
    assertEquals(local(s.of("pour.1").from()), "2027-03-08T13:00");
    assertEquals(local(s.of("pour.1").to()), "2027-03-08T13:25");
    assertEquals(local(s.finish()), "2027-03-10T10:00");
  }

  private static Net coats(int many, String start) {
    Net n = Net.week(start).hands("coat.1", 30);
    for (int i = 2; i <= many; i++) {
      n.hands("coat." + i, 30, window("coat." + (i - 1), 99, 198));
    }
    return n.pinStart();
  }

  @DataProvider
  public Object[][] latestStarts() {
    return new Object[][] {{2, "14:51"}, {3, "13:12"}, {4, "11:30"}, {5, "09:51"}, {6, "08:12"}};
  }

  @Test(dataProvider = "latestStarts")
  public void coatsOfOneDayAreBegunByThen(int many, String latest) {
    assertTrue(coats(many, "2027-03-08T" + latest).schedule().feasible());
    Schedule late = coats(many, "2027-03-08T16:30").schedule();
    assertFalse(late.feasible());
    assertEquals(local(late.last()), "2027-03-08T" + latest);
    assertEquals(local(late.next()), "2027-03-09T08:00");
    assertTrue(late.rule().startsWith("coat.2 cannot begin within 3 h 18 min"), late.rule());
  }

  @Test
  public void sevenCoatsCannotBe() {
    Schedule s = coats(7, "2027-03-08T08:00").schedule();
    assertFalse(s.feasible());
    assertEquals(local(s.next()), "never");
    assertEquals(local(s.last()), "never");
  }

  /** A coat that comes too late for the one before waits for the next day. */
  @Test
  public void aWindowMissedIsMadeUpOnTheNextDay() {
    After coat = new After("coat.1", 99, 198.0, true, null, 960.0);
    Net late = Net.week("2027-03-08T16:00").hands("coat.1", 30).pinStart();
    late.hands("coat.2", 30, coat);
    // sixteen hours after four in the afternoon
    assertEquals(local(late.schedule().of("coat.2").from()), "2027-03-09T08:00");
    Net early = Net.week("2027-03-08T08:00").hands("coat.1", 30).pinStart();
    early.hands("coat.2", 30, coat);
    assertEquals(local(early.schedule().of("coat.2").from()), "2027-03-08T09:39");
    Net always = Net.week("2027-03-08T08:00").hands("coat.1", 30).pinStart();
    always.hands("coat.2", 30, new After("coat.1", 0, null, true, null, 1_500.0));
    assertEquals(local(always.schedule().of("coat.2").from()), "2027-03-09T09:00");
  }

  @Test
  public void aCureRunsOverTheChangeOfSummerTime() {
    assertEquals(
        local(Net.week("2027-03-27T16:00").wait("cure", 960).schedule().finish()),
        "2027-03-28T09:00");
    assertEquals(
        local(Net.week("2027-10-30T16:00").wait("cure", 960).schedule().finish()),
        "2027-10-31T07:00");
  }

  @Test
  public void aColdNightStretchesACure() {
    long start = Net.at("2027-03-08T17:00");
    Net n =
        Net.week("2027-03-08T17:00")
            .room(new Forecast.From(start, 15), new Forecast.From(start + 12 * 3600, 20))
            .add(new Step("cure", false, 960, 2.0, List.of(), "", Set.of(), null));
    Near.absolute((n.schedule().finish() - start) / 3600.0, 23.21, 0.005);
  }

  @Test
  public void lagsStretchWithTheRoomToo() {
    long start = Net.at("2027-03-08T08:00");
    Net n =
        Net.week("2027-03-08T08:00")
            .room(new Forecast.From(start, 13))
            .hands("coat.1", 30)
            .add(
                new Step(
                    "coat.2",
                    true,
                    30,
                    null,
                    List.of(new After("coat.1", 60, 120.0, true, 2.0)),
                    "",
                    Set.of(),
                    null));
    // at 13 °C everything takes twice as long
    assertEquals(local(n.schedule().of("coat.2").from()), "2027-03-08T10:00");
  }

  @Test
  public void workLongerThanAnySpanGoesOnAfterTheBreak() {
    Schedule s = Net.week("2027-03-08T11:00").hands("build", 5 * 60).schedule();
    assertEquals(local(s.of("build").from()), "2027-03-08T11:00");
    assertEquals(local(s.finish()), "2027-03-08T17:00");
    Schedule group = Net.week("2027-03-08T11:00").group("pour", "pour", 5 * 60).schedule();
    assertFalse(group.feasible());
    assertTrue(group.rule().startsWith("pour takes 5 h without a break"), group.rule());
  }

  @Test
  public void onePersonDoesOneThingAtATime() {
    Net n = Net.week("2027-03-08T08:00").hands("a", 60).hands("b", 60).hands("c", 60);
    assertEquals(local(n.schedule().finish()), "2027-03-08T11:00");
    assertEquals(local(n.has("person", 2).schedule().finish()), "2027-03-08T10:00");
  }

  /** Whoever begins with what the longest wait hangs on is done first. */
  @Test
  public void whatALongWaitHangsOnIsDoneFirst() {
    Schedule s =
        Net.week("2027-03-08T08:00")
            .hands("box", 120)
            .hands("lid", 60, end("box"))
            .hands("pour", 60)
            .wait("cure", 180, end("pour"))
            .hands("open", 30, end("cure"), end("lid"))
            .schedule();
    assertEquals(local(s.of("pour").from()), "2027-03-08T08:00");
    // cured at noon, opened after the break
    assertEquals(local(s.finish()), "2027-03-08T13:30");
  }

  @Test
  public void aChamberHoldsOneThingWhateverHoldsIt() {
    Net n = Net.week("2027-03-08T08:00").hands("a", 10).hands("b", 10);
    for (String of : new String[] {"a", "b"}) {
      n.add(new Step(of + ".oven", false, 120, null, List.of(end(of)), "", Set.of("oven"), null));
    }
    Schedule s = n.schedule();
    assertEquals(local(s.finish()), "2027-03-08T12:10");
    // a wait begins when what it waits on ends: so that is done later
    assertEquals(s.of("b.oven").from(), s.of("b").to());
    assertEquals(s.of("b.oven").from(), s.of("a.oven").to());
    assertEquals(local(n.has("oven", 2).schedule().finish()), "2027-03-08T10:20");
  }

  @Test
  public void whatThereIsNoneOfCannotBeUsed() {
    Net n = Net.week("2027-03-08T08:00").has("oven", 0);
    n.add(new Step("cure", false, 60, null, List.of(), "", Set.of("oven"), null));
    Schedule s = n.schedule();
    assertFalse(s.feasible());
    assertEquals(s.rule(), "cure needs what there is none of: oven.");
    Schedule alone = Net.week("2027-03-08T08:00").has("person", 0).hands("a", 10).schedule();
    assertEquals(alone.rule(), "a needs what there is none of: person.");
  }

  @Test
  public void whatOthersUseIsLeftToThem() {
    Net n =
        Net.week("2027-03-08T08:00")
            .busy("person", "2027-03-08T08:30", "2027-03-08T10:00")
            .hands("a", 60);
    assertEquals(local(n.schedule().of("a").from()), "2027-03-08T10:00");
    assertEquals(local(n.has("person", 2).schedule().of("a").from()), "2027-03-08T08:00");
  }

  @Test
  public void daysOffLateDaysAndSingleDates() {
    Net n =
        Net.week("2027-03-08T08:00")
            .off("2027-03-08")
            .on(DayOfWeek.TUESDAY, "13:00-20:00")
            .hands("a", 7 * 60);
    assertEquals(local(n.schedule().of("a").from()), "2027-03-09T13:00");
    n.on("2027-03-09", "14:00-22:00");
    assertEquals(local(n.schedule().of("a").from()), "2027-03-09T14:00");
    // over midnight
    Net night = Net.week("2027-03-08T08:00").on("2027-03-08", "22:00-02:00").hands("a", 240);
    assertEquals(local(night.schedule().finish()), "2027-03-09T02:00");
    // a leap day is a Tuesday like others
    Net leap = Net.week("2028-02-29T08:00").hands("a", 60);
    assertEquals(local(leap.schedule().finish()), "2028-02-29T09:00");
  }

  @Test
  public void withoutHoursNothingIsDoneAndThatIsSaid() {
    Schedule s = Net.noHours("2027-03-08T08:00").hands("a", 60).schedule();
    assertFalse(s.feasible());
    assertEquals(s.rule(), "There are no hours of work in the calendar.");
  }

  @Test
  public void aPinnedStepBeginsJustThen() {
    Step pinned =
        new Step("b", true, 60, null, List.of(end("a")), "", Set.of(), Net.at("2027-03-09T10:00"));
    Schedule s = Net.week("2027-03-08T08:00").hands("a", 60).add(pinned).schedule();
    assertEquals(local(s.of("b").from()), "2027-03-09T10:00");
    // two steps by hand, and no more gaps than need be: the first is done just before
    assertEquals(local(s.of("a").from()), "2027-03-09T09:00");
    Schedule early = Net.week("2027-03-09T09:30").hands("a", 60).add(pinned).schedule();
    assertFalse(early.feasible());
    assertEquals(early.rule(), "b cannot begin just when it is pinned.");
    Schedule noon = Net.week("2027-03-08T11:30").hands("a", 60).pinStart().schedule();
    assertFalse(noon.feasible());
    assertTrue(noon.rule().startsWith("a cannot begin at that time"), noon.rule());
    assertEquals(local(noon.next()), "2027-03-08T13:00");
    assertEquals(local(noon.last()), "2027-03-08T11:00");
  }

  @Test
  public void whatCannotBeMeantIsRefused() {
    Net circle = Net.week("2027-03-08T08:00").hands("a", 1, end("b")).hands("b", 1, end("a"));
    assertThrowsSaying(circle, "circle");
    assertThrowsSaying(Net.week("2027-03-08T08:00").hands("a", 1, end("x")), "a waits on x");
    assertThrowsSaying(Net.week("2027-03-08T08:00").hands("a", 1).hands("a", 1), "two steps");
  }

  private static void assertThrowsSaying(Net net, String what) {
    try {
      net.schedule();
    } catch (IllegalArgumentException e) {
      assertTrue(e.getMessage().contains(what), e.getMessage());
      return;
    }
    throw new AssertionError("Taken: " + what);
  }

  /** What was done is where it was done, whatever the hours say; the rest follows from it. */
  @Test
  public void whatWasDoneStaysAndTheRestFollows() {
    Network.Done late = new Network.Done(Net.at("2027-03-08T18:10"), Net.at("2027-03-08T18:40"));
    Network n =
        Net.week("2027-03-08T19:00")
            .add(new Step("pour", true, 25, null, List.of(), "", Set.of(), null, late))
            .wait("cure", 960, end("pour"))
            .hands("open", 20, end("cure"))
            .network();
    Schedule s = Scheduler.of(n);
    assertEquals(local(s.of("pour").from()), "2027-03-08T18:10");
    assertEquals(local(s.of("pour").to()), "2027-03-08T18:40");
    assertEquals(local(s.of("cure").to()), "2027-03-09T10:40");
    assertEquals(local(s.of("open").from()), "2027-03-09T10:40");
  }

  /** A coat that went on at 16:00 leaves no window for the next: which rule, and no schedule. */
  @Test
  public void aWindowAfterWhatWasDoneCanBeMissed() {
    Network.Done done = new Network.Done(Net.at("2027-03-08T16:00"), Net.at("2027-03-08T16:30"));
    Step first = new Step("coat.1", true, 30, null, List.of(), "", Set.of(), null, done);
    Net missed =
        Net.week("2027-03-08T16:30").add(first).hands("coat.2", 30, window("coat.1", 99, 198));
    Schedule s = missed.schedule();
    assertFalse(s.feasible());
    assertTrue(s.rule().startsWith("coat.2 cannot begin within"), s.rule());
    // on the next day it may, where there is that way
    Net other =
        Net.week("2027-03-08T16:30")
            .add(first)
            .hands("coat.2", 30, new After("coat.1", 99, 198.0, true, null, 960.0));
    assertEquals(local(other.schedule().of("coat.2").from()), "2027-03-09T08:00");
  }
}
