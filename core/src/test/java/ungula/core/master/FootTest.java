package ungula.core.master;

import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.mesh.TriangleMesh;

public class FootTest {

  private static double flange(TriangleMesh mesh, double thick) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED).foot().flangeMm2(thick, 30);
  }

  private static double ring(double from, double to) {
    return Math.PI * (to * to - from * from);
  }

  /** 7 cm² touch: from the foot, not from the belly's shadow, which would make twice as much. */
  @Test
  public void underABellyTheFlangeFollowsTheFoot() {
    TriangleMesh mushroom =
        Tessellation.turned(
            new double[][] {{0, 0}, {14.93, 0}, {14.93, 20}, {60, 20}, {60, 60}, {0, 60}}, 360);
    Near.relative(flange(mushroom, 8), ring(22.93, 52.93), 0.002);
  }

  /** A belly lower than the wall lies in the skin: the flange begins beyond it. */
  @Test
  public void aLowBellyIsPartOfIt() {
    TriangleMesh low =
        Tessellation.turned(
            new double[][] {{0, 0}, {15, 0}, {15, 3}, {60, 3}, {60, 40}, {0, 40}}, 360);
    double reach = Math.sqrt(100 - 9.0);
    Near.relative(flange(low, 10), ring(60 + reach, 90 + reach), 0.005);
  }

  /** Of a ball the skin meets the board where it is a wall away from it. */
  @Test
  public void roundABallItBeginsWhereTheSkinMeetsTheBoard() {
    double[][] p = new double[91][];
    for (int i = 0; i <= 90; i++) {
      double a = Math.PI * i / 90;
      p[i] = new double[] {50 * Math.sin(a), 50 - 50 * Math.cos(a)};
    }
    double meets = Math.sqrt(60 * 60 - 50 * 50);
    Near.relative(flange(Tessellation.turned(p, 360), 10), ring(meets, meets + 30), 0.01);
  }

  @Test
  public void whatAMasterEnclosesOfTheBoardIsNoFlange() {
    TriangleMesh hoop =
        Tessellation.turned(new double[][] {{50, 0}, {60, 0}, {60, 30}, {50, 30}, {50, 0}}, 360);
    Near.relative(flange(hoop, 8), ring(68, 98), 0.002);
  }
}
