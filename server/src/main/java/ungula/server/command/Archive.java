package ungula.server.command;

import java.io.IOException;
import java.io.PrintStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.server.DataFolder;
import ungula.server.archive.Held;
import ungula.server.archive.Restore;

/**
 * Takes all that is kept away in one file, puts it back, and looks whether it is well. Where a
 * server works on the folder it is asked.
 */
public final class Archive {

  private static final String BACKUP = "backup FILE.zip [--data DIR]";
  private static final String RESTORE = "restore FILE.zip [--data DIR] [--over]";
  private static final String CHECK = "check [--data DIR] [--json]";
  private static final String DATA = "--data";

  /** Something is wrong with what is kept. */
  private static final int WRONG = 1;

  private static final int ARGUMENTS = 2;
  private static final int UNFIT = 3;
  private static final int IN_USE = 4;

  private Archive() {}

  private static Path data(Arguments a) {
    String home = Path.of(System.getProperty("user.home"), ".ungula").toString();
    return Path.of(a.value(DATA, home)).toAbsolutePath().normalize();
  }

  private static Path file(Arguments a) throws Arguments.Unclear {
    if (a.files().size() != 1) {
      throw new Arguments.Unclear("Say one file.");
    }
    return Path.of(a.files().get(0)).toAbsolutePath();
  }

  /**
   * @param alone starts a server on a folder for this program alone
   * @return exit status: 0, 2 for bad arguments, 3 where it could not be written or read back
   */
  public static int backup(
      List<String> args,
      PrintStream out,
      PrintStream err,
      Function<DataFolder, ConfigurableApplicationContext> alone) {
    try {
      Arguments a = Arguments.of(args, Set.of(), Set.of(DATA));
      Path file = file(a);
      Path data = data(a);
      if (Restore.empty(data)) {
        err.println("Nothing is kept in " + data + ".");
        return UNFIT;
      }
      Path part = file.resolveSibling(file.getFileName() + ".part");
      Path tried = Files.createTempDirectory("ungula-backup").resolve("data");
      try {
        asked(data, "api/backup.zip", BodyHandlers.ofFile(part), alone);
        // a backup is one once it was unpacked and looked into
        Held held = Restore.unpack(part, tried);
        Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        out.println(file + " holds " + held.text() + ": " + Files.size(file) / 1024 + " kB.");
        return 0;
      } finally {
        Files.deleteIfExists(part);
        Restore.delete(tried.getParent());
      }
    } catch (Arguments.Unclear e) {
      return unclear(e, BACKUP, err);
    } catch (Restore.Unfit | IOException | RuntimeException e) {
      err.println("The backup could not be made: " + e.getMessage());
      return UNFIT;
    }
  }

  private static int unclear(Arguments.Unclear e, String usage, PrintStream err) {
    err.println(e.getMessage() + " The command is: " + usage);
    return ARGUMENTS;
  }

  /** Asks the server that works on a folder; where none does, one that is started for it. */
  private static <T> HttpResponse<T> asked(
      Path data,
      String path,
      HttpResponse.BodyHandler<T> handler,
      Function<DataFolder, ConfigurableApplicationContext> alone)
      throws IOException {
    HttpResponse<T> answer;
    try (DataFolder folder = DataFolder.claim(data);
        ConfigurableApplicationContext server = alone.apply(folder)) {
      int port = ((WebServerApplicationContext) server).getWebServer().getPort();
      folder.announce("http://127.0.0.1:" + port + "/");
      answer = ask(data, path, handler);
    } catch (DataFolder.InUse running) {
      answer = ask(data, path, handler);
    }
    if (answer.statusCode() != 200) {
      throw new IOException("the server answered " + answer.statusCode() + ".");
    }
    return answer;
  }

