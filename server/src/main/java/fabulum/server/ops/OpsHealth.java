package fabulum.server.ops;

import fabulum.server.platform.Troubles;
import fabulum.server.platform.Troubles.Trouble;
import java.util.Arrays;
import java.util.List;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.boot.health.contributor.Status;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What leads are told of on every page, as health. */
@Configuration(proxyBeanMethods = false)
class OpsHealth {

  @Bean
  HealthIndicator diskHealthIndicator(Troubles troubles) {
    return () -> health(troubles, Status.DOWN, Troubles.Kind.DISK_FULL, Troubles.Kind.DISK_LOW);
  }

  @Bean
  HealthIndicator networkHealthIndicator(Troubles troubles) {
    return () ->
        health(troubles, Status.OUT_OF_SERVICE, Troubles.Kind.NETWORK, Troubles.Kind.KEPT_ASIDE);
  }

  @Bean
  HealthIndicator mailHealthIndicator(Troubles troubles) {
    return () -> health(troubles, Status.OUT_OF_SERVICE, Troubles.Kind.MAIL);
  }

  /**
   * The first kind decides whether it is up; the others are only told.
   *
   * @param otherwise the status while the first kind stands
   */
  private static Health health(Troubles troubles, Status otherwise, Troubles.Kind... kinds) {
    List<Trouble> all =
        troubles.list().stream()
            .filter(trouble -> Arrays.asList(kinds).contains(trouble.kind()))
            .toList();
    boolean down = all.stream().anyMatch(trouble -> trouble.kind() == kinds[0]);
    Health.Builder health = Health.status(down ? otherwise : Status.UP);
    all.forEach(trouble ->
        health
            .withDetail(trouble.kind().name(), trouble.sentence())
            .withDetail(trouble.kind().name() + "_since", trouble.since().toString()));
    return health.build();
  }
}
