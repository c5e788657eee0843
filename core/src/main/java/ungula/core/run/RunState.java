package ungula.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ungula.core.rubber.SecondPart;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;

/**
 * Where a run is, what is next and what is still possible: all of it follows from its plan and its
 * entries alone, so that it is the same after everything else was lost.
 */
public final class RunState {

  /** Alarms, in shares of the pot life. */
  public static final List<Double> ALARMS = List.of(0.5, 0.8, 1.0);

  /** So far off in volume, either way, is looked into. */
  public static final double LEVEL_OFF = 0.05;

  /** What a batch waits for. */
  public enum Phase {
    /** The first part. */
    BASE,
    /** The second part, which follows the first as it was really poured. */
    HARDENER,
    /** More of the first part: there is too much of the second. */
    SAVE,
    /** It is weighed: its steps. */
    MIX,
    POURED
  }

  /** Of a level. */
  public enum Verdict {
    WITHIN,
    /** It leaks, or the master has lifted. */
    SHORT,
    /** More was poured than weighed, or the box bows. */
    LONG
  }

  /**
   * A batch so far.
   *
   * @param baseG of the first part; 0 before
   * @param hardenerG of the second; 0 before
   * @param asItIs whether the first part was taken as it is
   * @param met when the pot life began; null before
   * @param poured when it was poured; null before
   */
  public record Progress(
      Batch batch, double baseG, double hardenerG, boolean asItIs, Instant met, Instant poured) {

    public double targetG(Part part) {
      return part == Part.BASE ? batch.baseG() : baseG * batch.hardenerPerBase();
    }

    public Phase phase() {
      if (poured != null) {
        return Phase.POURED;
      }
      if (!asItIs && hardenerG == 0 && baseG < batch.baseG() * (1 - batch.tolerance())) {
        return Phase.BASE;
      }
      double off = hardenerG / targetG(Part.HARDENER) - 1;
      return off > batch.tolerance()
          ? Phase.SAVE
          : off < -batch.tolerance() ? Phase.HARDENER : Phase.MIX;
    }

    /** What adding base would make of too much hardener; empty while there is not. */
    public Optional<Still> still() {
      return phase() == Phase.SAVE ? Optional.of(saved()) : Optional.empty();
    }

    private Still saved() {
      double base = hardenerG / batch.hardenerPerBase();
      double total = base + hardenerG;
      return new Still(
          base - baseG, total, batch.density() == null ? null : 1000 * total / batch.density());
    }

    /** Of both parts. */
    public double grams() {
      return baseG + hardenerG;
    }
  }

  /**
   * @param addBaseG to the cup
   * @param totalG in it then
   * @param mm3 of that; null while the density is not known
   */
  public record Still(double addBaseG, double totalG, Double mm3) {}

  /** An alarm of a batch's pot life. */
  public record Alarm(Instant at, String batch, double share) {}

  /**
   * A level held against what was really poured.
   *
   * @param expectedMm for what was really poured
   * @param shortShare of its volume; negative where it stands higher
   */
  public record Level(double readMm, double expectedMm, double shortShare, Verdict verdict) {}

  private final RunPlan plan;
  private final Map<String, Progress> batches = new LinkedHashMap<>();
  private final Map<String, Boolean> gates = new LinkedHashMap<>();
  private final Set<String> done = new HashSet<>();
  private final Set<String> lost = new HashSet<>();
  private Level level;

  /** Shown when there was {@link #fromG} of the part that is poured now; null: nobody knows. */
  private Double zeroG = 0.0;

  private double fromG;
  private Double lastShownG;

  private RunState(RunPlan plan) {
    this.plan = plan;
    plan.batches().forEach(b -> batches.put(b.key(), new Progress(b, 0, 0, false, null, null)));
  }

  /** Pure: the same entries come to the same state. */
  public static RunState of(RunPlan plan, List<Entry> entries) {
    RunState s = new RunState(plan);
    Set<Integer> wrong = new HashSet<>();
    entries.forEach(
        e -> {
          if (e instanceof Entry.Corrected c) {
            wrong.add(c.number());
          }
        });
    for (int i = 0; i < entries.size(); i++) {
      if (!wrong.contains(i + 1)) {
        s.take(entries.get(i));
      }
    }
    return s;
  }

  private void take(Entry e) {
    if (e instanceof Entry.Gated g) {
      gates.merge(g.gate(), g.skipped(), (a, b) -> a && b);
    } else if (e instanceof Entry.Tared) {
      from(0.0);
    } else if (e instanceof Entry.Weighed w) {
      weigh(w);
    } else if (e instanceof Entry.Met m) {
      Progress p = batches.get(m.batch());
      if (p.met == null) {
        put(new Progress(p.batch, p.baseG, p.hardenerG, p.asItIs, m.at(), p.poured));
      }
    } else if (e instanceof Entry.Done d) {
      done(d);
    } else if (e instanceof Entry.LevelRead l) {
      level = level(l);
    } else if (e instanceof Entry.Heard h) {
      if (h.heard()) {
        lost.remove(h.device());
      } else {
        lost.add(h.device());
      }
    }
  }

