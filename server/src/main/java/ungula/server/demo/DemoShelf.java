package ungula.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ungula.core.cast.Made;
import ungula.core.contact.Releases;
import ungula.core.contact.RubberAge;
import ungula.core.days.Moments;
import ungula.core.demo.HarbourShapes;
import ungula.core.mesh.TriangleMesh;
import ungula.core.mould.SheetStock;
import ungula.core.pour.Pace;
import ungula.core.quantity.Day;
import ungula.core.quantity.Units;
import ungula.core.quantity.Vacuum;
import ungula.core.record.Recorded;
import ungula.core.run.Entry;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.stock.Lot;
import ungula.core.workshop.Board;
import ungula.core.workshop.Mixing;
import ungula.core.workshop.OwnBox;
import ungula.core.workshop.WorkHours;
import ungula.core.workshop.Workshop;
import ungula.server.cast.CastsMade;
import ungula.server.job.JobLists;
import ungula.server.job.Jobs;
import ungula.server.model.Models;
import ungula.server.mould.Moulds;
import ungula.server.product.Products;
import ungula.server.stock.Stocks;
import ungula.server.workshop.Habits;

/**
 * The harbour museum's shelf: nine made-up jobs in different states, put up once on new data so
 * that the first visit has something to look at. Removed with one click.
 */
@Component
@ConditionalOnProperty("ungula.demo")
class DemoShelf {

  private static final String CHESS = "Bollard chess pieces";

  /** Casts of them so far. */
  private static final int HALF = 12;

  /** After the next morning of work. */
  private static final Map<String, Duration> BEGUN =
      Map.of(
          "Nautilus touch model",
          Duration.ZERO,
          "Wave-relief wall tile",
          Duration.ofMinutes(90),
          "Barnacled mooring post",
          Duration.ofDays(1));

  /**
   * A mould from before.
   *
   * @param gave casts
   * @param gives in all
   * @param retired why; empty while it is used
   */
  private record Before(int monthsAgo, int gave, int gives, String place, String retired) {}

  private static final Map<String, List<Before>> MADE =
      Map.of(
          "Ship's bell",
          List.of(new Before(26, 57, 60, "rack 2, top", "")),
          "Lantern finial",
          List.of(
              new Before(31, 44, 48, "box by the window", "It is torn."),
              new Before(14, 9, 48, "rack 1", "")),
          "Harbour seal pup",
          List.of(new Before(5, 21, 55, "rack 2", "")));

  private final Jobs jobs;
  private final JobLists lists;
  private final MadeUp madeUp;
  private final Habits workshop;
  private final Products products;
  private final Stocks stocks;
  private final TransactionTemplate once;

  private final CastsMade casts;
  private final Moulds moulds;
  private final Clock clock;

  DemoShelf(
      Jobs jobs,
      JobLists lists,
      MadeUp madeUp,
      Habits workshop,
      Products products,
      Stocks stocks,
      CastsMade casts,
      Moulds moulds,
      TransactionTemplate once,
      Clock clock) {
    this.clock = clock;
    this.casts = casts;
    this.moulds = moulds;
    this.jobs = jobs;
    this.lists = lists;
    this.madeUp = madeUp;
    this.workshop = workshop;
    this.products = products;
    this.stocks = stocks;
    this.once = once;
  }

  @EventListener(ApplicationReadyEvent.class)
  void putUpOnce() {
    if (workshop.demoOffered()) {
      return;
    }
    List<Shown> entries = entries();
    // shapes take seconds to make and to look over: side by side
    List<Models.Stored> kept =
        entries.parallelStream().map(e -> madeUp.keep(e.shape, e.fileName)).toList();
    // whole or not at all: stopped in between, it is put up at the next start
    once.executeWithoutResult(status -> putUp(entries, kept));
  }

