package ungula.server.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.filling.Filling;
import ungula.core.filling.Filling.Sealed;
import ungula.core.filling.Fronts;
import ungula.core.geometry.Vec3;
import ungula.core.job.JobFilling;
import ungula.core.mesh.Outline;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.plan.Plan;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.server.web.Problem;

/** How a mould fills, to be watched: in a section, turned as the mould lies meanwhile. */
@RestController
@RequestMapping("/api/jobs/{id}/filling")
class FillingController {

  /** What is poured. */
  enum Poured {
    RUBBER,
    CAST
  }

  /** What of a section is what to whoever watches. */
  enum FilmRole {
    /** Round what fills. */
    AROUND,
    /** What fills. */
    ROOM,
    /** Stands in it. */
    BODY,
    AIR,
    /** Sprue and vents. */
    WAY
  }

  /**
   * @param rings across, up pairs, mm; even-odd filled
   */
  record FilmShape(FilmRole role, List<double[]> rings) {}

  /**
   * @param afterS after so long, as it thickens
   * @param levelMm up in the section
   * @param alongMm against gravity, as places of a study are
   * @param text how much and how long, in words
   */
  record FilmPoint(double mm3, double afterS, double levelMm, double alongMm, String text) {}

  /**
   * @param across place of its top in the section
   * @param up the same
   * @param mm3 what is poured by then
   * @param volume how much is sealed off
   */
  record FilmAir(double mm3, double across, double up, String volume) {}

  /**
   * @param late whether it may gel before it gets there
   */
  record FilmEnd(double across, double up, boolean late, String text) {}

  /**
   * @param ends where the last of it arrives, and of branches that may gel before they are full
   * @param says how long it takes, a sentence or two
   */
  record FilmView(
      String says,
      List<FilmShape> shapes,
      List<FilmPoint> course,
      List<FilmAir> sealed,
      List<FilmEnd> ends) {}

  /** A section through a pocket is shown where it shows so much of what the middle one does. */
  private static final double TELLING = 0.5;

  private static final int MOST_LOOKED_AT = 4;

  private final Jobs jobs;
  private final Drawings drawings;

  FillingController(Jobs jobs, Drawings drawings) {
    this.jobs = jobs;
    this.drawings = drawings;
  }

  @GetMapping
  FilmView filling(@PathVariable String id, @RequestParam Poured of) {
    Job job = jobs.find(id);
    Plan plan = job.plan().plan();
    Optional<JobFilling> told = of == Poured.CAST ? JobFilling.cast(plan) : JobFilling.rubber(plan);
    return view(job, of, told.orElseThrow(() -> Problem.gone("How this mould fills")));
  }

  private FilmView view(Job job, Poured of, JobFilling told) {
    Filling f = told.filling();
    Picture p = picture(job, of, f);
    Units units = job.choices().units();
    return new FilmView(
        told.says(),
        shapes(p.drawn, of, p.seen),
        f.course().stream().map(at -> point(at, p.seen, units)).toList(),
        f.sealed().stream().map(s -> air(s, p.seen, units)).toList(),
        told.fronts() == null ? List.of() : ends(told.fronts(), p.seen, units));
  }

  private record Picture(Seen seen, SectionDrawing drawn) {}

  /** Through the largest pocket that shows enough of what fills; else through the middle. */
  private Picture picture(Job job, Poured of, Filling f) {
    Picture middle = picture(job, Seen.through(f, Vec3.ZERO));
    return f.sealed().stream()
        .sorted(Comparator.comparingDouble(s -> -s.pocket().volumeMm3()))
        .limit(MOST_LOOKED_AT)
        .map(s -> picture(job, Seen.through(f, s.pocket().top())))
        .filter(p -> room(p.drawn, of) >= TELLING * room(middle.drawn, of))
        .findFirst()
        .orElse(middle);
  }

  private Picture picture(Job job, Seen seen) {
    return new Picture(seen, drawings.section(job, seen.cut, seen.at));
  }

  private static List<FilmEnd> ends(Fronts fronts, Seen seen, Units units) {
    List<FilmEnd> ends = new ArrayList<>();
    for (Fronts.Late l : fronts.late()) {
      ends.add(
          end(
              l.end(),
              true,
              seen,
              Volume.format(l.volumeMm3(), units) + " here may gel before it is full"));
    }
    boolean told =
        fronts.late().stream().anyMatch(l -> l.end().place().equals(fronts.last().place()));
    if (!told) {
      ends.add(end(fronts.last(), false, seen, "The last of it arrives here"));
    }
    return ends;
  }

