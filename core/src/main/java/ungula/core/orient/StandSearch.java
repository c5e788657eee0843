package ungula.core.orient;

import java.util.ArrayList;
import java.util.List;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Vents;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Directions;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.ConvexHull;
import ungula.core.mesh.ConvexHull.FlatFace;
import ungula.core.mesh.TriangleMesh;
import ungula.core.orient.Handful.Pick;
import ungula.core.release.HeightFields;
import ungula.core.release.HeightFields.View;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/**
 * Looks at every way a master can stand: 500 ways spread evenly and the flat faces of its hull,
 * each with its opposite. What is found is kept when the search is stopped, and a later one goes on
 * from there.
 */
public final class StandSearch {

  /** Changes when a search of the same body comes out otherwise: old ones are made again. */
  public static final int VERSION = 3;

  /** Ways spread evenly, in pairs of opposites. */
  private static final int PAIRS = 250;

  private static final int FEW_FACES = 6;

  private static final int FEW_PAIRS = 12;

  /** Faces of the hull smaller than this share of the largest are no way to stand. */
  private static final double WORTH = 0.05;

  private static final int MOST_FACES = 40;

  /** Faces of the hull leaning less than this apart are one to rest on. */
  private static final double FLAT_DEGREES = 1;

  /** Cells of the room air is looked for in, for all ways, and for those that come out best. */
  private static final double COARSE = 150_000;

  private static final double FINE = 1_500_000;

  /** Most times the best are looked at closer and compared again. */
  private static final int REFINED = 12;

  /** Walls the best are told by meanwhile. */
  private static final double USUAL_MM = 12;

  /** Raster along each side that overhangs are looked for on. */
  private static final int RASTER = 192;

  /** Pairs looked at between two looks at whether anybody still waits. */
  private static final int ROUND = 8;

  private final TriangleMesh mesh;
  private final double volumeMm3;
  private final List<Stand> found;

  /**
   * @param mesh in millimetres
   * @param volumeMm3 of the body
   * @param found before, in the order they were found; as much of it as there is
   */
  public StandSearch(TriangleMesh mesh, double volumeMm3, List<Stand> found) {
    this.mesh = mesh;
    this.volumeMm3 = volumeMm3;
    this.found = new ArrayList<>(found);
  }

  /**
   * A few ways to stand, at once: on the largest faces of the hull, along the axes, and some
   * between, each with its opposite. Air is not looked for.
   */
  public static List<Stand> few(TriangleMesh mesh, double volumeMm3) {
    TriangleMesh hull = ConvexHull.of(mesh);
    List<FlatFace> faces = ConvexHull.flatFaces(hull, FLAT_DEGREES);
    List<Vec3> ups = new ArrayList<>();
    faces.stream().limit(FEW_FACES).forEach(f -> ups.add(f.normal().times(-1)));
    int standing = ups.size();
    ups.addAll(List.of(new Vec3(1, 0, 0), new Vec3(0, 1, 0), Vec3.UP));
    for (int i = 0; i < FEW_PAIRS; i++) {
      ups.add(Directions.onHalf(i, FEW_PAIRS));
    }
    Footprint footprint = Footprint.of(hull);
    HeightFields fields = new HeightFields(mesh, RASTER);
    List<Stand> stands = new ArrayList<>();
    for (int i = 0; i < ups.size(); i++) {
      Vec3 up = ups.get(i);
      View view = fields.along(Rotation.bringing(up, Vec3.UP));
      double between = Math.max(0, view.betweenMm3() - volumeMm3);
      for (int way = 0; way < 2; way++) {
        Vec3 to = way == 0 ? up : up.times(-1);
        Footprint.Fit fit = footprint.fit(to);
        double rest = i < standing || way == 0 ? PosedMaster.restingMm2(mesh, to) : 0;
        double over = (way == 0 ? view.overMm3() : view.underMm3()) - volumeMm3;
        stands.add(
            new Stand(fit.turn(), fit.sizeMm(), rest, Math.max(0, over), between, 0, 0, 0, false));
      }
    }
    return stands;
  }

  /** What there is to know of a search. */
  public record Found(List<Stand> stands, boolean complete) {}

  /** All looked at so far. */
  public synchronized List<Stand> found() {
    return List.copyOf(found);
  }

  /**
   * Looks at what is not looked at yet.
   *
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits;
   *     what was found until then is kept
   */
  public void run(Parallel parallel, Progress progress) {
    progress.at("Wrapping it tight", 0);
    TriangleMesh hull = ConvexHull.of(mesh);
    List<FlatFace> faces = ConvexHull.flatFaces(hull, FLAT_DEGREES);
    List<Vec3> ups = ups(faces);
    int standing = ups.size() - PAIRS;
    Footprint footprint = Footprint.of(hull);
    HeightFields[] fields = {new HeightFields(mesh, RASTER), new HeightFields(mesh, RASTER)};
    Air coarse = new Air(COARSE, parallel, progress.part(0, 0.1));
    for (int first = found.size() / 2; first < ups.size(); first += ROUND) {
      int from = first;
      int n = Math.min(ROUND, ups.size() - from);
      progress.at("Looking at " + 2 * ups.size() + " ways up", 0.1 + 0.6 * from / ups.size());
      Stand[] stands = new Stand[2 * n];
      parallel.each(
          2,
          half -> {
            for (int i = half; i < n; i += 2) {
              Vec3 up = ups.get(from + i);
              View view = fields[half].along(Rotation.bringing(up, Vec3.UP));
              double between = view.betweenMm3();
              boolean flat = from + i < standing;
              stands[2 * i] = stand(up, flat, view.overMm3(), between, footprint, coarse);
              stands[2 * i + 1] =
                  stand(up.times(-1), flat, view.underMm3(), between, footprint, coarse);
            }
          });
      synchronized (this) {
        found.addAll(List.of(stands));
      }
    }
    if (!coarse.exact()) {
      refine(parallel, progress.part(0.7, 1));
    }
  }

