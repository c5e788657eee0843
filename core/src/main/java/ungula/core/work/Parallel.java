package ungula.core.work;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/**
 * Shares numbered pieces of work between a fixed number of threads. Which thread does which piece
 * is left open, so a piece may only write where no other piece reads or writes: then the result
 * does not depend on the number of threads.
 */
public final class Parallel {

  /** As many threads as there are processors. */
  public static final Parallel ALL = new Parallel(Runtime.getRuntime().availableProcessors());

  private static final ExecutorService HELPERS =
      Executors.newCachedThreadPool(
          work -> {
            Thread t = new Thread(work, "ungula-helper");
            t.setDaemon(true);
            return t;
          });

  private final int threads;

  /**
   * @param threads at least 1; the calling thread is one of them
   */
  public Parallel(int threads) {
    if (threads < 1) {
      throw new IllegalArgumentException("Work needs a thread");
    }
    this.threads = threads;
  }

  /**
   * Does pieces 0 to n − 1 and returns when all are done. What a piece throws (a cancellation, too)
   * stops the others at their next piece and is thrown here.
   */
  public void each(int n, IntConsumer piece) {
    AtomicInteger next = new AtomicInteger();
    Runnable share =
        () -> {
          try {
            for (int i = next.getAndIncrement(); i < n; i = next.getAndIncrement()) {
              piece.accept(i);
            }
          } catch (Throwable stop) {
            next.set(n);
            throw stop;
          }
        };
    List<Future<?>> others = new ArrayList<>();
    for (int t = 1; t < Math.min(threads, n); t++) {
      others.add(HELPERS.submit(share));
    }
    Throwable thrown = null;
    try {
      share.run();
    } catch (Throwable own) {
      thrown = own;
    }
    // all of them end before this returns, whatever any of them threw
    for (Future<?> other : others) {
      Throwable its = await(other);
      if (thrown == null) {
        thrown = its;
      } else if (its != null && its != thrown) {
        thrown.addSuppressed(its);
      }
    }
    if (thrown instanceof RuntimeException told) {
      throw told;
    }
    if (thrown instanceof Error told) {
      throw told;
    }
    if (thrown != null) {
      throw new CompletionException(thrown);
    }
  }

  /** Waits for a helper to end. @return what it threw; null when nothing */
  private static Throwable await(Future<?> other) {
    boolean interrupted = false;
    try {
      while (true) {
        try {
          other.get();
          return null;
        } catch (InterruptedException e) {
          interrupted = true;
        }
      }
    } catch (ExecutionException e) {
      return e.getCause();
    } finally {
      if (interrupted) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
