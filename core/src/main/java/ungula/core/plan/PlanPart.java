package ungula.core.plan;

import java.util.ArrayList;
import java.util.List;
import ungula.core.choice.Choices;

/**
 * How far a part of a plan is known. Whoever shows a plan says of each part that is not known that
 * it is missing, and why: numbers, cautions and steps that follow from it are not there.
 *
 * @param why it cannot be known, and what would help; empty otherwise
 */
public record PlanPart(Subject subject, State state, String why) {

  /** What takes a closer look at the master's shape to know. */
  public enum Subject {
    COATS("the coats"),
    JACKET("the jacket"),
    AIR("air that stays"),
    LOCKS("what locks the master"),
    CORE("the core");

    private final String text;

    Subject(String text) {
      this.text = text;
    }

    public String text() {
      return text;
    }
  }

  public enum State {
    KNOWN,
    BEING_WORKED_OUT,
    CANNOT_BE_KNOWN
  }

  /** Why nothing can be said of a shape that is only measured. */
  private static final String ONLY_MEASURES =
      "Only measures are known of this master. Drop a model file, or describe it as a solid.";

  /**
   * The parts of a plan.
   *
   * @param facts null while the master's size is not known: then there are none yet
   */
  public static List<PlanPart> of(Choices choices, MasterFacts facts) {
    List<PlanPart> parts = new ArrayList<>();
    if (facts == null) {
      return parts;
    }
    boolean mesh = facts.parted() != null;
    if (!choices.mould().kind().poured()) {
      // what is only measured is brushed as a block of its size
      parts.add(part(Subject.COATS, true, !mesh || facts.skin() != null));
      boolean outside = facts.skin() != null && facts.skin().outside() != null;
      parts.add(part(Subject.JACKET, mesh, outside));
    }
    parts.add(part(Subject.AIR, mesh, facts.shape() != null));
    parts.add(part(Subject.LOCKS, mesh, facts.shape() != null));
    if (choices.hollow().wallMm() != null) {
      parts.add(part(Subject.CORE, mesh, facts.core() != null));
    }
    return List.copyOf(parts);
  }

  private static PlanPart part(Subject subject, boolean possible, boolean known) {
    return possible
        ? new PlanPart(subject, known ? State.KNOWN : State.BEING_WORKED_OUT, "")
        : new PlanPart(subject, State.CANNOT_BE_KNOWN, ONLY_MEASURES);
  }

  /** The same part, which turned out to be beyond finding out. */
  public PlanPart failed(String why) {
    return new PlanPart(subject, State.CANNOT_BE_KNOWN, why);
  }

  /**
   * What is missing, as sentences.
   *
   * @param parts of one plan
   */
  public static List<String> missing(List<PlanPart> parts) {
    List<String> said = new ArrayList<>();
    List<String> open = texts(parts, State.BEING_WORKED_OUT);
    if (!open.isEmpty()) {
      said.add("Not worked out yet: " + String.join(", ", open) + ".");
    }
    List<String> never = texts(parts, State.CANNOT_BE_KNOWN);
    if (!never.isEmpty()) {
      said.add("Not known: " + String.join(", ", never) + ".");
      parts.stream().map(PlanPart::why).filter(w -> !w.isEmpty()).distinct().forEach(said::add);
    }
    return said;
  }

  private static List<String> texts(List<PlanPart> parts, State state) {
    return parts.stream().filter(p -> p.state == state).map(p -> p.subject.text).toList();
  }
}
