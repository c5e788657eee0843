package ungula.server.run;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.run.Bench;
import ungula.core.run.Entry;
import ungula.server.device.Devices;
import ungula.server.web.Problem;

/** What people ask for at the bench. */
@Component
class RunActs {

  private static final int MOST_WHO = 20;

  /** What is delivered later than this has a clock that is wrong. */
  private static final Duration LATEST = Duration.ofDays(7);

  /** What is delivered no later than this is done now. */
  private static final Duration NOW = Duration.ofSeconds(5);

  private final Runs runs;
  private final RunReadings readings;
  private final RunPlans plans;
  private final RunLots lots;
  private final Devices devices;

  RunActs(Runs runs, RunReadings readings, RunPlans plans, RunLots lots, Devices devices) {
    this.runs = runs;
    this.readings = readings;
    this.plans = plans;
    this.lots = lots;
    this.devices = devices;
  }

  /**
   * Does what somebody asks.
   *
   * @throws Problem when it cannot be, saying why; nothing is written down then
   */
  void act(String runId, Act act) {
    Going g = runs.find(runId);
    if (act.id() == null || !act.id().matches("[\\w-]{1,36}")) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "No id",
          "What is done has an id of 1 to 36 letters, digits, - and _, so that it is kept once.");
    }
    if (g.ended != null && act.kind() != Act.Kind.CORRECT) {
      throw new Problem(
          HttpStatus.CONFLICT, "Ended", "This mould is ended. Take it up again, then go on.");
    }
    Duration ago = Duration.ofMillis(Math.max(0, act.agoMs()));
    Instant at = g.now().minus(ago.compareTo(LATEST) > 0 ? Duration.ZERO : ago);
    if (act.kind() == Act.Kind.TARE && ago.compareTo(NOW) > 0) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Too late",
          "The scale was to be set to zero a while ago, and something else may stand on it now."
              + " Set it to zero again.");
    }
    boolean here = g.rehearsal == null && g.ended == null && ago.compareTo(NOW) < 0;
    if (here && act.kind() == Act.Kind.SCALE && act.key() != null && !act.key().isEmpty()) {
      devices.take(act.key());
    }
    String who = act.who() == null ? "" : act.who().strip();
    if (act.kind() != Act.Kind.TARE || tared(g)) {
      try {
        Runs.Doing doing =
            switch (act.kind()) {
              case LOT -> lots.pick(g, act, at);
              case SHARE -> runs.share(g, act.key(), at);
              case REPLAN -> plans.goOn(g, at);
              default -> b -> to(b, act, at);
            };
        runs.keep(g, act.id(), who.substring(0, Math.min(MOST_WHO, who.length())), doing);
      } catch (Bench.Refused no) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not now", no.getMessage());
      }
    }
    if (here) {
      runs.toScale(runId);
    }
    if (here && act.kind() == Act.Kind.TARE) {
      readings.zeroLost(runId, at, "");
    }
    runs.changed();
  }

  private static boolean tared(Going g) {
    Optional<Boolean> said = g.instruments.tare();
    if (said.isEmpty()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "No scale",
          "The scale is not heard. Set it to zero by its own key, and type the grams.");
    }
    if (!said.get()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "Still moving",
          "The scale still moves. Wait until it is still, then set it to zero.");
    }
    return true;
  }

  private static void to(Bench b, Act a, Instant at) throws Bench.Refused {
    String key = a.key() == null ? "" : a.key();
    boolean yes = Boolean.TRUE.equals(a.yes());
    switch (a.kind()) {
      case TICK -> b.tick(at, key);
      case GATE -> b.gate(at, key, !yes);
      case VERDICT -> b.judge(at, key, yes);
      case GRAMS -> {
        double grams = Mass.parseG(typed(a), b.plan().units());
        if (a.part() == null) {
          b.typed(at, grams);
        } else {
          int which = a.which() == null ? 0 : a.which();
          b.typed(at, key, new Entry.Ingredient(a.part(), which), grams);
        }
      }
      case TARE -> b.tared(at);
      case LEVEL -> {
        double mm = Length.parseMm(typed(a), b.plan().units());
        if (key.isEmpty()) {
          b.level(at, mm);
        } else {
          b.level(at, key, mm);
        }
      }
      case FOAM -> b.foam(at, a.foam());
      case STILL_BASE -> b.stillBase(at);
      case START_OVER -> b.startOver(at, key);
      case LEAVE_OUT -> b.leaveOut(at, key, a.why());
      case RESULT -> {
        Double grams = typed(a).isBlank() ? null : (Double) Mass.parseG(typed(a), b.plan().units());
        b.came(at, key, a.result(), grams, a.why());
      }
      case CORRECT -> b.correct(at, a.number() == null ? 0 : a.number(), a.why());
      case LOT, SHARE, REPLAN, SCALE -> {
        // of packs, plans and other moulds more is known here; whose scale it is is nothing that
        // happened
      }
    }
  }

  private static String typed(Act a) {
    return a.value() == null ? "" : a.value();
  }
}
