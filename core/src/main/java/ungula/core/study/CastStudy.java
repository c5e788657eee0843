package ungula.core.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import ungula.core.air.AirCells;
import ungula.core.air.AirTraps;
import ungula.core.air.Ceilings;
import ungula.core.air.Ceilings.Ceiling;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Seam;
import ungula.core.air.SeamPlace;
import ungula.core.air.Tips;
import ungula.core.air.VentWay;
import ungula.core.air.VentWays;
import ungula.core.air.Vents;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.attitude.AttitudeSearch.Found;
import ungula.core.attitude.Face;
import ungula.core.filling.Levels;
import ungula.core.filling.Passages;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * What a master's shape decides while its mould is cast in, lying as it does then. Places are in
 * the posed frame: from the middle, and above the plate.
 *
 * @param inlet where it is poured in
 * @param exact whether air is known by the model's own surface; else by cells
 * @param cellMm side of the cells it was looked at in
 * @param lies how the mould lies while it is cast in
 * @param air in a cast
 * @param tips for each of the largest pockets of that, how far the mould is tipped from how it lies
 *     and which way so that it is let out; empty where no tip does, or it is too small to tell
 * @param vents proposed for the cast
 * @param vented air in a cast with them
 * @param ways of the vents there already, in turn
 * @param levels how high a cast stands in the mould as it lies after so much was poured, less that
 *     air
 * @param passages from where it is poured in through the cavity
 * @param sprueWay of the sprue, from where it is placed or the cast is highest; null where the
 *     mould is open at its base
 * @param seamInlet where a sprue would lie in the seam; null where it does already, or cannot
 * @param ceilings level ones of the mould as it lies
 * @param attitudes it may be cast in, the best first, how it lies among them; empty where it is
 *     open at its base, and lies as that asks for
 */
