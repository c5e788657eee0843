package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.caution.Caution.Place;
import ungula.core.contact.CastingMaterial;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Parting;
import ungula.core.plan.MixPart;
import ungula.core.plan.Plan;
import ungula.core.plan.PourMix;
import ungula.core.plan.PourPart;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.pour.Scale;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.PourClock;
import ungula.core.step.Steps;
import ungula.core.working.Figure;

/** What can go wrong between the scale and the mould. */
final class PourCautions {

  /** Foam of rubber breaks below this, kPa absolute. */
  private static final double DEEP_KPA = 10;

  /** Over this a pot life worked out from a sheet is not to be trusted. */
  private static final double HOT_C = 30;

  /** Condensation-cure rubber wants more humidity than this, urethane less than that. */
  private static final double DRY_PCT = 30;

  private static final double DAMP_PCT = 70;

  /** Of the pot life, a pump may take as much to collapse the foam. */
  private static final double PUMP_SHARE = 1 / 3.0;

  private final Plan p;
  private final MixPart mix;
  private final PourPart pours;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private PourCautions(Plan p, Prices prices) {
    this.p = p;
    this.pours = p.pours().orElse(null);
    this.mix = p.mix().orElse(null);
    this.prices = prices;
  }

  static List<Caution> of(Steps steps, Prices prices) {
    Plan p = steps.plan();
    PourCautions c = new PourCautions(p, prices);
    if (p.pours().isPresent()) {
      c.heavy();
      c.seam();
      c.clock();
      c.late(PourClock.of(steps));
      c.sealing();
      c.vacuum();
      c.shallow();
      c.room();
      c.scales();
    }
    return c.found;
  }

  private void add(
      String id, Caution.Level level, String title, String text, Place at, List<Fix> fixes) {
    found.add(new Caution(id, level, "pours", title, text, at, fixes));
  }

  /** Where more batches were asked for than the limits need, or fewer. */
  private List<Fix> asFewAsItTakes() {
    int needed = mix.pours().stream().mapToInt(PourCautions::needed).sum();
    return List.of(
        prices.fix(
            needed == 1 ? "Mix one batch" : "Mix " + needed + " batches",
            Edit.of("rubber.batches", "")));
  }

  private static int needed(PourMix pour) {
    return pour.batching() == null ? pour.batches() : pour.batching().count();
  }

  private boolean moreThanNeeded() {
    return p.choices().rubber().batches() != null
        && mix.pours().stream().anyMatch(pour -> needed(pour) < pour.batches());
  }

  private void heavy() {
    double heaviest = mix.heaviestG();
    if (!p.poured()) {
      if (heaviest > p.workshop().handMixG()) {
        add(
            "batch.heavy",
            CHECK,
            "A coat of " + Mass.format(heaviest, p.units()) + " is more than a person mixes",
            "By hand, up to "
                + Mass.format(p.workshop().handMixG(), p.units())
                + " gets evenly mixed in time. Mix it in two, and brush with two.",
            null,
            List.of());
      }
      return;
    }
    mix.pours().stream()
        .filter(PourMix::tooFew)
        .max(Comparator.comparingDouble(pour -> pour.first().totalG()))
        .ifPresent(
            pour ->
                add(
                    "batch.heavy",
                    CHECK,
                    "A batch of " + Mass.format(pour.first().totalG(), p.units()) + " is too large",
                    pour.batching().reason().reason(),
                    null,
                    asFewAsItTakes()));
  }

  /** Where one batch ends on the master a line shows on every cast. */
  private void seam() {
    for (PourPart.Bare bare : pours.bare()) {
      String fewer = String.join(", ", p.batches().fewer());
      add(
          bare.pour() == 1 ? "batch.seam" : "batch.seam." + bare.pour(),
          CHECK,
          "The first batch "
              + (bare.of().isEmpty() ? "" : "of the " + bare.of() + " ")
              + "does not cover the master",
          "It reaches "
              + mm(bare.levelMm())
              + " up the box, and the master reaches "
              + mm(bare.masterTopMm())
              + ": where the next begins, a line shows on every cast. Pour it before the first has"
              + " gelled"
              + (fewer.isEmpty() ? "." : ", or mix fewer batches: " + fewer + "."),
          // as it is drawn, before it is turned over
          new Place(
              0, 0, bare.pour() == 1 ? bare.levelMm() : p.mould().pourLineMm() - bare.levelMm()),
          moreThanNeeded() ? asFewAsItTakes() : List.of());
    }
  }

