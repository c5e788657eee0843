package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import ungula.core.choice.Choices;
import ungula.core.mark.Mark;
import ungula.core.mould.BoxMould;
import ungula.core.parting.Bedding;
import ungula.core.parting.Key;
import ungula.core.parting.KeyLayout;
import ungula.core.parting.Parting;
import ungula.core.parting.PartingLine;
import ungula.core.parting.PartingScan;
import ungula.core.parting.SealRing;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.working.Working;

/** The numbers of a mould in two parts. */
final class PartingFigures {

  /** Risers stand this share of the master's length in from its ends. */
  private static final double RISER_IN = 0.1;

  private final Planner p;
  private final Parting parting;

  private PartingFigures(Planner p, Parting parting) {
    this.p = p;
    this.parting = parting;
  }

  /** Works the parting out, and adds its figures to the plan's. */
  static Parting add(Planner p) {
    Choices.Parting c = p.choices.parting();
    Parting parting =
        Parting.of(
            p.box,
            p.facts.parted(),
            p.facts.shadow().get(),
            new Parting.Wanted(
                c.line(), c.upMm(), c.keying(), p.choices.marks().of(Mark.KEEP_CLEAN)));
    new PartingFigures(p, parting).add();
    return parting;
  }

  private String mm(double mm) {
    return Length.format(mm, p.units);
  }

  private String ml(double mm3) {
    return Volume.format(mm3, p.units);
  }

  private void add() {
    level();
    halves();
    seam();
    registers();
    bedding();
  }

  private void level() {
    Double up = p.choices.parting().upMm();
    Working.Builder w =
        up != null
            ? Working.of("level = lowest point of the master + how far up it")
                .given("lowest point", mm(p.box.belowMm()), CHOSEN)
                .given("up the master", mm(up), CHOSEN)
            : Working.of(
                    "the level with the least: rubber locked ÷ master + seam on what is kept clean"
                        + " ÷ seam + a tenth of the halves' difference ÷ both")
                .given("levels looked at", String.valueOf(PartingScan.LEVELS), DEFAULT);
    if (parting.line() == PartingLine.SILHOUETTE) {
      w.step(
          "The parting keeps as near to this level as the master's outline lets it: from "
              + mm(parting.lowestMm())
              + " to "
              + mm(parting.highestMm())
              + " above the plate.");
    }
    p.figures.length("parting.level", "parting above the plate", parting.levelMm(), w.done());
    p.figures.volume(
        "parting.locked",
        "rubber locked in the halves",
        parting.lockedMm3(),
        Working.of(
                "over each place: gaps between master and master + rubber of the lower half with"
                    + " master under it + rubber of the upper with master over it")
            .given("lines looked along", mm(lineMm()) + " apart", DEFAULT)
            .step("Soft rubber passes a little; see how far the master's sides lean back.")
            .done());
  }

  private double lineMm() {
    return p.facts.parted() == null ? 0 : p.facts.parted().lines().pixelMm();
  }

  private void halves() {
    BoxMould box = p.box;
    double below = box.curve().below(parting.levelMm());
    Working.Builder lower =
        Working.of("inside area × level − master below it, with what keys and silhouette move")
            .given("inside area", Numbers.fixed(box.insideAreaMm2() / 100, 1) + " cm²", COMPUTED)
            .given("level", mm(parting.levelMm()), COMPUTED)
            .given("master below it", ml(below), COMPUTED)
            .given(
                "moved by keys, ring and silhouette",
                ml(parting.lowerMm3() - box.rubberBelow(parting.levelMm())),
                COMPUTED);
    p.figures.volume("parting.lower", "lower half", parting.lowerMm3(), lower.done());
    p.figures.volume(
        "parting.upper",
        "upper half",
        parting.upperMm3(),
        Working.of("rubber in the box − lower half")
            .given("rubber in the box", ml(box.rubberMm3()), COMPUTED)
            .given("lower half", ml(parting.lowerMm3()), COMPUTED)
            .done());
  }

  private void seam() {
    p.figures.length(
        "parting.seam",
        "seam",
        parting.seamMm(),
        Working.of("length of the master's outline where the halves meet").done());
    if (!p.choices.marks().of(Mark.KEEP_CLEAN).isEmpty()) {
      p.figures.length(
          "parting.clean",
          "seam on what is to stay clean",
          parting.seamOnCleanMm(),
          Working.of("how much of the seam runs over facets marked so").done());
    }
  }

  private void registers() {
    if (p.choices.parting().keying().single()) {
      long up = parting.keys().stream().filter(Key::up).count();
      double least = parting.keys().stream().mapToDouble(Key::diameterMm).min().orElse(0);
      double most = parting.keys().stream().mapToDouble(Key::diameterMm).max().orElse(0);
      Working.Builder w =
          Working.of("the largest first, out in the corners; then smaller ones in what is left")
              .given("clear of the cavity by", mm(KeyLayout.TO_CAVITY_MM) + " or more", DEFAULT)
              .given("clear of the box by", mm(KeyLayout.TO_WALL_MM) + " or more", DEFAULT)
              .given("across", mm(least) + " to " + mm(most), COMPUTED);
      if (up < parting.keys().size()) {
        w.step(up + " stand on the lower half, " + (parting.keys().size() - up) + " hang down.");
      }
      int count = parting.keys().size();
      p.figures.put(
          "parting.keys", "keys", count, count == 1 ? "1 key" : count + " keys", w.done());
    }
    if (parting.ring() != null) {
      p.figures.length(
          "parting.ring",
          "seal ring, along its middle",
          parting.ring().lengthMm(),
          Working.of("the section at the parting, set outward to the ring's centre line")
              .given("outward", mm(SealRing.OFFSET_MM), DEFAULT)
              .given("wide at its foot", mm(SealRing.WIDTH_MM), DEFAULT)
              .given("high", mm(SealRing.HEIGHT_MM), DEFAULT)
              .done());
    }
  }

  private void bedding() {
    if (p.choices.parting().bedding() != Bedding.BOARD) {
      p.figures.volume(
          "parting.clay",
          "clay to bed it in",
          parting.lowerMm3(),
          Working.of("what the lower half will fill").done());
      return;
    }
    if (p.facts.parted() == null) {
      return;
    }
    double in = (0.5 - RISER_IN) * p.facts.sizeMm().x();
    riser("parting.riserLeft", "riser at the left", -in);
    riser("parting.riserRight", "riser at the right", in);
  }

  private void riser(String key, String label, double x) {
    double under = p.facts.parted().undersideMm(x);
    p.figures.length(
        key,
        label,
        p.box.belowMm() + under,
        Working.of("from the plate to the underside of the master, a tenth of its length in")
            .given("master clear of the plate", mm(p.box.belowMm()), CHOSEN)
            .given("its underside there", mm(under), COMPUTED)
            .done());
  }
}
