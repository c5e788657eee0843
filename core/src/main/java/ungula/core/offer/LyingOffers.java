package ungula.core.offer;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import ungula.core.air.VentWay;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.choice.LyingChoice;
import ungula.core.plan.EquipmentPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.Working;

/** The few best ways for a mould to lie while it is cast in, and how it lies now. */
public final class LyingOffers {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of("LyingFigure", "vents", "left", "rubber", "without");

  /** Beside how it lies now. */
  private static final int OFFERED = 4;

  private LyingOffers() {}

  /**
   * @param text to follow "it is cast"
   * @param held what holds it so, a sentence; empty where it lies level
   * @param now whether it lies so already
   * @param pot how it goes into the pressure pot; empty where that does not matter
   * @param figures vents it asks for, air left with them, rubber they pass, air without them
   * @param edits that lay it so
   */
  public record Offer(
      String text,
      String held,
      boolean now,
      String pot,
      Map<String, Figure> figures,
      List<Edit> edits) {}

  /** The best first; empty while the shape is not worked out, or where there is no choice. */
  public static List<Offer> of(Plan p) {
    if (p.facts() == null || p.facts().shape() == null) {
      return List.of();
    }
    Attitude now = p.facts().shape().study().cast().lies();
    List<Found> all = p.facts().shape().study().cast().attitudes();
    Stream<Found> best =
        p.attitudes().stream().filter(f -> !f.attitude().equals(now)).limit(OFFERED);
    Stream<Found> present = all.stream().filter(f -> f.attitude().equals(now));
    return Stream.concat(present, best)
        .sorted(AttitudeSearch.BEST)
        .map(f -> offer(p, f, f.attitude().equals(now)))
        .toList();
  }

  private static Offer offer(Plan p, Found f, boolean now) {
    EquipmentPart equipment = p.equipment().orElse(null);
    boolean fits = equipment == null || equipment.fitsPot(f.attitude());
    return new Offer(
        f.attitude().text(),
        equipment == null ? "" : equipment.propped(f.attitude()),
        now,
        fits ? "" : "too large for the pot so",
        figures(f, p.units()),
        LyingChoice.edits(f.attitude()));
  }

  private static Map<String, Figure> figures(Found f, Units units) {
    FigureBook book = new FigureBook(FIGURES, units, "");
    int n = f.vents().size();
    book.put(
        "vents",
        "vents it asks for",
        n,
        !f.enough()
            ? n + " are not enough"
            : n == 0 ? "no vents" : n == 1 ? "1 vent" : n + " vents",
        Working.of("one at the top of each pocket of more than 0.05 mL, the largest first")
            .given("at most", AttitudeSearch.MOST_VENTS + " vents", DEFAULT)
            .done());
    book.volume(
        "without",
        "air that stays without vents",
        f.airMm3(),
        Working.of("air stays where every way to an opening first goes down below it").done());
    book.volume(
        "left",
        "air that stays with them",
        f.leftMm3(),
        Working.of("the same with the vents open, small pockets together").done());
    Working.Builder ways =
        Working.of("from each top to the seam, or straight up out of the rubber");
    for (VentWay v : f.vents()) {
      ways.given(
          "from " + Length.format(v.at().z(), units) + " above the plate",
          Length.format(v.rubberMm(), units),
          COMPUTED);
    }
    book.length("rubber", "rubber the vents pass", f.rubberMm(), ways.done());
    return book.all();
  }
}
