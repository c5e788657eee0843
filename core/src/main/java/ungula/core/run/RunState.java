package ungula.core.run;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ungula.core.rubber.Parts;
import ungula.core.rubber.SecondPart;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Progress.Phase;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/**
 * Where a run is, what is next and what is still possible: all of it follows from its plan and its
 * entries alone, so that it is the same after everything else was lost.
 */
public final class RunState {

  /** Alarms, in shares of the pot life. */
  public static final List<Double> ALARMS = List.of(0.5, 0.8, 1.0);

  /** An alarm of a batch's pot life. */
  public record Alarm(Instant at, String batch, double share) {}

  /**
   * How a task ended.
   *
   * @param skipped whether it was passed, or left out
   */
  public record Ended(Instant at, boolean skipped) {}

  /**
   * When a task may be begun.
   *
   * @param opens null where it may be at once
   * @param closes null where it never is too late
   * @param missed whether a window closed before, and it waits for what follows then
   */
  public record Window(Instant opens, Instant closes, boolean missed) {}

  private final RunPlan plan;
  private final Map<String, Progress> batches = new LinkedHashMap<>();
  private final Map<String, Parts> thrownAway = new HashMap<>();
  private final Map<String, Ended> ended = new HashMap<>();
  private final Map<String, Instant> notGood = new HashMap<>();
  private final Map<String, Level> levels = new LinkedHashMap<>();
  private final Map<String, Entry.Foamed> foam = new HashMap<>();
  private final Map<String, Entry.FedBy> fedBy = new HashMap<>();
  private final Set<String> lost = new HashSet<>();
  private final Map<String, String> lots = new HashMap<>();
  private String lastLevel;

  /** Shown when there was {@link #fromG} of the part that is poured now; null: nobody knows. */
  private Double zeroG;

  private double fromG;
  private Double lastShownG;

  private RunState(RunPlan plan) {
    this.plan = plan;
    this.zeroG = newCup();
    plan.batches().forEach(b -> batches.put(b.key(), Progress.of(b)));
  }

  /** Pure: the same entries come to the same state. */
  public static RunState of(RunPlan plan, List<Entry> entries) {
    RunState s = new RunState(plan);
    Set<Integer> wrong = wrong(entries);
    for (int i = 0; i < entries.size(); i++) {
      if (!wrong.contains(i + 1)) {
        s.take(entries.get(i));
      }
    }
    return s;
  }

  /** Numbers of those that do not count, from 1. */
  public static Set<Integer> wrong(List<Entry> entries) {
    Set<Integer> wrong = new HashSet<>();
    entries.forEach(
        e -> {
          if (e instanceof Entry.Corrected c) {
            wrong.add(c.number());
          }
        });
    return wrong;
  }

  private void take(Entry e) {
    if (e instanceof Entry.Gated g) {
      ended.merge(g.gate(), new Ended(g.at(), g.skipped()), RunState::seen);
    } else if (e instanceof Entry.Tared) {
      tared();
    } else if (e instanceof Entry.Weighed w) {
      weigh(w);
    } else if (e instanceof Entry.Shared s) {
      batches.computeIfPresent(s.batch(), (k, p) -> p.shared(s));
    } else if (e instanceof Entry.FedBy f) {
      fedBy.put(f.batch(), f);
    } else if (e instanceof Entry.Met m) {
      batches.computeIfPresent(m.batch(), (k, p) -> p.met() == null ? p.met(m.at(), m.roomC()) : p);
    } else if (e instanceof Entry.StartedOver s) {
      startOver(s);
    } else if (e instanceof Entry.Done d) {
      done(d);
    } else if (e instanceof Entry.LeftOut l) {
      ended.putIfAbsent(l.step(), new Ended(l.at(), true));
    } else if (e instanceof Entry.Came c) {
      ended.put(c.step(), new Ended(c.at(), false));
    } else if (e instanceof Entry.Judged j) {
      judge(j);
    } else if (e instanceof Entry.LevelRead l) {
      level(l);
    } else if (e instanceof Entry.Foamed f) {
      foam.put(f.batch(), f);
    } else if (e instanceof Entry.Picked p) {
      lots.put(p.product(), p.lot());
    } else if (e instanceof Entry.ZeroLost) {
      zeroG = null;
    } else if (e instanceof Entry.Heard h) {
      if (h.heard()) {
        lost.remove(h.device());
      } else {
        lost.add(h.device());
      }
    }
  }

