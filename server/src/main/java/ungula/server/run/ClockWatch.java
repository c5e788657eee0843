package ungula.server.run;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import ungula.core.quantity.Timespan;

/**
 * Notices when the computer's clock is set, or stood still while it slept. What was written down
 * keeps its times; what counts down goes by the clock as it is now.
 */
@Component
class ClockWatch {

  private static final Duration NOTICED = Duration.ofSeconds(3);

  private static final Duration TOLD = Duration.ofMinutes(10);

  private final Clock clock;
  private final LongSupplier nanos;
  private Instant lastAt;
  private long lastNanos;
  private Instant toldAt;
  private String told = "";

  @Autowired
  ClockWatch(Clock clock) {
    this(clock, System::nanoTime);
  }

  ClockWatch(Clock clock, LongSupplier nanos) {
    this.clock = clock;
    this.nanos = nanos;
    this.lastAt = clock.instant();
    this.lastNanos = nanos.getAsLong();
  }

  /** What there is to say; empty for nothing. */
  synchronized Optional<String> look() {
    Instant now = clock.instant();
    long n = nanos.getAsLong();
    Duration off = Duration.between(lastAt, now).minusNanos(n - lastNanos);
    lastAt = now;
    lastNanos = n;
    if (off.abs().compareTo(NOTICED) > 0) {
      String by = Timespan.format(Duration.ofSeconds(Math.round(off.abs().toMillis() / 1000.0)));
      told =
          off.isNegative()
              ? "The computer’s clock was set back by " + by + ". Clocks go by it as it is now."
              : "The computer slept, or its clock was set ahead by "
                  + by
                  + ". Clocks go by it as it is now.";
      toldAt = now;
    }
    boolean fresh = toldAt != null && now.isBefore(toldAt.plus(TOLD));
    return fresh ? Optional.of(told) : Optional.empty();
  }
}
