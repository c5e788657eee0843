package ungula.core.working;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import ungula.core.quantity.Units;

/** A figure has one of the names its thing has figures of. */
public class FigureKeysTest {

  private static final FigureKeys KEYS = FigureKeys.of("Wedge", "height", "step.#.run");

  @Test
  public void aNumberStandsForEachOfMany() {
    assertTrue(KEYS.known("height"));
    assertTrue(KEYS.known("step.12.run"));
    assertFalse(KEYS.known("step.run"));
    assertFalse(KEYS.known("step.1.run.2"));
  }

  @Test
  public void aBookTakesNoOtherFigure() {
    FigureBook book = new FigureBook(KEYS, Units.METRIC, "€");
    book.length("height", "height", 12, Working.of("").done());
    assertEquals(book.get("height").text(), "12 mm");
    assertThrows(
        IllegalArgumentException.class,
        () -> book.length("hieght", "height", 12, Working.of("").done()));
  }
}
