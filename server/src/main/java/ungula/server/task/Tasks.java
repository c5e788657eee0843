package ungula.server.task;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import ungula.core.work.Progress;
import ungula.server.web.Problem;

/**
 * Long work in the background, each with progress and a way to stop it: at most two of a lane at a
 * time.
 */
@Component
public class Tasks {

  private static final Logger LOG = LoggerFactory.getLogger(Tasks.class);

  /** How long a finished task is remembered once somebody has seen how it ended. */
  private static final Duration REMEMBERED = Duration.ofMinutes(10);

  private static final int AT_A_TIME = 2;

  /** What waits for what. */
  public enum Lane {
    /** Somebody waits before a bar: a file is read or made. Never behind studies. */
    FILES,
    /** Finding out, which may take long and is kept. */
    STUDIES
  }

  public enum State {
    RUNNING,
    DONE,
    FAILED,
    CANCELLED
  }

  /**
   * @param doing what it is at, in a few words
   * @param fraction of the whole, 0 to 1
   * @param problem why it failed, in words; empty otherwise
   */
  public record TaskView(String id, State state, String doing, double fraction, String problem) {}

  /** Work that may report, stop, or fail with a message for the user. */
  @FunctionalInterface
  public interface Work {
    void run(Progress progress) throws Exception;
  }

  private final Map<Lane, ExecutorService> lanes = new EnumMap<>(Lane.class);
  private final Map<String, Running> all = new ConcurrentHashMap<>();

  private final InstantSource clock;

  private static final class Running implements Progress {
    private final InstantSource clock;
    private volatile TaskView view;
    private volatile Instant ended;
    private volatile boolean seen;
    private volatile boolean cancelled;
    private boolean begun;

    Running(String id, InstantSource clock) {
      this.clock = clock;
      view = new TaskView(id, State.RUNNING, "Waiting for its turn", 0, "");
    }

    @Override
    public void at(String doing, double fraction) {
      if (cancelled) {
        throw new CancellationException();
      }
      view = new TaskView(view.id, State.RUNNING, doing, fraction, "");
    }

    /** How it stands, for somebody who wants to know. */
    TaskView look() {
      TaskView now = view;
      seen |= now.state != State.RUNNING;
      return now;
    }

    /** Whether it may begin: not when it was cancelled while waiting. */
    synchronized boolean begin() {
      begun = true;
      return !cancelled;
    }

    synchronized void cancel() {
      cancelled = true;
      if (!begun) {
        end(State.CANCELLED, "");
      }
    }

    void end(State state, String problem) {
      ended = clock.instant();
      view = new TaskView(view.id, state, view.doing, 1, problem);
    }
  }

  public Tasks(InstantSource clock) {
    this.clock = clock;
    for (Lane lane : Lane.values()) {
      lanes.put(lane, Executors.newFixedThreadPool(AT_A_TIME));
    }
  }

  public TaskView start(Lane lane, Work work) {
    forgetOld();
    Running running = new Running(UUID.randomUUID().toString(), clock);
    all.put(running.view.id, running);
    lanes.get(lane).execute(() -> run(running, work));
    return running.view;
  }

  private static void run(Running running, Work work) {
    if (!running.begin()) {
      return;
    }
    try {
      running.at("Starting", 0);
      work.run(running);
      running.end(State.DONE, "");
    } catch (CancellationException stopped) {
      running.end(State.CANCELLED, "");
    } catch (Problem told) {
      running.end(State.FAILED, told.getMessage());
    } catch (Throwable e) {
      // an error too ends the task: whoever waits for it must not wait for ever
      LOG.error("Background work failed", e);
      running.end(State.FAILED, "It did not work out, and nothing was changed. Try it again.");
    }
  }

  private void forgetOld() {
    Instant old = clock.instant().minus(REMEMBERED);
    all.values().removeIf(r -> r.seen && r.ended.isBefore(old));
  }

  /** How a task stands; empty when it is forgotten. */
  public Optional<TaskView> look(String id) {
    return Optional.ofNullable(all.get(id)).map(Running::look);
  }

  /** Whether it was cancelled, also while it has not noticed yet. */
  public boolean cancelled(String id) {
    Running running = all.get(id);
    return running != null && running.cancelled;
  }

  TaskView find(String id) {
    return running(id).look();
  }

  public void cancel(String id) {
    running(id).cancel();
  }

  private Running running(String id) {
    Running running = all.get(id);
    if (running == null) {
      throw Problem.gone("This work");
    }
    return running;
  }

  @PreDestroy
  void stop() {
    all.values().forEach(Running::cancel);
    // what is just being written is written: a database closes on a thread that is interrupted
    lanes.values().forEach(ExecutorService::shutdown);
  }
}
