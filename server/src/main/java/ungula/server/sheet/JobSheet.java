package ungula.server.sheet;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ungula.core.caution.Caution;
import ungula.core.choice.Choices;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.CutPart;
import ungula.core.mould.SectionDrawing;
import ungula.core.plan.SkinPart;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Day;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.workshop.Workshop;

/**
 * A job on paper: first what is needed at the bench, then what the cautions say, what to cut and
 * what belongs to a skin; the working of every figure only when it is asked for.
 */
final class JobSheet {

  private static final float VIEW_HEIGHT = 170;

  /**
   * @param stop what stops the mould, so that nothing is weighed; empty when nothing does
   * @param missing what it lacks and why, as sentences
   * @param steps of the work
   * @param views of the box, the most telling first; empty while there is none
   * @param cuts what to cut for it; null while there is none
   * @param batches of rubber, in the order they are mixed
   * @param skin of a skin mould; null for any other
   * @param build rubber of its build coats; empty where all coats are of one
   * @param picture null without a model
   * @param product name of the rubber; empty while none is picked
   * @param ratio in plain words; empty while there is none
   * @param working whether the working of the figures goes with it
   */
  record Content(
      String job,
      Workshop workshop,
      Choices choices,
      Map<String, Figure> figures,
      List<Caution> cautions,
      String stop,
      List<String> missing,
      Steps steps,
      List<View> views,
      CutList cuts,
      List<PlannedBatch> batches,
      SkinPart skin,
      String build,
      BufferedImage picture,
      String product,
      String ratio,
      LocalDate day,
      boolean working) {}

  /**
   * @param seen from where, in words
   */
  record View(SectionDrawing drawing, String seen) {}

  private final Content c;
  private final SheetPen pen;

  private JobSheet(Content content, SheetPen pen) {
    this.c = content;
    this.pen = pen;
  }

  static void write(Content content, Workshop.Paper paper, OutputStream to) throws IOException {
    try (SheetPen pen = new SheetPen(paper, content.job + " · " + Day.format(content.day))) {
      new JobSheet(content, pen).all();
      pen.save(to);
    }
  }

  private void all() throws IOException {
    head();
    BenchPaper.write(c, pen);
    cautions();
    if (c.cuts != null) {
      box(c.cuts);
    }
    if (c.skin != null && c.stop.isEmpty()) {
      heading("The skin", VIEW_HEIGHT + 70);
      views();
      SkinPaper.write(c, pen);
    }
    if (c.stop.isEmpty()) {
      DaysPaper.write(c.steps, pen);
    }
    if (c.working) {
      WorkingPaper.write(c.figures.values(), pen);
    }
  }

  /**
   * @param with what has to stand on the same page, points
   */
  private void heading(String text, float with) throws IOException {
    pen.room(30 + with);
    pen.down(6);
    pen.line(text, 13, true, SheetPen.INK);
    pen.down(2);
  }

  private void head() throws IOException {
    pen.line(c.job, 20, true, SheetPen.INK);
    pen.line(c.workshop.name() + " · " + Day.format(c.day), 9, false, SheetPen.QUIET);
    pen.down(4);
    pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 1.2f, SheetPen.INK);
    pen.down(8);
    // what is not on this paper, before anybody takes it for all there is
    for (String m : c.missing) {
      pen.line(m, 11, true, SheetPen.CLAY);
    }
  }

  /** What they say, numbered as on the drawing. */
  private void cautions() throws IOException {
    List<SheetPen.Para> all = new ArrayList<>();
    int n = 0;
    for (Caution caution : c.cautions) {
      String level =
          switch (caution.level()) {
            case STOP -> "STOP";
            case CHECK -> "CHECK";
            case NOTE -> "NOTE";
          };
      String title = ++n + "  " + level + "  " + caution.title();
      all.add(new SheetPen.Para(title, 9, true, SheetPen.INK, 4, true));
      all.add(new SheetPen.Para(caution.text(), 8.5f, false, SheetPen.INK, 0, false));
    }
    if (!all.isEmpty()) {
      heading("What the cautions say", 50);
      pen.inColumns(all);
    }
    pen.down(4);
    pen.line(
        "Follow the product's own safety and technical sheets and your local rules; where the sheet"
            + " and this paper differ, the sheet wins.",
        8,
        false,
        SheetPen.QUIET);
  }

  /** The other views, and what to cut. */
  private void box(CutList cuts) throws IOException {
    heading("The box", VIEW_HEIGHT + 70);
    views();
    for (CutPart part : cuts.parts()) {
      pen.room(30);
      String count = part.count() == 1 ? "" : part.count() + " × ";
      pen.line(count + part.name() + ", " + part.size(), 9.5f, true, SheetPen.INK);
      if (!part.note().isEmpty()) {
        pen.line(part.note(), 8.5f, false, SheetPen.QUIET);
      }
    }
    for (String also : cuts.besides()) {
      pen.line(also, 9, false, SheetPen.INK);
    }
  }

  /** All views but the first, which stands on the bench's page, side by side. */
  private void views() throws IOException {
    if (c.views.size() < 2) {
      return;
    }
    pen.room(VIEW_HEIGHT + 70);
    List<View> views = c.views.subList(1, c.views.size());
    float wide = pen.width() / views.size();
    float tallest = 0;
    for (int i = 0; i < views.size(); i++) {
      float left = pen.left() + i * wide;
      tallest =
          Math.max(
              tallest,
              SectionPrint.draw(pen, views.get(i), left, wide - 10, VIEW_HEIGHT, List.of()));
    }
    pen.down(tallest + 6);
  }
}
