package ungula.server.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.castlabel.LabelPlace;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.choice.Materials;
import ungula.core.days.Diary;
import ungula.core.days.Network;
import ungula.core.exercise.Exercise;
import ungula.core.geometry.Vec3;
import ungula.core.hollow.HollowCore;
import ungula.core.jacket.OutsideStudy;
import ungula.core.job.JobPlan;
import ungula.core.job.Stage;
import ungula.core.library.Code;
import ungula.core.mark.MarkedPlaces;
import ungula.core.master.PosedMaster;
import ungula.core.mould.BoxMould;
import ungula.core.plan.CoreFacts;
import ungula.core.plan.CorePart;
import ungula.core.plan.GrainBox;
import ungula.core.plan.MasterFacts;
import ungula.core.plan.Plan;
import ungula.core.plan.PlanPart;
import ungula.core.plan.Planner;
import ungula.core.plan.ShapeFacts;
import ungula.core.plan.SkinFacts;
import ungula.core.record.Recorded;
import ungula.core.rubber.Parts;
import ungula.core.rubber.Product;
import ungula.core.sentence.WordBook.Edit;
import ungula.core.skin.SkinStudy;
import ungula.core.step.JobDays;
import ungula.core.study.FormStudy;
import ungula.core.study.ShapeStudy;
import ungula.core.workshop.Workshop;
import ungula.server.job.JobResponse.Change;
import ungula.server.job.Studies.Question;
import ungula.server.model.Models;
import ungula.server.product.Products;
import ungula.server.record.Records;
import ungula.server.task.Tasks;
import ungula.server.web.Json;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Jobs as kept: every change is a step of the job's history, and a change is saved or refused. */
@Component
public class Jobs {

  private static final SecureRandom RANDOM = new SecureRandom();

  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

  /** Plans of so many small jobs are kept in memory, or of fewer with large models. */
  private static final int PLANS_KEPT = 400;

  private static final int TRIANGLES_A_WEIGHT = 10_000;

  private final Cache<PlanKey, Planned> plans =
      Caffeine.newBuilder()
          .maximumWeight(PLANS_KEPT)
          .weigher((PlanKey key, Planned made) -> made.weight())
          .build();

  private final JobMapper mapper;
  private final JobHistory history;
  private final Products products;
  private final Habits workshop;
  private final Models models;
  private final Shapes shapes;
  private final JobQuestions questions;
  private final Studies studies;
  private final Cores cores;
  private final Skins skins;
  private final Records records;
  private final Summaries summaries;
  private final Json json;

  Jobs(
      JobMapper mapper,
      JobHistory history,
      Products products,
      Habits workshop,
      Models models,
      Shapes shapes,
      JobQuestions questions,
      Studies studies,
      Cores cores,
      Skins skins,
      Records records,
      Summaries summaries,
      Json json) {
    this.mapper = mapper;
    this.history = history;
    this.products = products;
    this.workshop = workshop;
    this.models = models;
    this.shapes = shapes;
    this.questions = questions;
    this.studies = studies;
    this.cores = cores;
    this.skins = skins;
    this.records = records;
    this.summaries = summaries;
    this.json = json;
  }

  /**
   * What a job takes of a product.
   *
   * @param product by id
   * @param grade of catalyst picked; empty for the sheet's own
   */
  public record Needed(String product, String grade, Parts parts) {

    private Needed plus(Needed other) {
      return new Needed(product, grade, parts.plus(other.parts));
    }
  }

