package ungula.core.cutlist;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import ungula.core.mesh.Rings;
import ungula.core.mould.BoxInside;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Riser;
import ungula.core.parting.SealRing;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;

/**
 * What a box is made of, piece by piece.
 *
 * @param parts to cut
 * @param besides what else is needed, in words
 */
public record CutList(List<CutPart> parts, List<String> besides) {

  /** Ribs stand out so far from their wall. */
  private static final double RIB_MM = 40;

  /** Of a bead along a joint, 4 mm across, g per m. */
  private static final double SEALANT_G_PER_M = 12.6;

  /** Of a wall, what the master's measures may take of it before one measures again. */
  private static final double MINDED_SHARE = 0.1;

  /** Smallest piece a seal ring is worth splitting into. */
  private static final double LEAST_PIECE_MM = 30;

  public static CutList of(BoxMould box, Extras extras, Units units) {
    return new Cutter(box, extras, units).list();
  }

  private static final class Cutter {
    private final BoxMould box;
    private final Extras extras;
    private final Units units;
    private final BoxInside inside;
    private final double high;
    private final List<CutPart> parts = new ArrayList<>();
    private final List<String> besides = new ArrayList<>();

    Cutter(BoxMould box, Extras extras, Units units) {
      this.box = box;
      this.extras = extras;
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
        case OWN ->
            besides.add(
                "Your own box or frame, inside "
                    + Length.format2(box.insideLengthMm(), box.insideWidthMm(), units)
                    + ", its walls higher than the pour line at "
                    + mm(box.pourLineMm())
                    + "; one with a floor needs no base.");
        case TUBE ->
            besides.add(
                "Plastic pipe, inside "
                    + "Ø "
                    + mm(box.insideLengthMm())
                    + ", a piece "
                    + mm(high)
                    + " long, cut square; slit it along one side to open it.");
      }
      ribs();
      if (extras.board() != null) {
        board();
      }
      extras.risers().forEach(this::riser);
      if (extras.parting() != null && extras.parting().ring() != null) {
        ring();
      }
      besides.add(
          Length.run(box.sealMm(), units)
              + " of joints to seal: about "
              + Mass.format(SEALANT_G_PER_M * box.sealMm() / 1000, units)
              + " of sealant in a bead of 4 mm.");
      if (extras.errorMm() > MINDED_SHARE * box.thinnestWallMm()) {
        besides.add(
            "The master is measured to ± "
                + mm(extras.errorMm())
                + ": a wall of "
                + mm(box.thinnestWallMm())
                + " may come out "
                + mm(extras.errorMm())
                + " thinner. Measure the master again across its widest place before you cut.");
      }
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
              List.of(),
              scores,
              note));
    }

    /** With the inside of the walls marked on it. */
    private void base() {
      double out = BoxMould.BASE_OUT_MM + box.wallMm();
      List<double[]> marks = new ArrayList<>();
      marks.add(marked(inside.ring(), out));
      extras.masters().forEach(ring -> marks.add(marked(ring, out)));
      add(
          "Base",
          1,
          box.insideLengthMm() + 2 * out,
          box.insideWidthMm() + 2 * out,
          marks,
          marks.size() > 1
              ? "the lines are the inside of the walls, and where each master is fixed"
              : "the line is the inside of the walls");
    }

    /** A ring in the box as a line on the base, back to where it begins. */
    private double[] marked(double[] ring, double out) {
      double[] mark = Arrays.copyOf(ring, ring.length + 2);
      mark[ring.length] = ring[0];
      mark[ring.length + 1] = ring[1];
      return shifted(mark, out - inside.minX(), out - inside.minY());
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
                          List.of(),
                          "three-cornered, " + mm(high) + " high, stood in a corner")));
    }

    /** Between the ends of every wall that is longer than their distance. */
    private void ribs() {
      Double apart = extras.ribSpacingMm();
      if (apart == null || inside.shape().ofPipe()) {
        return;
      }
      int count = 0;
      if (inside.shape().sided()) {
        count = 2 * (between(box.insideLengthMm(), apart) + between(box.insideWidthMm(), apart));
      } else {
        for (int i = 0; i < inside.ring().length / 2; i++) {
          count += between(inside.stretchMm(i), apart);
        }
      }
      if (count > 0) {
        add(
            "Rib",
            count,
            RIB_MM,
            high,
            List.of(),
            "glued on edge to the outside of the walls, " + mm(apart) + " apart or less");
      }
    }

    private static int between(double length, double apart) {
      return Math.max(0, (int) Math.ceil(length / apart - 1e-9) - 1);
    }

    /** Fills the inside of the box round the master. */
    private void board() {
      double[] outline = shifted(inside.ring(), -inside.minX(), -inside.minY());
      List<double[]> out =
          extras.board().stream().map(r -> shifted(r, -inside.minX(), -inside.minY())).toList();
      parts.add(
          new CutPart(
              "Bedding board",
              1,
              Length.format2(box.insideLengthMm(), box.insideWidthMm(), units),
              outline,
              out,
              List.of(),
              "its top at the parting, "
                  + mm(extras.parting().levelMm())
                  + " above the base; close the gap with clay"));
    }

    private void riser(Riser r) {
      if (r.heightMm() > 0) {
        add(
            "Riser at the " + r.side(),
            1,
            r.heightMm(),
            Riser.WIDE_MM,
            List.of(),
            "its middle "
                + mm(r.inMm())
                + " in from the "
                + r.side()
                + " end; it stands "
                + mm(r.heightMm())
                + " high under the master");
      }
    }

    /** In pieces that fit the cutter's bed. */
    private void ring() {
      SealRing ring = extras.parting().ring();
      Geometry band = Rings.area(ring.band());
      List<Geometry> pieces = new ArrayList<>();
      split(band, pieces);
      int n = 0;
      for (Geometry piece : pieces) {
        Envelope e = piece.getEnvelopeInternal();
        List<double[]> rings =
            Rings.of(piece).stream().map(r -> shifted(r, -e.getMinX(), -e.getMinY())).toList();
        parts.add(
            new CutPart(
                pieces.size() == 1 ? "Seal ring" : "Seal ring, piece " + ++n,
                1,
                Length.format2(e.getWidth(), e.getHeight(), units),
                rings.get(0),
                rings.subList(1, rings.size()),
                List.of(),
                mm(ring.form().widthMm())
                    + " wide and "
                    + mm(ring.form().heightMm())
                    + " high; laid on the bedding, its centre line "
                    + mm(ring.form().offsetMm())
                    + " off the section"));
      }
    }

    /** Halved across its longer side until it fits. */
    private void split(Geometry area, List<Geometry> pieces) {
      for (int i = 0; i < area.getNumGeometries(); i++) {
        Geometry one = area.getGeometryN(i);
        Envelope e = one.getEnvelopeInternal();
        double longer = Math.max(e.getWidth(), e.getHeight());
        double shorter = Math.min(e.getWidth(), e.getHeight());
        double[] bed = extras.bedMm();
        if (bed == null || longer <= bed[0] && shorter <= bed[1] || longer < LEAST_PIECE_MM) {
          pieces.add(one);
          continue;
        }
        boolean across = e.getWidth() >= e.getHeight();
        Coordinate c = e.centre();
        Envelope low =
            across
                ? new Envelope(e.getMinX(), c.x, e.getMinY(), e.getMaxY())
                : new Envelope(e.getMinX(), e.getMaxX(), e.getMinY(), c.y);
        Geometry half = Rings.JTS.toGeometry(low);
        split(one.intersection(half), pieces);
        split(one.difference(half), pieces);
      }
    }

    private static double[] shifted(double[] ring, double x, double y) {
      double[] out = new double[ring.length];
      for (int i = 0; i < ring.length; i += 2) {
        out[i] = ring[i] + x;
        out[i + 1] = ring[i + 1] + y;
      }
      return out;
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
