package ungula.server.job;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import ungula.core.skin.SkinField;
import ungula.core.skin.SkinStudy;
import ungula.core.work.Progress;
import ungula.server.job.Studies.Question;
import ungula.server.model.FieldBytes;

/** The rooms round masters that skins are brushed on, as far as they are worked out. */
@Component
class Skins {

  /** Held ready in memory: each takes up to ten megabytes. */
  private static final int AT_HAND = 8;

  private final Studies studies;

  // by question; oldest used first
  private final Map<String, SkinField> atHand = new LinkedHashMap<>(16, 0.75f, true);

  Skins(Studies studies) {
    this.studies = studies;
  }

  /** Empty while it is not worked out. */
  synchronized Optional<SkinField> field(Question<SkinStudy> question) {
    SkinField held = atHand.get(question.id());
    if (held == null) {
      held =
          studies.facets(question).map(kept -> SkinField.kept(FieldBytes.field(kept))).orElse(null);
      if (held != null) {
        atHand.put(question.id(), held);
        if (atHand.size() > AT_HAND) {
          atHand.remove(atHand.keySet().iterator().next());
        }
      }
    }
    return Optional.ofNullable(held);
  }

  /** Found at once when it is not worked out yet. */
  SkinField room(Question<SkinStudy> question, Progress progress) throws Exception {
    Optional<SkinField> known = field(question);
    if (known.isEmpty()) {
      studies.find(question, progress);
    }
    return known.isPresent() ? known.get() : field(question).orElseThrow();
  }
}
