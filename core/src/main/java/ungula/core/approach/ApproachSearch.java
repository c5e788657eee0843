package ungula.core.approach;

import static ungula.core.working.Given.Source.CHOSEN;
import static ungula.core.working.Given.Source.COMPUTED;
import static ungula.core.working.Given.Source.DEFAULT;
import static ungula.core.working.Given.Source.SHEET;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import ungula.core.air.AirTraps;
import ungula.core.air.Opening;
import ungula.core.air.Room;
import ungula.core.air.Vents;
import ungula.core.approach.Approach.Worth;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.contact.MouldLife;
import ungula.core.cutline.CutPlanes;
import ungula.core.cutline.Extent;
import ungula.core.days.Diary;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.OutsideStudy;
import ungula.core.mark.Mark;
import ungula.core.master.PosedMaster;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.BoxShape;
import ungula.core.mould.MouldKind;
import ungula.core.offer.StandOffers;
import ungula.core.orient.Stand;
import ungula.core.orient.StandSearch;
import ungula.core.parting.KeyLayout;
import ungula.core.parting.PartedMaster;
import ungula.core.parting.PartingLine;
import ungula.core.parting.PartingScan;
import ungula.core.plan.Brief;
import ungula.core.plan.CoreFacts;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Plan;
import ungula.core.plan.Planner;
import ungula.core.plan.SkinFacts;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Share;
import ungula.core.quantity.Volume;
import ungula.core.record.Recorded;
import ungula.core.release.PieceCover;
import ungula.core.release.Stretch;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.SkinField;
import ungula.core.skin.SkinStudy;
import ungula.core.skin.TakenOff;
import ungula.core.step.StepNetwork;
import ungula.core.step.Steps;
import ungula.core.study.MeshReport;
import ungula.core.work.Parallel;
import ungula.core.work.Progress;
import ungula.core.working.Figure;
import ungula.core.working.FigureBook;
import ungula.core.working.Working;
import ungula.core.workshop.Workshop;

/**
 * Every kind of mould that could be made of a master, each with the master standing as suits it
 * best, and as it stands now.
 */
public final class ApproachSearch {

  /** Changes when the same question comes out otherwise: old answers are made again. */
  public static final int VERSION = 11;

  /** Cells of the rooms air is looked for in: enough to compare by. */
  private static final double CELLS = 400_000;

  private static final int MOST_VENTS = 12;

  /** Rubber locked in two halves, as a share of the master: more will not come apart. */
  private static final double LOCKED = 0.05;

  private static final double CLEAR_MM = 12;

  /** Of a cast with a core, until one is chosen. */
  private static final double CAST_WALL_MM = 3;

  /** Rubber under an overhang counts for so much rubber where a way to stand is chosen. */
  private static final double OVERHANG = 3;

  private static final double BETWEEN = 10;

  /** What a millilitre of air in a cast counts for, in millimetres of seam to dress. */
  private static final double SEAM_MM_PER_ML = 50;

  private final TriangleMesh mesh;
  private final MeshReport report;
  private final Choices choices;
  private final Recorded recorded;
  private final Materials materials;
  private final Product product;
  private final Workshop workshop;
  private final Parallel parallel;

  /** Null until it is asked for. */
  private PieceCover cover;

  /** Moulds the master stands in alike are cast in alike. */
  private final Map<Cavity, Cast> casts = new HashMap<>();

  /**
   * @param base whether it is cast in through the open base
   */
  private record Cavity(Rotation turn, boolean base) {}

  private record Cast(boolean exact, double cellMm, Vents.Proposal vents) {}

  /**
   * @param mesh in the model's axes, mm
   * @param report of it
   * @param recorded what happened so far
   * @param materials picked so far
   */
  public ApproachSearch(
      TriangleMesh mesh,
      MeshReport report,
      Choices choices,
      Recorded recorded,
      Materials materials,
      Workshop workshop,
      Parallel parallel) {
    this.mesh = mesh;
    this.report = report;
    this.choices = choices;
    this.recorded = recorded;
    this.materials = materials;
    this.product = materials.rubber();
    this.workshop = workshop;
    this.parallel = parallel;
  }

