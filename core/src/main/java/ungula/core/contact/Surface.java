package ungula.core.contact;

import static ungula.core.contact.Trait.AMINES;
import static ungula.core.contact.Trait.BONDS;
import static ungula.core.contact.Trait.GLASSY;
import static ungula.core.contact.Trait.MOIST;
import static ungula.core.contact.Trait.OILS;
import static ungula.core.contact.Trait.POROUS;
import static ungula.core.contact.Trait.SILICONE;
import static ungula.core.contact.Trait.SLIPPERY;
import static ungula.core.contact.Trait.SULPHUR;
import static ungula.core.contact.Trait.TACKIFIERS;
import static ungula.core.contact.Trait.TIN;
import static ungula.core.contact.Trait.UNCURED;

import java.util.List;
import java.util.Optional;
import ungula.core.master.MasterMaterial;
import ungula.core.mould.Fixing;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.rubber.Product.Chemistry;

/**
 * What fresh rubber lies against: master, bedding, box, and what holds them. The rules of contact
 * are data here; that every pair has a verdict is in {@link Contact}.
 */
public enum Surface {
  UNKNOWN("an unknown material", "Say what it is made of, or try a patch.", Trait.UNKNOWN),
  PRINT_RESIN(
      "printed resin",
      "Wash it, cure it on all sides, bake it where its sheet allows, or coat it.",
      UNCURED),
  PRINT_PLA("printed PLA", ""),
  CLAY_OIL("oil clay", "Use a sulphur-free clay, or seal it; then try a patch.", SULPHUR, OILS),
  CLAY_SULPHUR_FREE("sulphur-free clay", "", OILS),
  CLAY_WATER("water clay", "", POROUS, MOIST),
  WAX("wax", "", SLIPPERY, OILS),
  WOOD("wood", "", POROUS, MOIST),
  PLASTER("plaster", "", POROUS, MOIST),
  STONE("stone", "", GLASSY),
  METAL("metal", ""),
  GLASS("glass", "", GLASSY),
  PU_BOARD(
      "tooling board",
      "Let it age, warm, for some days, or seal it; then try a patch.",
      AMINES,
      POROUS),
  CAST_RESIN("cast resin", "Let it cure warm for some days, or coat it; then try a patch.", AMINES),
  RUBBER(
      "vulcanised rubber",
      "Seal it, and try a patch; or take a condensation-cure rubber.",
      SULPHUR),
  PAINT("paint", "Let it dry through, or seal it with shellac; then try a patch.", TACKIFIERS),
  SILICONE_RUBBER("silicone rubber", "", SILICONE, SLIPPERY),
  ADDITION_SILICONE("addition-cure silicone", "", SILICONE, SLIPPERY),
  LATEX("latex", "Seal it, and try a patch; or take a condensation-cure rubber.", SULPHUR),
  GLAZED_CERAMIC("glazed ceramic", "", GLASSY),
  FIRED_CLAY("unglazed fired clay", "", POROUS),
  TIN_SILICONE(
      "condensation-cure silicone",
      "Bake it to drive off what is left of its cure, seal it; then try a patch.",
      TIN,
      SILICONE,
      SLIPPERY),
  CURED_RUBBER("the same rubber", "", BONDS),
  FOAM_BOARD("foam board", ""),
  PLASTIC("smooth plastic", ""),
  CARD("card", "", POROUS),
  BOARD("wooden board", "", POROUS, MOIST),
  MELAMINE("melamine board", ""),
  TAPE("tape", "Keep it under the master, or try a patch on it.", TACKIFIERS),
  HOT_GLUE("hot glue", "Wipe off what oozes out, or try a patch on it.", TACKIFIERS);

  private final String text;
  private final String remedy;
  private final List<Trait> traits;

  Surface(String text, String remedy, Trait... traits) {
    this.text = text;
    this.remedy = remedy;
    this.traits = List.of(traits);
  }

  public static Surface of(MasterMaterial material) {
    return valueOf(material.name());
  }

  public static Surface of(SheetStock sheet) {
    return switch (sheet) {
      case FOAM_BOARD_6, FOAM_BOARD_10 -> FOAM_BOARD;
      case STYRENE_2, ACRYLIC_3 -> PLASTIC;
      case CARD_2 -> CARD;
      case PLY_12, MDF_18 -> BOARD;
      case MELAMINE_16 -> MELAMINE;
    };
  }

  public static Surface of(Bedding bedding) {
    return switch (bedding) {
      case CLAY -> CLAY_OIL;
      case CLAY_SULPHUR_FREE -> CLAY_SULPHUR_FREE;
      case CLAY_WATER -> CLAY_WATER;
      case BOARD -> BOARD;
    };
  }

  /** Empty for what rubber does not touch. */
  public static Optional<Surface> of(Fixing fixing) {
    return switch (fixing) {
      case NONE, SCREWS -> Optional.empty();
      case TAPE -> Optional.of(TAPE);
      case STICKY_WAX -> Optional.of(WAX);
      case HOT_GLUE -> Optional.of(HOT_GLUE);
    };
  }

  /** Cured rubber of the same kind: the other half, or a mould it is poured into. */
  public static Surface itself(Chemistry chemistry) {
    return switch (chemistry) {
      case CONDENSATION -> TIN_SILICONE;
      case ADDITION -> SILICONE_RUBBER;
      default -> CURED_RUBBER;
    };
  }

  public String text() {
    return text;
  }

  boolean is(Trait trait) {
    return traits.contains(trait);
  }

  List<Trait> traits() {
    return traits;
  }

  /** What is done against what keeps rubber from curing; empty where nothing does. */
  String remedy() {
    return remedy;
  }
}
