package fabulum.standins;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The network's clock: the real one, or the same made-up one as the program beside it. */
@Configuration(proxyBeanMethods = false)
class ClockConfiguration {

  @Bean
  MovableClock clock(Settings settings) {
    Clock real = Clock.tick(Clock.systemUTC(), Duration.ofMillis(1));
    if (settings.at() == null) {
      return new MovableClock(real);
    }
    Instant start = settings.at().toInstant();
    return new MovableClock(
        settings.runs()
            ? Clock.offset(real, Duration.between(real.instant(), start))
            : Clock.fixed(start, ZoneOffset.UTC));
  }
}
