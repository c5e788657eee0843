package ungula.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.CastPlans;
import ungula.core.Near;
import ungula.core.cast.Made;
import ungula.core.caution.Caution;
import ungula.core.job.CastRun;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;

/** What is mixed for a cast of a block of 80 × 55 × 42 mm, 184.8 mL. */
public class AmountPartTest {

  private static final Product OYSTER = ExampleProducts.all().get("oyster-75");
  private static final double BLOCK_ML = 184.8;

  private static final List<Edit> CUP =
      List.of(
          Edit.of("mixing.cup.bottomMm", "84 mm"),
          Edit.of("mixing.cup.topMm", "108 mm"),
          Edit.of("mixing.cup.heightMm", "140 mm"));

  private static JobPlan plan(Product cast, List<Edit> workshop, String... edits) {
    return CastPlans.of(cast, workshop, edits);
  }

  private static double value(JobPlan plan, String figure) {
    return plan.figures().get(figure).value();
  }

  private static Optional<Caution> caution(JobPlan plan, String id) {
    return plan.cautions().stream().filter(c -> c.id().equals(id)).findFirst();
  }

  @Test
  public void byTheModelWithWhatIsLeftInCups() {
    JobPlan plan = plan(OYSTER, List.of());
    Near.relative(value(plan, "cast.mixed") / 1000, BLOCK_ML * 1.06, 1e-9);
    double h = OYSTER.hardenerPerBase(OYSTER.ratio());
    Near.relative(value(plan, "cast.second") / value(plan, "cast.first"), h, 1e-9);
    Near.relative(
        value(plan, "cast.total"), value(plan, "cast.first") + value(plan, "cast.second"), 1e-9);
    assertFalse(plan.figures().containsKey("cast.more"));
    assertFalse(plan.figures().containsKey("cast.firstLine"), "no cup is known");
    assertFalse(plan.figures().containsKey("cast.opens"), "it is in one part");
    Near.relative(
        value(plan(OYSTER, List.of(), "cast.amount.lossPct=10 %"), "cast.mixed") / 1000,
        BLOCK_ML * 1.1,
        1e-9);
  }

  /** It fills the mould by rising: less is mixed, and a little more than would just fill it. */
  @Test
  public void foamIsMixedByWhatItRises() {
    String[] foam = {"cast.material=FOAM", "cast.amount.riseTimes=8 times"};
    JobPlan plan = plan(null, List.of(), foam);
    Near.relative(value(plan, "cast.mixed") / 1000, BLOCK_ML * 1.2 / 8 * 1.06, 1e-9);
    Near.relative(value(plan, "cast.fill"), 0.15, 1e-9);
    Near.relative(
        value(
                plan(
                    null,
                    List.of(),
                    "cast.material=FOAM",
                    "cast.amount.riseTimes=8 times",
                    "cast.amount.packPct=0 %"),
                "cast.mixed")
            / 1000,
        BLOCK_ML / 8 * 1.06,
        1e-9);
    // what the last one weighed is what it weighed, foamed or not
    JobPlan last =
        plan(
            null,
            List.of(),
            "cast.material=FOAM",
            "cast.amount.lastG=40 g",
            "cast.amount.way=LAST");
    Near.relative(value(last, "cast.total"), 40 * 1.06, 1e-9);
    assertFalse(plan(OYSTER, List.of()).figures().containsKey("cast.fill"));
  }

  @Test
  public void aShellIsItsSurfaceTimesItsThickness() {
    JobPlan unknown = plan(OYSTER, List.of(), "cast.amount.shellMm=3 mm", "cast.amount.way=SHELL");
    assertTrue(
        unknown.plan().amount().orElseThrow().missing().contains("How much surface"),
        "a measured master has no model");
    AnyPlan model =
        AnyPlan.picked(
            Tessellation.box(80, 55, 42), "cast.amount.shellMm=3 mm", "cast.amount.way=SHELL");
    // a box open below: its base is none of it
    double surface = 80 * 55 + 2 * 42 * (80 + 55);
    Near.relative(value(model.plan(), "cast.mixed"), surface * 3 * 1.06, 1e-6);
    assertTrue(caution(model.plan(), "cast.thin").isEmpty());
    AnyPlan thin =
        AnyPlan.picked(
            Tessellation.box(80, 55, 42), "cast.amount.shellMm=1.9 mm", "cast.amount.way=SHELL");
    assertEquals(
        caution(thin.plan(), "cast.thin").orElseThrow().fixes().get(0).edits(),
        List.of(Edit.of("cast.amount.shellMm", "2.0 mm")));
  }

