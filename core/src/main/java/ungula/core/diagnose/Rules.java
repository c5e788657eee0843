package ungula.core.diagnose;

import static ungula.core.diagnose.Cause.*;
import static ungula.core.diagnose.Seen.*;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What can be behind what is seen, how likely it is before anything is known, and what each fact
 * says of it. Data alone: {@link Diagnosis} adds it up.
 */
final class Rules {

  /** A ratio within this is right, a share. */
  private static final double RIGHT = 0.015;

  /** A ratio that is further off is the reason by itself, a share. */
  private static final double FAR = 0.05;

  private static final double COLD_C = 18;
  private static final double WARM_C = 20;

  /** By hand more than this is not stirred evenly, g. */
  private static final double BY_HAND_G = 2500;

  /** Air that is worth a hole, mL. */
  private static final double HOLE_ML = 0.1;

  /** Coats bond no longer after so many hours, and do so before. */
  private static final double LATE_H = 8;

  private static final double IN_TIME_H = 4;

  private static final double STRETCHES_LITTLE_PCT = 400;
  private static final double STRETCHES_PCT = 600;

  private final Map<Seen, Map<Cause, Double>> likely = new EnumMap<>(Seen.class);
  private final List<Rule> rules = new ArrayList<>();

  static final Rules ALL = new Rules();

  private Rules() {
    before();
    rubber();
    air();
    opening();
    casts();
  }

  /** How likely each is before anything is known of the case. */
  Map<Cause, Double> likely(Seen seen) {
    return likely.get(seen);
  }

  List<Rule> of(Seen seen) {
    return rules.stream().filter(r -> r.seen().contains(seen)).toList();
  }

  private void can(Seen seen, Object... causes) {
    Map<Cause, Double> all = new EnumMap<>(Cause.class);
    for (int i = 0; i < causes.length; i += 2) {
      all.put((Cause) causes[i], ((Number) causes[i + 1]).doubleValue());
    }
    likely.put(seen, all);
  }

  private void before() {
    can(TACKY_AT_MASTER, INHIBITED, 3, NOT_MIXED, 0, SHORT_OF_HARDENER, 0, OLD_STOCK, 0);
    can(
        TACKY_ALL,
        SHORT_OF_HARDENER,
        2,
        NOT_MIXED,
        1,
        TOO_COLD,
        1,
        OLD_STOCK,
        1,
        TOO_EARLY,
        1,
        TOO_MUCH_HARDENER,
        0,
        INHIBITED,
        0);
    can(STREAKS, NOT_MIXED, 3, SHORT_OF_HARDENER, 0, OLD_STOCK, 1);
    can(
        SOFT,
        TOO_COLD,
        2,
        SHORT_OF_HARDENER,
        2,
        TOO_EARLY,
        1,
        OLD_STOCK,
        1,
        THICK_CONDENSATION,
        0,
        TOO_MUCH_HARDENER,
        0);
    can(HOLES_SAME_PLACE, AIR_TRAPPED, 3, GELLED_EARLY, 0, POURED_FAST, 0);
    can(HOLES_ANYWHERE, NOT_DEGASSED, 2, POURED_FAST, 1, MOULD_WET, 0);
    can(PIMPLES, BUBBLES_IN_RUBBER, 2, MASTER_HAD_THEM, 1);
    can(TORN, WEB_NOT_CUT, 1, LOCKED, 1, TOO_EARLY, 1, THIN_WALL, 1);
    can(STEP_AND_FLASH, TOO_FEW_KEYS, 2, TOO_TIGHT, 1, MOVED_BETWEEN_POURS, 1);
    can(PEELING, WINDOW_MISSED, 2, OTHER_CHEMISTRY, 1, DUSTY, 1);
    can(STUCK, RUBBER_BONDED, 2, KEYS_LOCK, 1);
    can(SHORT_SHOT, GELLED_EARLY, 2, AIR_TRAPPED, 1, MIXED_TOO_LITTLE, 1);
    can(
        CAST_TACKY,
        MOULD_INHIBITS,
        2,
        SHORT_OF_HARDENER,
        1,
        MOULD_WET,
        1,
        TOO_COLD,
        1,
        TOO_EARLY,
        1);
    can(CAST_BENT, TOO_EARLY, 2, STORED_BENT, 1);
    can(CAST_FOAMED, MOULD_WET, 2, OLD_ISOCYANATE, 2, DAMP_AIR, 1);
    can(CAST_SMALL, SHRINKAGE, 3, MOULD_SHRUNK, 1);
    can(CAST_POROUS, NO_PRESSURE, 1, POURED_FAST, 1, OLD_ISOCYANATE, 1, MOULD_WET, 1);
  }

