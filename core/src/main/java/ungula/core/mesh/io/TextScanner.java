package ungula.core.mesh.io;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Words and numbers of a text file, with the line they stand on. */
final class TextScanner {

  private static final double[] TENS = new double[23];

  static {
    TENS[0] = 1;
    for (int i = 1; i < TENS.length; i++) {
      TENS[i] = TENS[i - 1] * 10;
    }
  }

  private final ByteSource in;
  private byte[] word = new byte[64];
  private int length;
  private long line = 1;

  TextScanner(ByteSource in) {
    this.in = in;
  }

  long line() {
    return line;
  }

  /** Reads the next word, over line ends. @return whether there was one */
  boolean next() throws IOException {
    int b = in.read();
    while (b >= 0 && b <= ' ') {
      if (b == '\n') {
        line++;
      }
      b = in.read();
    }
    return take(b);
  }

  /** Reads the next word of this line. @return whether there was one */
  boolean nextOnLine() throws IOException {
    int b = in.look();
    while (b >= 0 && b <= ' ' && b != '\n') {
      in.read();
      b = in.look();
    }
    if (b < 0 || b == '\n') {
      length = 0;
      return false;
    }
    return take(in.read());
  }

  private boolean take(int first) throws IOException {
    length = 0;
    if (first < 0) {
      return false;
    }
    int b = first;
    while (true) {
      if (length == word.length) {
        word = Arrays.copyOf(word, 2 * length);
      }
      word[length++] = (byte) b;
      b = in.look();
      if (b <= ' ') {
        return true;
      }
      in.read();
    }
  }

  /** Leaves the rest of this line unread and goes to the next. */
  void skipLine() throws IOException {
    int b = in.read();
    while (b >= 0 && b != '\n') {
      b = in.read();
    }
    line++;
  }

  String word() {
    return new String(word, 0, length, StandardCharsets.UTF_8);
  }

  boolean is(String lowerCase) {
    if (length != lowerCase.length()) {
      return false;
    }
    for (int i = 0; i < length; i++) {
      int b = word[i];
      if ((b >= 'A' && b <= 'Z' ? b + 32 : b) != lowerCase.charAt(i)) {
        return false;
      }
    }
    return true;
  }

  boolean startsWith(char c) {
    return length > 0 && word[0] == c;
  }

  /**
   * The word as a number. Exact: up to 15 digits with a small power of ten are composed directly,
   * everything else goes the long way.
   */
  double number() throws ModelUnreadable {
    int i = 0;
    boolean negative = length > 0 && word[0] == '-';
    if (negative || length > 0 && word[0] == '+') {
      i++;
    }
    long digits = 0;
    int count = 0;
    int scale = 0;
    boolean point = false;
    while (i < length) {
      int b = word[i];
      if (b >= '0' && b <= '9') {
        digits = digits * 10 + b - '0';
        count += digits == 0 ? 0 : 1;
        scale -= point ? 1 : 0;
      } else if (b == '.' && !point) {
        point = true;
      } else {
        break;
      }
      if (count > 15) {
        return slow();
      }
      i++;
    }
    if (i < length && (word[i] == 'e' || word[i] == 'E') && i + 1 < length) {
      i++;
      boolean minus = word[i] == '-';
      if (minus || word[i] == '+') {
        i++;
      }
      int exponent = 0;
      while (i < length && word[i] >= '0' && word[i] <= '9' && exponent < 1000) {
        exponent = exponent * 10 + word[i++] - '0';
      }
      scale += minus ? -exponent : exponent;
    }
    if (i < length || length == 0 || scale > 22 || scale < -22) {
      return slow();
    }
    double value = scale < 0 ? digits / TENS[-scale] : digits * TENS[scale];
    return negative ? -value : value;
  }

  private double slow() throws ModelUnreadable {
    try {
      return Double.parseDouble(word());
    } catch (NumberFormatException e) {
      throw new ModelUnreadable(
          "Line " + line + ": “" + word() + "” stands where a number should.");
    }
  }

  double finite() throws ModelUnreadable {
    double value = number();
    if (!Double.isFinite(value)) {
      throw new ModelUnreadable(
          "Line " + line + ": the coordinate “" + word() + "” is not a finite number.");
    }
    return value;
  }

  long whole() throws ModelUnreadable {
    double value = number();
    if (value != Math.rint(value)) {
      throw new ModelUnreadable("Line " + line + ": “" + word() + "” should be a whole number.");
    }
    return (long) value;
  }

  /** The next number on this line or a later one. */
  double nextNumber(String what) throws IOException, ModelUnreadable {
    if (!next()) {
      throw cutOff(what);
    }
    return finite();
  }

  ModelUnreadable cutOff(String what) {
    return new ModelUnreadable(
        "The file ends in the middle of "
            + what
            + ", at line "
            + line
            + ". It is cut off; copy or export it again.");
  }
}
