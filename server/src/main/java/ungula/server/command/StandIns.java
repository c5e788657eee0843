package ungula.server.command;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CountDownLatch;
import ungula.core.device.StandIn;
import ungula.core.device.StandInGauge;
import ungula.core.device.StandInRoom;
import ungula.core.device.StandInScale;
import ungula.server.device.StandInDoor;

/**
 * {@code stand-in KIND --port N}: a device's stand-in that says its lines over TCP to whoever
 * connects from this computer, and is worked by what is typed.
 */
public final class StandIns {

  private static final String USAGE = "stand-in scale|gauge|room --port N [--seed N]";

  private StandIns() {}

  /**
   * @param in what a hand does to it, a line each
   * @return exit status: 0 when it is stopped, 2 for bad arguments, 5 when the port is taken
   */
  public static int run(List<String> args, InputStream in, PrintStream out, PrintStream err) {
    try {
      Arguments a = Arguments.of(args, Set.of(), Set.of("--port", "--seed"));
      if (a.files().size() != 1) {
        throw new Arguments.Unclear("One device is stood in for at a time.");
      }
      String kind = a.files().get(0);
      int port = (int) whole(a.value("--port", ""), "--port", 65_535);
      try (StandInDoor s =
          new StandInDoor(device(kind, whole(a.value("--seed", "1"), "--seed", 1e9)), port)) {
        out.println("A " + kind + " stands in at 127.0.0.1:" + s.port() + ".");
        BufferedReader typed =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
        for (String deed = typed.readLine(); deed != null; deed = typed.readLine()) {
          out.println(s.hand(deed));
        }
        // with nobody to work it, it goes on saying what it shows
        new CountDownLatch(1).await();
      }
      return 0;
    } catch (InterruptedException stopped) {
      return 0;
    } catch (Arguments.Unclear e) {
      err.println(e.getMessage() + " The command is: " + USAGE);
      return 2;
    } catch (IOException e) {
      err.println("The port cannot be opened: " + e.getMessage() + ". Give another with --port.");
      return 5;
    }
  }

  private static long whole(String text, String option, double most) throws Arguments.Unclear {
    if (!text.matches("\\d{1,10}") || Long.parseLong(text) > most) {
      throw new Arguments.Unclear(option + " is a whole number.");
    }
    return Long.parseLong(text);
  }

  private static StandIn device(String kind, long seed) throws Arguments.Unclear {
    return switch (kind) {
      case "scale" -> StandInScale.usual(seed);
      case "gauge" -> StandInGauge.usual(seed);
      case "room" -> StandInRoom.usual(seed);
      default -> throw new Arguments.Unclear("There is no stand-in for “" + kind + "”.");
    };
  }
}
