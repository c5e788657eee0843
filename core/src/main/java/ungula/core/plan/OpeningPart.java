package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.SHEET;

import java.util.Optional;
import ungula.core.cast.OpeningForce;
import ungula.core.cutline.CutLine;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Vec3;
import ungula.core.parting.Parting;
import ungula.core.quantity.Area;
import ungula.core.quantity.Density;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * What a cast presses a mould open with, and what keeps that shut.
 *
 * @param depthMm of the middle of the parting below the surface of what is poured
 * @param seam what opens, to follow "the"
 * @param upperG of the half that lies on it; 0 where the parting stands upright
 */
public record OpeningPart(
    Brief brief,
    CastPart cast,
    OpeningForce force,
    double depthMm,
    double areaMm2,
    boolean upright,
    String seam,
    double upperG)
    implements Part {

  /** Bands that just close a mould hold so much without a thought, g: about 5 N. */
  private static final double BANDS_G = 500;

  /** A parting is upright whose way up leads less to its side than this, as a cosine. */
  private static final double UPRIGHT = 0.5;

  /** Empty where the mould is in one part, and while a cast is not known. */
  static Optional<OpeningPart> of(
      Brief b,
      CastPart cast,
      Optional<HalvesPart> halves,
      Optional<KnifePart> knife,
      double rubberDensity) {
    return cast.known()
        ? halves.map(h -> of(b, cast, h, rubberDensity)).or(() -> knife.map(k -> of(b, cast, k)))
        : Optional.empty();
  }

  /**
   * Of halves, as the mould lies: turned over, what was the lower half lies on top; on a side the
   * parting stands upright.
   */
  private static OpeningPart of(Brief b, CastPart cast, HalvesPart halves, double density) {
    Parting parting = halves.parting();
    double below = halves.box().belowMm();
    double level = parting.levelMm();
    double area = b.facts().curve().areaAt(level - below);
    Vec3 up = cast.lies().up();
    double[] middle = b.facts().foot().middle(level - below);
    Vec3 at = new Vec3(middle[0], middle[1], level);
    Box3 block = halves.box().block();
    // filled to the outside, but where it is poured in through the open base
    double depth = cast.sprue() == null ? level - below : block.most(up) - at.dot(up);
    boolean upright = Math.abs(up.z()) < UPRIGHT;
    double upper = halves.halfMm3(up.z() < 0 ? 2 : 1) / 1000 * density * Math.abs(up.z());
    return new OpeningPart(
        b,
        cast,
        OpeningForce.of(cast.resin().density(), depth, area),
        depth,
        area,
        upright,
        "parting",
        upright ? 0 : upper);
  }

  /** A cut stands upright, cast or not. */
  private static OpeningPart of(Brief b, CastPart cast, KnifePart knife) {
    CutLine cut = knife.cut();
    double depth = cut.castMm() + (cast.sprue() == null ? 0 : knife.box().belowMm());
    return new OpeningPart(
        b,
        cast,
        OpeningForce.of(cast.resin().density(), depth, cut.castMm2()),
        depth,
        cut.castMm2(),
        true,
        "cut",
        0);
  }

  /** How a mould that is pressed open is kept shut, one sentence. */
  public String closing() {
    return upright && !opensSideways()
        ? "Bands that just close it hold that."
        : upright
            ? "Lay boards against both sides of the "
                + seam
                + ", with clamps or bands round them that hold as much."
            : holdG() > 0
                ? "Lay "
                    + Mass.format(holdG(), brief.units())
                    + " on a board over all of it, or put bands round two boards."
                : "The half on top is heavier: bands that just close it are enough.";
  }

  /**
   * Whether what is poured presses an upright parting open with more than bands that just close it
   * hold: no weight keeps that shut.
   */
  public boolean opensSideways() {
    return upright && force.grams() > BANDS_G;
  }

  /**
   * What keeps the mould shut, as a weight, g, besides the half that lies on it; 0 where nothing is
   * needed.
   */
  public double holdG() {
    return force.less(upperG).grams();
  }

  @Override
  public void show(FigureBook figures) {
    figures.mass(
        "cast.opens",
        upright
            ? "a cast presses the " + seam + " open like"
            : "a cast presses the halves apart like",
        force.grams(),
        Working.of(
                upright
                    ? "density × depth of the middle of the "
                        + seam
                        + " below the surface × area of a cast there"
                    : "density × depth of the parting below the surface × area of a cast there")
            .given(
                "density",
                Density.format(cast.resin().density()),
                brief.cast() == null ? CHOSEN : SHEET)
            .given("depth", brief.mm(depthMm), COMPUTED)
            .given("area", Area.format(areaMm2, brief.units()), COMPUTED)
            .step("That is " + Numbers.fixed(force.newtons(), 1) + " N.")
            .step(
                upright
                    ? closing()
                    : "The half on top weighs "
                        + Mass.format(upperG, brief.units())
                        + (holdG() > 0
                            ? ": another " + Mass.format(holdG(), brief.units()) + " keeps it shut."
                            : ", and keeps it shut."))
            .done());
  }
}
