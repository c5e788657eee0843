package ungula.core.form;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.field.IsoSurface;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class ThinPartsTest {

  private static List<ThinPart> of(TriangleMesh mesh) {
    return ThinParts.of(mesh, new Parallel(2), Progress.NONE);
  }

  /** A ball of r 15 with a rod of r 1.5 that ends 25 mm from it. */
  private static TriangleMesh ballWithRod() {
    double root = Math.sqrt(15 * 15 - 1.5 * 1.5);
    double[][] profile = new double[40][];
    for (int i = 0; i < 37; i++) {
      double z = -15 + i * (root + 15) / 36;
      profile[i] = new double[] {Math.sqrt(Math.max(0, 225 - z * z)), z + 15};
    }
    profile[37] = new double[] {1.5, 30.01};
    profile[38] = new double[] {1.5, 55};
    profile[39] = new double[] {0, 55};
    return Tessellation.turned(profile, 90);
  }

  @Test
  public void aRodOnABallIsALimb() {
    List<ThinPart> found = of(ballWithRod());
    assertEquals(found.size(), 1);
    ThinPart rod = found.get(0);
    assertEquals(rod.kind(), ThinPart.Kind.LIMB);
    Near.absolute(rod.thicknessMm(), 3, 0.4);
    Near.absolute(rod.lengthMm(), 25, 2.5);
    Near.absolute(rod.tip().minus(new Vec3(0, 0, 55)).norm(), 0, 2);
  }

  @Test
  public void itIsFoundHoweverItIsTurned() {
    Rotation turn = Rotation.about(new Vec3(1, 2, 0.5), 51);
    ThinPart rod = of(Shapes.turned(ballWithRod(), turn)).get(0);
    Near.absolute(rod.thicknessMm(), 3, 0.4);
    // ways between cells are up to 8 % longer than straight ones
    Near.absolute(rod.lengthMm(), 25, 3.5);
    Near.absolute(rod.tip().minus(turn.apply(new Vec3(0, 0, 55))).norm(), 0, 2.5);
  }

  @Test
  public void thickBodiesAndTheirEdgesAreNotThin() {
    assertTrue(of(Shapes.box()).isEmpty());
    assertTrue(of(Shapes.sphere()).isEmpty());
    assertTrue(of(Shapes.torus()).isEmpty());
    assertTrue(of(Shapes.cup()).isEmpty(), "4 mm is not thin");
  }

  @Test
  public void aSheetIsAWall() {
    ThinPart sheet = of(Tessellation.box(60, 50, 2.4)).get(0);
    assertEquals(sheet.kind(), ThinPart.Kind.WALL);
    Near.absolute(sheet.thicknessMm(), 2.4, 0.5);
  }

  @Test
  public void whatJoinsTwoBallsIsANeck() {
    Box3 box = new Box3(new Vec3(-14, -14, -14), new Vec3(14, 14, 54));
    TriangleMesh dumbbell =
        IsoSurface.of(
            (x, y, z) -> {
              double balls =
                  Math.min(
                      Math.sqrt(x * x + y * y + z * z) - 12,
                      Math.sqrt(x * x + y * y + (z - 40) * (z - 40)) - 12);
              double rod = Math.max(Math.hypot(x, y) - 1.4, Math.max(-z, z - 40));
              return Math.min(balls, rod);
            },
            box,
            100);
    ThinPart neck = of(dumbbell).get(0);
    assertEquals(neck.kind(), ThinPart.Kind.NECK);
    // cells of 0.35 mm, and a rod of flat sides
    Near.absolute(neck.thicknessMm(), 2.8, 0.6);
    Near.absolute(neck.lengthMm(), 16, 2);
  }
}
