package ungula.server;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What time it is, for all that asks: this machine's clock and zone. */
@Configuration(proxyBeanMethods = false)
class Clocks {

  @Bean
  Clock clock() {
    return Clock.system(ZoneId.systemDefault());
  }
}