  /**
   * All there are: what works, then what cannot.
   *
   * @throws java.util.concurrent.CancellationException when the progress says that nobody waits
   */
  public List<Approach> run(Progress progress) {
    progress.at("Ways to stand", 0);
    List<Stand> stands = StandSearch.few(mesh, report.volumeMm3());
    List<Try> tries = new ArrayList<>();
    for (MouldKind kind : MouldKind.values()) {
      Optional<Rotation> best = best(kind, stands).map(Stand::turn);
      boolean chosen = kind == choices.mould().kind();
      if (chosen) {
        tries.add(new Try(kind, choices.pose().turn(), true));
      }
      best.filter(t -> !chosen || !sameUp(t)).ifPresent(t -> tries.add(new Try(kind, t, false)));
      if (best.isEmpty() && !chosen) {
        tries.add(new Try(kind, null, false));
      }
    }
    Approach[] found = new Approach[tries.size()];
    for (int i = 0; i < found.length; i++) {
      Try t = tries.get(i);
      progress.at("Making " + t.kind.text() + "s", 0.1 + 0.8 * i / found.length);
      found[i] = t.turn == null ? nowhereToStand(t.kind) : made(t);
    }
    List<Approach> all = new ArrayList<>(List.of(found));
    if (choices.hollow().wallMm() == null) {
      progress.at("Making a core", 0.9);
      best(MouldKind.OPEN, stands).ifPresent(s -> all.add(hollow(s.turn(), all)));
    }
    all.sort(Comparator.comparing(Approach::works).reversed());
    return List.copyOf(all);
  }

  /**
   * @param turn null when there is no way for it to stand
   * @param now whether it is what is chosen already
   * @param core whether a core is asked for on top
   */
  private record Try(MouldKind kind, Rotation turn, boolean now, boolean core) {

    Try(MouldKind kind, Rotation turn, boolean now) {
      this(kind, turn, now, false);
    }
  }

  /** Casts hollow and open where they stand; cut only where the rubber cannot be pulled off. */
  private Approach hollow(Rotation turn, List<Approach> others) {
    boolean pulled = others.stream().anyMatch(a -> a.kind() == MouldKind.OPEN && a.works());
    return made(new Try(pulled ? MouldKind.OPEN : MouldKind.CUT, turn, false, true));
  }

  private boolean sameUp(Rotation turn) {
    Vec3 up = turn.inverse().apply(Vec3.UP);
    return choices.pose().turn().apply(up).z() > Math.cos(Math.toRadians(2));
  }

  /** The way to stand that suits a kind best, by rubber and by what overhangs. */
  private Optional<Stand> best(MouldKind kind, List<Stand> stands) {
    ToDoubleFunction<Stand> score =
        switch (kind) {
          case OPEN -> s -> rubberMm3(s) + OVERHANG * s.lockedMm3();
          case SKIN -> s -> rubberMm3(s) + OVERHANG * s.lockedTwoMm3();
          case CUT -> this::rubberMm3;
          case TWO_PART -> s -> rubberMm3(s) + BETWEEN * s.lockedTwoMm3();
        };
    return stands.stream()
        .filter(s -> !kind.onPlate() || s.flat())
        .min(Comparator.comparingDouble(score));
  }

  private double rubberMm3(Stand s) {
    double wall = choices.mould().sidesMm();
    Vec3 size = s.sizeMm();
    return (size.x() + 2 * wall) * (size.y() + 2 * wall) * (size.z() + 2 * wall);
  }

  private Approach nowhereToStand(MouldKind kind) {
    return new Approach(
        kind,
        kind.text(),
        choices.pose().turn(),
        false,
        false,
        "The master has no flat face to stand on.",
        List.of(),
        new FigureBook(Approach.FIGURES, choices.units(), workshop.currency()).all(),
        new Worth(0, 0, 0, 0),
        List.of(),
        1);
  }

