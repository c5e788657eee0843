package ungula.server.mould;

import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a mould is called on its label: five letters and digits that are not taken for others. */
final class Code {

  private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

  private static final int LENGTH = 5;

  private static final Pattern TYPED =
      Pattern.compile("(?:.*/moulds/)?([A-Z0-9]{" + LENGTH + "})/?", Pattern.CASE_INSENSITIVE);

  private static final SecureRandom RANDOM = new SecureRandom();

  private Code() {}

  static String next() {
    StringBuilder code = new StringBuilder();
    for (int i = 0; i < LENGTH; i++) {
      code.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
    }
    return code.toString();
  }

  /** A code as it was typed, or scanned with the address it stands in; empty where it is none. */
  static Optional<String> read(String typed) {
    Matcher m = TYPED.matcher(typed.strip().replaceAll("(?<=\\w)[ -](?=\\w)", ""));
    return m.matches() ? Optional.of(m.group(1).toUpperCase(Locale.ROOT)) : Optional.empty();
  }
}
