package ungula.core.step;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Optional;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** What a mould takes of one's time, by rule of thumb: to compare moulds, not to plan days. */
public final class Labour {

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

  private Labour() {}

  /** Hours by hand; empty while the mould is not known. */
  public static Optional<Labour> of(Plan p) {
    if (p.box().isEmpty() || !p.poured() && p.jacket().isEmpty()) {
      return Optional.empty();
    }
    Labour l = new Labour();
    if (p.poured()) {
      l.box(p);
    } else {
      l.step("board and joint", BOX_H);
      l.step("at the brush", p.skin().orElseThrow().handsMin() / 60);
      l.step("jacket", p.jacket().orElseThrow().needs().handsMin() / 60);
    }
    l.step("opening it", OPEN_H);
    return Optional.of(l);
  }

  public double hours() {
    return hours;
  }

  public void show(FigureBook figures) {
    figures.put(
        "job.hands",
        "work by hand",
        hours,
        Numbers.fixed(hours, 1) + " h",
        working.step("By rule of thumb: to compare moulds by.").done());
  }

  private void box(Plan p) {
    double seal = p.mould().sealMm();
    step(
        "box, " + Length.format(seal, p.units()) + " of joints",
        BOX_H + JOINT_H_PER_M * seal / 1000);
    p.parting()
        .ifPresent(
            parting -> {
              step(
                  "bedding, " + Length.format(parting.seamMm(), p.units()) + " of seam",
                  BED_H + SEAM_H_PER_M * parting.seamMm() / 1000);
              step("cleaning and release between the pours", CLEAN_H);
            });
    int pours = p.parting().isPresent() ? 2 : 1;
    step(pours == 1 ? "one pour" : pours + " pours", pours * POUR_H);
    p.cut()
        .ifPresent(
            cut ->
                step(
                    "cutting, " + Numbers.fixed(cut.areaMm2() / 100, 0) + " cm²",
                    CUT_H_PER_DM2 * cut.areaMm2() / 10_000));
    if (p.facts().core() != null) {
      step("core and its pins", CORE_H);
    }
  }

  private void step(String name, double h) {
    hours += h;
    working.given(name, Numbers.fixed(h, 1) + " h", name.equals("opening it") ? DEFAULT : COMPUTED);
  }
}
