package ungula.server.job;

import java.util.Optional;
import ungula.server.job.Studies.Question;

/**
 * A question, and the answer as far as it is known.
 *
 * @param of what is asked
 */
public record Asked<A>(Question<A> of, Optional<A> answer) {

  /** The question while it is open. */
  Optional<Question<A>> open() {
    return answer.isPresent() ? Optional.empty() : Optional.of(of);
  }
}
