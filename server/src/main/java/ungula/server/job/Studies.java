package ungula.server.job;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import ungula.core.geometry.Box3;
import ungula.core.geometry.Rotation;
import ungula.core.geometry.Vec3;
import ungula.core.master.PosedMaster;
import ungula.core.master.Solid;
import ungula.core.mould.BoxMould;
import ungula.core.plan.Choices;
import ungula.core.study.ShapeStudy;
import ungula.core.work.Parallel;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Json;

/**
 * What masters' shapes decide, worked out in the background once for each question and kept by it:
 * the same mesh, pose, box and openings are never studied twice, whichever job asks, before a
 * restart or after it.
 */
@Component
public class Studies {

  /** Studies kept: the pictures of a large one take a megabyte. */
  private static final int KEPT = 500;

  /** Held ready in memory, without their pictures. */
  private static final int AT_HAND = 100;

  private final StudyMapper mapper;
  private final Tasks tasks;
  private final Json json;

  // by question; oldest used first
  private final Map<String, ShapeStudy> atHand = new LinkedHashMap<>(16, 0.75f, true);

  /** The task of each question asked since the start. */
  private final Map<String, String> running = new ConcurrentHashMap<>();

  Studies(StudyMapper mapper, Tasks tasks, Json json) {
    this.mapper = mapper;
    this.tasks = tasks;
    this.json = json;
  }

  /** Everything a study depends on. Its JSON names it. */
  private record Asked(
      int version,
      String model,
      Solid solid,
      double unitMm,
      Rotation turn,
      ShapeStudy.Question question) {}

  /** A question ready to be asked, with its name. */
  public record Question(String id, ShapeStudy.Question question) {}

  /** What there is to ask of a job with a shape in a box. */
  Question question(Choices c, double unitMm, BoxMould box, boolean baseOpen) {
    Box3 inside =
        new Box3(
            new Vec3(
                -box.masterMm().x() / 2 - box.leftMm(), -box.masterMm().y() / 2 - box.frontMm(), 0),
            new Vec3(
                box.masterMm().x() / 2 + box.rightMm(),
                box.masterMm().y() / 2 + box.backMm(),
                Math.max(box.pourLineMm(), 0.01)));
    ShapeStudy.Question q =
        new ShapeStudy.Question(
            inside, box.belowMm(), baseOpen, c.casting().sprue(), c.casting().vents());
    boolean file = c.master().source() == Choices.Source.FILE;
    Asked asked =
        new Asked(
            ShapeStudy.VERSION,
            file ? c.master().model() : null,
            file ? null : c.master().solid(),
            unitMm,
            c.pose().turn(),
            q);
    return new Question(sha256(json.write(asked)), q);
  }

  private static String sha256(String text) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The answer, when it is known already. */
  synchronized Optional<ShapeStudy> known(Question q) {
    ShapeStudy study = atHand.get(q.id);
    if (study == null) {
      String found = mapper.found(q.id);
      study = found == null ? null : json.read(found, ShapeStudy.class);
      if (study != null) {
        keepAtHand(q.id, study);
      }
    }
    return Optional.ofNullable(study);
  }

  private void keepAtHand(String id, ShapeStudy study) {
    atHand.put(id, study);
    if (atHand.size() > AT_HAND) {
      atHand.remove(atHand.keySet().iterator().next());
    }
  }

  Optional<byte[]> locked(Question q) {
    return Optional.ofNullable(mapper.locked(q.id)).map(StudyMapper.Locked::locked);
  }

  /** Starts working an answer out, unless somebody has asked before and it is under way. */
  synchronized void ask(Question q, PosedMaster master) {
    if (last(q).filter(t -> t.state() == Tasks.State.RUNNING).isPresent()) {
      return;
    }
    running.values().removeIf(id -> tasks.look(id).isEmpty());
    TaskView task =
        tasks.start(
            progress -> {
              ShapeStudy.Made made = ShapeStudy.of(master, q.question, Parallel.ALL, progress);
              mapper.put(
                  q.id,
                  json.write(made.study()),
                  made.lockedShare(),
                  OffsetDateTime.now(ZoneOffset.UTC));
              mapper.dropOld(KEPT);
            });
    running.put(q.id, task.id());
  }

  /** How the last asking stands; empty when it was not asked since the start. */
  Optional<TaskView> last(Question q) {
    return Optional.ofNullable(running.get(q.id)).flatMap(tasks::look);
  }
}
