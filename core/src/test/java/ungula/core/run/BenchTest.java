package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.Level.Verdict;
import ungula.core.run.Progress.Phase;
import ungula.core.run.Rehearsal.Event;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Stirred;
import ungula.core.run.RunPlan.Task;

/** A base to a hardener as 100 to 10, right within 2 %, in a box 104 × 79 round a flat master. */
public class BenchTest {

  private static final Instant TEN = Instant.parse("2027-03-01T10:00:00Z");

  /** Below the top of the master 80 × 55 × 42, then above it. */
  private static final Rise RISE =
      new Rise(
          List.of(
              new Rise.Level(42, 104.0 * 79 * 42 - 80 * 55 * 42),
              new Rise.Level(60, 104.0 * 79 * 60 - 80 * 55 * 42)),
          104 * 79);

  private static Batch batch(int number, double baseG) {
    String key = "pour.1." + number;
    double potLife = 30 / Math.sqrt(2);
    return new Batch(
        key,
        1,
        number,
        "batch " + number,
        "",
        baseG,
        0.1,
        false,
        List.of(),
        0.02,
        1.08,
        potLife,
        28,
        2,
        key + ".pour",
        RISE);
  }

  private static Task task(String key, Kind kind, String what, String batch, String... after) {
    List<After> waits = Stream.of(after).map(After::end).toList();
    return new Task(key, kind, "Pour", what, what, "", 30, batch, waits, List.of(), List.of());
  }

  private static RunPlan plan(Batch... batches) {
    List<Task> tasks = new ArrayList<>();
    tasks.add(task("gate.box", Kind.GATE, "Sealed.", ""));
    tasks.add(task("gate.sheets", Kind.GATE, "Read.", ""));
    String[] before = {"gate.box", "gate.sheets"};
    for (Batch b : batches) {
      tasks.add(task(b.weigh(), Kind.WEIGH, "Weigh.", b.key(), before));
      tasks.add(task(b.key() + ".stir", Kind.HANDS, "Stir.", b.key(), b.weigh()));
      tasks.add(task(b.used(), Kind.HANDS, "Pour it.", b.key(), b.key() + ".stir"));
      before = new String[] {b.used()};
    }
    return new RunPlan(tasks, List.of(batches), Product.Role.RUBBER, Units.METRIC, false);
  }

  private static final RunPlan PLAN = plan(batch(1, 1192));

  private static Bench begun() {
    return new Bench(PLAN, List.of());
  }

  private static Instant at(int seconds) {
    return TEN.plusSeconds(seconds);
  }

  private static void settled(Bench b, int second, double grams) throws Bench.Refused {
    b.line(at(second), String.format(Locale.ROOT, "S + %7.1f g", grams));
  }

  @Test
  public void theSecondPartFollowsTheFirstAsItWasPoured() throws Exception {
    Bench b = begun();
    b.line(at(0), "D +   600.0 g");
    assertTrue(b.entries().isEmpty(), "what moves is not kept");
    settled(b, 10, 1206.4);
    Progress p = b.state().current().orElseThrow();
    assertEquals(p.phase(), Phase.SECOND);
    Near.absolute(p.targetG(Ingredient.of(Part.HARDENER)), 120.64, 0.001);
    b.tared(at(20));
    b.line(at(30), "D +     0.1 g");
    assertNull(b.state().current().orElseThrow().met(), "it shows no less");
    b.line(at(31), "D +     0.2 g");
    assertEquals(b.state().current().orElseThrow().met(), at(31));
    settled(b, 60, 131);
    p = b.state().current().orElseThrow();
    assertEquals(p.phase(), Phase.SAVE);
    Near.absolute(100 * p.hardenerG() / p.baseG(), 10.86, 0.005);
    Progress.Still still = p.still().orElseThrow();
    Near.absolute(still.addG(), 103.6, 0.05);
    Near.absolute(still.totalG(), 1441, 0.05);
    Near.absolute(still.mm3(), 1_334_000, 500);
    // more base on top of it, on the same scale
    settled(b, 90, 131 + 50);
    Near.absolute(b.state().current().orElseThrow().baseG(), 1256.4, 0.01);
    settled(b, 120, 131 + 103.6);
    p = b.state().current().orElseThrow();
    assertEquals(p.phase(), Phase.MIX);
    Near.absolute(p.grams(), 1441, 0.01);
  }

