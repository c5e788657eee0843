package ungula.server.run;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.core.run.RunPlan.Batch;
import ungula.server.mould.Moulds;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/**
 * Moulds that are made in runs: each is one among the others once the last of its steps is over.
 */
@Component
class RunMoulds {

  private static final Logger LOG = LoggerFactory.getLogger(RunMoulds.class);

  private final RunMapper mapper;
  private final RunPlans plans;
  private final Entries entries;
  private final Moulds moulds;
  private final Habits workshop;

  RunMoulds(RunMapper mapper, RunPlans plans, Entries entries, Moulds moulds, Habits workshop) {
    this.mapper = mapper;
    this.plans = plans;
    this.entries = entries;
    this.moulds = moulds;
    this.workshop = workshop;
  }

  /** Moulds that were made before moulds were kept. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(1)
  void known() {
    for (RunMapper.Row r : mapper.withoutMould()) {
      try {
        List<Entry> kept =
            mapper.entries(r.id()).stream().map(e -> entries.read(e.entry())).toList();
        look(r.jobId(), r.id(), new Bench(plans.of(r), kept));
      } catch (Problem unreadable) {
        LOG.warn("A run cannot be read: {}", unreadable.getMessage());
      }
    }
  }

  /** Puts the mould a run makes among the others, if it is made. */
  void look(String jobId, String runId, Bench bench) {
    Optional<Instant> made = bench.state().finished();
    if (made.isEmpty() || !bench.plan().casts().isEmpty() || moulds.knows(runId)) {
      return;
    }
    // the rubber that was poured first is what it is made of
    String product =
        bench.plan().batches().stream()
            .map(Batch::product)
            .filter(p -> !p.isEmpty())
            .findFirst()
            .orElse(null);
    LocalDate day = LocalDate.ofInstant(made.get(), workshop.current().hours().clock());
    moulds.made(jobId, new Moulds.MadeIn(runId, day, product, lot(bench, product)));
  }

  /** Number of the pack it came from; null where none was picked, or it has none. */
  private static String lot(Bench bench, String product) {
    Optional<String> lot = product == null ? Optional.empty() : bench.state().lot(product);
    return bench.entries().stream()
        .filter(e -> e instanceof Entry.Picked p && lot.filter(p.lot()::equals).isPresent())
        .map(e -> ((Entry.Picked) e).number())
        .filter(n -> !n.isEmpty())
        .reduce((first, last) -> last)
        .orElse(null);
  }

  /**
   * @throws Problem where a mould that is to be cast from is retired
   */
  void inUse(String jobId, List<Integer> numbers) {
    moulds.inUse(jobId, numbers);
  }
}
