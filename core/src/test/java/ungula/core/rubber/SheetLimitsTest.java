package ungula.core.rubber;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.rubber.SecondPart.State;

/** Where the rules of sheets, ratios and purchases turn over: just on a limit, and just past it. */
public class SheetLimitsTest {

  /** A rubber of 20 A, 40 min, 400 %, 100 : 10, opaque, with more said or said otherwise. */
  private static Product rubber(String... more) {
    Map<String, String> row = new LinkedHashMap<>();
    row.put("name", "rubber");
    row.put("role", "mould rubber");
    row.put("chemistry", "addition-cure silicone");
    row.put("hardness", "20");
    row.put("densityBase", "1.08");
    row.put("densityHardener", "1.08");
    row.put("ratio", "100 : 10 by weight");
    row.put("potLifeMin", "40 min");
    row.put("elongationPct", "400");
    for (int i = 0; i < more.length; i += 2) {
      row.put(more[i], more[i + 1]);
    }
    return ProductTable.product(row, 1);
  }

  /** Acceptance: rubber 0.3 %, resin 0.4 %; a 180 mm side loses 1.26 mm. */
  @Test
  public void shrinkagesMultiply() {
    Shrinkage both = new Shrinkage(0.3, 0.4);
    Near.absolute(both.factor(), 0.997 * 0.996, 1e-12);
    Near.absolute(both.scaleUp(), 1.00704, 5e-6);
    Near.absolute(both.lostMm(180), 1.26, 0.005);
    Near.absolute(new Shrinkage(0, -0.5).factor(), 1.005, 1e-12);
    Near.absolute(new Shrinkage(1, 0).lostMm(100), 1, 1e-12);
  }

  private static State second(boolean base, double first, Double second) {
    return part(base, first, second).state();
  }

  private static SecondPart part(boolean base, double first, Double second) {
    return SecondPart.of(
        base, first, second, 0.1, Mix.TOLERANCE, Product.Role.RUBBER, Units.METRIC);
  }

  @Test
  public void twoPercentOffIsRightAndMoreIsNot() {
    Near.absolute(part(true, 1240, null).targetG(), 124, 1e-9);
    Near.absolute(part(false, 118, null).targetG(), 1180, 1e-9);
    assertEquals(second(true, 1000, 101.999), State.RIGHT);
    assertEquals(second(true, 1000, 102.001), State.OVER);
    assertEquals(second(true, 1000, 98.001), State.RIGHT);
    assertEquals(second(true, 1000, 97.999), State.UNDER);
    assertTrue(part(true, 1000, 90.0).words().contains("10.0 g more of hardener"));
    assertTrue(part(true, 1000, 110.0).words().contains("100.0 g of base"));
    assertTrue(part(false, 100, 1200.0).words().contains("20.0 g of hardener"));
  }

  @Test
  public void aRatioHalfAgainOffTheSheetStops() {
    Product p = rubber();
    assertFalse(RatioGuard.check(Ratio.parse("100 : 15 by weight"), p).stop());
    assertTrue(RatioGuard.check(Ratio.parse("100 : 15.1 by weight"), p).stop());
    assertTrue(RatioGuard.check(Ratio.parse("100 : 6.6 by weight"), p).stop());
    assertFalse(RatioGuard.check(Ratio.parse("100 : 6.7 by weight"), p).stop());
  }

  @Test
  public void twoRatiosOfASheetAgreeWithinThreePercent() {
    Ratio weight = Ratio.parse("100 : 100 by weight");
    assertTrue(RatioGuard.agree(weight, Ratio.parse("100 : 97.1 by weight"), 1, 1));
    assertFalse(RatioGuard.agree(weight, Ratio.parse("100 : 97 by weight"), 1, 1));
    assertTrue(RatioGuard.agree(weight, Ratio.parse("1 : 1 by volume"), 1.0299, 1));
    assertFalse(RatioGuard.agree(weight, Ratio.parse("1 : 1 by volume"), 1.04, 1));
  }

  @Test
  public void smallGramsOfASentenceKeepTwoDigits() {
    assertEquals(Ratio.sentence(0.04), "for every 100 g of base, 4 g of hardener");
    assertEquals(Ratio.sentence(0.0425), "for every 100 g of base, 4.25 g of hardener");
    assertEquals(Ratio.sentence(0.09996), "for every 100 g of base, 10 g of hardener");
    assertEquals(Ratio.sentence(0.1), "for every 100 g of base, 10 g of hardener");
    assertEquals(Ratio.sentence(0.10123), "for every 100 g of base, 10.1 g of hardener");
    assertEquals(Ratio.parse("1 : 2.125 by volume").text(), "1 : 2.125 by volume");
  }

