package ungula.server;

import java.io.IOException;
import java.io.PrintStream;
import java.net.BindException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import ungula.server.command.Bench;
import ungula.server.command.Measure;

/** The one way in: the server, or a command that needs none. */
@SpringBootApplication
@MapperScan(
    basePackages = "ungula.server",
    annotationClass = org.apache.ibatis.annotations.Mapper.class)
public class Ungula {

  private static final String USAGE =
      """
      serve [--data DIR] [--port N] [--host ADDRESS]   start the server (default port 8420)
      measure FILE [--json] [--coats …] [--air …] [--locks …]   report on a model file
      bench [FILE...] [--json]                         time each stage of the work
      """;

  public static void main(String[] args) {
    String command = args.length == 0 ? "serve" : args[0];
    List<String> rest =
        new ArrayList<>(Arrays.asList(args).subList(Math.min(1, args.length), args.length));
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
    switch (command) {
      case "serve" -> serve(rest, out, err);
      case "measure" -> System.exit(Measure.run(rest, out, err));
      case "bench" -> System.exit(Bench.run(rest, out, err));
      default -> {
        err.println("There is no “" + command + "”. There is:\n" + USAGE);
        System.exit(2);
      }
    }
  }

  private static void serve(List<String> args, PrintStream out, PrintStream err) {
    Path data = Path.of(System.getProperty("user.home"), ".ungula");
    String port = "8420";
    String host = "127.0.0.1";
    for (int i = 0; i < args.size(); i += 2) {
      String value = i + 1 < args.size() ? args.get(i + 1) : null;
      switch (value == null ? "" : args.get(i)) {
        case "--data" -> data = Path.of(value);
        case "--port" -> port = value;
        case "--host" -> host = value;
        default -> {
          err.println("“" + args.get(i) + "” is not understood. There is:\n" + USAGE);
          System.exit(2);
        }
      }
    }
    try {
      checkPort(host, port);
      DataFolder folder = DataFolder.claim(data.toAbsolutePath().normalize());
      ConfigurableApplicationContext started = start(folder, host, port);
      int bound = ((WebServerApplicationContext) started).getWebServer().getPort();
      String address = "http://" + host + ":" + bound + "/";
      folder.announce(address);
      out.println("Ungula is ready at " + address + " with its data in " + folder.path());
    } catch (DataFolder.InUse inUse) {
      err.println(inUse.getMessage());
      System.exit(4);
    } catch (BindException busy) {
      err.println(
          "Port "
              + port
              + " is taken by another program, perhaps another Ungula. Start with --port and another"
              + " number.");
      System.exit(5);
    } catch (IOException e) {
      err.println("The data folder " + data + " cannot be used: " + e.getMessage());
      System.exit(6);
    }
  }

  /** A busy port is found out before anything is started, so that it can be said plainly. */
  private static void checkPort(String host, String port) throws IOException {
    try (ServerSocket free = new ServerSocket()) {
      free.setReuseAddress(true);
      free.bind(new InetSocketAddress(host, Integer.parseInt(port)));
    }
  }

  /** Starts the server on a folder already claimed. Port 0 takes any free one. */
  public static ConfigurableApplicationContext start(DataFolder folder, String host, String port) {
    SpringApplication application = new SpringApplication(Ungula.class);
    application.setDefaultProperties(
        Map.of(
            "ungula.data", folder.path().toString(), "server.address", host, "server.port", port));
    application.addInitializers(
        context -> context.getBeanFactory().registerSingleton("dataFolder", folder));
    return application.run();
  }
}
