package ungula.core.skin;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.field.Coats;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plate.Plate;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class SkinFieldTest {

  private static SkinField field(TriangleMesh mesh) {
    return SkinField.of(mesh, 96, Parallel.ALL, Progress.NONE);
  }

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED, Plate.ALONE);
  }

  /** Half a ball, and a block, on a plate, with a coat of 10 mm: 77,493 and 226,935 mm³. */
  @Test
  public void coatsOnAPlate() {
    Near.relative(field(Shapes.dome()).curve().within(10), 77_493, 0.01);
    SkinField box = field(posed(Shapes.box()).mesh());
    Near.relative(box.curve().within(10), 226_935, 0.01);
    Near.relative(CoatCurve.ofBlock(new Vec3(40, 60, 80), 0.25, 30).within(10), 226_935, 1e-4);
  }

  @DataProvider
  public Object[][] demo() {
    return new Object[][] {
      {Harbour.MOORING_POST.mesh()}, {Harbour.BELL.mesh()}, {Harbour.COARSE_OCTOPUS.mesh()}
    };
  }

  /** The coats of a skin are what lies within its wall, worked out apart from them. */
  @Test(dataProvider = "demo")
  public void coatsTogetherAreAllWithinTheWall(TriangleMesh mesh) {
    PosedMaster master = posed(mesh);
    SkinField field = field(master.mesh());
    Vec3 size = master.mesh().bounds().size();
    double sum = 0;
    for (Coat coat : Skin.USUAL.coats(size)) {
      sum += field.curve().between(coat.fromMm(), coat.toMm());
    }
    double wall = Skin.USUAL.wallMm(size);
    double all = Coats.of(field.field(), Coats.On.PLATE, 0, List.of(wall)).get(0).volumeMm3();
    Near.relative(sum, all, 0.005);
  }

  /** Upside down it closes its inside off: no brush gets there. */
  @Test
  public void whatThePlateClosesOffIsNotBrushed() {
    TriangleMesh cup = Shapes.cup().moved(1, Rotation.NONE, new Vec3(0, 0, -5));
    double outside = Math.PI * (40 * 40 - 30 * 30) * 50;
    double top =
        Math.PI * 30 * 30 * 10 + Math.PI * Math.PI / 2 * 30 * 100 + 2.0 / 3 * Math.PI * 1000;
    Near.relative(field(cup).curve().within(10), outside + top, 0.01);
    SkinStudy study = SkinStudy.of(posed(cup), field(cup), Parallel.ALL);
    Near.relative(study.areaMm2(), 2 * Math.PI * 30 * 50 + Math.PI * 30 * 30, 0.01);
  }

  @Test
  public void inSectionASkinIsAsThickAsItIs() {
    SkinField field = field(Shapes.dome());
    double r = Math.sqrt(40 * 40 - 10 * 10);
    Near.relative(area(field.within(10, Cut.TOP, 10)), Math.PI * r * r, 0.01);
    Near.relative(area(field.within(10, Cut.FRONT, 0)), Math.PI * 40 * 40 / 2, 0.01);
    Near.absolute(field.outermostMm(10, 35, 0.5), 40, 0.6);
    // a quarter of the way round the ball and down to the plate
    Near.relative(field.alongMm(10, 120), Math.PI / 2 * 40, 0.02);
  }

  private static double area(List<double[]> rings) {
    return Rings.area(rings).getArea();
  }

  /** Of half a ball, the share steeper than an angle is the cosine of the angle. */
  @Test
  public void slopesOfABall() {
    SkinStudy study = SkinStudy.of(posed(Shapes.dome()), field(Shapes.dome()), Parallel.ALL);
    Near.absolute(study.steeper(60), Math.cos(Math.toRadians(60)), 0.01);
    Near.absolute(study.steeper(30), Math.cos(Math.toRadians(30)), 0.01);
    Near.absolute(study.steeper(90), 0, 0.01);
    assertEquals(study.stretch().share(), 0, 0.01);
  }

  @Test
  public void theOutsideOfACoatStandsOnThePlate() {
    TriangleMesh outside = field(Shapes.dome()).outside(10);
    assertTrue(outside.bounds().min().z() < 0 && outside.bounds().min().z() > -3);
    Near.absolute(outside.bounds().max().z(), 40, 0.3);
    TriangleMesh above = outside.only(t -> outside.middle(t).z() > 0);
    Near.relative(above.measure().areaMm2(), 2 * Math.PI * 40 * 40, 0.02);
  }
}
