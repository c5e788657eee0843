package ungula.server.learn;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import ungula.core.quantity.Units;
import ungula.core.run.Bench;
import ungula.core.table.Csv;
import ungula.core.workshop.Workshop;
import ungula.server.job.Jobs;
import ungula.server.learn.LearnMapper.Deed;
import ungula.server.run.RunLogs;
import ungula.server.web.Named;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** What a workshop's own jobs teach: offered, and gone by only once somebody takes it. */
@RestController
@RequestMapping("/api/learned")
class LearnController {

  private static final int MOST_WHO = 20;

  private final Jobs jobs;
  private final RunLogs runs;
  private final LearnMapper mapper;
  private final Habits workshop;
  private final TransactionTemplate whole;
  private final Clock clock;

  LearnController(
      Jobs jobs,
      RunLogs runs,
      LearnMapper mapper,
      Habits workshop,
      TransactionTemplate whole,
      Clock clock) {
    this.jobs = jobs;
    this.runs = runs;
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
    TAKEN
  }

  /**
   * What one job says.
   *
   * @param said in words
   * @param outOfLine whether it is far off the others
   */
  record LessonJob(String job, String name, double value, String said, boolean outOfLine) {}

  /**
   * @param text what is learned
   * @param needs jobs it takes before anything is offered
   * @param middle of all jobs; null while there are too few
   * @param spread one standard deviation of what strays normally; null likewise
   * @param middleSaid in words; empty while there are too few
   * @param now the workshop goes by, in words
   * @param nowValue the same
   * @param offer in words; empty while there are too few
   * @param offerValue the same; null likewise
   */
  record LessonView(
      Lesson lesson,
      String text,
      List<LessonJob> jobs,
      int needs,
      @Nullable Double middle,
      @Nullable Double spread,
      String middleSaid,
      String now,
      double nowValue,
      String offer,
      @Nullable Double offerValue,
      Standing standing) {}

  private record Own(String job, String name, double value) {}

  /** The newest mould of each job. */
  private Map<String, Bench> newest() {
    Map<String, Bench> all = new LinkedHashMap<>();
    for (String id : jobs.ids()) {
      try {
        runs.newestMould(id).ifPresent(b -> all.put(id, b));
      } catch (Problem unreadable) {
        // a run that cannot be read teaches nothing
      }
    }
    return all;
  }

  /** What each job says. */
  private List<Own> own(Lesson lesson, Map<String, Bench> newest) {
    List<Own> all = new ArrayList<>();
    newest.forEach(
        (id, run) ->
            FromRun.of(lesson, run).ifPresent(v -> all.add(new Own(id, jobs.name(id), v))));
    return all;
  }

  private static Optional<Learned> learned(Lesson lesson, List<Own> own) {
    return Learned.of(own.stream().map(Own::value).toList(), lesson.readingError());
  }

  @GetMapping
  List<LessonView> lessons() {
    Map<String, Bench> newest = newest();
    return Arrays.stream(Lesson.values()).map(l -> view(l, newest)).toList();
  }

  private LessonView view(Lesson lesson, Map<String, Bench> newest) {
    Workshop w = workshop.current();
    Units units = w.units();
    List<Own> own = own(lesson, newest);
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
        lesson,
        lesson.text(),
        all,
        Learned.LEAST_JOBS,
        l.map(Learned::median).orElse(null),
        l.map(Learned::deviation).orElse(null),
        l.map(x -> lesson.said(x.median(), units)).orElse(""),
        lesson.said(lesson.now(w), units),
        lesson.now(w),
        offered == null ? "" : lesson.said(offered, units),
        offered,
        standing(lesson, l, w));
  }

  private Standing standing(Lesson lesson, Optional<Learned> l, Workshop w) {
    if (l.isEmpty()) {
      return Standing.TOO_FEW;
    }
    Optional<LearnMapper.Row> last = mapper.of(lesson).stream().findFirst();
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
  List<LessonView> answerLesson(@PathVariable Lesson lesson, @RequestBody Answered body) {
    whole.executeWithoutResult(status -> answer(lesson, body));
    return lessons();
  }

  private void answer(Lesson lesson, Answered body) {
    Workshop w = workshop.current();
    Learned l =
        learned(lesson, own(lesson, newest()))
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
          mapper.of(lesson).stream()
              .filter(r -> r.deed() == Deed.TAKEN)
              .findFirst()
              .map(LearnMapper.Row::before)
              .orElseThrow(() -> Problem.gone("What was taken"));
      workshop.change(now -> now.taught(lesson.word(), lesson.typed(back)).untaught(lesson.word()));
    }
    String who = body.who() == null ? "" : body.who().strip();
    mapper.add(
        new LearnMapper.Row(
            lesson,
            OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC),
            who.substring(0, Math.min(MOST_WHO, who.length())),
            body.deed(),
            offered,
            before,
            l.jobs()));
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
