package ungula.core.plan;

import static ungula.core.plan.Caution.Level.NOTE;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.ArrayList;
import java.util.List;
import ungula.core.cutlist.Boards;
import ungula.core.cutlist.CutPart;
import ungula.core.fit.Pot;
import ungula.core.mould.SheetStock;
import ungula.core.plan.Caution.Fix;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Working;
import ungula.core.workshop.Board;
import ungula.core.workshop.Workshop;

/** Whether a mould fits what the workshop has: its pot, chamber and cutter, and a person's back. */
final class Fits {

  /** Other sheets offered. */
  private static final int OTHERS = 2;

  private final Planner p;
  private final Workshop.Equipment equipment;
  private final List<Caution> found = new ArrayList<>();

  private Fits(Planner p) {
    this.p = p;
    this.equipment = p.workshop.equipment();
  }

  /** Adds figures to the plan's; cautions for what does not fit. */
  static List<Caution> of(Planner p) {
    Fits f = new Fits(p);
    f.pot();
    f.chamber();
    f.bed();
    f.rack();
    f.weight();
    return f.found;
  }

  private String mm(double mm) {
    return Length.format(mm, p.units);
  }

  private void add(String id, String stage, String title, String text) {
    add(id, stage, title, text, List.of());
  }

  private void add(String id, String stage, String title, String text, List<Fix> fixes) {
    found.add(new Caution(id, NOTE, stage, title, text, null, fixes));
  }

  private void pot() {
    Pot pot = equipment.pot();
    if (pot == null) {
      return;
    }
    boolean strapped = !p.choices.mould().kind().onPlate();
    Pot.Stood best = pot.best(p.box, strapped);
    Working.Builder w =
        Working.of("smallest circle round its foot and its height, stood every way, + clear of it")
            .given(
                "inside of the pot",
                "Ø " + mm(pot.diameterMm()) + ", " + mm(pot.heightMm()),
                DEFAULT)
            .given("clear all round", mm(Pot.CLEAR_MM), DEFAULT)
            .given(
                "stood " + best.text(),
                "Ø " + mm(best.circleMm()) + ", " + mm(best.highMm()),
                COMPUTED);
    if (strapped) {
      w.given("boards, each", mm(Pot.BOARD_MM), DEFAULT).given("bands", mm(Pot.BAND_MM), DEFAULT);
    }
    p.figures.put(
        "fits.pot",
        "in the pressure pot",
        best.overMm(),
        best.fits() ? "fits, stood " + best.text() : "too large by " + mm(best.overMm()),
        w.done());
    if (!best.fits()) {
      add(
          "pot.small",
          "mould",
          "The mould does not fit the pressure pot",
          "Stood "
              + best.text()
              + (strapped ? ", with its boards and bands," : "")
              + " it is too large by "
              + mm(best.overMm())
              + ". Thinner walls, another way up or a box closer to the outline may help.");
    }
  }

  private void chamber() {
    Pot chamber = equipment.chamber();
    Bubbles bubbles = p.choices.rubber().bubbles();
    if (chamber == null || p.mix() == null || !bubbles.vacuum()) {
      return;
    }
    double rise = bubbles.rise() * p.mix().volumeMm3();
    p.figures.volume(
        "fits.chamber",
        "rises in the vacuum chamber to",
        rise,
        Working.of("one batch × how far it rises")
            .given("batch", Volume.format(p.mix().volumeMm3(), p.units), COMPUTED)
            .given("rises", Numbers.trimmed(bubbles.rise(), 1) + " times", DEFAULT)
            .given("the chamber holds", Volume.format(chamber.volumeMm3(), p.units), DEFAULT)
            .done());
    if (rise > chamber.volumeMm3()) {
      add(
          "chamber.small",
          "rubber",
          "A batch rises over the vacuum chamber",
          "It would rise to "
              + Volume.format(rise, p.units)
              + ", and the chamber holds "
              + Volume.format(chamber.volumeMm3(), p.units)
              + ". Mix smaller batches, or let air in and out as it rises.");
    }
  }

