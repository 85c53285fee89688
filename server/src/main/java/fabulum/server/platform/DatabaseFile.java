package fabulum.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The database file. {@code WRITE_DELAY=0}, because only then does an acknowledged commit survive
 * the death of the process; the price is that each commit appends whole pages, taken back only by
 * compacting ({@link OpenCompaction} while the program runs). A quarter of the heap caches pages.
 *
 * <p>{@code OPTIMIZE_REUSE_RESULTS=FALSE}, because H2 else answers a question from the result it
 * gave before, also when what was inserted since stands in the same transaction or in a part of a
 * union.
 *
 * <p>{@code LOCK_TIMEOUT}: H2 gives up after two seconds, which a busy machine or disk can take;
 * two that wait for each other it finds at once.
 */
final class DatabaseFile {
  private static final Logger log = LoggerFactory.getLogger(DatabaseFile.class);
  private static final long WORTH_COMPACTING = 16L << 20;
  private static final int GROWN = 3;
  private static final Duration LOCK_TIMEOUT = Duration.ofSeconds(10);
  private static final int CACHED_PART = 4;

  private final Path base;
  private final Duration writeDelay;

  DatabaseFile(Path folder, Duration writeDelay) {
    this.writeDelay = writeDelay;
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UncheckedIOException("The data folder cannot be made: " + folder, e);
    }
    this.base = folder.toAbsolutePath().normalize().resolve("fabulum");
  }

  String url() {
    return "jdbc:h2:file:"
        + base
        + ";WRITE_DELAY="
        + writeDelay.toMillis()
        + ";DB_CLOSE_ON_EXIT=FALSE;LOCK_TIMEOUT="
        + LOCK_TIMEOUT.toMillis()
        + ";OPTIMIZE_REUSE_RESULTS=FALSE;QUERY_CACHE_SIZE=256;CACHE_SIZE="
        + Runtime.getRuntime().maxMemory() / CACHED_PART / 1024;
  }

  /**
   * Compacts the file when it has grown beyond three times its content. Call before anything else
   * opens it.
   */
  void compactWhenGrown() {
    Path file = base.resolveSibling("fabulum.mv.db");
    try {
      if (!Files.exists(file) || Files.size(file) < WORTH_COMPACTING) {
        return;
      }
      long before = Files.size(file);
      try (Connection connection = DriverManager.getConnection(url(), "fabulum", "");
          Statement statement = connection.createStatement()) {
        long content = before * fillPercent(statement) / 100;
        if (before > GROWN * content) {
          statement.execute("SHUTDOWN COMPACT");
        }
      }
      long after = Files.size(file);
      if (after < before) {
        log.info("Compacted the database file from {} to {} MB", before >> 20, after >> 20);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The database file cannot be read: " + file, e);
    } catch (SQLException e) {
      throw new IllegalStateException(
          "The database file cannot be opened: " + file + ". " + e.getMessage(), e);
    }
  }

  private static long fillPercent(Statement statement) throws SQLException {
    String query =
        "SELECT SETTING_VALUE FROM INFORMATION_SCHEMA.SETTINGS WHERE SETTING_NAME = 'info.CHUNKS_FILL_RATE'";
    try (ResultSet found = statement.executeQuery(query)) {
      return found.next() ? Math.max(1, found.getLong(1)) : 100;
    }
  }
}
