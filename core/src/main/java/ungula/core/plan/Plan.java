package ungula.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.choice.Choices;
import ungula.core.cutline.CutLine;
import ungula.core.cutlist.CutList;
import ungula.core.master.VolumeWays;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Parting;
import ungula.core.pour.Batches;
import ungula.core.quantity.Units;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.rubber.SecondPart;
import ungula.core.sprue.Sprue;
import ungula.core.working.FigureBook;
import ungula.core.workshop.Workshop;

/**
 * What follows from a job's choices, part by part. A part that does not belong to the mould, or is
 * not known yet, is empty; while the master's size is not known all are.
 *
 * @param brief what it was made from
 * @param master its volume
 * @param box round it; of a skin only how the master stands
 * @param label cast into the rubber
 * @param plate of several masters
 * @param rubber poured round the master
 * @param coated rubber brushed on it
 * @param skin how that is built up
 * @param shape what a closer look at it found
 * @param halves of a two-part mould
 * @param knife a cut mould is opened with
 * @param mix what to weigh
 * @param supply what that costs, and what to buy
 * @param pours what is mixed when
 * @param core of hollow casts
 * @param cast what one takes
 * @param amount what is mixed for one
 * @param opening what presses a mould of several parts open; empty for one in one part
 * @param equipment how the mould goes with it
 * @param jacket round a skin
 * @param site where a skin is built, away from the workshop
 * @param life of the mould
 */
public record Plan(
    Brief brief,
    Optional<MasterPart> master,
    Optional<BoxPart> box,
    Optional<LabelPart> label,
    Optional<PlatePart> plate,
    Optional<RubberPart> rubber,
    Optional<CoatsPart> coated,
    Optional<SkinPart> skin,
    Optional<ShapePart> shape,
    Optional<HalvesPart> halves,
    Optional<KnifePart> knife,
    Optional<MixPart> mix,
    Optional<SupplyPart> supply,
    Optional<PourPart> pours,
    Optional<CorePart> core,
    Optional<CastPart> cast,
    Optional<AmountPart> amount,
    Optional<OpeningPart> opening,
    Optional<EquipmentPart> equipment,
    Optional<JacketPart> jacket,
    Optional<SitePart> site,
    Optional<LifePart> life) {

  /** Rubber density counted on before a product is picked, g/cm³. */
  private static final double USUAL_DENSITY = 1.1;

  /**
   * What the job takes of a product.
   *
   * @param parts of it as it is sold
   */
  public record Need(Product product, Parts parts) {}

  /** While the master's size is not known. */
  static Plan unknown(Brief b) {
    return new Plan(
        b,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  /** A new book of figures in the job's units. */
  public FigureBook book() {
    return new FigureBook(PlanFigures.KEYS, brief.units(), brief.workshop().currency());
  }

  /** All that its parts show, in the order they are worked out. */
  public FigureBook figures() {
    FigureBook figures = book();
    parts().forEach(p -> p.show(figures));
    return figures;
  }

  private List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    master.ifPresent(parts::add);
    if (brief.poured()) {
      box.ifPresent(parts::add);
    }
    label.ifPresent(parts::add);
    List.of(plate, rubber, coated, skin, shape, halves, knife, mix, supply, pours, core, cast)
        .forEach(p -> p.ifPresent(parts::add));
    List.of(equipment, jacket, site, life, amount, opening).forEach(p -> p.ifPresent(parts::add));
    return parts;
  }

  public Choices choices() {
    return brief.choices();
  }

  /** Null while the master's size is not known. */
  public MasterFacts facts() {
    return brief.facts();
  }

  /** Null while no rubber is picked. */
  public Product product() {
    return brief.product();
  }

  public Workshop workshop() {
    return brief.workshop();
  }

  public Units units() {
    return brief.units();
  }

  /** Whether rubber is poured round the master in a box. */
  public boolean poured() {
    return brief.poured();
  }

  /** Ways the master's volume is known by. */
  public List<VolumeWays.Result> ways() {
    return master.map(MasterPart::ways).orElse(List.of());
  }

  /** The box as it stands; of a skin only how the master stands. */
  public BoxMould mould() {
    return box.orElseThrow().mould();
  }

  /** The box rubber is poured into; empty for a skin. */
  public Optional<BoxMould> inBox() {
    return box.filter(b -> brief.poured()).map(BoxPart::mould);
  }

  public Optional<Parting> parting() {
    return halves.map(HalvesPart::parting);
  }

  /** Where a label is set into the box; empty without one, and where there is no room. */
  public Optional<PlacedLabel> placedLabel() {
    return label.flatMap(LabelPart::placed);
  }

  public Optional<CutLine> cut() {
    return knife.map(KnifePart::cut);
  }

  /** A cast is poured in through; empty where that is the open base. */
  public Optional<Sprue> sprue() {
    return cast.map(CastPart::sprue);
  }

  public Optional<CutList> cuts() {
    return equipment.map(EquipmentPart::cuts);
  }

  /** One batch of the first pour; empty while nothing can be weighed. */
  public Optional<Mix> firstMix() {
    return mix.map(MixPart::first);
  }

  /** What to pour after the first part was really weighed. */
  public Optional<SecondPart> second() {
    return mix.flatMap(MixPart::second);
  }

  public Batches batches() {
    return pours.map(PourPart::batches).orElse(Batches.NONE);
  }

  /** Of the rubber mixed, g/cm³; a usual one while nothing can be weighed. */
  public double density() {
    return density(mix);
  }

  static double density(Optional<MixPart> mix) {
    return mix.map(MixPart::first).map(Mix::density).orElse(USUAL_DENSITY);
  }

  /** In the mould, mm³; 0 while it is not worked out. */
  public double rubberMm3() {
    return rubber.map(RubberPart::inBoxMm3).orElse(coated.map(CoatsPart::onMasterMm3).orElse(0.0));
  }

  /** Of the rubber its shape asks for, what the first of several moulds took; 1 before. */
  public double firstMouldShare() {
    return rubber.map(RubberPart::share).orElse(coated.map(CoatsPart::share).orElse(1.0));
  }

  /** Of sheet for the box, or of the jacket; empty while it is not known. */
  public Optional<Double> shellCost() {
    return brief.poured() ? box.map(BoxPart::sheetCost) : jacket.map(j -> j.needs().cost());
  }

  /** What the job takes of each product, as far as it can be weighed. */
  public List<Need> needs() {
    List<Need> needs = new ArrayList<>();
    mix.ifPresent(m -> m.used().forEach((of, parts) -> needs.add(new Need(of, parts))));
    Integer casts = brief.choices().cast().wanted();
    if (brief.cast() != null && casts != null && cast.isPresent() && cast.get().known()) {
      double pours = Math.ceil((double) casts / life.orElseThrow().castsOfAPour());
      double g = brief.cast().soldG(pours * cast.get().massG());
      needs.add(new Need(brief.cast(), Parts.of(brief.cast(), g)));
    }
    return List.copyOf(needs);
  }

  /**
   * Ways to lie while it is cast in that go, the best first: under pressure, those that fit the
   * pot. None while the shape is not worked out.
   */
  public List<Found> attitudes() {
    if (facts() == null || facts().shape() == null) {
      return List.of();
    }
    boolean pressed = choices().cast().pressureKpa() != null;
    return facts().shape().study().cast().attitudes().stream()
        .filter(f -> !pressed || equipment().map(e -> e.fitsPot(f.attitude())).orElse(true))
        .toList();
  }
}
