package ungula.server.job;

import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;
import ungula.core.castlabel.PlacedLabel;
import ungula.core.caution.Caution;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.MasterSource;
import ungula.core.contact.Contact;
import ungula.core.cutline.CutPlanes;
import ungula.core.days.Moments;
import ungula.core.exercise.Exercise;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.JacketScan;
import ungula.core.job.Assumed;
import ungula.core.mark.FacetSet;
import ungula.core.mark.Mark;
import ungula.core.master.VolumeWays;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.BoxMould;
import ungula.core.mould.Dipstick;
import ungula.core.mould.MouldKind;
import ungula.core.plan.Brief;
import ungula.core.plan.SkinPart;
import ungula.core.plan.Touching;
import ungula.core.quantity.Area;
import ungula.core.quantity.FileUnit;
import ungula.core.quantity.Length;
import ungula.core.quantity.Numbers;
import ungula.core.quantity.Units;
import ungula.core.quantity.Volume;
import ungula.core.rubber.Mix;
import ungula.core.rubber.Product;
import ungula.core.rubber.Ratio;
import ungula.core.sentence.Kind;
import ungula.core.sentence.Word;
import ungula.core.skin.Coat;
import ungula.core.skin.Recoat;
import ungula.core.skin.SkinClock;
import ungula.core.skin.Thickener;
import ungula.core.step.CoatClock;
import ungula.core.step.Step;
import ungula.core.study.MeshReport;
import ungula.server.job.JobResponse.AssumedView;
import ungula.server.job.JobResponse.BrushingView;
import ungula.server.job.JobResponse.CoatClockView;
import ungula.server.job.JobResponse.CoatView;
import ungula.server.job.JobResponse.DipstickView;
import ungula.server.job.JobResponse.MarkView;
import ungula.server.job.JobResponse.ModelView;
import ungula.server.job.JobResponse.SkinView;
import ungula.server.job.JobResponse.StepView;
import ungula.server.job.JobResponse.Tick;
import ungula.server.job.JobResponse.WayView;
import ungula.server.model.Models;
import ungula.server.product.Products;
import ungula.server.workshop.Habits;

/** Puts a planned job into the words and numbers of the page. */
@Component
class JobViews {

  private final Jobs jobs;
  private final Shapes shapes;
  private final Drawings drawings;
  private final Models models;
  private final Products products;
  private final Habits workshop;

  JobViews(
      Jobs jobs,
      Shapes shapes,
      Drawings drawings,
      Models models,
      Products products,
      Habits workshop) {
    this.jobs = jobs;
    this.shapes = shapes;
    this.drawings = drawings;
    this.models = models;
    this.products = products;
    this.workshop = workshop;
  }

  JobResponse view(Job job) {
    Choices c = job.choices();
    var row = job.row();
    boolean hasShape = shapes.posed(c).isPresent();
    return new JobResponse(
        row.id(),
        row.name(),
        row.version(),
        row.demo(),
        row.archived(),
        row.exercise() == null ? null : Exercise.valueOf(row.exercise()),
        jobs.undo(job),
        jobs.redo(job),
        words(job),
        job.plan().figures(),
        job.plan().cautions(),
        jobs.stages(job),
        job.plan().undecided().stream()
            .map(u -> new JobResponse.UndecidedView(u.word(), u.stage().key(), u.text()))
            .toList(),
        job.plan().assumed().stream().map(JobViews::assumed).toList(),
        job.plan().mouldStop().map(Caution::title).orElse(""),
        model(c),
        hasShape,
        Jobs.shapeKey(c),
        c.pose().liftMm(),
        c.master().solid().kind().measures().stream().map(m -> "master.solid." + m).toList(),
        new JobResponse.BoxKind(
            c.mould().shape().sided(),
            c.mould().shape().ofPipe(),
            c.mould().kind() == MouldKind.OPEN,
            c.mould().kind().poured(),
            job.plan()
                .plan()
                .shape()
                .filter(s -> !s.study().rubber().empties().cups().isEmpty())
                .isPresent()),
        job.plan().plan().ways().stream().map(w -> way(w, c.units())).toList(),
        drawings.solidParts(job),
        Arrays.stream(Mark.values()).map(m -> mark(m, c)).toList(),
        Choices.fingerprint(c.marks()),
        job.plan().plan().inBox().map(box -> dipstick(job, box)).orElse(null),
        job.plan()
            .plan()
            .cut()
            .map(k -> new JobResponse.CutView(k.degrees(), CutPlanes.STEP_DEGREES))
            .orElse(null),
        job.plan().plan().placedLabel().map(l -> castLabel(job, l)).orElse(null),
        job.plan().plan().skin().map(skin -> skin(job, skin)).orElse(null),
        job.plan().steps().making().stream().map(s -> step(job, s)).toList(),
        job.plan().steps().casting().stream().map(s -> step(job, s)).toList(),
        ratioSentence(job),
        job.plan().plan().second().orElse(null),
        job.plan().plan().batches(),
        products.rubbers(),
        products.sealants(),
        thickeners(job),
        products.casts(),
        catalysts(job.product()),
        job.plan().touching().stream().map(JobViews::touch).toList(),
        packs(job.product(), c.units()),
        jobs.parts(job).stream()
            .map(p -> new JobResponse.PlanPartView(p.subject().text(), p.state(), p.why()))
            .toList());
  }

