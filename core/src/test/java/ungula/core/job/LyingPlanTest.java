package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.Near;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.LyingChoice;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.mould.MouldKind;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.workshop.Workshop;

/** How a mould lies to be cast in, and what follows from it. */
public class LyingPlanTest {

  private static final MasterFacts BLOCK = Blocks.measured(180, 100, 60);

  private static Choices choices(String... typed) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < typed.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(typed[i], typed[i + 1])), null);
    }
    return c;
  }

  private static JobPlan plan(String pot, String... typed) {
    Product marram = ExampleProducts.all().get("marram-20");
    Choices c = choices(typed);
    String[] inside = pot.split(" x ");
    Workshop shop =
        Workshop.words()
            .edit(
                Workshop.DEFAULT,
                List.of(
                    Edit.of("equipment.potDiameterMm", inside[0]),
                    Edit.of("equipment.potHeightMm", inside[1])),
                c.units());
    Materials all = new Materials(marram, null, null);
    return JobPlan.of(c, Recorded.NOTHING, BLOCK, all, shop, Planner.box(c, BLOCK), Diary.PLAIN);
  }

  @Test
  public void wordsSayHowItLies() {
    assertEquals(choices().lying().of(MouldKind.TWO_PART, false), Attitude.OVER);
    Choices front =
        choices(
            "lying.on",
            "lying on its front",
            "lying.raised",
            "base",
            "lying.also",
            "left side",
            "lying.degrees",
            "20");
    assertEquals(
        front.lying().of(MouldKind.TWO_PART, false),
        new Attitude(Face.FRONT, List.of(Face.BASE, Face.LEFT), 20));
    // a cut mould's sprue stands on its base, and what is open at its base lies with that up
    assertEquals(front.lying().of(MouldKind.CUT, false), Attitude.OVER);
    assertEquals(front.lying().of(MouldKind.TWO_PART, true), Attitude.OVER);
    // what it lies on is not raised, nor what is opposite
    Refused base = expectThrows(Refused.class, () -> choices("lying.raised", "BASE"));
    assertEquals(
        base.getMessage(),
        "Lying so it can be raised at its left side, right side, front, back; its base cannot.");
    assertThrows(Refused.class, () -> choices("lying.raised", "FRONT", "lying.also", "BACK"));
    Choices onSide = ChoiceWords.edit(front, List.of(Edit.of("lying.on", "LEFT")), null);
    assertEquals(
        onSide.lying().of(MouldKind.TWO_PART, false),
        new Attitude(Face.LEFT, List.of(Face.BASE), 20));
    assertThrows(Refused.class, () -> choices("lying.degrees", "80"));
    // taken from a list it comes out the same
    Attitude corner = new Attitude(Face.TOP, List.of(Face.RIGHT, Face.BACK), 7);
    Choices taken = ChoiceWords.edit(front, LyingChoice.edits(corner), null);
    assertEquals(taken.lying().of(MouldKind.CUT, false), corner);
    assertEquals(
        ChoiceWords.edit(taken, LyingChoice.edits(Attitude.OVER), null).lying(), LyingChoice.USUAL);
  }

  @Test
  public void onASideThePartingStandsUpright() {
    String pot = "400 x 400";
    JobPlan over = plan(pot, "mould.kind", "TWO_PART");
    JobPlan side = plan(pot, "mould.kind", "TWO_PART", "lying.on", "FRONT");
    double density = over.plan().cast().orElseThrow().resin().density();
    // 180 × 100 under the half of its width and a wall of 12
    Near.relative(side.figures().get("cast.opens").value(), density / 1000 * 62 * 18_000, 1e-6);
    assertEquals(side.figures().get("cast.opens").label(), "a cast presses the parting open like");
    // turned over, under as much as is below the parting
    double level = over.plan().halves().orElseThrow().parting().levelMm();
    Near.relative(over.figures().get("cast.opens").value(), density / 1000 * level * 18_000, 1e-6);
    // standing, under what is over it
    JobPlan standing = plan(pot, "mould.kind", "TWO_PART", "lying.on", "BASE");
    double high = standing.plan().mould().pourLineMm();
    Near.relative(
        standing.figures().get("cast.opens").value(),
        density / 1000 * (high - level) * 18_000,
        1e-6);
  }

  @Test
  public void stepsAndPotFollow() {
    JobPlan over = plan("300 x 200", "mould.kind", "TWO_PART");
    assertFalse(lays(over).isPresent());
    assertTrue(over.figures().get("fits.pot").text().startsWith("fits, turned over"));
    JobPlan tipped =
        plan(
            "300 x 200",
            "mould.kind",
            "TWO_PART",
            "lying.on",
            "LEFT",
            "lying.raised",
            "FRONT",
            "lying.degrees",
            "30");
    // it is 124 wide: half of that
    assertEquals(
        lays(tipped).orElseThrow(),
        "Lay it to be cast in: lying on its left side, its front raised 30°. A wedge 62 mm high"
            + " under that edge holds it.");
    assertTrue(
        tipped.figures().get("fits.pot").text().startsWith("too large by"),
        tipped.figures().get("fits.pot").text());
    assertTrue(tipped.cautions().stream().anyMatch(c -> c.id().equals("pot.small")));
  }

  private static Optional<String> lays(JobPlan plan) {
    return plan.steps().casting().stream()
        .filter(s -> s.key().equals("cast.lay"))
        .map(s -> s.what())
        .findFirst();
  }
}
