package ungula.server.job;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SummaryMapper {

  /**
   * @param basis what it rests on
   * @param summary JSON of it
   */
  record Row(String jobId, String basis, String summary) {}

  /**
   * @param basis what they rest on
   * @param days JSON of them
   */
  record DaysRow(String jobId, String basis, String days) {}

  @Select("SELECT job_id, basis, summary FROM job_summary")
  List<Row> all();

  @Insert(
      "MERGE INTO job_summary (job_id, basis, summary) KEY (job_id)"
          + " VALUES (#{jobId}, #{basis}, #{summary})")
  void keep(String jobId, String basis, String summary);

  @Select("SELECT job_id, basis, days FROM job_days")
  List<DaysRow> days();

  @Insert(
      "MERGE INTO job_days (job_id, basis, days) KEY (job_id) VALUES (#{jobId}, #{basis}, #{days})")
  void keepDays(DaysRow row);

  /** Changes with the workshop and with any product. */
  @Select(
      "SELECT (SELECT MAX(version) FROM workshop) || ' ' || COUNT(*) || ' ' || SUM(version)"
          + " FROM product")
  String common();

  /** Changes with every study. */
  @Select("SELECT COUNT(*) || ' ' || MAX(made) FROM study")
  String studies();

  /** The newest record of a job. */
  record Newest(String jobId, long id) {}

  @Select("SELECT job_id, MAX(id) AS id FROM record GROUP BY job_id")
  List<Newest> records();

  /** The newest record of one job; 0 when it has none. */
  @Select("SELECT COALESCE(MAX(id), 0) FROM record WHERE job_id = #{jobId}")
  long record(String jobId);
}
