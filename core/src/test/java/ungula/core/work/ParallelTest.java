package ungula.core.work;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.expectThrows;

import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicIntegerArray;
import org.testng.annotations.Test;

public class ParallelTest {

  @Test
  public void everyPieceIsDoneOnce() {
    for (int threads : new int[] {1, 2, 5}) {
      AtomicIntegerArray done = new AtomicIntegerArray(1000);
      new Parallel(threads).each(1000, done::incrementAndGet);
      for (int i = 0; i < 1000; i++) {
        assertEquals(done.get(i), 1, threads + " threads, piece " + i);
      }
    }
  }

  @Test
  public void twoThreadsWorkAtOnce() {
    CountDownLatch both = new CountDownLatch(2);
    new Parallel(2)
        .each(
            2,
            i -> {
              both.countDown();
              try {
                both.await();
              } catch (InterruptedException e) {
                throw new IllegalStateException(e);
              }
            });
    assertEquals(both.getCount(), 0);
  }

  @Test
  public void whatAPieceThrowsComesOutAndStopsTheRest() {
    CancellationException stop = new CancellationException();
    AtomicInteger begun = new AtomicInteger();
    CancellationException out =
        expectThrows(
            CancellationException.class,
            () ->
                new Parallel(2)
                    .each(
                        100_000,
                        i -> {
                          begun.incrementAndGet();
                          if (i == 5) {
                            throw stop;
                          }
                        }));
    assertSame(out, stop);
    assertEquals(begun.get() < 100_000, true, "begun " + begun);
  }

  /** Nobody still writes when it returns, and nothing that was thrown is lost. */
  @Test
  public void allHelpersEndBeforeItReturnsAndAllTheyThrowIsKept() {
    int threads = 4;
    CountDownLatch all = new CountDownLatch(threads);
    AtomicInteger ended = new AtomicInteger();
    IllegalStateException out =
        expectThrows(
            IllegalStateException.class,
            () ->
                new Parallel(threads)
                    .each(
                        threads,
                        i -> {
                          all.countDown();
                          try {
                            all.await();
                          } catch (InterruptedException e) {
                            throw new AssertionError(e);
                          }
                          // those that come last still have work to do
                          for (int k = 0; k < 200_000 * i; k++) {
                            Thread.onSpinWait();
                          }
                          ended.incrementAndGet();
                          throw new IllegalStateException("piece " + i);
                        }));
    assertEquals(ended.get(), threads);
    assertEquals(out.getSuppressed().length, threads - 1);
  }

  @Test
  public void workNeedsAThread() {
    assertThrows(IllegalArgumentException.class, () -> new Parallel(0));
  }
}
