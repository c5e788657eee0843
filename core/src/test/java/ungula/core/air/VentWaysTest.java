package ungula.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** Two balls of 30 mm radius, one 80 mm over the other, in a block of 15 mm of rubber all round. */
public class VentWaysTest {

  private static final double R = 30;

  private static final TriangleMesh BALLS =
      Shapes.both(Shapes.sphere(), Shapes.sphere(), new Vec3(0, 0, 80));

  private static final Box3 BLOCK =
      new Box3(
          BALLS.bounds().min().minus(new Vec3(15, 15, 15)),
          BALLS.bounds().max().plus(new Vec3(15, 15, 15)));

  private static final Room CAVITY = Room.cavity(BALLS, 2, Parallel.ALL, Progress.NONE);

  private static final Vec3 LOWER = Shapes.sphere().bounds().centre();
  private static final Vec3 UPPER = LOWER.plus(new Vec3(0, 0, 80));

  /** Upright, through the middles of both. */
  private static final Seam SEAM = new FlatSeam(new Vec3(0, 1, 0), LOWER.y(), null);

  private static VentWay way(Seam seam, Vec3 from) {
    return new VentWays(CAVITY, BLOCK, seam, Vec3.UP).from(from);
  }

  private static Vec3 onLower(double x, double y) {
    Vec3 near = LOWER.plus(new Vec3(x, y, Math.sqrt(R * R - x * x - y * y)));
    return SurfacePoint.nearest(BALLS, near).on(BALLS);
  }

  private static Vec3 out(VentWay w) {
    return w.path().get(w.path().size() - 1);
  }

  private static double length(List<Vec3> path) {
    double sum = 0;
    for (int i = 1; i < path.size(); i++) {
      sum += path.get(i).minus(path.get(i - 1)).norm();
    }
    return sum;
  }

  @Test
  public void fromTheHighestItRunsUpTheSeam() {
    VentWay w = way(SEAM, UPPER.plus(new Vec3(0, 0, R)));
    assertEquals(w.rubberMm(), 0.0);
    assertEquals(w.castMm(), 0.0);
    Near.relative(w.seamMm(), 15, 0.02);
    Near.absolute(out(w).z(), BLOCK.max().z(), 1e-9);
  }

  /** A cord round the upper ball, from the top of the lower one to the block's top. */
  @Test
  public void itIsLedRoundWhatIsInTheWay() {
    Vec3 top = onLower(0, 0);
    VentWay straight = way(null, top);
    assertTrue(straight.castMm() > 2 * R - 1, straight.toString());
    VentWay round = way(SEAM, top);
    assertEquals(round.castMm(), 0.0);
    assertEquals(round.rubberMm(), 0.0);
    Near.absolute(round.seamMm(), length(round.path()), 1e-9);
    // at the side, lower than the cast fills, it would run out
    assertTrue(out(round).z() >= BALLS.bounds().max().z());
    // a taut cord of 3 mm more radius: a tangent, its part of the circle, and straight up
    double r = R + 3;
    double d = UPPER.z() - top.z();
    double turns = Math.PI / 2 - Math.acos(r / d);
    double cord = Math.sqrt(d * d - r * r) + r * turns + BLOCK.max().z() - UPPER.z();
    assertTrue(
        round.seamMm() > cord - 3 && round.seamMm() < 1.2 * cord, round + " against " + cord);
    double before = Double.NEGATIVE_INFINITY;
    for (int i = 1; i < round.path().size(); i++) {
      Vec3 a = round.path().get(i - 1);
      Vec3 b = round.path().get(i);
      assertTrue(a.z() > before, "it rises");
      before = a.z();
      for (double t = 0; t <= 1; t += 0.05) {
        Vec3 p = a.plus(b.minus(a).times(t));
        Near.absolute(p.y(), LOWER.y(), 1e-9);
        assertTrue(p.minus(UPPER).norm() > R + 1.5, p + " is in the cast");
      }
    }
  }

