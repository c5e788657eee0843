package ungula.core.choice;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ungula.core.attitude.Attitude;
import ungula.core.attitude.Face;
import ungula.core.castlabel.LabelPlace;
import ungula.core.contact.CastingMaterial;
import ungula.core.contact.Preparation;
import ungula.core.cutline.CutPlanes;
import ungula.core.cutline.Extent;
import ungula.core.days.Moments;
import ungula.core.days.Moments.Moment;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.Jacket;
import ungula.core.jacket.JacketKind;
import ungula.core.jacket.JacketScan;
import ungula.core.jacket.Locators;
import ungula.core.library.Code;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.master.MasterMaterial;
import ungula.core.master.Measured;
import ungula.core.master.Pose;
import ungula.core.master.Solid;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.SurfacePoint;
import ungula.core.mould.BoxShape;
import ungula.core.mould.Filling;
import ungula.core.mould.Fixing;
import ungula.core.mould.MouldKind;
import ungula.core.mould.SheetStock;
import ungula.core.parting.Bedding;
import ungula.core.parting.Keying;
import ungula.core.parting.PartingLine;
import ungula.core.plate.Laying;
import ungula.core.plate.Plate;
import ungula.core.pour.Batching;
import ungula.core.pour.Bubbles;
import ungula.core.quantity.FileUnit;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.rubber.Additive;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.sentence.WordBook;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.sentence.WordBook.Refused;
import ungula.core.skin.Recoat;
import ungula.core.skin.Skin;
import ungula.core.skin.TakenOff;
import ungula.core.skin.Thickener;
import ungula.core.sprue.Spout;
import ungula.core.sprue.VentKind;

/** The changeable words of a job's sentences. */
public final class ChoiceWords {

  private static final double LARGEST_MM = 20_000;
  private static final double LARGEST_MM3 = 1e13;
  private static final double LARGEST_G = 1e8;

  private static final int MOST_MOULDS = 500;
  private static final int MOST_CASTS = 100_000;
  private static final int MOST_COATS = 40;

  private static final String BEGIN = "days.begin";
  private static final String PIN = "days.pin";

  private static final WordBook<Choices> BOOK = book();

  private ChoiceWords() {}

  private static WordBook<Choices> book() {
    WordBook<Choices> book = new WordBook<>();
    book.word("units.display", "units", Kind.choice(Units.Display.class))
        .word("units.gallon", "gallon", Kind.choice(Units.Gallon.class));
    master(book);
    measured(book);
    mould(book);
    skin(book);
    rubber(book);
    label(book);
    lying(book);
    book.open(
            BEGIN,
            "when it is begun",
            Kind.parsed("moment", Moment::of, Moment::text, Moment::exact),
            "the next morning")
        .deed(PIN, "pin a step", (c, text) -> c.withDays(c.days().pinned(text)));
    return book;
  }

  /**
   * The choices with edits made. A ratio that does not say what its numbers are is refused with the
   * sheet's reading beside it.
   *
   * @param product picked for the job; null while there is none
   */
  public static Choices edit(Choices choices, List<Edit> edits, Product product) {
    try {
      Choices edited = BOOK.edit(choices, edits, choices.units());
      raisable(edited.lying(), edits);
      return edited.consistentAfter(choices).deciding(edits.stream().map(Edit::word).toList());
    } catch (Refused refused) {
      boolean ratio = refused.word().equals("rubber.ratio");
      if (!ratio || product == null || product.ratio() == null) {
        throw refused;
      }
      throw new Refused(
          refused.word(),
          refused.getMessage()
              + " The sheet of "
              + product.name()
              + " says “"
              + product.ratio().text()
              + "”: "
              + Ratio.sentence(product.hardenerPerBase(product.ratio()))
              + ".");
    }
  }