  private void put(Progress p) {
    batches.put(p.batch.key(), p);
  }

  private void weigh(Entry.Weighed w) {
    Progress p = batches.get(w.batch());
    Phase before = p.phase();
    boolean base = w.part() == Part.BASE;
    Progress now =
        new Progress(
            p.batch,
            base ? w.grams() : p.baseG,
            base ? p.hardenerG : w.grams(),
            p.asItIs,
            p.met,
            p.poured);
    put(now);
    lastShownG = w.shownG();
    if (now.phase() != before) {
      // a weighed batch leaves the scale, and the next begins in a tared cup
      from(now.phase() == Phase.MIX ? Double.valueOf(0) : lastShownG);
    }
  }

  /** What is poured from here on adds to what is in the cup. */
  private void from(Double shownG) {
    zeroG = shownG;
    lastShownG = shownG;
    Optional<Progress> now = current().filter(p -> p.phase() != Phase.MIX);
    fromG = now.map(p -> p.phase() == Phase.HARDENER ? p.hardenerG : p.baseG).orElse(0.0);
  }

  private void done(Entry.Done d) {
    done.add(d.step());
    for (Progress p : List.copyOf(batches.values())) {
      if (d.step().equals(p.batch.base())) {
        put(new Progress(p.batch, p.baseG, p.hardenerG, true, p.met, p.poured));
        from(lastShownG);
      }
      if (d.step().equals(p.batch.pour()) && p.poured == null) {
        put(new Progress(p.batch, p.baseG, p.hardenerG, p.asItIs, p.met, d.at()));
      }
    }
  }

  /** Of all that was weighed up to a batch. */
  private Level level(Entry.LevelRead read) {
    double mm3 = 0;
    for (Progress p : batches.values()) {
      mm3 += 1000 * p.grams() / p.batch.density();
      if (p.batch.key().equals(read.batch())) {
        break;
      }
    }
    double off = 1 - plan.rise().mm3(read.mm()) / mm3;
    return new Level(
        read.mm(),
        plan.rise().mm(mm3),
        off,
        off > LEVEL_OFF ? Verdict.SHORT : off < -LEVEL_OFF ? Verdict.LONG : Verdict.WITHIN);
  }

  /** The batch at hand; empty when all are poured. */
  public Optional<Progress> current() {
    return batches.values().stream().filter(p -> p.poured == null).findFirst();
  }

  public List<Progress> batches() {
    return List.copyOf(batches.values());
  }

  /** Gates nobody has answered. */
  public List<RunPlan.Gate> open() {
    return plan.gates().stream().filter(g -> !gates.containsKey(g.key())).toList();
  }

  /** Whether a step is done, or a gate seen to. */
  public boolean done(String key) {
    return done.contains(key) || Boolean.FALSE.equals(gates.get(key));
  }

  /** What to do with the second part of a batch, in words. */
  public SecondPart second(Progress p) {
    return SecondPart.of(
        true,
        p.baseG,
        p.hardenerG == 0 ? null : p.hardenerG,
        p.batch.hardenerPerBase(),
        p.batch.tolerance(),
        plan.role(),
        plan.units());
  }

  /** Of the newest level read; empty before. */
  public Optional<Level> level() {
    return Optional.ofNullable(level);
  }

  /** Devices that are not heard. */
  public Set<String> lost() {
    return Set.copyOf(lost);
  }

  /** When each pot life reaches its alarms, as far as the batch is not poured before. */
  public List<Alarm> alarms() {
    List<Alarm> all = new ArrayList<>();
    for (Progress p : batches.values()) {
      if (p.met != null && p.batch.potLifeMin() != null) {
        for (double share : ALARMS) {
          Instant at = p.met.plusMillis(Math.round(60_000 * p.batch.potLifeMin() * share));
          if (p.poured == null || at.isBefore(p.poured)) {
            all.add(new Alarm(at, p.batch.key(), share));
          }
        }
      }
    }
    all.sort((a, b) -> a.at.compareTo(b.at));
    return all;
  }

  /** What a reading of the scale makes of the part that is poured now; empty: nobody knows. */
  public Optional<Double> grams(double shownG) {
    return Optional.ofNullable(zeroG).map(zero -> fromG + shownG - zero);
  }

  /** The part that is poured now; empty while none is. */
  public Optional<Part> pouring() {
    return current()
        .map(Progress::phase)
        .filter(phase -> phase != Phase.MIX)
        .map(phase -> phase == Phase.HARDENER ? Part.HARDENER : Part.BASE);
  }
}
