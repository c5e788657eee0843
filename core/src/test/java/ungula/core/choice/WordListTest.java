package ungula.core.choice;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import ungula.core.quantity.Units;
import ungula.core.record.Recorded;
import ungula.core.rubber.Product;
import ungula.core.rubber.ProductWords;
import ungula.core.stock.Lot;
import ungula.core.workshop.Workshop;

/** The lists of words the page's tests are held against are those of the core. */
public class WordListTest {

  @Test
  public void thePagesTestsKnowTheWordsThereAre() throws IOException {
    Product sheet = ProductWords.blank("any");
    Lot lot = Lot.full(sheet, 1000, LocalDate.EPOCH);
    Map<String, Set<String>> words = new LinkedHashMap<>();
    Set<String> job = new TreeSet<>(ChoiceWords.states(Choices.fresh(Units.METRIC)).keySet());
    job.addAll(Recorded.WORDS);
    words.put("job", job);
    words.put("product", ProductWords.book().states(sheet, Units.METRIC).keySet());
    words.put("lot", Lot.words().states(lot, Units.METRIC).keySet());
    words.put("workshop", Workshop.words().states(Workshop.DEFAULT, Units.METRIC).keySet());
    String text =
        words.entrySet().stream()
            .map(e -> "  \"" + e.getKey() + "\": " + list(e.getValue()))
            .collect(Collectors.joining(",\n", "{\n", "\n}\n"));
    Path written = Path.of("target/words.json");
    Files.writeString(written, text);
    assertEquals(
        Files.readString(Path.of("../web/src/testing/words.json")).replaceAll("\\s", ""),
        text.replaceAll("\\s", ""),
        "The words changed: copy core/" + written + " to web/src/testing/words.json");
  }

  private static String list(Set<String> keys) {
    return keys.stream()
        .sorted()
        .map(key -> "    \"" + key + "\"")
        .collect(Collectors.joining(",\n", "[\n", "\n  ]"));
  }
}
