package ungula.core.study;

import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.air.AirCells;
import ungula.core.air.AirTraps;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.field.Grid;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages.Section;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** A cylinder Ø 60, 60 high, cast 4 mm thick round a core that stands out of its base. */
public class HollowStudyTest {

  private static final int ROUND = 240;

  /** Of the regular polygons the cylinders are, against circles. */
  private static final double POLYGON =
      Math.sin(2 * Math.PI / ROUND) / (2 * Math.PI / ROUND) * Math.PI;

  private static final double ALL = POLYGON * (900 * 60 - 26 * 26 * 56);

  private HollowStudy study;

  private static TriangleMesh cylinder(double radius, double from, double to) {
    return Tessellation.turned(
        new double[][] {{0, from}, {radius, from}, {radius, to}, {0, to}}, ROUND);
  }

  @BeforeClass
  public void begin() {
    PosedMaster master = PosedMaster.of(cylinder(30, 0, 60), 1, Pose.AS_MODELLED);
    HollowCore core =
        new HollowCore(4, true, cylinder(26, -19, 56), new HollowCore.Loose(0, Vec3.ZERO));
    Box3 inside = new Box3(new Vec3(-42, -42, 0), new Vec3(42, 42, 70));
    CastStudy.Question q =
        new CastStudy.Question(
            inside, 0, true, null, List.of(), Attitude.OVER, List.of(Face.TOP), null);
    AirTraps.Result none =
        new AirTraps.Result(
            0, 0, List.of(), new AirCells(new Grid(Vec3.ZERO, 1, 1, 1, 1), new int[0]));
    study = HollowStudy.of(master, core, q, none, Parallel.ALL, Progress.NONE);
  }

  /** Its closed end first, as it lies on that; then a ring. */
  @Test
  public void itStandsAsHighAsWhatIsRoundTheCoreHolds() {
    Levels levels = study.levels();
    Near.relative(levels.mm3()[Levels.COUNT], ALL, 1e-3);
    // 3.75 mm of the end's 4, and 30 mm
    Near.relative(levels.mm3()[6], POLYGON * 900 * 3.75, 1e-3);
    Near.relative(levels.mm3()[48], POLYGON * (900 * 30 - 26 * 26 * 26), 2e-3);
  }

  /** Poured in all round its rim, it arrives last in the middle of the closed end. */
  @Test
  public void itRunsDownAllRoundAndArrivesLastUnderTheCore() {
    List<Section> sections = study.passages().sections();
    Near.relative(sections.stream().mapToDouble(Section::volumeMm3).sum(), ALL, 0.03);
    double furthest = 0;
    Section last = null;
    for (int n = 0; n < sections.size(); n++) {
      double way = 0;
      for (int k = n; k >= 0; k = sections.get(k).before()) {
        way += sections.get(k).lengthMm();
      }
      if (way > furthest) {
        furthest = way;
        last = sections.get(n);
      }
    }
    Vec3 middle = last.middle();
    assertTrue(Math.hypot(middle.x(), middle.y()) < 3 && middle.z() > 56, "last " + middle);
    Near.relative(furthest, 58 + 28, 0.05);
    // between the walls it is 4 mm wide
    Section half =
        sections.stream().filter(s -> Math.abs(s.middle().z() - 30) < 2).findFirst().orElseThrow();
    Near.absolute(half.acrossMm(), 4, 0.3);
  }
}
