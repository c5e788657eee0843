package ungula.core.plan;

import java.util.List;
import java.util.Optional;
import ungula.core.air.Seam;
import ungula.core.choice.BoxChoice;
import ungula.core.choice.Choices;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.Extras;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Bedding;
import ungula.core.parting.Parting;
import ungula.core.study.Parted;

/**
 * From choices to a plan: a pure function. The same inputs give the same plan, and nothing outside
 * them is looked at. It puts the parts together and holds nothing.
 */
public final class Planner {

  private Planner() {}

  /** The box alone: what a study of the shape is asked about. Empty while no size is known. */
  public static Optional<BoxMould> box(Choices choices, MasterFacts facts) {
    return facts == null ? Optional.empty() : Optional.of(BoxPart.of(choices, facts));
  }

  /** How its mould parts, as a study of the shape is asked; empty where it does not. */
  public static Optional<Parted> parted(Choices choices, MasterFacts facts, BoxMould box) {
    return switch (choices.mould().kind()) {
      case TWO_PART ->
          Optional.ofNullable(facts.parted()).map(p -> HalvesPart.parted(choices, facts, box));
      case CUT ->
          Optional.ofNullable(facts.cuts()).map(cuts -> KnifePart.parted(choices, cuts, box));
      case OPEN, SKIN -> Optional.empty();
    };
  }

  /** The seam of a mould that parts so. */
  public static Seam seam(Parted parted, Choices choices, MasterFacts facts, BoxMould box) {
    return parted.cut().orElseGet(() -> HalvesPart.parting(choices, facts, box).seam());
  }

  /**
   * @param known what {@link #box} says of the same choices and facts
   */
  public static Plan plan(Brief b, Optional<BoxMould> known) {
    return known.map(box -> plan(b, box)).orElseGet(() -> Plan.unknown(b));
  }

  private static Plan plan(Brief b, BoxMould known) {
    MasterPart master = MasterPart.of(b, known);
    BoxPart bare = BoxPart.of(b, known, master);
    Optional<CorePart> core = CorePart.of(b, master);
    CastPart cast = CastPart.of(b, master, bare.mould(), core);
    Optional<KnifePart> knife = KnifePart.of(b, master, bare.mould());
    Optional<LabelPart> label = LabelPart.of(b, bare.mould(), cast, knife);
    BoxPart box = label.map(l -> l.in(bare)).orElse(bare);
    BoxMould mould = box.mould();
    Optional<RubberPart> rubber =
        b.poured() ? Optional.of(RubberPart.of(b, master, mould)) : Optional.empty();
    Optional<CoatsPart> coated = CoatsPart.of(b);
    Optional<HalvesPart> halves = HalvesPart.of(b, mould);
    Optional<MixPart> mix =
        b.product() == null
            ? Optional.empty()
            : rubber.map(r -> poured(r, halves)).or(() -> coated.map(MixPart::of));
    Optional<MixPart> weighed = mix.filter(m -> m.first() != null);
    Optional<SkinPart> skin = coated.map(c -> SkinPart.of(b, c, Plan.density(mix)));
    Optional<JacketPart> jacket =
        skin.flatMap(s -> JacketPart.of(b, s, mix.map(MixPart::mouldG).orElse(null)));
    Optional<ShapePart> shape = ShapePart.of(b);
    Optional<PlatePart> plate = PlatePart.of(b);
    return new Plan(
        b,
        Optional.of(master),
        Optional.of(box),
        label,
        plate,
        rubber,
        coated,
        skin,
        shape,
        halves,
        knife,
        mix,
        weighed.map(m -> new SupplyPart(b, m)),
        weighed.map(
            m ->
                coated
                    .map(c -> PourPart.of(b, m, c))
                    .orElseGet(() -> PourPart.of(b, m, mould, halves.orElse(null)))),
        core,
        Optional.of(cast),
        AmountPart.of(b, cast),
        OpeningPart.of(b, cast, halves, knife, Plan.density(mix)),
        rubber.map(
            r -> EquipmentPart.of(b, mould, cuts(b, mould, halves, plate), mix.orElse(null))),
        jacket,
        skin.flatMap(s -> SitePart.of(b, mix.orElse(null), jacket)),
        Optional.of(LifePart.of(b, cast, shape, plate)));
  }

  /** Each half is poured by itself, as is all that is not in halves. */
  private static MixPart poured(RubberPart rubber, Optional<HalvesPart> halves) {
    double mm3 = rubber.mixMm3();
    List<PourMix.Wanted> wanted =
        halves
            .map(
                h ->
                    List.of(
                        new PourMix.Wanted(h.upperShare() * mm3, h.sealingShare(), h.coverShare(1)),
                        new PourMix.Wanted((1 - h.upperShare()) * mm3, 0, h.coverShare(2))))
            .orElse(List.of(whole(rubber, mm3)));
    return MixPart.of(rubber.brief(), rubber.inBoxMm3(), wanted);
  }

  private static PourMix.Wanted whole(RubberPart rubber, double mm3) {
    BoxMould box = rubber.box();
    double all = box.rubberMm3();
    Double sealingMm = PourMix.sealingMm(rubber.brief(), box.pourLineMm());
    return new PourMix.Wanted(
        mm3,
        sealingMm == null || !(all > 0) ? 0 : box.rubberBelow(sealingMm) / all,
        all > 0 ? box.rubberBelow(box.coveredMm()) / all : 0);
  }

  private static CutList cuts(
      Brief b, BoxMould box, Optional<HalvesPart> halves, Optional<PlatePart> plate) {
    Parting parting = halves.map(HalvesPart::parting).orElse(null);
    boolean board = parting != null && b.choices().parting().bedding() == Bedding.BOARD;
    Extras extras =
        new Extras(
            b.choices().mould().ribSpacingMm(),
            parting,
            board ? parting.boardCutouts() : null,
            halves.map(HalvesPart::risers).orElse(List.of()),
            plate.map(p -> p.on().footprints()).orElse(List.of()),
            b.measuredErrorMm(),
            b.workshop().equipment().bedMm());
    return CutList.of(box, extras, b.units());
  }

  /** What other choices would take, without making all of their plan. */
  public static Totals totals(Plan plan, Choices other) {
    Brief b = plan.brief().with(other);
    BoxChoice before = plan.choices().mould();
    BoxChoice after = other.mould();
    boolean same = before.shape() == after.shape() && before.sidesMm() == after.sidesMm();
    BoxInside inside =
        same && !after.shape().sided()
            ? plan.mould().inside()
            : BoxPart.inside(after, after.shape(), b.facts());
    BoxMould round = BoxPart.round(other, b.facts().sizeMm(), b.facts().curve(), inside);
    MasterPart master = MasterPart.of(b, round);
    BoxPart box = BoxPart.of(b, round, master);
    double label = plan.placedLabel().map(l -> l.label().volumeMm3()).orElse(0.0);
    return b.poured()
        ? new Totals(box.mould().rubberMm3() - label, box.sheetCost())
        : new Totals(CoatsPart.of(b).map(CoatsPart::onMasterMm3).orElse(0.0), 0);
  }

  /**
   * @param rubberMm3 in the mould
   * @param sheetCost for its box
   */
  public record Totals(double rubberMm3, double sheetCost) {}
}
