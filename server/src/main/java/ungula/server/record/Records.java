package ungula.server.record;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.choice.Choices;
import ungula.core.log.HandLog;
import ungula.core.log.LogLine;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook.Edit;

/** What happened in jobs: appended, and corrected by a further record. */
@Component
public class Records {

  private final RecordMapper mapper;
  private final Clock clock;

  Records(RecordMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  /** What is known to have happened in a job, as far as it holds for its choices. */
  public Recorded of(String jobId, Choices choices) {
    Map<String, String> said = new HashMap<>();
    for (RecordMapper.Row row : mapper.of(jobId)) {
      if (Recorded.counts(row.word(), row.about(), choices)) {
        said.put(row.word(), row.said());
      }
    }
    return Recorded.of(said);
  }

  /** Jobs in which a mould was weighed. */
  public List<String> weighed() {
    return mapper.jobsWith("rubber.mouldG");
  }

  /** Appends what edits say that happened, under the choices of the job. */
  @Transactional(propagation = Propagation.MANDATORY)
  public Recorded add(String jobId, Choices choices, List<Edit> edits) {
    Recorded before = of(jobId, choices);
    Recorded now = before.edit(edits, choices.units());
    OffsetDateTime at = OffsetDateTime.now(clock);
    before
        .changedIn(now)
        .forEach((word, said) -> mapper.add(jobId, word, Recorded.about(word, choices), said, at));
    return now;
  }

  /** All that was recorded in a job, also under choices that are others by now. */
  public List<LogLine> log(String jobId, Units units) {
    return mapper.allOf(jobId).stream().map(r -> line(r, units)).toList();
  }

  private static LogLine line(RecordMapper.At r, Units units) {
    boolean back = r.said().isEmpty();
    Word.State state =
        Recorded.of(back ? Map.of() : Map.of(r.word(), r.said())).states(units).get(r.word());
    return HandLog.noted(r.at().toInstant(), state.label(), back ? "taken back" : state.text());
  }

  /** What was found out on a master is known of it in a copy of its job, too. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void copyOfMaster(String from, String to) {
    mapper.copy(from, to, "master.patch");
  }
}