  private Approach made(Try t) {
    List<Edit> edits = t.now ? List.of() : edits(t);
    Choices chosen = ChoiceWords.edit(choices, edits, product);
    PosedMaster posed = PosedMaster.of(mesh, 1, chosen.pose(), chosen.laid());
    PartedMaster parted = new PartedMaster(posed);
    if (t.kind == MouldKind.TWO_PART && !t.now && levelLocks(parted)) {
      edits = new ArrayList<>(edits);
      edits.add(Edit.of("parting.line", PartingLine.SILHOUETTE.name()));
      chosen = ChoiceWords.edit(choices, edits, product);
    }
    MasterFacts facts = facts(chosen, posed, parted);
    Plan plan =
        Planner.plan(
            Brief.of(chosen, recorded, facts, materials, workshop), Planner.box(chosen, facts));
    return compared(t, edits, chosen, posed, Made.of(plan));
  }

  private List<Edit> edits(Try t) {
    Rotation r = t.turn;
    List<Edit> edits = new ArrayList<>();
    edits.add(Edit.of("pose.stand", r.w() + " " + r.x() + " " + r.y() + " " + r.z()));
    edits.add(Edit.of("mould.kind", t.kind.name()));
    double clear = choices.pose().liftMm() > 0 ? choices.pose().liftMm() : CLEAR_MM;
    edits.add(Edit.of("pose.liftMm", (t.kind.onPlate() || t.core ? 0 : clear) + " mm"));
    if (t.core) {
      edits.add(Edit.of("hollow.wallMm", CAST_WALL_MM + " mm"));
    }
    if (choices.mould().shape() == BoxShape.TUBE && !sameUp(t.turn)) {
      // a tube suits what stands upright in it
      edits.add(Edit.of("mould.shape", BoxShape.RECTANGLE.name()));
    }
    if (t.kind == MouldKind.TWO_PART) {
      double wall = Math.max(KeyLayout.ROOM_MM, choices.mould().sidesMm());
      edits.add(Edit.of("mould.sidesMm", wall + " mm"));
      edits.add(Edit.of("parting.line", PartingLine.LEVEL.name()));
    }
    return edits;
  }

  private boolean levelLocks(PartedMaster parted) {
    double best = parted.scan().leastLockedMm3();
    double curved = parted.scan().betweenMm3();
    return best > PartingScan.WORTH * report.volumeMm3() && curved < best / 2;
  }

  private MasterFacts facts(Choices chosen, PosedMaster posed, PartedMaster parted) {
    MasterFacts facts =
        MasterFacts.of(posed, parted, new CutPlanes(posed.mesh()), report, null, "");
    if (!chosen.mould().kind().poured()) {
      facts = facts.with(skin(chosen, posed));
    }
    Double wall = chosen.hollow().wallMm();
    if (wall == null) {
      return facts;
    }
    boolean open = facts.baseOpen(chosen.pose().liftMm());
    Optional<HollowCore> core =
        HollowCore.coarse(posed.mesh(), open, wall, parallel, Progress.NONE);
    return facts.with(new CoreFacts(core.orElse(null)));
  }

  private SkinFacts skin(Choices chosen, PosedMaster posed) {
    SkinField field = SkinField.of(posed.mesh(), SkinField.COARSE, parallel, Progress.NONE);
    double wall = chosen.skin().wallMm(posed.largestMm());
    return new SkinFacts(
        SkinStudy.of(posed, field, parallel),
        OutsideStudy.of(field, wall, parallel, Progress.NONE));
  }

  /** A plan, with its steps and all that it shows. */
  private record Made(Plan plan, Steps steps, FigureBook shown) {

    static Made of(Plan plan) {
      Steps steps = Steps.of(plan, Diary.PLAIN);
      FigureBook shown = plan.figures();
      steps.show(shown);
      return new Made(plan, steps, shown);
    }
  }

