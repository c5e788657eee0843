package ungula.core.step;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.job.JobPlan;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;

/** When vents are made, by what makes them. */
public class VentStepsTest {

  private static final TriangleMesh VASE =
      Tessellation.turned(
          new double[][] {{0, 0}, {20, 0}, {40, 30}, {12, 70}, {22, 90}, {0, 90}}, 24);

  private static JobPlan plan(String kind, String by, String... more) {
    String[] words = new String[more.length + 3];
    words[0] = "mould.kind=" + kind;
    words[1] = "pose.liftMm=12 mm";
    words[2] = "channels.ventBy=" + by;
    System.arraycopy(more, 0, words, 3, more.length);
    return AnyPlan.picked(VASE, words).plan();
  }

  private static List<String> keys(JobPlan plan) {
    return plan.steps().making().stream().map(Step::key).toList();
  }

  private static String said(JobPlan plan, String key) {
    return plan.steps().making().stream()
        .filter(s -> s.key().equals(key))
        .findFirst()
        .orElseThrow()
        .what();
  }

  private static final String ONE = "casting.vent=0 0.3 0.3";
  private static final String OTHER = "casting.vent=60 0.3 0.3";

  @DataProvider
  public Object[][] made() {
    return new Object[][] {
      {"TWO_PART", "WIRE", "bed.vents", "Lay a greased wire of 2 mm on the bedding, "},
      {"TWO_PART", "TAPE", "bed.vents", "Lay a strip of tape on its edge, 2 mm wide on the bedd"},
      {"TWO_PART", "KNIFE", "vents.cut", "Cut the vent, 2 mm across, as drawn."},
      {"CUT", "STRAW", "vents.set", "Lay a straw of 2 mm from the master to the base, as drawn."},
      {"CUT", "SLIT", "vents.cut", "Slit the rubber with a fresh blade, "},
    };
  }

  @Test(dataProvider = "made")
  public void theyAreLaidBeforeThePourOrCutAfterIt(
      String kind, String by, String key, String begins) {
    JobPlan plan = plan(kind, by, ONE);
    List<String> keys = keys(plan);
    assertTrue(said(plan, key).startsWith(begins), said(plan, key));
    int pour = keys.indexOf("box");
    int open = keys.indexOf("open");
    assertTrue(pour > 0 && open > pour, keys.toString());
    int at = keys.indexOf(key);
    assertTrue(key.equals("vents.cut") ? at > open : at < pour, keys.toString());
    // once
    long ventSteps = keys.stream().filter(k -> k.contains("vents")).count();
    assertEquals(ventSteps, 1, keys.toString());
  }

  @Test
  public void severalAreCounted() {
    assertTrue(
        said(plan("TWO_PART", "STRAW", ONE, OTHER), "bed.vents")
            .startsWith("Lay 2, each a straw of 2 mm, on the bedding"));
    assertTrue(
        said(plan("TWO_PART", "KNIFE", ONE, OTHER), "vents.cut").startsWith("Cut the 2 vents, "));
    assertTrue(
        said(plan("CUT", "SLIT", ONE, OTHER), "vents.cut").startsWith("Slit the rubber at 2 pla"));
    assertTrue(keys(plan("CUT", "WIRE")).stream().noneMatch(k -> k.contains("vents")));
  }

  @Test
  public void whatACastTakesGoesByThem() {
    JobPlan knife = plan("CUT", "KNIFE", ONE);
    JobPlan slit = plan("CUT", "SLIT", ONE);
    // until its way is known, straight through the rubber under the master
    double way = 12;
    assertEquals(knife.figures().get("vents.volume").value(), Math.PI * way, 1e-9);
    assertEquals(slit.figures().get("vents.volume").value(), 0.0);
    assertEquals(
        knife.figures().get("cast.volume").value() - slit.figures().get("cast.volume").value(),
        Math.PI * way,
        1e-6);
  }
}
