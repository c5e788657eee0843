package ungula.core.filling;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.sprue.Sprue;
import ungula.core.sprue.Sprue.Resin;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class FillingTest {

  private static final Flow HAND = Flow.open(1_000);

  /** A ball of 60 mm, open at one place. */
  private static Filling ball(Vec3 hole) {
    TriangleMesh mesh = Shapes.sphere();
    Room room = Room.cavity(mesh, 0.5, Parallel.ALL, Progress.NONE);
    AirTraps.Result air = AirTraps.of(room, List.of(Opening.at(hole)), Vec3.UP);
    FillCurve curve = FillCurve.of(mesh, Levels.COUNT + 1);
    Levels levels = Levels.of(Vec3.UP, curve.bottomMm(), curve.topMm(), curve::below, air);
    return Filling.of(levels, air.worth(), HAND);
  }

  @Test
  public void openAtItsTopItFillsWhole() {
    Filling f = ball(new Vec3(0, 0, 60));
    assertTrue(f.sealed().isEmpty());
    Near.relative(f.full().mm3(), Shapes.sphere().measure().volumeMm3(), 1e-6);
    Near.relative(f.full().freshS(), f.full().mm3() / 1_000, 1e-12);
    // a cap as high as half of the radius: π h² (3 r − h) ÷ 3
    Filling.Point cap = f.course().get(Levels.COUNT / 4);
    Near.absolute(cap.levelMm(), 15, 1e-9);
    Near.relative(cap.mm3(), Math.PI * 15 * 15 * (90 - 15) / 3, 0.005);
  }

  /** Open at half its height it keeps the upper half as air, sealed off when it is half full. */
  @Test
  public void whatIsSealedOffStaysBehind() {
    Filling f = ball(new Vec3(30, 0, 30));
    assertEquals(f.sealed().size(), 1);
    Filling.Sealed s = f.sealed().get(0);
    double half = Shapes.sphere().measure().volumeMm3() / 2;
    Near.absolute(s.levelMm(), 30, 0.5);
    Near.relative(s.mm3(), half, 0.01);
    Near.relative(s.pocket().volumeMm3(), half, 0.01);
    Near.relative(f.full().mm3(), half, 0.02);
    for (int i = 1; i < f.course().size(); i++) {
      assertTrue(f.course().get(i).mm3() >= f.course().get(i - 1).mm3());
    }
  }

  /** Through a sprue, against the closed form, and what is never reached. */
  @Test
  public void thickeningSlowsWhatRunsThroughASprue() {
    Resin resin = new Resin(0.5, 5, 1.1);
    Sprue sprue = new Sprue(4, 20);
    Flow flow = new Flow(Sprue.POURED_MM3_S, sprue, resin);
    double q = sprue.flowMm3PerS(resin);
    assertTrue(q < Sprue.POURED_MM3_S);
    double v = 60 * q;
    Near.relative(flow.freshS(v), 60, 1e-12);
    Near.relative(flow.freshS(v), sprue.fillS(v, resin), 1e-12);
    // by small steps
    double grows = Math.log(Flow.THICKER) / 300;
    double poured = 0;
    double t = 0;
    double dt = 0.001;
    while (poured < v) {
      poured += q * Math.exp(-grows * (t + dt / 2)) * dt;
      t += dt;
    }
    Near.relative(flow.thickeningS(v), t, 1e-4);
    assertTrue(t > 60 && t < 120, "after " + t);
    // all that ever runs in is q ÷ the rate it thickens by
    assertEquals(flow.thickeningS(1.001 * q / grows), Double.POSITIVE_INFINITY);
    assertTrue(flow.thickeningS(0.999 * q / grows) < Double.POSITIVE_INFINITY);
  }

  /** A wide sprue lets through all a hand pours, until it has thickened. */
  @Test
  public void aHandPoursNoFaster() {
    Resin thin = new Resin(0.1, 5, 1.1);
    Sprue wide = new Sprue(10, 20);
    Flow flow = new Flow(20_000, wide, thin);
    double q = wide.flowMm3PerS(thin);
    assertTrue(q > 20_000);
    Near.relative(flow.freshS(200_000), 10, 1e-12);
    Near.relative(flow.thickeningS(200_000), 10, 1e-12);
    double until = Math.log(q / 20_000) / (Math.log(Flow.THICKER) / 300);
    double more = 20_000 * (until + 30);
    assertTrue(flow.thickeningS(more) > until + 30);
    assertTrue(flow.thickeningS(more) < until + 60, flow.thickeningS(more) + " s");
  }
}
