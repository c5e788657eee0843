package ungula.core.geometry;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;

public class GeometryTest {

  private static Vec3 any(Random r) {
    return new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian());
  }

  @Test
  public void turningKeepsLengthsAnglesAndHand() {
    Random random = new Random(1);
    for (int i = 0; i < 200; i++) {
      Rotation turn = Rotation.about(any(random), random.nextDouble() * 720 - 360);
      Vec3 a = any(random);
      Vec3 b = any(random);
      Near.absolute(turn.apply(a).dot(turn.apply(b)), a.dot(b), 1e-12);
      Vec3 cross = turn.apply(a).cross(turn.apply(b)).minus(turn.apply(a.cross(b)));
      Near.absolute(cross.norm(), 0, 1e-12);
    }
  }

  @Test
  public void turnsFollowTheRightHand() {
    Vec3 x = new Vec3(1, 0, 0);
    Vec3 turned = Rotation.about(Vec3.UP, 90).apply(x);
    Near.absolute(turned.minus(new Vec3(0, 1, 0)).norm(), 0, 1e-15);
  }

  @Test
  public void oneTurnAfterAnother() {
    Random random = new Random(2);
    for (int i = 0; i < 50; i++) {
      Rotation first = Rotation.about(any(random), 50);
      Rotation then = Rotation.about(any(random), -130);
      Vec3 v = any(random);
      Vec3 together = then.after(first).apply(v);
      Near.absolute(together.minus(then.apply(first.apply(v))).norm(), 0, 1e-12);
    }
  }

  @Test
  public void aThousandTurnsDoNotDrift() {
    Rotation turn = Rotation.NONE;
    Rotation step = Rotation.about(new Vec3(1, 2, 3), 15);
    for (int i = 0; i < 24_000; i++) {
      turn = step.after(turn);
    }
    Vec3 v = new Vec3(10, -4, 7);
    Near.absolute(turn.apply(v).minus(v).norm(), 0, 1e-9);
  }

  @Test
  public void bringsOneDirectionOntoAnotherEvenTheOpposite() {
    Random random = new Random(3);
    for (int i = 0; i < 100; i++) {
      Vec3 from = any(random);
      Vec3 to = i % 3 == 0 ? from.times(-2) : any(random);
      Vec3 there = Rotation.bringing(from, to).apply(from.unit());
      Near.absolute(there.minus(to.unit()).norm(), 0, 1e-7);
    }
    Vec3 x = new Vec3(1, 0, 0);
    Near.absolute(Rotation.bringing(x, x.times(-1)).apply(x).minus(x.times(-1)).norm(), 0, 1e-12);
  }

  @Test
  public void whatIsNoDirectionOrRotationIsRefused() {
    expectThrows(IllegalArgumentException.class, Vec3.ZERO::unit);
    expectThrows(IllegalArgumentException.class, () -> new Vec3(Double.NaN, 0, 0).unit());
    expectThrows(IllegalArgumentException.class, () -> new Rotation(0, 0, 0, 0));
    expectThrows(
        IllegalArgumentException.class, () -> new Rotation(Double.POSITIVE_INFINITY, 0, 0, 0));
  }

  @Test
  public void aBoxKnowsItsSize() {
    Box3 box = new Box3(new Vec3(-1, -2, -3), new Vec3(3, 4, 5));
    assertEquals(box.size(), new Vec3(4, 6, 8));
    assertEquals(box.centre(), new Vec3(1, 1, 1));
    assertEquals(box.longest(), 8.0);
    assertEquals(box.volume(), 192.0);
    assertTrue(box.diagonal() > 10.7 && box.diagonal() < 10.8);
    expectThrows(IllegalArgumentException.class, () -> new Box3(new Vec3(1, 0, 0), Vec3.ZERO));
  }
}
