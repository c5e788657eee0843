package ungula.core.working;

import java.util.Set;
import java.util.regex.Pattern;

/**
 * What the figures of one thing may be called; "#" stands for a number, as in "coat.#.base". The
 * page is given the same list, so that a figure it asks for and nobody makes is a fault there.
 *
 * @param of what they are figures of, as the contract names it
 */
public record FigureKeys(String of, Set<String> keys) {

  private static final Pattern NUMBER = Pattern.compile("\\d+");

  public static FigureKeys of(String of, String... keys) {
    return new FigureKeys(of, Set.of(keys));
  }

  public boolean known(String key) {
    return keys.contains(NUMBER.matcher(key).replaceAll("#"));
  }
}