  /** A side that is asked to be raised is next to the one it lies on. */
  private static void raisable(LyingChoice lying, List<Edit> edits) {
    List<Face> sides = Stream.of(Face.values()).filter(f -> f.isBeside(lying.on())).toList();
    for (Edit e : edits) {
      boolean also = e.word().equals("lying.also");
      Face asked = also ? lying.also() : lying.raised();
      if ((also || e.word().equals("lying.raised")) && asked != null) {
        List<Face> can =
            also && lying.raised() != null
                ? sides.stream().filter(f -> f.isBeside(lying.raised())).toList()
                : sides;
        if (!can.contains(asked)) {
          throw new Refused(
              e.word(),
              "Lying so it can be raised at its "
                  + can.stream().map(Face::text).collect(Collectors.joining(", "))
                  + "; its "
                  + asked.text()
                  + " cannot.");
        }
      }
    }
  }

  /** Times typed, counted from the day they are typed on, as they are kept. */
  public static List<Edit> dated(List<Edit> edits, Moments today) {
    return edits.stream().map(e -> e.text() == null ? e : dated(e, today)).toList();
  }

  private static Edit dated(Edit e, Moments today) {
    try {
      String text = e.text().strip();
      if (e.word().equals(BEGIN) && !text.isEmpty()) {
        return Edit.of(BEGIN, today.moment(text).kept());
      }
      String[] words = text.split("\\s+", 2);
      return e.word().equals(PIN) && words.length == 2
          ? Edit.of(PIN, words[0] + " " + today.moment(words[1]).kept())
          : e;
    } catch (UnreadableQuantity refused) {
      throw new Refused(e.word(), refused.getMessage());
    }
  }

  /** All words of a job as they stand; those nobody wrote are assumed. */
  public static Map<String, Word.State> states(Choices choices) {
    Map<String, Word.State> states = BOOK.states(choices, choices.units());
    states.replaceAll((key, state) -> choices.decided(key) ? state : state.asAssumed());
    return states;
  }

  /** What a word is called, for the history. */
  public static String label(String word) {
    return BOOK.label(word);
  }

  private static void master(WordBook<Choices> book) {
    book.word("master.source", "what the shape is known from", Kind.choice(MasterSource.class))
        .open("master.model", "model file", Kind.text(80), "no file")
        .open("master.fileName", "name of the model file", Kind.text(255), "as it came")
        .open(
            "master.unitMm",
            "unit of the file",
            Kind.parsed("unit", FileUnit::parseMm, FileUnit::name),
            "as the file says")
        .word("master.material", "material of the master", Kind.choice(MasterMaterial.class))
        .word("master.preparation", "preparation of its surface", Kind.choice(Preparation.class))
        .open("master.massG", "mass of the master", Kind.mass(LARGEST_G), "not weighed")
        .word("master.way", "which volume is used", Kind.choice(VolumeWays.Way.class))
        .word("master.solid.kind", "kind of solid", Kind.choice(Solid.Shape.class));
    String[][] measures = {
      {"lengthMm", "length"},
      {"widthMm", "width"},
      {"heightMm", "height"},
      {"diameterMm", "outer diameter"},
      {"topDiameterMm", "diameter at the top"},
      {"tubeDiameterMm", "thickness of the ring"}
    };
    for (String[] m : measures) {
      book.word("master.solid." + m[0], m[1] + " of the solid", Kind.length(0.1, LARGEST_MM));
    }
    book.word("master.solid.profile", "profile, radius at height", pairs("profile", Solid::profile))
        .word("master.solid.girths", "girths at heights", pairs("girths", Solid::girths))
        .word(
            "master.solid.carvedPct",
            "how much larger the carved face is than flat",
            Kind.percent(0, 200))
        .word("master.solid.toleranceMm", "± on every measure", Kind.length(0, 50))
        .word("pose.liftMm", "rubber below the master", Kind.length(0, LARGEST_MM))
        .deed("pose.turned", "turn the master", (c, text) -> c.withPose(c.pose().turned(text)))
        .deed(
            "pose.rest", "rest it on another face", (c, text) -> c.withPose(c.pose().restOn(text)))
        .deed(
            "pose.asModelled",
            "as modelled",
            (c, text) -> c.withPose(new Pose(Pose.AS_MODELLED.turn(), c.pose().liftMm())))
        .deed("pose.tipped", "tip the master", (c, text) -> c.withPose(c.pose().tipped(text)))
        .deed("pose.stand", "stand it another way", (c, text) -> c.withPose(c.pose().stood(text)))
        .deed(
            "marks.add", "mark", (c, text) -> c.withMarks(c.marks().with(mark(text), marked(text))))
        .deed(
            "marks.erase",
            "erase a mark",
            (c, text) -> c.withMarks(c.marks().without(mark(text), marked(text))))
        .deed("marks.none", "erase a mark", (c, text) -> c.withMarks(c.marks().without(mark(text))))
        .deed(
            "casting.sprue",
            "place the sprue",
            (c, text) -> c.withCasting(new Casting(surfacePoint(text), c.casting().vents())))
        .deed(
            "casting.noSprue",
            "take the sprue away",
            (c, text) -> c.withCasting(new Casting(null, c.casting().vents())))
        .deed(
            "casting.vent",
            "place a vent",
            (c, text) -> c.withCasting(c.casting().withVent(surfacePoint(text))))
        .deed(
            "casting.noVents",
            "take the vents away",
            (c, text) -> c.withCasting(new Casting(c.casting().sprue(), List.of())));
  }

