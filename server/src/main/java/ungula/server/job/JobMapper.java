package ungula.server.job;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface JobMapper {

  String COLUMNS = "id, name, version, step_now, demo, archived, deleted, changed";

  /**
   * @param stepNow which step of the job's history holds its present choices
   */
  record Row(
      String id,
      String name,
      int version,
      int stepNow,
      boolean demo,
      boolean archived,
      boolean deleted,
      OffsetDateTime changed) {}

  /**
   * @param label what was done to get here
   * @param nudged the word that was nudged; null when something else was done
   * @param choices JSON of the core's choices
   */
  record Step(String jobId, int step, String label, String nudged, String choices) {}

  @Select("SELECT " + COLUMNS + " FROM job WHERE NOT deleted ORDER BY changed DESC")
  List<Row> all();

  @Select("SELECT " + COLUMNS + " FROM job WHERE id = #{id}")
  Row find(String id);

  @Insert(
      "INSERT INTO job ("
          + COLUMNS
          + ") VALUES (#{id}, #{name}, #{version}, #{stepNow}, #{demo}, #{archived}, #{deleted},"
          + " #{changed})")
  void add(Row row);

  @Update(
      "UPDATE job SET version = version + 1, step_now = #{stepNow}, changed = #{changed}"
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
      "SELECT job_id, step, label, nudged, choices FROM job_step"
          + " WHERE job_id = #{jobId} AND step = #{step}")
  Step step(String jobId, int step);

  /** What a step did; null when there is no such step. */
  @Select("SELECT label FROM job_step WHERE job_id = #{jobId} AND step = #{step}")
  String stepLabel(String jobId, int step);

  @Insert(
      "MERGE INTO job_step (job_id, step, label, nudged, choices) KEY (job_id, step)"
          + " VALUES (#{jobId}, #{step}, #{label}, #{nudged}, #{choices})")
  void putStep(Step step);

  @Delete("DELETE FROM job_step WHERE job_id = #{jobId} AND step > #{after}")
  void dropStepsAfter(String jobId, int after);

  @Delete("DELETE FROM job_step WHERE job_id = #{jobId} AND step < #{before}")
  void dropStepsBefore(String jobId, int before);

  /**
   * @param fingerprint of what the picture shows
   */
  record Picture(String jobId, String fingerprint, byte[] png) {}

  @Select("SELECT job_id, fingerprint, png FROM picture WHERE job_id = #{jobId}")
  Picture picture(String jobId);

  @Insert(
      "MERGE INTO picture (job_id, fingerprint, png) KEY (job_id)"
          + " VALUES (#{jobId}, #{fingerprint}, #{png})")
  void putPicture(Picture picture);
}
