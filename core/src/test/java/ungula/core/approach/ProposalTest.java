package ungula.core.approach;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.approach.Approach.Worth;
import ungula.core.approach.Ranking.Ranked;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Rotation;
import ungula.core.mould.MouldKind;
import ungula.core.offer.RubberOffers.Candidate;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;

public class ProposalTest {

  private static final Choices FRESH = Choices.fresh(Units.METRIC);
  private static final Edit CUT = Edit.of("mould.kind", "CUT");
  private static final Approach HOLLOW = approach(MouldKind.OPEN, true, "");
  private static final Approach STUCK = approach(MouldKind.OPEN, false, "It would tear.");
  private static final Approach WORKS = approach(MouldKind.CUT, false, "");
  private static final List<Candidate> RUBBERS =
      List.of(rubber("firm", false, 120), rubber("best", true, 100), rubber("owned", true, 75));

  private static Approach approach(MouldKind kind, boolean hollow, String reason) {
    return new Approach(
        kind,
        kind.text(),
        Rotation.NONE,
        false,
        hollow,
        reason,
        List.of(Edit.of("mould.kind", kind.name())),
        Map.of(),
        new Worth(0, 0, 0, 0),
        List.of(),
        1);
  }

  private static Candidate rubber(String id, boolean fits, double score) {
    return new Candidate(id, id, fits, "", null, score);
  }

  private static Optional<Proposal> of(
      Choices choices, List<Approach> all, Map<String, Double> usable) {
    return Proposal.of(
        choices,
        new Ranked(all, "", ""),
        edits -> {
          assertEquals(edits, List.of(CUT), "rubbers are weighed for the mould that is proposed");
          return RUBBERS;
        },
        usable);
  }

  @Test
  public void theBestSolidMouldThatWorksIsProposed() {
    Proposal p = of(FRESH, List.of(HOLLOW, WORKS, STUCK), Map.of()).orElseThrow();
    assertEquals(p.approach(), WORKS);
    assertEquals(p.edits(), List.of(CUT, Edit.of("rubber.product", "best")));
    assertFalse(p.owned());
    assertTrue(of(FRESH, List.of(HOLLOW, STUCK), Map.of()).isEmpty());
  }

  /** So that nobody takes it for an assumption afterwards. */
  @Test
  public void theMouldThatStandsBecauseItIsAssumedIsChosenToo() {
    Approach now =
        new Approach(
            MouldKind.CUT,
            "cut mould",
            Rotation.NONE,
            true,
            false,
            "",
            List.of(),
            Map.of(),
            new Worth(0, 0, 0, 0),
            List.of(),
            1);
    assertEquals(
        of(FRESH, List.of(now), Map.of()).orElseThrow().edits(),
        List.of(CUT, Edit.of("rubber.product", "best")));
  }

  /** At 25 points less it is still taken. */
  @Test
  public void whatIsOnTheShelfComesBeforeWhatHasToBeBought() {
    Proposal p = of(FRESH, List.of(WORKS), Map.of("owned", 500.0, "firm", 900.0)).orElseThrow();
    assertEquals(p.rubber().orElseThrow().product(), "owned");
    assertTrue(p.owned());
    assertEquals(p.edits().get(1), Edit.of("rubber.product", "owned"));
  }

  @Test
  public void whatIsMuchBetterIsWorthBuying() {
    List<Candidate> poor = List.of(rubber("best", true, 100), rubber("owned", true, 74.9));
    Proposal p =
        Proposal.of(FRESH, new Ranked(List.of(WORKS), "", ""), e -> poor, Map.of("owned", 500.0))
            .orElseThrow();
    assertEquals(p.rubber().orElseThrow().product(), "best");
    assertFalse(p.owned());
  }

  @Test
  public void aRubberThatIsChosenStays() {
    Choices chosen = ChoiceWords.edit(FRESH, List.of(Edit.of("rubber.product", "firm")), null);
    Proposal p = of(chosen, List.of(WORKS), Map.of("owned", 500.0)).orElseThrow();
    assertEquals(p.rubber().orElseThrow().product(), "firm");
    assertEquals(p.edits(), List.of(CUT));
  }

  @Test
  public void whereNoRubberDoesTheMouldIsProposedAllTheSame() {
    Proposal p =
        Proposal.of(
                FRESH,
                new Ranked(List.of(WORKS), "", ""),
                e -> List.of(rubber("firm", false, 10)),
                Map.of("firm", 500.0))
            .orElseThrow();
    assertTrue(p.rubber().isEmpty());
    assertEquals(p.edits(), List.of(CUT));
  }
}
