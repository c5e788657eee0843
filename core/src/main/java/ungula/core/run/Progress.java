package ungula.core.run;

import java.time.Instant;
import java.util.Optional;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;

/**
 * A batch so far.
 *
 * @param baseG of the first part; 0 before
 * @param hardenerG of the second; 0 before
 * @param additiveG of what is stirred in; 0 before
 * @param asItIs whether the first part was taken as it is
 * @param met when the pot life began; null before
 * @param metC as warm as the room was then; null where nobody heard
 * @param weighed when something of it was last weighed; null before
 * @param used when it left the cup; null before
 */
public record Progress(
    Batch batch,
    double baseG,
    double hardenerG,
    double additiveG,
    boolean asItIs,
    Instant met,
    Double metC,
    Instant weighed,
    Instant used) {

  /** What a batch waits for. */
  public enum Phase {
    /** The first part. */
    BASE,
    /** The second part, which follows the first as it was really poured. */
    HARDENER,
    /** More of the first part: there is too much of the second. */
    SAVE,
    /** What is stirred in, which follows both. */
    ADDITIVE,
    /** It is weighed: its steps. */
    MIX,
    POURED
  }

  /**
   * What adding the first part would make of too much of the second.
   *
   * @param addBaseG to the cup
   * @param totalG in it then
   * @param mm3 of that; null while the density is not known
   */
  public record Still(double addBaseG, double totalG, Double mm3) {}

  static Progress of(Batch b) {
    return new Progress(b, 0, 0, 0, false, null, null, null, null);
  }

  public double of(Part part) {
    return switch (part) {
      case BASE -> baseG;
      case HARDENER -> hardenerG;
      case ADDITIVE -> additiveG;
    };
  }

  /** What of a part is to be in the cup; of the first as planned, of the others as they follow. */
  public double targetG(Part part) {
    return switch (part) {
      case BASE -> batch.baseG();
      case HARDENER -> baseG * batch.hardenerPerBase();
      case ADDITIVE -> (baseG + hardenerG) * batch.additiveShare();
    };
  }

  public Phase phase() {
    if (used != null) {
      return Phase.POURED;
    }
    if (!asItIs && hardenerG == 0 && baseG < batch.baseG() * (1 - batch.tolerance())) {
      return Phase.BASE;
    }
    if (batch.hardenerPerBase() > 0) {
      double off = hardenerG / targetG(Part.HARDENER) - 1;
      if (off > batch.tolerance()) {
        return Phase.SAVE;
      } else if (off < -batch.tolerance()) {
        return Phase.HARDENER;
      }
    }
    return additiveG < targetG(Part.ADDITIVE) * (1 - batch.tolerance())
        ? Phase.ADDITIVE
        : Phase.MIX;
  }

  /** What is poured in a phase; empty while nothing is. */
  Optional<Part> pouring() {
    return switch (phase()) {
      case BASE, SAVE -> Optional.of(Part.BASE);
      case HARDENER -> Optional.of(Part.HARDENER);
      case ADDITIVE -> Optional.of(Part.ADDITIVE);
      default -> Optional.empty();
    };
  }

  /** The part that was weighed last, which may still be poured on. */
  Part last() {
    return batch.additiveShare() > 0
        ? Part.ADDITIVE
        : batch.hardenerPerBase() > 0 ? Part.HARDENER : Part.BASE;
  }

  /** What adding base would make of too much hardener; empty while there is not. */
  public Optional<Still> still() {
    if (phase() != Phase.SAVE) {
      return Optional.empty();
    }
    double base = hardenerG / batch.hardenerPerBase();
    double total = base + hardenerG;
    return Optional.of(
        new Still(
            base - baseG, total, batch.density() == null ? null : 1000 * total / batch.density()));
  }

  /** Of all parts. */
  public double grams() {
    return baseG + hardenerG + additiveG;
  }

  Progress weighed(Instant at, Part part, double grams) {
    return new Progress(
        batch,
        part == Part.BASE ? grams : baseG,
        part == Part.HARDENER ? grams : hardenerG,
        part == Part.ADDITIVE ? grams : additiveG,
        asItIs,
        met,
        metC,
        at,
        used);
  }

  Progress met(Instant at, Double roomC) {
    return new Progress(batch, baseG, hardenerG, additiveG, asItIs, at, roomC, weighed, used);
  }

  /** In the room as it was when its parts met; empty where it is not known. */
  public Optional<Double> potLifeMin() {
    double warmer = metC == null ? 0 : metC - batch.roomC();
    return Optional.ofNullable(batch.potLifeMin())
        .map(min -> min / Math.pow(batch.perTen(), warmer / 10));
  }

  Progress takenAsItIs() {
    return new Progress(batch, baseG, hardenerG, additiveG, true, met, metC, weighed, used);
  }

  Progress used(Instant at) {
    return new Progress(batch, baseG, hardenerG, additiveG, asItIs, met, metC, weighed, at);
  }
}
