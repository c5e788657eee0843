package ungula.core;

import java.lang.management.ManagementFactory;
import java.util.function.Supplier;

/**
 * What is done and how long the calling thread worked on it, s: what it takes on a quiet machine,
 * also while others keep the processors busy.
 */
public record Effort<T>(T result, double seconds) {

  public static <T> Effort<T> of(Supplier<T> work) {
    long begun = nanos();
    T result = work.get();
    return new Effort<>(result, (nanos() - begun) / 1e9);
  }

  private static long nanos() {
    return ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
  }
}
