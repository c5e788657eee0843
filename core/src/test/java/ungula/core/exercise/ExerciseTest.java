package ungula.core.exercise;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mark.FacetSet;
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
import ungula.core.study.ShapeStudy;
import ungula.core.study.ShapeStudy.Question;
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
    return AnyPlan.picked(e.master(), words).plan();
  }

  /** Of the exercise's master, more coarsely, in a box, clear of the plate. */
  private static ShapeStudy study(Pose pose, List<SurfacePoint> vents) {
    PosedMaster master = PosedMaster.of(Harbour.COARSE_OCTOPUS.mesh(), 1, pose);
    Box3 b = master.mesh().bounds();
    Vec3 wall = new Vec3(12, 12, 0);
    Question q =
        new Question(
            new Box3(b.min().minus(wall), b.max().plus(wall).plus(new Vec3(0, 0, 20))),
            BoxInside.rectangle(b.size().x(), b.size().y(), 12, 12, 12, 12).ring(),
            10,
            false,
            null,
            vents,
            Attitude.OVER,
            List.of(Face.TOP),
            FacetSet.NONE,
            null);
    FacingFaces across = FacingFaces.of(master.mesh(), Parallel.ALL, Progress.NONE);
    return ShapeStudy.of(master, across, null, q, Parallel.ALL, Progress.NONE).study();
  }

  /** As it is modelled, for both exercises on a shape. */
  private ShapeStudy begun;

  @BeforeClass
  public void begin() {
    begun = study(Pose.AS_MODELLED, List.of());
  }

  private ShapeScore score(Exercise e, ShapeStudy known, ShapeStudy now) {
    return ShapeScore.of(e, begun, known, now, Units.METRIC);
  }

  /** As it stands there is something to win, and the tip that is known wins it. */
  @Test
  public void aTipThatLeavesLessAirHasMorePoints() {
    Exercise e = Exercise.LEAST_AIR;
    List<Edit> edits = ShapeScore.known(e, begun);
    assertEquals(edits.size(), 1);
    ShapeStudy known = study(Pose.AS_MODELLED.tipped(edits.get(0).text()), List.of());
    double stays = known.poured().totalMm3();
    assertTrue(begun.poured().totalMm3() > 5_000 && stays < 2_500, stays + " mm³");
    assertEquals(score(e, known, begun).points(), 0);
    ShapeScore best = score(e, known, known);
    assertEquals(best.points(), 100);
    String first = String.format("%.1f mL", begun.poured().totalMm3() / 1000);
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
    Exercise e = Exercise.TWO_VENTS;
    assertTrue(begun.vents().size() > 2);
    List<SurfacePoint> at = begun.vents().stream().map(ShapeStudy.Vent::at).toList();
    List<Edit> edits = ShapeScore.known(e, begun);
    assertEquals(edits.size(), 2);
    assertEquals(edits.get(1).text().split(" ")[0], "" + at.get(1).facet());
    ShapeStudy two = study(Pose.AS_MODELLED, at.subList(0, 2));
    ShapeStudy three = study(Pose.AS_MODELLED, at.subList(0, 3));
    assertEquals(score(e, two, begun).points(), 0);
    assertEquals(score(e, two, two).points(), 100);
    assertTrue(score(e, two, two).says().contains(" in a cast with 2 vents. "));
    ShapeScore more = score(e, two, three);
    assertEquals(more.points(), 0);
    assertTrue(
        more.says().endsWith("That is more than two: remove the vents, and place two."),
        more.says());
    // what is half way there has half of the points
    assertEquals(score(e, three, two).points(), Math.round(100 * part(two, three)));
  }

  private double part(ShapeStudy done, ShapeStudy known) {
    double first = begun.cast().totalMm3();
    return (first - done.cast().totalMm3()) / (first - known.cast().totalMm3());
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
