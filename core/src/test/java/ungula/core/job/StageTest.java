package ungula.core.job;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.quantity.Units;
import ungula.core.sentence.WordBook.Edit;

/** Where a change of the choices is seen. */
public class StageTest {

  @DataProvider
  public Object[][] changes() {
    return new Object[][] {
      {"mould.sidesMm", "20 mm", List.of("mould")},
      {"pose.liftMm", "10 mm", List.of("mould", "master")},
      {"skin.wallMm", "9 mm", List.of("mould")},
      {"channels.ventMm", "3 mm", List.of("mould")},
      {"rubber.offcutsMm3", "50 mL", List.of("rubber")},
      {"cast.wanted", "20", List.of("rubber", "casts")},
      {"rubber.moulds", "3", List.of("rubber", "casts")},
      {"cast.amount.lossPct", "9 %", List.of("casts")},
      {"rubber.batches", "3", List.of("pours")},
      {"rubber.sealingMm", "6 mm", List.of("pours")},
      {"master.material", "WOOD", List.of("master")},
      {"weights.money", "9", List.of("approach")},
      {"units.display", "INCH", List.of()},
    };
  }

  @Test(dataProvider = "changes")
  public void aChangeIsOfTheStagesThatShowIt(String word, String text, List<String> stages) {
    Choices before = Choices.fresh(Units.METRIC);
    Choices after = ChoiceWords.edit(before, List.of(Edit.of(word, text)), null);
    assertEquals(Stage.changed(before, after), stages);
    assertEquals(Stage.changed(after, before), stages);
  }
}
