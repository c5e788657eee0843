package ungula.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Locale;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Units.Gallon;

/** Numbers written every way a person might, made at random and read back. */
public class WrittenTest {

  private final Random random = new Random(77);

  private String spaced(String number, String unit) {
    String gap = new String[] {"", " ", "  ", "\u00a0", "\u202f"}[random.nextInt(5)];
    return (random.nextBoolean() ? " " : "") + number + gap + unit;
  }

  @Test
  public void decimalsWithPointOrCommaAndAnyCase() {
    String[] names = {"mm", "cm", "m", "in", "ft"};
    double[] sizes = {1, 10, 1000, 25.4, 304.8};
    for (int i = 0; i < 2000; i++) {
      int u = random.nextInt(names.length);
      int hundredths = random.nextInt(100_000);
      String number = String.format(Locale.ROOT, "%d.%02d", hundredths / 100, hundredths % 100);
      if (random.nextBoolean()) {
        number = number.replace('.', ',');
      }
      String unit = random.nextBoolean() ? names[u] : names[u].toUpperCase(Locale.ROOT);
      double mm = Length.parseMm(spaced(number, unit), Units.METRIC);
      Near.absolute(mm, hundredths / 100.0 * sizes[u], 1e-9 * (1 + mm));
    }
  }

  @Test
  public void mixedFractionsOfAnInch() {
    String[] inch = {"\"", "in", "inch", "″", "”"};
    for (int i = 0; i < 2000; i++) {
      int whole = random.nextInt(40);
      int below = 1 << 1 + random.nextInt(6);
      int part = 1 + random.nextInt(below - 1);
      String joint = random.nextBoolean() ? " " : "-";
      String number = (whole > 0 ? whole + joint : "") + part + "/" + below;
      double mm = Length.parseMm(spaced(number, inch[random.nextInt(inch.length)]), Units.METRIC);
      Near.absolute(mm, (whole + (double) part / below) * 25.4, 1e-9);
    }
  }

  @Test
  public void poundsAndOuncesFeetAndInches() {
    for (int i = 0; i < 500; i++) {
      int big = 1 + random.nextInt(30);
      int small = random.nextInt(12);
      Near.relative(
          Mass.parseG(big + " lb " + small + " oz", Units.METRIC),
          (big * 16 + small) * 28.349523125,
          1e-12);
      Near.relative(
          Length.parseMm(big + "' " + small + "\"", Units.METRIC),
          (big * 12 + small) * 25.4,
          1e-12);
    }
  }

  @Test
  public void everyLengthShownReadsBackToWhatIsShown() {
    for (int i = 0; i < 2000; i++) {
      double mm = Math.exp(random.nextDouble() * 11 - 2);
      for (Display display : Display.values()) {
        for (Gallon gallon : Gallon.values()) {
          Units units = new Units(display, gallon);
          String shown = Length.format(mm, units);
          assertEquals(Length.format(Length.parseMm(shown, units), units), shown);
          String volume = Volume.format(mm * 1000, units);
          assertEquals(Volume.format(Volume.parseMm3(volume, units), units), volume);
        }
      }
    }
  }

  @Test
  public void noTextBreaksTheReader() {
    String signs = "0123456789.,/-+ '\"mincftglbozL%°½¾″′–abc:()";
    for (int i = 0; i < 20_000; i++) {
      StringBuilder text = new StringBuilder();
      for (int n = random.nextInt(12); n >= 0; n--) {
        text.append(signs.charAt(random.nextInt(signs.length())));
      }
      try {
        double mm = Length.parseMm(text.toString(), Units.METRIC);
        assertTrue(!Double.isNaN(mm), "NaN from " + text);
      } catch (UnreadableQuantity refused) {
        assertTrue(refused.getMessage().length() > 20, "“" + text + "”: " + refused.getMessage());
      }
    }
  }
}
