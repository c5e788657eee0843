package ungula.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application as a process of its own, on data of its own. */
final class App implements AutoCloseable {

  private static final Pattern READY = Pattern.compile("ready at (http://\\S+/)");

  private final Path data;
  private Process process;
  private String address;

  App() throws IOException {
    data = Files.createTempDirectory("ungula-e2e");
    start();
  }

  void start() throws IOException {
    process = launch(data);
    BufferedReader out = process.inputReader();
    List<String> said = new ArrayList<>();
    for (String line = out.readLine(); line != null; line = out.readLine()) {
      said.add(line);
      Matcher ready = READY.matcher(line);
      if (ready.find()) {
        address = ready.group(1);
        drain(out);
        return;
      }
    }
    throw new IOException("Ungula did not start: " + said);
  }

  private static Process launch(Path data, String... more) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx1g",
                "-jar",
                System.getProperty("ungula.jar"),
                "serve",
                "--demo",
                "--port",
                "0",
                "--data",
                data.toString()));
    command.addAll(List.of(more));
    return new ProcessBuilder(command).redirectErrorStream(true).start();
  }

  /** Keeps reading, so that the process never waits for its output to be taken. */
  private static void drain(BufferedReader out) {
    Thread reader =
        new Thread(
            () -> {
              try {
                for (String line = out.readLine(); line != null; line = out.readLine()) {
                  System.out.println("ungula: " + line);
                }
              } catch (IOException closed) {
                // the process is gone
              }
            });
    reader.setDaemon(true);
    reader.start();
  }

  String url(String path) {
    return address + path;
  }

  /** Ends the process at once, as a power cut would. */
  void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** What a second start on the same data says, and with what status it ends. */
  String startAgain() throws IOException, InterruptedException {
    return ended(launch(data));
  }

  /** The same of a start on new data that is to be open to the network, with no passphrase set. */
  static String startOpen() throws IOException, InterruptedException {
    Path fresh = Files.createTempDirectory("ungula-e2e");
    try {
      return ended(launch(fresh, "--host", "0.0.0.0"));
    } finally {
      delete(fresh);
    }
  }

  private static String ended(Process process) throws IOException, InterruptedException {
    String said = new String(process.getInputStream().readAllBytes());
    return process.waitFor() + " " + said;
  }

  @Override
  public void close() throws IOException {
    try {
      process.destroy();
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    delete(data);
  }

  private static void delete(Path folder) throws IOException {
    try (var files = Files.walk(folder)) {
      for (Path f : files.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(f);
      }
    }
  }
}
