package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.air.Empties;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.geometry.Vec3;
import ungula.core.mould.Bowing;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Filling;
import ungula.core.mould.Fixing;
import ungula.core.mould.Lift;
import ungula.core.mould.SheetStock;
import ungula.core.mould.WallPlace;
import ungula.core.plan.Plan;
import ungula.core.quantity.Area;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;

/** What goes wrong with a box: thin walls, a low pour line, bowing, a master that floats. */
final class BoxCautions extends Finding {

  /** Poured rubber thinner than this tears when a cast is pulled. */
  private static final double TEARS_MM = 5;

  /** What holds less than this holds nothing that matters. */
  private static final double BARELY_N = 0.1;

  /** An empty inside smaller than this is not worth a sentence. */
  private static final double LEAST_EMPTY_MM3 = 500;

  /** The share of the lift that filling the inside first must take away to be offered. */
  private static final double WORTH_FILLING = 0.05;

  /** A block of this hardness, Shore A, stands so many times higher than wide; softer ones less. */
  private static final double STANDING_A = 25;

  private static final double STANDING = 4;
  private static final double LEAST_STANDING = 1.5;

  private BoxCautions(Plan p, Prices prices) {
    super(p, prices, "mould");
  }

  static List<Caution> of(Plan p, Prices prices) {
    BoxCautions c = new BoxCautions(p, prices);
    c.level();
    c.walls();
    c.pourLine();
    c.bowing();
    c.lift();
    c.sealing();
    c.leaning();
    return c.found;
  }

  private Place top() {
    Vec3 top = p.facts().topMm();
    return new Place(top.x(), top.y(), p.mould().belowMm() + top.z());
  }

  /** A soft block much higher than it is wide does not stand by itself. */
  private void leaning() {
    if (p.product() == null || p.product().hardness() == null) {
      return;
    }
    double shoreA = p.product().scale() == Product.Scale.SHORE_A ? p.product().hardness() : 0;
    double stands = Math.max(LEAST_STANDING, STANDING * Math.min(1, shoreA / STANDING_A));
    double slender =
        p.mould().pourLineMm() / Math.min(p.mould().insideLengthMm(), p.mould().insideWidthMm());
    if (slender > stands) {
      add(
          "mould.leans",
          NOTE,
          "The mould leans when it stands alone",
          "It is "
              + Numbers.fixed(slender, 1)
              + " times as high as it is wide. Of a rubber this soft, a mould stands by itself up to"
              + " about "
              + Numbers.fixed(stands, 1)
              + " times. Cast with boards banded round it, or lay a stiff jacket over it before it comes"
              + " off its base.",
          null);
    }
  }

  /** Rubber finds its own level: what lies out of it is thick at one end, thin at the other. */
  private void level() {
    BoxMould box = p.mould();
    if (!box.levelMatters()) {
      return;
    }
    double lost = box.slopeMm(1);
    double over = box.overTopMm();
    boolean bare = over > 0 && lost > over;
    add(
        "box.level",
        bare ? CHECK : NOTE,
        "One degree out of level costs " + mm(lost) + " of rubber",
        "Over "
            + mm(box.inside().spanMm())
            + " rubber stands so much higher at one end than at the other"
            + (bare ? ", more than the " + mm(over) + " over the top" : "")
            + ". Lay a straight edge with the level along the long walls, then across, and pack"
            + " under the plate until both agree; look again when the rubber is in.",
        null);
  }

