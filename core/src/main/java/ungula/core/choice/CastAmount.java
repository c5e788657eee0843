package ungula.core.choice;

import java.util.List;
import java.util.stream.Stream;
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
 * @param also stirred in besides, such as pigment
 * @param shellMm thickness of a cast that is a shell; null while nobody says
 * @param riseTimes it foams up to so many times its volume; null: by its sheet, or as usual
 * @param packPct more foam than the mould takes, so that it fills it; null: as usual
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
    Additive filler,
    Additive also,
    Double shellMm,
    Double riseTimes,
    Double packPct) {

  static final CastAmount USUAL =
      new CastAmount(
          Way.MODEL,
          null,
          null,
          null,
          null,
          null,
          null,
          3,
          20,
          Additive.NONE,
          Additive.NONE,
          null,
          null,
          null);

  /** What was kept before something was asked about has none of it. */
  public CastAmount {
    also = also == null ? Additive.NONE : also;
  }

  public enum Way implements Choosable {
    MODEL("computed from the model"),
    HELD("as much water or grain as the mould held"),
    WEIGHT("the master’s weight times a factor"),
    LAST("what the last cast weighed"),
    SHELL("a shell, swilled or brushed on");

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
          case SHELL -> shellMm != null;
        };
    return said ? way : Way.MODEL;
  }

  /**
   * What was measured of the mould, or of a whole cast, has sprue and vents in it; a shell none.
   */
  public boolean withChannels() {
    return taken() == Way.HELD || taken() == Way.LAST || taken() == Way.SHELL;
  }

  /** What is stirred in, one after the other. */
  public List<Additive> stirredIn() {
    return Stream.of(filler, also).filter(Additive::used).toList();
  }

  /** Share of foam over what the mould takes. */
  public double packed() {
    return packPct == null ? Amounts.USUAL_PACK : packPct / 100;
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
