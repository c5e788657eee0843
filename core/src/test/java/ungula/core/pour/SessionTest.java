package ungula.core.pour;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.pour.Session.Portion;

public class SessionTest {

  @Test
  public void mouldsThatFitAreFilledFromOneBatch() {
    Session s = Session.of(new double[] {300, 700, 500, 400}, 1000);
    assertEquals(
        s.batches(),
        List.of(
            List.of(new Portion(1, 700), new Portion(0, 300)),
            List.of(new Portion(2, 500), new Portion(3, 400))));
  }

  @Test
  public void elseBatchesAreEqualAndAMouldGoesOnWithTheNext() {
    Session s = Session.of(new double[] {600, 600, 600}, 1000);
    assertEquals(
        s.batches(),
        List.of(
            List.of(new Portion(0, 600), new Portion(1, 300)),
            List.of(new Portion(1, 300), new Portion(2, 600))));
    assertEquals(Session.of(new double[] {2500}, 1000).batches().size(), 3);
    assertEquals(Session.of(new double[] {5}, Double.POSITIVE_INFINITY).batches().size(), 1);
  }

  @Test
  public void neverOverTheLargestNeverOneTooManyAndNothingLost() {
    Random r = new Random(12);
    for (int n = 0; n < 10_000; n++) {
      double[] pours = new double[1 + r.nextInt(7)];
      Arrays.setAll(pours, i -> 1 + 900 * r.nextDouble());
      double total = Arrays.stream(pours).sum();
      double most = 50 + 1500 * r.nextDouble();
      Session s = Session.of(pours, most);
      double[] filled = new double[pours.length];
      for (int b = 0; b < s.batches().size(); b++) {
        assertTrue(s.batchMm3(b) <= most * (1 + 1e-6), s + " over " + most);
        s.batches().get(b).forEach(p -> filled[p.mould()] += p.mm3());
      }
      for (int i = 0; i < pours.length; i++) {
        Near.absolute(filled[i], pours[i], 1e-6);
      }
      assertTrue(s.batches().size() == 1 || (s.batches().size() - 1) * most < total + 1e-6);
    }
  }
}
