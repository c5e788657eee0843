package ungula.core.offer;

import static ungula.core.working.Given.Source.COMPUTED;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import ungula.core.air.Vents;
import ungula.core.attitude.AttitudeSearch;
import ungula.core.choice.Choices;
import ungula.core.choice.LyingChoice;
import ungula.core.choice.Weights;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.mark.Mark;
import ungula.core.mesh.FillCurve;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.MouldKind;
import ungula.core.orient.CastTable;
import ungula.core.orient.Handful;
import ungula.core.orient.Handful.Best;
import ungula.core.orient.Handful.Pick;
import ungula.core.orient.Stand;
import ungula.core.plan.BoxPart;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Volume;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.FigureKeys;
import ungula.core.working.Working;

/** The few best ways for a master to stand in the box the choices make round it. */
public final class StandOffers {

  /** What its figures are called. */
  public static final FigureKeys FIGURES =
      FigureKeys.of("StandFigure", "rubber", "height", "locked", "poured", "cast", "vents");

  /** Leaning less than this from a way it could be named by is that way, degrees. */
  private static final double NEARLY = 12;

  /** So much higher than wide it stands on an end rather than lies on a side. */
  private static final double STANDS = 1.1;

  private final Choices choices;
  private final double masterMm3;
  private final int looked;

  private StandOffers(Choices choices, double masterMm3, int looked) {
    this.choices = choices;
    this.looked = looked;
    this.masterMm3 = masterMm3;
  }

  /**
   * @param turn from the model's axes
   * @param way named from how it stands now, to follow "it"
   * @param why it is offered, to follow the way
   * @param now whether it stands so already
   * @param figures rubber, height, locked, poured, cast and vents
   */
  public record Offer(
      Rotation turn, String way, String why, boolean now, Map<String, Figure> figures) {}

  /**
   * The best by what counts for the user first; how it stands now always among them.
   *
   * @param stands looked at
   * @param present how it stands now; null while that is not known
   * @param posed as the choices stand it now, in millimetres
   * @param masterMm3 its volume
   */
  public static List<Offer> of(
      List<Stand> stands, Stand present, TriangleMesh posed, Choices choices, double masterMm3) {
    CastTable table = new CastTable(stands);
    StandOffers offers = new StandOffers(choices, masterMm3, stands.size());
    List<Stand> all = new ArrayList<>(stands);
    if (present != null && !stands.isEmpty()) {
      // seen once, as closely as it is known
      all.removeIf(offers::now);
      all.add(present);
    }
    Map<Stand, Scored> scored =
        all.stream()
            .distinct()
            .collect(
                Collectors.toMap(s -> s, s -> new Scored(offers.box(s), offers.cast(table, s))));
    List<Pick> picks =
        new ArrayList<>(
            Handful.of(
                all,
                new Handful.Scores(
                    s -> scored.get(s).box.rubberMm3(),
                    s -> scored.get(s).cast.airMm3(),
                    s -> scored.get(s).cast.vents(),
                    offers.onPlate(Mark.KEEP_CLEAN, posed),
                    offers.onPlate(Mark.BASE, posed),
                    masterMm3,
                    Vents.WORTH_MM3,
                    counts(choices.weights()))));
    if (present != null && picks.stream().noneMatch(p -> p.stand().equals(present))) {
      picks.add(new Pick(present, EnumSet.noneOf(Best.class)));
    }
    return picks.stream().map(p -> offers.offer(p, scored.get(p.stand()))).toList();
  }

  /** The box round one way to stand, and its casts at their best. */
  private record Scored(BoxMould box, CastTable.Best cast) {}

  private CastTable.Best cast(CastTable table, Stand s) {
    MouldKind kind = choices.mould().kind();
    boolean open = kind == MouldKind.OPEN || kind == MouldKind.SKIN;
    return table.of(s, open, LyingChoice.sides(kind, false).size() > 1);
  }

  private static Handful.Counts counts(Weights w) {
    double even = Weights.MOST / 2.0;
    return new Handful.Counts(
        w.money() / even, w.finish() / even, (w.time() + w.ease()) / (2 * even));
  }

  /** Area of what is marked so as seen from below. */
  private ToDoubleFunction<Stand> onPlate(Mark mark, TriangleMesh posed) {
    // directions alike to a hundredth count together: there are few, however many facets
    Map<List<Long>, Vec3> facing = new HashMap<>();
    choices.marks().of(mark).facets().stream()
        .mapToObj(posed::areaVector)
        .filter(v -> v.norm() > 0)
        .forEach(
            v -> {
              Vec3 n = v.unit().times(100);
              facing.merge(
                  List.of(Math.round(n.x()), Math.round(n.y()), Math.round(n.z())), v, Vec3::plus);
            });
    return stand -> {
      Vec3 up = upNow(stand);
      return facing.values().stream().mapToDouble(v -> Math.max(0, -v.dot(up))).sum();
    };
  }

  /** Its way up, in the axes of how the master stands now. */
  private Vec3 upNow(Stand s) {
    return choices.pose().turn().apply(s.up());
  }

