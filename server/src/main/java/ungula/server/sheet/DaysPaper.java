package ungula.server.sheet;

import java.io.IOException;
import java.time.LocalDate;
import ungula.core.days.Moments;
import ungula.core.quantity.Timespan;
import ungula.core.step.DayPlan;
import ungula.core.step.DayPlan.Placed;
import ungula.core.step.Step;
import ungula.core.step.Timeline;

/** The days on one page: what is done when, with a box to tick, and what is waited for. */
final class DaysPaper {

  private static final float TIME_WIDTH = 78;
  private static final float TAKES_WIDTH = 62;
  private static final float SIZE = 8.5f;

  private final DayPlan plan;
  private final SheetPen pen;

  private DaysPaper(DayPlan plan, SheetPen pen) {
    this.plan = plan;
    this.pen = pen;
  }

  static void write(DayPlan plan, SheetPen pen) throws IOException {
    DaysPaper p = new DaysPaper(plan, pen);
    pen.newPage();
    pen.line("Days", 13, true, SheetPen.INK);
    pen.line(
        Timespan.formatMin(plan.handsMin())
            + " of your hands; finished "
            + p.text(plan.line().end())
            + ".",
        9,
        false,
        SheetPen.QUIET);
    if (plan.line().kept() != Timeline.Kept.HOURS) {
      pen.line(
          "It does not fit in your hours of work: breaks or nights are worked through.",
          9,
          true,
          SheetPen.CLAY);
    }
    p.days();
  }

  private String text(long time) {
    return Moments.text(plan.line().at(time).toLocalDateTime());
  }

  private String clock(long time) {
    return Moments.clock(plan.line().at(time).toLocalTime());
  }

  private void days() throws IOException {
    LocalDate day = null;
    for (Placed p : plan.steps()) {
      LocalDate on = plan.line().at(p.span().begin()).toLocalDate();
      if (!on.equals(day)) {
        day = on;
        pen.room(40);
        pen.down(8);
        pen.line(Moments.day(day), 10.5f, true, SheetPen.INK);
        pen.rule(
            pen.left(), pen.y() + 3, pen.left() + pen.width(), pen.y() + 3, 0.5f, SheetPen.QUIET);
      }
      step(p);
    }
  }

  private void step(Placed p) throws IOException {
    Step s = p.step();
    float within = pen.width() - TIME_WIDTH - TAKES_WIDTH;
    var lines = pen.wrapped(s.what(), SIZE, false, within);
    pen.room(12 * lines.size());
    boolean sameDay = plan.line().days(p.span().begin(), p.span().end()) == 0;
    String end =
        sameDay ? clock(p.span().end()) : text(p.span().end()).replaceFirst(" \\d+ \\w+", "");
    pen.down(12);
    var ink = s.byHand() ? SheetPen.INK : SheetPen.QUIET;
    if (s.byHand()) {
      pen.box(pen.left(), pen.y() - 1, 7);
    }
    pen.text(clock(p.span().begin()) + "–" + end, pen.left() + 12, pen.y(), SIZE, false, ink);
    String takes = Timespan.formatMin(Timeline.minutes(p.span().begin(), p.span().end()));
    pen.text(
        takes,
        pen.left() + pen.width() - pen.widthOf(takes, SIZE, false),
        pen.y(),
        SIZE,
        false,
        ink);
    for (int i = 0; i < lines.size(); i++) {
      if (i > 0) {
        pen.down(11);
      }
      pen.text(lines.get(i), pen.left() + TIME_WIDTH, pen.y(), SIZE, false, ink);
    }
  }
}
