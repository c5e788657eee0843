package ungula.server.job;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.choice.Choices;
import ungula.core.days.Moments.Moment;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/**
 * The only way a job's history is written: each change is made on a version, and is refused as a
 * whole when the job is at another. Runs within the transaction of what is being done.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class JobHistory {

  /** Steps kept for undo. */
  private static final int HISTORY = 300;

  private final JobMapper mapper;
  private final Json json;
  private final Clock clock;

  JobHistory(JobMapper mapper, Json json, Clock clock) {
    this.clock = clock;
    this.mapper = mapper;
    this.json = json;
  }

  private OffsetDateTime now() {
    return OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC);
  }

  /**
   * A job with the first step of its history.
   *
   * @return its id
   */
  public String begin(String name, boolean demo, Choices choices) {
    String id = UUID.randomUUID().toString();
    mapper.add(id, name, demo, now());
    mapper.putStep(new JobMapper.Step(id, 0, "begun", null, json.write(choices), now()));
    onBench(id, choices);
    return id;
  }

  /**
   * Makes choices the newest step, after which there is nothing to redo.
   *
   * @param nudged the word that was nudged, whose nudges in a row are one step; null otherwise
   * @return the job as it stands now
   */
  public JobMapper.Row write(JobMapper.Row on, Choices choices, String label, String nudged) {
    boolean more = nudged != null && nudged.equals(on.nudged());
    int step = more ? on.stepNow() : on.stepNow() + 1;
    advance(on, step);
    mapper.dropStepsAfter(on.id(), on.stepNow());
    mapper.dropStepsBefore(on.id(), step - HISTORY);
    mapper.putStep(new JobMapper.Step(on.id(), step, label, nudged, json.write(choices), now()));
    onBench(on.id(), choices);
    return mapper.find(on.id());
  }

  /** Goes back one step (−1) or forward again (+1), and keeps all of them. */
  public JobMapper.Row move(JobMapper.Row on, int by) {
    advance(on, on.stepNow() + by);
    JobMapper.Row now = mapper.find(on.id());
    onBench(on.id(), json.read(now.choices(), Choices.class));
    return now;
  }

  /** A job takes its place on the bench when somebody says when it is begun. */
  private void onBench(String id, Choices choices) {
    Moment begin = choices.days().begin();
    if (begin == null) {
      mapper.notBegun(id);
    } else {
      mapper.begins(id, begin.at());
    }
  }

  private void advance(JobMapper.Row on, int step) {
    if (mapper.advance(on.id(), on.version(), step, now()) == 0) {
      throw Problem.conflict("This job");
    }
  }
}
