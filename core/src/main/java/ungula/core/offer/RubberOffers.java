package ungula.core.offer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import ungula.core.caution.CautionFinder;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.contact.Contact.Verdict;
import ungula.core.days.Diary;
import ungula.core.geometry.Vec3;
import ungula.core.master.MasterMaterial;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldKind;
import ungula.core.plan.Brief;
import ungula.core.plan.LifePart;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Plan;
import ungula.core.plan.Planner;
import ungula.core.plan.Touching;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Share;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.release.Stretch;
import ungula.core.rubber.Product;
import ungula.core.rubber.Product.Clarity;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Cost;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.workshop.Workshop;

/**
 * How each rubber would do for a job: the job is planned with it, and what speaks for and against
 * it is weighed in points. The weights are our own judgement; the sentences say what was weighed.
 */
public final class RubberOffers {

  /** Locks that ask for so much stretch ask for a soft rubber, %. */
  private static final double DEEP_PCT = 40;

  private static final double SOFT_A = 10;
  private static final double GENERAL_A = 30;
  private static final double FIRM_A = 25;
  private static final double FIRMEST_A = 40;

  /**
   * A box so much higher than wide, or a master so much flatter than long, asks for firm rubber.
   */
  private static final double TALL = 2;

  private static final double FLAT = 0.2;

  private static final int OUT = 1000;
  private static final int TOO_STIFF = 40;
  private static final int TOO_FAST = 30;
  private static final int WRONG_HARDNESS = 15;
  private static final int SEEN_THROUGH = 12;
  private static final int PATCH = 8;
  private static final int SEAL = 3;
  private static final int TO_BUY = 5;
  private static final int EVERY_BATCH = 2;
  private static final int UNKNOWN = 10;

  /** For twice the price of the cheapest cast, and at most. */
  private static final double DOUBLE_PRICE = 10;

  private static final double DEAREST = 20;

  /**
   * @param product id of it
   * @param name of it
   * @param fits whether nothing rules it out
   * @param text what speaks for it and against it, as a sentence
   * @param costOfCast null while it cannot be worked out
   * @param score 100 less what speaks against it
   */
  public record Candidate(
      String product,
      String name,
      boolean fits,
      String text,
      @Nullable Figure costOfCast,
      double score) {}

  private final Plan plan;
  private final Steps steps;
  private final FigureBook shown;
  private final Product product;
  private final Choices choices;
  private final MasterFacts facts;
  private final List<String> pro = new ArrayList<>();
  private final List<String> contra = new ArrayList<>();
  private double score = 100;
  private boolean fits = true;

  private RubberOffers(Plan plan, Product product, Choices choices, MasterFacts facts) {
    this.plan = plan;
    this.shown = plan.figures();
    this.steps = Steps.of(plan, Diary.PLAIN);
    steps.show(shown);
    Cost.of(steps).ifPresent(c -> c.show(shown));
    this.product = product;
    this.choices = choices;
    this.facts = facts;
  }

  /**
   * @param recorded what happened so far
   * @param rubbers to choose from, by id
   * @param usableG of each on the shelf; none where nothing is said
   * @return best first; empty while the master's size is not known
   */
  public static List<Candidate> of(
      Choices choices,
      Recorded recorded,
      MasterFacts facts,
      Materials materials,
      Workshop workshop,
      Map<String, Product> rubbers,
      Map<String, Double> usableG) {
    if (facts == null) {
      return List.of();
    }
    List<Candidate> all = new ArrayList<>();
    rubbers.forEach(
        (id, product) -> {
          Choices with =
              ChoiceWords.edit(
                  choices,
                  List.of(Edit.of("rubber.product", id), Edit.of("rubber.ratio", "")),
                  product);
          Materials other =
              new Materials(
                  product.with(with.rubber().catalyst()), materials.build(), materials.cast());
          // what was tried and weighed holds for the rubber it was tried with
          boolean same = id.equals(choices.rubber().product());
          Recorded held = same ? recorded : Recorded.NOTHING;
          Plan plan =
              Planner.plan(Brief.of(with, held, facts, other, workshop), Planner.box(with, facts));
          RubberOffers choice = new RubberOffers(plan, other.rubber(), with, facts);
          all.add(choice.weighed(id, usableG.getOrDefault(id, 0.0), choices.units()));
        });
    return ranked(all);
  }

  private static List<Candidate> ranked(List<Candidate> all) {
    double cheapest =
        all.stream()
            .filter(c -> c.costOfCast != null)
            .mapToDouble(c -> c.costOfCast.value())
            .min()
            .orElse(0);
    return all.stream()
        .map(c -> c.costOfCast == null || cheapest <= 0 ? c : priced(c, cheapest))
        .sorted(Comparator.comparingDouble(Candidate::score).reversed())
        .toList();
  }

  private static Candidate priced(Candidate c, double cheapest) {
    double dearer = c.costOfCast.value() / cheapest - 1;
    double less = Math.min(DEAREST, DOUBLE_PRICE * dearer);
    return new Candidate(c.product, c.name, c.fits, c.text, c.costOfCast, c.score - less);
  }

