package ungula.core.offer;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.Pose;
import ungula.core.offer.StandOffers.Offer;
import ungula.core.orient.Stand;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;

public class StandOffersTest {

  private static final Rotation BACK = Rotation.about(new Vec3(1, 0, 0), -90);

  private static Stand stand(Rotation turn, double h, double rest, double locked, double air) {
    // a block of 600 000 mm³, whichever way it stands
    double side = Math.sqrt(600_000 / h);
    return new Stand(turn, new Vec3(side, side, h), rest, locked, 0, air, 0, 0, true);
  }

  private static final List<Stand> STANDS =
      List.of(
          stand(Rotation.NONE, 150, 900, 9_000, 4_000),
          stand(BACK, 40, 0, 2_000, 300),
          stand(Rotation.about(new Vec3(1, 0, 0), 180), 150, 0, 30_000, 0));

  private static List<Offer> offers(Choices c) {
    return StandOffers.of(STANDS, null, Shapes.box(), c, 100_000);
  }

  @Test
  public void theFewBestAreNamedFromHowItStandsNow() {
    List<Offer> offers = offers(Choices.fresh(Units.METRIC));
    List<String> ways = offers.stream().map(Offer::way).toList();
    assertEquals(ways, List.of("laid on its back", "upside down", "as it stands now"));
    Offer back = offers.get(0);
    assertEquals(
        back.why(),
        "takes the least rubber, has the least rubber under overhangs and stands lowest");
    assertEquals(offers.get(1).why(), "leaves the least air");
    assertTrue(offers.get(2).now());
    assertTrue(offers.get(2).why().contains("of those that stand by themselves"));
    double side = Math.sqrt(600_000 / 40.0) + 24;
    Near.relative(back.figures().get("rubber").value(), side * side * 50 - 100_000, 1e-9);
    assertEquals(back.figures().get("poured").text(), "0.3 mL");
    assertEquals(back.figures().get("cast").text(), "none");
  }

  @Test
  public void rubberFollowsTheWalls() {
    Choices wide =
        ChoiceWords.edit(
            Choices.fresh(Units.METRIC), List.of(Edit.of("mould.sidesMm", "40 mm")), null);
    assertTrue(
        offers(wide).get(0).figures().get("rubber").value()
            > 1.5 * offers(Choices.fresh(Units.METRIC)).get(0).figures().get("rubber").value());
  }

  @Test
  public void whatIsMarkedCleanIsKeptOffThePlate() {
    Choices c = Choices.fresh(Units.METRIC);
    c = ChoiceWords.edit(c, List.of(Edit.of("master.source", "SOLID")), null);
    int top = facing(Vec3.UP);
    c = ChoiceWords.edit(c, List.of(Edit.of("marks.add", "KEEP_CLEAN " + top + "+1")), null);
    Offer upsideDown = offers(c).get(1);
    assertTrue(!upsideDown.why().contains("marked clean"), upsideDown.why());
    assertTrue(offers(c).stream().anyMatch(o -> o.why().contains("keeps what is marked clean")));
  }

  @Test
  public void aMarkedBaseIsStoodOn() {
    Choices c = Choices.fresh(Units.METRIC);
    c = ChoiceWords.edit(c, List.of(Edit.of("master.source", "SOLID")), null);
    int front = facing(new Vec3(0, -1, 0));
    c = ChoiceWords.edit(c, List.of(Edit.of("marks.add", "BASE " + front + "+1")), null);
    Rotation onFront = Rotation.about(new Vec3(1, 0, 0), 90);
    List<Stand> stands =
        List.of(stand(Rotation.NONE, 150, 900, 0, 0), stand(onFront, 160, 800, 100, 900));
    Offer offer =
        StandOffers.of(stands, null, Shapes.box(), c, 100_000).stream()
            .filter(o -> o.why().contains("stands on its flat base"))
            .findFirst()
            .orElseThrow();
    assertEquals(offer.turn(), onFront);
  }

  /** Cast air in mL, and the vents that let it out; held clear of the plate. */
  private static Stand casting(Vec3 castUp, double side, double castMm3, int vents) {
    Rotation turn = Rotation.bringing(castUp.times(-1), Vec3.UP);
    return new Stand(turn, new Vec3(side, 60, 60), 0, 0, 0, 0, castMm3, vents, true);
  }

