package ungula.core;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import ungula.core.days.Mondays;
import ungula.core.job.JobPlan;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.step.Step;
import ungula.core.workshop.Workshop;

/**
 * What plans come to: of each figure, caution and step how many there are, and a number that
 * changes when anything in one of them does, its working and its fixes too. When a rule is meant to
 * change, the lines that differ tell all it touches.
 */
public final class PlanCount {

  /** Small vessels and scales, a slow pump, a few boards and a box: much of it is too little. */
  public static final Workshop SMALL =
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

  private final Map<String, int[]> seen = new TreeMap<>();

  /** A line for each. */
  public String said() {
    return seen.entrySet().stream()
        .map(e -> String.format("%s %d %08x\n", e.getKey(), e.getValue()[0], e.getValue()[1]))
        .collect(Collectors.joining());
  }

  public void count(JobPlan plan) {
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
