package ungula.core.air;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;

public class PotPressureTest {

  @DataProvider
  public Object[][] pots() {
    return new Object[][] {
      {100, 0.503, 0.795}, {200, 0.336, 0.695}, {400, 0.202, 0.587}, {551.6, 0.155, 0.537}
    };
  }

  /** A bubble of 1000 mm³ at the pressure of the air. */
  @Test(dataProvider = "pots")
  public void aBubbleShrinks(double kPa, double volume, double diameter) {
    double shrunk = PotPressure.shrunk(1000, kPa);
    Near.absolute(shrunk / 1000, volume, 5e-4);
    Near.absolute(PotPressure.ballMm(shrunk) / PotPressure.ballMm(1000), diameter, 5e-4);
  }
}
