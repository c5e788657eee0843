package ungula.server.mould;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Arg;
import org.apache.ibatis.annotations.ConstructorArgs;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import ungula.core.library.Condition;
import ungula.core.library.Mould;
import ungula.core.rubber.Product.Chemistry;

@Mapper
interface MouldMapper {

  /**
   * A mould, with what is known of it by now.
   *
   * @param jobId null where it was made for none
   * @param job what that is called; null likewise
   * @param number among those of its job, from 1
   * @param runId it was made in; null where nobody followed it at the bench
   * @param chemistry of its rubber; null when not known
   * @param retired why it is not used any more; null while it is
   * @param pulls that were counted, whatever became of them
   * @param firstCast null while there is none
   */
  record Row(
      String id,
      String code,
      String jobId,
      String job,
      int number,
      String runId,
      Chemistry chemistry,
      String ofWhat,
      LocalDate made,
      String rubber,
      String lot,
      Integer expects,
      int gaveBefore,
      Double lasts,
      String place,
      Condition condition,
      String jacket,
      String note,
      String retired,
      int pulls,
      OffsetDateTime firstCast,
      OffsetDateTime lastCast) {

    Mould mould() {
      return new Mould(
          ofWhat, made, rubber, lot, expects, gaveBefore, lasts, place, condition, jacket, note);
    }

    /** What it is of, in words. */
    String called() {
      return ofWhat != null ? ofWhat : job == null ? "a mould without a name" : job;
    }
  }

  String ROW =
      "SELECT m.id, m.code, m.job_id, j.name AS job, m.number, m.run_id, m.chemistry, m.of_what,"
          + " m.made, m.rubber, m.lot, m.expects, m.gave_before, m.lasts, m.place, m.condition,"
          + " m.jacket, m.note, m.retired, m.pulls, m.first_cast, m.last_cast"
          + " FROM mould m LEFT JOIN job j ON j.id = m.job_id ";

  /** Those of made-up jobs are gone with them. */
  /** Each column by its place: thousands of rows are read at once, and finding out costs most. */
  @ConstructorArgs({
    @Arg(column = "id", javaType = String.class),
    @Arg(column = "code", javaType = String.class),
    @Arg(column = "job_id", javaType = String.class),
    @Arg(column = "job", javaType = String.class),
    @Arg(column = "number", javaType = int.class),
    @Arg(column = "run_id", javaType = String.class),
    @Arg(column = "chemistry", javaType = Chemistry.class),
    @Arg(column = "of_what", javaType = String.class),
    @Arg(column = "made", javaType = LocalDate.class),
    @Arg(column = "rubber", javaType = String.class),
    @Arg(column = "lot", javaType = String.class),
    @Arg(column = "expects", javaType = Integer.class),
    @Arg(column = "gave_before", javaType = int.class),
    @Arg(column = "lasts", javaType = Double.class),
    @Arg(column = "place", javaType = String.class),
    @Arg(column = "condition", javaType = Condition.class),
    @Arg(column = "jacket", javaType = String.class),
    @Arg(column = "note", javaType = String.class),
    @Arg(column = "retired", javaType = String.class),
    @Arg(column = "pulls", javaType = int.class),
    @Arg(column = "first_cast", javaType = OffsetDateTime.class),
    @Arg(column = "last_cast", javaType = OffsetDateTime.class)
  })
  @Select(ROW + "WHERE j.id IS NULL OR NOT (j.demo AND j.deleted) ORDER BY m.code")
  List<Row> all();

  @Select(ROW + "WHERE m.code = #{code}")
  Row find(String code);

  @Select(ROW + "WHERE m.job_id = #{jobId} ORDER BY m.number")
  List<Row> of(String jobId);

  /**
   * @param said where the master of a job is; empty where that was taken back
   */
  record Master(String jobId, String said) {}

  /** In the order they were said. */
  @Select("SELECT job_id, said FROM record WHERE word = 'master.where' ORDER BY id")
  List<Master> masters();

  @Select("SELECT COUNT(*) FROM mould WHERE run_id = #{runId}")
  int ofRun(String runId);

  /** Lets nobody else add a mould to a job until the end of the transaction. */
  @Select("SELECT id FROM job WHERE id = #{jobId} FOR UPDATE")
  String hold(String jobId);

  @Insert(
      "INSERT INTO mould (id, code, job_id, number, run_id, chemistry, made, rubber, lot, expects,"
          + " gave_before, condition, jacket, of_what, pulls) VALUES (#{id}, #{code}, #{jobId},"
          + " #{number}, #{runId}, #{chemistry}, #{made}, #{rubber}, #{lot}, #{expects},"
          + " #{gaveBefore}, #{condition}, #{jacket}, #{ofWhat}, 0)")
  void add(Row row);

  /** A mould that was known by its casts alone was made in a run: what was said of it stays. */
  @Update(
      "UPDATE mould SET run_id = #{runId}, chemistry = #{chemistry}, made = #{made},"
          + " rubber = #{rubber}, lot = COALESCE(lot, #{lot}),"
          + " expects = COALESCE(expects, #{expects}), jacket = COALESCE(jacket, #{jacket})"
          + " WHERE id = #{id}")
  void madeIn(Row row);

  @Update(
      "UPDATE mould SET of_what = #{mould.of}, made = #{mould.made}, rubber = #{mould.rubber},"
          + " lot = #{mould.lot}, expects = #{mould.expects}, gave_before = #{mould.gaveBefore},"
          + " lasts = #{mould.lasts}, place = #{mould.place}, condition = #{mould.condition},"
          + " jacket = #{mould.jacket}, note = #{mould.note} WHERE id = #{id}")
  void say(String id, Mould mould);

  @Update("UPDATE mould SET retired = #{why} WHERE id = #{id}")
  void retire(String id, String why);

  /** Counts again what a mould gave: each cast that was not struck. */
  @Update(
      "UPDATE mould SET (pulls, first_cast, last_cast) = (SELECT COUNT(*), MIN(c.at), MAX(c.at)"
          + " FROM cast_made c WHERE c.job_id = #{jobId} AND c.mould = #{number}"
          + " AND c.result <> 'STRUCK' AND c.number NOT IN (SELECT s.strikes FROM cast_made s"
          + " WHERE s.job_id = #{jobId} AND s.strikes > 0))"
          + " WHERE job_id = #{jobId} AND number = #{number}")
  void count(String jobId, int number);

  /**
   * @param word of the mould, or "retired"
   */
  record Said(String mouldId, OffsetDateTime at, String who, String word, String said) {}

  @Insert(
      "INSERT INTO mould_record (mould_id, at, who, word, said)"
          + " VALUES (#{mouldId}, #{at}, #{who}, #{word}, #{said})")
  void record(Said said);

  /** The oldest first. */
  @Select(
      "SELECT mould_id, at, who, word, said FROM mould_record WHERE mould_id = #{mouldId}"
          + " ORDER BY id")
  List<Said> records(String mouldId);

  /** Casts of moulds that none is known of yet. */
  @Select(
      "SELECT DISTINCT c.job_id, c.mould AS number FROM cast_made c WHERE NOT EXISTS"
          + " (SELECT 1 FROM mould m WHERE m.job_id = c.job_id AND m.number = c.mould)"
          + " AND c.result <> 'STRUCK' ORDER BY c.job_id, c.mould")
  List<Unknown> castFrom();

  record Unknown(String jobId, int number) {}
}
