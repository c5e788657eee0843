package ungula.core.air;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.field.Grid;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class AirTrapsTest {

  private static Room cavity(TriangleMesh mesh, double h) {
    return Room.cavity(mesh, h, Parallel.ALL, Progress.NONE);
  }

  private static Vec3 highest(TriangleMesh mesh, Vec3 up) {
    Vec3 best = mesh.vertex(0);
    for (int v = 1; v < mesh.vertexCount(); v++) {
      best = mesh.vertex(v).dot(up) > best.dot(up) ? mesh.vertex(v) : best;
    }
    return best;
  }

  @Test
  public void sphereOpenAtTheTopAndAtTheEquator() {
    Room room = cavity(Shapes.sphere(), 0.5);
    Near.relative(room.volumeMm3(), 113_097.3, 0.002);
    assertEquals(
        AirTraps.of(room, List.of(Opening.at(new Vec3(0, 0, 60))), Vec3.UP).totalMm3(), 0.0);
    AirTraps.Result half = AirTraps.of(room, List.of(Opening.at(new Vec3(30, 0, 30))), Vec3.UP);
    Near.relative(half.totalMm3(), 56_550, 0.005);
    assertEquals(half.pockets().size(), 1);
    Near.absolute(half.pockets().get(0).depthMm(), 30, 0.5);
    Near.absolute(half.pockets().get(0).top().minus(new Vec3(0, 0, 60)).norm(), 0, 0.6);
  }

  @Test
  public void torusOnEdgeAndLyingFlat() {
    TriangleMesh torus = Shapes.torus();
    Room room = cavity(torus, 0.5);
    Vec3 across = new Vec3(1, 0, 0);
    assertEquals(
        AirTraps.of(room, List.of(Opening.at(highest(torus, across))), across).totalMm3(), 0.0);
    assertEquals(
        AirTraps.of(room, List.of(Opening.at(new Vec3(40, 0, 24))), Vec3.UP).totalMm3(), 0.0);
    // opened at the side of the ring, half of it stays full of air
    Near.relative(
        AirTraps.of(room, List.of(Opening.at(new Vec3(0, 52, 12))), across).totalMm3(),
        113_697.8 / 2,
        0.01);
  }

  @Test
  public void cupUpsideDownInItsBox() {
    Room room = Room.round(Shapes.cup(), Shapes.boxRoundCup(), 0.5, Parallel.ALL, Progress.NONE);
    AirTraps.Result down = AirTraps.of(room, List.of(Opening.WHOLE_TOP), Vec3.UP);
    Near.relative(down.totalMm3(), 97_690, 0.005);
    Near.absolute(down.pockets().get(0).depthMm(), 46, 0.01);
    assertEquals(AirTraps.of(room, List.of(Opening.WHOLE_TOP), new Vec3(1, 0, 0)).totalMm3(), 0.0);
    // a vent at the pocket's top lets it all out
    List<Opening> vented = List.of(Opening.WHOLE_TOP, Opening.at(down.pockets().get(0).top()));
    assertEquals(AirTraps.of(room, vented, Vec3.UP).totalMm3(), 0.0);
  }

  @Test
  public void aRoomWithoutAWayOutIsUnreached() {
    TriangleMesh two = Shapes.both(Shapes.sphere(), Shapes.sphere(), new Vec3(80, 0, 0));
    Room room = cavity(two, 1);
    AirTraps.Result r = AirTraps.of(room, List.of(Opening.at(new Vec3(0, 0, 60))), Vec3.UP);
    assertEquals(r.totalMm3(), 0.0);
    Near.relative(r.unreachedMm3(), 113_097, 0.01);
  }

  @DataProvider
  public Object[][] convex() {
    return new Object[][] {{Shapes.sphere()}, {Shapes.box()}, {Shapes.cylinder()}};
  }

  @Test(dataProvider = "convex")
  public void convexCavitiesOpenedAtTheTopTrapNothing(TriangleMesh mesh) {
    Room room = cavity(mesh, 1);
    Random random = new Random(3);
    for (int i = 0; i < 25; i++) {
      Vec3 up =
          new Vec3(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).unit();
      AirTraps.Result r = AirTraps.of(room, List.of(Opening.at(highest(mesh, up))), up);
      assertEquals(r.totalMm3() + r.unreachedMm3(), 0.0, "up " + up);
    }
  }

  @Test
  public void turningTheMasterAndUpTogetherChangesLittle() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    Vec3 up = new Vec3(0.4, 0.3, 0.8).unit();
    Opening at = Opening.at(highest(mesh, new Vec3(1, 0, 0.2)));
    double here = AirTraps.of(cavity(mesh, 0.8), List.of(at), up).totalMm3();
    assertTrue(here > 2000, "nothing to compare: " + here);
    for (int degrees : new int[] {30, 75, 160}) {
      Rotation turn = Rotation.about(new Vec3(1, 3, 2), degrees);
      Room turned = cavity(Shapes.turned(mesh, turn), 0.8);
      double there =
          AirTraps.of(turned, List.of(Opening.at(turn.apply(at.at()))), turn.apply(up)).totalMm3();
      Near.relative(there, here, 0.06);
    }
  }

  @Test
  public void moreOpeningsNeverTrapMore() {
    TriangleMesh mesh = Harbour.NAUTILUS.mesh();
    Room room = cavity(mesh, 1);
    Random random = new Random(8);
    List<Opening> openings = new ArrayList<>(List.of(Opening.at(mesh.vertex(0))));
    double before = Double.MAX_VALUE;
    for (int i = 0; i < 12; i++) {
      AirTraps.Result r = AirTraps.of(room, openings, Vec3.UP);
      double stays = r.totalMm3() + r.unreachedMm3();
      assertTrue(stays <= before, i + " openings: " + stays + " after " + before);
      before = stays;
      openings.add(Opening.at(mesh.vertex(random.nextInt(mesh.vertexCount()))));
    }
  }

  /** The definition itself, by a plain priority queue over all cells. */
  @Test
  public void agreesWithThePlainDefinition() {
    TriangleMesh mesh = Harbour.CHESS_SET.mesh();
    Room room = Room.round(mesh, mesh.bounds(), 2.1, Parallel.ALL, Progress.NONE);
    Random random = new Random(4);
    for (int i = 0; i < 8; i++) {
      Vec3 up =
          new Vec3(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).unit();
      Opening o = Opening.at(room.grid().centre(openCell(room, random)));
      AirTraps.Result r = CellTraps.of(room, List.of(o), up);
      double plain = plain(room, o, up);
      double listed = r.pockets().stream().mapToDouble(AirTraps.Pocket::volumeMm3).sum();
      assertEquals(listed, r.totalMm3(), 1e-6);
      assertEquals(r.totalMm3(), plain, 1e-6, "up " + up);
    }
  }

  private static int openCell(Room room, Random random) {
    int cell = random.nextInt(room.open().length);
    while (room.open()[cell] == 0) {
      cell = random.nextInt(room.open().length);
    }
    return cell;
  }

  private static double plain(Room room, Opening o, Vec3 up) {
    Grid g = room.grid();
    double[] spill = new double[g.count()];
    Arrays.fill(spill, Double.NEGATIVE_INFINITY);
    record Way(double spill, int cell) {}
    PriorityQueue<Way> queue = new PriorityQueue<>((p, q) -> Double.compare(q.spill(), p.spill()));
    double hole = o.at().dot(up);
    for (int cell : room.cellsAt(o)) {
      queue.add(new Way(Math.min(hole, g.centre(cell).dot(up)), cell));
    }
    boolean[] done = new boolean[g.count()];
    while (!queue.isEmpty()) {
      Way w = queue.poll();
      if (done[w.cell()]) {
        continue;
      }
      done[w.cell()] = true;
      spill[w.cell()] = w.spill();
      for (int next : neighbours(g, w.cell())) {
        if (room.open()[next] != 0 && !done[next]) {
          queue.add(new Way(Math.min(w.spill(), g.centre(next).dot(up)), next));
        }
      }
    }
    return pockets(room, up, spill, done);
  }

  private static List<Integer> neighbours(Grid g, int cell) {
    List<Integer> all = new ArrayList<>();
    for (int c = 0; c < 27; c++) {
      if (c != 13) {
        all.add(cell + g.index(c % 3 - 1, c / 3 % 3 - 1, c / 9 - 1));
      }
    }
    return all;
  }

  private static double pockets(Room room, Vec3 up, double[] spill, boolean[] reached) {
    Grid g = room.grid();
    boolean[] seen = new boolean[g.count()];
    double oneCell = g.h() * (Math.abs(up.x()) + Math.abs(up.y()) + Math.abs(up.z()));
    double total = 0;
    for (int seed = 0; seed < g.count(); seed++) {
      List<Integer> pocket = new ArrayList<>();
      List<Integer> todo = new ArrayList<>(List.of(seed));
      double deepest = 0;
      while (!todo.isEmpty()) {
        int cell = todo.remove(todo.size() - 1);
        double deep = g.centre(cell).dot(up) - spill[cell];
        if (seen[cell] || !reached[cell] || room.open()[cell] == 0 || deep <= 1e-8 * g.h()) {
          continue;
        }
        seen[cell] = true;
        pocket.add(cell);
        deepest = Math.max(deepest, deep);
        todo.addAll(neighbours(g, cell));
      }
      total += deepest > 1.001 * oneCell ? pocket.size() * g.cellMm3() : 0;
    }
    return total;
  }

  @Test
  public void aHoleAwayFromTheRoomOpensNothing() {
    Room room = cavity(Shapes.sphere(), 1);
    assertFalse(room.opensAt(Opening.at(new Vec3(60, 0, 0))));
    assertTrue(room.opensAt(Opening.at(new Vec3(30, 0, 30))));
    assertThrows(IllegalArgumentException.class, () -> cavity(Shapes.sphere(), 0.01));
  }

  @Test
  public void underPressureAPocketShrinks() {
    Near.absolute(PotPressure.shrunk(1_800, 400), 364, 0.5);
    assertEquals(PotPressure.shrunk(1_800, 0), 1_800.0);
    Near.absolute(PotPressure.ballMm(Math.PI / 6 * 1_000), 10, 1e-9);
  }
}
