package ungula.core.plan;

import ungula.core.quantity.Choosable;
import ungula.core.quantity.Units;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/**
 * The habits and limits of a workshop, taken for every job unless the job says otherwise.
 *
 * @param name of the workshop
 * @param currency written before a price
 * @param units new jobs begin with
 * @param handMixG heaviest batch stirred by hand
 * @param allowancePct least allowance over the volume needed
 * @param cupLossPct lost on cup and stick, of each batch
 * @param cupLossMm3 lost on cup and stick in every batch, besides
 * @param roomC temperature of the room
 * @param paper for printed sheets
 */
public record Workshop(
    String name,
    String currency,
    Units units,
    double handMixG,
    double allowancePct,
    double cupLossPct,
    double cupLossMm3,
    double roomC,
    Paper paper) {

  public enum Paper implements Choosable {
    A4,
    LETTER;

    @Override
    public String text() {
      return this == A4 ? "A4" : "Letter";
    }
  }

  public static final Workshop DEFAULT =
      new Workshop("My workshop", "€", Units.METRIC, 2500, 5, 2, 10_000, 21, Paper.A4);

  public static WordBook<Workshop> words() {
    return new WordBook<Workshop>()
        .word("name", "name of the workshop", Kind.text(60))
        .word("currency", "currency", Kind.text(4))
        .word("units.display", "units of new jobs", Kind.choice(Units.Display.class))
        .word("units.gallon", "gallon of new jobs", Kind.choice(Units.Gallon.class))
        .word("handMixG", "heaviest batch stirred by hand", Kind.mass(50_000))
        .word("allowancePct", "least allowance", Kind.percent(0, 50))
        .word("cupLossPct", "lost on cup and stick, as a share", Kind.percent(0, 30))
        .word("cupLossMm3", "lost on cup and stick in every batch", Kind.volume(1e6))
        .word("roomC", "room temperature", Kind.temperature(-10, 50))
        .word("paper", "paper", Kind.choice(Paper.class));
  }
}
