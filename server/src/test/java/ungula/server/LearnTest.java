package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.charset.StandardCharsets;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** What jobs teach a workshop, over HTTP. */
public class LearnTest extends OnBench {

  private int made;

  /** A mould that is poured; its level is read some millimetres under what was to be. */
  private String made() throws Exception {
    String id = server.addJob();
    server.upload(id, "block.stl", Running.stl(Tessellation.box(80, 55, 42)));
    server.write(id, "rubber.product", "marram-20");
    String run = begun(id);
    JsonNode level = until(run, kind("LEVEL"));
    String expected = level.get("batches").get(0).get("expected").asString();
    double mm = Double.parseDouble(expected.replaceAll("[^0-9.]", ""));
    act(run, "LEVEL", "value", mm - 3 - 0.1 * made++ + " mm");
    return id;
  }

  private JsonNode lesson() throws Exception {
    return server.get("/api/learned").body().get(0);
  }

  private String answer(String deed) throws Exception {
    return server
        .post("/api/learned/ALLOWANCE", "{\"who\": \"AK\", \"deed\": \"" + deed + "\"}")
        .body()
        .get(0)
        .get("standing")
        .asString();
  }

  private String allowance() throws Exception {
    return server.get("/api/workshop").body().at("/words/allowancePct/text").asString();
  }

  /** Jobs teach what a mould really takes: offered, never gone by unasked, and forgotten again. */
  @Test
  public void whatJobsTeachIsOffered() throws Exception {
    made();
    assertEquals(lesson().get("jobs").size(), 1, lesson().toString());
    assertEquals(lesson().get("standing").asString(), "TOO_FEW");
    assertEquals(
        server.post("/api/learned/ALLOWANCE", "{\"deed\": \"TAKEN\"}").status(), 409, "too few");
    made();
    String job = made();
    JsonNode offered = lesson();
    assertEquals(offered.get("jobs").size(), 3);
    assertEquals(offered.get("standing").asString(), "OFFERED");
    String before = allowance();
    assertEquals(offered.get("now").asString(), "5.0 %");
    assertEquals(answer("REFUSED"), "REFUSED");
    assertEquals(allowance(), before, "nothing changes unasked");
    assertEquals(answer("TAKEN"), "TAKEN");
    assertEquals(allowance(), offered.get("offer").asString());
    String source = "/figures/rubber.allowance/working/givens/0/source";
    assertEquals(server.job(job).at(source).asString(), "LEARNED");
    String csv = new String(server.get("/api/learned/table.csv").raw(), StandardCharsets.UTF_8);
    assertTrue(csv.startsWith("what,job,value,out of line,"), csv);
    assertEquals(csv.lines().count(), 4);
    assertEquals(answer("FORGOTTEN"), "REFUSED", "it is not offered again from the same jobs");
    assertEquals(allowance(), before);
    assertEquals(server.job(job).at(source).asString(), "DEFAULT");
  }
}
