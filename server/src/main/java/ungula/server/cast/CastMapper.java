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

  /**
   * @param model the place is on
   * @param place on its surface; empty where it was taken back
   */
  record Place(
      String jobId, int number, OffsetDateTime at, String who, String model, String place) {}

  @Insert(
      "INSERT INTO cast_place (job_id, number, at, who, model, place)"
          + " VALUES (#{jobId}, #{number}, #{at}, #{who}, #{model}, #{place})")
  void place(Place place);

  @Select(
      "SELECT job_id, number, at, who, model, place FROM cast_place WHERE job_id = #{jobId}"
          + " ORDER BY id")
  List<Place> places(String jobId);

  /** Jobs casts of were weighed, the newest first. */
  @Select(
      "SELECT job_id FROM cast_made WHERE grams IS NOT NULL GROUP BY job_id"
          + " ORDER BY MAX(at) DESC LIMIT 200")
  List<String> weighed();

  /** Lets nobody else record a cast of a job until the end of the transaction. */
  @Select("SELECT id FROM job WHERE id = #{jobId} FOR UPDATE")
  String hold(String jobId);

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
