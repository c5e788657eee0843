package ungula.core.plan;

import static ungula.core.plan.Caution.Level.CHECK;
import static ungula.core.plan.Caution.Level.NOTE;

import java.util.ArrayList;
import java.util.List;
import ungula.core.contact.CastingMaterial;
import ungula.core.plan.Caution.Fix;
import ungula.core.plan.Caution.Place;
import ungula.core.pour.Bubbles;
import ungula.core.pour.Pace;
import ungula.core.pour.PlannedBatch;
import ungula.core.pour.Scale;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Vacuum;
import ungula.core.rubber.Product.Chemistry;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.working.Figure;

/** What can go wrong between the scale and the mould. */
final class PourCautions {

  /** The first batch covers the master so far, or a line shows on every cast, mm. */
  private static final double COVERED_MM = 5;

  /** Foam of rubber breaks below this, kPa absolute. */
  private static final double DEEP_KPA = 10;

  /** Over this a pot life worked out from a sheet is not to be trusted. */
  private static final double HOT_C = 30;

  /** Condensation-cure rubber wants more humidity than this, urethane less than that. */
  private static final double DRY_PCT = 30;

  private static final double DAMP_PCT = 70;

  /** Of the pot life, a pump may take as much to collapse the foam. */
  private static final double PUMP_SHARE = 1 / 3.0;

  private final Planner p;
  private final Prices prices;
  private final List<Caution> found = new ArrayList<>();

  private PourCautions(Planner p, Prices prices) {
    this.p = p;
    this.prices = prices;
  }

