package ungula.core.offer;

import static ungula.core.working.Given.Source.COMPUTED;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ungula.core.choice.BoxChoice;
import ungula.core.choice.Choices;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.plan.BoxPart;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Area;
import ungula.core.quantity.Length;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.Working;
import ungula.core.workshop.OwnBox;

/** Boxes of every shape round the same master, to be compared. */
public final class BoxOffers {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of("BoxFigure", "rubber", "saved", "thinnest", "sheet");

  /** Rounding of a wall. */
  private static final double NEAR_MM = 0.05;

  /** A box one has stands at least so much above the pour line. */
  private static final double LEAST_OVER_MM = 5;

  /** Of the rubber a rectangular box takes: in more of it, its own board would be cheaper. */
  private static final double MOST_TIMES = 2;

  private BoxOffers() {}

  /**
   * A box of one shape with the walls chosen.
   *
   * @param name what it is called, with its size when it is bought by that
   * @param figures rubber, saved against the rectangular box, thinnest wall, sheet
   * @param own whether the workshop has it
   * @param now whether it is the one chosen
   * @param edits that take it
   */
  public record Offer(
      BoxShape shape,
      String name,
      Map<String, Figure> figures,
      boolean own,
      boolean now,
      List<Edit> edits) {}

  /**
   * What the workshop has and the master fits in with the walls chosen, least rubber first; then
   * what would be built or bought.
   *
   * @param box as chosen
   */
  public static List<Offer> of(
      BoxMould box, Choices choices, MasterFacts facts, List<OwnBox> there) {
    BoxChoice built = built(choices.mould());
    BoxMould rectangle = box.in(BoxPart.inside(built, BoxShape.RECTANGLE, facts));
    double rectangular = rectangle.rubberMm3();
    List<Offer> offers = new ArrayList<>();
    there.stream()
        .map(own -> own(box, own, choices, facts))
        .flatMap(Optional::stream)
        .sorted(Comparator.comparingDouble(o -> o.figures.get("rubber").value()))
        .forEach(offers::add);
    for (BoxShape shape : BoxShape.values()) {
      boolean now = shape == choices.mould().shape() && offers.stream().noneMatch(o -> o.now);
      if (shape == BoxShape.OWN && !now) {
        continue;
      }
      BoxMould other = now ? box : box.in(BoxPart.inside(built, shape, facts));
      if (worthIt(other, rectangular, choices.mould().shape())) {
        offers.add(offer(other, rectangular, choices, false, now, toBuild(shape, choices)));
      }
    }
    return offers;
  }

  /** With the walls asked for, whatever box there is. */
  private static BoxChoice built(BoxChoice c) {
    boolean there = c.shape() == BoxShape.OWN || c.shape() == BoxShape.TUBE;
    return there ? c.inside(null, null) : c;
  }

  /** A box one has gives up its size. */
  private static List<Edit> toBuild(BoxShape shape, Choices choices) {
    BoxChoice c = choices.mould();
    Edit shaped = Edit.of("mould.shape", shape.name());
    return built(c).equals(c)
        ? List.of(shaped)
        : List.of(shaped, Edit.of("mould.insideLengthMm", ""), Edit.of("mould.insideWidthMm", ""));
  }

  /** A box one has, the way round that leaves more rubber; empty where the master does not fit. */
  private static Optional<Offer> own(BoxMould box, OwnBox own, Choices choices, MasterFacts facts) {
    return Stream.of(own, own.turned())
        .map(o -> Map.entry(o, box.in(inside(o, choices.mould(), facts))))
        .max(Comparator.comparingDouble(e -> e.getValue().inside().thinnestMm()))
        .map(e -> own(name(own, choices.units()), e.getKey(), e.getValue(), choices, facts))
        .filter(o -> o.now || fits(o, own, box, choices));
  }

  private static boolean fits(Offer offer, OwnBox own, BoxMould box, Choices choices) {
    double rubber = offer.figures.get("rubber").value();
    double saved = offer.figures.get("saved").value();
    return offer.figures.get("thinnest").value() > choices.mould().sidesMm() - NEAR_MM
        && own.heightMm() > box.pourLineMm() + LEAST_OVER_MM
        && rubber < MOST_TIMES * (rubber + saved);
  }

  private static String name(OwnBox own, Units units) {
    return (own.pipe() ? "pipe" : "box") + " you have, " + own.text(units);
  }

  private static Offer own(
      String name, OwnBox own, BoxMould box, Choices choices, MasterFacts facts) {
    BoxShape shape = own.pipe() ? BoxShape.TUBE : BoxShape.OWN;
    BoxChoice taken = choices.mould().inside(own.lengthMm(), own.pipe() ? null : own.widthMm());
    double rectangular =
        box.in(BoxPart.inside(built(choices.mould()), BoxShape.RECTANGLE, facts)).rubberMm3();
    List<Edit> edits =
        List.of(
            Edit.of("mould.shape", shape.name()),
            Edit.of("mould.insideLengthMm", own.lengthMm() + " mm"),
            Edit.of("mould.insideWidthMm", own.pipe() ? "" : own.widthMm() + " mm"));
    boolean now = choices.mould().shape() == shape && choices.mould().equals(taken);
    Offer offer = offer(box, rectangular, choices, true, now, edits);
    return new Offer(shape, name, offer.figures, true, now, edits);
  }

  private static BoxInside inside(OwnBox own, BoxChoice c, MasterFacts facts) {
    return own.pipe()
        ? BoxInside.pipe(facts.shadow().get(), own.lengthMm())
        : BoxPart.inside(c.inside(own.lengthMm(), own.widthMm()), BoxShape.OWN, facts);
  }

  /** One that follows the outline is more work: not where it takes more rubber for it. */
  private static boolean worthIt(BoxMould box, double rectangular, BoxShape now) {
    BoxShape shape = box.inside().shape();
    return shape != BoxShape.OUTLINE || shape == now || box.rubberMm3() < rectangular;
  }

  private static Offer offer(
      BoxMould box,
      double rectangular,
      Choices choices,
      boolean own,
      boolean now,
      List<Edit> edits) {
    Units units = choices.units();
    FigureBook figures = new FigureBook(FIGURES, units, "");
    double rubber = box.rubberMm3();
    figures.volume(
        "rubber",
        "rubber in the box",
        rubber,
        Working.of("rubber = inside area × pour line − master below the line")
            .given("inside area", Area.format(box.insideAreaMm2(), units), COMPUTED)
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
            ? "the same"
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
        Area.format(box.sheetAreaMm2(), units),
        Working.of(
                box.wallSheetMm2() > 0 ? "walls with their laps, and the base" : "the base alone")
            .done());
    BoxShape shape = box.inside().shape();
    String bought =
        shape.ofPipe()
            ? " Ø\u00a0" + Length.format(box.insideLengthMm(), units).replace(' ', '\u00a0')
            : "";
    return new Offer(shape, shape.text() + bought, figures.all(), own, now, edits);
  }
}