  /** Without taring, the scale shows both. */
  @Test
  public void anUntaredScaleShowsBoth() throws Exception {
    Bench b = begun();
    settled(b, 0, 1200);
    settled(b, 10, 1320);
    Progress p = b.state().current().orElseThrow();
    Near.absolute(p.hardenerG(), 120, 1e-9);
    assertEquals(p.phase(), Phase.MIX);
    assertEquals(p.met(), at(10));
  }

  @Test
  public void potLifeRingsThreeTimesUntilItIsPoured() throws Exception {
    Bench b = begun();
    b.typed(TEN.minusSeconds(60), 1192);
    b.typed(TEN, 119.2);
    assertEquals(
        b.state().alarms().stream().map(a -> a.at().plusMillis(500).getEpochSecond()).toList(),
        List.of(at(636).getEpochSecond(), at(1018).getEpochSecond(), at(1273).getEpochSecond()));
    b.tick(at(100), "pour.1.1.stir");
    b.tick(at(700), "pour.1.1.pour");
    assertEquals(b.state().alarms().size(), 1, "what is poured rings no more");
    assertTrue(b.state().current().isEmpty());
  }

  /** In a room 10 °C cooler than planned, twice as long, van 't Hoff. */
  @Test
  public void potLifeIsThatOfTheRoomWhenThePartsMeet() throws Exception {
    Bench b = begun();
    b.line(at(0), "R 18.0 C 55 %");
    b.typed(at(1), 1192);
    b.typed(at(2), 119.2);
    b.line(at(3), "R 30.0 C 55 %");
    Near.absolute(current(b).potLifeMin().orElseThrow(), 2 * 30 / Math.sqrt(2), 1e-9);
    RunState killed = RunState.of(b.plan(), b.entries());
    assertEquals(killed.alarms(), b.state().alarms());
  }

  @Test
  public void aLevelIsHeldAgainstWhatWasPoured() throws Exception {
    Bench b = new Bench(plan(batch(1, 255 / 1.1)), List.of());
    assertThrows(Bench.Refused.class, () -> b.level(TEN, 50));
    b.typed(TEN, 255 / 1.1);
    b.typed(TEN, 25.5 / 1.1);
    b.level(TEN, 50.2);
    Level level = b.state().level().orElseThrow();
    Near.absolute(level.expectedMm(), 51.2, 0.05);
    Near.absolute(100 * level.shortShare(), 3.6, 0.05);
    assertEquals(level.verdict(), Verdict.WITHIN);
    b.level(TEN, 49);
    Near.absolute(100 * b.state().level().orElseThrow().shortShare(), 7.8, 0.05);
    assertEquals(b.state().level().orElseThrow().verdict(), Verdict.SHORT);
    b.level(TEN, 53);
    assertEquals(b.state().level().orElseThrow().verdict(), Verdict.LONG);
  }

  @Test
  public void nothingIsPassedWithoutBeingWrittenDown() throws Exception {
    Bench b = begun();
    b.gate(at(0), "gate.box", false);
    settled(b, 10, 600);
    assertEquals(
        b.entries().get(1), new Entry.Gated(at(10), "gate.sheets", true), "passed by weighing");
    assertFalse(skipped(b.state(), "gate.box"));
    assertTrue(skipped(b.state(), "gate.sheets"));
    int before = b.entries().size();
    b.gate(at(15), "gate.sheets", true);
    assertEquals(b.entries().size(), before, "skipped twice it is skipped once");
    // seen to afterwards
    b.tick(at(20), "gate.sheets");
    assertFalse(skipped(b.state(), "gate.sheets"));
  }

  private static boolean skipped(RunState s, String key) {
    return s.ended(PLAN.task(key).orElseThrow()).orElseThrow().skipped();
  }

