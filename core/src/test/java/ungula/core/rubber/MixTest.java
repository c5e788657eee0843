package ungula.core.rubber;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.quantity.Units;
import ungula.core.rubber.Additive.Of;
import ungula.core.rubber.SecondPart.State;
import ungula.core.sentence.WordBook.Edit;

/** Mixes by mass balance: what goes in is what comes out. */
public class MixTest {

  private static final Product SAMPHIRE = ExampleProducts.all().get("samphire-15");
  private static final Product DULSE = ExampleProducts.all().get("dulse-30");

  @Test
  public void massesAndVolumesBalanceForAnyMix() {
    Random random = new Random(11);
    for (int i = 0; i < 500; i++) {
      Product p = i % 2 == 0 ? SAMPHIRE : DULSE;
      Of of = Of.values()[random.nextInt(Of.values().length)];
      double dose = random.nextDouble() * 30;
      Additive additive =
          new Additive("pigment", Additive.Kind.PIGMENT, dose, of, 0.5 + random.nextDouble());
      double volume = 1000 + random.nextInt(5_000_000);
      Mix mix = Mix.ofVolume(volume, p, p.ratio(), List.of(additive));
      Near.relative(mix.volumeMm3(), volume, 1e-9);
      double share =
          switch (of) {
            case BASE -> mix.additiveG() / mix.baseG();
            case HARDENER -> mix.additiveG() / mix.hardenerG();
            case BASE_AND_HARDENER -> mix.additiveG() / (mix.baseG() + mix.hardenerG());
            case TOTAL -> mix.additiveG() / mix.totalG();
          };
      Near.absolute(100 * share, dose, 1e-9);
      Near.relative(mix.hardenerG() / mix.baseG(), p.hardenerPerBase(p.ratio()), 1e-12);
      Mix same = Mix.ofMass(mix.totalG(), p, p.ratio(), List.of(additive));
      Near.relative(same.volumeMm3(), volume, 1e-9);
    }
  }

  @Test
  public void microspheresLightenAsTheFiguresSay() {
    // A 50 g (1.05), B 50 g (1.12), 12 % of A+B at 0.20: 112 g, 152.3 mL, 0.736
    Product resin =
        ProductTable.product(
            Map.of(
                "name",
                "resin",
                "role",
                "casting resin",
                "densityBase",
                "1.05",
                "densityHardener",
                "1.12",
                "ratio",
                "1 : 1 by weight"),
            1);
    Mix mix =
        Mix.ofBase(
            50,
            resin,
            resin.ratio(),
            List.of(
                new Additive("spheres", Additive.Kind.FILLER, 12.0, Of.BASE_AND_HARDENER, 0.2)));
    Near.absolute(mix.totalG(), 112, 1e-9);
    Near.absolute(mix.volumeMm3() / 1000, 152.3, 0.05);
    Near.absolute(mix.density(), 0.736, 0.0005);
  }

  @Test
  public void theSheetsMixedDensityWinsOverAdding() {
    Product gannet = ExampleProducts.all().get("gannet-25");
    Mix mix = Mix.ofVolume(100_000, gannet, gannet.ratio(), List.of());
    Near.absolute(mix.totalG(), 116, 1e-9);
    Near.relative(mix.baseMm3(), 1000 * mix.baseG() / 1.17, 1e-12);
  }

  @Test
  public void aSheetThatContradictsItselfIsFound() {
    assertFalse(SAMPHIRE.contradictsItself());
    Product wrong =
        ProductWords.book()
            .edit(SAMPHIRE, List.of(Edit.of("ratioAlso", "117.3 : 100 by weight")), Units.METRIC);
    assertTrue(wrong.contradictsItself());
  }

  @Test
  public void theSecondPartSaysWhatIsStillPossible() {
    assertEquals(
        SecondPart.of(true, 1240, 125.0, 0.1, 0.02, Product.Role.RUBBER, Units.METRIC).state(),
        State.RIGHT);
    SecondPart under =
        SecondPart.of(true, 1240, 100.0, 0.1, 0.02, Product.Role.RUBBER, Units.METRIC);
    assertEquals(under.state(), State.UNDER);
    assertTrue(under.words().contains("24.0 g more"), under.words());
    SecondPart over =
        SecondPart.of(true, 1240, 150.0, 0.1, 0.02, Product.Role.RUBBER, Units.METRIC);
    assertEquals(over.state(), State.OVER);
    // 150 g of hardener want 1500 g of base: 260 g more
    assertTrue(over.words().contains("260.0 g of base"), over.words());
    SecondPart plaster =
        SecondPart.of(true, 1000, null, 0.3, 0.02, Product.Role.PLASTER, Units.METRIC);
    assertEquals(plaster.words(), "Now pour 300.0 g of water.");
  }

  @Test
  public void packsReadAndWrite() {
    List<Pack> packs = Pack.parse("5 kg at 139, 1 kg at 34, 20kg at €498");
    assertEquals(packs.size(), 3);
    Near.absolute(packs.get(0).massG(), 1000, 0);
    Near.absolute(packs.get(2).price(), 498, 0);
    assertEquals(Pack.text(packs), "1 kg at 34, 5 kg at 139, 20 kg at 498");
    expectThrows(RuntimeException.class, () -> Pack.parse("a bucket"));
  }

  @Test
  public void unknownDensityIsNotGuessed() {
    Product blank = ProductWords.blank("blank");
    Ratio ratio = Ratio.parse("100 : 10 by weight");
    expectThrows(IllegalArgumentException.class, () -> Mix.ofBase(100, blank, ratio, List.of()));
    assertTrue(blank.gaps().stream().anyMatch(g -> g.contains("mixed density")));
  }
}
