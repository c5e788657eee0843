package ungula.server.run;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ungula.core.rubber.Parts;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Progress;
import ungula.core.run.RunPlan;
import ungula.core.run.RunPlan.Batch;
import ungula.server.cast.CastsMade;
import ungula.server.device.Devices;
import ungula.server.job.Jobs;
import ungula.server.stock.Stocks;
import ungula.server.web.Problem;

/**
 * The runs at the bench. What happens is kept before anybody is told of it; what is in memory is
 * made of that and may be lost at any moment.
 */
@Component
class Runs {

  /** Told when a run is another. */
  interface Watcher {
    void changed();
  }

  private final RunMapper mapper;
  private final Entries entries;
  private final Jobs jobs;
  private final RunPlans plans;
  private final CastsMade casts;
  private final RunMoulds made;
  private final Stocks stocks;
  private final Devices devices;
  private final TransactionTemplate whole;
  private final Clock clock;
  private final Map<String, Going> going = new ConcurrentHashMap<>();
  private final List<Watcher> watchers = new CopyOnWriteArrayList<>();
  private final SharedBatches shared;
  private volatile String atScale;

  /** Whether it is known that no run goes on. */
  private volatile boolean nobody;

  Runs(
      RunMapper mapper,
      Entries entries,
      Jobs jobs,
      RunPlans plans,
      CastsMade casts,
      RunMoulds made,
      Stocks stocks,
      Devices devices,
      TransactionTemplate whole,
      Clock clock) {
    this.mapper = mapper;
    this.entries = entries;
    this.jobs = jobs;
    this.plans = plans;
    this.casts = casts;
    this.made = made;
    this.stocks = stocks;
    this.devices = devices;
    this.whole = whole;
    this.clock = clock;
    this.shared = new SharedBatches(this, jobs);
  }

  /** Takes a rehearsal among the runs, where it is found until it is forgotten. */
  void add(Going rehearsal) {
    going.put(rehearsal.id, rehearsal);
  }

  void forget(Going rehearsal) {
    going.remove(rehearsal.id);
  }

  void watch(Watcher w) {
    watchers.add(w);
  }

  void unwatch(Watcher w) {
    watchers.remove(w);
  }

  void changed() {
    watchers.forEach(Watcher::changed);
  }

