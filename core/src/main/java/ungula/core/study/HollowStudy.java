package ungula.core.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Tips;
import ungula.core.air.Vents;
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
 * @param exact whether air is known by the surfaces of model and core; else by cells
 * @param cellMm side of the cells it was looked at in
 * @param air in a cast, under the core too; null where nothing is left of the core
 * @param tips for each of the largest pockets of that, as of a {@link CastStudy}
 * @param vents proposed in the mould; none leads through the core
 * @param vented air in a cast with them; null likewise
 * @param levels how high it stands after so much was poured, less that air; null likewise
 * @param passages from where it is poured in, round the core
 */
public record HollowStudy(
    boolean exact,
    double cellMm,
    AirTraps.Result air,
    List<Optional<Tips.Tip>> tips,
    List<CastStudy.Vent> vents,
    AirTraps.Result vented,
    Levels levels,
    Passages passages) {

  /** Changes when a study of the same question comes out otherwise: old ones are made again. */
  public static final int VERSION = 2;

  /** Where nothing is left of the core. */
  public static final HollowStudy SOLID =
      new HollowStudy(true, 0, null, List.of(), List.of(), null, null, new Passages(List.of()));

  /** A vent to a place no further from the mould than so many cells ends in it. */
  private static final double AT_MOULD = 2;

  /** The core ends so far within an open mould. */
  private static final double IN_MM = 0.01;

  /**
   * @param q as the mould is cast in
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static HollowStudy of(
      PosedMaster master,
      HollowCore core,
      CastStudy.Question q,
      Parallel parallel,
      Progress progress) {
    Vec3 lift = new Vec3(0, 0, q.liftMm());
    TriangleMesh outside = master.mesh().moved(1, Rotation.NONE, lift);
    TriangleMesh inside = within(core.mesh().moved(1, Rotation.NONE, lift), q);
    double h = StudyCells.fine(outside.bounds());
    Room cavity = Room.between(outside, inside, h, parallel, progress.part(0, 0.3));
    Vec3 up = q.lies().up();
    progress.at("Filling the mould round its core", 0.3);
    List<Opening> openings = CastStudy.openings(outside, q, up);
    Vents.Proposal proposed = Vents.propose(cavity, openings, up, CastStudy.MOST_VENTS);
    AirTraps.Result air = proposed.before();
    List<CastStudy.Vent> vents = new ArrayList<>();
    for (Vec3 top : proposed.at()) {
      CastStudy.Vent vent = CastStudy.vent(outside, top);
      if (vent.point().minus(top).norm() <= AT_MOULD * h) {
        vents.add(vent);
      }
    }
    AirTraps.Result vented =
        vents.size() == proposed.at().size()
            ? proposed.left()
            : AirTraps.of(cavity, with(openings, vents), up);
    progress.at("Following the ways round the core", 0.6);
    Passages passages = Passages.of(cavity, CastStudy.opening(outside, q), parallel);
    TriangleMesh lying = outside.moved(1, q.lies().turn(), Vec3.ZERO);
    TriangleMesh lyingCore = inside.moved(1, q.lies().turn(), Vec3.ZERO);
    List<Optional<Tips.Tip>> tips =
        CastStudy.tips(
            told ->
                Room.betweenInCells(
                    lying, lyingCore, StudyCells.coarse(lying.bounds()), parallel, told),
            CastStudy.openings(lying, q, Vec3.UP),
            air,
            q.lies(),
            parallel,
            progress.part(0.7, 1));
    FillCurve all = FillCurve.of(lying, Levels.COUNT + 1);
    FillCurve kept = FillCurve.of(lyingCore, Levels.COUNT + 1);
    return new HollowStudy(
        cavity.exact(),
        h,
        air,
        tips,
        List.copyOf(vents),
        vented,
        Levels.of(up, all.bottomMm(), all.topMm(), at -> all.below(at) - kept.below(at), air),
        passages);
  }

  /** What of a core stands out of an open mould, above all that is poured, drawn back into it. */
  private static TriangleMesh within(TriangleMesh core, CastStudy.Question q) {
    if (!q.baseOpen()) {
      return core;
    }
    double[] xyz = core.xyz().clone();
    for (int v = 2; v < xyz.length; v += 3) {
      xyz[v] = Math.max(IN_MM, xyz[v]);
    }
    return new TriangleMesh(xyz, core.corners());
  }

  private static List<Opening> with(List<Opening> openings, List<CastStudy.Vent> vents) {
    return Stream.concat(openings.stream(), vents.stream().map(v -> Opening.at(v.point())))
        .toList();
  }
}
