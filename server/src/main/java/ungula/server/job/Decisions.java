package ungula.server.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.log.HandLog;
import ungula.core.log.LogLine;
import ungula.core.sentence.Word;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/** What was decided in jobs, and when, as far as their history goes back. */
@Component
public class Decisions {

  private final JobMapper mapper;
  private final Json json;

  Decisions(JobMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  /**
   * As lines of a job's log: what was decided before anything happened in one line, and what was
   * after, decision by decision.
   *
   * @param from when something happened first
   */
  public List<LogLine> log(String jobId, Instant from) {
    List<LogLine> lines = new ArrayList<>();
    Choices before = null;
    Instant planned = null;
    int many = 0;
    for (JobMapper.Step s : mapper.steps(jobId)) {
      Choices now;
      try {
        now = json.read(s.choices(), Choices.class);
      } catch (Problem unreadable) {
        // what an old version wrote may be read no more: the job itself says so
        continue;
      }
      if (before != null && s.at() != null && !s.at().toInstant().isBefore(from)) {
        lines.add(HandLog.decided(s.at().toInstant(), changes(before, now)));
      } else if (before != null) {
        many++;
        planned = s.at() == null ? planned : s.at().toInstant();
      }
      before = now;
    }
    if (planned != null) {
      lines.add(0, HandLog.planned(planned, many));
    }
    return List.copyOf(lines);
  }

  /** What is another, in words. */
  private static List<String> changes(Choices before, Choices now) {
    Map<String, Word.State> was = ChoiceWords.states(before);
    List<String> all = new ArrayList<>();
    ChoiceWords.states(now)
        .forEach(
            (word, is) -> {
              Word.State old = was.get(word);
              if (old != null && !Objects.equals(old.text(), is.text())) {
                all.add(is.label() + ": " + is.text() + " in place of " + old.text());
              }
            });
    return all;
  }
}
