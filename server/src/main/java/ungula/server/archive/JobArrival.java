package ungula.server.archive;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import ungula.core.rubber.Product;
import ungula.core.work.Progress;
import ungula.server.job.Jobs;
import ungula.server.model.Models;
import ungula.server.mould.Moulds;
import ungula.server.web.Json;
import ungula.server.web.Problem;

/**
 * Takes a job in that was archived, here or elsewhere, by this version or an earlier one: beside
 * what is there, whole or not at all. Everything gets ids of its own; a product that is there under
 * the same sheet is taken, any other comes along.
 */
@Component
class JobArrival {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Of one file of it, unpacked. */
  private static final long MOST_BYTES = 256L << 20;

  private static final int MOST_FILES = 20_000;

  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  private final JdbcTemplate db;
  private final Flyway flyway;
  private final JobArchive archive;
  private final Models models;
  private final Jobs jobs;
  private final Moulds moulds;
  private final Json json;
  private final TransactionTemplate whole;

  JobArrival(
      JdbcTemplate db,
      Flyway flyway,
      JobArchive archive,
      Models models,
      Jobs jobs,
      Moulds moulds,
      Json json,
      TransactionTemplate whole) {
    this.db = db;
    this.flyway = flyway;
    this.archive = archive;
    this.models = models;
    this.jobs = jobs;
    this.moulds = moulds;
    this.json = json;
    this.whole = whole;
  }

