package ungula.server.device;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeviceMapper {

  /**
   * @param kind name of the core's kind
   */
  record Row(String id, String kind, String name, String host, int port) {}

  @Select("SELECT id, kind, name, host, port FROM device ORDER BY name, id")
  List<Row> all();

  @Insert(
      "INSERT INTO device (id, kind, name, host, port)"
          + " VALUES (#{id}, #{kind}, #{name}, #{host}, #{port})")
  void add(Row row);

  @Update("UPDATE device SET name = #{name}, host = #{host}, port = #{port} WHERE id = #{id}")
  int save(Row row);

  @Delete("DELETE FROM device WHERE id = #{id}")
  int remove(String id);

  /** The scale that is read; null before one was. */
  @Select("SELECT device FROM picked_scale")
  String picked();

  @Update("MERGE INTO picked_scale (one, device) KEY (one) VALUES (1, #{device})")
  void pick(String device);
}
