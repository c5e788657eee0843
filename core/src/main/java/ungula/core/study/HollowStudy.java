package ungula.core.study;

import java.util.List;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * How a hollow cast runs in between its mould and its core. Places are in the posed frame: from the
 * middle, and above the plate.
 *
 * @param levels how high it stands after so much was poured, less the air that stays in the mould;
 *     null where nothing is left of the core
 * @param passages from where it is poured in, round the core
 */
public record HollowStudy(Levels levels, Passages passages) {

  /** Changes when a study of the same question comes out otherwise: old ones are made again. */
  public static final int VERSION = 1;

  /** Where nothing is left of the core. */
  public static final HollowStudy SOLID = new HollowStudy(null, new Passages(List.of()));

  /**
   * @param q as the mould is cast in
   * @param air that stays in the mould
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static HollowStudy of(
      PosedMaster master,
      HollowCore core,
      CastStudy.Question q,
      AirTraps.Result air,
      Parallel parallel,
      Progress progress) {
    Vec3 lift = new Vec3(0, 0, q.liftMm());
    TriangleMesh outside = master.mesh().moved(1, Rotation.NONE, lift);
    TriangleMesh inside = core.mesh().moved(1, Rotation.NONE, lift);
    double h = StudyCells.fine(outside.bounds());
    Room cavity = Room.between(outside, inside, h, parallel, progress.part(0, 0.5));
    progress.at("Following the ways round the core", 0.5);
    Vec3 up = q.lies().up();
    Opening in = CastStudy.opening(outside, q);
    return new HollowStudy(levels(outside, inside, q, air, up), Passages.of(cavity, in, parallel));
  }

  /** As an open mould lies, what stands out of it of the core is above all that is poured. */
  private static Levels levels(
      TriangleMesh outside,
      TriangleMesh inside,
      CastStudy.Question q,
      AirTraps.Result air,
      Vec3 up) {
    Rotation turn = q.lies().turn();
    FillCurve all = FillCurve.of(outside.moved(1, turn, Vec3.ZERO), Levels.COUNT + 1);
    FillCurve core = FillCurve.of(inside.moved(1, turn, Vec3.ZERO), Levels.COUNT + 1);
    return Levels.of(up, all.bottomMm(), all.topMm(), h -> all.below(h) - core.below(h), air);
  }
}
