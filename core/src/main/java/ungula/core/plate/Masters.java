package ungula.core.plate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Rings;
import ungula.core.mesh.Shadow;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/**
 * The masters a model consists of: bodies that do not touch. Those over each other, seen from
 * above, are one, as a body and what is loose inside it.
 */
public final class Masters {

  /** Detail of an outline that does not matter where masters lie. */
  private static final double ROUGH_MM = 0.05;

  /** A model in more parts is torn, not several masters. */
  private static final int MOST = 64;

  private final TriangleMesh mesh;

  /** By facet: the master it belongs to. */
  private final int[] of;

  private final int count;

  /** Null until they are asked for: an outline takes as long as a plan. */
  private List<double[]> footprints;

  /** Null until they are asked for. */
  private List<TriangleMesh> bodies;

  private Masters(TriangleMesh mesh, int[] of, int count, List<double[]> footprints) {
    this.mesh = mesh;
    this.of = of;
    this.count = count;
    this.footprints = footprints;
  }

  /**
   * @param mesh as it stands, mm
   */
  public static Masters of(TriangleMesh mesh) {
    int[] part = Topology.of(mesh).partOf();
    int parts = Arrays.stream(part).max().orElse(0) + 1;
    if (parts == 1 || parts > MOST) {
      return new Masters(mesh, new int[part.length], 1, null);
    }
    List<double[]> outlines = new ArrayList<>();
    for (int k = 0; k < parts; k++) {
      outlines.add(outline(part(mesh, part, k)));
    }
    int[] group = grouped(outlines.stream().map(Rings::polygon).toList());
    int groups = Arrays.stream(group).max().orElse(0) + 1;
    int[] of = Arrays.stream(part).map(k -> group[k]).toArray();
    List<double[]> footprints = new ArrayList<>();
    for (int g = 0; g < groups; g++) {
      int one = g;
      int[] in = IntStream.range(0, parts).filter(k -> group[k] == one).toArray();
      footprints.add(in.length == 1 ? outlines.get(in[0]) : outline(part(mesh, of, g)));
    }
    return new Masters(mesh, of, groups, footprints);
  }

  /** Numbers those that touch alike, from 0. */
  private static int[] grouped(List<? extends Geometry> areas) {
    int[] group = new int[areas.size()];
    Arrays.fill(group, -1);
    int groups = 0;
    for (int k = 0; k < group.length; k++) {
      if (group[k] >= 0) {
        continue;
      }
      group[k] = groups;
      List<Integer> open = new ArrayList<>(List.of(k));
      while (!open.isEmpty()) {
        Geometry at = areas.get(open.remove(open.size() - 1));
        for (int j = 0; j < group.length; j++) {
          if (group[j] < 0 && at.intersects(areas.get(j))) {
            group[j] = groups;
            open.add(j);
          }
        }
      }
      groups++;
    }
    return group;
  }

  private static TriangleMesh part(TriangleMesh mesh, int[] of, int which) {
    return mesh.only(t -> of[t] == which);
  }

  /** All round: where a body's shadow falls apart, round all of it. */
  private static double[] outline(TriangleMesh body) {
    List<double[]> shadow = Shadow.of(body);
    if (shadow.size() == 1) {
      return Outline.thinned(shadow.get(0), ROUGH_MM);
    }
    Geometry all = Rings.filled(shadow);
    Geometry one = all instanceof Polygon ? all : all.convexHull();
    return Outline.thinned(Rings.of(((Polygon) one).getExteriorRing()), ROUGH_MM);
  }

  public int count() {
    return count;
  }

  /** Each by itself, where it is. */
  public synchronized List<TriangleMesh> bodies() {
    if (bodies == null) {
      bodies =
          count == 1
              ? List.of(mesh)
              : IntStream.range(0, count).mapToObj(g -> part(mesh, of, g)).toList();
    }
    return bodies;
  }

  /** Seen from above: x and y in turn, a ring for each master. */
  public synchronized List<double[]> footprints() {
    if (footprints == null) {
      footprints = List.of(outline(mesh));
    }
    return footprints;
  }

  /** Laid out close together, with copies after the masters themselves. */
  public LaidOut laidOut(Plate plate) {
    List<double[]> all = new ArrayList<>();
    for (int copy = 0; copy < plate.copies(); copy++) {
      all.addAll(footprints());
    }
    return laidOut(Packing.of(all, plate.landMm()));
  }

  /**
   * Seen from above.
   *
   * @param laidOut where they went; null where they are as they stand
   */
  public OnPlate on(Plate plate, LaidOut laidOut) {
    return laidOut == null
        ? new OnPlate(count, this::footprints, plate.landMm())
        : new OnPlate(OnPlate.laid(footprints(), laidOut.laid()), plate.landMm());
  }

  /**
   * @param laid where each footprint goes, all of the first copy first
   */
  private LaidOut laidOut(List<Laid> laid) {
    int n = mesh.triangleCount();
    int copies = laid.size() / count();
    double[] from = mesh.xyz();
    int[] c = mesh.corners();
    // a vertex belongs to one body only
    int[] owner = new int[mesh.vertexCount()];
    for (int k = 0; k < c.length; k++) {
      owner[c[k]] = of[k / 3];
    }
    double[] xyz = new double[copies * from.length];
    int[] corners = new int[copies * c.length];
    for (int copy = 0; copy < copies; copy++) {
      for (int v = 0; v < owner.length; v++) {
        Laid to = laid.get(copy * count() + owner[v]);
        int at = copy * from.length + 3 * v;
        double[] p = to.ring(new double[] {from[3 * v], from[3 * v + 1]});
        xyz[at] = p[0];
        xyz[at + 1] = p[1];
        xyz[at + 2] = from[3 * v + 2];
      }
      for (int k = 0; k < c.length; k++) {
        corners[copy * 3 * n + k] = copy * owner.length + c[k];
      }
    }
    TriangleMesh rough = new TriangleMesh(xyz, corners);
    Vec3 off = rough.bounds().centre();
    Vec3 middle = new Vec3(-off.x(), -off.y(), 0);
    return new LaidOut(
        rough.moved(1, Rotation.NONE, middle),
        laid.stream().map(l -> l.moved(middle.x(), middle.y())).toList(),
        bounds());
  }

  /** Of each master, where it is. */
  private List<Box3> bounds() {
    return bodies().stream().map(TriangleMesh::bounds).toList();
  }
}
