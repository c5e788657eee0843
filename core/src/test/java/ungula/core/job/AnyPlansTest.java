package ungula.core.job;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.testng.annotations.Test;
import ungula.core.AnyPlan;
import ungula.core.AnyPlans;
import ungula.core.Golden;
import ungula.core.Shapes;
import ungula.core.days.Mondays;
import ungula.core.geometry.Vec3;
import ungula.core.master.Tessellation;
import ungula.core.mesh.TriangleMesh;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;
import ungula.core.workshop.Workshop;

/**
 * What plans at random come to: of each figure, caution and step how many there are, and a number
 * that changes when anything in one of them does, its working and its fixes too. When a rule is
 * meant to change, the lines that differ tell all it touches; read the new file under target and
 * put it in the place of the old.
 */
public class AnyPlansTest {

  /** Small vessels and scales, a slow pump, a few boards and a box: much of it is too little. */
  private static final Workshop SMALL =
      Workshop.DEFAULT.edited(
          List.of(
              Edit.of("roomC", "17 °C"),
              Edit.of("handMixG", "1.4 kg"),
              Edit.of("costs.hour", "30"),
              Edit.of("costs.consumables", "4"),
              Edit.of("equipment.potDiameterMm", "220 mm"),
              Edit.of("equipment.potHeightMm", "180 mm"),
              Edit.of("equipment.chamberDiameterMm", "230 mm"),
              Edit.of("equipment.chamberHeightMm", "210 mm"),
              Edit.of("equipment.bedLengthMm", "600 mm"),
              Edit.of("equipment.bedWidthMm", "300 mm"),
              Edit.of("equipment.liftG", "12 kg"),
              Edit.of("equipment.bucketG", "4 kg"),
              Edit.of("boxes", "240 × 160 × 120 mm; pipe Ø 160 × 300 mm"),
              Edit.of("mixing.cup.bottomMm", "84 mm"),
              Edit.of("mixing.cup.topMm", "108 mm"),
              Edit.of("mixing.cup.heightMm", "140 mm"),
              Edit.of("mixing.jug.bottomMm", "130 mm"),
              Edit.of("mixing.jug.topMm", "165 mm"),
              Edit.of("mixing.jug.heightMm", "200 mm"),
              Edit.of("mixing.fine.capacityG", "500 g"),
              Edit.of("mixing.fine.readG", "0.1 g"),
              Edit.of("mixing.coarse.capacityG", "6 kg"),
              Edit.of("mixing.coarse.readG", "2 g"),
              Edit.of("mixing.pace.degasMin", "8 min"),
              Edit.of("mixing.vacuum", "-0.93 bar"),
              Edit.of("boards.FOAM_BOARD_6.lengthMm", "500 mm"),
              Edit.of("boards.FOAM_BOARD_6.widthMm", "350 mm"),
              Edit.of("boards.FOAM_BOARD_6.count", "1"),
              Edit.of("boards.ACRYLIC_3.lengthMm", "400 mm"),
              Edit.of("boards.ACRYLIC_3.widthMm", "300 mm"),
              Edit.of("boards.ACRYLIC_3.count", "2")),
          Mondays.MORNING);

  private static final TriangleMesh CUP =
      Tessellation.turned(
          new double[][] {{0, 0}, {30, 0}, {34, 60}, {30, 60}, {26, 5}, {0, 5}}, 24);

  private static final TriangleMesh VASE =
      Tessellation.turned(
          new double[][] {{0, 0}, {20, 0}, {40, 30}, {12, 70}, {22, 90}, {0, 90}}, 24);

  /** Two cubes on one plate. */
  private static final TriangleMesh PAIR =
      Shapes.both(Tessellation.box(30, 30, 40), Tessellation.box(30, 30, 40), new Vec3(60, 5, 0));

