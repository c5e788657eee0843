package ungula.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;

public class VacuumTest {

  private static final double SEA = Vacuum.airKpa(0);

  @DataProvider
  public Object[][] read() {
    return new Object[][] {
      {"-0.95 bar", SEA - 95},
      {"−0,95 bar", SEA - 95},
      {"0.95 bar vacuum", SEA - 95},
      {"28.5 inHg", SEA - 28.5 * 3.386389},
      {"-950 mbar", SEA - 95},
      {"5 kPa abs", 5},
      {"50 mbar absolute", 5},
      {"37.5 torr abs", 37.5 * 0.133322368},
      {"1 inHg abs", 3.386389},
      {"95 %", 0.05 * SEA},
    };
  }

  @Test(dataProvider = "read")
  public void everyFormIsThePressureInTheChamber(String text, double kpa) {
    Vacuum v = Vacuum.parse(text);
    Near.absolute(v.absoluteKpa(SEA), kpa, 1e-6);
    Near.absolute(Vacuum.parse(v.text()).absoluteKpa(SEA), kpa, 0.06);
  }

  /** −0.95 bar, 28 inHg, 6.3 kPa absolute and 93.8 % are one thing at the sea. */
  @Test
  public void theFormsOfOneVacuumAgree() {
    for (String text : new String[] {"-0.95 bar", "28.05 inHg", "6.3 kPa abs", "93.8 %"}) {
      Near.absolute(Vacuum.parse(text).absoluteKpa(SEA), 6.3, 0.1);
    }
  }

  @Test
  public void theAirThinsWithHeight() {
    Near.absolute(SEA, 101.325, 0);
    // international standard atmosphere
    Near.absolute(Vacuum.airKpa(1000), 89.87, 0.02);
    Near.absolute(Vacuum.airKpa(2000), 79.50, 0.02);
    assertTrue(Vacuum.parse("-0.95 bar").absoluteKpa(Vacuum.airKpa(2000)) < 0);
    Near.absolute(Vacuum.parse("5 kPa abs").absoluteKpa(Vacuum.airKpa(2000)), 5, 0);
  }

  @DataProvider
  public Object[][] refused() {
    return new Object[][] {
      {"0.95 bar", "Write −0.95 bar, or 0.95 bar absolute"},
      {"deep", "not a vacuum"},
      {"120 %", "not a vacuum"},
      {"-5 kPa abs", "not a vacuum"},
      {"5 parsec", "not a vacuum"},
    };
  }

  @Test(dataProvider = "refused")
  public void whatMayMeanTwoThingsIsAskedBack(String text, String says) {
    UnreadableQuantity e = expectThrows(UnreadableQuantity.class, () -> Vacuum.parse(text));
    assertTrue(e.getMessage().contains(says), e.getMessage());
  }

  @Test
  public void daysAreReadAsTheyAreWritten() {
    for (String text : new String[] {"2026-11-28", "28.11.2026", "28 Nov 2026", "28  nov 2026"}) {
      assertEquals(Day.format(Day.parse(text)), "28 Nov 2026");
    }
    expectThrows(UnreadableQuantity.class, () -> Day.parse("11/28/2026"));
    expectThrows(UnreadableQuantity.class, () -> Day.parse("31.2.2026"));
  }
}
