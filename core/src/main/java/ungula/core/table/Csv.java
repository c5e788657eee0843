package ungula.core.table;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import ungula.core.quantity.UnreadableQuantity;

/**
 * Comma-separated tables with a head line (RFC 4180): quotes round cells that need them, doubled
 * inside. Lines may end either way; empty lines are passed over; a cell may hold line ends. Where
 * the decimal sign is a comma, programs write semicolons between cells: such tables are read too.
 */
public final class Csv {

  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180.builder().setIgnoreEmptyLines(true).setTrailingData(true).get();

  private Csv() {}

  /**
   * @return the rows, each by the names in the head line; cells that are left away are empty
   * @throws UnreadableQuantity naming the line, for a row longer than the head or an open quote
   */
  public static List<Map<String, String>> read(String text) {
    List<Map<String, String>> rows = new ArrayList<>();
    List<String> head = null;
    String table = text.startsWith("\uFEFF") ? text.substring(1) : text;
    try (CSVParser parser = format(table).parse(new StringReader(table))) {
      Iterator<CSVRecord> lines = parser.iterator();
      CSVRecord cells;
      while ((cells = next(lines, parser)) != null) {
        if (cells.size() == 1 && cells.get(0).isBlank()) {
          continue;
        }
        if (head == null) {
          head = cells.stream().map(String::strip).toList();
          continue;
        }
        rows.add(row(head, cells, parser.getCurrentLineNumber()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return rows;
  }

  /** As the head line is: names of columns hold neither sign. */
  private static CSVFormat format(String table) {
    String head = table.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    boolean semicolons = head.indexOf(';') >= 0 && head.indexOf(',') < 0;
    return semicolons ? FORMAT.builder().setDelimiter(';').get() : FORMAT;
  }

  private static CSVRecord next(Iterator<CSVRecord> lines, CSVParser parser) {
    long line = parser.getCurrentLineNumber() + 1;
    try {
      return lines.hasNext() ? lines.next() : null;
    } catch (UncheckedIOException e) {
      throw new UnreadableQuantity("A quote opened on line " + line + " does not close.");
    }
  }

  private static Map<String, String> row(List<String> head, CSVRecord cells, long lastLine) {
    if (cells.size() > head.size()) {
      long within = cells.stream().flatMapToInt(String::chars).filter(c -> c == '\n').count();
      throw new UnreadableQuantity(
          "Line %d has %d cells; the first line names %d."
              .formatted(lastLine - within, cells.size(), head.size()));
    }
    Map<String, String> row = new LinkedHashMap<>();
    for (int i = 0; i < head.size(); i++) {
      row.put(head.get(i), i < cells.size() ? cells.get(i) : "");
    }
    return row;
  }

  /** A table with the columns of the first row. */
  public static String write(List<Map<String, String>> rows) {
    if (rows.isEmpty()) {
      return "";
    }
    List<String> head = List.copyOf(rows.get(0).keySet());
    StringBuilder out = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(out, FORMAT)) {
      printer.printRecord(head);
      for (Map<String, String> row : rows) {
        printer.printRecord(head.stream().map(name -> row.getOrDefault(name, "")));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }
}