  /** What was seen to by one is not skipped because another passed it. */
  private static Ended seen(Ended a, Ended b) {
    return a.skipped && !b.skipped ? b : a;
  }

  private void put(Progress p) {
    batches.put(p.batch().key(), p);
  }

  private void weigh(Entry.Weighed w) {
    Progress now = batches.get(w.batch()).weighed(w.at(), w.what(), w.grams());
    put(now);
    lastShownG = w.shownG();
    if (now.phase() != Phase.MIX && !now.pouring().equals(Optional.of(w.what()))) {
      from(lastShownG);
    }
  }

  /** What the scale shows with an empty cup on it; null: nobody knows. */
  private Double newCup() {
    return plan.cupFirst() ? null : Double.valueOf(0);
  }

  /** Once a batch is weighed, what stands on the scale is another cup. */
  private void tared() {
    from(current().filter(p -> p.phase() == Phase.MIX).isPresent() ? null : Double.valueOf(0));
  }

  /** What is poured from here on adds to what is in the cup. */
  private void from(Double shownG) {
    zeroG = shownG;
    lastShownG = shownG;
    fromG = current().flatMap(p -> part(p).map(p::of)).orElse(0.0);
  }

  /**
   * The part that is poured now, or still on: what is weighed may be poured on until it is mixed.
   */
  private Optional<Ingredient> part(Progress p) {
    return p.phase() == Phase.MIX && !mixed(p.batch()) ? Optional.of(p.last()) : p.pouring();
  }

  /** Whether anything was done with a batch once it was weighed. */
  private boolean mixed(Batch b) {
    return tasks(b).stream().anyMatch(t -> ended.containsKey(t.key()));
  }

  private void startOver(Entry.StartedOver s) {
    Progress p = batches.get(s.batch());
    thrownAway.merge(s.batch(), p.own(), Parts::plus);
    put(p.startedOver());
    fedBy.remove(s.batch());
    from(null);
  }

  private void done(Entry.Done d) {
    ended.putIfAbsent(d.step(), new Ended(d.at(), false));
    for (Progress p : List.copyOf(batches.values())) {
      if (d.step().equals(p.batch().base())) {
        put(p.takenAsItIs());
        from(lastShownG);
      }
      if (d.step().equals(p.batch().used()) && p.used() == null) {
        put(p.used(d.at()));
        from(newCup());
      }
    }
  }

  private void judge(Entry.Judged j) {
    if (j.good()) {
      ended.merge(j.step(), new Ended(j.at(), false), RunState::seen);
      notGood.remove(j.step());
    } else {
      ended.remove(j.step());
      notGood.put(j.step(), j.at());
    }
  }

  private void level(Entry.LevelRead read) {
    Batch last = batches.get(read.batch()).batch();
    levels.put(
        read.batch(), Level.of(read.at(), read.mm(), last.rise(), pouredMm3(last).orElseThrow()));
    lastLevel = read.batch();
  }

  /** Of all that was weighed of its pour up to a batch; empty while its density is not known. */
  public Optional<Double> pouredMm3(Batch last) {
    if (last.density() == null) {
      return Optional.empty();
    }
    double mm3 = 0;
    for (Progress p : batches.values()) {
      boolean same = p.batch().pour() == last.pour();
      mm3 += same && p.grams() > 0 ? 1000 * p.ownShare() * p.grams() / p.batch().density() : 0;
      if (p.batch() == last) {
        break;
      }
    }
    return Optional.of(mm3);
  }

  /** The batch at hand; empty when all are used. */
  public Optional<Progress> current() {
    return batches.values().stream()
        .filter(p -> p.used() == null && !ended.containsKey(p.batch().weigh()))
        .findFirst();
  }

  public List<Progress> batches() {
    return List.copyOf(batches.values());
  }

  public Progress progress(Batch b) {
    return batches.get(b.key());
  }

  /** What was thrown away to start again. */
  public Parts thrownAway(Batch b) {
    return thrownAway.getOrDefault(b.key(), Parts.NONE);
  }

  /** What is done with a batch once it is weighed, in turn. */
  public List<Task> tasks(Batch b) {
    return plan.tasks().stream()
        .filter(t -> t.batch().equals(b.key()) && t.kind() != Kind.WEIGH)
        .toList();
  }