  private static Kind<String> pairs(String name, Consumer<String> check) {
    return Kind.parsed(
        name,
        text -> {
          check.accept(text);
          return text.strip();
        },
        text -> text);
  }

  /** Reads the first word of "KEEP_CLEAN 12+4 80+1". */
  private static Mark mark(String text) {
    try {
      return Mark.valueOf(text.strip().split("\\s+", 2)[0]);
    } catch (IllegalArgumentException e) {
      throw new UnreadableQuantity("There is no such mark.");
    }
  }

  /** Reads the rest of it, and writes it in order. */
  private static FacetSet marked(String text) {
    String[] words = text.strip().split("\\s+", 2);
    return FacetSet.of(new FacetSet(words.length < 2 ? "" : words[1]).facets());
  }

  /** Reads "1203 0.2 0.5": a facet and where on it. */
  private static SurfacePoint surfacePoint(String text) {
    String[] words = text.strip().split("\\s+");
    try {
      return new SurfacePoint(
          Integer.parseInt(words[0]), Double.parseDouble(words[1]), Double.parseDouble(words[2]));
    } catch (RuntimeException e) {
      throw new UnreadableQuantity("A place on the master is a facet and two numbers.");
    }
  }

  private static void measured(WordBook<Choices> book) {
    String m = "master.measured.";
    book.word(m + "outline", "outer shape", Kind.choice(Measured.Outline.class))
        .word(m + "vessel", "kind of vessel", Kind.choice(Measured.Vessel.class));
    String[][] lengths = {
      {"lengthMm", "outer length"},
      {"widthMm", "outer width"},
      {"heightMm", "outer height"},
      {"diameterMm", "outer diameter"},
      {"vesselDiameterMm", "vessel diameter"},
      {"vesselTopDiameterMm", "diameter at the top of the pail"},
      {"vesselHeightMm", "height between the pail's diameters"},
      {"vesselLengthMm", "vessel length"},
      {"vesselWidthMm", "vessel width"},
      {"levelBeforeMm", "level before"},
      {"levelAfterMm", "level after"}
    };
    for (String[] l : lengths) {
      book.open(m + l[0], l[1], Kind.length(0.1, LARGEST_MM), "?");
    }
    book.word(m + "readingErrorMm", "± of a level reading", Kind.length(0.05, 50))
        .open(m + "overflowG", "mass of water run over", Kind.mass(LARGEST_G), "?")
        .open(m + "hungG", "what the scale gained", Kind.mass(LARGEST_G), "?")
        .word(m + "scaleErrorG", "± of a weighing", Kind.mass(1000))
        .open(m + "castG", "mass of the master or an identical cast", Kind.mass(LARGEST_G), "?")
        .open(m + "castDensity", "density of what was weighed", Kind.density(), "?")
        .word(m + "densityErrorPct", "± of the density", Kind.percent(0, 50))
        .open(m + "grainMm3", "grain round the master", Kind.volume(LARGEST_MM3), "?")
        .open(m + "grainEmptyMm3", "grain in the empty box", Kind.volume(LARGEST_MM3), "?")
        .open(m + "grainBoxMm3", "room of the box it was read in", Kind.volume(LARGEST_MM3), "?")
        .word(m + "packingPct", "± of measuring by grain", Kind.percent(0.5, 20));
  }

