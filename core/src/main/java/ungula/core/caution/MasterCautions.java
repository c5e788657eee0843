package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.geometry.Vec3;
import ungula.core.master.VolumeWays;
import ungula.core.plan.MasterPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What is doubtful about the master: its mesh, its volume, its unit. */
final class MasterCautions extends Finding {

  private MasterCautions(Plan p, Prices prices) {
    super(p, prices, "master");
  }

  static List<Caution> of(Plan p, Prices prices) {
    MasterCautions c = new MasterCautions(p, prices);
    c.mesh();
    c.volume();
    c.unit();
    return c.found;
  }

  private void mesh() {
    var report = p.facts().report();
    if (report == null) {
      return;
    }
    if (report.estimate()) {
      add(
          "mesh.open",
          CHECK,
          report.closed() ? "Parts of the model run into each other" : "The model is not closed",
          String.join(" ", report.defects())
              + " Its volume is taken as "
              + Volume.format(report.volumeMm3(), p.units())
              + " ± "
              + Volume.format(report.volumeErrorMm3(), p.units())
              + ".",
          null);
    } else if (!report.defects().isEmpty()) {
      add("mesh.mended", NOTE, "The model was mended", String.join(" ", report.defects()), null);
    }
  }

  /** A volume that its outer size cannot hold, or none at all: some reading is wrong. */
  private void volume() {
    Vec3 s = p.facts().sizeMm();
    double room = s.x() * s.y() * s.z();
    MasterPart master = p.master().orElseThrow();
    boolean tooMuch = master.volumeMm3() - master.errorMm3() > room * 1.001;
    if (master.volumeMm3() > 0 && !tooMuch) {
      return;
    }
    double each = room / p.choices().laid().copies();
    List<Fix> fixes = new ArrayList<>();
    for (VolumeWays.Result way : master.ways()) {
      if (way.volumeMm3() > 0 && way.volumeMm3() - way.errorMm3() <= each * 1.001) {
        fixes.add(
            new Fix(
                "Count " + way.way().text(),
                Volume.format(way.volumeMm3(), p.units()),
                List.of(Edit.of("master.way", way.way().name()))));
      }
    }
    add(
        "volume.impossible",
        STOP,
        "The master's volume cannot be right",
        "It is taken as "
            + Volume.format(master.volumeMm3(), p.units())
            + ", but its outer size, "
            + Length.format3(s.x(), s.y(), s.z(), p.units())
            + ", holds at most "
            + Volume.format(room, p.units())
            + ". Look at the readings and the size again.",
        null,
        fixes.toArray(Fix[]::new));
  }

  private void unit() {
    Double guess = p.facts().guessedUnitMm();
    if (guess == null) {
      return;
    }
    double longest = p.facts().sizeMm().longest();
    List<Fix> fixes = new ArrayList<>();
    for (double unit : new double[] {1, 25.4, 1000, 10}) {
      double size = longest / guess * unit;
      fixes.add(
          new Fix(
              (unit == 10 ? "centimetres" : MasterPart.unitName(unit)),
              Numbers.significant(size, 3)
                  + " mm, "
                  + Numbers.significant(size / Length.INCH_MM, 3)
                  + " in",
              List.of(Edit.of("master.unitMm", String.valueOf(unit)))));
    }
    add(
        "unit.doubt",
        CHECK,
        "Which unit is the file in?",
        "The file does not say. Taken for "
            + MasterPart.unitName(guess)
            + ", the longest side is "
            + Numbers.trimmed(longest, 1)
            + " mm ("
            + Numbers.trimmed(longest / Length.INCH_MM, 2)
            + " in).",
        null,
        fixes.toArray(Fix[]::new));
  }
}
