package ungula.server.command;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Runs a command that reads a file, and keeps what it says. */
abstract class Commanded {

  String out = "";
  String err = "";

  abstract int command(List<String> args, PrintStream out, PrintStream err);

  /** With a file of such content behind its options. */
  final int run(String content, String... options) throws IOException {
    Path file = Files.createTempFile("command", ".json");
    try {
      Files.writeString(file, content);
      List<String> args = new ArrayList<>(List.of(options));
      args.add(file.toString());
      ByteArrayOutputStream said = new ByteArrayOutputStream();
      ByteArrayOutputStream wrong = new ByteArrayOutputStream();
      int status =
          command(
              args,
              new PrintStream(said, true, StandardCharsets.UTF_8),
              new PrintStream(wrong, true, StandardCharsets.UTF_8));
      out = said.toString(StandardCharsets.UTF_8);
      err = wrong.toString(StandardCharsets.UTF_8);
      return status;
    } finally {
      Files.delete(file);
    }
  }
}
