package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** When casts are done follows what the job and the workshop say. */
public class CastTest extends OnServer {

  private JsonNode casts(String id) throws Exception {
    return server.get("/api/jobs/" + id + "/casts").body();
  }

  @Test
  public void castsArePlannedOnceTheirNumberIsKnown() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(50, 40, 30)));
    server.write(id, "rubber.product", "marram-20");
    assertEquals(casts(id).get("missing").asString(), "Say how many casts are wanted.");
    assertEquals(casts(id).get("rows").size(), 0);
    server.write(id, "cast.wanted", "12");
    server.write(id, "cast.product", "oyster-75");
    JsonNode one = casts(id);
    assertEquals(one.get("missing").asString(), "");
    assertEquals(one.get("points").size(), 12);
    assertEquals(one.get("rows").size(), 8);
    assertTrue(one.get("rows").get(0).get("chosen").asBoolean());
    assertEquals(one.get("rows").get(0).get("heldUp").asString(), "moulds");
    long late = one.get("points").get(11).get("lateMs").asLong();
    server.write(id, "rubber.moulds", "4");
    JsonNode four = casts(id);
    assertTrue(four.get("rows").get(3).get("chosen").asBoolean());
    assertTrue(four.get("points").get(11).get("lateMs").asLong() < late, "sooner with more");
    server.write(id, "cast.series.scrapPct", "40 %");
    long scrap = casts(id).get("points").get(11).get("lateMs").asLong();
    assertTrue(scrap > four.get("points").get(11).get("lateMs").asLong(), "later with scrap");
    server.write(id, "cast.amount.filler.dosePct", "30 %");
    assertTrue(casts(id).get("amount").asString().contains("a density is missing"));
    assertEquals(casts(id).get("hold").asString(), "", "one part presses nothing open");
    server.write(id, "mould.kind", "TWO_PART");
    server.write(id, "cast.amount.filler.dosePct", "");
    assertTrue(server.job(id).get("figures").has("cast.opens"));
  }
}
