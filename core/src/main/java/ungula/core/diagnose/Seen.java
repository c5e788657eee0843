package ungula.core.diagnose;

/** What is seen on a mould or a cast that is not as it should be. */
public enum Seen {
  TACKY_AT_MASTER,
  TACKY_ALL,
  STREAKS,
  SOFT,
  HOLES_SAME_PLACE,
  HOLES_ANYWHERE,
  PIMPLES,
  TORN,
  STEP_AND_FLASH,
  PEELING,
  STUCK,
  SHORT_SHOT,
  CAST_TACKY,
  CAST_BENT,
  CAST_FOAMED,
  CAST_SMALL,
  CAST_POROUS
}
