package ungula.core.jacket;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;

public class JacketNeedsTest {

  private static JacketNeeds needs(JacketKind kind, double m2, double longestMm) {
    Jacket u = Jacket.USUAL;
    Jacket jacket =
        new Jacket(kind, null, null, List.of(), u.relief(), null, null, 40, 120, Locators.CUT_IN);
    return JacketNeeds.of(jacket, 1e6 * m2, longestMm, 2);
  }

  @DataProvider
  public Object[][] bandages() {
    return new Object[][] {
      // 0.1 × 5 × 1.2 ÷ 0.4125 = 1.45; half a metre takes eight layers: 0.4 × 8 × 1.2 ÷ 0.4125
      {0.1, 240.0, 5, 2.0},
      {0.4, 500.0, 8, 10.0},
      {0.4, 700.0, 10, 12.0},
    };
  }

  @Test(dataProvider = "bandages")
  public void rollsOfBandage(double m2, double longestMm, int layers, double rolls) {
    JacketNeeds n = needs(JacketKind.BANDAGE, m2, longestMm);
    assertEquals(n.layers(), layers);
    assertEquals(n.needs().get(0).value(), rolls);
    Near.relative(n.massG(), m2 * layers * 1.2 * 850, 1e-9);
  }

  /** 15 mm over 0.4 m² are 6 L; at 1.6 g/cm³ 9.6 kg, of which 0.7 of 1.7 is water. */
  @Test
  public void plasterAndItsWater() {
    JacketNeeds n = needs(JacketKind.PLASTER, 0.4, 500);
    assertEquals(n.thickMm(), 15.0);
    Near.relative(n.massG(), 9600, 1e-9);
    Near.relative(n.needs().get(0).value(), 9600 / 1.7, 1e-9);
    Near.relative(n.needs().get(1).value(), 9600 * 0.7 / 1.7, 1e-9);
    assertTrue(n.needs().get(1).amount().endsWith(" L"));
  }

  /**
   * Three layers of 300 g/m² with a fifth more for laps, and two and a quarter times their mass of
   * resin: 13.3 kg where 11.1 would leave the laps dry.
   */
  @Test
  public void matAndResin() {
    JacketNeeds n = needs(JacketKind.LAMINATE, 0.4, 500);
    Near.relative(n.needs().get(1).value(), 0.4 * 3 * 1.2 * 300 * 2.25, 1e-9);
    Near.relative(n.massG(), 0.4 * 3 * 1.2 * 300 * 3.25, 1e-9);
    // 4.11 m² in four layers
    Near.absolute(needs(JacketKind.LAMINATE, 4.11, 700).needs().get(1).value(), 13_300, 50);
  }

  @Test
  public void puttyByItsThickness() {
    JacketNeeds n = needs(JacketKind.PUTTY, 0.1, 200);
    Near.relative(n.massG(), 100_000 * 6 / 1000.0 * 1.3, 1e-9);
    assertEquals(n.dryMin(), 0.0);
  }

  @Test
  public void locatorsByTheSizeOfTheOutside() {
    assertEquals(Locators.NONE.count(1e6), 0);
    assertEquals(Locators.BUTTONS.count(10_000), 3);
    assertEquals(Locators.CUT_IN.count(225_000), 10);
    // a cap of 30 mm across and 10 mm high
    Near.relative(Locators.BUTTONS.eachMm3(), Math.PI * 10 * (3 * 225 + 100) / 6, 1e-12);
  }
}