  private Approach compared(Try t, List<Edit> edits, Choices chosen, PosedMaster posed, Made made) {
    FigureBook book = new FigureBook(Approach.FIGURES, choices.units(), workshop.currency());
    int moulds = moulds(t.kind);
    sum(made, "rubber.box", "rubber", "rubber", moulds, book);
    sum(made, "rubber.boxMass", "mass", "its mass", moulds, book);
    sum(made, "cast.volume", "cast", moulds > 1 ? "casts take" : "a cast takes", moulds, book);
    taken(made, "core.stretch", "core", "to draw the core", book);
    taken(made, "fits.pot", "pot", "in the pressure pot", book);
    double money = money(made, moulds, book);
    sum(made, "job.hands", "work", "work by hand", moulds, book);
    double work = moulds * made.steps.handsMin() / 60;
    boolean round = made.plan.cut().filter(c -> c.extent() == Extent.ROUND).isPresent();
    int pieces = made.plan.parting().isPresent() || round ? 2 : 1;
    book.put(
        "pieces",
        "pieces",
        pieces,
        made.plan
            .skin()
            .map(skin -> "1, jacket " + skin.sections().count())
            .orElse(made.plan.cut().isPresent() ? pieces + ", cut" : String.valueOf(pieces)),
        Working.of("pieces the rubber comes off in, and those of its jacket").done());
    double seam = seam(made, book);
    double locked = locked(made, posed, book);
    double stretch = stretch(t.kind, posed, made, book);
    double air = air(t.kind, chosen, posed, made, book);
    casts(made, stretch, book);
    return new Approach(
        t.kind,
        named(t.kind, moulds) + (t.core ? " with a core, " : ", ") + way(chosen, posed),
        chosen.pose().turn(),
        t.now,
        t.core,
        reason(t, chosen, made, posed, locked, stretch),
        edits,
        book.all(),
        new Worth(money, 0, work, seam + SEAM_MM_PER_ML * air / 1000),
        StepNetwork.of(made.steps.making(), made.plan.workshop().roomC()),
        moulds);
  }

  /**
   * How many moulds hold the masters that one plate would hold: what is compared is for as many.
   */
  private int moulds(MouldKind kind) {
    return kind == MouldKind.OPEN ? 1 : choices.plate().copies();
  }

  private static String named(MouldKind kind, int moulds) {
    return moulds == 1 ? kind.text() : moulds + " " + kind.text() + "s, one master each";
  }

  /** What the plan says, less what stretching takes where the plan knows nothing of it. */
  private void casts(Made made, double stretch, FigureBook book) {
    FigureBook f = made.shown;
    boolean counted = f.has("skin.stretch") || f.has("core.stretch");
    double stands = Stretch.elongationPct(product == null ? null : product.elongationPct());
    double factor = counted ? 1 : MouldLife.stretchFactor(100 * stretch, stands);
    double casts = factor * f.get("life.casts").value();
    book.put(
        "casts",
        "casts to expect",
        casts,
        "about " + Numbers.fixed(5 * Math.round(casts / 5), 0),
        Working.of("what the mould gives × what stretching leaves of it")
            .given("the mould gives", f.get("life.casts").text(), COMPUTED)
            .given("stretch", Share.format(stretch), COMPUTED)
            .given("of the rubber's", Share.format(stands / 100), product == null ? DEFAULT : SHEET)
            .step("Depends on what is cast far more than on this; the log will know better.")
            .done());
  }

  private static void taken(Made made, String key, String as, String label, FigureBook book) {
    Figure f = made.shown.get(key);
    if (f != null) {
      book.put(as, label, f.value(), f.text(), f.working());
    }
  }

  /** What the plan says of one mould, for all of them. */
  private static void sum(
      Made made, String key, String as, String label, int moulds, FigureBook book) {
    Figure one = made.shown.get(key);
    if (moulds == 1 || one == null) {
      taken(made, key, as, label, book);
      return;
    }
    double all = moulds * one.value();
    Working w =
        Working.of("moulds × what one takes")
            .given("moulds", moulds + "", CHOSEN)
            .given("one", one.text(), COMPUTED)
            .done();
    switch (as) {
      case "mass" -> book.mass(as, label, all, w);
      case "work" -> book.put(as, label, all, Steps.hours(60 * all), w);
      default -> book.volume(as, label, all, w);
    }
  }

  private String way(Choices chosen, PosedMaster posed) {
    Vec3 up = chosen.pose().turn().inverse().apply(Vec3.UP);
    Vec3 now = choices.pose().turn().apply(up);
    return now.z() > Math.cos(Math.toRadians(2))
        ? "as it stands now"
        : StandOffers.way(now, posed.mesh().bounds().size());
  }

