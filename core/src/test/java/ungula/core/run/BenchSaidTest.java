package ungula.core.run;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.Golden;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.run.Entry.Foam;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/**
 * All that is said at the bench, in one text to be read from the first line to the last. Where
 * something is meant to be said otherwise, read the new file under target and put it in the place
 * of the old.
 */
public class BenchSaidTest {

  private static final Instant SEVEN = Instant.parse("2027-03-01T07:00:00Z");

  private static final TriangleMesh BOX = Tessellation.box(80, 55, 42);

  private final List<String> lines = new ArrayList<>();
  private final Set<String> going = new HashSet<>();

  private void say(String name, String... said) {
    lines.add(String.format("%-10s %s", name, String.join(" | ", said)).stripTrailing());
  }

  /** What goes on being said is told once. */
  private void once(String name, String... said) {
    if (going.add(name + List.of(said))) {
      say(name, said);
    }
  }

  @Test
  public void itSaysWhatItSaid() throws Exception {
    through("A cut block", "mould.kind=CUT");
    through(
        "Two halves, degassed, several batches",
        "mould.kind=TWO_PART",
        "rubber.bubbles=VACUUM_TWO_CUPS",
        "rubber.batches=2");
    through("A sealing pour, in inches", "mould.kind=OPEN", "rubber.sealingMm=4 mm", "units=INCH");
    through("A skin", "mould.kind=SKIN", "skin.recoat=TACKY", "jacket.sections=2");
    wrong();
    chamber();
    compare();
  }

  private static RunPlan plan(String... words) {
    List<String> edits = new ArrayList<>();
    for (String w : words) {
      edits.add(w.replace("units=", "units.display="));
    }
    return FreezeTest.frozen(AnyPlan.picked(BOX, edits.toArray(String[]::new)).plan());
  }

  private void through(String name, String... words) throws Bench.Refused {
    lines.add("");
    lines.add("# " + name);
    going.clear();
    Maker maker = new Maker(plan(words), SEVEN);
    int told = 0;
    for (Task t = maker.next(); t != null; t = maker.next()) {
      RunState.Window w = maker.bench.state().window(t, maker.now);
      say(
          low(t.kind()),
          t.label(),
          t.what(),
          t.why(),
          t.shows().stream()
              .map(f -> f.label() + ": " + f.text())
              .collect(Collectors.joining("; ")));
      t.cares().forEach(c -> say("  mind", c));
      if (w.opens() != null) {
        say("  opens", clock(w.opens()) + (w.missed() ? ", missed" : ""));
      }
      if (t.kind() == Kind.WEIGH) {
        weighing(maker.bench, false, null);
      }
      maker.does(t);
      clocks(maker);
      List<Entry> entries = maker.bench.entries();
      for (; told < entries.size(); told++) {
        say("  told", Told.of(maker.bench.plan(), entries.get(told)));
      }
    }
    say("end", Clock.presses(maker.bench.plan(), maker.bench.state(), maker.now));
  }

  private void clocks(Maker maker) {
    RunPlan plan = maker.bench.plan();
    for (Clock c : Clock.of(plan, maker.bench.state(), maker.now)) {
      once("  clock", c.label(), clock(c.from()) + "–" + clock(c.until()));
      c.rings().forEach(r -> once("  rings", clock(r.at()), r.says()));
    }
    once("  presses", Clock.presses(plan, maker.bench.state(), maker.now));
  }

  private void weighing(Bench bench, boolean scale, Double grams) {
    Optional<Weighing> said = Weighing.of(bench.plan(), bench.state(), scale, grams);
    said.ifPresent(
        w ->
            say(
                "  weigh",
                w.headline(),
                w.follows(),
                w.now() + " " + w.unit() + " of " + w.target() + ", " + w.left()));
  }

  private static String low(Enum<?> e) {
    return e.name().toLowerCase(Locale.ROOT);
  }

  /** Hours and minutes since it was begun. */
  private static String clock(Instant at) {
    Duration since = Duration.between(SEVEN, at);
    return since.toHours() + ":" + String.format("%02d", since.toMinutesPart());
  }

  private interface Deed {
    void done() throws Bench.Refused;
  }

  private void refused(Deed deed) {
    try {
      deed.done();
      say("  done");
    } catch (Bench.Refused no) {
      say("  refused", no.getMessage());
    }
  }

