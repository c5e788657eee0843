package ungula.core.step;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import ungula.core.days.Network;
import ungula.core.step.Step.After.From;
import ungula.core.step.Step.Hold;
import ungula.core.step.Step.Kind;

/**
 * The steps of one mould as what is scheduled: their times are the room's already. Its master and
 * the mould itself are no resources of it: a coat cures from when it is mixed, while it is brushed.
 */
public final class StepNetwork {

  /** What is the mould's own, or holds anyway. */
  private static final Set<Hold> OWN = EnumSet.of(Hold.PERSON, Hold.MOULD, Hold.MASTER);

  private StepNetwork() {}

  /** One for one, by the same keys. */
  public static List<Network.Step> of(List<Step> steps) {
    return steps.stream().map(StepNetwork::of).toList();
  }

  private static Network.Step of(Step s) {
    Set<String> holds =
        s.holds().stream()
            .filter(h -> !OWN.contains(h))
            .map(h -> h.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    return new Network.Step(
        s.key(),
        s.kind() != Kind.WAIT,
        s.takes().minutes(),
        false,
        s.after().stream().map(StepNetwork::of).toList(),
        s.unbroken(),
        holds,
        null);
  }

  private static Network.After of(Step.After a) {
    return new Network.After(
        a.key(), a.leastMin(), a.mostMin(), a.from() == From.BEGIN, false, a.nextDayMin());
  }
}
