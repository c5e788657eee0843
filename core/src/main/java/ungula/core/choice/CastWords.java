package ungula.core.choice;

import ungula.core.rubber.Additive;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/** The changeable words of casts. */
final class CastWords {

  private static final double MOST_CURE_MIN = 10_000;

  private static final double LARGEST_MM = 20_000;
  private static final double LARGEST_MM3 = 1e13;
  private static final double LARGEST_G = 1e8;

  private CastWords() {}

  static void add(WordBook<Choices> book) {
    String amount = "cast.amount.";
    book.word(amount + "way", "how much is mixed", Kind.choice(CastAmount.Way.class))
        .open(amount + "heldMm3", "what the mould held", Kind.volume(LARGEST_MM3), "?")
        .open(amount + "masterG", "weight of the master", Kind.mass(LARGEST_G), "?")
        .open(amount + "factor", "factor", Kind.plain("", 0.05, 20, 0.01), "as the model says")
        .open(amount + "lastG", "weight of the last cast", Kind.mass(LARGEST_G), "?")
        .open(
            amount + "lossPct", "left in cups and on sticks", Kind.percent(0, 50), "the usual 6 %")
        .open(amount + "inserts", "rods cast in", Kind.count("rod", "rods", 1, 500), "none")
        .word(amount + "insertAcrossMm", "diameter of a rod", Kind.length(0.1, LARGEST_MM))
        .word(amount + "insertLongMm", "length of a rod in the cast", Kind.length(0.1, LARGEST_MM))
        .open(amount + "shellMm", "thickness of the shell", Kind.length(0.2, 200), "?")
        .open(
            amount + "riseTimes",
            "what is cast foams up",
            Kind.plain("times", 1.1, 60, 0.5),
            "as its sheet says")
        .open(amount + "packPct", "more foam than fills it", Kind.percent(0, 200), "the usual 20 %")
        .open(amount + "filler.name", "what is stirred into a cast", Kind.text(60), "filler")
        .open(amount + "filler.dosePct", "dose of it", Kind.percent(0, 400), "nothing")
        .word(
            amount + "filler.of",
            "what its dose is a share of",
            Kind.choice(Additive.Of.class, Additive.Of::inCast))
        .open(amount + "filler.density", "density of it", Kind.density(), "?");
    book.open(amount + "also.name", "what else is stirred into a cast", Kind.text(60), "pigment")
        .open(amount + "also.dosePct", "dose of that", Kind.percent(0, 100), "nothing")
        .word(
            amount + "also.of",
            "what the dose of that is of",
            Kind.choice(Additive.Of.class, Additive.Of::inCast))
        .open(amount + "also.density", "density of that", Kind.density(), "?");
    book.open("cast.pressureKpa", "pressure it sets under", Kind.pressure(1000), "no pressure");
    String series = "cast.series.";
    book.word(series + "perMix", "moulds one mix fills", Kind.count("mould", "moulds", 1, 500))
        .word(series + "scrapPct", "casts that are no good", Kind.percent(0, 90))
        .word(series + "spreadPct", "how much times vary", Kind.percent(0, 200))
        .open(
            series + "releaseEvery",
            "release again after",
            Kind.count("cast", "casts", 1, 1000),
            "every cast")
        .open(
            series + "gaveBefore",
            "casts it gave before",
            Kind.count("cast", "casts", 1, 100_000),
            "none")
        .open(series + "marginPct", "margin", Kind.percent(0, 1000), "no price")
        .open(
            series + "warmMin",
            "out of a warm mould after",
            Kind.minutes(MOST_CURE_MIN),
            "as long as out of a cold one")
        .open(series + "spareMm3", "small moulds kept ready take", Kind.volume(1e7), "none are");
  }
}
