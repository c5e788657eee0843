package ungula.server.workshop;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface WorkshopMapper {

  /**
   * @param habits JSON of the core's workshop
   */
  record Row(int version, boolean demoOffered, String habits) {}

  @Select("SELECT version, demo_offered, habits FROM workshop WHERE id = 1")
  Row find();

  @Insert(
      "INSERT INTO workshop (id, version, demo_offered, habits) VALUES (1, 1, FALSE, #{habits})")
  void begin(String habits);

  @Update(
      "UPDATE workshop SET version = version + 1, habits = #{habits}"
          + " WHERE id = 1 AND version = #{version}")
  int save(int version, String habits);

  @Update("UPDATE workshop SET demo_offered = TRUE WHERE id = 1")
  void markDemoOffered();
}
