package ungula.core.workshop;

import ungula.core.quantity.Choosable;

/** How long work by hand takes in a workshop, until its log knows better. */
public enum Rate implements Choosable {
  BOX("cut and set up a box", "", 24, "walls, base and blocks from marked-out sheet"),
  JOINT("seal joints", "a metre", 15, "both sides of a joint, and a look at it"),
  FIX("fix a master", "", 5, "glue it, press it down, look under it"),
  LABEL("set a label", "", 3, "glue it, press it down, close the gap round it"),
  BED("bed a master", "", 24, "roll the clay out or fit the board, and build it up"),
  BED_SEAM("dress the bedding along the seam", "a metre", 120, "a sharp corner all along it"),
  KEYS("set keys", "each", 1, "place it, press it, smooth round it"),
  SEALER("brush a thin coat of sealer", "", 10, "thin, into every corner"),
  RELEASE("brush a thin coat of release", "", 5, "thin, and looked at against the light"),
  TIN("stir up what has settled", "a tin", 2, "to the bottom, before anything is weighed"),
  PATCH("try a patch", "", 10, "a few grams on a place that does not show"),
  TURN("turn a mould and clean its seam", "", 30, "bedding out, every crumb off the rubber"),
  OPEN("open a mould", "", 15, "walls off, air let in at a corner, the master out"),
  CUT("cut rubber", "a dm²", 9, "in steps, opened as one goes"),
  WASH("wash and dry a mould", "", 10, "soap, water, a lint-free cloth"),
  BOARD("fix a master to a board", "", 24, "and close the joint round it"),
  PLUG("fill recesses with clay", "for 100 mL", 15, "smoothed as the master is"),
  BRUSH_READY("get a coat ready", "", 10, "weigh, stir, a clean brush"),
  BRUSH("brush a coat on", "a m²", 40, "worked in and chased for bubbles"),
  LINING("line a mould for a core", "", 40, "sheet of even thickness, its pins set"),
  CAST_MIX("mix a cast", "", 3, "weigh both parts, then stir and scrape for half of it"),
  CLOSE("close a mould for a cast", "", 10, "look inside, boards and bands on"),
  CAST_OUT("take a cast out", "", 10, "and trim what it was poured through");

  private final String text;
  private final String per;
  private final double usualMin;
  private final String reason;

  Rate(String text, String per, double usualMin, String reason) {
    this.text = text;
    this.per = per;
    this.usualMin = usualMin;
    this.reason = reason;
  }

  /** What is done, as one would tell somebody to. */
  @Override
  public String text() {
    return text;
  }

  /** What it is counted by; empty when it is done once. */
  public String per() {
    return per;
  }

  /** Until the workshop says otherwise. */
  public double usualMin() {
    return usualMin;
  }

  /** What is in it. */
  public String reason() {
    return reason;
  }
}
