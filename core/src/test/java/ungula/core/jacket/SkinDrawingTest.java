package ungula.core.jacket;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.mould.SectionDrawing.Shape;
import ungula.core.mould.SectionDrawing.Side;
import ungula.core.plate.Plate;
import ungula.core.quantity.Units;
import ungula.core.skin.Bridging;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinField;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class SkinDrawingTest {

  private static final Vec3 SIZE = new Vec3(60, 40, 80);

  private PosedMaster master;
  private SkinField field;
  private JacketScan scan;

  @BeforeClass
  public void make() {
    master = PosedMaster.of(Tessellation.box(60, 40, 80), 1, Pose.AS_MODELLED, Plate.ALONE);
    field = SkinField.of(master.mesh(), 100, Parallel.ALL, Progress.NONE);
    scan = JacketScan.of(field, Bridging.outside(field, 9), 9, Parallel.ALL);
  }

  private SectionDrawing drawn(Skin skin, Cut cut, Double cutDegrees, Jacket jacket) {
    return SkinDrawing.of(
        field,
        master.slicer(cut),
        SIZE,
        skin.coats(SIZE),
        skin,
        cutDegrees,
        Sections.of(scan, jacket),
        jacket,
        5,
        cut,
        null,
        Units.METRIC);
  }

  private static List<Shape> shapes(SectionDrawing drawing, Role role) {
    return drawing.shapes().stream().filter(s -> s.role() == role).toList();
  }

  private static double area(Shape shape) {
    return Rings.area(shape.rings()).getArea();
  }

  /** Bands lie over each other from the jacket inwards, each all that is within it. */
  @Test
  public void bandsAreToScale() {
    SectionDrawing top = drawn(Skin.USUAL, Cut.TOP, null, Jacket.USUAL);
    double before = Double.POSITIVE_INFINITY;
    for (Shape band : top.shapes()) {
      if (band.role() == Role.MASTER) {
        Near.relative(area(band), 60 * 40, 1e-6);
        break;
      }
      assertTrue(area(band) < before, band.role() + " lies over what it covers");
      before = area(band);
    }
    double all = area(shapes(top, Role.SMOOTHING_COAT).get(0));
    Near.relative(all, 60 * 40 + 2 * 9 * (60 + 40) + Math.PI * 81, 0.01);
    assertEquals(shapes(top, Role.BUILD_COAT).size(), 3);
    Near.relative(
        area(shapes(top, Role.JACKET).get(0)),
        60 * 40 + 2 * 14 * (60 + 40) + Math.PI * 14 * 14,
        0.01);
  }

  /** A foot of 15 mm under a belly of 40: the flange goes on from the skin of the foot. */
  @Test
  public void underABellyTheFlangeGoesOnFromTheFoot() {
    double[][] mushroom = {{0, 0}, {15, 0}, {15, 40}, {40, 40}, {40, 80}, {0, 80}};
    PosedMaster standing =
        PosedMaster.of(Tessellation.turned(mushroom, 180), 1, Pose.AS_MODELLED, Plate.ALONE);
    SkinField room = SkinField.of(standing.mesh(), 100, Parallel.ALL, Progress.NONE);
    JacketScan outside = JacketScan.of(room, Bridging.outside(room, 9), 9, Parallel.ALL);
    SectionDrawing front =
        SkinDrawing.of(
            room,
            standing.slicer(Cut.FRONT),
            standing.mesh().bounds().size(),
            Skin.USUAL.coats(SIZE),
            Skin.USUAL,
            null,
            Sections.of(outside, Jacket.USUAL),
            Jacket.USUAL,
            5,
            Cut.FRONT,
            null,
            Units.METRIC);
    Dimension flange =
        front.dimensions().stream()
            .filter(d -> d.of() == SectionDrawing.Measure.FLANGE)
            .findFirst()
            .orElseThrow();
    Near.absolute(flange.from(), 15 + 9, 1);
  }

  @Test
  public void fromTheFrontItStandsOnItsFlange() {
    SectionDrawing front = drawn(Skin.USUAL, Cut.FRONT, null, Jacket.USUAL);
    assertEquals(shapes(front, Role.PLATE).size(), 1);
    List<Dimension> left = front.dimensions().stream().filter(d -> d.side() == Side.LEFT).toList();
    assertEquals(left.stream().map(Dimension::text).toList(), List.of("9 mm", "89 mm"));
    Dimension flange =
        front.dimensions().stream()
            .filter(d -> d.of() == SectionDrawing.Measure.FLANGE)
            .findFirst()
            .orElseThrow();
    Near.absolute(flange.to() - flange.from(), 30, 1e-9);
    assertTrue(shapes(front, Role.PARTING).isEmpty(), "partings are seen from above");
  }

  @Test
  public void partingsAndTheCutRunOutFromTheSkin() {
    Jacket halves = Jacket.USUAL.moved(List.of(0.0, 180.0));
    SectionDrawing top = drawn(Skin.USUAL, Cut.TOP, 90.0, halves);
    List<Shape> partings = shapes(top, Role.PARTING);
    assertEquals(partings.size(), 2);
    double[] right = partings.get(0).rings().get(0);
    // from the outside of the skin through the jacket to the end of its flange
    Near.absolute(right[0], 39, 0.5);
    Near.absolute(right[2] - right[0], 5 + 40, 1e-9);
    double[] cut = shapes(top, Role.CUT_LINE).get(0).rings().get(0);
    Near.absolute(cut[3], 29, 0.5);
    assertTrue(top.right() >= right[2] - 1, "nothing is cut off");
  }

  /** Of a master known by its measures only, bands lie round its outer size. */
  @Test
  public void withoutAShapeBandsAreRectangles() {
    SectionDrawing top =
        SkinDrawing.of(
            null,
            null,
            SIZE,
            Skin.USUAL.coats(SIZE),
            Skin.USUAL,
            45.0,
            null,
            Jacket.USUAL,
            0,
            Cut.TOP,
            null,
            Units.METRIC);
    Near.relative(area(shapes(top, Role.SMOOTHING_COAT).get(0)), 78 * 58, 1e-9);
    assertEquals(shapes(top, Role.ENVELOPE).size(), 1);
    assertFalse(shapes(top, Role.CUT_LINE).isEmpty());
    assertTrue(shapes(top, Role.JACKET).isEmpty());
  }
}
