package ungula.core.table;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.quantity.UnreadableQuantity;

/**
 * Comma-separated tables with a head line (RFC 4180): quotes round cells that need them, doubled
 * inside. Lines may end either way; empty lines are passed over; a cell may hold line ends.
 */
public final class Csv {

  private Csv() {}

  /**
   * @return the rows, each by the names in the head line; cells that are left away are empty
   * @throws UnreadableQuantity naming the line, for a row longer than the head or an open quote
   */
  public static List<Map<String, String>> read(String text) {
    List<Map<String, String>> rows = new ArrayList<>();
    List<String> head = null;
    Reader in = new Reader(text.startsWith("\uFEFF") ? text.substring(1) : text);
    while (in.more()) {
      int line = in.line;
      List<String> cells = in.row();
      if (cells.size() == 1 && cells.get(0).isBlank()) {
        continue;
      }
      if (head == null) {
        head = cells.stream().map(String::strip).toList();
        continue;
      }
      if (cells.size() > head.size()) {
        throw new UnreadableQuantity(
            "Line "
                + line
                + " has "
                + cells.size()
                + " cells; the first line names "
                + head.size()
                + ".");
      }
      Map<String, String> row = new LinkedHashMap<>();
      for (int i = 0; i < head.size(); i++) {
        row.put(head.get(i), i < cells.size() ? cells.get(i) : "");
      }
      rows.add(row);
    }
    return rows;
  }

  /** A table with the columns of the first row. */
  public static String write(List<Map<String, String>> rows) {
    if (rows.isEmpty()) {
      return "";
    }
    List<String> head = List.copyOf(rows.get(0).keySet());
    StringBuilder out = new StringBuilder();
    line(out, head);
    for (Map<String, String> row : rows) {
      line(out, head.stream().map(name -> row.getOrDefault(name, "")).toList());
    }
    return out.toString();
  }

  private static void line(StringBuilder out, List<String> cells) {
    out.append(String.join(",", cells.stream().map(Csv::cell).toList())).append("\r\n");
  }

  private static String cell(String text) {
    boolean quoted = text.matches("(?s).*[\",\r\n].*") || !text.equals(text.strip());
    return quoted ? '"' + text.replace("\"", "\"\"") + '"' : text;
  }

  private static final class Reader {
    private final String text;
    private int at;
    private int line = 1;

    Reader(String text) {
      this.text = text;
    }

    boolean more() {
      return at < text.length();
    }

    List<String> row() {
      List<String> cells = new ArrayList<>();
      do {
        cells.add(more() && text.charAt(at) == '"' ? quoted() : plain());
      } while (next(','));
      next('\r');
      next('\n');
      line++;
      return cells;
    }

    private boolean next(char c) {
      boolean there = more() && text.charAt(at) == c;
      at += there ? 1 : 0;
      return there;
    }

    private String plain() {
      int from = at;
      while (more() && ",\r\n".indexOf(text.charAt(at)) < 0) {
        at++;
      }
      return text.substring(from, at);
    }

    private String quoted() {
      int began = line;
      StringBuilder cell = new StringBuilder();
      at++;
      while (true) {
        if (!more()) {
          throw new UnreadableQuantity("A quote opened on line " + began + " does not close.");
        }
        char c = text.charAt(at++);
        if (c == '"' && !next('"')) {
          return cell + plain();
        }
        line += c == '\n' ? 1 : 0;
        cell.append(c);
      }
    }
  }
}
