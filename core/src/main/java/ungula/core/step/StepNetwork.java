package ungula.core.step;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import ungula.core.days.Forecast;
import ungula.core.days.Network;
import ungula.core.step.Step.After.From;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Kind;

/**
 * The steps of one mould as what is scheduled. Its master and the mould itself are no resources of
 * it: a coat cures from when it is mixed, while it is brushed.
 */
public final class StepNetwork {

  /** What is the mould's own, or holds anyway. */
  private static final Set<Hold> OWN = EnumSet.of(Hold.PERSON, Hold.MOULD, Hold.MASTER);

  private final double roomC;

  private StepNetwork(double roomC) {
    this.roomC = roomC;
  }

  /**
   * One for one, by the same keys.
   *
   * @param roomC the times are for such a room
   */
  public static List<Network.Step> of(List<Step> steps, double roomC) {
    StepNetwork n = new StepNetwork(roomC);
    return steps.stream().map(n::of).toList();
  }

  private Network.Step of(Step s) {
    Set<String> holds =
        s.holds().stream()
            .filter(h -> !OWN.contains(h))
            .map(h -> h.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    Double perTen = s.takes().perTen();
    return new Network.Step(
        s.key(),
        s.kind() != Kind.WAIT,
        at23(s.takes().minutes(), perTen),
        perTen,
        s.after().stream().map(this::of).toList(),
        s.unbroken(),
        holds,
        null);
  }

  private Network.After of(Step.After a) {
    Double most = a.mostMin();
    Double nextDay = a.nextDayMin();
    return new Network.After(
        a.key(),
        at23(a.leastMin(), a.perTen()),
        most == null ? null : (Double) at23(most, a.perTen()),
        a.from() == From.BEGIN,
        a.perTen(),
        nextDay == null ? null : (Double) at23(nextDay, a.perTen()));
  }

  private double at23(double minutes, Double perTen) {
    return perTen == null ? minutes : Forecast.at23(minutes, roomC, perTen);
  }
}
