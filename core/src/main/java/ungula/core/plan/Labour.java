package ungula.core.plan;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
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

  /** Adds the figure of everything a plan's mould takes. */
  static void add(Planner p) {
    Labour l = new Labour();
    boolean skin = !p.poured();
    if (skin && !p.figures.has("jacket.hands")) {
      return;
    }
    if (skin) {
      l.step("board and joint", BOX_H);
      l.step("at the brush", p.figures.value("skin.hands") / 60);
      l.step("jacket", p.figures.value("jacket.hands") / 60);
    } else {
      l.box(p);
    }
    l.step("opening it", OPEN_H);
    p.figures.put(
        "job.hands",
        "work by hand",
        l.hours,
        Numbers.fixed(l.hours, 1) + " h",
        l.working.step("By rule of thumb: to compare moulds by.").done());
  }

  private void box(Planner p) {
    double seal = p.box.sealMm();
    step(
        "box, " + Length.format(seal, p.units) + " of joints", BOX_H + JOINT_H_PER_M * seal / 1000);
    if (p.parting != null) {
      step(
          "bedding, " + Length.format(p.parting.seamMm(), p.units) + " of seam",
          BED_H + SEAM_H_PER_M * p.parting.seamMm() / 1000);
      step("cleaning and release between the pours", CLEAN_H);
    }
    int pours = p.parting != null ? 2 : 1;
    step(pours == 1 ? "one pour" : pours + " pours", pours * POUR_H);
    if (p.cut != null) {
      step(
          "cutting, " + Numbers.fixed(p.cut.areaMm2() / 100, 0) + " cm²",
          CUT_H_PER_DM2 * p.cut.areaMm2() / 10_000);
    }
    if (p.facts.core() != null) {
      step("core and its pins", CORE_H);
    }
  }

  private void step(String name, double h) {
    hours += h;
    working.given(name, Numbers.fixed(h, 1) + " h", name.equals("opening it") ? DEFAULT : COMPUTED);
  }
}
