package ungula.core.learn;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;

public class LearnedTest {

  @Test
  public void whatFiveJobsTeachOfRubber() {
    Learned l = Learned.of(List.of(4.1, 6.0, 5.2, 18.0, 3.9), 0).orElseThrow();
    Near.absolute(l.median(), 5.2, 1e-9);
    Near.absolute(l.mad(), 1.1, 1e-9);
    Near.absolute(l.allowance(), 8.5, 0.05);
    assertEquals(l.outOfLine(), List.of(3));
    assertEquals(l.jobs(), 5);
  }

  @Test
  public void whatFourCastsTeachOfAFactor() {
    Learned l = Learned.of(List.of(0.772, 0.779, 0.781, 0.90), 0).orElseThrow();
    Near.absolute(l.median(), 0.780, 1e-9);
    assertEquals(l.outOfLine(), List.of(3));
  }

  @Test
  public void twoTeachNothingYet() {
    assertTrue(Learned.of(List.of(4.1, 6.0), 0).isEmpty());
    assertTrue(Learned.of(List.of(4.1, 6.0, 5.0), 0).isPresent());
  }

  /** All but one alike: what nobody reads closer is not out of line. */
  @Test
  public void readingIsNotStraying() {
    List<Double> alike = List.of(5.0, 5.0, 5.0, 5.1);
    assertEquals(Learned.of(alike, 0).orElseThrow().outOfLine(), List.of(3));
    assertEquals(Learned.of(alike, 0.05).orElseThrow().outOfLine(), List.of());
    // at 3.5 × 1.4826 × 0.05 = 0.259
    assertEquals(
        Learned.of(List.of(5.0, 5.0, 5.0, 5.26), 0.05).orElseThrow().outOfLine().size(), 1);
    assertEquals(
        Learned.of(List.of(5.0, 5.0, 5.0, 5.25), 0.05).orElseThrow().outOfLine().size(), 0);
  }

  @Test
  public void oneOddJobHardlyMovesIt() {
    Random chance = new Random(3);
    for (int i = 0; i < 200; i++) {
      List<Double> values = new ArrayList<>();
      for (int n = 0; n < 5 + chance.nextInt(20); n++) {
        values.add(5 + chance.nextGaussian());
      }
      double before = Learned.of(values, 0).orElseThrow().median();
      double lowest = values.stream().mapToDouble(v -> v).min().orElseThrow();
      double highest = values.stream().mapToDouble(v -> v).max().orElseThrow();
      values.add(1000.0);
      Learned after = Learned.of(values, 0).orElseThrow();
      assertTrue(after.median() >= before && after.median() <= highest);
      assertTrue(after.mad() <= highest - lowest);
      assertTrue(after.outOfLine().contains(values.size() - 1));
    }
  }
}
