package ungula.core.cast;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import ungula.core.Effort;
import ungula.core.Near;
import ungula.core.cast.Production.HeldUp;
import ungula.core.cast.Production.Order;
import ungula.core.cast.Production.Outcome;
import ungula.core.days.Hours;

public class ProductionTest {

  /** One person, 5 minutes to pour, 40 to cure, 3 to open and close. */
  private static Order twenty(int moulds) {
    return new Order(20, moulds, 5, 40, 3, 1, 1, 0, 0, null, 0, null);
  }

  private static Outcome of(Order order) {
    return Production.of(order, null, 0, 1, 200);
  }

  private static Order with(Order o, double scrap, double spread, Integer life, double remake) {
    return new Order(
        o.casts(),
        o.moulds(),
        o.pourMin(),
        o.cureMin(),
        o.demouldMin(),
        o.people(),
        o.perMix(),
        scrap,
        spread,
        life,
        remake,
        o.potHolds());
  }

  @Test
  public void twentyCastsByOnePerson() {
    double[] minutes = {960, 488, 344, 264, 224, 200, 192, 184};
    for (int moulds = 1; moulds <= 8; moulds++) {
      Outcome o = of(twenty(moulds));
      Near.absolute(o.medianMin(), minutes[moulds - 1], 1e-9);
      Near.absolute(o.p90Min(), minutes[moulds - 1], 1e-9);
      assertEquals(o.perMould().stream().mapToInt(i -> i).sum(), 20);
      assertEquals(o.perMould().size(), moulds);
      assertEquals(o.made().size(), 20);
    }
  }

  @Test
  public void whatHoldsItUp() {
    assertEquals(of(twenty(1)).heldUpBy(), HeldUp.MOULDS);
    assertEquals(of(twenty(8)).heldUpBy(), HeldUp.HANDS);
    Order pot = new Order(20, 4, 5, 40, 3, 1, 1, 0, 0, null, 0, 1);
    assertEquals(of(pot).heldUpBy(), HeldUp.POT);
    // one after the other: the pot holds one, however many moulds there are
    Near.absolute(of(pot).medianMin(), 20 * 48, 1e-9);
    assertEquals(
        of(new Order(1, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null)).heldUpBy(), HeldUp.NOTHING);
  }

  @Test
  public void aMixFillsSeveralMoulds() {
    // two at a time: pour 5, cure 40, open one, open the other
    Order o = new Order(4, 2, 5, 40, 3, 1, 2, 0, 0, null, 0, null);
    // the second is opened at 51, after the first is filled again at 53: 53 to 56
    Near.absolute(of(o).medianMin(), 56 + 5 + 40 + 3, 1e-9);
  }