public record CastStudy(
    Inlet inlet,
    boolean exact,
    double cellMm,
    Attitude lies,
    AirTraps.Result air,
    List<Optional<Tips.Tip>> tips,
    List<Vent> vents,
    AirTraps.Result vented,
    List<VentWay> ways,
    Levels levels,
    Passages passages,
    VentWay sprueWay,
    SeamInlet seamInlet,
    List<Ceiling> ceilings,
    List<Found> attitudes) {

  /** Changes when a study of the same question comes out otherwise: old ones are made again. */
  public static final int VERSION = 1;

  /** So many ways to lie are kept, the best. */
  private static final int ATTITUDES_KEPT = 24;

  /** A sprue is wider: with no more rubber on its way it lies in the seam. */
  private static final double IN_SEAM_MM = 3;

  static final int MOST_VENTS = 12;

  /** So many of the largest pockets of air in a cast are seen to while it is filled. */
  public static final int POCKETS = 3;

  /** What air would leave less is not spoken of while it is filled, mm³. */
  public static final double LEAST_AIR_MM3 = 50;

  /**
   * @param at place on the master
   * @param point the same, in the posed frame
   */
  public record Vent(SurfacePoint at, Vec3 point) {}

  /**
   * A place for the sprue where the seam meets the cast highest.
   *
   * @param at place on the master
   * @param way of the sprue from there
   * @param found what comes of it as the mould lies
   */
  public record SeamInlet(SurfacePoint at, VentWay way, Found found) {}

  /**
   * What is asked, apart from the posed mesh itself.
   *
   * @param inside what the box fits in, up to the pour line, in the posed frame
   * @param liftMm master clear of the plate by this
   * @param baseOpen whether the master stands on the plate, so that the mould is open there
   * @param sprue poured in through; null pours through the base, or where the cast is highest
   * @param vents there already
   * @param lies how the mould lies while it is cast in
   * @param sides it can lie on then
   * @param parted how the mould parts; null where it does not
   */
  public record Question(
      Box3 inside,
      double liftMm,
      boolean baseOpen,
      SurfacePoint sprue,
      List<SurfacePoint> vents,
      Attitude lies,
      List<Face> sides,
      Parted parted) {

    Inlet inlet() {
      return sprue != null ? Inlet.SPRUE : baseOpen ? Inlet.BASE : Inlet.HIGHEST;
    }
  }

  /** Where a cast is poured in. */
  public enum Inlet {
    SPRUE("through the sprue"),
    BASE("in through the open base"),
    HIGHEST("in where it is highest");

    private final String text;

    Inlet(String text) {
      this.text = text;
    }

    /** To follow "poured". */
    public String text() {
      return text;
    }
  }

  /**
   * @param seam the mould parts along, as the question says; null where it does not
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public static CastStudy of(
      PosedMaster master, Seam seam, Question q, Parallel parallel, Progress progress) {
    TriangleMesh mesh = master.mesh().moved(1, Rotation.NONE, new Vec3(0, 0, q.liftMm));
    Vec3 up = q.lies.up();
    double h = StudyCells.fine(mesh.bounds());
    Room cavity = Room.cavity(mesh, h, parallel, progress.part(0, 0.2));
    List<Opening> openings = openings(mesh, q, up);
    progress.at("Filling the mould", 0.2);
    Vents.Proposal vents = Vents.propose(cavity, openings, up, MOST_VENTS);
    List<Found> attitudes =
        attitudes(cavity, vents, mesh, seam, q, parallel, progress.part(0.3, 0.5));
    progress.at("Following the ways through it", 0.5);
    Passages passages = Passages.of(cavity, opening(mesh, q), parallel);
    VentWays out = new VentWays(cavity, q.inside, seam, up);
    VentWay sprue = q.inlet() == Inlet.BASE ? null : sprueWay(inlet(mesh, q, up), cavity, out, q);
    // as it lies
    TriangleMesh lying = mesh.moved(1, q.lies.turn(), Vec3.ZERO);
    List<Opening> itsOpenings = openings(lying, q, Vec3.UP);
    List<Optional<Tips.Tip>> tips =
        tips(
            told -> Room.cavityInCells(lying, StudyCells.coarse(lying.bounds()), parallel, told),
            itsOpenings,
            vents.before(),
            q.lies,
            parallel,
            progress.part(0.8, 1));
    return new CastStudy(
        q.inlet(),
        cavity.exact(),
        h,
        q.lies,
        vents.before(),
        tips,
        vents.at().stream().map(p -> vent(mesh, p)).toList(),
        vents.left(),
        q.vents.stream().map(v -> out.from(v.on(mesh))).toList(),
        levels(lying, vents.before(), up),
        passages,
        sprue,
        seamInlet(mesh, seam, cavity, out, sprue, q),
        ceilings(lying, itsOpenings, q),
        attitudes);
  }

  /** Along up of the mould as it stands, as places of a study are. */
  private static Levels levels(TriangleMesh lying, AirTraps.Result air, Vec3 up) {
    FillCurve curve = FillCurve.of(lying, Levels.COUNT + 1);
    return Levels.of(up, curve.bottomMm(), curve.topMm(), curve::below, air);
  }

  private static List<Ceiling> ceilings(TriangleMesh lying, List<Opening> openings, Question q) {
    List<Vec3> holes = openings.stream().filter(o -> o.at() != null).map(Opening::at).toList();
    double open =
        q.baseOpen ? lying.bounds().max().z() - RubberStudy.ON_PLATE_MM : Double.POSITIVE_INFINITY;
    Rotation back = q.lies.turn().inverse();
    return Ceilings.inside(lying, holes, open).stream()
        .map(c -> new Ceiling(back.apply(c.place()), c.creepMm(), c.areaMm2()))
        .toList();
  }

  /** Ways to lie that go, the best first. */
  private static List<Found> attitudes(
      Room cavity,
      Vents.Proposal present,
      TriangleMesh mesh,
      Seam seam,
      Question q,
      Parallel parallel,
      Progress progress) {
    if (q.baseOpen) {
      return List.of();
    }
    List<Opening> fixed = new ArrayList<>();
    if (q.sprue != null) {
      fixed.add(Opening.at(q.sprue.on(mesh)));
    }
    // every way is filled anew: where that takes cells, in few of them
    Room room =
        cavity.exact()
            ? cavity
            : Room.cavityInCells(mesh, StudyCells.coarsest(mesh.bounds()), parallel, progress);
    AttitudeSearch.Mould mould = new AttitudeSearch.Mould(room, q.inside, fixed, seam);
    List<Found> all =
        AttitudeSearch.of(
            mould, q.sides, List.of(q.lies), a -> goes(a, mesh, q), parallel, progress);
    List<Found> kept = new ArrayList<>(all.subList(0, Math.min(ATTITUDES_KEPT, all.size())));
    all.stream().filter(f -> f.attitude().equals(q.lies) && !kept.contains(f)).forEach(kept::add);
    if (!cavity.exact() && q.vents.isEmpty()) {
      // how it lies now is known from finer cells
      kept.replaceAll(
          f -> f.attitude().equals(q.lies) ? present(f.attitude(), present, room, seam, q) : f);
    }
    return List.copyOf(kept);
  }

  private static Found present(
      Attitude lies, Vents.Proposal known, Room room, Seam seam, Question q) {
    VentWays out = new VentWays(room, q.inside, seam, lies.up());
    List<VentWay> vents =
        known.at().stream().limit(AttitudeSearch.MOST_VENTS).map(out::from).toList();
    boolean enough = known.at().size() == vents.size() && known.left().worth().isEmpty();
    return new Found(lies, known.before().totalMm3(), vents, known.left().totalMm3(), enough);
  }

  /** Where a cast is poured in. */
  static Opening opening(TriangleMesh mesh, Question q) {
    return q.inlet() == Inlet.BASE ? Opening.WHOLE_BASE : Opening.at(inlet(mesh, q, q.lies.up()));
  }

  private static Vec3 inlet(TriangleMesh mesh, Question q, Vec3 up) {
    return q.sprue != null ? q.sprue.on(mesh) : mesh.furthest(up);
  }

  /** Turned over it stands on the base; from any other side it leaves as a vent does. */
  private static VentWay sprueWay(Vec3 place, Room cavity, VentWays out, Question q) {
    return q.lies.on() == Face.TOP
        ? cavity.straightUp(place, Vec3.UP.times(-1), q.inside)
        : out.from(place);
  }

  private static SeamInlet seamInlet(
      TriangleMesh mesh, Seam seam, Room cavity, VentWays out, VentWay now, Question q) {
    if (seam == null || now == null || now.rubberMm() <= IN_SEAM_MM || !cavity.exact()) {
      return null;
    }
    return SeamPlace.highest(mesh, seam, q.lies.up())
        .map(
            at -> {
              Vec3 place = at.on(mesh);
              List<Opening> openings = List.of(Opening.at(place));
              return new SeamInlet(
                  at,
                  out.from(place),
                  AttitudeSearch.of(
                      new AttitudeSearch.Mould(cavity, q.inside, openings, seam), q.lies));
            })
        .filter(in -> in.way.rubberMm() < now.rubberMm())
        .orElse(null);
  }

  /** Whether the mould can be filled through its sprue to the top, lying so. */
  private static boolean goes(Attitude a, TriangleMesh mesh, Question q) {
    if (q.sprue == null || a.equals(q.lies)) {
      return true;
    }
    Vec3 up = a.up();
    Vec3 place = q.sprue.on(mesh);
    // through the base, which the master hung over; from any other side straight up
    Vec3 mouth =
        a.on() == Face.TOP
            ? new Vec3(place.x(), place.y(), q.inside.min().z())
            : VentWay.leaves(place, up, q.inside);
    return mouth.dot(up) >= mesh.furthest(up).dot(up);
  }

  /** The ways in and out there are already. */
  static List<Opening> openings(TriangleMesh mesh, Question q, Vec3 up) {
    List<Opening> all = new ArrayList<>();
    switch (q.inlet()) {
      case SPRUE, HIGHEST -> all.add(Opening.at(inlet(mesh, q, up)));
      default -> {}
    }
    if (q.baseOpen) {
      all.add(q.lies.up().equals(up) ? Opening.WHOLE_BASE : Opening.WHOLE_TOP);
    }
    for (SurfacePoint v : q.vents) {
      all.add(Opening.at(v.on(mesh)));
    }
    return all;
  }

  /**
   * @param coarse the room a cast fills, as it lies, in cells for many directions
   */
  static List<Optional<Tips.Tip>> tips(
      Function<Progress, Room> coarse,
      List<Opening> openings,
      AirTraps.Result air,
      Attitude lies,
      Parallel parallel,
      Progress progress) {
    List<Vec3> tops =
        air.pockets().stream()
            .filter(p -> p.volumeMm3() > LEAST_AIR_MM3)
            .limit(POCKETS)
            .map(p -> lies.turn().apply(p.top()))
            .toList();
    if (tops.isEmpty()) {
      return List.of();
    }
    Room room = coarse.apply(progress.part(0, 0.3));
    return Tips.out(room, openings, tops, parallel, progress.part(0.3, 1));
  }

  /** One that ends as near to a pocket's top as the mould is. */
  static Vent vent(TriangleMesh mesh, Vec3 top) {
    SurfacePoint at = SurfacePoint.nearest(mesh, top);
    return new Vent(at, at.on(mesh));
  }

  /** The same of a hollow cast, which runs in round its core. */
  public CastStudy round(HollowStudy core) {
    return core.levels() == null
        ? this
        : new CastStudy(
            inlet,
            core.exact(),
            core.cellMm(),
            lies,
            core.air(),
            core.tips(),
            core.vents(),
            core.vented(),
            ways,
            core.levels(),
            core.passages(),
            sprueWay,
            seamInlet,
            ceilings,
            attitudes);
  }

  /** The air that stays nearest to a place; empty where none stays. */
  public Optional<AirCells.Near> airNear(Vec3 place) {
    return air.cells().near(place);
  }

  /** What a plane cuts of the air in a cast: rings in the cut's right and up axes. */
  public List<double[]> airAt(Cut cut, double at) {
    return air.cells().at(cut, at);
  }
}
