package ungula.core.plan;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.attitude.Attitude;
import ungula.core.cutlist.Boards;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.CutPart;
import ungula.core.fit.Pot;
import ungula.core.geometry.Vec3;
import ungula.core.mould.BoxMould;
import ungula.core.mould.SheetStock;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Board;
import ungula.core.workshop.Workshop.Equipment;

/**
 * How a mould goes with what the workshop has: its pot, chamber, cutter and boards.
 *
 * @param inPot how it stands in the pressure pot; null while there is none
 * @param risesMm3 what a batch foams up to in the vacuum chamber; null while it does not, or the
 *     chamber's size is not known
 * @param overBed parts larger than the cutter's bed, by name
 * @param boards that each sheet takes; only of sheets whose boards are known
 */
public record EquipmentPart(
    Brief brief,
    BoxMould box,
    CutList cuts,
    Pot.Stood inPot,
    Double risesMm3,
    List<String> overBed,
    Map<SheetStock, Boards> boards)
    implements Part {

  static EquipmentPart of(Brief b, BoxMould box, CutList cuts, MixPart mix) {
    Equipment equipment = b.workshop().equipment();
    Pot pot = equipment.pot();
    Bubbles bubbles = b.choices().rubber().bubbles();
    Attitude lies =
        b.choices().lying().of(b.choices().mould().kind(), b.facts().baseOpen(box.belowMm()));
    boolean foams =
        equipment.chamber() != null && mix != null && mix.first() != null && bubbles.vacuum();
    Map<SheetStock, Boards> boards = new EnumMap<>(SheetStock.class);
    for (SheetStock sheet : SheetStock.values()) {
      Board board = b.workshop().boards().get(sheet);
      if (board.known()) {
        boards.put(sheet, Boards.of(cuts, board.longerMm(), board.shorterMm()));
      }
    }
    return new EquipmentPart(
        b,
        box,
        cuts,
        pot == null ? null : inPot(b, pot, box, lies),
        foams ? bubbles.rise() * mix.first().volumeMm3() : null,
        overBed(cuts, equipment.bedMm()),
        boards);
  }

  /** How the mould goes into a pot as it is cast in. */
  private static Pot.Stood inPot(Brief b, Pot pot, BoxMould box, Attitude lies) {
    return pot.lying(
        lies.text(), box.inside().ring(), Math.max(0, box.pourLineMm()), lies.up(), strapped(b));
  }

  /** Whether it would go into the pressure pot lying so; true while there is none. */
  public boolean fitsPot(Attitude lies) {
    Pot pot = brief.workshop().equipment().pot();
    return pot == null || inPot(brief, pot, box, lies).fits();
  }

  /** What holds the mould lying so; empty where it lies level. */
  public String propped(Attitude lies) {
    if (lies.flat()) {
      return "";
    }
    Vec3 to = lies.up().minus(lies.on().out().times(lies.up().dot(lies.on().out()))).unit();
    double reach =
        Math.abs(to.x()) * box.insideLengthMm()
            + Math.abs(to.y()) * box.insideWidthMm()
            + Math.abs(to.z()) * Math.max(0, box.pourLineMm());
    double high = reach * Math.sin(Math.toRadians(lies.degrees()));
    String there = lies.raised().size() == 1 ? "edge" : "corner";
    return "A wedge " + brief.mm(high) + " high under that " + there + " holds it.";
  }

  private static List<String> overBed(CutList cuts, double[] bed) {
    return bed == null
        ? List.of()
        : cuts.parts().stream()
            .filter(
                part ->
                    Math.max(part.lengthMm(), part.widthMm()) > bed[0]
                        || Math.min(part.lengthMm(), part.widthMm()) > bed[1])
            .map(CutPart::name)
            .toList();
  }

  /** Boards and bands hold together what is in pieces. */
  private static boolean strapped(Brief b) {
    return !b.choices().mould().kind().onPlate();
  }

  public boolean strapped() {
    return strapped(brief);
  }

  @Override
  public void show(FigureBook figures) {
    if (inPot != null) {
      pot(figures);
    }
    if (risesMm3 != null) {
      chamber(figures);
    }
    SheetStock sheet = brief.choices().mould().sheet();
    if (boards.containsKey(sheet)) {
      rack(sheet, figures);
    }
  }

  private void pot(FigureBook figures) {
    Pot pot = brief.workshop().equipment().pot();
    Working.Builder w =
        Working.of(
                "smallest circle round it seen from above and its height, as it lies to be cast in")
            .given(
                "inside of the pot",
                "Ø " + brief.mm(pot.diameterMm()) + ", " + brief.mm(pot.heightMm()),
                DEFAULT)
            .given("clear all round", brief.mm(Pot.CLEAR_MM), DEFAULT)
            .given(
                inPot.text(),
                "Ø " + brief.mm(inPot.circleMm()) + ", " + brief.mm(inPot.highMm()),
                COMPUTED);
    if (strapped()) {
      w.given("boards, each", brief.mm(Pot.BOARD_MM), DEFAULT)
          .given("bands", brief.mm(Pot.BAND_MM), DEFAULT);
    }
    figures.put(
        "fits.pot",
        "in the pressure pot",
        inPot.overMm(),
        inPot.fits() ? "fits, " + inPot.text() : "too large by " + brief.mm(inPot.overMm()),
        w.done());
  }

  private void chamber(FigureBook figures) {
    Bubbles bubbles = brief.choices().rubber().bubbles();
    Pot chamber = brief.workshop().equipment().chamber();
    figures.volume(
        "fits.chamber",
        "rises in the vacuum chamber to",
        risesMm3,
        Working.of("one batch × how far it rises")
            .given("batch", brief.ml(risesMm3 / bubbles.rise()), COMPUTED)
            .given("rises", Numbers.trimmed(bubbles.rise(), 1) + " times", DEFAULT)
            .given("the chamber holds", brief.ml(chamber.volumeMm3()), DEFAULT)
            .done());
  }

  /** Of the sheet the box is cut from. */
  private void rack(SheetStock sheet, FigureBook figures) {
    Board board = brief.workshop().boards().get(sheet);
    Boards needed = boards.get(sheet);
    String size = Length.format2(board.longerMm(), board.shorterMm(), brief.units());
    figures.put(
        "fits.boards",
        "boards of " + sheet.text(),
        needed.count(),
        needed.count() + (needed.count() == 1 ? " board of " : " boards of ") + size,
        Working.of("parts laid in strips across each board, the widest first")
            .given("board", size, DEFAULT)
            .given("saw or knife takes", brief.mm(Boards.KERF_MM), DEFAULT)
            .step(
                needed.tooLarge().isEmpty()
                    ? ""
                    : "Without what is larger than a board: "
                        + String.join(", ", needed.tooLarge()).toLowerCase(Locale.ROOT)
                        + ".")
            .done());
  }
}