  @Test
  public void stepsComeInTheirTurn() throws Exception {
    Bench b = new Bench(plan(batch(1, 500), batch(2, 500)), List.of());
    refused(b, "pour.1.1.stir", "The base is not weighed yet.");
    refused(b, "pour.1.1.base", "Nothing was weighed of the base yet.");
    refused(b, "nonsense", "There is no step “nonsense”.");
    settled(b, 0, 400);
    // taken as it is
    b.tick(at(1), "pour.1.1.base");
    Near.absolute(
        b.state().current().orElseThrow().targetG(Ingredient.of(Part.HARDENER)), 40, 1e-9);
    refused(b, "pour.1.1.stir", "The hardener is not weighed yet.");
    settled(b, 2, 430);
    refused(b, "pour.1.1.stir", "Pour 10.0 g more of hardener.");
    settled(b, 3, 450);
    refused(
        b,
        "pour.1.1.stir",
        "There is too much hardener: add 100.0 g of base, or start again in a clean cup.");
    b.correct(at(4), b.entries().size(), "the cup was touched");
    settled(b, 5, 440);
    refused(b, "pour.1.1.pour", "First: Stir.");
    refused(b, "pour.1.2.stir", "First batch 1: it is not poured yet.");
    b.tick(at(6), "pour.1.1.stir");
    int before = b.entries().size();
    b.tick(at(7), "pour.1.1.stir");
    assertEquals(b.entries().size(), before, "two people press, it is done once");
    b.tick(at(8), "pour.1.1.pour");
    assertEquals(b.state().current().orElseThrow().batch().key(), "pour.1.2");
    assertThrows(Bench.Refused.class, () -> b.typed(at(9), 0));
    assertThrows(Bench.Refused.class, () -> b.correct(at(9), 99, "no such"));
    assertThrows(Bench.Refused.class, () -> b.correct(at(9), 1, " "));
  }

  private static void refused(Bench b, String key, String why) {
    int before = b.entries().size();
    Bench.Refused no = expectThrows(Bench.Refused.class, () -> b.tick(TEN, key));
    assertEquals(no.getMessage(), why);
    assertEquals(b.entries().size(), before);
  }

  @Test
  public void aScaleThatIsLostIsTakenUpAgain() throws Exception {
    Bench b = begun();
    b.lost(at(0), "scale");
    b.lost(at(1), "scale");
    assertEquals(b.state().lost().size(), 1);
    b.typed(at(2), 1192);
    assertThrows(Bench.Refused.class, () -> b.line(at(3), "OL"));
    assertTrue(b.state().lost().isEmpty());
    // nobody knows what of it is base: it is not taken for hardener
    settled(b, 4, 1192);
    assertNull(b.state().current().orElseThrow().met());
    b.tared(at(5));
    settled(b, 6, 119);
    assertEquals(b.state().current().orElseThrow().phase(), Phase.MIX);
    assertEquals(
        b.entries().stream().filter(e -> e instanceof Entry.Heard).count(), 2, "lost, and heard");
  }

  /**
   * Another scale knows nothing of what the first was set to, and that is no mistake of anybody.
   */
  @Test
  public void anotherScaleIsSetToZeroFirst() throws Exception {
    Bench b = begun();
    settled(b, 0, 1192);
    assertEquals(b.state().grams(1192 + 30).orElseThrow(), 30.0, "of hardener");
    b.zeroLost(at(1), "fine scale");
    assertTrue(b.state().grams(45).isEmpty(), "what stands on it is not known");
    int entries = b.entries().size();
    settled(b, 2, 119.2);
    b.zeroLost(at(3), "fine scale");
    assertEquals(b.entries().size(), entries, "nothing is taken for hardener, nor said twice");
    assertThrows(Bench.Refused.class, () -> b.correct(at(4), entries, "it was not"));
    b.tared(at(5));
    settled(b, 6, 119.2);
    assertEquals(b.state().current().orElseThrow().phase(), Phase.MIX);
    assertEquals(
        Told.of(b.plan(), b.entries().get(entries - 1)), "Another scale is read: fine scale");
  }

