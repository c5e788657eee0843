package ungula.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Preparation;
import ungula.core.jacket.Jacket;
import ungula.core.mark.Marks;
import ungula.core.master.MasterMaterial;
import ungula.core.master.Measured;
import ungula.core.master.Pose;
import ungula.core.master.Solid;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;
import ungula.core.plate.Plate;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Units;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Ratio;
import ungula.core.skin.Skin;
import ungula.core.sprue.Spout;
import ungula.core.sprue.Sprue.Resin;

/** Everything the user has decided about one job. The plan follows from this and the master. */
public record Choices(
    Units units,
    Master master,
    Pose pose,
    Plate plate,
    Box mould,
    Parting parting,
    Cut cut,
    Weights weights,
    Channels channels,
    Hollow hollow,
    Skin skin,
    Jacket jacket,
    Site site,
    Rubber rubber,
    Cast cast,
    Casting casting,
    Marks marks) {

  /** What was kept before something was asked about has none of it. */
  public Choices {
    plate = plate == null ? Plate.ALONE : plate;
    parting = parting == null ? Parting.USUAL : parting;
    cut = cut == null ? Cut.BEST : cut;
    weights = weights == null ? Weights.EQUAL : weights;
    channels = channels == null ? Channels.USUAL : channels;
    hollow = hollow == null ? Hollow.SOLID : hollow;
    skin = skin == null ? Skin.USUAL : skin;
    jacket = jacket == null ? Jacket.USUAL : jacket;
    site = site == null ? Site.WORKSHOP : site;
    if (mould.kind == null) {
      mould = mould.of(pose.liftMm() > 0 ? MouldKind.CUT : MouldKind.OPEN);
    }
    cast = cast == null ? Cast.USUAL : cast;
    casting = casting == null ? Casting.NOTHING : casting;
    marks = marks == null ? Marks.NONE : marks;
  }

  public static Choices fresh(Units units) {
    return new Choices(
        units,
        new Master(
            Source.NONE,
            null,
            null,
            null,
            Solid.DEFAULT,
            Measured.NOTHING,
            VolumeWays.Way.BEST,
            MasterMaterial.PRINT_RESIN,
            null,
            Preparation.BARE),
        Pose.AS_MODELLED,
        Plate.ALONE,
        new Box(
            MouldKind.OPEN,
            BoxShape.RECTANGLE,
            12,
            null,
            null,
            null,
            null,
            null,
            null,
            10,
            15,
            SheetStock.FOAM_BOARD_6,
            null,
            Fixing.HOT_GLUE),
        Parting.USUAL,
        Cut.BEST,
        Weights.EQUAL,
        Channels.USUAL,
        Hollow.SOLID,
        Skin.USUAL,
        Jacket.USUAL,
        Site.WORKSHOP,
        new Rubber(
            null,
            null,
            null,
            RatioMeant.NO,
            First.BASE,
            null,
            null,
            Bubbles.THIN_POUR,
            Additive.NONE,
            null,
            null),
        Cast.USUAL,
        Casting.NOTHING,
        Marks.NONE);
  }

  public enum Source implements Choosable {
    NONE("not known yet"),
    FILE("a model file"),
    SOLID("a simple solid"),
    MEASURED("its measures");

    private final String text;

    Source(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /**
   * @param source what the shape is known from
   * @param model id of the model file; null without one
   * @param fileName it was uploaded under in this job; null in what was kept before names were
   * @param unitMm millimetres per file unit; null while it is only guessed
   * @param solid measures when it is a simple solid
   * @param measured what was read off tape, vessel and scale
   * @param way whose volume counts
   * @param material it is made of
   * @param massG as weighed; null when only computed
   * @param preparation of its surface
   */
  public record Master(
      Source source,
      String model,
      String fileName,
      Double unitMm,
      Solid solid,
      Measured measured,
      VolumeWays.Way way,
      MasterMaterial material,
      Double massG,
      Preparation preparation) {

    /** What was kept before surfaces were asked about is bare. */
    public Master {
      preparation = preparation == null ? Preparation.BARE : preparation;
    }

    /** What a mould is planned by: all but what is done to the surface. */
    Master shape() {
      return new Master(
          source, model, null, unitMm, solid, measured, way, material, massG, Preparation.BARE);
    }

    /** Nothing is known of another surface. */
    Master agreeing(Master before) {
      boolean other = material != before.material;
      return new Master(
          source,
          model,
          fileName,
          unitMm,
          solid,
          measured,
          way,
          material,
          massG,
          other && preparation == before.preparation ? Preparation.BARE : preparation);
    }
  }

  /**
   * @param kind of mould; an open one stands on the plate, any other clear of it
   * @param shape how the box runs round the master; its sides have walls of their own only when it
   *     is rectangular
   * @param sidesMm wall asked for round the sides
   * @param leftMm wall at the left; null is as the sides
   * @param rightMm wall at the right; null is as the sides
   * @param frontMm wall at the front; null is as the sides
   * @param backMm wall at the back; null is as the sides
   * @param insideLengthMm inside length of a box that is there already; null follows the walls
   * @param insideWidthMm inside width of it; null follows the walls
   * @param overTopMm from the master's top to the pour line
   * @param freeboardMm wall above the pour line
   * @param sheet the walls are cut from
   * @param ribSpacingMm distance of ribs along the walls; null is none
   * @param fixing what holds the master down
   */
  public record Box(
      MouldKind kind,
      BoxShape shape,
      double sidesMm,
      Double leftMm,
      Double rightMm,
      Double frontMm,
      Double backMm,
      Double insideLengthMm,
      Double insideWidthMm,
      double overTopMm,
      double freeboardMm,
      SheetStock sheet,
      Double ribSpacingMm,
      Fixing fixing) {

    /** What was kept before boxes had shapes is rectangular. */
    public Box {
      shape = shape == null ? BoxShape.RECTANGLE : shape;
    }

    Box of(MouldKind other) {
      return new Box(
          other,
          shape,
          sidesMm,
          leftMm,
          rightMm,
          frontMm,
          backMm,
          insideLengthMm,
          insideWidthMm,
          overTopMm,
          freeboardMm,
          sheet,
          ribSpacingMm,
          fixing);
    }
  }

  /**
   * How a two-part mould comes apart.
   *
   * @param line how the halves meet
   * @param upMm level above the master's lowest point; null is where it is best
   * @param keying what registers the halves
   * @param bedding of the master while the upper half is poured
   */
  public record Parting(PartingLine line, Double upMm, Keying keying, Bedding bedding) {
    static final Parting USUAL =
        new Parting(PartingLine.LEVEL, null, Keying.DOMES_BOTH, Bedding.CLAY);
  }

  /**
   * How a cut mould is opened.
   *
   * @param towardsDegrees the cut runs this way from the middle, seen from above: 0 to the right,
   *     90 to the back; null is where it is best
   */
  public record Cut(Double towardsDegrees) {
    static final Cut BEST = new Cut(null);
  }

  /**
   * What counts when kinds of mould are compared, each from 0 to {@link #MOST}.
   *
   * @param money for rubber and box
   * @param time until it is open
   * @param ease of the work
   * @param finish of the casts
   */
  public record Weights(int money, int time, int ease, int finish) {

    public static final int MOST = 10;

    static final Weights EQUAL = new Weights(5, 5, 5, 5);
  }

  /**
   * What a cast runs in through and air goes out by.
   *
   * @param sprueMm across the sprue; null is as narrow as fills it in time
   * @param ventMm across each vent
   * @param spout how the sprue opens to the outside
   * @param resin that is cast
   */
  public record Channels(Double sprueMm, double ventMm, Spout spout, Resin resin) {
    static final Channels USUAL = new Channels(null, 2, Spout.STRAIGHT, Resin.USUAL);
  }

  /**
   * Whether a cast is hollow.
   *
   * @param wallMm of the cast; null is solid
   */
  public record Hollow(Double wallMm) {
    static final Hollow SOLID = new Hollow(null);
  }

  public enum First implements Choosable {
    BASE("base"),
    HARDENER("hardener");

    private final String text;

    First(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum RatioMeant implements Choosable {
    NO("no"),
    YES("yes");

    private final String text;

    RatioMeant(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /**
   * @param product id of the product; null while none is picked
   * @param catalyst grade of it, by its name on the sheet; null is the usual one
   * @param ratio to mix at; null is the sheet's
   * @param ratioMeant whether a ratio far off the sheet was confirmed
   * @param first which part goes into the cup first
   * @param allowancePct over the volume needed; null is by rule
   * @param batches of equal size in each pour; null is as few as the workshop's limits allow
   * @param bubbles how air is got out of it
   * @param additive stirred in
   * @param offcutsMm3 cured pieces of the same rubber put into the box; null is none
   * @param moulds alike, made of one master; null is one
   */
  public record Rubber(
      String product,
      String catalyst,
      Ratio ratio,
      RatioMeant ratioMeant,
      First first,
      Double allowancePct,
      Integer batches,
      Bubbles bubbles,
      Additive additive,
      Double offcutsMm3,
      Integer moulds) {

    /** What was kept before bubbles were asked about is poured thin. */
    public Rubber {
      bubbles = bubbles == null ? Bubbles.THIN_POUR : bubbles;
    }

    /** A grade of catalyst belongs to one rubber. */
    Rubber agreeing(Rubber before) {
      boolean other = !Objects.equals(product, before.product);
      return other && Objects.equals(catalyst, before.catalyst) && catalyst != null
          ? new Rubber(
              product,
              null,
              ratio,
              ratioMeant,
              first,
              allowancePct,
              batches,
              bubbles,
              additive,
              offcutsMm3,
              moulds)
          : this;
    }
  }

  /**
   * What casts are made of.
   *
   * @param material while no product is picked
   * @param product id of it; null while none is picked
   * @param wanted casts; null while it is not said
   */
  public record Cast(CastingMaterial material, String product, Integer wanted) {
    static final Cast USUAL = new Cast(CastingMaterial.URETHANE, null, null);
  }

  /**
   * How casting material gets into the mould and air out of it.
   *
   * @param sprue where it is poured in, on the master's surface; null pours through the base, or
   *     where it is highest
   * @param vents on the master's surface
   */
  public record Casting(SurfacePoint sprue, List<SurfacePoint> vents) {
    static final Casting NOTHING = new Casting(null, List.of());

    Casting withVent(SurfacePoint vent) {
      List<SurfacePoint> all = new ArrayList<>(vents);
      all.add(vent);
      return new Casting(sprue, List.copyOf(all));
    }
  }

  /** How the masters stand: only in an open mould are several laid out. */
  public Plate laid() {
    return mould.kind() == MouldKind.OPEN ? plate : Plate.ALONE;
  }

  Choices withCasting(Casting changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, changed, marks);
  }

  Choices withMarks(Marks changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, changed);
  }

  /**
   * These, made to agree with each other after a change: nothing of another surface or another way
   * to stand is kept, and only an open mould stands on the plate.
   */
  Choices agreeing(Choices before) {
    boolean sameSurface =
        master.source == before.master.source
            && Objects.equals(master.model, before.master.model)
            && (master.source != Source.SOLID || master.solid.equals(before.master.solid));
    Choices now =
        mastered(master.agreeing(before.master)).withRubber(rubber.agreeing(before.rubber));
    if (!sameSurface) {
      now = now.withCasting(Casting.NOTHING).withMarks(Marks.NONE);
    } else if (laid().copies() != before.laid().copies()) {
      now = now.withCasting(Casting.NOTHING);
    }
    now = now.plated(plate.agreeing(before.plate)).skinned(skin, jacket.agreeing(before.jacket));
    if (!sameSurface || !pose.turn().equals(before.pose.turn())) {
      now = now.parted(new Parting(parting.line, null, parting.keying, parting.bedding), Cut.BEST);
      now = now.skinned(skin.open(), jacket.unturned());
    }
    boolean lifted = pose.liftMm() > 0;
    if (lifted != mould.kind.onPlate()) {
      return now;
    }
    if (mould.kind != before.mould.kind) {
      return now.withPose(new Pose(pose.turn(), lifted ? 0 : Math.max(10, mould.sidesMm)));
    }
    return now.moulded(mould.of(lifted ? MouldKind.CUT : MouldKind.OPEN));
  }

  /** The mould and rubber of these round the master of others. */
  public Choices mouldOf(Choices others) {
    return new Choices(
            others.units,
            others.master,
            pose,
            plate,
            mould,
            parting,
            cut,
            others.weights,
            channels,
            hollow,
            skin,
            jacket,
            others.site,
            rubber,
            others.cast,
            casting,
            others.marks)
        .agreeing(this)
        .withMarks(others.marks);
  }

  private Choices mastered(Master changed) {
    return new Choices(
        units, changed, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks);
  }

  private Choices withRubber(Rubber changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, changed, cast, casting, marks);
  }

  private Choices plated(Plate changed) {
    return new Choices(
        units, master, pose, changed, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks);
  }

  private Choices parted(Parting halves, Cut knife) {
    return new Choices(
        units, master, pose, plate, mould, halves, knife, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks);
  }

  Choices skinned(Skin coats, Jacket round) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, coats, round,
        site, rubber, cast, casting, marks);
  }

  private Choices moulded(Box changed) {
    return new Choices(
        units, master, pose, plate, changed, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks);
  }

  Choices withPose(Pose changed) {
    return new Choices(
        units, master, changed, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks);
  }

  /** The same for equal parts, in this run of the program and in any other. */
  public static String fingerprint(Object... parts) {
    return Integer.toHexString(Arrays.toString(parts).hashCode());
  }

  /** Fingerprint of what the choice of a kind of mould builds on. */
  public String beforeApproach() {
    return fingerprint(master.shape(), marks);
  }

  /** Fingerprint of what the mould stage builds on. */
  public String beforeMould() {
    return fingerprint(master.shape(), pose);
  }

  /** Fingerprint of what the rubber stage builds on. */
  public String beforeRubber() {
    return fingerprint(master, pose, laid(), mould, parting, cut, skin, jacket, site);
  }

  /** Fingerprint of what the pours build on. */
  public String beforePours() {
    return fingerprint(
        beforeRubber(), rubber.product, rubber.catalyst, rubber.ratio, rubber.additive);
  }
}
