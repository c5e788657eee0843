package ungula.server.job;

import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.diagnose.AtPlace;
import ungula.core.mould.RubberWall;

/** What a study of the shape found facet by facet, for the master as it is posed. */
@Component
public class Facets {

  private final Studies studies;

  Facets(Studies studies) {
    this.studies = studies;
  }

  /** What there is of each facet, a byte each. */
  enum Quantity {
    /** How much of it is locked against the mould's pull: 255 is all of it. */
    LOCKED,
    /** How thick the rubber is over it, in {@link RubberWall#STEP_MM}: 255 is more. */
    WALL
  }

  /** Empty while it is not worked out. */
  Optional<byte[]> of(Job job, Quantity quantity) {
    return job.shape()
        .map(s -> quantity == Quantity.LOCKED ? s.release().of() : s.rubber().of())
        .flatMap(studies::facets);
  }

  /** One of them; empty likewise, and where there is none of that number. */
  public Optional<AtPlace.Facet> of(Job job, int facet) {
    Optional<byte[]> locked = of(job, Quantity.LOCKED);
    Optional<byte[]> wall = of(job, Quantity.WALL);
    return locked
        .filter(l -> facet >= 0 && facet < l.length)
        .flatMap(
            l ->
                wall.map(
                    w ->
                        new AtPlace.Facet(
                            Byte.toUnsignedInt(w[facet]) * RubberWall.STEP_MM,
                            Byte.toUnsignedInt(l[facet]) / 255.0)));
  }
}
