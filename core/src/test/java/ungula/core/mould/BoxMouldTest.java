package ungula.core.mould;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Tessellation;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Role;
import ungula.core.mould.SectionDrawing.Shape;
import ungula.core.quantity.Units;

/** The rectangular box, by hand arithmetic. */
public class BoxMouldTest {

  private static final Vec3 MASTER = new Vec3(80, 55, 42);

  private static BoxMould box(
      double left, double right, double front, double back, double below, double over) {
    FillCurve curve = FillCurve.even(80 * 55 * 42, 0, 42).raised(below);
    BoxInside inside = BoxInside.rectangle(MASTER.x(), MASTER.y(), left, right, front, back);
    return new BoxMould(MASTER, curve, inside, below, over, 15, SheetStock.ACRYLIC_3);
  }

  @Test
  public void sizesInsideAndOutside() {
    BoxMould b = box(10, 11, 12, 13, 14, 15);
    assertEquals(b.insideLengthMm(), 101.0);
    assertEquals(b.insideWidthMm(), 80.0);
    assertEquals(b.pourLineMm(), 71.0);
    assertEquals(b.wallHeightMm(), 86.0);
    assertEquals(b.outsideLengthMm(), 107.0);
    assertEquals(b.outsideWidthMm(), 86.0);
    assertEquals(b.rubberMm3(), 101.0 * 80 * 71 - 80 * 55 * 42, 1e-6);
    // walls: two of 101, two of 86 with the lap, 86 high; base with 20 mm all round
    assertEquals(b.sheetAreaMm2(), 2 * (101 + 86) * 86.0 + 147 * 126, 1e-9);
  }

  @DataProvider
  public Object[][] thinnest() {
    return new Object[][] {
      {box(9, 12, 12, 12, 12, 12), 9.0, WallPlace.LEFT},
      {box(12, 9, 12, 12, 12, 12), 9.0, WallPlace.RIGHT},
      {box(12, 12, 9, 12, 12, 12), 9.0, WallPlace.FRONT},
      {box(12, 12, 12, 9, 12, 12), 9.0, WallPlace.BACK},
      {box(12, 12, 12, 12, 9, 12), 9.0, WallPlace.BELOW},
      {box(12, 12, 12, 12, 0, 9), 9.0, WallPlace.TOP},
      {box(12, 12, 12, 12, 0, -4), 12.0, WallPlace.LEFT},
    };
  }

  @Test(dataProvider = "thinnest")
  public void theThinnestWallIsFoundAndNamed(BoxMould b, double mm, WallPlace place) {
    assertEquals(b.thinnestWallMm(), mm);
    assertEquals(b.thinnestPlace(), place);
  }

  @Test
  public void aMasterLeftInTheAirTakesNoRubberThere() {
    BoxMould b = box(12, 12, 12, 12, 0, -12);
    assertEquals(b.pourLineMm(), 30.0);
    assertEquals(b.rubberMm3(), 104.0 * 79 * 30 - 80 * 55 * 30, 1e-6);
    assertEquals(b.wallHeightMm(), 57.0);
  }

  @Test
  public void theDipstickSnapsToWhatIsMeant() {
    BoxMould b = box(12, 12, 12, 12, 0, 10);
    assertEquals(Dipstick.snapped(b, 43.2, Units.METRIC), 42.0);
    assertEquals(Dipstick.snapped(b, 50.7, Units.METRIC), 52.0);
    assertEquals(Dipstick.snapped(b, 47.4, Units.METRIC), 47.0);
    assertEquals(Dipstick.snapped(b, -30, Units.METRIC), 1.0);
    Units inch = new Units(Units.Display.INCH, Units.Gallon.US);
    double snapped = Dipstick.snapped(b, 47.4, inch);
    assertEquals((snapped - 42) / 25.4 * 16 % 1, 0, 1e-9);
  }

  @Test
  public void theDipstickReadsHeightVolumeAndMass() {
    BoxMould b = box(12, 12, 12, 12, 0, 10);
    Dipstick.Reading r = Dipstick.at(b, 52, 1, 1.08, Units.METRIC);
    assertEquals(r.volume(), "242.4 mL");
    assertEquals(r.mass(), "261.8 g");
    assertEquals(r.overTopMm(), 10.0);
    // as the first of several moulds weighed
    assertEquals(Dipstick.at(b, 52, 1.5, 1.08, Units.METRIC).mass(), "392.7 g");
    assertEquals(Dipstick.at(b, 52, 1, null, Units.METRIC).mass(), "");
    assertEquals(Dipstick.tickMm(b, Units.METRIC), 10.0);
    assertEquals(Dipstick.tickText(40, Units.METRIC), "40");
    Units inch = new Units(Units.Display.INCH, Units.Gallon.US);
    assertEquals(Dipstick.tickText(Dipstick.tickMm(b, inch) * 3, inch), "1 1/2");
  }

  @Test
  public void stifferSheetAndCloserRibsBowLess() {
    double before = Double.POSITIVE_INFINITY;
    for (double span : new double[] {400, 300, 200, 100, 50}) {
      double bow = Bowing.of(span, 150, SheetStock.STYRENE_2, 1.1).mm();
      assertTrue(bow < before, span + " mm bows " + bow);
      before = bow;
    }
    assertTrue(
        Bowing.of(300, 150, SheetStock.MDF_18, 1.1).mm()
            < Bowing.of(300, 150, SheetStock.ACRYLIC_3, 1.1).mm() / 100);
    // twice the density bows twice as far
    Near.relative(
        Bowing.of(200, 120, SheetStock.STYRENE_2, 2.2).mm(),
        2 * Bowing.of(200, 120, SheetStock.STYRENE_2, 1.1).mm(),
        1e-12);
    assertEquals(Bowing.of(0, 120, SheetStock.STYRENE_2, 1.1).mm(), 0.0);
    assertEquals(Bowing.limitMm(6), 0.5);
    assertEquals(Bowing.limitMm(40), 1.0);
  }

