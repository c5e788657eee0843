package ungula.server.job;

import jakarta.annotation.PostConstruct;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import ungula.core.field.Grid;
import ungula.core.field.MendedCopy;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.StlWriter;
import ungula.core.work.Parallel;
import ungula.server.DataFolder;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.Lane;
import ungula.server.task.Tasks.TaskView;

/** Closed surfaces rebuilt from masters as posed: of each job the one made last, as binary STL. */
@Component
class MendedCopies {

  private final DataFolder folder;
  private final Shapes shapes;
  private final Tasks tasks;

  /** By job: what was made. */
  private final Map<String, String> made = new ConcurrentHashMap<>();

  MendedCopies(DataFolder folder, Shapes shapes, Tasks tasks) {
    this.folder = folder;
    this.shapes = shapes;
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

  private static String key(Jobs.Job job) {
    return Jobs.surfaceKey(job.choices()) + " " + job.choices().pose().turn();
  }

  private Path path(Jobs.Job job) {
    return folder.made().resolve(job.row().id() + ".stl");
  }

  /** Makes it in the background, unless it is there. */
  TaskView make(Jobs.Job job, TriangleMesh mesh) {
    return tasks.start(
        Lane.FILES,
        progress -> {
          if (file(job).isPresent()) {
            return;
          }
          TriangleMesh copy =
              MendedCopy.of(mesh, Grid.DEFAULT_CELLS, Parallel.ALL, progress.part(0, 0.9));
          progress.at("Writing it", 0.9);
          // two may be made side by side: each is put in place whole
          Path part = Files.createTempFile(folder.made(), job.row().id(), ".part");
          try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
            StlWriter.write(copy, out);
          }
          Files.move(part, path(job), StandardCopyOption.REPLACE_EXISTING);
          made.put(job.row().id(), key(job));
        });
  }

  /** The copy of the master as it stands; empty until it is made. */
  Optional<Path> file(Jobs.Job job) {
    return key(job).equals(made.get(job.row().id())) ? Optional.of(path(job)) : Optional.empty();
  }
}
