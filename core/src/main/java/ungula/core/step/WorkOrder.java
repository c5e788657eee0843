package ungula.core.step;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import ungula.core.choice.Choices;
import ungula.core.contact.Contact.Verdict;
import ungula.core.contact.Releases;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.Locators;
import ungula.core.mould.MouldKind;
import ungula.core.parting.Bedding;
import ungula.core.parting.Parting;
import ungula.core.plan.Plan;
import ungula.core.plan.SkinPart;
import ungula.core.plan.Touching;
import ungula.core.plan.Touching.What;
import ungula.core.quantity.Length;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Product;
import ungula.core.skin.Coat;
import ungula.core.working.FigureBook;

/** What is done for a mould, one step after the other, with its numbers. */
public final class WorkOrder {

  private final Plan p;
  private final FigureBook f;
  private final List<String> steps = new ArrayList<>();

  private WorkOrder(Plan p) {
    this.p = p;
    this.f = p.figures();
  }

  /** Empty while there is no mould. */
  public static List<String> of(Plan p) {
    WorkOrder order = new WorkOrder(p);
    if (p.facts() != null) {
      order.surface();
    }
    if (!p.poured()) {
      order.skin();
    } else if (p.parting().isPresent()) {
      order.twoParts();
    } else if (p.box().isPresent()) {
      order.onePart();
    }
    if (p.core().isPresent()) {
      order.core(p.core().get().core());
    }
    return List.copyOf(order.steps);
  }

  private Parting parting() {
    return p.parting().orElseThrow();
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }

  private String ml(double mm3) {
    return Volume.format(mm3, p.units());
  }

  /** What is done to the master before rubber touches it. */
  private void surface() {
    Choices.Master m = p.choices().master();
    switch (m.preparation()) {
      case SEALED ->
          steps.add(
              "Seal the master: two thin coats of shellac, PVA or wax, each dry before the next.");
      case CURED -> steps.add("Wash the master, cure it on all sides, and let it cool and air.");
      default -> {
        // as it is
      }
    }
    if (verdict(What.MASTER) == Verdict.PATCH) {
      steps.add("Try a patch of the rubber on the master where it does not show, and let it cure.");
    }
  }

  /** What is said of a part; fine where nothing is. */
  private Verdict verdict(What what) {
    return Touching.of(p.brief(), what).map(t -> t.contact().verdict()).orElse(Verdict.FINE);
  }

  /** Releases what must be, and by habit the rest; nothing where neither asks for it. */
  private void release(What... parts) {
    boolean all = p.workshop().releases() == Releases.EVERYTHING;
    List<String> names = new ArrayList<>();
    for (What what : parts) {
      if (all || verdict(what) == Verdict.RELEASE) {
        names.add(what.name().toLowerCase(Locale.ROOT));
      }
    }
    if (!names.isEmpty()) {
      steps.add(
          "Release "
              + String.join(" and ", names)
              + ": two thin coats, the second five minutes after the first, and let it dry.");
    }
  }

  /** What to mind before anything is weighed. */
  private void beforeWeighing() {
    if (p.product() == null) {
      return;
    }
    if (p.product().chemistry() == Product.Chemistry.ADDITION) {
      steps.add(
          "Wear nitrile gloves: latex ones keep this rubber from curing where they touch it.");
    }
    if (p.product().shake() == Product.Shake.NONE) {
      return;
    }
    Product.Role role = p.product().role();
    String parts =
        switch (p.product().shake()) {
          case BASE -> role.first();
          case HARDENER -> role.second();
          default -> role.first() + " and " + role.second();
        };
    steps.add("Stir up the " + parts + " in the tin, to the bottom, before weighing.");
  }

  private void onePart() {
    boolean open = p.choices().mould().kind() == MouldKind.OPEN;
    steps.add(
        open
            ? fixed()
            : "Hang or stand the master on its sprue, "
                + mm(p.mould().belowMm())
                + " clear of the base.");
    steps.add(box() + " Level it both ways.");
    release(What.MASTER, What.BOX);
    beforeWeighing();
    steps.add(
        "Pour to the line, "
            + mm(p.mould().pourLineMm())
            + " above the base: "
            + ml(p.mould().rubberMm3())
            + ".");
    steps.add(
        open
            ? "When it has cured, take the walls off, pull the mould off, trim its lip."
            : "When it has cured, take the walls off and cut it open"
                + (p.cut().map(c -> " at " + c.side()).orElse(""))
                + ", jagged, in big steps outside and fine ones near the cavity; leave the other"
                + " side whole as a hinge.");
  }

