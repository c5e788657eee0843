package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import ungula.core.air.AirTraps;
import ungula.core.air.Ceilings.Ceiling;
import ungula.core.air.Tips;
import ungula.core.air.VentWay;
import ungula.core.air.Vents;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.attitude.Face;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.Casting;
import ungula.core.choice.LyingChoice;
import ungula.core.geometry.Vec3;
import ungula.core.mark.Mark;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plan.CastPart;
import ungula.core.plan.Plan;
import ungula.core.plan.ShapeFacts;
import ungula.core.quantity.Area;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sprue.SpruePlace;
import ungula.core.study.CastStudy;
import ungula.core.study.ShapeStudy;

/** Air that stays in rubber or cast, and where a cast is poured in and vented. */
final class AirCautions extends Finding {

  /** A mark this close to a place is on it. */
  private static final double NEAR_MM = 3;

  /** How far a master is held off the plate so that rubber gets under it. */
  private static final double LIFT_MM = 10;

  /** Of a cast so much air is no pocket: it is poured in from the wrong side. */
  private static final double MOST_OF_IT = 0.5;

  /** Another place for the sprue is worth it for no more than this share of the rubber. */
  private static final double LESS = 2 / 3.0;

  private final ShapeFacts shape;
  private final ShapeStudy study;

  private AirCautions(Plan plan, Prices prices) {
    super(plan, prices, "mould");
    this.shape = plan.facts().shape();
    this.study = shape == null ? null : shape.study();
  }

  static List<Caution> of(Plan plan, Prices prices) {
    AirCautions c = new AirCautions(plan, prices);
    if (c.study != null) {
      if (plan.poured() && plan.parting().isEmpty()) {
        // halves are poured one after the other, each over what lies open
        c.poured();
        c.ceilings();
      }
      if (!plan.brief().roundOpen()) {
        c.cast();
      }
      c.castCeilings();
      c.vents();
      c.besideSeam();
      c.cleanFaces();
    }
    return c.found;
  }

  private String pockets(AirTraps.Result air) {
    AirTraps.Pocket first = air.pockets().get(0);
    String deep = ", " + Length.format(first.depthMm(), p.units()) + " deep";
    int worth = Math.max(1, air.worth().size());
    return worth == 1
        ? "One pocket" + deep + "."
        : worth + " pockets, the largest " + ml(first.volumeMm3()) + deep + ".";
  }

  private void poured() {
    AirTraps.Result air = study.rubber().air();
    if (air.unreachedMm3() > Vents.WORTH_MM3) {
      found.add(
          new Caution(
              "air.closed",
              CHECK,
              "mould",
              "No rubber reaches " + ml(air.unreachedMm3()) + " under the master",
              "The master and the plate close that space off. Fill it with clay if it is meant to"
                  + " stay empty, or lift the master.",
              null,
              List.of(
                  new Fix(
                      "Hold it " + mm(LIFT_MM) + " clear of the plate",
                      "",
                      List.of(Edit.of("pose.liftMm", LIFT_MM + " mm"))))));
    }
    if (air.totalMm3() < Vents.WORTH_MM3) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    for (Tips.Tip tip : study.rubber().tips().stream().limit(1).toList()) {
      fixes.add(
          new Fix(
              "Tip it " + Numbers.trimmed(tip.degrees(), 0) + "°",
              tip.airMm3() < Vents.WORTH_MM3 ? "no air" : ml(tip.airMm3()) + " of air",
              List.of(Edit.of("pose.tipped", tip.degrees() + " " + tip.towardsDegrees()))));
    }
    found.add(
        new Caution(
            "air.poured",
            CHECK,
            "mould",
            ml(air.totalMm3()) + " of air stays against the master",
            pockets(air)
                + clean(air)
                + " It would have to go down before it can rise, so it stays however slowly you"
                + " pour: a hole in the mould, and a lump on every cast. Brush rubber in there"
                + " first, or stand the master another way.",
            place(air.pockets().get(0).top()),
            fixes));
  }

