package ungula.core.step;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import ungula.core.choice.Choices;
import ungula.core.days.Diary;
import ungula.core.days.Forecast;
import ungula.core.days.Hours.Span;
import ungula.core.quantity.Units;
import ungula.core.workshop.WorkHours;

/** A workshop that works nine hours every day, without a break. */
final class NineHours {

  static final WorkHours HOURS = hours();

  private NineHours() {}

  private static WorkHours hours() {
    Map<DayOfWeek, List<Span>> week = new EnumMap<>(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      week.put(day, List.of(new Span(LocalTime.of(8, 0), LocalTime.of(17, 0))));
    }
    return new WorkHours(null, week, null, null, 1, null);
  }

  static Timeline line(List<Step> steps) {
    return Timeline.of(
        StepNetwork.of(steps, 23),
        HOURS,
        Forecast.of(23),
        Choices.fresh(Units.METRIC).days(),
        Diary.PLAIN);
  }
}
