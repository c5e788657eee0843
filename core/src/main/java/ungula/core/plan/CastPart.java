package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.air.VentWay;
import ungula.core.attitude.Attitude;
import ungula.core.choice.Channels;
import ungula.core.filling.Filling;
import ungula.core.filling.Flow;
import ungula.core.filling.Fronts;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages;
import ungula.core.mould.BoxMould;
import ungula.core.quantity.Density;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Product;
import ungula.core.sprue.Channel;
import ungula.core.sprue.Sprue;
import ungula.core.sprue.VentKind;
import ungula.core.study.ShapeStudy;
import ungula.core.working.FigureBook;
import ungula.core.working.Given;
import ungula.core.working.Working;

/**
 * What a cast takes, and what it is poured in through.
 *
 * @param lies how the mould lies while it is cast in
 * @param sprue null where a cast is poured in through the open base
 * @param proposed the narrowest that fills it in time; null where there is no sprue
 * @param solidMm3 of the cast, without what stays in its channels
 * @param hollowMm3 a core keeps free
 * @param vents null without
 * @param resin as far as pouring it goes: the product's sheet, and what was said besides
 * @param filling how the mould fills with it, as it lies; null while the shape is not worked out
 * @param fronts when it arrives where; null as well, of a hollow cast until that is worked out, and
 *     of one as thin as a cell all through
 */
