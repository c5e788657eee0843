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

  private JsonNode json(String... args) {
    String[] all = java.util.Arrays.copyOf(args, args.length + 2);
    all[args.length] = file.toString();
    all[args.length + 1] = "--json";
    assertEquals(run(all), 0, err.toString(StandardCharsets.UTF_8));
    return JsonMapper.builder().build().readTree(out.toByteArray());
  }

  @Test
  public void coatsAreMeasuredWhenAskedFor() {
    assertTrue(json().get("coats") == null);
    JsonNode coats = json("--coats", "3,10").get("coats");
    assertEquals(coats.size(), 2);
    assertEquals(coats.get(0).get("tMm").asDouble(), 3.0);
    assertEquals(coats.get(0).get("volumeMm3").asDouble(), 63_955, 640);
    assertEquals(coats.get(1).get("volumeMm3").asDouble(), 268_453, 2_700);
    assertTrue(coats.get(1).get("errorMm3").asDouble() > 0);
    double plate =
        json("--coats", "10", "--on", "plate").get("coats").get(0).get("volumeMm3").asDouble();
    assertTrue(plate < 0.9 * 268_453, "on a plate " + plate);
  }

  @Test
  public void airIsMeasuredWhenAskedFor() {
    JsonNode level = json("--air", "cavity").get("air");
    assertEquals(level.get("totalMm3").asDouble(), 0.0);
    // on edge, opened at the side: the upper half of the ring
    JsonNode edge =
        json("--air", "cavity", "--up", "1,0,0", "--opening", "0,52,12", "--cell", "0.6")
            .get("air");
    assertEquals(edge.get("totalMm3").asDouble(), 113_697.8 / 2, 0.02 * 113_697.8);
    assertEquals(edge.get("unreachedMm3").asDouble(), 0.0);
    JsonNode pocket = edge.get("pockets").get(0);
    // in the file's own axes: the far side along x
    assertEquals(pocket.get("top").get(0).asDouble(), 52, 1);
    assertEquals(pocket.get("depthMm").asDouble(), 52, 1);
    JsonNode box = json("--air", "box", "--up", "1,0,0", "--wall", "5", "--cell", "1").get("air");
    assertEquals(box.get("totalMm3").asDouble(), 0.0);
  }

  @Test
  public void severalOpeningsLetAirOutTogether() {
    // at the side and, on edge, at the top
    JsonNode both =
        json("--air", "cavity", "--up", "1,0,0", "--opening", "0,52,12", "--opening", "top")
            .get("air");
    assertEquals(both.get("totalMm3").asDouble(), 0.0);
    assertEquals(both.get("pockets").size(), 0);
  }

  @Test
  public void howItIsBestCastIsToldWhenAskedFor() {
    JsonNode edge = json("--cast", "--opening", "52,0,12").get("cast");
    // stood on edge with the hole on top
    assertEquals(edge.get("up").toString(), "[1.0,0.0,0.0]");
    assertEquals(edge.get("lies").asString(), "lying on its left side");
    assertEquals(edge.get("airMm3").asDouble(), 0.0);
    assertEquals(edge.get("vents").size(), 0);
    assertEquals(edge.get("others").size(), 5);
    JsonNode other = edge.get("others").get(4);
    double lift = other.get("up").get(0).asDouble();
    assertTrue(lift < 1, other.toString());
    // in a pot it does not fit so it lies otherwise, and is vented
    JsonNode flat =
        json("--cast", "--opening", "52,0,12", "--wall", "10", "--pot", "215,70").get("cast");
    assertEquals(Math.abs(flat.get("up").get(2).asDouble()), 1.0);
    JsonNode vent = flat.get("vents").get(0);
    assertEquals(vent.get("inRubberMm").asDouble(), 10, 0.01);
    assertEquals(vent.get("lengthMm").asDouble(), 10, 0.01);
    assertEquals(Math.abs(vent.get("top").get(2).asDouble() - 12), 12, 0.01);
    assertTrue(flat.get("withoutVentsMm3").asDouble() > 50_000);
    // along a seam a vent passes no rubber
    JsonNode seam = json("--cast", "--opening", "28,0,12", "--parting", "0,0,1,12").get("cast");
    assertEquals(seam.get("vents").size(), 1);
    assertEquals(seam.get("vents").get(0).get("inRubberMm").asDouble(), 0.0);
    assertEquals(seam.get("up").get(2).asDouble(), 0.0);
  }

  @Test
  public void locksAreMeasuredWhenAskedFor() {
    JsonNode one = json("--locks", "0,0,1").get("locks");
    assertEquals(one.get("releasedMm2").asDouble(), 18_949.6 / 2, 40);
    JsonNode two = json("--locks", "0,0,5", "--two").get("locks");
    assertEquals(two.get("lockedMm2").asDouble(), 0.0);
    assertEquals(two.get("lockedVolumeMm3").asDouble(), 0.0);
  }

  @Test
  public void theTableForPeopleHasItAll() {
    int status =
        run(
            file.toString(),
            "--coats",
            "3",
            "--air",
            "cavity",
            "--cell",
            "1",
            "--cast",
            "--opening",
            "52,0,12",
            "--locks",
            "1,0,0");
    assertEquals(status, 0);
    String text = out.toString(StandardCharsets.UTF_8);
    for (String word : new String[] {"coat, mm", "totalMm3", "lies", "lockedVolumeMm3"}) {
      assertTrue(text.contains(word), text);
    }
  }

  @Test
  public void aSlipInTheArgumentsIsToldInOneLine() {
    String[][] slips = {
      {"--coats"},
      {"--coats", "3,x"},
      {"--coats", "3,-1"},
      {"--coats", "3", "--on", "water"},
      {"--on", "plate"},
      {"--air", "cave"},
      {"--air", "cavity", "--up", "0,0,0"},
      {"--air", "cavity", "--up", "1,2"},
      {"--air", "cavity", "--opening", "500,0,0"},
      {"--air", "box", "--cell", "0.001"},
      {"--air", "box", "--wall", "0"},
      {"--wall", "5"},
      {"--cast", "--parting", "0,0,0"},
      {"--cast", "--parting", "1,0"},
      {"--cast", "--pot", "50"},
      {"--cast", "--pot", "50,50"},
      {"--cast", "--opening", "500,0,0"},
      {"--cast", "--up", "1,0,0"},
      {"--pot", "200,200"},
      {"--locks", "up"},
      {"--two"},
      {"--frobnicate"}
    };
    for (String[] slip : slips) {
      String[] last = new String[slip.length + 1];
      last[0] = file.toString();
      System.arraycopy(slip, 0, last, 1, slip.length);
      assertEquals(run(last), 2, String.join(" ", last));
      String told = err.toString(StandardCharsets.UTF_8).strip();
      assertTrue(!told.isEmpty() && !told.contains("\n"), told);
    }
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