  /**
   * A job with its present choices and what follows from them.
   *
   * @param recorded what happened in it, as far as that holds for its choices
   * @param facts what is known of its master; null while its size is not
   * @param shape what there is to ask of its shape; empty while it has none, or no box
   */
  public record Job(
      JobMapper.Row row,
      Choices choices,
      Recorded recorded,
      JobPlan plan,
      MasterFacts facts,
      Materials materials,
      Optional<ShapeAsked> shape) {

    /** What it takes of each product. */
    public List<Needed> needs() {
      Map<String, Needed> needs = new LinkedHashMap<>();
      for (Plan.Need need : plan.plan().needs()) {
        String id =
            need.product().equals(materials.rubber())
                ? choices.rubber().product()
                : need.product().equals(materials.build())
                    ? choices.skin().buildProduct()
                    : choices.cast().product();
        Needed its = new Needed(id, need.product().grade(), need.parts());
        needs.merge(id + its.grade, its, Needed::plus);
      }
      return List.copyOf(needs.values());
    }

    /** The same, as it is kept now. */
    private Job at(JobMapper.Row now) {
      return new Job(now, choices, recorded, plan, facts, materials, shape);
    }

    /** Its rubber; null while none is picked. */
    public Product product() {
      return materials.rubber();
    }

    /** Its study; empty while not everything about the shape is known. */
    Optional<ShapeStudy> study() {
      return shape.filter(ShapeAsked::answered).flatMap(ShapeAsked::study);
    }

    /** The core of a hollow cast, for what cannot be made without it; empty for a solid one. */
    Optional<HollowCore> core() {
      if (shape.filter(s -> s.ofCore().isPresent() && s.core().isEmpty()).isPresent()) {
        throw new Problem(
            HttpStatus.CONFLICT,
            "No core yet",
            "The core is still being worked out. Ask again in a moment.");
      }
      return plan.plan().core().map(CorePart::core);
    }

    /** The box, for what cannot be shown without one. */
    public BoxMould box() {
      return plan.plan()
          .inBox()
          .orElseThrow(
              () ->
                  choices.mould().kind().poured()
                      ? new Problem(
                          HttpStatus.CONFLICT, "No box yet", "The master's size is not known yet.")
                      : new Problem(
                          HttpStatus.CONFLICT,
                          "No box",
                          "A skin mould is brushed on: there is no box to it."));
    }
  }

  /**
   * What there is to ask of a shape, and the answers as far as they are known.
   *
   * @param ofPose how it stands in its box
   * @param ofForm what does not depend on that
   * @param ofCore the core of a hollow cast; empty when casts are solid
   * @param ofSkin a skin on it; empty for other moulds
   */
  public record ShapeAsked(
      Question<ShapeStudy> ofPose,
      Optional<ShapeStudy> study,
      Question<FormStudy> ofForm,
      Optional<FormStudy> form,
      Optional<Question<Cores.Kept>> ofCore,
      Optional<CoreFacts> core,
      Optional<SkinAsked> ofSkin) {

    /** Whether it is known how the master stands. */
    boolean answered() {
      return study.isPresent() && form.isPresent();
    }

    /**
     * Of what is open, what to find out now: a skin, which is what one looks at, before the rest.
     */
    List<Question<?>> next() {
      return ofSkin.flatMap(SkinAsked::open).<List<Question<?>>>map(List::of).orElseGet(this::open);
    }

    /** What is asked and not answered yet. */
    List<Question<?>> open() {
      List<Question<?>> open = new ArrayList<>();
      ofSkin.flatMap(SkinAsked::open).ifPresent(open::add);
      if (form.isEmpty()) {
        open.add(ofForm);
      }
      if (study.isEmpty()) {
        open.add(ofPose);
      }
      ofCore.filter(q -> core.isEmpty()).ifPresent(open::add);
      return open;
    }
  }

  /**
   * What there is to ask of a skin.
   *
   * @param ofRoom what one of any thickness takes
   * @param ofOutside what the outside of the one asked for decides; asks for the room on its way
   */
  public record SkinAsked(
      Question<SkinStudy> ofRoom,
      Optional<SkinStudy> room,
      Question<OutsideStudy> ofOutside,
      Optional<OutsideStudy> outside) {

    /** The one to be asked; empty when both are known. */
    Optional<Question<?>> open() {
      return outside.isEmpty()
          ? Optional.of(ofOutside)
          : room.isEmpty() ? Optional.of(ofRoom) : Optional.empty();
    }

    /** As far as it is known. */
    Optional<SkinFacts> facts() {
      return room.map(r -> new SkinFacts(r, outside.orElse(null)));
    }
  }

  public Job find(String id) {
    return planned(row(id));
  }

  /** Of all jobs, those that were put away as well. */
  public List<String> ids() {
    return mapper.all().stream().map(JobMapper.Row::id).toList();
  }

  /** What a job is called. */
  public String name(String id) {
    return row(id).name();
  }

  private JobMapper.Row row(String id) {
    JobMapper.Row row = mapper.find(id);
    if (row == null || row.deleted()) {
      throw Problem.gone("This job");
    }
    return row;
  }

  /**
   * An entry of a list of jobs.
   *
   * @param summary what the list shows of it; null when it cannot be read
   * @param trouble why it cannot be read, and what helps; empty when it can
   */
  record Listed(JobMapper.Row row, Summary summary, String trouble) {

