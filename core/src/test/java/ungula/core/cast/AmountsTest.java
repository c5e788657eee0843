package ungula.core.cast;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.expectThrows;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.cast.Amounts.Cast;
import ungula.core.cast.Amounts.Liquid;
import ungula.core.pour.Vessel;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Ratio;

public class AmountsTest {

  private static final Ratio EVEN = new Ratio(Ratio.Basis.WEIGHT, 1, 1);
  private static final Liquid RESIN = new Liquid(EVEN, 1.05, 1.12);

  private static Amounts of(Cast cast, double inserts, double channels, double loss) {
    return Amounts.of(cast, inserts, channels, loss, RESIN, List.of(), null);
  }

  private static Additive filler(double pct, Additive.Of of, Double density) {
    return new Additive("", Additive.Kind.FILLER, pct, of, density);
  }

  @Test
  public void aCavityWithItsChannelsAndItsLoss() {
    Amounts a = of(Cast.ofCavity(134_000), 0, 9_300, 0.06);
    Near.absolute(a.mixedMm3() / 1000, 151.9, 0.05);
    Near.absolute(a.density(), 1.0839, 5e-5);
    Near.absolute(a.totalG(), 164.6, 0.05);
    Near.absolute(a.aG(), 82.3, 0.05);
    Near.absolute(a.bG(), 82.3, 0.05);
    assertEquals(a.linesMm(), List.of());
  }

  @Test
  public void byTheWeightOfItsMaster() {
    Near.absolute(of(Cast.ofMaster(250, 0.8), 0, 0, 0).totalG(), 200, 1e-9);
    // channels come on top, by the density of the mix
    Near.absolute(
        of(Cast.ofMaster(250, 0.8), 0, 10_000, 0).totalG(),
        200 + 10 * 2 / (1 / 1.05 + 1 / 1.12),
        1e-6);
    Amounts unknown =
        Amounts.of(
            Cast.ofMaster(250, 0.8), 0, 0, 0.1, new Liquid(EVEN, null, null), List.of(), null);
    Near.absolute(unknown.aG(), 110, 1e-9);
    assertNull(unknown.mixedMm3());
    assertNull(unknown.density());
  }

  @Test
  public void anInsertIsNoneOfTheCast() {
    Near.absolute(Amounts.rodMm3(3.2, 60), 482.5, 0.05);
    Near.absolute(
        of(Cast.ofCavity(134_000), Amounts.rodMm3(3.2, 60), 0, 0).mixedMm3(), 134_000 - 482.5, 0.1);
    assertThrows(IllegalArgumentException.class, () -> of(Cast.ofCavity(400), 482, 0, 0));
  }

  /** Of 100 g of A with as much B: 20 g of filler are 10 % of both, or 20 % of one. */
  @Test
  public void fillersTakeRoomByTheirOwnDensity() {
    Additive both = filler(10, Additive.Of.BASE_AND_HARDENER, 0.2);
    Additive one = filler(20, Additive.Of.BASE, 0.2);
    for (List<Additive> fillers : List.of(List.of(both), List.of(one))) {
      Amounts a = Amounts.of(Cast.ofCavity(100_000), 0, 0, 0, RESIN, fillers, null);
      double mlPer100 = 100 / 1.05 + 100 / 1.12 + 20 / 0.2;
      Near.absolute(a.aG(), 100 * 100 / mlPer100, 1e-6);
      Near.absolute(a.fillersG(), 20 * 100 / mlPer100, 1e-6);
      Near.absolute(a.density(), 220 / mlPer100, 1e-9);
      Near.absolute(a.totalG(), a.aG() + a.bG() + a.fillersG(), 1e-9);
    }
    Amounts ofB =
        Amounts.of(
            Cast.ofCavity(100_000),
            0,
            0,
            0,
            new Liquid(new Ratio(Ratio.Basis.PERCENT_OF_BASE, 100, 2), 1.1, 1.2),
            List.of(filler(50, Additive.Of.HARDENER, 1.0)),
            null);
    Near.absolute(ofB.bG(), 0.02 * ofB.aG(), 1e-9);
    Near.absolute(ofB.fillersG(), 0.01 * ofB.aG(), 1e-9);
  }

