package ungula.server.access;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;

/** Failed attempts to come in, by address: after a few, that address waits. */
final class Attempts {

  static final int ALLOWED = 5;
  static final Duration WAIT = Duration.ofMinutes(5);

  private final Cache<String, Integer> failed;

  Attempts(Ticker ticker) {
    failed =
        Caffeine.newBuilder().ticker(ticker).expireAfterWrite(WAIT).maximumSize(10_000).build();
  }

  void fail(String address) {
    failed.asMap().merge(address, 1, Integer::sum);
  }

  void forget(String address) {
    failed.invalidate(address);
  }

  boolean waits(String address) {
    Integer times = failed.getIfPresent(address);
    return times != null && times >= ALLOWED;
  }
}
