package ungula.core.mesh;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import ungula.core.geometry.Vec3;

/**
 * A mesh with what is certain put right: facets turned to agree, small flat openings closed, a
 * surface that faces inwards as a whole turned round. An inward-facing part inside another is a
 * cavity and stays.
 */
public record Mending(TriangleMesh mesh, int flipped, int closedLoops, boolean insideOut) {

  /** An opening is flat when no corner lies further from its plane than this share of its size. */
  private static final double FLAT = 0.01;

  /** An opening is small when its area is under this share of the surface. */
  private static final double SMALL = 0.02;

  public static Mending of(TriangleMesh mesh, Topology topology) {
    int flipped = 0;
    TriangleMesh current = mesh;
    if (!topology.consistentSense()) {
      boolean[] flip = topology.flipped();
      current = turned(current, flip);
      for (boolean f : flip) {
        flipped += f ? 1 : 0;
      }
    }
    int closedLoops = 0;
    if (topology.openEdges() > 0) {
      Topology now = current == mesh ? topology : Topology.of(current);
      List<int[]> small = smallFlat(current, now.boundaryLoops());
      closedLoops = small.size();
      if (closedLoops > 0) {
        current = capped(current, small);
      }
    }
    boolean insideOut = false;
    double volume = current.measure().volumeMm3();
    if (volume < 0) {
      boolean[] all = new boolean[current.triangleCount()];
      Arrays.fill(all, true);
      current = turned(current, all);
      insideOut = true;
    }
    return new Mending(current, flipped, closedLoops, insideOut);
  }

  private static TriangleMesh turned(TriangleMesh mesh, boolean[] flip) {
    int[] corners = mesh.corners().clone();
    for (int t = 0; t < flip.length; t++) {
      if (flip[t]) {
        int swap = corners[3 * t + 1];
        corners[3 * t + 1] = corners[3 * t + 2];
        corners[3 * t + 2] = swap;
      }
    }
    return new TriangleMesh(mesh.xyz(), corners);
  }

  private static List<int[]> smallFlat(TriangleMesh mesh, List<int[]> loops) {
    double surface = mesh.measure().areaMm2();
    List<int[]> small = new ArrayList<>();
    for (int[] loop : loops) {
      if (loop.length < 3) {
        continue;
      }
      Vec3 centre = centre(mesh, loop);
      Vec3 normal = Vec3.ZERO;
      double reach = 0;
      for (int i = 0; i < loop.length; i++) {
        Vec3 a = mesh.vertex(loop[i]).minus(centre);
        Vec3 b = mesh.vertex(loop[(i + 1) % loop.length]).minus(centre);
        normal = normal.plus(a.cross(b));
        reach = Math.max(reach, a.norm());
      }
      double area = normal.norm() / 2;
      if (area == 0 || area > SMALL * surface) {
        continue;
      }
      Vec3 unit = normal.unit();
      boolean flat = true;
      for (int v : loop) {
        flat &= Math.abs(mesh.vertex(v).minus(centre).dot(unit)) <= FLAT * reach;
      }
      if (flat) {
        small.add(loop);
      }
    }
    return small;
  }

  private static Vec3 centre(TriangleMesh mesh, int[] loop) {
    Vec3 sum = Vec3.ZERO;
    for (int v : loop) {
      sum = sum.plus(mesh.vertex(v));
    }
    return sum.times(1.0 / loop.length);
  }

  /** A fan round the middle of each opening: exact in volume for a flat one of any outline. */
  private static TriangleMesh capped(TriangleMesh mesh, List<int[]> loops) {
    int extra = loops.stream().mapToInt(l -> l.length).sum();
    double[] xyz = Arrays.copyOf(mesh.xyz(), mesh.xyz().length + 3 * loops.size());
    int[] corners = Arrays.copyOf(mesh.corners(), mesh.corners().length + 3 * extra);
    int vertex = mesh.vertexCount();
    int at = mesh.corners().length;
    for (int[] loop : loops) {
      Vec3 c = centre(mesh, loop);
      xyz[3 * vertex] = c.x();
      xyz[3 * vertex + 1] = c.y();
      xyz[3 * vertex + 2] = c.z();
      for (int i = 0; i < loop.length; i++) {
        corners[at++] = loop[(i + 1) % loop.length];
        corners[at++] = loop[i];
        corners[at++] = vertex;
      }
      vertex++;
    }
    return new TriangleMesh(xyz, corners);
  }
}
