package ungula.core.table;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import ungula.core.quantity.UnreadableQuantity;

public class CsvTest {

  @Test
  public void whatIsWrittenIsReadAgain() {
    Random random = new Random(3);
    String letters = "ab,\"\r\n é;";
    for (int n = 0; n < 300; n++) {
      List<Map<String, String>> rows = new ArrayList<>();
      for (int r = 0; r < 3; r++) {
        Map<String, String> row = new LinkedHashMap<>();
        row.put("first", "x");
        for (String name : List.of("a", "b,c", "d\"e")) {
          StringBuilder cell = new StringBuilder();
          for (int i = random.nextInt(6); i > 0; i--) {
            cell.append(letters.charAt(random.nextInt(letters.length())));
          }
          row.put(name, cell.toString());
        }
        rows.add(row);
      }
      assertEquals(Csv.read(Csv.write(rows)), rows);
    }
  }

  @Test
  public void tablesOfOthersAreRead() {
    String text = "\uFEFFname , n\n\nLimpet,1\r\n\"Top \"\"shell\"\"\",\"2\n3\"\nWhelk\n";
    assertEquals(
        Csv.read(text),
        List.of(
            Map.of("name", "Limpet", "n", "1"),
            Map.of("name", "Top \"shell\"", "n", "2\n3"),
            Map.of("name", "Whelk", "n", "")));
    assertEquals(Csv.read(""), List.of());
    assertEquals(Csv.write(List.of()), "");
  }

  @Test
  public void semicolonsAreReadWhereTheHeadLineHasThem() {
    assertEquals(
        Csv.read("\nname;density\nLimpet, soft;1,05\n"),
        List.of(Map.of("name", "Limpet, soft", "density", "1,05")));
    assertEquals(
        Csv.read("name,a;b\nLimpet;soft,1\n"), List.of(Map.of("name", "Limpet;soft", "a;b", "1")));
  }

  @Test
  public void theLineIsNamed() {
    UnreadableQuantity e =
        expectThrows(UnreadableQuantity.class, () -> Csv.read("a,b\n1,\"x\ny\"\n1,2,3\n"));
    assertEquals(e.getMessage(), "Line 4 has 3 cells; the first line names 2.");
  }
}
