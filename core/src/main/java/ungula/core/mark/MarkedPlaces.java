package ungula.core.mark;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.TriangleMesh;

/** Where a master is marked, as it stands. */
public final class MarkedPlaces {

  private final Map<Mark, List<Vec3>> places = new EnumMap<>(Mark.class);

  /**
   * @param mesh as it stands
   * @param shift from there to where it stands in the box
   */
  public MarkedPlaces(TriangleMesh mesh, Marks marks, Vec3 shift) {
    marks
        .on()
        .forEach(
            (mark, facets) ->
                places.put(
                    mark,
                    facets.facets().stream()
                        .filter(t -> t < mesh.triangleCount())
                        .mapToObj(t -> mesh.middle(t).plus(shift))
                        .toList()));
  }

  /** Whether the middle of a facet marked so is no further than this from a place. */
  public boolean near(Mark mark, Vec3 place, double mm) {
    return places.getOrDefault(mark, List.of()).stream().anyMatch(p -> p.minus(place).norm() <= mm);
  }
}
