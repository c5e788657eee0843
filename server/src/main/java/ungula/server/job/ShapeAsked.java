package ungula.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.plan.CoreFacts;
import ungula.core.study.FormStudy;
import ungula.core.study.ShapeStudy;
import ungula.server.job.Studies.Question;

/**
 * What there is to ask of a shape, and the answers as far as they are known.
 *
 * @param ofPose how it stands in its box
 * @param ofForm what does not depend on that
 * @param ofCore the core of a hollow cast; empty when casts are solid
 * @param ofSkin a skin on it; empty for other moulds
 */
public record ShapeAsked(
    Question<ShapeStudy> ofPose,
    Optional<ShapeStudy> study,
    Question<FormStudy> ofForm,
    Optional<FormStudy> form,
    Optional<Question<Cores.Kept>> ofCore,
    Optional<CoreFacts> core,
    Optional<SkinAsked> ofSkin) {

  /** Whether it is known how the master stands. */
  boolean answered() {
    return study.isPresent() && form.isPresent();
  }

  /** Of what is open, what to find out now: a skin, which is what one looks at, before the rest. */
  List<Question<?>> next() {
    return ofSkin.flatMap(SkinAsked::open).<List<Question<?>>>map(List::of).orElseGet(this::open);
  }

  /** What is asked and not answered yet. */
  List<Question<?>> open() {
    List<Question<?>> open = new ArrayList<>();
    ofSkin.flatMap(SkinAsked::open).ifPresent(open::add);
    if (form.isEmpty()) {
      open.add(ofForm);
    }
    if (study.isEmpty()) {
      open.add(ofPose);
    }
    ofCore.filter(q -> core.isEmpty()).ifPresent(open::add);
    return open;
  }
}
