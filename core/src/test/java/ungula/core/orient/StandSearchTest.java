package ungula.core.orient;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.concurrent.CancellationException;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.ConvexHull;
import ungula.core.mesh.TriangleMesh;
import ungula.core.orient.Handful.Best;
import ungula.core.orient.Handful.Pick;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class StandSearchTest {

  private static final double CUP_MM3 = Shapes.cup().measure().volumeMm3();

  private static final Handful.Scores SCORES =
      new Handful.Scores(
          s -> (s.sizeMm().x() + 24) * (s.sizeMm().y() + 24) * (s.sizeMm().z() + 10),
          Stand::castMm3,
          Stand::vents,
          s -> 0,
          s -> 0,
          CUP_MM3,
          50,
          Handful.EVEN);

  /** The cup's, for all who need them: stopped once, after so many, and gone on from there. */
  private List<Stand> cup;

  private int stopped;
  private double went = 1;

  @BeforeClass
  public void searchTheCup() {
    StandSearch first = new StandSearch(Shapes.cup(), CUP_MM3, List.of());
    assertThrows(CancellationException.class, () -> first.run(new Parallel(2), until(0.25)));
    stopped = first.found().size();
    StandSearch second = new StandSearch(Shapes.cup(), CUP_MM3, first.found());
    second.run(
        new Parallel(2),
        (doing, fraction) -> {
          if (doing.startsWith("Looking at")) {
            went = Math.min(went, fraction);
          }
        });
    cup = second.found();
  }

  private static Pick best(List<Stand> stands, Best best) {
    return Handful.of(stands, SCORES).stream()
        .filter(p -> p.best().contains(best))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aFootprintIsTheSmallestRectangle() {
    TriangleMesh box = Tessellation.box(40, 60, 80);
    Rotation turn = Rotation.about(new Vec3(1, 3, -2), 33);
    Footprint f = Footprint.of(ConvexHull.of(Shapes.turned(box, turn)));
    Footprint.Fit fit = f.fit(turn.apply(new Vec3(1, 0, 0)));
    Near.absolute(fit.sizeMm().minus(new Vec3(80, 60, 40)).norm(), 0, 1e-6);
    // and the turn brings it there
    Vec3 size = Shapes.turned(Shapes.turned(box, turn), fit.turn()).bounds().size();
    Near.absolute(size.minus(fit.sizeMm()).norm(), 0, 1e-6);
  }

  @Test
  public void aBallsFootprintIsItsDiameter() {
    Footprint f = Footprint.of(ConvexHull.of(Shapes.sphere()));
    for (int i = 0; i < 12; i++) {
      Vec3 size = f.fit(Directions.onSphere(i, 12)).sizeMm();
      Near.relative(size.x(), 60, 0.002);
      Near.relative(size.y(), 60, 0.002);
      Near.relative(size.z(), 60, 0.002);
    }
  }

  @Test
  public void directionsAreSpreadEvenly() {
    Vec3 sum = Vec3.ZERO;
    double nearest = 2;
    for (int i = 0; i < 500; i++) {
      Vec3 d = Directions.onSphere(i, 500);
      Near.absolute(d.norm(), 1, 1e-12);
      sum = sum.plus(d);
      for (int j = 0; j < i; j++) {
        nearest = Math.min(nearest, d.minus(Directions.onSphere(j, 500)).norm());
      }
    }
    assertTrue(sum.norm() < 1, "sum " + sum);
    assertTrue(nearest > 0.1, "nearest " + nearest);
  }

  @Test
  public void aCupStandsMouthUpWithoutAirInTheRubber() {
    List<Stand> stands = cup;
    assertTrue(stands.size() > 500, "only " + stands.size());
    Stand mouthDown = near(stands, Vec3.UP);
    Stand mouthUp = near(stands, Vec3.UP.times(-1));
    Near.relative(mouthDown.lockedMm3(), Math.PI * 26 * 26 * 46, 0.03);
    Near.relative(mouthDown.pouredMm3(), 97_690, 0.06);
    Near.absolute(mouthUp.lockedMm3(), 0, 2_000);
    assertEquals(mouthUp.pouredMm3(), 0.0);
    assertTrue(mouthUp.flat() && mouthDown.flat());
    Near.absolute(mouthUp.sizeMm().z(), 50, 0.01);
    Pick air = best(stands, Best.AIR);
    assertEquals(air.stand().pouredMm3(), 0.0);
    assertTrue(air.stand().fine());
    assertTrue(best(stands, Best.FLAT).stand().flat());
  }

  private static double air(Stand s) {
    return s.pouredMm3() + s.castMm3();
  }

  /** It is the same as the search finds, and a table takes it as one more of all ways. */
  @Test
  public void howItStandsIsLookedAtByItself() {
    Stand found = near(cup, Vec3.UP);
    Stand alone =
        new StandSearch(Shapes.cup(), CUP_MM3, List.of())
            .standing(found.turn(), new Parallel(2), Progress.NONE);
    assertEquals(alone.flat(), found.flat());
    Near.relative(alone.pouredMm3(), found.pouredMm3(), 0.02);
    Near.relative(alone.lockedMm3(), found.lockedMm3(), 0.02);
    Near.absolute(alone.sizeMm().minus(found.sizeMm()).norm(), 0, 0.01);
    CastTable table = new CastTable(cup);
    for (Stand s : cup) {
      CastTable.Best any = table.of(s, false, true);
      CastTable.Best over = table.of(s, false, false);
      assertTrue(any.vents() <= over.vents(), s.toString());
      assertTrue(s.flat() || over.vents() <= s.vents(), s.toString());
      assertTrue(!s.flat() || table.of(s, true, false).vents() == s.vents(), s.toString());
    }
  }

  private static Stand near(List<Stand> stands, Vec3 up) {
    return stands.stream().filter(s -> s.up().dot(up) > 0.99999).findFirst().orElseThrow();
  }

  @Test
  public void noneOfTheHandfulIsBeatenInEverything() {
    List<Stand> stands = cup;
    for (Pick p : Handful.of(stands, SCORES)) {
      Stand s = p.stand();
      boolean beaten =
          stands.stream()
              .anyMatch(
                  o ->
                      SCORES.rubberMm3().applyAsDouble(o) < SCORES.rubberMm3().applyAsDouble(s) - 1
                          && air(o) < air(s) - 1
                          && o.lockedMm3() < s.lockedMm3() - 1
                          && o.sizeMm().z() < s.sizeMm().z() - 0.01);
      assertFalse(beaten, p + " is beaten");
    }
  }

  @Test
  public void aStoppedSearchGoesOnWhereItWas() {
    assertTrue(stopped > 50 && stopped < 250, "found " + stopped);
    assertTrue(went > 0.2, "began again at " + went);
    // one that nobody stopped there found the same, but what was looked at closer in the end
    StandSearch other = new StandSearch(Shapes.cup(), CUP_MM3, List.of());
    assertThrows(CancellationException.class, () -> other.run(new Parallel(2), until(0.35)));
    List<Stand> whole = other.found();
    assertTrue(whole.size() > stopped + 50, whole.size() + " after " + stopped);
    for (int i = 0; i < whole.size(); i++) {
      if (!cup.get(i).fine()) {
        assertEquals(cup.get(i), whole.get(i));
      }
    }
  }

  /** Nobody waits any more after so much of it. */
  private static Progress until(double share) {
    return (doing, fraction) -> {
      if (fraction > share) {
        throw new CancellationException();
      }
    };
  }
}
