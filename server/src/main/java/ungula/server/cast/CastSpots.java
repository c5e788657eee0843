package ungula.server.cast;

import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterSource;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.server.job.Job;
import ungula.server.job.Shapes;

/** Where casts are not good, on the master as it is drawn. */
@Component
public class CastSpots {

  private final CastsMade made;
  private final Shapes shapes;

  CastSpots(CastsMade made, Shapes shapes) {
    this.made = made;
    this.shapes = shapes;
  }

  /** Of one job; none without a model. */
  public record Of(Optional<TriangleMesh> mesh, Map<Integer, String> places) {

    /** On the master; empty where nobody showed it. */
    public Optional<SurfacePoint> on(int number) {
      return Optional.ofNullable(places.get(number)).map(CastSpots::point);
    }

    /** Of a cast, in the posed frame, set down; null where nobody showed it. */
    public @Nullable Vec3 of(int number) {
      String place = places.get(number);
      return place == null ? null : mesh.map(m -> point(place).on(m)).orElse(null);
    }
  }

  private static SurfacePoint point(String place) {
    String[] at = place.split(" ");
    return new SurfacePoint(
        Integer.parseInt(at[0]), Double.parseDouble(at[1]), Double.parseDouble(at[2]));
  }

  public Of of(Job job) {
    Map<Integer, String> places = made.places(job.row().id(), model(job.choices()));
    return places.isEmpty()
        ? new Of(Optional.empty(), places)
        : new Of(shapes.posed(job.choices()).map(p -> p.mesh()), places);
  }

  /** Whether there is anything to show it on. */
  boolean drawn(Job job) {
    return shapes.posed(job.choices()).isPresent();
  }

  /** What a place is on: of another model it says nothing. */
  static String model(Choices c) {
    return c.master().source() == MasterSource.SOLID
        ? "solid " + Integer.toHexString(c.master().solid().hashCode())
        : String.valueOf(c.master().model());
  }
}