  private Candidate weighed(String id, double usableG, Units units) {
    touching();
    stretch();
    hardness();
    clear();
    clock();
    life();
    stock(usableG, units);
    String text = String.join(", ", pro);
    if (!contra.isEmpty()) {
      text += (text.isEmpty() ? "" : "; but ") + String.join(", ", contra);
    }
    return new Candidate(
        id,
        product.name(),
        fits,
        text.isEmpty() ? "" : Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".",
        shown.get("cost.cast"),
        score);
  }

  private void against(int points, String words) {
    score -= points;
    contra.add(words);
  }

  private void out(String words) {
    fits = false;
    against(OUT, words);
  }

  private void touching() {
    for (Touching t : Touching.of(plan.brief())) {
      Verdict verdict = t.contact().verdict();
      if (t.what() == Touching.What.MASTER) {
        switch (verdict) {
          case DO_NOT -> out("it does not cure against " + t.surface());
          case PATCH -> {
            if (known()) {
              against(PATCH, "a patch on the master first");
            }
          }
          case SEAL -> against(SEAL, "the master has to be sealed");
          default -> {
            // nothing to say
          }
        }
      } else if (t.what() == Touching.What.CAST && verdict == Verdict.DO_NOT) {
        out("not for " + t.surface() + ": " + inWords(t));
      }
    }
  }

  /** On an unknown master every rubber asks for a patch: that speaks against none of them. */
  private boolean known() {
    return plan.choices().master().material() != MasterMaterial.UNKNOWN;
  }

  /** "it gets hotter than the rubber stands": the reason, going on in a sentence. */
  private static String inWords(Touching t) {
    String reason = t.contact().reason();
    return reason.substring(0, 1).toLowerCase(Locale.ROOT)
        + reason.substring(1, reason.length() - 1);
  }

  private double stretchPct() {
    return plan.life().map(LifePart::stretchPct).orElse(0.0);
  }

  private void stretch() {
    double needed = stretchPct();
    if (needed < 1) {
      return;
    }
    if (product.elongationPct() == null) {
      against(UNKNOWN, "its sheet does not say how far it stretches");
      return;
    }
    String words = Share.format(Stretch.allowed(product.elongationPct()));
    if (needed > 100 * Stretch.allowed(product.elongationPct())) {
      against(
          TOO_STIFF,
          "it gives by " + words + " where " + Share.format(needed / 100) + " are needed");
    } else {
      pro.add("it gives by " + words + " where " + Share.format(needed / 100) + " are needed");
    }
  }

  private void hardness() {
    if (product.hardness() == null) {
      against(UNKNOWN, "its sheet does not say how hard it is");
      return;
    }
    double a = product.shoreA();
    if (stretchPct() > DEEP_PCT) {
      if (a > SOFT_A) {
        against(WRONG_HARDNESS, "hard for locks this deep");
      } else {
        pro.add("soft enough for deep locks");
      }
    } else if (firm()) {
      if (a < FIRM_A) {
        against(WRONG_HARDNESS, "soft for walls that stand alone");
      } else if (a <= FIRMEST_A) {
        pro.add("firm enough for its walls");
      } else {
        against(WRONG_HARDNESS, "harder than it needs to be");
      }
    } else if (a > GENERAL_A) {
      against(WRONG_HARDNESS, "harder than it needs to be");
    } else if (a < SOFT_A) {
      against(WRONG_HARDNESS, "softer than it needs to be");
    }
  }

  /** Whether the mould is tall and slender, or the master a plate. */
  private boolean firm() {
    Vec3 s = facts.oneMm();
    BoxMould box = plan.poured() ? plan.mould() : null;
    boolean tall =
        box != null
            && box.pourLineMm() > TALL * Math.min(box.insideLengthMm(), box.insideWidthMm());
    return tall || s.z() < FLAT * Math.min(s.x(), s.y());
  }

  private void clear() {
    if (choices.mould().kind() == MouldKind.CUT && product.clear() == Clarity.CLEAR) {
      score += SEEN_THROUGH;
      pro.add("one sees where to cut");
    }
  }

  private void clock() {
    if (CautionFinder.of(steps).stream().anyMatch(c -> c.id().equals("batch.clock"))) {
      against(TOO_FAST, "too fast to mix and pour");
    }
    Figure batches = shown.get("batch.count");
    if (batches != null && batches.value() > 1) {
      against(EVERY_BATCH * (int) (batches.value() - 1), batches.text());
    }
  }

  private void life() {
    if (plan.life().filter(l -> l.casts() >= 1).isPresent()) {
      pro.add("about " + shown.get("life.casts").text());
    }
  }

  private void stock(double usableG, Units units) {
    double needed =
        plan.needs().stream()
            .filter(n -> n.product().equals(product))
            .mapToDouble(n -> n.parts().totalG())
            .sum();
    if (needed > 0 && usableG >= needed) {
      pro.add("enough on the shelf");
    } else if (needed > 0) {
      against(TO_BUY, Mass.format(needed - usableG, units) + " to buy");
    }
  }
}
