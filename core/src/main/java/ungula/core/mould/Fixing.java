package ungula.core.mould;

import ungula.core.quantity.Choosable;

/** What holds a master down. Strengths are what can be counted on, not what breaks it. */
public enum Fixing implements Choosable {
  NONE("nothing", 0),
  TAPE("double-sided tape", 15),
  STICKY_WAX("sticky wax", 30),
  HOT_GLUE("hot glue", 60),
  SCREWS("screws from below", 1000);

  private final String text;
  private final double strengthKpa;

  Fixing(String text, double strengthKpa) {
    this.text = text;
    this.strengthKpa = strengthKpa;
  }

  @Override
  public String text() {
    return text;
  }

  /** kPa over the face the master rests on. */
  public double strengthKpa() {
    return strengthKpa;
  }
}
