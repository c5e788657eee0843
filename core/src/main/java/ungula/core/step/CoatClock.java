package ungula.core.step;

import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ungula.core.plan.SkinPart;
import ungula.core.quantity.Timespan;
import ungula.core.skin.Coat;
import ungula.core.skin.Recoat;
import ungula.core.skin.Skin;
import ungula.core.skin.SkinClock;
import ungula.core.skin.SkinClock.Brushing;
import ungula.core.step.Timeline.Span;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/** When each coat of a skin goes on, read off the schedule of its steps. */
public record CoatClock(SkinPart skin, SkinClock clock) {

  /** Empty while the times of its rubber are not known. */
  public static Optional<CoatClock> of(Steps steps) {
    return steps
        .plan()
        .skin()
        .filter(s -> s.detail() != null && s.build() != null && !steps.making().isEmpty())
        .map(s -> new CoatClock(s, clock(steps.timeline(), s)));
  }

  private static SkinClock clock(Timeline t, SkinPart skin) {
    Skin asked = skin.brief().choices().skin();
    return clock(t, asked, skin.coats().stream().map(skin::times).toList());
  }

  /**
   * @param times of each coat's rubber
   */
  static SkinClock clock(Timeline t, Skin asked, List<SkinClock.Times> times) {
    List<Brushing> all = new ArrayList<>();
    for (int n = 1; n <= times.size(); n++) {
      long from = t.of(SkinProcedure.key(n) + ".weigh").begin();
      long on = t.of(SkinProcedure.key(n) + ".brush").end();
      Span next = t.of(SkinProcedure.key(n + 1) + ".weigh");
      all.add(
          next == null
              ? new Brushing(n, from, on, null, on, on, "", false)
              : brushing(t, n, asked.after(n), times.get(n - 1), new Span(from, on), next));
    }
    return new SkinClock(List.copyOf(all), t.of("coat.cure").end(), t.at(0).getZone());
  }

  private static Brushing brushing(
      Timeline t, int coat, Recoat asked, SkinClock.Times times, Span on, Span next) {
    Recoat how = t.days(on.begin(), next.begin()) > 0 ? Recoat.NEXT_DAY : asked;
    long opens =
        switch (how) {
          case TACKY -> after(on.begin(), times.gelMin());
          case SET -> after(on.begin(), times.setMin());
          case NEXT_DAY -> next.begin();
        };
    long closes =
        switch (how) {
          case TACKY -> after(on.begin(), times.openMin());
          case SET -> Math.max(opens, t.endOfDay(opens));
          case NEXT_DAY -> t.endOfDay(opens);
        };
    boolean late = asked == Recoat.TACKY && on.end() > after(on.begin(), times.openMin());
    return new Brushing(coat, on.begin(), on.end(), how, opens, closes, missed(how), late);
  }

  private static long after(long time, double minutes) {
    return time + Math.round(60 * minutes);
  }

  private static String missed(Recoat how) {
    return switch (how) {
      case TACKY -> "let it cure, and go on the next day: dust off, massage a thin layer in first";
      case SET -> "go on the next day: dust off, massage a thin layer in first";
      case NEXT_DAY -> "the longer it waits, the more it must be wiped down and massaged in";
    };
  }

  void show(FigureBook figures) {
    Coat last = skin.coats().get(skin.coats().size() - 1);
    double min = Timeline.minutes(clock.coats().get(0).from(), clock.cured());
    figures.put(
        "skin.cured",
        "until the skin has cured",
        min,
        Timespan.formatMin(min),
        Working.of("last coat mixed + time until it has set")
            .given("counted from", "when the first coat is mixed", COMPUTED)
            .given("days with coats", clock.days() + "", COMPUTED)
            .given("sets in", Timespan.formatMin(skin.times(last).setMin()), SHEET)
            .done());
  }
}
