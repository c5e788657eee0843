package ungula.core.parting;

import java.util.ArrayList;
import java.util.List;
import ungula.core.field.DistanceField;
import ungula.core.field.Grid;
import ungula.core.field.IsoSurface;
import ungula.core.field.Reach;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Decimation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.sprue.Channel;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * The rubber of a mould as closed meshes, piece by piece: the inside of the box up to the pour
 * line, less the master and what is left open for sprue and vents, divided at the parting with its
 * keys. Laid through the distance field of the master, so that a torn model does no harm; edges are
 * rounded by less than a cell. Flat parts are of few triangles.
 */
public final class MouldPieces {

  private final BoxMould box;
  private final Parting parting;
  private final Grid grid;
  private final DistanceField field;

  /** By column of the grid: how far outside the ring of the walls, and how high the parting. */
  private final double[] outsideMm;

  private final double[] partingMm;

  private final List<Channel> channels;
  private final List<Box3> round;

  private MouldPieces(
      BoxMould box, Parting parting, List<Channel> channels, Grid grid, DistanceField field) {
    this.channels = channels;
    this.round = channels.stream().map(c -> c.bounds(2 * grid.h())).toList();
    this.box = box;
    this.parting = parting;
    this.grid = grid;
    this.field = field;
    outsideMm = new double[grid.nx() * grid.ny()];
    partingMm = new double[outsideMm.length];
  }

  /**
   * @param name of the piece
   */
  public record Piece(String name, TriangleMesh mesh) {}

  /**
   * @param master as it stands in the box
   * @param parting null for a mould in one piece
   * @param channels through it, from the cast to the outside
   * @param cells along the longest side
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static List<Piece> of(
      BoxMould box,
      TriangleMesh master,
      Parting parting,
      List<Channel> channels,
      int cells,
      Parallel parallel,
      Progress progress) {
    Box3 block =
        new Box3(
            new Vec3(box.inside().minX(), box.inside().minY(), 0),
            new Vec3(box.inside().maxX(), box.inside().maxY(), box.pourLineMm()));
    double h = Grid.spacing(block, cells);
    Grid grid = Grid.round(block, 2 * h, h);
    DistanceField field =
        DistanceField.of(master, grid, Reach.band(2 * h), parallel, progress.part(0, 0.5));
    MouldPieces pieces = new MouldPieces(box, parting, channels, grid, field);
    progress.at("Laying out the parting", 0.5);
    pieces.columns(parallel);
    List<Piece> all = new ArrayList<>();
    if (parting == null) {
      progress.at("Laying a surface", 0.6);
      all.add(new Piece("mould", pieces.surface(0, progress.part(0.8, 1))));
      return all;
    }
    progress.at("Laying the lower half", 0.6);
    all.add(new Piece("lower half", pieces.surface(1, progress.part(0.7, 0.8))));
    progress.at("Laying the upper half", 0.8);
    all.add(new Piece("upper half", pieces.surface(-1, progress.part(0.9, 1))));
    return all;
  }

  /** To the surface of the cast with what stays in its channels, less than 0 in it. */
  private double toCast(int cell) {
    double d = field.at(cell);
    int layer = grid.nx() * grid.ny();
    double x = grid.x(cell % grid.nx());
    double y = grid.y(cell / grid.nx() % grid.ny());
    double z = grid.z(cell / layer);
    for (int i = 0; i < channels.size(); i++) {
      if (within(round.get(i), x, y, z)) {
        Channel c = channels.get(i);
        d = Math.min(d, c.distance(new Vec3(x, y, z)) - c.diameterMm() / 2);
      }
    }
    return d;
  }

  private static boolean within(Box3 b, double x, double y, double z) {
    return b.min().x() <= x
        && x <= b.max().x()
        && b.min().y() <= y
        && y <= b.max().y()
        && b.min().z() <= z
        && z <= b.max().z();
  }

  private void columns(Parallel parallel) {
    double[] ring = box.inside().ring();
    parallel.each(
        grid.ny(),
        j -> {
          double y = grid.y(j);
          for (int i = 0; i < grid.nx(); i++) {
            double x = grid.x(i);
            double off = Outline.distance(ring, x, y);
            int at = j * grid.nx() + i;
            outsideMm[at] = Outline.inside(List.of(ring), x, y) ? -off : off;
            partingMm[at] = parting == null ? 0 : parting.at(x, y);
          }
        });
  }

  /**
   * @param half 1 for what is under the parting, −1 for what is over it, 0 for all
   */
  private TriangleMesh surface(int half, Progress progress) {
    double top = box.pourLineMm();
    int layer = grid.nx() * grid.ny();
    TriangleMesh all =
        IsoSurface.of(
            grid,
            cell -> {
              double z = grid.z(cell / layer);
              int column = cell % layer;
              double d = Math.max(outsideMm[column], Math.max(-z, z - top));
              d = Math.max(d, -toCast(cell));
              return half == 0 ? d : Math.max(d, half * (z - partingMm[column]));
            });
    return Decimation.flat(all, progress);
  }
}
