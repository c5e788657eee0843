package ungula.server.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.days.Network;
import ungula.core.geometry.Vec3;
import ungula.core.jacket.OutsideStudy;
import ungula.core.job.JobPlan;
import ungula.core.mark.MarkedPlaces;
import ungula.core.master.PosedMaster;
import ungula.core.mould.BoxMould;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Planner;
import ungula.core.plan.ShapeFacts;
import ungula.core.record.Recorded;
import ungula.core.skin.SkinStudy;
import ungula.core.step.JobDays;
import ungula.core.study.CastStudy;
import ungula.core.workshop.Workshop;
import ungula.server.job.Studies.Question;
import ungula.server.product.Products;
import ungula.server.record.Records;
import ungula.server.web.Json;
import ungula.server.workshop.Habits;

/** What follows from jobs as they are kept, made once for all that asks for the same. */
@Component
class JobPlans {

  private static final Logger LOG = LoggerFactory.getLogger(JobPlans.class);

  /** Plans of so many small jobs are kept in memory, or of fewer with large models. */
  private static final int PLANS_KEPT = 400;

  private static final int TRIANGLES_A_WEIGHT = 10_000;

  /** All that a plan follows from. */
  private record PlanKey(
      Choices choices,
      Recorded recorded,
      Materials materials,
      Workshop workshop,
      Answers known,
      Diary diary) {}

  /** Which questions about a shape are answered: each has one answer. */
  private record Answers(
      boolean shape, boolean core, boolean round, boolean room, boolean outside, boolean asked) {

    static Answers of(Optional<ShapeAsked> asked) {
      Optional<SkinAsked> skin = asked.flatMap(ShapeAsked::ofSkin);
      return new Answers(
          asked.filter(ShapeAsked::answered).isPresent(),
          asked.flatMap(ShapeAsked::core).isPresent(),
          asked.flatMap(ShapeAsked::round).flatMap(Asked::answer).isPresent(),
          skin.flatMap(SkinAsked::room).isPresent(),
          skin.flatMap(SkinAsked::outside).isPresent(),
          asked.isPresent());
    }
  }

  private record Planned(JobPlan plan, MasterFacts facts) {

    /** Meshes weigh most. */
    int weight() {
      int triangles = facts == null || facts.report() == null ? 0 : facts.report().triangles();
      return 1 + triangles / TRIANGLES_A_WEIGHT;
    }
  }

  private final Cache<PlanKey, Planned> plans =
      Caffeine.newBuilder()
          .maximumWeight(PLANS_KEPT)
          .weigher((PlanKey key, Planned made) -> made.weight())
          .build();

  private final JobMapper mapper;
  private final Products products;
  private final Habits workshop;
  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;
  private final Cores cores;
  private final Skins skins;
  private final Records records;
  private final Summaries summaries;
  private final Json json;

  JobPlans(
      JobMapper mapper,
      Products products,
      Habits workshop,
      Shapes shapes,
      JobQuestions questions,
      Studies studies,
      Cores cores,
      Skins skins,
      Records records,
      Summaries summaries,
      Json json) {
    this.mapper = mapper;
    this.products = products;
    this.workshop = workshop;
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
    this.cores = cores;
    this.skins = skins;
    this.records = records;
    this.summaries = summaries;
    this.json = json;
  }

  /** What follows from a job as it is kept, after the jobs before it on the bench. */
  Job of(JobMapper.Row row) {
    return of(row, choices(row));
  }

  /** What would follow from other choices. */
  Job of(JobMapper.Row row, Choices choices) {
    return of(row, choices, records.of(row.id(), choices));
  }

  Job of(JobMapper.Row row, Diary diary) {
    Choices choices = choices(row);
    return of(row, choices, records.of(row.id(), choices), diary);
  }

  Job of(JobMapper.Row row, Choices choices, Recorded recorded) {
    return of(row, choices, recorded, diary(benchDays(row.id()), row.id()));
  }

  Job of(JobMapper.Row row, Choices choices, Recorded recorded, Diary diary) {
    Materials materials = materials(choices);
    MasterFacts facts = shapes.facts(choices);
    Optional<BoxMould> box = Planner.box(choices, facts);
    Optional<ShapeAsked> shape = asked(choices, facts, box);
    MasterFacts shaped =
        shape
            .filter(ShapeAsked::answered)
            .map(s -> facts.with(shapeFacts(choices, s)))
            .orElse(facts);
    MasterFacts cored =
        shape.flatMap(ShapeAsked::cored).map(core -> shaped.with(core)).orElse(shaped);
    MasterFacts known =
        shape
            .flatMap(ShapeAsked::ofSkin)
            .flatMap(SkinAsked::facts)
            .map(skin -> cored.with(skin))
            .orElse(cored);
    PlanKey key =
        new PlanKey(choices, recorded, materials, workshop.current(), Answers.of(shape), diary);
    Planned made =
        plans.get(
            key,
            k ->
                new Planned(
                    JobPlan.of(choices, recorded, known, materials, k.workshop, box, k.diary),
                    known));
    return new Job(row, choices, recorded, made.plan, made.facts, materials, shape);
  }

