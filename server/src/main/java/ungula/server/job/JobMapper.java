package ungula.server.job;

import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface JobMapper {

  /** A job with the step of its history that it stands at, read in one statement. */
  String JOB =
      "SELECT j.id, j.name, j.version, j.step_now, j.demo, j.archived, j.deleted, j.changed, j.note,"
          + " j.exercise, s.label, s.nudged, s.choices FROM job j"
          + " LEFT JOIN job_step s ON s.job_id = j.id AND s.step = j.step_now ";

  /**
   * @param stepNow which step of the job's history holds its present choices
   * @param note what the user is to be told about it; null for nothing
   * @param exercise what is practised on it; null for a job
   * @param label what was done last; null when the step is missing
   * @param nudged the word that was nudged last; null when something else was done
   * @param choices JSON of the core's choices; null when the step is missing
   */
  record Row(
      String id,
      String name,
      int version,
      int stepNow,
      boolean demo,
      boolean archived,
      boolean deleted,
      OffsetDateTime changed,
      String note,
      String exercise,
      String label,
      String nudged,
      String choices) {}

  /**
   * @param label what was done to get here
   * @param nudged the word that was nudged; null when something else was done
   * @param choices JSON of the core's choices
   * @param at when it was made; null where nobody knows
   */
  record Step(
      String jobId, int step, String label, String nudged, String choices, OffsetDateTime at) {}

  @Select(JOB + "WHERE NOT j.deleted AND j.exercise IS NULL ORDER BY j.changed DESC")
  List<Row> all();

  @Select(JOB + "WHERE j.id = #{id}")
  Row find(String id);

  /** Lets nobody else change a job until the end of the transaction. */
  @Select("SELECT id FROM job WHERE id = #{id} FOR UPDATE")
  String hold(String id);

  /** Jobs somebody has said the beginning of, in the order they are done. */
  @Select(
      JOB
          + "WHERE j.begins IS NOT NULL AND NOT j.deleted AND NOT j.archived AND j.exercise IS NULL"
          + " ORDER BY j.bench_place, j.id")
  List<Row> onBench();

  @Select(
      JOB
          + "WHERE j.begins IS NULL AND NOT j.deleted AND NOT j.archived AND j.exercise IS NULL"
          + " ORDER BY j.changed DESC")
  List<Row> undated();

  /** Takes a job's place after those that have one, unless it has one itself. */
  @Update(
      "UPDATE job SET begins = #{begins}, bench_place = COALESCE(bench_place,"
          + " (SELECT COALESCE(MAX(bench_place), 0) + 1 FROM job)) WHERE id = #{id}")
  void begins(String id, LocalDateTime begins);

  @Update("UPDATE job SET begins = NULL, bench_place = NULL WHERE id = #{id}")
  void notBegun(String id);

  @Update("UPDATE job SET bench_place = #{place} WHERE id = #{id}")
  void place(String id, int place);

  @Select(JOB + "WHERE s.job_id IS NULL")
  List<Row> withoutStep();

  @Insert(
      "INSERT INTO job (id, name, version, step_now, demo, archived, deleted, changed)"
          + " VALUES (#{id}, #{name}, 1, 0, #{demo}, FALSE, FALSE, #{changed})")
  void add(String id, String name, boolean demo, OffsetDateTime changed);

  @Update("UPDATE job SET exercise = #{exercise} WHERE id = #{id}")
  void practise(String id, String exercise);

  /** An exercise that is begun again: what was done before is found no more. */
  @Update("UPDATE job SET deleted = TRUE WHERE exercise = #{exercise}")
  void forget(String exercise);

  /** The guard of every change of history: nothing when the job is at another version. */
  @Update(
      "UPDATE job SET version = version + 1, step_now = #{stepNow}, changed = #{changed}, note = NULL"
          + " WHERE id = #{id} AND version = #{version}")
  int advance(String id, int version, int stepNow, OffsetDateTime changed);

  @Update("UPDATE job SET name = #{name}, version = version + 1 WHERE id = #{id}")
  int rename(String id, String name);

  @Update("UPDATE job SET archived = #{archived}, version = version + 1 WHERE id = #{id}")
  int archive(String id, boolean archived);

  @Update("UPDATE job SET deleted = #{deleted}, version = version + 1 WHERE id = #{id}")
  int delete(String id, boolean deleted);

  @Update("UPDATE job SET deleted = TRUE, version = version + 1 WHERE demo")
  int deleteDemo();

  @Select(
      "SELECT job_id, step, label, nudged, choices, at FROM job_step"
          + " WHERE job_id = #{jobId} AND step = #{step}")
  Step step(String jobId, int step);

  /** Up to where a job stands, the first first. */
  @Select(
      "SELECT s.job_id, s.step, s.label, s.nudged, s.choices, s.at FROM job_step s"
          + " JOIN job j ON j.id = s.job_id WHERE s.job_id = #{jobId} AND s.step <= j.step_now"
          + " ORDER BY s.step")
  List<Step> steps(String jobId);

  @Insert(
      "MERGE INTO job_step (job_id, step, label, nudged, choices, at) KEY (job_id, step)"
          + " VALUES (#{jobId}, #{step}, #{label}, #{nudged}, #{choices}, #{at})")
  void putStep(Step step);

  /**
   * The step nearest before one that is missing, or the first after it; null when there is none.
   */
  @Select(
      "SELECT step FROM job_step WHERE job_id = #{jobId}"
          + " ORDER BY step > #{step}, ABS(step - #{step}) LIMIT 1")
  Integer nearest(String jobId, int step);

  @Update("UPDATE job SET step_now = #{stepNow}, note = #{note} WHERE id = #{id}")
  void heal(String id, int stepNow, String note);

  /**
   * @param seen what the stage was built on when it was last looked at
   */
  record Look(String jobId, String stage, String seen) {}

  @Select("SELECT job_id, stage, seen FROM job_looked WHERE job_id = #{jobId}")
  List<Look> looks(String jobId);

  @Select("SELECT job_id, stage, seen FROM job_looked")
  List<Look> allLooks();

  @Insert(
      "MERGE INTO job_looked (job_id, stage, seen) KEY (job_id, stage)"
          + " VALUES (#{jobId}, #{stage}, #{seen})")
  void look(String jobId, String stage, String seen);

  @Insert(
      "INSERT INTO job_looked (job_id, stage, seen)"
          + " SELECT #{to}, stage, seen FROM job_looked WHERE job_id = #{from}")
  void copyLooks(String from, String to);

  @Delete("DELETE FROM job_step WHERE job_id = #{jobId} AND step > #{after}")
  void dropStepsAfter(String jobId, int after);

  @Delete("DELETE FROM job_step WHERE job_id = #{jobId} AND step < #{before}")
  void dropStepsBefore(String jobId, int before);

  /**
   * @param fingerprint of what the picture shows
   */
  record Picture(String jobId, String fingerprint, byte[] png) {}

  /** Whether a mould of it was made at the bench. */
  @Select("SELECT EXISTS (SELECT 1 FROM run WHERE job_id = #{jobId} AND ended IS NOT NULL)")
  boolean made(String jobId);

  @Select("SELECT job_id, fingerprint, png FROM picture WHERE job_id = #{jobId}")
  Picture picture(String jobId);

  @Insert(
      "MERGE INTO picture (job_id, fingerprint, png) KEY (job_id)"
          + " VALUES (#{jobId}, #{fingerprint}, #{png})")
  void putPicture(Picture picture);
}
