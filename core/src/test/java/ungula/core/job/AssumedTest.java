package ungula.core.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.days.Mondays;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** What a plan rests on that nobody has said. */
public class AssumedTest {

  private static final Workshop SAID =
      Workshop.DEFAULT.edited(List.of(Edit.of("roomC", "21 °C")), Mondays.MORNING);

  private static Choices choices(String... edits) {
    Choices c = Choices.fresh(Units.METRIC);
    c = ChoiceWords.edit(c, List.of(Edit.of("master.source", "MEASURED")), null);
    for (int i = 0; i < edits.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(edits[i], edits[i + 1])), null);
    }
    return c;
  }

  private static List<String> assumed(Workshop shop, String... edits) {
    return JobPlan.of(choices(edits), Blocks.measured(80, 55, 42), null, shop).assumed().stream()
        .map(Assumed::text)
        .toList();
  }

  @Test
  public void aFreshJobRestsOnWhatIsUsual() {
    assertEquals(
        assumed(Workshop.DEFAULT),
        List.of(
            "open mould",
            "12 mm round the sides",
            "10 mm over the top",
            "urethane resin casts",
            "21 °C"));
  }

  @Test
  public void whatIsSaidIsNoLongerAssumedThoughItIsTheSame() {
    assertEquals(
        assumed(SAID, "mould.kind", "OPEN", "mould.sidesMm", "12 mm"),
        List.of("10 mm over the top", "urethane resin casts"));
  }

  @DataProvider
  public Object[][] units() {
    return new Object[][] {{"METRIC"}, {"INCH"}};
  }

  /** Confirmed it is what it was, also where what is shown is rounded. */
  @Test(dataProvider = "units")
  public void eachConfirmsItself(String units) {
    Choices c = choices("units.display", units);
    MasterFacts block = Blocks.measured(80, 55, 42);
    for (Assumed a : JobPlan.of(c, block, null, SAID).assumed()) {
      Choices confirmed = ChoiceWords.edit(c, List.of(a.confirm()), null);
      JobPlan plan = JobPlan.of(confirmed, block, null, SAID);
      assertFalse(plan.assumed().contains(a), a.text());
      assertEquals(plan.figures(), JobPlan.of(c, block, null, SAID).figures(), a.text());
    }
  }

  @Test
  public void aSkinHasNoWallsRoundItAndNothingIsAssumedOfNothing() {
    assertFalse(assumed(SAID, "mould.kind", "SKIN").contains("12 mm round the sides"));
    assertTrue(JobPlan.of(choices(), null, null, Workshop.DEFAULT).assumed().isEmpty());
  }

  private static List<String> undecided(MasterFacts facts, String... edits) {
    return JobPlan.of(choices(edits), facts, null, SAID).undecided().stream()
        .map(Undecided::text)
        .toList();
  }

  @Test
  public void whatIsToBeDecidedComesInTheOrderItMatters() {
    String master = "the master's shape and size";
    assertEquals(undecided(null), List.of(master, "the rubber"));
    assertEquals(undecided(Blocks.measured(80, 55, 42)), List.of("the rubber"));
    String[] cast = {"cast.material", "PLASTER"};
    assertEquals(undecided(null, cast), List.of("the rubber", master), "who begins with the cast");
    assertEquals(undecided(null, "rubber.product", "marram-20"), List.of(master));
  }

  @Test
  public void wordsNobodyWroteSayThatTheyAreAssumed() {
    Choices c = choices("mould.sidesMm", "12 mm");
    assertFalse(ChoiceWords.states(c).get("mould.sidesMm").assumed());
    assertTrue(ChoiceWords.states(c).get("mould.overTopMm").assumed());
    assertFalse(ChoiceWords.states(c).get("rubber.product").assumed(), "it is open");
    assertTrue(Workshop.DEFAULT.states().get("roomC").assumed());
    assertFalse(SAID.states().get("roomC").assumed());
  }
}
