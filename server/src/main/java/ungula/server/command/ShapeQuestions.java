package ungula.server.command;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.field.Coats;
import ungula.core.field.Coats.Coat;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.release.Locks;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.server.command.Arguments.Unclear;

/**
 * What {@code measure} is asked of the shape beside the report: coats, air, casting, locks. Read
 * whole before the file is, so that a slip in the arguments is told at once.
 */
final class ShapeQuestions {

  /** Cells that air is looked for in, mm, unless asked otherwise; coarser in large rooms. */
  private static final String CELL_MM = "0.5";

  /** Of several openings the top, as it stands. */
  static final Opening TOP = Opening.HIGHEST;

  private final List<Double> coats;
  private final Coats.On on;
  private final String air;
  private final Vec3 up;
  private final double wall;
  private final List<Opening> openings = new ArrayList<>();
  private final double cell;
  private final boolean cellAsked;
  private final CastQuestion cast;
  private final Vec3 locks;
  private final boolean two;

  private ShapeQuestions(Arguments a) throws Unclear {
    a.onlyWith("--coats", "--on");
    a.onlyWith("--air", "--up", "--cell");
    a.onlyWithAny(List.of("--air", "--cast"), "--wall", "--opening");
    a.onlyWith("--cast", "--parting", "--pot");
    a.onlyWith("--locks", "--two");
    coats = a.has("--coats") ? a.positives("--coats", "") : List.of();
    on = Coats.On.valueOf(a.oneOf("--on", "free", "free", "plate").toUpperCase(Locale.ROOT));
    air = a.has("--air") ? a.oneOf("--air", "", "cavity", "box") : null;
    up = a.direction("--up", "0,0,1");
    wall = a.positive("--wall", "12");
    for (String o : a.values("--opening")) {
      openings.add(o.equals("top") ? TOP : Opening.at(Arguments.point("--opening", o)));
    }
    cell = a.positive("--cell", CELL_MM);
    cellAsked = a.has("--cell");
    cast = a.has("--cast") ? CastQuestion.of(a, wall, openings) : null;
    locks = a.has("--locks") ? a.direction("--locks", "") : null;
    two = a.has("--two");
  }

  static ShapeQuestions of(Arguments arguments) throws Unclear {
    return new ShapeQuestions(arguments);
  }

  /** The answers, by the name each has in the JSON; empty when nothing was asked. */
  Map<String, Object> answer(TriangleMesh mesh) throws Unclear {
    Map<String, Object> answers = new LinkedHashMap<>();
    if (!coats.isEmpty()) {
      List<Coat> all = Coats.of(mesh, on, coats, Parallel.ALL, Progress.NONE);
      answers.put("coats", all);
    }
    if (air != null) {
      answers.put("air", air(mesh));
    }
    if (cast != null) {
      answers.put("cast", cast.answer(mesh));
    }
    if (locks != null) {
      Locks.Result r = Locks.of(mesh, locks, two, Parallel.ALL, Progress.NONE);
      Map<String, Object> f = new LinkedHashMap<>();
      f.put("releasedMm2", r.releasedMm2());
      f.put("lockedMm2", r.lockedMm2());
      f.put("lockedVolumeMm3", two ? r.volume().twoMm3() : r.volume().oneMm3());
      answers.put("locks", f);
    }
    return answers;
  }

