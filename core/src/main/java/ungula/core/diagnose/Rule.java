package ungula.core.diagnose;

import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What a fact says of a cause.
 *
 * @param seen what it holds for
 * @param fact it goes by, as it is asked for
 * @param holds whether it does; empty while the fact is not known
 * @param weight above nothing speaks for the cause, under it against
 * @param reason why, one clause
 */
record Rule(
    Cause cause,
    Set<Seen> seen,
    String fact,
    Function<Facts, Optional<Boolean>> holds,
    double weight,
    String reason) {}
