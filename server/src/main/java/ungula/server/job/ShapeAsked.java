package ungula.server.job;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ungula.core.plan.CoreFacts;
import ungula.core.study.CastStudy;
import ungula.core.study.FormStudy;
import ungula.core.study.HollowStudy;
import ungula.core.study.ReleaseStudy;
import ungula.core.study.RubberStudy;
import ungula.core.study.ShapeStudy;
import ungula.server.job.Studies.Question;

/**
 * What there is to ask of a shape, and the answers as far as they are known.
 *
 * @param rubber round it in its box
 * @param cast in its mould
 * @param release of the mould
 * @param form however it stands
 * @param ofCore the core of a hollow cast; empty when casts are solid
 * @param round how one runs in round its core; likewise
 * @param ofSkin a skin on it; empty for other moulds
 */
public record ShapeAsked(
    Asked<RubberStudy> rubber,
    Asked<CastStudy> cast,
    Asked<ReleaseStudy> release,
    Asked<FormStudy> form,
    Optional<Question<Cores.Kept>> ofCore,
    Optional<CoreFacts> core,
    Optional<Asked<HollowStudy>> round,
    Optional<SkinAsked> ofSkin) {

  /** What it decides for its block mould; empty while not all of it is known. */
  Optional<ShapeStudy> study() {
    return rubber
        .answer()
        .flatMap(
            r -> castIn().flatMap(c -> release.answer().map(off -> new ShapeStudy(r, c, off))));
  }

  /** Round its core, where there is one and that is known. */
  private Optional<CastStudy> castIn() {
    Optional<HollowStudy> hollow = round.flatMap(Asked::answer);
    return cast.answer().map(c -> hollow.map(c::round).orElse(c));
  }

  /** What is known of the core, and whether of how a cast runs in round it. */
  Optional<CoreFacts> cored() {
    return core.map(c -> new CoreFacts(c.core(), round.flatMap(Asked::answer).isPresent()));
  }

  /** Whether it is known how the master stands. */
  boolean answered() {
    return study().isPresent() && form.answer().isPresent();
  }

  /** Of what is open, what to find out now: a skin, which is what one looks at, before the rest. */
  List<Question<?>> next() {
    return ofSkin.flatMap(SkinAsked::open).<List<Question<?>>>map(List::of).orElseGet(this::open);
  }

  /** What is asked and not answered yet. */
  List<Question<?>> open() {
    return Stream.<Optional<? extends Question<?>>>of(
            ofSkin.flatMap(SkinAsked::open),
            form.open(),
            rubber.open(),
            cast.open(),
            release.open(),
            ofCore.filter(q -> core.isEmpty()),
            round.flatMap(Asked::open))
        .<Question<?>>flatMap(Optional::stream)
        .toList();
  }
}
