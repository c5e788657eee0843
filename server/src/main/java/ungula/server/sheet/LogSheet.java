package ungula.server.sheet;

import java.awt.Color;
import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import ungula.core.days.Moments;
import ungula.core.log.LogLine;
import ungula.core.quantity.Day;
import ungula.core.workshop.Workshop;

/** The record of a job on paper: what happened, in order, with what was planned beside it. */
public final class LogSheet {

  private static final float SIZE = 8.5f;
  private static final float LINE = 10.5f;

  /** Where each column begins, as a share of the width: time, who, what, planned, actual. */
  private static final float[] AT = {0, 0.075f, 0.135f, 0.545f, 0.68f, 0.815f};

  private static final String[] HEADS = {"", "who", "what", "planned", "actual", "difference"};

  private final SheetPen pen;

  private LogSheet(SheetPen pen) {
    this.pen = pen;
  }

  public static void write(
      String job, List<LogLine> lines, Workshop shop, LocalDate day, OutputStream to)
      throws IOException {
    String footer = shop.name() + " · " + job + " · " + Day.format(day);
    try (SheetPen pen = new SheetPen(shop.paper(), footer)) {
      pen.line(job + ": log", 20, true, SheetPen.INK);
      pen.down(4);
      new LogSheet(pen).lines(lines, shop);
      pen.save(to);
    }
  }

  private void lines(List<LogLine> lines, Workshop shop) throws IOException {
    if (lines.isEmpty()) {
      pen.line("Nothing has happened yet.", 11, false, SheetPen.INK);
    }
    LocalDate day = null;
    for (LogLine l : lines) {
      LocalDateTime at = l.at().atZone(shop.hours().clock()).toLocalDateTime();
      if (!at.toLocalDate().equals(day)) {
        day = at.toLocalDate();
        pen.room(60);
        pen.down(8);
        pen.line(Moments.dayOfYear(day), 11, true, SheetPen.INK);
        row(HEADS, SheetPen.QUIET);
      }
      String[] cells = {
        Moments.clock(at.toLocalTime()),
        l.who(),
        l.struck().isEmpty() ? l.what() : "Does not count: " + l.what() + ". " + l.struck(),
        l.planned(),
        l.actual(),
        l.off()
      };
      row(cells, l.struck().isEmpty() ? SheetPen.INK : SheetPen.QUIET);
    }
  }

  private void row(String[] cells, Color colour) throws IOException {
    List<List<String>> wrapped = new ArrayList<>();
    int most = 1;
    for (int i = 0; i < cells.length; i++) {
      float next = i + 1 < AT.length ? AT[i + 1] : 1;
      wrapped.add(pen.wrapped(cells[i], SIZE, false, (next - AT[i]) * pen.width() - 6));
      most = Math.max(most, wrapped.get(i).size());
    }
    pen.room(most * LINE + 4);
    pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 0.3f, SheetPen.QUIET);
    for (int i = 0; i < cells.length; i++) {
      boolean off = i == cells.length - 1 && colour == SheetPen.INK;
      for (int n = 0; n < wrapped.get(i).size(); n++) {
        pen.text(
            wrapped.get(i).get(n),
            pen.left() + AT[i] * pen.width(),
            pen.y() - LINE * (n + 1),
            SIZE,
            false,
            off ? SheetPen.CLAY : colour);
      }
    }
    pen.down(most * LINE + 4);
  }
}
