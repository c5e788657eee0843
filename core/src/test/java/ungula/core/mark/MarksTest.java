package ungula.core.mark;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.BitSet;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mesh.TriangleMesh;
import ungula.core.quantity.UnreadableQuantity;

public class MarksTest {

  @Test
  public void aSetIsShortTextThatReadsBack() {
    BitSet facets = new BitSet();
    facets.set(12, 16);
    facets.set(96);
    assertEquals(FacetSet.of(facets).runs(), "12+4 80+1");
    Random random = new Random(1);
    for (int i = 0; i < 400; i++) {
      facets.flip(random.nextInt(900));
    }
    assertEquals(FacetSet.of(facets).facets(), facets);
    assertEquals(FacetSet.of(new BitSet()), FacetSet.NONE);
    for (String bad : new String[] {"12", "12+0", "-3+4", "1+x", "5+2000000000", "1 + 2"}) {
      assertThrows(UnreadableQuantity.class, () -> new FacetSet(bad).facets());
    }
  }

  @Test
  public void marksAddUpAndAreErased() {
    Marks m =
        Marks.NONE.with(Mark.FRAGILE, new FacetSet("3+4")).with(Mark.BASE, new FacetSet("0+2"));
    m = m.with(Mark.FRAGILE, new FacetSet("5+5")).without(Mark.FRAGILE, new FacetSet("4+1"));
    assertEquals(m.of(Mark.FRAGILE).runs(), "3+1 1+5");
    assertEquals(m.without(Mark.FRAGILE).without(Mark.BASE), Marks.NONE);
  }

  /** Area of a set. */
  private static double area(TriangleMesh mesh, FacetSet set) {
    return set.facets().stream().mapToDouble(t -> mesh.areaVector(t).norm()).sum();
  }

  @Test
  public void aBrushPaintsWhatItCovers() {
    TriangleMesh s = Shapes.sphere();
    SurfacePoint at = SurfacePoint.nearest(s, s.furthest(Vec3.UP));
    FacetSet dab = new Painting(s).brush(List.of(at), 6);
    // a cap of 6 mm radius, and the facets its rim cuts: no facet is wider than 1 mm or so
    double least = Math.PI * 36;
    assertTrue(area(s, dab) >= least && area(s, dab) < Math.PI * 8 * 8, "area " + area(s, dab));
    Vec3 top = s.furthest(Vec3.UP);
    dab.facets().stream().forEach(t -> assertTrue(s.middle(t).minus(top).norm() < 8));
  }

  @Test
  public void aBrushDoesNotPaintThroughAWall() {
    TriangleMesh sheet =
        Tessellation.turned(new double[][] {{0, 0}, {40, 0}, {40, 2}, {0, 2}}, 200);
    SurfacePoint at = SurfacePoint.nearest(sheet, new Vec3(20, 0, 2));
    FacetSet dab = new Painting(sheet).brush(List.of(at), 5);
    dab.facets().stream().forEach(t -> assertTrue(sheet.areaVector(t).z() > 0, "the other side"));
  }

  @Test
  public void aFaceEndsAtItsEdges() {
    TriangleMesh c = Shapes.cylinder();
    Painting painting = new Painting(c);
    double top = c.bounds().max().z();
    SurfacePoint lid = SurfacePoint.nearest(c, new Vec3(3, 2, top));
    Near.relative(area(c, painting.face(lid, 15)), Math.PI * 625, 0.002);
    SurfacePoint side = SurfacePoint.nearest(c, new Vec3(25, 0, top / 2));
    Near.relative(area(c, painting.face(side, 15)), Math.PI * 50 * 70, 0.002);
    Near.relative(area(c, painting.face(side, 95)), 14_922.6, 0.002);
  }

  @Test
  public void placesAreFoundByTheirMark() {
    TriangleMesh s = Shapes.sphere();
    SurfacePoint at = SurfacePoint.nearest(s, s.furthest(Vec3.UP));
    Marks marks = Marks.NONE.with(Mark.THREAD, new Painting(s).brush(List.of(at), 2));
    MarkedPlaces places = new MarkedPlaces(s, marks, new Vec3(0, 0, 100));
    Vec3 top = s.furthest(Vec3.UP).plus(new Vec3(0, 0, 100));
    assertTrue(places.near(Mark.THREAD, top, 1.5));
    assertFalse(places.near(Mark.THREAD, top.plus(new Vec3(0, 0, 8)), 5));
    assertFalse(places.near(Mark.PLUG, top, 50));
  }
}
