package ungula.server.command;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PipedInputStream;
import java.io.PipedOutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Predicate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.device.Reading;
import ungula.core.device.Reading.Weight;

public class StandInsTest {

  private static BufferedReader reader(InputStream in) {
    return new BufferedReader(new InputStreamReader(in, StandardCharsets.US_ASCII));
  }

  private static String until(BufferedReader in, Predicate<String> wanted) throws Exception {
    String line = in.readLine();
    while (line != null && !wanted.test(line)) {
      line = in.readLine();
    }
    return line;
  }

  private static boolean settledAt(String line, double grams) {
    return Reading.of(line)
        .filter(r -> r instanceof Weight w && w.settled() && Math.abs(w.grams() - grams) < 0.3)
        .isPresent();
  }

  /** As somebody at the bench would: put a cup on it, tare, pour. */
  @Test(timeOut = 60_000)
  public void aScaleIsPouredOnAndTared() throws Exception {
    PipedOutputStream hand = new PipedOutputStream();
    PipedInputStream typed = new PipedInputStream(hand);
    PipedOutputStream says = new PipedOutputStream();
    BufferedReader said = reader(new PipedInputStream(says));
    AtomicInteger status = new AtomicInteger(-1);
    Thread standIn =
        new Thread(
            () ->
                status.set(
                    StandIns.run(
                        List.of("scale", "--port", "0"),
                        typed,
                        new PrintStream(says, true, StandardCharsets.UTF_8),
                        System.err)));
    standIn.start();
    String ready = said.readLine();
    int port = Integer.parseInt(ready.replaceAll("\\D*127\\.0\\.0\\.1:(\\d+)\\.", "$1"));
    try (Socket one = new Socket(InetAddress.getLoopbackAddress(), port);
        Socket other = new Socket(InetAddress.getLoopbackAddress(), port)) {
      BufferedReader lines = reader(one.getInputStream());
      assertTrue(settledAt(lines.readLine(), 0));
      hand.write("put 45\n".getBytes(StandardCharsets.UTF_8));
      hand.flush();
      assertEquals(said.readLine(), "done: put 45");
      assertTrue(settledAt(until(lines, l -> settledAt(l, 45)), 45));
      one.getOutputStream().write("T\n".getBytes(StandardCharsets.US_ASCII));
      assertEquals(until(lines, l -> l.startsWith("T")), "T OK");
      // whoever else listens hears the same scale
      assertTrue(settledAt(until(reader(other.getInputStream()), l -> settledAt(l, 0)), 0));
      // what is no command, or never ends, does not stop it
      other.getOutputStream().write("x".repeat(5_000).getBytes(StandardCharsets.US_ASCII));
      assertTrue(settledAt(lines.readLine(), 0));
    }
    hand.close();
    standIn.interrupt();
    standIn.join();
    assertEquals(status.get(), 0);
  }

  @DataProvider
  public Object[][] wrong() {
    return new Object[][] {
      {List.of("scale"), 2, "--port is a whole number."},
      {List.of("scale", "--port", "abc"), 2, "--port is a whole number."},
      {List.of("kettle", "--port", "0"), 2, "There is no stand-in for “kettle”."},
      {List.of("--port", "0"), 2, "One device is stood in for at a time."},
    };
  }

  @Test(dataProvider = "wrong")
  public void whatIsNotUnderstoodIsSaid(List<String> args, int status, String says) {
    ByteArrayOutputStream err = new ByteArrayOutputStream();
    InputStream nothing = new ByteArrayInputStream(new byte[0]);
    assertEquals(StandIns.run(args, nothing, System.out, new PrintStream(err, true)), status);
    assertTrue(err.toString(StandardCharsets.UTF_8).startsWith(says), says);
  }

  @Test
  public void aPortThatIsTakenIsSaid() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      ByteArrayOutputStream err = new ByteArrayOutputStream();
      int status =
          StandIns.run(
              List.of("room", "--port", "" + taken.getLocalPort()),
              new ByteArrayInputStream(new byte[0]),
              System.out,
              new PrintStream(err, true));
      assertEquals(status, 5);
      assertTrue(err.toString(StandardCharsets.UTF_8).contains("Give another with --port"));
    }
  }
}
