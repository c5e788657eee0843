package ungula.core.parting;

import java.util.List;
import java.util.stream.IntStream;
import ungula.core.mark.FacetSet;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.Slicer.Cut;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;

/**
 * A master as it stands, with what partings ask of it worked out once. Safe to share between
 * threads. Heights are above its lowest point.
 */
public final class PartedMaster {

  /** Volumes of the halves may differ: all of the rubber in one counts like so much locked. */
  private static final double UNEVEN = 0.1;

  private final PosedMaster posed;
  private UprightLines lines;
  private PartingScan scan;
  private FacetSet marked = FacetSet.NONE;
  private double[] overMarked;

  public PartedMaster(PosedMaster posed) {
    this.posed = posed;
  }

  /** As it stands, set down at z = 0. */
  public TriangleMesh mesh() {
    return posed.mesh();
  }

  public synchronized UprightLines lines() {
    if (lines == null) {
      lines = UprightLines.of(posed.mesh());
    }
    return lines;
  }

  public synchronized PartingScan scan() {
    if (scan == null) {
      scan = PartingScan.of(posed.mesh(), lines());
    }
    return scan;
  }

  /** Outlines of the master in a cut, set down. */
  List<double[]> outlines(Cut cut, double at) {
    return posed.slicer(cut).at(at).loops();
  }

  /** How high a riser is that carries the master at a place along its length, if it lies free. */
  public double undersideMm(double x) {
    return outlines(Cut.SIDE, x).stream()
        .flatMapToDouble(r -> IntStream.range(0, r.length / 2).mapToDouble(i -> r[2 * i + 1]))
        .min()
        .orElse(0);
  }

  /** How much of a level seam runs over marked facets, mm. */
  synchronized double seamOver(FacetSet facets, double h) {
    if (facets.isEmpty()) {
      return 0;
    }
    if (!facets.equals(marked)) {
      overMarked = scan().seamOver(posed.mesh(), facets);
      marked = facets;
    }
    return scan().between(overMarked, h);
  }

  /** Middles of marked facets, set down. */
  MarkedPoints points(FacetSet facets) {
    return new MarkedPoints(posed.mesh(), facets);
  }

  /**
   * The level that is best to part at: rubber it locks as a share of the master, share of its seam
   * on what is to be kept clean, and a tenth of the difference between the halves as a share of
   * both.
   */
  public double best(BoxMould box, FacetSet keepClean) {
    double master = Math.max(1e-9, box.curve().total());
    double rubber = Math.max(1e-9, box.rubberMm3());
    return scan()
        .best(
            h -> {
              double lower = box.rubberBelow(box.belowMm() + h);
              double seam = Math.max(1e-9, scan().seamMm(h));
              return scan().lockedMm3(h) / master
                  + seamOver(keepClean, h) / seam
                  + UNEVEN * Math.abs(rubber - 2 * lower) / rubber;
            });
  }
}
