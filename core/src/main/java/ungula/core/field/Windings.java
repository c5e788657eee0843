package ungula.core.field;

import java.util.BitSet;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.WindingNumber;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** How often what closes a surface's gaps winds round the cells of a grid. */
final class Windings {

  private static final int BLOCK = 4;

  /** Of a block within which it changes. */
  private static final byte CHANGES = Byte.MIN_VALUE;

  private final Grid grid;
  private final TriangleMesh mesh;
  private final WindingNumber winding;
  private final int bx;
  private final int by;

  /** The whole number nearest, by block. */
  private final byte[] nearest;

  Windings(TriangleMesh mesh, Grid grid, Parallel parallel, Progress progress) {
    this.grid = grid;
    this.mesh = mesh;
    winding = WindingNumber.of(mesh);
    bx = blocks(grid.nx());
    by = blocks(grid.ny());
    int bz = blocks(grid.nz());
    nearest = new byte[bx * by * bz];
    BitSet near = blocksNear();
    parallel.each(
        bz,
        slab -> {
          progress.at("Looking into the gaps", (double) slab / bz);
          for (int b = slab * bx * by; b < (slab + 1) * bx * by; b++) {
            nearest[b] = near.get(b) ? CHANGES : within(b % bx, b / bx % by, slab);
          }
        });
  }

  private static int blocks(int cells) {
    return (cells + BLOCK - 1) / BLOCK;
  }

  /** With no surface for a block's width it changes by less than a quarter over half of one. */
  private byte within(int i, int j, int k) {
    double half = (BLOCK - 1) / 2.0;
    double h = grid.h();
    double middle =
        winding.at(
            grid.x(i * BLOCK) + half * h,
            grid.y(j * BLOCK) + half * h,
            grid.z(k * BLOCK) + half * h);
    long whole = Math.round(middle);
    return Math.abs(middle - whole) < 0.25 && Math.abs(whole) < 100 ? (byte) whole : CHANGES;
  }

  /**
   * Sets those cells of a run that are inside, where the closed surface winds round it so often.
   */
  void run(BitSet inside, int j, int k, int from, int to, int closed) {
    for (int i = from; i < to; ) {
      byte here = nearest[(k / BLOCK * by + j / BLOCK) * bx + i / BLOCK];
      int end = Math.min(to, (i / BLOCK + 1) * BLOCK);
      if (here != CHANGES && closed != here) {
        inside.set(j * grid.nx() + i, j * grid.nx() + end);
      }
      for (; here == CHANGES && i < end; i++) {
        if (Math.abs(closed - winding.at(grid.x(i), grid.y(j), grid.z(k))) >= 0.5) {
          inside.set(j * grid.nx() + i);
        }
      }
      i = end;
    }
  }

  /** Blocks that a triangle's bounds touch, or that lie next to such a one. */
  private BitSet blocksNear() {
    int bz = blocks(grid.nz());
    BitSet near = new BitSet(bx * by * bz);
    double side = BLOCK * grid.h();
    double[] o = {
      grid.origin().x() - grid.h() / 2,
      grid.origin().y() - grid.h() / 2,
      grid.origin().z() - grid.h() / 2
    };
    int[] n = {bx, by, bz};
    double[] p = mesh.xyz();
    int[] c = mesh.corners();
    int[] lo = new int[3];
    int[] hi = new int[3];
    for (int t = 0; t < mesh.triangleCount(); t++) {
      for (int a = 0; a < 3; a++) {
        double u = p[3 * c[3 * t] + a];
        double v = p[3 * c[3 * t + 1] + a];
        double w = p[3 * c[3 * t + 2] + a];
        lo[a] = (int) Math.max(0, Math.floor((Math.min(u, Math.min(v, w)) - o[a]) / side) - 1);
        hi[a] =
            (int) Math.min(n[a] - 1.0, Math.floor((Math.max(u, Math.max(v, w)) - o[a]) / side) + 1);
      }
      for (int k = lo[2]; k <= hi[2]; k++) {
        for (int j = lo[1]; j <= hi[1]; j++) {
          if (lo[0] <= hi[0]) {
            near.set((k * by + j) * bx + lo[0], (k * by + j) * bx + hi[0] + 1);
          }
        }
      }
    }
    return near;
  }
}
