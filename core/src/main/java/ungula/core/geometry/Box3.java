package ungula.core.geometry;

/** An axis-aligned box. Never empty: {@code min} is at or below {@code max} on every axis. */
public record Box3(Vec3 min, Vec3 max) {

  public Box3 {
    if (!(min.x() <= max.x() && min.y() <= max.y() && min.z() <= max.z())) {
      throw new IllegalArgumentException("Box corners out of order: " + min + " to " + max);
    }
  }

  public Vec3 size() {
    return max.minus(min);
  }

  public Vec3 centre() {
    return min.plus(max).times(0.5);
  }

  public double diagonal() {
    return size().norm();
  }

  public double longest() {
    return size().longest();
  }

  public double volume() {
    Vec3 s = size();
    return s.x() * s.y() * s.z();
  }

  public boolean contains(Vec3 p) {
    return min.x() <= p.x()
        && p.x() <= max.x()
        && min.y() <= p.y()
        && p.y() <= max.y()
        && min.z() <= p.z()
        && p.z() <= max.z();
  }

  /** How far it reaches along a direction. */
  public double most(Vec3 d) {
    return Math.max(min.x() * d.x(), max.x() * d.x())
        + Math.max(min.y() * d.y(), max.y() * d.y())
        + Math.max(min.z() * d.z(), max.z() * d.z());
  }
}
