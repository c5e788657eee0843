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
    List<JobMapper.Step> all = mapper.steps(jobId);
    int before = 0;
    while (before < all.size() && early(all.get(before), from)) {
      before++;
    }
    List<LogLine> lines = new ArrayList<>();
    // the first step is an empty job: nothing is decided by it
    if (before > 1 && all.get(before - 1).at() != null) {
      lines.add(HandLog.planned(all.get(before - 1).at().toInstant(), before - 1));
    }
    for (int i = Math.max(1, before); i < all.size(); i++) {
      lines.add(HandLog.decided(all.get(i).at().toInstant(), changes(all.get(i - 1), all.get(i))));
    }
    return List.copyOf(lines);
  }

  private static boolean early(JobMapper.Step s, Instant from) {
    return s.at() == null || s.at().toInstant().isBefore(from);
  }

  private List<String> changes(JobMapper.Step before, JobMapper.Step now) {
    try {
      return changes(
          json.read(before.choices(), Choices.class), json.read(now.choices(), Choices.class));
    } catch (Problem unreadable) {
      // what an old version wrote may be read no more: the job itself says so
      return List.of();
    }
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
