package ungula.core.air;

import java.util.List;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.TriangleTree;

/**
 * The way of a channel from its place on the cast to the outside of the mould, as that lies while
 * it is cast in.
 *
 * @param path from its place to where it leaves the mould, straight from each to the next
 * @param rubberMm of its length lie in rubber
 * @param seamMm of its length lie in the seam, half in each side of the mould
 * @param castMm of its length lie in the cast itself: it leads back into it on its way
 */
public record VentWay(List<Vec3> path, double rubberMm, double seamMm, double castMm) {

  /** A look goes on so far behind what it met, as a share of the body's diagonal. */
  private static final double HAIR = 1e-7;

  /** A way through an edge is moved aside by so many of those. */
  private static final double ASIDE_X = 0.7548;

  private static final double ASIDE_Y = 0.5698;

  public VentWay {
    path = List.copyOf(path);
  }

  /** Its place on the cast. */
  public Vec3 at() {
    return path.get(0);
  }

  /** Where it leaves the mould. */
  public Vec3 out() {
    return path.get(path.size() - 1);
  }

  public double lengthMm() {
    return rubberMm + seamMm + castMm;
  }

  /** Of its length, what a cast fills beside the cavity. */
  public double channelMm() {
    return rubberMm + seamMm;
  }

  /**
   * Straight.
   *
   * @param tree of the cast's surface
   * @param cast facing outwards
   * @param place on it
   * @param up of length one
   * @param block of rubber round it, mm
   */
  public static VentWay straight(
      TriangleTree tree, TriangleMesh cast, Vec3 place, Vec3 up, Box3 block) {
    double out = leavesAt(place, up, block);
    double hair = HAIR * cast.bounds().diagonal();
    Vec3 aside = up.cross(Math.abs(up.z()) > 0.5 ? new Vec3(1, 0, 0) : Vec3.UP).unit();
    Vec3 from = place.plus(aside.times(ASIDE_X * hair)).plus(up.cross(aside).times(ASIDE_Y * hair));
    double room = 0;
    // what lies at the place itself is not on the way
    double at = 10 * hair;
    while (at < out) {
      Vec3 p = from.plus(up.times(at));
      int met = tree.firstMet(p.x(), p.y(), p.z(), up.x(), up.y(), up.z(), -1);
      if (met < 0) {
        break;
      }
      double on = tree.met(met, p.x(), p.y(), p.z(), up.x(), up.y(), up.z()) + hair;
      room += cast.areaVector(met).dot(up) > 0 ? Math.min(on, out - at) : 0;
      at += on;
    }
    List<Vec3> path = List.of(place, place.plus(up.times(out)));
    return new VentWay(path, Math.max(0, out - room), 0, room);
  }

  /** Where a straight way leaves a block. */
  public static Vec3 leaves(Vec3 place, Vec3 up, Box3 block) {
    return place.plus(up.times(leavesAt(place, up, block)));
  }

  private static double leavesAt(Vec3 place, Vec3 up, Box3 block) {
    return Math.min(
        leaves(place.x(), up.x(), block.min().x(), block.max().x()),
        Math.min(
            leaves(place.y(), up.y(), block.min().y(), block.max().y()),
            leaves(place.z(), up.z(), block.min().z(), block.max().z())));
  }

  /** How far it is to leave a span. */
  private static double leaves(double at, double along, double low, double high) {
    return along > 0 ? (high - at) / along : along < 0 ? (low - at) / along : 1e300;
  }
}
