package ungula.server.command;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.approach.ApproachSearch;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.cutline.CutPlanes;
import ungula.core.demo.HarbourShapes;
import ungula.core.field.Coats;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.Reach;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.job.JobPlan;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.master.UnitGuess;
import ungula.core.mesh.Slicer;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.Model;
import ungula.core.mesh.io.ModelReader;
import ungula.core.mesh.io.ModelUnreadable;
import ungula.core.mesh.io.StlWriter;
import ungula.core.orient.StandSearch;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.release.HeightFields;
import ungula.core.release.Locks;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.study.FormStudy;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.workshop.Workshop;

/**
 * {@code bench [FILE…] [--json]}: times each stage in this process, warm, median of several.
 * Without files it makes two of its own: a demo master and a torus of a million triangles.
 */
public final class Bench {

  private static final int ROUNDS = 7;
  private static final double LONG_MS = 2000;
  private static final int SECTIONS = 200;
  private static final int DIRECTIONS = 500;
  private static final double BAND_MM = 10;

  private Bench() {}

  private interface Stage {
    Object run() throws Exception;
  }

  /**
   * @return exit status: 0, 3 for a file that cannot be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    boolean json = args.contains("--json");
    List<Path> files = new ArrayList<>();
    args.stream().filter(a -> !a.startsWith("--")).map(Path::of).forEach(files::add);
    try {
      Path made = null;
      if (files.isEmpty()) {
        made = Files.createTempDirectory("ungula-bench");
        files.add(write(made.resolve("nautilus.stl"), HarbourShapes.FINE.nautilus()));
        files.add(write(made.resolve("torus-1m.stl"), Tessellation.torus(40, 12, 1000, 500)));
      }
      Map<String, Map<String, Object>> all = new LinkedHashMap<>();
      for (Path file : files) {
        all.put(file.getFileName().toString(), measure(file));
      }
      if (made != null) {
        for (Path file : files) {
          Files.delete(file);
        }
        Files.delete(made);
      }
      print(all, json, out);
      return 0;
    } catch (ModelUnreadable e) {
      err.println(e.getMessage());
      return 3;
    } catch (Exception e) {
      err.println("The bench did not finish: " + e);
      return 1;
    }
  }

  private static Path write(Path file, TriangleMesh mesh) throws IOException {
    try (OutputStream out = Files.newOutputStream(file)) {
      StlWriter.write(mesh, out);
    }
    return file;
  }

  private static Map<String, Object> measure(Path file) throws Exception {
    Map<String, Object> times = new LinkedHashMap<>();
    Model[] model = new Model[1];
    MeshReport.Result[] result = new MeshReport.Result[1];
    PosedMaster[] posed = new PosedMaster[1];
    times.put("readAndWeldMs", median(() -> model[0] = ModelReader.read(file, Progress.NONE)));
    times.put("reportMs", median(() -> result[0] = MeshReport.of(model[0].mesh(), Progress.NONE)));
    times.put(
        "readWeldReportMs",
        median(() -> MeshReport.of(ModelReader.read(file, Progress.NONE).mesh(), Progress.NONE)));
    double unit =
        model[0].unitMm() != null
            ? model[0].unitMm()
            : UnitGuess.mmPerUnit(result[0].report().bounds().longest());
    times.put(
        "poseAndFillCurveMs",
        median(() -> posed[0] = PosedMaster.of(result[0].mesh(), unit, Pose.AS_MODELLED)));
    double height = posed[0].mesh().bounds().size().z();
    times.put(
        "sections" + SECTIONS + "Ms",
        median(
            () -> {
              Slicer slicer = new Slicer(posed[0].mesh(), Cut.TOP);
              double sum = 0;
              for (int i = 0; i < SECTIONS; i++) {
                sum += slicer.at((i + 0.5) * height / SECTIONS).areaMm2();
              }
              return sum;
            }));
    MasterFacts facts =
        MasterFacts.of(
            posed[0],
            new PartedMaster(posed[0]),
            new CutPlanes(posed[0].mesh()),
            result[0].report().scaled(unit),
            null,
            "");
    Product product = ExampleProducts.all().get("marram-20");
    Choices choices = Choices.fresh(Units.METRIC);
    times.put("planMs", median(() -> JobPlan.of(choices, facts, product, Workshop.DEFAULT)));
    times.put(
        "hollowCoreMs",
        median(() -> HollowCore.of(posed[0].mesh(), false, 3, Parallel.ALL, Progress.NONE)));
    times.put("partingScanMs", median(() -> new PartedMaster(posed[0]).scan()));
    times.put(
        "approachesMs",
        median(
            () ->
                new ApproachSearch(
                        posed[0].mesh(),
                        facts.report(),
                        choices,
                        Recorded.NOTHING,
                        Materials.of(product),
                        Workshop.DEFAULT,
                        Parallel.ALL)
                    .run(Progress.NONE)));
    shape(posed[0].mesh(), times);
    times.put("triangles", model[0].mesh().triangleCount());
    Runtime r = Runtime.getRuntime();
    times.put("heapMb", (r.totalMemory() - r.freeMemory()) >> 20);
    return times;
  }

  /** What the shape decides, at the sizes the numbers in docs/methods.md are for. */
  private static void shape(TriangleMesh mesh, Map<String, Object> times) throws Exception {
    for (int cells : new int[] {128, 256}) {
      double h = mesh.bounds().longest() / cells;
      Grid grid = Grid.round(mesh.bounds(), BAND_MM, h);
      times.put(
          "field" + cells + "Ms",
          median(
              () ->
                  DistanceField.of(mesh, grid, Reach.band(BAND_MM), Parallel.ALL, Progress.NONE)));
    }
    times.put(
        "coatsMs",
        median(
            () ->
                Coats.of(
                    mesh, Coats.On.FREE, List.of(3.0, 6.0, 10.0), Parallel.ALL, Progress.NONE)));
    Box3 b = mesh.bounds();
    Box3 box = new Box3(b.min().minus(new Vec3(12, 12, 0)), b.max().plus(new Vec3(12, 12, 12)));
    double fine = Math.cbrt(box.volume()) / 256;
    times.put(
        "air256Ms",
        median(
            () ->
                AirTraps.of(
                    Room.round(mesh, box, fine, Parallel.ALL, Progress.NONE),
                    List.of(Opening.WHOLE_TOP),
                    new Vec3(0.2, 0.1, 0.97))));
    Room coarse = Room.round(mesh, box, 2 * fine, Parallel.ALL, Progress.NONE);
    times.put(
        "air" + DIRECTIONS / 5 + "DirectionsMs",
        median(
            () -> {
              double[] air = new double[DIRECTIONS / 5];
              Parallel.ALL.each(
                  air.length,
                  i ->
                      air[i] =
                          AirTraps.of(
                                  coarse,
                                  List.of(Opening.WHOLE_TOP),
                                  Directions.onHalf(i, DIRECTIONS / 5))
                              .totalMm3());
              return air;
            }));
    times.put("locksMs", median(() -> Locks.of(mesh, Vec3.UP, true, Parallel.ALL, Progress.NONE)));
    times.put(
        "orientationMs",
        median(
            () -> {
              StandSearch search = new StandSearch(mesh, mesh.measure().volumeMm3(), List.of());
              search.run(Parallel.ALL, Progress.NONE);
              return search.found();
            }));
    times.put("formMs", median(() -> FormStudy.of(mesh, Parallel.ALL, Progress.NONE)));
    times.put(
        "heightFields" + DIRECTIONS + "Ms",
        median(
            () -> {
              // one look serves a direction and its opposite
              double[] between = new double[DIRECTIONS / 2];
              int portions = 10;
              Parallel.ALL.each(
                  portions,
                  part -> {
                    HeightFields fields = new HeightFields(mesh, 256);
                    for (int i = part; i < DIRECTIONS / 2; i += portions) {
                      between[i] =
                          fields
                              .along(
                                  Rotation.bringing(Directions.onHalf(i, DIRECTIONS / 2), Vec3.UP))
                              .betweenMm3();
                    }
                  });
              return between;
            }));
  }

  /** Milliseconds, the median of several after one to warm up; of what takes long, one more. */
  private static double median(Stage stage) throws Exception {
    double[] ms = new double[time(stage) < LONG_MS ? ROUNDS : 1];
    for (int i = 0; i < ms.length; i++) {
      ms[i] = time(stage);
    }
    Arrays.sort(ms);
    return Math.round(ms[ms.length / 2] * 100) / 100.0;
  }

  private static double time(Stage stage) throws Exception {
    long start = System.nanoTime();
    stage.run();
    return (System.nanoTime() - start) / 1e6;
  }

  private static void print(Map<String, Map<String, Object>> all, boolean json, PrintStream out) {
    if (json) {
      out.println(JsonMapper.builder().build().writeValueAsString(all));
      return;
    }
    all.forEach(
        (file, times) -> {
          out.println(file);
          times.forEach((stage, value) -> out.printf("  %-22s %12s%n", stage, value));
        });
  }
}
