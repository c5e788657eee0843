package ungula.server.log;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import ungula.core.log.HandLog;
import ungula.core.log.LogLine;
import ungula.core.log.LogLine.Kind;
import ungula.core.quantity.Units;
import ungula.server.cast.CastsMade;
import ungula.server.job.Decisions;
import ungula.server.job.Job;
import ungula.server.record.Records;
import ungula.server.run.RunLogs;
import ungula.server.run.RunLogs.OfRun;
import ungula.server.stock.Stocks;

/** Everything that happened in a job, in the order it did: made of its records when asked for. */
@Component
class JobLog {

  private final RunLogs runs;
  private final CastsMade casts;
  private final Stocks stocks;
  private final Records records;
  private final Decisions decisions;

  JobLog(RunLogs runs, CastsMade casts, Stocks stocks, Records records, Decisions decisions) {
    this.runs = runs;
    this.casts = casts;
    this.stocks = stocks;
    this.records = records;
    this.decisions = decisions;
  }

  /**
   * @param run in which it happened; empty for none
   */
  record Happened(String run, LogLine line) {}

  List<Happened> of(Job job) {
    String id = job.row().id();
    List<Happened> all = new ArrayList<>(happened(id, job.choices().units()));
    all.stream()
        .map(h -> h.line().at())
        .min(Comparator.naturalOrder())
        .ifPresent(first -> decisions.log(id, first).forEach(l -> all.add(new Happened("", l))));
    all.sort(Comparator.comparing(h -> h.line().at()));
    return List.copyOf(all);
  }

  /** The same without what was decided, in no order. */
  List<Happened> happened(String id, Units units) {
    List<Happened> all = new ArrayList<>();
    for (OfRun r : runs.of(id)) {
      String what = what(r.moulds());
      all.add(new Happened(r.id(), marked(r.begun(), what + " is begun")));
      // casts of the bench are among those that were counted
      r.lines().stream()
          .filter(l -> l.kind() != Kind.CAST)
          .forEach(l -> all.add(new Happened(r.id(), l)));
      if (r.ended() != null) {
        all.add(new Happened(r.id(), marked(r.ended(), what + " is ended")));
      }
    }
    HandLog.casts(casts.of(id), units).forEach(l -> all.add(new Happened("", l)));
    stocks.log(id, units).forEach(l -> all.add(new Happened("", l)));
    records.log(id, units).forEach(l -> all.add(new Happened("", l)));
    return List.copyOf(all);
  }

  private static LogLine marked(Instant at, String what) {
    return HandLog.noted(at, what, "");
  }

  private static String what(List<Integer> moulds) {
    return moulds.isEmpty()
        ? "A mould"
        : "A cast in mould "
            + moulds.stream().map(String::valueOf).collect(Collectors.joining(" and "));
  }
}
