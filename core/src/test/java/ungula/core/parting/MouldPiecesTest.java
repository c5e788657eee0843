package ungula.core.parting;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static ungula.core.Near.relative;

import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import ungula.core.Shapes;
import ungula.core.demo.Harbour;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.FacetSet;
import ungula.core.master.Pose;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Topology;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mesh.io.Model;
import ungula.core.mesh.io.ModelReader;
import ungula.core.mesh.io.ThreeMfWriter;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.SheetStock;
import ungula.core.parting.MouldPieces.Piece;
import ungula.core.parting.Parting.Wanted;
import ungula.core.sprue.Channel;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;

/** Pieces are closed, and hold what the plan says to within 1 %. */
public class MouldPiecesTest {

  private static BoxMould box(PosedMaster m, BoxShape shape, double below) {
    Vec3 s = m.mesh().bounds().size();
    BoxInside rectangle = BoxInside.rectangle(s.x(), s.y(), 20, 20, 20, 20);
    return new BoxMould(
        s,
        m.curve().raised(below),
        BoxInside.of(shape, rectangle, m.shadow(), 20),
        below,
        12,
        15,
        SheetStock.FOAM_BOARD_6);
  }

  private static List<Piece> pieces(
      PosedMaster m, BoxMould box, Parting parting, Channel... channels) {
    TriangleMesh standing = m.mesh().moved(1, Rotation.NONE, new Vec3(0, 0, box.belowMm()));
    List<Piece> all =
        MouldPieces.of(box, standing, parting, List.of(channels), 128, Parallel.ALL, Progress.NONE);
    all.forEach(p -> assertTrue(Topology.of(p.mesh()).closed(), p.name() + " is closed"));
    return all;
  }

  private static double volume(Piece p) {
    return p.mesh().measure().volumeMm3();
  }

  @DataProvider
  Object[][] halved() {
    return new Object[][] {
      {Shapes.sphere(), BoxShape.RECTANGLE, PartingLine.LEVEL, Keying.DOMES_BOTH},
      {Shapes.torus(), BoxShape.TUBE, PartingLine.SILHOUETTE, Keying.RING},
      {Harbour.ROPE_KNOT.mesh(), BoxShape.OUTLINE, PartingLine.LEVEL, Keying.PINS},
      {Harbour.FINIAL.mesh(), BoxShape.ROUND_ENDED, PartingLine.SILHOUETTE, Keying.DOMES},
    };
  }

  @Test(dataProvider = "halved")
  public void halvesHoldWhatThePlanSays(
      TriangleMesh mesh, BoxShape shape, PartingLine line, Keying keying) {
    PosedMaster m = PosedMaster.of(mesh, 1, Pose.AS_MODELLED);
    BoxMould box = box(m, shape, 12);
    Parting parting =
        Parting.of(
            box,
            new PartedMaster(m),
            m.shadow(),
            new Wanted(line, null, keying, SealRing.Form.USUAL, FacetSet.NONE));
    List<Piece> all = pieces(m, box, parting);
    assertEquals(all.size(), 2);
    relative(volume(all.get(0)), parting.lowerMm3(), 0.01);
    relative(volume(all.get(1)), parting.upperMm3(), 0.01);
  }

  /** A vent in the seam is half in each half, one through rubber is all in one. */
  @Test
  public void channelsAreLeftOpenInThePieces() {
    PosedMaster m = PosedMaster.of(Shapes.sphere(), 1, Pose.AS_MODELLED);
    BoxMould box = box(m, BoxShape.RECTANGLE, 12);
    Parting parting =
        Parting.of(
            box,
            new PartedMaster(m),
            m.shadow(),
            new Wanted(PartingLine.LEVEL, null, Keying.NONE, SealRing.Form.USUAL, FacetSet.NONE));
    double z = parting.levelMm();
    double wall = box.inside().maxX();
    Channel along = new Channel(List.of(new Vec3(30, 0, z), new Vec3(wall, 0, z)), 4);
    Channel over =
        new Channel(List.of(new Vec3(0, 0, z + 30), new Vec3(0, 0, box.pourLineMm())), 4);
    List<Piece> plain = pieces(m, box, parting);
    List<Piece> open = pieces(m, box, parting, along, over);
    double half = Math.PI / 2 * 2 * 2 * (wall - 30);
    relative(volume(plain.get(0)) - volume(open.get(0)), half, 0.06);
    double hole = Math.PI * 2 * 2 * (box.pourLineMm() - z - 30);
    relative(volume(plain.get(1)) - volume(open.get(1)), half + hole, 0.06);
  }

  @Test
  public void anOpenMouldIsOnePieceWithAHoleForTheMaster() {
    PosedMaster dome = PosedMaster.of(Shapes.dome(), 1, Pose.AS_MODELLED);
    BoxMould box = box(dome, BoxShape.RECTANGLE, 0);
    List<Piece> all = pieces(dome, box, null);
    assertEquals(all.size(), 1);
    relative(volume(all.get(0)), box.rubberMm3(), 0.01);
  }

  @Test
  public void threeMfIsReadBackAsWritten() throws Exception {
    Map<String, TriangleMesh> bodies = new LinkedHashMap<>();
    bodies.put("lower & <half>", Shapes.sphere());
    bodies.put("upper", Shapes.box());
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ThreeMfWriter.write(bodies, out);
    Path file = Files.createTempFile("pieces", ".3mf");
    try {
      Files.write(file, out.toByteArray());
      Model read = ModelReader.read(file, Progress.NONE);
      double both = Shapes.sphere().measure().volumeMm3() + Shapes.box().measure().volumeMm3();
      relative(read.mesh().measure().volumeMm3(), both, 1e-5);
      assertEquals(read.unitMm(), 1.0);
    } finally {
      Files.delete(file);
    }
  }
}
