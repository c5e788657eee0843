package ungula.server.run;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import ungula.core.exercise.Exercise;
import ungula.core.mould.SectionDrawing;
import ungula.core.run.Bench;
import ungula.core.run.RunPlan;
import ungula.server.device.Instruments;
import ungula.server.device.Rehearsed;

/** A run as it stands; whoever changes it holds its lock. */
final class Going {

  final String id;
  final String jobId;
  final Instant begun;

  /** Null while it runs. */
  final Instant ended;

  final Instruments instruments;

  /** Null for a run that is kept. */
  final Rehearsal rehearsal;

  /** Who made each entry. */
  final List<String> who = new ArrayList<>();

  /** Ids of what was done. */
  final Set<String> acts = ConcurrentHashMap.newKeySet();

  private final Clock clock;
  Bench bench;

  /** A clock that can be hurried, and devices of its own. */
  static final class Rehearsal {
    final FastClock clock;
    final Rehearsed devices;
    final SectionDrawing drawing;
    final Trend trend = new Trend();

    /** Null for a rehearsal of one's own. */
    final Exercise exercise;

    private volatile long lookedAtNanos = System.nanoTime();

    /**
     * @param seed of what is chance in its devices
     * @param exercise null for a rehearsal of one's own
     */
    Rehearsal(Clock real, long seed, SectionDrawing drawing, Exercise exercise) {
      this.clock = new FastClock(real);
      this.devices = new Rehearsed(seed);
      this.drawing = drawing;
      this.exercise = exercise;
    }

    /** Somebody looks at it. */
    void looked() {
      lookedAtNanos = System.nanoTime();
    }

    /** Since somebody last did. */
    long notLookedAtNanos() {
      return System.nanoTime() - lookedAtNanos;
    }
  }

  /** One that is kept. */
  Going(RunMapper.Row row, Bench bench, Clock clock, Instruments instruments) {
    this.id = row.id();
    this.jobId = row.jobId();
    this.begun = row.begun().toInstant();
    this.ended = row.ended() == null ? null : row.ended().toInstant();
    this.bench = bench;
    this.clock = clock;
    this.instruments = instruments;
    this.rehearsal = null;
  }

  /** A rehearsal, which is kept nowhere. */
  Going(String id, String jobId, RunPlan plan, Rehearsal r) {
    this.id = id;
    this.jobId = jobId;
    this.begun = r.clock.instant();
    this.ended = null;
    this.bench = new Bench(plan, List.of());
    this.clock = r.clock;
    this.instruments = r.devices;
    this.rehearsal = r;
  }

  Instant now() {
    return clock.instant();
  }
}
