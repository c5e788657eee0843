package ungula.server.device;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import ungula.core.device.Reading;

/**
 * Lines of a device, one after the other. What is longer than a device's line, or is no text, is
 * passed over as one line, however much of it there is: nothing is kept of it.
 */
final class DeviceLines {

  private final InputStream in;
  private final byte[] line = new byte[Reading.MOST_BYTES + 1];

  DeviceLines(InputStream in) {
    this.in = new BufferedInputStream(in, 1024);
  }

  /**
   * @return empty for what is no line of a device; null at the end
   */
  String next() throws IOException {
    int length = 0;
    boolean text = true;
    boolean any = false;
    long begun = System.nanoTime();
    for (int c = in.read(); c >= 0; c = in.read()) {
      any = true;
      if (System.nanoTime() - begun > Connection.SILENT.toNanos()) {
        // letter by letter, without end
        return "";
      }
      if (c == '\n') {
        return text && length <= Reading.MOST_BYTES
            ? new String(line, 0, length, StandardCharsets.US_ASCII).strip()
            : "";
      }
      text &= c == '\r' || c >= ' ' && c < 127;
      if (length < line.length) {
        line[length++] = (byte) c;
      } else if (length == line.length) {
        // an endless line: whoever waits is told that nothing was said
        return passOver() ? "" : null;
      }
    }
    return any ? "" : null;
  }

  /**
   * Goes on to the end of a line that is too long, but no further than a while.
   *
   * @return whether there is more to read
   */
  private boolean passOver() throws IOException {
    for (int i = 0; i < 1 << 20; i++) {
      int c = in.read();
      if (c < 0) {
        return false;
      }
      if (c == '\n') {
        return true;
      }
    }
    return true;
  }
}
