package ungula.core.castlabel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.castlabel.PlacedLabel.Face;
import ungula.core.castlabel.PlacedLabel.Room;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.SheetStock;

/** A block of 100 × 60 × 40 on the plate of a box with other walls on every side. */
public class PlacedLabelTest {

  private static final List<String> TEXT = List.of("K7F3M", "134 mL");

  private static BoxMould box(double left, double right, double front, double back) {
    return new BoxMould(
        new Vec3(100, 60, 40),
        FillCurve.even(100 * 60 * 40, 0, 40),
        BoxInside.rectangle(100, 60, left, right, front, back),
        0,
        10,
        15,
        SheetStock.ACRYLIC_3);
  }

  private static Room room(BoxMould box, List<Vec3> clean, Set<Face> closed) {
    return new Room(box, List.of(new double[] {-50, -30, 50, -30, 50, 30, -50, 30}), clean, closed);
  }

  private static Room room(BoxMould box) {
    return room(box, List.of(), Set.of());
  }

  private static Optional<PlacedLabel> at(LabelPlace place, Room room) {
    return PlacedLabel.of(place, TEXT, 5, room);
  }

  @Test
  public void itGoesWhereThereIsMostRubber() {
    PlacedLabel wall = at(LabelPlace.WALL, room(box(12, 12, 12, 20))).orElseThrow();
    assertEquals(wall.on(), Face.BACK);
    assertEquals(wall.rubberMm(), 20 - 2.3, 1e-9);
    assertEquals(wall.middle(), new Vec3(0, 50, 25));
    // 20 mm in front: lines run along it, half way between wall and master as nearly as is tried
    PlacedLabel base = at(LabelPlace.BASE, room(box(12, 12, 30, 12))).orElseThrow();
    assertEquals(base.label().lines(), List.of("K7F3M  134 mL"));
    assertEquals(base.rubberMm(), 30 - 2 - base.label().heightMm(), 3);
    assertTrue(base.middle().y() < -30, base.middle().toString());
    assertEquals(at(LabelPlace.PROPOSED, room(box(12, 12, 12, 20))).orElseThrow().on(), Face.BACK);
  }

  @Test
  public void whereItIsPartedOrCutItDoesNotGo() {
    Room cut = room(box(12, 12, 12, 20), List.of(), EnumSet.of(Face.BACK));
    assertTrue(at(LabelPlace.WALL, cut).orElseThrow().on() != Face.BACK);
    Room parted = room(box(12, 12, 12, 12), List.of(), EnumSet.range(Face.LEFT, Face.BACK));
    assertEquals(at(LabelPlace.WALL, parted), Optional.empty());
  }

  @Test
  public void itKeepsAwayFromWhatIsToStayClean() {
    Room room = room(box(12, 12, 12, 20), List.of(new Vec3(0, 30, 20)), Set.of());
    assertTrue(at(LabelPlace.WALL, room).orElseThrow().on() != Face.BACK);
  }

  @Test
  public void underThreeMillimetresOfRubberThereIsNoRoom() {
    assertEquals(at(LabelPlace.WALL, room(box(5.2, 5.2, 5.2, 5.2))), Optional.empty());
    assertTrue(at(LabelPlace.WALL, room(box(5.2, 5.2, 5.2, 5.31))).isPresent());
    assertEquals(at(LabelPlace.BASE, room(box(12, 12, 12, 12))), Optional.empty());
    // a line 5 mm high with its edge is 10.25 mm; 2 off the wall and 3 off the master
    assertTrue(at(LabelPlace.BASE, room(box(12, 12, 12, 17))).isPresent());
  }

  /** The box is that much smaller, and nowhere below or above it. */
  @Test
  public void itsVolumeIsTakenOutOfTheRubberWhereItIs() {
    BoxMould bare = box(12, 12, 12, 20);
    PlacedLabel l = at(LabelPlace.WALL, room(bare)).orElseThrow();
    BoxMould with = bare.with(l.insert());
    double v = l.label().volumeMm3();
    assertEquals(with.rubberMm3(), bare.rubberMm3() - v, 1e-6);
    double low = 25 - l.label().heightMm() / 2;
    assertEquals(with.rubberBelow(low), bare.rubberBelow(low), 1e-6);
    assertEquals(with.rubberBelow(25), bare.rubberBelow(25) - v / 2, 1e-6);
    double[] seen = l.seen(Cut.TOP);
    assertEquals(seen[5] - seen[1], 2.3, 1e-9);
    assertEquals(seen[2] - seen[0], l.label().widthMm(), 1e-9);
    assertEquals(l.seen(Cut.FRONT)[5] - l.seen(Cut.FRONT)[1], l.label().heightMm(), 1e-9);
    assertEquals(
        l.where(bare.inside(), mm -> mm + " mm"),
        "on the back wall, in the middle of it, 25.0 mm above the base");
  }
}
