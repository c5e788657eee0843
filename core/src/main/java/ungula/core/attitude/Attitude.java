package ungula.core.attitude;

import java.util.List;
import java.util.stream.Stream;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.quantity.Numbers;

/**
 * How a mould lies while it is cast in: on one of its sides, level, or one or two of the sides next
 * to that raised.
 *
 * @param on the side it lies on
 * @param raised none when it is level; two raise the corner between them
 * @param degrees it is out of level; 0 when it is level
 */
public record Attitude(Face on, List<Face> raised, double degrees) {

  /** Turned over from how the rubber was poured, level. */
  public static final Attitude OVER = level(Face.TOP);

  private static final Rotation HALF_TURN = new Rotation(0, 1, 0, 0);

  /** Tipped so far first, degrees. */
  static final double USUAL = 14;

  /** All that are tried, degrees. */
  static final List<Double> TIPPED = List.of(7.0, USUAL, 21.0, 30.0);

  public Attitude {
    raised = List.copyOf(raised);
    if (degrees > 0 == raised.isEmpty() || raised.size() > 2 || !(degrees < 90)) {
      throw new IllegalArgumentException("Not a way to lie: " + raised + " " + degrees);
    }
    for (Face f : raised) {
      if (!f.isBeside(on)) {
        throw new IllegalArgumentException(f + " is not next to " + on);
      }
    }
    if (raised.size() == 2 && !raised.get(0).isBeside(raised.get(1))) {
      throw new IllegalArgumentException("No corner between " + raised);
    }
  }

  /** Against gravity, in the mould's axes. */
  public Vec3 up() {
    Vec3 to = raised.stream().map(Face::out).reduce(Vec3.ZERO, Vec3::plus);
    double a = Math.toRadians(degrees);
    Vec3 up = Vec3.ZERO.minus(on.out().times(Math.cos(a)));
    return raised.isEmpty() ? up : up.plus(to.unit().times(Math.sin(a)));
  }

  /** What stands the mould so, from its own axes. */
  public Rotation turn() {
    // half a turn has no shortest way: about x, as one turns it over towards oneself
    return on == Face.TOP && flat() ? HALF_TURN : Rotation.bringing(up(), Vec3.UP);
  }

  /** Whether it is level. */
  public boolean flat() {
    return raised.isEmpty();
  }

  /** To follow "it is cast". */
  public String text() {
    return lies(on) + (flat() ? "" : ", " + raisedText());
  }

  /** How it lies on a side, to follow "it is cast". */
  public static String lies(Face on) {
    return switch (on) {
      case BASE -> "standing as it was poured";
      case TOP -> "turned over";
      default -> "lying on its " + on.text();
    };
  }

  /** Such as "its front raised 14°"; empty when it is level. */
  public String raisedText() {
    return flat() ? "" : "its " + side() + " raised " + Numbers.trimmed(degrees, 0) + "°";
  }

  private String side() {
    if (raised.size() == 1) {
      return raised.get(0).text();
    }
    return raised.get(0).text().replace(" side", "")
        + " "
        + raised.get(1).text().replace(" side", "")
        + " corner";
  }

  /** Lying on a side, level. */
  public static Attitude level(Face on) {
    return new Attitude(on, List.of(), 0);
  }

  /** Lying on a side, each side and corner next to it raised in turn. */
  public static Stream<Attitude> tipped(Face on, double degrees) {
    List<Face> beside = Stream.of(Face.values()).filter(on::isBeside).toList();
    // two opposite sides follow each other
    return Stream.concat(
        beside.stream().map(f -> new Attitude(on, List.of(f), degrees)),
        beside.subList(0, 2).stream()
            .flatMap(
                a ->
                    beside.subList(2, 4).stream()
                        .map(b -> new Attitude(on, List.of(a, b), degrees))));
  }
}
