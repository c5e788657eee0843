package ungula.core.plan;

import ungula.core.choice.Choices;
import ungula.core.choice.MasterChoice;
import ungula.core.choice.MasterSource;
import ungula.core.choice.Materials;
import ungula.core.contact.CastingMaterial;
import ungula.core.quantity.Area;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.record.Recorded;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.workshop.Workshop;

/**
 * What a plan is made from.
 *
 * @param recorded what happened so far
 * @param facts null while the master's size is not known
 * @param workshop as warm as it is where the mould is built
 */
public record Brief(
    Choices choices, Recorded recorded, MasterFacts facts, Materials materials, Workshop workshop) {

  /** Of a job in which nothing has happened yet. */
  public static Brief of(
      Choices choices, MasterFacts facts, Materials materials, Workshop workshop) {
    return of(choices, Recorded.NOTHING, facts, materials, workshop);
  }

  public static Brief of(
      Choices choices,
      Recorded recorded,
      MasterFacts facts,
      Materials materials,
      Workshop workshop) {
    return new Brief(choices, recorded, facts, materials, choices.site().of(workshop));
  }

  /** The same with other choices. */
  Brief with(Choices other) {
    return new Brief(other, recorded, facts, materials, workshop);
  }

  /** Rubber of the mould; null while none is picked. */
  public Product product() {
    return materials.rubber();
  }

  /** Rubber of a skin's build coats; the other one where none is picked for them. */
  public Product build() {
    return materials.build() == null ? materials.rubber() : materials.build();
  }

  /** What the job's rubber is mixed at; null while none is picked, or nothing says. */
  public Ratio ratio() {
    return ratio(product());
  }

  /** What a rubber of the job is mixed at: the job's own is for its own, else the sheet's. */
  Ratio ratio(Product of) {
    if (of == null) {
      return null;
    }
    Ratio own = choices.rubber().ratio();
    return of == product() && own != null ? own : of.mixedAt();
  }

  /** ± on every measure the master's shape is known from; 0 for a model file. */
  public double measuredErrorMm() {
    MasterChoice master = choices.master();
    return master.source() == MasterSource.SOLID ? master.solid().toleranceMm() : 0;
  }

  /** Mixed, of a rubber of the job, g/cm³; null while its sheet does not say. */
  Double density(Product of) {
    Ratio ratio = ratio(of);
    return ratio == null ? null : of.mixedDensity(of.hardenerPerBase(ratio));
  }

  /** What the first of several moulds weighs; null for one, and before it is weighed. */
  public Double firstMouldG() {
    Integer moulds = choices.rubber().moulds();
    return moulds == null || moulds < 2 ? null : recorded.rubber().mouldG();
  }

  /** Of rubber poured as a shape asks for, what the first of several moulds took; 1 before. */
  double firstMouldShare(double shapeMm3) {
    Double density = firstMouldG() == null || shapeMm3 <= 0 ? null : density(product());
    return density == null ? 1 : firstMouldG() / density * 1000 / shapeMm3;
  }

  /** What is cast; null while no product is picked for it. */
  public Product cast() {
    return materials.cast();
  }

  public CastingMaterial castingMaterial() {
    return cast() == null ? choices.cast().material() : CastingMaterial.of(cast());
  }

  /** As hot as a cast gets, °C. */
  public double castC() {
    return cast() == null || cast().peakC() == null ? castingMaterial().usualC() : cast().peakC();
  }

  /** Whether rubber is poured round the master in a box. */
  public boolean poured() {
    return choices.mould().kind().poured();
  }

  /** Whether a core is wanted that is not worked out yet: what a cast takes is open until then. */
  public boolean coreOpen() {
    return choices.hollow().wallMm() != null && facts.parted() != null && facts.core() == null;
  }

  /** Whether casts are hollow, and how they run in round their core is not worked out yet. */
  public boolean roundOpen() {
    return choices.hollow().wallMm() != null
        && facts.parted() != null
        && (facts.core() == null || !facts.core().round());
  }

  public Units units() {
    return choices.units();
  }

  /** A length as it is shown. */
  public String mm(double mm) {
    return Length.format(mm, units());
  }

  /** An area as it is shown. */
  public String area(double mm2) {
    return Area.format(mm2, units());
  }

  /** A volume as it is shown. */
  public String ml(double mm3) {
    return Volume.format(mm3, units());
  }

  /** Time off the sheet of a product, in the room; null without one. */
  public Double inRoomMin(Product product, Double sheetMin) {
    return product.inRoomMin(sheetMin, workshop.roomC());
  }
}