    boolean readable() {
      return summary != null;
    }
  }

  /** Every job on the shelf; one that cannot be read says so and takes nothing else down. */
  List<Listed> listed() {
    return listed(mapper.all());
  }

  private List<Listed> listed(List<JobMapper.Row> rows) {
    Summaries.Ground ground = summaries.ground();
    // once for all of them, and only when one has to be planned
    Map<String, JobDays> bench = new LinkedHashMap<>();
    Supplier<Map<String, JobDays>> days =
        () -> {
          if (bench.isEmpty()) {
            bench.putAll(benchDays());
          }
          return bench;
        };
    return rows.stream().map(row -> listed(row, ground, days)).toList();
  }

  private Listed listed(
      JobMapper.Row row, Summaries.Ground ground, Supplier<Map<String, JobDays>> days) {
    try {
      Summary summary =
          summaries
              .of(row, ground)
              .filter(s -> s.model() == null || models.there(s.model()))
              .orElseGet(
                  () -> {
                    Job job = planned(row, diary(days.get(), row.id()));
                    Summary made = Summary.of(job, shapes.posed(job.choices()).isPresent());
                    summaries.keep(row, ground, made);
                    return made;
                  });
      return new Listed(row, summary, "");
    } catch (Problem told) {
      return new Listed(row, null, told.getMessage());
    } catch (RuntimeException e) {
      LOG.error("The job " + row.name() + " cannot be planned", e);
      return new Listed(row, null, "Its plan cannot be made. The program's output says more.");
    }
  }

  /**
   * A job with what it takes.
   *
   * @param needs of each product, by the product's id, g
   */
  public record Needing(String id, String name, List<Needed> needs) {}

  /**
   * What a list over all jobs is made from.
   *
   * @param jobs that are not put away
   * @param missing what the list lacks and why, as sentences: it says so wherever it is shown
   * @param working whether some of that is being worked out now
   */
  public record Open(List<Needing> jobs, List<String> missing, boolean working) {}

  /** All jobs that are not put away. What their amounts still wait for is asked for. */
  public Open open() {
    return open(listed().stream().filter(l -> !l.row().archived()).toList());
  }

  /** One job, as a list of it alone. */
  public Open open(String id) {
    return open(listed(List.of(row(id))));
  }

  private Open open(List<Listed> all) {
    List<Needing> jobs = new ArrayList<>();
    List<String> missing = new ArrayList<>();
    boolean working = false;
    for (Listed l : all) {
      if (!l.readable()) {
        missing.add(l.row().name() + " cannot be read and is left out.");
        continue;
      }
      jobs.add(new Needing(l.row().id(), l.row().name(), l.summary().needs()));
      if (!l.summary().known()) {
        working |= amountsOpen(planned(l.row()), missing);
      }
    }
    return new Open(List.copyOf(jobs), List.copyOf(missing), working);
  }

  /**
   * Says what a job's amounts still wait for, and asks for it.
   *
   * @return whether it is being worked out now
   */
  private boolean amountsOpen(Job job, List<String> missing) {
    List<PlanPart> open = parts(job).stream().filter(Jobs::decidesAmounts).toList();
    List<String> said = PlanPart.missing(open);
    if (!said.isEmpty()) {
      missing.add(job.row().name() + ": " + String.join(" ", said));
    }
    boolean working = open.stream().anyMatch(p -> p.state() == PlanPart.State.BEING_WORKED_OUT);
    if (working) {
      ask(job);
    }
    return working;
  }

  private static boolean decidesAmounts(PlanPart part) {
    return part.subject() == PlanPart.Subject.COATS || part.subject() == PlanPart.Subject.CORE;
  }

  /** Has found out what is not known of a job's shape. */
  public void ask(Job job) {
    job.shape().ifPresent(s -> s.next().forEach(q -> studies.ask(job.row().id(), q)));
  }

  /** The parts of a job's plan; what was tried and failed is not being worked out. */
  public List<PlanPart> parts(Job job) {
    List<PlanPart> parts = job.plan().parts();
    Optional<String> failed =
        job.shape().stream()
            .flatMap(s -> s.open().stream())
            .flatMap(q -> studies.last(q).stream())
            .filter(t -> t.state() == Tasks.State.FAILED)
            .map(Tasks.TaskView::problem)
            .findFirst();
    return failed.isEmpty()
        ? parts
        : parts.stream()
            .map(p -> p.state() == PlanPart.State.BEING_WORKED_OUT ? p.failed(failed.get()) : p)
            .toList();
  }

