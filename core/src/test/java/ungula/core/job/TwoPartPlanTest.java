package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.cutline.CutPlanes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.parting.PartedMaster;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.rubber.ExampleProducts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;
import ungula.core.workshop.Workshop;

/** A mould in two parts: what carries its master, and what registers its halves. */
public class TwoPartPlanTest {

  private static final Product MARRAM = ExampleProducts.all().get("marram-20");

  /** A cone of Ø 86 to Ø 70 over 120 mm, lying along x. */
  private static final TriangleMesh CONE =
      Tessellation.turned(new double[][] {{0, 0}, {43, 0}, {35, 120}, {0, 120}}, 720);

  private static JobPlan plan(String... words) {
    Pose pose = new Pose(Rotation.about(new Vec3(0, 1, 0), 90), 10);
    PosedMaster lying = PosedMaster.of(CONE, 1, pose);
    MasterFacts facts =
        MasterFacts.of(
            lying,
            new PartedMaster(lying),
            new CutPlanes(lying.mesh()),
            MeshReport.of(CONE, Progress.NONE).report(),
            null,
            "cone");
    Stream<String> all =
        Stream.concat(
            Stream.of("master.source=FILE", "mould.kind=TWO_PART", "pose.liftMm=10 mm"),
            Arrays.stream(words));
    Choices choices = Choices.fresh(Units.METRIC);
    for (String w : all.toList()) {
      Edit edit = Edit.of(w.substring(0, w.indexOf('=')), w.substring(w.indexOf('=') + 1));
      choices = ChoiceWords.edit(choices, List.of(edit), MARRAM);
    }
    return JobPlan.of(choices, facts, MARRAM, Workshop.DEFAULT);
  }

  private static double value(JobPlan plan, String key) {
    return plan.figures().get(key).value();
  }

  @Test
  public void risersStandWhereTheUserSetsThem() {
    JobPlan usual = plan("parting.bedding=BOARD");
    double left = value(usual, "parting.riserLeft");
    double right = value(usual, "parting.riserRight");
    // a tenth of the length in, the axis 53 mm up: under radii of 35.8 and 42.2 mm
    Near.absolute(Math.min(left, right), 53 - 42.2, 0.02);
    Near.absolute(Math.max(left, right), 53 - 35.8, 0.02);
    JobPlan set = plan("parting.bedding=BOARD", "parting.riserLeftMm=30 mm");
    // 18 mm further in, the radius is 8/120 of that nearer to the middle's
    Near.absolute(Math.abs(value(set, "parting.riserLeft") - left), 18 * 8 / 120.0, 0.02);
    assertEquals(value(set, "parting.riserRight"), right);
    List<String> cut =
        set.plan().cuts().orElseThrow().parts().stream()
            .filter(p -> p.name().startsWith("Riser"))
            .map(p -> p.name() + ": " + p.note())
            .toList();
    assertEquals(cut.size(), 2, cut.toString());
    assertTrue(cut.get(0).contains("30 mm in from the left end"), cut.toString());
    assertTrue(plan().plan().halves().orElseThrow().risers().isEmpty(), "clay carries it");
  }

  @Test
  public void theSealRingIsAsItIsAskedFor() {
    JobPlan usual = plan("parting.keying=RING", "mould.sidesMm=25 mm");
    JobPlan out = plan("parting.keying=RING", "mould.sidesMm=25 mm", "parting.ring.offsetMm=14 mm");
    // a line 5 mm further out round corners is longer by what a circle of 5 mm is round
    Near.absolute(value(out, "parting.ring") - value(usual, "parting.ring"), 2 * Math.PI * 5, 0.2);
    JobPlan deep =
        plan(
            "parting.keying=RING",
            "mould.sidesMm=25 mm",
            "parting.ring.widthMm=8 mm",
            "parting.ring.heightMm=10 mm");
    // the ridge is the lower half's: its foot 8, its top two thirds of that, 10 high, not 6 × 6
    double ring = value(usual, "parting.ring");
    double more = ring * (8 * 5 / 6.0 * 10 - 6 * 5 / 6.0 * 6);
    Near.relative(value(deep, "parting.lower") - value(usual, "parting.lower"), more, 0.01);
  }
}