  private void bed() {
    double[] bed = equipment.bedMm();
    if (bed == null) {
      return;
    }
    List<String> large =
        p.cuts.parts().stream()
            .filter(
                part ->
                    Math.max(part.lengthMm(), part.widthMm()) > bed[0]
                        || Math.min(part.lengthMm(), part.widthMm()) > bed[1])
            .map(CutPart::name)
            .toList();
    if (!large.isEmpty()) {
      add(
          "bed.small",
          "mould",
          "Larger than the cutter's bed: " + String.join(", ", large).toLowerCase(),
          "Cut by hand from the drawing, or in pieces that are joined over a batten.");
    }
  }

  /** Whether the sheet the box is cut from is there. */
  private void rack() {
    SheetStock sheet = p.choices.mould().sheet();
    Board board = p.workshop.boards().get(sheet);
    if (!board.known()) {
      return;
    }
    String size = Length.format2(board.longerMm(), board.shorterMm(), p.units);
    Boards needed = Boards.of(p.cuts, board.longerMm(), board.shorterMm());
    p.figures.put(
        "fits.boards",
        "boards of " + sheet.text(),
        needed.count(),
        needed.count() + (needed.count() == 1 ? " board of " : " boards of ") + size,
        Working.of("parts laid in strips across each board, the widest first")
            .given("board", size, DEFAULT)
            .given("saw or knife takes", mm(Boards.KERF_MM), DEFAULT)
            .step(
                needed.tooLarge().isEmpty()
                    ? ""
                    : "Without what is larger than a board: "
                        + String.join(", ", needed.tooLarge()).toLowerCase()
                        + ".")
            .done());
    if (!needed.tooLarge().isEmpty()) {
      add(
          "board.small",
          "mould",
          "Larger than a board: " + String.join(", ", needed.tooLarge()).toLowerCase(),
          "Boards of "
              + sheet.text()
              + " are "
              + size
              + ". Join two over a batten outside, and seal the joint.",
          others(sheet));
    } else if (board.count() != null && board.count() < needed.count()) {
      add(
          "board.short",
          "mould",
          "The box takes "
              + needed.count()
              + (needed.count() == 1 ? " board, " : " boards, ")
              + (board.count() == 0 ? "none is there" : board.count() + " there"),
          "Of " + sheet.text() + ", " + size + " each.",
          others(sheet));
    }
  }

  /** Sheet on the rack that would do instead. */
  private List<Fix> others(SheetStock but) {
    List<Fix> fixes = new ArrayList<>();
    for (SheetStock other : SheetStock.values()) {
      Board board = p.workshop.boards().get(other);
      if (other == but || !board.known()) {
        continue;
      }
      Boards needed = Boards.of(p.cuts, board.longerMm(), board.shorterMm());
      boolean enough = board.count() == null || board.count() >= needed.count();
      if (enough && needed.tooLarge().isEmpty() && fixes.size() < OTHERS) {
        fixes.add(new Prices(p).fix("Take " + other.text(), Edit.of("mould.sheet", other.name())));
      }
    }
    return fixes;
  }

  private void weight() {
    double rubber = p.figures.get("rubber.boxMass") == null ? 0 : p.figures.value("rubber.boxMass");
    double together = rubber + p.figures.value("master.mass");
    if (together > equipment.liftG()) {
      add(
          "weight.lift",
          "mould",
          "It weighs " + Mass.format(together, p.units) + " with the master in it",
          "More than "
              + Mass.format(equipment.liftG(), p.units)
              + ": turn it with two, or with a hoist.");
    }
    double batch = p.amounts == null ? 0 : p.amounts.heaviestG();
    if (batch > equipment.bucketG()) {
      add(
          "weight.bucket",
          "rubber",
          "A bucket of " + Mass.format(batch, p.units),
          "More than "
              + Mass.format(equipment.bucketG(), p.units)
              + " is poured badly by hand: split the batch over buckets.");
    }
  }
}
