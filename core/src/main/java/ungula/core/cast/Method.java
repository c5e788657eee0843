package ungula.core.cast;

import java.util.List;
import ungula.core.contact.CastingMaterial;

/**
 * How something is cast: what is the same whatever its shape. Times and temperatures are what is
 * usual, until a product's sheet says; its sheet and your local rules come first.
 *
 * @param ready what the mould needs before it is filled; empty for nothing
 * @param because why; empty where it goes without saying
 * @param mouldC as warm as the mould is to be, °C; null: as the room
 * @param pourC as hot as it is poured, °C; null: as the room
 * @param blend how it is mixed, or melted
 * @param air how bubbles are got out of it
 * @param fill what to mind as it is poured; empty for nothing
 * @param waitMin in the mould, where no sheet says
 * @param cue by which one sees that it can come out
 * @param after what follows once it is out; empty for nothing
 * @param wear what to put on and to see to first
 * @param mould what it does to the mould; empty for nothing
 * @param rise it foams up to so many times its volume; 1 where it does not
 */
public record Method(
    String ready,
    String because,
    Double mouldC,
    Double pourC,
    String blend,
    Air air,
    String fill,
    double waitMin,
    String cue,
    String after,
    List<String> wear,
    String mould,
    double rise) {

  /** How bubbles leave what is cast. */
  public enum Air {
    /** They shrink in a pressure pot until it has set. */
    PRESSURE,
    /** They are pulled out before it is poured: what stays soft springs back after pressure. */
    VACUUM,
    /** They rise by themselves, tapped. */
    TAP,
    /** It foams by itself, or is pressed in. */
    NONE
  }

  private static final String SHEETS =
      "Read the data sheets: what they and your local rules ask for comes first.";

  private static final String ISOCYANATE =
      "Part B of urethane is an isocyanate: gloves, goggles, a respirator for organic vapour, air drawn"
          + " away; never in a living room. Who has become sensitive to it does not work with it again.";

  private static final String DRY =
      "Dry the mould: wipe it out, and let it stand open until no damp is left in its corners.";

  private static final String DAMP = "Damp makes it foam, or keeps it soft.";

  public static Method of(CastingMaterial what) {
    return switch (what) {
      case URETHANE ->
          new Method(
              DRY,
              DAMP,
              null,
              null,
              "Stir each part in its tin. Stir both together slowly, scraping wall and bottom, then"
                  + " pour it over into a clean cup and stir again.",
              Air.PRESSURE,
              "",
              60,
              "It has turned from clear to its colour, and is hard where it is thinnest.",
              "Lay it flat until it is cold: warm it still bends.",
              List.of(SHEETS, ISOCYANATE),
              "It draws into the rubber: where casts begin to stick, the rubber is worn.",
              1);
      case FLEXIBLE ->
          new Method(
              DRY,
              DAMP,
              null,
              null,
              "Stir each part in its tin. Stir both together slowly, scraping wall and bottom, then"
                  + " pour it over into a clean cup and stir again.",
              Air.VACUUM,
              "",
              16 * 60,
              "A fingernail leaves no mark in what is left in the cup.",
              "Its full strength comes within some days: do not stretch it before.",
              List.of(SHEETS, ISOCYANATE),
              "It draws into the rubber: release keeps the mould longer.",
              1);
      case FOAM ->
          new Method(
              DRY,
              DAMP,
              null,
              null,
              "Weigh both parts into one cup, and stir hard for as long as its sheet says: it rises at"
                  + " once.",
              Air.NONE,
              "Pour it all in at one go and close the mould: it fills it by rising. Close each vent"
                  + " when foam comes out.",
              30,
              "What came out of the vents is dry and does not give.",
              "Cut off what came out of the vents.",
              List.of(SHEETS, ISOCYANATE),
              "It bonds to everything: release the mould every time.",
              6);
      case EPOXY ->
          new Method(
              DRY,
              DAMP,
              null,
              null,
              "Stir both parts slowly for as long as the sheet says, scraping wall and bottom, then pour"
                  + " it over into a clean cup and stir again.",
              Air.PRESSURE,
              "A thick cast warms itself: pour what its sheet calls too thick in layers.",
              24 * 60,
              "A fingernail leaves no mark, and nothing is tacky.",
              "It reaches its full hardness within a week, sooner in the warm.",
              List.of(
                  SHEETS,
                  "Epoxy makes skin sensitive for good: gloves, sleeves, goggles; wash with soap, not"
                      + " with solvent."),
              "Its amines harden the rubber's skin in time.",
              1);
      case POLYESTER ->
          new Method(
              DRY,
              DAMP,
              null,
              null,
              "Stir the hardener in well, and note when: it gels without warning.",
              Air.TAP,
              "A thick cast warms itself and cracks: pour in layers.",
              120,
              "It is hard, and has cooled down again.",
              "Its surface may stay tacky in air: wipe it, or cover it while it cures.",
              List.of(
                  SHEETS,
                  "Styrene: outdoors or under extraction, a respirator for organic vapour, no flame.",
                  "The peroxide it is hardened with burns eyes: goggles, and never in one cupboard with"
                      + " an accelerator."),
              "Styrene swells and dries out rubber: the mould rests between casts.",
              1);
      case PLASTER ->
          new Method(
              "Wet the mould with soapy water, and shake it out: plaster flows into the corners then.",
              "",
              null,
              null,
              "Sift the powder into the water, let it soak for two minutes, then stir without beating"
                  + " air in.",
              Air.TAP,
              "Brush a first coat into the corners.",
              45,
              "It has warmed up, and cooled down again.",
              "Dry it in moving air under 45 °C until it gets no lighter.",
              List.of(
                  SHEETS,
                  "Dust: a mask while it is sifted.",
                  "Plaster in a thick mass gets hot enough to burn: never round a hand or a limb."),
              "",
              1);
      case CONCRETE ->
          new Method(
              "Wipe the mould with a thin release, and leave no puddles.",
              "",
              null,
              null,
              "Mix the dry powder first, then with as little water as lets it flow.",
              Air.TAP,
              "Fill it in layers, and vibrate each.",
              24 * 60,
              "A nail scratches no sand off it.",
              "Keep it wet under foil for a week.",
              List.of(SHEETS, "Cement burns skin and eyes: gloves, goggles, a mask for its dust."),
              "It is alkaline, and scours: the mould loses its finest detail first.",
              1);
      case WAX ->
          new Method(
              "",
              "",
              35.0,
              75.0,
              "Melt it in a water bath, and skim it; hotter than it is poured it shrinks more.",
              Air.TAP,
              "Top the sprue up while it sinks.",
              45,
              "The sprue has sunk and is hard to its middle.",
              "Cool it in water before it is handled.",
              List.of(
                  SHEETS,
                  "Hot wax burns, and catches fire on a flame: a water bath, goggles, a lid at hand; no"
                      + " water into it."),
              "",
              1);
      case INJECTED_WAX ->
          new Method(
              "",
              "",
              30.0,
              68.0,
              "Melt it in the injector, and let it stand until it is as warm all through.",
              Air.NONE,
              "Press the mould to the nozzle between its boards, until wax shows at the vents, and hold"
                  + " it for ten seconds more.",
              5,
              "What stands in the sprue is dull and hard.",
              "Lay it down as it is: it bends while it is warm.",
              List.of(
                  SHEETS,
                  "Hot wax burns: gloves and goggles; nobody stands in front of the nozzle."),
              "",
              1);
      case METAL ->
          new Method(
              "Dry the mould in the warm, and dust it with talc: the least damp turns to steam.",
              "",
              60.0,
              null,
              "Melt it no hotter than its sheet says, and skim it.",
              Air.TAP,
              "Pour it in without a break; tap it.",
              10,
              "It has turned dull all over, and the sprue has set.",
              "Let it cool in air, not in water.",
              List.of(
                  SHEETS,
                  "Molten metal is outside what this tool knows: a dry mould, face shield, leather"
                      + " gloves, dry floor, and somebody who has learnt it."),
              "Heat ages the rubber: casts near its limit are few.",
              1);
      case SILICONE ->
          new Method(
              "Release the mould all over, twice, thin: silicone bonds to silicone.",
              "",
              null,
              null,
              "Stir both parts slowly, scraping wall and bottom, then pour it over into a clean cup and"
                  + " stir again.",
              Air.VACUUM,
              "",
              8 * 60,
              "A fingernail leaves no mark in what is left in the cup.",
              "",
              List.of(SHEETS),
              "",
              1);
      case APPLIANCE ->
          new Method(
              "Release the mould all over, thin. Brush two thin coats of cap layer into it, past its"
                  + " flashing edges, each dry before the next.",
              "",
              null,
              null,
              "Stir the softener in first, then both parts, slowly.",
              Air.VACUUM,
              "Close it hard along the flashing: an edge that is thick shows on skin.",
              4 * 60,
              "What ran out along the flashing is firm.",
              "Powder it before it is peeled out, and wash the release off its back.",
              List.of(
                  SHEETS,
                  "On skin goes only what is certified for it: its maker's sheet says so, Ungula does"
                      + " not."),
              "",
              1);
      case SOAP ->
          new Method(
              "",
              "",
              null,
              60.0,
              "Melt it in a water bath without beating air in, then stir in colour and scent.",
              Air.TAP,
              "Spray alcohol on its bubbles: they break.",
              4 * 60,
              "It is cold and firm all through.",
              "Wrap it: it sweats in damp air.",
              List.of(SHEETS, "Hot soap burns; alcohol catches fire: no flame near it."),
              "",
              1);
    };
  }
}