  private Job planned(JobMapper.Row row) {
    return planned(row, choices(row));
  }

  private Job planned(JobMapper.Row row, Choices choices) {
    return planned(row, choices, records.of(row.id(), choices));
  }

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
      boolean shape, boolean core, boolean room, boolean outside, boolean asked) {

    static Answers of(Optional<ShapeAsked> asked) {
      Optional<SkinAsked> skin = asked.flatMap(ShapeAsked::ofSkin);
      return new Answers(
          asked.filter(ShapeAsked::answered).isPresent(),
          asked.flatMap(ShapeAsked::core).isPresent(),
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

  private long morning() {
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
        JobDays days = summaries.days(row, ground, diary, () -> planned(row, diary).plan());
        all.put(row.id(), days);
        taken.addAll(days.taken());
      } catch (RuntimeException e) {
        unplanned(row, e);
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
  private Diary diary(Map<String, JobDays> bench, String job) {
    List<Network.Busy> taken = new ArrayList<>();
    for (Map.Entry<String, JobDays> e : bench.entrySet()) {
      if (e.getKey().equals(job)) {
        break;
      }
      taken.addAll(e.getValue().taken());
    }
    return new Diary(morning(), List.copyOf(taken));
  }

  /** One of several jobs, after those before it; empty when it cannot be read. */
  private Optional<Job> onBench(JobMapper.Row row, Diary diary) {
    try {
      return Optional.of(planned(row, diary));
    } catch (RuntimeException e) {
      unplanned(row, e);
      return Optional.empty();
    }
  }

  private static void unplanned(JobMapper.Row row, RuntimeException e) {
    LOG.error("The job " + row.name() + " cannot be planned", e);
  }

  private Job planned(JobMapper.Row row, Diary diary) {
    Choices choices = choices(row);
    return planned(row, choices, records.of(row.id(), choices), diary);
  }

  /** Jobs whose beginning is said and that are not put away, in the order they are done. */
  public List<Job> onBench() {
    long morning = morning();
    List<Job> jobs = new ArrayList<>();
    List<Network.Busy> taken = new ArrayList<>();
    for (JobMapper.Row row : mapper.onBench()) {
      onBench(row, new Diary(morning, List.copyOf(taken)))
          .ifPresent(
              job -> {
                jobs.add(job);
                taken.addAll(job.plan().steps().timeline().taken());
              });
    }
    return jobs;
  }

  /** Jobs that are not put away and of which nobody says when they are begun. */
  public List<Job> undated() {
    Diary diary = diary(benchDays(), null);
    return mapper.undated().stream().flatMap(row -> onBench(row, diary).stream()).toList();
  }

  /** Puts jobs on the bench in another order. */
  @Transactional
  public void order(List<String> ids) {
    List<String> all = new ArrayList<>(mapper.onBench().stream().map(JobMapper.Row::id).toList());
    List<String> first = ids.stream().filter(all::contains).distinct().toList();
    all.removeAll(first);
    int place = 0;
    for (String id : Stream.concat(first.stream(), all.stream()).toList()) {
      mapper.place(id, place++);
    }
  }

  private Job planned(JobMapper.Row row, Choices choices, Recorded recorded) {
    return planned(row, choices, recorded, diary(benchDays(row.id()), row.id()));
  }

  private Job planned(JobMapper.Row row, Choices choices, Recorded recorded, Diary diary) {
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
        shape.flatMap(ShapeAsked::core).map(core -> shaped.with(core)).orElse(shaped);
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

  private Materials materials(Choices c) {
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
        asked.form().orElseThrow().posed(p -> posed.place(p).plus(lift), posed::direction),
        new MarkedPlaces(posed.mesh(), choices.marks(), lift));
  }

  private Optional<ShapeAsked> asked(Choices choices, MasterFacts facts, Optional<BoxMould> round) {
    if (shapes.posed(choices).isEmpty()) {
      return Optional.empty();
    }
    boolean open = facts.baseOpen(choices.pose().liftMm());
    return round.map(
        box -> {
          Question<ShapeStudy> ofPose = questions.study(choices, facts, box);
          Question<FormStudy> ofForm = questions.form(choices);
          Optional<Question<Cores.Kept>> ofCore =
              Optional.ofNullable(choices.hollow().wallMm())
                  .map(wall -> questions.core(choices, open));
          return new ShapeAsked(
              ofPose,
              studies.known(ofPose),
              ofForm,
              studies.known(ofForm),
              ofCore,
              ofCore.flatMap(cores::known),
              choices.mould().kind().poured()
                  ? Optional.empty()
                  : Optional.of(skinAsked(choices, facts)));
        });
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

  /** What is decided about a job, without planning it. */
  public Choices choices(String id) {
    return choices(row(id));
  }

  /** Changes when what is drawn of the master does: its surface, how it stands, its copies. */
  static String shapeKey(Choices c) {
    return Choices.fingerprint(surfaceKey(c), c.pose().turn(), c.laid());
  }

  /** Changes when the master's surface does. */
  public static String surfaceKey(Choices c) {
    return Choices.fingerprint(
        c.master().source(), c.master().model(), c.master().unitMm(), c.master().solid());
  }

  private Choices choices(JobMapper.Row row) {
    return json.read(row.choices(), Choices.class);
  }

  @Transactional
  public String add(String name, boolean demo, Choices choices) {
    return history.begin(name, demo, choices);
  }

  /** A job to practise on, in the place of the one before. */
  @Transactional
  public String addExercise(Exercise exercise, Choices choices) {
    mapper.forget(exercise.name());
    String id = history.begin(exercise.title(), false, choices);
    mapper.practise(id, exercise.name());
    return id;
  }

  /** A job as it was when it was begun. */
  public Job begun(Job job) {
    return planned(job.row, json.read(mapper.step(job.row.id(), 0).choices(), Choices.class));
  }

  @Transactional
  public String addFresh(String name) {
    return history.begin(named(name), false, Choices.fresh(workshop.current().units()));
  }

  /** Whether there is such a job, also one that cannot be planned. */
  void check(String id) {
    row(id);
  }

  /** Makes edits on the version the user saw, or refuses them all. */
  @Transactional
  public Job edit(String id, int version, List<Edit> edits) {
    JobMapper.Row row = live(id, version);
    Choices before = choices(row);
    Choices after = edited(before, decisions(edits));
    Recorded recorded = records.add(id, after, happened(edits));
    Job job = planned(row, after, recorded);
    if (after.equals(before)) {
      return job;
    }
    String nudged = edits.size() == 1 && edits.get(0).nudge() != null ? edits.get(0).word() : null;
    return job.at(history.write(row, after, label(edits), nudged));
  }

  /** Makes edits that do not depend on what anybody saw, on whatever version there is. */
  @Transactional
  public void edit(String id, List<Edit> edits) {
    mapper.hold(id);
    JobMapper.Row row = row(id);
    Choices before = choices(row);
    Choices after = edited(before, decisions(edits));
    records.add(id, after, happened(edits));
    if (!after.equals(before)) {
      history.write(row, after, label(edits), null);
    }
  }

  private Choices edited(Choices before, List<Edit> edits) {
    Choices after =
        ChoiceWords.edit(
            before, ChoiceWords.dated(edits, workshop.today()), materials(before).rubber());
    return GrainBox.kept(before, coded(after), shapes::facts);
  }

  /** A label that is to be cast in carries the code its mould will be found by. */
  private static Choices coded(Choices c) {
    return c.label().place() != LabelPlace.NONE && c.label().code() == null
        ? ChoiceWords.edit(c, List.of(Edit.of("label.code", Code.next(RANDOM))), null)
        : c;
  }

  private static List<Edit> decisions(List<Edit> edits) {
    return edits.stream().filter(e -> !Recorded.has(e.word())).toList();
  }

  /** Edits that say what happened: they are recorded, and are no part of the history. */
  private static List<Edit> happened(List<Edit> edits) {
    return edits.stream().filter(e -> Recorded.has(e.word())).toList();
  }

  /** Puts other choices in the place of a job's own, as one step that can be undone. */
  @Transactional
  public Job replace(String id, int version, Choices choices, String label) {
    JobMapper.Row row = live(id, version);
    Job job = planned(row, choices);
    return job.at(history.write(row, choices, label, null));
  }

  /** A stage was looked at as it stands. */
  @Transactional
  public void look(String id, String stage) {
    Stage.Basis basis = find(id).plan().stages().get(stage);
    if (basis == null) {
      throw Problem.gone("This stage");
    }
    if (basis.restsOn() != null) {
      mapper.look(id, stage, basis.restsOn());
    }
  }

  /** How far each stage of a job is. */
  Map<String, Stage.State> stages(Job job) {
    Map<String, String> seen = new HashMap<>();
    mapper.looks(job.row().id()).forEach(l -> seen.put(l.stage(), l.seen()));
    Map<String, Stage.State> stages = new LinkedHashMap<>();
    job.plan().stages().forEach((key, basis) -> stages.put(key, basis.state(seen.get(key))));
    if (mapper.made(job.row().id())) {
      stages.put(Stage.BENCH.key(), Stage.State.DONE);
    }
    return stages;
  }

  /** What each stage of all jobs was last looked at on, by the jobs' ids and the stages' keys. */
  Map<String, Map<String, String>> seen() {
    Map<String, Map<String, String>> seen = new HashMap<>();
    mapper
        .allLooks()
        .forEach(
            l -> seen.computeIfAbsent(l.jobId(), id -> new HashMap<>()).put(l.stage(), l.seen()));
    return seen;
  }

  /** What a job would be with edits made. */
  public Job with(Job job, List<Edit> edits) {
    return planned(job.row(), edited(job.choices(), edits));
  }

  /** What would follow from other choices for a job. */
  public JobPlan planOf(Job job, Choices choices) {
    return planned(job.row(), choices).plan();
  }

  private static String label(List<Edit> edits) {
    String words =
        String.join(
            ", ",
            decisions(edits).stream().map(e -> ChoiceWords.label(e.word())).distinct().toList());
    return words.length() > 190 ? words.substring(0, 190) : words;
  }

  private JobMapper.Row live(String id, int version) {
    JobMapper.Row row = row(id);
    if (row.version() != version) {
      throw Problem.conflict("This job");
    }
    return row;
  }

  /** Goes back one step (−1) or forward again (+1). */
  @Transactional
  public Job step(String id, int version, int by) {
    JobMapper.Row row = live(id, version);
    JobMapper.Step to = mapper.step(id, row.stepNow() + by);
    if (to == null) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "Nothing there",
          by < 0 ? "There is nothing more to undo." : "There is nothing to redo.");
    }
    Job job = planned(row, json.read(to.choices(), Choices.class));
    return job.at(history.move(row, by));
  }

  /** What undo would take back; null when nothing. */
  Change undo(Job job) {
    JobMapper.Step before = mapper.step(job.row().id(), job.row().stepNow() - 1);
    return before == null ? null : change(job, job.row().label(), before);
  }

  /** What redo would make again; null when nothing. */
  Change redo(Job job) {
    JobMapper.Step after = mapper.step(job.row().id(), job.row().stepNow() + 1);
    return after == null ? null : change(job, after.label(), after);
  }

  private Change change(Job job, String what, JobMapper.Step to) {
    return new Change(what, Stage.changed(job.choices(), json.read(to.choices(), Choices.class)));
  }

  @Transactional
  public String copy(String id) {
    JobMapper.Row from = row(id);
    String name = from.name() + ", copy";
    String copy =
        history.begin(
            name.substring(0, Math.min(name.length(), 120)), false, coded(choices(from).anew()));
    mapper.copyLooks(id, copy);
    records.copyOfMaster(id, copy);
    return copy;
  }

  @Transactional
  public void rename(String id, String name) {
    if (mapper.rename(id, named(name)) == 0) {
      throw Problem.gone("This job");
    }
  }

  private static String named(String name) {
    String clean = name == null ? "" : name.strip();
    if (clean.isEmpty() || clean.length() > 120) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "Not a name", "A job's name has 1 to 120 characters.");
    }
    return clean;
  }

  @Transactional
  public void archive(String id, boolean archived) {
    if (mapper.archive(id, archived) == 0) {
      throw Problem.gone("This job");
    }
  }

  /** Takes a job off the shelf, or puts it back. Its data stay, so that it can be. */
  @Transactional
  public void delete(String id, boolean deleted) {
    if (mapper.delete(id, deleted) == 0) {
      throw Problem.gone("This job");
    }
    if (deleted) {
      studies.forget(id);
    }
  }

  @Transactional
  public void deleteDemo() {
    mapper.deleteDemo();
  }

  @Transactional
  public void keepPicture(String id, String fingerprint, byte[] png) {
    mapper.putPicture(new JobMapper.Picture(id, fingerprint, png));
  }

  JobMapper.Picture picture(String id) {
    return mapper.picture(id);
  }
}