  /** What is rarely met at random: masters on a plate, skins with jackets, hollow casts, … */
  private static final String[][] PICKED = {
    {"mould.kind=CUT", "cast.product=any", "cast.wanted=24", "channels.ventMm=2 mm"},
    {"mould.kind=CUT", "casting.vent=0 0.3 0.3", "pose.liftMm=8 mm", "cut.towardsDegrees=40"},
    {"mould.kind=TWO_PART", "parting.keying=RING", "mould.sidesMm=20 mm"},
    {"mould.kind=TWO_PART", "rubber.bubbles=VACUUM_TWO_CUPS", "rubber.batches=3"},
    {"mould.kind=OPEN", "rubber.sealingMm=4 mm", "rubber.offcutsMm3=20 mL", "rubber.moulds=3"},
    {"mould.kind=OPEN", "rubber.additive.dosePct=3 %", "rubber.allowancePct=9 %"},
    {"mould.kind=OPEN", "plate.copies=3", "plate.laying=CLOSE", "plate.landMm=12 mm"},
    {"mould.kind=OPEN", "hollow.wallMm=4 mm"},
    {"mould.kind=CUT", "hollow.wallMm=6 mm", "pose.liftMm=6 mm"},
    {"mould.kind=SKIN", "skin.thickener=STIFF", "skin.clothAfter=2", "jacket.sections=3"},
    {"mould.kind=SKIN", "jacket.kind=PUTTY", "jacket.locators=BUTTONS", "skin.wallMm=8 mm"},
    {"mould.kind=SKIN", "jacket.kind=LAMINATE", "skin.opening=CUT", "skin.recoat=SET"},
    {"mould.kind=SKIN", "site.place=OUTDOORS", "site.tripG=900 g", "skin.flangeMm=60 mm"},
  };

  private final Map<String, int[]> seen = new TreeMap<>();

  @Test
  public void theyComeToWhatTheyCameTo() throws IOException {
    Random random = new Random(71);
    List<AnyPlans.Planned> any = AnyPlans.first(500);
    for (int i = 0; i < any.size(); i++) {
      count(i % 2 == 0 ? any.get(i).plan() : any.get(i).any().plan(SMALL));
    }
    TriangleMesh[] masters = {
      Tessellation.box(80, 55, 42), Tessellation.torus(30, 9, 24, 16), CUP, VASE
    };
    for (int i = 0; i < 60; i++) {
      count(
          AnyPlan.of(masters[i % masters.length], random)
              .plan(i % 3 == 0 ? SMALL : Workshop.DEFAULT));
    }
    TriangleMesh[] shapes = {VASE, PAIR, CUP};
    for (int i = 0; i < PICKED.length; i++) {
      AnyPlan picked = AnyPlan.picked(shapes[i % shapes.length], PICKED[i]);
      count(picked.plan(SMALL));
      count(picked.plan());
    }
    String now =
        seen.entrySet().stream()
            .map(e -> String.format("%s %d %08x\n", e.getKey(), e.getValue()[0], e.getValue()[1]))
            .collect(Collectors.joining());
    Golden.same(AnyPlansTest.class, "plans.txt", now);
  }

  private void count(JobPlan plan) {
    plan.figures().forEach((key, figure) -> count("figure " + key, figure.toString()));
    plan.cautions().forEach(c -> count("caution " + c.id(), c.toString()));
    plan.steps().making().forEach(s -> count("step " + s.key(), whole(s)));
    plan.steps().casting().forEach(s -> count("cast step " + s.key(), whole(s)));
    plan.assumed().forEach(a -> count("assumed " + a.word(), a.toString()));
  }

  /** Sets in an order of their own. */
  private static String whole(Step s) {
    return String.join(
        " ",
        s.part(),
        s.what(),
        s.why(),
        "" + s.kind(),
        "" + s.takes(),
        "" + s.after(),
        s.unbroken(),
        "" + new TreeSet<>(s.holds()),
        "" + s.figures(),
        "" + s.cautions(),
        "" + new TreeSet<>(s.records()));
  }

  /** Batches and coats are counted together. */
  private void count(String key, String whole) {
    int[] of = seen.computeIfAbsent(key.replaceAll("\\d+", "n"), k -> new int[2]);
    of[0]++;
    of[1] = 31 * of[1] + whole.hashCode();
  }
}
