package ungula.core.caution;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ungula.core.plan.Plan;
import ungula.core.step.Steps;

/** Looks a computed plan over for what would go wrong, and prices the ways out. */
public final class CautionFinder {

  private final Steps steps;
  private final Plan p;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private CautionFinder(Steps steps) {
    this.steps = steps;
    this.p = steps.plan();
    this.prices = new Prices(p);
  }

  /** Worst first. */
  public static List<Caution> of(Steps steps) {
    return new CautionFinder(steps).find();
  }

  private List<Caution> find() {
    if (p.facts() != null) {
      found.addAll(MasterCautions.of(p, prices));
      if (p.poured()) {
        found.addAll(BoxCautions.of(p, prices));
      } else {
        found.addAll(SkinCautions.of(steps, prices));
        found.addAll(JacketCautions.of(p, prices));
      }
      found.addAll(AirCautions.of(p, prices));
      found.addAll(ShapeCautions.of(p, prices));
      found.addAll(PlateCautions.of(p));
      found.addAll(PartingCautions.of(p, prices));
      found.addAll(CutCautions.of(p, prices));
      found.addAll(LabelCautions.of(p));
      found.addAll(SprueCautions.of(p));
      found.addAll(CastCautions.of(p, prices));
      found.addAll(CoreCautions.of(p));
      found.addAll(EquipmentCautions.of(p, prices));
    }
    if (p.product() != null) {
      found.addAll(ContactCautions.of(p));
      found.addAll(RubberCautions.of(p, prices));
      found.addAll(PourCautions.of(steps, prices));
    }
    found.sort(Comparator.comparing(Caution::level));
    return List.copyOf(found);
  }
}
