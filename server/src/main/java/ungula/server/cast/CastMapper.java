package ungula.server.cast;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import ungula.core.cast.Made;

@Mapper
interface CastMapper {

  /** As {@link Made.Cast}, with the deed it came of. */
  record Row(
      String jobId,
      int number,
      String act,
      OffsetDateTime at,
      String who,
      int mould,
      Made.Result result,
      Double grams,
      String why,
      int strikes) {}

  /** In the order they were recorded. */
  @Select(
      "SELECT job_id, number, act, at, who, mould, result, grams, why, strikes FROM cast_made"
          + " WHERE job_id = #{jobId} ORDER BY number")
  List<Row> of(String jobId);

  @Insert(
      "INSERT INTO cast_made (job_id, number, act, at, who, mould, result, grams, why, strikes)"
          + " VALUES (#{jobId}, #{number}, #{act}, #{at}, #{who}, #{mould}, #{result}, #{grams},"
          + " #{why}, #{strikes})")
  void add(Row row);
}
