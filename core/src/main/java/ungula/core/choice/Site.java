package ungula.core.choice;

import ungula.core.quantity.Choosable;
import ungula.core.workshop.Workshop;

/**
 * Where a mould is built.
 *
 * @param place it stands
 * @param wind there
 * @param degreesC there; null as in the workshop
 * @param tripG carried up to it at a time
 */
public record Site(Place place, Wind wind, Double degreesC, double tripG) {

  public static final Site WORKSHOP = new Site(Place.WORKSHOP, Wind.STILL, null, 10_000);

  public enum Place implements Choosable {
    WORKSHOP("in the workshop"),
    OUTDOORS("outdoors, where it stands"),
    INDOORS("indoors, where it stands");

    private final String text;

    Place(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Wind implements Choosable {
    STILL("still air"),
    BREEZE("a breeze"),
    WIND("wind");

    private final String text;

    Wind(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** Whether everything has to be carried there. */
  public boolean away() {
    return place != Place.WORKSHOP;
  }

  /** Whether wind gets at it. */
  public boolean windy() {
    return place == Place.OUTDOORS && wind != Wind.STILL;
  }

  /** The workshop as warm as it is there. */
  public Workshop of(Workshop workshop) {
    return away() && degreesC != null ? workshop.at(degreesC) : workshop;
  }
}
