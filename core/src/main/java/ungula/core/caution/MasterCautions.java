package ungula.core.caution;

import static ungula.core.caution.Caution.Level.CHECK;
import static ungula.core.caution.Caution.Level.NOTE;
import static ungula.core.caution.Caution.Level.STOP;

import java.util.ArrayList;
import java.util.List;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.MasterChoice;
import ungula.core.master.MasterMaterial;
import ungula.core.master.VolumeWays;
import ungula.core.plan.MasterPart;
import ungula.core.plan.Plan;
import ungula.core.quantity.FileUnit;
import ungula.core.quantity.Length;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Volume;
import ungula.core.sentence.WordBook.Edit;

/** What is doubtful about the master: its mesh, its volume, its unit. */
final class MasterCautions extends Finding {

  /** A weight this far off what a solid master of its material weighs is said. */
  private static final double OFF_WEIGHT = 0.1;

  private MasterCautions(Plan p, Prices prices) {
    super(p, prices, "master");
  }

  static List<Caution> of(Plan p, Prices prices) {
    MasterCautions c = new MasterCautions(p, prices);
    c.mesh();
    c.volume();
    c.weight();
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

  /** A volume that its outer size cannot hold, or none at all: that reading is wrong. */
  private void volume() {
    MasterPart master = p.master().orElseThrow();
    List<VolumeWays.Result> wrong = master.impossible();
    if (wrong.isEmpty()) {
      return;
    }
    VolumeWays.Way asked = p.choices().master().way();
    boolean counted = master.best() == null || wrong.stream().anyMatch(w -> w.way() == asked);
    List<Fix> fixes = new ArrayList<>();
    for (VolumeWays.Result way : counted ? master.ways() : List.<VolumeWays.Result>of()) {
      if (!wrong.contains(way)) {
        fixes.add(
            new Fix(
                "Count " + way.way().text(),
                Volume.format(way.volumeMm3(), p.units()),
                List.of(Edit.of("master.way", way.way().name()))));
      }
    }
    List<String> said = new ArrayList<>();
    wrong.forEach(w -> said.add(impossible(w, master.roomMm3())));
    said.add(
        "Look at "
            + (wrong.size() == 1 ? "that reading" : "these readings")
            + " and the size again. Until then "
            + (master.best() == null ? "its outer size" : master.best().way().text())
            + " counts.");
    add(
        "volume.impossible",
        counted ? STOP : CHECK,
        "A reading of the master's volume cannot be right",
        String.join(" ", said),
        null,
        fixes.toArray(Fix[]::new));
  }

  private String impossible(VolumeWays.Result way, double roomMm3) {
    String by = "By " + way.way().text();
    return way.volumeMm3() > 0
        ? by
            + " the master holds "
            + Volume.format(way.volumeMm3(), p.units())
            + "; a block of its outer size holds "
            + Volume.format(roomMm3, p.units())
            + "."
        : by + " nothing is left for the master.";
  }

  /** Weighed, against its volume × the density of its material. */
  private void weight() {
    MasterChoice m = p.choices().master();
    if (m.massG() == null
        || m.material() == MasterMaterial.UNKNOWN
        || !p.choices().decided("master.material")) {
      return;
    }
    double oneMm3 = p.master().orElseThrow().volumeMm3() / p.choices().laid().copies();
    double solidG = oneMm3 / 1000 * m.material().density();
    double share = m.massG() / solidG;
    if (Math.abs(share - 1) <= OFF_WEIGHT) {
      return;
    }
    boolean heavy = share > 1;
    add(
        "weight.master",
        heavy ? CHECK : NOTE,
        "The master is "
            + Share.format(Math.abs(share - 1))
            + (heavy ? " heavier" : " lighter")
            + " than its volume says",
        "Weighed "
            + Mass.format(m.massG(), p.units())
            + "; solid "
            + m.material().text()
            + " of "
            + Volume.format(oneMm3, p.units())
            + " weighs "
            + Mass.format(solidG, p.units())
            + ". "
            + (heavy
                ? "Look at the volume, the unit of the file and the material again."
                : "It is hollow, or of a lighter material; or its volume is too large."),
        null,
        new Fix("Remove the weight", "", List.of(Edit.of("master.massG", ""))));
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
              FileUnit.name(unit),
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
        "The file does not say. Read as "
            + FileUnit.name(guess)
            + ", the longest side is "
            + Numbers.trimmed(longest, 1)
            + " mm ("
            + Numbers.trimmed(longest / Length.INCH_MM, 2)
            + " in).",
        null,
        fixes.toArray(Fix[]::new));
  }
}
