package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.form.Hollow;
import ungula.core.form.ThinPart;
import ungula.core.geometry.Vec3;
import ungula.core.mark.Mark;
import ungula.core.mould.MouldKind;
import ungula.core.mould.Offcuts;
import ungula.core.plan.Plan;
import ungula.core.plan.ShapeFacts;
import ungula.core.quantity.Area;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.release.Stretch;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.study.ShapeStudy;

/** What a master's shape makes go wrong: air that stays, a mould that does not come off. */
final class ShapeCautions extends Finding {

  /** Rubber may be stretched to this share of its elongation at break once it is worn. */
  private static final double WORN = 1 / 6.0;

  /** Under a master that is cast round on all sides. */
  private static final double CLEAR_MM = 10;

  /** Walls thicker than this do not stretch. */
  private static final double THICK_MM = 20;

  private static final double THICK_STRETCH = 0.15;

  /** Blind holes deeper than so many times their width bind. */
  private static final double BLIND = 2;

  /** A mark this close to a place is on it. */
  private static final double NEAR_MM = 3;

  private final ShapeFacts shape;
  private final ShapeStudy study;

  private ShapeCautions(Plan plan, Prices prices) {
    super(plan, prices, "mould");
    this.shape = plan.facts().shape();
    this.study = shape == null ? null : shape.study();
  }

  static List<Caution> of(Plan plan, Prices prices) {
    ShapeCautions c = new ShapeCautions(plan, prices);
    if (c.study != null) {
      c.webs();
      c.blindHoles();
      c.thinParts();
      if (plan.poured()) {
        c.stretch();
        c.thread();
        c.offcuts();
      }
    }
    return c.found;
  }

  private String up(Vec3 at) {
    return mm(Math.max(0, at.z())) + " above the plate";
  }

  private boolean seenTo(Hollow h) {
    double reach = Math.max(NEAR_MM, h.widthMm());
    return shape.marked().near(Mark.PLUG, h.place(), reach);
  }

  private void webs() {
    List<Hollow> webs =
        shape.form().hollows().stream().filter(h -> h.through() && !seenTo(h)).toList();
    if (webs.isEmpty()) {
      return;
    }
    int holes = p.facts().report() == null ? 0 : p.facts().report().genus();
    int more = holes - webs.size();
    Hollow h = webs.get(0);
    add(
        "locks.web",
        CHECK,
        webs.size() == 1
            ? "A web of rubber runs through the master"
            : webs.size() + " webs of rubber run through the master",
        (webs.size() == 1
                ? "The master leaves the mould only when it is cut through once. Its"
                : "The master leaves the mould only when each is cut through once. The thinnest"
                    + " one's")
            + " smallest section is "
            + Area.format(h.areaMm2(), p.units())
            + ", "
            + mm(h.widthMm())
            + " wide, "
            + up(h.place())
            + ". Or plug the hole, and mark it so."
            + (more > 0 && holes > 0 && webs.size() < holes
                ? " The model has " + more + " more that run too crooked to measure."
                : ""),
        place(h.place()));
  }

  private void blindHoles() {
    List<Hollow> deep =
        shape.form().hollows().stream()
            .filter(h -> !h.through() && h.depthMm() > BLIND * h.widthMm() && !seenTo(h))
            .toList();
    if (deep.isEmpty()) {
      return;
    }
    Hollow h = deep.get(0);
    boolean thread = shape.marked().near(Mark.THREAD, h.place(), Math.max(NEAR_MM, h.widthMm()));
    add(
        "locks.blind",
        thread ? NOTE : CHECK,
        deep.size() == 1 ? "A deep blind hole" : deep.size() + " deep blind holes",
        mm(h.depthMm())
            + " deep and "
            + mm(h.widthMm())
            + " wide, "
            + up(h.place())
            + (thread
                ? ". Marked as a thread: unscrew the rubber from it, or plug it."
                : ". The rubber in it may bind or tear: release it well, plug it, or cut there."),
        place(h.place()));
  }

