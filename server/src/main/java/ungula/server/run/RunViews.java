package ungula.server.run;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import ungula.core.days.Moments;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.exercise.Exercise;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.run.Bench;
import ungula.core.run.Clock;
import ungula.core.run.Degas;
import ungula.core.run.Entry;
import ungula.core.run.Progress;
import ungula.core.run.Progress.Phase;
import ungula.core.run.Rise;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.run.Score;
import ungula.core.run.Told;
import ungula.core.run.Weighing;
import ungula.server.device.Instruments;
import ungula.server.run.RunResponse.BatchView;
import ungula.server.run.RunResponse.ClockView;
import ungula.server.run.RunResponse.EntryView;
import ungula.server.run.RunResponse.LevelView;
import ungula.server.run.RunResponse.Live;
import ungula.server.run.RunResponse.Practised;
import ungula.server.run.RunResponse.RingView;
import ungula.server.run.RunResponse.Status;
import ungula.server.run.RunResponse.TaskStep;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Runs as screens show them. */
@Component
class RunViews {

  /** What stands on a scale weighs so much at least, g. */
  private static final double LADEN_G = 0.5;

  private final Runs runs;
  private final RunReadings readings;
  private final Habits workshop;
  private final ClockWatch watch;

  RunViews(Runs runs, RunReadings readings, Habits workshop, ClockWatch watch) {
    this.runs = runs;
    this.readings = readings;
    this.workshop = workshop;
    this.watch = watch;
  }

  /** A day and a time of the clock on the wall. */
  String day(OffsetDateTime at) {
    return Moments.text(at.atZoneSameInstant(zone()).toLocalDateTime());
  }

  private ZoneId zone() {
    return workshop.current().hours().clock();
  }

  /** The clock on the wall, read once for all of a view. */
  private record Wall(ZoneId zone, LocalDate today) {

    /** A time of today by the clock alone, of another day with its day. */
    String time(Instant at) {
      LocalDateTime then = at.atZone(zone).toLocalDateTime();
      return then.toLocalDate().equals(today)
          ? Moments.clock(then.toLocalTime())
          : Moments.text(then);
    }
  }

  private Wall wall(Going g) {
    ZoneId zone = zone();
    return new Wall(zone, g.now().atZone(zone).toLocalDate());
  }

  RunResponse view(String id, String jobName) {
    Going g = runs.find(id);
    Wall wall = wall(g);
    List<SharedBatches.SharedMould> sharing = runs.offers(g);
    synchronized (g) {
      Bench bench = g.bench;
      RunPlan plan = bench.plan();
      RunState state = bench.state();
      Instant now = g.now();
      List<Entry> entries = bench.entries();
      Looked looked = Looked.of(state, entries, now);
      List<TaskStep> tasks =
          plan.tasks().stream().map(t -> task(t, state, looked, wall, now)).toList();
      boolean inch = plan.units().display() == Units.Display.INCH;
      return new RunResponse(
          id,
          g.jobId,
          jobName,
          wall.time(g.begun),
          g.ended == null ? null : wall.time(g.ended),
          entries.size(),
          now.toEpochMilli(),
          state.next(now).map(Task::key).orElse(""),
          (int) tasks.stream().filter(t -> ended(t.status())).count(),
          inch ? "in" : "mm",
          inch ? "oz" : "g",
          tasks,
          plan.batches().stream().map(b -> batch(b, state, plan)).toList(),
          Clock.of(plan, state, now).stream().map(c -> clock(c, wall)).toList(),
          entries(g, plan, entries, wall),
          Weighing.of(plan, state, false, null).orElse(null),
          sharing,
          plan.casts(),
          g.rehearsal != null,
          speed(g),
          practised(g, plan, state));
    }
  }

  private static Practised practised(Going g, RunPlan plan, RunState state) {
    Exercise e = g.rehearsal == null ? null : g.rehearsal.exercise;
    return e == null ? null : new Practised(e.title(), e.task(), e.done(plan, state));
  }

  private static boolean ended(Status s) {
    return s == Status.DONE || s == Status.SKIPPED;
  }

  /**
   * What is the same for all steps.
   *
   * @param pictures by the step they were taken at
   */
  private record Looked(Set<Task> running, Set<Task> ready, Map<String, List<String>> pictures) {