  private static List<Event> any(Random r, int count) {
    List<Event> all = new ArrayList<>();
    double shown = 0;
    for (int i = 0; i < count; i++) {
      Instant at = at(5 * i);
      int kind = r.nextInt(14);
      shown = Math.max(0, shown + (r.nextInt(4) == 0 ? 60 : 7) * r.nextDouble());
      String line = String.format(Locale.ROOT, "%s + %.1f g", kind < 4 ? "S" : "D", shown);
      String step = List.of("stir", "pour", "base").get(r.nextInt(3));
      all.add(
          switch (kind) {
            case 8 -> new Event.Tick(at, "pour.1." + (1 + r.nextInt(2)) + "." + step);
            case 9 ->
                new Event.Gate(at, r.nextBoolean() ? "gate.box" : "gate.sheets", r.nextBoolean());
            case 10 -> new Event.ReadLevel(at, 60 * r.nextDouble());
            case 11 ->
                r.nextBoolean()
                    ? new Event.Lost(at, "scale")
                    : new Event.Typed(at, 100 * r.nextDouble());
            case 12 -> new Event.Correct(at, 1 + r.nextInt(8), "it was wrong");
            case 13 -> new Event.Tick(at, "pour.1.1." + step);
            default -> new Event.Line(at, line);
          });
      if (kind == 7) {
        all.add(new Event.Tare(at));
        shown = 0;
      }
    }
    return all;
  }

  /** Killed wherever, everything goes on as if nothing had happened. */
  @Test
  public void whatIsKilledGoesOnFromItsEntries() {
    RunPlan plan = plan(batch(1, 100), batch(2, 60));
    int weighed = 0;
    for (int seed = 0; seed < 1_000; seed++) {
      Random r = new Random(seed);
      List<Event> events = any(r, 40);
      Rehearsal whole = Rehearsal.of(plan, events);
      List<Event> killed = new ArrayList<>();
      for (Event e : events) {
        killed.add(e);
        if (r.nextInt(3) == 0) {
          killed.add(new Event.Kill(e.at()));
        }
      }
      assertEquals(Rehearsal.of(plan, killed), whole, "seed " + seed);
      // never two truths: what was weighed last of a part, and was not corrected, is what counts
      RunState state = RunState.of(plan, whole.entries());
      for (Progress p : state.batches()) {
        assertTrue(p.used() == null || p.baseG() > 0 && p.hardenerG() > 0 || corrected(whole));
        weighed += p.hardenerG() > 0 ? 1 : 0;
      }
      assertTrue(whole.alarms().stream().allMatch(a -> a.at().isAfter(TEN)));
    }
    assertTrue(weighed > 200, weighed + " were weighed");
  }

  private static boolean corrected(Rehearsal r) {
    return r.entries().stream().anyMatch(e -> e instanceof Entry.Corrected);
  }

  /** Two people answer gates in any order. */
  @Test
  public void theOrderOfGatesDoesNotMatter() {
    List<Event> ticks =
        new ArrayList<>(
            List.of(
                new Event.Gate(TEN, "gate.box", false),
                new Event.Gate(TEN, "gate.box", true),
                new Event.Gate(TEN, "gate.sheets", true)));
    for (int seed = 0; seed < 20; seed++) {
      Collections.shuffle(ticks, new Random(seed));
      RunPlan plan = plan(batch(1, 9));
      RunState s = RunState.of(plan, Rehearsal.of(plan, ticks).entries());
      assertTrue(!skipped(s, "gate.box") && skipped(s, "gate.sheets"));
    }
  }

  private static RunPlan live(Batch... batches) {
    RunPlan p = plan(batches);
    return new RunPlan(p.tasks(), p.batches(), p.role(), p.units(), 60.0, null, true, List.of());
  }

  private static Progress current(Bench b) {
    return b.state().current().orElseThrow();
  }

  /** What an empty cup weighs is no rubber. */
  @Test
  public void theScaleIsBelievedOnceTheCupIsSetToNothing() throws Exception {
    Bench b = new Bench(live(batch(1, 500), batch(2, 300)), List.of());
    settled(b, 0, 45);
    assertTrue(b.entries().isEmpty());
    assertTrue(Weighing.of(b.plan(), b.state(), true, null).orElseThrow().toZero());
    b.tared(at(1));
    settled(b, 2, 250);
    b.tared(at(3));
    settled(b, 4, 252);
    Near.absolute(current(b).baseG(), 502, 1e-9);
    settled(b, 5, 252 + 50.2);
    assertEquals(current(b).phase(), Phase.MIX);
    // until it is mixed it may be poured on
    settled(b, 6, 252 + 51);
    Near.absolute(current(b).hardenerG(), 51, 1e-9);
    settled(b, 7, 252 + 900);
    Near.absolute(current(b).hardenerG(), 51, 1e-9);
    b.tick(at(8), "pour.1.1.stir");
    settled(b, 9, 252 + 52);
    Near.absolute(current(b).hardenerG(), 51, 1e-9);
    b.tick(at(10), "pour.1.1.pour");
    settled(b, 11, 300);
    assertEquals(current(b).baseG(), 0.0, "the next cup is not set to nothing yet");
  }

