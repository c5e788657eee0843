package ungula.core.study;

import java.util.List;
import ungula.core.air.AirTraps;
import ungula.core.air.Ceilings;
import ungula.core.air.Ceilings.Ceiling;
import ungula.core.air.Empties;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Tips;
import ungula.core.air.Vents;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.FacingFaces;
import ungula.core.mould.Offcuts;
import ungula.core.mould.RubberWall;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What a master's shape decides while rubber is poured round it in its box, and of that rubber.
 * Places are in the posed frame: from the middle, and above the plate.
 *
 * @param exact whether air is known by the model's own surface; else by cells
 * @param cellMm side of the cells it was looked at in
 * @param air that stays in the rubber
 * @param tips that leave less of it, best first; few
 * @param ceilings level ones of the master: where air creeps as rubber is poured round it
 * @param empties that rubber runs into late or never
 * @param thinnest rubber
 * @param offcutsMm3 room for cured offcuts
 */
public record RubberStudy(
    boolean exact,
    double cellMm,
    AirTraps.Result air,
    List<Tips.Tip> tips,
    List<Ceiling> ceilings,
    Empties empties,
    Thinnest thinnest,
    double offcutsMm3) {

  /** Changes when a study of the same question comes out otherwise: old ones are made again. */
  public static final int VERSION = 1;

  /** What is no further from the plate lies on it. */
  static final double ON_PLATE_MM = 0.02;

  private static final int TIPS_KEPT = 3;

  /**
   * The thinnest rubber.
   *
   * @param at on the master
   * @param facing whether it is between two faces of the master; else to the box
   */
  public record Thinnest(double mm, Vec3 at, boolean facing) {}

  /**
   * What is asked, apart from the posed mesh itself.
   *
   * @param inside what the box fits in, up to the pour line, in the posed frame
   * @param ring of the walls' insides, seen from above: x and y in turn
   * @param liftMm master clear of the plate by this
   * @param baseOpen whether the master stands on the plate, so that the mould is open there
   */
  public record Question(Box3 inside, double[] ring, double liftMm, boolean baseOpen) {}

  /**
   * @param wallSteps thickness of the rubber over each facet, in {@link RubberWall#STEP_MM}
   */
  public record Made(RubberStudy study, byte[] wallSteps) {}

  /**
   * @param across from face to face of the master, however it stands
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static Made of(
      PosedMaster master, FacingFaces across, Question q, Parallel parallel, Progress progress) {
    TriangleMesh mesh = master.mesh().moved(1, Rotation.NONE, new Vec3(0, 0, q.liftMm));
    double h = StudyCells.fine(q.inside);
    Room room = Room.round(mesh, q.inside, h, parallel, progress.part(0, 0.3));
    progress.at("Filling the box", 0.3);
    AirTraps.Result air = AirTraps.of(room, List.of(Opening.WHOLE_TOP), Vec3.UP);
    Empties empties = Empties.of(room, q.inside);
    List<Tips.Tip> tips = tips(room, mesh, q, air, parallel, progress.part(0.5, 0.8));
    progress.at("Measuring the rubber", 0.8);
    RubberWall.Result wall = RubberWall.of(mesh, across, q.ring, q.inside.max().z(), q.baseOpen);
    RubberStudy study =
        new RubberStudy(
            room.exact(),
            h,
            air,
            tips,
            Ceilings.round(mesh, q.baseOpen ? ON_PLATE_MM : Double.NEGATIVE_INFINITY),
            empties,
            new Thinnest(wall.thinnestMm(), wall.place(), wall.facing()),
            Offcuts.roomMm3(mesh, q.inside, q.ring, parallel, progress.part(0.85, 1)));
    return new Made(study, wall.steps());
  }

  /** Only worth looking at where air stays and the master hangs free. */
  private static List<Tips.Tip> tips(
      Room rubber,
      TriangleMesh mesh,
      Question q,
      AirTraps.Result air,
      Parallel parallel,
      Progress progress) {
    if (air.totalMm3() < Vents.WORTH_MM3 || q.baseOpen) {
      return List.of();
    }
    // by its surface air is known as well in coarse cells as in fine ones
    Room coarse =
        rubber.exact()
            ? rubber
            : Room.round(mesh, q.inside, StudyCells.coarse(q.inside), parallel, Progress.NONE);
    double now =
        rubber.exact()
            ? air.totalMm3()
            : AirTraps.of(coarse, List.of(Opening.WHOLE_TOP), Vec3.UP).totalMm3();
    return Tips.of(coarse, List.of(Opening.WHOLE_TOP), parallel, progress).stream()
        .filter(t -> t.airMm3() < 0.7 * now)
        .limit(TIPS_KEPT)
        .toList();
  }

  /** What a plane cuts of the air in the rubber: rings in the cut's right and up axes. */
  public List<double[]> airAt(Cut cut, double at) {
    return air.cells().at(cut, at);
  }
}
