package ungula.server.job;

import jakarta.annotation.PostConstruct;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ungula.core.choice.Choices;
import ungula.server.web.Json;
import ungula.server.workshop.Habits;

/** Mends at the start what earlier versions could leave behind, and says so. */
@Component
class JobHealing {

  private static final Logger LOG = LoggerFactory.getLogger(JobHealing.class);

  private final JobMapper mapper;
  private final Habits workshop;
  private final Json json;
  private final TransactionTemplate once;

  JobHealing(JobMapper mapper, Habits workshop, Json json, TransactionTemplate once) {
    this.mapper = mapper;
    this.workshop = workshop;
    this.json = json;
    this.once = once;
  }

  @PostConstruct
  void heal() {
    once.executeWithoutResult(
        status -> {
          mapper.withoutStep().forEach(this::complete);
          mapper.all().forEach(this::lookedAt);
        });
  }

  /** Gives a job whose newest step was never written the one before, or an empty beginning. */
  private void complete(JobMapper.Row row) {
    Integer step = mapper.nearest(row.id(), row.stepNow());
    String note;
    if (step == null) {
      step = row.stepNow();
      Choices fresh = Choices.fresh(workshop.current().units());
      mapper.putStep(new JobMapper.Step(row.id(), step, "begun", null, json.write(fresh), null));
      note = "Ungula was stopped while this job was being created. It begins empty.";
    } else {
      note = "Ungula was stopped while this job was being changed. It is as before that change.";
    }
    mapper.heal(row.id(), step, note);
    LOG.info("{}: {}", row.name(), note);
  }

  /** Stages looked at were once kept among the choices. */
  private void lookedAt(JobMapper.Row row) {
    if (row.choices() == null || !mapper.looks(row.id()).isEmpty()) {
      return;
    }
    for (Map.Entry<String, String> look : json.texts(row.choices(), "looked").entrySet()) {
      if (!look.getValue().isEmpty()) {
        mapper.look(row.id(), look.getKey(), look.getValue());
      }
    }
  }
}
