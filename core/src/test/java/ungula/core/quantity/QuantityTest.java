package ungula.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Duration;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Units.Gallon;

/**
 * What people write, against definitions of the units (the inch is 25.4 mm, the pound 453.59237 g).
 */
public class QuantityTest {

  private static final Units INCH = new Units(Display.INCH, Gallon.US);

  @DataProvider
  public Object[][] lengths() {
    return new Object[][] {
      {"12", 12},
      {"12mm", 12},
      {"1.2 cm", 12},
      {"1,2 cm", 12},
      {"0,125 in", 3.175},
      {"3/8\"", 9.525},
      {"5 3/16 in", 131.7625},
      {"11-1/4\"", 285.75},
      {"11 1/4 ″", 285.75},
      {"5½ in", 139.7},
      {"2 ft 3 in", 685.8},
      {"2' 3\"", 685.8},
      {"1 240 mm", 1240},
      {"-5 mm", -5},
      {"1.234,5", 1234.5},
      {"1,234.5", 1234.5},
    };
  }

  @Test(dataProvider = "lengths")
  public void readsLengths(String text, double mm) {
    Near.absolute(Length.parseMm(text, Units.METRIC), mm, 1e-9);
  }

  @DataProvider
  public Object[][] volumes() {
    return new Object[][] {
      {"350", 350},
      {"87 cc", 87},
      {"1.5 L", 1500},
      {"3 US gal", 3 * 3785.411784},
      {"1 imp gal", 4546.09},
      {"1 gal", 3785.411784},
      {"3 qt", 3 * 946.352946},
      {"12 fl oz", 12 * 29.5735295625},
      {"1 fl oz imp", 28.4130625},
    };
  }

  @Test(dataProvider = "volumes")
  public void readsVolumes(String text, double ml) {
    Near.relative(Volume.parseMm3(text, Units.METRIC) / 1000, ml, 1e-12);
  }

  @Test
  public void aGallonIsTheJobs() {
    Units imperial = new Units(Display.METRIC, Gallon.IMPERIAL);
    Near.relative(Volume.parseMm3("1 gal", imperial), 4_546_090, 1e-12);
    Near.relative(Volume.parseMm3("1 US gal", imperial), 3_785_411.784, 1e-12);
    // 277.42 in³ to the digits given
    Near.absolute(Gallon.IMPERIAL.mm3() / Math.pow(25.4, 3), 277.42, 0.005);
    Near.relative(Gallon.US.mm3() / Math.pow(25.4, 3), 231, 1e-12);
  }

  @DataProvider
  public Object[][] masses() {
    return new Object[][] {
      {"350 g", 350},
      {"1.5kg", 1500},
      {"9 oz", 255.145708125},
      {"1 lb 6 oz", 623.689508750},
      {"1 240 g", 1240},
    };
  }

  @Test(dataProvider = "masses")
  public void readsMasses(String text, double g) {
    Near.relative(Mass.parseG(text, Units.METRIC), g, 1e-12);
  }

  @Test
  public void readsTimesTemperaturesAndDensities() {
    assertEquals(Timespan.parse("1 h 20 min"), Duration.ofMinutes(80));
    assertEquals(Timespan.parse("45"), Duration.ofMinutes(45));
    Near.absolute(Temperature.parseC("73.4 °F", Units.METRIC), 23, 1e-9);
    Near.absolute(Temperature.parseC("-5", Units.METRIC), -5, 0);
    Near.absolute(Temperature.parseC("23 C", INCH), 23, 0);
    Near.absolute(Density.parse("1080 kg/m3"), 1.08, 1e-12);
    Near.absolute(Density.parse("1,08"), 1.08, 0);
    Near.absolute(Density.parse("1.08 g/cm³"), 1.08, 0);
  }

  @DataProvider
  public Object[][] nonsense() {
    return new Object[][] {
      {""},
      {"twelve"},
      {"12 kg"},
      {"3 in 2 ft"},
      {"1,240"},
      {"1..2"},
      {"1/0 in"},
      {"12 mm 5"},
      {"5 3/16 in x"},
      {"NaN"},
      {"1e400 mm"},
      {"mm"}
    };
  }

  @Test(dataProvider = "nonsense")
  public void refusesAndSaysWhatWouldDo(String text) {
    UnreadableQuantity refused =
        expectThrows(UnreadableQuantity.class, () -> Length.parseMm(text, Units.METRIC));
    assertTrue(
        refused.getMessage().matches("(?s).*(Write|divides|one of them).*"), refused.getMessage());
  }

  @Test
  public void anAmbiguousCommaShowsBothReadings() {
    UnreadableQuantity refused =
        expectThrows(UnreadableQuantity.class, () -> Mass.parseG("1,240 g", Units.METRIC));
    assertTrue(refused.getMessage().contains("1.240 or 1240"), refused.getMessage());
  }

  @Test
  public void showsInTheJobsUnits() {
    assertEquals(Length.format(12, Units.METRIC), "12 mm");
    assertEquals(Length.format(131.7625, INCH), "5 3/16 in");
    assertEquals(Length.format(25.4, INCH), "1 in");
    assertEquals(Length.format(0.2, INCH), "0 in");
    assertEquals(Mass.format(238.02, Units.METRIC), "238.0 g");
    assertEquals(Mass.format(1037.4, Units.METRIC), "1\u202f037 g");
    assertEquals(Mass.format(12_345, Units.METRIC), "12.35 kg");
    assertEquals(Mass.format(623.69, INCH), "1 lb 6 oz");
    assertEquals(Volume.format(242_432, Units.METRIC), "242.4 mL");
    assertEquals(Volume.format(1_712_000, Units.METRIC), "1.712 L");
    assertEquals(Volume.format(999_990, Units.METRIC), "1.000 L");
    assertEquals(Volume.format(29_573.53, INCH), "1.0 US fl oz");
    assertEquals(Volume.format(6000, INCH), "0.20 US fl oz");
    assertEquals(Volume.format(500, INCH), "0.017 US fl oz");
    assertEquals(Volume.format(0, INCH), "0.0 US fl oz");
    assertEquals(Length.format(0.75 * 25.4, Units.METRIC), "19.1 mm");
    assertEquals(Numbers.fixed(-0.004, 2), "0.00");
    assertEquals(Numbers.trimmed(1.50, 3), "1.5");
    assertEquals(Numbers.significant(0.012345, 3), "0.0123");
  }

  @Test
  public void whatIsShownCanBeTypedAgain() {
    for (double mm : new double[] {0.1, 3, 12.7, 131.7625, 2540, 12_345.6}) {
      for (Units u : new Units[] {Units.METRIC, INCH}) {
        double again = Length.parseMm(Length.format(mm, u), u);
        Near.absolute(again, mm, u == INCH ? 25.4 / 32 : 0.0501);
      }
    }
    for (double g : new double[] {0.4, 23.8, 453.6, 1037, 22_000}) {
      // shown to 0.1 g, 1 g or 10 g; to 0.01 oz or 0.1 oz
      Near.absolute(Mass.parseG(Mass.format(g, Units.METRIC), Units.METRIC), g, 0.05 + g / 2000);
      Near.absolute(Mass.parseG(Mass.format(g, INCH), INCH), g, g < 453 ? 0.15 : 1.5);
    }
    assertThrows(UnreadableQuantity.class, () -> Volume.parseMm3("3 mm", INCH));
  }
}
