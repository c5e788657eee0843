package ungula.server.command;

import static ungula.server.command.FileCommand.row;

import java.io.PrintStream;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.run.Entry;
import ungula.core.run.Level;
import ungula.core.run.Progress;
import ungula.core.run.Rehearsal;

/** {@code rehearse SCRIPT}: goes through a run as a script tells it, no server. */
public final class Rehearse {

  private static final String USAGE = "rehearse SCRIPT.json [--json]";

  private Rehearse() {}

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a script that cannot be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    return FileCommand.run(
        USAGE, "One script is rehearsed at a time.", args, out, err, Rehearse::answer);
  }

  private static FileCommand.Answer answer(byte[] json) throws JsonFile.Unreadable {
    ScriptFile script = ScriptFile.read(json);
    Rehearsal done = Rehearsal.of(script.plan(), script.events());
    return new FileCommand.Answer() {
      @Override
      public Map<String, Object> fields() {
        return Rehearse.fields(done);
      }

      @Override
      public void print(PrintStream to) {
        Rehearse.print(done, to);
      }
    };
  }

  private static double tenth(double number) {
    return Math.round(10 * number) / 10.0;
  }

  private static String low(Enum<?> e) {
    return e.name().toLowerCase(Locale.ROOT);
  }

  private static Map<String, Object> at(Instant at, Object... fields) {
    Map<String, Object> row = row("t", ScriptFile.clock(at));
    row.putAll(row(fields));
    return row;
  }

  private static Map<String, Object> fields(Rehearsal r) {
    Progress.Still still = r.still();
    Level level = r.level();
    return row(
        "targets",
        r.targets().stream()
            .map(t -> at(t.at(), "part", low(t.part()), "g", tenth(t.grams()), "batch", t.batch()))
            .toList(),
        "alarms",
        r.alarms().stream()
            .map(a -> at(a.at(), "pct", Math.round(100 * a.share()), "batch", a.batch()))
            .toList(),
        "still",
        still == null
            ? null
            : row(
                "addBaseG",
                tenth(still.addG()),
                "totalG",
                tenth(still.totalG()),
                "mL",
                still.mm3() == null ? null : (Double) tenth(still.mm3() / 1000)),
        "level",
        level == null
            ? null
            : row(
                "expectedMm",
                tenth(level.expectedMm()),
                "shortPct",
                tenth(100 * level.shortShare()),
                "verdict",
                low(level.verdict())),
        "records",
        r.entries().stream().map(Rehearse::record).toList(),
        "refused",
        r.refused().stream().map(no -> at(no.at(), "why", no.why())).toList());
  }

  private static Map<String, Object> record(Entry e) {
    if (e instanceof Entry.Gated g) {
      return at(g.at(), "kind", "gate", "gate", g.gate(), "skipped", g.skipped());
    } else if (e instanceof Entry.Weighed w) {
      String by = w.shownG() == null ? "hand" : "scale";
      return at(
          w.at(),
          "kind",
          "weighed",
          "batch",
          w.batch(),
          "part",
          low(w.part()),
          "g",
          tenth(w.grams()),
          "by",
          by);
    } else if (e instanceof Entry.Met m) {
      return at(m.at(), "kind", "met", "batch", m.batch());
    } else if (e instanceof Entry.Done d) {
      return at(d.at(), "kind", "done", "step", d.step());
    } else if (e instanceof Entry.LevelRead l) {
      return at(l.at(), "kind", "level", "batch", l.batch(), "mm", l.mm());
    } else if (e instanceof Entry.Heard h) {
      return at(h.at(), "kind", h.heard() ? "heard" : "lost", "device", h.device());
    } else if (e instanceof Entry.Corrected c) {
      return at(c.at(), "kind", "corrected", "number", c.number(), "why", c.why());
    }
    return at(e.at(), "kind", "tare");
  }

  private static void print(Rehearsal r, PrintStream out) {
    r.targets()
        .forEach(
            t ->
                out.printf(
                    Locale.ROOT,
                    "%s  %s: %.1f g of %s%n",
                    ScriptFile.clock(t.at()),
                    t.batch(),
                    t.grams(),
                    low(t.part())));
    r.alarms()
        .forEach(
            a ->
                out.printf(
                    Locale.ROOT,
                    "%s  %s: %.0f %% of the pot life%n",
                    ScriptFile.clock(a.at()),
                    a.batch(),
                    100 * a.share()));
    if (r.still() != null) {
      out.printf(
          Locale.ROOT,
          "Too much hardener: add %.1f g of base, %.1f g in all.%n",
          r.still().addG(),
          r.still().totalG());
    }
    if (r.level() != null) {
      out.printf(
          Locale.ROOT,
          "Level %.1f mm, expected %.1f mm: %.1f %% short, %s.%n",
          r.level().readMm(),
          r.level().expectedMm(),
          100 * r.level().shortShare(),
          low(r.level().verdict()));
    }
    r.refused().forEach(no -> out.println(ScriptFile.clock(no.at()) + "  refused: " + no.why()));
  }
}
