package ungula.core.exercise;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.demo.Harbour;
import ungula.core.demo.HarbourShapes;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mould.BoxInside;
import ungula.core.mould.FacingFaces;
import ungula.core.quantity.Units;
import ungula.core.run.Bench;
import ungula.core.run.Freeze;
import ungula.core.run.RunPlan;
import ungula.core.run.RunState;
import ungula.core.run.Score;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.CastStudy;
import ungula.core.study.RubberStudy;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class ExerciseTest {

  private static final Instant AT = Instant.parse("2027-03-01T08:00:00Z");

  private static JobPlan plan(Exercise e) {
    String[] words =
        e.edits().stream()
            .filter(d -> !d.word().equals("rubber.product"))
            .map(d -> d.word() + "=" + d.text())
            .toArray(String[]::new);
    return AnyPlan.picked(e.master(HarbourShapes.FINE), words).plan();
  }

  /** The exercise's master, more coarsely. */
  private static PosedMaster posed(Pose pose) {
    return PosedMaster.of(Harbour.COARSE_OCTOPUS.mesh(), 1, pose);
  }

  /** What a box round it holds, clear of the plate. */
  private static Box3 inside(PosedMaster master) {
    Box3 b = master.mesh().bounds();
    Vec3 wall = new Vec3(12, 12, 0);
    return new Box3(b.min().minus(wall), b.max().plus(wall).plus(new Vec3(0, 0, 20)));
  }

  private static RubberStudy rubber(Pose pose) {
    PosedMaster master = posed(pose);
    Vec3 size = master.mesh().bounds().size();
    double[] ring = BoxInside.rectangle(size.x(), size.y(), 12, 12, 12, 12).ring();
    FacingFaces across = FacingFaces.of(master.mesh(), Parallel.ALL, Progress.NONE);
    RubberStudy.Question q = new RubberStudy.Question(inside(master), ring, 10, false);
    return RubberStudy.of(master, across, q, Parallel.ALL, Progress.NONE).study();
  }

  private static CastStudy cast(List<SurfacePoint> vents) {
    PosedMaster master = posed(Pose.AS_MODELLED);
    CastStudy.Question q =
        new CastStudy.Question(
            inside(master), 10, false, null, vents, Attitude.OVER, List.of(Face.TOP), null);
    return CastStudy.of(master, null, q, Parallel.ALL, Progress.NONE);
  }

  /** As it stands there is something to win, and the tip that is known wins it. */
  @Test
  public void aTipThatLeavesLessAirHasMorePoints() {
    RubberStudy begun = rubber(Pose.AS_MODELLED);
    List<Edit> edits = ShapeScore.bestTip(begun);
    assertEquals(edits.size(), 1);
    RubberStudy known = rubber(Pose.AS_MODELLED.tipped(edits.get(0).text()));
    double stays = known.air().totalMm3();
    assertTrue(begun.air().totalMm3() > 5_000 && stays < 2_500, stays + " mm³");
    assertEquals(ShapeScore.tilt(begun, known, begun, Units.METRIC).points(), 0);
    ShapeScore best = ShapeScore.tilt(begun, known, known, Units.METRIC);
    assertEquals(best.points(), 100);
    String first = String.format("%.1f mL", begun.air().totalMm3() / 1000);
    assertTrue(
        best.says()
            .matches(
                "(.* mL) of air stay in the rubber\\. As it stood at first "
                    + first
                    + " stayed; tipped well it is \\1\\."),
        best.says());
  }

  @Test
  public void twoVentsWellPlacedAreTheBest() {
    CastStudy begun = cast(List.of());
    assertTrue(begun.vents().size() > 2);
    List<SurfacePoint> at = begun.vents().stream().map(CastStudy.Vent::at).toList();
    List<Edit> edits = ShapeScore.bestVents(begun);
    assertEquals(edits.size(), 2);
    assertEquals(edits.get(1).text().split(" ")[0], "" + at.get(1).facet());
    CastStudy two = cast(at.subList(0, 2));
    CastStudy three = cast(at.subList(0, 3));
    assertEquals(ShapeScore.vents(begun, two, begun, Units.METRIC).points(), 0);
    ShapeScore best = ShapeScore.vents(begun, two, two, Units.METRIC);
    assertEquals(best.points(), 100);
    assertTrue(best.says().contains(" in a cast with 2 vents. "));
    ShapeScore more = ShapeScore.vents(begun, two, three, Units.METRIC);
    assertEquals(more.points(), 0);
    assertTrue(
        more.says().endsWith("That is more than two: remove the vents, and place two."),
        more.says());
    // what is half way there has half of the points
    double first = begun.air().totalMm3();
    double part = (first - two.air().totalMm3()) / (first - three.air().totalMm3());
    ShapeScore half = ShapeScore.vents(begun, three, two, Units.METRIC);
    assertEquals(half.points(), Math.round(100 * part));
  }

  @DataProvider
  public Object[][] atTheBench() {
    return new Object[][] {{Exercise.RATIO, 1}, {Exercise.POT_LIFE, 3}};
  }

  /** It begins at the scale with all before it done as it should be. */
  @Test(dataProvider = "atTheBench")
  public void itBeginsAtTheScale(Exercise e, int batches) {
    JobPlan job = plan(e);
    RunPlan plan = Freeze.of(job.steps(), job.figures(), job.cautions(), b -> "");
    assertEquals(plan.batches().size(), batches);
    Bench bench = new Bench(plan, List.of());
    Exercise.ahead(bench, AT);
    RunState state = bench.state();
    assertEquals(state.next(AT).orElseThrow().kind(), RunPlan.Kind.WEIGH);
    assertEquals(Score.of(plan, bench.entries(), AT).points(), 100);
    assertFalse(e.done(plan, state));
  }
}
