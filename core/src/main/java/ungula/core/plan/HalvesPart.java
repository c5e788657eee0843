package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.MEASURED;

import java.util.List;
import java.util.Optional;
import ungula.core.choice.Choices;
import ungula.core.choice.PartingChoice;
import ungula.core.mark.Mark;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldKind;
import ungula.core.parting.Bedding;
import ungula.core.parting.Key;
import ungula.core.parting.KeyLayout;
import ungula.core.parting.Parting;
import ungula.core.parting.PartingLine;
import ungula.core.parting.PartingScan;
import ungula.core.parting.Riser;
import ungula.core.parting.SealRing;
import ungula.core.quantity.Share;
import ungula.core.study.Parted;
import ungula.core.working.FigureBook;
import ungula.core.working.Given;
import ungula.core.working.Working;

/** The two halves of a mould, and how they part. */
public record HalvesPart(Brief brief, BoxMould box, Parting parting) implements Part {

  /** Risers stand this share of the master's length in from its ends, unless said otherwise. */
  private static final double RISER_IN = 0.1;

  /** Empty for a mould that is not in two parts. */
  static Optional<HalvesPart> of(Brief b, BoxMould box) {
    if (b.choices().mould().kind() != MouldKind.TWO_PART) {
      return Optional.empty();
    }
    return Optional.of(new HalvesPart(b, box, parting(b.choices(), b.facts(), box)));
  }

  static Parting parting(Choices c, MasterFacts facts, BoxMould box) {
    return Parting.of(box, facts.parted(), facts.shadow().get(), wanted(c));
  }

  /** Its seam, as far as vents in it go: known without laying it. */
  static Parted parted(Choices c, MasterFacts facts, BoxMould box) {
    boolean level = c.parting().line() == PartingLine.LEVEL;
    return new Parted(
        level ? Parted.Along.LEVEL : Parted.Along.SILHOUETTE,
        Parting.levelMm(box, facts.parted(), wanted(c)),
        c.parting().keying());
  }

  private static Parting.Wanted wanted(Choices all) {
    PartingChoice c = all.parting();
    return new Parting.Wanted(
        c.line(), c.upMm(), c.keying(), c.ring(), all.marks().of(Mark.KEEP_CLEAN));
  }

  /** Of all rubber, what the upper half takes: it is poured first. */
  double upperShare() {
    return box.rubberMm3() > 0 ? parting.upperMm3() / box.rubberMm3() : 0.5;
  }

  /** What a half takes: 1 is the upper, poured first; 2 the lower, poured turned over. */
  double halfMm3(int pour) {
    return pour == 1 ? parting.upperMm3() : parting.lowerMm3();
  }

  /**
   * How high the box is full, above what is its base as a half is poured.
   *
   * @param share of the half that is in it
   */
  double levelMm(int pour, double share) {
    double lower = parting.lowerMm3();
    return pour == 1
        ? box.levelOf(lower + share * parting.upperMm3())
        : box.pourLineMm() - box.levelOf((1 - share) * lower);
  }

  /** Where the master ends, as a half is poured, above what is the base then. */
  public double masterTopMm(int pour) {
    return pour == 1 ? box.belowMm() + box.masterMm().z() : box.pourLineMm() - box.belowMm();
  }

  /** Up to here the first of several batches of a half has to stand. */
  public double coveredMm(int pour) {
    return Math.min(masterTopMm(pour) + BoxMould.COVERED_MM, box.pourLineMm());
  }

  /** Of the upper half, what is poured first and left until tacky. */
  double sealingShare() {
    Double mm = PourMix.sealingMm(brief, box.pourLineMm() - parting.levelMm());
    double half = parting.upperMm3();
    return mm == null || !(half > 0)
        ? 0
        : Math.max(0, (box.rubberBelow(parting.levelMm() + mm) - parting.lowerMm3()) / half);
  }

  /** Of a half, what its first batch has to be so that it covers the master. */
  double coverShare(int pour) {
    double half = halfMm3(pour);
    if (!(half > 0)) {
      return 0;
    }
    double mm3 =
        pour == 1
            ? box.rubberBelow(coveredMm(1)) - parting.lowerMm3()
            : parting.lowerMm3() - box.rubberBelow(box.pourLineMm() - coveredMm(2));
    return Math.max(0, Math.min(1, mm3 / half));
  }

  @Override
  public void show(FigureBook figures) {
    level(figures);
    halves(figures);
    seam(figures);
    registers(figures);
    bedding(figures);
  }

  private void level(FigureBook figures) {
    Double up = brief.choices().parting().upMm();
    Working.Builder w =
        up != null
            ? Working.of("level = lowest point of the master + how far up it")
                .given("lowest point", brief.mm(box.belowMm()), CHOSEN)
                .given("up the master", brief.mm(up), CHOSEN)
            : Working.of(
                    "the level with the least: rubber locked ÷ master + seam on what is kept clean"
                        + " ÷ seam + a tenth of the halves' difference ÷ both")
                .given("levels looked at", String.valueOf(PartingScan.LEVELS), DEFAULT);
    if (parting.line() == PartingLine.SILHOUETTE) {
      w.step(
          "The parting keeps as near to this level as the master's outline lets it: from "
              + brief.mm(parting.lowestMm())
              + " to "
              + brief.mm(parting.highestMm())
              + " above the plate.");
    }
    figures.length("parting.level", "parting above the plate", parting.levelMm(), w.done());
    figures.volume(
        "parting.locked",
        "rubber locked in the halves",
        parting.lockedMm3(),
        Working.of(
                "over each place: gaps between master and master + rubber of the lower half with"
                    + " master under it + rubber of the upper with master over it")
            .given("lines looked along", brief.mm(lineMm()) + " apart", DEFAULT)
            .step("Soft rubber passes a little; see how far the master's sides lean back.")
            .done());
  }