  @Test
  public void whatWasTakenForHardenerWasStillBase() throws Exception {
    Bench b = new Bench(live(batch(1, 500)), List.of());
    b.tared(at(0));
    settled(b, 1, 495);
    assertEquals(current(b).phase(), Phase.SECOND);
    settled(b, 2, 501);
    assertEquals(current(b).met(), at(2));
    b.stillBase(at(3));
    Near.absolute(current(b).baseG(), 501, 1e-9);
    assertNull(current(b).met());
    settled(b, 4, 501 + 50.1);
    assertEquals(current(b).met(), at(4));
    assertEquals(current(b).phase(), Phase.MIX);
  }

  /** What was typed for one part while the server was lost is not taken for another. */
  @Test
  public void whatIsHeardOfLateIsOfWhatItWasTypedFor() throws Exception {
    Bench b = begun();
    b.typed(at(0), "pour.1.1", Ingredient.of(Part.BASE), 1192);
    Bench.Refused no =
        expectThrows(
            Bench.Refused.class, () -> b.typed(at(1), "pour.1.1", Ingredient.of(Part.BASE), 1200));
    assertEquals(no.getMessage(), "Something else is weighed by now: look, then type it again.");
    assertThrows(
        Bench.Refused.class, () -> b.typed(at(1), "pour.1.2", Ingredient.of(Part.HARDENER), 119));
    b.typed(at(2), "pour.1.1", Ingredient.of(Part.HARDENER), 119.2);
    assertEquals(current(b).phase(), Phase.MIX);
    assertThrows(Bench.Refused.class, () -> b.level(at(3), "pour.1.2", 20));
    b.level(at(3), "pour.1.1", 20);
  }

  @Test
  public void whatIsThrownAwayIsNotInTheCup() throws Exception {
    Bench b = begun();
    b.typed(at(0), 1192);
    b.typed(at(1), 119.2);
    b.tick(at(2), "pour.1.1.stir");
    b.startOver(at(3), "pour.1.1");
    assertEquals(current(b).grams(), 0.0);
    assertNull(current(b).met(), "no pot life runs");
    assertTrue(b.state().alarms().isEmpty());
    refused(b, "pour.1.1.stir", "The base is not weighed yet.");
    Near.absolute(b.state().thrownAway(current(b).batch()).totalG(), 1311.2, 1e-9);
    b.typed(at(4), 1192);
    b.typed(at(5), 119.2);
    b.tick(at(6), "pour.1.1.stir");
    b.tick(at(7), "pour.1.1.pour");
    assertThrows(Bench.Refused.class, () -> b.startOver(at(8), "pour.1.1"));
  }

  @Test
  public void whatIsStirredInFollowsBoth() throws Exception {
    Batch b0 = batch(1, 1000);
    Batch with =
        new Batch(
            b0.key(),
            1,
            1,
            b0.name(),
            "",
            1000,
            0.1,
            false,
            List.of(new Stirred("thinner", 0.05, false)),
            0.02,
            1.08,
            20.0,
            28,
            2,
            b0.used(),
            RISE);
    Bench b = new Bench(plan(with), List.of());
    b.typed(at(0), 1010);
    b.typed(at(1), 101);
    assertEquals(current(b).phase(), Phase.STIR_IN);
    Near.absolute(current(b).targetG(Ingredient.stirred(0)), 0.05 * 1111, 1e-9);
    refused(b, "pour.1.1.stir", "Stir in 55.6 g of thinner first.");
    b.typed(at(2), 55.6);
    assertEquals(current(b).phase(), Phase.MIX);
    b.tick(at(3), "pour.1.1.stir");
  }

  private static Batch with(boolean hardenerFirst, Stirred... stirred) {
    Batch b = batch(1, 1000);
    return new Batch(
        b.key(),
        1,
        1,
        b.name(),
        "",
        1000,
        0.1,
        hardenerFirst,
        List.of(stirred),
        0.02,
        1.08,
        20.0,
        28,
        2,
        b.used(),
        RISE);
  }