  @Test
  public void aPriceIsWhatItCostsWithAMargin() {
    String[] edits = {"cast.wanted=20", "cast.series.marginPct=40 %"};
    JobPlan plan = plan(OYSTER, List.of(), edits);
    Near.relative(value(plan, "cast.price"), 1.4 * value(plan, "cost.cast"), 1e-9);
    assertFalse(plan(OYSTER, List.of(), "cast.wanted=20").figures().containsKey("cast.price"));
  }

  @Test
  public void whatStandsInItAndWhatIsStirredIn() {
    JobPlan rods =
        plan(
            OYSTER,
            List.of(),
            "cast.amount.inserts=2",
            "cast.amount.insertAcrossMm=3.2 mm",
            "cast.amount.insertLongMm=60 mm");
    Near.relative(value(rods, "cast.mixed") / 1000, (BLOCK_ML - 2 * 0.4825) * 1.06, 1e-5);
    JobPlan filled =
        plan(
            OYSTER,
            List.of(),
            "cast.amount.filler.dosePct=50 %",
            "cast.amount.filler.of=BASE",
            "cast.amount.filler.density=2.7");
    Near.relative(value(filled, "cast.filler"), value(filled, "cast.first") / 2, 1e-9);
    Near.relative(value(filled, "cast.mixed") / 1000, BLOCK_ML * 1.06, 1e-9);
    JobPlan unknown = plan(OYSTER, List.of(), "cast.amount.filler.dosePct=50 %");
    assertFalse(unknown.figures().containsKey("cast.first"));
    assertTrue(
        unknown.plan().amount().orElseThrow().missing().contains("a density is missing"),
        unknown.plan().amount().orElseThrow().missing());
  }

  @Test
  public void asMeasuredAndHowFarOffThatIs() {
    String[] held = {"cast.amount.way=HELD", "cast.amount.heldMm3=200 mL"};
    JobPlan plan = plan(OYSTER, List.of(), held);
    Near.relative(value(plan, "cast.mixed") / 1000, 212, 1e-9);
    Near.relative(value(plan, "cast.more"), 200 / BLOCK_ML - 1, 1e-9);
    assertTrue(caution(plan, "cast.farOff").isEmpty());
    held[1] = "cast.amount.heldMm3=" + 1.11 * BLOCK_ML + " mL";
    Caution far = caution(plan(OYSTER, List.of(), held), "cast.farOff").orElseThrow();
    assertEquals(far.title(), "That is 11 % more than the model takes");
    assertEquals(far.stage(), "casts");
    held[1] = "cast.amount.heldMm3=" + 0.89 * BLOCK_ML + " mL";
    assertTrue(caution(plan(OYSTER, List.of(), held), "cast.farOff").isPresent());
    held[1] = "cast.amount.heldMm3=" + 0.91 * BLOCK_ML + " mL";
    assertTrue(caution(plan(OYSTER, List.of(), held), "cast.farOff").isEmpty());
    // what is not measured yet is computed
    Near.relative(
        value(plan(OYSTER, List.of(), "cast.amount.way=HELD"), "cast.mixed") / 1000,
        BLOCK_ML * 1.06,
        1e-9);
    JobPlan weighed =
        plan(
            OYSTER,
            List.of(),
            "cast.amount.way=WEIGHT",
            "cast.amount.masterG=250 g",
            "cast.amount.factor=0.8",
            "cast.amount.lossPct=0 %");
    Near.relative(value(weighed, "cast.total"), 200, 1e-9);
    JobPlan last = plan(OYSTER, List.of(), "cast.amount.way=LAST", "cast.amount.lastG=190 g");
    Near.relative(value(last, "cast.total"), 190 * 1.06, 1e-9);
  }

