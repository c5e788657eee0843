package ungula.server.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import ungula.core.log.LogLine;
import ungula.core.log.RunLog;
import ungula.core.run.Bench;

/** What happened at the bench, for a job's log. */
@Component
public class RunLogs {

  private final Runs runs;
  private final RunMapper mapper;

  RunLogs(Runs runs, RunMapper mapper) {
    this.runs = runs;
    this.mapper = mapper;
  }

  /**
   * One run.
   *
   * @param ended null while it goes on
   * @param moulds that are cast from; empty where one is made
   */
  public record OfRun(
      String id, Instant begun, Instant ended, List<Integer> moulds, List<LogLine> lines) {}

  /** Of a job, the first that was begun first. */
  public List<OfRun> of(String jobId) {
    return oldestFirst(mapper.of(jobId)).stream().map(this::log).toList();
  }

  /** A run as it stands; empty where there is none of that id. */
  public Optional<Bench> bench(String id) {
    if (mapper.find(id) == null) {
      return Optional.empty();
    }
    Going g = runs.find(id);
    synchronized (g) {
      return Optional.of(new Bench(g.bench.plan(), g.bench.entries()));
    }
  }

  /** All runs of a job as they stand. */
  public List<Bench> benches(String jobId) {
    return mapper.of(jobId).stream().flatMap(r -> bench(r.id()).stream()).toList();
  }

  /** The newest in which a mould was made, or is. */
  public Optional<Bench> newestMould(String jobId) {
    return mapper.of(jobId).stream()
        .filter(r -> r.moulds().isEmpty())
        .findFirst()
        .flatMap(r -> bench(r.id()));
  }

  /**
   * @param person who did most of it; empty where nobody said who it was
   */
  public record By(Bench bench, String person) {}

  /** The newest in which a mould was made, and the newest in which casts were; as far as any. */
  public List<By> newest(String jobId) {
    List<RunMapper.Listed> all = mapper.of(jobId);
    return Stream.of(true, false)
        .flatMap(mould -> all.stream().filter(r -> r.moulds().isEmpty() == mould).limit(1))
        .map(r -> by(r.id()))
        .toList();
  }

  private By by(String id) {
    Going g = runs.find(id);
    synchronized (g) {
      String person =
          g.who.stream()
              .filter(w -> w != null && !w.isEmpty())
              .collect(Collectors.groupingBy(w -> w, TreeMap::new, Collectors.counting()))
              .entrySet()
              .stream()
              .max(Map.Entry.comparingByValue())
              .map(Map.Entry::getKey)
              .orElse("");
      return new By(new Bench(g.bench.plan(), g.bench.entries()), person);
    }
  }

  private static List<RunMapper.Listed> oldestFirst(List<RunMapper.Listed> newest) {
    List<RunMapper.Listed> all = new ArrayList<>(newest);
    Collections.reverse(all);
    return all;
  }

  private OfRun log(RunMapper.Listed r) {
    Going g = runs.find(r.id());
    synchronized (g) {
      return new OfRun(
          r.id(),
          r.begun().toInstant(),
          r.ended() == null ? null : r.ended().toInstant(),
          Freezing.moulds(r.moulds()),
          RunLog.of(g.bench.plan(), g.bench.entries(), g.who));
    }
  }
}