  private double lineMm() {
    return brief.facts().parted() == null ? 0 : brief.facts().parted().lines().pixelMm();
  }

  private void halves(FigureBook figures) {
    double below = box.curve().below(parting.levelMm());
    Working.Builder lower =
        Working.of("inside area × level − master below it, with what keys and silhouette move")
            .given("inside area", brief.area(box.insideAreaMm2()), COMPUTED)
            .given("level", brief.mm(parting.levelMm()), COMPUTED)
            .given("master below it", brief.ml(below), COMPUTED)
            .given(
                "moved by keys, ring and silhouette",
                brief.ml(parting.lowerMm3() - box.rubberBelow(parting.levelMm())),
                COMPUTED);
    double share = brief.firstMouldShare(box.rubberMm3());
    if (share != 1) {
      lower.given("the first mould weighs of what was planned", Share.format(share), MEASURED);
    }
    figures.volume("parting.lower", "lower half", share * parting.lowerMm3(), lower.done());
    figures.volume(
        "parting.upper",
        "upper half",
        share * parting.upperMm3(),
        Working.of("rubber in the box − lower half")
            .given("rubber in the box", brief.ml(share * box.rubberMm3()), COMPUTED)
            .given("lower half", brief.ml(share * parting.lowerMm3()), COMPUTED)
            .done());
  }

  private void seam(FigureBook figures) {
    figures.run(
        "parting.seam",
        "seam",
        parting.seamMm(),
        Working.of("length of the master's outline where the halves meet").done());
    if (!brief.choices().marks().of(Mark.KEEP_CLEAN).isEmpty()) {
      figures.run(
          "parting.clean",
          "seam on what is to stay clean",
          parting.seamOnCleanMm(),
          Working.of("how much of the seam runs over facets marked so").done());
    }
  }

  private void registers(FigureBook figures) {
    if (brief.choices().parting().keying().single()) {
      long up = parting.keys().stream().filter(Key::up).count();
      double least = parting.keys().stream().mapToDouble(Key::diameterMm).min().orElse(0);
      double most = parting.keys().stream().mapToDouble(Key::diameterMm).max().orElse(0);
      Working.Builder w =
          Working.of("the largest first, out in the corners; then smaller ones in what is left")
              .given(
                  "clear of the cavity by", brief.mm(KeyLayout.TO_CAVITY_MM) + " or more", DEFAULT)
              .given("clear of the box by", brief.mm(KeyLayout.TO_WALL_MM) + " or more", DEFAULT)
              .given("across", brief.mm(least) + " to " + brief.mm(most), COMPUTED);
      if (up < parting.keys().size()) {
        w.step(up + " stand on the lower half, " + (parting.keys().size() - up) + " hang down.");
      }
      int count = parting.keys().size();
      figures.put("parting.keys", "keys", count, count == 1 ? "1 key" : count + " keys", w.done());
    }
    if (parting.ring() != null) {
      SealRing.Form ring = parting.ring().form();
      Given.Source from = ring.equals(SealRing.Form.USUAL) ? DEFAULT : CHOSEN;
      figures.length(
          "parting.ring",
          "seal ring, along its middle",
          parting.ring().lengthMm(),
          Working.of("the section at the parting, set outward to the ring's centre line")
              .given("outward", brief.mm(ring.offsetMm()), from)
              .given("wide at its foot", brief.mm(ring.widthMm()), from)
              .given("high", brief.mm(ring.heightMm()), from)
              .done());
    }
  }

  private void bedding(FigureBook figures) {
    if (brief.choices().parting().bedding() != Bedding.BOARD) {
      figures.volume(
          "parting.clay",
          "clay to bed it in",
          parting.lowerMm3(),
          Working.of("what the lower half will fill").done());
      return;
    }
    PartingChoice c = brief.choices().parting();
    for (Riser r : risers()) {
      boolean left = r.side().equals("left");
      String key = left ? "parting.riserLeft" : "parting.riserRight";
      boolean set = (left ? c.riserLeftMm() : c.riserRightMm()) != null;
      figures.length(
          key,
          "riser at the " + r.side(),
          r.heightMm(),
          Working.of("from the plate to the underside of the master where it stands")
              .given("in from the " + r.side() + " end", brief.mm(r.inMm()), set ? CHOSEN : DEFAULT)
              .given("master clear of the plate", brief.mm(box.belowMm()), CHOSEN)
              .given("its underside there", brief.mm(r.heightMm() - box.belowMm()), COMPUTED)
              .done());
    }
  }

  /** What carries the master over a board; none where it is bedded in clay or has no model. */
  public List<Riser> risers() {
    if (brief.choices().parting().bedding() != Bedding.BOARD || brief.facts().parted() == null) {
      return List.of();
    }
    PartingChoice c = brief.choices().parting();
    return List.of(riser("left", c.riserLeftMm()), riser("right", c.riserRightMm()));
  }

  private Riser riser(String side, Double wantedMm) {
    double length = brief.facts().sizeMm().x();
    double in = wantedMm == null ? RISER_IN * length : Math.min(wantedMm, length);
    double x = side.equals("left") ? in - length / 2 : length / 2 - in;
    return new Riser(side, in, x, box.belowMm() + brief.facts().parted().undersideMm(x));
  }
}