  /** Coats on the master, the jacket over them, and all off again. */
  private void skin() {
    SkinPart skin = p.skin().orElse(null);
    if (skin == null) {
      return;
    }
    steps.add(
        "Fix the master to a board that stands out "
            + mm(skin.wallMm() + p.choices().skin().flangeMm())
            + " all round, and close the joint.");
    release(What.MASTER);
    if (f.has("skin.plugs")) {
      steps.add("Fill the recesses with clay: " + f.get("skin.plugs").text() + ".");
    }
    beforeWeighing();
    steps.add("Brush the detail coat into every corner, and chase the bubbles out.");
    int build = (int) skin.coats().stream().filter(c -> c.kind() == Coat.Kind.BUILD).count();
    if (build > 0) {
      steps.add(
          (build == 1 ? "Brush a build coat" : "Brush " + build + " build coats")
              + ", "
              + p.choices().skin().thickener().text()
              + ", each "
              + p.choices().skin().recoat().text()
              + (f.has("skin.cloth")
                  ? "; after coat "
                      + p.choices().skin().clothAfter()
                      + " bed cloth in, wetted with rubber first: "
                      + f.get("skin.pieces").text()
                  : "")
              + ".");
    }
    if (p.choices().skin().smoothingMm() != null) {
      steps.add("Brush a last coat over it, smooth, so that the jacket seats.");
    }
    if (f.has("jacket.locators")) {
      steps.add(located());
    }
    if (skin.sections() != null) {
      steps.add(
          "When it has cured, build the jacket in "
              + f.get("jacket.sections").text()
              + " of "
              + p.choices().jacket().kind().text()
              + (skin.sections().count() > 1
                  ? ", each against a clay or shim flange; release every flange before the next."
                  : "."));
    }
    steps.add(
        "Take the jacket off, then the skin: it "
            + skin.off().text()
            + ". Store the skin in its jacket, closed.");
  }

  private String located() {
    int count = (int) f.value("jacket.locators");
    return p.choices().jacket().locators() == Locators.BUTTONS
        ? "Set "
            + count
            + " buttons of stiff rubber on the last coat while it is tacky, a hand's breadth and a"
            + " half apart."
        : "Cut "
            + count
            + " shallow hollows into the last coat, a hand's breadth and a half apart: the jacket"
            + " fills them, and the skin finds its place in it.";
  }

  private void core(HollowCore core) {
    steps.add(
        "For the core, line the mould with clay or wax sheet, "
            + mm(core.wallMm())
            + " thick, set "
            + f.get("core.pins").text()
            + " of that length into the lining, release it, and pour "
            + ml(core.volumeMm3())
            + " of rubber into it"
            + (core.open()
                ? ", up to a board over the opening and "
                    + mm(HollowCore.PRINT_MM)
                    + " on: that holds it. "
                : ". ")
            + "When it has cured, take the lining out.");
  }

  private String fixed() {
    String by = " to the base with " + p.choices().mould().fixing().text();
    return f.has("plate.masters")
        ? "Fix the "
            + f.get("plate.masters").text()
            + by
            + ", as drawn on it, "
            + f.get("plate.land").text()
            + " apart or more."
        : "Fix the master" + by + ".";
  }

  private String box() {
    return "Set the walls up round it and seal all " + mm(p.mould().sealMm()) + " of joints.";
  }

  private void twoParts() {
    String level = mm(parting().levelMm());
    boolean clay = p.choices().parting().bedding() != Bedding.BOARD;
    steps.add(
        clay
            ? "Bed the master in clay up to the parting, "
                + level
                + " above the base: "
                + ml(parting().lowerMm3())
                + "."
            : "Stand the master on its risers, and a board cut to its outline round it, its top "
                + level
                + " above the base. Close the gap round the master with clay.");
    if (!parting().keys().isEmpty()) {
      steps.add(
          "Set the "
              + f.get("parting.keys").text()
              + " as drawn: balls on the bedding where the lower half gets one, hollows pressed in"
              + " where the upper does.");
    }
    if (parting().ring() != null) {
      steps.add("Lay the seal ring on the bedding, as drawn.");
    }
    steps.add(box());
    if (verdict(What.BEDDING) == Verdict.SEAL) {
      steps.add("Seal the bedding: two thin coats, each dry before the next.");
    }
    release(What.MASTER, What.BEDDING, What.BOX);
    beforeWeighing();
    steps.add(
        "First pour, the upper half: "
            + ml(parting().upperMm3())
            + ", to "
            + mm(p.mould().pourLineMm())
            + " above the base.");
    steps.add(
        "When it has cured, turn everything over in its box, the first half down, and let the walls"
            + " down onto the base. Take the bedding out; leave the master where it is.");
    steps.add("Clean the seam. Brush release on all bare rubber, twice: rubber bonds to rubber.");
    steps.add(
        "Second pour, the lower half: "
            + ml(parting().lowerMm3())
            + ", to "
            + mm(p.mould().pourLineMm())
            + " above the base again.");
    steps.add("When it has cured, open the halves and take the master out.");
  }
}
