package ungula.server.learn;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import ungula.core.learn.Lesson;

@Mapper
interface LearnMapper {

  /** What somebody says to it. */
  enum Deed {
    TAKEN,
    REFUSED,
    FORGOTTEN
  }

  /**
   * @param offered then
   * @param before what the workshop went by
   * @param jobs it was learned from
   */
  record Row(
      Lesson lesson,
      OffsetDateTime at,
      String who,
      Deed deed,
      double offered,
      double before,
      int jobs) {}

  @Insert(
      "INSERT INTO learned (lesson, at, who, deed, offered, before, jobs)"
          + " VALUES (#{lesson}, #{at}, #{who}, #{deed}, #{offered}, #{before}, #{jobs})")
  void add(Row row);

  /** The newest first. */
  @Select(
      "SELECT lesson, at, who, deed, offered, before, jobs FROM learned WHERE lesson = #{lesson}"
          + " ORDER BY id DESC")
  List<Row> of(Lesson lesson);
}
