package ungula.core.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.device.Reading.Overload;
import ungula.core.device.Reading.Pressure;
import ungula.core.device.Reading.Room;
import ungula.core.device.Reading.Weight;

public class ReadingTest {

  private static Reading read(String line) {
    return Reading.of(line).orElseThrow();
  }

  @Test
  public void aScaleShowsWhatStandsOnIt() {
    assertEquals(read("S +  1234.5 g"), new Weight(true, 1234.5, 0.1));
    assertEquals(read("D -    12.0 g"), new Weight(false, -12, 0.1));
    assertEquals(read("S +     40 g"), new Weight(true, 40, 1));
    Weight kilos = (Weight) read("S +  1.234 kg");
    Near.absolute(kilos.grams(), 1234, 1e-9);
    Near.absolute(kilos.readG(), 1, 1e-9);
    Near.absolute(((Weight) read("D +  2.0 oz")).grams(), 56.699, 0.001);
    Near.absolute(((Weight) read("D +  1.00 lb")).grams(), 453.592, 0.001);
    assertEquals(read("OL"), new Overload());
  }

  @Test
  public void aGaugeShowsPressureAndTheRoomItsAir() {
    assertEquals(read("P 5.2 kPa abs"), new Pressure(5.2, true));
    Pressure bar = (Pressure) read("P -0.95 bar rel");
    Near.absolute(bar.kPa(), -95, 1e-9);
    assertTrue(!bar.absolute());
    Near.absolute(((Pressure) read("P -28.0 inHg rel")).kPa(), -94.82, 0.01);
    Near.absolute(((Pressure) read("P 80 psi rel")).kPa(), 551.6, 0.1);
    Near.absolute(((Pressure) read("P 52 mbar abs")).kPa(), 5.2, 1e-9);
    assertEquals(read("R 21.4 C 55 %"), new Room(21.4, 55));
  }

  @DataProvider
  public Object[][] none() {
    return new Object[][] {
      {""},
      {"S"},
      {"S + g"},
      {"S +  12.5"},
      {"S +  12.5 stone"},
      {"X +  12.5 g"},
      {"S *  12.5 g"},
      {"S +  1e9 g"},
      {"S +  NaN g"},
      {"OL OL"},
      {"P 5.2 kPa"},
      {"R 21.4 F 55 %"},
      {"S +  1234.5 g" + " ".repeat(60)},
      {"\u0000\u0001"},
    };
  }

  @Test(dataProvider = "none")
  public void whatNoDeviceSaysIsNothing(String line) {
    assertTrue(Reading.of(line).isEmpty(), line);
  }

  /** Whatever comes, it is a reading in bounds or none. */
  @Test
  public void noiseIsNoReadingOrAPlainOne() {
    Random random = new Random(4);
    String letters = "SD+- .0123456789gkgozlbPRC%absrelkPabarOL\u0000é";
    for (int i = 0; i < 50_000; i++) {
      StringBuilder line = new StringBuilder();
      for (int n = random.nextInt(24); n > 0; n--) {
        line.append(letters.charAt(random.nextInt(letters.length())));
      }
      Reading.of(line.toString())
          .ifPresent(
              r ->
                  assertTrue(
                      !r.toString().contains("NaN")
                          && !(r instanceof Weight w && Math.abs(w.grams()) > 1e12)));
    }
  }
}
