package ungula.server.sheet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.caution.Caution;
import ungula.core.choice.First;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Length;
import ungula.core.skin.Coat;
import ungula.core.step.Step;
import ungula.core.working.Figure;

/**
 * What is needed at the bench, on one page where it fits: what to mix in all, every batch as a line
 * to tick, the mould with its cautions numbered, and the steps with their times.
 */
final class BenchPaper {

  private static final float DRAWN_HEIGHT = 176;
  private static final float PICTURE_WIDTH = 112;
  private static final float PICTURE_HEIGHT = 84;

  private final JobSheet.Content c;
  private final SheetPen pen;

  private BenchPaper(JobSheet.Content content, SheetPen pen) {
    this.c = content;
    this.pen = pen;
  }

  static void write(JobSheet.Content content, SheetPen pen) throws IOException {
    BenchPaper p = new BenchPaper(content, pen);
    p.amounts();
    p.batches();
    p.mould();
    if (content.stop().isEmpty()) {
      p.steps();
      p.happened();
    }
  }

  private void amounts() throws IOException {
    float top = pen.y();
    float textWidth = pen.width();
    if (c.picture() != null) {
      float x = pen.left() + pen.width() - PICTURE_WIDTH;
      pen.picture(c.picture(), x, top - PICTURE_HEIGHT, PICTURE_WIDTH, PICTURE_HEIGHT);
      textWidth -= PICTURE_WIDTH + 10;
    }
    String rubber = c.product().isEmpty() ? "No rubber is chosen yet" : c.product();
    pen.down(12);
    pen.text(rubber, pen.left(), pen.y(), 11, true, SheetPen.INK);
    if (!c.ratio().isEmpty()) {
      pen.down(13);
      pen.text(c.ratio(), pen.left(), pen.y(), 9, false, SheetPen.QUIET);
    }
    if (!c.stop().isEmpty()) {
      pen.down(26);
      pen.text("Nothing is weighed for it yet", pen.left(), pen.y(), 18, true, SheetPen.CLAY);
      pen.down(16);
      pen.text(c.stop() + ". See the cautions.", pen.left(), pen.y(), 11, false, SheetPen.CLAY);
    } else {
      total();
      also(textWidth);
    }
    float under = c.picture() == null ? 0 : PICTURE_HEIGHT - (top - pen.y());
    pen.down(Math.max(0, under) + 10);
  }

  private void total() throws IOException {
    Figure total = c.figures().get("all.total");
    if (total == null) {
      return;
    }
    pen.down(30);
    pen.text(total.text(), pen.left(), pen.y(), 28, true, SheetPen.INK);
    float after = pen.left() + pen.widthOf(total.text(), 28, true) + 10;
    pen.text(total.label(), after, pen.y(), 11, true, SheetPen.INK);
    String parts =
        inOrder("all.base", "all.hardener", List.of("all.additive", "all.also")).stream()
            .map(c.figures()::get)
            .filter(f -> f != null)
            .map(f -> f.text() + " of " + f.label().replace(" in all", ""))
            .collect(Collectors.joining(" + "));
    if (!parts.isEmpty()) {
      pen.down(15);
      pen.text(parts, pen.left(), pen.y(), 11, true, SheetPen.INK);
    }
  }

  /** In the order they go into the cup. */
  private List<String> inOrder(String base, String hardener, List<String> additives) {
    boolean first = c.choices().rubber().first() == First.BASE;
    List<String> all = new ArrayList<>(List.of(first ? base : hardener, first ? hardener : base));
    all.addAll(additives);
    return all;
  }

  private void also(float width) throws IOException {
    String words =
        Stream.of(
                "rubber.box",
                "rubber.mix",
                "box.inside",
                "cost.job",
                "life.casts",
                "cost.cast",
                "size.scaleUp")
            .map(c.figures()::get)
            .filter(f -> f != null)
            // a line breaks between them only
            .map(f -> (f.label() + " " + f.text()).replace(' ', '\u00a0'))
            .collect(Collectors.joining(" · "));
    pen.down(4);
    for (String line : pen.wrapped(words, 8.5f, false, width)) {
      pen.down(11);
      pen.text(line, pen.left(), pen.y(), 8.5f, false, SheetPen.INK);
    }
  }

