package ungula.server.sheet;

import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.quantity.Day;
import ungula.core.step.Step;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;

/**
 * The casts of a job on paper: what to mix and in what order, then a line for each cast, those that
 * were recorded written out, the others to be filled in by hand.
 */
public final class CastSheet {

  private static final float ROW = 24;

  /** Where each column begins, as a share of the width. */
  private static final float[] AT = {0, 0.045f, 0.105f, 0.285f, 0.43f, 0.5f, 0.6f, 0.77f};

  private static final String[] HEADS = {
    "",
    "mould",
    "day, who",
    "really weighed",
    "room",
    "poured, out",
    "good · repair · scrap",
    "what, and where"
  };

  /**
   * @param of what is cast
   * @param stop what stops casting; empty when nothing does
   * @param missing what it lacks and why, as sentences
   * @param made so far, the oldest first
   * @param open lines to be filled in, at least one page of them
   */
  public record Content(
      String job,
      Workshop workshop,
      Map<String, Figure> figures,
      String of,
      String stop,
      List<String> missing,
      Steps steps,
      List<Row> made,
      int open,
      LocalDate day) {}

  /**
   * A cast that was recorded.
   *
   * @param result which of the three it is, from 0; −1 for a clean-out
   */
  public record Row(int number, int mould, String at, String mass, int result, String why) {}

  private final Content c;
  private final SheetPen pen;

  private CastSheet(Content c, SheetPen pen) {
    this.c = c;
    this.pen = pen;
  }

  public static void write(Content c, Workshop.Paper paper, OutputStream to) throws IOException {
    String footer = c.workshop().name() + " · " + c.job() + " · " + Day.format(c.day());
    try (SheetPen pen = new SheetPen(paper, footer)) {
      new CastSheet(c, pen).write();
      pen.save(to);
    }
  }

  private void write() throws IOException {
    pen.line(c.job() + ": casts", 20, true, SheetPen.INK);
    pen.line("of " + c.of(), 11, true, SheetPen.INK);
    for (String m : c.missing()) {
      pen.line(m, 11, true, SheetPen.CLAY);
    }
    if (!c.stop().isEmpty()) {
      pen.down(8);
      pen.line("Nothing is weighed for it yet", 18, true, SheetPen.CLAY);
      pen.line(c.stop() + ". See the cautions.", 11, false, SheetPen.CLAY);
      return;
    }
    amounts();
    steps();
    rows();
  }

  private Stream<Figure> shown(String... keys) {
    return Stream.of(keys).map(c.figures()::get).filter(f -> f != null);
  }

  private void amounts() throws IOException {
    Optional<Figure> total = shown("cast.total", "cast.mixed").findFirst();
    if (total.isEmpty()) {
      return;
    }
    pen.down(26);
    String text = total.get().text();
    pen.text(text, pen.left(), pen.y(), 24, true, SheetPen.INK);
    float after = pen.left() + pen.widthOf(text, 24, true) + 10;
    pen.text("for each pour", after, pen.y(), 11, true, SheetPen.INK);
    pen.down(4);
    String parts =
        shown("cast.first", "cast.second", "cast.filler", "cast.also")
            .map(f -> f.text() + " of " + f.label())
            .collect(Collectors.joining(" + "));
    if (!parts.isEmpty()) {
      pen.line(parts, 12, true, SheetPen.INK);
    }
    String also =
        shown("cast.firstLine", "cast.secondLine", "cast.potLife", "cast.opens")
            .map(f -> (f.label() + " " + f.text()).replace(' ', '\u00a0'))
            .collect(Collectors.joining(" · "));
    pen.line(also, 9, false, SheetPen.INK);
    pen.down(6);
  }

  private void steps() throws IOException {
    List<SheetPen.Para> all = new ArrayList<>();
    for (Step s : c.steps().casting()) {
      String time = s.time().map(t -> "  " + t.text()).orElse("");
      all.add(
          new SheetPen.Para(
              (all.size() + 1) + ". " + s.what() + time,
              8.5f,
              false,
              s.byHand() ? SheetPen.INK : SheetPen.QUIET,
              0,
              false));
    }
    pen.inColumns(all);
    pen.down(8);
  }

  private void rows() throws IOException {
    heads();
    for (Row r : c.made()) {
      row(r);
    }
    int number = c.made().stream().mapToInt(Row::number).max().orElse(0);
    for (int i = 1; i <= c.open(); i++) {
      row(new Row(number + i, 0, "", "", -1, ""));
    }
  }

  private float x(int column) {
    return pen.left() + AT[column] * pen.width();
  }

  private void heads() throws IOException {
    pen.room(3 * ROW);
    pen.down(10);
    for (int i = 0; i < HEADS.length; i++) {
      pen.text(HEADS[i], x(i), pen.y(), 7.5f, false, SheetPen.QUIET);
    }
    pen.down(4);
  }

  private void row(Row r) throws IOException {
    pen.room(ROW);
    pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 0.4f, SheetPen.QUIET);
    pen.down(ROW - 8);
    pen.text(String.valueOf(r.number()), x(0), pen.y(), 10, true, SheetPen.INK);
    if (r.mould() > 0) {
      pen.text(String.valueOf(r.mould()), x(1), pen.y(), 10, false, SheetPen.INK);
      pen.text(r.at(), x(2), pen.y(), 8.5f, false, SheetPen.INK);
      pen.text(r.mass(), x(3), pen.y(), 10, false, SheetPen.INK);
    }
    for (int i = 0; i < 3; i++) {
      float at = x(6) + 4 + i * 14;
      pen.box(at, pen.y() - 1, 9);
      if (r.result() == i) {
        pen.disc(at + 4.5f, pen.y() + 3.5f, 3, SheetPen.INK, SheetPen.INK);
      }
    }
    List<String> why = pen.wrapped(r.why(), 8, false, pen.left() + pen.width() - x(7));
    for (int i = 0; i < Math.min(2, why.size()); i++) {
      float up = why.size() > 1 ? 4 : 0;
      pen.text(why.get(i), x(7), pen.y() + up - 9 * i, 8, false, SheetPen.INK);
    }
    pen.down(8);
  }
}
