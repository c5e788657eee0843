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
    try {
      share.run();
    } finally {
      others.forEach(Parallel::await);
    }
  }

  private static void await(Future<?> other) {
    boolean interrupted = false;
    try {
      while (true) {
        try {
          other.get();
          return;
        } catch (InterruptedException e) {
          interrupted = true;
        }
      }
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException told) {
        throw told;
      }
      if (e.getCause() instanceof Error told) {
        throw told;
      }
      throw new CompletionException(e.getCause());
    } finally {
      if (interrupted) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