  /** What goes wrong, and what is said then. */
  private void wrong() throws Bench.Refused {
    lines.add("");
    lines.add("# What goes wrong");
    RunPlan plan = plan("mould.kind=CUT", "rubber.batches=2", "rubber.additive.dosePct=3 %");
    Maker m = new Maker(plan, SEVEN);
    Bench b = m.bench;
    Batch first = plan.batches().get(0);
    String stir = first.key() + ".stir";
    refused(() -> b.typed(m.now, 100));
    m.until(".weigh");
    weighing(b, true, null);
    refused(() -> b.tick(m.now, stir));
    refused(() -> b.tick(m.now, first.base()));
    refused(() -> b.stillBase(m.now));
    refused(() -> b.startOver(m.now, first.key()));
    refused(() -> b.foam(m.now, Foam.RISES));
    refused(() -> b.level(m.now, 40));
    refused(() -> b.line(m.now, "OL"));
    b.tared(m.now);
    weighing(b, true, 0.5 * first.baseG());
    weighing(b, true, first.baseG());
    weighing(b, true, 1.2 * first.baseG());
    b.typed(m.now, 0.97 * first.baseG());
    b.tick(m.now, first.base());
    weighing(b, true, null);
    refused(() -> b.tick(m.now, stir));
    double hardener = b.state().current().orElseThrow().targetG(Ingredient.of(Part.HARDENER));
    b.typed(m.now, 0.8 * hardener);
    refused(() -> b.tick(m.now, stir));
    b.typed(m.now, 1.1 * hardener);
    weighing(b, false, null);
    refused(() -> b.tick(m.now, stir));
    b.stillBase(m.now);
    b.startOver(m.now, first.key());
    b.typed(m.now, first.baseG());
    b.typed(m.now, first.baseG() * first.hardenerPerBase());
    weighing(b, false, null);
    refused(() -> b.tick(m.now, stir));
    b.typed(m.now, b.state().current().orElseThrow().targetG(Ingredient.stirred(0)));
    weighing(b, false, null);
    refused(() -> b.tick(m.now, first.used()));
    refused(() -> b.tick(m.now, plan.batches().get(1).key() + ".stir"));
    refused(() -> b.judge(m.now, stir, true));
    refused(() -> b.leaveOut(m.now, stir, " "));
    refused(() -> b.gate(m.now, stir, true));
    refused(() -> b.correct(m.now, 999, "x"));
    refused(() -> b.correct(m.now, 1, ""));
    b.lost(m.now, "scale");
    b.picture(m.now, stir, "p");
    b.foam(m.now, Foam.OVER_THE_RIM);
    b.leaveOut(m.now, stir, "It was stirred by a machine.");
    m.until(".level");
    double right = first.rise().mm(b.state().pouredMm3(first).orElseThrow());
    for (double mm : new double[] {right, 0.7 * right, 1.3 * right}) {
      b.level(m.now, mm);
      Level l = b.state().level().orElseThrow();
      say("  level", Told.of(l, plan.units()));
      Told.lookAt(l).forEach(look -> say("  look", look));
    }
    refused(() -> b.level(m.now, 0));
    m.until(".witness");
    b.judge(m.now, m.next().key(), false);
    b.entries().forEach(e -> say("  told", Told.of(plan, e)));
  }

  private void chamber() {
    lines.add("");
    lines.add("# The vacuum chamber");
    Instant now = SEVEN;
    List<Degas.Point> open = List.of(new Degas.Point(now, 101.3));
    List<Degas.Point> pumped = List.of(new Degas.Point(now, 4));
    List<Degas.Point> stays = new ArrayList<>();
    for (int s = 60; s >= 0; s -= 5) {
      stays.add(new Degas.Point(now.minusSeconds(s), 22));
    }
    say("  open", said(Degas.of(open, null, now, 101.325)));
    say("  pumps", said(Degas.of(pumped, null, now, 101.325)));
    say("  leaks", said(Degas.of(stays, null, now, 101.325)));
    for (Foam f : Foam.values()) {
      Entry.Foamed foamed = new Entry.Foamed(now, "pour.1.1", f);
      say("  " + low(f), said(Degas.of(pumped, foamed, now, 101.325)));
      say("  later", said(Degas.of(pumped, foamed, now.plusSeconds(121), 101.325)));
    }
  }

  private static String said(Degas d) {
    return d.headline() + " " + d.text() + (d.enough() ? " (enough)" : "");
  }

  private void compare() throws IOException {
    String now = String.join("\n", lines).strip() + "\n";
    Golden.same(BenchSaidTest.class, "bench.txt", now);
  }
}
