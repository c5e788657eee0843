package ungula.core.skin;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class BridgingTest {

  private static final double WALL = 10;

  private static SkinField field(TriangleMesh mesh) {
    return SkinField.of(mesh, 96, Parallel.ALL, Progress.NONE);
  }

  private static List<Bridge> bridges(SkinField field) {
    return Bridging.of(field, Bridging.outside(field, WALL), WALL, Parallel.ALL, Progress.NONE);
  }

  /** Two balls of 30 mm with so much between them, in the middle. */
  private static TriangleMesh balls(double gap) {
    double far = 30 + gap / 2;
    return Shapes.both(
        Shapes.sphere().moved(1, Rotation.NONE, new Vec3(-far, 0, 0)),
        Shapes.sphere(),
        new Vec3(far, 0, 0));
  }

  private static Optional<Bridge> between(List<Bridge> all) {
    return all.stream().filter(b -> b.at().minus(new Vec3(0, 0, 30)).norm() < 5).findFirst();
  }

  /**
   * What a ball of the wall rolled round the neck does not get into: a solid of revolution, less
   * two caps.
   */
  private static double neckMm3(double gap) {
    double r = 30;
    double d = r + gap / 2;
    double centre = Math.sqrt((r + WALL) * (r + WALL) - d * d);
    double contact = d * WALL / (r + WALL);
    double sum = 0;
    int n = 2000;
    for (int i = 0; i < n; i++) {
      double x = contact * (i + 0.5) / n;
      double y = centre - Math.sqrt(WALL * WALL - x * x);
      sum += 2 * Math.PI * y * y * contact / n;
    }
    double h = contact - gap / 2;
    return sum - 2 * Math.PI * h * h / 3 * (3 * r - h);
  }

  @DataProvider
  public Object[][] gaps() {
    return new Object[][] {{2.0}, {5.0}, {8.0}};
  }

  @Test(dataProvider = "gaps")
  public void betweenTwoBallsTheSkinClosesUp(double gap) {
    Bridge neck = between(bridges(field(balls(gap)))).orElseThrow();
    // the crease of the outside, which decides it, lies up to half a cell off
    Near.relative(neck.mm3(), neckMm3(gap), 0.15);
    Near.absolute(neck.at().y(), 0, 0.5);
    double centre = Math.sqrt(40 * 40 - (30 + gap / 2) * (30 + gap / 2));
    Near.absolute(neck.deepMm(), centre, 1.5);
  }

  @Test
  public void fartherApartThanTwoWallsItDoesNot() {
    assertTrue(between(bridges(field(balls(22)))).isEmpty());
  }

  /** A slot 8 mm wide between two blocks; what a rolling ball sags into it at its open sides. */
  private static final double SLOT_MM3 = 8 * 60 * 80 - 4.49 * (2 * 80 + 60);

  private static TriangleMesh slot() {
    return Shapes.both(
        Tessellation.box(40, 60, 80).moved(1, Rotation.NONE, new Vec3(-24, 0, 0)),
        Tessellation.box(40, 60, 80),
        new Vec3(24, 0, 0));
  }

  @Test
  public void aPluggedSlotTakesThatMuchLessRubberAndLooksTheSame() {
    SkinField open = field(slot());
    List<Bridge> all = bridges(open);
    assertEquals(all.size(), 1);
    Bridge bridge = all.get(0);
    Near.relative(bridge.mm3(), SLOT_MM3, 0.03);
    SkinField plugged =
        open.plugged(List.of(new Skin.Plug(bridge.at(), WALL)), Parallel.ALL, Progress.NONE);
    double less = open.curve().within(WALL) - plugged.curve().within(WALL);
    Near.relative(less, SLOT_MM3, 0.03);
    // the outside stays where it was, and every coat under it grows from the clay too
    double before = area(open, WALL);
    Near.relative(area(plugged, WALL), before, 0.005);
    assertTrue(area(plugged, 2) > area(open, 2) + 100);
    assertTrue(bridges(plugged).isEmpty());
  }

  private static double area(SkinField field, double mm) {
    return Rings.area(field.within(mm, Cut.TOP, 40)).getArea();
  }

  @Test
  public void aPlugWhereThereIsNoRecessChangesNothing() {
    SkinField open = field(Shapes.dome());
    SkinField same =
        open.plugged(List.of(new Skin.Plug(new Vec3(0, 0, 50), WALL)), Parallel.ALL, Progress.NONE);
    assertEquals(same.curve().mm3(), open.curve().mm3());
  }
}
