package ungula.server.model;

import jakarta.annotation.PostConstruct;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.Model;
import ungula.core.mesh.io.ModelFormat;
import ungula.core.mesh.io.ModelReader;
import ungula.core.mesh.io.ModelUnreadable;
import ungula.core.mesh.io.StlWriter;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;
import ungula.server.DataFolder;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/**
 * Model files as they were given, by content: the original beside the welded and mended mesh, so
 * that a file is read once.
 */
@Component
public class Models {

  private static final Logger LOG = LoggerFactory.getLogger(Models.class);

  private final DataFolder folder;
  private final ModelMapper mapper;
  private final Json json;
  private final Map<String, Stored> known = new ConcurrentHashMap<>();

  Models(DataFolder folder, ModelMapper mapper, Json json) {
    this.folder = folder;
    this.mapper = mapper;
    this.json = json;
  }

  /**
   * @param report in file units
   * @param unitMm millimetres per file unit; null when the format does not say
   */
  public record Stored(
      String id, String name, long bytes, String format, Double unitMm, MeshReport report) {}

  /** What a crash left half received is of no use to anyone. */
  @PostConstruct
  void clear() throws IOException {
    try (DirectoryStream<Path> left = Files.newDirectoryStream(folder.models(), "*.part")) {
      for (Path file : left) {
        Files.delete(file);
      }
    }
  }

  /** The name a file was given, without folders, as far as it can be kept and shown. */
  public static String fileName(String given) {
    String last = given.substring(Math.max(given.lastIndexOf('/'), given.lastIndexOf('\\')) + 1);
    String clean = last.replaceAll("\\p{Cntrl}", "").strip();
    return clean.isEmpty() ? "model" : clean.substring(0, Math.min(clean.length(), 200));
  }

  /** Takes an upload down to a file of its own. */
  public Path receive(InputStream in) throws IOException {
    Path file = Files.createTempFile(folder.models(), "upload", ".part");
    try (OutputStream out = Files.newOutputStream(file)) {
      byte[] block = new byte[1 << 16];
      long size = 0;
      for (int n = in.read(block); n >= 0; n = in.read(block)) {
        size += n;
        if (size > ModelReader.MAX_BYTES) {
          throw new Problem(
              HttpStatus.CONTENT_TOO_LARGE,
              "Too large",
              "The file has more than "
                  + (ModelReader.MAX_BYTES >> 20)
                  + " MB. Reduce the number of triangles and export it again.");
        }
        out.write(block, 0, n);
      }
      return file;
    } catch (IOException | RuntimeException e) {
      Files.deleteIfExists(file);
      throw e;
    }
  }

  /** Reads, mends, measures and keeps a received file. The file is moved or deleted. */
  public Stored keep(Path file, String name, Progress progress) throws IOException {
    try {
      String id = digest(file);
      Optional<Stored> before = find(id);
      if (before.isPresent() && Files.exists(mended(id)) && Files.exists(original(id))) {
        return before.get();
      }
      Model model = ModelReader.read(file, progress.part(0, 0.5));
      MeshReport.Result result = MeshReport.of(model.mesh(), progress.part(0.5, 0.9));
      progress.at("Keeping it", 0.9);
      long bytes = Files.size(file);
      write(result.mesh(), mended(id));
      Files.move(file, original(id), StandardCopyOption.REPLACE_EXISTING);
      mapper.put(
          new ModelMapper.Row(
              id, name, bytes, model.format().name(), model.unitMm(), json.write(result.report())));
      return find(id).orElseThrow();
    } catch (ModelUnreadable e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not readable", e.getMessage());
    } finally {
      Files.deleteIfExists(file);
    }
  }

  /** Keeps a mesh in millimetres as a model of its own. */
  public Stored keep(TriangleMesh mesh, String name, Progress progress) throws IOException {
    Path file = Files.createTempFile(folder.models(), "made", ".part");
    try (OutputStream out = Files.newOutputStream(file)) {
      StlWriter.write(mesh, out);
    }
    return keep(file, name, progress);
  }

  /** Empty when the id is null or unknown. What is kept under an id never changes. */
  public Optional<Stored> find(String id) {
    if (id == null) {
      return Optional.empty();
    }
    Stored seen = known.get(id);
    if (seen == null) {
      ModelMapper.Row row = mapper.find(id);
      if (row == null) {
        return Optional.empty();
      }
      seen =
          new Stored(
              row.id(),
              row.name(),
              row.bytes(),
              ModelFormat.valueOf(row.format()).title(),
              row.unitMm(),
              json.read(row.report(), MeshReport.class));
      known.put(id, seen);
    }
    return Optional.of(seen);
  }

  /** Whether its mesh is there, or can be made again. */
  public boolean there(String id) {
    return Files.exists(mended(id)) || Files.exists(original(id));
  }

  public Path original(String id) {
    return folder.models().resolve(id + ".original");
  }

  private static String digest(Path file) throws IOException {
    try (FileChannel channel = FileChannel.open(file)) {
      MessageDigest sha = MessageDigest.getInstance("SHA-256");
      ByteBuffer block = ByteBuffer.allocate(1 << 18);
      while (channel.read(block) >= 0) {
        sha.update(block.flip());
        block.clear();
      }
      return HexFormat.of().formatHex(sha.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void write(TriangleMesh mesh, Path to) throws IOException {
    Path part = to.resolveSibling(to.getFileName() + ".part");
    try (FileChannel channel =
        FileChannel.open(
            part,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING)) {
      MeshBytes.write(mesh, new BufferedOutputStream(Channels.newOutputStream(channel), 1 << 18));
    }
    Files.move(part, to, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
  }

  private Path mended(String id) {
    return folder.models().resolve(id + ".mesh");
  }

  /**
   * The mended mesh, in file units. One that is missing or damaged is made again of the original.
   *
   * @throws Problem when neither can be read
   */
  public TriangleMesh mesh(String id) {
    try {
      return stored(id);
    } catch (IOException | RuntimeException damaged) {
      TriangleMesh made = again(id);
      LOG.info("The mesh of model {} could not be read and was made again", id);
      return made;
    }
  }

  private TriangleMesh stored(String id) throws IOException {
    try (FileChannel channel = FileChannel.open(mended(id))) {
      return MeshBytes.mesh(channel.map(FileChannel.MapMode.READ_ONLY, 0, channel.size()));
    }
  }

  private TriangleMesh again(String id) {
    try {
      Model model = ModelReader.read(original(id), Progress.NONE);
      TriangleMesh mesh = MeshReport.of(model.mesh(), Progress.NONE).mesh();
      write(mesh, mended(id));
      return mesh;
    } catch (IOException | ModelUnreadable e) {
      String name = find(id).map(Stored::name).orElse("of this job");
      throw new Problem(
          HttpStatus.CONFLICT,
          "Model file missing",
          "The model file “"
              + name
              + "” is missing from the data folder, or damaged. Upload it again: everything decided"
              + " about this job is kept.");
    }
  }
}