  private static void mould(WordBook<Choices> book) {
    book.word(
            "plate.copies",
            "copies on the plate",
            Kind.count("copy", "copies", 1, Plate.MOST_COPIES))
        .word("plate.laying", "how the masters lie", Kind.choice(Laying.class))
        .word("plate.landMm", "rubber between masters", Kind.length(1, 500))
        .word("mould.kind", "kind of mould", Kind.choice(MouldKind.class))
        .word("mould.shape", "shape of the box", Kind.choice(BoxShape.class))
        .word("mould.sidesMm", "rubber round the sides", Kind.length(0, 2000));
    for (String side : new String[] {"left", "right", "front", "back"}) {
      book.open("mould." + side + "Mm", "rubber at the " + side, Kind.length(0, 2000), "the same");
    }
    book.open(
            "mould.insideLengthMm",
            "inside length of the box",
            Kind.length(1, LARGEST_MM),
            "to suit")
        .open(
            "mould.insideWidthMm", "inside width of the box", Kind.length(1, LARGEST_MM), "to suit")
        .word("mould.overTopMm", "rubber over the top", Kind.length(-LARGEST_MM, 2000))
        .word("mould.freeboardMm", "wall above the pour line", Kind.length(0, 2000))
        .word("mould.sheet", "sheet for the walls", Kind.choice(SheetStock.class))
        .open("mould.ribSpacingMm", "distance between ribs", Kind.length(20, 5000), "no ribs")
        .word("mould.fixing", "what holds the master down", Kind.choice(Fixing.class))
        .word("mould.filling", "where rubber is poured first", Kind.choice(Filling.class))
        .open("channels.sprueMm", "diameter of the sprue", Kind.length(1, 200), "as wide as needed")
        .word("channels.ventMm", "diameter of a vent", Kind.length(0.5, 20))
        .word("channels.ventBy", "what makes a vent", Kind.choice(VentKind.class))
        .word("channels.spout", "how the sprue opens", Kind.choice(Spout.class))
        .word(
            "channels.resin.viscosityPas",
            "viscosity of what is cast",
            Kind.plain("Pa·s", 0.001, 1000, 0.05))
        .word("channels.resin.potLifeMin", "pot life of what is cast", Kind.minutes(10_000))
        .word("channels.resin.density", "density of what is cast", Kind.density())
        .open("hollow.wallMm", "wall of a hollow cast", Kind.length(0.5, 200), "solid")
        .word("weights.money", "weight of money", weight())
        .word("weights.time", "weight of time", weight())
        .word("weights.ease", "weight of ease", weight())
        .word("weights.finish", "weight of finish", weight())
        .word("parting.line", "how the halves meet", Kind.choice(PartingLine.class))
        .open(
            "parting.upMm",
            "parting above the master's lowest point",
            Kind.length(0, LARGEST_MM),
            "at the best height")
        .word("parting.keying", "what registers the halves", Kind.choice(Keying.class))
        .word("cut.extent", "how far round it is cut", Kind.choice(Extent.class))
        .open(
            "cut.towardsDegrees",
            "way of the cut",
            Kind.plain("°", 0, 360, CutPlanes.STEP_DEGREES),
            "the best side")
        .word("parting.bedding", "what the master is bedded in", Kind.choice(Bedding.class))
        .word(
            "parting.ring.offsetMm",
            "from the cavity to the middle of the seal ring",
            Kind.length(2, 100))
        .word("parting.ring.widthMm", "width of the seal ring", Kind.length(2, 40))
        .word("parting.ring.heightMm", "height of the seal ring", Kind.length(2, 40))
        .open(
            "parting.riserLeftMm",
            "from the left end to its riser",
            Kind.length(0, LARGEST_MM),
            "a tenth of its length")
        .open(
            "parting.riserRightMm",
            "from the right end to its riser",
            Kind.length(0, LARGEST_MM),
            "a tenth of its length");
  }

