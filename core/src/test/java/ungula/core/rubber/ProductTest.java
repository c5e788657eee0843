package ungula.core.rubber;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Ratio.Basis;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.table.Csv;

/** Sheets, their ratios and what they leave out. */
public class ProductTest {

  /** A sheet filled in as a user would: word and text in turn. */
  private static Product sheet(String... typed) {
    Product p = ProductWords.blank("Thrift");
    for (int i = 0; i < typed.length; i += 2) {
      p = ProductWords.book().edit(p, List.of(Edit.of(typed[i], typed[i + 1])), Units.METRIC);
    }
    return p;
  }

  @Test
  public void volumeRatiosConvertThereAndBack() {
    Random random = new Random(7);
    for (int i = 0; i < 1000; i++) {
      double rhoA = 0.8 + random.nextDouble();
      double rhoB = 0.8 + random.nextDouble();
      Ratio volume = new Ratio(Basis.VOLUME, 1 + random.nextInt(100), 1 + random.nextInt(100));
      double byWeight = volume.hardenerPerBase(rhoA, rhoB);
      Ratio weight = new Ratio(Basis.WEIGHT, 100, 100 * byWeight);
      Near.relative(weight.hardenerPerBase(rhoA, rhoB), byWeight, 1e-12);
      Near.relative(byWeight * rhoA / rhoB, volume.hardener() / volume.base(), 1e-12);
      assertTrue(RatioGuard.agree(volume, weight, rhoA, rhoB));
      Ratio off = new Ratio(Basis.WEIGHT, 100, 104 * byWeight);
      assertFalse(RatioGuard.agree(volume, off, rhoA, rhoB));
    }
  }

  @DataProvider
  public Object[][] entries() {
    return new Object[][] {
      {"4 % of base", "4 : 1 by weight", true},
      {"4 % of base", "25 : 1 by weight", false},
      {"4 % of base", "5 % of base", false},
      {"4 % of base", "6.1 % of base", true},
      {"4 % of base", "2.6 % of base", true},
      {"100 : 10 by weight", "10 : 1 by weight", false},
      {"100 : 10 by weight", "10 : 10 by weight", true},
      {"100 : 10 by weight", "100 : 14.9 by weight", false},
    };
  }

  @Test(dataProvider = "entries")
  public void entriesAreHeldAgainstTheSheet(String onSheet, String entered, boolean stops) {
    RatioGuard.Verdict v = RatioGuard.check(Ratio.parse(entered), sheet("ratio", onSheet));
    assertEquals(v.stop(), stops, v.words());
    assertTrue(v.words().contains(entered) && v.words().contains(onSheet), v.words());
  }

  @Test
  public void theSentenceIsPlain() {
    assertEquals(Ratio.sentence(0.1), "for every 100 g of base, 10 g of hardener");
    assertEquals(Ratio.sentence(0.04), "for every 100 g of base, 4 g of hardener");
    assertEquals(Ratio.sentence(1.17308), "for every 100 g of base, 117.3 g of hardener");
    assertEquals(Ratio.sentence(0.0125), "for every 100 g of base, 1.25 g of hardener");
  }

  @Test
  public void mixedDensityIsTheSheetsOrAsVolumesAdd() {
    assertNull(sheet("densityBase", "1.1").mixedDensity(0.1));
    Near.absolute(sheet("densityMixed", "1.2").mixedDensity(0.1), 1.2, 0);
    // 100 g at 1.0 and 100 g at 2.0 fill 150 mL
    Near.relative(
        sheet("densityBase", "1", "densityHardener", "2").mixedDensity(1), 200.0 / 150, 1e-12);
  }

  @Test
  public void everyGapNamesWhatCannotBeChecked() {
    assertEquals(ProductWords.blank("x").gaps().size(), 7);
    Product full =
        sheet(
            "ratio",
            "100 : 10 by weight",
            "densityMixed",
            "1.1",
            "potLifeMin",
            "30",
            "demouldMin",
            "6 h",
            "elongationPct",
            "400",
            "shrinkagePct",
            "0.1",
            "heatLimitC",
            "180");
    assertEquals(full.gaps(), List.of());
    Product byVolume =
        ProductWords.book().edit(full, List.of(Edit.of("ratio", "1 : 1 by volume")), Units.METRIC);
    assertEquals(byVolume.gaps().size(), 1);
    assertTrue(byVolume.gaps().get(0).contains("by volume"), byVolume.gaps().toString());
  }

  @Test
  public void theTwoHardnessScalesAreKeptApart() {
    assertEquals(sheet("hardness", "50", "scale", "00").hardnessText(), "00-50");
    assertEquals(sheet("hardness", "50", "scale", "A").hardnessText(), "50 A");
    assertEquals(ProductWords.blank("x").hardnessText(), "hardness not stated");
  }

