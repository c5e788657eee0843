package ungula.core.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.log.LogLine.Kind;
import ungula.core.quantity.Units;
import ungula.core.rubber.Product;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Rise;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Task;

/** What happened stands beside what was planned, and what is beyond tolerance is called out. */
public class RunLogTest {

  private static final Instant TEN = Instant.parse("2027-03-01T10:00:00Z");

  /** 100 : 10, 52 min at 23 °C, halved every 10 °C; 255 g fill 51.2 mm round a flat master. */
  private static final Batch BATCH =
      new Batch(
          "pour.1.1",
          1,
          1,
          "the batch",
          "",
          231.8,
          0.1,
          false,
          List.of(),
          0.01,
          1.08,
          52.0,
          23,
          2,
          "pour.1.1.pour",
          new Rise(List.of(new Rise.Level(42, 42 * (104 * 79 - 80 * 55))), 104 * 79));

  private static Task task(String key, RunPlan.Kind kind, double minutes, String... after) {
    return new Task(
        key,
        kind,
        "The pour",
        key,
        key,
        "",
        minutes,
        key.startsWith("pour.1.1") ? "pour.1.1" : "",
        List.of(after).stream().map(After::end).toList(),
        List.of(),
        List.of());
  }

  private static final RunPlan PLAN =
      new RunPlan(
          List.of(
              task("pour.1.gate.box", RunPlan.Kind.GATE, 0),
              task("pour.1.1.weigh", RunPlan.Kind.WEIGH, 5, "pour.1.gate.box"),
              task("pour.1.1.stir", RunPlan.Kind.HANDS, 4, "pour.1.1.weigh"),
              task("pour.1.1.pour", RunPlan.Kind.POUR, 2, "pour.1.1.stir"),
              task("pour.1.1.level", RunPlan.Kind.LEVEL, 0, "pour.1.1.pour"),
              task("cure", RunPlan.Kind.WAIT, 960, "pour.1.1.pour"),
              task("open", RunPlan.Kind.HANDS, 20, "cure")),
          List.of(BATCH),
          Product.Role.RUBBER,
          Units.METRIC,
          false);

  private static Instant at(double minutes) {
    return TEN.plusMillis(Math.round(60_000 * minutes));
  }

  private static List<LogLine> log(Bench b) {
    return RunLog.of(PLAN, b.entries(), Collections.nCopies(b.entries().size(), "MB"));
  }

  private static LogLine of(List<LogLine> log, String what) {
    return log.stream().filter(l -> l.what().contains(what)).findFirst().orElseThrow();
  }

  /** Weighed right, in a room as planned, poured and opened in time. */
  private static Bench good() throws Bench.Refused {
    Bench b = new Bench(PLAN, List.of());
    b.gate(TEN, "pour.1.gate.box", false);
    b.line(at(1), "R   23.4 C  45.0 %");
    b.typed(at(1), 231.0);
    b.typed(at(2), 23.1);
    b.tick(at(6), "pour.1.1.stir");
    b.tick(at(8), "pour.1.1.pour");
    return b;
  }

  @Test
  public void whatWentAsPlannedIsSaidBesideItsPlan() throws Exception {
    Bench b = good();
    b.level(at(9), 51.0);
    b.tick(at(8 + 960), "cure");
    List<LogLine> log = log(b);
    LogLine base = of(log, "The batch: base");
    assertEquals(base.planned(), "231.8 g");
    assertEquals(base.actual(), "231.0 g");
    assertEquals(base.kind(), Kind.WEIGHED);
    assertEquals(base.who(), "MB");
    assertEquals(base.part(), "The pour");
    LogLine stir = of(log, "stir");
    assertEquals(stir.planned(), "4 min");
    assertEquals(stir.actual(), "4 min");
    LogLine level = of(log, "Level after the batch");
    assertEquals(level.planned(), "51.1 mm");
    assertEquals(level.actual(), "51 mm");
    assertEquals(of(log, "Cure").actual(), "16 h");
    assertTrue(log.stream().noneMatch(LogLine::differs), log.toString());
  }

