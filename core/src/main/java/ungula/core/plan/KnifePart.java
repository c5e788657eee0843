package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;

import java.util.Optional;
import ungula.core.choice.Choices;
import ungula.core.cutline.CutLine;
import ungula.core.cutline.CutPlanes;
import ungula.core.cutline.Extent;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldKind;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.study.Parted;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** A block that is opened with a knife. */
public record KnifePart(Brief brief, MasterPart master, BoxMould box, CutLine cut) implements Part {

  /** Empty for any other mould, and while the master's shape is not known. */
  static Optional<KnifePart> of(Brief b, MasterPart master, BoxMould box) {
    CutPlanes planes = b.facts().cuts();
    if (b.choices().mould().kind() != MouldKind.CUT || planes == null) {
      return Optional.empty();
    }
    FacetSet clean = b.choices().marks().of(Mark.KEEP_CLEAN);
    CutLine cut = oneSide(b.choices(), planes, box);
    return Optional.of(
        new KnifePart(
            b,
            master,
            box,
            b.choices().cut().extent() == Extent.ROUND ? planes.round(cut, box, clean) : cut));
  }

  private static CutLine oneSide(Choices c, CutPlanes planes, BoxMould box) {
    FacetSet clean = c.marks().of(Mark.KEEP_CLEAN);
    Double wanted = c.cut().towardsDegrees();
    return wanted == null ? planes.best(box, clean) : planes.towards(wanted, box, clean);
  }

  /** The seam it leaves, as far as vents in it go. */
  static Parted parted(Choices c, CutPlanes planes, BoxMould box) {
    boolean round = c.cut().extent() == Extent.ROUND;
    return new Parted(
        round ? Parted.Along.CUT_ROUND : Parted.Along.CUT, oneSide(c, planes, box).degrees(), null);
  }

  @Override
  public void show(FigureBook figures) {
    FacetSet clean = brief.choices().marks().of(Mark.KEEP_CLEAN);
    Double wanted = brief.choices().cut().towardsDegrees();
    figures.put(
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
    figures.put(
        "cut.area",
        "rubber to cut through",
        cut.areaMm2(),
        brief.area(cut.areaMm2()),
        Working.of(
                cut.extent() == Extent.ROUND
                    ? "to both sides: from the middle to the wall × pour line − master in that half"
                        + " plane"
                    : "from the middle to the wall × pour line − master in that half plane")
            .given("pour line", brief.mm(box.pourLineMm()), COMPUTED)
            .done());
    figures.run(
        "cut.seam",
        "seam of the cut",
        cut.seamMm(),
        Working.of("outline of the master in the half plane of the cut").done());
    if (!clean.isEmpty()) {
      figures.run(
          "cut.clean",
          "seam on what is to stay clean",
          cut.seamOnCleanMm(),
          Working.of("how much of the seam runs over facets marked so").done());
    }
    figures.length(
        "cut.shallowest",
        "shallowest rubber over the cut",
        cut.shallowestMm(),
        Working.of("from the wall to the master, along the cut").done());
    figures.volume(
        "cut.locked",
        "rubber locked as it opens",
        cut.lockedMm3(),
        Working.of("rubber with master in its way, pulled to both sides of the cut")
            .given(
                "of the master",
                Share.format(cut.lockedMm3() / Math.max(1e-9, master.volumeMm3())),
                COMPUTED)
            .given("the master", brief.ml(master.volumeMm3()), COMPUTED)
            .done());
  }
}
