package ungula.server.run;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Runs that were begun with one additive at most have it as the first of several; what they show at
 * a step is a figure, whose working was not kept yet.
 */
@Component
class V16__RunsWithWorkings extends BaseJavaMigration {

  private final JsonMapper mapper = JsonMapper.builder().build();

  @Override
  public void migrate(Context context) throws SQLException {
    Connection db = context.getConnection();
    Map<String, String> plans = new LinkedHashMap<>();
    try (Statement s = db.createStatement();
        ResultSet rows = s.executeQuery("SELECT id, plan FROM run")) {
      while (rows.next()) {
        plans.put(rows.getString(1), now(rows.getString(2)));
      }
    }
    try (PreparedStatement s = db.prepareStatement("UPDATE run SET plan = ? WHERE id = ?")) {
      for (Map.Entry<String, String> e : plans.entrySet()) {
        s.setString(1, e.getValue());
        s.setString(2, e.getKey());
        s.executeUpdate();
      }
    }
  }

  private String now(String kept) {
    JsonNode plan = mapper.readTree(kept);
    for (JsonNode batch : plan.path("batches")) {
      String name = batch.path("additive").asString("");
      ObjectNode b = (ObjectNode) batch;
      if (!name.isEmpty()) {
        b.putArray("stirred")
            .addObject()
            .put("name", name)
            .put("share", batch.path("additiveShare").asDouble());
      }
      b.remove("additive");
      b.remove("additiveShare");
    }
    for (JsonNode task : plan.path("tasks")) {
      ArrayNode shows = mapper.createArrayNode();
      for (JsonNode said : task.path("shows")) {
        String[] parts = said.asString().split(": ", 2);
        ObjectNode figure = shows.addObject();
        figure.put("key", "").put("label", parts[0]).put("value", 0.0);
        figure.put("text", parts[parts.length - 1]).put("exact", parts[parts.length - 1]);
        ObjectNode working = figure.putObject("working").put("formula", "");
        working.putArray("givens");
        working.putArray("steps");
        working.put("rounding", "").put("plusMinus", "");
      }
      ((ObjectNode) task).set("shows", shows);
    }
    return mapper.writeValueAsString(plan);
  }
}