  static List<Caution> of(Planner p, Prices prices) {
    PourCautions c = new PourCautions(p, prices);
    if (p.mix() != null) {
      c.heavy();
      c.seam();
      c.clock();
      c.late();
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

  private Fix asFewAsItTakes() {
    return prices.fix(
        p.batching.count() == 1 ? "Mix one batch" : "Mix " + p.batching.count() + " equal batches",
        Edit.of("rubber.batches", ""));
  }

  private void heavy() {
    double heaviest = p.amounts.heaviestG();
    if (!p.poured()) {
      if (heaviest > p.workshop.handMixG()) {
        add(
            "batch.heavy",
            CHECK,
            "A coat of " + Mass.format(heaviest, p.units) + " is more than a person mixes",
            "By hand, up to "
                + Mass.format(p.workshop.handMixG(), p.units)
                + " gets evenly mixed in time. Mix it in two, and brush with two.",
            null,
            List.of());
      }
    } else if (p.batching != null && p.batches < p.batching.count()) {
      add(
          "batch.heavy",
          CHECK,
          "A batch of " + Mass.format(heaviest, p.units) + " is too large",
          PourFigures.reason(p.batching.reason()),
          null,
          List.of(asFewAsItTakes()));
    }
  }

  /** Up to here the first batch has to stand, above the base. */
  static double coveredMm(Planner p) {
    double top = p.box.belowMm() + p.box.masterMm().z();
    return Math.min(top + COVERED_MM, p.box.pourLineMm());
  }

  /** Where one batch ends on the master a line shows on every cast. */
  private void seam() {
    if (p.batches < 2 || p.parting != null || !p.poured()) {
      return;
    }
    double top = p.box.belowMm() + p.box.masterMm().z();
    double level = p.box.levelOf(p.firstShare() * p.box.rubberMm3());
    if (level >= coveredMm(p) - 1e-6) {
      return;
    }
    String fewer = String.join(", ", p.planned.fewer());
    add(
        "batch.seam",
        CHECK,
        "The first batch does not cover the master",
        "It stands "
            + mm(level)
            + " up the box, and the master "
            + mm(top)
            + ": where the next begins, a line shows on every cast. Pour it before the first has"
            + " gelled"
            + (fewer.isEmpty() ? "." : "; or in fewer: " + fewer + "."),
        new Place(0, 0, level),
        p.batching != null && p.choices.rubber().batches() != null && p.batching.count() < p.batches
            ? List.of(asFewAsItTakes())
            : List.of());
  }

  private void clock() {
    if (!p.figures.has("rubber.potLife") || !p.poured()) {
      return;
    }
    double pot = p.figures.value("rubber.potLife");
    Pace pace = p.workshop.mixing().pace();
    Bubbles bubbles = p.choices.rubber().bubbles();
    double minutes = p.figures.value("batch.minutes");
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
          CHECK,
          "This rubber is too fast for a batch",
          "Weighing, mixing and pouring take "
              + p.figures.get("batch.minutes").text()
              + "; of its pot life of "
              + p.figures.get("rubber.potLife").text()
              + " four fifths are safe. A slower grade, or a helper who weighs ahead.",
          null,
          fixes);
    }
    if (bubbles.vacuum() && pace.degasMin() > PUMP_SHARE * pot) {
      add(
          "batch.pump",
          CHECK,
          "The pump is too slow for this rubber",
          "It takes "
              + Amounts.minutes(pace.degasMin())
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
  private void late() {
    for (PlannedBatch b : p.planned.each()) {
      String latest = b.key() + ".latest";
      if (p.figures.has(latest)
          && p.figures.value(latest) < p.figures.value(b.key() + ".start") - 1e-9) {
        add(
            "batch.late",
            CHECK,
            "Batch " + b.number() + " comes after the one before has gelled",
            "It would have to begin by "
                + p.figures.get(latest).text()
                + ", and begins at "
                + p.figures.get(b.key() + ".start").text()
                + ": they meet in a line, and may come apart. Take a slower grade, or weigh it"
                + " ahead with a helper.",
            null,
            List.of());
        return;
      }
    }
  }

  private void vacuum() {
    if (!p.choices.rubber().bubbles().vacuum() || p.workshop.equipment().chamber() != null) {
      return;
    }
    add(
        "batch.chamber",
        CHECK,
        "The workshop says nothing of a vacuum chamber",
        "How much of it foams up at a time cannot be worked out without its size.",
        null,
        List.of(
            prices.fix(
                "Pour it high and thin instead",
                Edit.of("rubber.bubbles", Bubbles.THIN_POUR.name()))));
  }

  private void shallow() {
    if (!p.figures.has("pump.left")) {
      return;
    }
    double air = Vacuum.airKpa(p.workshop.air().altitudeM());
    double left = p.workshop.mixing().vacuum().absoluteKpa(air);
    if (left >= 0 && left <= DEEP_KPA) {
      return;
    }
    boolean impossible = left < 0;
    add(
        "batch.shallow",
        CHECK,
        impossible
            ? "No gauge shows " + p.workshop.mixing().vacuum().text() + " where the workshop lies"
            : "The pump leaves " + p.figures.get("pump.left").text() + " in the chamber",
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
    double degrees = p.workshop.roomC();
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
    double humidity = p.workshop.air().humidityPct();
    if (p.product.chemistry() == Chemistry.CONDENSATION && humidity < DRY_PCT) {
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
        p.product.chemistry() == Chemistry.URETHANE
            || p.cast != null && p.castingMaterial() == CastingMaterial.URETHANE;
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
    List<Scale> scales = p.workshop.mixing().scales();
    if (scales.isEmpty()) {
      return;
    }
    for (PlannedBatch batch : p.planned.each()) {
      for (String key : List.of(batch.base(), batch.hardener(), batch.additive())) {
        if (!key.isEmpty() && scales.stream().noneMatch(s -> s.weighs(p.figures.value(key)))) {
          scale(p.figures.get(key), scales);
          return;
        }
      }
    }
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
                + Mass.exact(finest.readG(), p.units)
                + " apart: the amount may be "
                + Math.round(100 * finest.readG() / amount.value())
                + " % off. Mix fewer, larger batches, or weigh it on a finer scale."
            : "None carries it: weigh it in two goes.",
        null,
        small
                && p.choices.rubber().batches() != null
                && p.batching != null
                && p.batching.count() < p.batches
            ? List.of(asFewAsItTakes())
            : List.of());
  }

  private String mm(double mm) {
    return Length.format(mm, p.units);
  }
}
