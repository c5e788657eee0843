package ungula.core.cutlist;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import ungula.core.Near;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.master.Solid;
import ungula.core.master.Tessellation;
import ungula.core.mesh.Outline;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Keying;
import ungula.core.parting.PartedMaster;
import ungula.core.parting.Parting;
import ungula.core.parting.PartingLine;
import ungula.core.parting.Riser;
import ungula.core.parting.SealRing;
import ungula.core.quantity.Units;

public class CutListTest {

  private static BoxMould box(TriangleMesh mesh, BoxShape shape) {
    PosedMaster p = PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
    Vec3 s = p.mesh().bounds().size();
    BoxInside rectangle = BoxInside.rectangle(s.x(), s.y(), 12, 12, 12, 12);
    BoxInside inside = BoxInside.of(shape, rectangle, p.shadow(), 12);
    return new BoxMould(s, p.curve(), inside, 0, 10, 15, SheetStock.FOAM_BOARD_6);
  }

  private static CutList list(TriangleMesh mesh, BoxShape shape) {
    return CutList.of(box(mesh, shape), Extras.NONE, Units.METRIC);
  }

  private static CutPart part(CutList list, String name) {
    return list.parts().stream().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
  }

  /** What a program that knows nothing of this one makes of a DXF: polylines by layer. */
  private record Read(List<String> layers, List<List<double[]>> lines, List<Boolean> closed) {

    static Read of(String dxf) {
      Read read = new Read(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
      String[] rows = dxf.split("\\R");
      assertEquals(rows.length % 2, 0);
      String entity = "";
      double x = 0;
      for (int i = 0; i < rows.length; i += 2) {
        int code = Integer.parseInt(rows[i].strip());
        String value = rows[i + 1];
        if (code == 0) {
          entity = value;
          if (entity.equals("POLYLINE")) {
            read.lines.add(new ArrayList<>());
            read.closed.add(false);
          }
        } else if (entity.equals("POLYLINE") && code == 8) {
          read.layers.add(value);
        } else if (entity.equals("POLYLINE") && code == 70) {
          read.closed.set(read.closed.size() - 1, (Integer.parseInt(value) & 1) == 1);
        } else if (entity.equals("VERTEX") && code == 10) {
          x = Double.parseDouble(value);
        } else if (entity.equals("VERTEX") && code == 20) {
          read.lines.get(read.lines.size() - 1).add(new double[] {x, Double.parseDouble(value)});
        }
      }
      assertEquals(entity, "EOF");
      return read;
    }

    /** Lengths of all lines of a layer, closed ones all round. */
    double length(String layer) {
      double sum = 0;
      for (int n = 0; n < lines.size(); n++) {
        List<double[]> line = lines.get(n);
        int sides = closed.get(n) ? line.size() : line.size() - 1;
        for (int i = 0; i < sides && layers.get(n).equals(layer); i++) {
          double[] a = line.get(i);
          double[] b = line.get((i + 1) % line.size());
          sum += Math.hypot(b[0] - a[0], b[1] - a[1]);
        }
      }
      return sum;
    }
  }

  @Test
  public void aRectangularBoxIsABaseAndFourWalls() {
    CutList list = list(Tessellation.box(80, 55, 42), BoxShape.RECTANGLE);
    assertEquals(part(list, "Base").size(), "156 × 131 mm");
    // inside 104 × 79, walls 42 + 10 + 15 high
    assertEquals(part(list, "Front and back wall").size(), "104 × 67 mm");
    assertEquals(part(list, "Left and right wall").size(), "91 × 67 mm");
    Read dxf = Read.of(Dxf.of(CutSheet.of(list)));
    double base = 2 * (156 + 131);
    double walls = 2 * 2 * (104 + 67) + 2 * 2 * (91 + 67);
    Near.absolute(dxf.length("CUT"), base + walls, 1e-3);
    Near.absolute(dxf.length("SCORE"), 2 * (104 + 79), 1e-3);
    Near.absolute(dxf.length("CHECK"), CutSheet.CHECK_MM, 1e-3);
  }

