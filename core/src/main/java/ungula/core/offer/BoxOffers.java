package ungula.core.offer;

import static ungula.core.working.Given.Source.COMPUTED;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import ungula.core.choice.Choices;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.plan.BoxPart;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.Working;

/** Boxes of every shape round the same master, to be compared. */
public final class BoxOffers {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of("BoxFigure", "rubber", "saved", "thinnest", "sheet");

  private BoxOffers() {}

  /**
   * A box of one shape with the walls chosen.
   *
   * @param name what it is called, with its size when it is bought by that
   * @param figures rubber, saved against the rectangular box, thinnest wall, sheet
   * @param now whether it is the one chosen
   */
  public record Offer(BoxShape shape, String name, Map<String, Figure> figures, boolean now) {}

  /**
   * @param box as chosen
   */
  public static List<Offer> of(BoxMould box, Choices choices, MasterFacts facts) {
    double rectangular = shaped(box, BoxShape.RECTANGLE, choices, facts).rubberMm3();
    return Arrays.stream(BoxShape.values())
        .map(s -> shaped(box, s, choices, facts))
        .filter(b -> worthIt(b, rectangular, choices.mould().shape()))
        .map(b -> offer(b, rectangular, choices))
        .toList();
  }

  /** One that follows the outline is more work: not where it takes more rubber for it. */
  private static boolean worthIt(BoxMould box, double rectangular, BoxShape now) {
    BoxShape shape = box.inside().shape();
    return shape != BoxShape.OUTLINE || shape == now || box.rubberMm3() < rectangular;
  }

  private static BoxMould shaped(BoxMould box, BoxShape shape, Choices choices, MasterFacts facts) {
    return shape == box.inside().shape()
        ? box
        : new BoxMould(
            box.masterMm(),
            box.curve(),
            BoxPart.inside(choices.mould(), shape, facts),
            box.belowMm(),
            box.overTopMm(),
            box.freeboardMm(),
            box.sheet());
  }

  private static Offer offer(BoxMould box, double rectangular, Choices choices) {
    Units units = choices.units();
    FigureBook figures = new FigureBook(FIGURES, units, "");
    double rubber = box.rubberMm3();
    figures.volume(
        "rubber",
        "rubber in the box",
        rubber,
        Working.of("rubber = inside area × pour line − master below the line")
            .given("inside area", Numbers.fixed(box.insideAreaMm2() / 100, 1) + " cm²", COMPUTED)
            .given("pour line", Length.format(box.pourLineMm(), units), COMPUTED)
            .given(
                "master below the line",
                Volume.format(box.curve().below(box.pourLineMm()), units),
                COMPUTED)
            .done());
    double saved = rectangular - rubber;
    Working against =
        Working.of("rubber in the rectangular box with the same walls − rubber in this")
            .given("rectangular", Volume.format(rectangular, units), COMPUTED)
            .given("this", Volume.format(rubber, units), COMPUTED)
            .done();
    String percent = Share.format(Math.abs(saved) / Math.max(rectangular, 1e-9));
    figures.put(
        "saved",
        "against a rectangle",
        saved,
        Math.abs(saved) < 0.005 * rectangular
            ? "as much"
            : percent + (saved > 0 ? " less" : " more"),
        against);
    figures.length(
        "thinnest",
        "thinnest round the sides",
        box.inside().thinnestMm(),
        Working.of("least distance between walls and master, seen from above").done());
    figures.put(
        "sheet",
        "sheet",
        box.sheetAreaMm2(),
        Numbers.fixed(box.sheetAreaMm2() / 1e6, 3) + " m²",
        Working.of("walls with their laps, and the base").done());
    BoxShape shape = box.inside().shape();
    String bought =
        shape.ofPipe()
            ? " Ø\u00a0" + Length.format(box.insideLengthMm(), units).replace(' ', '\u00a0')
            : "";
    return new Offer(shape, shape.text() + bought, figures.all(), shape == choices.mould().shape());
  }
}
