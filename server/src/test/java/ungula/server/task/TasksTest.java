package ungula.server.task;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.http.HttpStatus;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import ungula.server.task.Tasks.Lane;
import ungula.server.task.Tasks.State;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Problem;

public class TasksTest {

  private static final long PATIENCE_NS = 20_000_000_000L;

  private final Tasks tasks = new Tasks(Clock.systemUTC());

  @AfterClass
  public void stop() {
    tasks.stop();
  }

  private TaskView ended(String id) {
    long late = System.nanoTime() + PATIENCE_NS;
    while (tasks.find(id).state() == State.RUNNING && System.nanoTime() < late) {
      Thread.onSpinWait();
    }
    return tasks.find(id);
  }

  @Test
  public void workCanBeStoppedAtItsNextReport() throws Exception {
    CountDownLatch going = new CountDownLatch(1);
    TaskView started =
        tasks.start(
            Lane.STUDIES,
            progress -> {
              while (true) {
                progress.at("Turning in circles", 0.5);
                going.countDown();
              }
            });
    going.await();
    assertEquals(tasks.find(started.id()).doing(), "Turning in circles");
    assertFalse(tasks.cancelled(started.id()));
    tasks.cancel(started.id());
    assertTrue(tasks.cancelled(started.id()));
    assertEquals(ended(started.id()).state(), State.CANCELLED);
  }

  @Test
  public void whatWentWrongIsSaid() {
    TaskView told =
        tasks.start(
            Lane.STUDIES,
            progress -> {
              throw new Problem(HttpStatus.CONFLICT, "No", "The file is a letter.");
            });
    assertEquals(ended(told.id()).problem(), "The file is a letter.");
    TaskView untold =
        tasks.start(
            Lane.STUDIES,
            progress -> {
              throw new IllegalStateException("secret");
            });
    assertEquals(ended(untold.id()).state(), State.FAILED);
    assertTrue(!tasks.find(untold.id()).problem().contains("secret"));
  }

  @Test
  public void anErrorEndsATaskToo() {
    TaskView deep =
        tasks.start(
            Lane.STUDIES,
            progress -> {
              throw new StackOverflowError();
            });
    assertEquals(ended(deep.id()).state(), State.FAILED);
  }

  /** Only what somebody has seen ended is forgotten, and not at once. */
  @Test
  public void tasksAreForgottenByAgeAndNeverUnseen() {
    AtomicReference<Instant> now = new AtomicReference<>(Instant.EPOCH);
    Tasks dated = new Tasks(now::get);
    try {
      CountDownLatch both = new CountDownLatch(2);
      String seen = dated.start(Lane.STUDIES, progress -> both.countDown()).id();
      String unseen = dated.start(Lane.STUDIES, progress -> both.countDown()).id();
      both.await();
      long late = System.nanoTime() + PATIENCE_NS;
      while (dated.find(seen).state() == State.RUNNING && System.nanoTime() < late) {
        Thread.onSpinWait();
      }
      for (int i = 0; i < 300; i++) {
        dated.start(Lane.STUDIES, progress -> {});
      }
      assertEquals(dated.find(seen).state(), State.DONE);
      now.set(Instant.EPOCH.plusSeconds(3600));
      dated.start(Lane.STUDIES, progress -> {});
      assertTrue(dated.look(seen).isEmpty());
      assertTrue(dated.look(unseen).isPresent());
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    } finally {
      dated.stop();
    }
  }

  @Test
  public void atMostTwoRunAtATime() throws Exception {
    AtomicInteger running = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    CountDownLatch release = new CountDownLatch(1);
    CountDownLatch two = new CountDownLatch(2);
    String[] ids = new String[4];
    for (int i = 0; i < ids.length; i++) {
      ids[i] =
          tasks
              .start(
                  Lane.STUDIES,
                  progress -> {
                    most.accumulateAndGet(running.incrementAndGet(), Math::max);
                    two.countDown();
                    release.await();
                    running.decrementAndGet();
                  })
              .id();
    }
    two.await();
    release.countDown();
    for (String id : ids) {
      assertEquals(ended(id).state(), State.DONE);
    }
    assertEquals(most.get(), 2);
  }

  @Test
  public void filesDoNotWaitForStudiesAndWaitingWorkStopsAtOnce() throws Exception {
    CountDownLatch release = new CountDownLatch(1);
    String[] busy = new String[2];
    for (int i = 0; i < busy.length; i++) {
      busy[i] = tasks.start(Lane.STUDIES, progress -> release.await()).id();
    }
    TaskView waiting =
        tasks.start(
            Lane.STUDIES,
            progress -> {
              throw new Problem(HttpStatus.CONFLICT, "No", "It ran.");
            });
    assertEquals(ended(tasks.start(Lane.FILES, progress -> {}).id()).state(), State.DONE);
    tasks.cancel(waiting.id());
    assertEquals(tasks.find(waiting.id()).state(), State.CANCELLED);
    release.countDown();
    for (String id : busy) {
      assertEquals(ended(id).state(), State.DONE);
    }
    assertEquals(tasks.find(waiting.id()).state(), State.CANCELLED);
  }
}
