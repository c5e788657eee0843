package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.RatioMeant;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Share;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.sentence.WordBook.Edit;

/** What a sheet says against how its rubber is mixed. */
final class RubberCautions extends Finding {

  /** A first mould that differs by more from what was planned is looked into. */
  private static final double OFF_PLAN = 0.1;

  private RubberCautions(Plan p, Prices prices) {
    super(p, prices, "rubber");
  }

  static List<Caution> of(Plan p, Prices prices) {
    RubberCautions c = new RubberCautions(p, prices);
    c.ratio();
    c.sheet();
    c.additive("additive", p.choices().rubber().additive());
    c.additive("also", p.choices().rubber().also());
    c.firstMould();
    return c.found;
  }

  private void ratio() {
    Product product = p.product();
    if (product.contradictsItself()) {
      add(
          "ratio.contradicts",
          STOP,
          "The sheet contradicts itself",
          "“"
              + product.ratio().text()
              + "” and “"
              + product.ratioAlso().text()
              + "” do not agree with the densities entered. Look at the sheet again: which part is"
              + " the heavier one?",
          null);
    }
    RatioGuard.Verdict verdict = p.mix().map(MixPart::verdict).orElse(null);
    if (verdict == null || !verdict.stop()) {
      return;
    }
    boolean meant = p.choices().rubber().ratioMeant() == RatioMeant.YES;
    Fix sheet =
        new Fix(
            "Use the sheet's: " + product.ratio().text(),
            "",
            List.of(Edit.of("rubber.ratio", ""), Edit.of("rubber.ratioMeant", "NO")));
    Fix mean =
        new Fix(
            "I mean " + p.choices().rubber().ratio().text(),
            "",
            List.of(Edit.of("rubber.ratioMeant", "YES")));
    add(
        "ratio.off",
        meant ? CHECK : STOP,
        "The ratio is far off the sheet",
        verdict.words()
            + (meant ? "" : " Nothing is worked out until you say which.")
            + " Where the sheet and the entry differ, the sheet counts.",
        null,
        meant ? new Fix[] {sheet} : new Fix[] {sheet, mean});
  }

  private void sheet() {
    List<String> gaps = p.product().gaps();
    if (gaps.isEmpty()) {
      return;
    }
    boolean stop = p.firstMix().isEmpty() && p.mix().map(MixPart::verdict).isEmpty();
    add(
        "sheet.gaps",
        stop ? STOP : NOTE,
        "The sheet of " + p.product().name() + " leaves something out",
        "Not checked: " + String.join("; ", gaps) + ".",
        null);
  }

  /** More of something stirred in than the sheet allows, or something it says nothing of. */
  private void additive(String word, Additive additive) {
    if (!additive.used() || !p.poured()) {
      return;
    }
    Double most = additive.mostPct(p.product());
    String what = additive.kind().text();
    // sheets state the most as a share of base and hardener
    Ratio ratio = p.brief().ratio();
    double share = ratio == null ? 1 : additive.ofBoth(p.product().hardenerPerBase(ratio));
    if (most == null) {
      add(
          word + ".unknown",
          NOTE,
          "The sheet of " + p.product().name() + " says nothing of " + what,
          "Try it on a small mix first: it may cure badly, or tear.",
          null);
    } else if (additive.dosePct() * share > most) {
      String allowed =
          Share.typed(additive.of() == Additive.Of.TOTAL ? most / (1 + most / 100) : most / share);
      add(
          word + ".much",
          CHECK,
          "More " + what + " than " + p.product().name() + " takes",
          "It takes up to " + allowed + "; beyond that it may cure badly, shrink or tear.",
          null,
          fix("Use " + allowed, Edit.of("rubber." + word + ".dosePct", allowed)));
    }
  }

  /** What the first of several moulds weighs against what its shape asks for. */
  private void firstMould() {
    double share = p.firstMouldShare();
    if (Math.abs(share - 1) <= OFF_PLAN) {
      return;
    }
    double weighedG = p.brief().firstMouldG();
    boolean more = share > 1;
    add(
        "mould.weighed",
        CHECK,
        "The first mould weighs "
            + Share.format(Math.abs(share - 1))
            + (more ? " more" : " less")
            + " than planned",
        "Planned "
            + Mass.format(weighedG / share, p.units())
            + ", weighed "
            + Mass.format(weighedG, p.units())
            + ". "
            + offPlan(more)
            + " The next mould is mixed by what the first weighs.",
        null,
        new Fix("Remove the weighing", "", List.of(Edit.of("rubber.mouldG", ""))));
  }

  /** What to look for. */
  private String offPlan(boolean more) {
    if (!p.poured()) {
      return more
          ? "Were the coats laid on thicker, or one too many?"
          : "Were the coats laid on thinner, or one too few?";
    }
    return more
        ? "Measure the box: is it larger, did a wall give way, was it poured over the line?"
        : "Measure the box: is it smaller, was it poured to a lower line, did rubber leak?";
  }
}
