package ungula.server.archive;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Rows of tables as JSON: an object for each, by the names of the columns. A column that holds JSON
 * is part of the object; times are ISO 8601.
 */
final class Tables {

  private static final Set<String> OF_JSON =
      Set.of("choices", "plan", "drawing", "entry", "planned", "taken", "answers", "sheet");

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final JdbcTemplate db;
  private final Map<String, Set<String>> columns = new HashMap<>();

  Tables(JdbcTemplate db) {
    this.db = db;
  }

  /**
   * @param where what is asked of a row, with a question mark
   * @param by the column they are in order of
   */
  ArrayNode rows(String table, String where, String by, Object of, Set<String> without) {
    ArrayNode all = JSON.createArrayNode();
    String query = "SELECT * FROM " + table + " WHERE " + where + " ORDER BY " + by;
    for (Map<String, Object> row : db.queryForList(query, of)) {
      ObjectNode node = all.addObject();
      row.forEach(
          (column, value) -> {
            String name = column.toLowerCase(Locale.ROOT);
            if (!without.contains(name) && value != null) {
              node.set(name, node(name, value));
            }
          });
    }
    return all;
  }

  private static JsonNode node(String name, Object value) {
    if (value instanceof String text && OF_JSON.contains(name)) {
      return JSON.readTree(text);
    }
    return value instanceof Boolean || value instanceof Number
        ? JSON.valueToTree(value)
        : JSON.valueToTree(value instanceof String ? value : iso(value));
  }

  /** A day, or a moment; of the database a moment without a zone has a space between. */
  private static String iso(Object value) {
    return value.toString().replace(' ', 'T');
  }

  /** Names of a table's columns. */
  Set<String> columns(String table) {
    return columns.computeIfAbsent(table, this::named);
  }

  private Set<String> named(String table) {
    return db
        .queryForList(
            "SELECT column_name FROM information_schema.columns WHERE LOWER(table_name) = ?",
            String.class,
            table)
        .stream()
        .map(c -> c.toLowerCase(Locale.ROOT))
        .collect(Collectors.toSet());
  }

  boolean has(String table, String column, Object value) {
    String query = "SELECT COUNT(*) FROM " + table + " WHERE " + column + " = ?";
    Integer many = db.queryForObject(query, Integer.class, value);
    return many != null && many > 0;
  }

  /** Its names are those of columns: whoever calls has seen to that. */
  void insert(String table, ObjectNode row, Map<String, Object> more) {
    List<String> columns = new ArrayList<>();
    List<Object> values = new ArrayList<>();
    row.properties()
        .forEach(
            e -> {
              columns.add(e.getKey());
              values.add(value(e.getValue()));
            });
    more.forEach(
        (column, value) -> {
          columns.add(column);
          values.add(value);
        });
    String marks = columns.stream().map(c -> "?").collect(Collectors.joining(", "));
    db.update(
        "INSERT INTO " + table + " (" + String.join(", ", columns) + ") VALUES (" + marks + ")",
        values.toArray());
  }

  private static Object value(JsonNode node) {
    if (node.isNull()) {
      return null;
    }
    return node.isContainer() ? node.toString() : node.asString();
  }
}