  @Test
  public void linesInTheSmallestCupThatHoldsIt() {
    JobPlan plan = plan(OYSTER, CUP);
    double high = value(plan, "cast.secondLine");
    double across = 84 + 24 * high / 140;
    double mm3 = Math.PI / 12 * high * (84 * 84 + 84 * across + across * across);
    Near.relative(mm3, value(plan, "cast.mixed"), 1e-6);
    assertTrue(value(plan, "cast.firstLine") < high);
    Product plaster = ExampleProducts.all().get("sanderling");
    JobPlan powder = plan(plaster, CUP);
    assertTrue(powder.figures().containsKey("cast.second"));
    assertFalse(powder.figures().containsKey("cast.firstLine"), "powder has no line");
  }

  /** Turned over to cast, its parting lies as deep as it stood high. */
  @Test
  public void aTwoPartMouldIsPressedOpen() {
    JobPlan plan = plan(OYSTER, List.of(), "mould.kind=TWO_PART");
    OpeningPart opening = plan.plan().opening().orElseThrow();
    double below = plan.plan().mould().belowMm();
    // a block without a model is parted half way up
    double depth = plan.plan().sprue().isPresent() ? below + 21 : 21;
    double density = plan.plan().cast().orElseThrow().resin().density();
    Near.relative(value(plan, "cast.opens"), density / 1000 * depth * 80 * 55, 1e-6);
    double half = opening.upperG();
    Near.absolute(opening.holdG(), Math.max(0, value(plan, "cast.opens") - half), 1e-6);
  }

  /** A cut stands upright: density × depth of its middle × what of a cast lies in it. */
  @Test
  public void aCutMouldIsPressedOpenSideways() {
    JobPlan plan =
        AnyPlan.picked(Tessellation.box(80, 55, 42), "mould.kind=CUT", "cut.towardsDegrees=0")
            .plan();
    OpeningPart opening = plan.plan().opening().orElseThrow();
    // from its middle out to one side of the block, as deep as half its height
    double below = plan.plan().sprue().isPresent() ? plan.plan().mould().belowMm() : 0;
    double density = plan.plan().cast().orElseThrow().resin().density();
    Near.relative(value(plan, "cast.opens"), density / 1000 * (21 + below) * 40 * 42, 1e-6);
    assertFalse(opening.opensSideways(), "bands hold so little");
    assertEquals(opening.closing(), "Bands that just close it hold that.");
    assertEquals(plan.figures().get("cast.opens").label(), "a cast presses the cut open like");
    JobPlan tall =
        AnyPlan.picked(Tessellation.box(160, 90, 120), "mould.kind=CUT", "cut.towardsDegrees=0")
            .plan();
    assertTrue(value(tall, "cast.opens") > 500);
    assertTrue(tall.plan().opening().orElseThrow().opensSideways());
    assertTrue(close(tall).contains("against both sides of the cut"), close(tall));
    assertFalse(close(plan).contains("against both sides"), close(plan));
  }

  private static String close(JobPlan plan) {
    return plan.steps().casting().stream()
        .filter(t -> t.key().equals("cast.close"))
        .findFirst()
        .orElseThrow()
        .what();
  }

  /** Only whole casts come out of an injector. */
  @Test
  public void aFullInjectorGivesSoManyCasts() {
    List<Edit> workshop = List.of(Edit.of("equipment.waxPotG", "2 kg"));
    JobPlan plan = plan(null, workshop, "cast.material=INJECTED_WAX");
    double each = value(plan, "cast.total");
    assertEquals(value(plan, "cast.shots"), Math.floor(2000 / each));
    assertTrue(value(plan, "cast.shots") >= 2, "" + each);
    assertFalse(plan(null, workshop, "cast.material=WAX").figures().containsKey("cast.shots"));
    assertFalse(
        plan(null, List.of(), "cast.material=INJECTED_WAX").figures().containsKey("cast.shots"));
  }

  @Test
  public void aMixThatStiffensBeforeItIsPoured() {
    // half of 3 min to stir and 0.65 min to pour each, against 80 % of 5 min and less of more
    assertEquals(
        caution(plan(OYSTER, List.of()), "cast.late").map(Caution::text), Optional.empty());
    Caution late =
        caution(plan(OYSTER, List.of(), "cast.series.perMix=6"), "cast.late").orElseThrow();
    assertEquals(late.fixes().get(0).edits(), List.of(Edit.of("cast.series.perMix", "1")));
    assertTrue(
        caution(plan(OYSTER, List.of(Edit.of("rates.CAST_MIX", "9 min"))), "cast.late")
            .orElseThrow()
            .fixes()
            .isEmpty());
  }

