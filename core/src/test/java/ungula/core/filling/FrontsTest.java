package ungula.core.filling;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.filling.Passages.Section;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Extrusion;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.sprue.Sprue.Resin;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

public class FrontsTest {

  private static final Resin RESIN = new Resin(0.5, 5, 1.1);

  private static Passages passages(TriangleMesh mesh, Opening from) {
    double h = Math.max(0.125, Math.cbrt(mesh.bounds().volume() / 6_000_000));
    return Passages.of(Room.cavity(mesh, h, Parallel.ALL, Progress.NONE), from, Parallel.ALL);
  }

  private static double volume(Passages p) {
    return p.sections().stream().mapToDouble(Section::volumeMm3).sum();
  }

  /** Full as soon as poured, and pressed on from so high above its top. */
  private static Fronts full(TriangleMesh mesh, Passages passages, double overMm, Resin resin) {
    return poured(mesh, passages, overMm, resin, 1e12);
  }

  private static Fronts poured(
      TriangleMesh mesh, Passages passages, double overMm, Resin resin, double mm3PerS) {
    FillCurve curve = FillCurve.of(mesh, Levels.COUNT + 1);
    AirTraps.Result none =
        AirTraps.of(
            Room.cavity(mesh, 1, Parallel.ALL, Progress.NONE), List.of(Opening.WHOLE_TOP), Vec3.UP);
    Flow hand = Flow.open(mm3PerS);
    Filling filling =
        Filling.of(
            Levels.of(Vec3.UP, curve.bottomMm(), curve.topMm(), curve::below, none),
            List.of(),
            hand);
    return Fronts.of(passages, filling, curve.topMm() + overMm, resin);
  }

  /** µ L² ÷ (2 k p) while it stays as thin as it was mixed. */
  private static double creepsS(double lengthMm, double k, double pa) {
    return RESIN.viscosityPas() * lengthMm * lengthMm / (2 * k * pa);
  }

  private static double pa(double mm) {
    return 9.81 * RESIN.density() * mm;
  }

  /** A tube lying level, round and 4 mm wide: k = r² ÷ 8. */
  @Test
  public void aTubeFillsAsHagenAndPoiseuilleSay() {
    TriangleMesh upright =
        Tessellation.turned(new double[][] {{0, 0}, {2, 0}, {2, 90}, {0, 90}}, 48);
    TriangleMesh lying = upright.moved(1, Rotation.about(new Vec3(0, 1, 0), 90), new Vec3(0, 0, 2));
    Vec3 mouth = new Vec3(0, 0, 2);
    Passages tube = passages(lying, Opening.at(mouth));
    Near.relative(volume(tube), lying.measure().volumeMm3(), 0.02);
    Fronts fronts = full(lying, tube, 500, RESIN);
    double said = creepsS(90, 4 / 8.0, pa(502));
    double worst = Math.log(1 / (1 - said * Math.log(Flow.THICKER) / 300)) * 300 / Math.log(10);
    Near.relative(fronts.last().thickeningS(), worst, 0.12);
    // a slit as wide would be quicker by 8 ÷ 3
    Near.relative(fronts.last().freshS(), said * 3 / 8, 0.12);
    assertTrue(Math.abs(fronts.last().place().x()) > 85);
    assertTrue(fronts.late().isEmpty());
  }

