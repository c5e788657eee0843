package ungula.core.rubber;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Density;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Timespan;

/**
 * A material as its data sheet gives it: a mould rubber, something to cast, or what goes between
 * and into them. What the sheet does not say is null and stays so.
 *
 * @param name as on the tin
 * @param role what it is for
 * @param chemistry what it is, or how it cures
 * @param hardness on {@code scale}
 * @param scale the 00, A and D scales are different scales
 * @param colour in words
 * @param clear whether one can see the master through it
 * @param densityBase g/cm³
 * @param densityHardener g/cm³
 * @param densityMixed g/cm³; when null, volumes are taken to add
 * @param ratio of hardener to base
 * @param ratioAlso a second way the sheet states it, to check the first against
 * @param viscosityPas mixed, Pa·s
 * @param potLifeMin minutes at {@code atC}
 * @param demouldMin minutes at {@code atC}
 * @param gelMin minutes at {@code atC} until it no longer runs and is sticky
 * @param openMin minutes at {@code atC} until it is no longer sticky: a next coat sticks before
 * @param atC temperature the times hold for
 * @param rateFactor how many times faster per 10 °C
 * @param massFactor of the pot life for ten times the mass: larger masses warm themselves
 * @param catalysts to choose from besides {@code ratio}, each with its own times; speed belongs to
 *     the grade of catalyst, and is never guessed from its percentage
 * @param thickenPct most thickener it takes, % of base and hardener
 * @param thinPct most thinner it takes, % of base and hardener
 * @param fillPct most of a filler that is stirred into a mix, % of base and hardener
 * @param shake what is shaken or stirred in its tin before weighing
 * @param elongationPct at break
 * @param tearKnPerM tear strength, kN/m
 * @param shrinkagePct linear
 * @param heatLimitC of a rubber: hottest casting material
 * @param peakC of a casting material: as hot as it gets in the mould
 * @param riseTimes of a casting material that foams: to so many times its volume, free
 * @param coats of a release or sealer
 * @param dryMin of each coat, until the next or the rubber may follow
 * @param packs sold in, both parts together or apart, each by rising mass; empty when not known
 * @param shelfDays it keeps unopened
 * @param openedDays it keeps once opened
 * @param notes anything else
 */
