package ungula.core.library;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.quantity.Day;
import ungula.core.working.Figure;

/**
 * What stands on a mould's label.
 *
 * @param of what the mould is of, with its number where its job has several
 * @param part of the mould it is on: empty for the mould itself
 * @param code by which it is found
 * @param link what a reader of the square code is told: the address of the mould's page, or the
 *     code alone while no address is known
 * @param lines what there is to know, the first most
 */
public record Label(String of, String part, String code, String link, List<String> lines) {

  public Label {
    lines = List.copyOf(lines);
  }

  /**
   * @param address the workshop is reached under; null while nobody said
   * @param figures of the job's plan; empty where it was made for none
   * @param gave casts so far
   * @param day the label is made
   */
  public static Label of(
      String of,
      String code,
      String address,
      Mould mould,
      Map<String, Figure> figures,
      int gave,
      LocalDate day) {
    List<String> lines = new ArrayList<>();
    lines.add(
        joined(
            mould.place(),
            gave == 0
                ? ""
                : "gave "
                    + gave
                    + (mould.expects() == null ? "" : " of about " + mould.expects())
                    + " by "
                    + Day.format(day)));
    lines.add(
        joined(
            mould.made() == null ? "" : Day.format(mould.made()),
            mould.rubber(),
            mould.lot() == null ? "" : "lot " + mould.lot()));
    lines.add(cast(figures));
    lines.add(
        figures.containsKey("cast.volume")
            ? figures.containsKey("cast.sprue")
                ? "poured through a hole of " + figures.get("cast.sprue").text()
                : "poured in where it is open"
            : "");
    lines.add(mould.jacket() == null ? "" : "lies in its jacket: " + mould.jacket());
    String link = address == null ? code : address + "/moulds/" + code;
    return new Label(of, "", code, link, lines.stream().filter(l -> !l.isEmpty()).toList());
  }

  /** Volume of a cast, and what is mixed for it. */
  private static String cast(Map<String, Figure> figures) {
    String parts =
        Stream.of("cast.first", "cast.second")
            .map(figures::get)
            .filter(f -> f != null)
            .map(f -> f.text() + " " + f.label())
            .collect(Collectors.joining(" + "));
    Figure volume = figures.get("cast.volume");
    return joined(volume == null ? "" : "a cast takes " + volume.text(), parts);
  }

  private static String joined(String... parts) {
    return Stream.of(parts)
        .filter(p -> p != null && !p.isEmpty())
        .collect(Collectors.joining(" \u00b7 "));
  }

  /** The same for a section of the jacket, which carries the code of the skin that lies in it. */
  public Label onJacket(int section, int sections) {
    String name = sections == 1 ? "jacket" : "jacket, part " + section + " of " + sections;
    return new Label(of, name, code, link, lines);
  }
}
