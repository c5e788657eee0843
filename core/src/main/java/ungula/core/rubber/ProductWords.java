package ungula.core.rubber;

import ungula.core.sentence.Kind;
import ungula.core.sentence.WordBook;

/** The changeable words of a product's sheet. Whatever a sheet may leave out stays open. */
public final class ProductWords {

  private static final String OPEN = "not stated";

  private ProductWords() {}

  /** A sheet with nothing on it yet. */
  public static Product blank(String name) {
    return new Product(
        name,
        Product.Role.RUBBER,
        Product.Chemistry.ADDITION,
        null,
        Product.Scale.SHORE_A,
        "",
        Product.Clarity.OPAQUE,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        23.0,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        "");
  }

  public static WordBook<Product> book() {
    Kind<Ratio> ratio = Kind.parsed("ratio", Ratio::parse, Ratio::text);
    return new WordBook<Product>()
        .word("name", "name of the product", Kind.text(80))
        .word("role", "what it is for", Kind.choice(Product.Role.class))
        .word("chemistry", "chemistry", Kind.choice(Product.Chemistry.class))
        .open("hardness", "hardness", Kind.plain("", 0, 100, 1), OPEN)
        .word("scale", "hardness scale", Kind.choice(Product.Scale.class))
        .open("colour", "colour", Kind.text(40), OPEN)
        .word("clear", "how clear it is", Kind.choice(Product.Clarity.class))
        .open("densityBase", "density of the base", Kind.density(), OPEN)
        .open("densityHardener", "density of the hardener", Kind.density(), OPEN)
        .open("densityMixed", "density of the mix", Kind.density(), OPEN)
        .open("ratio", "ratio", ratio, OPEN)
        .open("ratioAlso", "the ratio stated a second way", ratio, OPEN)
        .open("viscosityPas", "viscosity of the mix", Kind.plain("Pa·s", 0.01, 5000, 1), OPEN)
        .open("potLifeMin", "pot life", Kind.minutes(10_000), OPEN)
        .open("demouldMin", "demould time", Kind.minutes(100_000), OPEN)
        .open("gelMin", "time until it gels", Kind.minutes(10_000), OPEN)
        .open("openMin", "time it stays sticky", Kind.minutes(10_000), OPEN)
        .open("atC", "temperature the times hold for", Kind.temperature(-10, 60), OPEN)
        .open("rateFactor", "times faster per 10 °C", Kind.plain("", 1, 5, 0.1), OPEN)
        .open("massFactor", "pot life, for ten times the mass", Kind.plain("", 0.05, 1, 0.05), OPEN)
        .open(
            "catalysts",
            "grades of catalyst",
            Kind.parsed("catalysts", Catalyst::parse, Catalyst::text),
            "one grade only")
        .open("thickenPct", "most thickener", Kind.percent(0, 50), OPEN)
        .open("thinPct", "most thinner", Kind.percent(0, 50), OPEN)
        .open("fillPct", "most that is stirred in", Kind.percent(0, 500), OPEN)
        .word("shake", "what is shaken before weighing", Kind.choice(Product.Shake.class))
        .open("elongationPct", "elongation at break", Kind.percent(1, 3000), OPEN)
        .open("tearKnPerM", "tear strength", Kind.plain("kN/m", 0.1, 200, 1), OPEN)
        .open("shrinkagePct", "linear shrinkage", Kind.percent(-2, 10), OPEN)
        .open("heatLimitC", "hottest casting material", Kind.temperature(0, 600), OPEN)
        .open("peakC", "as hot as it gets", Kind.temperature(0, 600), OPEN)
        .open("riseTimes", "it foams up", Kind.plain("times", 1.1, 60, 0.5), "not at all")
        .open("coats", "coats", Kind.count("coat", "coats", 1, 10), OPEN)
        .open("dryMin", "drying time", Kind.minutes(10_000), OPEN)
        .open("packs", "packs", Kind.parsed("packs", Pack::parse, Pack::text), OPEN)
        .open("shelfDays", "keeps unopened", Kind.count("day", "days", 1, 20_000), OPEN)
        .open("openedDays", "keeps once opened", Kind.count("day", "days", 1, 20_000), OPEN)
        .open("notes", "notes", Kind.text(1000), "none");
  }
}
