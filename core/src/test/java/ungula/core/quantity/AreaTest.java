package ungula.core.quantity;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Units.Gallon;

/** Areas, and lengths that are run along, as they are said. */
public class AreaTest {

  private static final Units INCH = new Units(Display.INCH, Gallon.US);

  @DataProvider
  public Object[][] areas() {
    return new Object[][] {
      {6_280, "62.8 cm²", "9.7 in²"},
      {45_000, "450 cm²", "69.8 in²"},
      {220_000, "0.220 m²", "2.37 ft²"},
      {0, "0.0 cm²", "0.0 in²"},
    };
  }

  @Test(dataProvider = "areas")
  public void areasAreInTheJobsUnits(double mm2, String metric, String inch) {
    assertEquals(Area.format(mm2, Units.METRIC), metric);
    assertEquals(Area.format(mm2, INCH), inch);
  }

  @DataProvider
  public Object[][] runs() {
    return new Object[][] {
      {788.2, "788 mm", "31.0 in"},
      {999.4, "999 mm", "3.3 ft"},
      {999.6, "1.00 m", "3.3 ft"},
      {1_038.1, "1.04 m", "3.4 ft"},
    };
  }

  @Test(dataProvider = "runs")
  public void aSeamIsInWholeMillimetresOrMetres(double mm, String metric, String inch) {
    assertEquals(Length.run(mm, Units.METRIC), metric);
    assertEquals(Length.run(mm, INCH), inch);
  }
}
