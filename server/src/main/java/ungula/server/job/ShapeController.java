package ungula.server.job;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterSource;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.ConvexHull.FlatFace;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.StlWriter;
import ungula.core.mould.SectionDrawing;
import ungula.core.plate.Beside;
import ungula.core.plate.Laying;
import ungula.core.quantity.Area;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.server.job.Drawings.SolidPart;
import ungula.server.job.MadeFiles.Made;
import ungula.server.model.MeshBytes;
import ungula.server.model.Models;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.Lane;
import ungula.server.web.Named;
import ungula.server.web.Problem;

/** A job's shape: the model file in and out, its section, its mesh, the faces it can rest on. */
@RestController
@RequestMapping("/api/jobs/{id}")
class ShapeController {

  /** Flat faces offered to rest on. */
  private static final int FACES = 6;

  /** Faces smaller than this share of the largest are not worth offering. */
  private static final double WORTH = 0.15;

  /** Faces whose directions agree more than this (cosine of 20°) are offered once. */
  private static final double ALIKE = 0.94;

  private final Jobs jobs;
  private final Shapes shapes;
  private final Drawings drawings;
  private final Models models;
  private final MadeFiles made;
  private final Tasks tasks;

  ShapeController(
      Jobs jobs, Shapes shapes, Drawings drawings, Models models, MadeFiles made, Tasks tasks) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.drawings = drawings;
    this.models = models;
    this.made = made;
    this.tasks = tasks;
  }

  /** Takes a model file as the request's body and reads it in the background. */
  @PostMapping(value = "/model", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  Tasks.TaskView uploadModel(
      @PathVariable String id, @RequestParam String name, HttpServletRequest request)
      throws IOException {
    jobs.check(id);
    String shortName = Models.fileName(name);
    Path file = models.receive(request.getInputStream());
    return tasks.start(
        Lane.FILES,
        progress -> {
          Models.Stored stored = models.keep(file, shortName, progress);
          jobs.edit(
              id,
              List.of(
                  Edit.of("master.source", "FILE"),
                  Edit.of("master.model", stored.id()),
                  Edit.of("master.fileName", shortName),
                  Edit.of("master.unitMm", ""),
                  Edit.of("pose.asModelled", "")));
        });
  }

  /** Takes another model file and puts it beside the model there is, on the same plate. */
  @PostMapping(value = "/model/beside", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  Tasks.TaskView uploadBeside(
      @PathVariable String id, @RequestParam String name, HttpServletRequest request)
      throws IOException {
    posed(id);
    String shortName = Models.fileName(name);
    Path file = models.receive(request.getInputStream());
    return tasks.start(
        Lane.FILES,
        progress -> {
          Models.Stored stored = models.keep(file, shortName, progress.part(0, 0.6));
          Job job = jobs.find(id);
          Choices c = job.choices();
          TriangleMesh second =
              models.mesh(stored.id()).moved(Shapes.unitMm(stored), Rotation.NONE, Vec3.ZERO);
          TriangleMesh both =
              Beside.of(shapes.asModelled(c).orElseThrow(), c.pose().turn(), second);
          Models.Stored kept = models.keep(both, both(c, shortName), progress.part(0.6, 1));
          List<Edit> edits =
              new ArrayList<>(
                  List.of(
                      Edit.of("master.source", "FILE"),
                      Edit.of("master.model", kept.id()),
                      Edit.of("master.fileName", both(c, shortName)),
                      Edit.of("master.unitMm", "1"),
                      Edit.of("plate.laying", Laying.CLOSE.name())));
          if (kept.report().triangles() == both.triangleCount()) {
            // the first model's facets come first: what is marked on it stays marked
            c.marks()
                .on()
                .forEach((m, on) -> edits.add(Edit.of("marks.add", m.name() + " " + on.runs())));
          }
          jobs.edit(id, job.row().version(), edits);
        });
  }

  private String both(Choices c, String second) {
    boolean file = c.master().source() == MasterSource.FILE;
    return Models.fileName((file ? shapes.fileName(c) : "the solid") + " and " + second);
  }

  /** The model file as it was given. */
  @GetMapping("/original")
  ResponseEntity<Resource> original(@PathVariable String id) {
    Choices c = jobs.find(id).choices();
    Models.Stored model =
        models.find(c.master().model()).orElseThrow(() -> Problem.gone("A model file"));
    return Named.attachment(shapes.fileName(c))
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .body(new FileSystemResource(models.original(model.id())));
  }

  private PosedMaster posed(String id) {
    return shapes
        .posed(jobs.find(id).choices())
        .orElseThrow(
            () ->
                new Problem(
                    HttpStatus.NOT_FOUND,
                    "No shape",
                    "Only measures are known of this master. Drop a model file, or describe it as a"
                        + " solid."));
  }

  /** The master as posed in the box, in millimetres, binary STL. */
  @GetMapping("/master.stl")
  ResponseEntity<StreamingResponseBody> masterStl(@PathVariable String id) {
    Job job = jobs.find(id);
    TriangleMesh mesh =
        posed(id).mesh().moved(1, Rotation.NONE, new Vec3(0, 0, job.choices().pose().liftMm()));
    return Named.attachment(job.row().name() + ".stl")
        .contentType(MediaType.parseMediaType("model/stl"))
        .body(out -> StlWriter.write(mesh, out));
  }

  /** Rebuilds a closed surface from the master as posed, in the background. */
  @PostMapping("/mended")
  Tasks.TaskView makeMended(@PathVariable String id) {
    return made.mend(jobs.find(id), posed(id).mesh());
  }

  /** The rebuilt surface, in millimetres, binary STL. */
  @GetMapping("/mended.stl")
  ResponseEntity<Resource> mendedStl(@PathVariable String id) {
    Job job = jobs.find(id);
    return made(job, Made.MENDED, ", mended.stl", "model/stl");
  }

  private ResponseEntity<Resource> made(Job job, Made what, String name, String type) {
    Path file = made.file(job, what).orElseThrow(() -> Problem.gone("This file"));
    return Named.attachment(job.row().name() + name)
        .contentType(MediaType.parseMediaType(type))
        .body(new FileSystemResource(file));
  }

  /** Lays out the pieces of the mould as closed bodies, in the background. */
  @PostMapping("/pieces")
  Tasks.TaskView makePieces(@PathVariable String id) {
    Job job = jobs.find(id);
    job.box();
    return made.cast(job, posed(id).mesh());
  }

  /** The pieces of the mould, in millimetres, each a binary STL file. */
  @GetMapping("/pieces.zip")
  ResponseEntity<Resource> piecesStl(@PathVariable String id) {
    return made(jobs.find(id), Made.PIECES_STL, ", mould.zip", "application/zip");
  }

  /** The same as one 3MF file. */
  @GetMapping("/pieces.3mf")
  ResponseEntity<Resource> pieces3mf(@PathVariable String id) {
    return made(jobs.find(id), Made.PIECES_3MF, ", mould.3mf", "model/3mf");
  }

  /** Keys, seal ring, the sprue's former and corners of the box, each a binary STL file. */
  @GetMapping("/formers.zip")
  ResponseEntity<StreamingResponseBody> formersStl(@PathVariable String id) {
    return formers(jobs.find(id), false, ", parts.zip", "application/zip");
  }

  /** The same as one 3MF file. */
  @GetMapping("/formers.3mf")
  ResponseEntity<StreamingResponseBody> formers3mf(@PathVariable String id) {
    return formers(jobs.find(id), true, ", parts.3mf", "model/3mf");
  }

  /** The label that is cast into the rubber, mirrored, its letters up, as a binary STL file. */
  @GetMapping("/label.stl")
  ResponseEntity<StreamingResponseBody> labelStl(@PathVariable String id) {
    return label(id, false, ", label.stl", "model/stl");
  }

  /** The same as a 3MF file. */
  @GetMapping("/label.3mf")
  ResponseEntity<StreamingResponseBody> label3mf(@PathVariable String id) {
    return label(id, true, ", label.3mf", "model/3mf");
  }

  private ResponseEntity<StreamingResponseBody> label(
      String id, boolean threeMf, String name, String type) {
    Job job = jobs.find(id);
    MadeFiles.Content content = MadeFiles.label(job, threeMf);
    return Named.attachment(job.row().name() + name)
        .contentType(MediaType.parseMediaType(type))
        .body(content::write);
  }

  private static ResponseEntity<StreamingResponseBody> formers(
      Job job, boolean threeMf, String name, String type) {
    MadeFiles.Content content = MadeFiles.formers(job, threeMf);
    return Named.attachment(job.row().name() + name)
        .contentType(MediaType.parseMediaType(type))
        .body(content::write);
  }

  /** The master set down at z = 0, its open edges with it, as {@link MeshBytes#drawn}. */
  @GetMapping(value = "/mesh", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> mesh(@PathVariable String id, WebRequest request) {
    String tag = '"' + Jobs.shapeKey(jobs.choices(id)) + '"';
    if (request.checkNotModified(tag)) {
      return null;
    }
    TriangleMesh mesh = posed(id).mesh();
    return ResponseEntity.ok()
        .eTag(tag)
        .cacheControl(CacheControl.noCache())
        .body(MeshBytes.drawn(mesh, Topology.of(mesh).boundaryLoops()));
  }

  /** The outside of a skin once so many coats are on, above the plate, as the master's mesh. */
  @GetMapping(
      value = "/skin/coats/{number}/mesh",
      produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> coat(@PathVariable String id, @PathVariable int number) {
    return ResponseEntity.ok(
        drawings
            .outside(jobs.find(id), number)
            .map(mesh -> MeshBytes.drawn(mesh, List.of()))
            .orElseThrow(() -> Problem.gone("This coat")));
  }

  /** A part of the mould to be drawn round the master, as the master's mesh. */
  @GetMapping(value = "/solids/{part}/mesh", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ResponseEntity<byte[]> solidPart(@PathVariable String id, @PathVariable SolidPart part) {
    return ResponseEntity.ok(
        drawings
            .solid(jobs.find(id), part)
            .map(mesh -> MeshBytes.drawn(mesh, List.of()))
            .orElseThrow(() -> Problem.gone("This part")));
  }

  /**
   * A face the master could rest on.
   *
   * @param area as shown
   * @param edit text that rests it there
   * @param down whether it rests there now
   */
  record RestFace(String area, String facing, String edit, boolean down) {}

  @GetMapping("/faces")
  List<RestFace> faces(@PathVariable String id) {
    Units units = jobs.find(id).choices().units();
    List<FlatFace> all = posed(id).flatFaces();
    List<FlatFace> offered = new ArrayList<>();
    for (FlatFace f : all) {
      boolean apart = offered.stream().allMatch(o -> o.normal().dot(f.normal()) < ALIKE);
      if (apart && offered.size() < FACES && f.areaMm2() > WORTH * all.get(0).areaMm2()) {
        offered.add(f);
      }
    }
    return offered.stream().map(f -> face(f, units)).toList();
  }

  private static RestFace face(FlatFace f, Units units) {
    Vec3 n = f.normal();
    double x = Math.abs(n.x());
    double y = Math.abs(n.y());
    double z = Math.abs(n.z());
    String facing;
    if (z >= x && z >= y) {
      facing = n.z() < 0 ? "underside" : "top";
    } else if (x >= y) {
      facing = n.x() < 0 ? "left" : "right";
    } else {
      facing = n.y() < 0 ? "front" : "back";
    }
    return new RestFace(
        Area.format(f.areaMm2(), units),
        facing,
        n.x() + " " + n.y() + " " + n.z(),
        n.z() < -0.99999);
  }

  /**
   * A cut through box and master.
   *
   * @param at where the plane lies along its axis, mm; the middle when left out
   */
  @GetMapping("/section")
  SectionDrawing section(
      @PathVariable String id, @RequestParam Cut cut, @RequestParam(required = false) Double at) {
    Job job = jobs.find(id);
    return drawings.section(job, cut, at);
  }
}