  /** 3.6 % more rubber for a third of a cast that is air otherwise. */
  @Test
  public void littleMoreRubberForMuchLessAirIsOffered() {
    Stand least = casting(Vec3.UP, 60, 11_400, 3);
    Stand clean = casting(new Vec3(1, 0, 0), 63, 1_000, 1);
    Stand pure = casting(Vec3.UP.times(-1), 130, 0, 0);
    Stand worst = casting(new Vec3(0, 1, 0), 100, 40_000, 7);
    Choices c = Choices.fresh(Units.METRIC);
    List<Offer> offers =
        StandOffers.of(List.of(least, clean, pure, worst), null, Shapes.box(), c, 35_000);
    Offer bargain = offers.stream().filter(o -> o.turn().equals(clean.turn())).findFirst().get();
    assertTrue(bargain.why().contains("little more rubber"), bargain.why());
    assertEquals(bargain.figures().get("vents").text(), "one vent");
    double more =
        bargain.figures().get("rubber").value()
            / offers.stream()
                .mapToDouble(o -> o.figures().get("rubber").value())
                .min()
                .getAsDouble();
    assertTrue(more > 1.03 && more < 1.06, "takes " + more);
    assertEquals(offers.get(0), bargain);
    // where only money counts, what takes the least comes first
    Choices cheap =
        ChoiceWords.edit(
            c,
            List.of(
                Edit.of("weights.finish", "0"),
                Edit.of("weights.time", "0"),
                Edit.of("weights.ease", "0")),
            null);
    assertEquals(
        StandOffers.of(List.of(least, clean, pure, worst), null, Shapes.box(), cheap, 35_000)
            .get(0)
            .turn(),
        least.turn());
  }

  /**
   * Lying on any side, halves are filled as is best for the cavity; a cut mould only turned over.
   */
  @Test
  public void castsAreTakenAsTheMouldLiesBest() {
    Stand over = casting(Vec3.UP, 60, 11_400, 3);
    Stand side = casting(new Vec3(1, 0, 0), 80, 0, 0);
    for (String kind : new String[] {"CUT", "TWO_PART"}) {
      Choices c =
          ChoiceWords.edit(Choices.fresh(Units.METRIC), List.of(Edit.of("mould.kind", kind)), null);
      Offer least =
          StandOffers.of(List.of(over, side), null, Shapes.box(), c, 35_000).stream()
              .filter(o -> o.turn().equals(over.turn()))
              .findFirst()
              .get();
      boolean halves = kind.equals("TWO_PART");
      assertEquals(least.figures().get("cast").text(), halves ? "none" : "11.4 mL", kind);
      assertEquals(least.figures().get("vents").text(), halves ? "no vents" : "3 vents", kind);
    }
  }

  @Test
  public void howItStandsNowIsAlwaysAmongThem() {
    Stand now = stand(Rotation.NONE, 170, 0, 50_000, 9_000);
    List<Stand> others = STANDS.subList(1, 3);
    List<Offer> offers =
        StandOffers.of(others, now, Shapes.box(), Choices.fresh(Units.METRIC), 100_000);
    Offer present = offers.get(offers.size() - 1);
    assertTrue(present.now());
    assertEquals(present.why(), "is best at nothing");
    assertEquals(offers.stream().filter(Offer::now).count(), 1);
    // what was found of the same way more roughly gives place to it
    List<Offer> known =
        StandOffers.of(STANDS, now, Shapes.box(), Choices.fresh(Units.METRIC), 100_000);
    List<Offer> present2 = known.stream().filter(Offer::now).toList();
    assertEquals(present2.size(), 1);
    assertEquals(present2.get(0).figures().get("height").value(), 170.0);
  }

  private static int facing(Vec3 up) {
    for (int t = 0; t < Shapes.box().triangleCount(); t++) {
      Vec3 v = Shapes.box().areaVector(t);
      if (v.dot(up) > 0.99 * v.norm()) {
        return t;
      }
    }
    throw new IllegalStateException();
  }

  private static String way(double x, double y, double z) {
    return StandOffers.way(new Vec3(x, y, z).unit(), new Vec3(80, 60, 40));
  }

  @Test
  public void waysHaveNames() {
    assertEquals(way(0, -1, 0), "laid on its back");
    assertEquals(way(0, 1, 0.1), "laid on its front");
    assertEquals(way(1, 0, 0), "laid on its left side");
    assertEquals(way(-1, 0, 0), "laid on its right side");
    assertEquals(way(0, -0.5, 0.866), "tipped 30° to the back");
    assertEquals(way(-0.5, 0, -0.866), "upside down, tipped 30° to the right");
    assertEquals(way(0.05, 0, -1), "upside down");
    assertEquals(way(0, 0, 1), "turned on the plate");
  }

  /** A tenth higher than wide is the limit. */
  @Test
  public void whatIsLongStandsOnAnEnd() {
    assertEquals(
        StandOffers.way(new Vec3(1, 0, 0), new Vec3(60, 100, 110)), "laid on its left side");
    Vec3 higher = new Vec3(60, 100, 110.1);
    assertEquals(StandOffers.way(new Vec3(1, 0, 0), higher), "stood on its left end");
    assertEquals(StandOffers.way(new Vec3(0, 1, 0), higher), "stood on its front end");
  }

  @Test
  public void aTakenOfferStandsTheMasterSo() {
    Choices c = Choices.fresh(Units.METRIC);
    Choices taken = ChoiceWords.edit(c, List.of(Edit.of("pose.stand", "0.5 -0.5 0.5 0.5")), null);
    assertEquals(taken.pose(), new Pose(new Rotation(0.5, -0.5, 0.5, 0.5), 0));
  }
}
