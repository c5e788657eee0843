package ungula.core.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FileUnitTest {

  @DataProvider
  public Object[][] written() {
    return new Object[][] {
      {"1", 1.0, "millimetres"},
      {"mm", 1.0, "millimetres"},
      {" Inches ", 25.4, "inches"},
      {"25.4 mm", 25.4, "inches"},
      {"cm", 10.0, "centimetres"},
      {"foot", 304.8, "feet"},
      {"1000", 1000.0, "metres"},
      {"3 mm", 3.0, "units of 3 mm"},
      {"units of 0.5 mm", 0.5, "units of 0.5 mm"},
    };
  }

  @Test(dataProvider = "written")
  public void namesAndMillimetresAreRead(String text, double mm, String name) {
    assertEquals(FileUnit.parseMm(text), mm, 1e-9);
    assertEquals(FileUnit.name(FileUnit.parseMm(text)), name);
    assertEquals(FileUnit.parseMm(name), mm, 1e-9, "what is shown is read again");
  }

  @Test
  public void whatIsNoUnitIsRefused() {
    for (String text : new String[] {"0", "-1", "1e7", "cubit"}) {
      assertThrows(UnreadableQuantity.class, () -> FileUnit.parseMm(text));
    }
  }
}
