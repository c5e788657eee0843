package ungula.core.cutline;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.absolute;
import static ungula.core.Near.relative;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Shapes;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.SheetStock;

public class CutPlanesTest {

  private static PosedMaster posed(TriangleMesh mesh, Rotation turn) {
    return PosedMaster.of(mesh, 1, new Pose(turn, 0));
  }

  private static BoxMould box(PosedMaster m) {
    Vec3 s = m.mesh().bounds().size();
    return new BoxMould(
        s,
        m.curve().raised(10),
        BoxInside.rectangle(s.x(), s.y(), 12, 12, 12, 12),
        10,
        10,
        15,
        SheetStock.FOAM_BOARD_6);
  }

  /** Half of a circle of r 30 is met; the plane out to a corner of the box is √2 as long. */
  @Test
  public void throughABall() {
    PosedMaster ball = posed(Shapes.sphere(), Rotation.NONE);
    CutPlanes planes = new CutPlanes(ball.mesh());
    CutLine right = planes.towards(0, box(ball), FacetSet.NONE);
    relative(right.seamMm(), Math.PI * 30, 0.002);
    relative(right.areaMm2(), 42 * 80 - Math.PI * 900 / 2, 0.002);
    absolute(right.shallowestMm(), 12, 0.01);
    absolute(right.lockedMm3(), 0, 150);
    relative(right.castMm2(), Math.PI * 900 / 2, 0.002);
    absolute(right.castMm(), 30, 0.01);
    CutLine corner = planes.towards(45, box(ball), FacetSet.NONE);
    relative(corner.areaMm2(), 42 * Math.sqrt(2) * 80 - Math.PI * 450, 0.002);
    CutLine best = planes.best(box(ball), FacetSet.NONE);
    absolute(best.degrees() % 90, 0, 1e-9);
  }

  /** All of the ball's outline, and the block's section less the ball's. */
  @Test
  public void cutRightRoundItIsBothSides() {
    PosedMaster ball = posed(Shapes.sphere(), Rotation.NONE);
    CutPlanes planes = new CutPlanes(ball.mesh());
    CutLine one = planes.towards(0, box(ball), FacetSet.NONE);
    CutLine round = planes.round(one, box(ball), FacetSet.NONE);
    relative(round.seamMm(), 2 * Math.PI * 30, 0.002);
    relative(round.areaMm2(), 84 * 80 - Math.PI * 900, 0.002);
    absolute(round.shallowestMm(), 12, 0.01);
    relative(round.castMm2(), Math.PI * 900, 0.002);
    absolute(round.castMm(), 30, 0.01);
    assertEquals(round.side(), "the right and the left");
    assertEquals(round.seen(Cut.TOP, box(ball), ball.shadow()).size(), 2);
    assertEquals(one.seen(Cut.FRONT, box(ball), ball.shadow()).size(), 1);
  }

  /** A half ball standing on its flat side has the middle of its section 4 r ÷ 3 π up. */
  @Test
  public void theMiddleOfWhatIsCutOfHalfABall() {
    PosedMaster dome = posed(Shapes.dome(), Rotation.NONE);
    double r = dome.mesh().bounds().size().z();
    CutLine cut = new CutPlanes(dome.mesh()).towards(30, box(dome), FacetSet.NONE);
    relative(cut.castMm2(), Math.PI * r * r / 4, 0.003);
    relative(cut.castMm(), 4 * r / (3 * Math.PI), 0.003);
  }

  /** A ring on edge, across its hole: the block comes off straight. Along the hole it locks. */
  @Test
  public void aRingIsCutAcrossItsAxis() {
    PosedMaster ring = posed(Shapes.torus(), Rotation.about(new Vec3(1, 0, 0), 90));
    CutPlanes planes = new CutPlanes(ring.mesh());
    // its axis lies along y: the plane along x opens along the axis
    double along = planes.towards(0, box(ring), FacetSet.NONE).lockedMm3();
    double across = planes.towards(90, box(ring), FacetSet.NONE).lockedMm3();
    assertTrue(along < 300, "along " + along);
    assertTrue(across > 20_000, "across " + across);
    assertEquals(planes.best(box(ring), FacetSet.NONE).degrees() % 180, 0.0);
  }

  @Test
  public void itKeepsOffWhatIsToStayClean() {
    PosedMaster ball = posed(Shapes.sphere(), Rotation.NONE);
    BitSet right = new BitSet();
    for (int t = 0; t < ball.mesh().triangleCount(); t++) {
      right.set(t, ball.mesh().middle(t).x() > -10);
    }
    CutPlanes planes = new CutPlanes(ball.mesh());
    CutLine best = planes.best(box(ball), FacetSet.of(right));
    absolute(best.degrees(), 180, 1e-9);
    CutLine over = planes.towards(0, box(ball), FacetSet.of(right));
    absolute(over.seamOnCleanMm(), over.seamMm(), 0.5);
  }

  /** From the wall to the master, in steps that get finer. */
  @Test
  public void itIsJagged() {
    PosedMaster ball = posed(Shapes.sphere(), Rotation.NONE);
    CutLine cut = new CutPlanes(ball.mesh()).towards(90, box(ball), FacetSet.NONE);
    double[] line = CutLine.fromAbove(cut.degrees(), box(ball), ball.shadow());
    absolute(line[1], 42, 1e-9);
    absolute(line[line.length - 1], 30, 0.1);
    absolute(line[line.length - 2], 0, 1e-9);
    List<Double> steps = new ArrayList<>();
    for (int i = 3; i < line.length; i += 2) {
      steps.add(line[i - 2] - line[i]);
    }
    assertTrue(steps.get(0) > 9 && steps.get(1) < 4, steps.toString());
  }
}
