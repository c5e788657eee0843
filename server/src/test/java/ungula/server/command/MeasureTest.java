package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.master.Tessellation;
import ungula.core.mesh.io.StlWriter;

public class MeasureTest {

  private Path file;
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private final ByteArrayOutputStream err = new ByteArrayOutputStream();

  @BeforeClass
  public void write() throws Exception {
    file = Files.createTempFile("torus", ".stl");
    try (OutputStream to = Files.newOutputStream(file)) {
      StlWriter.write(Tessellation.torus(40, 12, 256, 128), to);
    }
  }

  @AfterClass
  public void remove() throws Exception {
    Files.delete(file);
  }

  private int run(String... args) {
    out.reset();
    err.reset();
    return Measure.run(
        List.of(args),
        new PrintStream(out, true, StandardCharsets.UTF_8),
        new PrintStream(err, true, StandardCharsets.UTF_8));
  }

  @Test
  public void reportsAsJsonAndAsText() {
    assertEquals(run(file.toString(), "--json"), 0);
    JsonNode r = JsonMapper.builder().build().readTree(out.toByteArray());
    assertEquals(r.get("volumeMm3").asDouble(), 113_697.8, 0.002 * 113_697.8);
    assertEquals(r.get("genus").asInt(), 1);
    assertEquals(r.get("bboxMm").size(), 3);
    assertTrue(r.get("closed").asBoolean() && !r.get("estimate").asBoolean());
    assertEquals(run(file.toString()), 0);
    assertTrue(out.toString(StandardCharsets.UTF_8).contains("volumeMm3"));
  }

  @Test
  public void badArgumentsAndFilesHaveTheirStatus() {
    assertEquals(run(), 2);
    assertEquals(run(file.toString(), "--yaml"), 2);
    assertEquals(run("/nowhere/model.stl"), 3);
    assertEquals(run("pom.xml"), 3);
    assertTrue(err.toString(StandardCharsets.UTF_8).contains("not a model"));
  }
}