  private void clock() {
    Double pot = mix.potMin();
    if (pot == null || !p.poured()) {
      return;
    }
    Pace pace = p.workshop().mixing().pace();
    Bubbles bubbles = p.choices().rubber().bubbles();
    double minutes = pours.batchMin();
    if (minutes > Pace.POT_SHARE * pot) {
      List<Fix> fixes = new ArrayList<>();
      if (bubbles.vacuum()) {
        fixes.add(
            prices.fix(
                "Pour it high and thin instead",
                Edit.of("rubber.bubbles", Bubbles.THIN_POUR.name())));
      }
      add(
          "batch.clock",
          minutes > pot ? STOP : CHECK,
          minutes > pot
              ? "This rubber gels before a batch is poured"
              : "This rubber is too fast for a batch",
          "Weighing, mixing and pouring take "
              + Timespan.formatMin(minutes)
              + "; only four fifths of its pot life of "
              + Timespan.formatMin(pot)
              + " are safe. Use a slower grade, or a helper who weighs ahead.",
          null,
          fixes);
    }
    if (bubbles.vacuum() && pace.degasMin() > PUMP_SHARE * pot) {
      add(
          "batch.pump",
          CHECK,
          "The pump is too slow for this rubber",
          "It takes "
              + Timespan.formatMin(pace.degasMin())
              + " to pull the foam down, over a third of the pot life: the rubber thickens round"
              + " its bubbles.",
          null,
          List.of(
              prices.fix(
                  "Pour it high and thin instead",
                  Edit.of("rubber.bubbles", Bubbles.THIN_POUR.name()))));
    }
  }

  /** A batch that cannot follow before the one under it has gelled. */
  private void late(PourClock clock) {
    for (PourClock.Turn b : clock.turns()) {
      if (b.late()) {
        add(
            "batch.late",
            CHECK,
            "Batch "
                + b.batch().batch().number()
                + (b.onSealing()
                    ? " comes after the sealing pour has set"
                    : " comes after the one before has gelled"),
            "It would have to begin by "
                + b.clock(Math.max(0, b.latestMin()))
                + ", and begins at "
                + b.clock(b.startMin())
                + ": they meet in a line, and may come apart. Use a slower grade, or weigh it"
                + " ahead with a helper.",
            null,
            List.of());
        return;
      }
    }
  }

  /** Rubber poured first, to seal, needs room over it and best ends under the master. */
  private void sealing() {
    Double asked = p.choices().rubber().sealingMm();
    if (asked == null || !p.poured()) {
      return;
    }
    BoxMould mould = p.mould();
    double base = p.parting().map(Parting::levelMm).orElse(0.0);
    List<Fix> none =
        List.of(prices.fix("Do without a sealing pour", Edit.of("rubber.sealingMm", "")));
    if (PourMix.sealingMm(p.brief(), mould.pourLineMm() - base) == null) {
      add(
          "batch.sealing",
          CHECK,
          "A sealing pour of " + mm(asked) + " leaves no mould over it",
          "The rubber is only "
              + mm(mould.pourLineMm() - base)
              + " deep, so it is planned without one.",
          null,
          none);
    } else if (p.parting().isPresent() || asked > mould.belowMm()) {
      add(
          "batch.sealed",
          NOTE,
          "A faint line may show " + mm(asked) + " up every cast",
          "That high the sealing pour stands against the master. Pour the rest while it is tacky.",
          new Place(0, 0, base + asked),
          none);
    }
  }

  private void vacuum() {
    if (!p.choices().rubber().bubbles().vacuum() || p.workshop().equipment().chamber() != null) {
      return;
    }
    add(
        "batch.chamber",
        CHECK,
        "The size of the vacuum chamber is not known",
        "So how much rubber can be degassed at a time cannot be worked out. Give the size on the"
            + " Workshop page.",
        null,
        List.of(
            prices.fix(
                "Pour it high and thin instead",
                Edit.of("rubber.bubbles", Bubbles.THIN_POUR.name()))));
  }

