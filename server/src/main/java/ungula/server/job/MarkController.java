package ungula.server.job;

import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.mark.Painting;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.SurfacePoint;
import ungula.core.sentence.WordBook.Edit;
import ungula.server.web.Problem;

/** Marks on a job's master: painted with a brush, or a face at a time. */
@RestController
@RequestMapping("/api/jobs/{id}/marks")
class MarkController {

  private final Jobs jobs;
  private final JobViews views;
  private final Shapes shapes;

  MarkController(Jobs jobs, JobViews views, Shapes shapes) {
    this.jobs = jobs;
    this.views = views;
    this.shapes = shapes;
  }

  /**
   * One stroke.
   *
   * @param version of the job it was made on
   * @param erase whether it takes the mark away
   * @param places the stroke went through
   * @param brushMm across; null marks whole faces
   * @param bendDegrees up to which edges belong to a face
   */
  record Stroke(
      int version,
      Mark mark,
      boolean erase,
      List<SurfacePoint> places,
      @Nullable Double brushMm,
      double bendDegrees) {}

  @PostMapping
  JobResponse paintMarks(@PathVariable String id, @RequestBody Stroke stroke) {
    PosedMaster master = master(jobs.find(id));
    Painting painting = new Painting(master.mesh());
    FacetSet painted =
        stroke.brushMm != null
            ? painting.brush(stroke.places, stroke.brushMm / 2)
            : stroke.places.stream()
                .map(at -> painting.face(at, stroke.bendDegrees))
                .reduce(FacetSet.NONE, FacetSet::with);
    FacetSet facets = painted.onOneOf(master.standing().triangleCount());
    String text = stroke.mark + " " + facets.runs();
    Edit edit = Edit.of(stroke.erase ? "marks.erase" : "marks.add", text);
    return views.view(jobs.edit(id, stroke.version, List.of(edit)));
  }

  /** What each facet is marked as: a byte each, with a bit for each mark in their order. */
  @GetMapping(produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> marks(@PathVariable String id) {
    Job job = jobs.find(id);
    PosedMaster master = master(job);
    byte[] bits = new byte[master.mesh().triangleCount()];
    int copy = master.standing().triangleCount();
    job.choices()
        .marks()
        .on()
        .forEach(
            (mark, set) -> {
              BitSet facets = set.facets();
              facets.stream()
                  .forEach(
                      first -> {
                        for (int t = first; t < bits.length; t += copy) {
                          bits[t] |= (byte) (1 << mark.ordinal());
                        }
                      });
            });
    return ResponseEntity.ok(bits);
  }

  private PosedMaster master(Job job) {
    return shapes.posed(job.choices()).orElseThrow(() -> Problem.gone("The shape of this master"));
  }
}
