package ungula.core.caution;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.Near;
import ungula.core.caution.Caution.Level;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mesh.FillCurve;
import ungula.core.mould.Bowing;
import ungula.core.mould.SheetStock;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;

/** What holds for the cautions of any plan, tried on many. */
public class CautionTest {

  /** Of each caution the first few that come up. */
  @Test
  public void everyFixOfAnyPlanImprovesIt() {
    int fixes = 0;
    Map<String, Integer> met = new HashMap<>();
    for (AnyPlans.Planned p : AnyPlans.first(200)) {
      AnyPlan c = p.any();
      for (Caution caution : p.plan().cautions()) {
        if (met.merge(caution.id(), 1, Integer::sum) > 8) {
          continue;
        }
        for (Caution.Fix fix : caution.fixes()) {
          fixes++;
          JobPlan fixed = c.with(fix.edits()).plan();
          assertFalse(
              fixed.cautions().stream().anyMatch(left -> left.equals(caution)),
              fix.label() + " leaves " + caution.title());
        }
      }
    }
    assertTrue(fixes > 100, "only " + fixes + " fixes were tried");
  }

  @Test
  public void cautionsComeWorstFirstEachOnceAndInWords() {
    for (AnyPlans.Planned p : AnyPlans.first(200)) {
      List<Caution> cautions = p.plan().cautions();
      Level before = Level.STOP;
      List<String> ids = new ArrayList<>();
      for (Caution c : cautions) {
        assertTrue(c.level().compareTo(before) >= 0);
        before = c.level();
        assertFalse(ids.contains(c.id()), c.id() + " twice");
        ids.add(c.id());
        assertTrue(List.of("master", "mould", "rubber", "pours", "casts").contains(c.stage()));
        assertFalse(c.title().contains("NaN") || c.text().contains("NaN"), c.toString());
      }
    }
  }

  @Test
  public void figuresOfAnyPlanAddUp() {
    for (AnyPlans.Planned p : AnyPlans.first(300)) {
      JobPlan plan = p.plan();
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
        int batches = plan.plan().mix().orElseThrow().pours().get(0).batches();
        double density = total / f.get("mix.volume").value();
        if (f.containsKey("sealing.base")) {
          mixed -= weighed(f, "sealing") / density;
        }
        if (f.containsKey("rest.base")) {
          // the first covers the master, the rest are equal and smaller
          double rest = weighed(f, "rest");
          assertTrue(rest < total);
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
        + (f.containsKey(keys + ".additive") ? f.get(keys + ".additive").value() : 0)
        + (f.containsKey(keys + ".also") ? f.get(keys + ".also").value() : 0);
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
      AnyPlan c = AnyPlan.any(random);
      double before = -1;
      for (int wall = 0; wall <= 40; wall += 8) {
        Choices wider =
            ChoiceWords.edit(
                c.choices(),
                List.of(
                    Edit.of("mould.sidesMm", wall + " mm"), Edit.of("mould.insideLengthMm", "")),
                c.product());
        double rubber =
            new AnyPlan(wider, c.recorded(), c.facts(), c.product())
                .plan()
                .figures()
                .get("rubber.box")
                .value();
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
            AnyPlan.PRODUCTS.get(0));
    JobPlan plan = JobPlan.of(c, tall, AnyPlan.PRODUCTS.get(0), Workshop.DEFAULT);
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
