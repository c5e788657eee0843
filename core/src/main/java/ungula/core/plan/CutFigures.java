package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import ungula.core.cutline.CutLine;
import ungula.core.cutline.CutPlanes;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.working.Working;

/** The numbers of a block that is opened with a knife. */
final class CutFigures {

  private CutFigures() {}

  /** Works the cut out, and adds its figures to the plan's. */
  static CutLine add(Planner p) {
    FacetSet clean = p.choices.marks().of(Mark.KEEP_CLEAN);
    Double wanted = p.choices.cut().towardsDegrees();
    CutPlanes planes = p.facts.cuts();
    CutLine cut = wanted == null ? planes.best(p.box, clean) : planes.towards(wanted, p.box, clean);
    p.figures.put(
        "cut.towards",
        "the cut runs",
        cut.degrees(),
        cut.side(),
        wanted == null
            ? Working.of(
                    "of planes every 15° the one with the least: rubber locked ÷ master + seam on"
                        + " what is kept clean ÷ seam + a tenth of the area cut ÷ the most")
                .given("seen from above", "0° is to the right, 90° to the back", COMPUTED)
                .done()
            : Working.of("as asked for; 0° is to the right, 90° to the back")
                .given("towards", Numbers.fixed(wanted, 0) + "°", CHOSEN)
                .done());
    p.figures.put(
        "cut.area",
        "rubber to cut through",
        cut.areaMm2(),
        Numbers.fixed(cut.areaMm2() / 100, 0) + " cm²",
        Working.of("from the middle to the wall × pour line − master in that half plane")
            .given("pour line", Length.format(p.box.pourLineMm(), p.units), COMPUTED)
            .done());
    p.figures.length(
        "cut.seam",
        "seam of the cut",
        cut.seamMm(),
        Working.of("outline of the master in the half plane of the cut").done());
    if (!clean.isEmpty()) {
      p.figures.length(
          "cut.clean",
          "seam on what is to stay clean",
          cut.seamOnCleanMm(),
          Working.of("how much of the seam runs over facets marked so").done());
    }
    p.figures.length(
        "cut.shallowest",
        "shallowest rubber over the cut",
        cut.shallowestMm(),
        Working.of("from the wall to the master, along the cut").done());
    p.figures.volume(
        "cut.locked",
        "rubber locked as it opens",
        cut.lockedMm3(),
        Working.of("rubber with master in its way, pulled to both sides of the cut")
            .given(
                "of the master",
                Numbers.fixed(100 * cut.lockedMm3() / Math.max(1e-9, p.masterMm3), 0) + " %",
                COMPUTED)
            .given("the master", Volume.format(p.masterMm3, p.units), COMPUTED)
            .done());
    return cut;
  }
}
