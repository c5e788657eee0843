package ungula.core.cutlist;

import java.util.List;
import ungula.core.parting.Parting;
import ungula.core.parting.Riser;

/**
 * What is cut for a mould besides its box.
 *
 * @param ribSpacingMm distance of ribs along the walls; null without
 * @param parting of a mould in two parts; null for any other
 * @param board outlines of the master a bedding board is cut out to, from the middle; null without
 *     one
 * @param risers under the master on such a board; empty without
 * @param masters outlines of several masters on one plate, from the middle; empty with one
 * @param errorMm ± on every measure of the master
 * @param bedMm longer and shorter side of the cutter's bed; null while there is none
 */
public record Extras(
    Double ribSpacingMm,
    Parting parting,
    List<double[]> board,
    List<Riser> risers,
    List<double[]> masters,
    double errorMm,
    double[] bedMm) {

  public static final Extras NONE = new Extras(null, null, null, List.of(), List.of(), 0, null);
}
