package ungula.core.diagnose;

/** What is seen on a mould or a cast that is not as it should be. */
public enum Seen {
  TACKY_AT_MASTER(false, "rubber that is tacky only where it lay on the master"),
  TACKY_ALL(false, "rubber that is tacky all over"),
  STREAKS(false, "tacky streaks in the rubber"),
  SOFT(false, "rubber that is soft all through"),
  HOLES_SAME_PLACE(true, "holes in casts, always at the same place"),
  HOLES_ANYWHERE(true, "holes in casts, here and there"),
  PIMPLES(false, "pimples on casts"),
  TORN(false, "a tear in the mould"),
  STEP_AND_FLASH(false, "a step or a fin along the parting"),
  PEELING(false, "coats that peel"),
  STUCK(false, "halves that do not come apart"),
  SHORT_SHOT(true, "a cast that is not filled"),
  CAST_TACKY(true, "a cast that stays tacky"),
  CAST_BENT(true, "a cast that is bent"),
  CAST_FOAMED(true, "a cast that has foamed"),
  CAST_SMALL(true, "casts that are too small"),
  CAST_POROUS(true, "small pores in a cast");

  private final boolean ofCast;
  private final String text;

  Seen(boolean ofCast, String text) {
    this.ofCast = ofCast;
    this.text = text;
  }

  /** Whether what was cast is asked about; else the rubber of the mould. */
  public boolean ofCast() {
    return ofCast;
  }

  /** A noun with what is wrong about it. */
  public String text() {
    return text;
  }
}
