package ungula.server.command;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;

/** A command that answers one file of JSON, in words or as JSON again. */
final class FileCommand {

  private FileCommand() {}

  /** What a file comes to. */
  interface Answer {
    Map<String, Object> fields();

    void print(PrintStream out);

    /** Exit status. */
    default int status() {
      return 0;
    }
  }

  /** Reads a file, and answers it. */
  @FunctionalInterface
  interface Answering {
    /**
     * @throws JsonFile.Unreadable when it is not understood
     * @throws IllegalArgumentException when it cannot be
     */
    Answer to(byte[] json) throws JsonFile.Unreadable;
  }

  /**
   * @param usage of the command
   * @param one says that one file is asked for
   * @return exit status: that of the answer, 2 for bad arguments, 3 for a file that cannot be read
   */
  static int run(
      String usage,
      String one,
      List<String> args,
      PrintStream out,
      PrintStream err,
      Answering answering) {
    try {
      Arguments a = Arguments.of(args, Set.of("--json"), Set.of());
      if (a.files().size() != 1) {
        throw new Arguments.Unclear(one);
      }
      Path file = Path.of(a.files().get(0));
      if (!Files.isRegularFile(file)) {
        err.println("There is no file " + file);
        return 3;
      }
      Answer answer = answering.to(Files.readAllBytes(file));
      if (a.has("--json")) {
        out.println(JsonMapper.builder().build().writeValueAsString(answer.fields()));
      } else {
        answer.print(out);
      }
      return answer.status();
    } catch (Arguments.Unclear e) {
      err.println(e.getMessage() + " The command is: " + usage);
      return 2;
    } catch (JsonFile.Unreadable | IllegalArgumentException e) {
      err.println(e.getMessage());
      return 3;
    } catch (IOException e) {
      err.println("The file cannot be read: " + e.getMessage());
      return 3;
    }
  }

  /** A row of an answer: keys and values in turn. */
  static Map<String, Object> row(Object... fields) {
    Map<String, Object> row = new LinkedHashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      row.put((String) fields[i], fields[i + 1]);
    }
    return row;
  }
}
