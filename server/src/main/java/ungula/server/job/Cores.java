package ungula.server.job;

import java.nio.ByteBuffer;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.hollow.HollowCore.Loose;
import ungula.core.plan.CoreFacts;
import ungula.server.job.Studies.Question;
import ungula.server.model.MeshBytes;

/** Cores of hollow casts as far as they are worked out; their meshes are kept with the answers. */
@Component
class Cores {

  /** Held ready in memory. */
  private static final int AT_HAND = 20;

  private final Studies studies;

  // by question; oldest used first
  private final Map<String, CoreFacts> atHand = new LinkedHashMap<>(16, 0.75f, true);

  Cores(Studies studies) {
    this.studies = studies;
  }

  /**
   * What is kept of a core, beside its mesh.
   *
   * @param left whether there is one
   */
  record Kept(boolean left, double wallMm, boolean open, double looseMm3, Vec3 looseAt) {

    static final Kept NOTHING = new Kept(false, 0, false, 0, Vec3.ZERO);

    static Kept of(HollowCore core) {
      return new Kept(true, core.wallMm(), core.open(), core.loose().mm3(), core.loose().at());
    }
  }

  /** Empty while it is not worked out. */
  synchronized Optional<CoreFacts> known(Question<Kept> question) {
    CoreFacts held = atHand.get(question.id());
    if (held == null) {
      held = studies.known(question).map(kept -> read(question, kept)).orElse(null);
      if (held != null) {
        atHand.put(question.id(), held);
        if (atHand.size() > AT_HAND) {
          atHand.remove(atHand.keySet().iterator().next());
        }
      }
    }
    return Optional.ofNullable(held);
  }

  private CoreFacts read(Question<Kept> question, Kept kept) {
    return new CoreFacts(
        kept.left
            ? new HollowCore(
                kept.wallMm,
                kept.open,
                MeshBytes.mesh(ByteBuffer.wrap(studies.facets(question).orElseThrow())),
                new Loose(kept.looseMm3, kept.looseAt))
            : null);
  }
}
