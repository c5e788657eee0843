package ungula.core.castlabel;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;

/**
 * The plate and its letters. What the letters look like is held against another program's drawing
 * of the same text in the server's tests.
 */
public class CastLabelTest {

  /** Every sign of a usual keyboard, in lines of eight. */
  private static List<String> allSigns() {
    String all =
        IntStream.rangeClosed('!', '~').mapToObj(Character::toString).collect(Collectors.joining());
    return Arrays.asList(all.split("(?<=\\G.{8})"));
  }

  @DataProvider
  Object[][] texts() {
    return new Object[][] {
      {List.of("K7F3M"), 5},
      {List.of("B8Q0", "1 Mar 2027", "134 mL"), 6},
      {List.of("Ä ö é %"), 3},
      {allSigns(), 8}
    };
  }

  @Test(dataProvider = "texts")
  public void theSolidIsClosedAndAsLargeAsPlateAndLetters(List<String> lines, double letterMm) {
    CastLabel label = CastLabel.of(lines, letterMm);
    TriangleMesh solid = label.solid();
    Topology t = Topology.of(solid);
    assertTrue(t.closed());
    assertTrue(t.consistentSense());
    double plate = label.widthMm() * label.heightMm() * 1.5;
    double letters = 0.8 * label.letters().getArea();
    assertEquals(solid.measure().volumeMm3(), plate + letters, 1e-6 * plate);
    assertEquals(label.volumeMm3(), plate + letters, 1e-9 * plate);
    assertEquals(solid.bounds().min().z(), 0, 1e-9);
    assertEquals(solid.bounds().max().z(), 2.3, 1e-9);
  }

  /** An L has its foot at the right; mirrored, at the left. */
  @Test
  public void itIsMirrored() {
    CastLabel label = CastLabel.of(List.of("L"), 10);
    assertTrue(label.letters().getCentroid().getX() < 0);
    TriangleMesh solid = label.solid();
    double weighted = 0;
    double all = 0;
    for (int i = 0; i < solid.triangleCount(); i++) {
      Vec3 area = solid.areaVector(i);
      if (solid.middle(i).z() > 2.29 && area.z() > 0) {
        weighted += area.z() * solid.middle(i).x();
        all += area.z();
      }
    }
    assertEquals(weighted / all, -label.letters().getCentroid().getX(), 1e-6);
  }

  /** Every letter by itself, so that a stroke of one never runs into the next. */
  @Test
  public void lettersDoNotTouch() {
    // i and j have a dot of their own
    assertEquals(CastLabel.of(List.of("RAVE WAVE 0123456789"), 4).letters().getNumGeometries(), 18);
  }

  @Test
  public void aCapitalIsAsHighAsAskedForAndTheTextInTheMiddle() {
    CastLabel label = CastLabel.of(List.of("HH", "HHHH"), 7);
    double[] one = label.rings().get(0);
    double[] ys = IntStream.range(0, one.length / 2).mapToDouble(i -> one[2 * i + 1]).toArray();
    double high = Arrays.stream(ys).max().getAsDouble() - Arrays.stream(ys).min().getAsDouble();
    assertEquals(high, 7, 0.02);
    assertEquals(label.letters().getEnvelopeInternal().centre().getX(), 0, 1e-9);
    // two lines and an edge: 7 + 1.5 × 7 + a quarter of 7 for what hangs, and 2 mm all round
    assertEquals(label.heightMm(), 7 * 2.75 + 4, 1e-9);
    assertEquals(label.widthMm(), label.letters().getEnvelopeInternal().getWidth() + 4, 1e-9);
  }

  /** Where there is little room across, the parts stand in one line, or in two. */
  @Test
  public void theSameTextIsLaidOutInAllWays() {
    List<List<String>> lines =
        CastLabel.layouts(List.of("K7F3M", "1 Mar 2027", "134 mL"), 5).stream()
            .map(CastLabel::lines)
            .toList();
    assertEquals(
        lines,
        List.of(
            List.of("K7F3M  1 Mar 2027  134 mL"),
            List.of("K7F3M", "1 Mar 2027  134 mL"),
            List.of("K7F3M  1 Mar 2027", "134 mL"),
            List.of("K7F3M", "1 Mar 2027", "134 mL")));
    assertEquals(CastLabel.layouts(List.of("K7F3M"), 5).size(), 1);
  }

  @Test
  public void whatTheTypefaceDoesNotHaveIsNamedAndLeftOut() {
    assertEquals(Lettering.missing("A 中\u00a0B 中"), List.of("中"));
    assertEquals(Lettering.missing("Ödland 5 %"), List.of());
    assertFalse(Lettering.of("中A").isEmpty());
    assertTrue(CastLabel.of(List.of("中"), 5).letters().isEmpty());
    assertTrue(Topology.of(CastLabel.of(List.of("中"), 5).solid()).closed());
  }
}
