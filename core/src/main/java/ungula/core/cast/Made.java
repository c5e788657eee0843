package ungula.core.cast;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What was cast so far: records that are only appended, each counting until another strikes it.
 *
 * @param casts all of them, in the order they were recorded
 */
public record Made(List<Cast> casts) {

  /** How a cast came out. */
  public enum Result {
    GOOD,
    /** It is used once it is mended. */
    REPAIR,
    SCRAP,
    /** The first of a cut mould, which takes its crumbs along: no cast, though it wears on it. */
    CLEANING,
    /** Not a cast: another record does not count. */
    STRUCK
  }

  /**
   * @param number from 1
   * @param mould it came out of, from 1
   * @param grams it weighed, with what it was poured through; null where it was not weighed
   * @param why it is no good, or does not count; empty without
   * @param strikes the record that does not count; 0 where this is a cast
   */
  public record Cast(
      int number,
      Instant at,
      String who,
      int mould,
      Result result,
      Double grams,
      String why,
      int strikes) {}

  public Made {
    casts = List.copyOf(casts);
  }

  /** Numbers of those that do not count. */
  private Set<Integer> struck() {
    Set<Integer> struck = new HashSet<>();
    casts.forEach(c -> struck.add(c.strikes));
    return struck;
  }

  /** The record that strikes another; empty where that counts. */
  public Optional<Cast> strike(Cast of) {
    return casts.stream().filter(c -> c.strikes == of.number).findFirst();
  }

  /** Those that count. */
  public List<Cast> counting() {
    Set<Integer> struck = struck();
    return casts.stream()
        .filter(c -> c.result != Result.STRUCK && !struck.contains(c.number))
        .toList();
  }

  /** Those that were to be casts. */
  public int tried() {
    return counting().size() - count(Result.CLEANING);
  }

  public int count(Result result) {
    return (int) counting().stream().filter(c -> c.result == result).count();
  }

  /** Those that can be used, some of them once they are mended. */
  public int usable() {
    return count(Result.GOOD) + count(Result.REPAIR);
  }

  /** What a mould gave, good or not. */
  public int of(int mould) {
    return (int) counting().stream().filter(c -> c.mould == mould).count();
  }

  /** What the newest that was weighed weighs; empty while none was. */
  public Optional<Double> lastG() {
    return counting().stream().map(Cast::grams).filter(g -> g != null).reduce((a, b) -> b);
  }
}
