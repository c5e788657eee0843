package ungula.server.archive;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Where what is kept names a product: fields that end so, whatever they lie in. */
final class ProductNames {

  private ProductNames() {}

  private static boolean names(String field) {
    String name = field.toLowerCase(Locale.ROOT);
    return name.endsWith("product") || name.equals("product_id");
  }

  /** Adds all that are named anywhere. */
  static void in(JsonNode node, Set<String> found) {
    if (node instanceof ObjectNode object) {
      object
          .properties()
          .forEach(
              e -> {
                if (names(e.getKey()) && e.getValue().isString()) {
                  found.add(e.getValue().asString());
                }
              });
    }
    node.forEach(n -> in(n, found));
  }

  /** Writes another name in the place of some. */
  static void replace(JsonNode node, Map<String, String> now) {
    if (node instanceof ObjectNode object) {
      object
          .properties()
          .forEach(
              e -> {
                if (names(e.getKey()) && now.containsKey(e.getValue().asString(""))) {
                  e.setValue(object.stringNode(now.get(e.getValue().asString())));
                }
              });
    }
    node.forEach(n -> replace(n, now));
  }
}
