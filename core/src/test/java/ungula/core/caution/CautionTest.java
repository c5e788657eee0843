package ungula.core.caution;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.caution.Caution.Level;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.choice.Site;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Patch;
import ungula.core.contact.Preparation;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.Locators;
import ungula.core.job.JobPlan;
import ungula.core.master.MasterMaterial;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.Bowing;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Units;
import ungula.core.rubber.Additive;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.Recoat;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.sprue.Spout;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;

/** What holds for the cautions of any plan, tried on many. */
public class CautionTest {

  private static final List<Product> PRODUCTS =
      ExampleProducts.all().values().stream().filter(p -> p.role() == Product.Role.RUBBER).toList();

  private static final List<Product> CASTS =
      ExampleProducts.all().values().stream().filter(p -> p.role().cast()).toList();

  private record Case(Choices choices, MasterFacts facts, Product product) {

    /** Build coats of a skin are of the softest rubber when they are not of the same. */
    JobPlan plan() {
      return JobPlan.of(
          choices,
          facts,
          new Materials(
              product,
              choices.skin().buildProduct() == null ? null : PRODUCTS.get(PRODUCTS.size() - 1),
              choices.cast().wanted() == null
                  ? null
                  : CASTS.get(choices.cast().wanted() % CASTS.size())),
          Workshop.DEFAULT,
          Planner.box(choices, facts));
    }
  }

  private static String any(Enum<?>[] values, Random r) {
    return values[r.nextInt(values.length)].name();
  }

