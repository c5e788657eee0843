package ungula.core.step;

import java.util.List;
import java.util.stream.Collectors;
import ungula.core.air.VentWay;
import ungula.core.plan.Plan;
import ungula.core.sprue.VentKind;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Takes;
import ungula.core.working.Given;

/** When vents are made: laid in before the rubber is poured, or cut once it is open. */
final class VentSteps {

  /** Each takes about so long. */
  private static final double EACH_MIN = 2;

  /** Shorter ways through rubber are not worth a word, mm. */
  private static final double NOTABLE_MM = 1;

  private final Plan p;
  private final StepList steps;
  private final VentKind by;
  private final int count;

  VentSteps(Plan p, StepList steps) {
    this.p = p;
    this.steps = steps;
    this.by = p.choices().channels().ventBy();
    this.count = p.choices().casting().vents().size();
  }

  /**
   * Where they are in place while the rubber is poured.
   *
   * @param from where to where, in words
   */
  void set(String key, String from) {
    if (count == 0 || !by.poured()) {
      return;
    }
    String what =
        switch (by) {
          case WIRE -> "greased wire";
          case STRAW -> "straw";
          default -> "strip of tape on its edge";
        };
    String laid =
        by == VentKind.TAPE
            ? "a " + what + ", " + across() + " wide"
            : "a " + what + " of " + across();
    steps
        .hands(
            key,
            takes(),
            (count == 1
                    ? "Lay " + laid + " " + from
                    : "Lay " + count + ", each " + laid + ", " + from)
                + ", as drawn"
                + ways()
                + ".")
        .called("lay vents")
        .holds(Hold.MASTER)
        .shows("vents.volume", "vents.rubber")
        .against("clean.vent", "vent.back", "vents.width")
        .add();
  }

  /** Where they are not. */
  void cut(String key) {
    if (count == 0 || by.poured()) {
      return;
    }
    String what =
        by == VentKind.SLIT
            ? (count == 1 ? "Slit the rubber" : "Slit the rubber at " + count + " places")
                + " with a fresh blade, from outside through to the tip of the cavity and on a little"
                + " towards its body, as drawn"
                + ways()
                + ". A slit closes again: air leaves by it, what is cast hardly does."
            : "Cut the "
                + (count == 1 ? "vent" : count + " vents")
                + ", "
                + across()
                + " across, as drawn"
                + ways()
                + ".";
    steps
        .hands(key, takes(), what)
        .called(by == VentKind.SLIT ? "slit vents" : "cut vents")
        .holds(Hold.MOULD)
        .shows("vents.volume", "vents.rubber")
        .against("clean.vent", "vent.back", "vents.width")
        .add();
  }

  private Takes takes() {
    String how = count == 1 ? "one vent" : count + " vents, two minutes each";
    return Takes.of(count * EACH_MIN, Given.Source.DEFAULT, how);
  }

  private String across() {
    return p.brief().mm(p.choices().channels().ventMm());
  }

  /** How long they are and what of that is not in the seam; nothing until that is known. */
  private String ways() {
    List<VentWay> ways = p.shape().map(s -> s.study().cast().ways()).orElse(List.of());
    return ways.isEmpty()
        ? ""
        : ways.stream().map(this::one).collect(Collectors.joining("; ", ": ", ""));
  }

  private String one(VentWay w) {
    String all = p.brief().mm(w.channelMm());
    boolean seam = w.seamMm() > NOTABLE_MM;
    boolean rubber = w.rubberMm() > NOTABLE_MM;
    return !seam
        ? all + " through rubber"
        : rubber
            ? all + ", " + p.brief().mm(w.rubberMm()) + " of it through rubber to the seam"
            : all + " along the seam";
  }
}
