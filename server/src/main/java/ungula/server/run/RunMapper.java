package ungula.server.run;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RunMapper {

  /**
   * @param plan JSON of the core's frozen plan
   * @param ended null while it runs
   * @param moulds that are cast from; empty where one is made
   */
  record Row(
      String id,
      String jobId,
      String plan,
      OffsetDateTime begun,
      OffsetDateTime ended,
      String moulds) {}

  record Drawing(String drawing) {}

  /**
   * @param ended null while it runs
   * @param moulds that are cast from; empty where one is made
   */
  record Listed(
      String id,
      String jobId,
      String job,
      OffsetDateTime begun,
      OffsetDateTime ended,
      String moulds) {}

  /**
   * @param number from 1
   * @param act of which it came; null when a device said it
   * @param entry JSON of the core's entry
   */
  record EntryRow(String runId, int number, String act, String who, String entry) {}

  @Insert(
      "INSERT INTO run (id, job_id, plan, drawing, begun, moulds)"
          + " VALUES (#{row.id}, #{row.jobId}, #{row.plan}, #{drawing}, #{row.begun},"
          + " #{row.moulds})")
  void add(Row row, String drawing);

  /**
   * A plan that was taken over.
   *
   * @param number of the entry from which a run goes by it
   * @param plan JSON of the core's frozen plan
   */
  record PlanRow(String runId, int number, String plan, String drawing) {}

  /** As it was begun. */
  @Select("SELECT drawing FROM run WHERE id = #{id}")
  Drawing drawing(String id);

  @Insert(
      "INSERT INTO run_plan (run_id, number, plan, drawing)"
          + " VALUES (#{runId}, #{number}, #{plan}, #{drawing})")
  void takeOver(PlanRow row);

  /** What was taken over last; null where nothing was. */
  @Select(
      "SELECT run_id, number, plan, drawing FROM run_plan WHERE run_id = #{runId}"
          + " ORDER BY number DESC FETCH FIRST ROW ONLY")
  PlanRow takenOver(String runId);

  @Select("SELECT id, job_id, plan, begun, ended, moulds FROM run WHERE id = #{id}")
  Row find(String id);

  /** Runs that make a mould which is not known to be made. */
  @Select(
      "SELECT r.id, r.job_id, r.plan, r.begun, r.ended, r.moulds FROM run r"
          + " JOIN job j ON j.id = r.job_id WHERE r.moulds = '' AND j.exercise IS NULL"
          + " AND NOT EXISTS (SELECT 1 FROM mould m WHERE m.run_id = r.id) ORDER BY r.begun, r.id")
  List<Row> withoutMould();

  String LISTED =
      "SELECT r.id, r.job_id, j.name AS job, r.begun, r.ended, r.moulds"
          + " FROM run r JOIN job j ON j.id = r.job_id WHERE NOT j.deleted ";

  /** The newest first. */
  @Select(LISTED + "AND r.job_id = #{jobId} ORDER BY r.begun DESC, r.id")
  List<Listed> of(String jobId);

  /** Those that are not ended, the newest first. */
  @Select(LISTED + "AND r.ended IS NULL ORDER BY r.begun DESC, r.id")
  List<Listed> going();

  @Update("UPDATE run SET ended = #{ended} WHERE id = #{id}")
  void end(String id, OffsetDateTime ended);

  @Select(
      "SELECT run_id, number, act, who, entry FROM run_entry WHERE run_id = #{runId}"
          + " ORDER BY number")
  List<EntryRow> entries(String runId);

  @Insert(
      "INSERT INTO run_entry (run_id, number, act, who, entry)"
          + " VALUES (#{runId}, #{number}, #{act}, #{who}, #{entry})")
  void append(EntryRow row);

  @Insert("INSERT INTO run_picture (id, run_id, jpeg) VALUES (#{id}, #{runId}, #{jpeg})")
  void addPicture(String id, String runId, byte[] jpeg);

  @Select("SELECT jpeg FROM run_picture WHERE run_id = #{runId} AND id = #{id}")
  Picture picture(String runId, String id);

  record Picture(byte[] jpeg) {}
}
