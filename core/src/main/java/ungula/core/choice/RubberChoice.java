package ungula.core.choice;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import ungula.core.pour.Bubbles;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Ratio;

/**
 * @param product id of the product; null while none is picked
 * @param catalyst grade of it, by its name on the sheet; null is the usual one
 * @param ratio to mix at; null is the sheet's
 * @param ratioMeant whether a ratio far off the sheet was confirmed
 * @param first which part goes into the cup first
 * @param allowancePct over the volume needed; null is by rule
 * @param batches of equal size in each pour; null is as few as the workshop's limits allow
 * @param sealingMm rubber poured first and left until tacky, to close joints and to keep air from
 *     rising from under the master; null is none
 * @param bubbles how air is got out of it
 * @param additive stirred in
 * @param also stirred in besides
 * @param offcutsMm3 cured pieces of the same rubber put into the box; null is none
 * @param moulds alike, made of one master; null is one
 */
public record RubberChoice(
    String product,
    String catalyst,
    Ratio ratio,
    RatioMeant ratioMeant,
    First first,
    Double allowancePct,
    Integer batches,
    Double sealingMm,
    Bubbles bubbles,
    Additive additive,
    Additive also,
    Double offcutsMm3,
    Integer moulds) {

  /** What was kept before something was asked about is poured thin, with one additive at most. */
  public RubberChoice {
    bubbles = bubbles == null ? Bubbles.THIN_POUR : bubbles;
    also = also == null ? Additive.NONE : also;
  }

  /** What is stirred in, one after the other. */
  public List<Additive> stirredIn() {
    return Stream.of(additive, also).filter(Additive::used).toList();
  }

  /**
   * A grade of catalyst belongs to one rubber, a ratio to the rubber and grade it was typed for,
   * and that it is meant to the ratio: of another none of them stays unless it was written with it.
   */
  RubberChoice consistentAfter(RubberChoice before) {
    boolean otherRubber = before.product != null && !before.product.equals(product);
    boolean sameGrade = Objects.equals(catalyst, before.catalyst);
    boolean others = (otherRubber || !sameGrade) && Objects.equals(ratio, before.ratio);
    Ratio its = others ? null : ratio;
    boolean sameRatio = Objects.equals(its, before.ratio);
    return new RubberChoice(
        product,
        otherRubber && sameGrade ? null : catalyst,
        its,
        sameRatio || ratioMeant != before.ratioMeant ? ratioMeant : RatioMeant.NO,
        first,
        allowancePct,
        batches,
        sealingMm,
        bubbles,
        additive,
        also,
        offcutsMm3,
        moulds);
  }
}
