package ungula.core.parting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

/**
 * Where keys go: the largest the land takes first, which is out in the corners, then ever smaller
 * ones in what is left, well apart from each other.
 */
public final class KeyLayout {

  /** Land left between a key and the cavity. */
  public static final double TO_CAVITY_MM = 4;

  /** Between a key and the wall of the box. */
  public static final double TO_WALL_MM = 3;

  /** Walls that leave room for keys of a useful size. */
  public static final double ROOM_MM = 16;

  private static final double LARGEST_MM = 20;
  private static final double LEAST_MM = 5;
  private static final double PIN_MM = 6;

  /** A pin stands this far proud of the first half. */
  private static final double PROUD_MM = 4;

  /** A dome's height, as a share of its diameter. */
  private static final double DOME = 0.4;

  /** From middle to middle of two keys, at first. */
  private static final double APART_MM = 45;

  private static final int FEWEST = 4;

  private final Keying keying;
  private final List<Key> room = new ArrayList<>();

  private KeyLayout(Keying keying) {
    this.keying = keying;
  }

  /**
   * @param inside of the box
   * @param cavity what the master covers, seen from above
   */
  static List<Key> of(Keying keying, Geometry inside, Geometry cavity) {
    if (!keying.single()) {
      return List.of();
    }
    KeyLayout layout = new KeyLayout(keying);
    layout.look(inside, cavity);
    List<Key> keys = List.of();
    for (double apart = APART_MM; keys.size() < FEWEST && apart > 2 * LEAST_MM; apart *= 0.75) {
      keys = layout.pick(apart);
    }
    return keys.size() < 2 ? List.of() : layout.facing(keys);
  }

  /** Everywhere a key could be, with the largest that goes there. */
  private void look(Geometry inside, Geometry cavity) {
    var within = new IndexedPointInAreaLocator(inside);
    var in = new IndexedPointInAreaLocator(cavity);
    var toWall = new IndexedFacetDistance(inside.getBoundary());
    var toCavity = new IndexedFacetDistance(cavity);
    var reach = inside.getEnvelopeInternal();
    double step = Math.max(2, Math.max(reach.getWidth(), reach.getHeight()) / 100);
    // outwards from the middle, so that what is alike left and right comes out alike
    int across = (int) (reach.getWidth() / 2 / step);
    int along = (int) (reach.getHeight() / 2 / step);
    for (int j = -along; j <= along; j++) {
      for (int i = -across; i <= across; i++) {
        Coordinate c = new Coordinate(reach.centre().x + i * step, reach.centre().y + j * step);
        if (within.locate(c) != Location.INTERIOR || in.locate(c) != Location.EXTERIOR) {
          continue;
        }
        Point p = inside.getFactory().createPoint(c);
        double most =
            2 * Math.min(toWall.distance(p) - TO_WALL_MM, toCavity.distance(p) - TO_CAVITY_MM);
        double diameter = keying == Keying.PINS ? PIN_MM : Math.min(LARGEST_MM, Math.floor(most));
        if (diameter >= LEAST_MM && diameter <= most) {
          room.add(key(c, diameter, true));
        }
      }
    }
  }

  private Key key(Coordinate c, double diameter, boolean up) {
    boolean domed = keying != Keying.PINS;
    return new Key(c.x, c.y, diameter, domed ? DOME * diameter : PROUD_MM, domed, up);
  }

  private List<Key> pick(double apart) {
    List<Key> picked = new ArrayList<>();
    List<Key> left = new ArrayList<>(room);
    while (!left.isEmpty()) {
      Key next =
          left.stream()
              .max(
                  Comparator.comparingDouble(Key::diameterMm)
                      .thenComparingDouble(k -> nearest(k, picked)))
              .orElseThrow();
      picked.add(next);
      left.removeIf(k -> distance(k, next) < Math.max(apart, k.diameterMm() + next.diameterMm()));
    }
    return picked;
  }

  /** To the nearest of some keys; from the first, outwards counts. */
  private static double nearest(Key k, List<Key> picked) {
    return picked.stream().mapToDouble(p -> distance(k, p)).min().orElse(Math.hypot(k.x(), k.y()));
  }

  private static double distance(Key a, Key b) {
    return Math.hypot(a.x() - b.x(), a.y() - b.y());
  }

  /** One way round, every other one the other way if they are to be mixed. */
  private List<Key> facing(List<Key> keys) {
    List<Key> round = new ArrayList<>(keys);
    round.sort(Comparator.comparingDouble(k -> Math.atan2(k.y(), k.x())));
    List<Key> out = new ArrayList<>();
    for (Key k : round) {
      boolean up = keying != Keying.DOMES_BOTH || out.size() % 2 == 0;
      out.add(new Key(k.x(), k.y(), k.diameterMm(), k.heightMm(), k.domed(), up));
    }
    return List.copyOf(out);
  }
}
