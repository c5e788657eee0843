package ungula.server.run;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import ungula.core.run.Entry;
import ungula.server.web.Problem;

/** Entries of a run as they are kept: JSON with its kind. Kinds keep their names for good. */
@Component
class Entries {

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  @JsonSubTypes({
    @Type(value = Entry.Gated.class, name = "gate"),
    @Type(value = Entry.Tared.class, name = "tare"),
    @Type(value = Entry.Weighed.class, name = "weighed"),
    @Type(value = Entry.Shared.class, name = "shared"),
    @Type(value = Entry.FedBy.class, name = "fedBy"),
    @Type(value = Entry.Came.class, name = "came"),
    @Type(value = Entry.Met.class, name = "met"),
    @Type(value = Entry.StartedOver.class, name = "startedOver"),
    @Type(value = Entry.Done.class, name = "done"),
    @Type(value = Entry.LeftOut.class, name = "leftOut"),
    @Type(value = Entry.Judged.class, name = "judged"),
    @Type(value = Entry.LevelRead.class, name = "level"),
    @Type(value = Entry.Foamed.class, name = "foam"),
    @Type(value = Entry.Pictured.class, name = "picture"),
    @Type(value = Entry.Picked.class, name = "lot"),
    @Type(value = Entry.ZeroLost.class, name = "zeroLost"),
    @Type(value = Entry.Heard.class, name = "heard"),
    @Type(value = Entry.Replanned.class, name = "replanned"),
    @Type(value = Entry.Corrected.class, name = "corrected")
  })
  private interface Kinds {}

  private final JsonMapper mapper =
      JsonMapper.builder()
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .addMixIn(Entry.class, Kinds.class)
          .build();

  String write(Entry entry) {
    return mapper.writerFor(Entry.class).writeValueAsString(entry);
  }

  /**
   * @throws Problem when it cannot be read
   */
  Entry read(String kept) {
    try {
      return mapper.readValue(kept, Entry.class);
    } catch (JacksonException e) {
      throw new Problem(
          HttpStatus.INTERNAL_SERVER_ERROR,
          "Not readable",
          "An entry of this run cannot be read by this version: it was written by a newer one, or is"
              + " damaged. Nothing was changed. "
              + e.getOriginalMessage());
    }
  }
}
