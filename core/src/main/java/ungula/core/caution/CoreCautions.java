package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Volume;
import ungula.core.release.Stretch;
import ungula.core.sentence.WordBook.Edit;

/** What can go wrong with the core of a hollow cast. */
final class CoreCautions {

  /** A cast with a thinner wall breaks as it is drawn off its core. */
  private static final double THIN_MM = 2;

  /** Walls are called thin for no less than this. */
  private static final double NEAR_MM = 0.01;

  /** Of the hollow: less that stays solid is not worth a word. */
  private static final double LOOSE = 0.03;

  private static final Fix SOLID =
      new Fix("Cast it solid", "", List.of(Edit.of("hollow.wallMm", "")));

  private final Plan p;
  private final List<Caution> found = new ArrayList<>();

  private CoreCautions(Plan p) {
    this.p = p;
  }

  static List<Caution> of(Plan p) {
    CoreCautions c = new CoreCautions(p);
    if (p.choices().hollow().wallMm() == null || p.brief().coreOpen()) {
      return List.of();
    }
    if (p.facts().core() != null && p.facts().core().core() != null) {
      c.made(p.facts().core().core());
    } else {
      c.none();
    }
    return c.found;
  }

  private void add(String id, Caution.Level level, String title, String text, Place at, Fix... f) {
    found.add(new Caution(id, level, "mould", title, text, at, List.of(f)));
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private void none() {
    if (p.facts().parted() == null) {
      add(
          "core.unknown",
          CHECK,
          "The core needs the master's shape",
          "Measures alone do not say what is left inside. Casts are counted as solid.",
          null,
          SOLID);
      return;
    }
    add(
        "core.none",
        CHECK,
        "Nothing is left for a core",
        "With a wall of "
            + mm(p.choices().hollow().wallMm())
            + " no part of the master is thick enough, or none that reaches the opening.",
        null,
        SOLID);
  }

  private void made(HollowCore core) {
    double lift = p.choices().pose().liftMm();
    if (core.wallMm() < THIN_MM - NEAR_MM) {
      add(
          "core.thin",
          NOTE,
          "A wall of " + mm(core.wallMm()) + " is thin for a cast",
          "It breaks as it is drawn off the core, and air stays in it.",
          null,
          new Fix(
              "Make it " + mm(THIN_MM), "", List.of(Edit.of("hollow.wallMm", THIN_MM + " mm"))));
    }
    if (!core.open()) {
      add(
          "core.shut",
          CHECK,
          "The core stays inside the cast",
          "The cast closes all round it. Stand the master on a flat face, so that the cast is open"
              + " there; or make the core of something that is broken up and shaken out.",
          null,
          SOLID);
    } else {
      stretch(core, lift);
    }
    if (core.loose().mm3() > LOOSE * (core.volumeMm3() + core.loose().mm3())) {
      add(
          "core.loose",
          NOTE,
          Volume.format(core.loose().mm3(), p.units()) + " inside stay solid",
          "A core there would hang on nothing: the master is too thin between it and the "
              + (core.open() ? "opening" : "rest of the core")
              + " for a wall of "
              + mm(core.wallMm())
              + " on either side. Thick places shrink more as they set.",
          place(core.loose().at(), lift),
          SOLID);
    }
  }

  private static Place place(Vec3 at, double lift) {
    return new Place(at.x(), at.y(), at.z() + lift);
  }

  private void stretch(HollowCore core, double lift) {
    Stretch s = core.stretch();
    Double elongation = p.product() == null ? null : p.product().elongationPct();
    double allowed = Stretch.allowed(elongation);
    if (s.share() <= allowed) {
      return;
    }
    add(
        "core.stretch",
        CHECK,
        "The core hardly comes out of the cast",
        "At "
            + mm(s.throatMm() + lift)
            + " the cast is so narrow inside that the core above it must give by "
            + Numbers.fixed(100 * s.share(), 0)
            + " %; a rubber may give by a quarter of its elongation at break, "
            + Share.format(allowed)
            + (elongation != null ? "." : ", taken until its sheet says."),
        new Place(0, 0, s.throatMm() + lift),
        SOLID);
  }
}
