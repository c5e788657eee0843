package ungula.server.record;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import ungula.core.choice.Choices;

/**
 * Takes what happened out of the decisions of every step and variant, where it was kept before, and
 * makes records of it: undo cannot bring it back any more, nor lose it.
 */
@Component
class V8__RecordsApart extends BaseJavaMigration {

  private final JsonMapper mapper = JsonMapper.builder().build();

  /** Where each fact lay among the choices. */
  private enum Fact {
    PATCH("master.patch", "master", "patch"),
    FIRST("rubber.firstG", "rubber", "firstG"),
    SECOND("rubber.secondG", "rubber", "secondG"),
    MOULD("rubber.mouldG", "rubber", "mouldG");

    private final String word;
    private final String part;
    private final String name;

    Fact(String word, String part, String name) {
      this.word = word;
      this.part = part;
      this.name = name;
    }

    /** As it is recorded; empty where nothing was said. */
    String said(JsonNode choices) {
      JsonNode value = choices.path(part).path(name);
      if (value.isMissingNode() || value.isNull() || value.asString("").equals("NONE")) {
        return "";
      }
      return this == PATCH ? value.asString() : value.asDouble() + " g";
    }

    String about(JsonNode choices) {
      Object product = text(choices.path("rubber").path("product"));
      JsonNode master = choices.path("master");
      return this == PATCH
          ? Choices.fingerprint(
              text(master.path("material")), text(master.path("preparation"), "BARE"), product)
          : Choices.fingerprint(product);
    }
  }

  private static String text(JsonNode node) {
    return text(node, null);
  }

  private static String text(JsonNode node, String missing) {
    return node.isMissingNode() || node.isNull() ? missing : node.asString();
  }

  @Override
  public void migrate(Context context) throws SQLException {
    Connection db = context.getConnection();
    for (String job : texts(db, "SELECT id FROM job")) {
      steps(db, job);
    }
    strip(db, "SELECT id, choices FROM variant", "UPDATE variant SET choices = ? WHERE id = ?");
  }

  private static List<String> texts(Connection db, String sql) throws SQLException {
    List<String> found = new ArrayList<>();
    try (Statement s = db.createStatement();
        ResultSet rows = s.executeQuery(sql)) {
      while (rows.next()) {
        found.add(rows.getString(1));
      }
    }
    return found;
  }

  /** Records of one job: what its steps said in turn, what it says now the last. */
  private void steps(Connection db, String job) throws SQLException {
    Map<Integer, ObjectNode> steps = new LinkedHashMap<>();
    try (PreparedStatement s =
        db.prepareStatement(
            "SELECT s.step, s.choices FROM job_step s JOIN job j ON j.id = s.job_id"
                + " WHERE s.job_id = ? ORDER BY s.step = j.step_now, s.step")) {
      s.setString(1, job);
      try (ResultSet rows = s.executeQuery()) {
        while (rows.next()) {
          if (read(rows.getString(2)) instanceof ObjectNode choices) {
            steps.put(rows.getInt(1), choices);
          }
        }
      }
    }
    for (Fact fact : Fact.values()) {
      Map<String, String> last = new LinkedHashMap<>();
      for (ObjectNode choices : steps.values()) {
        String about = fact.about(choices);
        String said = fact.said(choices);
        if (!said.equals(last.getOrDefault(about, ""))) {
          add(db, job, fact.word, about, said);
          last.put(about, said);
        }
      }
    }
    for (Map.Entry<Integer, ObjectNode> step : steps.entrySet()) {
      if (stripped(step.getValue())) {
        try (PreparedStatement s =
            db.prepareStatement("UPDATE job_step SET choices = ? WHERE job_id = ? AND step = ?")) {
          s.setString(1, mapper.writeValueAsString(step.getValue()));
          s.setString(2, job);
          s.setInt(3, step.getKey());
          s.executeUpdate();
        }
      }
    }
  }

  private static void add(Connection db, String job, String word, String about, String said)
      throws SQLException {
    try (PreparedStatement s =
        db.prepareStatement(
            "INSERT INTO record (job_id, word, about, said, at)"
                + " SELECT id, ?, ?, ?, changed FROM job WHERE id = ?")) {
      s.setString(1, word);
      s.setString(2, about);
      s.setString(3, said);
      s.setString(4, job);
      s.executeUpdate();
    }
  }

  private void strip(Connection db, String select, String update) throws SQLException {
    Map<String, ObjectNode> all = new LinkedHashMap<>();
    try (Statement s = db.createStatement();
        ResultSet rows = s.executeQuery(select)) {
      while (rows.next()) {
        if (read(rows.getString(2)) instanceof ObjectNode choices && stripped(choices)) {
          all.put(rows.getString(1), choices);
        }
      }
    }
    for (Map.Entry<String, ObjectNode> e : all.entrySet()) {
      try (PreparedStatement s = db.prepareStatement(update)) {
        s.setString(1, mapper.writeValueAsString(e.getValue()));
        s.setString(2, e.getKey());
        s.executeUpdate();
      }
    }
  }

  /** Null where what was kept is damaged: it is left as it is, and told of when it is opened. */
  private JsonNode read(String choices) {
    try {
      return choices == null ? null : mapper.readTree(choices);
    } catch (tools.jackson.core.JacksonException damaged) {
      return null;
    }
  }

  private static boolean stripped(ObjectNode choices) {
    boolean any = false;
    for (Fact fact : Fact.values()) {
      if (choices.path(fact.part) instanceof ObjectNode part) {
        any |= Objects.nonNull(part.remove(fact.name));
      }
    }
    return any;
  }
}
