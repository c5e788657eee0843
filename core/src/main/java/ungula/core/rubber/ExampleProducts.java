package ungula.core.rubber;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import ungula.core.table.Csv;

/** Made-up products that Ungula ships with, to start from: a table as it can be imported too. */
public final class ExampleProducts {

  private static final Map<String, Product> ALL = read();

  private ExampleProducts() {}

  /** By id. */
  public static Map<String, Product> all() {
    return ALL;
  }

  private static Map<String, Product> read() {
    try (InputStream in = ExampleProducts.class.getResourceAsStream("examples.csv")) {
      List<Map<String, String>> rows =
          Csv.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      Map<String, Product> all = new LinkedHashMap<>();
      for (int i = 0; i < rows.size(); i++) {
        all.put(rows.get(i).get("id"), ProductTable.product(rows.get(i), i + 1));
      }
      return Collections.unmodifiableMap(all);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
