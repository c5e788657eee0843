package ungula.core.cutlist;

import java.util.Locale;
import ungula.core.cutlist.CutSheet.Line;
import ungula.core.cutlist.CutSheet.Text;

/** A cut sheet as SVG at 1:1: a unit is a millimetre, and the page says how large it is. */
public final class Svg {

  private Svg() {}

  public static String of(CutSheet sheet) {
    StringBuilder out = new StringBuilder();
    out.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.3fmm\" height=\"%2$.3fmm\""
                + " viewBox=\"0 0 %1$.3f %2$.3f\" fill=\"none\" stroke-width=\"0.2\">%n",
            sheet.widthMm(),
            sheet.heightMm()));
    for (Line line : sheet.lines()) {
      out.append(
          switch (line.layer()) {
            case CUT -> "<path stroke=\"#1d2a36\" d=\"";
            case SCORE -> "<path stroke=\"#a3451f\" stroke-dasharray=\"2 1\" d=\"";
            case CHECK -> "<path stroke=\"#77705f\" d=\"";
          });
      for (int i = 0; i < line.points().length; i += 2) {
        out.append(
            String.format(
                Locale.ROOT,
                "%s%.3f %.3f",
                i == 0 ? "M" : "L",
                line.points()[i],
                sheet.heightMm() - line.points()[i + 1]));
      }
      out.append(line.closed() ? "Z" : "").append("\"/>\n");
    }
    for (Text t : sheet.texts()) {
      out.append(
          String.format(
              Locale.ROOT,
              "<text x=\"%.3f\" y=\"%.3f\" font-size=\"%.2f\" font-family=\"sans-serif\""
                  + " fill=\"#000\">%s</text>%n",
              t.x(),
              sheet.heightMm() - t.y(),
              t.heightMm(),
              t.text().replace("&", "&amp;").replace("<", "&lt;")));
    }
    return out.append("</svg>\n").toString();
  }
}