  @Test
  public void severalThingsAreStirredInOneAfterTheOther() throws Exception {
    Stirred thinner = new Stirred("thinner", 0.05, false);
    Bench b = new Bench(plan(with(false, thinner, new Stirred("pigment", 0.01, false))), List.of());
    b.typed(at(0), 1000);
    b.typed(at(1), 100);
    refused(b, "pour.1.1.stir", "Stir in 55.0 g of thinner first.");
    b.typed(at(2), 55);
    refused(b, "pour.1.1.stir", "Stir in 11.0 g of pigment first.");
    Ingredient pigment = Ingredient.stirred(1);
    assertEquals(b.state().pouring().orElseThrow(), pigment);
    assertEquals(Weighing.of(b.plan(), b.state(), false, null).orElseThrow().which(), 1);
    // what is typed is of what it was typed for, though two are additives
    assertThrows(Bench.Refused.class, () -> b.typed(at(3), "pour.1.1", Ingredient.stirred(0), 56));
    b.typed(at(3), "pour.1.1", pigment, 11);
    assertEquals(current(b).phase(), Phase.MIX);
    Near.absolute(current(b).grams(), 1166, 1e-9);
    // poured on until it is stirred
    b.typed(at(4), "pour.1.1", pigment, 11.1);
    assertEquals(
        new Bench(b.plan(), b.entries()).state().progress(b.plan().batches().get(0)), current(b));
  }

  /**
   * The hardener goes in first by habit: the base follows it, and pigment is blended in between.
   */
  @Test
  public void theHardenerMayGoInFirst() throws Exception {
    Bench b = new Bench(plan(with(true, new Stirred("pigment", 0.02, true))), List.of());
    assertEquals(b.state().pouring().orElseThrow(), Ingredient.of(Part.HARDENER));
    refused(b, "pour.1.1.stir", "The hardener is not weighed yet.");
    b.typed(at(0), 101);
    assertEquals(current(b).phase(), Phase.STIR_IN);
    // of all that will be in the cup, by what was really poured of the first
    Near.absolute(current(b).targetG(Ingredient.stirred(0)), 0.02 * 101 * 11, 1e-9);
    b.typed(at(1), 22.2);
    assertNull(current(b).met(), "what is blended into one part starts no pot life");
    Near.absolute(current(b).targetG(Ingredient.of(Part.BASE)), 1010, 1e-9);
    b.typed(at(2), 1100);
    assertEquals(current(b).met(), at(2));
    assertEquals(current(b).phase(), Phase.SAVE);
    Near.absolute(current(b).still().orElseThrow().addG(), 9, 1e-9);
    refused(
        b,
        "pour.1.1.stir",
        "There is too much base: add 9.0 g of hardener, or start again" + " in a clean cup.");
    b.typed(at(3), 110);
    assertEquals(current(b).phase(), Phase.STIR_IN, "pigment follows what was added");
    Near.absolute(current(b).targetG(Ingredient.stirred(0)), 24.2, 1e-9);
    b.typed(at(4), 24.2);
    assertEquals(current(b).phase(), Phase.MIX);
  }

