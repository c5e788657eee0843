package ungula.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import ungula.server.access.Hosts;
import ungula.server.access.Passphrase;
import ungula.server.archive.GoBack;
import ungula.server.command.Amounts;
import ungula.server.command.Archive;
import ungula.server.command.Bench;
import ungula.server.command.Days;
import ungula.server.command.Diagnose;
import ungula.server.command.Measure;
import ungula.server.command.Production;
import ungula.server.command.Rehearse;
import ungula.server.command.StandIns;

/** The one way in: the server, or a command that needs none. */
@SpringBootApplication
@MapperScan(
    basePackages = "ungula.server",
    annotationClass = org.apache.ibatis.annotations.Mapper.class)
public class Ungula {

  private static final String USAGE =
      """
      serve [--data DIR] [--port N] [--host ADDRESS] [--demo]   start the server (default port 8420)
      passphrase [--data DIR]                          set what others on the network are asked for
      measure FILE [--json] [--coats …] [--air …] [--locks …]   report on a model file
      days FILE [--json]                               schedule a network of steps
      amounts FILE [--json]                            what is mixed for a cast
      production FILE [--json]                         when many casts are done
      diagnose FILE [--json]                           why a mould or a cast went wrong
      stand-in scale|gauge|room --port N [--seed N]    take a device's place
      rehearse SCRIPT [--json]                         go through a run as a script tells it
      backup FILE.zip [--data DIR]                     all that is kept, in one file
      restore FILE.zip [--data DIR] [--over]           put a backup in the place of a folder
      check [--data DIR] [--json]                      whether all that is kept can be read
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
      case "passphrase" -> setPassphrase(rest, out, err);
      case "measure" -> System.exit(Measure.run(rest, out, err));
      case "days" -> System.exit(Days.run(rest, out, err));
      case "amounts" -> System.exit(Amounts.run(rest, out, err));
      case "production" -> System.exit(Production.run(rest, out, err));
      case "diagnose" -> System.exit(Diagnose.run(rest, out, err));
      case "rehearse" -> System.exit(Rehearse.run(rest, out, err));
      case "stand-in" -> System.exit(StandIns.run(rest, System.in, out, err));
      case "backup" -> System.exit(Archive.backup(rest, out, err, Ungula::alone));
      case "restore" -> System.exit(Archive.restore(rest, out, err));
      case "check" -> System.exit(Archive.check(rest, out, err, Ungula::alone));
      case "bench" -> System.exit(Bench.run(rest, out, err));
      default -> {
        err.println("There is no “" + command + "”. There is:\n" + USAGE);
        System.exit(2);
      }
    }
  }

  /** Starts the server on a folder for this program alone. */
  private static ConfigurableApplicationContext alone(DataFolder folder) {
    try {
      Hosts own = Hosts.of("127.0.0.1");
      return start(folder, "127.0.0.1", "0", false, own, Optional.empty(), null);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void serve(List<String> args, PrintStream out, PrintStream err) {
    Options options = new Options(args, err);
    try {
      Hosts hosts = Hosts.of(options.host);
      checkPort(options.host, options.port);
      DataFolder folder = DataFolder.claim(options.data);
      Optional<Passphrase> passphrase =
          hosts.open() ? passphrase(folder.path(), err) : Optional.empty();
      Serving serving =
          new Serving(folder, options.host, options.port, options.demo, hosts, passphrase);
      out.println("Ungula is ready at " + serving.address() + " with its data in " + options.data);
      if (hosts.open()) {
        out.println(
            "It is open to everyone on the network who knows the passphrase. On a tablet, type:");
        hosts.addresses().forEach(a -> out.println("  http://" + a + ":" + serving.port() + "/"));
      } else {
        out.println("It is open to this computer only.");
      }
    } catch (DataFolder.InUse inUse) {
      err.println(inUse.getMessage());
      System.exit(4);
    } catch (BindException busy) {
      err.println(
          "Port "
              + options.port
              + " is taken by another program, perhaps another Ungula. Start with --port and another"
              + " number.");
      System.exit(5);
    } catch (UnknownHostException unknown) {
      err.println("--host " + options.host + " is no address of this computer.");
      System.exit(2);
    } catch (IOException e) {
      err.println("The data folder " + options.data + " cannot be used: " + e.getMessage());
      System.exit(6);
    }
  }

  /** The options of the server's commands, each given once. */
  private static final class Options {
    private Path data = Path.of(System.getProperty("user.home"), ".ungula");
    private String port = "8420";
    private String host = "127.0.0.1";
    private boolean demo;

    Options(List<String> args, PrintStream err) {
      for (int i = 0; i < args.size(); i++) {
        String name = args.get(i);
        boolean last = i + 1 == args.size();
        switch (last && !name.equals("--demo") ? "" : name) {
          case "--demo" -> demo = true;
          case "--data" -> data = Path.of(args.get(++i));
          case "--port" -> port = args.get(++i);
          case "--host" -> host = args.get(++i);
          default -> {
            err.println("“" + name + "” is not understood. There is:\n" + USAGE);
            System.exit(2);
          }
        }
      }
      data = data.toAbsolutePath().normalize();
    }
  }

  /** The passphrase, asked for when there is none yet; without one the server stays closed. */
  private static Optional<Passphrase> passphrase(Path data, PrintStream err) throws IOException {
    Optional<Passphrase> kept = Passphrase.in(data);
    if (kept.isPresent()) {
      return kept;
    }
    if (System.console() == null) {
      err.println(
          "With --host others on the network could open it, and no passphrase is set. Set one with"
              + " “./ungula passphrase”, then start again.");
      System.exit(7);
    }
    err.println("Others on the network will be asked for a passphrase. Choose one now.");
    return Optional.of(ask(data, err));
  }

  private static Passphrase ask(Path data, PrintStream err) throws IOException {
    BufferedReader lines =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    while (true) {
      String words;
      if (System.console() == null) {
        words = lines.readLine();
      } else {
        char[] typed = System.console().readPassword("Passphrase: ");
        words = typed == null ? null : new String(typed);
      }
      if (words == null) {
        err.println("Nothing was typed, nothing was set.");
        System.exit(7);
      }
      try {
        return Passphrase.set(data, words);
      } catch (IllegalArgumentException unfit) {
        err.println(unfit.getMessage());
      }
    }
  }

  private static void setPassphrase(List<String> args, PrintStream out, PrintStream err) {
    Options options = new Options(args, err);
    try {
      Files.createDirectories(options.data);
      ask(options.data, err);
      out.println(
          "The passphrase is set. It holds from the next start; everybody who was signed in signs"
              + " in again.");
    } catch (IOException e) {
      err.println("The data folder " + options.data + " cannot be used: " + e.getMessage());
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

  /**
   * Starts the server on a folder already claimed.
   *
   * @param port 0 takes any free one
   * @param demo whether the made-up shelf is put up on new data
   * @param hosts names it answers to
   * @param passphrase others are asked for; empty when nobody else reaches it
   * @param back starts it again on a backup; null where nobody asks for that
   */
  public static ConfigurableApplicationContext start(
      DataFolder folder,
      String host,
      String port,
      boolean demo,
      Hosts hosts,
      Optional<Passphrase> passphrase,
      @Nullable GoBack back) {
    SpringApplication application = new SpringApplication(Ungula.class);
    application.setDefaultProperties(
        Map.of(
            "ungula.data",
            folder.path().toString(),
            "ungula.demo",
            demo,
            "server.address",
            host,
            "server.port",
            port));
    application.addInitializers(
        context -> {
          context.getBeanFactory().registerSingleton("dataFolder", folder);
          context.getBeanFactory().registerSingleton("hosts", hosts);
          passphrase.ifPresent(p -> context.getBeanFactory().registerSingleton("passphrase", p));
          if (back != null) {
            context.getBeanFactory().registerSingleton("goBack", back);
          }
        });
    return application.run();
  }
}
