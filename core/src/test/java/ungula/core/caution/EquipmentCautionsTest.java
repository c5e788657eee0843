package ungula.core.caution;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.relative;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Golden;
import ungula.core.PlanCount;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mesh.FillCurve;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** What the workshop has, and whether a mould fits it; what a cast is poured in through. */
public class EquipmentCautionsTest {

  /** All that is planned here. */
  private static PlanCount planned;

  @BeforeClass
  public void begin() {
    planned = new PlanCount();
  }

  /** After all others. */
  @Test(priority = 1)
  public void theRestOfThesePlansIsAsItWas() throws IOException {
    Golden.same(EquipmentCautionsTest.class, "of-equipment.txt", planned.said());
  }

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private static JobPlan plan(List<Edit> equipment, Edit... edits) {
    MasterFacts facts =
        new MasterFacts(
            new Vec3(80, 55, 42),
            new Vec3(0, 0, 42),
            FillCurve.even(80 * 55 * 42, 0, 42),
            80 * 55,
            null,
            null,
            "made up");
    Workshop shop = Workshop.words().edit(Workshop.DEFAULT, equipment, Units.METRIC);
    List<Edit> all = new ArrayList<>(List.of(Edit.of("master.source", "MEASURED")));
    all.addAll(Arrays.asList(edits));
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), all, MARRAM);
    JobPlan plan = JobPlan.of(c, facts, MARRAM, shop);
    planned.count(plan);
    return plan;
  }

  private static List<Edit> pot(int diameter, int height) {
    return List.of(
        Edit.of("equipment.potDiameterMm", diameter + " mm"),
        Edit.of("equipment.potHeightMm", height + " mm"));
  }

  private static boolean warns(JobPlan plan, String id) {
    return plan.cautions().stream().anyMatch(c -> c.id().equals(id));
  }

  /** The block is 104 × 79 × 52: a circle of 130.6 turned over. */
  @Test
  public void thePot() {
    assertFalse(plan(List.of()).figures().containsKey("fits.pot"));
    JobPlan fits = plan(pot(160, 80));
    assertEquals(fits.figures().get("fits.pot").text(), "fits, turned over");
    assertFalse(warns(fits, "pot.small"));
    JobPlan small = plan(pot(100, 80));
    assertTrue(warns(small, "pot.small"));
    assertTrue(small.figures().get("fits.pot").text().startsWith("too large by "));
    // strapped between boards it is higher
    assertTrue(warns(plan(pot(160, 80), Edit.of("mould.kind", "TWO_PART")), "pot.small"));
  }

  @Test
  public void theChamberTheBedAndTheBack() {
    List<Edit> chamber =
        List.of(
            Edit.of("equipment.chamberDiameterMm", "100 mm"),
            Edit.of("equipment.chamberHeightMm", "100 mm"));
    // 255 mL rise to 1.27 L; the chamber holds 0.79 L
    Edit pulled = Edit.of("rubber.bubbles", "VACUUM");
    assertTrue(warns(plan(chamber, pulled, Edit.of("rubber.batches", "1")), "chamber.small"));
    assertFalse(warns(plan(chamber, pulled), "chamber.small"), "it is split");
    assertEquals(plan(chamber, pulled).figures().get("batch.count").value(), 2.0);
    assertFalse(warns(plan(chamber, Edit.of("rubber.batches", "1")), "chamber.small"));
    List<Edit> bed =
        List.of(
            Edit.of("equipment.bedLengthMm", "150 mm"), Edit.of("equipment.bedWidthMm", "140 mm"));
    assertTrue(warns(plan(bed), "bed.small"));
    assertFalse(
        warns(
            plan(
                List.of(
                    Edit.of("equipment.bedLengthMm", "600 mm"),
                    Edit.of("equipment.bedWidthMm", "300 mm"))),
            "bed.small"));
    assertTrue(warns(plan(List.of(Edit.of("equipment.liftG", "300 g"))), "weight.lift"));
    List<Edit> bucket = List.of(Edit.of("equipment.bucketG", "200 g"));
    assertTrue(warns(plan(bucket, Edit.of("rubber.batches", "1")), "weight.bucket"));
    assertFalse(warns(plan(bucket), "weight.bucket"), "it is split");
    assertFalse(warns(plan(List.of()), "weight.lift"));
  }

  private static List<Edit> board(String sheet, int length, int width, int count) {
    return List.of(
        Edit.of("boards." + sheet + ".lengthMm", length + " mm"),
        Edit.of("boards." + sheet + ".widthMm", width + " mm"),
        Edit.of("boards." + sheet + ".count", count + ""));
  }

  /** The base is 156 × 131, the walls 104 and 91 by 67: 6 mm foam board unless said otherwise. */
  @Test
  public void theRack() {
    assertFalse(plan(List.of()).figures().containsKey("fits.boards"));
    JobPlan enough = plan(board("FOAM_BOARD_6", 1000, 700, 1));
    assertEquals(enough.figures().get("fits.boards").value(), 1, 0);
    assertFalse(warns(enough, "board.short") || warns(enough, "board.small"));
    JobPlan none = plan(board("FOAM_BOARD_6", 1000, 700, 0));
    assertTrue(warns(none, "board.short"));
    List<Edit> two = new ArrayList<>(board("FOAM_BOARD_6", 150, 140, 9));
    two.addAll(board("PLY_12", 1200, 600, 1));
    Caution small =
        plan(two).cautions().stream().filter(c -> c.id().equals("board.small")).findFirst().get();
    assertTrue(small.title().contains("base"), small.title());
    assertEquals(small.fixes().size(), 1);
    JobPlan ply = plan(two, Edit.of("mould.sheet", small.fixes().get(0).edits().get(0).text()));
    assertFalse(warns(ply, "board.small"));
    assertTrue(ply.figures().get("fits.boards").text().startsWith("1 board of "));
  }

  @Test
  public void anOpenMouldNeedsNoSprue() {
    JobPlan open = plan(List.of());
    assertTrue(open.plan().sprue().isEmpty());
    relative(open.figures().get("cast.volume").value(), 80 * 55 * 42, 1e-9);
  }

  /** Through 12 mm of rubber; the sprue is cast along. */
  @Test
  public void aClosedOneHasASprueThatIsCastToo() {
    JobPlan cut = plan(List.of(), Edit.of("mould.kind", "CUT"));
    double d = cut.figures().get("sprue.diameter").value();
    double v = 80 * 55 * 42 + Math.PI / 4 * d * d * 12;
    relative(cut.figures().get("cast.volume").value(), v, 1e-9);
    relative(cut.figures().get("cast.mass").value(), v / 1000 * 1.1, 1e-9);
    assertFalse(warns(cut, "sprue.slow"));
    JobPlan narrow =
        plan(List.of(), Edit.of("mould.kind", "CUT"), Edit.of("channels.sprueMm", "2 mm"));
    assertTrue(warns(narrow, "sprue.slow"));
    assertTrue(
        warns(
            plan(List.of(), Edit.of("mould.kind", "CUT"), Edit.of("channels.spout", "FUNNEL")),
            "sprue.plug"));
  }
}
