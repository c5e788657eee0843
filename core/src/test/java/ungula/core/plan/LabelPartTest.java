package ungula.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Blocks;
import ungula.core.castlabel.PlacedLabel.Face;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.former.Former;
import ungula.core.job.JobPlan;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

/** A block of 80 × 55 × 42 in an open mould, with a label cast into it. */
public class LabelPartTest {

  private static Choices choices(String... edits) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < edits.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(edits[i], edits[i + 1])), null);
    }
    return c;
  }

  private static JobPlan plan(Choices c) {
    return JobPlan.of(c, Blocks.measured(80, 55, 42), null, Workshop.DEFAULT);
  }

  private static final String[] ON_A_WALL = {"label.place", "WALL", "label.code", "K7F3M"};

  private static Choices labelled(String... edits) {
    Choices c = choices(ON_A_WALL);
    for (int i = 0; i < edits.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(edits[i], edits[i + 1])), null);
    }
    return c;
  }

  private static Optional<Caution> caution(JobPlan plan, String id) {
    return plan.cautions().stream().filter(c -> c.id().equals(id)).findFirst();
  }

  private static List<String> lines(Choices c) {
    return plan(c).plan().label().orElseThrow().text();
  }

  @Test
  public void itTakesItsVolumeOffTheRubber() {
    JobPlan bare = plan(choices());
    JobPlan with = plan(labelled());
    double label = with.figures().get("label.volume").value();
    assertTrue(label > 500, "label " + label);
    assertEquals(
        with.figures().get("rubber.box").value(),
        bare.figures().get("rubber.box").value() - label,
        1e-6);
    assertTrue(
        with.figures().get("rubber.box").working().toString().contains("− label"),
        with.figures().get("rubber.box").working().toString());
    assertFalse(bare.figures().containsKey("label.volume"));
    // what a fix would save is told apart from the label
    assertEquals(
        Planner.totals(with.plan(), with.plan().choices()).rubberMm3(),
        with.plan().rubberMm3(),
        1e-6);
  }

  @Test
  public void itSaysCodeDateAndWhatACastTakesOrWhatIsWritten() {
    // 80 × 55 × 42 mm
    assertEquals(lines(labelled()), List.of("K7F3M", "184.8 mL"));
    assertEquals(
        lines(labelled("days.begin", "2027-03-04T09:00")),
        List.of("K7F3M", "4 Mar 2027", "184.8 mL"));
    assertEquals(
        lines(labelled("label.text", "harbour seal / no. 3")), List.of("harbour seal", "no. 3"));
  }

  @Test
  public void itIsSetMadeAndSaid() {
    JobPlan with = plan(labelled());
    assertTrue(
        with.steps().making().stream()
            .anyMatch(
                s ->
                    s.key().equals("label")
                        && s.what().contains("on the left wall, in the middle")));
    assertTrue(Former.of(with.plan()).stream().anyMatch(f -> f.name().startsWith("label")));
    assertTrue(plan(choices()).steps().making().stream().noneMatch(s -> s.key().equals("label")));
  }

  @Test
  public void aPartingClosesTheWalls() {
    Choices c = labelled("mould.kind", "TWO_PART", "label.place", "PROPOSED");
    JobPlan narrow = plan(c);
    assertTrue(caution(narrow, "label.room").isPresent());
    JobPlan wide = plan(ChoiceWords.edit(c, List.of(Edit.of("mould.sidesMm", "25 mm")), null));
    assertEquals(wide.plan().placedLabel().orElseThrow().on(), Face.BASE);
  }

  @Test
  public void aSkinHasNeitherBaseNorWall() {
    assertTrue(plan(labelled("mould.kind", "SKIN")).plan().label().isEmpty());
  }

  /** Each offer to make room, taken, makes it. */
  @Test
  public void whereThereIsNoRoomOneIsOffered() {
    Choices c = labelled("label.place", "BASE", "label.letterMm", "8 mm");
    Caution none = caution(plan(c), "label.room").orElseThrow();
    assertEquals(none.fixes().size(), 2, none.toString());
    for (Caution.Fix fix : none.fixes()) {
      assertTrue(caution(plan(ChoiceWords.edit(c, fix.edits(), null)), "label.room").isEmpty());
    }
    Choices high = labelled("label.letterMm", "30 mm", "label.text", "harbour seal");
    Caution smaller = caution(plan(high), "label.room").orElseThrow();
    assertEquals(smaller.fixes().get(0).label(), "Make its letters 8 mm high");
    Choices taken = ChoiceWords.edit(high, smaller.fixes().get(0).edits(), null);
    assertTrue(plan(taken).plan().placedLabel().isPresent());
  }

  @Test
  public void strokesUnderFourFifthsOfAMillimetreAreFine() {
    double stroke = plan(labelled()).plan().placedLabel().orElseThrow().label().strokeMm();
    double just = 5 * 0.8 / stroke;
    assertTrue(
        caution(plan(labelled("label.letterMm", just + 0.01 + " mm")), "label.fine").isEmpty());
    Choices c = labelled("label.letterMm", just - 0.01 + " mm");
    Caution fine = caution(plan(c), "label.fine").orElseThrow();
    Choices taken = ChoiceWords.edit(c, fine.fixes().get(0).edits(), null);
    assertTrue(caution(plan(taken), "label.fine").isEmpty());
  }

  @Test
  public void lettersThatAreLeftOutAreNamed() {
    Caution c = caution(plan(labelled("label.text", "码 7")), "label.letters").orElseThrow();
    assertTrue(c.text().contains("码"), c.text());
  }

  @Test
  public void aCodeIsFiveLettersAndDigits() {
    assertEquals(labelled("label.code", "k7 f3 n").label().code(), "K7F3N");
    try {
      labelled("label.code", "seal");
    } catch (RuntimeException refused) {
      assertTrue(refused.getMessage().contains("K7F3M"), refused.getMessage());
      return;
    }
    throw new AssertionError("taken");
  }

  /** A copy is of another mould. */
  @Test
  public void anotherMouldHasAnotherCode() {
    assertEquals(labelled().anew().label().code(), null);
    assertEquals(labelled().anew().label().place(), labelled().label().place());
  }
}
