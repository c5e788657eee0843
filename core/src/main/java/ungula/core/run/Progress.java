package ungula.core.run;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import ungula.core.rubber.Parts;
import ungula.core.run.Entry.Ingredient;
import ungula.core.run.Entry.Part;
import ungula.core.run.RunPlan.Batch;

/**
 * A batch so far.
 *
 * @param baseG in the cup; 0 before
 * @param hardenerG in the cup; 0 before
 * @param stirredG of each that is stirred in; 0 before
 * @param shares of other moulds that it is weighed for as well
 * @param asItIs whether what went in first was taken as it is
 * @param met when the pot life began; null before
 * @param metC as warm as the room was then; null where nobody heard
 * @param weighed when something of it was last weighed; null before
 * @param used when it left the cup; null before
 */
public record Progress(
    Batch batch,
    double baseG,
    double hardenerG,
    List<Double> stirredG,
    List<Entry.Shared> shares,
    boolean asItIs,
    Instant met,
    Double metC,
    Instant weighed,
    Instant used) {

  public Progress {
    stirredG = List.copyOf(stirredG);
    shares = List.copyOf(shares);
  }

  /** What a batch waits for. */
  public enum Phase {
    /** The part that goes in first. */
    FIRST,
    /** The other, which follows the first as it was really poured. */
    SECOND,
    /** More of the first: there is too much of the second. */
    SAVE,
    /** What is stirred in, which follows what is in the cup. */
    STIR_IN,
    /** It is weighed: its steps. */
    MIX,
    POURED
  }

  /**
   * What adding the first part would make of too much of the second.
   *
   * @param addG to the cup
   * @param totalG of both parts in it then
   * @param mm3 of that; null while the density is not known
   */
  public record Still(double addG, double totalG, Double mm3) {}

  static Progress of(Batch b) {
    return of(b, List.of());
  }

  private static Progress of(Batch b, List<Entry.Shared> shares) {
    List<Double> nothing = Collections.nCopies(b.stirred().size(), 0.0);
    return new Progress(b, 0, 0, nothing, shares, false, null, null, null, null);
  }

  /** In a clean cup, for whom it was before. */
  Progress startedOver() {
    return of(batch, shares);
  }

  public double of(Ingredient what) {
    return switch (what.part()) {
      case BASE -> baseG;
      case HARDENER -> hardenerG;
      case ADDITIVE -> stirredG.get(what.which());
    };
  }

  private double of(Part part) {
    return of(Ingredient.of(part));
  }

  /** In the cup of the part that goes in first. */
  public double firstG() {
    return of(batch.first());
  }

  /** In the cup of the part that follows. */
  public double secondG() {
    return of(batch.second());
  }

  /** What is to be in the cup: of the first part as planned, of the others as they follow. */
  public double targetG(Ingredient what) {
    if (what.part() == Part.ADDITIVE) {
      RunPlan.Stirred s = batch.stirred().get(what.which());
      boolean both = !s.early();
      return s.share() * (both ? baseG + hardenerG : firstG() * (1 + batch.secondPerFirst()));
    }
    return what.part() == batch.first()
        ? batch.firstG() + shares.stream().mapToDouble(Entry.Shared::firstG).sum()
        : firstG() * batch.secondPerFirst();
  }

  private boolean lacks(Ingredient what) {
    return of(what) < targetG(what) * (1 - batch.tolerance());
  }

  /** What is stirred in next; empty where nothing is missing. */
  private Optional<Ingredient> missing() {
    boolean mixed = !two() || secondG() > 0;
    return IntStream.range(0, batch.stirred().size())
        .filter(i -> mixed || batch.stirred().get(i).early())
        .mapToObj(Ingredient::stirred)
        .filter(this::lacks)
        .findFirst();
  }

  private boolean two() {
    return batch.hardenerPerBase() > 0;
  }

  public Phase phase() {
    if (used != null) {
      return Phase.POURED;
    }
    if (!asItIs && secondG() == 0 && lacks(Ingredient.of(batch.first()))) {
      return Phase.FIRST;
    }
    if (two() && secondG() == 0 && missing().isPresent()) {
      return Phase.STIR_IN;
    }
    if (two()) {
      double off = secondG() / targetG(Ingredient.of(batch.second())) - 1;
      if (off > batch.tolerance()) {
        return Phase.SAVE;
      } else if (off < -batch.tolerance()) {
        return Phase.SECOND;
      }
    }
    return missing().isPresent() ? Phase.STIR_IN : Phase.MIX;
  }

  /** What is poured in a phase; empty while nothing is. */
  Optional<Ingredient> pouring() {
    return switch (phase()) {
      case FIRST, SAVE -> Optional.of(Ingredient.of(batch.first()));
      case SECOND -> Optional.of(Ingredient.of(batch.second()));
      case STIR_IN -> missing();
      default -> Optional.empty();
    };
  }

  /** What was weighed last, which may still be poured on. */
  Ingredient last() {
    int late = batch.stirred().size() - 1;
    while (late >= 0 && two() && batch.stirred().get(late).early()) {
      late--;
    }
    return late >= 0
        ? Ingredient.stirred(late)
        : Ingredient.of(two() ? batch.second() : batch.first());
  }

  /** What adding the first part would make of too much of the second; empty while there is not. */
  public Optional<Still> still() {
    if (phase() != Phase.SAVE) {
      return Optional.empty();
    }
    double first = secondG() / batch.secondPerFirst();
    double total = first + secondG();
    return Optional.of(
        new Still(
            first - firstG(),
            total,
            batch.density() == null ? null : 1000 * total / batch.density()));
  }

  /** Of all parts. */
  public double grams() {
    return baseG + hardenerG + stirredG.stream().mapToDouble(g -> g).sum();
  }

  /** Share of what is in the cup that is for its own mould. */
  public double ownShare() {
    return batch.firstG() / targetG(Ingredient.of(batch.first()));
  }

  /** Base and hardener for its own mould. */
  public Parts own() {
    return new Parts(baseG, hardenerG).times(ownShare());
  }

  Progress weighed(Instant at, Ingredient what, double grams) {
    List<Double> stirred = new ArrayList<>(stirredG);
    if (what.part() == Part.ADDITIVE) {
      stirred.set(what.which(), grams);
    }
    return new Progress(
        batch,
        what.part() == Part.BASE ? grams : baseG,
        what.part() == Part.HARDENER ? grams : hardenerG,
        stirred,
        shares,
        asItIs,
        met,
        metC,
        at,
        used);
  }

  Progress shared(Entry.Shared with) {
    List<Entry.Shared> all = new ArrayList<>(shares);
    all.add(with);
    return new Progress(batch, baseG, hardenerG, stirredG, all, asItIs, met, metC, weighed, used);
  }

  Progress met(Instant at, Double roomC) {
    return new Progress(
        batch, baseG, hardenerG, stirredG, shares, asItIs, at, roomC, weighed, used);
  }

  /** In the room as it was when its parts met; empty where it is not known. */
  public Optional<Double> potLifeMin() {
    double warmer = metC == null ? 0 : metC - batch.roomC();
    return Optional.ofNullable(batch.potLifeMin())
        .map(min -> min / Math.pow(batch.perTen(), warmer / 10));
  }

  Progress takenAsItIs() {
    return new Progress(batch, baseG, hardenerG, stirredG, shares, true, met, metC, weighed, used);
  }

  Progress used(Instant at) {
    return new Progress(batch, baseG, hardenerG, stirredG, shares, asItIs, met, metC, weighed, at);
  }
}
