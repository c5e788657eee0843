package ungula.server;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import ungula.server.sheet.Typeface;

/** A label cast into the rubber: legible, found again, and one for one mould. */
public class CastLabelTest extends OnServer {

  private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ0123456789";

  /** Of a printed letter, across and up. */
  private static final int CELLS = 24;

  private static final int PX_PER_MM = 30;

  private String labelled() throws Exception {
    String id = server.addJob();
    server.write(id, "master.source", "SOLID");
    server.write(id, "label.place", "WALL");
    return id;
  }

  private String code(String id) throws Exception {
    return server.job(id).get("words").get("label.code").get("text").asString();
  }

  @Test
  public void itIsReadOffThePlateAsItWillBeReadOffTheRubber() throws Exception {
    String id = labelled();
    String code = code(id);
    server.write(id, "label.text", code + " / QUARTZ 1820");
    byte[] stl = server.get("/api/jobs/" + id + "/label.stl").raw();
    assertEquals(read(fromAbove(stl)), code + "QUARTZ1820");
    assertTrue(server.get("/api/jobs/" + id + "/label.3mf").raw().length > 1000);
  }

  /** What stands out of the plate, black; the other way round, as rubber takes its print. */
  private static BufferedImage fromAbove(byte[] stl) {
    ByteBuffer in = ByteBuffer.wrap(stl).order(ByteOrder.LITTLE_ENDIAN);
    int count = in.getInt(80);
    BufferedImage image =
        new BufferedImage(90 * PX_PER_MM, 40 * PX_PER_MM, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.setColor(Color.BLACK);
    for (int t = 0; t < count; t++) {
      int at = 84 + 50 * t + 12;
      Path2D path = new Path2D.Double();
      boolean top = true;
      for (int v = 0; v < 3; v++) {
        double x = 45 - in.getFloat(at + 12 * v);
        double y = 20 - in.getFloat(at + 12 * v + 4);
        top &= in.getFloat(at + 12 * v + 8) > 2.29;
        if (v == 0) {
          path.moveTo(x * PX_PER_MM, y * PX_PER_MM);
        } else {
          path.lineTo(x * PX_PER_MM, y * PX_PER_MM);
        }
      }
      if (top) {
        g.fill(path);
        g.draw(path);
      }
    }
    g.dispose();
    return image;
  }

  /** Line by line, letter by letter: each is the one its print is most like. */
  private static String read(BufferedImage image) throws Exception {
    List<boolean[]> known = new ArrayList<>();
    for (int i = 0; i < LETTERS.length(); i++) {
      known.add(cells(printed(LETTERS.substring(i, i + 1))));
    }
    StringBuilder read = new StringBuilder();
    for (int[] rows :
        runs(image.getHeight(), y -> anyBlack(image, 0, image.getWidth(), y, y + 1))) {
      for (int[] columns :
          runs(image.getWidth(), x -> anyBlack(image, x, x + 1, rows[0], rows[1]))) {
        BufferedImage one =
            image.getSubimage(columns[0], rows[0], columns[1] - columns[0], rows[1] - rows[0]);
        boolean[] its = cells(one);
        int best =
            IntStream.range(0, known.size())
                .reduce((a, b) -> alike(its, known.get(b)) > alike(its, known.get(a)) ? b : a)
                .getAsInt();
        read.append(LETTERS.charAt(best));
      }
    }
    return read.toString();
  }

  private static boolean anyBlack(BufferedImage image, int x0, int x1, int y0, int y1) {
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        if ((image.getRGB(x, y) & 0xff) < 128) {
          return true;
        }
      }
    }
    return false;
  }

  /** Stretches where something is. */
  private static List<int[]> runs(int length, IntPredicate there) {
    List<int[]> all = new ArrayList<>();
    int from = -1;
    for (int i = 0; i <= length; i++) {
      boolean now = i < length && there.test(i);
      if (now && from < 0) {
        from = i;
      } else if (!now && from >= 0) {
        all.add(new int[] {from, i});
        from = -1;
      }
    }
    return all;
  }

  /** Cut to what is black, and made so many cells large. */
  private static boolean[] cells(BufferedImage image) {
    int[] x = runs(image.getWidth(), i -> anyBlack(image, i, i + 1, 0, image.getHeight())).get(0);
    List<int[]> rows = runs(image.getHeight(), i -> anyBlack(image, 0, image.getWidth(), i, i + 1));
    int top = rows.get(0)[0];
    int high = rows.get(rows.size() - 1)[1] - top;
    boolean[] cells = new boolean[CELLS * CELLS];
    for (int i = 0; i < cells.length; i++) {
      double u = (i % CELLS + 0.5) / CELLS;
      double v = (i / CELLS + 0.5) / CELLS;
      int rgb = image.getRGB(x[0] + (int) (u * (x[1] - x[0])), top + (int) (v * high));
      cells[i] = (rgb & 0xff) < 128;
    }
    return cells;
  }

  private static long alike(boolean[] one, boolean[] other) {
    return IntStream.range(0, one.length).filter(i -> one[i] == other[i]).count();
  }

  /** A letter as a paper of the same typeface shows it. */
  private static BufferedImage printed(String letter) throws Exception {
    try (PDDocument document = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(200, 200));
      document.addPage(page);
      try (PDPageContentStream out = new PDPageContentStream(document, page)) {
        out.beginText();
        out.setFont(Typeface.BOLD.in(document), 150);
        out.newLineAtOffset(20, 40);
        out.showText(letter);
        out.endText();
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      try (PDDocument read = Loader.loadPDF(bytes.toByteArray())) {
        return new PDFRenderer(read).renderImage(0, 2);
      }
    }
  }

  @Test
  public void theDrawingIsAsLargeAsThePlate() throws Exception {
    String id = labelled();
    JsonNode label = server.job(id).get("castLabel");
    byte[] pdf = server.get("/api/jobs/" + id + "/label.pdf").raw();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      assertTrue(new PDFTextStripper().getText(document).contains("This line is 100 mm long"));
      int dpi = 254;
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, dpi);
      // the plate's upper edge is the first long line from the top
      int longest = 0;
      for (int y = 0; y < page.getHeight() / 2 && longest < 100; y++) {
        int row = y;
        List<int[]> runs = runs(page.getWidth(), x -> (page.getRGB(x, row) & 0xff) < 200);
        longest = runs.stream().mapToInt(r -> r[1] - r[0]).max().orElse(0);
      }
      assertEquals(longest * 25.4 / dpi, label.get("widthMm").asDouble(), 0.4);
    }
  }

  @Test
  public void theMouldIsFoundByTheCodeInItsRubberAndTheNextHasAnother() throws Exception {
    String id = labelled();
    String code = code(id);
    String copy = server.post("/api/jobs/" + id + "/copies", "").body().get("id").asString();
    assertNotEquals(code(copy), code);
    server.post("/api/moulds", "{\"job\":\"" + id + "\"}");
    assertEquals(server.get("/api/moulds/" + code).status(), 200);
    server.post("/api/moulds", "{\"job\":\"" + id + "\"}");
    JsonNode moulds = server.get("/api/moulds?q=&which=IN_USE&from=0").body().get("moulds");
    assertEquals(moulds.size(), 2, moulds.toString());
    // it is asked for another one
    server.write(id, "label.code", "");
    assertNotEquals(code(id), code);
  }
}
