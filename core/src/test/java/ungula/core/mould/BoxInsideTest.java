package ungula.core.mould;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Shadow;
import ungula.core.mesh.TriangleMesh;

/** Boxes of every shape, against plane geometry. */
public class BoxInsideTest {

  private static final double WALL = 12;

  private static PosedMaster posed(TriangleMesh mesh) {
    return PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
  }

  private static BoxInside round(TriangleMesh mesh, BoxShape shape) {
    return round(posed(mesh), shape);
  }

  private static BoxInside round(PosedMaster p, BoxShape shape) {
    Vec3 s = p.mesh().bounds().size();
    BoxInside rectangle = BoxInside.rectangle(s.x(), s.y(), WALL, WALL, WALL, WALL);
    return BoxInside.of(shape, rectangle, p.shadow(), WALL);
  }

  private static TriangleMesh cylinder(double r, double h) {
    return Tessellation.turned(new double[][] {{0, 0}, {r, 0}, {r, h}, {0, h}}, 200);
  }

  private static double shadow(TriangleMesh mesh) {
    return Shadow.of(mesh).stream().mapToDouble(Outline::area).sum();
  }

  @Test
  public void aShadowIsWhatIsCovered() {
    Near.relative(shadow(Tessellation.box(80, 55, 42)), 80 * 55, 5e-3);
    Near.relative(shadow(cylinder(25, 70)), Math.PI * 625, 6e-3);
    // a ring's hole counts as covered
    Near.relative(shadow(Tessellation.torus(40, 12, 200, 100)), Math.PI * 52 * 52, 6e-3);
    assertTrue(shadow(Tessellation.box(80, 55, 42)) >= 80 * 55);
    assertEquals(Shadow.of(Harbour.CHESS_SET.mesh()).size(), 3);
  }

  @Test
  public void aTubeIsTheNextPipe() {
    BoxInside i = round(cylinder(25, 70), BoxShape.TUBE);
    // 50 + 24 = 74
    Near.relative(i.areaMm2(), Math.PI * 37.5 * 37.5, 1e-9);
    Near.absolute(i.thinnestMm(), 12.5, 0.1);
    Near.relative(Outline.area(i.ring()), i.areaMm2(), 1e-3);
    assertEquals(i.spanMm(), 0.0);
    // wider than any pipe: rolled to suit
    BoxInside wide = round(cylinder(250, 70), BoxShape.TUBE);
    Near.absolute(Math.sqrt(wide.areaMm2() / Math.PI), 262, 0.5);
  }

  @Test
  public void cornerBlocksLeaveTheWall() {
    BoxInside i = round(cylinder(25, 70), BoxShape.BLOCKS);
    // (25 + 12) · (2 − √2) = 21.7, in whole fives
    assertEquals(i.legsMm(), new double[] {20, 20, 20, 20});
    Near.relative(i.areaMm2(), 74 * 74 - 4 * 200, 1e-9);
    Near.relative(Outline.area(i.ring()), i.areaMm2(), 1e-9);
    Near.relative(i.perimeterMm(), 4 * (74 - 40) + 4 * 20 * Math.sqrt(2), 1e-9);
    Near.absolute(i.thinnestMm(), 12, 0.05);
    // a square leaves its corners no room
    assertEquals(
        round(Tessellation.box(60, 60, 40), BoxShape.BLOCKS).legsMm(), new double[] {0, 0, 0, 0});
  }

  @Test
  public void roundEndsFitWhatIsRoundAtTheEnds() {
    // a bar of two half discs r 15, their middles 80 apart
    TriangleMesh end = cylinder(15, 20);
    TriangleMesh bar = Shapes.both(end, end.moved(1, Rotation.NONE, new Vec3(80, 0, 0)), Vec3.ZERO);
    BoxInside i = round(bar, BoxShape.ROUND_ENDED);
    Near.relative(i.areaMm2(), 80 * 54 + Math.PI * 27 * 27, 0.01);
    Near.relative(i.perimeterMm(), 160 + 2 * Math.PI * 27, 0.01);
    Near.relative(Outline.area(i.ring()), i.areaMm2(), 1e-3);
  }

  @DataProvider
  public Object[][] masters() {
    return new Object[][] {
      {Harbour.NAUTILUS.mesh()},
      {Harbour.SEAL_PUP.mesh()},
      {Harbour.ROPE_KNOT.mesh()},
      {Harbour.CHESS_SET.mesh()},
      {Harbour.FINIAL.mesh()},
      {Tessellation.box(80, 55, 42)},
    };
  }

  @Test(dataProvider = "masters")
  public void everyShapeLeavesTheWallAndAnOutlineSavesRubber(TriangleMesh mesh) {
    PosedMaster master = posed(mesh);
    double shadow = shadow(mesh);
    double rectangle = round(master, BoxShape.RECTANGLE).areaMm2();
    for (BoxShape shape : BoxShape.values()) {
      BoxInside i = round(master, shape);
      assertTrue(i.thinnestMm() > WALL - 0.25, shape + " leaves " + i.thinnestMm());
      assertTrue(i.areaMm2() > shadow, shape.toString());
    }
    assertTrue(round(master, BoxShape.BLOCKS).areaMm2() <= rectangle);
    BoxInside outline = round(master, BoxShape.OUTLINE);
    assertTrue(outline.areaMm2() < 1.03 * rectangle, outline.areaMm2() + " of " + rectangle);
    double[] ring = outline.ring();
    double around = 0;
    for (int i = 0; i < ring.length; i += 2) {
      double stretch = outline.stretchMm(i / 2);
      assertTrue(stretch >= BoxInside.LEAST_STRETCH_MM, "a stretch of " + stretch);
      around += stretch;
    }
    Near.relative(around, outline.perimeterMm(), 1e-9);
  }

  @Test
  public void whatDoesNotFitIsLessThanNothing() {
    List<double[]> shadow = posed(cylinder(25, 70)).shadow();
    BoxInside tight = BoxInside.rectangle(50, 50, -3, 5, 5, 5);
    assertEquals(BoxInside.of(BoxShape.RECTANGLE, tight, shadow, 5).thinnestMm(), -3.0);
    assertTrue(BoxInside.of(BoxShape.BLOCKS, tight, shadow, 5).thinnestMm() <= -2.9);
  }

  @Test
  public void aCutRunsInsideWhereTheRingDoes() {
    // two arms of a U, open to the back
    double[] u = {0, 0, 90, 0, 90, 60, 60, 60, 60, 30, 30, 30, 30, 60, 0, 60};
    assertEquals(BoxInside.along(u, 0, 45), new double[] {0, 30, 60, 90});
    assertEquals(BoxInside.along(u, 0, 10), new double[] {0, 90});
    assertEquals(BoxInside.along(u, 1, 45), new double[] {0, 30});
  }
}
