package ungula.server.job;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import ungula.server.job.Studies.Question;
import ungula.server.task.Tasks;
import ungula.server.task.Tasks.State;
import ungula.server.web.Json;

/** What is worked out for whom, and what nobody waits for any more. */
public class StudiesTest {

  private static final long PATIENCE_NS = 20_000_000_000L;

  private record Wall(double mm) {}

  private record Form(String body) {}

  private final Studies studies = new Studies(new Kept(), new Tasks(Clock.systemUTC()), new Json());

  /** Set once what is under way may come to its end. */
  private volatile boolean end;

  private final Set<Record> underWay = ConcurrentHashMap.newKeySet();

  /** Answers in memory. */
  private static final class Kept implements StudyMapper {
    private final Map<String, String> found = new ConcurrentHashMap<>();

    @Override
    public String found(String id) {
      return found.get(id);
    }

    @Override
    public Facets facets(String id) {
      return new Facets(new byte[0]);
    }

    @Override
    public void put(String id, String answer, byte[] facets, OffsetDateTime made) {
      found.put(id, answer);
    }

    @Override
    public void dropOld(int keep) {
      // few are kept here
    }
  }

  /** Reports until it is stopped or may end. */
  private Question<String> question(Record asked) {
    return studies.question(
        asked,
        String.class,
        (known, keep, progress) -> {
          underWay.add(asked);
          try {
            while (!end) {
              progress.at("Looking", 0.5);
              Thread.onSpinWait();
            }
            keep.keep(asked.toString(), new byte[0]);
          } finally {
            underWay.remove(asked);
          }
        });
  }

  @BeforeMethod
  public void goOn() {
    end = false;
  }

  private void stops(Record asked) {
    long late = System.nanoTime() + PATIENCE_NS;
    while (underWay.contains(asked)) {
      assertTrue(System.nanoTime() < late, asked + " goes on");
      Thread.onSpinWait();
    }
  }

  private State ended(Question<?> q) {
    long late = System.nanoTime() + PATIENCE_NS;
    while (state(q) == State.RUNNING && System.nanoTime() < late) {
      Thread.onSpinWait();
    }
    return state(q);
  }

  private State state(Question<?> q) {
    return studies.last(q).orElseThrow().state();
  }

  @Test
  public void whatNobodyWaitsForAnyMoreIsStopped() {
    Question<String> thin = question(new Wall(10));
    Question<String> thick = question(new Wall(12));
    Question<String> form = question(new Form("bell"));
    studies.ask("one", thin);
    studies.ask("one", form);
    studies.ask("two", thin);
    studies.ask("one", thick);
    assertEquals(state(thin), State.RUNNING, "the other job still waits for it");
    studies.ask("two", thick);
    stops(new Wall(10));
    assertEquals(studies.last(thin), Optional.empty(), "whoever asks next begins anew");
    assertEquals(state(form), State.RUNNING, "a question of another kind");
    studies.ask("two", thin);
    assertEquals(state(thick), State.RUNNING, "one still waits for it");
    end = true;
    assertEquals(ended(thin), State.DONE, "asked for once more");
    assertEquals(ended(thick), State.DONE);
    assertEquals(ended(form), State.DONE);
    assertEquals(studies.known(thin), Optional.of("Wall[mm=10.0]"));
  }

  @Test
  public void whatADeletedJobWaitedForIsStopped() {
    Question<String> thin = question(new Wall(10));
    Question<String> form = question(new Form("bell"));
    studies.ask("one", thin);
    studies.ask("one", form);
    studies.ask("two", thin);
    studies.forget("one");
    stops(new Form("bell"));
    assertEquals(state(thin), State.RUNNING, "the other job still waits for it");
    studies.forget("two");
    stops(new Wall(10));
    assertEquals(studies.last(thin), Optional.empty(), "not as if somebody had stopped it");
  }

  @Test
  public void whatSomebodyStopsStaysStopped() {
    Question<String> thin = question(new Wall(10));
    studies.ask("one", thin);
    studies.stop(thin);
    assertEquals(ended(thin), State.CANCELLED);
  }
}
