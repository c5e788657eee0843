package ungula.server.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.days.Diary;
import ungula.core.days.Network;
import ungula.core.plan.PlanPart;
import ungula.core.step.JobDays;
import ungula.server.model.Models;
import ungula.server.web.Problem;

/** Lists over jobs: the shelf, what they take together, the bench. */
@Component
public class JobLists {

  private static final Logger LOG = LoggerFactory.getLogger(JobLists.class);

  private final JobMapper mapper;
  private final Models models;
  private final Shapes shapes;
  private final Summaries summaries;
  private final JobPlans plans;
  private final Jobs jobs;

  JobLists(
      JobMapper mapper,
      Models models,
      Shapes shapes,
      Summaries summaries,
      JobPlans plans,
      Jobs jobs) {
    this.mapper = mapper;
    this.models = models;
    this.shapes = shapes;
    this.summaries = summaries;
    this.plans = plans;
    this.jobs = jobs;
  }

  /**
   * An entry of a list of jobs.
   *
   * @param summary what the list shows of it; null when it cannot be read
   * @param trouble why it cannot be read, and what helps; empty when it can
   */
  record Listed(JobMapper.Row row, Summary summary, String trouble) {

    boolean readable() {
      return summary != null;
    }
  }

  /** Every job on the shelf; one that cannot be read says so and takes nothing else down. */
  List<Listed> listed() {
    return listed(mapper.all());
  }

  private List<Listed> listed(List<JobMapper.Row> rows) {
    Summaries.Ground ground = summaries.ground();
    // once for all of them, and only when one has to be planned
    Map<String, JobDays> bench = new LinkedHashMap<>();
    Supplier<Map<String, JobDays>> days =
        () -> {
          if (bench.isEmpty()) {
            bench.putAll(plans.benchDays());
          }
          return bench;
        };
    return rows.stream().map(row -> listed(row, ground, days)).toList();
  }

  private Listed listed(
      JobMapper.Row row, Summaries.Ground ground, Supplier<Map<String, JobDays>> days) {
    try {
      Summary summary =
          summaries
              .of(row, ground)
              .filter(s -> s.model() == null || models.there(s.model()))
              .orElseGet(
                  () -> {
                    Job job = plans.of(row, plans.diary(days.get(), row.id()));
                    Summary made = Summary.of(job, shapes.posed(job.choices()).isPresent());
                    summaries.keep(row, ground, made);
                    return made;
                  });
      return new Listed(row, summary, "");
    } catch (Problem told) {
      return new Listed(row, null, told.getMessage());
    } catch (RuntimeException e) {
      LOG.error("The job " + row.name() + " cannot be planned", e);
      return new Listed(row, null, "Its plan cannot be made. The program's output says more.");
    }
  }

  /**
   * A job with what it takes.
   *
   * @param needs of each product, by the product's id, g
   */
  public record Needing(String id, String name, List<Job.Needed> needs) {}

  /**
   * What a list over all jobs is made from.
   *
   * @param jobs that are not put away
   * @param missing what the list lacks and why, as sentences: it says so wherever it is shown
   * @param working whether some of that is being worked out now
   */
  public record Open(List<Needing> jobs, List<String> missing, boolean working) {}

  /** All jobs that are not put away. What their amounts still wait for is asked for. */
  public Open open() {
    return open(listed().stream().filter(l -> !l.row().archived()).toList());
  }

  /** One job, as a list of it alone. */
  public Open open(String id) {
    return open(listed(List.of(jobs.row(id))));
  }

  private Open open(List<Listed> all) {
    List<Needing> jobs = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    boolean working = false;
    for (Listed l : all) {
      if (!l.readable()) {
        missing.add(l.row().name() + " cannot be read and is left out.");
        continue;
      }
      jobs.add(new Needing(l.row().id(), l.row().name(), l.summary().needs()));
      if (!l.summary().known()) {
        working |= amountsOpen(plans.of(l.row()), missing);
      }
    }
    return new Open(List.copyOf(jobs), List.copyOf(missing), working);
  }

  /**
   * Says what a job's amounts still wait for, and asks for it.
   *
   * @return whether it is being worked out now
   */
  private boolean amountsOpen(Job job, List<String> missing) {
    List<PlanPart> open = jobs.parts(job).stream().filter(JobLists::decidesAmounts).toList();
    List<String> said = PlanPart.missing(open);
    if (!said.isEmpty()) {
      missing.add(job.row().name() + ": " + String.join(" ", said));
    }
    boolean working = open.stream().anyMatch(p -> p.state() == PlanPart.State.BEING_WORKED_OUT);
    if (working) {
      jobs.ask(job);
    }
    return working;
  }

  private static boolean decidesAmounts(PlanPart part) {
    return part.subject() == PlanPart.Subject.COATS || part.subject() == PlanPart.Subject.CORE;
  }

  /** One of several jobs, after those before it; empty when it cannot be read. */
  private Optional<Job> onBench(JobMapper.Row row, Diary diary) {
    try {
      return Optional.of(plans.of(row, diary));
    } catch (RuntimeException e) {
      LOG.error("The job " + row.name() + " cannot be planned", e);
      return Optional.empty();
    }
  }

  /** When each job is worked at whose beginning is said, by its id, in the order they are done. */
  Map<String, JobDays> benchDays() {
    return plans.benchDays();
  }

  /** Jobs whose beginning is said and that are not put away, in the order they are done. */
  public List<Job> onBench() {
    long morning = plans.morning();
    List<Job> jobs = new ArrayList<>();
    List<Network.Busy> taken = new ArrayList<>();
    for (JobMapper.Row row : mapper.onBench()) {
      onBench(row, new Diary(morning, List.copyOf(taken)))
          .ifPresent(
              job -> {
                jobs.add(job);
                taken.addAll(job.plan().steps().timeline().taken());
              });
    }
    return jobs;
  }

  /** Jobs that are not put away and of which nobody says when they are begun. */
  public List<Job> undated() {
    Diary diary = plans.diary(plans.benchDays(), null);
    return mapper.undated().stream().flatMap(row -> onBench(row, diary).stream()).toList();
  }

  /** Puts jobs on the bench in another order. */
  @Transactional
  public void order(List<String> ids) {
    List<String> all = new ArrayList<>(mapper.onBench().stream().map(JobMapper.Row::id).toList());
    List<String> first = ids.stream().filter(all::contains).distinct().toList();
    all.removeAll(first);
    int place = 0;
    for (String id : Stream.concat(first.stream(), all.stream()).toList()) {
      mapper.place(id, place++);
    }
  }
}
