package fabulum.server.platform;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock and the database file. */
@Configuration(proxyBeanMethods = false)
class PlatformConfiguration {
  private static final int CONNECTIONS = 6;

  @Bean
  Clock clock(ClockSettings settings) {
    Clock real = Clock.tick(Clock.systemUTC(), Duration.ofMillis(1));
    if (settings.at() == null) {
      return real;
    }
    Instant start = settings.at().toInstant();
    return settings.runs() ? new SettableClock(real, start) : new SettableClock(start);
  }

  @Bean
  DiskReserve.Room room(DataSettings settings) {
    return DiskReserve.Room.of(settings.data());
  }

  @Bean
  Ballast ballast(DataSettings settings) {
    return new Ballast(settings.data().resolve("kept-free"));
  }

  @Bean
  DataSource dataSource(DataSettings settings) {
    DatabaseFile file = new DatabaseFile(settings.data(), settings.writeDelay());
    file.compactWhenGrown();
    HikariDataSource pool = new HikariDataSource();
    pool.setJdbcUrl(file.url());
    pool.setUsername("fabulum");
    pool.setPassword("");
    pool.setMaximumPoolSize(CONNECTIONS);
    pool.setExceptionOverride(
        new ClosedDatabase(() -> pool.getHikariPoolMXBean().softEvictConnections()));
    return pool;
  }
}