  private void rule(
      Cause cause,
      Set<Seen> seen,
      String fact,
      Function<Facts, Optional<Boolean>> holds,
      double weight,
      String reason) {
    rules.add(new Rule(cause, seen, fact, holds, weight, reason));
  }

  private static Function<Facts, Optional<Boolean>> number(String fact, Predicate<Double> is) {
    return f -> f.number(fact).map(is::test);
  }

  private static Function<Facts, Optional<Boolean>> yes(String fact) {
    return f -> f.truth(fact);
  }

  private static Function<Facts, Optional<Boolean>> no(String fact) {
    return f -> f.truth(fact).map(t -> !t);
  }

  private static Function<Facts, Optional<Boolean>> says(String fact, String words) {
    return f -> f.says(fact, words);
  }

  private static Function<Facts, Optional<Boolean>> share(Predicate<Double> is) {
    return f -> f.hardenerShare().map(is::test);
  }

  private static Function<Facts, Optional<Boolean>> inTheMould(Predicate<Double> is) {
    return f -> f.demouldShare().map(is::test);
  }

  /** What keeps rubber from curing. */
  private void rubber() {
    Set<Seen> tacky = Set.of(TACKY_AT_MASTER, TACKY_ALL);
    Set<Seen> uncured = Set.of(TACKY_AT_MASTER, TACKY_ALL, STREAKS, SOFT, CAST_TACKY);
    rule(
        INHIBITED,
        tacky,
        "witness",
        says("witness", "hard"),
        3,
        "the witness cup is hard: away from the master it cured");
    rule(
        INHIBITED,
        tacky,
        "witness",
        says("witness", "soft"),
        -4,
        "the witness cup is soft as well");
    rule(INHIBITED, tacky, "patch", no("patch"), 2, "no patch was tried on the master");
    rule(INHIBITED, tacky, "patch", yes("patch"), -5, "a patch cured on the master");
    rule(
        INHIBITED,
        tacky,
        "patch",
        says("patch", "tacky|soft|failed"),
        4,
        "a patch did not cure on the master");
    rule(
        INHIBITED,
        tacky,
        "masterMaterial",
        says("masterMaterial", "print|resin|sulphur|clay|rubber|latex|wood"),
        2,
        "what the master is of can keep rubber from curing");
    rule(
        INHIBITED,
        tacky,
        "masterMaterial",
        says("masterMaterial", "glass|metal|steel|wax|glazed"),
        -2,
        "what the master is of keeps no rubber from curing");
    rule(
        INHIBITED,
        tacky,
        "chemistry",
        says("chemistry", "addition"),
        1,
        "addition rubber is easily kept from curing");
    rule(
        INHIBITED,
        tacky,
        "chemistry",
        says("chemistry", "condensation"),
        -2,
        "condensation rubber is hardly kept from curing");
    rule(
        INHIBITED,
        tacky,
        "preparation",
        says("preparation", "seal|varnish|shellac|acrylic"),
        -1,
        "the master was sealed");
    for (Cause other : List.of(SHORT_OF_HARDENER, TOO_COLD, OLD_STOCK, TOO_MUCH_HARDENER)) {
      rule(
          other,
          uncured,
          "witness",
          says("witness", "hard"),
          -3,
          "the witness cup of the same batch is hard");
      rule(
          other,
          uncured,
          "witness",
          says("witness", "soft"),
          1,
          "the witness cup of the same batch is soft as well");
    }
    rule(
        SHORT_OF_HARDENER,
        uncured,
        "hardenerG",
        share(s -> s < 1 - FAR),
        5,
        "much less hardener was weighed than the ratio asks for");
    rule(
        SHORT_OF_HARDENER,
        uncured,
        "hardenerG",
        share(s -> s >= 1 - FAR && s < 1 - RIGHT),
        2,
        "a little less hardener was weighed than the ratio asks for");
    rule(
        SHORT_OF_HARDENER,
        uncured,
        "hardenerG",
        share(s -> s >= 1 - RIGHT),
        -4,
        "enough hardener was weighed");
    rule(
        TOO_MUCH_HARDENER,
        uncured,
        "hardenerG",
        share(s -> s > 1 + FAR),
        4,
        "much more hardener was weighed than the ratio asks for");
    rule(
        TOO_COLD,
        uncured,
        "roomC",
        number("roomC", c -> c < COLD_C),
        4,
        "the room was colder than 18 °C");
    rule(
        TOO_COLD,
        uncured,
        "roomC",
        number("roomC", c -> c >= WARM_C),
        -3,
        "the room was warm enough");
    mixing(uncured);
    rule(
        TOO_EARLY,
        Set.of(TACKY_ALL, SOFT, CAST_TACKY, TORN),
        "demouldMin",
        inTheMould(s -> s < 1),
        4,
        "it was taken out before the sheet's time");
    rule(
        TOO_EARLY,
        Set.of(TACKY_ALL, SOFT, CAST_TACKY, TORN, CAST_BENT),
        "demouldMin",
        inTheMould(s -> s >= 1),
        -4,
        "it had the sheet's time");
    rule(
        TOO_EARLY,
        Set.of(CAST_BENT),
        "demouldMin",
        inTheMould(s -> s < 1),
        4,
        "it was taken out before the sheet's time");
    rule(
        THICK_CONDENSATION,
        Set.of(SOFT),
        "chemistry",
        says("chemistry", "condensation"),
        2,
        "condensation rubber cures from outside");
  }

