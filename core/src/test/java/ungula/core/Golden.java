package ungula.core;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A text that was read and found right, kept beside its test, against what is said now. */
public final class Golden {

  private Golden() {}

  /**
   * Fails with the lines that are not in both. What is said now is left in {@code target/said}:
   * where the difference is meant, it is copied over the kept one.
   *
   * @param test beside which the text is kept
   */
  public static void same(Class<?> test, String file, String now) throws IOException {
    Path left = Path.of("target", "said", file);
    Files.createDirectories(left.getParent());
    Files.writeString(left, now);
    try (InputStream in = test.getResourceAsStream(file)) {
      String kept = in == null ? "" : new String(in.readAllBytes(), StandardCharsets.UTF_8);
      List<String> before = kept.lines().toList();
      List<String> after = now.lines().toList();
      assertEquals(without(after, before), List.of(), "is said now, in " + left);
      assertEquals(without(before, after), List.of(), "was said");
      assertEquals(now, kept, "the same lines, in another order");
    }
  }

  private static List<String> without(List<String> lines, List<String> others) {
    List<String> left = new ArrayList<>(lines);
    others.forEach(left::remove);
    return left;
  }
}
