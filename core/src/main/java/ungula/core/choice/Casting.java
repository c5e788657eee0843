package ungula.core.choice;

import java.util.ArrayList;
import java.util.List;
import ungula.core.mesh.SurfacePoint;

/**
 * How casting material gets into the mould and air out of it.
 *
 * @param sprue where it is poured in, on the master's surface; null pours through the base, or
 *     where it is highest
 * @param vents on the master's surface
 */
public record Casting(SurfacePoint sprue, List<SurfacePoint> vents) {
  static final Casting NOTHING = new Casting(null, List.of());

  Casting withVent(SurfacePoint vent) {
    List<SurfacePoint> all = new ArrayList<>(vents);
    all.add(vent);
    return new Casting(sprue, List.copyOf(all));
  }
}
