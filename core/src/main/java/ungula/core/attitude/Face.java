package ungula.core.attitude;

import ungula.core.geometry.Vec3;

/** A side of a mould, as it is drawn from the front while rubber is poured round the master. */
public enum Face {
  BASE("base", new Vec3(0, 0, -1)),
  TOP("top", new Vec3(0, 0, 1)),
  LEFT("left side", new Vec3(-1, 0, 0)),
  RIGHT("right side", new Vec3(1, 0, 0)),
  FRONT("front", new Vec3(0, -1, 0)),
  BACK("back", new Vec3(0, 1, 0));

  private final String text;
  private final Vec3 out;

  Face(String text, Vec3 out) {
    this.text = text;
    this.out = out;
  }

  /** To follow "its". */
  public String text() {
    return text;
  }

  /** Out of the mould. */
  public Vec3 out() {
    return out;
  }
}