  private static <T> HttpResponse<T> ask(
      Path data, String path, HttpResponse.BodyHandler<T> handler) throws IOException {
    Optional<String> address = DataFolder.address(data);
    if (address.isEmpty()) {
      throw new IOException("a server is just starting there. Try again in a moment.");
    }
    try {
      HttpRequest request = HttpRequest.newBuilder(URI.create(address.get() + path)).build();
      return HttpClient.newHttpClient().send(request, handler);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException("it was stopped.", e);
    }
  }

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for what is no whole backup or a folder that is
   *     not empty, 4 for a folder a server works on
   */
  public static int restore(List<String> args, PrintStream out, PrintStream err) {
    try {
      Arguments a = Arguments.of(args, Set.of("--over"), Set.of(DATA));
      Path file = file(a);
      Path data = data(a);
      if (!Files.isRegularFile(file)) {
        err.println("There is no file " + file);
        return UNFIT;
      }
      return restore(file, data, a.has("--over"), out, err);
    } catch (Arguments.Unclear e) {
      return unclear(e, RESTORE, err);
    } catch (DataFolder.InUse running) {
      err.println(running.getMessage());
      return IN_USE;
    } catch (Restore.Unfit | IOException e) {
      err.println("It was not restored, and nothing was changed. " + e.getMessage());
      return UNFIT;
    }
  }

  private static int restore(Path file, Path data, boolean over, PrintStream out, PrintStream err)
      throws IOException, Restore.Unfit, DataFolder.InUse {
    Files.createDirectories(data.getParent());
    Path unpacked = data.resolveSibling(data.getFileName() + ".restored");
    Restore.delete(unpacked);
    try {
      Held held = Restore.unpack(file, unpacked);
      out.println("The backup holds " + held.text() + ".");
      if (!Restore.empty(data)) {
        // nobody works on it, and nobody begins to
        DataFolder.claim(data).close();
        compare(Held.in(data), held, data, out);
        if (!over) {
          err.println(
              "Nothing was changed. With --over the backup takes its place, and what is there now is"
                  + " moved aside.");
          return UNFIT;
        }
      }
      Path before = Restore.into(unpacked, data, LocalDateTime.now(ZoneId.systemDefault()));
      if (!before.equals(data)) {
        out.println("What was there is in " + before + " now.");
      }
      out.println("It is restored in " + data + ".");
      return 0;
    } finally {
      Restore.delete(unpacked);
    }
  }

  private static void compare(Held there, Held held, Path data, PrintStream out) {
    out.println(data + " holds " + there.text() + ".");
    List<String> lost = new ArrayList<>(there.jobs());
    held.jobs().forEach(lost::remove);
    if (!lost.isEmpty()) {
      out.println("Not in the backup: " + String.join(", ", lost) + ".");
    }
  }

  /**
   * @param alone starts a server on a folder for this program alone
   * @return exit status: 0 where all is well, 1 where something is wrong, 2 for bad arguments, 3
   *     where the folder cannot be read
   */
  public static int check(
      List<String> args,
      PrintStream out,
      PrintStream err,
      Function<DataFolder, ConfigurableApplicationContext> alone) {
    try {
      Arguments a = Arguments.of(args, Set.of("--json"), Set.of(DATA));
      Path data = data(a);
      if (!a.files().isEmpty()) {
        throw new Arguments.Unclear("It looks at a folder: say it with --data.");
      }
      if (Restore.empty(data)) {
        err.println("Nothing is kept in " + data + ".");
        return UNFIT;
      }
      String answer = asked(data, "api/check", BodyHandlers.ofString(), alone).body();
      JsonNode checked = JsonMapper.builder().build().readTree(answer);
      if (a.has("--json")) {
        out.println(answer);
      } else {
        print(checked, out);
      }
      return checked.get("wrong").isEmpty() ? 0 : WRONG;
    } catch (Arguments.Unclear e) {
      return unclear(e, CHECK, err);
    } catch (IOException | RuntimeException e) {
      err.println("It cannot be checked: " + e.getMessage());
      return UNFIT;
    }
  }

  private static void print(JsonNode checked, PrintStream out) {
    checked.get("wrong").forEach(w -> out.println("WRONG  " + w.asString()));
    out.println(
        checked.get("jobs").asInt()
            + " jobs, "
            + checked.get("runs").asInt()
            + " moulds and casts at the bench, "
            + checked.get("casts").asInt()
            + " casts: "
            + (checked.get("wrong").isEmpty()
                ? "all can be read, every file is there, every job can be planned."
                : checked.get("wrong").size() + " wrong."));
  }
}
