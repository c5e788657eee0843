package ungula.core.rubber;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;

/**
 * Sheets as rows of plain text, one cell for every word of a sheet: what goes into and comes out of
 * open formats. Metric, as the words themselves are written and read; an empty cell is not stated.
 */
public final class ProductTable {

  private static final WordBook<Product> WORDS = ProductWords.book();

  private ProductTable() {}

  public static Map<String, String> row(Product product) {
    Map<String, String> row = new LinkedHashMap<>();
    for (Map.Entry<String, Word.State> e : WORDS.states(product, Units.METRIC).entrySet()) {
      row.put(e.getKey(), e.getValue().exact());
    }
    return row;
  }

  /**
   * @param row cells by word; columns that are no word of a sheet are passed over
   * @param number of the row, for the message
   * @throws UnreadableQuantity naming row, product and word, and what would be understood
   */
  public static Product product(Map<String, String> row, int number) {
    String name = row.getOrDefault("name", "").strip();
    if (name.isEmpty()) {
      throw new UnreadableQuantity("Product " + number + " has no name.");
    }
    Product blank = ProductWords.blank(name);
    Map<String, Word.State> words = WORDS.states(blank, Units.METRIC);
    List<Edit> edits = new ArrayList<>();
    row.forEach(
        (word, text) -> {
          Word.State state = words.get(word);
          if (state != null && (state.clearable() || !text.isBlank())) {
            edits.add(Edit.of(word, text));
          }
        });
    try {
      return WORDS.edit(blank, edits, Units.METRIC);
    } catch (Refused e) {
      throw new UnreadableQuantity(
          "Product "
              + number
              + ", “"
              + name
              + "”, "
              + WORDS.label(e.word())
              + ": "
              + e.getMessage());
    }
  }
}
