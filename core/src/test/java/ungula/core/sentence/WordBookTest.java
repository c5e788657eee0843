package ungula.core.sentence;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Units;
import ungula.core.quantity.Units.Display;
import ungula.core.quantity.Units.Gallon;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;

/** Words over a small record of the test's own. */
public class WordBookTest {

  public enum Colour implements Choosable {
    RED("brick red"),
    BLUE("sea blue");

    private final String text;

    Colour(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public record Hull(double lengthMm, Double draughtMm) {
    public Hull {
      if (draughtMm != null && draughtMm > lengthMm) {
        throw new UnreadableQuantity("A boat cannot be deeper than long.");
      }
    }
  }

  public record Boat(String name, Hull hull, Colour colour, int oars) {}

  private static final Boat BOAT = new Boat("Skerry", new Hull(4000, null), Colour.RED, 2);
  private static final Units INCH = new Units(Display.INCH, Gallon.US);

  private final WordBook<Boat> book =
      new WordBook<Boat>()
          .word("name", "name", Kind.text(20))
          .word("hull.lengthMm", "length", Kind.length(100, 20_000))
          .open("hull.draughtMm", "draught", Kind.length(10, 2000), "not measured")
          .word("colour", "colour", Kind.choice(Colour.class))
          .word("oars", "oars", Kind.count("oar", "oars", 0, 8))
          .deed(
              "repaint",
              "paint it the other colour",
              (b, text) ->
                  new Boat(
                      b.name(),
                      b.hull(),
                      b.colour() == Colour.RED ? Colour.BLUE : Colour.RED,
                      b.oars()));

  private Boat write(Boat boat, String word, String text) {
    return book.edit(boat, List.of(Edit.of(word, text)), Units.METRIC);
  }

  private Boat nudge(Boat boat, String word, int steps) {
    return book.edit(boat, List.of(new Edit(word, null, steps)), Units.METRIC);
  }

  @Test
  public void onlyTheWordChanges() {
    Boat longer = write(BOAT, "hull.lengthMm", "5.2 m");
    assertEquals(longer, new Boat("Skerry", new Hull(5200, null), Colour.RED, 2));
    assertEquals(BOAT.hull().lengthMm(), 4000.0);
  }

  @Test
  public void openWordsAreClearedAndOthersAreNot() {
    Boat deep = write(BOAT, "hull.draughtMm", "30 cm");
    assertEquals(deep.hull().draughtMm(), 300.0);
    assertNull(write(deep, "hull.draughtMm", "  ").hull().draughtMm());
    expectThrows(Refused.class, () -> write(BOAT, "hull.lengthMm", ""));
  }

  @Test
  public void choicesAreTakenByNameOrByText() {
    assertEquals(write(BOAT, "colour", "BLUE").colour(), Colour.BLUE);
    assertEquals(write(BOAT, "colour", "Sea Blue").colour(), Colour.BLUE);
    Refused refused = expectThrows(Refused.class, () -> write(BOAT, "colour", "green"));
    assertTrue(refused.getMessage().contains("brick red, sea blue"), refused.getMessage());
  }

  @Test
  public void nudgingStepsAndStopsAtTheEnds() {
    assertEquals(nudge(BOAT, "hull.lengthMm", 10).hull().lengthMm(), 4010.0);
    assertEquals(nudge(BOAT, "hull.lengthMm", -100_000).hull().lengthMm(), 100.0);
    assertEquals(nudge(BOAT, "oars", 20).oars(), 8);
    assertEquals(nudge(BOAT, "colour", 1).colour(), Colour.BLUE);
    assertEquals(nudge(BOAT, "colour", 2).colour(), Colour.RED);
    assertSame(nudge(BOAT, "hull.draughtMm", 3), BOAT);
    Boat inch = book.edit(BOAT, List.of(new Edit("hull.lengthMm", null, 16)), INCH);
    assertEquals(inch.hull().lengthMm(), 4025.4, 1e-9);
  }

  @Test
  public void allEditsAreMadeOrNone() {
    Boat two =
        book.edit(
            BOAT,
            List.of(Edit.of("name", "Eider"), Edit.of("oars", "4 oars"), Edit.of("repaint", "")),
            Units.METRIC);
    assertEquals(two, new Boat("Eider", new Hull(4000, null), Colour.BLUE, 4));
    Refused refused =
        expectThrows(
            Refused.class,
            () ->
                book.edit(
                    BOAT,
                    List.of(Edit.of("name", "Eider"), Edit.of("oars", "many")),
                    Units.METRIC));
    assertEquals(refused.word(), "oars");
  }

  @Test
  public void whatARecordRefusesIsRefusedAtItsWord() {
    Boat small = write(BOAT, "hull.lengthMm", "200 mm");
    Refused refused = expectThrows(Refused.class, () -> write(small, "hull.draughtMm", "300 mm"));
    assertEquals(refused.getMessage(), "A boat cannot be deeper than long.");
  }

  @DataProvider
  public Object[][] outside() {
    return new Object[][] {
      {"hull.lengthMm", "1 mm"},
      {"hull.lengthMm", "1 km"},
      {"oars", "2.5"},
      {"oars", "9"},
      {"oars", "-1"},
      {"name", "a name that goes on and on and on"},
      {"mast", "1"},
    };
  }

  @Test(dataProvider = "outside")
  public void whatDoesNotFitIsRefused(String word, String text) {
    Refused refused = expectThrows(Refused.class, () -> write(BOAT, word, text));
    assertEquals(refused.word(), word);
  }

  @Test
  public void statesShowWhatStandsInTheSentence() {
    var states = book.states(BOAT, Units.METRIC);
    assertEquals(states.get("hull.lengthMm").text(), "4\u202f000 mm");
    assertEquals(states.get("hull.draughtMm").text(), "not measured");
    assertTrue(states.get("hull.draughtMm").unset() && states.get("hull.draughtMm").clearable());
    assertEquals(states.get("colour").value(), "RED");
    assertEquals(states.get("colour").options().size(), 2);
    assertEquals(states.get("oars").text(), "2 oars");
    assertEquals(book.states(BOAT, INCH).get("hull.lengthMm").text(), "157 1/2 in");
    assertEquals(book.label("repaint"), "paint it the other colour");
  }

  @Test
  public void everyKindReadsWhatItShows() {
    Object[][] all = {
      {Kind.percent(0, 100), 12.5},
      {Kind.minutes(10_000), 95.0},
      {Kind.temperature(-50, 400), 23.0},
      {Kind.density(), 1.08},
      {Kind.mass(1e6), 350.0},
      {Kind.volume(1e9), 350_000.0},
      {Kind.plain("kN/m", 0, 100, 1), 21.5},
      {Kind.length(0, 1e5), 12.0}
    };
    for (Object[] one : all) {
      @SuppressWarnings("unchecked")
      Kind<Double> kind = (Kind<Double>) one[0];
      double value = (Double) one[1];
      String shown = kind.format(value, Units.METRIC);
      assertEquals(kind.parse(shown, Units.METRIC), value, 1e-9, shown);
      assertTrue(kind.nudge(value, 1, Units.METRIC) > value, shown);
    }
  }

  public record Harbour(Map<Colour, Hull> berths) {}

  private final WordBook<Harbour> berths =
      new WordBook<Harbour>().word("berths.BLUE.lengthMm", "berth", Kind.length(100, 20_000));

  @Test
  public void aMapByAnEnumerationIsAStepOnTheWay() {
    Harbour two = new Harbour(Map.of(Colour.RED, new Hull(3000, null), Colour.BLUE, BOAT.hull()));
    Harbour longer =
        berths.edit(two, List.of(Edit.of("berths.BLUE.lengthMm", "6 m")), Units.METRIC);
    assertEquals(longer.berths().get(Colour.BLUE).lengthMm(), 6000, 0);
    assertSame(longer.berths().get(Colour.RED), two.berths().get(Colour.RED));
    assertEquals(two.berths().get(Colour.BLUE).lengthMm(), 4000, 0);
    assertEquals(
        berths.states(longer, Units.METRIC).get("berths.BLUE.lengthMm").text(), "6\u202f000 mm");
    Harbour none = new Harbour(Map.of(Colour.RED, BOAT.hull()));
    expectThrows(IllegalArgumentException.class, () -> berths.states(none, Units.METRIC));
  }
}