  private void walls() {
    BoxMould box = p.mould();
    double asked = p.choices().mould().sidesMm();
    double thin = box.thinnestWallMm();
    double error = p.brief().measuredErrorMm();
    Place place =
        switch (box.thinnestPlace()) {
          case LEFT -> new Place(-p.facts().sizeMm().x() / 2, 0, middle());
          case RIGHT -> new Place(p.facts().sizeMm().x() / 2, 0, middle());
          case FRONT -> new Place(0, -p.facts().sizeMm().y() / 2, middle());
          case BACK -> new Place(0, p.facts().sizeMm().y() / 2, middle());
          case BELOW -> new Place(0, 0, box.belowMm());
          case SIDES -> null;
          case TOP -> top();
        };
    double side = box.inside().thinnestMm();
    // a wall asked for that would tear is not worth going back to
    double leave = asked >= TEARS_MM ? asked : 10;
    Edit[] toSuit = {
      Edit.of("mould.sidesMm", typed(leave)),
      Edit.of("mould.insideLengthMm", ""),
      Edit.of("mould.insideWidthMm", ""),
      Edit.of("mould.leftMm", ""),
      Edit.of("mould.rightMm", ""),
      Edit.of("mould.frontMm", ""),
      Edit.of("mould.backMm", "")
    };
    if (side <= 0) {
      add(
          "wall.none",
          STOP,
          "The master does not fit into the box",
          "It needs " + mm(-side) + " more on a side before there is any rubber at all.",
          place,
          fix("Leave " + mm(leave) + " all round", toSuit));
    } else if (thin < asked - 0.05 && side == thin) {
      add(
          "wall.thin",
          CHECK,
          "The wall is thinner than asked for: " + mm(thin),
          "You asked for "
              + mm(asked)
              + "; there is less "
              + box.thinnestPlace().text()
              + ". Thin rubber tears first, and bows with the box.",
          place,
          fix("Leave " + mm(leave) + " all round", toSuit),
          fix("Ask for " + mm(thin), Edit.of("mould.sidesMm", typed(thin))));
    } else if (thin - error < TEARS_MM && thin > 0) {
      double enough = Math.max(10, Math.ceil(TEARS_MM + error));
      add(
          "wall.tears",
          CHECK,
          "Only " + mm(thin) + " of rubber " + box.thinnestPlace().text(),
          "Under "
              + mm(TEARS_MM)
              + " a poured wall tears when the cast is pulled."
              + (error > 0 ? " The master is measured to ± " + mm(error) + "." : ""),
          place,
          box.thinnestPlace() == WallPlace.TOP
              ? fix(
                  "Pour " + mm(enough) + " over the top", Edit.of("mould.overTopMm", typed(enough)))
              : box.thinnestPlace() == WallPlace.BELOW
                  ? fix("Lift it to " + mm(enough), Edit.of("pose.liftMm", typed(enough)))
                  : fix(
                      "Leave " + mm(enough) + " round the sides",
                      Edit.of("mould.sidesMm", typed(enough))));
    }
  }

  private double middle() {
    return p.mould().belowMm() + p.facts().sizeMm().z() / 2;
  }

  private void pourLine() {
    double over = p.mould().overTopMm();
    if (over >= 0) {
      return;
    }
    add(
        "pour.low",
        STOP,
        "The pour line is " + mm(-over) + " under the master's top",
        "The top of the master stays bare, and the mould has a hole there.",
        top(),
        fix("Pour 10 mm over the top", Edit.of("mould.overTopMm", typed(10))));
  }

  private void bowing() {
    BoxMould box = p.mould();
    SheetStock sheet = box.sheet();
    double longest = box.inside().spanMm();
    Double ribs = p.choices().mould().ribSpacingMm();
    double span = ribs == null ? longest : Math.min(longest, ribs);
    double depth = box.pourLineMm();
    if (!(depth > 0) || !(span > 0)) {
      return;
    }
    Bowing bow = Bowing.of(span, depth, sheet, p.density());
    double limit = Bowing.limitMm(Math.max(1, p.choices().mould().sidesMm()));
    if (bow.mm() <= limit) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    double spacing = ribSpacing(depth, sheet, limit, longest);
    if (spacing >= 20) {
      int count = (int) Math.ceil(longest / spacing) - 1;
      fixes.add(
          fix(
              count + (count == 1 ? " rib" : " ribs") + " on the long walls, every " + mm(spacing),
              Edit.of("mould.ribSpacingMm", typed(spacing))));
    }
    for (SheetStock stiffer : SheetStock.values()) {
      if (Bowing.of(span, depth, stiffer, p.density()).mm() <= limit) {
        fixes.add(fix("Use " + stiffer.text(), Edit.of("mould.sheet", stiffer.name())));
        break;
      }
    }
    add(
        "box.bows",
        CHECK,
        "The walls are tall for " + sheet.text() + ": they bow " + mm(bow.mm()),
        "Rubber "
            + mm(depth)
            + " high presses on a wall "
            + mm(span)
            + " long. Bowing more than "
            + mm(limit)
            + " opens the corners and makes the mould too thick in the middle.",
        new Place(-box.masterMm().x() / 2 - box.leftMm(), 0, depth / 3),
        fixes.toArray(Fix[]::new));
  }

