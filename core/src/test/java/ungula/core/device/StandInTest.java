package ungula.core.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.device.Reading.Overload;
import ungula.core.device.Reading.Pressure;
import ungula.core.device.Reading.Room;
import ungula.core.device.Reading.Weight;

public class StandInTest {

  private static Weight shown(StandIn scale) {
    return (Weight) Reading.of(scale.line()).orElseThrow();
  }

  @Test
  public void aScaleWaversAndSettles() {
    StandInScale scale = StandInScale.usual(1);
    assertEquals(scale.line(), "S +     0.0 g");
    scale.hand("put 45");
    assertFalse(shown(scale).settled());
    scale.pass(0.2);
    double soon = shown(scale).grams();
    assertTrue(soon > 5 && soon < 40, "on the way: " + soon);
    assertEquals(scale.hear("T"), "T NO", "it moves");
    scale.pass(5);
    assertTrue(shown(scale).settled());
    Near.absolute(shown(scale).grams(), 45, 0.11);
    assertEquals(scale.hear("T"), "T OK");
    Near.absolute(shown(scale).grams(), 0, 0.051);
    scale.hand("take 45");
    scale.pass(5);
    assertTrue(scale.line().startsWith("S -    4"), scale.line());
  }

  @Test
  public void whatIsPouredComesByAndByAndDoesNotSettle() {
    StandInScale scale = StandInScale.usual(2);
    scale.hand("pour 20");
    double before = 0;
    boolean wavered = false;
    for (int i = 0; i < 50; i++) {
      scale.pass(0.1);
      Weight now = shown(scale);
      assertFalse(now.settled());
      wavered |= Math.abs(now.grams() - before - 2) > 0.15;
      before = now.grams();
    }
    assertTrue(wavered, "it is not a straight line");
    scale.hand("stop");
    scale.pass(4);
    Near.absolute(shown(scale).grams(), 100, 0.15);
    assertTrue(shown(scale).settled());
  }

  @Test
  public void aScaleCarriesSoMuchDriftsAndCanBeLost() {
    StandInScale scale = new StandInScale(3, 1, 500);
    scale.hand("put 501");
    scale.pass(5);
    assertEquals(Reading.of(scale.line()).orElseThrow(), new Overload());
    scale.hand("take 251");
    scale.pass(5);
    assertEquals(scale.line(), "S +     250 g");
    scale.hand("lose 3");
    assertEquals(scale.line(), "");
    assertEquals(scale.hear("T"), "");
    scale.pass(3.1);
    assertEquals(scale.line(), "S +     250 g");
    scale.pass(10 * 3600);
    assertEquals(shown(scale).grams(), 252.0, "it drifts");
  }

  @Test
  public void whatCannotBeDoneSaysWhatCan() {
    for (StandIn s : List.of(StandInScale.usual(1), StandInGauge.usual(1), StandInRoom.usual(1))) {
      String before = s.hand("dance");
      assertFalse(before.startsWith("done"), before);
      assertEquals(s.hand("put -5 9"), before);
      assertEquals(s.hear("X"), "");
    }
  }

  /** Acceptance: 11 L, 40 L/min, best 2 kPa, air 101.325 kPa. */
  @Test
  public void aChamberIsPumpedDown() {
    Chamber chamber = new Chamber(11, 40, 2);
    Near.absolute(chamber.pumped(101.325, 10), 56.2, 0.05);
    Near.absolute(chamber.pumped(101.325, 30), 18.1, 0.05);
    Near.absolute(chamber.pumped(101.325, 60), 4.6, 0.05);
    // a leak of one fortieth of what is pumped holds it a fortieth of the air's pressure higher
    Near.absolute(chamber.pumped(101.325, 1, 101.325, 1e6), 2 + 101.325 / 40, 1e-6);
    assertThrows(IllegalArgumentException.class, () -> new Chamber(0, 40, 2));
  }

  private static double kPa(StandIn gauge) {
    Pressure p = (Pressure) Reading.of(gauge.line()).orElseThrow();
    assertTrue(p.absolute());
    return p.kPa();
  }

  @Test
  public void aGaugeFollowsItsPump() {
    StandInGauge gauge = StandInGauge.usual(4);
    Near.absolute(kPa(gauge), 101.3, 0.2);
    gauge.hand("pump");
    gauge.pass(10);
    gauge.pass(20);
    Near.absolute(kPa(gauge), 18.1, 0.2);
    gauge.hand("close");
    gauge.pass(60);
    Near.absolute(kPa(gauge), 18.1, 0.2);
    gauge.hand("leak 1.1");
    gauge.pass(60);
    Near.absolute(kPa(gauge), 18.1 + 10.1, 0.3);
    gauge.hand("open");
    Near.absolute(kPa(gauge), 101.3, 0.2);
  }

