package ungula.server.task;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpStatus;
import org.testng.annotations.AfterClass;
import org.testng.annotations.Test;
import ungula.server.task.Tasks.State;
import ungula.server.task.Tasks.TaskView;
import ungula.server.web.Problem;

public class TasksTest {

  private static final long PATIENCE_NS = 20_000_000_000L;

  private final Tasks tasks = new Tasks();

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
            progress -> {
              while (true) {
                progress.at("Turning in circles", 0.5);
                going.countDown();
              }
            });
    going.await();
    assertEquals(tasks.find(started.id()).doing(), "Turning in circles");
    tasks.cancel(started.id());
    assertEquals(ended(started.id()).state(), State.CANCELLED);
  }

  @Test
  public void whatWentWrongIsSaid() {
    TaskView told =
        tasks.start(
            progress -> {
              throw new Problem(HttpStatus.CONFLICT, "No", "The file is a letter.");
            });
    assertEquals(ended(told.id()).problem(), "The file is a letter.");
    TaskView untold =
        tasks.start(
            progress -> {
              throw new IllegalStateException("secret");
            });
    assertEquals(ended(untold.id()).state(), State.FAILED);
    assertTrue(!tasks.find(untold.id()).problem().contains("secret"));
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
}
