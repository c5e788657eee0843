package ungula.core.sentence;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Density;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Pressure;
import ungula.core.quantity.Share;
import ungula.core.quantity.Temperature;
import ungula.core.quantity.Timespan;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.quantity.Volume;

/**
 * What sort of value a word of a sentence holds: how it is read, written, kept in range and nudged.
 *
 * @param <V> the type of the record component behind the word
 */
public final class Kind<V> {

  private final String name;
  private final BiFunction<String, Units, V> parse;
  private final BiFunction<V, Units, String> format;
  private final BiFunction<V, Units, String> exact;
  private final Nudge<V> nudge;
  private final List<Option> options;

  /** One of the values a choice may have. */
  public record Option(String value, String text) {}

  private interface Nudge<V> {
    V by(V value, int steps, Units units);
  }

  private Kind(
      String name,
      BiFunction<String, Units, V> parse,
      BiFunction<V, Units, String> format,
      BiFunction<V, Units, String> exact,
      Nudge<V> nudge,
      List<Option> options) {
    this.name = name;
    this.parse = parse;
    this.format = format;
    this.exact = exact;
    this.nudge = nudge;
    this.options = options;
  }

  String name() {
    return name;
  }

  List<Option> options() {
    return options;
  }

  V parse(String text, Units units) {
    return parse.apply(text, units);
  }

  String format(V value, Units units) {
    return format.apply(value, units);
  }

  String exact(V value, Units units) {
    return exact.apply(value, units);
  }

  V nudge(V value, int steps, Units units) {
    return nudge.by(value, steps, units);
  }

  private static Kind<Double> number(
      String name,
      BiFunction<String, Units, Double> parse,
      BiFunction<Double, Units, String> format,
      BiFunction<Double, Units, String> exact,
      Function<Units, Double> step,
      double min,
      double max) {
    BiFunction<Double, Units, Double> kept =
        (value, units) -> {
          if (value < min || value > max || value.isNaN()) {
            throw new UnreadableQuantity(
                format.apply(value, units)
                    + " is outside "
                    + format.apply(min, units)
                    + " to "
                    + format.apply(max, units)
                    + ".");
          }
          return value;
        };
    return new Kind<>(
        name,
        (text, units) -> kept.apply(parse.apply(text, units), units),
        format,
        exact,
        (value, steps, units) -> {
          // adding tenths again and again must not show in the last decimals
          double moved = Math.round((value + steps * step.apply(units)) * 1e9) / 1e9;
          return Math.min(max, Math.max(min, moved));
        },
        List.of());
  }

  /** Millimetres, nudged by 1 mm or 1/16 in. */
  public static Kind<Double> length(double minMm, double maxMm) {
    return number(
        "length",
        Length::parseMm,
        Length::format,
        Length::exact,
        u -> u.display() == Units.Display.INCH ? Length.INCH_MM / 16 : 1.0,
        minMm,
        maxMm);
  }

  /** Cubic millimetres, nudged by 10 mL. */
  public static Kind<Double> volume(double maxMm3) {
    return number(
        "volume",
        Volume::parseMm3,
        Volume::format,
        Volume::exact,
        u -> 10 * Volume.ML_MM3,
        0,
        maxMm3);
  }

  /** Grams, nudged by 1 g. */
  public static Kind<Double> mass(double maxG) {
    return number("mass", Mass::parseG, Mass::format, Mass::exact, u -> 1.0, 0, maxG);
  }

  /** g/cm³. */
  public static Kind<Double> density() {
    BiFunction<Double, Units, String> text = (v, u) -> Density.format(v);
    return number("density", (t, u) -> Density.parse(t), text, text, u -> 0.01, 0.01, 25);
  }

  public static Kind<Double> percent(double min, double max) {
    BiFunction<Double, Units, String> text = (v, u) -> Share.typed(v);
    return number("percent", (t, u) -> Numbers.parsePercent(t), text, text, u -> 1.0, min, max);
  }

  /** Minutes. */
  public static Kind<Double> minutes(double max) {
    BiFunction<Double, Units, String> text =
        (v, u) -> Timespan.format(Duration.ofSeconds(Math.round(v * 60)));
    return number(
        "time", (t, u) -> Timespan.parse(t).toMillis() / 60_000.0, text, text, u -> 1.0, 0, max);
  }

