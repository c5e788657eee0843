package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import ungula.core.choice.MasterChoice;
import ungula.core.choice.MasterSource;
import ungula.core.geometry.Vec3;
import ungula.core.master.MasterMaterial;
import ungula.core.master.VolumeWays;
import ungula.core.mould.BoxMould;
import ungula.core.quantity.Density;
import ungula.core.quantity.FileUnit;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * The volume of the master, over all its copies, by every way it is known.
 *
 * @param roomMm3 of a block round one master: none holds more
 * @param best way of them that can be; null while there is none: then its outer size counts
 * @param volumeMm3 of all copies
 * @param errorMm3 of that, either way
 */
public record MasterPart(
    Brief brief,
    List<VolumeWays.Result> ways,
    double roomMm3,
    VolumeWays.Result best,
    double volumeMm3,
    double errorMm3)
    implements Part {

  /** Of a master whose volume is not measured, for all that is missing of its outer size. */
  private static final double UNMEASURED = 0.3;

  private static final double ROUNDING = 1.001;

  /**
   * Shape first: the model or solid; then every measured way; the one that counts is taken.
   *
   * @param box that is filled up where rubber is measured round the master
   */
  static MasterPart of(Brief b, BoxMould box) {
    MasterChoice master = b.choices().master();
    List<VolumeWays.Result> ways = new ArrayList<>();
    if (b.facts().report() != null) {
      ways.add(shape(b));
    }
    ways.addAll(VolumeWays.of(master.measured(), GrainBox.roomMm3(box), b.units()));
    int copies = b.choices().laid().copies();
    Vec3 s = b.facts().sizeMm();
    double roomMm3 = s.x() * s.y() * s.z() / copies;
    List<VolumeWays.Result> can = ways.stream().filter(w -> canBe(w, roomMm3)).toList();
    VolumeWays.Result best =
        can.stream()
            .filter(w -> w.way() == master.way())
            .findFirst()
            .orElseGet(
                () ->
                    can.stream()
                        .min(Comparator.comparingDouble(w -> w.errorMm3() / w.volumeMm3()))
                        .orElse(null));
    double outer = b.facts().curve().total();
    return best == null
        ? new MasterPart(b, ways, roomMm3, null, outer, UNMEASURED * outer)
        : new MasterPart(
            b, ways, roomMm3, best, copies * best.volumeMm3(), copies * best.errorMm3());
  }

  /** A master holds something, and no more than a block round it. */
  private static boolean canBe(VolumeWays.Result way, double roomMm3) {
    return way.volumeMm3() > 0 && way.volumeMm3() - way.errorMm3() <= roomMm3 * ROUNDING;
  }

  /** Ways whose readings cannot be right: they are not counted. */
  public List<VolumeWays.Result> impossible() {
    return ways.stream().filter(w -> !canBe(w, roomMm3)).toList();
  }

  public MasterPart {
    ways = List.copyOf(ways);
  }

  /** Of all copies, as weighed, else of its material. */
  public double massG() {
    MasterChoice m = brief.choices().master();
    return m.massG() != null
        ? brief.choices().laid().copies() * m.massG()
        : volumeMm3 / 1000 * m.material().density();
  }

  @Override
  public void show(FigureBook figures) {
    for (VolumeWays.Result w : ways) {
      String key = "master.volume." + w.way().name().toLowerCase(Locale.ROOT);
      String label = "by " + w.way().text();
      if (w.volumeMm3() > 0) {
        figures.volume(key, label, w.volumeMm3(), w.working());
      } else {
        figures.put(key, label, 0, "cannot be", w.working());
      }
    }
    Vec3 s = brief.facts().sizeMm();
    if (best == null) {
      figures.volume(
          "master.volume",
          "master",
          volumeMm3,
          Working.of("volume = outer length × width × height, as if it filled them")
              .given("outer size", Length.format3(s.x(), s.y(), s.z(), brief.units()), MEASURED)
              .step("The master's own volume is not measured yet; the rubber will be more.")
              .plusMinus("± " + brief.ml(errorMm3))
              .done());
    } else {
      int copies = brief.choices().laid().copies();
      figures.volume(
          "master.volume",
          copies > 1 ? copies + " masters" : "master",
          volumeMm3,
          copies > 1
              ? Working.of("all = copies on the plate × volume of one")
                  .given("copies", copies + "", CHOSEN)
                  .given("one, by " + best.way().text(), brief.ml(best.volumeMm3()), COMPUTED)
                  .plusMinus(errorMm3 > 0 ? "± " + brief.ml(errorMm3) : "")
                  .done()
              : best.working());
    }
    figures.put(
        "master.size",
        "outer size",
        s.z(),
        Length.format3(s.x(), s.y(), s.z(), brief.units()),
        Working.of("longest reach of the master along each direction, as it stands")
            .given("shape", brief.facts().titled(), MEASURED)
            .done());
    boolean weighed = brief.choices().master().massG() != null;
    int copies = brief.choices().laid().copies();
    figures.mass(
        "master.mass",
        copies > 1 ? "mass of the masters" : "mass of the master",
        massG(),
        weighed
            ? Working.of(copies > 1 ? "copies on the plate × as weighed" : "as weighed")
                .given(
                    "master",
                    Mass.format(brief.choices().master().massG(), brief.units()),
                    MEASURED)
                .given("copies", copies + "", CHOSEN)
                .done()
            : Working.of("mass = volume × density of its material")
                .given("volume", brief.ml(volumeMm3), COMPUTED)
                .given(
                    brief.choices().master().material().text(),
                    Density.format(brief.choices().master().material().density()),
                    DEFAULT)
                .step(
                    brief.choices().master().material() == MasterMaterial.UNKNOWN
                        ? "Say what it is made of, or weigh it: until then it is counted as heavy"
                            + " as water."
                        : "A hollow master weighs less: weigh it and say so.")
                .done());
  }

  private static VolumeWays.Result shape(Brief b) {
    var report = b.facts().report();
    boolean solid = b.choices().master().source() == MasterSource.SOLID;
    if (solid) {
      double v = b.choices().master().solid().volumeMm3();
      double error = b.choices().master().solid().volumeErrorMm3();
      return new VolumeWays.Result(
          VolumeWays.Way.SOLID,
          v,
          error,
          "",
          Working.of("volume of a " + b.choices().master().solid().kind().text() + ", by formula")
              .given("shape", b.facts().titled(), MEASURED)
              .given("each measure ±", b.mm(b.choices().master().solid().toleranceMm()), CHOSEN)
              .plusMinus("± " + b.ml(error))
              .done());
    }
    Working.Builder w =
        Working.of(
                report.estimate()
                    ? "volume by the distance field: cells inside the surface, shared room once"
                    : "volume enclosed by the facets: sum of a · (b × c) ÷ 6")
            .given("model", b.facts().titled(), MEASURED)
            .given("facets", Numbers.fixed(report.triangles(), 0), MEASURED);
    if (b.facts().guessedUnitMm() != null) {
      w.given("unit of the file", FileUnit.name(b.facts().guessedUnitMm()) + ", guessed", DEFAULT);
    }
    if (report.estimate()) {
      w.plusMinus("± " + b.ml(report.volumeErrorMm3()));
    } else {
      w.plusMinus("exact for the model; the piece itself may differ from it");
    }
    return new VolumeWays.Result(
        VolumeWays.Way.MODEL, report.volumeMm3(), report.volumeErrorMm3(), "", w.done());
  }
}
