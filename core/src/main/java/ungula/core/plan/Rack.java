package ungula.core.plan;

import ungula.core.mould.SheetStock;

/**
 * Boards a workshop keeps, by kind of sheet.
 *
 * @param foamBoard6 6 mm foam board, and so on by thickness
 */
public record Rack(
    Board foamBoard6,
    Board foamBoard10,
    Board styrene2,
    Board acrylic3,
    Board card2,
    Board ply12,
    Board melamine16,
    Board mdf18) {

  /**
   * @param lengthMm null when it is not kept, or not said
   * @param widthMm of a board
   * @param count of them there are; null when it is not counted
   */
  public record Board(Double lengthMm, Double widthMm, Integer count) {

    static final Board UNKNOWN = new Board(null, null, null);

    boolean known() {
      return lengthMm != null && widthMm != null;
    }

    double longerMm() {
      return Math.max(lengthMm, widthMm);
    }

    double shorterMm() {
      return Math.min(lengthMm, widthMm);
    }
  }

  static final Rack EMPTY = new Rack(null, null, null, null, null, null, null, null);

  /** What was never said is not known. */
  public Rack {
    foamBoard6 = foamBoard6 == null ? Board.UNKNOWN : foamBoard6;
    foamBoard10 = foamBoard10 == null ? Board.UNKNOWN : foamBoard10;
    styrene2 = styrene2 == null ? Board.UNKNOWN : styrene2;
    acrylic3 = acrylic3 == null ? Board.UNKNOWN : acrylic3;
    card2 = card2 == null ? Board.UNKNOWN : card2;
    ply12 = ply12 == null ? Board.UNKNOWN : ply12;
    melamine16 = melamine16 == null ? Board.UNKNOWN : melamine16;
    mdf18 = mdf18 == null ? Board.UNKNOWN : mdf18;
  }

  Board of(SheetStock sheet) {
    return switch (sheet) {
      case FOAM_BOARD_6 -> foamBoard6;
      case FOAM_BOARD_10 -> foamBoard10;
      case STYRENE_2 -> styrene2;
      case ACRYLIC_3 -> acrylic3;
      case CARD_2 -> card2;
      case PLY_12 -> ply12;
      case MELAMINE_16 -> melamine16;
      case MDF_18 -> mdf18;
    };
  }

  /** The word that names a sheet's board, without what of it. */
  static String word(SheetStock sheet) {
    return "rack."
        + switch (sheet) {
          case FOAM_BOARD_6 -> "foamBoard6";
          case FOAM_BOARD_10 -> "foamBoard10";
          case STYRENE_2 -> "styrene2";
          case ACRYLIC_3 -> "acrylic3";
          case CARD_2 -> "card2";
          case PLY_12 -> "ply12";
          case MELAMINE_16 -> "melamine16";
          case MDF_18 -> "mdf18";
        };
  }
}