  private void cast() {
    AirTraps.Result air = study.cast().air();
    if (air.totalMm3() < Vents.WORTH_MM3 || low(air.totalMm3())) {
      return;
    }
    List<Fix> fixes = new ArrayList<>(lie());
    if (!study.cast().vents().isEmpty()) {
      int n = study.cast().vents().size();
      fixes.add(
          new Fix(
              n == 1 ? "Add a vent" : "Add " + n + " vents",
              study.cast().vented().totalMm3() < Vents.WORTH_MM3
                  ? "no air"
                  : ml(study.cast().vented().totalMm3()) + " of air",
              study.cast().vents().stream()
                  .map(
                      v ->
                          Edit.of(
                              "casting.vent", v.at().facet() + " " + v.at().u() + " " + v.at().v()))
                  .toList()));
    }
    found.add(
        new Caution(
            "air.cast",
            CHECK,
            "mould",
            ml(air.totalMm3()) + " of air stays in every cast",
            capital(study.cast().lies().text())
                + " and poured "
                + study.cast().inlet().text()
                + ". "
                + pockets(air)
                + clean(air)
                + " A pot under pressure makes it smaller, it does not take it away.",
            place(air.pockets().get(0).top()),
            fixes));
  }

  /** Whether the sprue is so low, as the mould lies, that most of a cast stays air. */
  private boolean low(double airMm3) {
    double cast = p.cast().map(CastPart::solidMm3).orElse(0.0);
    if (study.cast().inlet() != CastStudy.Inlet.SPRUE || airMm3 < MOST_OF_IT * cast) {
      return false;
    }
    List<Fix> fixes = new ArrayList<>(lie());
    if (p.facts().parted() != null) {
      TriangleMesh mesh = p.facts().parted().mesh();
      Vec3 up = study.cast().lies().up();
      SurfacePoint there =
          study.cast().lies().on() == Face.TOP
              ? SpruePlace.propose(mesh, p.choices().marks()).orElse(null)
              : SurfacePoint.nearest(mesh, mesh.furthest(up));
      if (there != null) {
        String at = there.facet() + " " + there.u() + " " + there.v();
        fixes.add(
            new Fix("Put it where the cast is highest", "", List.of(Edit.of("casting.sprue", at))));
      }
    }
    found.add(
        new Caution(
            "sprue.low",
            CHECK,
            "mould",
            "The sprue is on the wrong side: " + ml(airMm3) + " of " + ml(cast) + " would stay air",
            "As the mould lies, "
                + study.cast().lies().text()
                + ", most of the cast is higher than the sprue, and air there has no way out.",
            place(study.cast().air().pockets().get(0).top()),
            fixes));
    return true;
  }