  @Test
  public void aWornMouldIsMadeAgain() {
    Order o = with(new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null), 0, 0, 2, 1000);
    Near.absolute(of(o).medianMin(), 4 * 48 + 1000, 1e-9);
    assertEquals(of(o).perMould(), List.of(4));
  }

  /** From eight to twelve, on weekdays. */
  private static Hours.Calendar mornings() {
    Map<DayOfWeek, List<Hours.Span>> week = new java.util.EnumMap<>(DayOfWeek.class);
    for (DayOfWeek d : DayOfWeek.values()) {
      if (d.compareTo(DayOfWeek.SATURDAY) < 0) {
        week.put(d, List.of(new Hours.Span(LocalTime.of(8, 0), LocalTime.of(12, 0))));
      }
    }
    return new Hours.Calendar(ZoneId.of("Europe/Berlin"), week, Map.of(), Set.of());
  }

  private static long second(String local) {
    return LocalDateTime.parse(local).atZone(ZoneId.of("Europe/Berlin")).toEpochSecond();
  }

  @Test
  public void handsWorkInTheirHoursAndCastsCureOutOfThem() {
    Order o = new Order(6, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null);
    // five until 12:00, the sixth is poured on Friday at 8:00
    Outcome made = Production.of(o, mornings(), second("2027-03-04T08:00"), 1, 1);
    Near.absolute(made.medianMin(), 24 * 60 + 48, 1e-9);
    Near.absolute(made.made().get(4).medianMin(), 240, 1e-9);
    // over the weekend, on which summer time begins
    Outcome spring = Production.of(o, mornings(), second("2027-03-26T08:00"), 1, 1);
    Near.absolute(spring.medianMin(), 3 * 24 * 60 - 60 + 48, 1e-9);
    // poured at 11:50, it is opened the next morning
    Order one = new Order(1, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null);
    Near.absolute(
        Production.of(one, mornings(), second("2027-03-04T11:50"), 1, 1).medianMin(),
        20 * 60 + 10 + 3,
        1e-9);
    assertThrows(
        IllegalArgumentException.class,
        () ->
            Production.of(
                new Order(1, 1, 300, 40, 3, 1, 1, 0, 0, null, 0, null), mornings(), 0, 1, 1));
  }

  private static Order any(Random chance) {
    return new Order(
        1 + chance.nextInt(40),
        1 + chance.nextInt(6),
        1 + chance.nextInt(20),
        5 + chance.nextInt(120),
        1 + chance.nextInt(10),
        1 + chance.nextInt(3),
        1 + chance.nextInt(3),
        chance.nextDouble() * 0.3,
        chance.nextDouble() * 0.6,
        chance.nextBoolean() ? null : 2 + chance.nextInt(10),
        chance.nextInt(500),
        chance.nextBoolean() ? null : 1 + chance.nextInt(4));
  }

  private static Order warm(Order o, double cureMin) {
    return new Order(
        o.casts(),
        o.moulds(),
        o.pourMin(),
        o.cureMin(),
        o.demouldMin(),
        o.people(),
        o.perMix(),
        o.scrap(),
        o.spread(),
        o.mouldLife(),
        o.remakeMin(),
        o.potHolds(),
        o.worn(),
        cureMin);
  }

  /** The first out of a cold mould, the others out of a warm one; not after a night. */
  @Test
  public void aMouldThatIsWarmGivesACastSooner() {
    Order one = warm(new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null), 25);
    assertEquals(Production.of(one, null, 0, 1, 1).medianMin(), 48 + 3 * (5 + 25 + 3.0));
    Order renewed = warm(new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, 2, 100, null), 25);
    assertEquals(Production.of(renewed, null, 0, 1, 1).medianMin(), 2 * (48 + 33.0) + 100);
    // three in a morning of two hours, cold again the next day
    Order days = warm(new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, null, 0, null), 30);
    Hours.Calendar mornings = mornings();
    double cold =
        Production.of(warm(one, 40), mornings, second("2027-03-04T08:00"), 1, 1).medianMin();
    double warm = Production.of(days, mornings, second("2027-03-04T08:00"), 1, 1).medianMin();
    assertTrue(warm <= cold, warm + " " + cold);
    assertThrows(IllegalArgumentException.class, () -> warm(one, 41));
    Random chance = new Random(4);
    for (int i = 0; i < 40; i++) {
      Order any = any(chance);
      Order its = warm(any, any.cureMin() * (0.3 + 0.7 * chance.nextDouble()));
      long seed = chance.nextLong();
      Outcome now = Production.of(its, null, 0, seed, 40);
      Outcome more = Production.of(its.withMoulds(its.moulds() + 1), null, 0, seed, 40);
      assertTrue(more.medianMin() <= now.medianMin() + 1e-6, "more moulds " + its);
    }
  }

  /** No more moulds, less scrap or fewer casts come later. */
  @Test
  public void moreMouldsAreNeverLaterAndMoreScrapNeverEarlier() {
    Random chance = new Random(8);
    for (int i = 0; i < 80; i++) {
      Order o = any(chance);
      long seed = chance.nextLong();
      Hours.Calendar when = chance.nextInt(4) == 0 ? mornings() : null;
      long start = second("2027-03-04T08:00");
      Outcome now = Production.of(o, when, start, seed, 100);
      Outcome more = Production.of(o.withMoulds(o.moulds() + 1), when, start, seed, 100);
      String what = o + " seed " + seed;
      assertTrue(more.medianMin() <= now.medianMin() + 1e-6, "more moulds " + what);
      assertTrue(more.p90Min() <= now.p90Min() + 1e-6, "more moulds " + what);
      Order worse =
          with(o, Math.min(0.9, o.scrap() + 0.03), o.spread(), o.mouldLife(), o.remakeMin());
      Outcome scrap = Production.of(worse, when, start, seed, 100);
      assertTrue(scrap.medianMin() >= now.medianMin() - 1e-6, "more scrap " + what);
      assertTrue(now.p90Min() >= now.medianMin());
      assertEquals(Production.of(o, when, start, seed, 100), now, "a seed is a course");
    }
  }

  @Test
  public void chanceSpreadsAsItIsToldTo() {
    Order one = new Order(1, 1, 5, 40, 3, 1, 1, 0, 0.3, null, 0, null);
    Outcome o = Production.of(one, null, 0, 3, 4000);
    Near.absolute(o.medianMin(), 48, 1);
    // the cure dominates: 40 min × (e^(1.2816 σ) − 1) more nine times of ten
    double sigma = Math.sqrt(Math.log(1.09));
    Near.absolute(o.p90Min() - o.medianMin(), 40 * (Math.exp(1.2816 * sigma) - 1), 1.5);
    Outcome scrap = Production.of(with(twenty(1), 0.2, 0, null, 0), null, 0, 3, 2000);
    double mean = 0;
    for (int casts : scrap.perMould()) {
      mean += casts;
    }
    // twenty good ones take twenty-five
    Near.absolute(scrap.medianMin(), 25 * 48, 48);
    Near.absolute(mean, 25, 1);
  }

  @Test
  public void howItGoesOnIsShownWithItsSpread() {
    Outcome o = Production.of(with(twenty(2), 0.1, 0.3, null, 0), null, 0, 3, 100);
    for (int i = 0; i < 20; i++) {
      Production.Point p = o.made().get(i);
      assertEquals(p.casts(), i + 1);
      assertTrue(p.p10Min() <= p.medianMin() && p.medianMin() <= p.p90Min());
      assertTrue(i == 0 || p.medianMin() >= o.made().get(i - 1).medianMin());
    }
    assertEquals(o.made().get(19).medianMin(), o.medianMin());
    assertEquals(o.made().get(19).p90Min(), o.p90Min());
    Order many = new Order(500, 2, 5, 40, 3, 1, 1, 0, 0, null, 0, null);
    List<Production.Point> some = of(many).made();
    assertEquals(some.size(), 60);
    assertEquals(some.get(59).casts(), 500);
  }

  @Test
  public void twoThousandCastsTwoHundredTimesTakeASecond() {
    Order o = with(new Order(2000, 4, 5, 40, 3, 2, 1, 0, 0, null, 0, null), 0.05, 0.2, 60, 1440);
    Production.of(o, null, 0, 1, 20);
    Effort<Outcome> all =
        Effort.of(() -> Production.of(o, mornings(), second("2027-03-04T08:00"), 1, 200));
    // one on a quiet computer, once it is compiled
    assertTrue(all.seconds() < 5, "took " + all.seconds() + " s");
  }

  /** One pour, forty in the mould, three to open: as it is said hour by hour. */
  @Test
  public void whatIsDoneWhenIsSaid() {
    Order two = new Order(3, 2, 5, 40, 3, 1, 1, 0.3, 0.5, null, 0, null);
    List<Production.Deed> deeds = Production.steps(two, null, 0);
    assertEquals(
        deeds,
        List.of(
            new Production.Deed(0, true, List.of(1)),
            new Production.Deed(5, true, List.of(2)),
            new Production.Deed(45, false, List.of(1)),
            new Production.Deed(48, true, List.of(1)),
            new Production.Deed(53, false, List.of(2)),
            new Production.Deed(93, false, List.of(1))));
    Order both = new Order(2, 2, 5, 40, 3, 1, 2, 0, 0, null, 0, null);
    assertEquals(Production.steps(both, null, 0).get(0).moulds(), List.of(1, 2));
  }

  /** A mould that gave before is worn out sooner, and one that is worn out waits for the next. */
  @Test
  public void whatAMouldGaveBeforeCounts() {
    Order fresh = new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, 4, 100, null, List.of(), null);
    Order half = new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, 4, 100, null, List.of(2), null);
    Order worn = new Order(4, 1, 5, 40, 3, 1, 1, 0, 0, 4, 100, null, List.of(4), null);
    double none = Production.of(fresh, null, 0, 1, 1).medianMin();
    assertEquals(none, 4 * 48.0);
    assertEquals(Production.of(half, null, 0, 1, 1).medianMin(), none + 100);
    assertEquals(Production.of(worn, null, 0, 1, 1).medianMin(), none + 100);
    assertEquals(Production.steps(worn, null, 0).get(0).atMin(), 100.0);
  }
}
