package ungula.core.contact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.contact.Contact.Verdict;
import ungula.core.master.MasterMaterial;
import ungula.core.rubber.Product.Chemistry;

public class ContactTest {

  private static Contact contact(
      Surface surface, Preparation preparation, Chemistry chemistry, Patch patch) {
    return Contact.of(surface, preparation, chemistry, patch);
  }

  @Test
  public void everyPairHasAVerdictWithItsReason() {
    for (MasterMaterial material : MasterMaterial.values()) {
      Surface surface = Surface.of(material);
      for (Chemistry chemistry : Chemistry.values()) {
        for (Preparation preparation : Preparation.values()) {
          for (Patch patch : Patch.values()) {
            Contact c = contact(surface, preparation, chemistry, patch);
            boolean fine = c.verdict() == Verdict.FINE;
            assertEquals(c.reason().isEmpty(), fine, material + " " + c);
            assertEquals(c.remedy().isEmpty(), fine, material + " " + c);
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
      {Surface.METAL, Preparation.BARE, Chemistry.ADDITION, Verdict.FINE}
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
    assertTrue(c.reason().contains("drinks"), c.reason());
  }
}
