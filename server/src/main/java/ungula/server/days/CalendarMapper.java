package ungula.server.days;

import java.time.OffsetDateTime;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Codes of addresses a calendar is subscribed under. */
@Mapper
interface CalendarMapper {

  /** Null when there is none. */
  @Select("SELECT code FROM calendar_address ORDER BY made DESC LIMIT 1")
  String code();

  @Select("SELECT COUNT(*) FROM calendar_address WHERE code = #{code}")
  int count(String code);

  @Insert("INSERT INTO calendar_address (code, made) VALUES (#{code}, #{made})")
  void add(String code, OffsetDateTime made);

  @Delete("DELETE FROM calendar_address")
  void revoke();
}
