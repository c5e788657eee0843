package ungula.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.Tips.Tip;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** How far and which way to tip so that air gets out. */
public class TipsTest {

  /** A block 60 long, a chimney at its right end, and a lump on its top at its left. */
  private static TriangleMesh block(double lumpMm, double deepMm) {
    TriangleMesh chimney =
        Shapes.both(Tessellation.box(60, 20, 20), Tessellation.box(6, 20, 21), new Vec3(27, 0, 19));
    return Shapes.both(chimney, Tessellation.box(lumpMm, 10, deepMm + 1), new Vec3(-18, 0, 19));
  }

  private static Optional<Tip> out(TriangleMesh mesh, Vec3 top) {
    Room room = Room.cavity(mesh, 0.4, Parallel.ALL, Progress.NONE);
    List<Opening> chimney = List.of(Opening.at(new Vec3(27, 0, 39)));
    return Tips.out(room, chimney, List.of(top), Parallel.ALL, Progress.NONE).get(0);
  }

  /**
   * Tipped by a, of a lump L long and d deep d² ÷ 2 tan a stays in its upper corner: a fifth of it
   * at tan a = 2.5 d ÷ L.
   */
  @Test
  public void aLumpIsLetOutTowardsTheChimney() {
    Tip shallow = out(block(16, 1.2), new Vec3(-18, 0, 21)).orElseThrow();
    // 10.6° are needed: 7° are too little
    assertEquals(shallow.degrees(), 14.0);
    // straight away from the chimney, or towards one of that end's corners
    Near.absolute(shallow.towardsDegrees(), 180, 45);
    double straight = 1.2 * 1.2 / 2 / Math.tan(Math.toRadians(14)) * 10;
    assertTrue(shallow.airMm3() < straight + 12, "" + shallow.airMm3());
    Tip deeper = out(block(16, 3), new Vec3(-18, 0, 22.8)).orElseThrow();
    // 25.1° straight, a little less towards a corner
    assertEquals(deeper.degrees(), 21.0);
  }

  @Test
  public void noTipEmptiesADeepHole() {
    assertTrue(out(block(8, 16), new Vec3(-18, 0, 35.8)).isEmpty());
  }

  @Test
  public void whereThereIsNoAirNothingIsTipped() {
    assertTrue(out(block(16, 3), new Vec3(10, 0, 5)).isEmpty());
  }
}