  /** Stood up with the asked direction upright, so that levels are layers of cells. */
  private Map<String, Object> air(TriangleMesh mesh) throws Unclear {
    Rotation stand = Rotation.bringing(up, Vec3.UP);
    TriangleMesh standing = mesh.moved(1, stand, Vec3.ZERO);
    boolean cavity = air.equals("cavity");
    Box3 bounds = standing.bounds();
    Box3 box =
        new Box3(
            bounds.min().minus(new Vec3(wall, wall, 0)),
            bounds.max().plus(new Vec3(wall, wall, wall)));
    double h = spacing(cavity ? bounds : box);
    Room room =
        cavity
            ? Room.cavity(standing, h, Parallel.ALL, Progress.NONE)
            : Room.round(standing, box, h, Parallel.ALL, Progress.NONE);
    Opening highest = cavity ? Opening.at(standing.furthest(Vec3.UP)) : Opening.WHOLE_TOP;
    List<Opening> all =
        openings.isEmpty()
            ? List.of(highest)
            : openings.stream()
                .map(o -> o == TOP ? highest : Opening.at(stand.apply(o.at())))
                .toList();
    if (!all.stream().allMatch(room::opensAt)) {
      throw new Unclear(
          "--opening is not at the wall of what is filled: no open cell within reach.");
    }
    AirTraps.Result r = AirTraps.of(room, all, Vec3.UP);
    Rotation back = stand.inverse();
    List<Map<String, Object>> pockets = new ArrayList<>();
    for (AirTraps.Pocket p : r.pockets()) {
      Map<String, Object> f = new LinkedHashMap<>();
      f.put("volumeMm3", p.volumeMm3());
      Vec3 top = back.apply(p.top());
      f.put("top", new double[] {top.x(), top.y(), top.z()});
      f.put("depthMm", p.depthMm());
      pockets.add(f);
    }
    Map<String, Object> f = new LinkedHashMap<>();
    f.put("totalMm3", r.totalMm3());
    f.put("unreachedMm3", r.unreachedMm3());
    f.put("pockets", pockets);
    return f;
  }

  private double spacing(Box3 box) throws Unclear {
    double least = cell;
    while (Room.cells(box, least) > Room.MOST_CELLS) {
      least *= 1.02;
    }
    if (cellAsked && least > cell) {
      throw new Unclear(
          String.format(
              "--cell %s would need %.0f million cells; the most is %d million. Take %.2f or more.",
              cell, Room.cells(box, cell) / 1e6, Room.MOST_CELLS / 1_000_000, least));
    }
    return least;
  }

  /** The answers as tables for people. */
  static void print(String name, Object answer, PrintStream out) {
    out.println();
    if (answer instanceof List<?> coats) {
      out.printf("%-10s %16s %14s%n", "coat, mm", "volume, mm³", "± mm³");
      for (Object c : coats) {
        Coat coat = (Coat) c;
        out.printf("%-10.2f %16.0f %14.0f%n", coat.tMm(), coat.volumeMm3(), coat.errorMm3());
      }
      return;
    }
    Map<?, ?> fields = (Map<?, ?>) answer;
    out.println(name);
    fields.forEach(
        (field, value) -> {
          if (value instanceof Double number) {
            out.printf("  %-18s %16.1f%n", field, number);
          } else if (value instanceof String text) {
            out.printf("  %-18s %s%n", field, text);
          }
        });
    if (fields.get("vents") instanceof List<?> vents && !vents.isEmpty()) {
      out.printf("  %14s %14s   %s%n", "vent, mm", "in rubber, mm", "top");
      for (Object v : vents) {
        Map<?, ?> vent = (Map<?, ?>) v;
        double[] top = (double[]) vent.get("top");
        out.printf(
            "  %14.1f %14.1f   %.1f, %.1f, %.1f%n",
            (Double) vent.get("lengthMm"), (Double) vent.get("inRubberMm"), top[0], top[1], top[2]);
      }
    }
    if (fields.get("pockets") instanceof List<?> pockets && !pockets.isEmpty()) {
      out.printf("  %14s %10s   %s%n", "pocket, mm³", "deep, mm", "top");
      for (Object p : pockets) {
        Map<?, ?> pocket = (Map<?, ?>) p;
        double[] top = (double[]) pocket.get("top");
        out.printf(
            "  %14.0f %10.1f   %.1f, %.1f, %.1f%n",
            (Double) pocket.get("volumeMm3"),
            (Double) pocket.get("depthMm"),
            top[0],
            top[1],
            top[2]);
      }
    }
  }
}