  private void thinParts() {
    List<ThinPart> thin =
        shape.form().thin().stream()
            .filter(t -> !shape.marked().near(Mark.FRAGILE, t.tip(), NEAR_MM))
            .toList();
    if (thin.isEmpty()) {
      return;
    }
    ThinPart t = thin.get(0);
    add(
        "master.thin",
        CHECK,
        thin.size() == 1
            ? "A thin " + t.kind().text()
            : thin.size() + " thin parts, the longest a " + t.kind().text(),
        mm(t.thicknessMm())
            + " thick and "
            + mm(t.lengthMm())
            + " long, "
            + up(t.tip())
            + ". "
            + (t.kind() == ThinPart.Kind.NECK
                ? "Pour slowly: it fills what lies behind it; and it breaks first at demoulding."
                : pointsDown(t)
                    ? "In a cast it points down: brush resin in first. It breaks first at"
                        + " demoulding."
                    : "It may flex in the pour and break at demoulding: pull along it."),
        place(t.tip()));
  }

  /** The mould is turned over to be cast in: what points up now points down then. */
  private static boolean pointsDown(ThinPart t) {
    return t.tip().z() - t.root().z() > 0.7 * t.tip().minus(t.root()).norm();
  }

  private void offcuts() {
    Double put = p.choices().rubber().offcutsMm3();
    double most = p.shape().orElseThrow().mostOffcutsMm3();
    if (put == null || put <= most * 1.001) {
      return;
    }
    found.add(
        new Caution(
            "offcuts.many",
            CHECK,
            "rubber",
            "More offcuts than there is room for",
            "Further than "
                + mm(Offcuts.CLEAR_MM)
                + " from the master, "
                + ml(most)
                + " find room without touching each other. Closer, they show in a cast and turn"
                + " the knife.",
            null,
            List.of(
                new Fix(
                    "Put in " + ml(most),
                    "+" + ml(put - most) + " rubber",
                    List.of(Edit.of("rubber.offcutsMm3", most / 1000 + " mL"))))));
  }

  /** What is marked to be unscrewed is counted on to be. */
  private void thread() {
    if (p.choices().marks().of(Mark.THREAD).isEmpty()) {
      return;
    }
    add(
        "locks.thread",
        NOTE,
        "The thread is unscrewed",
        "Turn the mould off it, and turn every cast out of it: if they are pulled, the rubber tears."
            + " No stretch is counted for it. Or plug it, and mark it as a hole to plug.",
        null);
  }

  private void stretch() {
    double needed = study.release().stretch().share();
    if (needed < 0.02 || !p.facts().baseOpen(p.choices().pose().liftMm())) {
      return;
    }
    String how =
        "As the mould is pulled off, its rubber "
            + Length.format(study.release().stretch().throatMm(), p.units())
            + " up must pass over the wider master at "
            + Length.format(study.release().stretch().wideMm(), p.units())
            + ": it stretches by "
            + Numbers.trimmed(100 * needed, 0)
            + " %.";
    boolean thick = p.mould().thinnestWallMm() > THICK_MM && needed > THICK_STRETCH;
    Double elongation = p.product() == null ? null : p.product().elongationPct();
    boolean tears = elongation != null && 100 * needed > Stretch.FRESH * elongation;
    boolean wears = elongation != null && 100 * needed > WORN * elongation;
    String limit =
        elongation == null
            ? " A rubber may be stretched to a quarter of its elongation at break; no rubber is"
                + " chosen yet."
            : " "
                + p.product().name()
                + " breaks at "
                + Numbers.trimmed(elongation, 0)
                + " %: count on "
                + Numbers.trimmed(Stretch.FRESH * elongation, 0)
                + " % while new, "
                + Numbers.trimmed(WORN * elongation, 0)
                + " % when worn.";
    found.add(
        new Caution(
            "locks.stretch",
            tears ? STOP : thick || wears ? CHECK : NOTE,
            "mould",
            tears
                ? "The mould tears coming off"
                : thick
                    ? "The wall is too thick to stretch off"
                    : "The mould must stretch to come off",
            how
                + limit
                + (thick ? " Walls over 20 mm hardly stretch: pare the wall or cut it." : "")
                + (tears ? " A rubber that stretches further may do." : ""),
            new Place(0, 0, study.release().stretch().throatMm()),
            tears
                ? List.of(
                    kind("Make it a cut mould", MouldKind.CUT),
                    kind("Make it in two parts", MouldKind.TWO_PART))
                : List.of()));
  }

  /** Another kind of mould, with the master clear of the base as it needs. */
  private Fix kind(String label, MouldKind kind) {
    return prices.fix(
        label,
        Edit.of("mould.kind", kind.name()),
        Edit.of("pose.liftMm", typed(Math.max(CLEAR_MM, p.choices().pose().liftMm()))));
  }
}