  /** For rubber and sheet; cm³ of rubber while it has no price. */
  private double money(Made made, int moulds, FigureBook book) {
    Figure rubber = made.shown.get("rubber.cost");
    boolean skin = made.plan.skin().isPresent();
    double sheet = made.plan.shellCost().orElseThrow();
    if (rubber == null) {
      return moulds * made.plan.rubberMm3() / 1000;
    }
    double all = moulds * (rubber.value() + sheet);
    Working.Builder w =
        Working.of(skin ? "rubber used + jacket" : "rubber used + sheet for the box")
            .given("rubber", rubber.text(), COMPUTED)
            .given(skin ? "jacket" : "sheet", book.money(sheet), COMPUTED);
    if (moulds > 1) {
      w.given("moulds", moulds + "", CHOSEN);
    }
    book.cost("money", skin ? "rubber and jacket" : "rubber and sheet", all, w.done());
    return all;
  }

  /** Seam on every cast, what is to stay clean counted ten times. */
  private double seam(Made made, FigureBook book) {
    Figure skin = made.shown.get("skin.cut");
    double mm =
        skin != null
            ? skin.value()
            : made.plan
                .parting()
                .map(p -> p.seamMm())
                .orElse(made.plan.cut().map(c -> c.seamMm()).orElse(0.0));
    double clean =
        made.plan
            .parting()
            .map(p -> p.seamOnCleanMm())
            .orElse(made.plan.cut().map(c -> c.seamOnCleanMm()).orElse(0.0));
    book.run("seam", "seam", mm, Working.of("length of the seam that shows on every cast").done());
    if (!choices.marks().on().isEmpty()) {
      book.run(
          "clean",
          "of it on what is to stay clean",
          clean,
          Working.of("how much of the seam runs over facets marked so").done());
    }
    return mm + 9 * clean;
  }

  /** Rubber in the master's way as the mould is opened. */
  private double locked(Made made, PosedMaster posed, FigureBook book) {
    double mm3 =
        made.plan
            .parting()
            .map(p -> p.lockedMm3())
            .orElse(made.plan.cut().map(c -> c.lockedMm3()).orElse(0.0));
    if (made.plan.parting().isPresent() || made.plan.cut().isPresent()) {
      book.volume(
          "locked",
          "locked as it opens",
          mm3,
          Working.of("rubber with master in its way, pulled straight off")
              .given("of the master", Share.format(mm3 / posed.curve().total()), COMPUTED)
              .done());
    }
    return mm3;
  }

  private double stretch(MouldKind kind, PosedMaster posed, Made made, FigureBook book) {
    if (!kind.onPlate() || made.plan.skin().filter(s -> s.off() == TakenOff.CUT).isPresent()) {
      return 0;
    }
    Stretch s =
        Stretch.pulledUp(posed.bodies(), posed.bounds(choices.marks().of(Mark.THREAD)), parallel);
    book.put(
        "stretch",
        "stretch to come off",
        s.share(),
        Share.format(s.share()),
        Working.of("cord round the widest part ÷ cord round the throat below it − 1")
            .given("widest at", Length.format(s.wideMm(), choices.units()), COMPUTED)
            .given("throat at", Length.format(s.throatMm(), choices.units()), COMPUTED)
            .done());
    return s.share();
  }

  /** What the rubber may be stretched by. */
  private double allowed() {
    Double elongation = product == null ? null : product.elongationPct();
    return Stretch.allowed(elongation);
  }

