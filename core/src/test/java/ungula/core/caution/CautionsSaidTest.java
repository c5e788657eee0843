package ungula.core.caution;

import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import ungula.core.AnyPlans;
import ungula.core.Golden;

/**
 * Every caution that plans at random have, as it is said the first time: read line by line. When
 * one is meant to change, read the new file under target and put it in the place of the old.
 */
public class CautionsSaidTest {

  @Test
  public void eachIsSaidAsItWasRead() throws IOException {
    Map<String, String> first = new TreeMap<>();
    for (AnyPlans.Planned p : AnyPlans.first(600)) {
      p.plan()
          .cautions()
          .forEach(c -> first.putIfAbsent(c.id().replaceAll("\\.\\d+$", ".n"), said(c)));
    }
    Golden.same(CautionsSaidTest.class, "cautions.txt", String.join("\n", first.values()));
  }

  private static String said(Caution c) {
    String at =
        c.place() == null
            ? ""
            : String.format(
                Locale.ROOT, " @ %.1f %.1f %.1f", c.place().x(), c.place().y(), c.place().z());
    return c.fixes().stream()
        .map(
            f ->
                "  > "
                    + f.label()
                    + (f.price().isEmpty() ? "" : " (" + f.price() + ")")
                    + f.edits().stream()
                        .map(e -> " " + e.word() + "=" + e.text())
                        .collect(Collectors.joining())
                    + "\n")
        .collect(
            Collectors.joining(
                "",
                c.id() + " " + c.level() + at + "\n  " + c.title() + "\n  " + c.text() + "\n",
                ""));
  }
}