  Materials materials(Choices c) {
    return new Materials(
        products.find(c.rubber().product()).map(p -> p.with(c.rubber().catalyst())).orElse(null),
        products.find(c.skin().buildProduct()).orElse(null),
        products.find(c.cast().product()).orElse(null));
  }

  private ShapeFacts shapeFacts(Choices choices, ShapeAsked asked) {
    PosedMaster posed = shapes.posed(choices).orElseThrow();
    Vec3 lift = new Vec3(0, 0, choices.pose().liftMm());
    return new ShapeFacts(
        asked.study().orElseThrow(),
        asked.form().answer().orElseThrow().posed(p -> posed.place(p).plus(lift), posed::direction),
        new MarkedPlaces(posed.mesh(), choices.marks(), lift));
  }

  private Optional<ShapeAsked> asked(Choices choices, MasterFacts facts, Optional<BoxMould> round) {
    if (shapes.posed(choices).isEmpty()) {
      return Optional.empty();
    }
    boolean open = facts.baseOpen(choices.pose().liftMm());
    return round.map(
        box -> {
          Optional<Question<Cores.Kept>> ofCore =
              Optional.ofNullable(choices.hollow().wallMm())
                  .map(wall -> questions.core(choices, open));
          Asked<CastStudy> cast = asked(questions.cast(choices, facts, box));
          return new ShapeAsked(
              asked(questions.rubber(choices, facts, box)),
              cast,
              asked(questions.release(choices)),
              asked(questions.form(choices)),
              ofCore,
              ofCore.flatMap(cores::known),
              ofCore.map(q -> asked(questions.round(choices, facts, box, cast.of(), q, cores))),
              choices.mould().kind().poured()
                  ? Optional.empty()
                  : Optional.of(skinAsked(choices, facts)));
        });
  }

  private <A> Asked<A> asked(Question<A> question) {
    return new Asked<>(question, studies.known(question));
  }

  private SkinAsked skinAsked(Choices choices, MasterFacts facts) {
    Question<SkinStudy> unplugged = questions.skin(choices);
    JobQuestions.Room room = progress -> skins.room(unplugged, progress);
    Question<SkinStudy> ofRoom =
        choices.skin().plugs().isEmpty() ? unplugged : questions.plugged(choices, room);
    double wall = choices.skin().wallMm(facts.oneMm());
    Question<OutsideStudy> ofOutside = questions.outside(choices, wall, room);
    return new SkinAsked(ofRoom, studies.known(ofRoom), ofOutside, studies.known(ofOutside));
  }

  Choices choices(JobMapper.Row row) {
    return json.read(row.choices(), Choices.class);
  }

  long morning() {
    return workshop.current().hours().nextMorning(workshop.now());
  }

  /** When each job is worked at whose beginning is said, by its id, in the order they are done. */
  Map<String, JobDays> benchDays() {
    return benchDays(null);
  }

  /**
   * @param before the job before which it ends; null for all of them
   */
  private Map<String, JobDays> benchDays(String before) {
    long morning = morning();
    Map<String, JobDays> all = new LinkedHashMap<>();
    List<Network.Busy> taken = new ArrayList<>();
    List<JobMapper.Row> rows = mapper.onBench();
    if (rows.isEmpty() || rows.get(0).id().equals(before)) {
      return all;
    }
    Summaries.DaysGround ground = summaries.daysGround();
    for (JobMapper.Row row : rows) {
      if (row.id().equals(before)) {
        break;
      }
      Diary diary = new Diary(morning, List.copyOf(taken));
      try {
        JobDays days = summaries.days(row, ground, diary, () -> of(row, diary).plan());
        all.put(row.id(), days);
        taken.addAll(days.taken());
      } catch (RuntimeException e) {
        LOG.error("The job " + row.name() + " cannot be planned", e);
      }
    }
    return all;
  }

  /**
   * What there is to do beside a job: others whose beginning is said, and that come before.
   *
   * @param bench all such jobs, or those before it
   * @param job null for none of them
   */
  Diary diary(Map<String, JobDays> bench, String job) {
    List<Network.Busy> taken = new ArrayList<>();
    for (Map.Entry<String, JobDays> e : bench.entrySet()) {
      if (e.getKey().equals(job)) {
        break;
      }
      taken.addAll(e.getValue().taken());
    }
    return new Diary(morning(), List.copyOf(taken));
  }
}
