package ungula.core.air;

import static org.testng.Assert.assertEquals;

import java.util.Optional;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.field.Grid;
import ungula.core.geometry.Vec3;

/** Air in cells of 2 mm, the first with its middle at (10, 20, 30). */
public class AirCellsTest {

  private static final Grid GRID = new Grid(new Vec3(10, 20, 30), 2, 10, 8, 6);

  private static int cell(int i, int j, int k) {
    return GRID.index(i, j, k);
  }

  /** Three cells that touch at their corners, and two by themselves in the row over them. */
  private static final AirCells CELLS =
      AirCells.of(
          GRID,
          new int[] {cell(1, 1, 1), cell(2, 2, 1), cell(8, 1, 2), cell(9, 1, 2), cell(3, 3, 2)});

  @Test
  public void theNearestIsFoundAlongARunAndAllThatHangsTogetherCounts() {
    AirCells.Near run = CELLS.near(new Vec3(40, 22, 34)).orElseThrow();
    // the last of the run of two has its middle at 28, and reaches a millimetre further
    Near.absolute(run.mm(), 11, 1e-9);
    Near.absolute(run.volumeMm3(), 2 * 8, 1e-9);
    AirCells.Near corners = CELLS.near(new Vec3(12, 22, 32)).orElseThrow();
    Near.absolute(corners.mm(), 0, 1e-9);
    Near.absolute(corners.volumeMm3(), 3 * 8, 1e-9);
  }

  /** The end of one row and the beginning of the next are no neighbours. */
  @Test
  public void rowsDoNotRunIntoEachOther() {
    AirCells ends = AirCells.of(GRID, new int[] {cell(9, 1, 1), cell(0, 2, 1)});
    Near.absolute(ends.near(new Vec3(28, 22, 32)).orElseThrow().volumeMm3(), 8, 1e-9);
  }

  @Test
  public void withoutAirThereIsNone() {
    assertEquals(AirCells.of(GRID, new int[0]).near(Vec3.ZERO), Optional.empty());
  }
}