  /** How a task ended; empty while it is open. */
  public Optional<Ended> ended(Task t) {
    Ended said = ended.get(t.key());
    if (said != null) {
      return Optional.of(said);
    }
    Progress p = batches.get(t.batch());
    if (p == null) {
      return Optional.empty();
    }
    if (t.kind() == Kind.WEIGH) {
      boolean all = p.phase() == Phase.MIX || p.phase() == Phase.POURED;
      return all ? Optional.of(new Ended(p.weighed(), false)) : Optional.empty();
    }
    Level read = levels.get(t.batch());
    if (t.kind() == Kind.LEVEL && read != null && read.verdict() == Level.Verdict.WITHIN) {
      return Optional.of(new Ended(read.at(), false));
    }
    // of a batch that is left out nothing is done
    return Optional.ofNullable(ended.get(p.batch().weigh()));
  }

  public boolean open(Task t) {
    return ended(t).isEmpty();
  }

  /** What a task waits for and that is not ended, in the order it is told; all the way back. */
  public List<Task> before(Task t) {
    Set<String> keys = new HashSet<>();
    Deque<Task> open = new ArrayDeque<>();
    t.after().forEach(a -> keys.add(a.task()));
    List<Task> all = plan.tasks();
    for (int i = all.size() - 1; i >= 0; i--) {
      Task other = all.get(i);
      if (keys.contains(other.key())) {
        if (open(other)) {
          open.addFirst(other);
        }
        other.after().forEach(a -> keys.add(a.task()));
      }
    }
    return List.copyOf(open);
  }

  /** What can be done now, in the order it is told; waits that run among it. */
  public List<Task> ready(Instant now) {
    return plan.tasks().stream()
        .filter(t -> open(t) && !past(t, now))
        .filter(t -> before(t).stream().allMatch(o -> past(o, now)))
        .toList();
  }

  /** Whether a task is a wait that is over by the clock. */
  boolean past(Task wait, Instant now) {
    return wait.kind() == Kind.WAIT && over(wait).filter(end -> !end.isAfter(now)).isPresent();
  }

  /**
   * When the last of the work was done; empty while some is open, or where nothing was mixed. Waits
   * after it count no more.
   */
  public Optional<Instant> finished() {
    List<Task> work = plan.tasks().stream().filter(t -> t.kind() != Kind.WAIT).toList();
    boolean mixed =
        plan.batches().isEmpty()
            || batches.values().stream().anyMatch(p -> !skipped(p.batch().weigh()));
    if (work.stream().anyMatch(this::open) || !mixed) {
      return Optional.empty();
    }
    return work.stream().flatMap(t -> ended(t).stream()).map(Ended::at).max(Instant::compareTo);
  }

  private boolean skipped(String task) {
    return ended.containsKey(task) && ended.get(task).skipped();
  }

  /** What is to be done next: work before waits; empty when all is done. */
  public Optional<Task> next(Instant now) {
    List<Task> ready = ready(now);
    return ready.stream()
        .filter(t -> t.kind() != Kind.WAIT)
        .findFirst()
        .or(() -> ready.stream().findFirst());
  }

  /** When a task was begun, as far as it is known: of a batch when its parts met. */
  private Optional<Instant> begun(Task t) {
    Progress p = batches.get(t.batch());
    if (t.kind() == Kind.WEIGH && p != null) {
      boolean parts = p.batch().hardenerPerBase() > 0;
      return Optional.ofNullable(parts ? p.met() : p.weighed());
    }
    return ended(t).map(Ended::at);
  }

  private Optional<Instant> countedFrom(After a) {
    return plan.task(a.task()).flatMap(t -> a.begun() ? begun(t) : ended(t).map(Ended::at));
  }

  private static Instant later(Instant at, double minutes) {
    return at.plusMillis(Math.round(60_000 * minutes));
  }

  /** When all that a task waits for was done, whatever is asked in between. */
  private Optional<Instant> reached(Task t) {
    Instant last = null;
    for (After a : t.after()) {
      Task other = plan.task(a.task()).orElseThrow();
      Optional<Instant> at = ended(other).map(Ended::at).or(() -> passed(other));
      if (at.isEmpty()) {
        return Optional.empty();
      }
      last = last == null || at.get().isAfter(last) ? at.get() : last;
    }
    return Optional.ofNullable(last);
  }

  /** When something that nobody answers does not hold up the rest any more. */
  private Optional<Instant> passed(Task open) {
    return open.asked() ? reached(open) : open.kind() == Kind.WAIT ? over(open) : Optional.empty();
  }

