package ungula.core.contact;

import ungula.core.rubber.Product.Chemistry;

/**
 * Years a mould keeps on the shelf, used or not, by its rubber: rules of thumb a workshop makes its
 * own. Oils and light work on every rubber; condensation cures go on to shrink and turn brittle,
 * urethane takes up water, latex perishes.
 *
 * @param addition of addition-cure silicone
 * @param condensation of condensation-cure silicone
 * @param urethane of urethane rubber
 * @param latex of latex
 */
public record RubberAge(double addition, double condensation, double urethane, double latex) {

  /** Before a workshop says otherwise. */
  public static final RubberAge USUAL = new RubberAge(10, 4, 5, 3);

  public double of(Chemistry rubber) {
    return switch (rubber) {
      case CONDENSATION -> condensation;
      case URETHANE -> urethane;
      case LATEX -> latex;
      default -> addition;
    };
  }
}
