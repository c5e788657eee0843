package ungula.core.filling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ungula.core.air.AirTraps.Pocket;
import ungula.core.geometry.Vec3;

/**
 * How a room fills: how high it stands after so much was poured and after so long, and where air is
 * sealed off on the way.
 *
 * @param up against gravity meanwhile
 * @param course from empty to full
 * @param sealed pockets in the order they are sealed off
 */
public record Filling(Vec3 up, List<Point> course, List<Sealed> sealed) {

  /**
   * @param mm3 poured by then
   * @param levelMm it stands at, along up
   * @param freshS after so long if it stays as thin as when it was mixed
   * @param thickeningS after so long as it thickens; infinite where it gets no further
   */
  public record Point(double mm3, double levelMm, double freshS, double thickeningS) {}

  /**
   * @param mm3 poured by then
   * @param levelMm at which it is sealed off, along up
   */
  public record Sealed(Pocket pocket, double mm3, double levelMm) {}

  /**
   * @param pockets of air that stay
   */
  public static Filling of(Levels levels, List<Pocket> pockets, Flow flow) {
    List<Point> course = new ArrayList<>();
    for (int n = 0; n <= Levels.COUNT; n++) {
      double poured = levels.mm3()[n];
      course.add(
          new Point(poured, levels.height(n), flow.freshS(poured), flow.thickeningS(poured)));
    }
    List<Sealed> sealed =
        pockets.stream()
            .map(p -> sealed(p, p.top().dot(levels.up()) - p.depthMm(), course))
            .sorted(Comparator.comparingDouble(Sealed::levelMm))
            .toList();
    return new Filling(levels.up(), List.copyOf(course), sealed);
  }

  private static Sealed sealed(Pocket pocket, double level, List<Point> course) {
    Point before = course.get(0);
    for (Point p : course) {
      if (p.levelMm >= level) {
        double over = p.levelMm - before.levelMm;
        double t = over > 0 ? (level - before.levelMm) / over : 0;
        return new Sealed(pocket, before.mm3 + t * (p.mm3 - before.mm3), level);
      }
      before = p;
    }
    return new Sealed(pocket, before.mm3, level);
  }

  /** When it is full. */
  public Point full() {
    return course.get(course.size() - 1);
  }
}
