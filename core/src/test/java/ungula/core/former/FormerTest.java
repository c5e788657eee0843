package ungula.core.former;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Modelled;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.demo.Harbour;
import ungula.core.job.JobPlan;
import ungula.core.mesh.Extrusion;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.parting.Key;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Workshop;

public class FormerTest {

  private static JobPlan plan(TriangleMesh mesh, String... edits) {
    Choices c = Choices.fresh(Units.METRIC);
    for (int i = 0; i < edits.length; i += 2) {
      c = ChoiceWords.edit(c, List.of(Edit.of(edits[i], edits[i + 1])), null);
    }
    return JobPlan.of(c, Modelled.facts(mesh, c), null, Workshop.DEFAULT);
  }

  private static double volume(TriangleMesh mesh) {
    assertTrue(Topology.of(mesh).closed());
    assertTrue(Topology.of(mesh).consistentSense());
    return mesh.measure().volumeMm3();
  }

  @DataProvider
  Object[][] keys() {
    return new Object[][] {
      {new Key(3, 4, 12, 6, true, true)},
      {new Key(0, 0, 12, 3, true, false)},
      {new Key(9, 9, 8, 7, true, true)},
      {new Key(0, 0, 5, 4, false, true)}
    };
  }

  @Test(dataProvider = "keys")
  public void aKeyIsAsLargeAsItsFormulaSays(Key key) {
    TriangleMesh solid = key.solid();
    assertEquals(volume(solid), key.volumeMm3(), 0.005 * key.volumeMm3());
    assertEquals(solid.bounds().min().z(), 0, 1e-9);
    assertEquals(solid.bounds().max().z(), key.heightMm(), 1e-9);
  }

  @Test
  public void anAngleIsAPrism() {
    TriangleMesh angle = Extrusion.prism(new double[] {0, 0, 20, 0, 20, 3, 3, 3, 3, 20, 0, 20}, 50);
    assertEquals(volume(angle), (20 * 3 + 17 * 3) * 50, 1e-6);
    // clockwise is the same
    TriangleMesh back = Extrusion.prism(new double[] {0, 20, 3, 20, 3, 3, 20, 3, 20, 0, 0, 0}, 50);
    assertEquals(volume(back), (20 * 3 + 17 * 3) * 50, 1e-6);
  }

  @Test
  public void aMouldInTwoPartsAsksForItsKeysAndSprue() {
    JobPlan plan =
        plan(
            Harbour.SEAL_PUP.mesh(),
            "master.source",
            "FILE",
            "mould.kind",
            "TWO_PART",
            "mould.sidesMm",
            "25 mm");
    List<Former> all = Former.of(plan.plan());
    assertTrue(all.stream().anyMatch(f -> f.name().startsWith("dome")), all.toString());
    Former sprue = all.stream().filter(f -> f.name().startsWith("sprue")).findFirst().get();
    double length = plan.plan().sprue().get().lengthMm() + 8;
    double expected = plan.plan().sprue().get().sectionMm2() * length;
    assertEquals(volume(sprue.mesh()), expected, 0.005 * expected);
    all.forEach(f -> assertTrue(volume(f.mesh()) > 0, f.name()));
  }

  @Test
  public void theSealRingIsSolidAndAsLargeAsPlanned() {
    JobPlan plan =
        plan(
            Harbour.SEAL_PUP.mesh(),
            "master.source",
            "FILE",
            "mould.kind",
            "TWO_PART",
            "mould.sidesMm",
            "25 mm",
            "parting.keying",
            "RING");
    Former ring =
        Former.of(plan.plan()).stream().filter(f -> f.name().equals("seal ring")).findFirst().get();
    double expected = plan.plan().parting().get().ring().volumeMm3();
    assertEquals(volume(ring.mesh()), expected, 0.02 * expected);
    assertEquals(ring.mesh().bounds().min().z(), 0, 0);
    assertEquals(ring.mesh().bounds().max().z(), 6, 0);
    assertTrue(ring.mesh().triangleCount() < 5000, ring.mesh().triangleCount() + " triangles");
  }

  @Test
  public void blocksStandInTheirCorners() {
    JobPlan plan = plan(Harbour.FINIAL.mesh(), "master.source", "FILE", "mould.shape", "BLOCKS");
    Map<String, Double> all =
        Former.of(plan.plan()).stream()
            .collect(Collectors.toMap(Former::name, f -> volume(f.mesh())));
    double leg = plan.plan().inBox().get().inside().legsMm()[0];
    double high = plan.plan().inBox().get().wallHeightMm();
    double block =
        all.entrySet().stream()
            .filter(e -> e.getKey().startsWith("corner block"))
            .findFirst()
            .get()
            .getValue();
    assertEquals(block, leg * leg / 2 * high, 1e-6 * block);
    assertTrue(all.keySet().stream().anyMatch(n -> n.startsWith("corner angle")), all.toString());
  }
}