  /** A line for each, with a box to tick and room for what was really weighed. */
  private void batches() throws IOException {
    float weigh = pen.left() + 168;
    float really = pen.left() + pen.width() - 150;
    if (!c.batches().isEmpty()) {
      pen.room(60);
      pen.down(8);
      pen.text("Mix", pen.left() + 18, pen.y(), 8, false, SheetPen.QUIET);
      int more = c.batches().stream().mapToInt(b -> b.additives().size()).max().orElse(0);
      boolean base = c.choices().rubber().first() == First.BASE;
      String order = base ? "Base + hardener" : "Hardener + base";
      pen.text(order + " + additive".repeat(more), weigh, pen.y(), 8, false, SheetPen.QUIET);
      pen.text("Really weighed, and when", really, pen.y(), 8, false, SheetPen.QUIET);
      pen.down(3);
    }
    for (PlannedBatch b : c.batches()) {
      pen.room(32);
      pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 0.4f, SheetPen.QUIET);
      pen.down(14);
      pen.box(pen.left(), pen.y() - 1, 10);
      String of = b.of().isEmpty() ? "" : ", " + b.of();
      pen.text(
          "Batch " + b.number() + " of " + c.batches().size() + of,
          pen.left() + 18,
          pen.y(),
          10,
          true,
          SheetPen.INK);
      pen.text(weights(b), weigh, pen.y(), 12, true, SheetPen.INK);
      for (int i = 0; i < 3; i++) {
        pen.rule(
            really + i * 52, pen.y() - 2, really + i * 52 + 44, pen.y() - 2, 0.6f, SheetPen.INK);
      }
      pen.down(12);
      pen.text(marks(b), pen.left() + 18, pen.y(), 8.5f, false, SheetPen.QUIET);
      pen.down(5);
    }
    pen.down(4);
  }

  private String weights(PlannedBatch b) {
    return inOrder(b.base(), b.hardener(), b.additives()).stream()
        .filter(key -> !key.isEmpty())
        .map(key -> c.figures().get(key).text())
        .collect(Collectors.joining(" + "));
  }

  /** Where it is filled to, how high it brings the box, when; of a coat how thick it is. */
  private String marks(PlannedBatch b) {
    List<String> marks = new ArrayList<>();
    if (c.skin() != null) {
      for (Coat coat : c.skin().coats()) {
        if (coat.number() == b.pour()) {
          marks.add(Length.format(coat.mm(), c.choices().units()) + " thick");
          if (coat.cloth()) {
            marks.add("with cloth");
          }
        }
      }
    }
    for (String mark : List.of(".line", ".fill", ".level", ".start", ".by")) {
      Figure f = c.figures().get(b.key() + mark);
      if (f != null) {
        marks.add(f.label().substring(f.label().indexOf(", ") + 2) + " " + f.text());
      }
    }
    return String.join(" · ", marks);
  }

  /** The mould, and beside it what to mind, numbered as on it. */
  private void mould() throws IOException {
    if (c.views().isEmpty() && c.cautions().isEmpty()) {
      return;
    }
    pen.room(DRAWN_HEIGHT + 60);
    float wide = c.views().isEmpty() ? 0 : pen.width() * 0.6f;
    float drawn =
        c.views().isEmpty()
            ? 0
            : SectionPrint.draw(
                pen, c.views().get(0), pen.left(), wide, DRAWN_HEIGHT, c.cautions());
    float x = pen.left() + wide + 8;
    float y = pen.y() - 10;
    float top = pen.y();
    int n = 0;
    for (Caution caution : c.cautions()) {
      boolean stop = caution.level() == Caution.Level.STOP;
      String title = (stop ? "STOP: " : "") + caution.title();
      pen.text(String.valueOf(++n), x, y, 8.5f, true, SheetPen.CLAY);
      for (String line : pen.wrapped(title, 8.5f, stop, pen.width() - wide - 24)) {
        pen.text(line, x + 15, y, 8.5f, stop, SheetPen.INK);
        y -= 10.5f;
      }
      y -= 1.5f;
    }
    pen.down(Math.max(drawn, top - y) + 6);
  }

  private void steps() throws IOException {
    if (c.steps().making().isEmpty()) {
      return;
    }
    pen.room(80);
    pen.line("In this order", 11, true, SheetPen.INK);
    List<SheetPen.Para> all = new ArrayList<>();
    int n = 0;
    String part = "";
    for (Step step : c.steps().making()) {
      if (!step.part().equals(part)) {
        part = step.part();
        all.add(new SheetPen.Para(part, 8.5f, true, SheetPen.QUIET, 3, true));
      }
      String waits = c.steps().waits(step);
      all.add(
          new SheetPen.Para(
              ++n
                  + ". "
                  + step.what()
                  + step.time().map(t -> "  " + t.text()).orElse("")
                  + (waits.isEmpty() ? "" : ", " + waits),
              8.5f,
              false,
              step.byHand() ? SheetPen.INK : SheetPen.QUIET,
              0,
              false));
    }
    pen.inColumns(all);
    pen.down(6);
  }

  private void happened() throws IOException {
    pen.room(64);
    pen.line("What really happened", 11, true, SheetPen.INK);
    String[][] rows = {
      {"room", "mixed at", "poured by", "level after"}, {"left over", "opened at", "looks", "notes"}
    };
    for (String[] row : rows) {
      pen.down(17);
      float step = pen.width() / row.length;
      for (int i = 0; i < row.length; i++) {
        float x = pen.left() + i * step;
        pen.text(row[i], x, pen.y(), 9, false, SheetPen.QUIET);
        float after = x + pen.widthOf(row[i], 9, false) + 5;
        pen.rule(after, pen.y() - 2, x + step - 10, pen.y() - 2, 0.6f, SheetPen.INK);
      }
    }
    pen.down(12);
  }
}
