package ungula.core.mark;

import java.util.BitSet;
import ungula.core.quantity.UnreadableQuantity;

/**
 * Some of a mesh's facets, as text that is short for patches: how many are left out, then how many
 * are in, and so on: "12+4 80+1" is facets 12 to 15, and 96.
 */
public record FacetSet(String runs) {

  public static final FacetSet NONE = new FacetSet("");

  /** More facets than any model has. */
  private static final int MOST = 1 << 27;

  public static FacetSet of(BitSet facets) {
    StringBuilder text = new StringBuilder();
    int end = 0;
    for (int from = facets.nextSetBit(0); from >= 0; from = facets.nextSetBit(end)) {
      int to = facets.nextClearBit(from);
      text.append(text.isEmpty() ? "" : " ").append(from - end).append('+').append(to - from);
      end = to;
    }
    return new FacetSet(text.toString());
  }

  /**
   * @throws UnreadableQuantity when the text is no such list
   */
  public BitSet facets() {
    BitSet facets = new BitSet();
    int at = 0;
    try {
      for (String run : runs.isBlank() ? new String[0] : runs.strip().split("\\s+")) {
        int plus = run.indexOf('+');
        int from = Math.addExact(at, Integer.parseInt(run.substring(0, plus)));
        at = Math.addExact(from, Integer.parseInt(run.substring(plus + 1)));
        if (from < 0 || at <= from || at > MOST) {
          throw new NumberFormatException();
        }
        facets.set(from, at);
      }
    } catch (RuntimeException e) {
      throw new UnreadableQuantity("Facets are listed as skipped+marked: “12+4 80+1”.");
    }
    return facets;
  }

  /** Of a mesh that is copies of so many facets each: what is in of any of them. */
  public FacetSet onOneOf(int facets) {
    BitSet one = new BitSet();
    facets().stream().forEach(t -> one.set(t % facets));
    return of(one);
  }

  public boolean isEmpty() {
    return runs.isBlank();
  }

  public FacetSet with(FacetSet more) {
    BitSet all = facets();
    all.or(more.facets());
    return of(all);
  }

  public FacetSet without(FacetSet fewer) {
    BitSet all = facets();
    all.andNot(fewer.facets());
    return of(all);
  }
}
