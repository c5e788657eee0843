package ungula.server.web;

import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

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

  public <T> T read(String text, Class<T> type) {
    try {
      return mapper.readValue(text, type);
    } catch (JacksonException e) {
      throw new IllegalStateException("Stored " + type.getSimpleName() + " is not readable", e);
    }
  }
}