  private OffsetDateTime stamp() {
    return OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  /**
   * Begins a run of a job, by its plan as it is.
   *
   * @param moulds that are cast from; empty to make a mould
   */
  String begin(String jobId, List<Integer> moulds) {
    made.inUse(jobId, moulds);
    String id = UUID.randomUUID().toString();
    plans.begin(id, jobId, moulds, stamp());
    nobody = false;
    changed();
    return id;
  }

  List<RunMapper.Listed> of(String jobId) {
    jobs.find(jobId);
    return mapper.of(jobId);
  }

  /** Those that are not ended, the newest first. */
  List<RunMapper.Listed> going() {
    return mapper.going();
  }

  Going find(String id) {
    return going.computeIfAbsent(id, this::load);
  }

  private Going load(String id) {
    RunMapper.Row row = mapper.find(id);
    if (row == null) {
      throw Problem.gone("This run");
    }
    List<RunMapper.EntryRow> rows = mapper.entries(id);
    List<Entry> kept = rows.stream().map(r -> entries.read(r.entry())).toList();
    Bench bench = new Bench(plans.of(row), kept);
    Going g = new Going(row, bench, clock, devices);
    rows.forEach(
        r -> {
          g.who.add(r.who());
          if (r.act() != null) {
            g.acts.add(r.act());
          }
        });
    return g;
  }

  /** Weighs a batch for another run's mould as well. */
  Doing share(Going g, String run, Instant at) {
    return shared.with(g, run, at);
  }

  /** Moulds the batch that a run weighs can be weighed for as well. */
  List<SharedBatches.SharedMould> offers(Going g) {
    return shared.offers(g);
  }

  /** Ends a run, or takes it up again. */
  void end(String id, boolean ended) {
    if (find(id).rehearsal != null) {
      throw Problem.gone("A run that is kept");
    }
    mapper.end(id, ended ? stamp() : null);
    going.remove(id);
    nobody = false;
    if (ended && id.equals(atScale)) {
      atScale = null;
    }
    changed();
  }

  interface Doing {
    void to(Bench bench) throws Bench.Refused;
  }

  /** Does something, and keeps what came of it before anybody is told. */
  void keep(Going g, String act, String who, Doing doing) throws Bench.Refused {
    Kept kept = keepIts(g, act, who, doing);
    if (kept.any && g.rehearsal == null) {
      shared.follow(g);
    }
    if (kept.refused != null) {
      throw kept.refused;
    }
  }

  /**
   * What came of something that was done.
   *
   * @param any whether anything is written down of it
   * @param refused why it, or the rest of it, cannot be; null where it can
   */
  private record Kept(boolean any, Bench.Refused refused) {}

  private Kept keepIts(Going g, String act, String who, Doing doing) {
    synchronized (g) {
      if (act != null && g.acts.contains(act)) {
        return new Kept(false, null);
      }
      RunPlan planned = g.bench.plan();
      int before = g.bench.entries().size();
      Bench.Refused refused = null;
      try {
        doing.to(g.bench);
      } catch (Bench.Refused no) {
        refused = no;
      }
      List<Entry> all = g.bench.entries();
      if (all.size() > before) {
        try {
          if (g.rehearsal == null) {
            whole.executeWithoutResult(status -> append(g, before, act, who));
          }
        } catch (RuntimeException notKept) {
          // what is in memory is what is kept
          g.bench = new Bench(planned, all.subList(0, before));
          throw notKept;
        }
        for (int i = before; i < all.size(); i++) {
          g.who.add(who);
        }
        if (act != null) {
          g.acts.add(act);
        }
      }
      return new Kept(all.size() > before, refused);
    }
  }

  private void append(Going g, int before, String act, String who) {
    List<Entry> all = g.bench.entries();
    for (int i = before; i < all.size(); i++) {
      mapper.append(new RunMapper.EntryRow(g.id, i + 1, act, who, entries.write(all.get(i))));
    }
    boolean moves = false;
    for (int i = before; i < all.size(); i++) {
      Entry e = all.get(i);
      if (e instanceof Entry.Replanned) {
        plans.takenOver(g, i + 1);
      } else if (e instanceof Entry.Came c) {
        casts.came(g.jobId, g.id, i + 1, who, c);
      } else if (e instanceof Entry.Corrected c && all.get(c.number() - 1) instanceof Entry.Came) {
        casts.corrected(g.jobId, g.id, c, who);
      }
      moves |=
          e instanceof Entry.Done
              || e instanceof Entry.StartedOver
              || e instanceof Entry.Corrected
              || e instanceof Entry.LeftOut;
    }
    if (moves) {
      settle(g);
      made.look(g.jobId, g.id, g.bench);
    }
  }

  /** What was really mixed leaves the stock. */
  private void settle(Going g) {
    for (Progress p : g.bench.state().batches()) {
      Batch b = p.batch();
      if (b.product().isEmpty()) {
        continue;
      }
      Parts thrown = g.bench.state().thrownAway(b);
      Parts all = p.used() == null ? thrown : thrown.plus(p.own());
      Stocks.Planned planned =
          new Stocks.Planned(b.title(), b.baseG(), b.baseG() * b.hardenerPerBase());
      int number = 1 + g.bench.plan().batches().indexOf(b);
      Stocks.Mixed record =
          new Stocks.Mixed(
              g.id,
              b.product(),
              number,
              b.pour(),
              b.batch(),
              planned,
              all,
              g.bench.state().lot(b.product()).orElse(null));
      stocks.settle(g.jobId, g.begun, record, all.totalG() > 0);
    }
  }

  /** From now on the scale is read for a run. */
  void toScale(String run) {
    atScale = run;
  }

  /** The run the scale is read for: the one that was acted on last; empty when none runs. */
  Optional<String> atScale() {
    String at = atScale;
    if (at == null && nobody) {
      return Optional.empty();
    }
    if (at == null || going.containsKey(at) && going.get(at).ended != null) {
      at = mapper.going().stream().findFirst().map(RunMapper.Listed::id).orElse(null);
      atScale = at;
      nobody = at == null;
    }
    return Optional.ofNullable(at);
  }

  void picture(String runId, String step, String who, byte[] jpeg) {
    String id = UUID.randomUUID().toString();
    Going g = find(runId);
    if (g.rehearsal != null) {
      throw new Problem(
          HttpStatus.CONFLICT, "A rehearsal", "A rehearsal keeps nothing, and no pictures.");
    }
    try {
      keep(
          g,
          id,
          who,
          b -> {
            b.picture(g.now(), step, id);
            mapper.addPicture(id, runId, jpeg);
          });
    } catch (Bench.Refused no) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not now", no.getMessage());
    }
    changed();
  }

  byte[] picture(String runId, String id) {
    RunMapper.Picture p = mapper.picture(runId, id);
    if (p == null) {
      throw Problem.gone("This picture");
    }
    return p.jpeg();
  }
}
