package ungula.core.choice;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Objects;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Pattern;
import ungula.core.contact.Preparation;
import ungula.core.jacket.Jacket;
import ungula.core.mark.Marks;
import ungula.core.master.MasterMaterial;
import ungula.core.master.Measured;
import ungula.core.master.Pose;
import ungula.core.master.Solid;
import ungula.core.master.VolumeWays;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Filling;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;
import ungula.core.plate.Plate;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Units;
import ungula.core.rubber.Additive;
import ungula.core.skin.Skin;

/**
 * Everything the user has decided about one job. The plan follows from this and the master.
 *
 * @param decided words somebody wrote or took: the others stand as assumed. Null in what was kept
 *     before it was noted: all of that counts as decided
 */
public record Choices(
    Units units,
    MasterChoice master,
    Pose pose,
    Plate plate,
    BoxChoice mould,
    PartingChoice parting,
    CutChoice cut,
    Weights weights,
    Channels channels,
    Hollow hollow,
    Skin skin,
    Jacket jacket,
    Site site,
    RubberChoice rubber,
    CastChoice cast,
    Casting casting,
    Marks marks,
    DaysChoice days,
    LabelChoice label,
    LyingChoice lying,
    SortedSet<String> decided) {

  private static final Pattern RECORD_NAME = Pattern.compile("\\b[A-Z]\\w*\\[");

  /** What was kept before something was asked about has none of it. */
  public Choices {
    plate = plate == null ? Plate.ALONE : plate;
    parting = parting == null ? PartingChoice.USUAL : parting;
    cut = cut == null ? CutChoice.BEST : cut;
    weights = weights == null ? Weights.EQUAL : weights;
    channels = channels == null ? Channels.USUAL : channels;
    hollow = hollow == null ? Hollow.SOLID : hollow;
    skin = skin == null ? Skin.USUAL : skin;
    jacket = jacket == null ? Jacket.USUAL : jacket;
    site = site == null ? Site.WORKSHOP : site;
    if (mould.kind() == null) {
      mould = mould.of(pose.liftMm() > 0 ? MouldKind.CUT : MouldKind.OPEN);
    }
    cast = cast == null ? CastChoice.USUAL : cast;
    casting = casting == null ? Casting.NOTHING : casting;
    marks = marks == null ? Marks.NONE : marks;
    days = days == null ? DaysChoice.OPEN : days;
    label = label == null ? LabelChoice.NONE : label;
    lying = lying == null ? LyingChoice.USUAL : lying;
    decided = decided == null ? null : Collections.unmodifiableSortedSet(new TreeSet<>(decided));
  }

  public static Choices fresh(Units units) {
    return new Choices(
        units,
        new MasterChoice(
            MasterSource.NONE,
            null,
            null,
            null,
            Solid.DEFAULT,
            Measured.NOTHING,
            VolumeWays.Way.BEST,
            MasterMaterial.UNKNOWN,
            null,
            Preparation.UNKNOWN),
        Pose.AS_MODELLED,
        Plate.ALONE,
        new BoxChoice(
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
            Fixing.HOT_GLUE,
            Filling.ROUND_FIRST),
        PartingChoice.USUAL,
        CutChoice.BEST,
        Weights.EQUAL,
        Channels.USUAL,
        Hollow.SOLID,
        Skin.USUAL,
        Jacket.USUAL,
        Site.WORKSHOP,
        new RubberChoice(
            null,
            null,
            null,
            RatioMeant.NO,
            First.BASE,
            null,
            null,
            null,
            Bubbles.THIN_POUR,
            Additive.NONE,
            Additive.NONE,
            null,
            null),
        CastChoice.USUAL,
        Casting.NOTHING,
        Marks.NONE,
        DaysChoice.OPEN,
        LabelChoice.NONE,
        LyingChoice.USUAL,
        new TreeSet<>());
  }

  /** Whether a word stands as somebody chose it, and not as assumed. */
  public boolean decided(String word) {
    return decided == null || decided.contains(word);
  }

  /** These, with words that are decided by what they say now. */
  Choices deciding(Collection<String> words) {
    if (decided == null) {
      return this;
    }
    SortedSet<String> all = new TreeSet<>(decided);
    all.addAll(words);
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, all);
  }

  /** How the masters stand: only in an open mould are several laid out. */
  public Plate laid() {
    return mould.kind() == MouldKind.OPEN ? plate : Plate.ALONE;
  }

  Choices withCasting(Casting changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, changed, marks, days, label, lying, decided);
  }

  Choices withMarks(Marks changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, changed, days, label, lying, decided);
  }

  /**
   * These, made to agree with each other after a change: nothing of another surface or another way
   * to stand is kept, and only an open mould stands on the plate.
   */
  Choices consistentAfter(Choices before) {
    boolean sameSurface =
        master.source() == before.master.source()
            && Objects.equals(master.model(), before.master.model())
            && (master.source() != MasterSource.SOLID
                || master.solid().equals(before.master.solid()));
    Choices now =
        mastered(master.consistentAfter(before.master))
            .withRubber(rubber.consistentAfter(before.rubber));
    if (!sameSurface) {
      now = now.withCasting(Casting.NOTHING).withMarks(Marks.NONE);
    } else if (laid().copies() != before.laid().copies()) {
      now = now.withCasting(Casting.NOTHING);
    }
    now =
        now.plated(plate.consistentAfter(before.plate))
            .skinned(skin, jacket.consistentAfter(before.jacket))
            .laid(lying.consistent());
    if (!sameSurface || !pose.turn().equals(before.pose.turn())) {
      now = now.parted(parting.open(), cut.best());
      now = now.skinned(skin.open(), jacket.unturned());
    }
    boolean lifted = pose.liftMm() > 0;
    if (lifted != mould.kind().onPlate()) {
      return now;
    }
    if (mould.kind() != before.mould.kind()) {
      return now.withPose(new Pose(pose.turn(), lifted ? 0 : Math.max(10, mould.sidesMm())));
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
            others.marks,
            others.days,
            label,
            lying,
            others.decided)
        .consistentAfter(this)
        .withMarks(others.marks)
        .deciding(decided == null ? Set.of() : decided);
  }

  /** The same, the grain round the master read in a box with such room. */
  public Choices readIn(Double boxMm3) {
    return mastered(master.readIn(boxMm3));
  }

  private Choices mastered(MasterChoice changed) {
    return new Choices(
        units, changed, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  /** For another mould: nothing said of when it is done, and without this one's code. */
  public Choices anew() {
    return new Choices(
        units,
        master,
        pose,
        plate,
        mould,
        parting,
        cut,
        weights,
        channels,
        hollow,
        skin,
        jacket,
        site,
        rubber,
        cast,
        casting,
        marks,
        DaysChoice.OPEN,
        label.uncoded(),
        lying,
        decided);
  }

  Choices withDays(DaysChoice changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, changed, label, lying, decided);
  }

  private Choices laid(LyingChoice changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, changed, decided);
  }

  private Choices withRubber(RubberChoice changed) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, changed, cast, casting, marks, days, label, lying, decided);
  }

  private Choices plated(Plate changed) {
    return new Choices(
        units, master, pose, changed, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  private Choices parted(PartingChoice halves, CutChoice knife) {
    return new Choices(
        units, master, pose, plate, mould, halves, knife, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  Choices skinned(Skin coats, Jacket round) {
    return new Choices(
        units, master, pose, plate, mould, parting, cut, weights, channels, hollow, coats, round,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  private Choices moulded(BoxChoice changed) {
    return new Choices(
        units, master, pose, plate, changed, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  Choices withPose(Pose changed) {
    return new Choices(
        units, master, changed, plate, mould, parting, cut, weights, channels, hollow, skin, jacket,
        site, rubber, cast, casting, marks, days, label, lying, decided);
  }

  /** The same for equal parts, in this run of the program and in any other. */
  public static String fingerprint(Object... parts) {
    // by what they hold, whatever the records that hold it are called
    String held = RECORD_NAME.matcher(Arrays.toString(parts)).replaceAll("[");
    return Integer.toHexString(held.hashCode());
  }
}