  /** Between two plates 2 mm apart, from a whole edge: k = w² ÷ 12; turned askew it is the same. */
  @Test
  public void aPlateFillsAsASlitDoes() {
    TriangleMesh plate = Extrusion.prism(new double[] {0, 0, 40, 0, 40, 2, 0, 2}, 60);
    for (double turn : new double[] {0, 33}) {
      TriangleMesh mesh = plate.moved(1, Rotation.about(Vec3.UP, turn), Vec3.ZERO);
      Fronts fronts = full(mesh, passages(mesh, Opening.WHOLE_BASE), 1_000, RESIN);
      // the head falls from the base to the top by 6 % of itself
      double fastest = creepsS(60, 4 / 12.0, pa(1_060));
      double slowest = creepsS(60, 4 / 12.0, pa(1_000));
      assertTrue(fronts.last().freshS() > 0.9 * fastest, fronts.last() + " of " + fastest);
      assertTrue(fronts.last().freshS() < 1.1 * slowest, fronts.last() + " of " + slowest);
      assertTrue(fronts.last().thickeningS() > 8 / 3.0 * fronts.last().freshS());
    }
  }

  /** A body, and from its foot an arm 1 mm thin with a hand at its end, lying level. */
  private static TriangleMesh armed(double thinMm) {
    double t = 3 + thinMm;
    double[] ring = {
      0, 0, 20, 0, 20, 3, 60, 3, 60, 0, 80, 0, 80, 20, 60, 20, 60, t, 20, t, 20, 60, 0, 60
    };
    return Extrusion.prism(ring, 20).moved(1, Rotation.about(new Vec3(1, 0, 0), 90), Vec3.ZERO);
  }

  /** All that is in the hand passes the arm: a tube's length squared would say far too little. */
  @Test
  public void aHandBehindAThinArmGelsBeforeItIsFull() {
    TriangleMesh mesh = armed(1);
    Vec3 mouth = new Vec3(10, -10, 60);
    Passages ways = passages(mesh, Opening.at(mouth));
    Fronts fronts = full(mesh, ways, 40, RESIN);
    assertEquals(fronts.late().size(), 1, fronts.late().toString());
    Fronts.Late hand = fronts.late().get(0);
    Near.absolute(hand.acrossMm(), 1, 0.1);
    assertTrue(hand.end().place().x() > 70, hand.toString());
    assertEquals(hand.end().thickeningS(), Double.POSITIVE_INFINITY);
    // arm: V L ÷ (k A p) with k = w² ÷ 12, for what is in the hand once it stands over the arm
    double at = RESIN.viscosityPas() * (8_000 * 40) / (1 / 12.0 * 20) / pa(100 - 10);
    assertEquals(hand.surely(), at > 300, "about " + at);
    Near.relative(hand.end().freshS(), at, 0.35);
    Fronts thinner = full(mesh, ways, 40, new Resin(0.05, 5, 1.1));
    assertTrue(thinner.late().isEmpty());
    assertTrue(thinner.last().thickeningS() < 300);
    assertTrue(thinner.last().thickeningS() > thinner.last().freshS());
  }

  /**
   * A wider arm is quicker, thicker resin is slower, and nothing is reached before it is poured.
   */
  @Test
  public void widerIsQuickerAndThickerIsSlower() {
    Vec3 mouth = new Vec3(10, -10, 60);
    double before = Double.POSITIVE_INFINITY;
    for (double mm : new double[] {2, 3, 4.5}) {
      TriangleMesh mesh = armed(mm);
      Passages ways = passages(mesh, Opening.at(mouth));
      double now = full(mesh, ways, 40, RESIN).last().thickeningS();
      assertTrue(now < before, mm + " mm: " + now);
      assertTrue(full(mesh, ways, 40, new Resin(0.6, 5, 1.1)).last().thickeningS() > now);
      before = now;
    }
  }

  @Test
  public void sectionsFollowWhatIsNearerAndFillTheCavity() {
    TriangleMesh mesh = armed(3);
    Passages ways = passages(mesh, Opening.at(new Vec3(10, -10, 60)));
    Near.relative(volume(ways), mesh.measure().volumeMm3(), 0.01);
    for (int i = 0; i < ways.sections().size(); i++) {
      int before = ways.sections().get(i).before();
      assertTrue(before < i);
      assertEquals(before < 0, i == 0);
      assertFalse(ways.sections().get(i).volumeMm3() <= 0);
    }
  }
}
