package ungula.core.workshop;

import java.lang.reflect.RecordComponent;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.MouldLife;
import ungula.core.contact.Releases;
import ungula.core.contact.RubberAge;
import ungula.core.days.Moments;
import ungula.core.fit.Pot;
import ungula.core.mould.SheetStock;
import ungula.core.pour.BatchLimits;
import ungula.core.pour.BatchLimits.Chamber;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.Choosable;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Product;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;

/**
 * The habits and limits of a workshop, taken for every job unless the job says otherwise.
 *
 * @param name of the workshop
 * @param currency written before a price
 * @param units new jobs begin with
 * @param handMixG heaviest batch stirred by hand
 * @param allowancePct least allowance over the volume needed
 * @param coatsPct coats go on so much thicker than asked for; null is 0
 * @param cupLossPct lost on cup and stick, of each batch
 * @param cupLossMm3 lost on cup and stick in every batch, besides
 * @param roomC temperature of the room
 * @param paper for printed sheets
 * @param equipment there is
 * @param boards there are of each sheet
 * @param boxes frames and pipes it has, and moulds are poured in; null is none
 * @param mixing what rubber is mixed and weighed with, and how fast
 * @param air of the room
 * @param costs besides rubber and box
 * @param releases what is released before rubber goes on
 * @param lives casts a mould gives, by what is cast
 * @param keeps how long its moulds keep
 * @param rates of work by hand, minutes
 * @param hours of work
 * @param address under which it is reached over the network, as the labels of moulds have it; null
 *     while nobody said
 * @param learned words that were learned from jobs and not written since; none is null
 * @param roomAssumed whether nobody has said how warm the room is; null is said
 * @param nameAssumed whether nobody has said what it is called; null is said
 */
