package ungula.server.sheet;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ungula.core.caution.Caution;
import ungula.core.choice.Choices;
import ungula.core.choice.First;
import ungula.core.cutlist.CutList;
import ungula.core.cutlist.CutPart;
import ungula.core.mould.SectionDrawing;
import ungula.core.mould.SectionDrawing.Dimension;
import ungula.core.mould.SectionDrawing.Side;
import ungula.core.plan.SkinPart;
import ungula.core.pour.PlannedBatch;
import ungula.core.quantity.Length;
import ungula.core.quantity.Timespan;
import ungula.core.skin.Coat;
import ungula.core.skin.SkinClock;
import ungula.core.step.CoatClock;
import ungula.core.step.Step;
import ungula.core.step.Steps;
import ungula.core.working.Figure;
import ungula.core.working.Given;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/** The paper that goes to the bench: what to weigh in large type, the section, cautions, blanks. */
final class JobSheet {

  private static final Color RUBBER = new Color(0xcfe1e3);
  private static final Color WALL = new Color(0xe3d6bb);
  private static final Color MASTER = new Color(0xfffdf8);
  private static final float SECTION_HEIGHT = 250;

  /**
   * @param stop what stops the mould, so that nothing is weighed; empty when nothing does
   * @param missing what it lacks and why, as sentences
   * @param steps of the work
   * @param views of the box, the most telling first; empty while there is none
   * @param cuts what to cut for it; null while there is none
   * @param batches of rubber, one card each
   * @param skin of a skin mould; null for any other
   * @param build rubber of its build coats; empty where all coats are of one
   * @param picture null without a model
   * @param product name of the rubber; empty while none is picked
   * @param ratio in plain words; empty while there is none
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
      LocalDate day) {}

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
    try (SheetPen pen = new SheetPen(paper, content.job + " · " + date(content.day))) {
      new JobSheet(content, pen).all();
      pen.save(to);
    }
  }

  private static String date(LocalDate day) {
    return day.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(Locale.UK));
  }

  private void all() throws IOException {
    head();
    missing();
    amounts();
    if (!c.views.isEmpty()) {
      section(c.views.get(0));
    }
    order();
    blanks();
    cautions();
    if (c.cuts != null) {
      box(c.cuts);
    }
    if (c.skin != null && c.stop.isEmpty()) {
      skin(c.skin);
    } else {
      cards();
    }
    working();
  }

  private void head() throws IOException {
    pen.line(c.job, 20, true, SheetPen.INK);
    pen.line(c.workshop.name() + " · " + date(c.day), 9, false, SheetPen.QUIET);
    pen.down(4);
    pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 1.2f, SheetPen.INK);
    pen.down(10);
  }

  /** What is not on this paper, before anybody takes it for all there is. */
  private void missing() throws IOException {
    for (String m : c.missing) {
      pen.line(m, 11, true, SheetPen.CLAY);
    }
    if (!c.missing.isEmpty()) {
      pen.down(8);
    }
  }

  private void amounts() throws IOException {
    float top = pen.y();
    float x = pen.left();
    if (c.picture != null) {
      pen.picture(c.picture, x, top - 132, 176, 132);
      x += 194;
    }
    float y = top - 12;
    String rubber = c.product.isEmpty() ? "No rubber is picked yet" : c.product;
    pen.text(rubber, x, y, 11, true, SheetPen.INK);
    if (!c.ratio.isEmpty()) {
      y -= 14;
      pen.text(c.ratio, x, y, 9, false, SheetPen.QUIET);
    }
    boolean baseFirst = c.choices.rubber().first() == First.BASE;
    String[] order =
        baseFirst
            ? new String[] {"mix.base", "mix.hardener", "mix.additive"}
            : new String[] {"mix.hardener", "mix.base", "mix.additive"};
    if (!c.stop.isEmpty()) {
      pen.text("Nothing is weighed for it yet", x, y - 30, 20, true, SheetPen.CLAY);
      pen.text(c.stop + ". See the cautions.", x, y - 46, 11, false, SheetPen.CLAY);
      pen.down(Math.max(c.picture == null ? 0 : 140, top - y + 56) + 6);
      return;
    }
    for (String key : order) {
      Figure f = c.figures.get(key);
      if (f != null) {
        y -= 34;
        pen.text(f.text(), x, y, 28, true, SheetPen.INK);
        pen.text(f.label(), x + pen.widthOf(f.text(), 28, true) + 8, y, 11, false, SheetPen.INK);
      }
    }
    y -= 18;
    String[] also = {
      "rest.base",
      "rest.hardener",
      "later.base",
      "later.hardener",
      "rubber.box",
      "rubber.mix",
      "cost.job",
      "life.casts",
      "cost.cast",
      "size.scaleUp"
    };
    for (String key : also) {
      Figure f = c.figures.get(key);
      if (f != null) {
        pen.text(f.label() + " " + f.text(), x, y, 9, false, SheetPen.INK);
        y -= 12;
      }
    }
    pen.down(Math.max(c.picture == null ? 0 : 140, top - y) + 6);
  }

