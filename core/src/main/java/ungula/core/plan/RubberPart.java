package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.LEARNED;
import static ungula.core.working.Given.Source.MEASURED;
import static ungula.core.working.Given.Source.SHEET;

import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Volume;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/**
 * Rubber poured round a master, and what is mixed on top of it.
 *
 * @param shapeMm3 up to the pour line, by box and master
 * @param inBoxMm3 the same as far as it is known: by what the first of several moulds weighs, once
 *     that is weighed
 * @param errorMm3 of it, either way
 * @param leastMm3 always allowed on top
 * @param lossMm3 left on cups and sticks
 * @param allowanceMm3 on top of what is in the box
 * @param offcutsMm3 cured pieces put in instead of it
 */
public record RubberPart(
    Brief brief,
    MasterPart master,
    BoxMould box,
    double shapeMm3,
    double inBoxMm3,
    double errorMm3,
    double leastMm3,
    double lossMm3,
    double allowanceMm3,
    double offcutsMm3)
    implements Part {

  static RubberPart of(Brief b, MasterPart master, BoxMould box) {
    boolean weighed = weighed(b);
    double v = b.firstMouldShare(box.rubberMm3()) * box.rubberMm3();
    double error = weighed ? 0 : master.errorMm3();
    Workshop w = b.workshop();
    double least = w.allowancePct() / 100 * v;
    int cups = PourMix.batches(b, PourMix.batching(b, v + least).orElse(null));
    cups += PourMix.sealingMm(b, box.pourLineMm()) == null ? 0 : 1;
    double loss = w.cupLossPct() / 100 * v + w.cupLossMm3() * cups;
    Double chosen = b.choices().rubber().allowancePct();
    double allowance = chosen != null ? chosen / 100 * v : Math.max(least, Math.max(error, loss));
    Double put = b.choices().rubber().offcutsMm3();
    double offcuts = put == null ? 0 : Math.min(put, v);
    return new RubberPart(
        b, master, box, box.rubberMm3(), v, error, least, loss, allowance, offcuts);
  }

  /** To be mixed, over all pours and batches. */
  public double mixMm3() {
    return inBoxMm3 - offcutsMm3 + allowanceMm3;
  }

  @Override
  public void show(FigureBook figures) {
    figures.volume("rubber.box", "rubber in the box", inBoxMm3, inBox());
    figures.volume("rubber.allowance", "allowance", allowanceMm3, allowance());
    Working.Builder mix =
        Working.of(
                offcutsMm3 > 0
                    ? "to mix = rubber in the box − offcuts + allowance"
                    : "to mix = rubber in the box + allowance")
            .given("in the box", brief.ml(inBoxMm3), COMPUTED)
            .given("allowance", brief.ml(allowanceMm3), COMPUTED);
    if (offcutsMm3 > 0) {
      mix.given("offcuts", brief.ml(offcutsMm3), CHOSEN);
    }
    figures.volume("rubber.mix", "rubber to mix", mixMm3(), mix.done());
  }

  private Working inBox() {
    if (weighed(brief)) {
      return Working.of("mass of the first mould ÷ density of the rubber")
          .given("the first mould", Mass.format(brief.firstMouldG(), brief.units()), MEASURED)
          .given("density", Density.format(brief.density(brief.product())), SHEET)
          .given("by box and master it would be", brief.ml(shapeMm3), COMPUTED)
          .done();
    }
    double line = box.pourLineMm();
    double below = box.curve().below(line);
    Working.Builder w =
        insideArea()
            .given("pour line", brief.mm(line), COMPUTED)
            .given("master below the line", brief.ml(below), COMPUTED);
    if (box.insert() != null) {
      w.given("label", brief.ml(box.insert().volumeMm3()), COMPUTED);
    }
    return w.step(
            "box "
                + Volume.exact(box.insideAreaMm2() * line, brief.units())
                + " − master "
                + Volume.exact(below, brief.units())
                + (box.insert() == null
                    ? ""
                    : " − label " + Volume.exact(box.insert().volumeMm3(), brief.units())))
        .plusMinus(errorMm3 > 0 ? "± " + brief.ml(errorMm3) + ", from the master" : "")
        .done();
  }

  /** Of what box and master ask for, what is counted on. */
  double share() {
    return brief.firstMouldShare(shapeMm3);
  }

  private static boolean weighed(Brief b) {
    return b.firstMouldG() != null && b.density(b.product()) != null;
  }

  private Working allowance() {
    Double chosen = brief.choices().rubber().allowancePct();
    if (chosen != null) {
      return Working.of("allowance = share of the rubber in the box")
          .given("share", Share.typed(chosen), CHOSEN)
          .done();
    }
    Workshop w = brief.workshop();
    return Working.of("allowance = the largest of three")
        .given(
            Numbers.trimmed(w.allowancePct(), 1) + " % of the rubber",
            brief.ml(leastMm3),
            w.learned("allowancePct") ? LEARNED : DEFAULT)
        .given(
            "± of the master's volume",
            weighed(brief) ? "none, weighed" : brief.ml(errorMm3),
            COMPUTED)
        .given(
            "left on cup and stick, "
                + Numbers.trimmed(w.cupLossPct(), 1)
                + " % + "
                + brief.ml(w.cupLossMm3())
                + " a batch",
            brief.ml(lossMm3),
            DEFAULT)
        .done();
  }

  /** The rubber's formula, as far as the inside of the box. */
  private Working.Builder insideArea() {
    boolean rectangle = box.inside().shape().sided() && box.inside().shape() != BoxShape.BLOCKS;
    String label = box.insert() == null ? "" : " − label";
    return rectangle
        ? Working.of(
                "rubber = inside length × inside width × pour line − master below the line" + label)
            .given("inside length", brief.mm(box.insideLengthMm()), COMPUTED)
            .given("inside width", brief.mm(box.insideWidthMm()), COMPUTED)
        : Working.of("rubber = inside area × pour line − master below the line" + label)
            .given("inside area", brief.area(box.insideAreaMm2()), COMPUTED);
  }
}
