package ungula.core.mark;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/** What is marked on a master. A facet may carry several marks. */
public record Marks(Map<Mark, FacetSet> on) {

  public static final Marks NONE = new Marks(Map.of());

  /** In the order of the marks, without empty ones. */
  public Marks {
    Map<Mark, FacetSet> kept = new EnumMap<>(Mark.class);
    on.forEach(
        (mark, facets) -> {
          if (!facets.isEmpty()) {
            kept.put(mark, facets);
          }
        });
    on = Collections.unmodifiableMap(kept);
  }

  public FacetSet of(Mark mark) {
    return on.getOrDefault(mark, FacetSet.NONE);
  }

  public Marks with(Mark mark, FacetSet more) {
    return put(mark, of(mark).with(more));
  }

  public Marks without(Mark mark, FacetSet fewer) {
    return put(mark, of(mark).without(fewer));
  }

  public Marks without(Mark mark) {
    return put(mark, FacetSet.NONE);
  }

  private Marks put(Mark mark, FacetSet facets) {
    Map<Mark, FacetSet> all = new EnumMap<>(Mark.class);
    all.putAll(on);
    all.put(mark, facets);
    return new Marks(all);
  }
}
