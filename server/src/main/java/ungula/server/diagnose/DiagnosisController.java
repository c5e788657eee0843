package ungula.server.diagnose;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import ungula.core.caution.Caution;
import ungula.core.days.Moments;
import ungula.core.diagnose.AtPlace;
import ungula.core.diagnose.CaseRecord;
import ungula.core.diagnose.Cause;
import ungula.core.diagnose.Diagnosis;
import ungula.core.diagnose.Diagnosis.Before;
import ungula.core.diagnose.Diagnosis.Ranked;
import ungula.core.diagnose.Facts;
import ungula.core.diagnose.Question;
import ungula.core.diagnose.Seen;
import ungula.core.geometry.Vec3;
import ungula.core.mesh.SurfacePoint;
import ungula.core.quantity.Numbers;
import ungula.core.run.Bench;
import ungula.core.sentence.Word;
import ungula.core.workshop.Workshop;
import ungula.server.cast.CastSpots;
import ungula.server.cast.CastsMade;
import ungula.server.job.Facets;
import ungula.server.job.Job;
import ungula.server.job.Jobs;
import ungula.server.mould.Moulds;
import ungula.server.run.RunLogs;
import ungula.server.stock.Stocks;
import ungula.server.web.Json;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Why something went wrong in a job, by its own record first; and what came of it. */
@RestController
@RequestMapping("/api/jobs/{id}/diagnosis")
class DiagnosisController {

  private static final int MOST_WHO = 20;

  private final Jobs jobs;
  private final RunLogs runs;
  private final CastsMade casts;
  private final CastSpots spots;
  private final Facets facets;
  private final Moulds moulds;
  private final Stocks stocks;
  private final CaseMapper mapper;
  private final Habits workshop;
  private final Json json;
  private final Clock clock;

  DiagnosisController(
      Jobs jobs,
      RunLogs runs,
      CastsMade casts,
      CastSpots spots,
      Facets facets,
      Moulds moulds,
      Stocks stocks,
      CaseMapper mapper,
      Habits workshop,
      Json json,
      Clock clock) {
    this.jobs = jobs;
    this.runs = runs;
    this.casts = casts;
    this.spots = spots;
    this.facets = facets;
    this.moulds = moulds;
    this.stocks = stocks;
    this.mapper = mapper;
    this.workshop = workshop;
    this.json = json;
    this.clock = clock;
  }

  /**
   * What is looked into.
   *
   * @param cast it is seen on; 0 for none
   * @param answers what is not on record, by fact
   */
  record FaultAsked(Seen seen, int cast, Map<String, String> answers) {}

  /**
   * @param text what can be seen, a noun
   */
  record FaultSeen(Seen seen, String text) {}

  /**
   * @param fact on record
   * @param text what it is, and what is known of it
   */
  record FactKnown(String fact, String text) {}

  /**
   * @param score what it begins with and all that is known, added up
   * @param begins with so much
   * @param stage where it is changed; empty for nowhere
   * @param fix that changes it at once; null where none does
   * @param habit of the workshop that plans go by, and that may be wrong here; null for none
   */
  record CauseRanked(
      Cause cause,
      String text,
      String score,
      String begins,
      double points,
      List<String> forIt,
      List<String> against,
      String now,
      String next,
      String stage,
      Caution.@Nullable Fix fix,
      @Nullable HabitWord habit) {}

  /**
   * @param word of the workshop
   * @param text what it is
   * @param now as it stands
   */
  record HabitWord(String word, String text, String now) {}

  /**
   * A case that was kept.
   *
   * @param wasIt whether it was that; null while nobody said
   */
  record FaultCase(
      String id,
      String at,
      String who,
      String seen,
      int cast,
      String cause,
      @Nullable Boolean wasIt) {}

  /**
   * @param seen all that can be seen
   * @param cases kept so far, the newest first
   */
  record FaultsResponse(List<FaultSeen> seen, List<FaultCase> cases) {}

  /**
   * Where it is seen on the master as it is drawn, mm.
   *
   * @param told what the shape makes of it, in sentences
   */
  record FaultPlace(double x, double y, double z, List<String> told) {}

  /**
   * @param known on record, as far as it says something here
   * @param place it is seen at; null where nobody showed it
   * @param causes the likeliest first
   * @param questions what would help to know, four at most
   */
  record DiagnosisResponse(
      List<FactKnown> known,
      @Nullable FaultPlace place,
      List<CauseRanked> causes,
      List<Question> questions) {}

  @GetMapping
  FaultsResponse faults(@PathVariable String id) {
    jobs.find(id);
    return new FaultsResponse(
        Arrays.stream(Seen.values()).map(s -> new FaultSeen(s, s.text())).toList(),
        mapper.of(id).stream().map(this::view).toList());
  }

  private FaultCase view(CaseMapper.Row c) {
    return new FaultCase(
        c.id(),
        Moments.text(
            c.at().atZoneSameInstant(workshop.current().hours().clock()).toLocalDateTime()),
        c.who(),
        c.seen().text(),
        c.castNumber(),
        c.cause().text(),
        c.wasIt());
  }

