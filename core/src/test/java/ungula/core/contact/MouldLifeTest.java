package ungula.core.contact;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Near;
import ungula.core.rubber.Product.Chemistry;

public class MouldLifeTest {

  /** Casts a mould gives before a workshop says otherwise: the table of docs/methods.md. */
  @DataProvider
  public Object[][] usual() {
    return new Object[][] {
      {CastingMaterial.URETHANE, 60, 45, 20, 5},
      {CastingMaterial.FLEXIBLE, 60, 45, 20, 5},
      {CastingMaterial.FOAM, 40, 30, 15, 5},
      {CastingMaterial.EPOXY, 50, 35, 15, 5},
      {CastingMaterial.POLYESTER, 20, 15, 5, 1},
      {CastingMaterial.PLASTER, 200, 150, 300, 100},
      {CastingMaterial.CONCRETE, 80, 60, 250, 60},
      {CastingMaterial.WAX, 250, 200, 80, 60},
      {CastingMaterial.INJECTED_WAX, 250, 200, 80, 60},
      {CastingMaterial.METAL, 30, 35, 1, 1},
      {CastingMaterial.SILICONE, 80, 60, 60, 30},
      {CastingMaterial.APPLIANCE, 80, 60, 60, 30},
      {CastingMaterial.SOAP, 300, 250, 150, 80},
    };
  }

  @Test(dataProvider = "usual")
  public void usualLives(
      CastingMaterial cast, int addition, int condensation, int urethane, int latex) {
    MouldLife life = MouldLife.usual(cast);
    assertEquals(life.of(Chemistry.ADDITION), addition);
    assertEquals(life.of(Chemistry.CONDENSATION), condensation);
    assertEquals(life.of(Chemistry.URETHANE), urethane);
    assertEquals(life.of(Chemistry.LATEX), latex);
  }

  @Test
  public void everyMaterialHasOne() {
    assertEquals(usual().length, CastingMaterial.values().length);
  }

  @Test
  public void stretchCostsNothingUpToAThirdAndAllButAFifthAtBreak() {
    Near.absolute(MouldLife.stretchFactor(0, 300), 1, 0);
    Near.absolute(MouldLife.stretchFactor(100, 300), 1, 1e-12);
    Near.absolute(MouldLife.stretchFactor(200, 300), 0.6, 1e-12);
    Near.absolute(MouldLife.stretchFactor(300, 300), 0.2, 1e-12);
    Near.absolute(MouldLife.stretchFactor(900, 300), 0.2, 1e-12);
  }

  @Test
  public void heatHalvesWithinTwentyDegreesOfTheLimit() {
    Near.absolute(MouldLife.heatFactor(180, 200), 1, 0);
    Near.absolute(MouldLife.heatFactor(180.1, 200), 0.5, 0);
  }

  @Test
  public void releaseHelpsAgainstWhatAttacksTheMould() {
    Near.absolute(MouldLife.releaseFactor(CastingMaterial.URETHANE), 1.5, 0);
    Near.absolute(MouldLife.releaseFactor(CastingMaterial.PLASTER), 1, 0);
  }

  @Test
  public void whatIsCastMayBeAsHotAsTheRubberStandsAndNoHotter() {
    CastingMaterial wax = CastingMaterial.WAX;
    assertEquals(wax.in(Chemistry.ADDITION, 200, 200.0).verdict(), Contact.FINE.verdict());
    assertEquals(wax.in(Chemistry.ADDITION, 200.1, 200.0).verdict(), Contact.Verdict.DO_NOT);
    assertEquals(wax.in(Chemistry.ADDITION, 900, null).verdict(), Contact.FINE.verdict());
    for (Chemistry silicone : new Chemistry[] {Chemistry.ADDITION, Chemistry.CONDENSATION}) {
      assertEquals(
          CastingMaterial.SILICONE.in(silicone, 20, null).verdict(), Contact.Verdict.RELEASE);
      assertEquals(
          CastingMaterial.URETHANE.in(silicone, 20, null).verdict(), Contact.FINE.verdict());
    }
    for (CastingMaterial resin :
        new CastingMaterial[] {
          CastingMaterial.URETHANE, CastingMaterial.EPOXY, CastingMaterial.POLYESTER
        }) {
      assertEquals(
          resin.in(Chemistry.URETHANE, 20, null).verdict(), Contact.Verdict.RELEASE, resin.text());
    }
    assertEquals(
        CastingMaterial.METAL.in(Chemistry.LATEX, 20, null).verdict(), Contact.Verdict.DO_NOT);
    assertEquals(
        CastingMaterial.POLYESTER.in(Chemistry.LATEX, 20, null).verdict(), Contact.Verdict.DO_NOT);
    assertEquals(wax.in(Chemistry.LATEX, 20, null).verdict(), Contact.FINE.verdict());
  }
}
