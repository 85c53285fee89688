package fabulum.server.ops;

import fabulum.server.live.LiveStream;
import fabulum.server.messaging.OutboxState;
import fabulum.server.platform.Troubles;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What Fabulum measures of itself, beside what its libraries do. */
@Configuration(proxyBeanMethods = false)
class OpsMetrics {

  @Bean
  MeterBinder ownMetrics(OutboxState outbox, LiveStream live, Troubles troubles) {
    return registry -> {
      Gauge.builder("fabulum.outbox.waiting", outbox, o -> o.now().waiting())
          .description("Texts that wait to go to the phone network")
          .register(registry);
      Gauge.builder("fabulum.outbox.oldest", outbox, o -> o.now().oldest().toSeconds())
          .description("How long the oldest of them has waited beyond its time")
          .baseUnit("seconds")
          .register(registry);
      Gauge.builder("fabulum.live.browsers", live, LiveStream::listeners)
          .description("Browsers that listen for changes")
          .register(registry);
      Gauge.builder("fabulum.troubles", troubles, t -> t.list().size())
          .description("What keeps the program from its work, as leads see it")
          .register(registry);
    };
  }
}
