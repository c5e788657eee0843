package ungula.server.job;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.LockSupport;
import org.springframework.stereotype.Component;
import ungula.core.work.Progress;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.Lane;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Json;

/**
 * What is found out about shapes, worked out in the background once for each question and kept by
 * it: the same is never worked out twice, whichever job asks, before a restart or after it.
 */
@Component
public class Studies {

  /** Between two looks at what somebody else is finding. */
  private static final long LOOK_NS = 100_000_000;

  /** Answers kept: the pictures of a large one take a megabyte. */
  private static final int KEPT = 500;

  /** Held ready in memory, without their pictures. */
  private static final int AT_HAND = 100;

  private final StudyMapper mapper;
  private final Tasks tasks;
  private final Json json;

  // by question; oldest used first
  private final Map<String, Object> atHand = new LinkedHashMap<>(16, 0.75f, true);

  /** The task of each question asked since the start. */
  private final Map<String, String> running = new ConcurrentHashMap<>();

  /** The question each job asked last of each kind. */
  private final Map<Waiting, String> waiting = new ConcurrentHashMap<>();

  private record Waiting(String job, String topic) {}

  Studies(StudyMapper mapper, Tasks tasks, Json json) {
    this.mapper = mapper;
    this.tasks = tasks;
    this.json = json;
  }

  /** How an answer is found. */
  @FunctionalInterface
  public interface Finding<A> {

    /**
     * @param known what an earlier finding came to; null without one
     * @param keep called with the answer; with a part of it when the progress stops the work
     */
    void find(A known, Keep<A> keep, Progress progress) throws Exception;
  }

  /** Where an answer goes. */
  @FunctionalInterface
  public interface Keep<A> {

    /**
     * @param facets values by facet, a byte each, one quantity after the other; for pictures
     */
    void keep(A answer, byte[] facets);
  }

  /**
   * A question ready to be asked.
   *
   * @param id names everything the answer depends on
   * @param topic what kind of question it is
   */
  public record Question<A>(String id, String topic, Class<A> answer, Finding<A> finding) {}

  /**
   * @param asked everything the answer depends on: its type and its JSON name the question
   */
  public <A> Question<A> question(Record asked, Class<A> answer, Finding<A> finding) {
    String topic = asked.getClass().getSimpleName();
    return new Question<>(sha256(topic + json.write(asked)), topic, answer, finding);
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

  /** The answer as far as it is known already. */
  public synchronized <A> Optional<A> known(Question<A> q) {
    Object answer = atHand.get(q.id);
    if (answer == null) {
      String found = mapper.found(q.id);
      answer = found == null ? null : json.read(found, q.answer);
      if (answer != null) {
        keepAtHand(q.id, answer);
      }
    }
    return Optional.ofNullable(q.answer.cast(answer));
  }

  private void keepAtHand(String id, Object answer) {
    atHand.put(id, answer);
    if (atHand.size() > AT_HAND) {
      atHand.remove(atHand.keySet().iterator().next());
    }
  }

  /** Values by facet that go with the answer. */
  public Optional<byte[]> facets(Question<?> q) {
    return Optional.ofNullable(mapper.facets(q.id)).map(StudyMapper.Facets::facets);
  }

  /**
   * Starts finding an answer, unless somebody has asked before and it is under way. A job waits for
   * one answer of a kind: what it asked before, of another state, is stopped when no other job
   * waits for it.
   *
   * @param job that asks
   */
  public synchronized <A> void ask(String job, Question<A> q) {
    String before = waiting.put(new Waiting(job, q.topic), q.id);
    if (before != null) {
      stopUnlessWaitedFor(before);
    }
    boolean underWay =
        last(q)
            .filter(t -> t.state() == Tasks.State.RUNNING && !tasks.cancelled(t.id()))
            .isPresent();
    if (underWay) {
      return;
    }
    running.values().removeIf(id -> tasks.look(id).isEmpty());
    A known = known(q).orElse(null);
    TaskView task =
        tasks.start(
            Lane.STUDIES,
            progress ->
                q.finding.find(known, (answer, facets) -> keep(q.id, answer, facets), progress));
    running.put(q.id, task.id());
  }

  /** What only this job waits for is stopped: nobody will look at it. */
  synchronized void forget(String job) {
    List<Waiting> its = waiting.keySet().stream().filter(w -> w.job.equals(job)).toList();
    its.stream().map(waiting::remove).forEach(this::stopUnlessWaitedFor);
  }

  private void stopUnlessWaitedFor(String question) {
    if (!waiting.containsValue(question)) {
      // forgotten too: whoever asks it next has not stopped it
      Optional.ofNullable(running.remove(question))
          .flatMap(tasks::look)
          .map(TaskView::id)
          .ifPresent(tasks::cancel);
    }
  }

  /** Finds an answer at once, for another that builds on it. */
  <A> void find(Question<A> q, Progress progress) throws Exception {
    q.finding.find(known(q).orElse(null), (answer, facets) -> keep(q.id, answer, facets), progress);
  }

  /** Has an answer known: waits for whoever is finding it, or else finds it. */
  <A> void settle(Question<A> q, Progress progress) throws Exception {
    Optional<TaskView> task = last(q);
    while (known(q).isEmpty() && task.isPresent() && task.get().state() == Tasks.State.RUNNING) {
      progress.at(task.get().doing(), task.get().fraction());
      LockSupport.parkNanos(LOOK_NS);
      task = last(q);
    }
    if (known(q).isEmpty()) {
      find(q, progress);
    }
  }

  /** Stops finding it, for all who asked. */
  public void stop(Question<?> q) {
    last(q).map(TaskView::id).ifPresent(tasks::cancel);
  }

  private synchronized void keep(String id, Object answer, byte[] facets) {
    mapper.put(id, json.write(answer), facets, OffsetDateTime.now(ZoneOffset.UTC));
    mapper.dropOld(KEPT);
    keepAtHand(id, answer);
  }

  /** How the last asking stands; empty when it was not asked since the start. */
  Optional<TaskView> last(Question<?> q) {
    return Optional.ofNullable(running.get(q.id)).flatMap(tasks::look);
  }
}
