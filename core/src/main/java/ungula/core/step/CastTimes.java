package ungula.core.step;

import java.util.List;

/**
 * What one mix for casts takes, by its steps: the same that days and bench go by.
 *
 * @param pourMin by hand, until all its moulds are filled
 * @param cureMin that a mould is taken up besides
 * @param demouldMin by hand on one mould, until it is closed again
 */
public record CastTimes(double pourMin, double cureMin, double demouldMin) {

  /** Done once for all moulds of a mix. */
  private static final List<String> ONCE = List.of("cast.weigh", "cast.stir", "cast.degas");

  private static final List<String> AFTER = List.of("cast.vent", "cast.out", "cast.close");

  /** Of a plan whose casting steps are known. */
  public static CastTimes of(Steps steps) {
    int moulds = steps.plan().choices().cast().series().perMix();
    Integer every = steps.plan().choices().cast().series().releaseEvery();
    double pour = 0;
    double cure = 0;
    double demould = 0;
    for (Step s : steps.casting()) {
      double min = s.takes().minutes();
      double share = s.key().startsWith("cast.release") && every != null ? 1.0 / every : 1;
      if (!s.byHand()) {
        cure += share * min;
      } else if (AFTER.contains(s.key())) {
        demould += min;
      } else {
        pour += share * min * (ONCE.contains(s.key()) ? 1 : moulds);
      }
    }
    return new CastTimes(pour, cure, demould);
  }
}
