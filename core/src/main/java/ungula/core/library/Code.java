package ungula.core.library;

import java.util.Locale;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ungula.core.quantity.UnreadableQuantity;

/** What a mould is called on its label: five letters and digits that are not taken for others. */
public final class Code {

  private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

  private static final int LENGTH = 5;

  private static final Pattern TYPED =
      Pattern.compile("(?:.*/moulds/)?([A-Z0-9]{" + LENGTH + "})/?", Pattern.CASE_INSENSITIVE);

  private Code() {}

  /** Another one. */
  public static String next(RandomGenerator random) {
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < LENGTH; i++) {
      code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
    }
    return code.toString();
  }

  /** A code as it was typed, or scanned with the address it stands in; empty where it is none. */
  public static Optional<String> read(String typed) {
    Matcher m = TYPED.matcher(typed.strip().replaceAll("(?<=\\w)[ -](?=\\w)", ""));
    return m.matches() ? Optional.of(m.group(1).toUpperCase(Locale.ROOT)) : Optional.empty();
  }

  /**
   * @throws UnreadableQuantity where it is none
   */
  public static String typed(String text) {
    return read(text)
        .orElseThrow(
            () ->
                new UnreadableQuantity(
                    "A code is five letters and digits, such as K7F3M: “" + text + "” is none."));
  }
}