  /** What is seen through the lid every ten seconds while it is pumped. */
  private static List<String> seen(StandInGauge gauge, int seconds) {
    List<String> seen = new ArrayList<>();
    gauge.hand("pump");
    for (int s = 0; s < seconds; s += 10) {
      gauge.pass(10);
      seen.add(gauge.hand("look"));
    }
    return seen;
  }

  private static double highest(List<String> seen) {
    return seen.stream()
        .filter(s -> s.startsWith("It stands"))
        .mapToDouble(s -> Double.parseDouble(s.split(" ")[2]))
        .max()
        .orElseThrow();
  }

  @Test
  public void foamRisesAndFallsByItself() {
    StandInGauge gauge = StandInGauge.usual(4);
    assertEquals(gauge.hand("look"), "It stands 1.1 times as high as poured.");
    List<String> seen = seen(gauge, 240);
    assertTrue(seen.get(3).endsWith(", and rises."), seen.get(3));
    double high = highest(seen);
    assertTrue(high > 3 && high < 4, "highest " + high);
    int fallen = seen.indexOf("It has fallen. A large bubble breaks now and then.");
    assertTrue(fallen > 11 && fallen < 18, "after " + 10 * (fallen + 1) + " s");
    gauge.hand("open");
    assertEquals(gauge.hand("look"), "It stands 1.1 times as high as poured.", "the next cup");
  }

  @Test
  public void aCupTooFullRunsOverUnlessALittleAirIsLetIn() {
    StandInGauge gauge = StandInGauge.usual(4);
    gauge.hand("fill 0.4");
    assertTrue(seen(gauge, 90).contains("It ran over the rim."));
    gauge.hand("open");
    for (int s = 0; s < 400; s++) {
      gauge.hand("pump");
      gauge.pass(1);
      String seen = gauge.hand("look");
      assertNotEquals(seen, "It ran over the rim.", "after " + s + " s");
      if (seen.startsWith("It stands 2.1") && seen.endsWith("rises.")) {
        gauge.hand("bleed");
      }
    }
    assertTrue(gauge.hand("look").startsWith("It has fallen."));
    assertEquals(gauge.hand("fill 0.0"), gauge.hand("what?"), "no cup is empty");
  }

  @Test
  public void aLeakKeepsTheFoamLow() {
    StandInGauge gauge = StandInGauge.usual(4);
    gauge.hand("leak 8");
    double high = highest(seen(gauge, 240));
    assertTrue(high < 1.6, "highest " + high);
  }

  @Test
  public void aRoomIsWarmestInTheAfternoon() {
    StandInRoom room = StandInRoom.usual(5);
    List<Room> day = new ArrayList<>();
    for (int hour = 8; hour < 32; hour++) {
      day.add((Room) Reading.of(room.line()).orElseThrow());
      room.pass(3600);
    }
    int warmest = 0;
    for (int i = 1; i < day.size(); i++) {
      warmest = day.get(i).degreesC() > day.get(warmest).degreesC() ? i : warmest;
    }
    assertTrue(Math.abs(warmest - 7) <= 1, "warmest at " + (8 + warmest));
    assertTrue(day.get(7).humidityPct() < day.get(20).humidityPct(), "damper when it is cold");
    room.hand("warm 28");
    Near.absolute(((Room) Reading.of(room.line()).orElseThrow()).degreesC(), 28, 3);
  }

  private static List<String> lines(StandIn s) {
    List<String> all = new ArrayList<>();
    s.hand("pour 30");
    s.hand("pump");
    for (int i = 0; i < 40; i++) {
      s.pass(0.1);
      all.add(s.line());
    }
    return all;
  }

  @Test
  public void aSeedIsADay() {
    assertEquals(lines(StandInScale.usual(7)), lines(StandInScale.usual(7)));
    assertNotEquals(lines(StandInScale.usual(7)), lines(StandInScale.usual(8)));
    assertEquals(lines(StandInGauge.usual(7)), lines(StandInGauge.usual(7)));
    assertNotEquals(lines(StandInRoom.usual(7)), lines(StandInRoom.usual(8)));
  }
}