public record CastPart(
    Brief brief,
    MasterPart master,
    Attitude lies,
    Sprue sprue,
    Sprue proposed,
    double solidMm3,
    double hollowMm3,
    Vents vents,
    Sprue.Resin resin,
    Filling filling,
    Fronts fronts)
    implements Part {

  /** As they run while it lies so; straight through the base until that is known. */
  record Vents(int count, double waysMm, double volumeMm3) {}

  /** Where the mould is opened for casts, as far as it is worked out: its sprue and round vents. */
  public List<Channel> channels() {
    List<Channel> all = new ArrayList<>();
    if (brief.facts().shape() != null) {
      ShapeStudy study = brief.facts().shape().study();
      if (sprue != null && study.cast().sprueWay() != null) {
        all.add(new Channel(study.cast().sprueWay().path(), sprue.diameterMm()));
      }
      if (brief.choices().channels().ventBy().round()) {
        double across = brief.choices().channels().ventMm();
        study.cast().ways().forEach(w -> all.add(new Channel(w.path(), across)));
      }
    }
    return all;
  }

  static CastPart of(Brief b, MasterPart master, BoxMould box, Optional<CorePart> core) {
    double hollow = core.map(c -> c.core().volumeMm3()).orElse(0.0);
    double solid = master.volumeMm3() - hollow;
    Sprue.Resin resin = resin(b, solid);
    boolean open = b.facts().baseOpen(box.belowMm());
    Attitude lies = b.choices().lying().of(b.choices().mould().kind(), open);
    double length = sprueMm(b, box);
    Sprue proposed = open ? null : Sprue.proposed(solid, length, resin);
    Double chosen = b.choices().channels().sprueMm();
    Sprue sprue = proposed == null || chosen == null ? proposed : new Sprue(chosen, length);
    Filling filling = filling(b, sprue, resin, solid);
    return new CastPart(
        b,
        master,
        lies,
        sprue,
        proposed,
        solid,
        hollow,
        vents(b, box),
        resin,
        filling,
        filling == null ? null : fronts(b, filling, resin));
  }

  private static Filling filling(Brief b, Sprue sprue, Sprue.Resin resin, double castMm3) {
    if (b.facts().shape() == null) {
      return null;
    }
    ShapeStudy study = b.facts().shape().study();
    Levels levels = study.cast().levels();
    double whole = levels.mm3()[Levels.COUNT] + study.cast().air().totalMm3();
    Flow flow =
        sprue == null
            ? Flow.open(b.workshop().mixing().pace().pourMm3PerMin() / 60)
            : new Flow(handMm3PerS(b, sprue, resin), sprue, resin);
    return Filling.of(levels.times(castMm3 / whole), study.cast().air().worth(), flow);
  }

  /** No faster than by hand, and than air leaves. */
  private static double handMm3PerS(Brief b, Sprue sprue, Sprue.Resin resin) {
    return b.facts().shape() == null
        ? Sprue.POURED_MM3_S
        : Math.min(Sprue.POURED_MM3_S, airMm3PerS(b, sprue, resin));
  }

  /**
   * What its round vents let out before a sprue that is kept full; any amount where it has none.
   */
  private static double airMm3PerS(Brief b, Sprue sprue, Sprue.Resin resin) {
    List<VentWay> ways = b.facts().shape().study().cast().ways();
    if (ways.isEmpty() || !b.choices().channels().ventBy().round()) {
      return Double.POSITIVE_INFINITY;
    }
    double head = sprue.lengthMm() * resin.density();
    return ways.stream()
        .mapToDouble(w -> Channel.airMm3PerS(b.choices().channels().ventMm(), w.channelMm(), head))
        .sum();
  }

  /** Once the cavity is full what stands in the sprue presses on, to its mouth. */
  private static Fronts fronts(Brief b, Filling filling, Sprue.Resin resin) {
    ShapeStudy study = b.facts().shape().study();
    Passages passages = study.cast().passages();
    if (b.roundOpen() || passages.sections().isEmpty()) {
      return null;
    }
    double top = filling.full().levelMm();
    VentWay sprue = study.cast().sprueWay();
    double driven = sprue == null ? top : Math.max(top, sprue.out().dot(filling.up()));
    return Fronts.of(passages, filling, driven, resin);
  }

  private static Sprue.Resin resin(Brief b, double castMm3) {
    Sprue.Resin said = b.choices().channels().resin();
    Product cast = b.cast();
    if (cast == null) {
      return said;
    }
    Double sheet = cast.mixedDensity(cast.ratio() == null ? 1 : cast.hardenerPerBase(cast.ratio()));
    double density = sheet == null ? said.density() : sheet;
    // in the room, and of so much of it in one cup
    Double pot = b.inRoomMin(cast, cast.potLifeMin(castMm3 / 1000 * density));
    return new Sprue.Resin(
        cast.viscosityPas() == null ? said.viscosityPas() : cast.viscosityPas(),
        pot == null ? said.potLifeMin() : pot,
        density);
  }

  /** Of one that is placed it is known from a study; until then as from the lowest point. */
  private static double sprueMm(Brief b, BoxMould box) {
    return Optional.ofNullable(b.facts().shape())
        .map(s -> s.study().cast().sprueWay())
        .map(VentWay::channelMm)
        .orElse(box.belowMm());
  }

  /** Their ways are known from a study. */
  private static Vents vents(Brief b, BoxMould box) {
    int count = b.choices().casting().vents().size();
    if (count == 0) {
      return null;
    }
    Channels made = b.choices().channels();
    double area = made.ventBy().sectionMm2(made.ventMm());
    double ways =
        b.facts().shape() == null
            ? count * box.belowMm()
            : b.facts().shape().study().cast().ways().stream()
                .mapToDouble(VentWay::channelMm)
                .sum();
    return new Vents(count, ways, area * ways);
  }

  /** Whether what a cast takes is known: not while its core is worked out. */
  public boolean known() {
    return !brief.coreOpen();
  }

  /** A cast with what stays in its channels. */
  public double volumeMm3() {
    return solidMm3
        + (sprue == null ? 0 : sprue.volumeMm3())
        + (vents == null ? 0 : vents.volumeMm3);
  }

  public double massG() {
    return volumeMm3() / 1000 * resin.density();
  }

  @Override
  public void show(FigureBook figures) {
    if (sprue != null) {
      sprue(figures);
    }
    if (vents != null) {
      vents(figures);
    }
    if (fronts != null) {
      last(figures);
    }
    if (!known()) {
      return;
    }
    boolean hollow = hollowMm3 > 0;
    Working.Builder w =
        Working.of(
                hollow ? "cast = master − core + sprue + vents" : "cast = master + sprue + vents")
            .given("master", brief.ml(master.volumeMm3()), COMPUTED)
            .given("sprue", brief.ml(sprue == null ? 0 : sprue.volumeMm3()), COMPUTED)
            .given("vents", brief.ml(vents == null ? 0 : vents.volumeMm3), COMPUTED);
    if (hollow) {
      w.given("core", brief.ml(hollowMm3), COMPUTED);
    }
    figures.volume("cast.volume", "a cast takes", volumeMm3(), w.done());
    figures.mass(
        "cast.mass",
        "a cast weighs",
        massG(),
        Working.of("mass = volume × density of what is cast")
            .given("volume", brief.ml(volumeMm3()), COMPUTED)
            .given(
                "density", Density.format(resin.density()), brief.cast() == null ? CHOSEN : SHEET)
            .done());
  }

  /** From the lowest point of the master through the rubber under it. */
  private void sprue(FigureBook figures) {
    Given.Source said = brief.cast() == null ? CHOSEN : SHEET;
    figures.length(
        "sprue.diameter",
        "sprue",
        sprue.diameterMm(),
        Working.of("narrowest standard channel with π ρ g d⁴ ÷ 128 µ enough to fill it in time")
            .given("to fill", brief.ml(solidMm3), COMPUTED)
            .given("density", Density.format(resin.density()), said)
            .given("viscosity", Numbers.trimmed(resin.viscosityPas(), 3) + " Pa·s", said)
            .given(
                "in time: a third of its pot life",
                Timespan.formatMin(Sprue.IN_TIME * resin.potLifeMin()),
                DEFAULT)
            .given("poured by hand at most", brief.ml(Sprue.POURED_MM3_S) + " a second", DEFAULT)
            .step("It needs " + brief.mm(proposed.diameterMm()) + ".")
            .step("The channel is kept full, so that the head is its own length.")
            .done());
    if (!brief.coreOpen()) {
      fill(figures);
    }
    figures.length(
        "sprue.length",
        "length of the sprue",
        sprue.lengthMm(),
        Working.of(
                placed()
                    ? "from its place out of the rubber, as the mould lies to be cast in"
                    : "rubber between the master and the base, which is turned up to cast")
            .done());
  }

  private boolean placed() {
    return brief.facts().shape() != null && brief.facts().shape().study().cast().sprueWay() != null;
  }

  /** How long it takes to fill, as it is shown. */
  public String fillText() {
    return text(fillS());
  }

  private double fillS() {
    return new Flow(handMm3PerS(brief, sprue, resin), sprue, resin).freshS(solidMm3);
  }

  private void fill(FigureBook figures) {
    figures.put(
        "sprue.fill",
        "time to fill",
        fillS(),
        fillText(),
        Working.of("volume ÷ the smaller of flow and hand, which pours no faster than air leaves")
            .given("flow", brief.ml(sprue.flowMm3PerS(resin)) + " a second", COMPUTED)
            .given("by hand", brief.ml(handMm3PerS(brief, sprue, resin)) + " a second", COMPUTED)
            .done());
  }

  private void last(FigureBook figures) {
    Fronts.Arrival last = fronts.last();
    double gels = 60 * resin.potLifeMin();
    Working.Builder w =
        Working.of("there when head ÷ viscosity, summed over time, is resistance × volume passed")
            .step("At best it stays as thin as it was mixed, and only the way there is filled.")
            .step(
                "At worst it is "
                    + Numbers.trimmed(Flow.THICKER, 0)
                    + " times as thick by the end of its pot life, and all that branches off on the"
                    + " way fills first.")
            .given("poured, at best", text(filling.full().freshS()), COMPUTED)
            .given(
                "viscosity",
                Numbers.trimmed(resin.viscosityPas(), 3) + " Pa·s",
                brief.cast() == null ? CHOSEN : SHEET)
            .given(
                "pot life",
                Timespan.formatMin(resin.potLifeMin()),
                brief.cast() == null ? CHOSEN : SHEET);
    double worst = Math.min(last.thickeningS(), gels);
    figures.put("cast.last", "the last of it arrives after", worst, lastText(), w.done());
  }

  /** When the last of it arrives, to follow "after". */
  public String lastText() {
    double gels = 60 * resin.potLifeMin();
    double best = fronts.last().freshS();
    double worst = fronts.last().thickeningS();
    if (best > gels) {
      return "more than " + text(gels) + ", when it gels";
    }
    if (worst > gels) {
      return text(best) + " at best, at worst not before it gels";
    }
    return text(best).equals(text(worst)) ? text(best) : text(best) + " to " + text(worst);
  }

  private static String text(double s) {
    return Timespan.formatMin(s / 60);
  }

  private void vents(FigureBook figures) {
    VentKind by = brief.choices().channels().ventBy();
    Working.Builder w =
        Working.of(
            by.round()
                ? "vents × π/4 d² × way"
                : by == VentKind.TAPE
                    ? "vents × width × " + brief.mm(VentKind.TAPE_MM) + " of gap × way"
                    : "slits close again: nothing of a cast stays in them");
    figures.volume(
        "vents.volume",
        "in the vents",
        vents.volumeMm3,
        w.given("vents", String.valueOf(vents.count), CHOSEN)
            .given("across", brief.mm(brief.choices().channels().ventMm()), CHOSEN)
            .given("ways together", brief.mm(vents.waysMm), COMPUTED)
            .done());
  }
}
