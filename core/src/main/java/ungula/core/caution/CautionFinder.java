package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.choice.RatioMeant;
import ungula.core.geometry.Vec3;
import ungula.core.master.VolumeWays;
import ungula.core.mould.Bowing;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Fixing;
import ungula.core.mould.Lift;
import ungula.core.mould.SheetStock;
import ungula.core.plan.MasterPart;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Product;
import ungula.core.rubber.RatioGuard;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Steps;

/** Looks a computed plan over for what would go wrong, and prices the ways out. */
public final class CautionFinder {

  /** Poured rubber thinner than this tears when a cast is pulled. */
  private static final double TEARS_MM = 5;

  /** A block of this hardness, Shore A, stands so many times higher than wide; softer ones less. */
  private static final double STANDING_A = 25;

  private static final double STANDING = 4;
  private static final double LEAST_STANDING = 1.5;

  private final Steps steps;
  private final Plan p;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private CautionFinder(Steps steps) {
    this.steps = steps;
    this.p = steps.plan();
    this.prices = new Prices(p);
  }

  /** Worst first. */
  public static List<Caution> of(Steps steps) {
    return new CautionFinder(steps).find();
  }

  private List<Caution> find() {
    if (p.facts() != null) {
      mesh();
      volume();
      unit();
      if (p.poured()) {
        walls();
        pourLine();
        bowing();
        lift();
        sealing();
        leaning();
      } else {
        found.addAll(SkinCautions.of(steps, prices));
      }
      found.addAll(ShapeCautions.of(p));
      found.addAll(PlateCautions.of(p));
      found.addAll(PartingCautions.of(p, prices));
      found.addAll(CutCautions.of(p, prices));
      found.addAll(SprueCautions.of(p));
      found.addAll(CoreCautions.of(p));
      found.addAll(EquipmentCautions.of(p, prices));
    }
    if (p.product() != null) {
      found.addAll(ContactCautions.of(p));
      ratio();
      sheet();
      additive();
      found.addAll(PourCautions.of(steps, prices));
    }
    found.sort(Comparator.comparing(Caution::level));
    return List.copyOf(found);
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
          "mould",
          "The mould leans when it stands alone",
          "It is "
              + Numbers.fixed(slender, 1)
              + " times as high as it is wide; of so soft a rubber it stands by itself up to about "
              + Numbers.fixed(stands, 1)
              + ". Cast with boards banded round it, or lay a stiff jacket over it before it comes"
              + " off its base.",
          null);
    }
  }

  private void add(
      String id, Caution.Level level, String stage, String title, String text, Place at, Fix... f) {
    found.add(new Caution(id, level, stage, title, text, at, List.of(f)));
  }

  private Fix fix(String label, Edit... edits) {
    return prices.fix(label, edits);
  }

  /** Text that a length word reads back as exactly this many millimetres. */
  private static String typed(double mm) {
    return mm + " mm";
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private Place top() {
    Vec3 top = p.facts().topMm();
    return new Place(top.x(), top.y(), p.mould().belowMm() + top.z());
  }

  private void mesh() {
    var report = p.facts().report();
    if (report == null) {
      return;
    }
    if (report.estimate()) {
      add(
          "mesh.open",
          CHECK,
          "master",
          report.closed() ? "Parts of the model run into each other" : "The model is not closed",
          String.join(" ", report.defects())
              + " Its volume is taken as "
              + Volume.format(report.volumeMm3(), p.units())
              + " ± "
              + Volume.format(report.volumeErrorMm3(), p.units())
              + ".",
          null);
    } else if (!report.defects().isEmpty()) {
      add(
          "mesh.mended",
          NOTE,
          "master",
          "The model was mended",
          String.join(" ", report.defects()),
          null);
    }
  }

  /** A volume that its outer size cannot hold, or none at all: some reading is wrong. */
  private void volume() {
    Vec3 s = p.facts().sizeMm();
    double room = s.x() * s.y() * s.z();
    MasterPart master = p.master().orElseThrow();
    boolean tooMuch = master.volumeMm3() - master.errorMm3() > room * 1.001;
    if (master.volumeMm3() > 0 && !tooMuch) {
      return;
    }
    double each = room / p.choices().laid().copies();
    List<Fix> fixes = new ArrayList<>();
    for (VolumeWays.Result way : master.ways()) {
      if (way.volumeMm3() > 0 && way.volumeMm3() - way.errorMm3() <= each * 1.001) {
        fixes.add(
            new Fix(
                "Count " + way.way().text(),
                Volume.format(way.volumeMm3(), p.units()),
                List.of(Edit.of("master.way", way.way().name()))));
      }
    }
    add(
        "volume.impossible",
        STOP,
        "master",
        "The master's volume cannot be right",
        "It is taken as "
            + Volume.format(master.volumeMm3(), p.units())
            + ", but its outer size, "
            + Length.format3(s.x(), s.y(), s.z(), p.units())
            + ", holds at most "
            + Volume.format(room, p.units())
            + ". Look at the readings and the size again.",
        null,
        fixes.toArray(Fix[]::new));
  }

  private void unit() {
    Double guess = p.facts().guessedUnitMm();
    if (guess == null) {
      return;
    }
    double longest =
        Math.max(p.facts().sizeMm().x(), Math.max(p.facts().sizeMm().y(), p.facts().sizeMm().z()));
    List<Fix> fixes = new ArrayList<>();
    for (double unit : new double[] {1, 25.4, 1000, 10}) {
      double size = longest / guess * unit;
      fixes.add(
          new Fix(
              (unit == 10 ? "centimetres" : MasterPart.unitName(unit)),
              Numbers.significant(size, 3)
                  + " mm, "
                  + Numbers.significant(size / Length.INCH_MM, 3)
                  + " in",
              List.of(Edit.of("master.unitMm", String.valueOf(unit)))));
    }
    add(
        "unit.doubt",
        CHECK,
        "master",
        "Which unit is the file in?",
        "The file does not say. Taken for "
            + MasterPart.unitName(guess)
            + ", the longest side is "
            + Numbers.trimmed(longest, 1)
            + " mm ("
            + Numbers.trimmed(longest / Length.INCH_MM, 2)
            + " in).",
        null,
        fixes.toArray(Fix[]::new));
  }

  private void walls() {
    BoxMould box = p.mould();
    double asked = p.choices().mould().sidesMm();
    double thin = box.thinnestWallMm();
    Place place =
        switch (box.thinnestPlace()) {
          case "left" -> new Place(-p.facts().sizeMm().x() / 2, 0, middle());
          case "right" -> new Place(p.facts().sizeMm().x() / 2, 0, middle());
          case "front" -> new Place(0, -p.facts().sizeMm().y() / 2, middle());
          case "back" -> new Place(0, p.facts().sizeMm().y() / 2, middle());
          case "below" -> new Place(0, 0, box.belowMm());
          case "round the sides" -> null;
          default -> top();
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
          "mould",
          "The master does not fit into the box",
          "It needs " + mm(-side) + " more on a side before there is any rubber at all.",
          place,
          fix("Leave " + mm(leave) + " all round", toSuit));
    } else if (thin < asked - 0.05 && side == thin) {
      add(
          "wall.thin",
          CHECK,
          "mould",
          "The wall is thinner than asked for: " + mm(thin),
          "You asked for "
              + mm(asked)
              + "; "
              + box.thinnestPlace()
              + " there is less. Thin rubber tears first there, and bows with the box.",
          place,
          fix("Leave " + mm(leave) + " all round", toSuit),
          fix("Ask for " + mm(thin), Edit.of("mould.sidesMm", typed(thin))));
    } else if (thin < TEARS_MM && thin > 0) {
      add(
          "wall.tears",
          CHECK,
          "mould",
          "Only " + mm(thin) + " of rubber " + box.thinnestPlace(),
          "Under 5 mm a poured wall tears when the cast is pulled.",
          place,
          box.thinnestPlace().equals("over the top")
              ? fix("Pour 10 mm over the top", Edit.of("mould.overTopMm", typed(10)))
              : box.thinnestPlace().equals("below")
                  ? fix("Lift it to 10 mm", Edit.of("pose.liftMm", typed(10)))
                  : fix("Leave 10 mm round the sides", Edit.of("mould.sidesMm", typed(10))));
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
        "mould",
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
        "mould",
        "The walls are tall for " + sheet.text() + ": they bow " + mm(bow.mm()),
        "With "
            + mm(depth)
            + " of rubber against "
            + mm(span)
            + " of wall. More than "
            + mm(limit)
            + " opens the corners and makes the mould fat in the middle.",
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
    double below = p.mould().curve().below(Math.max(0, p.mould().pourLineMm()));
    double mass = p.master().orElseThrow().massG();
    Lift lift = Lift.of(below, p.density(), mass);
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
    add(
        "master.floats",
        CHECK,
        "mould",
        "The master would float: "
            + Numbers.fixed(lift.forceN(), 2)
            + " N, like "
            + Mass.format(lift.holdDownG(), p.units())
            + " pulling up",
        (clear ? "" : "If rubber gets under it. ")
            + (fixing == Fixing.NONE
                ? "Nothing holds it down."
                : (clear ? "It stands on the former of its sprue, " : "It rests on ")
                    + Numbers.fixed(restMm2 / 100, 1)
                    + " cm², where "
                    + fixing.text()
                    + " holds about "
                    + Numbers.fixed(holds, 1)
                    + " N; count on half."),
        new Place(0, 0, p.mould().belowMm()),
        fixes.toArray(Fix[]::new));
  }

  private void sealing() {
    String sealing = p.mould().sheet().sealing();
    if (!sealing.isEmpty()) {
      add(
          "box.seal",
          NOTE,
          "mould",
          "Seal " + sealing,
          "Rubber soaks into " + p.mould().sheet().text() + " where it is bare, and stays there.",
          null);
    }
  }

  private void ratio() {
    Product product = p.product();
    if (product.contradictsItself()) {
      add(
          "ratio.contradicts",
          STOP,
          "rubber",
          "The sheet contradicts itself",
          "“"
              + product.ratio().text()
              + "” and “"
              + product.ratioAlso().text()
              + "” do not agree with the densities entered. Look at the sheet again: which part is"
              + " the heavier one?",
          null);
    }
    RatioGuard.Verdict verdict = p.mix().map(MixPart::verdict).orElse(null);
    if (verdict == null || !verdict.stop()) {
      return;
    }
    boolean meant = p.choices().rubber().ratioMeant() == RatioMeant.YES;
    Fix sheet =
        new Fix(
            "Take the sheet's: " + product.ratio().text(),
            "",
            List.of(Edit.of("rubber.ratio", ""), Edit.of("rubber.ratioMeant", "NO")));
    Fix mean =
        new Fix(
            "I mean " + p.choices().rubber().ratio().text(),
            "",
            List.of(Edit.of("rubber.ratioMeant", "YES")));
    add(
        "ratio.off",
        meant ? CHECK : STOP,
        "rubber",
        "The ratio is far off the sheet",
        verdict.words()
            + (meant ? "" : " Nothing is worked out until you say which.")
            + " Where the sheet and the entry differ, the sheet counts.",
        null,
        meant ? new Fix[] {sheet} : new Fix[] {sheet, mean});
  }

  private void sheet() {
    List<String> gaps = p.product().gaps();
    if (gaps.isEmpty()) {
      return;
    }
    boolean stop = p.firstMix().isEmpty() && p.mix().map(MixPart::verdict).isEmpty();
    add(
        "sheet.gaps",
        stop ? STOP : NOTE,
        "rubber",
        "The sheet of " + p.product().name() + " leaves something out",
        "Not checked: " + String.join("; ", gaps) + ".",
        null);
  }

  /** More of something stirred in than the sheet allows, or something it says nothing of. */
  private void additive() {
    Additive additive = p.choices().rubber().additive();
    if (!additive.used() || !p.poured()) {
      return;
    }
    Double most = additive.mostPct(p.product());
    String what = additive.kind().text();
    if (most == null) {
      add(
          "additive.unknown",
          NOTE,
          "rubber",
          "The sheet of " + p.product().name() + " says nothing of " + what,
          "Try it on a small mix first: it may cure badly, or tear.",
          null);
    } else if (additive.dosePct() > most) {
      String allowed = Numbers.trimmed(most, 2) + " %";
      add(
          "additive.much",
          CHECK,
          "rubber",
          "More " + what + " than " + p.product().name() + " takes",
          "Up to " + allowed + "; beyond that it may cure badly, shrink or tear.",
          null,
          fix("Take " + allowed, Edit.of("rubber.additive.dosePct", allowed)));
    }
  }
}
