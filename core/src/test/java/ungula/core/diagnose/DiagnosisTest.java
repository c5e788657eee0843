package ungula.core.diagnose;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.diagnose.Diagnosis.Ranked;

/** The twelve stories, each also with a fact taken away or turned round. */
public class DiagnosisTest {

  private static Map<String, Object> facts(Object... keyed) {
    Map<String, Object> all = new HashMap<>();
    for (int i = 0; i < keyed.length; i += 2) {
      all.put((String) keyed[i], keyed[i + 1]);
    }
    return all;
  }

  private static Diagnosis of(Seen seen, Map<String, Object> facts) {
    return Diagnosis.of(seen, new Facts(facts, Map.of()));
  }

  private static Ranked cause(Diagnosis d, Cause cause) {
    return d.causes().stream().filter(r -> r.cause() == cause).findFirst().orElseThrow();
  }

  private static Cause first(Diagnosis d) {
    return d.causes().get(0).cause();
  }

  /**
   * What is seen, what is known, the cause; then the fact that tells most, and the same turned
   * round.
   */
  @DataProvider
  public Object[][] stories() {
    return new Object[][] {
      {
        Seen.TACKY_AT_MASTER,
        facts(
            "witness", "HARD",
            "masterMaterial", "printed resin",
            "preparation", "washed, not cured after",
            "patch", "none",
            "chemistry", "ADDITION"),
        Cause.INHIBITED,
        "witness",
        "SOFT"
      },
      {
        Seen.SOFT,
        facts("witness", "SOFT", "baseG", 1206, "hardenerG", 98, "ratio", "100 : 10"),
        Cause.SHORT_OF_HARDENER,
        "hardenerG",
        120.6
      },
      {
        Seen.STREAKS,
        facts("witness", "HARD", "stirredByHandG", 3100, "secondCup", false),
        Cause.NOT_MIXED,
        "secondCup",
        true
      },
      {
        Seen.SOFT,
        facts("baseG", 1000, "hardenerG", 99.5, "ratio", "100 : 10", "roomC", 12),
        Cause.TOO_COLD,
        "roomC",
        23
      },
      {Seen.HOLES_SAME_PLACE, facts("trapMl", 1.8, "vents", 0), Cause.AIR_TRAPPED, "trapMl", 0},
      {
        Seen.PIMPLES,
        facts("castAtKPa", 400, "degassed", false, "curedAtKPa", 0),
        Cause.BUBBLES_IN_RUBBER,
        "castAtKPa",
        0
      },
      {Seen.TORN, facts("webCut", false, "elongationPct", 300), Cause.WEB_NOT_CUT, "webCut", true},
      {
        Seen.STEP_AND_FLASH,
        facts("bands", "doubled, to be safe", "keys", 2),
        Cause.TOO_TIGHT,
        "bands",
        "just closing"
      },
      {
        Seen.PEELING,
        facts("hoursBetweenCoats", 30, "massaged", false),
        Cause.WINDOW_MISSED,
        "hoursBetweenCoats",
        2
      },
      {
        Seen.CAST_FOAMED,
        facts("filledWithWater", true, "castMaterial", "urethane"),
        Cause.MOULD_WET,
        "filledWithWater",
        false
      },
      {
        Seen.CAST_BENT,
        facts("demouldMin", 20, "sheetDemouldMin", 35),
        Cause.TOO_EARLY,
        "demouldMin",
        40
      },
      {Seen.STUCK, facts("releaseSkipped", true), Cause.RUBBER_BONDED, "releaseSkipped", false},
    };
  }

  @Test(dataProvider = "stories")
  public void theCauseThatTheStoryTellsIsFirst(
      Seen seen, Map<String, Object> facts, Cause cause, String fact, Object turned) {
    Diagnosis d = of(seen, facts);
    assertEquals(first(d), cause, d.causes().toString());
    Ranked ranked = cause(d, cause);
    assertTrue(ranked.score() > d.causes().get(1).score(), "clearly: " + d.causes());
    assertFalse(ranked.forIt().isEmpty());
    assertTrue(d.questions().size() <= 4);
  }

  /** Without what tells most it is less likely, and that is asked for. */
  @Test(dataProvider = "stories")
  public void whatIsNotKnownIsAskedFor(
      Seen seen, Map<String, Object> facts, Cause cause, String fact, Object turned) {
    Map<String, Object> less = new HashMap<>(facts);
    less.remove(fact);
    Diagnosis d = of(seen, less);
    assertTrue(cause(d, cause).score() < cause(of(seen, facts), cause).score(), fact);
    assertTrue(
        d.questions().stream().map(Question::fact).anyMatch(fact::equals),
        fact + " is not among " + d.questions());
    assertTrue(d.questions().stream().allMatch(q -> q.text().endsWith("?")));
    // answered it is as if it had been recorded
    assertEquals(
        Diagnosis.of(seen, new Facts(less, Map.of(fact, facts.get(fact)))), of(seen, facts));
  }