  @Test
  public void anOutlineIsOneStripWithItsBends() {
    CutList list = list(Harbour.SEAL_PUP.mesh(), BoxShape.OUTLINE);
    BoxMould box = box(Harbour.SEAL_PUP.mesh(), BoxShape.OUTLINE);
    CutPart strip = part(list, "Wall strip");
    int bends = box.inside().ring().length / 2;
    assertEquals(strip.scores().size(), bends);
    // bent where it says, it closes on the outline: the last score is where the lap begins
    double last = strip.scores().get(bends - 1)[0];
    Near.absolute(last, box.inside().perimeterMm(), 1e-6);
    Near.absolute(strip.outline()[2], last + BoxMould.LAP_MM, 1e-6);
    Read dxf = Read.of(Dxf.of(CutSheet.of(list)));
    Near.absolute(
        dxf.length("SCORE"), bends * box.wallHeightMm() + box.inside().perimeterMm(), 0.01);
  }

  @Test
  public void blocksAreCutAsManyAsThereAreCorners() {
    CutList list =
        list(
            Tessellation.turned(new double[][] {{0, 0}, {25, 0}, {25, 70}, {0, 70}}, 200),
            BoxShape.BLOCKS);
    CutPart block = part(list, "Corner block");
    assertEquals(block.count(), 4);
    assertEquals(block.outline(), new double[] {0, 0, 20, 0, 0, 20});
  }

  @Test
  public void aTubeIsBought() {
    CutList list = list(Harbour.FINIAL.mesh(), BoxShape.TUBE);
    assertEquals(list.parts().size(), 1);
    assertTrue(list.besides().get(0).startsWith("Plastic pipe, inside Ø "), list.toString());
  }

  @Test
  public void nothingLiesOverAnythingAndEverythingIsOnTheSheet() {
    for (BoxShape shape : BoxShape.values()) {
      CutSheet sheet = CutSheet.of(list(Harbour.NAUTILUS.mesh(), shape));
      List<double[]> bounds = new ArrayList<>();
      for (CutSheet.Line line : sheet.lines()) {
        double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, 0, 0};
        for (int i = 0; i < line.points().length; i += 2) {
          b[0] = Math.min(b[0], line.points()[i]);
          b[1] = Math.min(b[1], line.points()[i + 1]);
          b[2] = Math.max(b[2], line.points()[i]);
          b[3] = Math.max(b[3], line.points()[i + 1]);
        }
        assertTrue(b[0] > 0 && b[1] > 0 && b[2] < sheet.widthMm() && b[3] < sheet.heightMm());
        if (line.layer() == CutSheet.Layer.CUT) {
          for (double[] o : bounds) {
            assertTrue(b[0] > o[2] || b[2] < o[0] || b[1] > o[3] || b[3] < o[1], shape + " over");
          }
          bounds.add(b);
        }
      }
    }
  }