  @Test
  public void whatIsBeyondToleranceIsCalledOut() throws Exception {
    Bench b = new Bench(PLAN, List.of());
    b.gate(TEN, "pour.1.gate.box", true);
    b.line(at(1), "R   19.0 C  45.0 %");
    b.typed(at(1), 240.0);
    b.typed(at(2), 25.0);
    // too much hardener is saved by base
    b.typed(at(3), 250.0);
    b.tick(at(30), "pour.1.1.stir");
    b.tick(at(80), "pour.1.1.pour");
    b.level(at(81), 47.0);
    b.gate(at(82), "pour.1.1.level", true);
    b.tick(at(80 + 600), "cure");
    List<LogLine> log = log(b);
    assertEquals(of(log, "gate").off(), "not answered");
    assertEquals(of(log, "The batch: base").off(), "3.5 % more than planned");
    // of what was really in the cup
    assertEquals(of(log, "The batch: hardener").off(), "4.2 % more than the ratio asks for");
    LogLine met = of(log, "pot life begins");
    assertEquals(
        List.of(met.planned(), met.actual(), met.off()),
        List.of("23 °C", "19 °C", "a room 4 °C colder"));
    assertEquals(of(log, "stir").off(), "it took long");
    // 52 min at 23 °C are 68.6 at 19
    assertEquals(of(log, "Pour.1.1.pour").off(), "9 min after its pot life");
    assertTrue(of(log, "Level after").off().endsWith(" % short"), of(log, "Level after").off());
    assertEquals(of(log, "Cure").off(), "6 h too early");
  }

  @Test
  public void whatIsPouredInSeveralGoesIsOneLineAndWhatIsCorrectedStandsStruck() throws Exception {
    Bench b = new Bench(PLAN, List.of());
    b.gate(TEN, "pour.1.gate.box", false);
    b.typed(at(1), 100);
    b.typed(at(2), 232);
    b.typed(at(3), 2.0);
    int wrong = b.entries().size();
    b.correct(at(4), wrong, "It was read wrong.");
    b.typed(at(5), 23.2);
    List<LogLine> log = log(b);
    List<LogLine> weighed = log.stream().filter(l -> l.kind() == Kind.WEIGHED).toList();
    assertEquals(
        weighed.stream().map(LogLine::actual).toList(), List.of("232.0 g", "2.0 g", "23.2 g"));
    assertEquals(
        weighed.stream().map(LogLine::struck).toList(), List.of("", "It was read wrong.", ""));
    assertFalse(weighed.get(1).differs(), "what does not count is no difference");
    assertTrue(log.stream().anyMatch(l -> l.what().contains("does not count")));
  }

  @Test
  public void whatIsThrownAwayIsBegunAnew() throws Exception {
    Bench b = new Bench(PLAN, List.of());
    b.gate(TEN, "pour.1.gate.box", false);
    b.typed(at(1), 300);
    b.startOver(at(2), "pour.1.1");
    b.typed(at(3), 232);
    List<LogLine> log = log(b);
    assertEquals(of(log, "thrown away").off(), "thrown away");
    List<String> weighed =
        log.stream().filter(l -> l.what().endsWith(": base")).map(LogLine::actual).toList();
    assertEquals(weighed, List.of("300.0 g", "232.0 g"));
    assertEquals(
        Optional.of("29.4 % more than planned"),
        log.stream().map(LogLine::off).filter(o -> o.endsWith("planned")).findFirst());
  }

  @Test
  public void everythingThatCanHappenIsOnALine() throws Exception {
    Bench b = good();
    b.lost(at(9), "scale");
    b.picture(at(9), "pour.1.1.pour", "p1");
    b.leaveOut(at(9), "open", "It was open.");
    b.tared(at(10));
    List<LogLine> log = log(b);
    assertEquals(of(log, "Picture").picture(), "p1");
    assertEquals(of(log, "Left out").off(), "left out: It was open.");
    assertEquals(of(log, "scale is not heard").kind(), Kind.DEVICE);
    long weighings = b.entries().stream().filter(e -> e instanceof Entry.Weighed).count();
    assertEquals(weighings, 2L);
    assertEquals(log.size(), b.entries().size());
  }
}
