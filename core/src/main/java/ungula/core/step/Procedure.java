package ungula.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ungula.core.choice.MasterChoice;
import ungula.core.contact.Contact.Verdict;
import ungula.core.contact.Releases;
import ungula.core.mark.Mark;
import ungula.core.plan.Brief;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.Touching;
import ungula.core.plan.Touching.What;
import ungula.core.rubber.Product;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;
import ungula.core.workshop.Rate;

/** What the procedures of all kinds of mould have in common. */
abstract class Procedure {

  /** Until a sheet says. */
  private static final double USUAL_CURE_MIN = 16 * 60;

  /** A thin coat is dry enough for the next, or for rubber, after so long. */
  private static final double SEALER_DRY_MIN = 30;

  private static final double RELEASE_DRY_MIN = 10;

  /** Between two thin coats of release. */
  private static final double RELEASE_AGAIN_MIN = 5;

  /** Washed and cured prints air before rubber goes on them. */
  private static final double AIRS_MIN = 60;

  final Plan p;
  final Brief b;
  final StepList steps;

  Procedure(Plan p, StepList steps) {
    this.p = p;
    this.b = p.brief();
    this.steps = steps;
  }

  final Takes usual(double minutes, String how) {
    return Takes.of(minutes, Given.Source.DEFAULT, how);
  }

  /** What is said of a part; fine where nothing is. */
  private Verdict verdict(What what) {
    return Touching.of(b, what).map(t -> t.contact().verdict()).orElse(Verdict.FINE);
  }

  final boolean seals(What what) {
    return verdict(what) == Verdict.SEAL;
  }

  /** Whether the master is marked as a thread, which comes out by turning. */
  final boolean threaded() {
    return !b.choices().marks().of(Mark.THREAD).isEmpty();
  }

  /** What is done to the master before anything is built round it. */
  final void master() {
    steps.part("Master");
    MasterChoice m = b.choices().master();
    switch (m.preparation()) {
      case SEALED, SEALED_RELEASED ->
          sealed(
              "master",
              "Seal the master: two thin coats of shellac, PVA or wax, each dry before the next.");
      case CURED -> {
        steps
            .hands(
                "master.cure", steps.rate(Rate.WASH), "Wash the master, and cure it on all sides.")
            .against("contact.master")
            .add();
        steps.wait("master.air", usual(AIRS_MIN, "cools and airs"), "Let it cool and air.").add();
      }
      default -> {
        // as it is
      }
    }
    if (verdict(What.MASTER) == Verdict.PATCH) {
      steps
          .hands(
              "master.patch",
              steps.rate(Rate.PATCH),
              "Try a patch of the rubber on the master where it does not show.")
          .why("Whether it cures there cannot be told from a sheet.")
          .against("contact.master")
          .add();
      cure("master.patch", "Let the patch cure.");
      steps
          .gate("master.patch.read", "Read the patch: firm, with no sticky film on the master.")
          .notes(Step.Noted.VERDICT)
          .add();
    }
  }

  /** Two thin coats, each dry. */
  final void sealed(String key, String what) {
    steps.hands(key + ".seal", steps.rate(Rate.SEALER, 2, "two coats"), what).add();
    steps
        .wait(
            key + ".seal.dry",
            usual(2 * SEALER_DRY_MIN, "two coats, half an hour each, until its sheet says"),
            "Let the sealer dry.")
        .add();
  }

  /** Releases what must be, and by habit the rest; nothing where neither asks for it. */
  final void release(String key, What... parts) {
    boolean all = b.workshop().releases() == Releases.EVERYTHING;
    List<String> names = new ArrayList<>();
    for (What what : parts) {
      if (all || verdict(what) == Verdict.RELEASE || what == What.MASTER && releasesMaster()) {
        names.add("the " + what.name().toLowerCase(Locale.ROOT));
      }
    }
    if (!names.isEmpty()) {
      released(
          key,
          "Release "
              + String.join(" and ", names)
              + ": two thin coats, the second five minutes after the first.");
    }
  }

  /** Where it must be, or is said to be. */
  private boolean releasesMaster() {
    return b.choices().master().preparation().released() || Touching.bonding(b).isPresent();
  }

  final void released(String key, String what) {
    steps
        .hands(
            key,
            steps.rate(Rate.RELEASE, 2, "two coats").and(usual(RELEASE_AGAIN_MIN, "between them")),
            what)
        .against("contact.bonds", "contact.bedding", "contact.glue")
        .add();
    steps
        .wait(key + ".dry", usual(RELEASE_DRY_MIN, "until its sheet says"), "Let the release dry.")
        .add();
  }

  /** What to mind before anything is weighed. */
  final void tins(String key) {
    Product rubber = b.product();
    if (rubber == null) {
      return;
    }
    if (rubber.chemistry() == Product.Chemistry.ADDITION) {
      steps
          .gate(key + ".gloves", "Wear nitrile gloves.")
          .why("Latex ones keep this rubber from curing where they touch it.")
          .add();
    }
    if (rubber.shake() == Product.Shake.NONE) {
      return;
    }
    Product.Role role = rubber.role();
    boolean both = rubber.shake() == Product.Shake.BOTH;
    String parts =
        switch (rubber.shake()) {
          case BASE -> role.first();
          case HARDENER -> role.second();
          default -> role.first() + " and " + role.second();
        };
    steps
        .hands(
            key + ".tin",
            steps.rate(Rate.TIN, both ? 2 : 1, ""),
            "Stir up the " + parts + " in the tin, to the bottom, before weighing.")
        .why("Filler settles: what is on top is not what the sheet was measured on.")
        .add();
  }

  /** Until rubber may be opened, by its sheet in the room. */
  final void cure(String key, String what) {
    Double min = p.mix().map(MixPart::demouldMin).orElse(null);
    steps
        .wait(
            key + ".cure",
            min == null
                ? usual(USUAL_CURE_MIN, "overnight, until a sheet says")
                : Takes.of(min, Given.Source.SHEET, "demould time, at the room's temperature")
                    .faster(b.product().factorPerTen()),
            what)
        .shows("rubber.demould")
        .holds(Step.Hold.MOULD, Step.Hold.MASTER)
        .notes(Step.Noted.BEGUN, Step.Noted.ROOM)
        .add();
  }

  /** Nothing is opened before what is left in the cup is firm. */
  final void witness(String key) {
    steps
        .gate(
            key + ".witness", "Press a fingernail into what is left in the cup: firm, not sticky.")
        .why("A mould opened too early tears, or keeps a wrong shape.")
        .notes(Step.Noted.VERDICT, Step.Noted.ENDED)
        .add();
  }
}
