package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.castlabel.CastLabel;
import ungula.core.castlabel.LabelPlace;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Level;
import ungula.core.caution.Caution.Place;
import ungula.core.choice.LabelChoice;
import ungula.core.plan.LabelPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.sentence.WordBook.Edit;

/** What can go wrong with a label that is cast in. */
final class LabelCautions {

  /** Strokes narrower than what most nozzles lay down in two passes are lost. */
  private static final double FINE_MM = 0.8;

  /** Heights of a capital that are offered, mm. */
  private static final double[] LETTERS_MM = {8, 6, 5, 4};

  private final Plan p;
  private final LabelPart label;
  private final LabelChoice choice;
  private final List<Caution> found = new ArrayList<>();

  private LabelCautions(Plan p, LabelPart label) {
    this.p = p;
    this.label = label;
    choice = p.choices().label();
  }

  static List<Caution> of(Plan p) {
    if (p.label().isEmpty()) {
      return List.of();
    }
    LabelCautions c = new LabelCautions(p, p.label().get());
    c.letters();
    if (c.label.placed().isEmpty()) {
      c.room();
    } else {
      c.fine(c.label.placed().get());
    }
    return c.found;
  }

  private void add(String id, Level level, String title, String text, List<Fix> fixes) {
    Place at =
        label
            .placed()
            .map(l -> new Place(l.middle().x(), l.middle().y(), l.middle().z()))
            .orElse(null);
    found.add(new Caution(id, level, "mould", title, text, at, fixes));
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private void letters() {
    if (!label.missing().isEmpty()) {
      add(
          "label.letters",
          NOTE,
          "The label leaves letters out",
          "The typeface does not have " + String.join(" ", label.missing()) + ".",
          choice.text() == null
              ? List.of()
              : List.of(
                  new Fix(
                      "Let it say its code, the date and what a cast takes",
                      "",
                      List.of(Edit.of("label.text", "")))));
    }
  }

  private void room() {
    List<Fix> fixes = new ArrayList<>();
    smaller()
        .ifPresent(
            mm ->
                fixes.add(
                    new Fix(
                        "Make its letters " + mm(mm) + " high",
                        "",
                        List.of(Edit.of("label.letterMm", mm + " mm")))));
    if (choice.place() != LabelPlace.PROPOSED
        && label.placed(LabelPlace.PROPOSED, choice.letterMm()).isPresent()) {
      fixes.add(
          new Fix(
              "Set it " + LabelPlace.PROPOSED.text(),
              "",
              List.of(Edit.of("label.place", LabelPlace.PROPOSED.name()))));
    }
    fixes.add(leftOut());
    add(
        "label.room",
        CHECK,
        "There is no room for the label",
        "It has to lie flat, at least "
            + mm(PlacedLabel.LEAST_MM)
            + " of rubber off the master, clear of joints and of where the mould opens.",
        fixes);
  }

  private static Fix leftOut() {
    return new Fix("Leave it out", "", List.of(Edit.of("label.place", LabelPlace.NONE.name())));
  }

  private Optional<Double> smaller() {
    for (double mm : LETTERS_MM) {
      if (mm < choice.letterMm() && label.placed(choice.place(), mm).isPresent()) {
        return Optional.of(mm);
      }
    }
    return Optional.empty();
  }

  private void fine(PlacedLabel placed) {
    CastLabel l = placed.label();
    if (l.strokeMm() >= FINE_MM) {
      return;
    }
    double enough = Math.ceil(10 * l.letterMm() * FINE_MM / l.strokeMm()) / 10;
    List<Fix> fixes =
        label.placed(choice.place(), enough).isEmpty()
            ? List.of(leftOut())
            : List.of(
                new Fix(
                    "Make its letters " + mm(enough) + " high",
                    "",
                    List.of(Edit.of("label.letterMm", enough + " mm"))));
    add(
        "label.fine",
        NOTE,
        "The letters of the label are too thin",
        "Their strokes are "
            + mm(l.strokeMm())
            + " wide: under "
            + mm(FINE_MM)
            + " many printers lose them, and rubber closes up the gaps.",
        fixes);
  }
}
