package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.List;
import java.util.Optional;
import ungula.core.air.PotPressure;
import ungula.core.cast.Amounts;
import ungula.core.cast.Method;
import ungula.core.choice.CastAmount;
import ungula.core.contact.CastingMaterial;
import ungula.core.pour.NamedVessel;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Pressure;
import ungula.core.quantity.Share;
import ungula.core.quantity.Vacuum;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What is mixed for one pour of casts.
 *
 * @param amounts null while they cannot be known
 * @param missing why not; empty when they are
 * @param cup the parts can be measured in; null where none that is known holds it
 */
public record AmountPart(
    Brief brief, CastPart cast, Amounts amounts, String missing, NamedVessel cup) implements Part {

  /** Of other than the model's, so much off is worth a look. */
  public static final double FAR_OFF = 0.1;

  /** Empty while a cast is not known. */
  static Optional<AmountPart> of(Brief b, CastPart cast) {
    if (!cast.known()) {
      return Optional.empty();
    }
    try {
      Amounts alone = amounts(b, cast, null);
      NamedVessel cup =
          alone.mixedMm3() == null
              ? null
              : b.workshop().mixing().vessels().stream()
                  .filter(v -> v.vessel().volumeMm3() >= alone.mixedMm3())
                  .findFirst()
                  .orElse(null);
      // powder has no line: it lies as loose as it was tipped in
      boolean liquid = b.cast() != null && b.cast().role() == Product.Role.RESIN;
      boolean lines = cup != null && liquid && alone.bG() != null && alone.bG() > 0;
      return Optional.of(new AmountPart(b, cast, lines ? amounts(b, cast, cup) : alone, "", cup));
    } catch (IllegalArgumentException unknown) {
      return Optional.of(new AmountPart(b, cast, null, unknown.getMessage(), null));
    }
  }

  private static CastAmount asked(Brief b) {
    return b.choices().cast().amount();
  }

  private static Amounts amounts(Brief b, CastPart cast, NamedVessel cup) {
    CastAmount a = asked(b);
    boolean byMass = byMass(b);
    double liquid = liquidShare(b);
    // what goes by mass is what it is, foamed or not
    double more = byMass ? 1 : liquid;
    Amounts.Cast what =
        switch (a.taken()) {
          case MODEL -> Amounts.Cast.ofCavity(liquid * cast.solidMm3());
          case HELD -> Amounts.Cast.ofCavity(liquid * a.heldMm3());
          case SHELL -> Amounts.Cast.ofCavity(liquid * shellMm3(b, cast));
          case WEIGHT -> Amounts.Cast.ofMaster(a.masterG(), a.factor());
          case LAST -> Amounts.Cast.ofMaster(a.lastG(), 1);
        };
    return Amounts.of(
        what,
        a.taken() == CastAmount.Way.LAST ? 0 : more * a.rodsMm3(),
        a.withChannels() ? 0 : more * (cast.volumeMm3() - cast.solidMm3()),
        a.loss(),
        liquid(b, cast),
        a.stirredIn(),
        cup == null ? null : cup.vessel());
  }

  /** Of a shell all over the surface. */
  private static double shellMm3(Brief b, CastPart cast) {
    return shellMm2(b, cast) * asked(b).shellMm();
  }

  /** Where a cast is poured in through its open base, that is left open. */
  private static double shellMm2(Brief b, CastPart cast) {
    if (b.facts().report() == null) {
      throw new IllegalArgumentException(
          "How much surface it has is not known of a master without a model: weigh the first shell,"
              + " and go by the last cast.");
    }
    return b.facts().report().areaMm2() - (cast.sprue() == null ? b.facts().restMm2() : 0);
  }

  /** How often what is cast foams up; 1 where it does not. */
  public static double rise(Brief b) {
    double usual = Method.of(b.castingMaterial()).rise();
    Double said = asked(b).riseTimes();
    Double sheet = b.cast() == null ? null : b.cast().riseTimes();
    return usual == 1 ? 1 : said != null ? said : sheet != null ? sheet : usual;
  }

  /** Of a room that is filled, what is mixed: less where it foams up. */
  private static double liquidShare(Brief b) {
    double rise = rise(b);
    return rise == 1 ? 1 : (1 + asked(b).packed()) / rise;
  }

  private static Amounts.Liquid liquid(Brief b, CastPart cast) {
    Product p = b.cast();
    if (p == null || p.ratio() == null) {
      double density = cast.resin().density();
      return new Amounts.Liquid(Ratio.READY, density, density);
    }
    Ratio ratio = p.ratio();
    boolean own = p.densityBase() != null && p.densityHardener() != null;
    Double mixed =
        ratio.basis() == Ratio.Basis.VOLUME && !own
            ? null
            : p.mixedDensity(p.hardenerPerBase(ratio));
    return new Amounts.Liquid(
        ratio, own ? p.densityBase() : mixed, own ? p.densityHardener() : mixed);
  }

  /** How much more is mixed than by the model, as a share of it; empty by the model itself. */
  public Optional<Double> more() {
    if (amounts == null
        || amounts.mixedMm3() == null
        || asked(brief).taken() == CastAmount.Way.MODEL
        || asked(brief).taken() == CastAmount.Way.SHELL) {
      return Optional.empty();
    }
    double model =
        liquidShare(brief)
            * (cast.volumeMm3() - asked(brief).rodsMm3())
            * (1 + asked(brief).loss());
    return Optional.of(amounts.mixedMm3() / model - 1);
  }

  @Override
  public void show(FigureBook figures) {
    if (amounts != null) {
      parts(figures);
      more().ifPresent(share -> more(figures, share));
    }
    Double pot = brief.workshop().equipment().waxPotG();
    boolean injected = brief.castingMaterial() == CastingMaterial.INJECTED_WAX;
    if (injected && pot != null && amounts != null && amounts.totalG() != null) {
      shots(figures, pot, amounts.totalG());
    }
    if (brief.choices().cast().pressureKpa() != null) {
      bubble(figures, brief.choices().cast().pressureKpa());
    }
  }

  /** The last of a pot cools: only whole casts are counted. */
  private void shots(FigureBook figures, double potG, double castG) {
    double shots = Math.floor(potG / castG);
    figures.put(
        "cast.shots",
        "casts out of a full injector",
        shots,
        Numbers.fixed(shots, 0),
        Working.of("wax it holds ÷ wax of a cast, whole casts only")
            .given("the injector holds", Mass.format(potG, brief.units()), CHOSEN)
            .given("a cast takes", Mass.format(castG, brief.units()), COMPUTED)
            .done());
  }

  /** What pressure makes of a bubble, as it shows on a cast. */
  private void bubble(FigureBook figures, double kpa) {
    double air = Vacuum.airKpa(brief.workshop().air().altitudeM());
    double across = PotPressure.acrossShare(kpa, air);
    Working.Builder w =
        Working.of("across = ∛(air ÷ (air + pressure)), until the pressure is let off")
            .given("air outside", Pressure.format(air, brief.units()), DEFAULT)
            .given("pressure", Pressure.format(kpa, brief.units()), CHOSEN);
    for (double other : PotPressure.COMMON_KPA) {
      w.step(
          "At "
              + Pressure.format(other, brief.units())
              + " it is "
              + Numbers.fixed(PotPressure.acrossShare(other, air), 2)
              + " times as wide.");
    }
    figures.put(
        "cast.bubble",
        "width of a bubble under pressure",
        across,
        Share.format(across, 0),
        w.done());
  }

  private boolean byMass() {
    return byMass(brief);
  }

  private static boolean byMass(Brief b) {
    CastAmount.Way way = asked(b).taken();
    return way == CastAmount.Way.WEIGHT || way == CastAmount.Way.LAST;
  }

  private Working said() {
    CastAmount a = asked(brief);
    CastAmount.Way way = a.taken();
    boolean rods = a.rodsMm3() > 0 && way != CastAmount.Way.LAST;
    String less = rods ? " − rods" : "";
    boolean foams = liquidShare(brief) != 1 && !byMass();
    String foam = foams ? " × (1 + more to fill it) ÷ what it rises" : "";
    Working.Builder w =
        Working.of(
            switch (way) {
              case MODEL ->
                  "(cast" + less + " + sprue and vents)" + foam + " × (1 + what is left in cups)";
              case HELD ->
                  "(what the mould held" + less + ")" + foam + " × (1 + what is left in cups)";
              case SHELL -> "(surface × thickness" + less + ") × (1 + what is left in cups)";
              case WEIGHT ->
                  "(master × factor" + less + " + sprue and vents) × (1 + what is left in cups)";
              case LAST -> "the last cast × (1 + what is left in cups)";
            });
    switch (way) {
      case MODEL -> w.given("cast", brief.ml(cast.solidMm3()), COMPUTED);
      case HELD -> w.given("what the mould held", brief.ml(a.heldMm3()), MEASURED);
      case SHELL ->
          w.given("surface", brief.area(shellMm2(brief, cast)), COMPUTED)
              .given("thickness", brief.mm(a.shellMm()), CHOSEN);
      case WEIGHT ->
          w.given("master", Mass.format(a.masterG(), brief.units()), MEASURED)
              .given("factor", Numbers.trimmed(a.factor(), 3), CHOSEN);
      default -> w.given("the last cast", Mass.format(a.lastG(), brief.units()), MEASURED);
    }
    if (!a.withChannels()) {
      w.given("sprue and vents", brief.ml(cast.volumeMm3() - cast.solidMm3()), COMPUTED);
    }
    if (rods) {
      w.given("rods", brief.ml(a.rodsMm3()), CHOSEN);
    }
    if (foams) {
      w.given("rises", Numbers.trimmed(rise(brief), 1) + " times", DEFAULT)
          .given("more to fill it", Share.format(a.packed(), 0), DEFAULT);
    }
    return w.given(
            "left in cups", Share.format(a.loss(), 0), a.lossPct() == null ? DEFAULT : CHOSEN)
        .done();
  }

  /** Of one from the other: what is asked for goes by volume, or by mass. */
  private Working byDensity() {
    return byMass()
        ? Working.of("what is weighed ÷ density of the mix")
            .given("weighed", Mass.format(amounts.totalG(), brief.units()), COMPUTED)
            .given("density of the mix", Density.format(amounts.density()), COMPUTED)
            .done()
        : Working.of("what is mixed × density of the mix")
            .given("mixed", brief.ml(amounts.mixedMm3()), COMPUTED)
            .given("density of the mix", Density.format(amounts.density()), COMPUTED)
            .done();
  }

  private void parts(FigureBook figures) {
    if (amounts.mixedMm3() != null) {
      figures.volume(
          "cast.mixed", "mixed for a cast", amounts.mixedMm3(), byMass() ? byDensity() : said());
    }
    if (amounts.totalG() == null) {
      return;
    }
    figures.mass(
        "cast.total", "weighed for a cast", amounts.totalG(), byMass() ? said() : byDensity());
    Product p = brief.cast();
    if (p != null && amounts.bG() > 0) {
      each(figures, p);
    }
    List<Additive> stirred = asked(brief).stirredIn();
    for (int i = 0; i < stirred.size(); i++) {
      Additive a = stirred.get(i);
      figures.mass(
          i == 0 ? "cast.filler" : "cast.also",
          names(brief).get(i),
          amounts.fillerG().get(i),
          Working.of("dose × what it is a share of")
              .given("dose", Share.typed(a.dosePct()) + " " + a.of().inCast(), CHOSEN)
              .done());
    }
    if (liquidShare(brief) != 1) {
      figures.put(
          "cast.fill",
          "of the mould is filled before it rises",
          liquidShare(brief),
          Share.format(liquidShare(brief), 0),
          Working.of("(1 + more to fill it) ÷ what it rises")
              .given("more to fill it", Share.format(asked(brief).packed(), 0), DEFAULT)
              .given("rises", Numbers.trimmed(rise(brief), 1) + " times", DEFAULT)
              .done());
    }
  }

  /** What is stirred in is called, one after the other. */
  public static List<String> names(Brief b) {
    CastAmount a = asked(b);
    return a.stirredIn().stream()
        .map(s -> !s.name().isEmpty() ? s.name() : s == a.filler() ? "filler" : "pigment")
        .toList();
  }

  private void each(FigureBook figures, Product p) {
    Working parts =
        Working.of("the mix, split by the ratio of its sheet")
            .given("the mix", figures.get("cast.total").text(), COMPUTED)
            .given("ratio", p.ratio().text(), SHEET)
            .done();
    figures.mass("cast.first", p.role().first(), amounts.aG(), parts);
    figures.mass("cast.second", p.role().second(), amounts.bG(), parts);
    if (!amounts.linesMm().isEmpty()) {
      Working line =
          Working.of("height of a frustum's volume in the " + cup.name())
              .given("the mix", figures.get("cast.mixed").text(), COMPUTED)
              .given("ratio", p.ratio().text(), SHEET)
              .given("the " + cup.name(), brief.ml(cup.vessel().volumeMm3()), CHOSEN)
              .done();
      figures.length(
          "cast.firstLine",
          p.role().first() + " in the " + cup.name(),
          amounts.linesMm().get(0),
          line);
      figures.length(
          "cast.secondLine", "all of it in the " + cup.name(), amounts.linesMm().get(1), line);
    }
  }

  private void more(FigureBook figures, double share) {
    figures.put(
        "cast.more",
        share < 0 ? "less than by the model" : "more than by the model",
        share,
        Share.format(Math.abs(share), 1),
        Working.of("what is mixed ÷ what the model asks for − 1")
            .given("mixed", brief.ml(amounts.mixedMm3()), MEASURED)
            .given("by the model", brief.ml(amounts.mixedMm3() / (1 + share)), COMPUTED)
            .done());
  }
}
