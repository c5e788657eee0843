package ungula.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Extrusion;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** Air by the surface's own heights, against what can be worked out by hand and against cells. */
public class SurfaceTrapsTest {

  private static final Vec3 Y = new Vec3(0, 1, 0);

  private static Room cavity(TriangleMesh mesh, double h) {
    return Room.cavity(mesh, h, Parallel.ALL, Progress.NONE);
  }

  /** A room 40 mm long under a roof with three peaks, y being up. */
  private static TriangleMesh hall() {
    return Extrusion.prism(
        new double[] {0, 0, 60, 0, 60, 10, 45, 14, 30, 9, 27, 9.2, 22, 8.9, 15, 13, 0, 8}, 40);
  }

  @Test
  public void eachPocketIsSealedWhereTheSurfaceSealsIt() {
    // open at the right end, 10 mm up
    Room hall = cavity(hall(), 0.5);
    AirTraps.Result r = AirTraps.of(hall, List.of(Opening.at(new Vec3(60, 10, 20))), Y);
    List<Pocket> pockets = r.pockets();
    assertEquals(pockets.size(), 3, pockets.toString());
    // the right peak down to the opening's height
    double right = (60 - 33) * 4 / 2.0;
    Near.relative(pockets.get(0).volumeMm3(), 40 * right, 1e-9);
    Near.absolute(pockets.get(0).depthMm(), 4, 1e-9);
    Near.absolute(pockets.get(0).top().minus(new Vec3(45, 14, 20)).norm(), 0, 20);
    // the left one down to the lower beam, as low as the small one beside it
    double left = (13 - 8.9) * (22 - 15 * 0.9 / 5) / 2;
    Near.relative(pockets.get(1).volumeMm3(), 40 * left, 1e-9);
    // that is not a fifth of a cell of 0.5 mm deep
    double small = 0.2 * (30 - (22 + 5 * 0.1 / 0.3)) / 2;
    Near.relative(pockets.get(2).volumeMm3(), 40 * small, 1e-9);
    Near.absolute(pockets.get(2).depthMm(), 0.2, 1e-9);
    Near.relative(r.totalMm3(), 40 * (left + right + small), 1e-9);
  }

  @Test
  public void aSmallerPocketIsPartOfTheOneAboveItsBeam() {
    // open low on the left: all three are one down to 8 mm
    Room hall = cavity(hall(), 0.5);
    AirTraps.Result r = AirTraps.of(hall, List.of(Opening.at(new Vec3(0, 8, 20))), Y);
    assertEquals(r.pockets().size(), 1);
    double roof =
        (8 + 13) / 2.0 * 15
            + (13 + 8.9) / 2 * 7
            + (8.9 + 9.2) / 2 * 5
            + (9.2 + 9) / 2 * 3
            + (9 + 14) / 2.0 * 15
            + (14 + 10) / 2.0 * 15
            - 8 * 60;
    Near.relative(r.totalMm3(), 40 * roof, 1e-9);
    Near.absolute(r.pockets().get(0).depthMm(), 6, 1e-9);
  }

  @Test
  public void aBodyInTheRoomTakesItsShare() {
    TriangleMesh shell =
        Shapes.both(
            Shapes.sphere(),
            Shapes.insideOut(Shapes.sphere().moved(1 / 3.0, Rotation.NONE, new Vec3(0, 0, 20))),
            Vec3.ZERO);
    Room room = cavity(shell, 0.5);
    assertEquals(
        AirTraps.of(room, List.of(Opening.at(new Vec3(0, 0, 60))), Vec3.UP).totalMm3(), 0.0);
    double equator =
        AirTraps.of(room, List.of(Opening.at(new Vec3(30, 0, 30))), Vec3.UP).totalMm3();
    Near.relative(equator, 2 * Math.PI / 3 * (27_000 - 1_000), 0.002);
  }

  @Test
  public void whatStandsOnThePlateIsNotFilledUnder() {
    // a cup mouth down on the plate: all of it is out of reach
    TriangleMesh cup = Shapes.cup().moved(1, Rotation.NONE, new Vec3(0, 0, -5));
    Box3 box = new Box3(new Vec3(-42, -42, 0), new Vec3(42, 42, 65));
    Room room = Room.round(cup, box, 0.5, Parallel.ALL, Progress.NONE);
    AirTraps.Result r = AirTraps.of(room, List.of(Opening.WHOLE_TOP), Vec3.UP);
    assertEquals(r.totalMm3(), 0.0);
    Near.relative(r.unreachedMm3(), Math.PI * 26 * 26 * 46, 0.001);
  }

  @DataProvider
  public Object[][] masters() {
    return new Object[][] {
      {Harbour.NAUTILUS}, {Harbour.OCTOPUS}, {Harbour.BELL}, {Harbour.FINIAL}, {Harbour.SEAL_PUP}
    };
  }

