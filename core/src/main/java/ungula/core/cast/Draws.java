package ungula.core.cast;

import java.util.Arrays;
import java.util.SplittableRandom;

/** What chance gives to each cast of a course, by its number alone. */
final class Draws {

  private final Production.Order order;
  private final double sigma;
  private final long seed;
  private double[] pour = new double[0];
  private double[] cure = new double[0];
  private double[] demould = new double[0];
  private double[] luck = new double[0];

  Draws(Production.Order order, long seed, int repeat) {
    this.order = order;
    this.sigma = Math.sqrt(Math.log1p(order.spread() * order.spread()));
    this.seed = new SplittableRandom(seed ^ (repeat * 0x9E3779B97F4A7C15L)).nextLong();
    more(order.casts());
  }

  private void more(int casts) {
    int had = pour.length;
    pour = Arrays.copyOf(pour, casts);
    cure = Arrays.copyOf(cure, casts);
    demould = Arrays.copyOf(demould, casts);
    luck = Arrays.copyOf(luck, casts);
    for (int i = had; i < casts; i++) {
      SplittableRandom chance = new SplittableRandom(seed + i);
      luck[i] = chance.nextDouble();
      pour[i] = 60 * order.pourMin() * factor(chance);
      cure[i] = 60 * order.cureMin() * factor(chance);
      demould[i] = 60 * order.demouldMin() * factor(chance);
    }
  }

  private double factor(SplittableRandom chance) {
    return sigma == 0 ? 1 : Math.exp(sigma * chance.nextGaussian());
  }

  private void need(int cast) {
    if (cast >= pour.length) {
      more(2 * cast + 1);
    }
  }

  /** Seconds, of the cast of a number from 0. */
  double pour(int cast) {
    need(cast);
    return pour[cast];
  }

  double cure(int cast) {
    need(cast);
    return cure[cast];
  }

  double demould(int cast) {
    need(cast);
    return demould[cast];
  }

  /** What the casts that are wanted take in moulds at least, one after the other, minutes. */
  double inMouldsMin() {
    double seconds = 0;
    for (int i = 0; i < order.casts(); i++) {
      seconds += cure[i] * order.warmShare() + demould[i];
    }
    return seconds / 60;
  }

  boolean good(int cast) {
    need(cast);
    return luck[cast] >= order.scrap();
  }
}
