package ungula.server.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.hollow.HollowCore;
import ungula.core.job.JobPlan;
import ungula.core.mould.BoxMould;
import ungula.core.plan.CorePart;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Plan;
import ungula.core.record.Recorded;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.study.ShapeStudy;
import ungula.server.web.Problem;

/**
 * A job with its present choices and what follows from them.
 *
 * @param recorded what happened in it, as far as that holds for its choices
 * @param facts what is known of its master; null while its size is not
 * @param shape what there is to ask of its shape; empty while it has none, or no box
 */
public record Job(
    JobMapper.Row row,
    Choices choices,
    Recorded recorded,
    JobPlan plan,
    MasterFacts facts,
    Materials materials,
    Optional<ShapeAsked> shape) {

  /** What it takes of each product. */
  public List<Needed> needs() {
    Map<String, Needed> needs = new LinkedHashMap<>();
    for (Plan.Need need : plan.plan().needs()) {
      String id =
          need.product().equals(materials.rubber())
              ? choices.rubber().product()
              : need.product().equals(materials.build())
                  ? choices.skin().buildProduct()
                  : choices.cast().product();
      Needed its = new Needed(id, need.product().grade(), need.parts());
      needs.merge(id + its.grade, its, Needed::plus);
    }
    return List.copyOf(needs.values());
  }

  /** The same, as it is kept now. */
  Job at(JobMapper.Row now) {
    return new Job(now, choices, recorded, plan, facts, materials, shape);
  }

  /** Its rubber; null while none is picked. */
  public Product product() {
    return materials.rubber();
  }

  /** Its study; empty while not everything about the shape is known. */
  Optional<ShapeStudy> study() {
    return shape.filter(ShapeAsked::answered).flatMap(ShapeAsked::study);
  }

  /** The core of a hollow cast, for what cannot be made without it; empty for a solid one. */
  Optional<HollowCore> core() {
    if (shape.filter(s -> s.ofCore().isPresent() && s.core().isEmpty()).isPresent()) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "No core yet",
          "The core is still being worked out. Ask again in a moment.");
    }
    return plan.plan().core().map(CorePart::core);
  }

  /** The box, for what cannot be shown without one. */
  public BoxMould box() {
    return plan.plan()
        .inBox()
        .orElseThrow(
            () ->
                choices.mould().kind().poured()
                    ? new Problem(
                        HttpStatus.CONFLICT, "No box yet", "The master's size is not known yet.")
                    : new Problem(
                        HttpStatus.CONFLICT,
                        "No box",
                        "A skin mould is brushed on: there is no box to it."));
  }

  /**
   * What a job takes of a product.
   *
   * @param product by id
   * @param grade of catalyst picked; empty for the sheet's own
   */
  public record Needed(String product, String grade, Parts parts) {

    private Needed plus(Needed other) {
      return new Needed(product, grade, parts.plus(other.parts));
    }
  }
}
