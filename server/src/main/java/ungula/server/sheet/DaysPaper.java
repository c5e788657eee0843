package ungula.server.sheet;

import java.awt.Color;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import ungula.core.days.Moments;
import ungula.core.step.DayPlan;
import ungula.core.step.DayPlan.Placed;
import ungula.core.step.Step;
import ungula.core.step.Steps;

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

  /** Nothing while nothing is to be done. */
  static void write(Steps steps, SheetPen pen) throws IOException {
    if (steps.making().isEmpty()) {
      return;
    }
    pen.newPage();
    pen.line("Days", 13, true, SheetPen.INK);
    Optional<DayPlan> plan = DayPlan.of(steps);
    if (plan.isEmpty()) {
      pen.line("It does not fit in your hours of work: no times are told.", 9, true, SheetPen.CLAY);
      return;
    }
    DaysPaper p = new DaysPaper(plan.get(), pen);
    String says = plan.get().hands().text() + " of your hands; first cast out ";
    pen.line(says + plan.get().finish().text() + ".", 9, false, SheetPen.QUIET);
    p.days();
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
    List<String> lines = pen.wrapped(s.what(), SIZE, false, within);
    pen.room(12 * lines.size());
    long to = p.span().end();
    boolean sameDay = plan.line().days(p.span().begin(), to) == 0;
    String end =
        sameDay ? clock(to) : Moments.weekday(plan.line().at(to).toLocalDate()) + " " + clock(to);
    pen.down(12);
    Color ink = s.byHand() ? SheetPen.INK : SheetPen.QUIET;
    if (s.byHand()) {
      pen.box(pen.left(), pen.y() - 1, 7);
    }
    pen.text(clock(p.span().begin()) + "–" + end, pen.left() + 12, pen.y(), SIZE, false, ink);
    String takes = plan.takes(p).text();
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