  private static JobResponse.CastLabelView castLabel(Job job, PlacedLabel l) {
    Brief b = job.plan().plan().brief();
    return new JobResponse.CastLabelView(
        l.where(job.plan().plan().mould().inside(), b::mm),
        l.label().lines(),
        l.label().widthMm(),
        l.label().heightMm(),
        l.label().path());
  }

  private static StepView step(Job job, Step s) {
    return new StepView(
        s.key(),
        s.part(),
        s.what(),
        s.why(),
        s.kind(),
        s.time().orElse(null),
        job.plan().steps().waits(s),
        job.plan().cautions().stream().map(Caution::id).filter(s.cautions()::contains).toList());
  }

  /** What was decided, and what happened. */
  private static Map<String, Word.State> words(Job job) {
    Map<String, Word.State> words = new LinkedHashMap<>(ChoiceWords.states(job.choices()));
    words.putAll(job.recorded().states(job.choices().units()));
    return words;
  }

  private SkinView skin(Job job, SkinPart skin) {
    Units units = job.choices().units();
    Product build = job.materials().build();
    return new SkinView(
        skin.coats().stream()
            .map(
                c ->
                    new CoatView(
                        "coat." + c.number(),
                        c.number(),
                        c.kind().text(),
                        Length.format(c.mm(), units),
                        c.thickener().text(),
                        build == null || job.product() == null
                            ? ""
                            : c.kind() == Coat.Kind.BUILD ? build.name() : job.product().name(),
                        c.cloth(),
                        c.number() == skin.coats().size()
                            ? ""
                            : job.choices().skin().after(c.number()).name()))
            .toList(),
        clock(job),
        Arrays.stream(Recoat.values()).map(r -> new Kind.Option(r.name(), r.text())).toList(),
        skin.off().text(),
        skin.cutDegrees(),
        skin.sections() == null ? List.of() : skin.sections().partings(),
        job.choices().jacket().divided(),
        JacketScan.STEP_DEGREES,
        job.plan().figures().keySet().stream().filter(k -> k.startsWith("jacket.need.")).toList());
  }

  /** Null while the rubber's times are not known. */
  private static CoatClockView clock(Job job) {
    return CoatClock.of(job.plan().steps()).map(CoatClock::clock).map(JobViews::clock).orElse(null);
  }

  private static CoatClockView clock(SkinClock clock) {
    LocalDate first = clock.at(clock.coats().get(0).from()).toLocalDate();
    ToDoubleFunction<Long> minutes =
        time -> {
          ZonedDateTime at = clock.at(time);
          long days = ChronoUnit.DAYS.between(first, at.toLocalDate());
          return days * 24 * 60 + at.toLocalTime().toSecondOfDay() / 60.0;
        };
    long last =
        clock.coats().stream().mapToLong(b -> Math.max(b.to(), b.closes())).max().getAsLong();
    long days = ChronoUnit.DAYS.between(first, clock.at(last).toLocalDate());
    return new CoatClockView(
        clock.coats().stream().map(b -> brushing(clock, b, minutes)).toList(),
        LongStream.rangeClosed(0, days).mapToObj(d -> Moments.weekday(first.plusDays(d))).toList());
  }

  private static BrushingView brushing(
      SkinClock clock, SkinClock.Brushing b, ToDoubleFunction<Long> minutes) {
    return new BrushingView(
        b.number(),
        minutes.applyAsDouble(b.from()),
        minutes.applyAsDouble(b.to()),
        minutes.applyAsDouble(b.opens()),
        minutes.applyAsDouble(b.closes()),
        clock.window(b),
        b.next() == null ? "" : "Missed? Then " + b.missed() + ".");
  }

  static Double density(Job job) {
    return job.plan().plan().firstMix().map(Mix::density).orElse(null);
  }

  /** What is chosen stands for what it is to the product there is. */
  private static List<Kind.Option> thickeners(Job job) {
    Product build = job.plan().plan().brief().build();
    boolean sealant = build != null && build.role() == Product.Role.SEALANT;
    Thickener chosen = job.choices().skin().thickener();
    return Thickener.offered(sealant).stream()
        .map(t -> new Kind.Option((chosen.of(sealant) == t ? chosen : t).name(), t.text()))
        .toList();
  }