  @Test
  public void partsHaveVolumesAsFarAsTheirDensitiesAreKnown() {
    Product p = rubber("densityBase", "1.04", "densityHardener", "1.22");
    Mix mix = Mix.ofBase(104, p, p.ratio(), List.of());
    Near.absolute(mix.baseMm3(), 100_000, 1e-6);
    Near.absolute(mix.hardenerMm3(), 10_400 / 1.22, 1e-6);
    Product bare = rubber("densityBase", "", "densityHardener", "", "densityMixed", "1.1");
    Mix unknown = Mix.ofBase(100, bare, bare.ratio(), List.of());
    assertNull(unknown.baseMm3());
    assertNull(unknown.hardenerMm3());
    Near.absolute(unknown.volumeMm3(), 100_000, 1e-6);
  }

  @Test
  public void scalesOfHardnessMeetWhereTheHandbookSays() {
    Near.absolute(rubber("hardness", "30").shoreA(), 30, 0);
    Near.absolute(rubber("hardness", "50", "scale", "00").shoreA(), 1, 1e-12);
    Near.absolute(rubber("hardness", "30", "scale", "00").shoreA(), -4, 1e-12);
    Near.absolute(rubber("hardness", "40", "scale", "D").shoreA(), 80, 1e-12);
  }

  private static List<String> differences(Product wanted, Product other) {
    return Substitutes.of(wanted, Map.of("o", other)).get(0).differences();
  }

  private static double distance(Product wanted, Product other) {
    return Substitutes.of(wanted, Map.of("o", other)).get(0).distance();
  }

  @Test
  public void substitutesAreNearByWhatMattersAndSayHowTheyDiffer() {
    Product p = rubber();
    assertEquals(differences(p, rubber("name", "other")), List.of());
    assertEquals(distance(p, rubber("name", "other")), 0.0);
    assertEquals(differences(p, rubber("hardness", "21")), List.of("harder, 21 A"));
    assertEquals(differences(p, rubber("hardness", "17")), List.of("softer, 17 A"));
    assertEquals(distance(p, rubber("hardness", "17")), 3.0);
    assertEquals(differences(p, rubber("hardness", "20.5")), List.of());
    Product unstated = rubber("name", "b", "hardness", "", "potLifeMin", "", "elongationPct", "");
    assertEquals(distance(p, unstated), 0.0);
    assertEquals(differences(p, unstated), List.of());
    Product condensation = rubber("chemistry", "condensation-cure silicone");
    assertEquals(distance(p, condensation), 15.0);
    assertEquals(differences(p, condensation), List.of("condensation-cure silicone"));
    // a quarter more is told, twice as long counts like eight points
    assertEquals(differences(p, rubber("potLifeMin", "50 min")), List.of());
    assertEquals(differences(p, rubber("potLifeMin", "51 min")), List.of("pot life 51 min"));
    assertEquals(differences(p, rubber("potLifeMin", "31 min")), List.of("pot life 31 min"));
    Near.absolute(distance(p, rubber("potLifeMin", "80 min")), 8, 1e-9);
    Near.absolute(distance(p, rubber("potLifeMin", "20 min")), 8, 1e-9);
    assertEquals(differences(p, rubber("elongationPct", "600")), List.of("stretches 600 %"));
    Near.absolute(distance(p, rubber("elongationPct", "800")), 8, 1e-9);
    Near.absolute(distance(p, rubber("clear", "clear")), 2, 1e-9);
    assertEquals(differences(p, rubber("clear", "clear")).size(), 1);
  }

  @Test
  public void whatIsTooFarOffIsNoSubstitute() {
    Product p = rubber();
    assertEquals(Substitutes.of(p, Map.of("o", rubber("hardness", "60"))).size(), 1);
    assertEquals(Substitutes.of(p, Map.of("o", rubber("hardness", "61"))).size(), 0);
    assertEquals(Substitutes.of(p, Map.of("o", p)).size(), 0, "itself");
    Map<String, Product> two = new LinkedHashMap<>();
    two.put("far", rubber("hardness", "30"));
    two.put("near", rubber("hardness", "22"));
    assertEquals(Substitutes.of(p, two).get(0).product(), "near");
  }

