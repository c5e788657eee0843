package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.cutline.CutLine;
import ungula.core.mould.BoxShape;
import ungula.core.mould.MouldKind;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.sentence.WordBook.Edit;

/** What can go wrong with a block that is opened with a knife. */
final class CutCautions {

  /** Walls thicker than this open badly. */
  private static final double THICK_MM = 20;

  /** A thin even wall opens far more easily. */
  private static final double EASY_MM = 15;

  /** Of the master locked beside the cut: more takes force. */
  private static final double LOCKED = 0.15;

  private final Plan p;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private CutCautions(Plan p, Prices prices) {
    this.p = p;
    this.prices = prices;
  }

  static List<Caution> of(Plan p, Prices prices) {
    CutCautions c = new CutCautions(p, prices);
    if (p.choices().mould().kind() == MouldKind.CUT) {
      c.thick();
    }
    if (p.cut().isPresent()) {
      c.onClean();
      c.locked();
    }
    return c.found;
  }

  private void add(String id, Caution.Level level, String title, String text, List<Fix> fixes) {
    double a = p.cut().map(CutLine::degrees).map(Math::toRadians).orElse(0.0);
    Place at =
        new Place(
            p.facts().sizeMm().x() / 2 * Math.cos(a),
            p.facts().sizeMm().y() / 2 * Math.sin(a),
            p.mould().belowMm() + p.facts().sizeMm().z() / 2);
    found.add(new Caution(id, level, "mould", title, text, at, fixes));
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private void thick() {
    if (p.choices().mould().sidesMm() <= THICK_MM) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    fixes.add(
        prices.fix(
            "Leave " + mm(EASY_MM) + " round the sides",
            Edit.of("mould.sidesMm", EASY_MM + " mm"),
            Edit.of("mould.leftMm", ""),
            Edit.of("mould.rightMm", ""),
            Edit.of("mould.frontMm", ""),
            Edit.of("mould.backMm", "")));
    if (p.choices().mould().shape() != BoxShape.OUTLINE) {
      fixes.add(
          prices.fix(
              "With a box that follows the outline",
              Edit.of("mould.sidesMm", EASY_MM + " mm"),
              Edit.of("mould.shape", BoxShape.OUTLINE.name())));
    }
    add(
        "cut.thick",
        NOTE,
        "A block this thick is hard to open",
        "A thin even wall, 12 to 19 mm, opens far more easily once it is cut than "
            + mm(p.choices().mould().sidesMm())
            + " does.",
        fixes);
  }

  private List<Fix> atBest() {
    return p.choices().cut().towardsDegrees() == null
        ? List.of()
        : List.of(new Fix("Cut on the best side", "", List.of(Edit.of("cut.towardsDegrees", ""))));
  }

  private void onClean() {
    if (p.cut().get().seamOnCleanMm() >= 1) {
      add(
          "cut.clean",
          CHECK,
          mm(p.cut().get().seamOnCleanMm()) + " of the cut runs over what is to stay clean",
          "The knife leaves a line on every cast, to be dressed off there.",
          atBest());
    }
  }

  private void locked() {
    double share = p.cut().get().lockedMm3() / Math.max(1e-9, p.master().orElseThrow().volumeMm3());
    if (share < LOCKED) {
      return;
    }
    add(
        "cut.locked",
        CHECK,
        "It is still held as the cut opens",
        "Rubber equal to "
            + Numbers.fixed(100 * share, 0)
            + " % of the master blocks it both ways. A soft rubber bends off; a stiff one needs"
            + " another cut, or more pieces.",
        atBest());
  }
}