  /** One cup for two moulds: each has its share, its pot life and its level. */
  @Test
  public void aBatchFeedsAnotherMould() throws Exception {
    Bench b = new Bench(plan(batch(1, 1000)), List.of());
    Bench other = new Bench(plan(batch(1, 500)), List.of());
    Batch its = other.plan().batches().get(0);
    Entry.Shared with = new Entry.Shared(at(0), "pour.1.1", "r2", "Lid", its.key(), 0);
    b.share(at(0), "pour.1.1", with, its);
    b.share(at(0), "pour.1.1", with, its);
    assertEquals(current(b).shares().size(), 1, "twice is once");
    Near.absolute(current(b).targetG(Ingredient.of(Part.BASE)), 1500, 1e-9);
    assertTrue(
        Weighing.of(b.plan(), b.state(), false, null)
            .orElseThrow()
            .follows()
            .contains("500.0 g of it for Lid"));
    b.typed(at(1), 1500);
    assertThrows(Bench.Refused.class, () -> b.share(at(1), "pour.1.1", with, its));
    b.typed(at(2), 150);
    Near.absolute(current(b).own().totalG(), 1100, 1e-9);
    double mm3 = b.state().pouredMm3(current(b).batch()).orElseThrow();
    Near.absolute(mm3, 1_100_000 / 1.08, 1e-6);
    other.fed(at(3), its.key(), "r1", "Block", current(b));
    Progress fed = current(other);
    assertEquals(fed.phase(), Phase.MIX);
    Near.absolute(fed.baseG(), 500, 1e-9);
    Near.absolute(fed.hardenerG(), 50, 1e-9);
    assertEquals(fed.met(), current(b).met(), "one pot life");
    assertEquals(other.state().fedBy(its).orElseThrow().mould(), "Block");
    assertThrows(Bench.Refused.class, () -> other.fed(at(4), its.key(), "r1", "Block", current(b)));
    // together all of the cup
    Near.absolute(fed.grams() + current(b).own().totalG(), current(b).grams(), 1e-9);
    int shared = 1;
    assertThrows(Bench.Refused.class, () -> b.correct(at(5), shared, "It was not."));
    b.startOver(at(5), "pour.1.1");
    Near.absolute(b.state().thrownAway(current(b).batch()).totalG(), 1100, 1e-9);
    b.correct(at(6), shared, "Not for Lid after all.");
    Near.absolute(current(b).targetG(Ingredient.of(Part.BASE)), 1000, 1e-9);
    Batch pigmented = with(false, new Stirred("pigment", 0.01, false));
    assertThrows(Bench.Refused.class, () -> b.share(at(7), "pour.1.1", with, pigmented));
  }

  /** Two coats: the second within a window, or else once the first has set. */
  private static RunPlan coats() {
    Batch one = batch(1, 100);
    Batch two = batch(2, 100);
    List<Task> tasks = new ArrayList<>(plan(one).tasks());
    After window = new After(one.weigh(), true, 60, 120.0, 400.0);
    tasks.add(
        new Task(
            two.weigh(),
            Kind.WEIGH,
            "Coats",
            "weigh",
            "Weigh.",
            "",
            5,
            two.key(),
            List.of(After.end(one.used()), window),
            List.of(),
            List.of()));
    tasks.add(task(two.key() + ".stir", Kind.HANDS, "Stir.", two.key(), two.weigh()));
    tasks.add(task(two.used(), Kind.HANDS, "Pour it.", two.key(), two.key() + ".stir"));
    tasks.add(task("cure", Kind.WAIT, "Let it cure.", "", two.used()));
    tasks.add(task("witness", Kind.VERDICT, "Firm.", "", "cure"));
    tasks.add(task("open", Kind.HANDS, "Open.", "", "witness"));
    return new RunPlan(tasks, List.of(one, two), Product.Role.RUBBER, Units.METRIC, false);
  }

  private static void poured(Bench b, int batch, int second) throws Bench.Refused {
    b.typed(at(second), 100);
    b.typed(at(second), 10);
    b.tick(at(second), "pour.1." + batch + ".stir");
    b.tick(at(second + 60), "pour.1." + batch + ".pour");
  }

  @Test
  public void aWindowOpensClosesAndIsMissed() throws Exception {
    Bench b = new Bench(coats(), List.of());
    Task second = b.plan().task("pour.1.2.weigh").orElseThrow();
    assertNull(b.state().window(second, TEN).opens(), "nothing is mixed yet");
    poured(b, 1, 0);
    RunState.Window w = b.state().window(second, at(61));
    assertEquals(w, new RunState.Window(at(3600), at(7200), false));
    RunState.Window missed = b.state().window(second, at(7201));
    assertEquals(missed, new RunState.Window(at(24_000), null, true));
    List<Clock> before = Clock.of(b.plan(), b.state(), at(61));
    assertEquals(before.get(0).what(), Clock.What.WINDOW);
    assertEquals(
        before.get(0).rings().stream().map(Clock.Ring::at).toList(),
        List.of(at(3600), at(6480), at(7200)));
    Clock after = Clock.of(b.plan(), b.state(), at(7300)).get(0);
    assertEquals(after.until(), at(24_000));
    assertTrue(after.label().contains("missed"), after.label());
  }