  /** The other views, and what to cut. */
  private void box(CutList cuts) throws IOException {
    pen.newPage();
    pen.line("The box", 14, true, SheetPen.INK);
    pen.down(4);
    for (View view : c.views.subList(1, c.views.size())) {
      section(view);
    }
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

  /** Every coat with its weights and room for what was really weighed, the clock, the jacket. */
  private void skin(SkinPart skin) throws IOException {
    pen.newPage();
    pen.line("The skin", 14, true, SheetPen.INK);
    pen.down(4);
    float[] at = {0, 96, 150, 220, 400};
    String[] heads = {"Coat", "Thick", "Rubber", "Base + hardener + thickener", "Really weighed"};
    row(at, heads, true);
    for (Coat coat : skin.coats()) {
      String key = "coat." + coat.number();
      List<String> parts = new ArrayList<>();
      for (String part : new String[] {".base", ".hardener", ".thickener"}) {
        if (c.figures.containsKey(key + part)) {
          parts.add(c.figures.get(key + part).text());
        }
      }
      row(
          at,
          new String[] {
            coat.number() + " " + coat.kind().text() + (coat.cloth() ? ", cloth" : ""),
            Length.format(coat.mm(), c.choices.units()),
            c.figures.get(key + ".volume").text(),
            String.join(" + ", parts),
            "___________________"
          },
          false);
    }
    if (!c.build.isEmpty()) {
      pen.down(4);
      pen.line(
          "Build coats of " + c.build + ", the others of " + c.product + ".",
          9,
          false,
          SheetPen.INK);
    }
    if (c.figures.containsKey("site.trips")) {
      pen.line(
          c.choices.site().place().text()
              + ": "
              + c.figures.get("site.trips").text()
              + ", the heaviest bucket "
              + c.figures.get("site.bucket").text(),
          9,
          false,
          SheetPen.INK);
    }
    pen.down(8);
    Optional<CoatClock> clock = CoatClock.of(c.steps);
    if (clock.isPresent()) {
      strip(clock.get().clock());
    }
    for (View view : c.views.subList(1, c.views.size())) {
      section(view);
    }
    if (c.figures.containsKey("jacket.sections")) {
      jacket();
    }
  }

  private void row(float[] at, String[] cells, boolean head) throws IOException {
    pen.room(20);
    for (int i = 0; i < cells.length; i++) {
      Color colour = head ? SheetPen.QUIET : SheetPen.INK;
      pen.text(cells[i], pen.left() + at[i], pen.y() - 10, 9, !head && i == 3, colour);
    }
    pen.down(17);
    pen.rule(pen.left(), pen.y() + 2, pen.left() + pen.width(), pen.y() + 2, 0.4f, SheetPen.QUIET);
  }

  /** When each coat goes on: hands-on time dark, the time in which the next sticks light. */
  private void strip(SkinClock clock) throws IOException {
    pen.room(40 + 14 * clock.coats().size());
    pen.line("When the coats go on", 11, true, SheetPen.INK);
    double end =
        clock.coats().stream().mapToDouble(b -> Math.max(b.toMin(), b.closesMin())).max().orElse(1);
    float x0 = pen.left() + 215;
    float wide = pen.width() - 225;
    for (SkinClock.Brushing b : clock.coats()) {
      float y = pen.y() - 10;
      pen.text(
          b.number()
              + "   "
              + Timespan.clock(b.fromMin())
              + " to "
              + Timespan.clock(b.toMin())
              + (b.next() == null ? "" : "; the next " + b.window()),
          pen.left(),
          y,
          9,
          false,
          SheetPen.INK);
      bar(x0, wide, b.opensMin() / end, b.closesMin() / end, y, RUBBER);
      bar(x0, wide, b.fromMin() / end, b.toMin() / end, y, SheetPen.INK);
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
        c.choices.jacket().kind().text() + ", " + c.figures.get("jacket.sections").text(),
        9.5f,
        true,
        SheetPen.INK);
    for (Figure f : c.figures.values()) {
      if (f.key().startsWith("jacket.") && !f.key().equals("jacket.sections")) {
        pen.room(14);
        pen.line(f.label() + ": " + f.text(), 9, false, SheetPen.INK);
      }
    }
    pen.down(8);
  }

  private void section(View view) throws IOException {
    pen.room(SECTION_HEIGHT + 60);
    SectionDrawing d = view.drawing;
    float wide = (float) (d.right() - d.left());
    float high = (float) (d.top() - d.bottom());
    float gutter = 70;
    float scale = Math.min((pen.width() - 2 * gutter) / wide, SECTION_HEIGHT / high);
    float x0 =
        pen.left()
            + gutter
            + (pen.width() - 2 * gutter - wide * scale) / 2
            - (float) d.left() * scale;
    float y0 = pen.y() - 6 - (float) d.top() * scale;
    for (SectionDrawing.Shape shape : d.shapes()) {
      List<float[]> rings = new ArrayList<>();
      for (double[] ring : shape.rings()) {
        float[] points = new float[ring.length];
        for (int i = 0; i < ring.length; i += 2) {
          points[i] = x0 + (float) ring[i] * scale;
          points[i + 1] = y0 + (float) ring[i + 1] * scale;
        }
        rings.add(points);
      }
      draw(shape.role(), rings);
    }
    float base = y0 + (float) d.bottom() * scale;
    float side = x0 + (float) d.left() * scale;
    for (Dimension dim : d.dimensions()) {
      dimension(dim, x0, y0, scale, base, side);
    }
    pen.down(6 + high * scale + 52);
    pen.text(view.seen, pen.left(), pen.y() + 8, 8, false, SheetPen.QUIET);
  }

  private void draw(SectionDrawing.Role role, List<float[]> rings) throws IOException {
    switch (role) {
      case RUBBER -> pen.polygon(rings, RUBBER, null);
      case PLATE, WALL -> pen.polygon(rings, WALL, SheetPen.INK);
      case MASTER -> {
        pen.polygon(rings, MASTER, null);
        pen.hatch(rings, SheetPen.QUIET);
        pen.polygon(rings, null, SheetPen.INK);
      }
      case ENVELOPE -> pen.polygon(rings, MASTER, SheetPen.QUIET);
      case SHADOW, AIR, CAST_AIR -> pen.polygon(rings, null, SheetPen.QUIET);
      case JACKET -> pen.polygon(rings, WALL, SheetPen.INK);
      case DETAIL_COAT, BUILD_COAT, SMOOTHING_COAT -> pen.polygon(rings, RUBBER, SheetPen.INK);
      case PLUG -> pen.polygon(rings, SheetPen.CLAY, SheetPen.INK);
      case KEY, SPRUE, CORE, CLOTH -> pen.polygon(rings, null, SheetPen.INK);
      case POUR_LINE, GAP -> lines(rings, 1, SheetPen.CLAY);
      case PARTING, CUT_LINE -> lines(rings, 1.6f, SheetPen.INK);
    }
  }

  private void lines(List<float[]> all, float thick, Color colour) throws IOException {
    for (float[] line : all) {
      for (int i = 2; i < line.length; i += 2) {
        pen.rule(line[i - 2], line[i - 1], line[i], line[i + 1], thick, colour);
      }
    }
  }

  private void dimension(Dimension dim, float x0, float y0, float scale, float base, float side)
      throws IOException {
    boolean below = dim.side() == Side.BELOW;
    float a = (below ? x0 : y0) + (float) dim.from() * scale;
    float b = (below ? x0 : y0) + (float) dim.to() * scale;
    float out = (below ? base : side) - 12 - 18 * (dim.row() - 1);
    if (below) {
      pen.rule(a, out, b, out, 0.6f, SheetPen.INK);
      pen.rule(a, out - 3, a, out + 3, 0.6f, SheetPen.INK);
      pen.rule(b, out - 3, b, out + 3, 0.6f, SheetPen.INK);
      pen.centred(dim.text(), (a + b) / 2, out - 9, 8, false, SheetPen.INK);
    } else {
      float at = side - 10 - 34 * (dim.row() - 1);
      pen.rule(at, a, at, b, 0.6f, SheetPen.INK);
      pen.rule(at - 3, a, at + 3, a, 0.6f, SheetPen.INK);
      pen.rule(at - 3, b, at + 3, b, 0.6f, SheetPen.INK);
      float wide = pen.widthOf(dim.text(), 8, false);
      pen.text(dim.text(), at - 5 - wide, (a + b) / 2 - 3, 8, false, SheetPen.INK);
    }
  }

  private void order() throws IOException {
    if (c.steps.making().isEmpty() || !c.stop.isEmpty()) {
      return;
    }
    pen.room(80);
    pen.line("In this order", 11, true, SheetPen.INK);
    int n = 0;
    String part = "";
    for (Step step : c.steps.making()) {
      if (!step.part().equals(part)) {
        part = step.part();
        pen.room(40);
        pen.down(3);
        pen.line(part, 9, true, SheetPen.QUIET);
      }
      pen.room(24);
      String waits = c.steps.waits(step);
      pen.line(
          ++n
              + ". "
              + step.what()
              + step.time().map(t -> "  " + t.text()).orElse("")
              + (waits.isEmpty() ? "" : ", " + waits),
          9,
          false,
          step.byHand() ? SheetPen.INK : SheetPen.QUIET);
    }
    pen.down(8);
  }

  /** For the bench: one card a batch, in large figures, with room for what really happened. */
  private void cards() throws IOException {
    if (!c.batches.isEmpty()) {
      pen.newPage();
    }
    for (PlannedBatch batch : c.batches) {
      pen.room(150);
      pen.line(
          "Batch "
              + batch.number()
              + " of "
              + c.batches.size()
              + (batch.of().isEmpty() ? "" : ", " + batch.of()),
          13,
          true,
          SheetPen.INK);
      pen.down(4);
      for (String key : List.of(batch.base(), batch.hardener(), batch.additive())) {
        if (!key.isEmpty()) {
          Figure f = c.figures.get(key);
          pen.down(22);
          pen.text(f.text(), pen.left(), pen.y(), 22, true, SheetPen.INK);
          float after = pen.left() + pen.widthOf(f.text(), 22, true) + 8;
          pen.text(f.label().split(",")[0], after, pen.y(), 10, false, SheetPen.INK);
        }
      }
      pen.down(6);
      List<String> marks = new ArrayList<>();
      for (String mark : List.of(".fill", ".level", ".start", ".by")) {
        Figure f = c.figures.get(batch.key() + mark);
        if (f != null) {
          marks.add(f.label() + " " + f.text());
        }
      }
      pen.line(String.join("  ·  ", marks), 10, false, SheetPen.INK);
      rows(new String[][] {{"base", "hardener", "begun", "poured"}});
      pen.rule(pen.left(), pen.y(), pen.left() + pen.width(), pen.y(), 0.6f, SheetPen.QUIET);
      pen.down(12);
    }
  }

  private void blanks() throws IOException {
    pen.room(70);
    pen.line("What really happened", 11, true, SheetPen.INK);
    rows(
        new String[][] {
          {"base", "hardener", "room", "mixed at"},
          {"poured by", "level after", "left over", "opened at"}
        });
  }

  /** Lines to write on. */
  private void rows(String[][] rows) throws IOException {
    for (String[] row : rows) {
      pen.down(20);
      float step = pen.width() / row.length;
      for (int i = 0; i < row.length; i++) {
        float x = pen.left() + i * step;
        pen.text(row[i], x, pen.y(), 9, false, SheetPen.QUIET);
        float after = x + pen.widthOf(row[i], 9, false) + 5;
        pen.rule(after, pen.y() - 2, x + step - 10, pen.y() - 2, 0.6f, SheetPen.INK);
      }
    }
    pen.down(14);
  }

  private void cautions() throws IOException {
    if (!c.cautions.isEmpty()) {
      pen.room(60);
      pen.line("Cautions", 11, true, SheetPen.INK);
    }
    for (Caution caution : c.cautions) {
      String level =
          switch (caution.level()) {
            case STOP -> "STOP";
            case CHECK -> "CHECK";
            case NOTE -> "NOTE";
          };
      pen.line(level + "  " + caution.title(), 9, true, SheetPen.INK);
      pen.line(caution.text(), 9, false, SheetPen.INK);
      pen.down(3);
    }
    pen.line(
        "Follow the product's own safety and technical sheets and your local rules; where the sheet"
            + " and this paper differ, the sheet wins.",
        8,
        false,
        SheetPen.QUIET);
  }

  private void working() throws IOException {
    pen.newPage();
    pen.line("The working", 14, true, SheetPen.INK);
    pen.down(4);
    for (Figure f : c.figures.values()) {
      if (f.key().startsWith("master.volume.")) {
        continue;
      }
      Working w = f.working();
      pen.room(40);
      pen.line(f.label() + ": " + f.text(), 9.5f, true, SheetPen.INK);
      pen.line(w.formula(), 9, false, SheetPen.INK);
      StringBuilder givens = new StringBuilder();
      for (Given g : w.givens()) {
        givens.append(givens.isEmpty() ? "" : " · ");
        givens.append(g.name()).append(" ").append(g.text());
        givens.append(" (").append(g.source().name().toLowerCase(Locale.ROOT)).append(")");
      }
      if (!givens.isEmpty()) {
        pen.line(givens.toString(), 8.5f, false, SheetPen.QUIET);
      }
      for (String step : w.steps()) {
        pen.line(step, 8.5f, false, SheetPen.QUIET);
      }
      if (!w.rounding().isEmpty() || !w.plusMinus().isEmpty()) {
        pen.line((w.rounding() + "  " + w.plusMinus()).strip(), 8.5f, false, SheetPen.QUIET);
      }
      pen.down(4);
    }
  }
}