  /** From 8 mm beside the seam: 8 mm of rubber, a little more as it rises, then along the seam. */
  @Test
  public void whatLiesBesideTheSeamIsLedToIt() {
    Vec3 top = onLower(0, 8);
    VentWay w = way(SEAM, top);
    assertEquals(w.castMm(), 0.0);
    assertTrue(w.rubberMm() >= 8 && w.rubberMm() < 10.5, w.toString());
    Vec3 bend = w.path().get(1);
    Near.absolute(bend.y(), LOWER.y(), 1e-9);
    assertTrue(bend.z() - top.z() >= 0.1 * 8);
  }

  @Test
  public void aSeamThatLeansOrDoesNotReachIsNoWayOut() {
    Vec3 top = onLower(0, 8);
    VentWay straight = way(null, top);
    Vec3 leaning = new Vec3(0, 1, 0.2).unit();
    assertEquals(way(new FlatSeam(leaning, leaning.dot(LOWER), null), top), straight);
    Vec3 right = new Vec3(1, 0, 0);
    Vec3 leftTop = onLower(-20, 5);
    Seam half = new FlatSeam(new Vec3(0, 1, 0), LOWER.y(), right);
    assertEquals(way(half, leftTop), way(null, leftTop));
    assertTrue(way(half, onLower(20, 5)).seamMm() > 0);
  }

  /** A key of 16 mm straight over the highest place: round it, 3 mm clear, and no further. */
  @Test
  public void itIsLedRoundAKey() {
    Vec3 top = UPPER.plus(new Vec3(0, 0, R));
    Vec3 key = top.plus(new Vec3(1, 0, 13));
    Box3 high = new Box3(BLOCK.min(), BLOCK.max().plus(new Vec3(0, 0, 25)));
    Seam keyed =
        new Seam() {
          @Override
          public Vec3 normal() {
            return SEAM.normal();
          }

          @Override
          public Optional<Vec3> from(Vec3 p) {
            return SEAM.from(p);
          }

          @Override
          public boolean flat() {
            return true;
          }

          @Override
          public boolean taken(Vec3 p) {
            return p.minus(key).norm() < 8;
          }
        };
    VentWay w = new VentWays(CAVITY, high, keyed, Vec3.UP).from(top);
    assertEquals(w.rubberMm(), 0.0);
    for (int i = 1; i < w.path().size(); i++) {
      for (double t = 0; t <= 1; t += 0.05) {
        Vec3 p = w.path().get(i - 1).times(1 - t).plus(w.path().get(i).times(t));
        assertTrue(p.minus(key).norm() > 8 + 1.5, p + " is in the key");
      }
    }
    double straight = high.max().z() - top.z();
    assertTrue(w.seamMm() > straight + 2 && w.seamMm() < 1.3 * straight, w.toString());
  }

  /** Along a seam that is no plane, it keeps to that. */
  @Test
  public void aSeamThatCurvesIsFollowed() {
    Seam curved =
        new Seam() {
          @Override
          public Vec3 normal() {
            return new Vec3(0, 1, 0);
          }

          @Override
          public Optional<Vec3> from(Vec3 p) {
            return Optional.of(new Vec3(p.x(), y(p), p.z()));
          }

          private double y(Vec3 p) {
            return LOWER.y() + 0.002 * p.x() * p.x();
          }

          @Override
          public boolean flat() {
            return false;
          }
        };
    VentWay w = way(curved, onLower(0, 0));
    assertEquals(w.castMm(), 0.0);
    Near.absolute(w.seamMm(), length(w.path()), 1e-9);
    List<Vec3> inside = w.path().subList(1, w.path().size() - 1);
    assertTrue(inside.size() > 20);
    for (Vec3 p : inside) {
      Near.absolute(curved.from(p).orElseThrow().minus(p).norm(), 0, 1e-9);
      assertTrue(p.minus(UPPER).norm() > R + 1, p.toString());
    }
  }
}
