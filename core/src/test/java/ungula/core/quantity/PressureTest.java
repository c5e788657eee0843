package ungula.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.Test;
import ungula.core.Near;

public class PressureTest {

  private static final Units INCH = new Units(Units.Display.INCH, Units.Gallon.US);

  @Test
  public void oneIsCalledByManyNames() {
    for (String same : new String[] {"400", "400 kPa", "4 bar", "0.4 MPa", " 4,0 BAR "}) {
      Near.relative(Pressure.parseKpa(same, Units.METRIC), 400, 1e-9);
    }
    Near.relative(Pressure.parseKpa("60 psi", Units.METRIC), 413.685, 1e-5);
    Near.relative(Pressure.parseKpa("60", INCH), 413.685, 1e-5);
    assertEquals(Pressure.format(413.685, INCH), "60 psi");
    assertEquals(Pressure.format(400, Units.METRIC), "400 kPa");
    Near.relative(Pressure.parseKpa(Pressure.exact(551.6, INCH), INCH), 551.6, 1e-3);
    Near.relative(Pressure.parseKpa(Pressure.exact(551.6, Units.METRIC), INCH), 551.6, 1e-9);
  }

  @Test
  public void whatIsNoneSaysWhatToWrite() {
    for (String no : new String[] {"", "much", "4 furlong", "-3 bar"}) {
      UnreadableQuantity e =
          expectThrows(UnreadableQuantity.class, () -> Pressure.parseKpa(no, Units.METRIC));
      assertEquals(
          e.getMessage(),
          "“" + no.strip() + "” is not a pressure. Write 400 kPa, 4 bar or 60 psi.");
    }
  }
}
