package ungula.core.study;

import ungula.core.geometry.Box3;

/** How large the cells are that studies look at a room in, mm: by how many of them there are. */
final class StudyCells {

  /** A pocket of half a drop is found, and a study takes seconds. */
  private static final double FINE = 6_000_000;

  /** Of the room tips are tried in. */
  private static final double COARSE = 500_000;

  /** Of the room ways to lie are tried in. */
  private static final double COARSEST = 100_000;

  private StudyCells() {}

  static double fine(Box3 room) {
    return side(room, FINE);
  }

  static double coarse(Box3 room) {
    return side(room, COARSE);
  }

  static double coarsest(Box3 room) {
    return side(room, COARSEST);
  }

  private static double side(Box3 room, double cells) {
    return Math.cbrt(room.volume() / cells);
  }
}
