package ungula.core.master;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Vec3;
import ungula.core.master.VolumeWays.Result;
import ungula.core.master.VolumeWays.Way;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.sentence.WordBook.Edit;

/** Volumes of masters without a file. */
public class VolumeWaysTest {

  /** Readings as they are typed on the page: word and text in turn. */
  private static Measured measured(String... typed) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < typed.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of("master.measured." + typed[i], typed[i + 1])), null);
    }
    return c.master().measured();
  }

  private static List<Result> ways(Measured m) {
    return VolumeWays.of(m, null, Units.METRIC);
  }

  @Test
  public void nothingMeasuredIsNothingKnown() {
    assertEquals(ways(Measured.NOTHING), List.of());
    assertEquals(ways(measured("levelBeforeMm", "100")), List.of());
    assertEquals(ways(measured("levelBeforeMm", "100", "levelAfterMm", "120")), List.of());
    assertEquals(ways(measured("castG", "120 g")), List.of());
    assertEquals(ways(measured("grainMm3", "200 mL")), List.of());
  }

  @Test
  public void aRectangularVessel() {
    Result r =
        ways(measured(
                "vessel",
                "rectangular vessel",
                "vesselLengthMm",
                "200",
                "vesselWidthMm",
                "100",
                "levelBeforeMm",
                "50",
                "levelAfterMm",
                "65",
                "readingErrorMm",
                "0.5"))
            .get(0);
    Near.relative(r.volumeMm3(), 200 * 100 * 15, 1e-12);
    Near.relative(r.errorMm3(), 0.5 * Math.sqrt(2) * 20_000, 1e-12);
    assertEquals(r.way(), Way.IMMERSION);
  }

  @Test
  public void aPailThatDoesNotTaperIsRound() {
    Result pail =
        ways(measured(
                "vessel",
                "tapering pail",
                "vesselDiameterMm",
                "200",
                "vesselTopDiameterMm",
                "200",
                "vesselHeightMm",
                "300",
                "levelBeforeMm",
                "40",
                "levelAfterMm",
                "90"))
            .get(0);
    Near.relative(pail.volumeMm3(), Math.PI * 100 * 100 * 50, 1e-12);
  }

  @Test
  public void overflowAndHangingAreTheWatersMass() {
    List<Result> both =
        ways(measured("overflowG", "499 g", "hungG", "500 g", "scaleErrorG", "2 g"));
    assertEquals(both.size(), 2);
    for (Result r : both) {
      double grams = r.way() == Way.HUNG ? 500 : 499;
      Near.relative(r.volumeMm3(), grams / 0.998 * 1000, 1e-12);
      Near.relative(r.errorMm3(), 2 / 0.998 * 1000, 1e-12);
    }
  }

  @Test
  public void weightCarriesDensityAndScale() {
    Result r =
        ways(measured("castG", "620 g", "castDensity", "1.24", "densityErrorPct", "2 %")).get(0);
    Near.relative(r.volumeMm3(), 500_000, 1e-12);
    Near.relative(r.errorMm3(), Math.hypot(10_000, 1 / 1.24 * 1000), 1e-12);
  }

  @Test
  public void grainWithTheBoxOrWithAnEmptyMeasure() {
    Measured round = measured("grainMm3", "240 mL");
    Result byBox = VolumeWays.of(round, 427_232.0, Units.METRIC).get(0);
    Near.relative(byBox.volumeMm3(), 187_232, 1e-12);
    Near.relative(byBox.errorMm3(), 9_600, 1e-12);
    Result byGrain = ways(measured("grainMm3", "240 mL", "grainEmptyMm3", "430 mL")).get(0);
    Near.relative(byGrain.volumeMm3(), 190_000, 1e-12);
    Near.relative(byGrain.errorMm3(), Math.hypot(9_600, 17_200), 1e-12);
  }

  @Test
  public void theMostCertainComesFirst() {
    List<Result> all =
        ways(
            measured(
                "castG",
                "620 g",
                "castDensity",
                "1.24",
                "overflowG",
                "499 g",
                "vesselDiameterMm",
                "240",
                "levelBeforeMm",
                "100",
                "levelAfterMm",
                "111"));
    assertEquals(
        all.stream().map(Result::way).toList(), List.of(Way.OVERFLOW, Way.WEIGHT, Way.IMMERSION));
    for (Result r : all) {
      assertTrue(r.working().plusMinus().startsWith("± "), r.working().toString());
    }
  }

  @Test
  public void aNarrowVesselNeedsNoAdvice() {
    Result r =
        ways(measured("vesselDiameterMm", "120", "levelBeforeMm", "100", "levelAfterMm", "170"))
            .get(0);
    assertEquals(r.advice(), "");
  }

  @Test
  public void theOuterSizeIsKnownWhenItsMeasuresAre() {
    assertTrue(!Measured.NOTHING.hasSize());
    assertTrue(measured("lengthMm", "80", "widthMm", "55", "heightMm", "42").hasSize());
    assertTrue(!measured("outline", "round", "lengthMm", "80", "heightMm", "42").hasSize());
    assertTrue(measured("outline", "round", "diameterMm", "80", "heightMm", "42").hasSize());
  }

  @DataProvider
  public Object[][] units() {
    return new Object[][] {{0.12, 1000.0}, {0.99, 1000.0}, {1.0, 25.4}, {11.9, 25.4}, {12.0, 1.0}};
  }

  @Test(dataProvider = "units")
  public void theUnitIsGuessedFromTheSize(double longest, double mm) {
    assertEquals(UnitGuess.mmPerUnit(longest), mm);
  }

  @DataProvider
  public Object[][] impossible() {
    return new Object[][] {
      {Solid.Shape.TORUS, 60, 10, 40, "20 at 0, 10 at 30"},
      {Solid.Shape.CAP, 60, 61, 10, "20 at 0, 10 at 30"},
      {Solid.Shape.TURNED, 60, 10, 10, "20 at 0"},
      {Solid.Shape.TURNED, 60, 10, 10, "20 at 10, 10 at 0"},
      {Solid.Shape.TURNED, 60, 10, 10, "20 at 10, 10 at 10"},
      {Solid.Shape.TURNED, 60, 10, 10, "20, 10"},
    };
  }

  @Test(dataProvider = "impossible")
  public void measuresThatContradictEachOtherAreRefused(
      Solid.Shape kind, double diameter, double height, double tube, String profile) {
    Solid solid = new Solid(kind, 1, 1, height, diameter, 1, tube, profile, null, null, 0.5);
    expectThrows(UnreadableQuantity.class, solid::volumeMm3);
  }

  @Test
  public void everySolidStandsOnThePlate() {
    for (Solid.Shape kind : Solid.Shape.values()) {
      Solid d = Solid.DEFAULT;
      Solid s =
          new Solid(
              kind,
              d.lengthMm(),
              d.widthMm(),
              d.heightMm(),
              d.diameterMm(),
              d.topDiameterMm(),
              d.tubeDiameterMm(),
              d.profile(),
              d.girths(),
              d.carvedPct(),
              d.toleranceMm());
      Near.absolute(s.mesh().bounds().min().z(), 0, 1e-9);
      Near.relative(s.mesh().measure().volumeMm3(), s.volumeMm3(), 0.002);
      assertTrue(s.volumeErrorMm3() > 0, kind.toString());
    }
  }

  @Test
  public void aPosedMasterStandsInTheMiddle() {
    Pose tipped = Pose.AS_MODELLED.turned("x 30").turned("z -15 °");
    PosedMaster p = PosedMaster.of(Tessellation.box(40, 60, 80), 2, tipped);
    Vec3 centre = p.mesh().bounds().centre();
    Near.absolute(Math.hypot(centre.x(), centre.y()), 0, 1e-9);
    Near.absolute(p.mesh().bounds().min().z(), 0, 1e-9);
    Near.relative(p.curve().total(), 8 * 192_000, 1e-9);
    Near.absolute(p.top().z(), p.mesh().bounds().max().z(), 1e-12);
    assertEquals(p.restMm2(), 0.0);
    assertEquals(p.flatFaces().size(), 6);
  }
}