  private void shallow() {
    Double left = pours.leftKpa();
    double air = pours.airKpa();
    if (left == null || left >= 0 && left <= DEEP_KPA) {
      return;
    }
    boolean impossible = left < 0;
    add(
        "batch.shallow",
        CHECK,
        impossible
            ? "No gauge shows " + p.workshop().mixing().vacuum().text() + " where the workshop lies"
            : "The pump leaves " + Numbers.fixed(left, 1) + " kPa" + " in the chamber",
        impossible
            ? "The air outside is only "
                + Numbers.fixed(air, 1)
                + " kPa at that height. Say what the gauge really shows, or the absolute pressure."
            : "Foam breaks and goes down below about "
                + Numbers.fixed(DEEP_KPA, 0)
                + " kPa absolute; above it the rubber keeps its bubbles.",
        null,
        List.of(
            prices.fix(
                "Pour it high and thin instead",
                Edit.of("rubber.bubbles", Bubbles.THIN_POUR.name()))));
  }

  /** Heat and damp change how rubber cures. */
  private void room() {
    double degrees = p.workshop().roomC();
    if (degrees > HOT_C) {
      add(
          "room.hot",
          CHECK,
          "It is " + Numbers.trimmed(degrees, 0) + " °C: the rubber is fast",
          "Over "
              + Numbers.trimmed(HOT_C, 0)
              + " °C pot lives off a sheet are only a guess. Cool the base before mixing, or pour"
              + " in the morning.",
          null,
          List.of());
    }
    double humidity = p.workshop().air().humidityPct();
    if (p.product().chemistry() == Chemistry.CONDENSATION && humidity < DRY_PCT) {
      add(
          "room.dry",
          CHECK,
          "The air is dry for condensation-cure rubber",
          "It takes up water from the air to cure: at "
              + Numbers.trimmed(humidity, 0)
              + " % it stays soft for longer, deep inside most of all. Set open water beside it.",
          null,
          List.of());
    }
    boolean urethane =
        p.product().chemistry() == Chemistry.URETHANE
            || p.brief().cast() != null && p.brief().castingMaterial() == CastingMaterial.URETHANE;
    if (urethane && humidity > DAMP_PCT) {
      add(
          "room.damp",
          CHECK,
          "The air is damp for urethane",
          "At "
              + Numbers.trimmed(humidity, 0)
              + " % it takes up water and foams. Close the tins at once, warm mould and parts, and"
              + " cast under pressure.",
          null,
          List.of());
    }
  }

  /** Amounts that none of the shop's scales tells apart well enough. */
  private void scales() {
    List<Scale> scales = p.workshop().mixing().scales();
    if (scales.isEmpty()) {
      return;
    }
    pours.list().stream()
        .flatMap(t -> t.amounts().entrySet().stream())
        .filter(a -> scales.stream().noneMatch(s -> s.weighs(a.getValue())))
        .findFirst()
        .ifPresent(a -> scale(p.figures().get(a.getKey()), scales));
  }

  private void scale(Figure amount, List<Scale> scales) {
    Scale finest = scales.get(0);
    boolean small = amount.value() < Scale.READINGS * finest.readG();
    add(
        "batch.scale",
        small ? CHECK : NOTE,
        amount.text()
            + " of "
            + amount.label()
            + " is "
            + (small ? "too little" : "too much")
            + " for the scales",
        small
            ? "The finest tells "
                + Mass.exact(finest.readG(), p.units())
                + " apart: the amount may be "
                + Math.round(100 * finest.readG() / amount.value())
                + " % off. Mix fewer, larger batches, or weigh it on a finer scale."
            : "It is more than either scale can weigh: weigh it in two goes.",
        null,
        small && moreThanNeeded() ? asFewAsItTakes() : List.of());
  }

  private String mm(double mm) {
    return Length.format(mm, p.units());
  }
}
