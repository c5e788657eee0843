package ungula.server.job;

import java.io.File;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import ungula.core.days.Diary;
import ungula.core.job.JobPlan;
import ungula.core.step.JobDays;
import ungula.server.web.Json;

/**
 * Keeps what lists show of each job, so that a list does not plan them all: a summary holds as long
 * as all it rests on is what it was.
 */
@Component
class Summaries {

  private final SummaryMapper mapper;
  private final Json json;

  /** Another build may say it in other words. */
  private final String build = String.valueOf(built());

  Summaries(SummaryMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  private static long built() {
    try {
      return new File(JobPlan.class.getProtectionDomain().getCodeSource().getLocation().toURI())
          .lastModified();
    } catch (URISyntaxException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * What is kept, and what it rests on, as a list is made.
   *
   * @param common to all jobs
   * @param studies that are known
   * @param records newest of each job that has any
   * @param kept of each job that has one
   */
  record Ground(
      String common,
      String studies,
      Map<String, Long> records,
      Map<String, SummaryMapper.Row> kept) {

    private String basis(JobMapper.Row row) {
      return hash(common + " " + records.getOrDefault(row.id(), 0L) + " " + row.choices());
    }
  }

  Ground ground() {
    return new Ground(
        build + " " + mapper.common(),
        mapper.studies(),
        mapper.records().stream()
            .collect(Collectors.toMap(SummaryMapper.Newest::jobId, SummaryMapper.Newest::id)),
        mapper.all().stream().collect(Collectors.toMap(SummaryMapper.Row::jobId, r -> r)));
  }

  /** Empty when there is none that still holds. */
  Optional<Summary> of(JobMapper.Row row, Ground ground) {
    SummaryMapper.Row kept = ground.kept.get(row.id());
    if (kept == null) {
      return Optional.empty();
    }
    String basis = ground.basis(row);
    boolean holds = kept.basis().equals(basis) || kept.basis().equals(hash(basis + ground.studies));
    return holds ? Optional.of(json.read(kept.summary(), Summary.class)) : Optional.empty();
  }

  void keep(JobMapper.Row row, Ground ground, Summary summary) {
    String basis = ground.basis(row);
    // what is not known yet may be known after any study
    mapper.keep(
        row.id(), summary.whole() ? basis : hash(basis + ground.studies), json.write(summary));
  }

  /**
   * What is kept of when jobs are worked at, and what it rests on, as a diary is made.
   *
   * @param common to all jobs
   * @param studies that are known
   * @param kept by the job's id
   */
  record DaysGround(String common, String studies, Map<String, SummaryMapper.DaysRow> kept) {}

  DaysGround daysGround() {
    return new DaysGround(
        build + " " + mapper.common(),
        mapper.studies(),
        mapper.days().stream().collect(Collectors.toMap(SummaryMapper.DaysRow::jobId, r -> r)));
  }

  /**
   * When a job on the bench is worked at, as it is kept or as it is worked out.
   *
   * @param diary what there is to do beside it
   * @param planned its plan, asked for only where what is kept does not hold
   */
  JobDays days(JobMapper.Row row, DaysGround ground, Diary diary, Supplier<JobPlan> planned) {
    String rests = mapper.record(row.id()) + " " + row.choices() + " " + json.write(diary);
    String basis = hash(ground.common + " " + rests);
    String studied = hash(basis + ground.studies);
    SummaryMapper.DaysRow kept = ground.kept.get(row.id());
    if (kept != null && (kept.basis().equals(basis) || kept.basis().equals(studied))) {
      return json.read(kept.days(), JobDays.class);
    }
    JobPlan plan = planned.get();
    JobDays days = JobDays.of(plan.steps());
    // what a change rests on that is not kept yet may be taken back
    if (!TransactionSynchronizationManager.isActualTransactionActive()) {
      mapper.keepDays(
          new SummaryMapper.DaysRow(
              row.id(), Summary.whole(plan) ? basis : studied, json.write(days)));
    }
    return days;
  }

  private static String hash(String text) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
