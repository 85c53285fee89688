package fabulum.server.figures;

import static org.assertj.core.api.Assertions.assertThat;

import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

class CasesFromBeforeTest {
  @Test
  void aDatabaseThatWasSummedBeforeCasesWereKeptIsSummedAgain() {
    SingleConnectionDataSource memory =
        new SingleConnectionDataSource("jdbc:h2:mem:before", "fabulum", "", true);
    try {
      JdbcTemplate tables = new JdbcTemplate(memory);
      migrate(memory, "38");
      tables.update("update figures_made set feed = 5");
      migrate(memory, "39");
      assertThat(tables.queryForObject("select feed from figures_made", Long.class)).isNull();
    } finally {
      memory.destroy();
    }
  }

  private static void migrate(SingleConnectionDataSource tables, String version) {
    Flyway.configure()
        .dataSource(tables)
        .locations("classpath:db/both", "classpath:db/h2")
        .target(version)
        .load()
        .migrate();
  }
}