  /** What is behind it, as far as can be told. */
  @PostMapping
  DiagnosisResponse diagnose(@PathVariable String id, @RequestBody FaultAsked asked) {
    Job job = jobs.find(id);
    CastSpots.Of shown = spots.of(job);
    Map<String, Object> record = record(job, asked, shown);
    Diagnosis d =
        Diagnosis.of(
            asked.seen(), new Facts(record, new LinkedHashMap<>(asked.answers())), past(asked));
    return new DiagnosisResponse(
        Diagnosis.facts(asked.seen()).stream()
            .filter(record::containsKey)
            .map(f -> new FactKnown(f, CaseRecord.text(f, record, job.choices().units())))
            .toList(),
        place(job, asked, shown),
        d.causes().stream().map(r -> ranked(job, r, vent(job, asked, shown))).toList(),
        d.questions());
  }

  private static @Nullable SurfacePoint vent(Job job, FaultAsked asked, CastSpots.Of shown) {
    Vec3 at = lifted(job, shown.of(asked.cast()));
    return at == null
        ? null
        : AtPlace.vent(job.plan().plan(), at, shown.on(asked.cast()).orElseThrow());
  }

  private @Nullable FaultPlace place(Job job, FaultAsked asked, CastSpots.Of shown) {
    Vec3 at = shown.of(asked.cast());
    if (at == null) {
      return null;
    }
    AtPlace.Facet facet =
        shown.on(asked.cast()).flatMap(p -> facets.of(job, p.facet())).orElse(null);
    return new FaultPlace(
        at.x(), at.y(), at.z(), AtPlace.told(job.plan().plan(), lifted(job, at), facet));
  }

  /** As the shape is studied: where the master stands in its box. */
  private static @Nullable Vec3 lifted(Job job, @Nullable Vec3 setDown) {
    Vec3 lift = new Vec3(0, 0, job.choices().pose().liftMm());
    return setDown == null ? null : setDown.plus(lift);
  }

  private Map<String, Object> record(Job job, FaultAsked asked, CastSpots.Of shown) {
    String id = job.row().id();
    Optional<CastsMade.Whence> whence = casts.whence(id, asked.cast());
    Optional<Bench> mould = whence.flatMap(w -> moulds.run(id, w.mould())).flatMap(runs::bench);
    return CaseRecord.of(
        asked.seen(),
        job.plan(),
        mould.or(() -> runs.newestMould(id)),
        whence.flatMap(w -> runs.bench(w.run())),
        stocks.byHand(id),
        whence.isEmpty() ? null : lifted(job, shown.of(asked.cast())));
  }

  private Map<Cause, Before> past(FaultAsked asked) {
    Map<Cause, Before> before = new EnumMap<>(Cause.class);
    for (CaseMapper.Past p : mapper.past(asked.seen())) {
      Before b = before.getOrDefault(p.cause(), new Before(0, 0));
      before.put(
          p.cause(),
          p.wasIt()
              ? new Before(b.right() + p.many(), b.wrong())
              : new Before(b.right(), b.wrong() + p.many()));
    }
    return before;
  }

  private CauseRanked ranked(Job job, Ranked r, @Nullable SurfacePoint vent) {
    Workshop w = job.plan().plan().workshop();
    Word.State habit = w.states().get(r.cause().habit());
    return new CauseRanked(
        r.cause(),
        r.cause().text(),
        Numbers.trimmed(r.score(), 1),
        Numbers.trimmed(r.begins(), 1),
        r.score(),
        r.forIt(),
        r.against(),
        r.cause().now(),
        r.cause().next(),
        r.cause().stage(),
        r.cause().fix(job.choices(), vent, w.equipment().chamber() != null).orElse(null),
        habit == null ? null : new HabitWord(r.cause().habit(), habit.label(), habit.text()));
  }

  /**
   * What was found to be the cause.
   *
   * @param id of the deed: delivered twice it is kept once
   */
  record NewCase(
      String id,
      @Nullable String who,
      Seen seen,
      int cast,
      Map<String, String> answers,
      Cause cause) {}

  /** Keeps a case, with the cause that is taken for it. */
  @PostMapping("/cases")
  FaultsResponse addCase(@PathVariable String id, @RequestBody NewCase body) {
    jobs.find(id);
    String key =
        UUID.nameUUIDFromBytes((id + body.id()).getBytes(StandardCharsets.UTF_8)).toString();
    if (mapper.find(key) == null) {
      mapper.add(
          new CaseMapper.Row(
              key,
              id,
              now(),
              who(body.who()),
              body.seen(),
              body.cast(),
              json.write(body.answers()),
              body.cause(),
              null));
    }
    return faults(id);
  }

  private OffsetDateTime now() {
    return OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
  }

  private static String who(String said) {
    String clean = said == null ? "" : said.strip();
    return clean.substring(0, Math.min(MOST_WHO, clean.length()));
  }

  /**
   * @param wasIt whether what was done about it helped
   */
  record CaseOutcome(@Nullable String who, boolean wasIt) {}

  /** Says whether it was that: the order of causes in this workshop follows. */
  @PostMapping("/cases/{number}/outcome")
  FaultsResponse endCase(
      @PathVariable String id, @PathVariable String number, @RequestBody CaseOutcome body) {
    CaseMapper.Row row = mapper.find(number);
    if (row == null || !row.jobId().equals(id)) {
      throw Problem.gone("This case");
    }
    mapper.cameOut(number, now(), who(body.who()), body.wasIt());
    return faults(id);
  }
}