  /** °C. */
  public static Kind<Double> temperature(double min, double max) {
    return number(
        "temperature",
        Temperature::parseC,
        Temperature::format,
        Temperature::format,
        u -> 1.0,
        min,
        max);
  }

  /** kPa over the air's. */
  public static Kind<Double> pressure(double maxKpa) {
    return number(
        "pressure", Pressure::parseKpa, Pressure::format, Pressure::exact, u -> 10.0, 1, maxKpa);
  }

  /** A plain number with a unit written after it. */
  public static Kind<Double> plain(String unit, double min, double max, double step) {
    return plain(unit.isEmpty() ? "" : " " + unit, unit, min, max, step);
  }

  /** Degrees out of level, close to their number. */
  public static Kind<Double> degrees(double min, double max, double step) {
    return plain("°", "°", min, max, step);
  }

  private static Kind<Double> plain(String tail, String unit, double min, double max, double step) {
    BiFunction<Double, Units, String> text = (v, u) -> Numbers.trimmed(v, 3) + tail;
    return number(
        "number",
        (t, u) -> Numbers.parse(t.strip().replaceAll("(?i)\\s*" + unit + "$", "")),
        text,
        text,
        u -> step,
        min,
        max);
  }

  /** A whole number of things. */
  public static Kind<Integer> count(String one, String many, int min, int max) {
    BiFunction<Integer, Units, String> text = (v, u) -> v + " " + (v == 1 ? one : many);
    return new Kind<>(
        "count",
        (t, u) -> {
          double value = Numbers.parse(t.strip().replaceAll("[\\p{L} ]+$", ""));
          if (value != Math.rint(value) || value < min || value > max) {
            throw new UnreadableQuantity("Write a whole number from " + min + " to " + max + ".");
          }
          return (int) value;
        },
        text,
        text,
        (v, steps, u) -> Math.min(max, Math.max(min, v + steps)),
        List.of());
  }

  /** Words. */
  public static Kind<String> text(int longest) {
    return parsed(
        "text",
        t -> {
          if (t.strip().length() > longest) {
            throw new UnreadableQuantity("Keep it under " + longest + " characters.");
          }
          return t.strip();
        },
        v -> v);
  }

  /** A value with its own reader and writer, which cannot be nudged. */
  public static <V> Kind<V> parsed(
      String name, Function<String, V> parse, Function<V, String> format) {
    return parsed(name, (t, u) -> parse.apply(t), (v, u) -> format.apply(v));
  }

  /** The same, by the units shown. */
  public static <V> Kind<V> parsed(
      String name, BiFunction<String, Units, V> parse, BiFunction<V, Units, String> format) {
    return new Kind<>(name, parse, format, format, (v, steps, u) -> v, List.of());
  }

  /** The same, with another text to be edited. */
  public static <V> Kind<V> parsed(
      String name,
      Function<String, V> parse,
      Function<V, String> format,
      Function<V, String> exact) {
    return new Kind<>(
        name,
        (t, u) -> parse.apply(t),
        (v, u) -> format.apply(v),
        (v, u) -> exact.apply(v),
        (v, steps, u) -> v,
        List.of());
  }

  /** One of an enum's constants; nudging goes to the next one. */
  public static <E extends Enum<E> & Choosable> Kind<E> choice(Class<E> type) {
    return choice(type, Choosable::text);
  }

  /** The same, called otherwise where it is chosen. */
  public static <E extends Enum<E>> Kind<E> choice(Class<E> type, Function<E, String> called) {
    E[] all = type.getEnumConstants();
    List<Option> options =
        Arrays.stream(all).map(e -> new Option(e.name(), called.apply(e))).toList();
    return new Kind<>(
        "choice",
        (t, u) ->
            Arrays.stream(all)
                .filter(e -> e.name().equals(t) || called.apply(e).equalsIgnoreCase(t.strip()))
                .findFirst()
                .orElseThrow(
                    () ->
                        new UnreadableQuantity(
                            "Choose one of: "
                                + String.join(", ", options.stream().map(Option::text).toList())
                                + ".")),
        (v, u) -> called.apply(v),
        (v, u) -> called.apply(v),
        (v, steps, u) -> all[Math.floorMod(v.ordinal() + steps, all.length)],
        options);
  }
}