  private BoxMould box(Stand s) {
    return BoxPart.round(
        choices,
        s.sizeMm(),
        FillCurve.even(masterMm3, 0, Math.max(s.sizeMm().z(), 1e-3)),
        BoxPart.rectangle(choices.mould(), s.sizeMm()));
  }

  private Offer offer(Pick pick, Scored scored) {
    Stand s = pick.stand();
    return new Offer(
        s.turn(),
        now(s) ? "as it stands now" : way(upNow(s), s.sizeMm()),
        why(pick),
        now(s),
        figures(s, scored));
  }

  /** Whether it stands so now, but for being turned end to end. */
  private boolean now(Stand s) {
    Rotation left = s.turn().after(choices.pose().turn().inverse());
    double yaw = Math.toDegrees(2 * Math.atan2(left.z(), left.w()));
    return upNow(s).z() > Math.cos(Math.toRadians(1))
        && Math.abs(Math.sin(Math.toRadians(yaw))) < 0.02;
  }

  private static String why(Pick pick) {
    if (pick.best().isEmpty()) {
      return "is best at nothing";
    }
    Set<Best> best = EnumSet.copyOf(pick.best());
    List<String> all = new ArrayList<>();
    if (best.contains(Best.RUBBER) || best.contains(Best.AIR)) {
      best.remove(Best.BARGAIN);
    }
    if (best.size() > 1) {
      best.remove(Best.ALL);
    }
    if (best.contains(Best.RUBBER) && best.remove(Best.FLAT)) {
      all.add("stands by itself");
    }
    best.forEach(b -> all.add(b.text()));
    return all.size() == 1
        ? all.get(0)
        : String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
  }

  /**
   * What a way up is called.
   *
   * @param up in the axes of how the master stands now
   * @param sizeMm of the master standing so
   */
  public static String way(Vec3 up, Vec3 sizeMm) {
    double lean = Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, up.z()))));
    boolean sideways = Math.abs(up.x()) > Math.abs(up.y());
    if (lean < NEARLY / 2) {
      return "turned on the plate";
    }
    if (lean > 180 - NEARLY) {
      return "upside down";
    }
    if (Math.abs(lean - 90) < 2 * NEARLY) {
      boolean onEnd = sizeMm.z() > STANDS * Math.max(sizeMm.x(), sizeMm.y());
      String side = sideways ? (up.x() > 0 ? "left" : "right") : up.y() < 0 ? "back" : "front";
      return onEnd
          ? "stood on its " + side + " end"
          : "laid on its " + side + (sideways ? " side" : "");
    }
    // what is turned up on one side tips the top to the other
    String to = sideways ? (up.x() > 0 ? "left" : "right") : up.y() < 0 ? "back" : "front";
    return lean < 90
        ? "tipped " + Numbers.fixed(lean, 0) + "° to the " + to
        : "upside down, tipped " + Numbers.fixed(180 - lean, 0) + "° to the " + to;
  }

  private Map<String, Figure> figures(Stand s, Scored scored) {
    FigureBook book = new FigureBook(FIGURES, choices.units(), "");
    BoxMould box = scored.box;
    book.volume(
        "rubber",
        "rubber in a rectangular box",
        box.rubberMm3(),
        Working.of("inside of the box to the pour line − master")
            .given(
                "inside",
                Length.format3(
                    box.insideLengthMm(), box.insideWidthMm(), box.pourLineMm(), choices.units()),
                COMPUTED)
            .given("master", Volume.format(masterMm3, choices.units()), COMPUTED)
            .done());
    book.length(
        "height",
        "height of the master",
        s.sizeMm().z(),
        Working.of("between the highest and the lowest point, standing so").done());
    book.volume(
        "locked",
        "rubber under overhangs",
        s.lockedMm3(),
        Working.of("room under the highest surface seen from above − master").done());
    air(book, "poured", "air in the rubber", s.pouredMm3(), s.fine());
    air(book, "cast", "air in a cast, lying as is best", scored.cast.airMm3(), s.fine());
    int vents = scored.cast.vents();
    book.put(
        "vents",
        "vents a cast asks for",
        vents,
        vents > AttitudeSearch.MOST_VENTS
            ? "more than " + AttitudeSearch.MOST_VENTS + " vents"
            : vents == 0 ? "no vents" : vents == 1 ? "one vent" : vents + " vents",
        Working.of("of all ways its mould can lie the one with fewest vents, then least air")
            .given("ways up looked at", String.valueOf(looked), COMPUTED)
            .step("One at the top of each pocket of more than 0.05 mL.")
            .done());
    return book.all();
  }

  private void air(FigureBook book, String key, String label, double mm3, boolean fine) {
    boolean none = mm3 < Vents.WORTH_MM3;
    String text = none ? "none" : Volume.format(mm3, choices.units());
    String rough = none ? "probably none" : "about " + text;
    Working.Builder working =
        Working.of("air stays where every way to an opening first goes down below it");
    if (!fine) {
      working.step("In coarse cells: it is looked at closer once the master stands so.");
    }
    book.put(key, label, mm3, fine ? text : rough, working.done());
  }
}
