package ungula.server.access;

import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.testng.annotations.Test;

public class AttemptsTest {

  @Test
  public void fiveAreAllowedThenTheAddressWaitsFiveMinutes() {
    AtomicLong now = new AtomicLong();
    Attempts attempts = new Attempts(now::get);
    for (int i = 0; i < 4; i++) {
      attempts.fail("a");
    }
    assertFalse(attempts.waits("a"));
    attempts.fail("a");
    assertTrue(attempts.waits("a"));
    assertFalse(attempts.waits("b"));
    now.addAndGet(Duration.ofMinutes(5).minusSeconds(1).toNanos());
    assertTrue(attempts.waits("a"));
    now.addAndGet(Duration.ofSeconds(2).toNanos());
    assertFalse(attempts.waits("a"));
  }

  @Test
  public void comingInForgetsWhatFailed() {
    Attempts attempts = new Attempts(() -> 0);
    for (int i = 0; i < 5; i++) {
      attempts.fail("a");
    }
    attempts.forget("a");
    assertFalse(attempts.waits("a"));
  }
}
