package ungula.core.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.demo.HarbourShapes;
import ungula.core.mesh.TriangleMesh;

/** What of a plan a run does not go by is said. */
public class ReplannedTest {

  private static final TriangleMesh FINIAL = HarbourShapes.FINE.finial();

  private static RunPlan frozen(String... words) {
    return FreezeTest.frozen(AnyPlan.picked(FINIAL, words).plan());
  }

  @Test
  public void nothingIsSaidOfTheSame() {
    assertEquals(Replanned.says(frozen("rubber.batches=3"), frozen("rubber.batches=3")), List.of());
  }

  @Test
  public void batchesAreSaidWithWhatTheyWeigh() {
    RunPlan three = frozen("rubber.batches=3");
    List<String> says = Replanned.says(three, frozen("rubber.batches=4"));
    assertEquals(says.get(0), "4 batches in place of 3.");
    assertTrue(
        says.get(1).matches("Batch 1: [\\d. ]+ g base \\+ .* hardener in place of .* hardener\\."),
        says.get(1));
    // a step of a batch is no step of its own
    assertTrue(says.stream().noneMatch(s -> s.startsWith("New: weigh")), says.toString());
    assertEquals(
        Replanned.says(three, frozen("rubber.batches=1")).get(0), "1 batch in place of 3.");
  }

  @Test
  public void stepsAreNamed() {
    List<String> says = Replanned.says(frozen(), frozen("mould.fixing=SCREWS"));
    assertTrue(
        says.stream().anyMatch(s -> s.matches("(New|Changed|No longer): .*\\.")), says.toString());
    List<String> other = Replanned.says(frozen(), frozen("mould.kind=TWO_PART"));
    assertTrue(
        other.stream().anyMatch(s -> s.matches("New: (.*, ){3}.* and \\d+ more\\.")),
        other.toString());
  }
}