    static Looked of(RunState state, List<Entry> entries, Instant now) {
      Set<Integer> wrong = RunState.wrong(entries);
      Map<String, List<String>> pictures = new HashMap<>();
      for (int i = 0; i < entries.size(); i++) {
        if (entries.get(i) instanceof Entry.Pictured p && !wrong.contains(i + 1)) {
          pictures.computeIfAbsent(p.step(), k -> new ArrayList<>()).add(p.picture());
        }
      }
      return new Looked(
          Set.copyOf(state.running(now)), Set.copyOf(state.ready(now)), Map.copyOf(pictures));
    }
  }

  private static TaskStep task(Task t, RunState state, Looked looked, Wall wall, Instant now) {
    Optional<RunState.Ended> ended = state.ended(t);
    List<Task> before = ended.isPresent() ? List.of() : state.before(t);
    Instant opens = ended.isPresent() ? null : state.window(t, now).opens();
    return new TaskStep(
        t.key(),
        t.kind(),
        t.part(),
        t.label(),
        t.what(),
        t.why(),
        t.batch(),
        ended.isPresent()
            ? ended.get().skipped() ? Status.SKIPPED : Status.DONE
            : looked.running.contains(t)
                ? Status.RUNNING
                : looked.ready.contains(t) ? Status.READY : Status.OPEN,
        ended.map(e -> wall.time(e.at())).orElse(""),
        t.minutes() > 0 ? Timespan.formatMin(t.minutes()) : "",
        before.isEmpty() ? "" : before.get(0).label(),
        opens != null && opens.isAfter(now) ? wall.time(opens) : "",
        state.notGood(t).map(wall::time).orElse(""),
        t.shows(),
        t.cares(),
        t.ofLot(),
        looked.pictures.getOrDefault(t.key(), List.of()));
  }

  private static BatchView batch(Batch b, RunState state, RunPlan plan) {
    Progress p = state.progress(b);
    Rise rise = b.rise();
    Optional<Double> mm = rise == null ? Optional.empty() : state.pouredMm3(b).map(rise::mm);
    return new BatchView(
        b.key(),
        b.name(),
        plan.first(b),
        plan.turned(b),
        p.phase() == Phase.POURED,
        p.phase() == Phase.FIRST && p.firstG() > 0,
        p.met() != null && state.pouring().isPresent() && current(state, b),
        p.grams() > 0 && p.phase() != Phase.POURED,
        mm.map(level -> Length.format(level, plan.units())).orElse(""),
        mm.map(level -> plan.drawnMm(b, level)).orElse(null),
        state
            .level(b)
            .map(l -> new LevelView(l.verdict(), Told.of(l, plan.units()), Told.lookAt(l)))
            .orElse(null),
        state.foam(b).map(Entry.Foamed::foam).orElse(null));
  }

  private static boolean current(RunState state, Batch b) {
    return state.current().filter(c -> c.batch().equals(b)).isPresent();
  }

  private static ClockView clock(Clock c, Wall wall) {
    return new ClockView(
        c.key(),
        c.what(),
        c.label(),
        c.from().toEpochMilli(),
        c.until().toEpochMilli(),
        wall.time(c.from()),
        wall.time(c.until()),
        c.rings().stream().map(r -> new RingView(r.at().toEpochMilli(), r.says())).toList());
  }

  private static List<EntryView> entries(Going g, RunPlan plan, List<Entry> entries, Wall wall) {
    Set<Integer> wrong = RunState.wrong(entries);
    List<EntryView> all = new ArrayList<>();
    for (int i = 0; i < entries.size(); i++) {
      Entry e = entries.get(i);
      boolean counts = !wrong.contains(i + 1);
      all.add(
          new EntryView(
              i + 1,
              plan.taskOf(e),
              wall.time(e.at()),
              g.who.get(i),
              Told.of(plan, e),
              counts,
              counts && e.correctable()));
    }
    return List.copyOf(all);
  }

  private static double speed(Going g) {
    return g.rehearsal == null ? 1 : g.rehearsal.clock.speed();
  }

  /** How well a run went so far. */
  Score score(String id) {
    Going g = runs.find(id);
    synchronized (g) {
      return Score.of(g.bench.plan(), g.bench.entries(), g.now());
    }
  }

