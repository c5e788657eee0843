package ungula.core.field;

import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * A closed surface in place of a broken one: where the distance field of a mesh is zero. Gaps are
 * bridged, doubled walls and parts inside others fall away, overlapping parts become one. Edges
 * sharper than a cell are rounded off by less than one.
 */
public final class MendedCopy {

  private MendedCopy() {}

  /**
   * @param cells along the longest side
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static TriangleMesh of(
      TriangleMesh mesh, int cells, Parallel parallel, Progress progress) {
    double h = Grid.spacing(mesh.bounds(), cells);
    Grid grid = Grid.round(mesh.bounds(), 2 * h, h);
    DistanceField field =
        DistanceField.of(mesh, grid, Reach.band(2 * grid.h()), parallel, progress.part(0, 0.8));
    progress.at("Laying a surface", 0.8);
    return IsoSurface.of(grid, field::at);
  }
}