  @Test
  public void theSvgIsAsLargeAsItSays() throws Exception {
    CutSheet sheet = CutSheet.of(list(Harbour.NAUTILUS.mesh(), BoxShape.OUTLINE));
    Document svg =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(Svg.of(sheet))));
    String width = svg.getDocumentElement().getAttribute("width");
    assertTrue(width.endsWith("mm"), width);
    Near.absolute(Double.parseDouble(width.replace("mm", "")), sheet.widthMm(), 1e-3);
    String[] view = svg.getDocumentElement().getAttribute("viewBox").split(" ");
    Near.absolute(Double.parseDouble(view[2]), sheet.widthMm(), 1e-3);
    NodeList paths = svg.getElementsByTagName("path");
    assertEquals(paths.getLength(), sheet.lines().size());
  }

  /** 144 × 54 inside: two on each long wall, one on each short one. */
  @Test
  public void ribsStandBetweenTheEndsOfTheWalls() {
    TriangleMesh block =
        new Solid(Solid.Shape.BOX, 120, 30, 40, 1, 1, 1, "", null, null, 0.5).mesh();
    Extras ribs = new Extras(50.0, null, null, List.of(), List.of(), 0, null);
    CutPart rib = part(CutList.of(box(block, BoxShape.RECTANGLE), ribs, Units.METRIC), "Rib");
    assertEquals(rib.count(), 6);
    assertEquals(rib.size(), "40 × 65 mm");
    Extras wide = new Extras(150.0, null, null, List.of(), List.of(), 0, null);
    CutList none = CutList.of(box(block, BoxShape.RECTANGLE), wide, Units.METRIC);
    assertTrue(none.parts().stream().noneMatch(p -> p.name().equals("Rib")));
  }

  /** The least wall is 10: what the master's measures may take of them is said from a tenth on. */
  @Test
  public void howWellTheMasterIsMeasuredIsSaidBeforeItIsCut() {
    TriangleMesh block =
        new Solid(Solid.Shape.BOX, 120, 30, 40, 1, 1, 1, "", null, null, 0.5).mesh();
    BoxMould box = box(block, BoxShape.RECTANGLE);
    assertEquals(box.thinnestWallMm(), 10, 1e-9);
    Extras rough = new Extras(null, null, null, List.of(), List.of(), 1.1, null);
    assertTrue(
        CutList.of(box, rough, Units.METRIC).besides().stream()
            .anyMatch(b -> b.startsWith("The master is measured to ± 1.1 mm")));
    Extras fine = new Extras(null, null, null, List.of(), List.of(), 0.9, null);
    assertTrue(
        CutList.of(box, fine, Units.METRIC).besides().stream()
            .noneMatch(b -> b.contains("measured")));
  }

  /** A ball of r 30 parted at its equator, in a box of 100 × 100. */
  private static Parting halves() {
    PosedMaster ball = PosedMaster.of(Shapes.sphere(), 1, Pose.AS_MODELLED);
    BoxMould box =
        new BoxMould(
            ball.mesh().bounds().size(),
            ball.curve().raised(10),
            BoxInside.rectangle(60, 60, 20, 20, 20, 20),
            10,
            10,
            15,
            SheetStock.FOAM_BOARD_6);
    return Parting.of(
        box,
        new PartedMaster(ball),
        ball.shadow(),
        new Parting.Wanted(
            PartingLine.LEVEL, 30.0, Keying.RING, SealRing.Form.USUAL, FacetSet.NONE));
  }

  private static double area(CutPart p) {
    double holes = p.cutouts().stream().mapToDouble(c -> Math.abs(Outline.area(c))).sum();
    return Math.abs(Outline.area(p.outline())) - holes;
  }

  @Test
  public void theBeddingBoardIsCutOutToTheMaster() {
    Parting halves = halves();
    Extras extras = new Extras(null, halves, halves.boardCutouts(), List.of(), List.of(), 0, null);
    CutPart board = part(CutList.of(halves.box(), extras, Units.METRIC), "Bedding board");
    Near.relative(area(board), 100 * 100 - Math.PI * 900, 0.002);
  }

  @Test
  public void risersAreCutToTheirHeight() {
    Parting halves = halves();
    List<Riser> risers = List.of(new Riser("left", 6, -24, 17.5), new Riser("right", 0, 30, 0));
    Extras extras = new Extras(null, halves, halves.boardCutouts(), risers, List.of(), 0, null);
    CutList list = CutList.of(halves.box(), extras, Units.METRIC);
    CutPart riser = part(list, "Riser at the left");
    assertEquals(riser.size(), "17.5 × 40 mm");
    assertTrue(riser.note().startsWith("its middle 6 mm in from the left end"), riser.note());
    assertFalse(list.parts().stream().anyMatch(p -> p.name().equals("Riser at the right")));
  }

  /** Its middle runs on a circle of r 39; it is 6 wide. */
  @Test
  public void theSealRingIsSplitToFitTheBed() {
    Parting halves = halves();
    CutList whole =
        CutList.of(
            halves.box(),
            new Extras(null, halves, null, List.of(), List.of(), 0, null),
            Units.METRIC);
    CutPart ring = part(whole, "Seal ring");
    Near.relative(area(ring), 2 * Math.PI * 39 * 6, 0.005);
    Read dxf = Read.of(Dxf.of(CutSheet.of(whole)));
    double round = 2 * Math.PI * 42;
    assertTrue(
        dxf.lines().stream().anyMatch(l -> Math.abs(length(l) - round) < 0.01 * round),
        "its outer edge is in the drawing");
    CutList split =
        CutList.of(
            halves.box(),
            new Extras(null, halves, null, List.of(), List.of(), 0, new double[] {70, 50}),
            Units.METRIC);
    List<CutPart> pieces =
        split.parts().stream().filter(p -> p.name().startsWith("Seal ring, piece")).toList();
    assertTrue(pieces.size() >= 2, pieces.size() + " pieces");
    double all = 0;
    for (CutPart p : pieces) {
      assertTrue(Math.max(p.lengthMm(), p.widthMm()) <= 70.001, p.size());
      assertTrue(Math.min(p.lengthMm(), p.widthMm()) <= 50.001, p.size());
      all += area(p);
    }
    Near.relative(all, area(ring), 1e-6);
  }

  private static double length(List<double[]> line) {
    double sum = 0;
    for (int i = 0; i < line.size(); i++) {
      double[] a = line.get(i);
      double[] b = line.get((i + 1) % line.size());
      sum += Math.hypot(b[0] - a[0], b[1] - a[1]);
    }
    return sum;
  }
}
