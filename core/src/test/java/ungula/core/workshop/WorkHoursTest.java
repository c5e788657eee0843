package ungula.core.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.days.Moments;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;

public class WorkHoursTest {

  private static final Moments WEDNESDAY =
      new Moments(LocalDateTime.parse("2027-02-03T15:10"), day -> day.withHour(8));

  private static Workshop with(String... edits) {
    Workshop w = Workshop.DEFAULT;
    for (int i = 0; i < edits.length; i += 2) {
      w = w.edited(List.of(Edit.of(edits[i], edits[i + 1])), WEDNESDAY);
    }
    return w;
  }

  private static String text(Workshop w, String word) {
    return w.states().get(word).text();
  }

  @Test
  public void hoursOfAWeekdayAreTypedAndSaid() {
    assertEquals(text(Workshop.DEFAULT, "hours.week.MONDAY"), "8:00–12:00, 13:00–17:00");
    assertEquals(text(Workshop.DEFAULT, "hours.week.SUNDAY"), "none");
    Workshop w =
        with(
            "hours.week.SATURDAY",
            "9 to 12:30",
            "hours.week.MONDAY",
            "none",
            "hours.week.TUESDAY",
            "6-10, 11–24");
    assertEquals(text(w, "hours.week.SATURDAY"), "9:00–12:30");
    assertEquals(text(w, "hours.week.MONDAY"), "none");
    assertEquals(text(w, "hours.week.TUESDAY"), "6:00–10:00, 11:00–24:00");
    for (String no : new String[] {"8", "12–8", "8–12, 11–14", "8–25", "eight to five"}) {
      assertThrows(Refused.class, () -> with("hours.week.MONDAY", no));
    }
  }

  @Test
  public void daysOffAndOtherHoursAreTypedAsDays() {
    Workshop w = with("hours.off", "24 Dec – 27 Dec; Tue 9, 8 Mar");
    assertEquals(
        text(w, "hours.off"), "Tue 9 Feb 2027; Mon 8 Mar 2027; Fri 24 Dec 2027 – Mon 27 Dec 2027");
    assertEquals(w.hours().off().size(), 6);
    // as it stands it can be typed again
    assertEquals(with("hours.off", text(w, "hours.off")).hours().off(), w.hours().off());
    assertTrue(with("hours.off", "24 Dec", "hours.off", "none").hours().off().isEmpty());
    Workshop late = with("hours.dates", "Thu 11 Feb 8–20; Sat 13 9:00-12:00");
    assertEquals(
        text(late, "hours.dates"), "Thu 11 Feb 2027 8:00–20:00; Sat 13 Feb 2027 9:00–12:00");
    assertEquals(with("hours.dates", text(late, "hours.dates")).hours(), late.hours());
    for (String no : new String[] {"Christmas", "27 Dec – 24 Dec", "1 Jan – 1 Dec 2030"}) {
      assertThrows(Refused.class, () -> with("hours.off", no));
    }
    assertThrows(Refused.class, () -> with("hours.dates", "Thu 11 Feb"));
  }

  @Test
  public void aForecastIsTypedByTime() {
    Workshop w = with("hours.forecast", "19 °C; Wed 18:00 12 °C; Thu 4 8:00 -2.5 C, Fri 50 F");
    assertEquals(
        text(w, "hours.forecast"),
        "Wed 3 Feb 8:00 19 °C; Wed 3 Feb 18:00 12 °C; Thu 4 Feb 8:00 −2.5 °C; Fri 5 Feb 8:00 10 °C");
    assertEquals(with("hours.forecast", text(w, "hours.forecast")).hours(), w.hours());
    long evening = LocalDateTime.parse("2027-02-03T20:00").atZone(ZoneId.of("UTC")).toEpochSecond();
    assertEquals(w.hours().room(21).at(evening), 12.0);
    assertEquals(Workshop.DEFAULT.hours().room(21).at(evening), 21.0);
    // somewhere else the forecast of the workshop says nothing
    assertEquals(w.at(30).hours().room(30).at(evening), 30.0);
    assertThrows(Refused.class, () -> with("hours.forecast", "cold"));
    assertThrows(Refused.class, () -> with("hours.forecast", "Wed 99 °C"));
  }

  @Test
  public void theNextMorningIsOneOfWork() {
    WorkHours hours = with("hours.off", "Mon 8 Feb").hours();
    assertEquals(morning(hours, "2027-02-03T07:00"), "2027-02-03T08:00");
    assertEquals(morning(hours, "2027-02-03T08:01"), "2027-02-04T08:00");
    assertEquals(morning(hours, "2027-02-05T15:10"), "2027-02-09T08:00");
    // without any hours at all nothing is looked for for ever
    Workshop none = Workshop.DEFAULT;
    for (var day : DayOfWeek.values()) {
      none = none.edited(List.of(Edit.of(WorkHours.week(day), "none")), WEDNESDAY);
    }
    assertEquals(morning(none.hours(), "2027-02-03T15:10"), "2027-02-03T15:10");
  }

  private static String morning(WorkHours hours, String now) {
    ZoneId utc = ZoneId.of("UTC");
    long at = hours.nextMorning(LocalDateTime.parse(now).atZone(utc).toEpochSecond());
    return LocalDateTime.ofInstant(Instant.ofEpochSecond(at), utc).toString();
  }

  @Test
  public void theClockIsTheMachinesUntilItIsSaid() {
    ZoneId oslo = ZoneId.of("Europe/Oslo");
    assertEquals(Workshop.DEFAULT.hours().in(oslo).clock(), oslo);
    assertEquals(text(Workshop.DEFAULT, "hours.zone"), "the machine's");
    WorkHours berlin = with("hours.zone", "Europe/Berlin").hours();
    assertEquals(berlin.in(oslo).clock(), ZoneId.of("Europe/Berlin"));
    assertThrows(Refused.class, () -> with("hours.zone", "Atlantis"));
    assertEquals(
        berlin.on(LocalDate.parse("2027-02-09"), WorkHoursWords.spans("8–20")).datesText(),
        "Tue 9 Feb 2027 8:00–20:00");
  }
}
