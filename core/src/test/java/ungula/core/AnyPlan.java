package ungula.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import ungula.core.choice.CastAmount;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.choice.Site;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.days.Diary;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.Locators;
import ungula.core.job.JobPlan;
import ungula.core.master.MasterMaterial;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;
import ungula.core.plan.CoreFacts;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.Additive;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.Recoat;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.sprue.Spout;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.workshop.Workshop;

/** A job with choices, master and rubber picked at random, and what follows from them. */
public record AnyPlan(Choices choices, Recorded recorded, MasterFacts facts, Product product) {

  public static final List<Product> PRODUCTS =
      ExampleProducts.all().values().stream().filter(p -> p.role() == Product.Role.RUBBER).toList();

  public static final List<Product> CASTS =
      ExampleProducts.all().values().stream().filter(p -> p.role().cast()).toList();

  /** Build coats of a skin are of the softest rubber when they are not of the same. */
  public JobPlan plan() {
    return plan(Workshop.DEFAULT);
  }

  public JobPlan plan(Workshop workshop) {
    return JobPlan.of(
        choices,
        recorded,
        facts,
        new Materials(
            product,
            choices.skin().buildProduct() == null ? null : PRODUCTS.get(PRODUCTS.size() - 1),
            choices.cast().wanted() == null
                ? null
                : CASTS.get(choices.cast().wanted() % CASTS.size())),
        workshop,
        Planner.box(choices, facts),
        Diary.PLAIN);
  }

  /** After edits of what is decided, and of what happened. */
  public AnyPlan with(List<Edit> edits) {
    return new AnyPlan(
        ChoiceWords.edit(
            choices, edits.stream().filter(e -> !Recorded.has(e.word())).toList(), product),
        recorded.edit(edits.stream().filter(e -> Recorded.has(e.word())).toList(), choices.units()),
        facts,
        product);
  }

  private static String any(Enum<?>[] values, Random r) {
    return values[r.nextInt(values.length)].name();
  }

  /** The same of a master there is a model of. */
  public static AnyPlan of(TriangleMesh mesh, Random r) {
    AnyPlan any = any(r);
    Choices c =
        ChoiceWords.edit(any.choices, List.of(Edit.of("master.source", "FILE")), any.product);
    return new AnyPlan(c, any.recorded, Modelled.facts(mesh, c), any.product);
  }

