package ungula.core.diagnose;

import java.util.List;
import java.util.Optional;
import ungula.core.caution.Caution.Fix;
import ungula.core.choice.Choices;
import ungula.core.mesh.SurfacePoint;
import ungula.core.pour.Bubbles;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.workshop.Rate;
import ungula.core.workshop.Workshop;

/** Why something went wrong, with what to do about it. */
public enum Cause {
  INHIBITED(
      "The master keeps the rubber from curing",
      "Wipe the tacky skin off with solvent, out of doors; the rest of the mould is sound. Cast into"
          + " it only once the surface is dry to the touch.",
      "Seal the master, or cure and wash the print longer, and try a patch of the same rubber on it"
          + " first."),
  SHORT_OF_HARDENER(
      "It is short of hardener",
      "It does not harden any more: peel it off, clean the master, and pour again.",
      "Weigh both parts on a scale that reads a tenth of what it has to; let the bench say the"
          + " hardener from what was really poured."),
  TOO_MUCH_HARDENER(
      "It has too much hardener",
      "Give it a day more in the warm. What stays soft is poured again.",
      "Weigh the hardener last and slowly; take too much out with more base, as the bench says."),
  NOT_MIXED(
      "It was not mixed evenly",
      "Cut the sticky places out and fill them with new rubber; where a cast face is sticky, pour"
          + " again.",
      "Smaller pots, a second clean cup, and do not scrape the first one out."),
  TOO_COLD(
      "It is too cold to cure in time",
      "Leave it be, warm it to 23 °C or a little more, and look again after a day.",
      "Warm rubber and room before you pour, and plan with the temperature of the room."),
  OLD_STOCK(
      "The rubber is old, or was not stirred up",
      "Pour a small cup of the same pack in its right ratio: it tells in a day.",
      "Stir both parts up in their tins, and keep packs by the date they were opened."),
  TOO_EARLY(
      "It was taken out too early",
      "Put it back into the mould or on a flat board, warm, and leave it its time.",
      "Keep to the sheet's time at the room's temperature; a thin or cold part takes longer."),
  THICK_CONDENSATION(
      "A thick body of condensation rubber cures from outside",
      "Leave it open to the air for two days more.",
      "Pour it in layers, or take an addition rubber for thick moulds."),
  AIR_TRAPPED(
      "Air cannot leave there",
      "Fill the hole in each cast; or drill a vent into the mould at that place.",
      "Add a vent where the trap is, or tip the mould while it fills, as the steps say."),
  NOT_DEGASSED(
      "Air was left in the mix",
      "Small bubbles inside do no harm; open ones on a face are filled.",
      "Degas it, or pour high in a thin stream and let it stand until bubbles have risen."),
  POURED_FAST(
      "It was poured too fast, or nothing was brushed in first",
      "Fill the holes.",
      "Brush the first of it into all corners, then pour at one place in a thin stream."),
  BUBBLES_IN_RUBBER(
      "Bubbles in the rubber give way under pressure",
      "Cast without pressure in this mould.",
      "Degas the rubber, or let it cure at the pressure that is cast at."),
  MASTER_HAD_THEM(
      "The master has them already",
      "Look at the master under a low lamp.",
      "Fill and sand the master before the next mould."),
  WEB_NOT_CUT(
      "A web of rubber that goes through the master was not cut",
      "Glue the tear with the same rubber, thin; it is weaker there.",
      "Cut the web before it is opened, or part the mould there."),
  LOCKED(
      "It has to stretch further there than the rubber does",
      "Glue the tear with the same rubber, thin.",
      "Part it there, cut it further, or take a rubber that stretches more."),
  THIN_WALL(
      "The wall is thin there",
      "Put a patch of the same rubber on from outside.",
      "Leave more rubber at that place."),
  TOO_TIGHT(
      "It was closed too tight",
      "Take every second band off, and put boards under the rest.",
      "Bands that just close it; boards that spread them."),
  TOO_FEW_KEYS(
      "Its keys are too few or too small",
      "Glue two blocks to the outside that guide it.",
      "At least four keys, as deep as a third of the wall, far apart."),
  MOVED_BETWEEN_POURS(
      "The halves moved between their pours",
      "Trim the step off each cast.",
      "Leave the first half in its box until the second is cured."),
  WINDOW_MISSED(
      "The next coat came too late to bond",
      "Roughen and wash both faces, and glue them with the same rubber or a sealant of its"
          + " chemistry.",
      "Put each coat on while the one before still sticks to a glove but leaves no rubber on it."),
  OTHER_CHEMISTRY(
      "The coats are of rubbers that do not bond",
      "Glue them with a sealant that holds both, and take the jacket off with care.",
      "All coats of one rubber, or of one chemistry."),
  DUSTY(
      "Dust or release lay between them",
      "Wash, roughen and glue them.",
      "Cover a coat that waits, and touch it with clean gloves alone."),
  RUBBER_BONDED(
      "Rubber has bonded to rubber",
      "Look for an edge that is still free, and part it with a blunt blade and soapy water; else cut"
          + " it along the parting.",
      "Release the first half, twice, thin, and let it dry; look for its gloss before you pour."),
  KEYS_LOCK(
      "Keys or the shape lock the halves",
      "Warm it, bend it open from one end.",
      "Rounder keys with sides that lean."),
  GELLED_EARLY(
      "It set before the mould was full",
      "Break it out, and cast again.",
      "Mix less at once, a slower resin, a wider sprue; keep mould and resin cooler."),
  MIXED_TOO_LITTLE(
      "There was too little of it",
      "Mix some more at once, where the first is still sticky.",
      "Go by what the last cast weighed."),
  MOULD_WET(
      "The mould was not dry",
      "Dry the mould in the warm for an hour, and cast again.",
      "Measure with dry grain, or dry the mould overnight after water."),
  MOULD_INHIBITS(
      "What is left in the rubber keeps the cast from curing",
      "Bake the mould dry, or let it stand open for some days; wipe the cast with solvent.",
      "Let a condensation rubber breathe for some days, and put a barrier coat on it."),
  OLD_ISOCYANATE(
      "The opened part B has taken up water",
      "Pour a small cup of it: it foams by itself.",
      "Fill the tin with dry gas or close it well, and use it up within the sheet's weeks."),
  DAMP_AIR(
      "The air was damp",
      "Cast in a dryer room.",
      "Warm mould and resin, and keep the air under 60 %."),
  NO_PRESSURE(
      "Small bubbles were not pressed away",
      "Fill and paint it.",
      "Cast under pressure, or brush the faces and tap the mould."),
  STORED_BENT(
      "It was laid down unsupported while it was still soft",
      "Warm it, lay it on a flat board under a weight, and let it cool.",
      "Lay it flat for a day."),
  SHRINKAGE(
      "Rubber and cast shrink",
      "It does not grow again.",
      "Scale the master up by what both sheets say."),
  MOULD_SHRUNK(
      "The mould itself has shrunk with its age",
      "Measure the mould where the master was measured.",
      "Make the mould anew, of an addition rubber where size counts.");

