package ungula.core.attitude;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.geometry.Vec3;
import ungula.core.quantity.Choosable;

/** A side of a mould, as it is drawn from the front while rubber is poured round the master. */
public enum Face implements Choosable {
  BASE("base", new Vec3(0, 0, -1)),
  TOP("top", new Vec3(0, 0, 1)),
  LEFT("left side", new Vec3(-1, 0, 0)),
  RIGHT("right side", new Vec3(1, 0, 0)),
  FRONT("front", new Vec3(0, -1, 0)),
  BACK("back", new Vec3(0, 1, 0));

  /** What leans less than this towards a side is not named by it, as a cosine: three eighths. */
  private static final double NAMED = 0.38;

  private final String text;
  private final Vec3 out;

  Face(String text, Vec3 out) {
    this.text = text;
    this.out = out;
  }

  /** To follow "its". */
  @Override
  public String text() {
    return text;
  }

  /** Out of the mould. */
  public Vec3 out() {
    return out;
  }

  /** Whether the two share an edge. */
  public boolean isBeside(Face other) {
    return out.dot(other.out) == 0;
  }

  /** A way out of a mould as people say it, such as "back right". */
  public static String towards(Vec3 way) {
    Vec3 d = way.unit();
    return Stream.of(TOP, BASE, BACK, FRONT, RIGHT, LEFT)
        .filter(f -> f.out.dot(d) > NAMED)
        .map(f -> f.text.replace(" side", ""))
        .collect(Collectors.joining(" "));
  }
}
