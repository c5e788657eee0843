package ungula.server.run;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.testng.annotations.Test;

/** A clock that is set is noticed, and told of for a while. */
public class ClockWatchTest {

  private static final class Set extends Clock {
    private Instant now = Instant.parse("2027-03-28T00:59:00Z");
    private long nanos;

    void pass(Duration by) {
      now = now.plus(by);
      nanos += by.toNanos();
    }

    @Override
    public Instant instant() {
      return now;
    }

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return this;
    }
  }

  @Test
  public void whatPassesIsNoNews() {
    Set clock = new Set();
    ClockWatch watch = new ClockWatch(clock, () -> clock.nanos);
    // an hour in which the clock on the wall is put forward for summer: instants do not jump
    for (int i = 0; i < 60; i++) {
      clock.pass(Duration.ofMinutes(1));
      assertTrue(watch.look().isEmpty());
    }
  }

  @Test
  public void aJumpIsToldOfForAWhile() {
    Set clock = new Set();
    ClockWatch watch = new ClockWatch(clock, () -> clock.nanos);
    clock.now = clock.now.plus(Duration.ofMinutes(90));
    assertEquals(
        watch.look().orElseThrow(),
        "The computer slept, or its clock was set ahead by 90 min. Clocks go by it as it is"
            + " now.");
    clock.pass(Duration.ofMinutes(9));
    assertTrue(watch.look().isPresent());
    clock.pass(Duration.ofMinutes(2));
    assertTrue(watch.look().isEmpty());
    clock.now = clock.now.minus(Duration.ofSeconds(30));
    assertTrue(watch.look().orElseThrow().contains("set back by 30 s"));
  }
}
