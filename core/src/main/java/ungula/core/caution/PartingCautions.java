package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.parting.KeyLayout;
import ungula.core.parting.Keying;
import ungula.core.parting.Parting;
import ungula.core.parting.PartingLine;
import ungula.core.parting.PartingScan;
import ungula.core.parting.SealRing;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What can go wrong where two halves of a mould meet. */
final class PartingCautions {

  /** Less rubber than this in a half tears. */
  private static final double LEAST_MM = 8;

  /** Less locked rubber than this gives way. */
  private static final double LOCKED_MM3 = 500;

  private final Plan p;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private PartingCautions(Plan p, Prices prices) {
    this.p = p;
    this.prices = prices;
  }

  static List<Caution> of(Plan p, Prices prices) {
    PartingCautions c = new PartingCautions(p, prices);
    if (p.parting().isPresent()) {
      c.locked();
      c.onClean();
      c.thin();
      c.registers();
      c.bonds();
    }
    return c.found;
  }

  private Parting parting() {
    return p.parting().orElseThrow();
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private void add(
      String id, Caution.Level level, String title, String text, double z, List<Fix> fixes) {
    Place at = new Place(p.facts().sizeMm().x() / 2, 0, z);
    found.add(new Caution(id, level, "mould", title, text, at, fixes));
  }

  /** Back to the level that is best, where another was asked for. */
  private List<Fix> atBest() {
    return p.choices().parting().upMm() == null
        ? List.of()
        : List.of(prices.fix("Part where it is best", Edit.of("parting.upMm", "")));
  }

  private void locked() {
    double locked = parting().lockedMm3();
    if (locked < LOCKED_MM3 || locked < PartingScan.WORTH * p.master().orElseThrow().volumeMm3()) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    boolean level = parting().line() == PartingLine.LEVEL;
    double curved = p.facts().parted().scan().betweenMm3();
    if (level && curved < locked / 2) {
      fixes.add(
          new Fix(
              "Part along the silhouette",
              curved < LOCKED_MM3 ? "nothing locked" : Volume.format(curved, p.units()) + " locked",
              List.of(Edit.of("parting.line", PartingLine.SILHOUETTE.name()))));
    }
    if (level) {
      fixes.addAll(atBest());
    }
    add(
        "parting.locked",
        CHECK,
        Volume.format(locked, p.units()) + " of rubber locks in the halves",
        level && fixes.isEmpty()
            ? "Pulled straight apart they have master in their way. Soft rubber gives a little; a"
                + " deep lock needs another way up, or a third piece."
            : level
                ? "At this level the halves have master in their way as they are pulled apart."
                : "It lies between master and master, so that no parting frees it: stand the master"
                    + " another way, plug the hollow, or make more pieces.",
        parting().levelMm(),
        fixes);
  }

  private void onClean() {
    if (parting().seamOnCleanMm() < 1) {
      return;
    }
    add(
        "parting.clean",
        CHECK,
        mm(parting().seamOnCleanMm()) + " of the seam runs over what is to stay clean",
        "A seam leaves a fine line on every cast, to be dressed off there.",
        parting().levelMm(),
        atBest());
  }

  private void thin() {
    double lower = parting().lowestMm();
    double upper = p.mould().pourLineMm() - parting().highestMm();
    if (Math.min(lower, upper) >= LEAST_MM) {
      return;
    }
    boolean below = lower < upper;
    add(
        "parting.thin",
        CHECK,
        "Only "
            + mm(Math.min(lower, upper))
            + " of rubber "
            + (below ? "under" : "over")
            + " the parting",
        "A half this thin tears as it is pulled off.",
        below ? lower : parting().highestMm(),
        atBest());
  }

  private void registers() {
    Keying keying = p.choices().parting().keying();
    boolean ring = keying == Keying.RING;
    SealRing.Form form = p.choices().parting().ring();
    double room = ring ? form.roomMm() : KeyLayout.ROOM_MM;
    boolean tight =
        ring ? p.mould().inside().thinnestMm() < room - 0.05 : parting().keys().isEmpty();
    if (!tight || keying == Keying.NONE) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    if (p.choices().mould().sidesMm() < room) {
      fixes.add(
          prices.fix(
              "Leave " + mm(room) + " round the sides",
              Edit.of("mould.sidesMm", room + " mm"),
              Edit.of("mould.insideLengthMm", ""),
              Edit.of("mould.insideWidthMm", ""),
              Edit.of("mould.leftMm", ""),
              Edit.of("mould.rightMm", ""),
              Edit.of("mould.frontMm", ""),
              Edit.of("mould.backMm", "")));
    }
    add(
        "parting.room",
        CHECK,
        ring ? "The seal ring has no room" : "There is no room for keys",
        ring
            ? "Its centre line runs "
                + mm(form.offsetMm())
                + " off the cavity; with its width it needs "
                + mm(room)
                + " to the box."
            : "A key keeps "
                + mm(KeyLayout.TO_CAVITY_MM)
                + " off the cavity and "
                + mm(KeyLayout.TO_WALL_MM)
                + " off the box.",
        parting().levelMm(),
        fixes);
  }

  private void bonds() {
    add(
        "parting.bonds",
        NOTE,
        "Rubber bonds to rubber",
        "Release the first half all over before the second pour, and try the release on offcuts"
            + " first: follow the sheets of both.",
        parting().levelMm(),
        List.of());
  }
}
