package ungula.core.diagnose;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is known of a case: what was recorded, and what was answered. Anything may be missing; what
 * is not understood is as if it were not known.
 */
public final class Facts {

  private static final Pattern PARTS =
      Pattern.compile("\\s*([\\d.]+)\\s*:\\s*([\\d.]+).*", Pattern.DOTALL);

  private static final Pattern NO =
      Pattern.compile("(no|none|not|never|false|untried|skipped|nothing)\\b.*");

  private static final Pattern YES =
      Pattern.compile("(yes|true|ok|good|cured|hard|tried|passed)\\b.*");

  private final Map<String, Object> all = new HashMap<>();

  /**
   * @param recorded numbers, texts and truths, by the name of the fact
   * @param answered what was asked; where both are there the record counts
   */
  public Facts(Map<String, Object> recorded, Map<String, Object> answered) {
    all.putAll(answered);
    recorded.forEach(
        (k, v) -> {
          if (v != null) {
            all.put(k, v);
          }
        });
  }

  Optional<Double> number(String fact) {
    Object v = all.get(fact);
    if (v instanceof Number n) {
      return Optional.of(n.doubleValue());
    }
    try {
      return v instanceof String s ? Optional.of(Double.valueOf(s.strip())) : Optional.empty();
    } catch (NumberFormatException none) {
      return Optional.empty();
    }
  }

  Optional<String> text(String fact) {
    return Optional.ofNullable(all.get(fact))
        .map(v -> v.toString().strip().toLowerCase(Locale.ROOT).replace('_', ' '))
        .filter(t -> !t.isEmpty());
  }

  /** Yes or no, also where it is said in words. */
  Optional<Boolean> truth(String fact) {
    Object v = all.get(fact);
    if (v instanceof Boolean b) {
      return Optional.of(b);
    }
    Optional<String> said = text(fact);
    if (said.filter(t -> NO.matcher(t).matches()).isPresent()) {
      return Optional.of(false);
    }
    return said.filter(t -> YES.matcher(t).matches()).map(t -> true);
  }

  /** Hardener for each gram of base, as the sheet says. */
  private Optional<Double> ratio() {
    Optional<String> said = text("ratio");
    if (said.isEmpty()) {
      return Optional.empty();
    }
    Matcher m = PARTS.matcher(said.get());
    if (m.matches()) {
      return Optional.of(Double.parseDouble(m.group(2)) / Double.parseDouble(m.group(1)));
    }
    Matcher percent = Pattern.compile("([\\d.]+)\\s*%.*").matcher(said.get());
    return percent.matches()
        ? Optional.of(Double.parseDouble(percent.group(1)) / 100)
        : number("ratio");
  }

  /** Hardener that was weighed, as a share of what the ratio asks for. */
  Optional<Double> hardenerShare() {
    return ratio()
        .filter(r -> r > 0)
        .flatMap(
            r ->
                number("baseG")
                    .filter(b -> b > 0)
                    .flatMap(b -> number("hardenerG").map(h -> h / (b * r))));
  }

  /** Time in the mould as a share of what the sheet says. */
  Optional<Double> demouldShare() {
    return number("sheetDemouldMin")
        .filter(s -> s > 0)
        .flatMap(s -> number("demouldMin").map(d -> d / s));
  }

  /** Whether one of the words is in a text. */
  Optional<Boolean> says(String fact, String words) {
    return text(fact).map(t -> Pattern.compile(words).matcher(t).find());
  }
}