  private static String ratioSentence(Job job) {
    Ratio ratio = job.plan().plan().brief().ratio();
    return ratio == null ? "" : job.product().sentence(ratio);
  }

  private static JobResponse.TouchView touch(Touching t) {
    Contact c = t.contact();
    return new JobResponse.TouchView(
        t.what(),
        t.surface(),
        c.verdict().text(),
        c.verdict(),
        (c.reason() + " " + c.remedy()).strip());
  }

  private static List<Kind.Option> catalysts(Product product) {
    return product == null
        ? List.of()
        : product.catalysts().stream().map(c -> new Kind.Option(c.name(), c.name())).toList();
  }

  private List<String> packs(Product product, Units units) {
    if (product == null) {
      return List.of();
    }
    String currency = workshop.current().currency();
    return product.packs().stream()
        .map(p -> p.text(units) + " at " + currency + "\u202f" + Numbers.fixed(p.price(), 2))
        .toList();
  }

  private static AssumedView assumed(Assumed a) {
    String stage = a.stage() == null ? "" : a.stage().key();
    return new AssumedView(a.word(), stage, a.text(), a.confirm());
  }

  private ModelView model(Choices c) {
    if (c.master().source() != MasterSource.FILE || c.master().model() == null) {
      return null;
    }
    Models.Stored stored = models.find(c.master().model()).orElseThrow();
    MeshReport r = stored.report().scaled(shapes.unitMm(c));
    Double guessed = Shapes.guessedUnitMm(c, stored);
    return new ModelView(
        shapes.fileName(c),
        stored.format(),
        size(stored.bytes()),
        guessed == null ? null : FileUnit.name(guessed),
        lines(r, c.units()),
        r.defects());
  }

  private static String size(long bytes) {
    return bytes < 100_000
        ? Numbers.fixed(bytes / 1000.0, 1) + " kB"
        : Numbers.fixed(bytes / 1e6, 1) + " MB";
  }

  private static List<String> lines(MeshReport r, Units units) {
    List<String> lines = new ArrayList<>();
    Vec3 s = r.bounds().size();
    lines.add(
        Numbers.fixed(r.triangles(), 0)
            + " triangles over "
            + Numbers.fixed(r.vertices(), 0)
            + " corners, "
            + (r.parts() == 1 ? "one piece" : r.parts() + " pieces")
            + (r.genus() == 0
                ? ""
                : r.genus() == 1 ? ", one through-hole" : ", " + r.genus() + " through-holes"));
    lines.add(
        "As drawn "
            + Length.format3(s.x(), s.y(), s.z(), units)
            + "; surface "
            + Area.format(r.areaMm2(), units));
    lines.add(
        "Wrapped tight it would hold "
            + Volume.format(r.hullVolumeMm3(), units)
            + "; it fills "
            + Numbers.fixed(100 * r.volumeMm3() / Math.max(r.hullVolumeMm3(), 1e-9), 0)
            + " % of that");
    return lines;
  }

  private static WayView way(VolumeWays.Result r, Units units) {
    return new WayView(
        r.way().name(),
        r.way().text(),
        "master.volume." + r.way().name().toLowerCase(Locale.ROOT),
        r.errorMm3() == 0 ? "exact" : "± " + Volume.format(r.errorMm3(), units),
        r.advice());
  }

  private MarkView mark(Mark mark, Choices c) {
    FacetSet facets = c.marks().of(mark);
    if (facets.isEmpty()) {
      return new MarkView(mark, mark.text(), mark.meaning(), "");
    }
    TriangleMesh mesh = shapes.posed(c).orElseThrow().mesh();
    double mm2 = facets.facets().stream().mapToDouble(t -> mesh.areaVector(t).norm()).sum();
    return new MarkView(mark, mark.text(), mark.meaning(), Area.format(mm2, c.units()));
  }

  private static DipstickView dipstick(Job job, BoxMould box) {
    Units units = job.choices().units();
    Double density = density(job);
    double share = job.plan().plan().firstMouldShare();
    double tick = Dipstick.tickMm(box, units);
    List<Tick> ticks = new ArrayList<>();
    for (int i = 0; i * tick <= box.wallHeightMm() + 1e-9; i++) {
      ticks.add(new Tick(i * tick, Dipstick.tickText(i * tick, units)));
    }
    return new DipstickView(
        box.wallHeightMm(),
        box.pourLineMm(),
        box.belowMm() + box.masterMm().z(),
        ticks,
        Dipstick.at(box, box.pourLineMm(), share, density, units),
        job.plan()
            .plan()
            .parting()
            .map(p -> Dipstick.at(box, p.levelMm(), share, density, units))
            .orElse(null));
  }
}
