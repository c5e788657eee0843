package ungula.core.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages.Section;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** A cylinder Ø 60, 60 high, cast 4 mm thick round a core that stands out of its base. */
public class HollowStudyTest {

  private static final int ROUND = 240;

  /** Of the regular polygons the cylinders are, against circles. */
  private static final double POLYGON =
      Math.sin(2 * Math.PI / ROUND) / (2 * Math.PI / ROUND) * Math.PI;

  private static final double ALL = POLYGON * (900 * 60 - 26 * 26 * 56);

  private static final double[][] PLAIN = {{0, 0}, {30, 0}, {30, 60}, {0, 60}};
  private static final double[][] CORE = {{0, -19}, {26, -19}, {26, 56}, {0, 56}};

  private static final CastStudy.Question ASKED =
      new CastStudy.Question(
          new Box3(new Vec3(-48, -48, 0), new Vec3(48, 48, 70)),
          0,
          true,
          null,
          List.of(),
          Attitude.OVER,
          List.of(Face.TOP),
          null);

  private HollowStudy study;

  @BeforeClass
  public void begin() {
    study = study(PLAIN, CORE);
  }

  private static PosedMaster master(double[][] profile) {
    return PosedMaster.of(Tessellation.turned(profile, ROUND), 1, Pose.AS_MODELLED);
  }

  private static HollowStudy study(double[][] outside, double[][] core) {
    HollowCore kept =
        new HollowCore(
            4, true, Tessellation.turned(core, ROUND), new HollowCore.Loose(0, Vec3.ZERO));
    return HollowStudy.of(master(outside), kept, ASKED, Parallel.ALL, Progress.NONE);
  }

  /**
   * Turned over, a hollow of the core's end is a bell that no vent of the mould lets air out of.
   */
  @Test
  public void airStaysUnderTheCore() {
    assertEquals(study.air().worth(), List.of());
    HollowStudy bell = study(PLAIN, new double[][] {{0, -19}, {26, -19}, {26, 56}, {0, 46}});
    Near.relative(bell.air().totalMm3(), POLYGON * 26 * 26 * 10 / 3, 1e-3);
    Near.absolute(bell.air().pockets().get(0).top().z(), 46, 0.01);
    assertEquals(bell.vents(), List.of());
    assertEquals(bell.vented().totalMm3(), bell.air().totalMm3());
    Near.relative(bell.levels().mm3()[Levels.COUNT], ALL, 2e-3);
  }

  /** In a belly of the mould that rises outwards: a ring, triangular across. */
  @Test
  public void aVentOfTheMouldLetsOutWhatStaysInThat() {
    double[][] belly = {{0, 0}, {30, 0}, {30, 24}, {36, 20}, {36, 36}, {30, 40}, {30, 60}, {0, 60}};
    HollowStudy s = study(belly, CORE);
    Near.relative(s.air().totalMm3(), 2 * POLYGON * 34 * 12, 5e-3);
    assertEquals(s.vents().size(), 1);
    Near.absolute(s.vents().get(0).point().z(), 20, 0.01);
    assertTrue(s.vented().totalMm3() < 0.1 * s.air().totalMm3(), "left " + s.vented().totalMm3());
  }

  @Test
  public void whatIsToldOfACastIsToldRoundItsCore() {
    CastStudy solid = CastStudy.of(master(PLAIN), null, ASKED, Parallel.ALL, Progress.NONE);
    CastStudy round = solid.round(study);
    assertEquals(round.air(), study.air());
    assertEquals(round.levels(), study.levels());
    assertEquals(round.passages(), study.passages());
    assertTrue(round.exact());
    assertEquals(round.ways(), solid.ways());
    assertSame(solid.round(HollowStudy.SOLID), solid);
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
