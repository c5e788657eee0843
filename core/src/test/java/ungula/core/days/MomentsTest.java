package ungula.core.days;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.time.LocalDate;
import java.time.LocalDateTime;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.days.Moments.Moment;
import ungula.core.quantity.UnreadableQuantity;

public class MomentsTest {

  /** A Wednesday afternoon; work begins at half past seven. */
  private final Moments typed =
      new Moments(LocalDateTime.parse("2027-02-03T15:10"), day -> day.withHour(7).withMinute(30));

  @DataProvider
  public Object[][] written() {
    return new Object[][] {
      {"Tue 9", "2027-02-09T07:30"},
      {"tuesday the 9th 8:30", "2027-02-09T08:30"},
      {"tomorrow 8:30", "2027-02-04T08:30"},
      {"tomorrow at 9", "2027-02-04T09:00"},
      {"today 17:45", "2027-02-03T17:45"},
      {"day after tomorrow", "2027-02-05T07:30"},
      {"in 3 days", "2027-02-06T07:30"},
      {"in 2 weeks 10:00", "2027-02-17T10:00"},
      {"Thursday", "2027-02-04T07:30"},
      {"Wed", "2027-02-03T07:30"},
      {"next Wed", "2027-02-10T07:30"},
      {"24 Dec", "2027-12-24T07:30"},
      {"Dec 24 2028, 1 pm", "2028-12-24T13:00"},
      {"9.2. 14 h", "2027-02-09T14:00"},
      {"2 Feb", "2028-02-02T07:30"},
      {"29 Feb", "2028-02-29T07:30"},
      {"29 Feb 2028 12 am", "2028-02-29T00:00"},
      {"2027-03-28 02:30", "2027-03-28T02:30"},
      {"2027-02-09T08:30", "2027-02-09T08:30"},
      {"16:00", "2027-02-03T16:00"},
      {"8:30", "2027-02-04T08:30"},
      {"noon", "2027-02-04T12:00"},
      {"Mon 8 Feb at noon", "2027-02-08T12:00"},
    };
  }

  @Test(dataProvider = "written")
  public void daysAndTimesAreReadAsTheyAreWritten(String text, String at) {
    assertEquals(typed.moment(text), new Moment(LocalDateTime.parse(at), ""));
  }

  @Test
  public void aReasonIsKept() {
    Moment m = typed.moment("when the rubber comes, Thursday");
    assertEquals(m, new Moment(LocalDateTime.parse("2027-02-04T07:30"), "when the rubber comes"));
    assertEquals(m.text(), "Thu 4 Feb 7:30, when the rubber comes");
    assertEquals(Moment.of(m.kept()), m);
    // what stands there can be typed again
    assertEquals(typed.moment(m.exact()), m);
  }

  @Test
  public void whatIsNoDayIsRefused() {
    for (String text :
        new String[] {
          "",
          "soon",
          "Tuseday 9",
          "Tue 10",
          "25:00",
          "8:75",
          "30 Feb",
          "0 Feb 2027",
          "13 pm",
          "Tue 9 or so",
          "32.1.",
          "40 days"
        }) {
      assertThrows(UnreadableQuantity.class, () -> typed.moment(text));
    }
    assertThrows(UnreadableQuantity.class, () -> typed.day("Tue 9 8:30"));
    assertThrows(UnreadableQuantity.class, () -> Moment.of("tomorrow"));
    assertEquals(typed.day("Tue 9"), LocalDate.parse("2027-02-09"));
  }
}