  private static Case any(Random r) {
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
    edits.add(Edit.of("master.patch", any(Patch.values(), r)));
    edits.add(Edit.of("parting.bedding", any(Bedding.values(), r)));
    edits.add(Edit.of("rubber.bubbles", any(Bubbles.values(), r)));
    edits.add(Edit.of("rubber.additive.kind", any(Additive.Kind.values(), r)));
    edits.add(Edit.of("rubber.additive.dosePct", r.nextBoolean() ? "" : 1 + r.nextInt(12) + " %"));
    edits.add(Edit.of("cast.material", any(CastingMaterial.values(), r)));
    edits.add(Edit.of("cast.wanted", r.nextBoolean() ? "" : String.valueOf(1 + r.nextInt(900))));
    if (r.nextInt(3) == 0) {
      edits.add(Edit.of("mould.insideLengthMm", Math.max(1, l + r.nextInt(80) - 30) + " mm"));
    }
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), edits, product);
    return new Case(c, facts, product);
  }

  @Test
  public void everyFixOfAnyPlanImprovesIt() {
    Random random = new Random(21);
    int fixes = 0;
    for (int i = 0; i < 400; i++) {
      Case c = any(random);
      for (Caution caution : c.plan().cautions()) {
        for (Caution.Fix fix : caution.fixes()) {
          fixes++;
          Choices after = ChoiceWords.edit(c.choices, fix.edits(), c.product);
          JobPlan fixed = new Case(after, c.facts, c.product).plan();
          assertFalse(
              fixed.cautions().stream().anyMatch(left -> left.equals(caution)),
              fix.label() + " leaves " + caution.title());
        }
      }
    }
    assertTrue(fixes > 300, "only " + fixes + " fixes were tried");
  }

  @Test
  public void cautionsComeWorstFirstEachOnceAndInWords() {
    Random random = new Random(22);
    for (int i = 0; i < 200; i++) {
      List<Caution> cautions = any(random).plan().cautions();
      Level before = Level.STOP;
      List<String> ids = new ArrayList<>();
      for (Caution c : cautions) {
        assertTrue(c.level().compareTo(before) >= 0);
        before = c.level();
        assertFalse(ids.contains(c.id()), c.id() + " twice");
        ids.add(c.id());
        assertTrue(List.of("master", "mould", "rubber", "pours").contains(c.stage()));
        assertFalse(c.title().contains("NaN") || c.text().contains("NaN"), c.toString());
      }
    }
  }

  @Test
  public void figuresOfAnyPlanAddUp() {
    Random random = new Random(23);
    for (int i = 0; i < 300; i++) {
      Case c = any(random);
      JobPlan plan = c.plan();
      var f = plan.figures();
      double box = f.get("rubber.box").value();
      assertTrue(box >= 0);
      Near.absolute(
          f.get("rubber.mix").value(), box + f.get("rubber.allowance").value(), 1e-6 * (box + 1));
      if (plan.plan().firstMix().isPresent()) {
        double total = weighed(f, "mix");
        Near.relative(f.get("mix.total").value(), total, 1e-9);
        double first = firstPour(plan, box);
        double mixed = first * f.get("rubber.mix").value();
        double batches = f.containsKey("batch.count") ? f.get("batch.count").value() : 1;
        if (f.containsKey("rest.base")) {
          // the first covers the master, the rest are equal and smaller
          double rest = weighed(f, "rest");
          assertTrue(rest < total);
          double density = total / f.get("mix.volume").value();
          Near.absolute((total + (batches - 1) * rest) / density, mixed, 1e-6 * (mixed + 1));
        } else {
          Near.absolute(batches * f.get("mix.volume").value(), mixed, 1e-6 * (mixed + 1));
        }
      }
      f.values().forEach(x -> assertTrue(Double.isFinite(x.value()), x.key()));
    }
  }

  /** Base, hardener and what is stirred in. */
  private static double weighed(Map<String, Figure> f, String keys) {
    return f.get(keys + ".base").value()
        + f.get(keys + ".hardener").value()
        + (f.containsKey(keys + ".additive") ? f.get(keys + ".additive").value() : 0);
  }

  /** What is mixed first, as a share of all: a half, the detail coat, or everything. */
  private static double firstPour(JobPlan plan, double box) {
    if (plan.plan().skin().isPresent()) {
      double coats =
          plan.plan().skin().get().coats().stream()
              .mapToDouble(k -> plan.figures().get("coat." + k.number() + ".volume").value())
              .sum();
      return plan.figures().get("coat.1.volume").value() / coats;
    }
    return plan.plan().parting().map(x -> box > 0 ? x.upperMm3() / box : 0.5).orElse(1.0);
  }

  @Test
  public void moreWallNeverTakesLessRubber() {
    Random random = new Random(24);
    for (int i = 0; i < 100; i++) {
      Case c = any(random);
      double before = -1;
      for (int wall = 0; wall <= 40; wall += 8) {
        Choices wider =
            ChoiceWords.edit(
                c.choices,
                List.of(
                    Edit.of("mould.sidesMm", wall + " mm"), Edit.of("mould.insideLengthMm", "")),
                c.product);
        double rubber =
            new Case(wider, c.facts, c.product).plan().figures().get("rubber.box").value();
        assertTrue(rubber >= before - 1e-6, rubber + " after " + before);
        before = rubber;
      }
    }
  }

  @Test
  public void ribsAreNamedWithTheirSpacing() {
    MasterFacts tall =
        new MasterFacts(
            new Vec3(300, 200, 150),
            new Vec3(0, 0, 150),
            FillCurve.even(300 * 200 * 100, 0, 150),
            60_000,
            null,
            null,
            "made up");
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC),
            List.of(Edit.of("mould.sheet", "ACRYLIC_3")),
            PRODUCTS.get(0));
    JobPlan plan = JobPlan.of(c, tall, PRODUCTS.get(0), Workshop.DEFAULT);
    Caution bows =
        plan.cautions().stream().filter(x -> x.id().equals("box.bows")).findFirst().orElseThrow();
    Caution.Fix ribs = bows.fixes().get(0);
    assertTrue(ribs.label().matches("\\d+ ribs? on the long walls, every \\d+ mm"), ribs.label());
    double spacing = Double.parseDouble(ribs.edits().get(0).text().replace(" mm", ""));
    assertEquals(spacing % 5, 0.0);
    assertTrue(
        Bowing.of(spacing, 160, SheetStock.ACRYLIC_3, 1.1).mm() <= Bowing.limitMm(12) + 0.05);
    assertTrue(bows.place() != null);
  }
}
