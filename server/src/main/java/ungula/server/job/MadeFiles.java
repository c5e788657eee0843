package ungula.server.job;

import jakarta.annotation.PostConstruct;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import ungula.core.choice.Choices;
import ungula.core.field.Grid;
import ungula.core.field.MendedCopy;
import ungula.core.former.Former;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.StlWriter;
import ungula.core.mesh.io.ThreeMfWriter;
import ungula.core.parting.MouldPieces;
import ungula.core.parting.MouldPieces.Piece;
import ungula.core.plan.CastPart;
import ungula.core.sprue.Channel;
import ungula.core.work.Parallel;
import ungula.server.DataFolder;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.Lane;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Problem;

/** Files that take a while to make, of each job those made last. */
@Component
class MadeFiles {

  /** What can be made. */
  enum Made {
    /** A closed surface rebuilt from the master as posed, binary STL. */
    MENDED("stl"),
    /** The mould's pieces, each as binary STL. */
    PIECES_STL("zip"),
    /** The same in one file. */
    PIECES_3MF("3mf");

    private final String ending;

    Made(String ending) {
      this.ending = ending;
    }
  }

  private final DataFolder folder;
  private final Jobs jobs;
  private final Studies studies;
  private final Tasks tasks;

  /** By file: what it was made of. */
  private final Map<Path, String> made = new ConcurrentHashMap<>();

  MadeFiles(DataFolder folder, Jobs jobs, Studies studies, Tasks tasks) {
    this.folder = folder;
    this.jobs = jobs;
    this.studies = studies;
    this.tasks = tasks;
  }

  /** They are made again when asked for. */
  @PostConstruct
  void clear() throws IOException {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(folder.made())) {
      for (Path file : left) {
        Files.delete(file);
      }
    }
  }

  /** Everything a file of a job depends on. */
  private static String key(Job job, Made what) {
    Choices c = job.choices();
    String master = Jobs.surfaceKey(c) + " " + c.pose();
    return what == Made.MENDED
        ? master
        : master
            + c.laid()
            + c.mould()
            + c.parting()
            + c.hollow()
            + c.marks().hashCode()
            + channels(job);
  }

  private static List<Channel> channels(Job job) {
    return job.plan().plan().cast().map(CastPart::channels).orElse(List.of());
  }

  private Path path(Job job, Made what) {
    return folder.made().resolve(job.row().id() + "-" + what.name() + "." + what.ending);
  }

  /** The file of the job as it stands; empty until it is made. */
  Optional<Path> file(Job job, Made what) {
    Path path = path(job, what);
    return key(job, what).equals(made.get(path)) ? Optional.of(path) : Optional.empty();
  }

  @FunctionalInterface
  interface Content {
    void write(OutputStream to) throws IOException;
  }

  /** Two may be made side by side: each is put in place whole. */
  private void put(Job job, Made what, Content content) throws IOException {
    Path part = Files.createTempFile(folder.made(), job.row().id(), ".part");
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
      content.write(out);
    }
    Files.move(part, path(job, what), StandardCopyOption.REPLACE_EXISTING);
    made.put(path(job, what), key(job, what));
  }

  /** Makes the mended copy in the background, unless it is there. */
  TaskView mend(Job job, TriangleMesh mesh) {
    return tasks.start(
        Lane.FILES,
        progress -> {
          if (file(job, Made.MENDED).isPresent()) {
            return;
          }
          TriangleMesh copy =
              MendedCopy.of(mesh, Grid.DEFAULT_CELLS, Parallel.ALL, progress.part(0, 0.9));
          progress.at("Writing it", 0.9);
          put(job, Made.MENDED, out -> StlWriter.write(copy, out));
        });
  }

  /**
   * Makes the mould's pieces in the background, unless they are there; once it is known how a cast
   * runs in.
   */
  TaskView cast(Job asked, TriangleMesh mesh) {
    Optional<HollowCore> core = asked.core();
    return tasks.start(
        Lane.FILES,
        progress -> {
          if (asked.shape().isPresent()) {
            studies.settle(asked.shape().get().cast().of(), progress.part(0, 0.4));
          }
          Job now = jobs.find(asked.row().id());
          // changed meanwhile, it is made as it was asked for, and asked for again
          Job job = now.choices().equals(asked.choices()) ? now : asked;
          if (file(job, Made.PIECES_STL).isPresent()) {
            return;
          }
          Vec3 lift = new Vec3(0, 0, job.choices().pose().liftMm());
          List<Piece> pieces =
              MouldPieces.of(
                  job.box(),
                  mesh.moved(1, Rotation.NONE, lift),
                  job.plan().plan().parting().orElse(null),
                  channels(job),
                  Grid.DEFAULT_CELLS,
                  Parallel.ALL,
                  progress.part(0.4, 0.9));
          core.ifPresent(
              c -> pieces.add(new Piece("core", c.mesh().moved(1, Rotation.NONE, lift))));
          progress.at("Writing them", 0.9);
          put(job, Made.PIECES_3MF, out -> ThreeMfWriter.write(byName(pieces), out));
          put(job, Made.PIECES_STL, out -> zip(pieces, out));
        });
  }

  /** The small parts a mould asks for, ready to be written. */
  static Content formers(Job job, boolean threeMf) {
    List<Piece> all =
        Former.of(job.plan().plan()).stream().map(f -> new Piece(f.name(), f.mesh())).toList();
    if (all.isEmpty()) {
      throw Problem.gone("A part to print");
    }
    return out -> {
      if (threeMf) {
        ThreeMfWriter.write(byName(all), out);
      } else {
        zip(all, out);
      }
    };
  }

  /** The label that is cast in. */
  static Content label(Job job, boolean threeMf) {
    TriangleMesh solid =
        job.plan()
            .plan()
            .placedLabel()
            .orElseThrow(() -> Problem.gone("A label cast into the rubber"))
            .label()
            .solid();
    return out -> {
      if (threeMf) {
        ThreeMfWriter.write(Map.of("label", solid), out);
      } else {
        StlWriter.write(solid, out);
      }
    };
  }

  private static Map<String, TriangleMesh> byName(List<Piece> pieces) {
    Map<String, TriangleMesh> all = new LinkedHashMap<>();
    pieces.forEach(p -> all.put(p.name(), p.mesh()));
    return all;
  }

  private static void zip(List<Piece> pieces, OutputStream to) throws IOException {
    ZipOutputStream zip = new ZipOutputStream(to);
    for (Piece p : pieces) {
      zip.putNextEntry(new ZipEntry(p.name() + ".stl"));
      StlWriter.write(p.mesh(), zip);
      zip.closeEntry();
    }
    zip.finish();
  }
}