public record Workshop(
    String name,
    String currency,
    Units units,
    double handMixG,
    double allowancePct,
    Double coatsPct,
    double cupLossPct,
    double cupLossMm3,
    double roomC,
    Paper paper,
    Equipment equipment,
    Map<SheetStock, Board> boards,
    List<OwnBox> boxes,
    Mixing mixing,
    Air air,
    Costs costs,
    Releases releases,
    Map<CastingMaterial, MouldLife> lives,
    RubberAge keeps,
    Map<Rate, Double> rates,
    WorkHours hours,
    String address,
    Set<String> learned,
    Boolean roomAssumed,
    Boolean nameAssumed) {

  /** What was kept before something was asked about has what is usual, or none. */
  public Workshop {
    coatsPct = coatsPct == null ? Double.valueOf(0) : coatsPct;
    air = air == null ? Air.USUAL : air;
    costs = costs == null ? Costs.UNCOUNTED : costs;
    releases = releases == null ? Releases.RUBBER_ONLY : releases;
    Map<CastingMaterial, MouldLife> every = new EnumMap<>(CastingMaterial.class);
    for (CastingMaterial cast : CastingMaterial.values()) {
      MouldLife life = lives == null ? null : lives.get(cast);
      every.put(cast, life == null ? MouldLife.usual(cast) : life);
    }
    lives = Collections.unmodifiableMap(every);
    keeps = keeps == null ? RubberAge.USUAL : keeps;
    Map<Rate, Double> work = new EnumMap<>(Rate.class);
    for (Rate rate : Rate.values()) {
      Double own = rates == null ? null : rates.get(rate);
      work.put(rate, own == null ? Double.valueOf(rate.usualMin()) : own);
    }
    rates = Collections.unmodifiableMap(work);
    hours = hours == null ? WorkHours.USUAL : hours;
    equipment = equipment == null ? Equipment.NONE : equipment;
    boxes = boxes == null || boxes.isEmpty() ? null : List.copyOf(boxes);
    mixing = mixing == null ? Mixing.UNKNOWN : mixing;
    Map<SheetStock, Board> all = new EnumMap<>(SheetStock.class);
    for (SheetStock sheet : SheetStock.values()) {
      Board board = boards == null ? null : boards.get(sheet);
      all.put(sheet, board == null ? Board.UNKNOWN : board);
    }
    boards = Collections.unmodifiableMap(all);
    learned = learned == null ? Set.of() : Set.copyOf(learned);
    roomAssumed = Boolean.TRUE.equals(roomAssumed);
    nameAssumed = Boolean.TRUE.equals(nameAssumed);
  }

  /**
   * What a workshop has; null where it has none, or does not say.
   *
   * @param potDiameterMm inside of the pressure pot
   * @param potHeightMm inside of it
   * @param chamberDiameterMm inside of the vacuum chamber
   * @param chamberHeightMm inside of it
   * @param bedLengthMm of the cutter
   * @param bedWidthMm of it
   * @param liftG what one person lifts
   * @param bucketG rubber in one bucket
   * @param potKpa pressure the pot is rated for, over the air's
   * @param lidKpa the same of its lid and valve
   * @param hoseKpa the same of hose and fittings
   * @param waxPotG wax the injector's pot holds
   */
  public record Equipment(
      Double potDiameterMm,
      Double potHeightMm,
      Double chamberDiameterMm,
      Double chamberHeightMm,
      Double bedLengthMm,
      Double bedWidthMm,
      double liftG,
      double bucketG,
      Double potKpa,
      Double lidKpa,
      Double hoseKpa,
      Double waxPotG) {
    static final Equipment NONE =
        new Equipment(null, null, null, null, null, null, 20_000, 10_000, null, null, null, null);

    /** The lowest of the ratings that are known, kPa; null while none is. */
    public Double ratedKpa() {
      return Stream.of(potKpa, lidKpa, hoseKpa)
          .filter(Objects::nonNull)
          .min(Comparator.naturalOrder())
          .orElse(null);
    }

    /** Whether pot, lid and hose each say what they are rated for. */
    public boolean rated() {
      return potKpa != null && lidKpa != null && hoseKpa != null;
    }

    /** Longer and shorter side of the cutter's bed; null while its size is not said. */
    public double[] bedMm() {
      return bedLengthMm == null || bedWidthMm == null
          ? null
          : new double[] {Math.max(bedLengthMm, bedWidthMm), Math.min(bedLengthMm, bedWidthMm)};
    }

    /** Null while its size is not said. */
    public Pot pot() {
      return potDiameterMm == null || potHeightMm == null
          ? null
          : new Pot(potDiameterMm, potHeightMm);
    }

    public Pot chamber() {
      return chamberDiameterMm == null || chamberHeightMm == null
          ? null
          : new Pot(chamberDiameterMm, chamberHeightMm);
    }
  }

  /**
   * @param humidityPct relative, of the room
   * @param altitudeM above the sea
   */
  public record Air(double humidityPct, double altitudeM) {
    static final Air USUAL = new Air(50, 0);
  }

  /**
   * @param hour of work
   * @param consumables release, gloves, cups and tape for a mould
   */
  public record Costs(double hour, double consumables) {
    static final Costs UNCOUNTED = new Costs(0, 0);
  }

  /**
   * What lets only so much of a rubber through in one batch here.
   *
   * @param product null while none is picked: then no clock runs
   */
  public BatchLimits limits(Product product, Bubbles bubbles) {
    Pot chamber = equipment.chamber();
    return new BatchLimits(
        handMixG,
        equipment.bucketG(),
        mixing.vessels(),
        mixing.scales(),
        chamber == null ? null : new Chamber(chamber.diameterMm(), chamber.heightMm()),
        mixing.pace(),
        bubbles,
        product == null ? null : product.inRoomMin(product.potLifeMin(), roomC));
  }

  /** All words as they stand. */
  public Map<String, Word.State> states() {
    Map<String, Word.State> states = WORDS.states(this, units);
    states.computeIfPresent("roomC", (key, room) -> roomAssumed ? room.asAssumed() : room);
    return states;
  }

  /**
   * With words written: what was written is no longer assumed.
   *
   * @param today when they are written
   */
  public Workshop edited(List<Edit> edits, Moments today) {
    Workshop edited = WORDS.edit(this, WorkHoursWords.dated(edits, today), units);
    Set<String> left = new HashSet<>(learned);
    edits.forEach(e -> left.remove(e.word()));
    return edited.with(
        edited.hours,
        edited.roomC,
        left,
        roomAssumed && !wrote(edits, "roomC"),
        nameAssumed && !wrote(edits, "name"));
  }

  /** With a word that its jobs taught. */
  public Workshop taught(String word, String text) {
    Workshop now = WORDS.edit(this, List.of(Edit.of(word, text)), units);
    Set<String> all = new HashSet<>(learned);
    all.add(word);
    boolean assumed = roomAssumed && !word.equals("roomC");
    return now.with(now.hours, now.roomC, all, assumed, nameAssumed);
  }

  /** With a word no longer told to be as its jobs taught it. */
  public Workshop untaught(String word) {
    Set<String> left = new HashSet<>(learned);
    left.remove(word);
    return with(hours, roomC, left, roomAssumed, nameAssumed);
  }

  /** Whether a word is as the jobs taught it. */
  public boolean learned(String word) {
    return learned.contains(word);
  }

  private static boolean wrote(List<Edit> edits, String word) {
    return edits.stream().anyMatch(e -> e.word().equals(word));
  }

  /** The same somewhere else, at a temperature that was said. */
  public Workshop at(double degreesC) {
    return with(hours.withoutForecast(), degreesC, learned, false, nameAssumed);
  }

  /** The same with other hours. */
  public Workshop in(WorkHours other) {
    return with(other, roomC, learned, roomAssumed, nameAssumed);
  }

  private Workshop with(
      WorkHours other, double degreesC, Set<String> taught, boolean ofRoom, boolean ofName) {
    return new Workshop(
        name,
        currency,
        units,
        handMixG,
        allowancePct,
        coatsPct,
        cupLossPct,
        cupLossMm3,
        degreesC,
        paper,
        equipment,
        boards,
        boxes,
        mixing,
        air,
        costs,
        releases,
        lives,
        keeps,
        rates,
        other,
        address,
        taught,
        ofRoom,
        ofName);
  }

  public enum Paper implements Choosable {
    A4,
    LETTER;

    @Override
    public String text() {
      return this == A4 ? "A4" : "Letter";
    }
  }

  public static final Workshop DEFAULT =
      new Workshop(
          "My workshop",
          "€",
          Units.METRIC,
          2500,
          5,
          0.0,
          2,
          10_000,
          21,
          Paper.A4,
          Equipment.NONE,
          Map.of(),
          null,
          Mixing.UNKNOWN,
          Air.USUAL,
          Costs.UNCOUNTED,
          Releases.RUBBER_ONLY,
          Map.of(),
          RubberAge.USUAL,
          Map.of(),
          WorkHours.USUAL,
          null,
          Set.of(),
          true,
          true);

  private static final WordBook<Workshop> WORDS = book();

  public static WordBook<Workshop> words() {
    return WORDS;
  }

  private static WordBook<Workshop> book() {
    WordBook<Workshop> words =
        new WordBook<Workshop>()
            .word("name", "name of the workshop", Kind.text(60))
            .word("currency", "currency", Kind.text(4))
            .word("units.display", "units of new jobs", Kind.choice(Units.Display.class))
            .word("units.gallon", "gallon of new jobs", Kind.choice(Units.Gallon.class))
            .word("handMixG", "heaviest batch stirred by hand", Kind.mass(50_000))
            .word("allowancePct", "least allowance", Kind.percent(0, 50))
            .word("coatsPct", "coats go on thicker by", Kind.percent(-50, 100))
            .word("cupLossPct", "lost on cup and stick, as a share", Kind.percent(0, 30))
            .word("cupLossMm3", "lost on cup and stick in every batch", Kind.volume(1e6))
            .word("roomC", "room temperature", Kind.temperature(-10, 50))
            .word("air.humidityPct", "humidity of the room", Kind.percent(0, 100))
            .word("air.altitudeM", "height above the sea", Kind.plain("m", -400, 5000, 50))
            .word("costs.hour", "an hour of work", Kind.plain("", 0, 10_000, 1))
            .word("costs.consumables", "consumables of a mould", Kind.plain("", 0, 100_000, 1))
            .word("releases", "what is released", Kind.choice(Releases.class))
            .open(
                "address",
                "address in the workshop's network",
                Kind.parsed("address", Workshop::address, a -> a),
                "not said")
            .word("paper", "paper", Kind.choice(Paper.class))
            .open("equipment.potDiameterMm", "inside of the pressure pot, across", inside(), "?")
            .open("equipment.potHeightMm", "inside of the pressure pot, high", inside(), "?")
            .open(
                "equipment.chamberDiameterMm",
                "inside of the vacuum chamber, across",
                inside(),
                "?")
            .open("equipment.chamberHeightMm", "inside of the vacuum chamber, high", inside(), "?")
            .open("equipment.potKpa", "pressure the pot is rated for", rated(), "?")
            .open("equipment.lidKpa", "pressure its lid is rated for", rated(), "?")
            .open("equipment.hoseKpa", "pressure hose and fittings are rated for", rated(), "?")
            .open("equipment.waxPotG", "wax the injector holds", Kind.mass(200_000), "?")
            .open("equipment.bedLengthMm", "length of the cutter's bed", inside(), "?")
            .open("equipment.bedWidthMm", "width of the cutter's bed", inside(), "?")
            .word("equipment.liftG", "what one person lifts", Kind.mass(200_000))
            .word("equipment.bucketG", "rubber in one bucket", Kind.mass(200_000))
            .open(
                "boxes",
                "boxes, frames and pipes to pour in",
                Kind.parsed("boxes", OwnBox::parse, OwnBox::text),
                "none");
    WorkHoursWords.words(words);
    Mixing.words(words);
    for (SheetStock sheet : SheetStock.values()) {
      String board = boards(sheet);
      words
          .open(board + ".lengthMm", "length of a board of " + sheet.text(), inside(), "?")
          .open(board + ".widthMm", "width of a board of " + sheet.text(), inside(), "?")
          .open(
              board + ".count",
              "boards of " + sheet.text(),
              Kind.count("board", "boards", 0, 10_000),
              "not counted");
    }
    for (CastingMaterial cast : CastingMaterial.values()) {
      for (RecordComponent rubber : MouldLife.class.getRecordComponents()) {
        words.word(
            lives(cast) + "." + rubber.getName(),
            "casts of " + cast.text() + " in " + rubber.getName(),
            Kind.count("", "", 0, 100_000));
      }
    }
    for (RecordComponent rubber : RubberAge.class.getRecordComponents()) {
      words.word(
          "keeps." + rubber.getName(),
          "years a mould of " + rubber.getName() + " keeps",
          Kind.plain("years", 0.1, 100, 1));
    }
    for (Rate rate : Rate.values()) {
      String per = rate.per().isEmpty() ? "" : ", " + rate.per();
      words.word(rates(rate), "time to " + rate.text() + per, Kind.minutes(1440));
    }
    return words;
  }

  private static String address(String typed) {
    String clean = typed.strip().replaceAll("/+$", "");
    String whole = clean.contains("://") ? clean : "http://" + clean;
    if (whole.length() > 80 || !whole.matches("https?://[\\w.\\-\\[\\]:]*\\w(:\\d{1,5})?")) {
      throw new UnreadableQuantity(
          "Write it as it stands in a browser, such as http://192.168.1.20:8080.");
    }
    return whole;
  }

  /** The words of a casting material's lives begin so. */
  public static String lives(CastingMaterial cast) {
    return "lives." + cast.name();
  }

  /** The word of a rate of work. */
  public static String rates(Rate rate) {
    return "rates." + rate.name();
  }

  /** The words of a sheet's boards begin so. */
  public static String boards(SheetStock sheet) {
    return "boards." + sheet.name();
  }

  private static Kind<Double> rated() {
    return Kind.pressure(5000);
  }

  private static Kind<Double> inside() {
    return Kind.length(10, 20_000);
  }
}
