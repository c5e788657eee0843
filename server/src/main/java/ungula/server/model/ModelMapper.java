package ungula.server.model;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ModelMapper {

  /**
   * @param id SHA-256 of the file
   * @param name it was dropped under
   * @param unitMm millimetres per file unit; null when the format does not say
   * @param report JSON of the mesh report, in file units
   */
  record Row(String id, String name, long bytes, String format, Double unitMm, String report) {}

  @Select("SELECT id, name, bytes, format, unit_mm, report FROM model WHERE id = #{id}")
  Row find(String id);

  @Insert(
      "MERGE INTO model (id, name, bytes, format, unit_mm, report) KEY (id)"
          + " VALUES (#{id}, #{name}, #{bytes}, #{format}, #{unitMm}, #{report})")
  void put(Row row);
}