  /** Ways up, each to be looked at with its opposite: first standing on faces of the hull. */
  private static List<Vec3> ups(List<FlatFace> faces) {
    List<Vec3> ups = new ArrayList<>();
    for (FlatFace f : faces) {
      if (ups.size() < MOST_FACES && f.areaMm2() >= WORTH * faces.get(0).areaMm2()) {
        ups.add(f.normal().times(-1));
      }
    }
    for (int i = 0; i < PAIRS; i++) {
      ups.add(Directions.onHalf(i, PAIRS));
    }
    return ups;
  }

  /** Looks closer at the best until the best of all have been looked at closely. */
  private void refine(Parallel parallel, Progress progress) {
    Air fine = new Air(FINE, parallel, progress.part(0, 0.1));
    Handful.Scores scores =
        new Handful.Scores(
            StandSearch::boxMm3,
            Stand::castMm3,
            Stand::vents,
            s -> 0,
            s -> 0,
            volumeMm3,
            Vents.WORTH_MM3,
            Handful.EVEN);
    for (int round = 0; round < REFINED; round++) {
      progress.at("Looking closer at the best", 0.1 + 0.9 * round / REFINED);
      List<Stand> rough =
          Handful.of(found, scores).stream().map(Pick::stand).filter(s -> !s.fine()).toList();
      if (rough.isEmpty()) {
        return;
      }
      Stand[] closer = new Stand[rough.size()];
      parallel.each(closer.length, i -> closer[i] = fine.of(rough.get(i)));
      synchronized (this) {
        for (int i = 0; i < closer.length; i++) {
          found.set(found.indexOf(rough.get(i)), closer[i]);
        }
      }
    }
  }

  /** What a box with usual walls holds. */
  private static double boxMm3(Stand s) {
    Vec3 size = s.sizeMm();
    return (size.x() + 2 * USUAL_MM) * (size.y() + 2 * USUAL_MM) * (size.z() + USUAL_MM);
  }

  private Stand stand(
      Vec3 up, boolean flat, double shadedMm3, double betweenMm3, Footprint footprint, Air air) {
    Footprint.Fit fit = footprint.fit(up);
    double rest = flat ? PosedMaster.restingMm2(mesh, up) : 0;
    CastTable.Best cast = air.cast(up, rest > 0);
    return new Stand(
        fit.turn(),
        fit.sizeMm(),
        rest,
        Math.max(0, shadedMm3 - volumeMm3),
        Math.max(0, betweenMm3 - volumeMm3),
        air.poured(up),
        cast.airMm3(),
        cast.vents(),
        air.exact());
  }

  /**
   * How it stands as it is, looked at closely.
   *
   * @param turn from the model's axes
   */
  public Stand standing(Rotation turn, Parallel parallel, Progress progress) {
    Vec3 up = turn.inverse().apply(Vec3.UP);
    View view = new HeightFields(mesh, RASTER).along(Rotation.bringing(up, Vec3.UP));
    Air air = new Air(FINE, parallel, progress);
    boolean flat = PosedMaster.restingMm2(mesh, up) > 0;
    Stand s =
        stand(up, flat, view.overMm3(), view.betweenMm3(), Footprint.of(ConvexHull.of(mesh)), air);
    Vec3 size = mesh.moved(1, turn, Vec3.ZERO).bounds().size();
    return new Stand(
        turn,
        size,
        s.restMm2(),
        s.lockedMm3(),
        s.lockedTwoMm3(),
        s.pouredMm3(),
        s.castMm3(),
        s.vents(),
        true);
  }

  /** The rooms air is looked for in, the same for every way up. */
  private final class Air {
    private final Room cavity;
    private final Room rubber;

    /** The highest corner of the room round it, the highest place of the cast, and its level. */
    private final AirTraps.Ways corner;

    private final AirTraps.Ways highest;
    private final AirTraps.Ways level;

    Air(double cells, Parallel parallel, Progress progress) {
      Box3 body = mesh.bounds();
      // a little room all round, so that whatever leaves the master can rise beside it
      double more = 0.05 * body.longest();
      Vec3 pad = new Vec3(more, more, more);
      Box3 round = new Box3(body.min().minus(pad), body.max().plus(pad));
      double h = Math.cbrt(round.volume() / cells);
      cavity = Room.cavity(mesh, h, parallel, progress.part(0, 0.5));
      rubber = Room.round(mesh, round, h, parallel, progress.part(0.5, 1));
      corner = new AirTraps.Ways(rubber, List.of(Opening.HIGHEST));
      highest = new AirTraps.Ways(cavity, List.of(Opening.HIGHEST));
      level = new AirTraps.Ways(cavity, List.of(Opening.TOP_LEVEL));
    }

    /** By their surfaces air is known as well in coarse cells as in fine ones. */
    boolean exact() {
      return cavity.exact() && rubber.exact();
    }

    Stand of(Stand s) {
      return s.withAir(poured(s.up()), cast(s.up(), s.flat()));
    }

    double poured(Vec3 up) {
      return AirTraps.needed(rubber, corner, up, 0).airMm3();
    }

    CastTable.Best cast(Vec3 up, boolean flat) {
      AirTraps.Needed n =
          AirTraps.needed(cavity, flat ? level : highest, up.times(-1), AttitudeSearch.MOST_VENTS);
      return new CastTable.Best(
          n.enough() ? n.vents().size() : AttitudeSearch.MOST_VENTS + 1, n.airMm3());
    }
  }
}
