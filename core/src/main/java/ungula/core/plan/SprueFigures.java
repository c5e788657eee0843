package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.time.Duration;
import ungula.core.air.VentWay;
import ungula.core.choice.Choices;
import ungula.core.quantity.Density;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Volume;
import ungula.core.sprue.Sprue;
import ungula.core.working.Given;
import ungula.core.working.Working;

/** What a cast takes, with what it is poured in through. */
final class SprueFigures {

  private SprueFigures() {}

  /**
   * Adds the figures to the plan's.
   *
   * @return the sprue; null where a cast is poured in through the open base
   */
  static Sprue add(Planner p) {
    boolean open = p.facts.baseOpen(p.box.belowMm());
    Sprue sprue = open ? null : sprue(p);
    double channels = sprue == null ? 0 : sprue.volumeMm3();
    double vents = vents(p);
    Sprue.Resin resin = p.resin();
    if (p.coreOpen()) {
      return sprue;
    }
    double cast = p.castMm3() + channels + vents;
    boolean hollow = p.hollowMm3 > 0;
    Working.Builder w =
        Working.of(
                hollow ? "cast = master − core + sprue + vents" : "cast = master + sprue + vents")
            .given("master", Volume.format(p.masterMm3, p.units), COMPUTED)
            .given("sprue", Volume.format(channels, p.units), COMPUTED)
            .given("vents", Volume.format(vents, p.units), COMPUTED);
    if (hollow) {
      w.given("core", Volume.format(p.hollowMm3, p.units), COMPUTED);
    }
    p.figures.volume("cast.volume", "a cast takes", cast, w.done());
    p.figures.mass(
        "cast.mass",
        "a cast weighs",
        cast / 1000 * resin.density(),
        Working.of("mass = volume × density of what is cast")
            .given("volume", Volume.format(cast, p.units), COMPUTED)
            .given("density", Density.format(resin.density()), p.cast == null ? CHOSEN : SHEET)
            .done());
    return sprue;
  }

  /** From the lowest point of the master through the rubber under it. */
  private static Sprue sprue(Planner p) {
    Choices.Channels c = p.choices.channels();
    double length = p.box.belowMm();
    Sprue.Resin resin = p.resin();
    Given.Source said = p.cast == null ? CHOSEN : SHEET;
    Sprue proposed = Sprue.proposed(p.castMm3(), length, resin);
    Sprue sprue = c.sprueMm() == null ? proposed : new Sprue(c.sprueMm(), length);
    p.figures.length(
        "sprue.diameter",
        "sprue",
        sprue.diameterMm(),
        Working.of("narrowest standard channel with π ρ g d⁴ ÷ 128 µ enough to fill it in time")
            .given("to fill", Volume.format(p.castMm3(), p.units), COMPUTED)
            .given("density", Density.format(resin.density()), said)
            .given("viscosity", Numbers.trimmed(resin.viscosityPas(), 3) + " Pa·s", said)
            .given(
                "in time: a third of its pot life",
                seconds(Sprue.IN_TIME * 60 * resin.potLifeMin()),
                DEFAULT)
            .given(
                "poured by hand at most",
                Volume.format(Sprue.POURED_MM3_S, p.units) + " a second",
                DEFAULT)
            .step("It needs " + Length.format(proposed.diameterMm(), p.units) + ".")
            .step("The channel is kept full, so that the head is its own length.")
            .done());
    if (!p.coreOpen()) {
      fill(p, sprue);
    }
    p.figures.length(
        "sprue.length",
        "length of the sprue",
        length,
        Working.of("rubber between the master and the base, which is turned up to cast").done());
    return sprue;
  }

  private static void fill(Planner p, Sprue sprue) {
    Sprue.Resin resin = p.resin();
    p.figures.put(
        "sprue.fill",
        "time to fill",
        sprue.fillS(p.castMm3(), resin),
        seconds(sprue.fillS(p.castMm3(), resin)),
        Working.of("volume ÷ the smaller of flow and hand")
            .given("flow", Volume.format(sprue.flowMm3PerS(resin), p.units) + " a second", COMPUTED)
            .done());
  }

  private static String seconds(double s) {
    return s < 90 ? Numbers.fixed(s, 0) + " s" : Timespan.format(Duration.ofSeconds(Math.round(s)));
  }

  /** Vents run straight up through the rubber, turned over; their ways are known from a study. */
  private static double vents(Planner p) {
    int count = p.choices.casting().vents().size();
    if (count == 0) {
      return 0;
    }
    double area = Math.PI / 4 * Math.pow(p.choices.channels().ventMm(), 2);
    double length =
        p.facts.shape() == null
            ? count * p.box.belowMm()
            : p.facts.shape().study().ways().stream().mapToDouble(VentWay::rubberMm).sum();
    p.figures.volume(
        "vents.volume",
        "in the vents",
        area * length,
        Working.of("vents × π/4 d² × way through the rubber")
            .given("vents", String.valueOf(count), CHOSEN)
            .given("across", Length.format(p.choices.channels().ventMm(), p.units), CHOSEN)
            .given("ways together", Length.format(length, p.units), COMPUTED)
            .done());
    return area * length;
  }
}
