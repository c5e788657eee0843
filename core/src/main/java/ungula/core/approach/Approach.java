package ungula.core.approach;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.choice.Choices;
import ungula.core.days.Network;
import ungula.core.geometry.Rotation;
import ungula.core.mould.MouldKind;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Steps;
import ungula.core.step.Timeline;
import ungula.core.working.Figure;
import ungula.core.working.FigureKeys;

/**
 * One mould that could be made of a master: of what kind, how the master stands in it, and what
 * comes of it.
 *
 * @param title what it is called
 * @param turn of the master from the model's axes
 * @param now whether it is what is chosen already
 * @param hollow whether it makes hollow casts though solid ones are asked for: shown, never advised
 * @param reason why it cannot work; empty when it can
 * @param edits that choose it
 * @param figures to compare, by key
 * @param worth what it is ranked by
 * @param work steps of one mould, for a schedule
 * @param moulds made alike
 */
public record Approach(
    MouldKind kind,
    String title,
    Rotation turn,
    boolean now,
    boolean hollow,
    String reason,
    List<Edit> edits,
    Map<String, Figure> figures,
    Worth worth,
    List<Network.Step> work,
    int moulds) {

  /** What the figures of one are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of(
          "ApproachFigure",
          "rubber",
          "mass",
          "cast",
          "core",
          "pot",
          "money",
          "work",
          "open",
          "pieces",
          "seam",
          "clean",
          "locked",
          "stretch",
          "poured",
          "air",
          "vents",
          "casts");

  /** Of those a plan looks at more closely, what they are called there. */
  private static final Map<String, String> PLANNED =
      Map.of(
          "poured",
          "air.poured",
          "air",
          "air.cast",
          "stretch",
          "locks.stretch",
          "open",
          "job.open");

  /**
   * The less the better.
   *
   * @param money for rubber and box; cm³ of rubber while no price is known
   * @param hours until it is open; 0 until that is asked
   * @param work hours of it by hand
   * @param flaws millimetres of seam and what air leaves, on every cast
   */
  public record Worth(double money, double hours, double work, double flaws) {}

  /** As it is offered: one that stands because it is assumed can still be taken. */
  public Approach offered(Choices choices) {
    if (!now || choices.decided("mould.kind")) {
      return this;
    }
    List<Edit> taking = List.of(Edit.of("mould.kind", kind.name()));
    return new Approach(
        kind, title, turn, false, hollow, reason, taking, figures, worth, work, moulds);
  }

  /**
   * What is chosen already says what its plan says, where the plan looks more closely.
   *
   * @param plan its figures
   */
  public Approach asPlanned(Map<String, Figure> plan) {
    if (!now) {
      return this;
    }
    Map<String, Figure> said = new LinkedHashMap<>(figures);
    said.replaceAll((key, rough) -> plan.getOrDefault(PLANNED.getOrDefault(key, ""), rough));
    return with(said, worth);
  }

  private Approach with(Map<String, Figure> said, Worth worked) {
    return new Approach(kind, title, turn, now, hollow, reason, edits, said, worked, work, moulds);
  }

  /**
   * With the time until it is open.
   *
   * @param present of what is chosen now: it begins when that does, beside the same other work
   */
  public Approach timed(Timeline present) {
    Timeline line = present.then(work, present.network().start(), List.of());
    Map<String, Figure> said = new LinkedHashMap<>();
    figures.forEach(
        (key, figure) -> {
          said.put(key, figure);
          if (key.equals("work")) {
            said.put(
                "open",
                Steps.opened(
                    "open",
                    moulds > 1 ? "until the first is open" : "until it is open",
                    line,
                    line.end()));
          }
        });
    double hours = Timeline.minutes(line.begin(), line.end()) / 60;
    return with(said, new Worth(worth.money, hours, worth.work, worth.flaws));
  }

  public boolean works() {
    return reason.isEmpty();
  }
}
