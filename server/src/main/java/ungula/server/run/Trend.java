package ungula.server.run;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import ungula.core.run.Degas;

/** What a gauge showed lately: no more than a point a second, and so many. */
final class Trend {

  private static final int POINTS = 300;

  private static final int APART_MS = 950;

  private final Deque<Degas.Point> points = new ArrayDeque<>();

  synchronized void add(Degas.Point p) {
    if (points.isEmpty() || points.getLast().at().plusMillis(APART_MS).isBefore(p.at())) {
      points.addLast(p);
      if (points.size() > POINTS) {
        points.removeFirst();
      }
    }
  }

  /** The oldest first. */
  synchronized List<Degas.Point> points() {
    return List.copyOf(points);
  }
}
