package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.filling.Fronts;
import ungula.core.plan.CastPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sprue.Spout;
import ungula.core.sprue.Sprue;

/** What can go wrong with the channels a cast is poured through. */
final class SprueCautions {

  /** A master heavier than this bends what it hangs by. */
  private static final double HEAVY_G = 300;

  private static final double LEAST_VENT_MM = 1.5;
  private static final double MOST_VENT_MM = 3;

  private final Plan p;
  private final List<Caution> found = new ArrayList<>();

  private SprueCautions(Plan p) {
    this.p = p;
  }

  static List<Caution> of(Plan p) {
    SprueCautions c = new SprueCautions(p);
    if (p.sprue().isPresent()) {
      c.slow();
      c.plug();
      c.heavy();
    }
    p.cast().filter(cast -> cast.fronts() != null).ifPresent(c::late);
    c.vents();
    return c.found;
  }

  private void add(String id, Caution.Level level, String title, String text, List<Fix> fixes) {
    found.add(
        new Caution(id, level, "mould", title, text, new Place(0, 0, p.mould().belowMm()), fixes));
  }

  private void slow() {
    CastPart cast = p.cast().orElseThrow();
    Sprue.Resin resin = cast.resin();
    if (!cast.known() || cast.sprue().inTime(cast.solidMm3(), resin)) {
      return;
    }
    Sprue needed = cast.proposed();
    List<Fix> fixes =
        needed.inTime(cast.solidMm3(), resin)
            ? List.of(
                new Fix(
                    "Make it as wide as it needs",
                    Length.format(needed.diameterMm(), p.units()),
                    List.of(Edit.of("channels.sprueMm", ""))))
            : List.of();
    add(
        "sprue.slow",
        CHECK,
        "The mould fills in " + cast.fillText(),
        "That is more than a third of the pot life: what is poured gets stiff before the mould is"
            + " full."
            + (fixes.isEmpty() ? " Cast in more than one pour, or take a thinner material." : ""),
        fixes);
  }

  /** Branches that may gel before they are full, the largest by name. */
  private void late(CastPart cast) {
    List<Fronts.Late> late = cast.fronts().late();
    if (late.isEmpty()) {
      return;
    }
    Fronts.Late first = late.get(0);
    String gels = Timespan.formatMin(cast.resin().potLifeMin());
    found.add(
        new Caution(
            "cast.late",
            first.surely() ? STOP : CHECK,
            "mould",
            "A thin branch " + (first.surely() ? "gels" : "may gel") + " before it is full",
            Volume.format(first.volumeMm3(), p.units())
                + " of the cast lie behind a passage "
                + Length.format(first.acrossMm(), p.units())
                + " wide. What is cast gels "
                + gels
                + " after it is mixed"
                + (first.surely()
                    ? "."
                    : "; at best it is there after "
                        + Timespan.formatMin(first.end().freshS() / 60)
                        + ".")
                + (late.size() > 1 ? " Other such branches: " + (late.size() - 1) + "." : "")
                + " Take a thinner or a slower material, or place the sprue nearer to it.",
            new Place(first.end().place().x(), first.end().place().y(), first.end().place().z()),
            List.of()));
  }

  private void plug() {
    if (p.choices().channels().spout() == Spout.FUNNEL) {
      add(
          "sprue.plug",
          CHECK,
          "A funnel in the rubber makes a plug",
          "What sets in it is wider than the channel: it locks itself in the rubber and tears the"
              + " lip. Keep the sprue straight, and set a loose funnel on it.",
          List.of(
              new Fix(
                  "Keep it straight",
                  "",
                  List.of(Edit.of("channels.spout", Spout.STRAIGHT.name())))));
    }
  }

  private void heavy() {
    double mass = p.master().orElseThrow().massG();
    if (mass > HEAVY_G) {
      add(
          "sprue.heavy",
          NOTE,
          "The sprue must carry " + Mass.format(mass, p.units()),
          "Give its former a stiff core, a rod or a screw, or the master sags to one side while the"
              + " rubber sets.",
          List.of());
    }
  }

  private void vents() {
    double mm = p.choices().channels().ventMm();
    if (p.choices().casting().vents().isEmpty() || mm >= LEAST_VENT_MM && mm <= MOST_VENT_MM) {
      return;
    }
    double better = mm < LEAST_VENT_MM ? LEAST_VENT_MM : MOST_VENT_MM;
    add(
        "vents.width",
        NOTE,
        "Vents of " + Length.format(mm, p.units()) + " are too " + (mm < better ? "fine" : "wide"),
        mm < better
            ? "They fill with a skin before air is out of them, and cannot be cleaned."
            : "They leave a stub to saw off where a fine one breaks away.",
        List.of(
            new Fix(
                "Make them " + Length.format(better, p.units()),
                "",
                List.of(Edit.of("channels.ventMm", better + " mm")))));
  }
}
