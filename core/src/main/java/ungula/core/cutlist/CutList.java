package ungula.core.cutlist;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Inside;
import ungula.core.quantity.Length;
import ungula.core.quantity.Units;

/**
 * What a box is made of, piece by piece.
 *
 * @param parts to cut
 * @param besides what else is needed, in words
 */
public record CutList(List<CutPart> parts, List<String> besides) {

  public static CutList of(BoxMould box, Units units) {
    return new Cutter(box, units).list();
  }

  private static final class Cutter {
    private final BoxMould box;
    private final Units units;
    private final Inside inside;
    private final double high;
    private final List<CutPart> parts = new ArrayList<>();
    private final List<String> besides = new ArrayList<>();

    Cutter(BoxMould box, Units units) {
      this.box = box;
      this.units = units;
      this.inside = box.inside();
      this.high = box.wallHeightMm();
    }

    CutList list() {
      base();
      switch (inside.shape()) {
        case RECTANGLE -> walls();
        case BLOCKS -> {
          walls();
          blocks();
        }
        case OUTLINE ->
            strip(
                bends(),
                "score on the outside, where it turns in on the inside, and bend away from the score");
        case ROUND_ENDED -> strip(List.of(), "bend it round, or cut close scores at the ends");
        case TUBE ->
            besides.add(
                "Plastic pipe, inside "
                    + "Ø "
                    + mm(box.insideLengthMm())
                    + ", a piece "
                    + mm(high)
                    + " long, cut square; slit it along one side to open it.");
      }
      besides.add(mm(box.sealMm()) + " of joints to seal.");
      return new CutList(List.copyOf(parts), List.copyOf(besides));
    }

    private String mm(double mm) {
      return Length.format(mm, units);
    }

    private void add(
        String name, int count, double length, double width, List<double[]> scores, String note) {
      parts.add(
          new CutPart(
              name,
              count,
              Length.format2(length, width, units),
              CutPart.rectangle(length, width),
              scores,
              note));
    }

    /** With the inside of the walls marked on it. */
    private void base() {
      double out = BoxMould.BASE_OUT_MM + box.wallMm();
      double[] ring = inside.ring();
      double[] mark = new double[ring.length + 2];
      for (int i = 0; i < mark.length; i += 2) {
        mark[i] = ring[i % ring.length] - inside.minX() + out;
        mark[i + 1] = ring[(i + 1) % ring.length] - inside.minY() + out;
      }
      add(
          "Base",
          1,
          box.insideLengthMm() + 2 * out,
          box.insideWidthMm() + 2 * out,
          List.of(mark),
          "the line is the inside of the walls");
    }

    /** Butted: the walls at left and right cover the ends of the others. */
    private void walls() {
      add("Front and back wall", 2, box.insideLengthMm(), high, List.of(), "");
      add(
          "Left and right wall",
          2,
          box.outsideWidthMm(),
          high,
          List.of(),
          "longer by twice the thickness: they lap the others");
    }

    private void blocks() {
      TreeMap<Double, Integer> alike = new TreeMap<>();
      Arrays.stream(inside.legsMm())
          .filter(l -> l > 0)
          .forEach(l -> alike.merge(l, 1, Integer::sum));
      alike
          .descendingMap()
          .forEach(
              (leg, count) ->
                  parts.add(
                      new CutPart(
                          "Corner block",
                          count,
                          mm(leg) + " along both walls",
                          new double[] {0, 0, leg, 0, 0, leg},
                          List.of(),
                          "three-cornered, " + mm(high) + " high, stood in a corner")));
    }

    private void strip(List<double[]> scores, String note) {
      add(
          "Wall strip",
          1,
          inside.perimeterMm() + BoxMould.LAP_MM,
          high,
          scores,
          note + "; lengths are of the inside, with a lap of " + mm(BoxMould.LAP_MM));
    }

    /** Across the strip at every corner of the outline. */
    private List<double[]> bends() {
      List<double[]> scores = new ArrayList<>();
      double at = 0;
      for (int i = 0; i < inside.ring().length; i += 2) {
        at += inside.stretchMm(i / 2);
        scores.add(new double[] {at, 0, at, high});
      }
      return scores;
    }
  }
}