  private void mixing(Set<Seen> uncured) {
    rule(
        NOT_MIXED,
        uncured,
        "stirredByHandG",
        number("stirredByHandG", g -> g > BY_HAND_G),
        3,
        "more than 2.5 kg was stirred by hand in one pot");
    rule(
        NOT_MIXED,
        uncured,
        "stirredByHandG",
        number("stirredByHandG", g -> g <= BY_HAND_G / 2),
        -1,
        "the pot was small enough to stir");
    rule(NOT_MIXED, uncured, "secondCup", no("secondCup"), 2, "there was no second cup");
    rule(
        NOT_MIXED,
        uncured,
        "secondCup",
        yes("secondCup"),
        -3,
        "it was stirred again in a second cup");
    rule(
        NOT_MIXED,
        Set.of(STREAKS),
        "witness",
        says("witness", "hard"),
        1,
        "part of the batch is hard: the ratio was right");
  }

  /** Holes and pimples. */
  private void air() {
    Set<Seen> trapped = Set.of(HOLES_SAME_PLACE, SHORT_SHOT);
    rule(
        AIR_TRAPPED,
        trapped,
        "trapMl",
        number("trapMl", v -> v >= HOLE_ML),
        4,
        "air stays at that place, as computed");
    rule(
        AIR_TRAPPED,
        trapped,
        "trapMl",
        number("trapMl", v -> v < HOLE_ML),
        -4,
        "no air stays at that place, as computed");
    rule(AIR_TRAPPED, trapped, "vents", number("vents", v -> v == 0), 1, "there is no vent");
    rule(AIR_TRAPPED, trapped, "vents", number("vents", v -> v > 0), -2, "there are vents");
    rule(
        NOT_DEGASSED,
        Set.of(HOLES_ANYWHERE),
        "degassed",
        no("degassed"),
        2,
        "the mix was not degassed");
    rule(
        NOT_DEGASSED,
        Set.of(HOLES_ANYWHERE),
        "degassed",
        yes("degassed"),
        -4,
        "the mix was degassed");
    Set<Seen> pimples = Set.of(PIMPLES);
    rule(
        BUBBLES_IN_RUBBER,
        pimples,
        "castAtKPa",
        number("castAtKPa", p -> p > 0),
        3,
        "it was cast under pressure");
    rule(
        BUBBLES_IN_RUBBER,
        pimples,
        "castAtKPa",
        number("castAtKPa", p -> p <= 0),
        -4,
        "it was cast under no pressure");
    rule(BUBBLES_IN_RUBBER, pimples, "degassed", no("degassed"), 2, "the rubber was not degassed");
    rule(BUBBLES_IN_RUBBER, pimples, "degassed", yes("degassed"), -2, "the rubber was degassed");
    rule(
        BUBBLES_IN_RUBBER,
        pimples,
        "curedAtKPa",
        f -> f.number("curedAtKPa").flatMap(c -> f.number("castAtKPa").map(p -> c >= p && p > 0)),
        -5,
        "the rubber cured at the same pressure");
    rule(
        BUBBLES_IN_RUBBER,
        pimples,
        "curedAtKPa",
        number("curedAtKPa", c -> c <= 0),
        1,
        "the rubber cured under no pressure");
  }

