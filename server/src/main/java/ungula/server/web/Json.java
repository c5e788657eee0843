package ungula.server.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.quantity.UnreadableQuantity;

/** Records in and out of the text columns of the database. Fields that are gone are passed over. */
@Component
public class Json {

  private final JsonMapper mapper =
      JsonMapper.builder()
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  public String write(Object value) {
    return mapper.writeValueAsString(value);
  }

  /**
   * A list of objects, each value as text; null is empty.
   *
   * @throws UnreadableQuantity when it is none, naming the place
   */
  public List<Map<String, String>> readRows(String text) {
    try {
      List<Map<String, String>> rows = new ArrayList<>();
      for (JsonNode object : mapper.readTree(text)) {
        Map<String, String> row = new LinkedHashMap<>();
        object.properties().forEach(e -> row.put(e.getKey(), e.getValue().asString("")));
        rows.add(row);
      }
      return rows;
    } catch (JacksonException e) {
      throw new UnreadableQuantity(
          "It is not a JSON list: line "
              + e.getLocation().getLineNr()
              + ", column "
              + e.getLocation().getColumnNr()
              + ".");
    }
  }

  /** The texts of an object within a kept object, by name; none when it is not there. */
  public Map<String, String> texts(String text, String field) {
    Map<String, String> texts = new LinkedHashMap<>();
    try {
      mapper
          .readTree(text)
          .path(field)
          .properties()
          .forEach(e -> texts.put(e.getKey(), e.getValue().asString("")));
    } catch (JacksonException damaged) {
      // whoever reads the whole of it says what is wrong
      return Map.of();
    }
    return texts;
  }

  /**
   * @throws Problem when it cannot be read, saying where it stops making sense
   */
  public <T> T read(String text, Class<T> type) {
    try {
      return mapper.readValue(text, type);
    } catch (JacksonException e) {
      throw new Problem(
          HttpStatus.INTERNAL_SERVER_ERROR,
          "Not readable",
          "What was kept of it cannot be read by this version: it was written by a newer one, or is"
              + " damaged. Nothing was changed. "
              + e.getOriginalMessage());
    }
  }
}
