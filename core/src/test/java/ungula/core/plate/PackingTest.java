package ungula.core.plate;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Polygon;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Effort;
import ungula.core.demo.Harbour;
import ungula.core.mesh.Rings;

public class PackingTest {

  private static final double LAND = 12;

  private static double[] rectangle(double l, double w) {
    return new double[] {0, 0, l, 0, l, w, 0, w};
  }

  private static double[] angle(double leg, double thick) {
    return new double[] {0, 0, leg, 0, leg, thick, thick, thick, thick, leg, 0, leg};
  }

  private static List<double[]> chessSet() {
    return Masters.of(Harbour.CHESS_SET.mesh()).footprints();
  }

  private static List<Polygon> placed(List<double[]> footprints, List<Laid> laid) {
    List<Polygon> all = new ArrayList<>();
    for (int i = 0; i < laid.size(); i++) {
      all.add(Rings.polygon(laid.get(i).ring(footprints.get(i))));
    }
    return all;
  }

  private static double box(List<Polygon> all) {
    Envelope e = new Envelope();
    all.forEach(p -> e.expandToInclude(p.getEnvelopeInternal()));
    return (e.getWidth() + 2 * LAND) * (e.getHeight() + 2 * LAND);
  }

  private static double apart(List<Polygon> all) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < all.size(); i++) {
      for (int j = 0; j < i; j++) {
        least = Math.min(least, all.get(i).distance(all.get(j)));
      }
    }
    return least;
  }

  /** Side by side, as they are turned. */
  private static double row(List<double[]> footprints) {
    double wide = -LAND;
    double deep = 0;
    for (double[] f : footprints) {
      Envelope e = Rings.polygon(f).getEnvelopeInternal();
      wide += e.getWidth() + LAND;
      deep = Math.max(deep, e.getHeight());
    }
    return (wide + 2 * LAND) * (deep + 2 * LAND);
  }

  /** The smallest box of so many layouts thrown at random, of those with enough land. */
  private static double luckiest(List<double[]> footprints, int throwsAtAll) {
    Random random = new Random(7);
    double least = Double.POSITIVE_INFINITY;
    double reach = Math.sqrt(row(footprints));
    for (int n = 0; n < throwsAtAll; n++) {
      double wide = reach * (0.2 + 1.3 * random.nextDouble());
      double deep = reach * (0.2 + 1.3 * random.nextDouble());
      List<Polygon> all = new ArrayList<>();
      for (double[] f : footprints) {
        for (int tries = 0; tries < 40 && all.size() <= footprints.indexOf(f); tries++) {
          Laid at =
              new Laid(
                  360 * random.nextDouble(),
                  wide * random.nextDouble(),
                  deep * random.nextDouble());
          Polygon p = Rings.polygon(at.ring(f));
          if (all.stream().allMatch(o -> o.distance(p) >= LAND)) {
            all.add(p);
          }
        }
      }
      if (all.size() == footprints.size()) {
        least = Math.min(least, box(all));
      }
    }
    return least;
  }

  @DataProvider
  Object[][] plates() {
    return new Object[][] {
      {chessSet()},
      {Collections.nCopies(6, rectangle(45, 22))},
      {Collections.nCopies(4, angle(60, 15))},
      {
        List.of(
            rectangle(80, 30), angle(50, 14), rectangle(30, 30), angle(70, 20), rectangle(25, 8))
      }
    };
  }

  @Test(dataProvider = "plates")
  public void landIsKeptAndNoRowIsDenser(List<double[]> footprints) {
    List<Polygon> all = placed(footprints, Packing.of(footprints, LAND));
    assertEquals(all.size(), footprints.size());
    assertTrue(apart(all) >= LAND - 0.01, "apart " + apart(all));
    assertTrue(box(all) <= row(footprints) + 1, box(all) + " > row " + row(footprints));
    Envelope e = new Envelope();
    all.forEach(p -> e.expandToInclude(p.getEnvelopeInternal()));
    assertEquals(e.centre().x, 0, 0.01);
    assertEquals(e.centre().y, 0, 0.01);
    assertTrue(e.getWidth() >= e.getHeight());
  }

  @Test
  public void theChessSetIsNearTheBestOfTenThousandThrown() {
    List<double[]> set = chessSet();
    assertEquals(set.size(), 3);
    double found = box(placed(set, Packing.of(set, LAND)));
    double lucky = luckiest(set, 10_000);
    assertTrue(found <= 1.1 * lucky, found + " against " + lucky);
  }

  @Test
  public void fourBarsLieTwoByTwoOrOnTopOfEachOther() {
    List<double[]> bars = Collections.nCopies(4, rectangle(50, 20));
    // both are 9 360 mm² with walls of 12: 50 × (4 × 20 + 3 × 12), and (2 × 50 + 12) × (2 × 20 +
    // 12)
    double best = Math.min((50 + 24) * (116 + 24), (112 + 24) * (52 + 24));
    assertEquals(box(placed(bars, Packing.of(bars, LAND))), best, 0.002 * best);
  }

  @Test
  public void anglesNestInEachOther() {
    List<double[]> angles = Collections.nCopies(2, angle(60, 15));
    double nested = box(placed(angles, Packing.of(angles, LAND)));
    // one a step of leg and land inside the other, or hooked over each other
    assertTrue(nested < 0.8 * row(angles), nested + " of " + row(angles));
  }

  @Test
  public void theSameEveryTime() {
    List<double[]> some = List.of(rectangle(80, 30), angle(50, 14), rectangle(30, 30));
    assertEquals(Packing.of(some, LAND), Packing.of(some, LAND));
  }

  @Test
  public void manyCopiesAreLaidInAMoment() {
    double[] disc = new double[120];
    Arrays.setAll(
        disc,
        i -> 15 * (i % 2 == 0 ? Math.cos(i * Math.PI / 60) : Math.sin((i - 1) * Math.PI / 60)));
    List<double[]> discs = Collections.nCopies(24, disc);
    Effort<List<Polygon>> laid = Effort.of(() -> placed(discs, Packing.of(discs, LAND)));
    List<Polygon> all = laid.result();
    assertTrue(apart(all) >= LAND - 0.01);
    // on a square grid 4 by 6: (6 × 30 + 5 × 12 + 24) × (4 × 30 + 3 × 12 + 24)
    assertTrue(box(all) <= 264 * 180 * 1.02, "box " + box(all));
    assertTrue(laid.seconds() < 5, "took " + laid.seconds());
  }
}
