package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import java.util.Optional;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.JacketKind;
import ungula.core.jacket.JacketNeeds;
import ungula.core.jacket.JacketScan;
import ungula.core.jacket.Sections;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Timespan;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;

/**
 * The jacket round a skin.
 *
 * @param coated skin it lies on
 * @param skinG rubber in the skin; null while it cannot be weighed
 */
public record JacketPart(
    Brief brief,
    JacketScan scan,
    Sections sections,
    double seamMm,
    CoatsPart coated,
    JacketNeeds needs,
    Double skinG)
    implements Part {

  /** Empty while the outside of the skin is not worked out. */
  static Optional<JacketPart> of(Brief b, SkinPart skin, Double skinG) {
    if (skin == null || skin.sections() == null) {
      return Optional.empty();
    }
    JacketScan scan = b.facts().skin().outside().scan();
    Sections sections = skin.sections();
    Jacket jacket = b.choices().jacket();
    Vec3 s = b.facts().sizeMm();
    double seams = sections.seamMm(scan);
    double longest = s.longest();
    JacketNeeds needs =
        JacketNeeds.of(
            jacket,
            (1 + skin.coated().errorShare())
                * (scan.areaMm2() + skin.coated().flangeMm2() + flangesMm2(jacket, seams)),
            longest,
            sections.count());
    return Optional.of(new JacketPart(b, scan, sections, seams, skin.coated(), needs, skinG));
  }

  private static double flangesMm2(Jacket jacket, double seamMm) {
    return 2 * seamMm * jacket.flangeMm();
  }

  /** Skin and jacket together; null while the skin cannot be weighed. */
  public Double withSkinG() {
    return skinG == null ? null : skinG + needs.massG();
  }

  @Override
  public void show(FigureBook figures) {
    sections(figures);
    if (seamMm > 0) {
      seams(figures);
    }
    needs(figures);
    times(figures);
    if (skinG != null) {
      together(figures);
    }
  }

  private void sections(FigureBook figures) {
    int count = sections.count();
    figures.put(
        "jacket.sections",
        "sections",
        count,
        count == 1 ? "one section" : count + " sections",
        Working.of("fewest that the outside of the skin lets go of along straight pulls")
            .given("stays locked", Share.format(sections.lockedShare(), 1), COMPUTED)
            .given("accepted, the rubber gives way", Share.format(Sections.ACCEPTED, 1), DEFAULT)
            .step("Looked at along rays from places spread evenly over the outside.")
            .done());
    figures.share(
        "jacket.locked",
        "stays locked",
        sections.lockedShare(),
        1,
        Working.of("places of the outside that no section is free of along its pull").done());
    figures.put(
        "jacket.area",
        "surface the jacket covers",
        scan.areaMm2() + coated.flangeMm2(),
        brief.area(scan.areaMm2() + coated.flangeMm2()),
        Working.of("outside of the skin, above the plate, and its flange")
            .given("outside of the skin", brief.area(scan.areaMm2()), COMPUTED)
            .given("its flange", brief.area(coated.flangeMm2()), COMPUTED)
            .done());
  }

  private void seams(FigureBook figures) {
    Jacket jacket = brief.choices().jacket();
    figures.run(
        "jacket.seam",
        "seams",
        seamMm,
        Working.of("outside of the skin along each parting")
            .given("partings", sections.partings().size() + "", COMPUTED)
            .done());
    double bolts = 0;
    for (double parting : sections.partings()) {
      bolts += Math.floor(scan.seamMm(parting) / jacket.boltMm()) + 1;
    }
    figures.put(
        "jacket.bolts",
        "bolts",
        bolts,
        Numbers.fixed(bolts, 0) + " bolts",
        Working.of("each flange: its length ÷ distance, and one more")
            .given("distance", brief.mm(jacket.boltMm()), CHOSEN)
            .done());
  }

  private void needs(FigureBook figures) {
    Jacket jacket = brief.choices().jacket();
    double flanges = flangesMm2(jacket, seamMm);
    Working w =
        Working.of(
                jacket.kind().layered()
                    ? "surface × layers, a fifth more for laps"
                    : "surface × thickness × density")
            .given("outside of the skin", brief.area(scan.areaMm2()), COMPUTED)
            .given("flange of the skin under it", brief.area(coated.flangeMm2()), COMPUTED)
            .given("its own flanges, both sides", brief.area(flanges), COMPUTED)
            .given(
                "± of the surface, to be on the safe side",
                Share.format(coated.errorShare()),
                COMPUTED)
            .given(
                jacket.kind().layered() ? "layers" : "thickness",
                jacket.kind().layered() ? needs.layers() + "" : brief.mm(needs.thickMm()),
                jacket.layers() != null || jacket.thickMm() != null ? CHOSEN : DEFAULT)
            .step("Usual figures for " + jacket.kind().text() + ", until its sheet says.")
            .done();
    int n = 0;
    for (JacketNeeds.Need need : needs.needs()) {
      figures.put("jacket.need." + n++, need.name(), need.value(), need.amount(), w);
    }
    figures.put(
        "jacket.thick",
        "thickness of the jacket",
        needs.thickMm(),
        jacket.kind().layered()
            ? needs.layers() + " layers, about " + brief.mm(needs.thickMm())
            : brief.mm(needs.thickMm()),
        w);
    figures.mass("jacket.mass", "mass of the jacket", needs.massG(), w);
    figures.cost("jacket.cost", "material of the jacket", needs.cost(), w);
  }

  private void times(FigureBook figures) {
    Jacket jacket = brief.choices().jacket();
    int count = sections.count();
    double last = needs.handsMin() + (count - 1) * needs.betweenMin() + needs.readyMin();
    figures.put(
        "jacket.hands",
        "work on the jacket",
        needs.handsMin(),
        Timespan.formatMin(needs.handsMin()),
        Working.of("for each section, and for its surface: a rule of thumb")
            .given("sections", count + "", COMPUTED)
            .done());
    figures.put(
        "jacket.ready",
        "until the jacket can be handled",
        last,
        Timespan.formatMin(last),
        Working.of("work + a wait between sections + setting")
            .given("work", Timespan.formatMin(needs.handsMin()), COMPUTED)
            .given("from one section to the next", Timespan.formatMin(needs.betweenMin()), DEFAULT)
            .given("until handled", Timespan.formatMin(needs.readyMin()), DEFAULT)
            .step(
                jacket.kind() == JacketKind.PUTTY
                    ? ""
                    : "Dry after " + Timespan.formatMin(needs.dryMin()) + " more.")
            .done());
  }

  private void together(FigureBook figures) {
    figures.mass(
        "jacket.withSkin",
        "skin and jacket",
        withSkinG(),
        Working.of("rubber in the skin + jacket")
            .given("skin", figures.get("rubber.boxMass").text(), COMPUTED)
            .given("jacket", figures.get("jacket.mass").text(), COMPUTED)
            .done());
  }
}
