package ungula.core.approach;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import ungula.core.choice.Choices;
import ungula.core.offer.RubberOffers.Candidate;
import ungula.core.sentence.WordBook.Edit;

/**
 * What is proposed to somebody who brings a model and has decided nothing yet: the best of the
 * moulds that work, and the rubber for it.
 *
 * @param approach the mould, and how the master stands in it
 * @param rubber for it; empty where none does
 * @param owned whether some of that is on the shelf
 * @param edits that choose mould and rubber
 */
public record Proposal(
    Approach approach, Optional<Candidate> rubber, boolean owned, List<Edit> edits) {

  /**
   * What is on the shelf is proposed unless one to buy is better by more, in points of a rubber.
   */
  static final double WORTH_BUYING = 25;

  /**
   * @param ranked all moulds, best first
   * @param rubbers for the mould that some edits choose, best first
   * @param usableG of each rubber on the shelf
   * @return empty when no mould works
   */
  public static Optional<Proposal> of(
      Choices choices,
      Ranking.Ranked ranked,
      Function<List<Edit>, List<Candidate>> rubbers,
      Map<String, Double> usableG) {
    return ranked.approaches().stream()
        .filter(a -> a.works() && !a.hollow())
        .findFirst()
        .map(a -> a.offered(choices))
        .map(
            best -> {
              Optional<Candidate> rubber =
                  picked(choices.rubber().product(), rubbers.apply(best.edits()), usableG);
              List<Edit> edits = new ArrayList<>(best.edits());
              rubber
                  .filter(r -> !r.product().equals(choices.rubber().product()))
                  .ifPresent(r -> edits.add(Edit.of("rubber.product", r.product())));
              return new Proposal(
                  best,
                  rubber,
                  rubber.filter(r -> owned(r, usableG)).isPresent(),
                  List.copyOf(edits));
            });
  }

  /** What is chosen already stays. */
  private static Optional<Candidate> picked(
      String chosen, List<Candidate> rubbers, Map<String, Double> usableG) {
    if (chosen != null) {
      return rubbers.stream().filter(r -> r.product().equals(chosen)).findFirst();
    }
    Optional<Candidate> best = rubbers.stream().filter(Candidate::fits).findFirst();
    return rubbers.stream()
        .filter(r -> r.fits() && owned(r, usableG))
        .findFirst()
        .filter(r -> r.score() >= best.orElseThrow().score() - WORTH_BUYING)
        .or(() -> best);
  }

  private static boolean owned(Candidate rubber, Map<String, Double> usableG) {
    return usableG.getOrDefault(rubber.product(), 0.0) > 0;
  }
}
