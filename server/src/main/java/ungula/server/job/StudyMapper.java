package ungula.server.job;

import java.time.OffsetDateTime;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface StudyMapper {

  @Select("SELECT found FROM study WHERE id = #{id}")
  String found(String id);

  /**
   * @param locked share of each facet, a byte each
   */
  record Locked(byte[] locked) {}

  @Select("SELECT locked FROM study WHERE id = #{id}")
  Locked locked(String id);

  @Insert(
      "MERGE INTO study (id, found, locked, made) KEY (id)"
          + " VALUES (#{id}, #{found}, #{locked}, #{made})")
  void put(String id, String found, byte[] locked, OffsetDateTime made);

  /** Drops all but the newest. */
  @Delete(
      "DELETE FROM study WHERE id NOT IN (SELECT id FROM study ORDER BY made DESC LIMIT #{keep})")
  void dropOld(int keep);
}