  /** What presses in a run, in a few words; what cannot be read says so. */
  String presses(String id) {
    try {
      Going g = runs.find(id);
      synchronized (g) {
        return Clock.presses(g.bench.plan(), g.bench.state(), g.now());
      }
    } catch (Problem unreadable) {
      return "it cannot be read";
    }
  }

  /** What changes at every moment. */
  Live live(String id) {
    Going g = runs.find(id);
    Instant now = g.now();
    Instruments its = g.instruments;
    if (g.rehearsal != null) {
      g.rehearsal.looked();
    }
    Optional<Reading> scale = its.says(DeviceKind.SCALE);
    Optional<String> at = g.rehearsal == null ? runs.atScale() : Optional.of(id);
    boolean ours = at.isEmpty() || at.get().equals(id);
    List<Degas.Point> trend =
        its.says(DeviceKind.GAUGE).isPresent() ? readings.trend(g) : List.of();
    synchronized (g) {
      RunPlan plan = g.bench.plan();
      RunState state = g.bench.state();
      Optional<Task> next = state.next(now);
      boolean weighs = next.filter(t -> t.kind() == Kind.WEIGH || weighed(t, state)).isPresent();
      Double grams =
          ours && scale.isPresent() && scale.get() instanceof Reading.Weight w
              ? state.grams(w.grams()).orElse(null)
              : null;
      boolean degas = next.filter(t -> t.kind() == Kind.DEGAS).isPresent();
      Entry.Foamed foam =
          next.flatMap(t -> plan.batch(t.batch())).flatMap(state::foam).orElse(null);
      return new Live(
          g.bench.entries().size(),
          now.toEpochMilli(),
          scale.map(r -> shown(r, plan.units())).orElse(""),
          scale.filter(r -> r instanceof Reading.Weight w && w.settled()).isPresent(),
          scale.filter(r -> r instanceof Reading.Weight w && w.grams() >= LADEN_G).isPresent(),
          scaleSays(its, scale, weighs ? state : null),
          its.there(DeviceKind.SCALE),
          ours ? "" : jobName(at.get()),
          g.rehearsal == null ? readings.otherScales() : List.of(),
          its.says(DeviceKind.ROOM).map(r -> room(r, plan.units())).orElse(""),
          trend.isEmpty() ? "" : Numbers.fixed(trend.get(trend.size() - 1).kPa(), 1) + " kPa",
          trend.stream().map(Degas.Point::kPa).toList(),
          degas ? Degas.of(trend, foam, now, readings.airKpa()) : null,
          weighs ? Weighing.of(plan, state, ours && scale.isPresent(), grams).orElse(null) : null,
          g.rehearsal == null ? watch.look().orElse("") : "",
          speed(g));
    }
  }

  /** Just weighed: the cup is still on the scale. */
  private static boolean weighed(Task next, RunState state) {
    return state.pouring().isPresent()
        && state.current().filter(p -> p.batch().key().equals(next.batch())).isPresent();
  }

  private String jobName(String run) {
    return runs.going().stream()
        .filter(r -> r.id().equals(run))
        .map(RunMapper.Listed::job)
        .findFirst()
        .orElse("");
  }

  private static String shown(Reading r, Units units) {
    return r instanceof Reading.Weight w ? Weighing.grams(w.grams(), units) : "too much";
  }

  /**
   * @param state while something is weighed; else null
   */
  private static String scaleSays(Instruments its, Optional<Reading> scale, RunState state) {
    if (scale.isEmpty()) {
      return its.there(DeviceKind.SCALE) ? "scale not heard: type it" : "no scale: type it";
    }
    if (scale.get() instanceof Reading.Overload) {
      return "more on the scale than it carries";
    }
    boolean unknown =
        state != null
            && scale.get() instanceof Reading.Weight w
            && state.grams(w.grams()).isEmpty();
    return unknown ? "set the scale to zero" : "scale heard";
  }

  private static String room(Reading r, Units units) {
    return r instanceof Reading.Room room
        ? Temperature.format(room.degreesC(), units)
            + " · "
            + Numbers.fixed(room.humidityPct(), 0)
            + " %"
        : "";
  }
}
