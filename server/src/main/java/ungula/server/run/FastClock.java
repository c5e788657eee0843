package ungula.server.run;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/** A clock that runs as fast as is wanted, from a moment on. */
final class FastClock extends Clock {

  private final Clock real;
  private Instant from;
  private Instant realFrom;
  private double speed = 1;

  FastClock(Clock real) {
    this.real = real;
    this.from = real.instant();
    this.realFrom = from;
  }

  synchronized double speed() {
    return speed;
  }

  /** From now on. */
  synchronized void run(double times) {
    from = instant();
    realFrom = real.instant();
    speed = times;
  }

  @Override
  public synchronized Instant instant() {
    long passed = Duration.between(realFrom, real.instant()).toMillis();
    return from.plusMillis(Math.round(passed * speed));
  }

  @Override
  public ZoneId getZone() {
    return real.getZone();
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return real.withZone(zone);
  }
}
