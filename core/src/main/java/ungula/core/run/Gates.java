package ungula.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.rubber.Product;
import ungula.core.run.RunPlan.After;
import ungula.core.run.RunPlan.Kind;
import ungula.core.run.RunPlan.Task;

/** What is seen to before rubber is weighed. */
public final class Gates {

  /** Enough rubber of one lot. */
  static final String RUBBER = "rubber";

  /**
   * What it depends on.
   *
   * @param box whether the rubber goes into a box
   * @param rubber what is mixed; null where nobody says
   * @param amount of it, in words; empty where nobody says
   * @param room how warm it is to be, in words; empty where nobody says
   * @param vacuum whether it is degassed
   * @param hoist why it takes two people, in words; empty where it does not
   */
  public record Before(
      boolean box, Product rubber, String amount, String room, boolean vacuum, String hoist) {

    /** Where nothing is known of it. */
    public static final Before ANY = new Before(true, null, "", "", false, "");
  }

  private final String prefix;
  private final String part;
  private final List<After> after;
  private final List<Task> all = new ArrayList<>();

  private Gates(String prefix, String part, List<After> after) {
    this.prefix = prefix;
    this.part = part;
    this.after = after;
  }

  /**
   * @param prefix their keys begin so
   * @param part of the work, as a heading
   * @param after what they wait for
   */
  public static List<Task> of(String prefix, String part, List<After> after, Before b) {
    Gates g = new Gates(prefix, part, after);
    g.add(
        b.box ? "box" : "board",
        b.box ? "box sealed and level" : "board tight",
        b.box
            ? "Look along all joints: the box is sealed, and level both ways."
            : "Look at the board: it is fixed, and its joint to the master is closed.",
        "A leak empties the box before the rubber sets.");
    g.add(
        "master",
        "master fixed and released",
        "Push the master: it is fixed, and released where it must be.",
        "Silicone lifts what is not fixed, and does not let go of what it bonds to.");
    g.add(
        "sheets",
        "sheets read, gloves on",
        "Read the data sheets, and put on what they ask for: " + worn(b.rubber),
        "");
    g.add(
        "cups",
        "cups ready",
        "Set out a clean cup and a second one for each batch, and a flat stick.",
        "Once the parts meet there is no time to look for one.");
    String amount = b.amount.isEmpty() ? "" : ": " + b.amount;
    g.add(
        RUBBER,
        "enough rubber of one lot",
        "Check the tins for enough rubber of one lot" + amount + ".",
        "Two lots cure at different speeds, and may differ in colour.");
    String warm = b.room.isEmpty() ? "as warm as planned" : "at " + b.room + ", as planned";
    g.add(
        "room",
        "room as warm as planned",
        "Read the thermometer: the room is " + warm + ".",
        "Pot life follows it.");
    if (b.vacuum) {
      g.add(
          "vessel",
          "vessel rated",
          "Look at the chamber: vessel and lid are rated for vacuum, without a scratch or crack,"
              + " behind a guard.",
          "A vessel that gives way throws splinters. Its own papers and your local rules decide.");
    }
    if (!b.hoist.isEmpty()) {
      g.add(
          "lift", "help to lift", "Have a second person or a hoist at hand: " + b.hoist + ".", "");
    }
    return g.all;
  }

  private static String worn(Product rubber) {
    String gloves = "gloves and goggles";
    Product.Chemistry of = Optional.ofNullable(rubber).map(Product::chemistry).orElse(null);
    return of == Product.Chemistry.URETHANE
            || of == Product.Chemistry.EPOXY
            || of == Product.Chemistry.POLYESTER
        ? gloves + ", a respirator for what it gives off, air drawn away; never in a living room."
        : gloves + ", and a respirator where they say so.";
  }

  private void add(String key, String label, String what, String why) {
    all.add(
        new Task(
            prefix + "." + key,
            Kind.GATE,
            part,
            label,
            what,
            why,
            0,
            "",
            after,
            List.of(),
            List.of()));
  }
}
