package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.core.master.Tessellation;

/** The core of a hollow cast, found out in the background and kept. */
public class CoreTest extends OnServer {

  private String boxJob() throws Exception {
    String id = server.addJob();
    server.upload(id, "box.stl", Running.stl(Tessellation.box(40, 60, 80)));
    return id;
  }

  private static boolean has(JsonNode job, String figure) {
    return job.get("figures").has(figure);
  }

  @Test
  public void itIsAskedForWithTheStudyAndOutlivesARestart() throws Exception {
    String id = boxJob();
    server.write(id, "hollow.wallMm", "3 mm");
    JsonNode before = server.job(id);
    assertFalse(has(before, "core.volume") || has(before, "cast.volume"), "known already");
    assertEquals(server.post("/api/jobs/" + id + "/pieces", "").status(), 409);
    server.studied(id);
    JsonNode after = server.job(id);
    double core = 34 * 54 * 77;
    assertEquals(Running.value(after, "core.volume"), core, 0.01 * core);
    assertEquals(
        Running.value(after, "cast.volume"), 192_000 - Running.value(after, "core.volume"), 1e-6);
    String front = server.get("/api/jobs/" + id + "/section?cut=FRONT").body().toString();
    assertTrue(front.contains("CORE"), front);
    assertEquals(after.get("solids").toString(), "[\"CORE\"]");
    assertTrue(has(after, "cast.last"), "how it runs in round its core is known");
    assertTrue(has(after, "air.cast"), "and what air stays then");
    assertTrue(triangles(id, "CORE") >= 12);
    assertEquals(server.get("/api/jobs/" + id + "/solids/CUT/mesh").status(), 404);

    server.restart();
    JsonNode again = server.job(id);
    assertEquals(Running.value(again, "core.volume"), Running.value(after, "core.volume"), 1e-9);
    assertEquals(Running.value(again, "core.stretch"), Running.value(after, "core.stretch"), 1e-9);

    // another wall is another question; back again it is known
    server.write(id, "hollow.wallMm", "5 mm");
    JsonNode thicker = server.job(id);
    assertFalse(has(thicker, "core.volume") || has(thicker, "air.cast"), "of another core");
    server.write(id, "hollow.wallMm", "3 mm");
    assertTrue(has(server.job(id), "core.volume"));
    server.write(id, "hollow.wallMm", "");
    assertEquals(Running.value(server.job(id), "cast.volume"), 192_000, 1);
  }

  /** Of a part of the mould as the page draws it. */
  private int triangles(String id, String part) throws Exception {
    byte[] mesh = server.get("/api/jobs/" + id + "/solids/" + part + "/mesh").raw();
    return ByteBuffer.wrap(mesh).order(ByteOrder.LITTLE_ENDIAN).getInt(4);
  }

  @Test
  public void whatPartsTheMouldIsDrawnToo() throws Exception {
    String id = boxJob();
    server.write(id, "mould.kind", "CUT");
    assertEquals(server.job(id).get("solids").toString(), "[\"CUT\"]");
    assertTrue(triangles(id, "CUT") >= 2);
    server.write(id, "mould.kind", "TWO_PART");
    assertEquals(server.job(id).get("solids").toString(), "[\"PARTING\"]");
    assertTrue(triangles(id, "PARTING") > 10_000);
    server.write(id, "mould.kind", "OPEN");
    assertEquals(server.job(id).get("solids").size(), 0);
  }

  @Test
  public void itLeavesWithThePiecesOfTheMould() throws Exception {
    String id = boxJob();
    server.write(id, "hollow.wallMm", "4 mm");
    server.studied(id);
    JsonNode task = server.done(server.post("/api/jobs/" + id + "/pieces", "").body());
    assertEquals(task.get("state").asString(), "DONE", task.toString());
    List<String> names = new ArrayList<>();
    byte[] zip = server.get("/api/jobs/" + id + "/pieces.zip").raw();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        names.add(e.getName());
      }
    }
    assertEquals(names, List.of("mould.stl", "core.stl"));
  }

  @Test
  public void nothingLeftIsAnAnswerThatIsKept() throws Exception {
    String id = boxJob();
    server.write(id, "hollow.wallMm", "25 mm");
    server.studied(id);
    JsonNode job = server.job(id);
    assertTrue(
        job.get("cautions").toString().contains("core.none"), job.get("cautions").toString());
    assertEquals(Running.value(job, "cast.volume"), 192_000, 1);
    assertTrue(has(job, "cast.last"), "it runs in as a solid one does");
  }
}