  @Test
  public void partsThatAreMeasuredGetTwoLines() {
    Liquid measured = new Liquid(new Ratio(Ratio.Basis.VOLUME, 2, 1), null, null);
    Vessel straight = new Vessel(80, 80, 120);
    Vessel tapered = new Vessel(60, 90, 120);
    Amounts a = Amounts.of(Cast.ofCavity(150_000), 0, 0, 0, measured, List.of(), straight);
    double area = Math.PI / 4 * 80 * 80;
    Near.absolute(a.linesMm().get(0), 100_000 / area, 1e-6);
    Near.absolute(a.linesMm().get(1), 150_000 / area, 1e-6);
    assertNull(a.totalG());
    List<Double> lines =
        Amounts.of(Cast.ofCavity(150_000), 0, 0, 0, measured, List.of(), tapered).linesMm();
    Near.absolute(tapered.filledMm3(lines.get(0)), 100_000, 1e-3);
    Near.absolute(tapered.filledMm3(lines.get(1)), 150_000, 1e-3);
    // the same by weight, with densities
    List<Double> known =
        Amounts.of(Cast.ofCavity(150_000), 0, 0, 0, RESIN, List.of(), tapered).linesMm();
    Near.absolute(tapered.filledMm3(known.get(0)), 150_000 * 1.12 / 2.17, 1);
    String small =
        expectThrows(
                IllegalArgumentException.class,
                () -> Amounts.of(Cast.ofCavity(900_000), 0, 0, 0, RESIN, List.of(), straight))
            .getMessage();
    assertEquals(
        small, "The cup holds 603 mL, and 900 mL are mixed: take a larger one, or mix twice.");
  }

  @Test
  public void evenPartsInATaperedCup() {
    List<Double> lines =
        Amounts.of(
                Cast.ofCavity(200_000),
                0,
                0,
                0,
                new Liquid(new Ratio(Ratio.Basis.VOLUME, 1, 1), null, null),
                List.of(),
                new Vessel(84, 108, 140))
            .linesMm();
    Near.absolute(lines.get(0), 17.4, 0.05);
    Near.absolute(lines.get(1), 33.7, 0.05);
  }

  @Test
  public void whatCannotBeKnownIsNotGuessed() {
    Liquid measured = new Liquid(new Ratio(Ratio.Basis.VOLUME, 1, 1), 1.05, null);
    assertThrows(
        IllegalArgumentException.class,
        () -> Amounts.of(Cast.ofCavity(1000), 0, 0, 0, measured, List.of(), null));
    assertThrows(
        IllegalArgumentException.class,
        () ->
            Amounts.of(
                Cast.ofCavity(1000), 0, 0, 0, new Liquid(EVEN, 1.05, null), List.of(), null));
    assertThrows(
        IllegalArgumentException.class,
        () ->
            Amounts.of(
                Cast.ofCavity(1000),
                0,
                0,
                0,
                RESIN,
                List.of(filler(10, Additive.Of.BASE, null)),
                null));
  }

  @Test
  public void aLiquidPressesAMouldOpen() {
    OpeningForce upright = OpeningForce.of(1.08, 90, 24_000);
    Near.absolute(upright.newtons(), 22.9, 0.05);
    Near.absolute(upright.grams() / 1000, 2.33, 0.005);
    OpeningForce level = OpeningForce.of(1.08, 120, 24_000);
    Near.absolute(level.newtons(), 30.5, 0.05);
    Near.absolute(level.grams() / 1000, 3.11, 0.005);
    Near.absolute(level.less(2000).grams(), level.grams() - 2000, 1e-6);
    assertEquals(level.less(5000).newtons(), 0.0);
  }
}
