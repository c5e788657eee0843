package ungula.core;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobPlan;
import ungula.core.mesh.FillCurve;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** Casts of a block of 80 × 55 × 42 mm, 184.8 mL, in a rubber of the examples. */
public final class CastPlans {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  private CastPlans() {}

  public static JobPlan of(Product cast, List<Edit> workshop, String... edits) {
    MasterFacts facts =
        new MasterFacts(
            new Vec3(80, 55, 42),
            new Vec3(0, 0, 42),
            FillCurve.even(80 * 55 * 42, 0, 42),
            80 * 55,
            null,
            null,
            "made up");
    List<Edit> all =
        Stream.concat(
                Stream.of("master.source=MEASURED", "rubber.product=marram-20"),
                Arrays.stream(edits))
            .map(e -> e.split("=", 2))
            .map(e -> Edit.of(e[0], e[1]))
            .toList();
    Choices c = ChoiceWords.edit(Choices.fresh(Units.METRIC), all, MARRAM);
    Workshop shop = Workshop.words().edit(Workshop.DEFAULT, workshop, Units.METRIC);
    return JobPlan.of(
        c,
        Recorded.NOTHING,
        facts,
        new Materials(MARRAM, null, cast),
        shop,
        Planner.box(c, facts),
        Diary.PLAIN);
  }
}
