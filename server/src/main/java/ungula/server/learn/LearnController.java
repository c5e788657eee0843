package ungula.server.learn;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.learn.FromRun;
import ungula.core.learn.Learned;
import ungula.core.learn.Lesson;
import ungula.core.plan.Plan;
import ungula.core.quantity.Day;
import ungula.core.quantity.Mass;
import ungula.core.quantity.Units;
import ungula.core.quantity.UnreadableQuantity;
import ungula.core.table.Csv;
import ungula.core.workshop.Workshop;
import ungula.server.job.Jobs;
import ungula.server.learn.LearnMapper.Deed;
import ungula.server.record.Records;
import ungula.server.run.RunLogs;
import ungula.server.run.RunLogs.By;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** What a workshop's own jobs teach: offered, and gone by only once somebody takes it. */
@RestController
@RequestMapping("/api/learned")
class LearnController {

  private static final int MOST_WHO = 20;

  /** A scale is judged by its last looks: it was adjusted since earlier ones, or may have been. */
  private static final int MOST_CHECKS = 12;

  /** More is another weight. */
  private static final double MOST_OFF = 0.2;

  private final Jobs jobs;
  private final RunLogs runs;
  private final Records records;
  private final LearnMapper mapper;
  private final Habits workshop;
  private final TransactionTemplate whole;
  private final Clock clock;

  LearnController(
      Jobs jobs,
      RunLogs runs,
      Records records,
      LearnMapper mapper,
      Habits workshop,
      TransactionTemplate whole,
      Clock clock) {
    this.jobs = jobs;
    this.runs = runs;
    this.records = records;
    this.mapper = mapper;
    this.workshop = workshop;
    this.whole = whole;
    this.clock = clock;
  }

  /** How an offer stands. */
  enum Standing {
    TOO_FEW,
    /** It is what the workshop goes by, or nearly. */
    SAME,
    OFFERED,
    REFUSED,
    TAKEN,
    /** There is nothing to go by: what it comes to is told. */
    TOLD
  }

  /**
   * What one job says, or one look at a scale.
   *
   * @param job null for a look at a scale
   * @param said in words
   * @param outOfLine whether it is far off the others
   */
  record LessonJob(
      @Nullable String job, String name, double value, String said, boolean outOfLine) {}

  /**
   * @param lesson its key
   * @param text what is learned
   * @param methods what is said of each way they were made in, where there are several
   * @param needs jobs it takes before anything is offered
   * @param middle of all jobs; null while there are too few
   * @param spread one standard deviation of what strays normally; null likewise
   * @param middleSaid in words; empty while there are too few
   * @param now the workshop goes by, in words
   * @param nowValue the same
   * @param offer in words; empty while there are too few
   * @param offerValue the same; null likewise
   * @param told what it comes to where nothing can be offered; empty otherwise
   */
  record LessonView(
      String lesson,
      String text,
      List<LessonJob> jobs,
      List<LessonMethod> methods,
      int needs,
      @Nullable Double middle,
      @Nullable Double spread,
      String middleSaid,
      String now,
      double nowValue,
      String offer,
      @Nullable Double offerValue,
      String told,
      Standing standing) {}

  /**
   * What jobs made in one way say by themselves.
   *
   * @param name the shape of their boxes, or whoever made them
   * @param middleSaid in words; empty while they are too few
   */
  record LessonMethod(String name, int jobs, String middleSaid) {}

  /**
   * @param method it was made in; empty where that does not matter
   */
  private record Own(String job, String name, double value, String method) {}

  /** What there is to learn from, read once for all lessons. */
  private final class Sources {

    private final Map<String, List<By>> runsOf = new LinkedHashMap<>();
    private final List<Own> skins;
    private final List<Own> checks;

    Sources() {
      for (String id : jobs.ids()) {
        try {
          List<By> its = runs.newest(id);
          if (!its.isEmpty()) {
            runsOf.put(id, its);
          }
        } catch (Problem unreadable) {
          // a run that cannot be read teaches nothing
        }
      }
      skins = records.weighed().stream().flatMap(id -> skin(id).stream()).toList();
      checks = mapper.checks(MOST_CHECKS).stream().map(this::check).toList();
    }