  @Test
  public void whatWasTypedIsShownAgain() {
    Product p =
        sheet(
            "packs",
            "1 kg at 34, 5 kg at 139",
            "potLifeMin",
            "1 h 30 min",
            "atC",
            "73.4 °F",
            "viscosityPas",
            "15 Pa·s",
            "notes",
            "shake B");
    var words = ProductWords.book().states(p, Units.METRIC);
    assertEquals(words.get("packs").text(), "1 kg at 34, 5 kg at 139");
    assertEquals(words.get("potLifeMin").text(), "90 min");
    assertEquals(words.get("atC").text(), "23 °C");
    assertEquals(words.get("viscosityPas").text(), "15 Pa·s");
    assertEquals(words.get("notes").text(), "shake B");
    assertEquals(words.get("tearKnPerM").text(), "not stated");
  }

  @Test
  public void examplesCoverWhatAShopMeets() {
    var all = ExampleProducts.all().values();
    assertTrue(all.size() >= 16);
    for (Product.Role role : Product.Role.values()) {
      assertTrue(all.stream().anyMatch(p -> p.role() == role), role.text());
    }
    for (Basis b : Basis.values()) {
      assertTrue(all.stream().anyMatch(p -> p.mixedAt() != null && p.mixedAt().basis() == b));
    }
    for (String hardness : List.of("00-30", "45 A")) {
      assertTrue(all.stream().anyMatch(p -> p.hardnessText().equals(hardness)), hardness);
    }
    assertTrue(all.stream().anyMatch(p -> p.catalysts().size() > 1));
    for (Product p : all) {
      assertTrue(!p.contradictsItself() && p.gaps().isEmpty(), p.name() + p.gaps());
    }
  }

  @Test
  public void aSheetIsTheSameOutOfATable() {
    for (Product p : ExampleProducts.all().values()) {
      String csv = Csv.write(List.of(ProductTable.row(p)));
      assertEquals(ProductTable.product(Csv.read(csv).get(0), 1), p);
    }
  }

  @Test
  public void aTableSaysWhereItIsNotUnderstood() {
    for (var e :
        Map.of(
                "name,notes\n,x",
                "Product 1",
                "name,ratio\nA,1 : 1",
                "by weight",
                "name\n\"A",
                "line 2")
            .entrySet()) {
      UnreadableQuantity refused =
          expectThrows(
              UnreadableQuantity.class, () -> ProductTable.product(Csv.read(e.getKey()).get(0), 1));
      assertTrue(refused.getMessage().contains(e.getValue()), refused.getMessage());
    }
  }

  @Test
  public void speedBelongsToTheGradeOfCatalyst() {
    Product slow = ExampleProducts.all().get("gannet-25").with("slow");
    assertEquals(slow.ratio().text(), "3 % of base");
    Near.absolute(slow.potLifeMin(), 120, 0);
    Near.absolute(slow.demouldMin(), 36 * 60, 0);
    assertNull(slow.gelMin(), "the sheet says nothing of it for this grade");
    assertEquals(slow.with("none such"), slow);
  }

  @Test
  public void aLargerMassOfResinGelsSooner() {
    Product resin = ExampleProducts.all().get("oyster-75");
    Near.absolute(resin.potLifeMin(100), 5, 1e-12);
    Near.absolute(resin.potLifeMin(1000), 2.5, 1e-12);
    Near.absolute(resin.potLifeMin(20), 5, 1e-12);
    Product rubber = ExampleProducts.all().get("marram-20");
    Near.absolute(rubber.potLifeMin(5000), 45, 0);
    Product plaster = ExampleProducts.all().get("sanderling");
    String words = RatioGuard.check(Ratio.parse("100 : 60 by weight"), plaster).words();
    assertTrue(words.contains("for every 100 g of powder, 60 g of water"), words);
  }

  @Test
  public void substitutesAreTheNearestOfTheSameRole() {
    Map<String, Product> all = ExampleProducts.all();
    List<Substitutes.Substitute> found = Substitutes.of(all.get("marram-20"), all);
    assertEquals(found.get(0).product(), "samphire-15");
    assertTrue(found.get(0).differences().contains("softer, 15 A"), found.get(0).toString());
    assertTrue(found.stream().allMatch(s -> all.get(s.product()).role() == Product.Role.RUBBER));
    assertTrue(found.stream().noneMatch(s -> s.product().equals("marram-20")));
    assertEquals(Substitutes.of(all.get("sanderling"), all), List.of());
    Near.absolute(all.get("eider-00-50").shoreA(), 1, 1e-12);
  }
}