  @Test
  public void resinsGelSoonerByTheTenfoldAndNoLaterBelowTheSheetsMass() {
    Product resin =
        ProductTable.product(
            Map.of("name", "resin", "role", "casting resin", "potLifeMin", "20 min"), 1);
    Near.absolute(resin.potLifeMin(100), 20, 1e-9);
    Near.absolute(resin.potLifeMin(50), 20, 1e-9);
    Near.absolute(resin.potLifeMin(1000), 10, 1e-9);
    Near.absolute(resin.potLifeMin(10_000), 5, 1e-9);
    Near.absolute(rubber().potLifeMin(10_000), 40, 1e-9);
    Product slow =
        ProductTable.product(
            Map.of(
                "name", "r", "role", "casting resin", "potLifeMin", "20 min", "massFactor", "0.8"),
            1);
    Near.absolute(slow.potLifeMin(1000), 16, 1e-9);
  }

  @Test
  public void densitiesMixByVolumeUnlessTheSheetSaysMore() {
    Product p = rubber("densityBase", "1.04", "densityHardener", "1.22");
    // 1 : 1 by volume: 600 mL of 312 g + 366 g
    Near.absolute(p.mixedDensity(366.0 / 312), 1.13, 1e-9);
    assertNull(rubber("densityHardener", "").mixedDensity(0.1));
    assertNull(rubber("densityBase", "").mixedDensity(0.1));
    Near.absolute(rubber("densityMixed", "1.2").mixedDensity(0.1), 1.2, 0);
    // missing densities count as equal: the ratio by volume is that by weight
    Ratio volume = Ratio.parse("100 : 10 by volume");
    Near.absolute(rubber("densityHardener", "").hardenerPerBase(volume), 0.1, 1e-12);
    Near.absolute(p.hardenerPerBase(volume), 0.122 / 1.04, 1e-12);
  }

  @Test
  public void aPigmentIsLimitedByTheTrade() {
    Product p = rubber("thickenPct", "3", "thinPct", "10", "fillPct", "30");
    assertEquals(additive(Additive.Kind.PIGMENT, 1.0).mostPct(p), 5.0);
    assertEquals(additive(Additive.Kind.THICKENER, 1.0).mostPct(p), 3.0);
    assertEquals(additive(Additive.Kind.THINNER, 1.0).mostPct(p), 10.0);
    assertEquals(additive(Additive.Kind.FILLER, 1.0).mostPct(p), 30.0);
    assertFalse(additive(Additive.Kind.PIGMENT, 0.0).used());
    assertTrue(additive(Additive.Kind.PIGMENT, 0.01).used());
    assertFalse(Additive.NONE.used());
  }

  private static Additive additive(Additive.Kind kind, double pct) {
    return new Additive("a", kind, pct, Additive.Of.BASE, null);
  }

  @Test
  public void packsJustCoverAndOnesUnderAGramAreLeftOut() {
    List<Pack> packs = List.of(new Pack(1000, 34), new Pack(5000, 139));
    assertEquals(Purchase.cheapest(1000, packs).orElseThrow().text(), "1 kg");
    assertEquals(Purchase.cheapest(1000.5, packs).orElseThrow().text(), "2 × 1 kg");
    assertTrue(Purchase.cheapest(10, List.of(new Pack(0.9, 1))).isEmpty());
    assertEquals(
        Purchase.cheapest(3, List.of(new Pack(1, 1))).orElseThrow().text(), "3 × 0.001 kg");
    // of the same price the lighter, which leaves less over
    List<Pack> same = List.of(new Pack(2000, 40), new Pack(1500, 40));
    assertEquals(Purchase.cheapest(1400, same).orElseThrow().leftG(), 100.0);
    assertEquals(Purchase.cheapest(0, packs).orElseThrow().packs().size(), 0);
    // beyond what is looked at pack by pack, the bulk comes in the cheapest by the gram
    Purchase much = Purchase.cheapest(1_000_000, packs).orElseThrow();
    assertEquals(much.text(), "200 × 5 kg");
    assertEquals(much.leftG(), 0.0);
    assertEquals(Purchase.cheapest(400_000, packs).orElseThrow().text(), "80 × 5 kg");
  }

  @Test
  public void largerPacksAreOfferedUpToTheShareAndNotPastIt() {
    List<Pack> packs = List.of(new Pack(1000, 50), new Pack(2000, 110));
    Purchase two = Purchase.cheapest(2000, packs).orElseThrow();
    assertEquals(two.text(), "2 × 1 kg");
    assertTrue(two.inLargerPacks(2000, packs, 0.1).isPresent(), "110 for 100 is a tenth more");
    assertTrue(two.inLargerPacks(2000, packs, 0.09).isEmpty());
    assertTrue(two.inLargerPacks(2000, packs.subList(0, 1), 1).isEmpty());
  }
}
