package ungula.server.diagnose;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import ungula.core.diagnose.Cause;
import ungula.core.diagnose.Seen;

@Mapper
interface CaseMapper {

  /**
   * @param castNumber it was seen on; 0 for none
   * @param answers JSON of what was answered
   * @param wasIt whether it was that; null while nobody said
   */
  record Row(
      String id,
      String jobId,
      OffsetDateTime at,
      String who,
      Seen seen,
      int castNumber,
      String answers,
      Cause cause,
      Boolean wasIt) {}

  String ROW =
      "SELECT c.id, c.job_id, c.at, c.who, c.seen, c.cast_number, c.answers, c.cause,"
          + " (SELECT o.was_it FROM case_outcome o WHERE o.case_id = c.id ORDER BY o.id DESC"
          + " FETCH FIRST ROW ONLY) AS was_it FROM fault_case c ";

  /** The newest first. */
  @Select(ROW + "WHERE c.job_id = #{jobId} ORDER BY c.at DESC, c.id")
  List<Row> of(String jobId);

  @Select(ROW + "WHERE c.id = #{id}")
  Row find(String id);

  /** Those of which somebody said whether it was that. */
  @Select(
      "SELECT cause, was_it, COUNT(*) AS many FROM ("
          + ROW
          + "WHERE c.seen = #{seen}) k"
          + " WHERE was_it IS NOT NULL GROUP BY cause, was_it")
  List<Past> past(Seen seen);

  record Past(Cause cause, boolean wasIt, int many) {}

  @Insert(
      "INSERT INTO fault_case (id, job_id, at, who, seen, cast_number, answers, cause)"
          + " VALUES (#{id}, #{jobId}, #{at}, #{who}, #{seen}, #{castNumber}, #{answers}, #{cause})")
  void add(Row row);

  @Insert(
      "INSERT INTO case_outcome (case_id, at, who, was_it) VALUES (#{id}, #{at}, #{who}, #{wasIt})")
  void cameOut(String id, OffsetDateTime at, String who, boolean wasIt);
}
