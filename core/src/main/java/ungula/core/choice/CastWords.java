package ungula.core.choice;

import ungula.core.rubber.Additive;
import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/** The changeable words of casts. */
final class CastWords {

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
        .open(amount + "filler.name", "what is stirred into a cast", Kind.text(60), "filler")
        .open(amount + "filler.dosePct", "dose of it", Kind.percent(0, 400), "nothing")
        .word(amount + "filler.of", "what its dose is a share of", Kind.choice(Additive.Of.class))
        .open(amount + "filler.density", "density of it", Kind.density(), "?");
    String series = "cast.series.";
    book.word(series + "perMix", "moulds one mix fills", Kind.count("mould", "moulds", 1, 500))
        .word(series + "scrapPct", "casts that are no good", Kind.percent(0, 90))
        .word(series + "spreadPct", "how much times vary", Kind.percent(0, 200));
  }
}
