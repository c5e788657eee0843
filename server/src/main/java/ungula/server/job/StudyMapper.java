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
   * @param facets values by facet, a byte each
   */
  record Facets(byte[] facets) {}

  @Select("SELECT facets FROM study WHERE id = #{id}")
  Facets facets(String id);

  @Insert(
      "MERGE INTO study (id, found, facets, made) KEY (id)"
          + " VALUES (#{id}, #{found}, #{facets}, #{made})")
  void put(String id, String found, byte[] facets, OffsetDateTime made);

  /** Drops all but the newest. */
  @Delete(
      "DELETE FROM study WHERE id NOT IN (SELECT id FROM study ORDER BY made DESC LIMIT #{keep})")
  void dropOld(int keep);
}