  /**
   * @return id of the job
   * @throws Problem when it is none, is damaged or was written by a newer version
   */
  String take(Path file) throws IOException {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      if (zip.size() > MOST_FILES) {
        throw unfit("There are more than " + MOST_FILES + " files in it.");
      }
      JsonNode manifest = read(zip, JobArchive.MANIFEST);
      int schema = manifest.path("schema").asInt(0);
      if (!manifest.path("format").asString("").equals(JobArchive.FORMAT) || schema < 1) {
        throw unfit("It is no job that was taken away from Ungula.");
      }
      if (schema > archive.schema()) {
        throw unfit(
            "It was written by a newer version of Ungula: bring this one up to date first.");
      }
      Map<String, ArrayNode> rows = new LinkedHashMap<>();
      for (Part part : Part.ALL) {
        if (zip.getEntry(part.table() + ".json") != null) {
          rows.put(part.table(), list(zip, part.table() + ".json"));
        }
      }
      ArrayNode products = list(zip, JobArchive.PRODUCTS);
      if (rows.getOrDefault("job", JSON.createArrayNode()).size() != 1) {
        throw unfit("There is not one job in it.");
      }
      if (schema < archive.schema()) {
        rows = broughtUpToDate(rows, products, schema);
      }
      models(zip);
      return put(rows, products, zip);
    } catch (ZipException torn) {
      throw unfit("It is damaged, or no ZIP: " + torn.getMessage() + ".");
    } catch (JacksonException torn) {
      throw unfit("Part of it is damaged: " + torn.getOriginalMessage());
    } catch (DataAccessException unlike) {
      throw unfit(
          "Part of it is not what it should be: " + unlike.getMostSpecificCause().getMessage());
    }
  }

  private static Problem unfit(String why) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not taken in", why);
  }

  private static byte[] bytes(ZipFile zip, String name) throws IOException {
    ZipEntry entry = zip.getEntry(name);
    if (entry == null) {
      throw unfit("It lacks " + name + ".");
    }
    try (var in = zip.getInputStream(entry)) {
      byte[] all = in.readNBytes((int) MOST_BYTES);
      if (in.read() >= 0) {
        throw unfit(name + " in it is too large.");
      }
      return all;
    }
  }

  private static JsonNode read(ZipFile zip, String name) throws IOException {
    return JSON.readTree(new String(bytes(zip, name), StandardCharsets.UTF_8));
  }

  private static ArrayNode list(ZipFile zip, String name) throws IOException {
    if (read(zip, name) instanceof ArrayNode rows) {
      for (JsonNode row : rows) {
        if (!(row instanceof ObjectNode)) {
          throw unfit(name + " in it is no list of rows.");
        }
      }
      return rows;
    }
    throw unfit(name + " in it is no list.");
  }

  /** Files of models go where all are: one that is there already is the same. */
  private void models(ZipFile zip) throws IOException {
    for (JsonNode m : list(zip, JobArchive.MODELS)) {
      String name = "models/" + m.path("id").asString("");
      ZipEntry entry = zip.getEntry(name);
      if (entry == null) {
        throw unfit("It lacks " + name + ".");
      }
      Path received;
      try (var in = zip.getInputStream(entry)) {
        received = models.receive(in);
      }
      String called = Models.fileName(m.path("name").asString(""));
      Models.Stored kept = models.keep(received, called, Progress.NONE);
      if (!kept.id().equals(m.path("id").asString())) {
        throw unfit("The file " + called + " in it is not what it was.");
      }
    }
  }

  /**
   * As this version would have kept it: put into tables of the version it was written by, which
   * then go the way all data go.
   */
  private Map<String, ArrayNode> broughtUpToDate(
      Map<String, ArrayNode> rows, ArrayNode products, int schema) {
    String jobId = rows.get("job").get(0).path("id").asString();
    SingleConnectionDataSource aside =
        new SingleConnectionDataSource("jdbc:h2:mem:" + UUID.randomUUID(), "ungula", "", true);
    try {
      at(aside, MigrationVersion.fromVersion(String.valueOf(schema))).migrate();
      Tables before = new Tables(new JdbcTemplate(aside));
      insert(before, "product", products);
      rows.forEach((table, its) -> its.forEach(row -> insert(before, table, row, blank(table))));
      at(aside, MigrationVersion.LATEST).migrate();
      Map<String, ArrayNode> now = new LinkedHashMap<>();
      for (Part p : Part.ALL) {
        now.put(p.table(), before.rows(p.table(), p.where(), p.by(), jobId, p.without()));
      }
      return now;
    } finally {
      aside.destroy();
    }
  }

  /** Pictures stay as they are, whatever version: there they are only named. */
  private static Map<String, Object> blank(String table) {
    return table.equals("run_picture") ? Map.of("jpeg", new byte[0]) : Map.of();
  }

  private Flyway at(DataSource aside, MigrationVersion target) {
    return Flyway.configure()
        .configuration(flyway.getConfiguration())
        .dataSource(aside)
        .target(target)
        .load();
  }

  private String put(Map<String, ArrayNode> rows, ArrayNode products, ZipFile zip)
      throws IOException {
    Map<String, String> ids = new HashMap<>();
    for (String table :
        List.of("job", "variant", "run", "run_picture", "mixed", "mould", "fault_case")) {
      for (JsonNode row : rows.getOrDefault(table, JSON.createArrayNode())) {
        ids.put(id(row), UUID.randomUUID().toString());
      }
    }
    rows.forEach((table, its) -> its.forEach(row -> own(table, row, ids)));
    Map<String, byte[]> pictures = new HashMap<>();
    for (JsonNode p : rows.getOrDefault("run_picture", JSON.createArrayNode())) {
      String id = p.path("id").asString();
      pictures.put(ids.get(id), bytes(zip, "pictures/" + id + ".jpg"));
    }
    String job = ids.get(rows.get("job").get(0).path("id").asString());
    whole.executeWithoutResult(
        status -> {
          Tables here = new Tables(db);
          Map<String, String> called = products(here, products);
          rows.forEach(
              (table, its) -> {
                ArrayNode now = (ArrayNode) JSON.readTree(renamed(its.toString(), ids));
                ProductNames.replace(now, called);
                if (table.equals("mould")) {
                  now.forEach(m -> ownCode(here, (ObjectNode) m));
                }
                for (JsonNode row : now) {
                  byte[] jpeg = pictures.get(row.path("id").asString(""));
                  insert(here, table, row, jpeg == null ? Map.of() : Map.of("jpeg", jpeg));
                }
              });
          // one that could not be read here is not taken in
          jobs.choices(job);
        });
    return job;
  }

  private static String id(JsonNode row) {
    String id = row.path("id").asString("");
    if (!ID.matcher(id).matches()) {
      throw unfit("“" + id + "” in it is no id.");
    }
    return id;
  }

  /** Ids are long enough that nothing else is one by chance, wherever it stands. */
  private static String renamed(String text, Map<String, String> ids) {
    return ID.matcher(text).replaceAll(m -> ids.getOrDefault(m.group(), m.group()));
  }

  /** What a row belongs to has to come along with it: it says nothing of other jobs here. */
  private static void own(String table, JsonNode row, Map<String, String> ids) {
    for (String of : List.of("job_id", "run_id", "mould_id", "case_id")) {
      String id = row.path(of).asString("");
      if (!id.isEmpty() && !ids.containsKey(id)) {
        throw unfit("A row of " + table + " in it belongs to something that is not in it.");
      }
    }
  }

  /** A mould keeps what is on its label, unless another here is called so. */
  private void ownCode(Tables here, ObjectNode mould) {
    if (here.has("mould", "code", mould.path("code").asString())) {
      mould.put("code", moulds.unusedCode());
    }
  }

  /** Products that go by another name here, and what they are called. */
  private Map<String, String> products(Tables here, ArrayNode brought) {
    Map<String, String> called = new HashMap<>();
    for (JsonNode p : brought) {
      String id = p.path("id").asString();
      String own = id;
      for (int i = 2; here.has("product", "id", own) && !same(here, own, p); i++) {
        own = id.substring(0, Math.min(60, id.length())) + "-" + i;
      }
      if (!here.has("product", "id", own)) {
        // one that could not be read here would take all lists of products down
        json.read(p.path("sheet").toString(), Product.class);
        ObjectNode row = ((ObjectNode) p).deepCopy();
        row.put("id", own).put("version", 1).put("shipped", false).put("retired", false);
        insert(here, "product", JSON.createArrayNode().add(row));
      }
      if (!own.equals(id)) {
        called.put(id, own);
      }
    }
    return called;
  }

  private static boolean same(Tables here, String id, JsonNode brought) {
    JsonNode there = here.rows("product", "id = ?", "id", id, Set.of()).get(0);
    return there.path("sheet").equals(brought.path("sheet"));
  }

  private static final Map<String, Map<String, Object>> MORE =
      Map.of("job", Map.of("demo", false, "deleted", false), "mixed", Map.of("taken", "[]"));

  private static void insert(Tables into, String table, ArrayNode rows) {
    rows.forEach(row -> insert(into, table, row, Map.of()));
  }

  private static void insert(Tables into, String table, JsonNode row, Map<String, Object> more) {
    Set<String> columns = into.columns(table);
    for (String name : row.propertyNames()) {
      if (!columns.contains(name)) {
        throw unfit("It has a column nobody knows: " + table + "." + name + ".");
      }
    }
    Map<String, Object> all = new HashMap<>(MORE.getOrDefault(table, Map.of()));
    all.putAll(more);
    into.insert(table, (ObjectNode) row, all);
  }
}
