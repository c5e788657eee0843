package ungula.core.cutlist;

import java.util.Locale;
import ungula.core.cutlist.CutSheet.Layer;
import ungula.core.cutlist.CutSheet.Line;
import ungula.core.cutlist.CutSheet.Text;

/**
 * A cut sheet as DXF of release 12 in text, which every cutter's program reads: polylines and
 * texts, a layer each for what is cut, scored and checked by. The unit is the millimetre: a comment
 * says so, and the header in the words of later releases, which older readers pass over.
 */
public final class Dxf {

  private static final String MILLIMETRES = "4";
  private static final String METRIC = "1";

  private final StringBuilder out = new StringBuilder();

  private Dxf() {}

  public static String of(CutSheet sheet) {
    Dxf d = new Dxf();
    d.write(sheet);
    return d.out.toString();
  }

  private void write(CutSheet sheet) {
    pair(999, "Units: millimetres");
    pair(0, "SECTION").pair(2, "HEADER").pair(9, "$ACADVER").pair(1, "AC1009");
    pair(9, "$INSUNITS").pair(70, MILLIMETRES).pair(9, "$MEASUREMENT").pair(70, METRIC);
    pair(9, "$EXTMIN").pair(10, 0).pair(20, 0).pair(30, 0);
    pair(9, "$EXTMAX").pair(10, sheet.widthMm()).pair(20, sheet.heightMm()).pair(30, 0);
    pair(0, "ENDSEC").pair(0, "SECTION").pair(2, "TABLES");
    pair(0, "TABLE").pair(2, "LAYER").pair(70, String.valueOf(Layer.values().length));
    for (Layer layer : Layer.values()) {
      pair(0, "LAYER").pair(2, layer.name()).pair(70, "0");
      pair(62, "7").pair(6, "CONTINUOUS");
    }
    pair(0, "ENDTAB").pair(0, "ENDSEC").pair(0, "SECTION").pair(2, "ENTITIES");
    sheet.lines().forEach(this::polyline);
    sheet.texts().forEach(this::text);
    pair(0, "ENDSEC").pair(0, "EOF");
  }

  private void polyline(Line line) {
    String layer = line.layer().name();
    pair(0, "POLYLINE").pair(8, layer).pair(66, "1").pair(70, line.closed() ? "1" : "0");
    for (int i = 0; i < line.points().length; i += 2) {
      pair(0, "VERTEX").pair(8, layer);
      pair(10, line.points()[i]).pair(20, line.points()[i + 1]).pair(30, 0);
    }
    pair(0, "SEQEND").pair(8, layer);
  }

  private void text(Text text) {
    pair(0, "TEXT").pair(8, Layer.CHECK.name()).pair(10, text.x()).pair(20, text.y()).pair(30, 0);
    // release 12 knows no letters beyond these
    pair(40, text.heightMm()).pair(1, text.text().replace('×', 'x').replaceAll("[^ -~]", " "));
  }

  private Dxf pair(int code, double value) {
    return pair(code, String.format(Locale.ROOT, "%.4f", value));
  }

  private Dxf pair(int code, String value) {
    out.append(code).append("\r\n").append(value).append("\r\n");
    return this;
  }
}
