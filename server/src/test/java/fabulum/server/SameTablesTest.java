package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Fabulum;
import java.util.List;
import java.util.Locale;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** What H2's migrations arrive at step by step is what PostgreSQL begins with. */
@Tag("two-programs")
class SameTablesTest {
  private static final String COLUMNS =
      "select table_name, column_name, data_type, is_nullable, character_maximum_length"
          + " from information_schema.columns where lower(table_schema) = 'public'"
          + " and lower(table_name) not like 'flyway%'";

  @Test
  void everyTableHasTheSameColumnsInBothDatabases() {
    SingleConnectionDataSource memory =
        new SingleConnectionDataSource("jdbc:h2:mem:same", "fabulum", "", true);
    Flyway.configure()
        .dataSource(memory)
        .locations("classpath:db/both", "classpath:db/h2")
        .load()
        .migrate();
    List<String> file = columns(new JdbcTemplate(memory));
    memory.destroy();
    try (Fabulum server = Fabulum.startEmpty()) {
      assertThat(columns(server.tables)).isEqualTo(file);
    }
    assertThat(file).hasSizeGreaterThan(200);
  }

  private static List<String> columns(JdbcTemplate tables) {
    return tables
        .query(
            COLUMNS,
            (row, i) ->
                String.join(
                        " ",
                        row.getString(1),
                        row.getString(2),
                        type(row.getString(3)),
                        row.getString(4),
                        row.getString(3).toLowerCase(Locale.ROOT).startsWith("character")
                            ? row.getString(5)
                            : "")
                    .toLowerCase(Locale.ROOT))
        .stream()
        .sorted()
        .toList();
  }

  /** The name of the standard for what PostgreSQL names otherwise. */
  private static String type(String name) {
    return switch (name.toLowerCase(Locale.ROOT)) {
      case "bytea" -> "binary varying";
      case "timestamp without time zone" -> "timestamp";
      default -> name;
    };
  }
}