  /** Turned round, what told for it tells against it, or no more for it; it is not first by it. */
  @Test(dataProvider = "stories")
  public void whatIsTurnedRoundSpeaksAgainst(
      Seen seen, Map<String, Object> facts, Cause cause, String fact, Object turned) {
    Map<String, Object> other = new HashMap<>(facts);
    other.put(fact, turned);
    Diagnosis d = of(seen, other);
    Ranked then = cause(d, cause);
    assertTrue(then.score() <= cause(of(seen, facts), cause).score() - 4, then.toString());
    assertFalse(then.against().isEmpty(), then.toString());
  }

  /** In the story of the seam: first what closed it too tight, then its keys. */
  @Test
  public void theSecondCauseIsNamedAsWell() {
    Diagnosis d = of(Seen.STEP_AND_FLASH, facts("bands", "doubled", "keys", 2));
    assertEquals(d.causes().get(1).cause(), Cause.TOO_FEW_KEYS);
    assertEquals(
        first(of(Seen.STEP_AND_FLASH, facts("bands", "just closing", "keys", 2))),
        Cause.TOO_FEW_KEYS);
  }

  /** The sum is what is shown. */
  @Test
  public void theScoreIsTheSumOfWhatIsSaid() {
    for (Object[] story : stories()) {
      @SuppressWarnings("unchecked")
      Map<String, Object> facts = (Map<String, Object>) story[1];
      for (Ranked r : of((Seen) story[0], facts).causes()) {
        double sum = r.begins();
        for (List<String> reasons : List.of(r.forIt(), r.against())) {
          for (String reason : reasons) {
            String weight = reason.replaceAll(".*\\(([+−][\\d.]+)\\)", "$1");
            sum += Double.parseDouble(weight.replace('−', '-'));
          }
        }
        assertEquals(r.score(), sum, 1e-9, r.toString());
      }
    }
  }

  /** With nothing recorded it still ranks, and asks. */
  @Test
  public void nothingRecordedIsAnsweredByQuestionsAlone() {
    for (Seen seen : Seen.values()) {
      Diagnosis d = of(seen, Map.of());
      assertTrue(d.causes().size() >= 2, seen + " has one cause only");
      assertTrue(d.causes().stream().allMatch(r -> r.forIt().isEmpty() && r.against().isEmpty()));
      assertTrue(d.questions().size() <= 4);
      assertTrue(d.questions().size() >= 1 || seen == Seen.CAST_SMALL, seen + " asks nothing");
      for (Ranked r : d.causes()) {
        assertNotNull(r.cause().now());
        assertTrue(r.cause().next().endsWith("."), r.cause().name());
      }
    }
  }

  @Test
  public void ratiosAreReadAsSheetsWriteThem() {
    for (Object ratio : new Object[] {"100 : 10 by weight", "10 : 1", "10 %", 0.1, "0.1"}) {
      Diagnosis d = of(Seen.SOFT, facts("baseG", 1206, "hardenerG", 98, "ratio", ratio));
      assertEquals(first(d), Cause.SHORT_OF_HARDENER, ratio.toString());
      Diagnosis right = of(Seen.SOFT, facts("baseG", 1000, "hardenerG", 100, "ratio", ratio));
      assertFalse(cause(right, Cause.SHORT_OF_HARDENER).against().isEmpty(), ratio.toString());
    }
    // of what is not understood nothing is said
    Diagnosis d = of(Seen.SOFT, facts("baseG", 1, "hardenerG", 1, "ratio", "some"));
    assertTrue(cause(d, Cause.SHORT_OF_HARDENER).forIt().isEmpty());
  }

  /** Every rule speaks of a cause that what is seen can have, and every fact can be asked for. */
  @Test
  public void theRulesHangTogether() {
    for (Seen seen : Seen.values()) {
      assertNotNull(Rules.ALL.likely(seen), seen.name());
    }
    for (Cause cause : Cause.values()) {
      boolean possible = false;
      for (Seen seen : Seen.values()) {
        possible |= Rules.ALL.likely(seen).containsKey(cause);
      }
      assertTrue(possible, cause + " is behind nothing");
    }
  }
}
