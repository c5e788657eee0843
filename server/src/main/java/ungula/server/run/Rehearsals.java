package ungula.server.run;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import ungula.core.device.DeviceKind;
import ungula.core.device.Reading;
import ungula.core.exercise.Exercise;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.run.Bench;
import ungula.core.run.Degas;
import ungula.server.job.Drawings;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/**
 * Runs that are tried out: by the same plan and the same rules, with stand-ins for devices and a
 * clock that can be hurried. Nothing of them is kept.
 */
@Component
public class Rehearsals {

  private static final Logger LOG = LoggerFactory.getLogger(Rehearsals.class);

  /** Older ones are forgotten. */
  private static final int MOST = 20;

  /** One that nobody looks at for so long stands still. */
  private static final long LOOKED_AT_NANOS = Duration.ofMinutes(1).toNanos();

  private static final long EVERY_MS = 100;

  private final Runs runs;
  private final RunReadings readings;
  private final Jobs jobs;
  private final Drawings drawings;
  private final Freezing freezing;
  private final Clock clock;
  private final Deque<Going> all = new ConcurrentLinkedDeque<>();
  private final ScheduledExecutorService hand =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread t = new Thread(task, "rehearsals");
            t.setDaemon(true);
            return t;
          });

  Rehearsals(
      Runs runs,
      RunReadings readings,
      Jobs jobs,
      Drawings drawings,
      Freezing freezing,
      Clock clock) {
    this.freezing = freezing;
    this.runs = runs;
    this.readings = readings;
    this.jobs = jobs;
    this.drawings = drawings;
    this.clock = clock;
    hand.scheduleWithFixedDelay(this::read, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
  }

  @PreDestroy
  void end() {
    hand.shutdown();
  }

  /** Begins one of a job's mould, by its plan as it is. */
  String begin(String jobId) {
    return begun(jobId, null).id;
  }

  /** Begins an exercise: all before the first weighing is done. */
  public String begin(String jobId, Exercise exercise) {
    Going g = begun(jobId, exercise);
    synchronized (g) {
      Exercise.ahead(g.bench, g.now());
      g.bench.entries().forEach(e -> g.who.add(""));
    }
    g.rehearsal.clock.run(exercise.speed());
    runs.changed();
    return g.id;
  }

  private Going begun(String jobId, Exercise exercise) {
    Job job = jobs.find(jobId);
    String id = "rehearsal-" + UUID.randomUUID();
    Going.Rehearsal r =
        new Going.Rehearsal(clock, id.hashCode(), drawings.section(job, Cut.FRONT, null), exercise);
    Going g = new Going(id, jobId, freezing.of(job, List.of()), r);
    runs.add(g);
    all.addLast(g);
    while (all.size() > MOST) {
      runs.forget(all.removeFirst());
    }
    return g;
  }

  Going.Rehearsal find(String id) {
    Going.Rehearsal r = runs.find(id).rehearsal;
    if (r == null) {
      throw Problem.gone("This rehearsal");
    }
    return r;
  }

  /** Reads the scales and gauges of those that somebody looks at. */
  private void read() {
    for (Going g : all) {
      if (g.rehearsal.notLookedAtNanos() < LOOKED_AT_NANOS) {
        try {
          read(g);
        } catch (RuntimeException e) {
          LOG.error("A rehearsal was not read", e);
        }
      }
    }
  }

  private void read(Going g) {
    if (g.instruments.says(DeviceKind.GAUGE).orElse(null) instanceof Reading.Pressure p) {
      g.rehearsal.trend.add(new Degas.Point(g.now(), Degas.absoluteKpa(p, readings.airKpa())));
    }
    Optional<Reading> scale = g.instruments.says(DeviceKind.SCALE);
    Optional<Reading> room = g.instruments.says(DeviceKind.ROOM);
    try {
      if (room.isPresent()) {
        runs.keep(g, null, "", b -> b.read(g.now(), room.get()));
      }
      runs.keep(g, null, "", b -> scale(b, g, scale));
    } catch (Bench.Refused no) {
      // an overload shows on the scale itself
    }
    runs.changed();
  }

  private static void scale(Bench b, Going g, Optional<Reading> said) throws Bench.Refused {
    if (said.isPresent()) {
      b.read(g.now(), said.get());
    } else {
      b.lost(g.now(), "scale");
    }
  }
}
