package ungula.server.command;

import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the files of commands are read with: each fault is said with where it is. */
final class JsonFile {

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private JsonFile() {}

  /** What of a file is not understood: one line with what, where and what would be. */
  static final class Unreadable extends Exception {
    Unreadable(String message) {
      super(message);
    }
  }

  /**
   * @param what it is, as a sentence begins
   */
  static JsonNode object(byte[] json, String what) throws Unreadable {
    JsonNode all;
    try {
      all = JSON.readTree(json);
    } catch (JacksonException e) {
      throw new Unreadable("This is not JSON: " + e.getOriginalMessage().replaceAll("\\s+", " "));
    }
    if (!all.isObject()) {
      throw new Unreadable(what + " is one object, { … }.");
    }
    return all;
  }

  static double number(JsonNode n, String where, double least, double most) throws Unreadable {
    if (n == null || !n.isNumber()) {
      throw new Unreadable(where + ": a number is asked for.");
    }
    double number = n.asDouble();
    if (!(number >= least && number <= most)) {
      throw new Unreadable(
          String.format(Locale.ROOT, "%s: from %.0f to %.0f, not %s.", where, least, most, n));
    }
    return number;
  }

  /** The same where it may be missing; null then. */
  static Double maybe(JsonNode of, String key, String where, double least, double most)
      throws Unreadable {
    JsonNode n = of.get(key);
    return n == null || n.isNull() ? null : (Double) number(n, where + ", " + key, least, most);
  }

  static double or(Double number, double otherwise) {
    return number == null ? otherwise : number;
  }

  static int or(Integer number, int otherwise) {
    return number == null ? otherwise : number;
  }

  /** A whole number. */
  static int count(JsonNode n, String where, int least, int most) throws Unreadable {
    double number = number(n, where, least, most);
    if (number != Math.rint(number)) {
      throw new Unreadable(where + ": a whole number is asked for.");
    }
    return (int) number;
  }

  static Integer maybeCount(JsonNode of, String key, String where, int least, int most)
      throws Unreadable {
    JsonNode n = of.get(key);
    return n == null || n.isNull() ? null : (Integer) count(n, where + ", " + key, least, most);
  }

  /** An object in another. */
  static JsonNode part(JsonNode of, String key, String where) throws Unreadable {
    JsonNode part = of.get(key);
    if (part == null || !part.isObject()) {
      throw new Unreadable(where + ": \"" + key + "\" is missing, or is no object, { … }.");
    }
    return part;
  }

  static boolean flag(JsonNode of, String key, String where) throws Unreadable {
    JsonNode flag = of.get(key);
    if (flag != null && !flag.isNull() && !flag.isBoolean()) {
      throw new Unreadable(where + ", " + key + ": true or false, not " + flag + ".");
    }
    return flag != null && flag.isBoolean() && flag.asBoolean();
  }

  static String text(JsonNode of, String key, String where) throws Unreadable {
    JsonNode text = of.get(key);
    if (text == null || !text.isString()) {
      throw new Unreadable(where + ": \"" + key + "\" is missing, or is no text.");
    }
    return text.asString();
  }

  static JsonNode list(JsonNode of, String key, String where) throws Unreadable {
    JsonNode list = of.get(key);
    if (list == null || list.isNull()) {
      return JSON.createArrayNode();
    }
    return isList(list, where + ", " + key);
  }

  static JsonNode isList(JsonNode list, String where) throws Unreadable {
    if (!list.isArray()) {
      throw new Unreadable(where + ": a list is asked for, [ … ].");
    }
    return list;
  }

  static List<String> texts(JsonNode list, String where) throws Unreadable {
    List<String> all = new ArrayList<>();
    for (JsonNode text : isList(list, where)) {
      if (!text.isString()) {
        throw new Unreadable(where + ": a text is asked for, not " + text + ".");
      }
      all.add(text.asString());
    }
    return all;
  }

  static Map<String, JsonNode> fields(JsonNode of, String key) throws Unreadable {
    JsonNode fields = of.get(key);
    Map<String, JsonNode> all = new LinkedHashMap<>();
    if (fields == null || fields.isNull()) {
      return all;
    }
    if (!fields.isObject()) {
      throw new Unreadable(key + ": an object is asked for, { … }.");
    }
    fields.properties().forEach(e -> all.put(e.getKey(), e.getValue()));
    return all;
  }

  static <T> T of(String text, String where, Function<String, T> read, String like)
      throws Unreadable {
    try {
      return read.apply(text);
    } catch (DateTimeException e) {
      throw new Unreadable(where + ": written like " + like + ", “" + text + "” is not.");
    }
  }
}
