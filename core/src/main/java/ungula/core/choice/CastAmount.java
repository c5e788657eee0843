package ungula.core.choice;

import ungula.core.cast.Amounts;
import ungula.core.quantity.Choosable;
import ungula.core.rubber.Additive;

/**
 * How much is mixed for a cast, and what is put into it.
 *
 * @param way it is known by
 * @param heldMm3 the mould held, of water or grain; null while it is not measured
 * @param masterG weight of the master; null while it is not weighed
 * @param factor density of a cast ÷ density of the master; null while nobody says
 * @param lastG what the last cast weighed, with what it was poured through; null before the first
 * @param lossPct left in cups and on sticks; null: as usual
 * @param inserts rods cast in; null: none
 * @param insertAcrossMm diameter of each
 * @param insertLongMm length of each inside the cast
 * @param filler stirred in
 */
public record CastAmount(
    Way way,
    Double heldMm3,
    Double masterG,
    Double factor,
    Double lastG,
    Double lossPct,
    Integer inserts,
    double insertAcrossMm,
    double insertLongMm,
    Additive filler) {

  static final CastAmount USUAL =
      new CastAmount(Way.MODEL, null, null, null, null, null, null, 3, 20, Additive.NONE);

  public enum Way implements Choosable {
    MODEL("computed from the model"),
    HELD("as much water or grain as the mould held"),
    WEIGHT("the master’s weight times a factor"),
    LAST("what the last cast weighed");

    private final String text;

    Way(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** The way that is taken: the model's while what another needs is not said. */
  public Way taken() {
    boolean said =
        switch (way) {
          case MODEL -> true;
          case HELD -> heldMm3 != null;
          case WEIGHT -> masterG != null && factor != null;
          case LAST -> lastG != null;
        };
    return said ? way : Way.MODEL;
  }

  /** What was measured of the mould, or of a whole cast, has sprue and vents in it. */
  public boolean withChannels() {
    return taken() == Way.HELD || taken() == Way.LAST;
  }

  /** Volume of all rods, mm³. */
  public double rodsMm3() {
    return inserts == null ? 0 : inserts * Amounts.rodMm3(insertAcrossMm, insertLongMm);
  }

  /** Share that is left in cups and on sticks. */
  public double loss() {
    return lossPct == null ? Amounts.USUAL_LOSS : lossPct / 100;
  }
}
