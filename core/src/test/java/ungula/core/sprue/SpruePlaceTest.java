package ungula.core.sprue;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.BitSet;
import java.util.Map;
import java.util.function.IntPredicate;
import org.testng.annotations.Test;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.mark.Marks;
import ungula.core.mesh.TriangleMesh;

public class SpruePlaceTest {

  private static final TriangleMesh PUP = Harbour.SEAL_PUP.mesh();

  private static FacetSet facets(IntPredicate in) {
    BitSet set = new BitSet();
    for (int t = 0; t < PUP.triangleCount(); t++) {
      set.set(t, in.test(t));
    }
    return FacetSet.of(set);
  }

  private static Marks marked(Mark mark, IntPredicate in) {
    return new Marks(Map.of(mark, facets(in)));
  }

  private static Vec3 proposed(Marks marks) {
    return SpruePlace.propose(PUP, marks).orElseThrow().on(PUP);
  }

  @Test
  public void unmarkedItIsWhereTheMasterIsLowest() {
    assertEquals(proposed(Marks.NONE).z(), PUP.bounds().min().z(), 0.5);
  }

  @Test
  public void cleanFacesAreLeftAlone() {
    double edge = PUP.bounds().min().z() + 4;
    Marks clean = marked(Mark.KEEP_CLEAN, t -> PUP.middle(t).z() < edge);
    assertTrue(SpruePlace.lowestIsOn(PUP, clean.of(Mark.KEEP_CLEAN).facets()));
    Vec3 at = proposed(clean);
    assertTrue(at.z() >= edge, "at " + at);
    Marks fragile = marked(Mark.FRAGILE, t -> PUP.middle(t).z() < edge);
    assertTrue(proposed(fragile).z() >= edge);
    assertFalse(SpruePlace.lowestIsOn(PUP, clean.of(Mark.FRAGILE).facets()));
  }

  @Test
  public void theMiddleOfTheBaseComesFirst() {
    double edge = PUP.bounds().min().z() + 2;
    Vec3 c = PUP.bounds().centre();
    Marks base = marked(Mark.BASE, t -> PUP.middle(t).z() < edge && PUP.middle(t).x() > c.x());
    Vec3 at = proposed(base);
    assertTrue(at.x() > c.x() + 5, "at " + at);
    assertTrue(at.z() < edge);
  }

  @Test
  public void whereNothingIsFreeNothingIsProposed() {
    assertTrue(SpruePlace.propose(PUP, marked(Mark.KEEP_CLEAN, t -> true)).isEmpty());
  }
}
