package ungula.core.job;

import static ungula.core.PlanCount.SMALL;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.Golden;
import ungula.core.PlanCount;
import ungula.core.Shapes;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.workshop.Workshop;

/** What plans of models come to, many of them picked for what is rarely met at random. */
public class PickedPlansTest {

  private static final TriangleMesh CUP =
      Tessellation.turned(
          new double[][] {{0, 0}, {30, 0}, {34, 60}, {30, 60}, {26, 5}, {0, 5}}, 24);

  private static final TriangleMesh VASE =
      Tessellation.turned(
          new double[][] {{0, 0}, {20, 0}, {40, 30}, {12, 70}, {22, 90}, {0, 90}}, 24);

  /** Two cubes on one plate. */
  private static final TriangleMesh PAIR =
      Shapes.both(Tessellation.box(30, 30, 40), Tessellation.box(30, 30, 40), new Vec3(60, 5, 0));

  /** What is rarely met at random: masters on a plate, skins with jackets, hollow casts, … */
  private static final String[][] PICKED = {
    {"mould.kind=CUT", "cast.product=any", "cast.wanted=24", "channels.ventMm=2 mm"},
    {"mould.kind=CUT", "casting.vent=0 0.3 0.3", "pose.liftMm=8 mm", "cut.towardsDegrees=40"},
    {"mould.kind=TWO_PART", "parting.keying=RING", "mould.sidesMm=20 mm"},
    {"mould.kind=TWO_PART", "rubber.bubbles=VACUUM_TWO_CUPS", "rubber.batches=3"},
    {"mould.kind=OPEN", "rubber.sealingMm=4 mm", "rubber.offcutsMm3=20 mL", "rubber.moulds=3"},
    {"mould.kind=OPEN", "rubber.additive.dosePct=3 %", "rubber.allowancePct=9 %"},
    {"mould.kind=OPEN", "plate.copies=3", "plate.laying=CLOSE", "plate.landMm=12 mm"},
    {"mould.kind=OPEN", "hollow.wallMm=4 mm"},
    {"mould.kind=CUT", "hollow.wallMm=6 mm", "pose.liftMm=6 mm"},
    {"mould.kind=SKIN", "skin.thickener=STIFF", "skin.clothAfter=2", "jacket.sections=3"},
    {"mould.kind=SKIN", "jacket.kind=PUTTY", "jacket.locators=BUTTONS", "skin.wallMm=8 mm"},
    {"mould.kind=SKIN", "jacket.kind=LAMINATE", "skin.opening=CUT", "skin.recoat=SET"},
    {"mould.kind=SKIN", "site.place=OUTDOORS", "site.tripG=900 g", "skin.flangeMm=60 mm"},
    {"mould.kind=OPEN", "hollow.wallMm=1.4 mm"},
    {"mould.kind=TWO_PART", "casting.vent=3 0.3 0.3", "lying.on=FRONT"},
  };

  private static final TriangleMesh[] MODELS = {
    Tessellation.box(80, 55, 42), Tessellation.torus(30, 9, 24, 16), CUP, VASE
  };

  /** What is planned; made once, whatever becomes of the rules meanwhile. */
  private static final List<AnyPlan> JOBS = jobs();

  private static List<AnyPlan> jobs() {
    Random random = new Random(71);
    List<AnyPlan> jobs = new ArrayList<>();
    for (int i = 0; i < 60; i++) {
      jobs.add(AnyPlan.of(MODELS[i % MODELS.length], random));
    }
    for (int i = 0; i < 40; i++) {
      jobs.add(AnyPlan.any(random));
    }
    TriangleMesh[] shapes = {VASE, PAIR, CUP};
    for (int i = 0; i < PICKED.length; i++) {
      AnyPlan picked = AnyPlan.picked(shapes[i % shapes.length], PICKED[i]);
      jobs.add(picked);
      jobs.add(picked);
    }
    return List.copyOf(jobs);
  }

  @Test
  public void theyComeToWhatTheyCameTo() throws IOException {
    PlanCount count = new PlanCount();
    for (int i = 0; i < JOBS.size(); i++) {
      count.count(JOBS.get(i).plan(i % 2 == 0 ? SMALL : Workshop.DEFAULT));
    }
    Golden.same(PickedPlansTest.class, "picked-plans.txt", count.said());
  }
}
