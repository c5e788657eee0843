package ungula.server.sheet;

import java.io.IOException;
import java.util.Locale;
import ungula.core.working.Figure;
import ungula.core.working.Given;
import ungula.core.working.Working;

/** How every figure of a job comes about, for those who ask. */
final class WorkingPaper {

  private WorkingPaper() {}

  static void write(Iterable<Figure> figures, SheetPen pen) throws IOException {
    pen.newPage();
    pen.line("The working", 14, true, SheetPen.INK);
    pen.down(4);
    for (Figure f : figures) {
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
