package ungula.core.plan;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;

import ungula.core.geometry.Vec3;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.JacketKind;
import ungula.core.jacket.JacketNeeds;
import ungula.core.jacket.JacketScan;
import ungula.core.jacket.Sections;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.working.Working;

/** The numbers of the jacket round a skin. */
final class JacketFigures {

  private JacketFigures() {}

  /** Adds them to the plan's; nothing while the outside of the skin is not worked out. */
  static void add(Planner p) {
    SkinPlan skin = p.skin;
    if (skin == null || skin.sections() == null) {
      return;
    }
    JacketScan scan = p.facts.skin().outside().scan();
    Sections sections = skin.sections();
    Jacket jacket = p.choices.jacket();
    Vec3 s = p.facts.sizeMm();
    double seams = sections.seamMm(scan);
    double flanges = 2 * seams * jacket.flangeMm();
    double longest = Math.max(s.x(), Math.max(s.y(), s.z()));
    JacketNeeds needs = JacketNeeds.of(jacket, scan.areaMm2() + flanges, longest, sections.count());
    int count = sections.count();
    p.figures.put(
        "jacket.sections",
        "sections",
        count,
        count == 1 ? "one section" : count + " sections",
        Working.of("fewest that the outside of the skin lets go of along straight pulls")
            .given("stays locked", percent(sections.lockedShare()), COMPUTED)
            .given("accepted, the rubber gives way", percent(Sections.ACCEPTED), DEFAULT)
            .step("Looked at along rays from places spread evenly over the outside.")
            .done());
    p.figures.put(
        "jacket.locked",
        "stays locked",
        sections.lockedShare(),
        percent(sections.lockedShare()),
        Working.of("places of the outside that no section is free of along its pull").done());
    p.figures.put(
        "jacket.area",
        "jacket",
        scan.areaMm2(),
        SkinFigures.m2(scan.areaMm2()),
        Working.of("outside of the skin, above the plate").done());
    if (seams > 0) {
      p.figures.length(
          "jacket.seam",
          "seams",
          seams,
          Working.of("outside of the skin along each parting")
              .given("partings", sections.partings().size() + "", COMPUTED)
              .done());
      double bolts = 0;
      for (double parting : sections.partings()) {
        bolts += Math.floor(scan.seamMm(parting) / jacket.boltMm()) + 1;
      }
      p.figures.put(
          "jacket.bolts",
          "bolts",
          bolts,
          Numbers.fixed(bolts, 0) + " bolts",
          Working.of("each flange: its length ÷ distance, and one more")
              .given("distance", Length.format(jacket.boltMm(), p.units), CHOSEN)
              .done());
    }
    Working w =
        Working.of(
                jacket.kind().layered()
                    ? "surface × layers, a fifth more for laps"
                    : "surface × thickness × density")
            .given("outside of the skin", SkinFigures.m2(scan.areaMm2()), COMPUTED)
            .given("flanges, both sides", SkinFigures.m2(flanges), COMPUTED)
            .given(
                jacket.kind().layered() ? "layers" : "thickness",
                jacket.kind().layered()
                    ? needs.layers() + ""
                    : Length.format(needs.thickMm(), p.units),
                jacket.layers() != null || jacket.thickMm() != null ? CHOSEN : DEFAULT)
            .step("Usual figures for " + jacket.kind().text() + ", until its sheet says.")
            .done();
    int n = 0;
    for (JacketNeeds.Need need : needs.needs()) {
      p.figures.put("jacket.need." + n++, need.name(), need.value(), need.amount(), w);
    }
    p.figures.put(
        "jacket.thick",
        "thickness of the jacket",
        needs.thickMm(),
        jacket.kind().layered()
            ? needs.layers() + " layers, about " + Length.format(needs.thickMm(), p.units)
            : Length.format(needs.thickMm(), p.units),
        w);
    p.figures.mass("jacket.mass", "jacket", needs.massG(), w);
    p.figures.cost("jacket.cost", "material of the jacket", needs.cost(), w);
    double last = needs.handsMin() + (count - 1) * needs.betweenMin() + needs.readyMin();
    p.figures.put(
        "jacket.hands",
        "work on the jacket",
        needs.handsMin(),
        Amounts.minutes(needs.handsMin()),
        Working.of("for each section, and for its surface: a rule of thumb")
            .given("sections", count + "", COMPUTED)
            .done());
    p.figures.put(
        "jacket.ready",
        "until the jacket can be handled",
        last,
        Amounts.minutes(last),
        Working.of("work + a wait between sections + setting")
            .given("work", Amounts.minutes(needs.handsMin()), COMPUTED)
            .given("from one section to the next", Amounts.minutes(needs.betweenMin()), DEFAULT)
            .given("until handled", Amounts.minutes(needs.readyMin()), DEFAULT)
            .step(
                jacket.kind() == JacketKind.PUTTY
                    ? ""
                    : "Dry after " + Amounts.minutes(needs.dryMin()) + " more.")
            .done());
    if (p.figures.has("rubber.boxMass")) {
      double all = p.figures.value("rubber.boxMass") + needs.massG();
      p.figures.mass(
          "jacket.withSkin",
          "skin and jacket",
          all,
          Working.of("rubber in the skin + jacket")
              .given("skin", p.figures.get("rubber.boxMass").text(), COMPUTED)
              .given("jacket", p.figures.get("jacket.mass").text(), COMPUTED)
              .done());
    }
  }

  private static String percent(double share) {
    return Numbers.fixed(100 * share, 1) + " %";
  }
}
