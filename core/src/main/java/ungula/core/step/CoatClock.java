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

/** When each coat of a skin goes on, read off its steps: minutes from the morning of the first. */
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
    double first =
        Timeline.day(t.of(SkinProcedure.key(1) + ".weigh").beginMin()) * Timeline.DAY_MIN;
    List<Brushing> all = new ArrayList<>();
    for (int n = 1; n <= times.size(); n++) {
      Span weigh = t.of(SkinProcedure.key(n) + ".weigh");
      double on = t.of(SkinProcedure.key(n) + ".brush").endMin() - first;
      double from = weigh.beginMin() - first;
      Span next = t.of(SkinProcedure.key(n + 1) + ".weigh");
      all.add(
          next == null
              ? new Brushing(n, from, on, null, on, on, "")
              : brushing(n, asked.after(n), times.get(n - 1), on, first, weigh, next));
    }
    return new SkinClock(List.copyOf(all), t.of("coat.cure").endMin() - first);
  }

  private static Brushing brushing(
      int coat,
      Recoat asked,
      SkinClock.Times times,
      double on,
      double first,
      Span weigh,
      Span next) {
    double from = weigh.beginMin() - first;
    boolean night = Timeline.day(next.beginMin()) > Timeline.day(weigh.beginMin());
    Recoat how = night ? Recoat.NEXT_DAY : asked;
    double evening = Timeline.day(weigh.beginMin()) * Timeline.DAY_MIN + Timeline.WORKING_MIN;
    double morning = Timeline.day(next.beginMin()) * Timeline.DAY_MIN;
    double opens =
        switch (how) {
          case TACKY -> from + times.gelMin();
          case SET -> from + times.setMin();
          case NEXT_DAY -> morning - first;
        };
    double closes =
        switch (how) {
          case TACKY -> from + times.openMin();
          case SET -> Math.max(opens, evening - first);
          case NEXT_DAY -> morning + Timeline.WORKING_MIN - first;
        };
    return new Brushing(coat, from, on, how, opens, closes, missed(how));
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
    figures.put(
        "skin.cured",
        "until the skin has cured",
        clock.curedMin(),
        Timespan.formatMin(clock.curedMin()),
        Working.of("last coat mixed + time until it has set")
            .given("counted from", "the morning of the first coat", COMPUTED)
            .given("days with coats", clock.days() + "", COMPUTED)
            .given("sets in", Timespan.formatMin(skin.times(last).setMin()), SHEET)
            .done());
  }
}
