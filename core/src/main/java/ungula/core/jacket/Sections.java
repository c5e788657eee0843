package ungula.core.jacket;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import ungula.core.geometry.Vec3;

/**
 * A jacket divided by upright planes through the middle, each section with the straight pull that
 * frees most of it. One section is pulled straight up.
 *
 * @param partings the ways they run from the middle, rising; empty for one section
 * @param sections in turn from the first parting
 * @param relief takes in what the others leave locked; null without one
 * @param lockedShare of the outside that no section lets go of
 * @param lockedAt the middle of it; null when there is none
 */
public record Sections(
    List<Double> partings,
    List<Section> sections,
    Section relief,
    double lockedShare,
    Vec3 lockedAt) {

  /** A share of the outside that rubber gives way for. */
  public static final double ACCEPTED = 0.015;

  private static final int UP = JacketScan.PULLS.indexOf(Vec3.UP);

  /** A further section must free at least this much more. */
  private static final double WORTH = 0.01;

  /**
   * @param pull it comes off along, a unit vector
   * @param share of the outside it covers
   * @param lockedShare of the outside that it covers and is not free along its pull
   */
  public record Section(Vec3 pull, double share, double lockedShare) {}

  /** The sections a jacket is asked for, or those that suit. */
  public static Sections of(JacketScan scan, Jacket jacket) {
    boolean relief = jacket.relief() == Jacket.Relief.YES;
    if (!jacket.ownDegrees().isEmpty()) {
      return divided(scan, jacket.ownDegrees().stream().sorted().toList(), relief);
    }
    if (jacket.sections() != null) {
      return best(scan, jacket.sections(), jacket.turnDegrees(), relief);
    }
    Sections found = best(scan, 1, null, relief);
    for (int n = 2; n <= Jacket.MOST_SECTIONS && found.lockedShare > ACCEPTED; n++) {
      Sections more = best(scan, n, jacket.turnDegrees(), relief);
      if (more.lockedShare < found.lockedShare - WORTH) {
        found = more;
      }
    }
    return found;
  }

  /** Evenly divided, turned so that least stays locked, then so that the seams are short. */
  private static Sections best(JacketScan scan, int count, Double turn, boolean relief) {
    if (count == 1) {
      return divided(scan, List.of(), relief);
    }
    if (turn != null) {
      return divided(scan, even(count, turn), relief);
    }
    Sections best = null;
    for (double at = 0; at < 360.0 / count; at += JacketScan.STEP_DEGREES) {
      Sections one = divided(scan, even(count, at), relief);
      if (best == null
          || one.lockedShare < best.lockedShare - WORTH / 4
          || one.lockedShare < best.lockedShare + WORTH / 4
              && one.seamMm(scan) < best.seamMm(scan)) {
        best = one;
      }
    }
    return best;
  }

  private static List<Double> even(int count, double from) {
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      all.add((from + 360.0 * i / count) % 360);
    }
    return all.stream().sorted().toList();
  }

  private static Sections divided(JacketScan scan, List<Double> partings, boolean relief) {
    List<Section> sections = new ArrayList<>();
    BitSet locked = new BitSet();
    double each = 1.0 / scan.count();
    for (int s = 0; s < Math.max(1, partings.size()); s++) {
      BitSet within = within(scan, partings, s);
      int best = UP;
      BitSet left = left(scan, within, UP);
      for (int w = 0; w < UP && !partings.isEmpty(); w++) {
        BitSet other = left(scan, within, w);
        if (other.cardinality() < left.cardinality()) {
          left = other;
          best = w;
        }
      }
      locked.or(left);
      sections.add(
          new Section(
              JacketScan.PULLS.get(best), each * within.cardinality(), each * left.cardinality()));
    }
    Section more = relief && !locked.isEmpty() ? freeing(scan, locked) : null;
    if (more != null) {
      locked.andNot(scan.freedBy(JacketScan.PULLS.indexOf(more.pull)));
    }
    return new Sections(
        partings,
        List.copyOf(sections),
        more,
        each * locked.cardinality(),
        locked.isEmpty() ? null : middle(scan, locked));
  }

  private static BitSet left(JacketScan scan, BitSet within, int pull) {
    BitSet left = (BitSet) within.clone();
    left.andNot(scan.freedBy(pull));
    return left;
  }

  private static BitSet within(JacketScan scan, List<Double> partings, int section) {
    BitSet all = new BitSet();
    if (partings.size() < 2) {
      all.set(0, scan.count());
      return all;
    }
    double from = partings.get(section);
    double wide = (partings.get((section + 1) % partings.size()) - from + 360) % 360;
    for (int i = 0; i < scan.count(); i++) {
      all.set(i, (scan.towards(i) - from + 360) % 360 < wide);
    }
    return all;
  }

  /** One more section, for what the others leave. */
  private static Section freeing(JacketScan scan, BitSet locked) {
    int best = 0;
    int most = -1;
    for (int w = 0; w < JacketScan.PULLS.size(); w++) {
      BitSet freed = (BitSet) locked.clone();
      freed.and(scan.freedBy(w));
      if (freed.cardinality() > most) {
        most = freed.cardinality();
        best = w;
      }
    }
    double each = 1.0 / scan.count();
    return new Section(
        JacketScan.PULLS.get(best),
        each * locked.cardinality(),
        each * (locked.cardinality() - most));
  }

  private static Vec3 middle(JacketScan scan, BitSet places) {
    Vec3 sum = Vec3.ZERO;
    for (int i = places.nextSetBit(0); i >= 0; i = places.nextSetBit(i + 1)) {
      sum = sum.plus(scan.place(i));
    }
    return sum.times(1.0 / places.cardinality());
  }

  /** How many there are, the relief section with them. */
  public int count() {
    return sections.size() + (relief == null ? 0 : 1);
  }

  /** Length of the seams over the outside of the skin, mm. */
  public double seamMm(JacketScan scan) {
    return partings.stream().mapToDouble(scan::seamMm).sum();
  }

  /** What one more section could take in; empty when nothing is locked, or nothing frees it. */
  public Optional<Section> reliefFor(JacketScan scan) {
    if (relief != null || lockedShare <= ACCEPTED) {
      return Optional.empty();
    }
    Sections with = divided(scan, partings, true);
    return Optional.ofNullable(with.relief).filter(r -> with.lockedShare < lockedShare - WORTH);
  }
}
