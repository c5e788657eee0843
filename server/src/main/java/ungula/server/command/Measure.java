package ungula.server.command;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.UnitGuess;
import ungula.core.mesh.io.Model;
import ungula.core.mesh.io.ModelReader;
import ungula.core.mesh.io.ModelUnreadable;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

/** {@code measure FILE …}: the report on a model file and what its shape decides, no server. */
public final class Measure {

  private static final String USAGE =
      """
      measure FILE [--json]
        [--coats 3,6,10,15 [--on free|plate]]
        [--air cavity|box [--up x,y,z] [--wall 12] [--opening top|x,y,z]… [--cell 0.5]]
        [--cast [--parting nx,ny,nz[,d]] [--opening top|x,y,z]… [--wall 12] [--pot D,H]]
        [--locks x,y,z [--two]]""";

  private Measure() {}

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a file that cannot be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    try {
      Arguments a =
          Arguments.of(
              args,
              Set.of("--json", "--two", "--cast"),
              Set.of(
                  "--coats",
                  "--on",
                  "--air",
                  "--up",
                  "--wall",
                  "--opening",
                  "--cell",
                  "--locks",
                  "--parting",
                  "--pot"));
      if (a.files().size() != 1) {
        throw new Arguments.Unclear("One model file is measured at a time.");
      }
      ShapeQuestions questions = ShapeQuestions.of(a);
      Path file = Path.of(a.files().get(0));
      if (!Files.isRegularFile(file)) {
        err.println("There is no file " + file);
        return 3;
      }
      report(file, questions, a.has("--json"), out);
      return 0;
    } catch (Arguments.Unclear e) {
      err.println(e.getMessage() + " The command is: " + USAGE.replaceAll("\\s+", " "));
      return 2;
    } catch (ModelUnreadable e) {
      err.println(e.getMessage());
      return 3;
    } catch (IOException e) {
      err.println("The file cannot be read: " + e.getMessage());
      return 3;
    }
  }

  private static void report(Path file, ShapeQuestions questions, boolean json, PrintStream out)
      throws IOException, ModelUnreadable, Arguments.Unclear {
    Model model = ModelReader.read(file, Progress.NONE);
    MeshReport.Result measured = MeshReport.of(model.mesh(), Progress.NONE);
    MeshReport inFileUnits = measured.report();
    boolean guessed = model.unitMm() == null;
    double unit = guessed ? UnitGuess.mmPerUnit(inFileUnits.bounds().longest()) : model.unitMm();
    Map<String, Object> report = fields(model, inFileUnits.scaled(unit), unit, guessed);
    Map<String, Object> answers =
        questions.answer(measured.mesh().moved(unit, Rotation.NONE, Vec3.ZERO));
    if (json) {
      report.putAll(answers);
      out.println(JsonMapper.builder().build().writeValueAsString(report));
      return;
    }
    report.forEach((name, value) -> out.printf("%-18s %s%n", name, text(value)));
    inFileUnits.defects().forEach(out::println);
    answers.forEach((name, value) -> ShapeQuestions.print(name, value, out));
  }

  private static String text(Object value) {
    if (value instanceof Double d) {
      return String.format("%.3f", d);
    }
    return value instanceof double[] a
        ? String.format("%.3f × %.3f × %.3f", a[0], a[1], a[2])
        : String.valueOf(value);
  }

  private static String unitName(double mm) {
    return Map.of(0.001, "µm", 1.0, "mm", 10.0, "cm", 25.4, "in", 304.8, "ft", 1000.0, "m")
        .getOrDefault(mm, mm + " mm");
  }

  private static Map<String, Object> fields(
      Model model, MeshReport r, double unit, boolean guessed) {
    Vec3 size = r.bounds().size();
    Map<String, Object> f = new LinkedHashMap<>();
    f.put("format", model.format().title());
    f.put("units", unitName(unit));
    f.put("unitMm", unit);
    f.put("unitGuessed", guessed);
    f.put("triangles", r.triangles());
    f.put("vertices", r.vertices());
    f.put("parts", r.parts());
    f.put("openEdges", r.openEdges());
    f.put("openLoops", r.openLoops());
    f.put("closedLoops", r.closedLoops());
    f.put("nonManifoldEdges", r.nonManifoldEdges());
    f.put("flippedFacets", r.flippedFacets());
    f.put("insideOut", r.insideOut());
    f.put("overlapping", r.overlapping());
    f.put("closed", r.closed());
    f.put("volumeMm3", r.volumeMm3());
    f.put("volumeErrorMm3", r.volumeErrorMm3());
    f.put("estimate", r.estimate());
    f.put("areaMm2", r.areaMm2());
    f.put("bboxMm", new double[] {size.x(), size.y(), size.z()});
    f.put("hullVolumeMm3", r.hullVolumeMm3());
    f.put("euler", r.euler());
    f.put("genus", r.genus());
    return f;
  }
}