  private static SectionDrawing drawn(BoxMould b, Cut cut, double at) {
    PosedMaster p = PosedMaster.of(Tessellation.box(80, 55, 42), 1, Pose.AS_MODELLED);
    return SectionDrawing.of(b, p.slicer(cut), cut, false, at, Units.METRIC);
  }

  private static List<String> texts(SectionDrawing d) {
    return d.dimensions().stream().map(Dimension::text).sorted().toList();
  }

  @Test
  public void wallsStandWhereNoRubberIsHoweverTheBoxRuns() {
    // an L: its outline turns in, so that a cut meets walls in between
    TriangleMesh l =
        Shapes.both(
            Tessellation.box(120, 30, 40), Tessellation.box(30, 120, 40), new Vec3(-45, 75, 0));
    PosedMaster p = PosedMaster.of(l, 1, Pose.AS_MODELLED);
    Vec3 s = p.mesh().bounds().size();
    BoxInside rectangle = BoxInside.rectangle(s.x(), s.y(), 12, 12, 12, 12);
    BoxInside inside = BoxInside.of(BoxShape.OUTLINE, rectangle, p.shadow(), 12);
    BoxMould b = new BoxMould(s, p.curve(), inside, 0, 10, 15, SheetStock.ACRYLIC_3);
    assertTrue(inside.areaMm2() < 0.75 * rectangle.areaMm2());
    for (double at = inside.minY(); at < inside.maxY(); at += 7) {
      SectionDrawing d =
          SectionDrawing.of(b, p.slicer(Cut.FRONT), Cut.FRONT, false, at, Units.METRIC);
      List<double[]> rubber = rings(d, Role.RUBBER);
      for (double[] wall : rings(d, Role.WALL)) {
        assertTrue(wall[2] > wall[0], "a wall of no thickness at " + at);
        assertTrue(rubber.stream().allMatch(r -> wall[2] <= r[0] || wall[0] >= r[2]));
      }
    }
  }

  private static List<double[]> rings(SectionDrawing d, Role role) {
    return d.shapes().stream()
        .filter(shape -> shape.role() == role)
        .flatMap(shape -> shape.rings().stream())
        .toList();
  }

  @Test
  public void everyGapIsDimensionedOnce() {
    BoxMould b = box(10, 11, 12, 13, 14, 15);
    assertEquals(
        texts(drawn(b, Cut.FRONT, 0)),
        List.of("10 mm", "101 mm", "11 mm", "14 mm", "15 mm", "71 mm"));
    assertEquals(
        texts(drawn(b, Cut.SIDE, 0)),
        List.of("12 mm", "13 mm", "14 mm", "15 mm", "71 mm", "80 mm"));
    assertEquals(
        texts(drawn(b, Cut.TOP, 30)),
        List.of("10 mm", "101 mm", "11 mm", "12 mm", "13 mm", "80 mm"));
  }

  @Test
  public void everythingDrawnLiesInsideTheDrawing() {
    for (Cut cut : Cut.values()) {
      SectionDrawing d = drawn(box(10, 11, 12, 13, 14, 15), cut, 20);
      for (Shape s : d.shapes()) {
        for (double[] ring : s.rings()) {
          for (int i = 0; i < ring.length; i += 2) {
            assertTrue(ring[i] >= d.left() - 1e-6 && ring[i] <= d.right() + 1e-6, s.role() + "");
            assertTrue(ring[i + 1] >= d.bottom() - 1e-6 && ring[i + 1] <= d.top() + 1e-6);
          }
        }
      }
    }
  }

  private static boolean shows(SectionDrawing d, Role role) {
    return d.shapes().stream().anyMatch(s -> s.role() == role);
  }

  @Test
  public void thePlaneStaysInTheBoxAndMayMissTheMaster() {
    BoxMould b = box(12, 12, 12, 12, 0, 10);
    SectionDrawing beyond = drawn(b, Cut.FRONT, 1000);
    assertEquals(beyond.at(), 39.5);
    assertFalse(shows(beyond, Role.MASTER));
    assertTrue(shows(beyond, Role.RUBBER));
    assertTrue(shows(drawn(b, Cut.TOP, 41), Role.MASTER));
    assertFalse(shows(drawn(b, Cut.TOP, 43), Role.MASTER));
    assertTrue(shows(drawn(b, Cut.TOP, 51), Role.RUBBER));
    assertFalse(shows(drawn(b, Cut.TOP, 60), Role.RUBBER));
  }

  @Test
  public void withoutAModelOnlyTheOutlineIsDrawn() {
    BoxMould b = box(12, 12, 12, 12, 0, 10);
    SectionDrawing round = SectionDrawing.of(b, null, Cut.TOP, true, 20, Units.METRIC);
    assertTrue(shows(round, Role.ENVELOPE));
    assertFalse(shows(round, Role.MASTER));
    long corners =
        round.shapes().stream()
            .filter(s -> s.role() == Role.ENVELOPE)
            .findFirst()
            .orElseThrow()
            .rings()
            .get(0)
            .length;
    assertTrue(corners > 100);
  }
}
