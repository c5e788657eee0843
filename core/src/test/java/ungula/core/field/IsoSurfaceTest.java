package ungula.core.field;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

public class IsoSurfaceTest {

  private static final Box3 ROOM = new Box3(new Vec3(-60, -60, -60), new Vec3(60, 60, 60));

  private static MeshReport report(IsoSurface.Shape shape, int cells) {
    return MeshReport.of(IsoSurface.of(shape, ROOM, cells), Progress.NONE).report();
  }

  @DataProvider
  public Object[][] shapes() {
    IsoSurface.Shape ball = (x, y, z) -> Math.sqrt(x * x + y * y + z * z) - 30;
    IsoSurface.Shape torus = (x, y, z) -> Math.hypot(Math.hypot(x, y) - 40, z) - 12;
    IsoSurface.Shape cube =
        (x, y, z) -> Math.max(Math.abs(x), Math.max(Math.abs(y), Math.abs(z))) - 20;
    IsoSurface.Shape two =
        (x, y, z) ->
            Math.min(
                    Math.sqrt((x - 30) * (x - 30) + y * y + z * z),
                    Math.sqrt((x + 30) * (x + 30) + y * y + z * z))
                - 20;
    return new Object[][] {
      {ball, 113_097.3, 1, 0},
      {torus, 113_697.8, 1, 1},
      {cube, 64_000.0, 1, 0},
      {two, 2 * 33_510.3, 2, 0},
    };
  }

  @Test(dataProvider = "shapes")
  public void surfacesAreClosedAndFaceOutwards(
      IsoSurface.Shape shape, double volume, int parts, int holes) {
    MeshReport r = report(shape, 80);
    assertTrue(r.closed() && !r.insideOut(), r.toString());
    assertEquals(r.flippedFacets(), 0);
    assertEquals(r.parts(), parts);
    assertEquals(r.genus(), holes);
    // 1.5 mm cells: chords and cut corners cost under 1 %
    Near.relative(r.volumeMm3(), volume, 0.01);
  }

  @Test
  public void finerIsCloser() {
    IsoSurface.Shape ball = (x, y, z) -> Math.sqrt(x * x + y * y + z * z) - 30;
    double coarse = Math.abs(report(ball, 30).volumeMm3() - 113_097.3);
    double fine = Math.abs(report(ball, 90).volumeMm3() - 113_097.3);
    assertTrue(fine < coarse / 6, coarse + " then " + fine);
  }

  @Test
  public void cornersExactlyOnTheSurfaceDoNotTearIt() {
    // the planes of this cube run through grid points
    IsoSurface.Shape cube =
        (x, y, z) -> Math.max(Math.abs(x), Math.max(Math.abs(y), Math.abs(z))) - 30;
    MeshReport r = report(cube, 12);
    assertTrue(r.openEdges() == 0, r.toString());
    Near.relative(r.volumeMm3(), 216_000, 1e-9);
  }

  /** A distance known by cells, exactly zero in some of them, still makes a closed surface. */
  @Test
  public void aGridOfDistancesMakesAClosedSurface() {
    Grid grid = Grid.round(new Box3(new Vec3(-20, -20, -20), new Vec3(20, 20, 20)), 4, 1);
    IsoSurface.ByCell cube =
        cell -> {
          Vec3 p = grid.centre(cell);
          return Math.max(Math.abs(p.x()), Math.max(Math.abs(p.y()), Math.abs(p.z()))) - 15.5;
        };
    MeshReport r = MeshReport.of(IsoSurface.of(grid, cube), Progress.NONE).report();
    assertTrue(r.closed() && !r.insideOut(), r.toString());
    // corners and edges are cut by less than a cell
    Near.relative(r.volumeMm3(), 31 * 31 * 31, 0.01);
  }
}
