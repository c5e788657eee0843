package ungula.core;

import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.air.Empties;
import ungula.core.master.Measured;
import ungula.core.master.Solid;
import ungula.core.master.Solid.Shape;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.Bowing;
import ungula.core.mould.Lift;
import ungula.core.mould.SheetStock;
import ungula.core.quantity.Units;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductTable;
import ungula.core.rubber.Ratio;
import ungula.core.rubber.RatioGuard;
import ungula.core.rubber.SecondPart;
import ungula.core.rubber.Shrinkage;
import ungula.core.study.MeshReport;
import ungula.core.work.Progress;

/** The project's acceptance figures: analytic values, to the digits given. */
public class FiguresTest {

  private static Solid solid(
      Shape kind, double l, double w, double h, double d, double top, double tube) {
    return new Solid(kind, l, w, h, d, top, tube, Solid.DEFAULT.profile(), null, null, 0.5);
  }

  @DataProvider
  public Object[][] solids() {
    return new Object[][] {
      {solid(Shape.SPHERE, 1, 1, 1, 60, 1, 1), 113_097.3, 11_309.7},
      {solid(Shape.BOX, 40, 60, 80, 1, 1, 1), 192_000.0, 20_800.0},
      {solid(Shape.CYLINDER, 1, 1, 70, 50, 1, 1), 137_444.7, 14_922.6},
      {solid(Shape.TORUS, 1, 1, 1, 104, 1, 24), 113_697.8, 18_949.6},
      {solid(Shape.FRUSTUM, 1, 1, 60, 70, 40, 1), 146_084.1, 15_791.4},
      {solid(Shape.UNGULA, 1, 1, 50, 60, 1, 1), 30_000.0, 7_161.5},
      {solid(Shape.CAP, 1, 1, 12, 60, 1, 1), 11_762.1, 4_071.5},
    };
  }

  @Test(dataProvider = "solids")
  public void solidsByFormulaAndByMesh(Solid solid, double volume, double area) {
    Near.absolute(solid.volumeMm3(), volume, 0.05);
    TriangleMesh mesh = solid.mesh();
    MeshReport report = MeshReport.of(mesh, Progress.NONE).report();
    assertTrue(report.closed(), solid.kind() + " " + report);
    assertTrue(
        solid.kind() == Shape.BOX || report.triangles() >= 8_000,
        "triangles " + report.triangles());
    Near.relative(report.volumeMm3(), volume, 0.002);
    Near.relative(report.areaMm2(), area, 0.002);
  }

  @Test
  public void otherSolidsAgreeWithTheirMeshes() {
    Solid[] more = {
      solid(Shape.ELLIPSOID, 50, 40, 30, 1, 1, 1),
      solid(Shape.HALF_ROUND, 90, 1, 1, 40, 1, 1),
      new Solid(Shape.TURNED, 1, 1, 1, 1, 1, 1, "20 at 0, 12 at 30; 0 at 45", null, null, 0.5)
    };
    for (Solid s : more) {
      MeshReport report = MeshReport.of(s.mesh(), Progress.NONE).report();
      assertTrue(report.closed(), s.kind().toString());
      Near.relative(report.volumeMm3(), s.volumeMm3(), 0.002);
    }
  }

  @Test
  public void aSolidsErrorFollowsItsMeasures() {
    // V = l·w·h: dV = √((wh)² + (lh)² + (lw)²) · 0.5
    Solid box = solid(Shape.BOX, 40, 60, 80, 1, 1, 1);
    double expected = 0.5 * Math.sqrt(4800.0 * 4800 + 3200.0 * 3200 + 2400.0 * 2400);
    Near.relative(box.volumeErrorMm3(), expected, 1e-9);
  }

  private static Measured immersed(
      Measured.Vessel vessel, Double d, Double top, Double between, double low, double high) {
    Measured m = Measured.NOTHING;
    return new Measured(
        m.outline(),
        null,
        null,
        null,
        null,
        vessel,
        d,
        top,
        between,
        null,
        null,
        low,
        high,
        1,
        null,
        null,
        1,
        null,
        null,
        3,
        null,
        null,
        null,
        4);
  }