  /**
   * Of a master there is a model of, with what is decided picked too.
   *
   * @param words such as {@code mould.kind=CUT}
   */
  public static AnyPlan picked(TriangleMesh master, String... words) {
    Product rubber = PRODUCTS.get(0);
    List<Edit> edits = new ArrayList<>(List.of(Edit.of("rubber.product", "any")));
    for (String word : words) {
      String[] said = word.split("=", 2);
      edits.add(Edit.of(said[0], said[1]));
    }
    Choices model =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC), List.of(Edit.of("master.source", "FILE")), rubber);
    Choices c = ChoiceWords.edit(model, edits, rubber);
    MasterFacts facts = Modelled.facts(master, c);
    if (c.hollow().wallMm() != null) {
      Optional<HollowCore> core =
          HollowCore.of(
              PosedMaster.of(master, 1, c.pose(), c.laid()).mesh(),
              facts.baseOpen(c.pose().liftMm()),
              c.hollow().wallMm(),
              Parallel.ALL,
              Progress.NONE);
      facts = facts.with(new CoreFacts(core.orElse(null)));
    }
    return new AnyPlan(c, Recorded.NOTHING, facts, rubber);
  }

  public static AnyPlan any(Random r) {
    double l = 10 + r.nextInt(300);
    double w = 10 + r.nextInt(300);
    double h = 5 + r.nextInt(300);
    double fill = 0.1 + 0.9 * r.nextDouble();
    MasterFacts facts =
        new MasterFacts(
            new Vec3(l, w, h),
            new Vec3(0, 0, h),
            FillCurve.even(l * w * h * fill, 0, h),
            l * w * r.nextDouble(),
            null,
            null,
            "made up");
    Product product = PRODUCTS.get(r.nextInt(PRODUCTS.size()));
    List<Edit> edits = new ArrayList<>();
    edits.add(Edit.of("master.source", "MEASURED"));
    edits.add(Edit.of("mould.sidesMm", r.nextInt(40) + " mm"));
    edits.add(Edit.of("mould.shape", any(BoxShape.values(), r)));
    edits.add(Edit.of("mould.overTopMm", r.nextInt(60) - 15 + " mm"));
    edits.add(Edit.of("pose.liftMm", (r.nextBoolean() ? 0 : r.nextInt(30)) + " mm"));
    edits.add(Edit.of("mould.sheet", any(SheetStock.values(), r)));
    edits.add(Edit.of("mould.fixing", any(Fixing.values(), r)));
    edits.add(Edit.of("mould.kind", any(MouldKind.values(), r)));
    edits.add(Edit.of("parting.keying", any(Keying.values(), r)));
    edits.add(Edit.of("parting.line", any(PartingLine.values(), r)));
    edits.add(Edit.of("parting.upMm", r.nextBoolean() ? "" : r.nextInt(300) + " mm"));
    edits.add(Edit.of("channels.spout", any(Spout.values(), r)));
    edits.add(Edit.of("channels.sprueMm", r.nextBoolean() ? "" : 1 + r.nextInt(20) + " mm"));
    edits.add(Edit.of("channels.resin.viscosityPas", String.valueOf(0.1 + r.nextInt(5))));
    edits.add(Edit.of("rubber.product", "any"));
    edits.add(Edit.of("skin.wallMm", r.nextBoolean() ? "" : 2 + r.nextInt(24) + " mm"));
    edits.add(Edit.of("skin.detailMm", 0.5 + r.nextInt(3) + " mm"));
    edits.add(Edit.of("skin.buildMm", 1 + r.nextInt(8) + " mm"));
    edits.add(Edit.of("skin.thickener", any(Thickener.values(), r)));
    edits.add(Edit.of("skin.buildProduct", r.nextBoolean() ? "" : "other"));
    edits.add(Edit.of("skin.smoothingMm", r.nextBoolean() ? "" : "1 mm"));
    edits.add(Edit.of("skin.clothAfter", r.nextBoolean() ? "" : "2"));
    edits.add(Edit.of("skin.recoat", any(Recoat.values(), r)));
    edits.add(Edit.of("skin.gap", "1 " + any(Recoat.values(), r)));
    edits.add(Edit.of("skin.opening", any(TakenOff.values(), r)));
    edits.add(Edit.of("jacket.locators", any(Locators.values(), r)));
    edits.add(Edit.of("site.place", any(Site.Place.values(), r)));
    edits.add(Edit.of("site.wind", any(Site.Wind.values(), r)));
    edits.add(Edit.of("site.degreesC", r.nextBoolean() ? "" : 5 + r.nextInt(35) + " °C"));
    edits.add(Edit.of("master.material", any(MasterMaterial.values(), r)));
    edits.add(Edit.of("master.preparation", any(Preparation.values(), r)));
    edits.add(Edit.of("parting.bedding", any(Bedding.values(), r)));
    edits.add(Edit.of("rubber.sealingMm", r.nextBoolean() ? "" : 5 + r.nextInt(8) + " mm"));
    edits.add(Edit.of("rubber.bubbles", any(Bubbles.values(), r)));
    edits.add(Edit.of("rubber.additive.kind", any(Additive.Kind.values(), r)));
    edits.add(Edit.of("rubber.additive.dosePct", r.nextBoolean() ? "" : 1 + r.nextInt(12) + " %"));
    edits.add(Edit.of("cast.material", any(CastingMaterial.values(), r)));
    edits.add(Edit.of("cast.wanted", r.nextBoolean() ? "" : String.valueOf(1 + r.nextInt(900))));
    if (r.nextInt(3) == 0) {
      edits.add(Edit.of("mould.insideLengthMm", Math.max(1, l + r.nextInt(80) - 30) + " mm"));
    }
    // of what was asked about later, so that the rest stays as it was
    Random more = new Random(Double.doubleToLongBits(l + 1000 * h + w));
    edits.add(Edit.of("rubber.also.dosePct", more.nextInt(3) == 0 ? "1 %" : ""));
    edits.add(Edit.of("cast.amount.filler.dosePct", more.nextInt(3) == 0 ? "20 %" : ""));
    edits.add(Edit.of("cast.amount.filler.density", "0.3"));
    edits.add(Edit.of("cast.amount.also.dosePct", more.nextInt(3) == 0 ? "2 %" : ""));
    edits.add(Edit.of("cast.amount.also.density", "2"));
    edits.add(Edit.of("cast.amount.inserts", more.nextInt(4) == 0 ? "2" : ""));
    edits.add(Edit.of("cast.amount.way", any(CastAmount.Way.values(), more)));
    edits.add(Edit.of("cast.amount.heldMm3", more.nextBoolean() ? "" : h * w + " mL"));
    edits.add(Edit.of("cast.pressureKpa", more.nextInt(3) == 0 ? "400 kPa" : ""));
    edits.add(Edit.of("cast.series.releaseEvery", more.nextBoolean() ? "" : "5"));
    edits.add(Edit.of("cast.series.perMix", String.valueOf(1 + more.nextInt(3))));
    edits.add(Edit.of("cast.series.marginPct", more.nextBoolean() ? "" : "40 %"));
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), edits, product);
    Recorded patched = Recorded.of(Map.of("master.patch", any(Patch.values(), r)));
    return new AnyPlan(c, patched, facts, product);
  }
}
