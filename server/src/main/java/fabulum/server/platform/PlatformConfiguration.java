package fabulum.server.platform;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Properties;
import javax.sql.DataSource;
import org.apache.ibatis.mapping.DatabaseIdProvider;
import org.apache.ibatis.mapping.VendorDatabaseIdProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock and the database. */
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
  DataSource dataSource(DataSettings settings, DatabaseSettings database) {
    return database.url() == null ? ofFile(settings) : ofServer(database.url(), database);
  }

  private static DataSource ofFile(DataSettings settings) {
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

  private static DataSource ofServer(String url, DatabaseSettings database) {
    HikariDataSource pool = new HikariDataSource();
    pool.setJdbcUrl(url);
    pool.setUsername(database.user());
    pool.setPassword(database.password());
    pool.setMaximumPoolSize(database.connections());
    return pool;
  }

  /** Which fragments of SQL the mappers take. */
  @Bean
  DatabaseIdProvider databaseIds() {
    VendorDatabaseIdProvider ids = new VendorDatabaseIdProvider();
    Properties names = new Properties();
    names.setProperty("H2", "h2");
    names.setProperty("PostgreSQL", "postgresql");
    ids.setProperties(names);
    return ids;
  }
}