  /** Air in a cast, and the vents it takes to let it out. */
  private double air(
      MouldKind kind, Choices chosen, PosedMaster posed, Made made, FigureBook book) {
    if (kind == MouldKind.OPEN || kind == MouldKind.CUT) {
      Room rubber = rubber(chosen, posed, made.plan.mould());
      AirTraps.Ways top = new AirTraps.Ways(rubber, List.of(Opening.WHOLE_TOP));
      double poured = AirTraps.needed(rubber, top, Vec3.UP, 0).airMm3();
      book.put(
          "poured",
          "air in the rubber",
          poured,
          found(poured, rubber.exact()),
          air(rubber.exact(), rubber.grid().h()));
    }
    boolean base = kind.onPlate() && posed.restMm2() > 0;
    Cast cast = casts.computeIfAbsent(new Cavity(chosen.pose().turn(), base), c -> cast(posed, c));
    Vents.Proposal vents = cast.vents;
    double before = vents.before().totalMm3();
    book.put(
        "air", "air in a cast", before, found(before, cast.exact), air(cast.exact, cast.cellMm));
    int count = vents.at().size();
    book.put(
        "vents",
        "vents that let it out",
        count,
        count == 0 ? "none" : String.valueOf(count),
        Working.of("one at the top of the largest pocket, and again until none is worth one")
            .given(
                "left with them", Volume.format(vents.left().totalMm3(), choices.units()), COMPUTED)
            .done());
    // what vents let out leaves a stub each; what they do not, a hole
    return vents.left().totalMm3() + 0.1 * (before - vents.left().totalMm3());
  }

  private String found(double mm3, boolean exact) {
    String text = Volume.format(mm3, choices.units());
    return !(mm3 > 0) ? "none found" : exact ? text : "about " + text;
  }

  private Working air(boolean exact, double cellMm) {
    Working.Builder w =
        Working.of("air stays where every way to an opening first goes down below it");
    return exact
        ? w.given("heights", "of the model's own surface", COMPUTED).done()
        : w.given("cells", Length.format(cellMm, choices.units()), DEFAULT)
            .step("A rough look. Choose this mould, and its plan looks closely.")
            .done();
  }

  private Cast cast(PosedMaster posed, Cavity cavity) {
    TriangleMesh over = posed.mesh().moved(1, new Rotation(0, 1, 0, 0), Vec3.ZERO);
    double h = Math.cbrt(over.bounds().volume() / CELLS);
    Room room = Room.cavity(over, h, parallel, Progress.NONE);
    Opening inlet = cavity.base ? Opening.WHOLE_TOP : Opening.at(over.furthest(Vec3.UP));
    return new Cast(room.exact(), h, Vents.propose(room, List.of(inlet), Vec3.UP, MOST_VENTS));
  }

  private Room rubber(Choices chosen, PosedMaster posed, BoxMould box) {
    TriangleMesh standing =
        posed.mesh().moved(1, Rotation.NONE, new Vec3(0, 0, chosen.pose().liftMm()));
    double h = Math.cbrt(box.block().volume() / CELLS);
    return Room.round(standing, box.block(), h, parallel, Progress.NONE);
  }

  /** Why a kind cannot work; empty when it can. */
  private String reason(
      Try t, Choices chosen, Made made, PosedMaster posed, double locked, double stretch) {
    MouldKind kind = t.kind;
    if (t.core && made.plan.core().isEmpty()) {
      return "With a wall of "
          + Length.format(chosen.hollow().wallMm(), choices.units())
          + " nothing is left for a core that reaches the base.";
    }
    if (kind.onPlate() && posed.restMm2() == 0) {
      return "Standing so the master has no flat face on the plate.";
    }
    if (kind == MouldKind.SKIN) {
      return "";
    }
    if (kind.onPlate() && report.genus() > 0) {
      int holes = report.genus();
      return (holes == 1 ? "A web" : holes + " webs")
          + " of rubber would run through the master: it cannot be pulled out uncut.";
    }
    if (kind.onPlate() && stretch > allowed()) {
      return "To come off it would stretch by "
          + Share.format(stretch)
          + "; "
          + (product == null ? "a usual rubber" : product.name())
          + " allows "
          + Share.format(allowed())
          + ".";
    }
    if (kind == MouldKind.TWO_PART && locked > LOCKED * posed.curve().total()) {
      return Volume.format(locked, choices.units())
          + " of rubber, "
          + Share.format(locked / posed.curve().total())
          + " of the master, locks in two halves however they part."
          + morePieces();
    }
    return "";
  }

  /** How many pieces would free it, to follow why two do not. */
  private String morePieces() {
    if (cover == null) {
      cover = PieceCover.of(mesh, parallel);
    }
    return cover.pieces() <= 2
        ? " Pulled the right way two stiff pieces see "
            + Share.format(cover.freedByAll())
            + " of its surface all the same."
        : " " + cover.says();
  }
}
