package ungula.server.command;

import static ungula.server.command.JsonFile.text;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import ungula.core.diagnose.Diagnosis;
import ungula.core.diagnose.Diagnosis.Ranked;
import ungula.core.diagnose.Facts;
import ungula.core.diagnose.Question;
import ungula.core.diagnose.Seen;
import ungula.core.quantity.Numbers;
import ungula.server.command.JsonFile.Unreadable;

/** {@code diagnose FILE}: why something went wrong, no server; keys in docs/methods.md, "Log". */
public final class Diagnose implements FileCommand.Answer {

  private static final String USAGE = "diagnose FILE.json [--json]";
  private static final String FILE = "the file";

  private final Diagnosis diagnosis;

  private Diagnose(Diagnosis diagnosis) {
    this.diagnosis = diagnosis;
  }

  /**
   * @return exit status: 0, 2 for bad arguments, 3 for a file that cannot be read
   */
  public static int run(List<String> args, PrintStream out, PrintStream err) {
    return FileCommand.run(
        USAGE, "One case is looked at at a time.", args, out, err, Diagnose::answer);
  }

  private static Diagnose answer(byte[] json) throws Unreadable {
    JsonNode all = JsonFile.object(json, "A case");
    String seen = text(all, "seen", FILE);
    Map<String, Object> record = facts(all.get("record"), "record");
    if (all.hasNonNull("witness")) {
      record.put("witness", all.get("witness").asString());
    }
    try {
      return new Diagnose(
          Diagnosis.of(
              Seen.valueOf(seen), new Facts(record, facts(all.get("answers"), "answers"))));
    } catch (IllegalArgumentException unknown) {
      throw new Unreadable(
          FILE + ", seen: “" + seen + "” is none of " + Arrays.toString(Seen.values()) + ".");
    }
  }

  private static Map<String, Object> facts(JsonNode of, String where) throws Unreadable {
    Map<String, Object> facts = new LinkedHashMap<>();
    if (of == null || of.isNull()) {
      return facts;
    }
    if (!of.isObject()) {
      throw new Unreadable(FILE + ", " + where + ": it is one object, { … }.");
    }
    for (String key : of.propertyNames()) {
      JsonNode v = of.get(key);
      if (v.isNumber()) {
        facts.put(key, v.asDouble());
      } else if (v.isBoolean()) {
        facts.put(key, v.asBoolean());
      } else if (v.isString()) {
        facts.put(key, v.asString());
      } else if (v.isObject() && key.equals("ratio") && v.hasNonNull("a") && v.hasNonNull("b")) {
        facts.put(key, v.get("a").asString() + " : " + v.get("b").asString());
      } else if (!v.isNull()) {
        throw new Unreadable(FILE + ", " + key + ": a number, a text, true or false is asked for.");
      }
    }
    return facts;
  }

  @Override
  public Map<String, Object> fields() {
    List<Map<String, Object>> causes = new ArrayList<>();
    for (Ranked r : diagnosis.causes()) {
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("key", r.cause().name());
      one.put("name", r.cause().text());
      one.put("score", r.score());
      one.put("begins", r.begins());
      one.put("for", r.forIt());
      one.put("against", r.against());
      one.put("now", r.cause().now());
      one.put("next", r.cause().next());
      causes.add(one);
    }
    List<Map<String, Object>> questions = new ArrayList<>();
    for (Question q : diagnosis.questions()) {
      questions.add(Map.of("fact", q.fact(), "text", q.text()));
    }
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("causes", causes);
    all.put("questions", questions);
    return all;
  }

  @Override
  public void print(PrintStream out) {
    int n = 0;
    for (Ranked r : diagnosis.causes()) {
      out.println(++n + ". " + r.cause().text() + "   " + Numbers.trimmed(r.score(), 1));
      r.forIt().forEach(f -> out.println("   for      " + f));
      r.against().forEach(a -> out.println("   against  " + a));
      if (n == 1) {
        out.println("   now      " + r.cause().now());
        out.println("   next     " + r.cause().next());
      }
    }
    if (!diagnosis.questions().isEmpty()) {
      out.println("It would help to know:");
      diagnosis.questions().forEach(q -> out.println("   " + q.text()));
    }
  }
}
