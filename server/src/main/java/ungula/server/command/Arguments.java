package ungula.server.command;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ungula.core.geometry.Vec3;

/** What was written behind a command: files, flags, and options with a value. */
final class Arguments {

  private final List<String> files = new ArrayList<>();
  private final Map<String, List<String>> options = new HashMap<>();

  /** An argument that is not understood; the message says which, and what would be. */
  static final class Unclear extends Exception {
    Unclear(String message) {
      super(message);
    }
  }

  /**
   * @param flags options that stand alone
   * @param valued options that are followed by their value
   */
  static Arguments of(List<String> args, Set<String> flags, Set<String> valued) throws Unclear {
    Arguments read = new Arguments();
    for (int i = 0; i < args.size(); i++) {
      String a = args.get(i);
      if (!a.startsWith("--")) {
        read.files.add(a);
      } else if (flags.contains(a)) {
        read.options.put(a, List.of(""));
      } else if (!valued.contains(a)) {
        throw new Unclear("There is no " + a + ".");
      } else if (i + 1 == args.size() || args.get(i + 1).startsWith("--")) {
        throw new Unclear(a + " needs a value behind it.");
      } else {
        read.options.computeIfAbsent(a, option -> new ArrayList<>()).add(args.get(++i));
      }
    }
    return read;
  }

  List<String> files() {
    return files;
  }

  boolean has(String option) {
    return options.containsKey(option);
  }

  /** The value of an option, the last where it was said more than once; or a default. */
  String value(String option, String otherwise) {
    List<String> said = options.get(option);
    return said == null ? otherwise : said.get(said.size() - 1);
  }

  /** All values of an option, as they were said; none where it was not. */
  List<String> values(String option) {
    return options.getOrDefault(option, List.of());
  }

  /** Refuses options that only mean something beside another one. */
  void onlyWith(String needed, String... dependent) throws Unclear {
    onlyWithAny(List.of(needed), dependent);
  }

  /** Refuses options that only mean something beside one of some others. */
  void onlyWithAny(List<String> needed, String... dependent) throws Unclear {
    for (String option : dependent) {
      if (has(option) && needed.stream().noneMatch(this::has)) {
        throw new Unclear(option + " only goes with " + String.join(" or ", needed) + ".");
      }
    }
  }

  String oneOf(String option, String otherwise, String... allowed) throws Unclear {
    String value = value(option, otherwise);
    if (!Arrays.asList(allowed).contains(value)) {
      throw new Unclear(
          option + " is one of " + String.join(", ", allowed) + "; “" + value + "” is not.");
    }
    return value;
  }

  /** Numbers with commas between them, each above zero. */
  List<Double> positives(String option, String otherwise) throws Unclear {
    List<Double> numbers = new ArrayList<>();
    for (double n : numbers(option, value(option, otherwise))) {
      if (!(n > 0)) {
        throw new Unclear(option + " takes numbers above zero; " + n + " is not.");
      }
      numbers.add(n);
    }
    return numbers;
  }

  double positive(String option, String otherwise) throws Unclear {
    List<Double> numbers = positives(option, otherwise);
    if (numbers.size() != 1) {
      throw new Unclear(option + " takes one number.");
    }
    return numbers.get(0);
  }

  static Vec3 point(String option, String text) throws Unclear {
    double[] n = numbers(option, text);
    if (n.length != 3) {
      throw new Unclear(option + " takes three numbers, such as 0,0,1.");
    }
    return new Vec3(n[0], n[1], n[2]);
  }

  Vec3 direction(String option, String otherwise) throws Unclear {
    Vec3 d = point(option, value(option, otherwise));
    if (!(d.norm() > 0)) {
      throw new Unclear(option + " is a direction: not all three numbers can be zero.");
    }
    return d;
  }

  /** Numbers with commas between them. */
  static double[] numbers(String option, String text) throws Unclear {
    String[] parts = text.split(",", -1);
    double[] out = new double[parts.length];
    for (int i = 0; i < parts.length; i++) {
      try {
        out[i] = Double.parseDouble(parts[i].strip());
      } catch (NumberFormatException e) {
        out[i] = Double.NaN;
      }
      if (!Double.isFinite(out[i]) || Math.abs(out[i]) > 1e9) {
        throw new Unclear(
            option + " takes numbers with commas between them; “" + text + "” is not understood.");
      }
    }
    return out;
  }
}