    private Own check(LearnMapper.Check c) {
      String day = Day.format(c.at().atZoneSameInstant(clock.getZone()).toLocalDate());
      return new Own(null, day, 100 * (c.shownG() / c.weightG() - 1), "");
    }

    /** How much more the first of several skins weighed than was planned, %. */
    private Optional<Own> skin(String id) {
      try {
        Plan plan = jobs.find(id).plan().plan();
        return plan.coated()
            .filter(c -> c.brief().firstMouldG() != null)
            .map(c -> new Own(id, jobs.name(id), 100 * (c.share() - 1), ""));
      } catch (Problem unreadable) {
        return Optional.empty();
      }
    }

    List<Own> of(Lesson lesson) {
      if (lesson == Lesson.Share.COATS) {
        return skins;
      }
      if (lesson == Lesson.Share.SCALE) {
        return checks;
      }
      List<Own> all = new ArrayList<>();
      runsOf.forEach(
          (id, its) -> {
            for (By run : its) {
              Optional<Double> v = FromRun.of(lesson, run.bench());
              if (v.isPresent()) {
                all.add(new Own(id, jobs.name(id), v.get(), method(lesson, id, run)));
                return;
              }
            }
          });
      return all;
    }
  }

  private static Optional<Learned> learned(Lesson lesson, List<Own> own) {
    return Learned.of(own.stream().map(Own::value).toList(), lesson.readingError());
  }

  @GetMapping
  List<LessonView> lessons() {
    Sources sources = new Sources();
    Workshop w = workshop.current();
    List<LessonView> all = new ArrayList<>();
    for (Lesson l : Lesson.all()) {
      List<Own> own = sources.of(l);
      // of work by hand only what was done at the bench
      if (!own.isEmpty() || !(l instanceof Lesson.Pace)) {
        all.add(view(l, own, w));
      }
    }
    return all;
  }

  private LessonView view(Lesson lesson, List<Own> own, Workshop w) {
    Units units = w.units();
    Optional<Learned> l = learned(lesson, own);
    List<LessonJob> all = new ArrayList<>();
    for (int i = 0; i < own.size(); i++) {
      Own o = own.get(i);
      int at = i;
      boolean out = l.filter(x -> x.outOfLine().contains(at)).isPresent();
      all.add(new LessonJob(o.job, o.name, o.value, lesson.said(o.value, units), out));
    }
    Double offered = l.map(x -> lesson.offered(x, w)).orElse(null);
    return new LessonView(
        lesson.key(),
        lesson.text(),
        all,
        methods(lesson, own, units),
        Learned.LEAST_JOBS,
        l.map(Learned::median).orElse(null),
        l.map(Learned::deviation).orElse(null),
        l.map(x -> lesson.said(x.median(), units)).orElse(""),
        lesson.said(lesson.now(w), units),
        lesson.now(w),
        offered == null ? "" : lesson.said(offered, units),
        offered,
        l.map(lesson::told).orElse(""),
        standing(lesson, l, w));
  }

  /** How a job was made, as far as it matters to what is learned. */
  private String method(Lesson lesson, String id, By run) {
    if (lesson == Lesson.Share.ALLOWANCE) {
      return jobs.choices(id).mould().shape().text();
    }
    return lesson instanceof Lesson.Pace ? run.person() : "";
  }

  private static List<LessonMethod> methods(Lesson lesson, List<Own> own, Units units) {
    Map<String, List<Own>> by =
        own.stream()
            .filter(o -> !o.method.isEmpty())
            .collect(Collectors.groupingBy(Own::method, TreeMap::new, Collectors.toList()));
    if (by.size() < 2) {
      return List.of();
    }
    return by.entrySet().stream()
        .map(
            e ->
                new LessonMethod(
                    e.getKey(),
                    e.getValue().size(),
                    learned(lesson, e.getValue())
                        .map(l -> lesson.said(l.median(), units))
                        .orElse("")))
        .toList();
  }