  @Test
  public void waitsEndByTheClockAndAreWrittenDown() throws Exception {
    Bench b = new Bench(coats(), List.of());
    poured(b, 1, 0);
    poured(b, 2, 3600);
    assertEquals(b.state().next(at(3700)).orElseThrow().key(), "cure");
    assertThrows(Bench.Refused.class, () -> b.tick(at(3700), "open"));
    assertEquals(b.state().next(at(3660 + 1800)).orElseThrow().key(), "witness");
    b.judge(at(6000), "witness", false);
    assertEquals(b.state().notGood(b.plan().task("witness").orElseThrow()).orElseThrow(), at(6000));
    assertEquals(b.state().next(at(6000)).orElseThrow().key(), "witness");
    b.judge(at(9000), "witness", true);
    assertTrue(b.entries().contains(new Entry.Done(at(3660 + 1800), "cure")), "when it was over");
    b.tick(at(9001), "open");
    assertTrue(b.state().next(at(9001)).isEmpty());
  }

  /** Opened early, or without a look: it is written down who passed what. */
  @Test
  public void whatIsPassedOnTheWayIsWrittenDown() throws Exception {
    Bench b = new Bench(coats(), List.of());
    poured(b, 1, 0);
    poured(b, 2, 3600);
    b.tick(at(7000), "open");
    assertTrue(b.entries().contains(new Entry.Gated(at(7000), "witness", true)));
    b.correct(at(7001), b.entries().size(), "it was not");
    assertEquals(b.state().next(at(7002)).orElseThrow().key(), "open");
    b.leaveOut(at(7003), "open", "It is kept closed.");
    assertTrue(b.state().next(at(7003)).isEmpty());
  }

  /** What does not hang together may be told in either order. */
  @Test
  public void theOrderOfArrivalOfTwoPeopleDoesNotMatter() throws Exception {
    for (int seed = 0; seed < 50; seed++) {
      Bench b = new Bench(coats(), List.of());
      poured(b, 1, 0);
      List<Entry> two =
          new ArrayList<>(
              List.of(
                  new Entry.Gated(at(90), "gate.box", false),
                  new Entry.Foamed(at(91), "pour.1.1", Entry.Foam.FALLEN),
                  new Entry.LevelRead(at(92), "pour.1.1", 30),
                  new Entry.LeftOut(at(93), "open", "no"),
                  new Entry.Judged(at(94), "witness", true)));
      Collections.shuffle(two, new Random(seed));
      List<Entry> all = new ArrayList<>(b.entries());
      all.addAll(two);
      RunState s = RunState.of(b.plan(), all);
      assertFalse(skipped(b.plan(), s, "gate.box"));
      assertTrue(skipped(b.plan(), s, "open"));
      assertFalse(skipped(b.plan(), s, "witness"));
      assertEquals(s.level().orElseThrow().at(), at(92));
      assertEquals(s.next(at(95)).orElseThrow().key(), "pour.1.2.weigh");
    }
  }

  private static boolean skipped(RunPlan plan, RunState s, String key) {
    return s.ended(plan.task(key).orElseThrow()).orElseThrow().skipped();
  }

  @Test
  public void levelsHaveToRise() {
    assertThrows(
        IllegalArgumentException.class,
        () -> new Rise(List.of(new Rise.Level(10, 5), new Rise.Level(9, 6)), 1));
    assertThrows(IllegalArgumentException.class, () -> new Rise(List.of(), 0));
    Rise plain = new Rise(List.of(), 200);
    Near.absolute(plain.mm(1000), 5, 1e-12);
    Near.absolute(plain.mm3(5), 1000, 1e-12);
    Rise zero = new Rise(List.of(new Rise.Level(0, 0), new Rise.Level(10, 900)), 200);
    Near.absolute(zero.mm(450), 5, 1e-12);
    Near.absolute(zero.mm3(12), 1300, 1e-12);
    Rise onFirst = new Rise(List.of(new Rise.Level(40, 0), new Rise.Level(50, 1000)), 200);
    Near.absolute(onFirst.mm(500), 45, 1e-12);
    Near.absolute(onFirst.mm3(45), 500, 1e-12);
    Near.absolute(onFirst.mm3(20), 0, 1e-12);
  }
}
