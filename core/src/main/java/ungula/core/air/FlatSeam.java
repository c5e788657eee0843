package ungula.core.air;

import java.util.Optional;
import ungula.core.geometry.Vec3;

/**
 * A seam that is a plane, or half of one.
 *
 * @param normal of length one
 * @param atMm normal · x of its points
 * @param towards it reaches only where this · x is not less than 0; null reaches everywhere
 */
public record FlatSeam(Vec3 normal, double atMm, Vec3 towards) implements Seam {

  @Override
  public Optional<Vec3> from(Vec3 place) {
    return towards != null && towards.dot(place) < 0
        ? Optional.empty()
        : Optional.of(place.plus(normal.times(atMm - normal.dot(place))));
  }

  @Override
  public boolean flat() {
    return true;
  }
}
