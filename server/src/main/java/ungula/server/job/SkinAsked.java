package ungula.server.job;

import java.util.Optional;
import ungula.core.jacket.OutsideStudy;
import ungula.core.plan.SkinFacts;
import ungula.core.skin.SkinStudy;
import ungula.server.job.Studies.Question;

/**
 * What there is to ask of a skin.
 *
 * @param ofRoom what one of any thickness takes
 * @param ofOutside what the outside of the one asked for decides; asks for the room on its way
 */
public record SkinAsked(
    Question<SkinStudy> ofRoom,
    Optional<SkinStudy> room,
    Question<OutsideStudy> ofOutside,
    Optional<OutsideStudy> outside) {

  /** The one to be asked; empty when both are known. */
  Optional<Question<?>> open() {
    return outside.isEmpty()
        ? Optional.of(ofOutside)
        : room.isEmpty() ? Optional.of(ofRoom) : Optional.empty();
  }

  /** As far as it is known. */
  Optional<SkinFacts> facts() {
    return room.map(r -> new SkinFacts(r, outside.orElse(null)));
  }
}
