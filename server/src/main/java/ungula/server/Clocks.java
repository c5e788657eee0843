package ungula.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

/**
 * What time it is, for all that asks: this machine's clock and zone. With the property {@code
 * ungula.clock}, such as {@code 2027-03-01T07:00+01:00[Europe/Berlin]}, it is then as the program
 * starts: so tests and pictures have the same days whenever they are made.
 */
@Configuration(proxyBeanMethods = false)
class Clocks {

  @Bean
  Clock clock(Environment environment) {
    String start = environment.getProperty("ungula.clock");
    if (start == null) {
      return Clock.system(ZoneId.systemDefault());
    }
    ZonedDateTime then = ZonedDateTime.parse(start);
    Duration ahead = Duration.between(Instant.now(), then.toInstant());
    return Clock.offset(Clock.system(then.getZone()), ahead);
  }
}
