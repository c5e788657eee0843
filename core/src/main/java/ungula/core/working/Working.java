package ungula.core.working;

import java.util.ArrayList;
import java.util.List;
import ungula.core.working.Given.Source;

/**
 * The arithmetic behind a number, as it is shown and printed.
 *
 * @param formula in words
 * @param givens the inputs with their sources
 * @param steps intermediate values, one line each
 * @param rounding how the shown number was rounded
 * @param plusMinus the uncertainty in words; empty when there is none to carry
 */
public record Working(
    String formula, List<Given> givens, List<String> steps, String rounding, String plusMinus) {

  public Working {
    givens = List.copyOf(givens);
    steps = List.copyOf(steps);
  }

  public static Builder of(String formula) {
    return new Builder(formula);
  }

  /** Collects a working line by line. */
  public static final class Builder {

    private final String formula;
    private final List<Given> givens = new ArrayList<>();
    private final List<String> steps = new ArrayList<>();
    private String rounding = "";
    private String plusMinus = "";

    private Builder(String formula) {
      this.formula = formula;
    }

    public Builder given(String name, String text, Source source) {
      givens.add(new Given(name, text, source));
      return this;
    }

    /** One more line; none where there is nothing to say. */
    public Builder step(String line) {
      if (!line.isEmpty()) {
        steps.add(line);
      }
      return this;
    }

    public Builder rounded(String how) {
      rounding = how;
      return this;
    }

    public Builder plusMinus(String text) {
      plusMinus = text;
      return this;
    }

    public Working done() {
      return new Working(formula, givens, steps, rounding, plusMinus);
    }
  }
}
