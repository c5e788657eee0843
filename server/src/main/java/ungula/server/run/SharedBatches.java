package ungula.server.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.Progress;
import ungula.core.run.Progress.Phase;
import ungula.core.run.RunPlan.Batch;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;
import ungula.core.run.RunState;
import ungula.core.run.Weighing;
import ungula.server.job.Jobs;
import ungula.server.web.Problem;

/**
 * Moulds that are weighed for in one cup. The one at the scale says for whom; what was really
 * weighed, when its parts met and what was done with the cup is then written down of each of the
 * others as well, by its share.
 */
final class SharedBatches {

  private static final Logger LOG = LoggerFactory.getLogger(SharedBatches.class);

  private final Runs runs;
  private final Jobs jobs;

  SharedBatches(Runs runs, Jobs jobs) {
    this.runs = runs;
    this.jobs = jobs;
  }

  /**
   * A mould that waits for the same.
   *
   * @param amount that goes into the cup on top, in words
   */
  record SharedMould(String run, String mould, String amount) {}

  /** Moulds a run's batch can be weighed for as well, while it is being weighed. */
  List<SharedMould> offers(Going g) {
    Progress now = weighed(g).orElse(null);
    List<SharedMould> offers = new ArrayList<>();
    if (now == null || g.rehearsal != null) {
      return offers;
    }
    for (RunMapper.Listed r : runs.going()) {
      boolean asked = now.shares().stream().anyMatch(s -> s.run().equals(r.id()));
      if (!r.id().equals(g.id) && !asked) {
        waiting(r.id(), now.batch())
            .ifPresent(
                b ->
                    offers.add(
                        new SharedMould(
                            r.id(), r.job(), Weighing.grams(b.firstG(), g.bench.plan().units()))));
      }
    }
    return offers;
  }

  /** The batch whose first part is weighed next. */
  private static Optional<Progress> weighed(Going g) {
    synchronized (g) {
      RunState state = g.bench.state();
      String next = state.next(g.now()).map(Task::key).orElse("");
      return state
          .current()
          .filter(p -> p.phase() == Phase.FIRST && p.batch().weigh().equals(next));
    }
  }

  private static Optional<Progress> current(Going g) {
    synchronized (g) {
      return g.bench.state().current();
    }
  }

  /** The batch another mould is ready for, when it can be mixed with one. */
  private Optional<Batch> waiting(String run, Batch with) {
    Going other;
    try {
      other = runs.find(run);
    } catch (Problem unreadable) {
      return Optional.empty();
    }
    synchronized (other) {
      RunState state = other.bench.state();
      Instant now = other.now();
      return state
          .current()
          .filter(p -> p.grams() == 0 && p.shares().isEmpty() && p.batch().mixesWith(with))
          .map(Progress::batch)
          .filter(b -> state.next(now).filter(t -> t.key().equals(b.weigh())).isPresent());
    }
  }

  /** Weighs the batch at hand for another mould as well. */
  Runs.Doing with(Going g, String run, Instant at) {
    Batch now = current(g).map(Progress::batch).orElse(null);
    Batch other = now == null ? null : waiting(run, now).orElse(null);
    if (other == null) {
      throw Problem.gone("The other mould's batch");
    }
    String mould = jobs.name(runs.find(run).jobId);
    return b ->
        b.share(at, now.key(), new Entry.Shared(at, now.key(), run, mould, other.key(), 0), other);
  }

  /** Has the other moulds know what became of the cup they share; done again it changes nothing. */
  void follow(Going g) {
    RunState state;
    synchronized (g) {
      state = g.bench.state();
    }
    for (Progress p : state.batches()) {
      for (Entry.Shared s : p.shares()) {
        try {
          runs.keep(runs.find(s.run()), null, "", b -> follow(g, state, p, s, b));
        } catch (Problem | Bench.Refused gone) {
          LOG.warn("{} does not follow the cup it shares: {}", s.mould(), gone.getMessage());
        }
      }
    }
  }

  private void follow(Going g, RunState state, Progress cup, Entry.Shared s, Bench other)
      throws Bench.Refused {
    Batch its = other.plan().batch(s.other()).orElseThrow();
    Progress so = other.state().progress(its);
    boolean weighed = cup.phase() == Phase.MIX || cup.phase() == Phase.POURED;
    if (weighed && so.phase() == Phase.FIRST && so.grams() == 0) {
      other.fed(cup.weighed(), its.key(), g.id, jobs.name(g.jobId), cup);
    }
    boolean fed = other.state().fedBy(its).filter(f -> f.run().equals(g.id)).isPresent();
    if (fed && cup.grams() == 0 && so.phase() != Phase.POURED) {
      other.startOver(g.now(), its.key());
    } else if (fed) {
      for (Task t : state.tasks(cup.batch())) {
        String same = its.key() + t.key().substring(cup.batch().key().length());
        RunState.Ended ended = state.ended(t).filter(e -> !e.skipped()).orElse(null);
        boolean ofTheCup = t.kind() == Kind.HANDS || t.kind() == Kind.DEGAS;
        Task follows = other.plan().task(same).orElse(null);
        if (ended != null
            && ofTheCup
            && follows != null
            && !same.equals(its.used())
            && other.state().open(follows)) {
          other.tick(ended.at(), same);
        }
      }
    }
  }
}