  private void putUp(List<Shown> entries, List<Models.Stored> kept) {
    workshop.begin(
        new Workshop(
            "Harbour museum workshop",
            "€",
            Units.METRIC,
            2500,
            5,
            0.0,
            2,
            10_000,
            19,
            Workshop.Paper.A4,
            new Workshop.Equipment(
                240.0, 280.0, 250.0, 300.0, 600.0, 400.0, 20_000, 10_000, 600.0, 600.0, 1000.0,
                null),
            Map.of(
                SheetStock.FOAM_BOARD_6, new Board(1000.0, 700.0, 6),
                SheetStock.FOAM_BOARD_10, new Board(1000.0, 700.0, 2),
                SheetStock.STYRENE_2, new Board(650.0, 500.0, 4),
                SheetStock.ACRYLIC_3, new Board(600.0, 400.0, 3),
                SheetStock.PLY_12, new Board(1200.0, 600.0, 1),
                SheetStock.MELAMINE_16, new Board(2400.0, 600.0, 1)),
            List.of(new OwnBox(false, 240, 160, 120), new OwnBox(true, 160, 160, 300)),
            new Mixing(
                new Mixing.VesselSize(84.0, 108.0, 140.0),
                new Mixing.VesselSize(130.0, 165.0, 200.0),
                new Mixing.VesselSize(235.0, 275.0, 290.0),
                new Mixing.ScaleSize(500.0, 0.1),
                new Mixing.ScaleSize(15_000.0, 1.0),
                Pace.USUAL,
                Vacuum.parse("-0.95 bar")),
            new Workshop.Air(60, 5),
            new Workshop.Costs(24, 6),
            Releases.RUBBER_ONLY,
            Map.of(),
            RubberAge.USUAL,
            Map.of(),
            WorkHours.USUAL,
            null,
            Set.of(),
            false,
            false));
    SortedMap<Duration, String> begun = new TreeMap<>();
    for (int i = 0; i < entries.size(); i++) {
      String id = add(entries.get(i), kept.get(i));
      if (entries.get(i).name.equals(CHESS)) {
        castHalf(id);
      }
      MADE.getOrDefault(entries.get(i).name, List.of()).forEach(m -> made(id, m));
      Duration after = BEGUN.get(entries.get(i).name);
      if (after != null) {
        begun.put(after, id);
      }
    }
    lists.order(List.copyOf(begun.values()));
    stock("marram-20", 5500, 62, 31, 3180, 322);
    stock("samphire-15", 2000, 80, 74, 610, 690);
    stock("dulse-30", 5250, 150, null, 5000, 250);
    stock("oyster-75", 3800, 40, 12, 1240, 1116);
    workshop.markDemoOffered();
  }

  /** A mould that was made before. */
  private void made(String job, Before m) {
    String code = moulds.add(job, "");
    moulds.say(
        code,
        "MB",
        List.of(
            edit("made", Day.format(LocalDate.now(clock).minusMonths(m.monthsAgo))),
            edit("gaveBefore", m.gave + " casts"),
            edit("expects", m.gives + " casts"),
            edit("place", m.place)));
    if (!m.retired.isEmpty()) {
      moulds.retire(code, "MB", m.retired);
    }
  }

  /** Half of a run: four pours of three pieces, one of which was not filled. */
  private void castHalf(String job) {
    WorkHours hours = workshop.current().hours();
    LocalDate day = LocalDate.now(clock).minusDays(1);
    while (hours.calendar().of(day).isEmpty()) {
      day = day.minusDays(1);
    }
    Instant morning = day.atTime(9, 0).atZone(hours.clock()).toInstant();
    for (int i = 1; i <= HALF; i++) {
      boolean scrap = i == HALF - 1;
      Instant at = morning.plus(Duration.ofMinutes(50L * ((i - 1) / 3)));
      casts.came(
          job,
          "demo",
          i,
          "MB",
          new Entry.Came(
              at,
              "",
              1,
              scrap ? Made.Result.SCRAP : Made.Result.GOOD,
              null,
              scrap ? "It was not filled." : ""));
    }
  }

