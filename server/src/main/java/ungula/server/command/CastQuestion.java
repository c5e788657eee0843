package ungula.server.command;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import ungula.core.air.FlatSeam;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.VentWay;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.fit.Pot;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.server.command.Arguments.Unclear;

/**
 * What {@code measure --cast} asks: how a mould of a block of rubber round the file's shape is best
 * laid to be cast in, in the file's axes.
 *
 * @param wallMm of rubber all round
 * @param openings there already; none opens it where it is highest
 * @param seam it parts along; null where it does not
 * @param pot it is to go into; null for none
 */
record CastQuestion(double wallMm, List<Opening> openings, FlatSeam seam, Pot pot) {

  /** Beside the best so many others are told. */
  private static final int OTHERS = 5;

  /** Cells of a room that no surface bounds. */
  private static final double CELLS = 150_000;

  static CastQuestion of(Arguments a, double wallMm, List<Opening> openings) throws Unclear {
    return new CastQuestion(wallMm, openings, seam(a), pot(a));
  }

  private static FlatSeam seam(Arguments a) throws Unclear {
    if (!a.has("--parting")) {
      return null;
    }
    double[] n = Arguments.numbers("--parting", a.value("--parting", ""));
    if (n.length != 3 && n.length != 4) {
      throw new Unclear(
          "--parting takes the three numbers of its direction, and where it stands along that as a"
              + " fourth.");
    }
    Vec3 normal = new Vec3(n[0], n[1], n[2]);
    if (!(normal.norm() > 0)) {
      throw new Unclear("--parting is a direction: not all three numbers can be zero.");
    }
    return new FlatSeam(normal.unit(), n.length == 4 ? n[3] : Double.NaN, null);
  }

  private static Pot pot(Arguments a) throws Unclear {
    if (!a.has("--pot")) {
      return null;
    }
    List<Double> size = a.positives("--pot", "");
    if (size.size() != 2) {
      throw new Unclear("--pot takes its diameter and its height inside, such as 240,300.");
    }
    return new Pot(size.get(0), size.get(1));
  }

  Map<String, Object> answer(TriangleMesh mesh) throws Unclear {
    Box3 b = mesh.bounds();
    Vec3 wall = new Vec3(wallMm, wallMm, wallMm);
    Box3 block = new Box3(b.min().minus(wall), b.max().plus(wall));
    Room cavity = Room.cavity(mesh, Math.cbrt(b.volume() / CELLS), Parallel.ALL, Progress.NONE);
    if (!openings.stream().allMatch(cavity::opensAt)) {
      throw new Unclear("--opening is not at the surface: nothing to fill is within reach of it.");
    }
    List<Found> found =
        AttitudeSearch.of(
            new AttitudeSearch.Mould(cavity, block, openings, through(b)),
            AttitudeSearch.SIDES,
            List.of(),
            goes(block),
            Parallel.ALL,
            Progress.NONE);
    if (found.isEmpty()) {
      throw new Unclear("--pot is too small for this mould, however it lies.");
    }
    Map<String, Object> answer = fields(found.get(0));
    answer.put("others", found.stream().skip(1).limit(OTHERS).map(CastQuestion::fields).toList());
    return answer;
  }

  /** Where it was not said where it stands, through the middle. */
  private FlatSeam through(Box3 b) {
    return seam == null || !Double.isNaN(seam.atMm())
        ? seam
        : new FlatSeam(seam.normal(), seam.normal().dot(b.centre()), null);
  }

  private Predicate<Attitude> goes(Box3 block) {
    if (pot == null) {
      return a -> true;
    }
    Vec3 s = block.size();
    double[] ring = {0, 0, s.x(), 0, s.x(), s.y(), 0, s.y()};
    return a -> pot.lying(a.text(), ring, s.z(), a.up(), false).fits();
  }

  private static Map<String, Object> fields(Found f) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("up", numbers(f.attitude().up()));
    fields.put("lies", f.attitude().text());
    fields.put("airMm3", f.leftMm3());
    fields.put("withoutVentsMm3", f.airMm3());
    List<Map<String, Object>> vents = new ArrayList<>();
    for (VentWay v : f.vents()) {
      Map<String, Object> vent = new LinkedHashMap<>();
      vent.put("top", numbers(v.at()));
      vent.put("lengthMm", v.lengthMm());
      vent.put("inRubberMm", v.rubberMm());
      vents.add(vent);
    }
    fields.put("vents", vents);
    return fields;
  }

  private static double[] numbers(Vec3 v) {
    return new double[] {v.x(), v.y(), v.z()};
  }
}
