package ungula.core.contact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.contact.Contact.Verdict;
import ungula.core.master.MasterMaterial;
import ungula.core.mould.Fixing;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.rubber.Product.Chemistry;

public class ContactTest {

  private static final List<Chemistry> RUBBERS =
      List.of(Chemistry.ADDITION, Chemistry.CONDENSATION, Chemistry.URETHANE, Chemistry.LATEX);

  private static Contact contact(
      Surface surface, Preparation preparation, Chemistry chemistry, Patch patch) {
    return Contact.of(surface, preparation, chemistry, patch);
  }

  @Test
  public void everyPairHasAVerdictWithItsReason() {
    for (MasterMaterial material : MasterMaterial.values()) {
      assertEquals(Surface.of(material).name(), material.name());
    }
    for (Surface surface : Surface.values()) {
      for (Chemistry chemistry : RUBBERS) {
        for (Preparation preparation : Preparation.values()) {
          for (Patch patch : Patch.values()) {
            Contact c = contact(surface, preparation, chemistry, patch);
            boolean fine = c.verdict() == Verdict.FINE;
            assertEquals(c.reason().isEmpty(), fine, surface + " " + c);
            assertEquals(c.remedy().isEmpty(), fine, surface + " " + c);
            if (patch == Patch.TACKY) {
              assertEquals(c.verdict(), Verdict.DO_NOT);
            }
          }
          // a patch that cured lifts a "test first"
          assertNotEquals(
              contact(surface, preparation, chemistry, Patch.CURED).verdict(), Verdict.PATCH);
        }
      }
    }
  }

  @DataProvider
  public Object[][] pairs() {
    return new Object[][] {
      {Surface.PRINT_RESIN, Preparation.BARE, Chemistry.ADDITION, Verdict.DO_NOT},
      {Surface.PRINT_RESIN, Preparation.UNKNOWN, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.PRINT_RESIN, Preparation.RELEASED, Chemistry.ADDITION, Verdict.DO_NOT},
      {Surface.PRINT_RESIN, Preparation.CURED, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.PRINT_RESIN, Preparation.BARE, Chemistry.CONDENSATION, Verdict.FINE},
      {Surface.CLAY_OIL, Preparation.BARE, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.CLAY_OIL, Preparation.BARE, Chemistry.CONDENSATION, Verdict.FINE},
      {Surface.CAST_RESIN, Preparation.SEALED, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.WOOD, Preparation.BARE, Chemistry.CONDENSATION, Verdict.SEAL},
      {Surface.WOOD, Preparation.SEALED, Chemistry.ADDITION, Verdict.FINE},
      {Surface.PLASTER, Preparation.CURED, Chemistry.ADDITION, Verdict.SEAL},
      {Surface.GLASS, Preparation.BARE, Chemistry.ADDITION, Verdict.RELEASE},
      {Surface.STONE, Preparation.SEALED, Chemistry.CONDENSATION, Verdict.FINE},
      {Surface.METAL, Preparation.BARE, Chemistry.ADDITION, Verdict.FINE},
      {Surface.RUBBER, Preparation.BARE, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.RUBBER, Preparation.BARE, Chemistry.CONDENSATION, Verdict.FINE},
      {Surface.TIN_SILICONE, Preparation.BARE, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.TIN_SILICONE, Preparation.BARE, Chemistry.CONDENSATION, Verdict.RELEASE},
      {Surface.SILICONE_RUBBER, Preparation.SEALED, Chemistry.ADDITION, Verdict.RELEASE},
      {Surface.SILICONE_RUBBER, Preparation.BARE, Chemistry.URETHANE, Verdict.FINE},
      {Surface.ADDITION_SILICONE, Preparation.BARE, Chemistry.ADDITION, Verdict.RELEASE},
      {Surface.LATEX, Preparation.BARE, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.LATEX, Preparation.BARE, Chemistry.CONDENSATION, Verdict.FINE},
      {Surface.GLAZED_CERAMIC, Preparation.BARE, Chemistry.CONDENSATION, Verdict.RELEASE},
      {Surface.FIRED_CLAY, Preparation.BARE, Chemistry.ADDITION, Verdict.SEAL},
      {Surface.CLAY_SULPHUR_FREE, Preparation.BARE, Chemistry.ADDITION, Verdict.FINE},
      {Surface.HOT_GLUE, Preparation.BARE, Chemistry.ADDITION, Verdict.PATCH},
      {Surface.METAL, Preparation.BARE, Chemistry.URETHANE, Verdict.RELEASE},
      {Surface.METAL, Preparation.RELEASED, Chemistry.URETHANE, Verdict.FINE},
      {Surface.UNKNOWN, Preparation.UNKNOWN, Chemistry.URETHANE, Verdict.PATCH},
      {Surface.UNKNOWN, Preparation.UNKNOWN, Chemistry.CONDENSATION, Verdict.PATCH},
      {Surface.WAX, Preparation.BARE, Chemistry.URETHANE, Verdict.FINE},
      {Surface.WOOD, Preparation.BARE, Chemistry.URETHANE, Verdict.SEAL},
      {Surface.WOOD, Preparation.SEALED, Chemistry.URETHANE, Verdict.RELEASE},
      {Surface.WOOD, Preparation.RELEASED, Chemistry.URETHANE, Verdict.SEAL},
      {Surface.WOOD, Preparation.SEALED_RELEASED, Chemistry.URETHANE, Verdict.FINE},
      {Surface.PLASTER, Preparation.BARE, Chemistry.LATEX, Verdict.FINE},
      {Surface.CLAY_OIL, Preparation.BARE, Chemistry.LATEX, Verdict.SEAL}
    };
  }