  private static List<Shown> entries() {
    List<Shown> entries = new ArrayList<>();
    entries.add(
        entry(
            "Barnacled mooring post",
            HarbourShapes::mooringPost,
            "mooring-post.stl",
            edit("master.material", "WOOD"),
            edit("master.preparation", "SEALED"),
            edit("mould.kind", "SKIN"),
            edit("mould.sidesMm", "20 mm"),
            edit("mould.overTopMm", "20 mm"),
            edit("mould.sheet", "MELAMINE_16"),
            edit("rubber.product", "marram-20")));
    entries.add(
        entry(
            "Harbour seal pup",
            HarbourShapes::sealPup,
            "seal-pup.stl",
            edit("master.material", "PRINT_RESIN"),
            edit("master.preparation", "CURED"),
            edit("rubber.product", "samphire-15"),
            edit("cast.product", "plover-clear")));
    entries.add(
        entry(
            "Ship's bell",
            HarbourShapes::bell,
            "bell.stl",
            edit("master.material", "CAST_RESIN"),
            edit("mould.sidesMm", "15 mm"),
            edit("mould.overTopMm", "-6 mm")));
    entries.add(
        entry(
            "Rope-knot paperweight",
            HarbourShapes::ropeKnot,
            "rope-knot.stl",
            edit("master.material", "PRINT_RESIN"),
            edit("master.preparation", "CURED"),
            edit("mould.kind", "CUT"),
            edit("pose.liftMm", "10 mm"),
            edit("rubber.product", "dulse-30")));
    entries.add(
        entry(
            CHESS,
            HarbourShapes::chessSet,
            "bollards.stl",
            edit("master.material", "PRINT_RESIN"),
            edit("master.preparation", "CURED"),
            edit("mould.kind", "OPEN"),
            edit("mould.sidesMm", "12 mm"),
            edit("rubber.product", "marram-20"),
            edit("master.patch", "CURED"),
            edit("cast.product", "oyster-75"),
            edit("cast.wanted", "24")));
    entries.add(
        entry(
            "Wave-relief wall tile",
            HarbourShapes::waveTile,
            "wave-tile.stl",
            edit("master.material", "PLASTER"),
            edit("master.preparation", "SEALED"),
            edit("mould.kind", "OPEN"),
            edit("mould.sidesMm", "15 mm"),
            edit("mould.overTopMm", "12 mm"),
            edit("mould.sheet", "MELAMINE_16"),
            edit("rubber.product", "dulse-30"),
            edit("cast.product", "sanderling"),
            edit("cast.wanted", "180")));
    entries.add(
        entry(
            "Lantern finial",
            HarbourShapes::finial,
            "finial.stl",
            edit("master.material", "WOOD"),
            edit("master.preparation", "SEALED"),
            edit("mould.sheet", "STYRENE_2"),
            edit("rubber.product", "samphire-15"),
            edit("mould.fixing", "SCREWS")));
    entries.add(
        entry(
            "Octopus on a rock",
            HarbourShapes::octopus,
            "octopus.stl",
            edit("master.material", "PRINT_RESIN"),
            edit("master.preparation", "CURED"),
            edit("mould.sheet", "ACRYLIC_3"),
            edit("rubber.product", "samphire-15"),
            edit("master.patch", "CURED")));
    entries.add(
        entry(
            "Nautilus touch model",
            HarbourShapes::nautilus,
            "nautilus.stl",
            edit("master.material", "CAST_RESIN"),
            edit("mould.kind", "CUT"),
            edit("pose.liftMm", "15 mm"),
            edit("mould.overTopMm", "15 mm"),
            edit("mould.sheet", "ACRYLIC_3"),
            edit("rubber.product", "marram-20"),
            edit("master.patch", "CURED"),
            edit("cast.product", "oyster-75"),
            edit("cast.wanted", "20")));
    return entries;
  }

  /**
   * A pack, received and opened so many days ago.
   *
   * @param openedDays null while it is closed
   */
  private void stock(
      String product, double massG, int days, Integer openedDays, double baseG, double hardenerG) {
    LocalDate today = LocalDate.now(clock);
    Lot full = Lot.full(products.find(product).orElseThrow(), massG, today.minusDays(days));
    stocks.add(
        product,
        new Lot(
            String.format("%04.0f-%d", massG, days),
            full.baseG(),
            full.hardenerG(),
            baseG,
            hardenerG,
            full.received(),
            openedDays == null ? null : today.minusDays(openedDays),
            null));
  }

  private record Shown(
      String name,
      Function<HarbourShapes, TriangleMesh> shape,
      String fileName,
      List<Edit> edits) {}

  private static Edit edit(String word, String text) {
    return Edit.of(word, text);
  }

  private static Shown entry(
      String name, Function<HarbourShapes, TriangleMesh> shape, String fileName, Edit... edits) {
    return new Shown(name, shape, fileName, List.of(edits));
  }

  /** Some are begun: from the next morning of work, or so long after it. */
  private Optional<Edit> begin(String name) {
    Duration after = BEGUN.get(name);
    if (after == null) {
      return Optional.empty();
    }
    WorkHours hours = workshop.current().hours();
    Instant morning = Instant.ofEpochSecond(hours.nextMorning(workshop.now()));
    LocalDateTime at = LocalDateTime.ofInstant(morning.plus(after), hours.clock());
    return Optional.of(edit("days.begin", new Moments.Moment(at, "").kept()));
  }

  private String add(Shown entry, Models.Stored model) {
    List<Edit> decided =
        new ArrayList<>(entry.edits.stream().filter(e -> !Recorded.has(e.word())).toList());
    begin(entry.name).ifPresent(decided::add);
    String id = jobs.add(entry.name, true, madeUp.choices(model, decided));
    jobs.edit(id, entry.edits.stream().filter(e -> Recorded.has(e.word())).toList());
    jobs.look(id, "mould");
    jobs.look(id, "rubber");
    return id;
  }
}
