package ungula.server.learn;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

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
      String lesson,
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
  List<Row> of(String lesson);

  /** A known weight on the scale. */
  record Check(OffsetDateTime at, String who, double weightG, double shownG) {}

  @Insert(
      "INSERT INTO scale_check (at, who, weight_g, shown_g)"
          + " VALUES (#{at}, #{who}, #{weightG}, #{shownG})")
  void check(Check check);

  /** The last so many, the oldest of them first. */
  @Select(
      "SELECT at, who, weight_g, shown_g FROM"
          + " (SELECT * FROM scale_check ORDER BY id DESC LIMIT #{most}) ORDER BY id")
  List<Check> checks(int most);
}