  /** When a wait is over; empty while it has not begun. */
  public Optional<Instant> over(Task wait) {
    return reached(wait).map(at -> later(at, wait.minutes()));
  }

  /** Waits that run. */
  public List<Task> running(Instant now) {
    return plan.tasks().stream()
        .filter(t -> t.kind() == Kind.WAIT && open(t) && over(t).isPresent())
        .filter(t -> before(t).stream().allMatch(o -> o.asked() || past(o, now)))
        .toList();
  }

  /**
   * When a task may be begun, by what was really done before it.
   *
   * @param now decides whether a window was missed
   */
  public Window window(Task t, Instant now) {
    Instant opens = null;
    Instant closes = null;
    boolean missed = false;
    for (After a : t.after()) {
      Optional<Instant> from = countedFrom(a);
      if (from.isEmpty()) {
        continue;
      }
      Instant closing = a.mostMin() == null ? null : later(from.get(), a.mostMin());
      boolean late = closing != null && now.isAfter(closing);
      double least = late && a.elseMin() != null ? a.elseMin() : a.leastMin();
      missed |= late;
      if (least > 0) {
        Instant at = later(from.get(), least);
        opens = opens == null || at.isAfter(opens) ? at : opens;
      }
      if (closing != null && !late) {
        closes = closes == null || closing.isBefore(closes) ? closing : closes;
      }
    }
    return new Window(opens, closes, missed);
  }

  /** When it was last found not to be as it should; empty when it was not, or is now. */
  public Optional<Instant> notGood(Task t) {
    return Optional.ofNullable(notGood.get(t.key()));
  }

  /** What to do with the second part of a batch, in words. */
  public SecondPart second(Progress p) {
    return SecondPart.of(
        !p.batch().hardenerFirst(),
        p.firstG(),
        p.secondG() == 0 ? null : p.secondG(),
        p.batch().hardenerPerBase(),
        p.batch().tolerance(),
        plan.role(),
        plan.units());
  }

  /** The newest level read; empty before. */
  public Optional<Level> level() {
    return Optional.ofNullable(levels.get(lastLevel));
  }

  /** The newest level read of a batch; empty before. */
  public Optional<Level> level(Batch b) {
    return Optional.ofNullable(levels.get(b.key()));
  }

  /** What the foam of a batch did last; empty before. */
  public Optional<Entry.Foamed> foam(Batch b) {
    return Optional.ofNullable(foam.get(b.key()));
  }

  /** Devices that are not heard. */
  public Set<String> lost() {
    return Set.copyOf(lost);
  }

  /** When each pot life reaches its alarms, as far as the batch is not used before. */
  public List<Alarm> alarms() {
    List<Alarm> all = new ArrayList<>();
    for (Progress p : batches.values()) {
      Optional<Double> min = p.potLifeMin();
      if (p.met() != null && min.isPresent()) {
        for (double share : ALARMS) {
          Instant at = later(p.met(), min.get() * share);
          if (p.used() == null || at.isBefore(p.used())) {
            all.add(new Alarm(at, p.batch().key(), share));
          }
        }
      }
    }
    all.sort(Comparator.comparing(Alarm::at));
    return all;
  }

  /** When a batch has to be used; empty while it does not run, or nobody knows. */
  public Optional<Instant> by(Progress p) {
    return p.met() == null || p.used() != null
        ? Optional.empty()
        : p.potLifeMin().map(min -> later(p.met(), min));
  }

  /** What a reading of the scale makes of the part that is poured now; empty: nobody knows. */
  public Optional<Double> grams(double shownG) {
    return Optional.ofNullable(zeroG).map(zero -> fromG + shownG - zero);
  }

  /** The pack that was picked last for a product; empty while none was. */
  public Optional<String> lot(String product) {
    return Optional.ofNullable(lots.get(product));
  }

  /** Whether it is known what the scale was set to nothing with. */
  public boolean zeroed() {
    return zeroG != null;
  }

  /** In whose cup a batch was mixed, when that was another mould's; empty for its own. */
  public Optional<Entry.FedBy> fedBy(Batch b) {
    return Optional.ofNullable(fedBy.get(b.key()));
  }

  /** What is poured now; empty while nothing is. */
  public Optional<Ingredient> pouring() {
    return current().flatMap(this::part);
  }
}
