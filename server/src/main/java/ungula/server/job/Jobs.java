package ungula.server.job;

import java.security.SecureRandom;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import ungula.core.castlabel.LabelPlace;
import ungula.core.choice.ChoiceWords;
import ungula.core.choice.Choices;
import ungula.core.exercise.Exercise;
import ungula.core.job.JobPlan;
import ungula.core.job.Stage;
import ungula.core.library.Code;
import ungula.core.plan.GrainBox;
import ungula.core.plan.PlanPart;
import ungula.core.record.Recorded;
import ungula.core.sentence.WordBook.Edit;
import ungula.server.job.JobResponse.Change;
import ungula.server.record.Records;
import ungula.server.task.Tasks;
import ungula.server.web.Json;
import ungula.server.web.Problem;
import ungula.server.workshop.Habits;

/** Jobs as kept: every change is a step of the job's history, and a change is saved or refused. */
@Component
public class Jobs {

  private static final SecureRandom RANDOM = new SecureRandom();

  private final JobMapper mapper;
  private final JobHistory history;
  private final Habits workshop;
  private final Shapes shapes;
  private final Studies studies;
  private final Records records;
  private final Json json;
  private final JobPlans plans;

  Jobs(
      JobMapper mapper,
      JobHistory history,
      Habits workshop,
      Shapes shapes,
      Studies studies,
      Records records,
      Json json,
      JobPlans plans) {
    this.mapper = mapper;
    this.history = history;
    this.workshop = workshop;
    this.shapes = shapes;
    this.studies = studies;
    this.records = records;
    this.json = json;
    this.plans = plans;
  }

  public Job find(String id) {
    return plans.of(row(id));
  }

  /** Of all jobs, those that were put away as well. */
  public List<String> ids() {
    return mapper.all().stream().map(JobMapper.Row::id).toList();
  }

  /** What a job is called. */
  public String name(String id) {
    return row(id).name();
  }

  JobMapper.Row row(String id) {
    JobMapper.Row row = mapper.find(id);
    if (row == null || row.deleted()) {
      throw Problem.gone("This job");
    }
    return row;
  }

  /** Has found out what is not known of a job's shape. */
  public void ask(Job job) {
    job.shape().ifPresent(s -> s.next().forEach(q -> studies.ask(job.row().id(), q)));
  }

  /** What is asked of a job's shape, where it is known; it is found out where it is not. */
  public <A> Optional<A> answer(Job job, Function<ShapeAsked, Asked<A>> what) {
    Optional<Asked<A>> asked = job.shape().map(what);
    asked.flatMap(Asked::open).ifPresent(q -> studies.ask(job.row().id(), q));
    return asked.flatMap(Asked::answer);
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

  /** What is decided about a job, without planning it. */
  public Choices choices(String id) {
    return plans.choices(row(id));
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
    return plans.of(job.row(), json.read(mapper.step(job.row().id(), 0).choices(), Choices.class));
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
    Choices before = plans.choices(row);
    Choices after = edited(before, decisions(edits));
    Recorded recorded = records.add(id, after, happened(edits));
    Job job = plans.of(row, after, recorded);
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
    Choices before = plans.choices(row);
    Choices after = edited(before, decisions(edits));
    records.add(id, after, happened(edits));
    if (!after.equals(before)) {
      history.write(row, after, label(edits), null);
    }
  }

  private Choices edited(Choices before, List<Edit> edits) {
    Choices after =
        ChoiceWords.edit(
            before, ChoiceWords.dated(edits, workshop.today()), plans.materials(before).rubber());
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
    Job job = plans.of(row, choices);
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
    return plans.of(job.row(), edited(job.choices(), edits));
  }

  /** What would follow from other choices for a job. */
  public JobPlan planOf(Job job, Choices choices) {
    return plans.of(job.row(), choices).plan();
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
    Job job = plans.of(row, json.read(to.choices(), Choices.class));
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
            name.substring(0, Math.min(name.length(), 120)),
            false,
            coded(plans.choices(from).anew()));
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
