package ungula.server.archive;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/**
 * What a data folder holds that no server works on, whatever version wrote it. Only looked at: its
 * database is opened to be read, and not migrated.
 *
 * @param jobs their names
 * @param missing models whose files are not there
 */
public record Held(
    List<String> jobs, int runs, int entries, int casts, int batches, List<String> missing) {

  /**
   * @throws Restore.Unfit when its database cannot be read
   */
  public static Held in(Path data) throws Restore.Unfit {
    String file = data.resolve("ungula").toAbsolutePath().toString();
    String url = "jdbc:h2:file:" + file + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r";
    try (Connection db = DriverManager.getConnection(url, "ungula", "")) {
      return new Held(
          column(db, "SELECT name FROM job WHERE NOT deleted AND exercise IS NULL ORDER BY name"),
          count(db, "run"),
          count(db, "run_entry"),
          count(db, "cast_made"),
          count(db, "mixed"),
          missing(db, data.resolve("models")));
    } catch (SQLException | IOException e) {
      throw new Restore.Unfit("Its database cannot be read: " + e.getMessage());
    }
  }

  private static List<String> missing(Connection db, Path models) throws SQLException, IOException {
    List<String> missing = new ArrayList<>();
    for (String id : column(db, "SELECT id FROM model")) {
      try (DirectoryStream<Path> its =
          Files.isDirectory(models) ? Files.newDirectoryStream(models, id + "*") : null) {
        if (its == null || !its.iterator().hasNext()) {
          missing.add(id);
        }
      }
    }
    return missing;
  }

  private static List<String> column(Connection db, String query) throws SQLException {
    List<String> all = new ArrayList<>();
    try (Statement s = db.createStatement();
        ResultSet r = s.executeQuery(query)) {
      while (r.next()) {
        all.add(r.getString(1));
      }
    }
    return all;
  }

  /** Rows of a table; 0 where an older version had none. */
  private static int count(Connection db, String table) throws SQLException {
    String there =
        "SELECT COUNT(*) FROM information_schema.tables WHERE LOWER(table_name) = '" + table + "'";
    return column(db, there).get(0).equals("0")
        ? 0
        : Integer.parseInt(column(db, "SELECT COUNT(*) FROM " + table).get(0));
  }

  /** In words. */
  public String text() {
    return counted(jobs.size(), "job", "jobs")
        + ", "
        + counted(runs, "mould or cast", "moulds and casts")
        + " at the bench with "
        + counted(entries, "entry", "entries")
        + ", "
        + counted(casts, "cast", "casts")
        + " counted, "
        + counted(batches, "batch", "batches")
        + " put down";
  }

  private static String counted(int many, String one, String more) {
    return many + " " + (many == 1 ? one : more);
  }
}
