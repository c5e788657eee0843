package ungula.core.parting;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Modelled;
import ungula.core.Near;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.plan.MasterFacts;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

public class PartingSurfaceTest {

  private static Parting parting(String shape) {
    Choices c =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC),
            List.of(
                Edit.of("master.source", "FILE"),
                Edit.of("mould.kind", "TWO_PART"),
                Edit.of("mould.shape", shape),
                Edit.of("mould.sidesMm", "16 mm")),
            null);
    MasterFacts facts = Modelled.facts(Tessellation.box(80, 55, 42), c);
    return JobPlan.of(c, facts, null, Workshop.DEFAULT).plan().parting().orElseThrow();
  }

  private static double areaFromAbove(TriangleMesh m) {
    double area = 0;
    for (int t = 0; t < m.triangleCount(); t++) {
      assertTrue(m.areaVector(t).z() > 0, "it faces up");
      area += m.areaVector(t).z();
    }
    return area;
  }

  /**
   * 80 × 55 with 16 mm on each side: 112 × 87, less the master, to half a row of squares. Keys rise
   * out of it or go down into it.
   */
  @Test
  public void itCoversTheBoxAndHasItsKeys() {
    Parting parting = parting("RECTANGLE");
    TriangleMesh m = PartingSurface.of(parting);
    Near.absolute(areaFromAbove(m), 112 * 87 - 80 * 55, (80 + 55) * 112 / 240.0);
    assertTrue(parting.keys().size() >= 2);
    double off =
        Math.max(
            m.bounds().max().z() - parting.levelMm(), parting.levelMm() - m.bounds().min().z());
    assertTrue(off > 3, "keys of " + off + " mm");
    double[] p = m.xyz();
    for (int i = 0; i < p.length; i += 3) {
      assertEquals(p[i + 2], parting.at(p[i], p[i + 1]));
    }
  }

  /** To a square of a 240th along its edge. */
  @Test
  public void inARoundBoxItIsRound() {
    Parting parting = parting("TUBE");
    double r = parting.box().insideLengthMm() / 2;
    Near.relative(areaFromAbove(PartingSurface.of(parting)), Math.PI * r * r - 80 * 55, 0.01);
  }
}