  private Standing standing(Lesson lesson, Optional<Learned> l, Workshop w) {
    if (l.isEmpty()) {
      return Standing.TOO_FEW;
    }
    if (lesson.word().isEmpty()) {
      return Standing.TOLD;
    }
    Optional<LearnMapper.Row> last = mapper.of(lesson.key()).stream().findFirst();
    boolean same = !lesson.differs(l.get(), w);
    if (last.isPresent() && last.get().deed() == Deed.TAKEN && w.learned(lesson.word())) {
      return same ? Standing.TAKEN : Standing.OFFERED;
    }
    boolean refused =
        last.isPresent()
            && last.get().deed() != Deed.TAKEN
            && last.get().jobs() == l.get().jobs()
            && Math.abs(last.get().offered() - lesson.offered(l.get(), w)) < 1e-9;
    return same ? Standing.SAME : refused ? Standing.REFUSED : Standing.OFFERED;
  }

  /**
   * @param who says so
   */
  record Answered(@Nullable String who, Deed deed) {}

  /** Takes what is offered, refuses it, or forgets what was taken. */
  @PostMapping("/{lesson}")
  List<LessonView> answerLesson(@PathVariable String lesson, @RequestBody Answered body) {
    Lesson its =
        Lesson.of(lesson)
            .filter(l -> !l.word().isEmpty())
            .orElseThrow(() -> Problem.gone("This lesson"));
    whole.executeWithoutResult(status -> answer(its, body));
    return lessons();
  }

  /**
   * @param who looked
   * @param weight that is known, as typed
   * @param shown by the scale, as typed
   */
  record ScaleLook(@Nullable String who, String weight, String shown) {}

  /** A known weight was put on the scale. */
  @PostMapping("/scale-checks")
  List<LessonView> checkScale(@RequestBody ScaleLook body) {
    Units units = workshop.current().units();
    double weight;
    double shown;
    try {
      weight = Mass.parseG(body.weight(), units);
      shown = Mass.parseG(body.shown(), units);
    } catch (UnreadableQuantity refused) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "That is no weight", refused.getMessage());
    }
    if (!(weight > 0) || Math.abs(shown / weight - 1) > MOST_OFF) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "That is another weight",
          "A scale is not off by a fifth: look at the weight, and at its unit.");
    }
    mapper.check(new LearnMapper.Check(now(), who(body.who()), weight, shown));
    return lessons();
  }

  private OffsetDateTime now() {
    return OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  private static String who(@Nullable String said) {
    String who = said == null ? "" : said.strip();
    return who.substring(0, Math.min(MOST_WHO, who.length()));
  }

  private void answer(Lesson lesson, Answered body) {
    Workshop w = workshop.current();
    Learned l =
        learned(lesson, new Sources().of(lesson))
            .orElseThrow(
                () ->
                    new Problem(
                        HttpStatus.CONFLICT,
                        "Too few jobs",
                        "Nothing is learned before " + Learned.LEAST_JOBS + " jobs say it."));
    double offered = lesson.offered(l, w);
    double before = lesson.now(w);
    if (body.deed() == Deed.TAKEN) {
      workshop.change(now -> now.taught(lesson.word(), lesson.typed(offered)));
    } else if (body.deed() == Deed.FORGOTTEN) {
      double back =
          mapper.of(lesson.key()).stream()
              .filter(r -> r.deed() == Deed.TAKEN)
              .findFirst()
              .map(LearnMapper.Row::before)
              .orElseThrow(() -> Problem.gone("What was taken"));
      workshop.change(now -> now.taught(lesson.word(), lesson.typed(back)).untaught(lesson.word()));
    }
    mapper.add(
        new LearnMapper.Row(
            lesson.key(), now(), who(body.who()), body.deed(), offered, before, l.jobs()));
  }

  /** All that jobs say, as a table. RFC 4180, UTF-8. */
  @GetMapping(value = "/table.csv", produces = "text/csv;charset=UTF-8")
  ResponseEntity<String> lessonsCsv() {
    List<Map<String, String>> rows = new ArrayList<>();
    for (LessonView v : lessons()) {
      for (LessonJob j : v.jobs) {
        Map<String, String> row = new LinkedHashMap<>();
        row.put("what", v.text);
        row.put("job", j.name);
        row.put("value", j.said);
        row.put("out of line", j.outOfLine ? "yes" : "");
        row.put("middle of all", v.middleSaid);
        row.put("offered", v.offer);
        row.put("gone by", v.now);
        rows.add(row);
      }
    }
    return Named.attachment("Learned.csv").body(Csv.write(rows));
  }
}