  /** Another way to lie that asks for fewer vents. */
  private List<Fix> lie() {
    List<Found> going = p.attitudes();
    Found now = now();
    if (now == null || going.isEmpty() || AttitudeSearch.BEST.compare(going.get(0), now) >= 0) {
      return List.of();
    }
    Found best = going.get(0);
    int n = best.vents().size();
    boolean fewer = n < now.vents().size() || best.enough() && !now.enough();
    return fewer
        ? List.of(
            new Fix(
                "Cast it " + best.attitude().text(),
                n == 0 ? "no vents, no air" : n == 1 ? "one vent will do" : n + " vents will do",
                LyingChoice.edits(best.attitude())))
        : List.of();
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  private void vents() {
    List<VentWay> back = study.cast().ways().stream().filter(w -> w.castMm() > NEAR_MM).toList();
    if (!back.isEmpty()) {
      VentWay first = back.get(0);
      add(
          "vent.back",
          NOTE,
          back.size() == 1
              ? "A vent leads back into the cast"
              : back.size() + " vents lead back into the cast",
          "Straight out, one passes "
              + mm(first.rubberMm())
              + " of rubber and "
              + mm(first.castMm())
              + " of the cast itself: it leaves a thread between the two, to be cut and dressed."
              + " Lead it out to a side instead where that shows.",
          place(first.at()));
    }
  }

  /**
   * A sprue through the rubber of one half, where one in the seam would do about as well. In a
   * mould that is cut the master was held by it.
   */
  private void besideSeam() {
    CastStudy.SeamInlet in = study.cast().seamInlet();
    Found now = now();
    if (p.parting().isEmpty() || in == null || now == null || in.found().enough() != now.enough()) {
      return;
    }
    int vents = in.found().vents().size();
    int before = now.vents().size();
    double rubber = in.way().rubberMm() + in.found().rubberMm();
    double all = study.cast().sprueWay().rubberMm() + now.rubberMm();
    if (vents > before + 1
        || rubber > LESS * all
        || SpruePlace.BARRED.stream()
            .anyMatch(m -> shape.marked().near(m, in.way().at(), NEAR_MM))) {
      return;
    }
    SurfacePoint at = in.at();
    add(
        "sprue.aside",
        NOTE,
        "The sprue passes " + mm(study.cast().sprueWay().rubberMm()) + " of rubber beside the seam",
        "Through rubber it has to be left open by a former, and what sets in it is pulled out"
            + " through that. Where the seam meets the cast highest it is cut into both halves, and"
            + " opens with them."
            + (vents == before
                ? ""
                : " With the sprue there a cast asks for "
                    + vents(vents)
                    + " instead of "
                    + vents(before)
                    + "."),
        place(study.cast().sprueWay().at()),
        new Fix(
            "Put it in the seam",
            mm(rubber) + " of rubber for sprue and vents, now " + mm(all),
            List.of(Edit.of("casting.sprue", at.facet() + " " + at.u() + " " + at.v()))));
  }

  private static String vents(int n) {
    return n == 0 ? "none" : n == 1 ? "one vent" : n + " vents";
  }

  /** What comes of how the mould lies now; null where that was not looked at. */
  private Found now() {
    return study.cast().attitudes().stream()
        .filter(f -> f.attitude().equals(study.cast().lies()))
        .findFirst()
        .orElse(null);
  }

  /** Says so when air lies against what is to be kept clean. */
  private String clean(AirTraps.Result air) {
    boolean touches =
        air.pockets().stream()
            .anyMatch(a -> shape.marked().near(Mark.KEEP_CLEAN, a.top(), NEAR_MM));
    return touches ? " It lies against a place marked keep clean." : "";
  }

  private void ceilings() {
    ceiling(
        "air.level",
        study.rubber().ceilings(),
        "Air creeps under a level face",
        " sideways before it can rise past the master. Tip it a little, or brush rubber there"
            + " first and pour slowly.");
  }

  private void castCeilings() {
    ceiling(
        "air.castlevel",
        study.cast().ceilings(),
        "Air creeps along a level part of the mould",
        " sideways in a cast before it finds a way out. Tip the mould a little, or give it a vent"
            + " there.");
  }

  private void ceiling(String key, List<Ceiling> all, String title, String text) {
    if (!all.isEmpty()) {
      Ceiling c = all.get(0);
      add(
          key,
          CHECK,
          title,
          Area.format(c.areaMm2(), p.units())
              + " lie within 3° of level: from there air has to go "
              + mm(c.creepMm())
              + text,
          place(c.place()));
    }
  }

  /** Nothing is to end on what is marked keep clean. */
  private void cleanFaces() {
    BitSet clean = p.choices().marks().of(Mark.KEEP_CLEAN).facets();
    Casting casting = p.choices().casting();
    List<VentWay> vents =
        IntStream.range(0, casting.vents().size())
            .filter(v -> clean.get(casting.vents().get(v).facet()))
            .mapToObj(study.cast().ways()::get)
            .toList();
    if (!vents.isEmpty()) {
      add(
          "clean.vent",
          CHECK,
          vents.size() == 1
              ? "A vent ends on a clean face"
              : vents.size() + " vents end on clean faces",
          "The face is marked keep clean; a vent leaves a stub there to be dressed off.",
          place(vents.get(0).at()),
          new Fix("Remove the vents", "", List.of(Edit.of("casting.noVents", ""))));
    }
    if (sprueOn(clean)) {
      found.add(
          new Caution(
              "clean.sprue",
              CHECK,
              "mould",
              "The sprue ends on a clean face",
              "The face is marked keep clean; the sprue leaves a wide stub there.",
              null,
              elsewhere()));
    }
  }

  /** Where it is placed, or, while it is not, where the master is lowest. */
  private boolean sprueOn(BitSet facets) {
    SurfacePoint placed = p.choices().casting().sprue();
    if (placed != null) {
      return facets.get(placed.facet());
    }
    return p.sprue().isPresent()
        && p.facts().parted() != null
        && SpruePlace.lowestIsOn(p.facts().parted().mesh(), facets);
  }

  private List<Fix> elsewhere() {
    List<Fix> fixes = new ArrayList<>();
    if (p.facts().parted() != null) {
      TriangleMesh mesh = p.facts().parted().mesh();
      SpruePlace.propose(mesh, p.choices().marks())
          .ifPresent(
              at ->
                  fixes.add(
                      new Fix(
                          "Put it beside, " + mm(at.on(mesh).z()) + " above the lowest point",
                          "",
                          List.of(
                              Edit.of(
                                  "casting.sprue", at.facet() + " " + at.u() + " " + at.v())))));
    }
    if (p.choices().casting().sprue() != null) {
      fixes.add(new Fix("Remove the sprue", "", List.of(Edit.of("casting.noSprue", ""))));
    }
    return fixes;
  }
}