  private final String text;
  private final String now;
  private final String next;

  Cause(String text, String now, String next) {
    this.text = text;
    this.now = now;
    this.next = next;
  }

  /** One sentence without its full stop. */
  public String text() {
    return text;
  }

  /** What to do now. */
  public String now() {
    return now;
  }

  /** What to do next time. */
  public String next() {
    return next;
  }

  /** Stage on which it is changed, as addresses have it; empty where none changes it. */
  public String stage() {
    return switch (this) {
      case INHIBITED, MASTER_HAD_THEM -> "master";
      case AIR_TRAPPED,
          WEB_NOT_CUT,
          LOCKED,
          THIN_WALL,
          TOO_FEW_KEYS,
          MOVED_BETWEEN_POURS,
          RUBBER_BONDED,
          KEYS_LOCK ->
          "mould";
      case OTHER_CHEMISTRY, THICK_CONDENSATION, SHRINKAGE -> "rubber";
      case SHORT_OF_HARDENER, TOO_MUCH_HARDENER, NOT_MIXED, NOT_DEGASSED, BUBBLES_IN_RUBBER ->
          "pours";
      case TOO_COLD, WINDOW_MISSED -> "days";
      case TOO_TIGHT, GELLED_EARLY, MIXED_TOO_LITTLE, NO_PRESSURE, TOO_EARLY, POURED_FAST ->
          "casts";
      default -> "";
    };
  }

  /** Word of the workshop that plans go by, and that may be wrong here; empty where none is. */
  public String habit() {
    return switch (this) {
      case NOT_MIXED -> "handMixG";
      case TOO_COLD -> "roomC";
      case DAMP_AIR -> "air.humidityPct";
      case WINDOW_MISSED -> Workshop.rates(Rate.BRUSH);
      case GELLED_EARLY -> Workshop.rates(Rate.CAST_MIX);
      case MOULD_WET -> Workshop.rates(Rate.WASH);
      default -> "";
    };
  }

  /**
   * What of a job's decisions can be changed at once so that it does not come again.
   *
   * @param vent that lets the air out where it is seen; null where nobody showed that
   * @param chamber whether the workshop has one to degas in
   */
  public Optional<Fix> fix(Choices c, SurfacePoint vent, boolean chamber) {
    return switch (this) {
      case AIR_TRAPPED ->
          Optional.ofNullable(vent)
              .filter(v -> !c.casting().vents().contains(v))
              .map(v -> new Fix("Set a vent there", "", List.of(Edit.of("casting.vent", text(v)))));
      case NOT_DEGASSED, BUBBLES_IN_RUBBER ->
          chamber && !c.rubber().bubbles().vacuum()
              ? Optional.of(
                  new Fix(
                      "Degas the rubber",
                      "",
                      List.of(Edit.of("rubber.bubbles", Bubbles.VACUUM.name()))))
              : Optional.empty();
      default -> Optional.empty();
    };
  }

  private static String text(SurfacePoint p) {
    return p.facet() + " " + p.u() + " " + p.v();
  }
}