  private static void lying(WordBook<Choices> book) {
    book.word(
            "lying.on", "how the mould lies to be cast in", Kind.choice(Face.class, Attitude::lies))
        .open("lying.raised", "side that is raised", Kind.choice(Face.class), "level")
        .open("lying.also", "another side that is raised", Kind.choice(Face.class), "no other side")
        .word("lying.degrees", "how far it is raised", Kind.degrees(1, 60, 1));
  }

  private static void label(WordBook<Choices> book) {
    book.word("label.place", "label in the rubber", Kind.choice(LabelPlace.class))
        .word("label.letterMm", "height of its letters", Kind.length(2, 40))
        .open(
            "label.text",
            "what it says, / between lines",
            Kind.text(80),
            "its code, the date and what a cast takes")
        .open(
            "label.code",
            "code of the mould",
            Kind.parsed("code", Code::typed, c -> c),
            "none yet");
  }

  private static void skin(WordBook<Choices> book) {
    book.open("skin.wallMm", "wall of the skin", Kind.length(0.5, Skin.MOST_MM), "to suit its size")
        .word("skin.detailMm", "detail coat", Kind.length(0.3, 5))
        .word("skin.buildMm", "thickest build coat", Kind.length(0.5, 10))
        .word("skin.thickener", "how build coats are thickened", Kind.choice(Thickener.class))
        .open("skin.buildProduct", "rubber of the build coats", Kind.text(80), "the same rubber")
        .open("skin.smoothingMm", "smoothing coat", Kind.length(0.3, 5), "none")
        .open(
            "skin.clothAfter",
            "coat that cloth is bedded in",
            Kind.count("coat", "coats", 1, MOST_COATS),
            "none")
        .word("skin.flangeMm", "width of the flange", Kind.length(0, 300))
        .word("skin.lossPct", "left in brush, pot and drips", Kind.percent(0, 50))
        .word("skin.recoat", "when the next coat goes on", Kind.choice(Recoat.class))
        .deed(
            "skin.gap",
            "when the next coat goes on",
            (c, text) -> c.skinned(gap(c.skin(), text), c.jacket()))
        .open(
            "skin.opening",
            "how the skin comes off",
            Kind.choice(TakenOff.class),
            "comes off the easiest way")
        .deed(
            "skin.plug",
            "plug a recess",
            (c, text) -> c.skinned(c.skin().plugged(plug(text)), c.jacket()))
        .deed("skin.open", "open the recesses", (c, text) -> c.skinned(c.skin().open(), c.jacket()))
        .word("jacket.kind", "what the jacket is of", Kind.choice(JacketKind.class))
        .open(
            "jacket.sections",
            "sections of the jacket",
            Kind.count("section", "sections", 1, Jacket.MOST_SECTIONS),
            "as many sections as needed")
        .open(
            "jacket.turnDegrees",
            "way of the first parting",
            Kind.plain("°", 0, 360, JacketScan.STEP_DEGREES),
            "the best side")
        .word("jacket.relief", "a section for what stays locked", Kind.choice(Jacket.Relief.class))
        .open(
            "jacket.layers",
            "layers of the jacket",
            Kind.count("layer", "layers", 1, 40),
            "the usual layers")
        .open("jacket.thickMm", "thickness of the jacket", Kind.length(1, 100), "as thick as usual")
        .word("jacket.flangeMm", "flanges of the jacket", Kind.length(0, 300))
        .word("jacket.boltMm", "distance between bolts", Kind.length(20, 1000))
        .word("jacket.locators", "what lets the skin find its place", Kind.choice(Locators.class))
        .word("site.place", "where it is built", Kind.choice(Site.Place.class))
        .word("site.wind", "wind there", Kind.choice(Site.Wind.class))
        .open("site.degreesC", "how warm it is there", Kind.temperature(-10, 50), "as warm as here")
        .word("site.tripG", "carried at a time", Kind.mass(200_000))
        .deed(
            "jacket.partings",
            "move a parting",
            (c, text) -> c.skinned(c.skin(), c.jacket().moved(degrees(text))))
        .deed(
            "jacket.even",
            "divide the jacket evenly",
            (c, text) -> c.skinned(c.skin(), c.jacket().unturned()));
  }

