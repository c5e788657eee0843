package ungula.server.approach;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface VariantMapper {

  /**
   * @param number in the order they were kept
   * @param choices JSON of the core's choices
   */
  record Row(String id, String jobId, int number, String name, String choices) {}

  @Select(
      "SELECT id, job_id, number, name, choices FROM variant WHERE job_id = #{jobId}"
          + " ORDER BY number, name, id")
  List<Row> of(String jobId);

  @Select(
      "SELECT id, job_id, number, name, choices FROM variant"
          + " WHERE id = #{id} AND job_id = #{jobId}")
  Row find(String jobId, String id);

  @Insert(
      "INSERT INTO variant (id, job_id, number, name, choices)"
          + " VALUES (#{id}, #{jobId}, #{number}, #{name}, #{choices})")
  void add(Row row);

  @Delete("DELETE FROM variant WHERE id = #{id} AND job_id = #{jobId}")
  void drop(String jobId, String id);
}
