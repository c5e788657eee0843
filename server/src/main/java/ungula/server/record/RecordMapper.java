package ungula.server.record;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface RecordMapper {

  /**
   * @param about what it holds for
   * @param said what was recorded; empty when that is taken back
   */
  record Row(String word, String about, String said) {}

  /** The same with when it was made. */
  record At(String word, String said, OffsetDateTime at) {}

  @Select("SELECT word, said, at FROM record WHERE job_id = #{jobId} ORDER BY id")
  List<At> allOf(String jobId);

  /** Jobs in which something was recorded. */
  @Select("SELECT DISTINCT job_id FROM record WHERE word = #{word}")
  List<String> jobsWith(String word);

  /** Of a job, in the order they were made. */
  @Select("SELECT word, about, said FROM record WHERE job_id = #{jobId} ORDER BY id")
  List<Row> of(String jobId);

  @Insert(
      "INSERT INTO record (job_id, word, about, said, at)"
          + " VALUES (#{jobId}, #{word}, #{about}, #{said}, #{at})")
  void add(String jobId, String word, String about, String said, OffsetDateTime at);

  @Insert(
      "INSERT INTO record (job_id, word, about, said, at)"
          + " SELECT #{to}, word, about, said, at FROM record"
          + " WHERE job_id = #{from} AND word = #{word} ORDER BY id")
  void copy(String from, String to, String word);
}