  private static FilmEnd end(Fronts.Arrival at, boolean late, Seen seen, String text) {
    double[] place = seen.place(at.place());
    return new FilmEnd(place[0], place[1], late, text);
  }

  /** About how much of what fills a section shows, mm²: holes are not taken off. */
  private static double room(SectionDrawing drawn, Poured of) {
    double area = 0;
    for (SectionDrawing.Shape s : drawn.shapes()) {
      if (role(s.role(), of) == FilmRole.ROOM) {
        area += s.rings().stream().mapToDouble(r -> Math.abs(Outline.area(r))).sum();
      }
    }
    return area;
  }

  private static FilmRole role(Role role, Poured of) {
    return of == Poured.CAST ? ofCast(role) : ofRubber(role);
  }

  /** What never runs in as it thickens is told as if it did not. */
  private static FilmPoint point(Filling.Point p, Seen seen, Units units) {
    double after = Double.isInfinite(p.thickeningS()) ? p.freshS() : p.thickeningS();
    return new FilmPoint(
        p.mm3(),
        after,
        seen.level(p.levelMm()),
        p.levelMm(),
        Volume.format(p.mm3(), units) + ", " + Timespan.formatMin(after / 60));
  }

  private static FilmAir air(Sealed s, Seen seen, Units units) {
    double[] top = seen.place(s.pocket().top());
    return new FilmAir(s.mm3(), top[0], top[1], Volume.format(s.pocket().volumeMm3(), units));
  }

  private static List<FilmShape> shapes(SectionDrawing drawn, Poured of, Seen seen) {
    List<FilmShape> shapes = new ArrayList<>();
    for (SectionDrawing.Shape s : drawn.shapes()) {
      FilmRole role = role(s.role(), of);
      if (role != null) {
        shapes.add(new FilmShape(role, s.rings().stream().map(seen::turned).toList()));
      }
    }
    return shapes;
  }

  private static FilmRole ofCast(Role role) {
    return switch (role) {
      case RUBBER -> FilmRole.AROUND;
      case MASTER -> FilmRole.ROOM;
      case CORE -> FilmRole.BODY;
      case CAST_AIR -> FilmRole.AIR;
      case SPRUE, VENT -> FilmRole.WAY;
      default -> null;
    };
  }

  private static FilmRole ofRubber(Role role) {
    return switch (role) {
      case WALL, PLATE -> FilmRole.AROUND;
      case RUBBER -> FilmRole.ROOM;
      case MASTER -> FilmRole.BODY;
      case AIR -> FilmRole.AIR;
      default -> null;
    };
  }

  /**
   * The upright section that shows most of how the level climbs, turned so that up is up.
   *
   * @param across of up along the section's right, as it lies in the section
   * @param up of up along the section's up
   * @param share of up that lies in the section at all
   * @param offMm what up adds by where the section is cut
   */
  private record Seen(Cut cut, double at, double across, double up, double share, double offMm) {

    static Seen through(Filling f, Vec3 through) {
      Vec3 up = f.up();
      boolean front = Math.hypot(up.x(), up.z()) >= Math.hypot(up.y(), up.z());
      double right = front ? up.x() : up.y();
      double share = Math.hypot(right, up.z());
      double at = front ? through.y() : through.x();
      double off = at * (front ? up.y() : up.x());
      return new Seen(front ? Cut.FRONT : Cut.SIDE, at, right / share, up.z() / share, share, off);
    }

    double level(double alongUpMm) {
      return (alongUpMm - offMm) / share;
    }

    double[] place(Vec3 p) {
      return turned(new double[] {cut == Cut.FRONT ? p.x() : p.y(), p.z()});
    }

    double[] turned(double[] ring) {
      double[] turned = new double[ring.length];
      for (int i = 0; i + 1 < ring.length; i += 2) {
        turned[i] = ring[i] * up - ring[i + 1] * across;
        turned[i + 1] = ring[i] * across + ring[i + 1] * up;
      }
      return turned;
    }
  }
}