  @Test
  public void whenAllAreDoneFollowsTheMoulds() {
    assertEquals(
        CastRun.missing(plan(OYSTER, List.of())), Optional.of("Say how many casts are wanted."));
    // of what nobody has a sheet of, the usual wait counts
    assertEquals(CastRun.missing(plan(null, List.of(), "cast.wanted=20")), Optional.empty());
    JobPlan plan = plan(OYSTER, List.of(), "cast.wanted=20", "rubber.moulds=2");
    assertEquals(CastRun.missing(plan), Optional.empty());
    CastRun run = CastRun.of(plan, NONE, 0);
    assertEquals(run.start(), plan.steps().open());
    assertEquals(run.rows().size(), 8);
    assertEquals(run.chosen().moulds(), 2);
    for (int i = 1; i < 8; i++) {
      CastRun.Row before = run.rows().get(i - 1);
      assertTrue(run.rows().get(i).outcome().medianMin() <= before.outcome().medianMin() + 1e-6);
      assertTrue(run.rows().get(i).used() >= before.used());
    }
    assertEquals(run.chosen().outcome().made().size(), 20);
    long later = run.start() - 3600;
    assertEquals(run.casts(7), 7);
    CastRun ofThree = new CastRun(run.order(), 20, 3, 0, run.rows(), List.of());
    assertEquals(ofThree.casts(1), 3);
    assertEquals(ofThree.casts(7), 20, "no more than are wanted");
    CastRun rest = CastRun.of(plan, made(15, 0), later);
    assertEquals(rest.start(), later, "the mould is open by then");
    assertEquals(rest.order().casts(), 5);
    assertEquals(rest.order().worn(), List.of(15, 1), "what it gave wore on it");
    assertEquals(CastRun.of(plan, NONE, run.start() + 3600).start(), run.start() + 3600);
    // moulds are worn before they are counted here as well
    JobPlan before =
        plan(
            OYSTER,
            List.of(),
            "cast.wanted=20",
            "cast.series.gaveBefore=" + (run.order().mouldLife() - 5));
    assertTrue(CastRun.of(before, NONE, 0).chosen().used() > run.rows().get(0).used());
    // what was scrap counts once there is enough of it, no clean-out among it
    assertEquals(CastRun.of(plan, made(12, 7), later).order().scrap(), 0.05);
    assertEquals(CastRun.of(plan, made(13, 7), later).order().scrap(), 0.35);
    assertTrue(run.chosen().cost() > 0);
    double each = run.chosen().each();
    assertTrue(each > run.chosen().cost() / 20, "what is cast is in it");
    assertTrue(
        CastRun.of(plan(OYSTER, List.of(), "cast.wanted=20", "cast.series.scrapPct=50 %"), NONE, 0)
                .rows()
                .get(1)
                .each()
            > each,
        "scrap is paid for by what is good");
    int life = run.order().mouldLife();
    JobPlan many = plan(OYSTER, List.of(), "cast.wanted=" + 3 * life);
    assertEquals(CastRun.of(many, made(life, 0), later).order().worn(), List.of(life));
    assertEquals(CastRun.of(many, made(life + 3, 0), later).order().worn(), List.of(3));
    assertEquals(run.deeds().get(0).moulds(), List.of(1));
    assertTrue(run.deeds().get(0).pours());
    assertEquals(run.deeds().stream().filter(d -> !d.pours()).count(), 20);
  }

  private static final Made NONE = new Made(List.of());

  private static Made made(int good, int scrap) {
    List<Made.Cast> all = new ArrayList<>();
    for (int i = 1; i <= good + scrap; i++) {
      Made.Result result = i <= good ? Made.Result.GOOD : Made.Result.SCRAP;
      all.add(new Made.Cast(i, Instant.EPOCH, "", 1, result, null, "", 0));
    }
    all.add(new Made.Cast(all.size() + 1, Instant.EPOCH, "", 2, Made.Result.CLEANING, null, "", 0));
    return new Made(all);
  }
}
