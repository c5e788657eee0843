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
    return clock(t, skin.brief().choices().skin(), skin.coats().size());
  }

  static SkinClock clock(Timeline t, Skin asked, int coats) {
    List<Brushing> all = new ArrayList<>();
    for (int n = 1; n <= coats; n++) {
      long from = t.of(SkinProcedure.key(n) + ".weigh").begin();
      long on = t.of(SkinProcedure.key(n) + ".brush").end();
      all.add(
          n == coats
              ? new Brushing(n, from, on, null, on, on, "", false)
              : brushing(t, n, asked.after(n), new Span(from, on)));
    }
    return new SkinClock(List.copyOf(all), t.of("coat.cure").end(), t.at(0).getZone());
  }

  private static Brushing brushing(Timeline t, int coat, Recoat asked, Span on) {
    String key = SkinProcedure.key(coat + 1) + ".weigh";
    long next = t.of(key).begin();
    Recoat how = t.days(on.begin(), next) > 0 ? Recoat.NEXT_DAY : asked;
    long lets = t.after(key).stream().mapToLong(t::lets).max().orElse(on.end());
    long sticks = t.window(key).map(Timeline.Window::closes).orElse(Long.MAX_VALUE);
    long opens = how == Recoat.NEXT_DAY ? next : lets;
    long closes = how == Recoat.TACKY ? sticks : Math.max(opens, t.endOfDay(opens));
    return new Brushing(
        coat, on.begin(), on.end(), how, opens, closes, missed(how), on.end() > sticks);
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
