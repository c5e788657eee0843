package ungula.core.approach;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import ungula.core.mould.BoxMould;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.working.Working;

/** What a mould takes of one's time, by rule of thumb: to compare moulds, not to plan days. */
final class Labour {

  private static final double BOX_H = 0.4;
  private static final double JOINT_H_PER_M = 0.25;
  private static final double POUR_H = 0.4;
  private static final double BED_H = 0.4;
  private static final double SEAM_H_PER_M = 2;
  private static final double CLEAN_H = 0.3;
  private static final double CUT_H_PER_DM2 = 0.15;
  private static final double OPEN_H = 0.25;
  private static final double CORE_H = 0.8;

  private double hours;
  private final Working.Builder working = Working.of("hands-on time = sum of the steps");

  /** Of everything a plan's mould takes. */
  static Labour of(Plan plan, Units units) {
    Labour l = new Labour();
    if (plan.skin().isPresent()) {
      l.step("board and joint", BOX_H);
      l.step("at the brush", plan.figures().get("skin.hands").value() / 60);
      l.step("jacket", plan.figures().get("jacket.hands").value() / 60);
      l.step("opening it", OPEN_H);
      return l;
    }
    BoxMould box = plan.box().orElseThrow();
    l.step(
        "box, " + Length.format(box.sealMm(), units) + " of joints",
        BOX_H + JOINT_H_PER_M * box.sealMm() / 1000);
    plan.parting()
        .ifPresent(
            p -> {
              l.step(
                  "bedding, " + Length.format(p.seamMm(), units) + " of seam",
                  BED_H + SEAM_H_PER_M * p.seamMm() / 1000);
              l.step("cleaning and release between the pours", CLEAN_H);
            });
    int pours = pours(plan);
    l.step(pours == 1 ? "one pour" : pours + " pours", pours * POUR_H);
    plan.cut()
        .ifPresent(
            c ->
                l.step(
                    "cutting, " + Numbers.fixed(c.areaMm2() / 100, 0) + " cm²",
                    CUT_H_PER_DM2 * c.areaMm2() / 10_000));
    plan.core().ifPresent(c -> l.step("core and its pins", CORE_H));
    l.step("opening it", OPEN_H);
    return l;
  }

  static int pours(Plan plan) {
    return plan.parting().isPresent() ? 2 : 1;
  }

  private void step(String name, double h) {
    hours += h;
    working.given(name, Numbers.fixed(h, 1) + " h", name.equals("opening it") ? DEFAULT : COMPUTED);
  }

  double hours() {
    return hours;
  }

  Working working() {
    return working.step("By rule of thumb: to compare moulds by.").done();
  }
}
