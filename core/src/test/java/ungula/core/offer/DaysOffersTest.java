package ungula.core.offer;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.choice.ChoiceWords;
import ungula.core.days.Diary;
import ungula.core.days.Moments;
import ungula.core.days.Mondays;
import ungula.core.job.JobPlan;
import ungula.core.offer.DaysOffers.Offer;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Timeline;
import ungula.core.step.Timeline.Kept;
import ungula.core.workshop.Workshop;

/** What is offered for the days of many plans: followed, each brings what it says. */
public class DaysOffersTest {

  private final Random random = new Random(11);
  private int begun;
  private int pinned;
  private int longer;
  private int rules;

  @BeforeClass
  public void follow() {
    for (AnyPlans.Planned p : AnyPlans.first(100)) {
      AnyPlan any = p.any();
      JobPlan plan = p.plan();
      if (!plan.steps().making().isEmpty()) {
        follow(any, plan, Workshop.DEFAULT);
      }
    }
  }

  /** What no hours are long enough for is named as it is called, with hours that are. */
  @Test
  public void whereHoursAreTooShortLongerOnesAreOffered() {
    Workshop brief =
        Workshop.DEFAULT.edited(
            List.of(
                Edit.of("hours.week.MONDAY", "8:00–8:10"),
                Edit.of("hours.week.TUESDAY", "8:00–8:10"),
                Edit.of("hours.week.WEDNESDAY", "8:00–8:10"),
                Edit.of("hours.week.THURSDAY", "8:00–8:10"),
                Edit.of("hours.week.FRIDAY", "8:00–8:10")),
            Mondays.MORNING);
    int offered = 0;
    for (int i = 0; i < 25; i++) {
      AnyPlan any = AnyPlan.any(random);
      JobPlan plan = any.plan(brief);
      if (!plan.steps().making().isEmpty() && plan.steps().timeline().kept() != Kept.HOURS) {
        DaysOffers offers = DaysOffers.of(plan.steps(), Diary.PLAIN.morning());
        assertFalse(offers.rule().matches(".*\\w\\.\\w.*"), offers.rule());
        assertFalse(offers.offers().isEmpty(), offers.rule());
        offered++;
        follow(any, plan, brief);
      }
    }
    assertTrue(offered > 5, offered + " did not fit");
  }

  private void follow(AnyPlan any, JobPlan plan, Workshop workshop) {
    DaysOffers offers = DaysOffers.of(plan.steps(), Diary.PLAIN.morning());
    Timeline now = plan.steps().timeline();
    assertEquals(offers.rule().isEmpty(), now.kept() == Kept.HOURS, offers.rule());
    rules += offers.rule().isEmpty() ? 0 : 1;
    for (Offer o : offers.offers()) {
      Workshop shop = workshop.edited(o.hours(), Mondays.MORNING);
      AnyPlan then =
          new AnyPlan(
              ChoiceWords.edit(any.choices(), o.edits(), any.product()),
              any.recorded(),
              any.facts(),
              any.product());
      Timeline line = then.plan(shop).steps().timeline();
      assertEquals(line.kept(), Kept.HOURS, o.text());
      String finish = Moments.text(line.at(line.end()).toLocalDateTime());
      if (o.text().startsWith("Begun as late as")) {
        assertEquals(line.end(), now.end(), o.text());
      } else {
        assertTrue(o.text().contains(finish), o.text() + " and is " + finish);
      }
      if (!o.hours().isEmpty()) {
        longer++;
      } else if (o.edits().get(0).word().equals("days.pin")) {
        pinned++;
      } else {
        begun++;
      }
    }
  }

  @Test
  public void eachKindOfOfferCameUp() {
    assertTrue(
        begun > 20 && pinned > 0 && longer > 3 && rules > 5,
        begun + " " + pinned + " " + longer + " " + rules);
  }

  /** A forecast of a cold night is named, with what it moves. */
  @Test
  public void aColdNightIsNamed() {
    Workshop cold =
        Workshop.DEFAULT.edited(
            List.of(Edit.of("hours.forecast", "Mon 8:00 21 °C; Mon 14:00 9 °C; Tue 8:00 21 °C")),
            Mondays.MORNING);
    int named = 0;
    for (int i = 0; i < 40; i++) {
      AnyPlan any = AnyPlan.any(random);
      JobPlan warm = any.plan();
      // somewhere else the forecast of the workshop says nothing
      boolean cures =
          !any.choices().site().away()
              && warm.steps().making().stream()
                  .anyMatch(s -> s.key().equals("pour.1.cure") && s.takes().perTen() != null);
      if (cures) {
        JobPlan slow = any.plan(cold);
        var notes = DaysOffers.of(slow.steps(), Diary.PLAIN.morning()).notes();
        long evening = Diary.PLAIN.morning() + 9 * 3600;
        Timeline line = slow.steps().timeline();
        if (line.of("pour.1.cure").begin() < evening && line.of("pour.1.cure").end() > evening) {
          assertTrue(
              notes.stream().anyMatch(n -> n.text().contains("9 °C by Mon 1 Mar")),
              notes.toString());
          assertTrue(slow.steps().timeline().end() >= warm.steps().timeline().end());
          named++;
        }
        assertFalse(
            DaysOffers.of(warm.steps(), 0).notes().stream()
                .anyMatch(n -> n.title().startsWith("A cold room")));
      }
    }
    assertTrue(named > 5, named + " named");
  }

  @Test
  public void aChangeOfTheFinishIsSaidInWords() {
    assertEquals(DaysOffers.change(0, 12), "just as soon");
    assertEquals(DaysOffers.change(0, 75 * 60), "75 min later");
    assertEquals(DaysOffers.change(3600, 0), "60 min sooner");
    assertEquals(DaysOffers.change(0, 22 * 3600 + 58 * 60), "22 h 58 min later");
  }
}
