package ungula.server.job;

import java.util.List;
import java.util.Optional;
import ungula.core.air.VentWay;
import ungula.core.attitude.Attitude;
import ungula.core.choice.Casting;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;

/**
 * Where a cast runs in and air leaves it, from the cast to the outside, straight from each place to
 * the next: as it was found out; until then straight, the sprue on the base.
 *
 * @param sprue from where it is placed, or the cast is highest; empty where there is none
 */
record CastWays(Optional<List<Vec3>> sprue, List<List<Vec3>> vents) {

  private static final CastWays NONE = new CastWays(Optional.empty(), List.of());

  static CastWays of(Job job, Shapes shapes) {
    return shapes
        .posed(job.choices())
        .map(master -> new CastWays(sprue(job, master.mesh()), vents(job, master.mesh())))
        .orElse(NONE);
  }

  private static Optional<List<Vec3>> sprue(Job job, TriangleMesh mesh) {
    SurfacePoint placed = job.choices().casting().sprue();
    Optional<List<Vec3>> known = job.study().map(s -> s.cast().sprueWay()).map(VentWay::path);
    if (known.isPresent() || job.plan().plan().sprue().isEmpty()) {
      return known;
    }
    Vec3 on = placed == null ? mesh.furthest(Vec3.UP.times(-1)) : placed.on(mesh);
    Vec3 at = on.plus(lift(job));
    return Optional.of(List.of(at, new Vec3(at.x(), at.y(), 0)));
  }

  private static List<List<Vec3>> vents(Job job, TriangleMesh mesh) {
    Casting casting = job.choices().casting();
    Vec3 up = job.study().map(s -> s.cast().lies()).orElse(Attitude.OVER).up();
    return job.study()
        .map(s -> s.cast().ways().stream().map(VentWay::path).toList())
        .orElseGet(
            () ->
                casting.vents().stream()
                    .map(v -> v.on(mesh).plus(lift(job)))
                    .map(at -> List.of(at, out(at, up, job)))
                    .toList());
  }

  private static Vec3 out(Vec3 at, Vec3 up, Job job) {
    return job.plan().plan().inBox().map(box -> VentWay.leaves(at, up, box.block())).orElse(at);
  }

  private static Vec3 lift(Job job) {
    return new Vec3(0, 0, job.choices().pose().liftMm());
  }
}
