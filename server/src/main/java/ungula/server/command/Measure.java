package ungula.server.command;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.geometry.Vec3;
import ungula.core.master.UnitGuess;
import ungula.core.mesh.MeshReport;
import ungula.core.mesh.io.Model;
import ungula.core.mesh.io.ModelReader;
import ungula.core.mesh.io.ModelUnreadable;
import ungula.core.work.Progress;

/** {@code measure FILE [--json]}: the report on a model file, without a server. */
public final class Measure {

  private Measure() {}

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a file that cannot be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    boolean json = args.contains("--json");
    List<String> files = args.stream().filter(a -> !a.startsWith("--")).toList();
    if (files.size() != 1 || args.size() != files.size() + (json ? 1 : 0)) {
      err.println("measure takes one model file, and --json if you want it: measure FILE [--json]");
      return 2;
    }
    Path file = Path.of(files.get(0));
    if (!Files.isRegularFile(file)) {
      err.println("There is no file " + file);
      return 3;
    }
    try {
      Model model = ModelReader.read(file, Progress.NONE);
      MeshReport inFileUnits = MeshReport.of(model.mesh(), Progress.NONE).report();
      boolean guessed = model.unitMm() == null;
      double unit = guessed ? UnitGuess.mmPerUnit(inFileUnits.bounds().longest()) : model.unitMm();
      Map<String, Object> report = fields(model, inFileUnits.scaled(unit), unit, guessed);
      if (json) {
        out.println(JsonMapper.builder().build().writeValueAsString(report));
      } else {
        report.forEach((name, value) -> out.printf("%-18s %s%n", name, text(value)));
        inFileUnits.defects().forEach(out::println);
      }
      return 0;
    } catch (ModelUnreadable e) {
      err.println(e.getMessage());
      return 3;
    } catch (IOException e) {
      err.println("The file " + file + " cannot be read: " + e.getMessage());
      return 3;
    }
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