  @Test
  public void waterLevels() {
    VolumeWays.Result round =
        VolumeWays.of(
                immersed(Measured.Vessel.ROUND, 240.0, null, null, 112, 131), null, Units.METRIC)
            .get(0);
    Near.absolute(round.volumeMm3() / 1000, 859.5, 0.05);
    Near.absolute(round.errorMm3() / 1000, 64.0, 0.05);
    assertTrue(round.advice().contains("mm"), round.advice());
    Near.absolute(VolumeWays.riseIn(round.volumeMm3(), 150), 48.6, 0.05);
    VolumeWays.Result narrow =
        VolumeWays.of(
                immersed(Measured.Vessel.ROUND, 150.0, null, null, 100, 148.64), null, Units.METRIC)
            .get(0);
    Near.absolute(narrow.errorMm3() / 1000, 25.0, 0.05);
    VolumeWays.Result pail =
        VolumeWays.of(
                immersed(Measured.Vessel.PAIL, 200.0, 250.0, 260.0, 100, 128), null, Units.METRIC)
            .get(0);
    Near.absolute(pail.volumeMm3() / 1000, 1083.1, 0.05);
  }

  private static Product product(Ratio ratio, Double a, Double b, Double mixed) {
    Map<String, String> row = new HashMap<>(Map.of("name", "test", "ratio", ratio.text()));
    BiConsumer<String, Double> put = (word, g) -> row.put(word, g == null ? "" : g.toString());
    put.accept("densityBase", a);
    put.accept("densityHardener", b);
    put.accept("densityMixed", mixed);
    return ProductTable.product(row, 1);
  }

  @Test
  public void boxToGrams() {
    Product ten = product(Ratio.parse("100 : 10 by weight"), null, null, 1.08);
    Mix mix = Mix.ofVolume(242_432, ten, ten.ratio(), List.of());
    Near.absolute(mix.totalG(), 261.8, 0.05);
    Near.absolute(mix.baseG(), 238.0, 0.05);
    Near.absolute(mix.hardenerG(), 23.8, 0.05);
    Product four = product(Ratio.parse("4 % of base"), null, null, 1.08);
    Mix percent = Mix.ofVolume(242_432, four, four.ratio(), List.of());
    Near.absolute(percent.baseG(), 251.8, 0.05);
    Near.absolute(percent.hardenerG(), 10.1, 0.05);
  }

  @Test
  public void volumeRatioToWeight() {
    Product p = product(Ratio.parse("1 : 1 by volume"), 1.04, 1.22, null);
    Near.absolute(100 * p.hardenerPerBase(p.ratio()), 117.3, 0.05);
    Mix mix = Mix.ofVolume(600_000, p, p.ratio(), List.of());
    Near.absolute(mix.baseG(), 312, 0.5);
    Near.absolute(mix.hardenerG(), 366, 0.5);
    Near.absolute(mix.density(), 1.13, 0.005);
    Near.absolute(mix.baseMm3(), 300_000, 1);
  }

  @Test
  public void actualFirst() {
    double h = Ratio.parse("100 : 10 by weight").hardenerPerBase(1, 1);
    Near.absolute(
        SecondPart.of(true, 1240, null, h, 0.02, Product.Role.RUBBER, Units.METRIC).targetG(),
        124.0,
        1e-9);
    Near.absolute(
        SecondPart.of(false, 118, null, h, 0.02, Product.Role.RUBBER, Units.METRIC).targetG(),
        1180,
        1e-9);
  }

  @Test
  public void fourToOneIsNotFourPercent() {
    Product p = product(Ratio.parse("4 % of base"), null, null, 1.1);
    RatioGuard.Verdict v = RatioGuard.check(Ratio.parse("4 : 1 by weight"), p);
    assertTrue(v.stop());
    Near.absolute(v.entered(), 25, 1e-9);
    Near.absolute(v.sheet(), 4, 1e-9);
    assertTrue(
        v.words().contains("25 g of hardener") && v.words().contains("4 g of hardener"), v.words());
  }

  @Test
  public void lift() {
    Lift lift = Lift.of(FillCurve.even(420_000, 0, 80), Empties.NONE, 90, 1.10, 310);
    Near.absolute(lift.forceN(), 1.49, 0.005);
    Near.absolute(lift.holdDownG(), 152, 0.5);
  }

  @Test
  public void bowing() {
    Bowing bow = Bowing.of(200, 120, SheetStock.STYRENE_2, 1.10);
    Near.absolute(bow.stripMm(), 8.79, 0.02);
    Near.absolute(bow.cantileverMm(), 5.84, 0.02);
    Near.absolute(bow.mm(), 3.51, 0.01);
  }

  @Test
  public void shrinkage() {
    Shrinkage s = new Shrinkage(0.3, 0.4);
    Near.absolute(s.scaleUp(), 1.00704, 0.000005);
    Near.absolute(s.lostMm(180), 1.26, 0.005);
    Near.relative(s.scaleUp() * s.factor(), 1, 1e-12);
  }
}
