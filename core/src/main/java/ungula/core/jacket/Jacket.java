package ungula.core.jacket;

import java.util.List;
import java.util.Objects;
import ungula.core.quantity.Choosable;

/**
 * The stiff jacket that holds a skin in shape, as it is asked for.
 *
 * @param kind what it is made of
 * @param sections it comes off in; null as many as it asks
 * @param turnDegrees the first parting runs this way from the middle, seen from above: 0 to the
 *     right, 90 to the back; null where it is best
 * @param ownDegrees of each parting, when they were moved one by one; empty while they are even
 * @param relief whether what stays locked gets a section of its own
 * @param layers of sheet; null as its size asks
 * @param thickMm of what is not layered; null as its size asks
 * @param flangeMm how far its flanges stand out
 * @param boltMm between bolts along a flange
 * @param locators that let the skin find its place in it
 */
public record Jacket(
    JacketKind kind,
    Integer sections,
    Double turnDegrees,
    List<Double> ownDegrees,
    Relief relief,
    Integer layers,
    Double thickMm,
    double flangeMm,
    double boltMm,
    Locators locators) {

  public static final int MOST_SECTIONS = 4;

  public static final Jacket USUAL =
      new Jacket(
          JacketKind.BANDAGE,
          null,
          null,
          List.of(),
          Relief.NO,
          null,
          null,
          40,
          120,
          Locators.CUT_IN);

  /** What was kept before locators were asked about has usual ones. */
  public Jacket {
    locators = locators == null ? Locators.CUT_IN : locators;
    ownDegrees = List.copyOf(ownDegrees);
  }

  /** Whether there is a section for what the others leave locked. */
  public enum Relief implements Choosable {
    NO("no relief section"),
    YES("a relief section");

    private final String text;

    Relief(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** This made consistent after an edit: partings moved one by one are given up for even ones. */
  public Jacket consistentAfter(Jacket before) {
    boolean asked =
        !Objects.equals(sections, before.sections)
            || !Objects.equals(turnDegrees, before.turnDegrees);
    boolean moved = !ownDegrees.equals(before.ownDegrees);
    return asked && !moved && !ownDegrees.isEmpty()
        ? new Jacket(
            kind,
            sections,
            turnDegrees,
            List.of(),
            relief,
            layers,
            thickMm,
            flangeMm,
            boltMm,
            locators)
        : this;
  }

  /** Whether it is said where it is divided. */
  public boolean divided() {
    return turnDegrees != null || !ownDegrees.isEmpty();
  }

  /** Divided where it is best again. */
  public Jacket unturned() {
    return new Jacket(
        kind, sections, null, List.of(), relief, layers, thickMm, flangeMm, boltMm, locators);
  }

  /** With one parting of so many moved. */
  public Jacket moved(List<Double> partings) {
    return new Jacket(
        kind, partings.size(), null, partings, relief, layers, thickMm, flangeMm, boltMm, locators);
  }
}
