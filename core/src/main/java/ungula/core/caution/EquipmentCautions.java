package ungula.core.caution;

import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.LyingChoice;
import ungula.core.cutlist.Boards;
import ungula.core.fit.Pot;
import ungula.core.mould.SheetStock;
import ungula.core.plan.EquipmentPart;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Board;
import ungula.core.workshop.Workshop;

/** What does not fit the workshop's pot, chamber, cutter and boards, or a person's back. */
final class EquipmentCautions {

  /** Other sheets offered. */
  private static final int OTHERS = 2;

  private final Plan p;
  private final Prices prices;
  private final EquipmentPart fits;
  private final Workshop.Equipment equipment;
  private final List<Caution> found = new ArrayList<>();

  private EquipmentCautions(Plan p, Prices prices) {
    this.p = p;
    this.prices = prices;
    this.fits = p.equipment().orElseThrow();
    this.equipment = p.workshop().equipment();
  }

  static List<Caution> of(Plan p, Prices prices) {
    if (p.equipment().isEmpty()) {
      return List.of();
    }
    EquipmentCautions c = new EquipmentCautions(p, prices);
    c.pot();
    c.chamber();
    c.bed();
    c.rack();
    c.weight();
    return c.found;
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private void add(String id, String stage, String title, String text) {
    add(id, stage, title, text, List.of());
  }

  private void add(String id, String stage, String title, String text, List<Fix> fixes) {
    found.add(new Caution(id, NOTE, stage, title, text, null, fixes));
  }

  private void pot() {
    Pot.Stood best = fits.inPot();
    if (best != null && !best.fits()) {
      add(
          "pot.small",
          "mould",
          "The mould does not fit the pressure pot",
          "Cast "
              + best.text()
              + (fits.strapped() ? ", with its boards and bands," : "")
              + " it is too large by "
              + mm(best.overMm())
              + ". Thinner walls, another way to lie or a box closer to the outline may help.",
          lieSo());
    }
  }

  /** The best way to lie in which it goes in. */
  private List<Fix> lieSo() {
    return p.facts().shape() == null
        ? List.of()
        : p.facts().shape().study().cast().attitudes().stream()
            .filter(f -> fits.fitsPot(f.attitude()))
            .limit(1)
            .map(
                f -> new Fix("Cast it " + f.attitude().text(), "", LyingChoice.edits(f.attitude())))
            .toList();
  }

  private void chamber() {
    Double rise = fits.risesMm3();
    Pot chamber = equipment.chamber();
    if (rise != null && rise > chamber.volumeMm3()) {
      add(
          "chamber.small",
          "rubber",
          "A batch rises over the vacuum chamber",
          "It would rise to "
              + Volume.format(rise, p.units())
              + ", and the chamber holds "
              + Volume.format(chamber.volumeMm3(), p.units())
              + ". Mix smaller batches, or let air in and out as it rises.");
    }
  }

  private void bed() {
    List<String> large = fits.overBed();
    if (!large.isEmpty()) {
      add(
          "bed.small",
          "mould",
          "Larger than the cutter's bed: " + String.join(", ", large).toLowerCase(Locale.ROOT),
          "Cut by hand from the drawing, or in pieces that are joined over a batten.");
    }
  }

  /** Whether the sheet the box is cut from is there. */
  private void rack() {
    SheetStock sheet = p.choices().mould().sheet();
    Boards needed = fits.boards().get(sheet);
    if (needed == null) {
      return;
    }
    Board board = p.workshop().boards().get(sheet);
    String size = Length.format2(board.longerMm(), board.shorterMm(), p.units());
    if (!needed.tooLarge().isEmpty()) {
      add(
          "board.small",
          "mould",
          "Larger than a board: " + String.join(", ", needed.tooLarge()).toLowerCase(Locale.ROOT),
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
    return fits.boards().entrySet().stream()
        .filter(e -> e.getKey() != but && enough(e))
        .limit(OTHERS)
        .map(e -> e.getKey())
        .map(s -> prices.fix("Use " + s.text(), Edit.of("mould.sheet", s.name())))
        .toList();
  }

  private boolean enough(Map.Entry<SheetStock, Boards> of) {
    Integer there = p.workshop().boards().get(of.getKey()).count();
    boolean enough = there == null || there >= of.getValue().count();
    return enough && of.getValue().tooLarge().isEmpty();
  }

  private void weight() {
    double rubber = p.mix().map(MixPart::mouldG).orElse(0.0);
    double together = rubber + p.master().orElseThrow().massG();
    if (together > equipment.liftG()) {
      add(
          "weight.lift",
          "mould",
          "It weighs " + Mass.format(together, p.units()) + " with the master in it",
          "More than "
              + Mass.format(equipment.liftG(), p.units())
              + ": turn it with two people, or with a hoist.");
    }
    double batch = p.mix().map(MixPart::heaviestG).orElse(0.0);
    if (batch > equipment.bucketG()) {
      add(
          "weight.bucket",
          "rubber",
          "A bucket of " + Mass.format(batch, p.units()),
          "More than "
              + Mass.format(equipment.bucketG(), p.units())
              + " is poured badly by hand: split the batch over buckets.");
    }
  }
}
