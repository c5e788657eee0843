package ungula.server.sheet;

import java.awt.Color;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import ungula.core.skin.SkinClock;
import ungula.core.step.CoatClock;
import ungula.core.working.Figure;

/** What only a skin has: when its coats go on, where it is made, and its jacket. */
final class SkinPaper {

  private final JobSheet.Content c;
  private final SheetPen pen;

  private SkinPaper(JobSheet.Content content, SheetPen pen) {
    this.c = content;
    this.pen = pen;
  }

  static void write(JobSheet.Content content, SheetPen pen) throws IOException {
    SkinPaper s = new SkinPaper(content, pen);
    s.rubbers();
    var clock = CoatClock.of(content.steps());
    if (clock.isPresent()) {
      s.strip(clock.get().clock());
    }
    if (content.figures().containsKey("jacket.sections")) {
      s.jacket();
    }
  }

  private void rubbers() throws IOException {
    if (!c.build().isEmpty()) {
      pen.line(
          "Build coats of " + c.build() + ", the others of " + c.product() + ".",
          9,
          false,
          SheetPen.INK);
    }
    if (c.figures().containsKey("site.trips")) {
      pen.line(
          c.choices().site().place().text()
              + ": "
              + c.figures().get("site.trips").text()
              + ", the heaviest bucket "
              + c.figures().get("site.bucket").text(),
          9,
          false,
          SheetPen.INK);
    }
    pen.down(8);
  }

  /** When each coat goes on: hands-on time dark, the time in which the next sticks light. */
  private void strip(SkinClock clock) throws IOException {
    pen.room(40 + 14 * clock.coats().size());
    pen.line("When the coats go on", 11, true, SheetPen.INK);
    long begin = clock.coats().get(0).from();
    double lasts =
        clock.coats().stream().mapToLong(b -> Math.max(b.to(), b.closes())).max().orElse(1) - begin;
    float x0 = pen.left() + 215;
    float wide = pen.width() - 225;
    for (SkinClock.Brushing b : clock.coats()) {
      float y = pen.y() - 10;
      pen.text(
          b.number()
              + "   "
              + clock.brushed(b)
              + (b.next() == null ? "" : "; the next " + clock.window(b)),
          pen.left(),
          y,
          9,
          false,
          SheetPen.INK);
      bar(x0, wide, (b.opens() - begin) / lasts, (b.closes() - begin) / lasts, y, SheetPen.RUBBER);
      bar(x0, wide, (b.from() - begin) / lasts, (b.to() - begin) / lasts, y, SheetPen.INK);
      pen.down(14);
    }
    pen.down(4);
    for (String missed :
        clock.coats().stream().map(SkinClock.Brushing::missed).distinct().toList()) {
      if (!missed.isEmpty()) {
        pen.line("Missed: " + missed + ".", 9, false, SheetPen.QUIET);
      }
    }
    pen.down(10);
  }

  private void bar(float x0, float wide, double from, double to, float y, Color fill)
      throws IOException {
    if (to > from) {
      float a = x0 + wide * (float) from;
      float b = Math.max(a + 1, x0 + wide * (float) to);
      pen.polygon(List.of(new float[] {a, y - 1, b, y - 1, b, y + 8, a, y + 8}), fill, null);
    }
  }

  private void jacket() throws IOException {
    pen.room(120);
    pen.line("The jacket", 11, true, SheetPen.INK);
    pen.line(
        c.choices().jacket().kind().text() + ", " + c.figures().get("jacket.sections").text(),
        9.5f,
        true,
        SheetPen.INK);
    List<SheetPen.Para> all = new ArrayList<>();
    for (Figure f : c.figures().values()) {
      if (f.key().startsWith("jacket.") && !f.key().equals("jacket.sections")) {
        String says = f.label() + ": " + f.text();
        all.add(new SheetPen.Para(says, 9, false, SheetPen.INK, 0, false));
      }
    }
    pen.inColumns(all);
    pen.down(8);
  }
}