public record Product(
    String name,
    Role role,
    Chemistry chemistry,
    Double hardness,
    Scale scale,
    String colour,
    Clarity clear,
    Double densityBase,
    Double densityHardener,
    Double densityMixed,
    Ratio ratio,
    Ratio ratioAlso,
    Double viscosityPas,
    Double potLifeMin,
    Double demouldMin,
    Double gelMin,
    Double openMin,
    Double atC,
    Double rateFactor,
    Double massFactor,
    List<Catalyst> catalysts,
    Double thickenPct,
    Double thinPct,
    Double fillPct,
    Shake shake,
    Double elongationPct,
    Double tearKnPerM,
    Double shrinkagePct,
    Double heatLimitC,
    Double peakC,
    Double riseTimes,
    Integer coats,
    Double dryMin,
    List<Pack> packs,
    Integer shelfDays,
    Integer openedDays,
    String notes) {

  private static final double USUAL_FACTOR = 2;

  /** Rule of thumb for resins that warm themselves: ten times the mass gels in half the time. */
  public static final double USUAL_MASS_FACTOR = 0.5;

  /** What sheets of casting resins give their pot life for, g. */
  private static final double SHEET_MASS_G = 100;

  public enum Role implements Choosable {
    RUBBER("mould rubber", "base", "hardener"),
    RESIN("casting resin", "part A", "part B"),
    PLASTER("plaster", "powder", "water"),
    WAX("wax", "wax", ""),
    SEALANT("sealant for backing", "sealant", ""),
    FILLER("filler", "filler", ""),
    RELEASE("release", "release", ""),
    SEALER("sealer", "sealer", "");

    private final String text;
    private final String first;
    private final String second;

    Role(String text, String first, String second) {
      this.text = text;
      this.first = first;
      this.second = second;
    }

    @Override
    public String text() {
      return text;
    }

    /** What its first part is called. */
    public String first() {
      return first;
    }

    /** What its second part is called; empty when it comes ready. */
    public String second() {
      return second;
    }

    /** Whether it is mixed of two parts. */
    public boolean mixed() {
      return !second.isEmpty();
    }

    /** Whether casts are made of it. */
    public boolean cast() {
      return this == RESIN || this == PLASTER || this == WAX;
    }
  }

  public enum Chemistry implements Choosable {
    ADDITION("addition-cure silicone"),
    CONDENSATION("condensation-cure silicone"),
    URETHANE("urethane"),
    ACETIC("acetic-cure sealant"),
    LATEX("latex"),
    EPOXY("epoxy"),
    POLYESTER("polyester"),
    GYPSUM("gypsum"),
    CEMENT("cement"),
    WAX("wax"),
    SHELLAC("shellac"),
    PVA("polyvinyl alcohol"),
    OIL("silicone oil"),
    MINERAL("mineral powder"),
    GLASS("hollow glass");

    private final String text;

    Chemistry(String text) {
      this.text = text;
    }

    public boolean silicone() {
      return this == ADDITION || this == CONDENSATION || this == ACETIC;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Scale implements Choosable {
    SHORE_00("00"),
    SHORE_A("A"),
    SHORE_D("D");

    private final String text;

    Scale(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Clarity implements Choosable {
    OPAQUE("opaque"),
    TRANSLUCENT("translucent"),
    CLEAR("clear");

    private final String text;

    Clarity(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  public enum Shake implements Choosable {
    NONE("nothing"),
    BASE("the first part"),
    HARDENER("the second part"),
    BOTH("both parts");

    private final String text;

    Shake(String text) {
      this.text = text;
    }

    @Override
    public String text() {
      return text;
    }
  }

  /** What was kept before sheets of other materials was a rubber. */
  public Product {
    role = role == null ? Role.RUBBER : role;
    shake = shake == null ? Shake.NONE : shake;
    catalysts = catalysts == null ? List.of() : List.copyOf(catalysts);
    packs = packs == null ? List.of() : List.copyOf(packs);
  }

  /** With another grade of catalyst, by its name; as it is when there is none of that name. */
  public Product with(String catalyst) {
    return catalysts.stream()
        .filter(c -> c.name().equalsIgnoreCase(catalyst))
        .findFirst()
        .map(this::with)
        .orElse(this);
  }

  private Product with(Catalyst c) {
    return new Product(
        name,
        role,
        chemistry,
        hardness,
        scale,
        colour,
        clear,
        densityBase,
        densityHardener,
        densityMixed,
        c.ratio(),
        null,
        viscosityPas,
        c.potLifeMin(),
        c.demouldMin(),
        null,
        null,
        atC,
        rateFactor,
        massFactor,
        catalysts,
        thickenPct,
        thinPct,
        fillPct,
        shake,
        elongationPct,
        tearKnPerM,
        shrinkagePct,
        heatLimitC,
        peakC,
        riseTimes,
        coats,
        dryMin,
        packs,
        shelfDays,
        openedDays,
        notes);
  }

  /** The grade of catalyst it is mixed with, in small letters; empty for the sheet's own. */
  public String grade() {
    return catalysts.stream()
        .filter(
            c ->
                c.ratio().equals(ratio)
                    && Objects.equals(c.potLifeMin(), potLifeMin)
                    && Objects.equals(c.demouldMin(), demouldMin))
        .findFirst()
        .map(c -> c.name().toLowerCase(Locale.ROOT))
        .orElse("");
  }

  /** Whether a larger mass of it gels sooner. */
  public boolean warmsItself() {
    return role == Role.RESIN;
  }

  /**
   * A time off the sheet at a room's temperature, t · f^((T₀ − T)/10) minutes, f how many times
   * faster it is per 10 °C; null without a time or the temperature it holds for.
   */
  public Double inRoomMin(Double sheetMin, double roomC) {
    return sheetMin == null || atC == null
        ? null
        : sheetMin * Math.pow(factorPerTen(), (atC - roomC) / 10);
  }

  /** How many times faster it is per 10 °C; twice until the sheet says. */
  public double factorPerTen() {
    return rateFactor == null ? USUAL_FACTOR : rateFactor;
  }

  /**
   * The pot life of a mass in one cup, minutes at {@code atC}: sheets of resins give it for 100 g,
   * and each tenfold multiplies it by the mass factor. Less than that counts as that.
   */
  public Double potLifeMin(double massG) {
    if (potLifeMin == null || !warmsItself()) {
      return potLifeMin;
    }
    double factor = massFactor == null ? USUAL_MASS_FACTOR : massFactor;
    return potLifeMin * Math.pow(factor, Math.log10(Math.max(1, massG / SHEET_MASS_G)));
  }

  /** What it is mixed at: a sealant comes ready. */
  public Ratio mixedAt() {
    return role == Role.SEALANT ? Ratio.READY : ratio;
  }

  /** Grams of hardener for every gram of base, at a ratio. Densities missing count as equal. */
  public double hardenerPerBase(Ratio at) {
    boolean known = densityBase != null && densityHardener != null;
    return at.hardenerPerBase(known ? densityBase : 1, known ? densityHardener : 1);
  }

  /**
   * Grams of hardener for every gram of base in a pack as it is sold: 0 for what comes ready, and
   * for plaster, whose water nobody sells.
   */
  public double soldHardenerPerBase() {
    return ratio == null || role == Role.PLASTER ? 0 : hardenerPerBase(ratio);
  }

  /** What has to be bought for so much of a mix, g: of plaster the powder alone. */
  public double soldG(double mixedG) {
    return role == Role.PLASTER && ratio != null ? mixedG / (1 + hardenerPerBase(ratio)) : mixedG;
  }

  /**
   * Density of the mix, g/cm³: as the sheet says, else as volumes add, else null.
   *
   * @param hardenerPerBase grams for every gram of base
   */
  public Double mixedDensity(double hardenerPerBase) {
    if (densityMixed != null) {
      return densityMixed;
    }
    return densityBase == null || densityHardener == null
        ? null
        : (1 + hardenerPerBase) / (1 / densityBase + hardenerPerBase / densityHardener);
  }

  /** "20 A", "00-50": the scale with the number, as the trade says it. */
  public String hardnessText() {
    if (hardness == null) {
      return "hardness not stated";
    }
    String number = Numbers.trimmed(hardness, 0);
    return scale == Scale.SHORE_00 ? "00-" + number : number + " " + scale.text();
  }

  /**
   * Hardness on one scale, points of Shore A, so that soft and hard products can be compared: 00-50
   * is taken as 1 A and 00-30 as −4, D as starting where A ends. Good for ordering only; {@code
   * hardness} must be known.
   */
  public double shoreA() {
    return switch (scale) {
      case SHORE_A -> hardness;
      case SHORE_00 -> (hardness - 46) / 4;
      case SHORE_D -> 60 + hardness / 2;
    };
  }

  /** "for every 100 g of base, 5 g of hardener", with the names its parts go by. */
  public String sentence(Ratio at) {
    return Ratio.sentence(hardenerPerBase(at), role.first(), role.second());
  }

  /** What the sheet should say and does not, in words that name what cannot be checked. */
  public List<String> gaps() {
    Gaps gaps = new Gaps();
    if (role.mixed()) {
      gaps.add(ratio, "the ratio: nothing can be weighed");
      gaps.add(
          mixedDensity(ratio == null ? 1 : hardenerPerBase(ratio)),
          "the mixed density: volume cannot become mass");
      if (ratio != null && ratio.basis() == Ratio.Basis.VOLUME) {
        gaps.add(
            densityBase == null ? null : densityHardener,
            "the densities of both parts: a ratio by volume cannot be weighed safely");
      }
      gaps.add(potLifeMin, "the pot life: whether the pour fits into it");
      gaps.add(demouldMin, "the demould time: when the mould can be opened");
    }
    if (role == Role.SEALANT) {
      gaps.add(densityMixed, "its density: volume cannot become mass");
      gaps.add(potLifeMin, "how soon it skins: for how long it can be spread");
      gaps.add(demouldMin, "when it has cured: when the next coat may follow");
    }
    if (role == Role.RUBBER) {
      gaps.add(elongationPct, "the elongation at break: whether it stretches over the locks");
      gaps.add(heatLimitC, "the heat it takes: which casting material is too hot for it");
    }
    if (role == Role.RUBBER || role.cast()) {
      gaps.add(shrinkagePct, "the shrinkage: the size of the cast");
    }
    if (role.cast()) {
      gaps.add(peakC, "how hot it gets: whether the rubber stands it");
    }
    if (role == Role.FILLER) {
      gaps.add(densityMixed, "its density: what it adds to the volume");
    }
    if (role == Role.RELEASE || role == Role.SEALER) {
      gaps.add(dryMin, "the drying time: when rubber may follow");
    }
    return gaps.all;
  }

  /** What is missing, as it is found. */
  private static final class Gaps {
    private final List<String> all = new ArrayList<>();

    void add(Object stated, String words) {
      if (stated == null) {
        all.add(words);
      }
    }
  }

  /** Whether the two ratios on the sheet contradict each other. */
  public boolean contradictsItself() {
    return ratio != null
        && ratioAlso != null
        && densityBase != null
        && densityHardener != null
        && !RatioGuard.agree(ratio, ratioAlso, densityBase, densityHardener);
  }

  /** One line: what it is. */
  public String summary() {
    List<String> parts = new ArrayList<>();
    if (role == Role.RUBBER || hardness != null) {
      parts.add(hardnessText());
    }
    parts.add(chemistry.text());
    if (densityMixed != null) {
      parts.add(Density.format(densityMixed));
    }
    if (dryMin != null) {
      parts.add("dry in " + Timespan.format(Duration.ofSeconds(Math.round(60 * dryMin))));
    }
    return String.join(", ", parts);
  }
}