  /** Tears, seams, layers, and what does not part. */
  private void opening() {
    Set<Seen> torn = Set.of(TORN);
    rule(WEB_NOT_CUT, torn, "webCut", no("webCut"), 4, "the web was not cut");
    rule(WEB_NOT_CUT, torn, "webCut", yes("webCut"), -4, "the web was cut");
    for (Cause stretched : List.of(WEB_NOT_CUT, LOCKED)) {
      rule(
          stretched,
          torn,
          "elongationPct",
          number("elongationPct", e -> e < STRETCHES_LITTLE_PCT),
          2,
          "the rubber stretches little");
      rule(
          stretched,
          torn,
          "elongationPct",
          number("elongationPct", e -> e >= STRETCHES_PCT),
          -1,
          "the rubber stretches far");
    }
    Set<Seen> flash = Set.of(STEP_AND_FLASH);
    rule(
        TOO_TIGHT,
        flash,
        "bands",
        f ->
            f.number("bands")
                .map(n -> n > 2)
                .or(() -> f.says("bands", "doubl|tight|many|strong|clamp|safe|twice|two each")),
        5,
        "it was closed with more than just holds it");
    rule(
        TOO_TIGHT,
        flash,
        "bands",
        f ->
            f.number("bands")
                .map(n -> n <= 2)
                .or(() -> f.says("bands", "just|single|loose|one|few")),
        -2,
        "its bands just close it");
    rule(
        TOO_FEW_KEYS,
        flash,
        "keys",
        f -> f.number("keys").map(k -> k < 4).or(() -> f.says("keys", "two|small|few|none|one")),
        2,
        "it has few keys, or small ones");
    rule(
        TOO_FEW_KEYS,
        flash,
        "keys",
        f -> f.number("keys").map(k -> k >= 4).or(() -> f.says("keys", "four|many|large|deep")),
        -3,
        "it has keys enough");
    Set<Seen> peels = Set.of(PEELING);
    rule(
        WINDOW_MISSED,
        peels,
        "hoursBetweenCoats",
        number("hoursBetweenCoats", h -> h > LATE_H),
        4,
        "the next coat came after more hours than it bonds");
    rule(
        WINDOW_MISSED,
        peels,
        "hoursBetweenCoats",
        number("hoursBetweenCoats", h -> h <= IN_TIME_H),
        -4,
        "the next coat came in time");
    rule(WINDOW_MISSED, peels, "massaged", no("massaged"), 1, "nothing was brushed in between");
    rule(WINDOW_MISSED, peels, "massaged", yes("massaged"), -1, "some was rubbed in between");
    Set<Seen> stuck = Set.of(STUCK);
    rule(
        RUBBER_BONDED,
        stuck,
        "releaseSkipped",
        yes("releaseSkipped"),
        4,
        "release on the first half was skipped");
    rule(
        RUBBER_BONDED,
        stuck,
        "releaseSkipped",
        no("releaseSkipped"),
        -4,
        "the first half was released");
  }

  /** What is wrong with a cast. */
  private void casts() {
    Set<Seen> wet = Set.of(CAST_FOAMED, CAST_TACKY, CAST_POROUS, HOLES_ANYWHERE);
    rule(
        MOULD_WET,
        wet,
        "filledWithWater",
        yes("filledWithWater"),
        4,
        "the mould was filled with water before");
    rule(MOULD_WET, wet, "filledWithWater", no("filledWithWater"), -3, "no water was in the mould");
    for (Cause water : List.of(MOULD_WET, OLD_ISOCYANATE, DAMP_AIR)) {
      rule(
          water,
          Set.of(CAST_FOAMED),
          "castMaterial",
          says("castMaterial", "urethan|foam"),
          1,
          "urethane foams with water");
    }
    rule(
        MOULD_INHIBITS,
        Set.of(CAST_TACKY),
        "chemistry",
        says("chemistry", "condensation"),
        2,
        "condensation rubber breathes out what keeps resin soft");
    rule(
        MOULD_INHIBITS,
        Set.of(CAST_TACKY),
        "chemistry",
        says("chemistry", "addition"),
        -2,
        "addition rubber breathes nothing out");
    rule(
        MOULD_SHRUNK,
        Set.of(CAST_SMALL),
        "chemistry",
        says("chemistry", "condensation"),
        3,
        "condensation rubber goes on shrinking");
    rule(
        NO_PRESSURE,
        Set.of(CAST_POROUS),
        "castAtKPa",
        number("castAtKPa", p -> p <= 0),
        2,
        "it was cast under no pressure");
    rule(
        NO_PRESSURE,
        Set.of(CAST_POROUS),
        "castAtKPa",
        number("castAtKPa", p -> p > 0),
        -4,
        "it was cast under pressure");
  }
}
