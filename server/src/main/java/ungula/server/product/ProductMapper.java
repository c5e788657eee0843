package ungula.server.product;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ProductMapper {

  /**
   * @param sheet JSON of the core's product
   */
  record Row(String id, int version, boolean shipped, boolean retired, String sheet) {}

  @Select("SELECT id, version, shipped, retired, sheet FROM product ORDER BY shipped, id")
  List<Row> all();

  @Select("SELECT id, version, shipped, retired, sheet FROM product WHERE id = #{id}")
  Row find(String id);

  @Insert(
      "INSERT INTO product (id, version, shipped, retired, sheet)"
          + " VALUES (#{id}, #{version}, #{shipped}, #{retired}, #{sheet})")
  void add(Row row);

  @Update(
      "UPDATE product SET version = version + 1, sheet = #{sheet}"
          + " WHERE id = #{id} AND version = #{version} AND NOT shipped")
  int save(String id, int version, String sheet);

  @Update("UPDATE product SET version = version + 1, sheet = #{sheet} WHERE id = #{id} AND shipped")
  void reship(String id, String sheet);

  @Update("UPDATE product SET version = version + 1, retired = #{retired} WHERE id = #{id}")
  int retire(String id, boolean retired);
}