  @Test(dataProvider = "pairs")
  public void verdicts(
      Surface surface, Preparation preparation, Chemistry chemistry, Verdict verdict) {
    assertEquals(contact(surface, preparation, chemistry, Patch.NONE).verdict(), verdict);
  }

  @Test
  public void aPatchThatCuredDoesNotSealWhatDrinks() {
    Contact c = contact(Surface.PU_BOARD, Preparation.BARE, Chemistry.ADDITION, Patch.CURED);
    assertEquals(c.verdict(), Verdict.SEAL);
    assertTrue(c.reason().contains("soaks up"), c.reason());
  }

  @Test
  public void everyPartOfAMouldIsASurface() {
    for (SheetStock sheet : SheetStock.values()) {
      boolean wooden = sheet.text().contains("ply") || sheet.text().contains("MDF");
      assertEquals(Surface.of(sheet) == Surface.BOARD, wooden, sheet.text());
    }
    for (Bedding bedding : Bedding.values()) {
      Contact c = contact(Surface.of(bedding), Preparation.BARE, Chemistry.ADDITION, Patch.NONE);
      assertEquals(c.verdict() == Verdict.PATCH, bedding == Bedding.CLAY, bedding.text());
    }
    assertTrue(Surface.of(Fixing.SCREWS).isEmpty());
    for (Chemistry rubber : RUBBERS) {
      Contact halves = contact(Surface.itself(rubber), Preparation.BARE, rubber, Patch.CURED);
      assertEquals(halves.verdict(), Verdict.RELEASE, rubber.text());
    }
  }

  @Test
  public void everyCastHasAVerdictAndALife() {
    for (CastingMaterial cast : CastingMaterial.values()) {
      for (Chemistry rubber : RUBBERS) {
        Contact c = cast.in(rubber, cast.usualC(), 400.0);
        assertEquals(c.reason().isEmpty(), c.verdict() == Verdict.FINE, cast + " in " + rubber);
        assertEquals(cast.in(rubber, 401, 400.0).verdict(), Verdict.DO_NOT);
        assertEquals(cast.in(rubber, 401, null), c, "nothing is said of heat");
        assertTrue(MouldLife.usual(cast).of(rubber) > 0);
      }
    }
    assertEquals(
        CastingMaterial.SILICONE.in(Chemistry.ADDITION, 25, null).verdict(), Verdict.RELEASE);
    assertEquals(CastingMaterial.SILICONE.in(Chemistry.URETHANE, 25, null).verdict(), Verdict.FINE);
    assertEquals(
        CastingMaterial.URETHANE.in(Chemistry.URETHANE, 25, null).verdict(), Verdict.RELEASE);
    assertEquals(CastingMaterial.POLYESTER.in(Chemistry.LATEX, 25, null).verdict(), Verdict.DO_NOT);
  }

  @Test
  public void stretchAndHeatTakeOfALife() {
    Near.absolute(MouldLife.stretchFactor(100, 300), 1, 1e-12);
    Near.absolute(MouldLife.stretchFactor(200, 300), 0.6, 1e-12);
    Near.absolute(MouldLife.stretchFactor(300, 300), 0.2, 1e-12);
    Near.absolute(MouldLife.stretchFactor(900, 300), 0.2, 1e-12);
    Near.absolute(MouldLife.heatFactor(159, 180), 1, 0);
    Near.absolute(MouldLife.heatFactor(170, 180), 0.5, 0);
    assertTrue(MouldLife.releaseFactor(CastingMaterial.URETHANE) > 1);
    Near.absolute(MouldLife.releaseFactor(CastingMaterial.PLASTER), 1, 0);
  }
}
