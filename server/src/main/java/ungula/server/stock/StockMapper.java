package ungula.server.stock;

import java.time.OffsetDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface StockMapper {

  /**
   * @param gone used up or thrown away
   * @param lot JSON of the core's lot
   */
  record LotRow(String id, int version, String productId, boolean gone, String lot) {}

  @Select("SELECT id, version, product_id, gone, lot FROM lot WHERE NOT gone ORDER BY id")
  List<LotRow> lots();

  @Select(
      "SELECT id, version, product_id, gone, lot FROM lot"
          + " WHERE product_id = #{productId} AND NOT gone ORDER BY id")
  List<LotRow> lotsOf(String productId);

  @Select("SELECT id, version, product_id, gone, lot FROM lot WHERE id = #{id}")
  LotRow lot(String id);

  @Insert(
      "INSERT INTO lot (id, version, product_id, gone, lot)"
          + " VALUES (#{id}, #{version}, #{productId}, #{gone}, #{lot})")
  void addLot(LotRow row);

  @Update(
      "UPDATE lot SET version = version + 1, lot = #{lot}"
          + " WHERE id = #{id} AND version = #{version}")
  int saveLot(String id, int version, String lot);

  @Update("UPDATE lot SET version = version + 1, gone = #{gone} WHERE id = #{id}")
  int gone(String id, boolean gone);

  /** The same, and nobody else takes from them until the end of the transaction. */
  @Select(
      "SELECT id, version, product_id, gone, lot FROM lot"
          + " WHERE product_id = #{productId} AND NOT gone ORDER BY id FOR UPDATE")
  List<LotRow> holdLotsOf(String productId);

  /**
   * @param pour it belongs to; 0 when it was recorded while batches were counted over all pours
   * @param batch of the pour
   * @param again 0; of one that two windows recorded at once, how many came before it
   * @param planned JSON of what was planned for it; null when that was not kept yet
   * @param taken JSON of what it took from which lot
   * @param runId it was mixed in; empty when it was recorded by hand
   */
  record MixedRow(
      String id,
      String jobId,
      String productId,
      int pour,
      int batch,
      int again,
      String planned,
      double baseG,
      double hardenerG,
      String taken,
      OffsetDateTime at,
      String runId) {}

  String MIXED =
      "SELECT id, job_id, product_id, pour, batch, again, planned, base_g, hardener_g, taken, at,"
          + " run_id FROM mixed ";

  @Select(MIXED + "WHERE job_id = #{jobId} ORDER BY at, id")
  List<MixedRow> mixedOf(String jobId);

  @Select(MIXED + "WHERE job_id = #{jobId} AND id = #{id}")
  MixedRow mixed(String jobId, String id);

  /** Records of batches that took from a lot, the earliest first. */
  @Select(MIXED + "WHERE taken LIKE CONCAT('%', #{lot}, '%') ORDER BY at, id")
  List<MixedRow> mixedFrom(String lot);

  @Update("UPDATE mixed SET taken = #{taken} WHERE id = #{id}")
  void saveTaken(String id, String taken);

  @Insert(
      "INSERT INTO mixed (id, job_id, product_id, pour, batch, again, planned, base_g, hardener_g,"
          + " taken, at, run_id) VALUES (#{id}, #{jobId}, #{productId}, #{pour}, #{batch},"
          + " #{again}, #{planned}, #{baseG}, #{hardenerG}, #{taken}, #{at}, #{runId})")
  void addMixed(MixedRow row);

  @Delete("DELETE FROM mixed WHERE id = #{id}")
  void dropMixed(String id);
}