  /** The widest rib spacing, in whole fives of a millimetre, that keeps the bow in bounds. */
  private double ribSpacing(double depth, SheetStock sheet, double limit, double longest) {
    for (int ribs = 1; ribs < 40; ribs++) {
      double spacing = longest / (ribs + 1);
      if (Bowing.of(spacing, depth, sheet, p.density()).mm() <= limit) {
        return Math.floor(spacing / 5) * 5;
      }
    }
    return 0;
  }

  private void lift() {
    Empties empties = p.shape().map(s -> s.study().rubber().empties()).orElse(Empties.NONE);
    // air under the master keeps rubber out as the master does
    double never =
        empties.sealedMm3() + p.shape().map(s -> s.study().rubber().air().totalMm3()).orElse(0.0);
    boolean inside = p.choices().mould().filling() == Filling.INSIDE_FIRST;
    Lift filled = lift(new Empties(List.of(), never));
    Lift lift = inside ? filled : lift(new Empties(empties.cups(), never));
    if (lift.forceN() <= 0) {
      return;
    }
    Fixing fixing = p.choices().mould().fixing();
    boolean clear = p.mould().belowMm() > 0;
    // clear of the plate it stands on the former of its sprue
    double restMm2 =
        clear && p.sprue().isPresent() ? p.sprue().get().sectionMm2() : p.facts().restMm2();
    double holds = fixing.strengthKpa() * restMm2 / 1000;
    if (holds >= 2 * lift.forceN()) {
      return;
    }
    List<Fix> fixes = new ArrayList<>();
    for (Fixing other : Fixing.values()) {
      if (other.strengthKpa() * restMm2 / 1000 >= 2 * lift.forceN()) {
        fixes.add(fix("Hold it with " + other.text(), Edit.of("mould.fixing", other.name())));
        break;
      }
    }
    if (filled.forceN() < (1 - WORTH_FILLING) * lift.forceN()) {
      boolean enough = holds >= 2 * filled.forceN();
      // what ends it stands first
      fixes.add(
          enough ? 0 : fixes.size(),
          fix(
              "Fill the inside first: "
                  + (filled.forceN() > 0 ? newtons(filled) : "nothing")
                  + " pulls up instead of "
                  + newtons(lift),
              Edit.of("mould.filling", Filling.INSIDE_FIRST.name())));
    }
    add(
        "master.floats",
        CHECK,
        "The master would float: "
            + newtons(lift)
            + ", like "
            + Mass.format(lift.holdDownG(), p.units())
            + " pulling up",
        (clear ? "" : "If rubber gets under it. ")
            + empty(lift)
            + (fixing == Fixing.NONE
                ? "Nothing holds it down."
                : (clear ? "It stands on the former of its sprue, " : "It rests on ")
                    + Area.format(restMm2, p.units())
                    + ", where "
                    + fixing.text()
                    + (holds < BARELY_N
                        ? " barely holds."
                        : " holds about " + Numbers.fixed(holds, 1) + " N; count on half.")),
        new Place(0, 0, p.mould().belowMm()),
        fixes.toArray(Fix[]::new));
  }

  private Lift lift(Empties empties) {
    double g = p.master().orElseThrow().massG();
    double line = Math.max(0, p.mould().pourLineMm());
    return Lift.of(p.mould().curve(), empties, line, p.density(), g);
  }

  private static String newtons(Lift lift) {
    return Numbers.fixed(lift.forceN(), 2) + " N";
  }

  /** What lifts it beside the master itself. */
  private String empty(Lift lift) {
    return lift.emptyMm3() < LEAST_EMPTY_MM3
        ? ""
        : "With the rubber at "
            + mm(lift.levelMm())
            + " it keeps out "
            + p.brief().ml(lift.keptOutMm3())
            + ", of which "
            + p.brief().ml(lift.emptyMm3())
            + " is air. ";
  }

  private void sealing() {
    String sealing = p.mould().sheet().sealing();
    if (!sealing.isEmpty()) {
      add(
          "box.seal",
          NOTE,
          "Seal " + sealing,
          "Rubber soaks into " + p.mould().sheet().text() + " where it is bare, and stays there.",
          null);
    }
  }
}
