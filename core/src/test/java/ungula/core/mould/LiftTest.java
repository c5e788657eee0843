package ungula.core.mould;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.air.Empties;
import ungula.core.air.Empties.Cup;
import ungula.core.air.Room;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class LiftTest {

  /** Ø 84 and 97.5 high: 540 mL outside, walls of 3 mm, a floor of 4. */
  private static final TriangleMesh CUP =
      Tessellation.turned(
          new double[][] {{0, 0}, {42, 0}, {42, 97.5}, {39, 97.5}, {39, 4}, {0, 4}}, 720);

  private static final double INSIDE = Math.PI * 39 * 39 * 93.5;

  private static Empties empties(TriangleMesh mesh, double topMm) {
    Box3 inside = new Box3(new Vec3(-54, -54, 0), new Vec3(54, 54, topMm));
    Room room = Room.round(mesh, inside, 0.75, Parallel.ALL, Progress.NONE);
    return Empties.of(room, inside);
  }

  @Test
  public void aCupKeepsOutItsEmptyInside() {
    FillCurve body = FillCurve.of(CUP, 400);
    Empties empties = empties(CUP, 110);
    assertEquals(empties.cups().size(), 1);
    Cup cup = empties.cups().get(0);
    Near.relative(cup.mm3(), INSIDE, 0.01);
    Near.absolute(cup.rimMm(), 97.5, 1);
    Near.absolute(cup.bottom().z(), 4, 1);
    Lift last = Lift.of(body, empties, 110, 1.10, 196.8);
    Near.absolute(last.keptOutMm3() / 1000, 540, 5);
    Near.absolute(last.levelMm(), 97.5, 1);
    Near.absolute(last.forceN(), 3.9, 0.05);
    // of 94 mL of ceramic, filled first, nothing is left to lift
    assertTrue(Lift.of(body, Empties.NONE, 110, 1.10, 196.8).forceN() < 0);
  }

  @Test
  public void belowItsRimACupFillsNever() {
    Empties empties = empties(CUP, 60);
    assertTrue(empties.cups().isEmpty());
    Near.relative(empties.sealedMm3(), Math.PI * 39 * 39 * 56, 0.02);
  }

  @Test
  public void aBodyWithoutHollowsHasNone() {
    Empties empties = empties(Tessellation.box(40, 40, 60), 80);
    assertEquals(empties, Empties.NONE);
  }

  /** The lower rim first: what the higher one still keeps out counts with it. */
  @Test
  public void cupsFillInTurn() {
    Cup low = new Cup(new Vec3(0, 0, 10), 30, 100_000);
    Cup high = new Cup(new Vec3(0, 0, 20), 60, 40_000);
    Empties both = new Empties(List.of(low, high), 500);
    Near.absolute(both.keptOutMm3(30), 500 + 100_000 + 10_000, 1e-6);
    Near.absolute(both.keptOutMm3(31), 500 + 11_000, 1e-6);
    Near.absolute(both.keptOutMm3(60), 500 + 40_000, 1e-6);
    Near.absolute(both.keptOutMm3(61), 500, 1e-6);
    Lift lift = Lift.of(FillCurve.even(60_000, 0, 60), both, 70, 1, 0);
    assertEquals(lift.levelMm(), 30.0);
    Near.absolute(lift.emptyMm3(), 110_500, 1e-6);
  }

  @Test
  public void aHeavyMasterDoesNotLift() {
    FillCurve body = FillCurve.even(100_000, 0, 50);
    assertTrue(Lift.of(body, Empties.NONE, 60, 1.1, 200).forceN() < 0);
    Near.absolute(Lift.of(body, Empties.NONE, 60, 1.1, 110).forceN(), 0, 1e-12);
    // half way up it is half as much
    Near.absolute(Lift.of(body, Empties.NONE, 25, 1.1, 0).keptOutMm3(), 50_000, 1e-6);
  }
}
