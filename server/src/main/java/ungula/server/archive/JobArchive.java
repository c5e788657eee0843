package ungula.server.archive;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import ungula.server.model.Models;

/**
 * All there is of one job in a ZIP, to be taken elsewhere; docs/job-archive.md says what is where.
 */
@Component
public class JobArchive {

  static final String FORMAT = "ungula job";
  static final String MANIFEST = "archive.json";
  static final String PRODUCTS = "products.json";
  static final String MODELS = "models.json";

  private static final Pattern SHA_256 = Pattern.compile("\\b[0-9a-f]{64}\\b");

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final JdbcTemplate db;
  private final Flyway flyway;
  private final Models models;
  private final Clock clock;

  JobArchive(JdbcTemplate db, Flyway flyway, Models models, Clock clock) {
    this.db = db;
    this.flyway = flyway;
    this.models = models;
    this.clock = clock;
  }

  /** Version of the tables as they are here. */
  int schema() {
    return Integer.parseInt(flyway.info().current().getVersion().getVersion());
  }

  /** As it stands at one moment, whoever works on it meanwhile. */
  @Transactional(isolation = Isolation.REPEATABLE_READ, readOnly = true)
  public void write(String jobId, String name, OutputStream to) throws IOException {
    Tables tables = new Tables(db);
    try (ZipOutputStream out = new ZipOutputStream(to)) {
      ObjectNode manifest = JSON.createObjectNode();
      manifest.put("format", FORMAT).put("schema", schema());
      manifest.put("job", name).put("written", clock.instant().toString());
      put(out, MANIFEST, manifest);
      StringBuilder all = new StringBuilder();
      Set<String> products = new TreeSet<>();
      for (Part part : Part.ALL) {
        ArrayNode rows = tables.rows(part.table(), part.where(), part.by(), jobId, part.without());
        put(out, part.table() + ".json", rows);
        all.append(rows);
        ProductNames.in(rows, products);
        if (part.table().equals("run_picture")) {
          pictures(rows, out);
        }
      }
      ArrayNode sheets = JSON.createArrayNode();
      for (String id : products) {
        sheets.addAll(tables.rows("product", "id = ?", "id", id, Set.of()));
      }
      put(out, PRODUCTS, sheets);
      models(all, tables, out);
    }
  }

  private void pictures(ArrayNode rows, ZipOutputStream out) throws IOException {
    for (JsonNode row : rows) {
      String id = row.get("id").asString();
      out.putNextEntry(new ZipEntry("pictures/" + id + ".jpg"));
      out.write(db.queryForObject("SELECT jpeg FROM run_picture WHERE id = ?", byte[].class, id));
      out.closeEntry();
    }
  }

  /** Files of all models any step or variant names, as they were given. */
  private void models(CharSequence all, Tables tables, ZipOutputStream out) throws IOException {
    ArrayNode known = JSON.createArrayNode();
    Set<String> named = new TreeSet<>();
    Matcher m = SHA_256.matcher(all);
    while (m.find()) {
      named.add(m.group());
    }
    for (String id : named) {
      Path original = models.original(id);
      if (tables.has("model", "id", id) && Files.exists(original)) {
        String name = models.find(id).orElseThrow().name();
        known.addObject().put("id", id).put("name", name);
        out.putNextEntry(new ZipEntry("models/" + id));
        Files.copy(original, out);
        out.closeEntry();
      }
    }
    put(out, MODELS, known);
  }

  private static void put(ZipOutputStream out, String name, JsonNode node) throws IOException {
    out.putNextEntry(new ZipEntry(name));
    out.write(node.toPrettyString().getBytes(StandardCharsets.UTF_8));
    out.closeEntry();
  }
}
