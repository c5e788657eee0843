package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Modelled;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.demo.Harbour;
import ungula.core.hollow.HollowCore;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plan.CoreFacts;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.workshop.Workshop;

/** What hollow casts change in a plan. */
public class CorePlanTest {

  private static JobPlan plan(TriangleMesh mesh, String wall, String lift, String product) {
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC),
            List.of(
                Edit.of("master.source", "FILE"),
                Edit.of("pose.liftMm", lift),
                Edit.of("hollow.wallMm", wall)),
            null);
    MasterFacts facts = Modelled.facts(mesh, c);
    if (c.hollow().wallMm() != null) {
      boolean open = facts.baseOpen(c.pose().liftMm());
      facts =
          facts.with(
              new CoreFacts(
                  HollowCore.of(
                          PosedMaster.of(mesh, 1, c.pose(), c.laid()).mesh(),
                          open,
                          c.hollow().wallMm(),
                          Parallel.ALL,
                          Progress.NONE)
                      .orElse(null)));
    }
    return JobPlan.of(c, facts, ExampleProducts.all().get(product), Workshop.DEFAULT);
  }

  private static double value(JobPlan plan, String key) {
    return plan.figures().get(key).value();
  }

  private static List<String> cautions(JobPlan plan) {
    return plan.cautions().stream().map(Caution::id).filter(id -> id.startsWith("core.")).toList();
  }

  private static final TriangleMesh BOX = Tessellation.box(40, 60, 80);

  @Test
  public void aHollowCastTakesLessAndTheRubberStaysTheSame() {
    JobPlan solid = plan(BOX, "", "0 mm", "marram-20");
    JobPlan hollow = plan(BOX, "3 mm", "0 mm", "marram-20");
    assertNull(solid.figures().get("core.volume"));
    assertEquals(value(solid, "cast.volume"), 192_000, 1);
    assertEquals(value(hollow, "cast.volume"), 192_000 - 34 * 54 * 77, 1500);
    assertEquals(value(hollow, "core.opening"), 34 * 54, 20);
    assertEquals(value(hollow, "rubber.box"), value(solid, "rubber.box"), 1e-6);
    assertEquals(cautions(hollow), List.of());
    String told = String.join("\n", Told.order(hollow));
    assertTrue(told.contains("Line the mould with clay or wax sheet, 3 mm thick"), told);
    assertFalse(String.join("\n", Told.order(solid)).contains("Line the mould"));
    assertTrue(hollow.plan().core().isPresent());
  }

  @Test
  public void untilTheCoreIsKnownNothingIsSaidOfACast() {
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC),
            List.of(
                Edit.of("master.source", "FILE"),
                Edit.of("pose.liftMm", "10 mm"),
                Edit.of("hollow.wallMm", "3 mm")),
            null);
    MasterFacts facts = Modelled.facts(BOX, c);
    JobPlan open = JobPlan.of(c, facts, null, Workshop.DEFAULT);
    for (String key : List.of("cast.volume", "cast.mass", "sprue.fill", "core.volume")) {
      assertNull(open.figures().get(key), key);
    }
    assertEquals(cautions(open), List.of());
    assertEquals(open.plan().core().isPresent(), false);
    // nothing left is an answer too
    JobPlan none = JobPlan.of(c, facts.with(new CoreFacts(null)), null, Workshop.DEFAULT);
    assertEquals(cautions(none), List.of("core.none"));
    assertEquals(
        value(none, "cast.volume"),
        192_000
            + value(none, "sprue.length")
                * Math.PI
                / 4
                * Math.pow(value(none, "sprue.diameter"), 2),
        1);
  }

  @Test
  public void aCastThatClosesRoundItsCoreKeepsIt() {
    JobPlan shut = plan(BOX, "3 mm", "10 mm", "marram-20");
    assertEquals(cautions(shut), List.of("core.shut"));
    assertFalse(shut.figures().containsKey("core.opening"));
    assertEquals(value(shut, "core.volume"), 34 * 54 * 74, 1500);
    // less to fill through the same sprue
    assertTrue(
        value(shut, "sprue.fill") < value(plan(BOX, "", "10 mm", "marram-20"), "sprue.fill"));
  }

  @Test
  public void aWaistHoldsTheCoreOfTheFinialInStiffRubber() {
    JobPlan finial = plan(Harbour.FINIAL.mesh(), "3 mm", "0 mm", "marram-20");
    assertTrue(cautions(finial).contains("core.stretch"), cautions(finial).toString());
    // the belly is 56 wide, the waist 24, outside; 3 less on either side within
    assertEquals(value(finial, "core.stretch"), 100 * (50 / 18.0 - 1), 6);
    Caution stretch =
        finial.cautions().stream().filter(c -> c.id().equals("core.stretch")).findFirst().get();
    assertEquals(stretch.place().z(), 24, 3);
    assertEquals(stretch.fixes().get(0).edits().get(0).text(), "");
  }

  @Test
  public void thinWallsAndNothingLeftAreSaid() {
    assertEquals(cautions(plan(BOX, "1 mm", "0 mm", "marram-20")), List.of("core.thin"));
    JobPlan none = plan(BOX, "25 mm", "0 mm", "marram-20");
    assertEquals(cautions(none), List.of("core.none"));
    assertEquals(value(none, "cast.volume"), 192_000, 1);
  }
}
