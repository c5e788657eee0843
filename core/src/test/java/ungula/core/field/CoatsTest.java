package ungula.core.field;

import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.field.Coats.Coat;
import ungula.core.field.Coats.On;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class CoatsTest {

  private static final int COARSE_CELLS = 96;

  private static final List<Double> THICKNESSES = List.of(3.0, 6.0, 10.0, 15.0);

  private static List<Coat> coats(TriangleMesh mesh, On on, List<Double> thicknesses) {
    return Coats.of(mesh, on, thicknesses, Parallel.ALL, Progress.NONE);
  }

  /** The same in coarser cells, for what does not ask how exact the usual ones are. */
  private static List<Coat> coarse(TriangleMesh mesh, On on, List<Double> thicknesses) {
    return coats(mesh, on, thicknesses, COARSE_CELLS);
  }

  private static List<Coat> coats(TriangleMesh mesh, On on, List<Double> thicknesses, int cells) {
    double most = thicknesses.get(thicknesses.size() - 1);
    double h = Grid.spacing(mesh.bounds(), cells);
    Grid grid = Grid.round(mesh.bounds(), most + 2 * h, h);
    DistanceField field =
        DistanceField.of(mesh, grid, new Reach(0, most + 2 * h), Parallel.ALL, Progress.NONE);
    return Coats.of(field, on, mesh.bounds().min().z(), thicknesses);
  }

  @DataProvider
  public Object[][] figures() {
    return new Object[][] {
      {"sphere", 96, Shapes.sphere(), new double[] {37_435, 82_335, 154_985, 268_606}},
      {"box", Grid.DEFAULT_CELLS, Shapes.box(), new double[] {67_602, 146_062, 268_737, 453_372}},
      {"cylinder", 96, Shapes.cylinder(), new double[] {49_081, 107_240, 200_080, 342_972}},
      {"torus", 112, Shapes.torus(), new double[] {63_955, 142_122, 268_453, 461_897}},
    };
  }

  @Test(dataProvider = "figures")
  public void coatsOfFreeSolids(String name, int cells, TriangleMesh mesh, double[] expected) {
    List<Coat> all = coats(mesh, On.FREE, THICKNESSES, cells);
    for (int i = 0; i < expected.length; i++) {
      Coat c = all.get(i);
      Near.relative(c.volumeMm3(), expected[i], 0.002);
      double off = Math.abs(c.volumeMm3() - expected[i]);
      assertTrue(
          off <= 3 * c.errorMm3() + 0.0005 * expected[i],
          name + " " + c + " is off by more than it says: " + off);
      assertTrue(c.errorMm3() < 0.01 * c.volumeMm3(), name + " says too much: " + c);
    }
  }

  @Test
  public void coatsOnAPlate() {
    Near.relative(coats(Shapes.dome(), On.PLATE, List.of(10.0)).get(0).volumeMm3(), 77_493, 0.002);
    Near.relative(coarse(Shapes.box(), On.PLATE, List.of(10.0)).get(0).volumeMm3(), 226_935, 0.002);
  }

  /** V(t) = S·t + M·t² + 4π/3·t³ for a convex body in any attitude. */
  @Test
  public void steinersFormulaHoldsInAnyAttitude() {
    double a = 20;
    double b = 30;
    double c = 45;
    TriangleMesh box = Shapes.box().moved(1, Rotation.NONE, new Vec3(0, 0, 0));
    double[] p = box.xyz().clone();
    for (int i = 0; i < p.length; i += 3) {
      p[i] *= a / 40;
      p[i + 1] *= b / 60;
      p[i + 2] *= c / 80;
    }
    TriangleMesh slim = new TriangleMesh(p, box.corners());
    for (int degrees : new int[] {0, 20, 45, 71}) {
      TriangleMesh turned = Shapes.turned(slim, Rotation.about(new Vec3(1, 1, 2), degrees));
      for (Coat coat : coarse(turned, On.FREE, List.of(2.0, 5.0, 9.0))) {
        double t = coat.tMm();
        double expected =
            2 * (a * b + b * c + c * a) * t
                + Math.PI * (a + b + c) * t * t
                + 4 * Math.PI / 3 * t * t * t;
        Near.relative(coat.volumeMm3(), expected, 0.005);
      }
    }
  }

  @Test
  public void thickerCoatsHoldMoreAndTheDifferenceIsTheNextCoat() {
    TriangleMesh mesh = Harbour.FINIAL.mesh();
    List<Double> ts = List.of(1.0, 2.0, 3.0, 5.0, 8.0, 12.0);
    List<Coat> free = coarse(mesh, On.FREE, ts);
    List<Coat> plate = coarse(mesh, On.PLATE, ts);
    double before = 0;
    for (int i = 0; i < ts.size(); i++) {
      assertTrue(free.get(i).volumeMm3() > before);
      before = free.get(i).volumeMm3();
      assertTrue(plate.get(i).volumeMm3() < before, "a plate keeps the underside free");
    }
    // asked for alone it is the same: nothing depends on what else is asked
    DistanceField f =
        DistanceField.of(
            mesh, Grid.round(mesh.bounds(), 14, 1.2), Reach.ALL, Parallel.ALL, Progress.NONE);
    double together = Coats.of(f, On.FREE, 0, List.of(3.0, 8.0)).get(1).volumeMm3();
    double alone = Coats.of(f, On.FREE, 0, List.of(8.0)).get(0).volumeMm3();
    Near.absolute(together, alone, 1e-6);
  }
}
