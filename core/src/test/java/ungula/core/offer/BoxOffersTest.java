package ungula.core.offer;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.cutlist.CutPart;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.BoxShape;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.workshop.OwnBox;
import ungula.core.workshop.Workshop;

/** What a workshop has to pour in comes before what would be built or bought. */
public class BoxOffersTest {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  /** 80 × 55 × 42, full. */
  private static final MasterFacts BLOCK =
      new MasterFacts(
          new Vec3(80, 55, 42),
          new Vec3(0, 0, 42),
          FillCurve.even(80 * 55 * 42, 0, 42),
          80 * 55,
          null,
          null,
          "made up");

  private static List<OwnBox> there(String text) {
    List<OwnBox> boxes =
        Workshop.words()
            .edit(Workshop.DEFAULT, List.of(Edit.of("boxes", text)), Units.METRIC)
            .boxes();
    return boxes == null ? List.of() : boxes;
  }

  private static Choices choices(List<Edit> more) {
    List<Edit> edits = new ArrayList<>();
    edits.add(Edit.of("master.source", "MEASURED"));
    edits.addAll(more);
    return ChoiceWords.edit(Choices.fresh(Units.METRIC), edits, MARRAM);
  }

  private static List<BoxOffers.Offer> offers(Choices c, String boxes) {
    return BoxOffers.of(Planner.box(c, BLOCK).orElseThrow(), c, BLOCK, there(boxes));
  }

  @Test
  public void whatOneHasComesFirstWhereTheMasterFitsIn() {
    List<BoxOffers.Offer> offers =
        offers(
            choices(List.of()),
            // too narrow; too low; turned it fits; of over twice the rubber; across the corners 121
            // mm
            "103 x 90 x 100; 120 x 100 x 55; 80 × 105 × 60 mm; 200 × 150 × 100; pipe 125 × 200 mm;"
                + " pipe 110 × 200");
    assertEquals(
        offers.stream().filter(BoxOffers.Offer::own).map(BoxOffers.Offer::name).toList(),
        List.of("box you have, 80 × 105 × 60 mm", "pipe you have, Ø\u00a0125 × 200 mm"));
    assertTrue(offers.get(0).own() && !offers.get(2).own());
    Near.absolute(
        offers.get(0).figures().get("rubber").value(), 105 * 80 * 52 - 80 * 55 * 42, 1e-6);
    Near.relative(
        offers.get(1).figures().get("rubber").value(),
        Math.PI * 62.5 * 62.5 * 52 - 80 * 55 * 42,
        1e-9);
  }

  @Test
  public void oneThatIsTakenCostsNoWalls() {
    Choices before = choices(List.of());
    BoxOffers.Offer own = offers(before, "120 × 90 × 80 mm").get(0);
    Choices taken = ChoiceWords.edit(before, own.edits(), MARRAM);
    JobPlan plan = JobPlan.of(taken, BLOCK, MARRAM, Workshop.DEFAULT);
    assertEquals(taken.mould().shape(), BoxShape.OWN);
    Near.relative(
        plan.figures().get("rubber.box").value(), own.figures().get("rubber").value(), 1e-12);
    // foam board of 6 mm: a base that stands out 20 mm beyond the walls
    double base = (120 + 12 + 40) * (90 + 12 + 40) / 1e6;
    Near.relative(own.figures().get("sheet").value() / 1e6, base, 1e-9);
    Near.relative(plan.figures().get("box.cost").value(), base * 6, 1e-9);
    List<String> cut =
        plan.plan().cuts().orElseThrow().parts().stream().map(CutPart::name).toList();
    assertEquals(cut, List.of("Base"));
    // now it is the one, once, and what is built instead follows the walls again
    List<BoxOffers.Offer> offers = offers(taken, "120 × 90 × 80 mm");
    assertEquals(offers.stream().filter(BoxOffers.Offer::now).count(), 1);
    assertTrue(offers.get(0).now());
    BoxOffers.Offer built = offers.get(1);
    assertEquals(built.shape(), BoxShape.RECTANGLE);
    Near.absolute(built.figures().get("rubber").value(), 104 * 79 * 52 - 80 * 55 * 42, 1e-6);
    Choices back = ChoiceWords.edit(taken, built.edits(), MARRAM);
    assertEquals(back.mould(), before.mould());
  }

  @Test
  public void aPipeOneHasIsAsWideAsItIs() {
    Choices before = choices(List.of());
    BoxOffers.Offer pipe = offers(before, "pipe 125 × 100").get(0);
    Choices taken = ChoiceWords.edit(before, pipe.edits(), MARRAM);
    JobPlan plan = JobPlan.of(taken, BLOCK, MARRAM, Workshop.DEFAULT);
    Near.relative(
        plan.figures().get("rubber.box").value(), Math.PI * 62.5 * 62.5 * 52 - 80 * 55 * 42, 1e-9);
    assertTrue(offers(taken, "pipe 125 × 100").get(0).now());
    // one no longer on the list is still the one the job has
    assertEquals(offers(taken, "").stream().filter(BoxOffers.Offer::now).count(), 1);
  }

  @Test
  public void boxesAreWrittenByTheirInside() {
    assertEquals(
        there("box 12 × 8 × 6 in; pipe Ø 11 × 20 cm"),
        List.of(new OwnBox(false, 12 * 25.4, 8 * 25.4, 6 * 25.4), new OwnBox(true, 110, 110, 200)));
    for (String wrong : List.of("300 × 200", "pipe 110", "3 × 200 × 100", "a box")) {
      expectThrows(Refused.class, () -> there(wrong));
    }
    assertEquals(
        Workshop.words().states(Workshop.DEFAULT, Units.METRIC).get("boxes").text(), "none");
  }
}