  /** Reads "12.5 −3 40 12": a place and the wall of the skin, mm. */
  private static Skin.Plug plug(String text) {
    List<Double> at = numbers(text);
    if (at.size() != 4 || !(at.get(3) > 0 && at.get(3) <= Skin.MOST_MM)) {
      throw new UnreadableQuantity("A plug is a place, three numbers, and the wall of the skin.");
    }
    return new Skin.Plug(new Vec3(at.get(0), at.get(1), at.get(2)), at.get(3));
  }

  /** Reads "2 SET": how the next coat follows the second; "2" as all others. */
  private static Skin gap(Skin skin, String text) {
    String[] words = text.strip().split("\\s+");
    try {
      Recoat how = words.length < 2 ? null : Recoat.valueOf(words[1]);
      return skin.after(Integer.parseInt(words[0]), how);
    } catch (IllegalArgumentException e) {
      throw new UnreadableQuantity("Say after which coat, and how the next one follows.");
    }
  }

  /** Reads "45 165 285": the ways partings run. */
  private static List<Double> degrees(String text) {
    List<Double> all = numbers(text).stream().map(d -> (d % 360 + 360) % 360).sorted().toList();
    if (all.size() < 2
        || all.size() > Jacket.MOST_SECTIONS
        || all.stream().distinct().count() < all.size()) {
      throw new UnreadableQuantity("Two to four partings, each another way.");
    }
    return all;
  }

  private static List<Double> numbers(String text) {
    try {
      return Arrays.stream(text.strip().split("\\s+")).map(Double::valueOf).toList();
    } catch (NumberFormatException e) {
      throw new UnreadableQuantity("Write numbers with spaces between.");
    }
  }

  private static Kind<Integer> weight() {
    return Kind.count("", "", 0, Weights.MOST);
  }

  private static void rubber(WordBook<Choices> book) {
    book.open("rubber.product", "rubber", Kind.text(80), "a rubber")
        .open("rubber.catalyst", "grade of catalyst", Kind.text(40), "the usual")
        .open(
            "rubber.ratio",
            "ratio to mix at",
            Kind.parsed("ratio", Ratio::parse, Ratio::text),
            "as the sheet says")
        .word(
            "rubber.ratioMeant",
            "a ratio far off the sheet is meant",
            Kind.choice(RatioMeant.class))
        .word("rubber.first", "part that goes in first", Kind.choice(First.class))
        .open("rubber.allowancePct", "allowance", Kind.percent(0, 100), "the usual allowance")
        .open(
            "rubber.batches",
            "number of batches",
            Kind.count("batch", "batches", 1, Batching.MOST),
            "the fewest batches")
        .open("rubber.sealingMm", "sealing pour", Kind.length(2, 30), "none")
        .word("rubber.bubbles", "how air is got out of it", Kind.choice(Bubbles.class))
        .open("rubber.offcutsMm3", "cured offcuts put in", Kind.volume(LARGEST_MM3), "none")
        .open(
            "rubber.moulds",
            "moulds alike",
            Kind.count("mould", "moulds", 1, MOST_MOULDS),
            "one mould")
        .word("cast.material", "what is cast", Kind.choice(CastingMaterial.class))
        .open("cast.product", "product that is cast", Kind.text(80), "no particular product")
        .open(
            "cast.wanted",
            "casts wanted",
            Kind.count("cast", "casts", 1, MOST_CASTS),
            "as many as the mould lasts");
    additive(book, "rubber.additive.", "the additive", "none");
    additive(book, "rubber.also.", "the other additive", "nothing");
    CastWords.add(book);
  }

  private static void additive(WordBook<Choices> book, String key, String what, String none) {
    book.open(key + "name", "name of " + what, Kind.text(60), "no name")
        .word(key + "kind", "what " + what + " is for", Kind.choice(Additive.Kind.class))
        .open(key + "dosePct", "dose of " + what, Kind.percent(0, 60), none)
        .word(key + "of", "what the dose of " + what + " is of", Kind.choice(Additive.Of.class))
        .open(key + "density", "density of " + what, Kind.density(), "as the mix");
  }
}