  /** Cells of half a millimetre say about the same, less what is shallower than they are. */
  @Test(dataProvider = "masters")
  public void cellsSayAboutTheSame(Harbour shape) {
    TriangleMesh mesh = shape.mesh();
    double h = Math.cbrt(mesh.bounds().volume() / 1_500_000);
    Room room = cavity(mesh, h);
    Random random = new Random(5);
    for (int i = 0; i < 2; i++) {
      Vec3 up =
          new Vec3(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).unit();
      List<Opening> low = List.of(Opening.at(mesh.furthest(up.times(-1))));
      double exact = AirTraps.of(room, low, up).totalMm3();
      double cells = CellTraps.of(room, low, up).totalMm3();
      Near.relative(cells, exact, 0.01);
      List<Opening> side = List.of(Opening.at(mesh.furthest(new Vec3(up.y(), up.z(), up.x()))));
      AirTraps.Result its = AirTraps.of(room, side, up);
      double rough = CellTraps.of(room, side, up).totalMm3();
      Near.absolute(rough, its.totalMm3(), 0.02 * its.totalMm3() + 150);
      // the cells of the pockets take up what they hold
      int drawn = its.cells().set().cardinality();
      Near.absolute(drawn * room.grid().cellMm3(), its.totalMm3(), 0.01 * its.totalMm3() + 150);
    }
  }

  @Test(dataProvider = "masters")
  public void turningSurfaceAndDirectionTogetherChangesNothing(Harbour shape) {
    TriangleMesh mesh = shape.mesh();
    Vec3 up = new Vec3(0.4, 0.3, 0.8).unit();
    Vec3 hole = mesh.furthest(new Vec3(1, 0, 0.2));
    AirTraps.Result here = AirTraps.of(cavity(mesh, 2), List.of(Opening.at(hole)), up);
    for (int degrees : new int[] {30, 75, 160}) {
      Rotation turn = Rotation.about(new Vec3(1, 3, 2), degrees);
      AirTraps.Result there =
          AirTraps.of(
              cavity(Shapes.turned(mesh, turn), 2),
              List.of(Opening.at(turn.apply(hole))),
              turn.apply(up));
      Near.relative(there.totalMm3(), here.totalMm3(), 1e-6);
      assertEquals(there.pockets().size(), here.pockets().size());
    }
  }

  @Test(dataProvider = "masters")
  public void moreOpeningsNeverKeepMore(Harbour shape) {
    TriangleMesh mesh = shape.mesh();
    Room room = cavity(mesh, 2);
    Random random = new Random(8);
    List<Opening> openings = new ArrayList<>(List.of(Opening.at(mesh.vertex(0))));
    double before = Double.MAX_VALUE;
    for (int i = 0; i < 12; i++) {
      AirTraps.Result r = AirTraps.of(room, openings, Vec3.UP);
      double stays = r.totalMm3() + r.unreachedMm3();
      assertTrue(stays <= before + 1, i + " openings: " + stays + " after " + before);
      before = stays;
      openings.add(Opening.at(mesh.vertex(random.nextInt(mesh.vertexCount()))));
    }
  }

  /** A hole at the top of a pocket lets all of it out, and no other loses by it. */
  @Test(dataProvider = "masters")
  public void aVentAtThePeakLetsAPocketOut(Harbour shape) {
    TriangleMesh mesh = shape.mesh();
    Room room = cavity(mesh, 2);
    Opening foot = Opening.at(mesh.furthest(Vec3.UP.times(-1)));
    AirTraps.Result sealed = AirTraps.of(room, List.of(foot), Vec3.UP);
    Pocket most =
        sealed.pockets().stream().max(Comparator.comparingDouble(Pocket::volumeMm3)).orElseThrow();
    AirTraps.Result vented = AirTraps.of(room, List.of(foot, Opening.at(most.top())), Vec3.UP);
    double highest = most.top().z();
    assertTrue(
        vented.pockets().stream().allMatch(p -> p.top().z() <= highest + 1e-6),
        vented.pockets().toString());
    assertTrue(vented.totalMm3() < sealed.totalMm3());
  }

  @Test
  public void whatRunsIntoItselfIsFilledInCells() {
    TriangleMesh two = Shapes.both(Shapes.sphere(), Shapes.sphere(), new Vec3(40, 0, 0));
    Room room = cavity(two, 0.7);
    assertTrue(room.surface().isEmpty());
    // open at the top of the first: of the second the cap above the waist stays, but for a cell
    double r = AirTraps.of(room, List.of(Opening.at(new Vec3(0, 0, 60))), Vec3.UP).totalMm3();
    double cap = 30 - Math.sqrt(30 * 30 - 20 * 20);
    Near.relative(r, Math.PI * cap * cap / 3 * (90 - cap), 0.05);
    // where it is highest is one place, not all that is less than a cell lower
    Room lower = cavity(Shapes.both(Shapes.sphere(), Shapes.sphere(), new Vec3(40, 0, -0.5)), 0.7);
    assertTrue(lower.surface().isEmpty());
    double rest = AirTraps.of(lower, List.of(Opening.HIGHEST), Vec3.UP).totalMm3();
    Near.relative(rest, Math.PI * cap * cap / 3 * (90 - cap), 0.12);
    assertTrue(cavity(Shapes.sphere(), 1).surface().isPresent());
    assertTrue(cavity(Shapes.insideOut(Shapes.sphere()), 1).surface().isPresent());
    assertTrue(cavity(Shapes.torn(Shapes.sphere(), 3), 1).surface().isEmpty());
  }
}
