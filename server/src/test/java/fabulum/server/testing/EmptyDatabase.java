package fabulum.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import org.springframework.util.FileSystemUtils;

/**
 * A database file with all tables and nothing in them, made once for all programs that tests start:
 * a tenth of each start would go into making the tables.
 */
final class EmptyDatabase {
  private static final String FILE = "fabulum.mv.db";
  private static byte @Nullable [] made;

  private EmptyDatabase() {}

  /** Puts it into a folder that has no database yet. */
  static void putInto(Path folder) {
    try {
      if (Files.notExists(folder.resolve(FILE))) {
        Files.createDirectories(folder);
        Files.write(folder.resolve(FILE), made());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static synchronized byte[] made() throws IOException {
    byte[] file = made;
    if (file == null) {
      Path folder = Files.createTempDirectory("fabulum-empty");
      file = make(folder);
      made = file;
      // H2 may have written its own log beside it.
      FileSystemUtils.deleteRecursively(folder);
    }
    return file;
  }

  private static byte[] make(Path folder) throws IOException {
    String url = "jdbc:h2:file:" + folder.resolve("fabulum");
    Flyway.configure()
        .dataSource(url, "fabulum", "")
        .locations("classpath:db/both", "classpath:db/h2")
        .load()
        .migrate();
    try (Connection connection = DriverManager.getConnection(url, "fabulum", "");
        Statement statement = connection.createStatement()) {
      statement.execute("shutdown compact");
    } catch (SQLException e) {
      throw new IllegalStateException("The empty database could not be closed", e);
    }
    return Files.readAllBytes(folder.resolve(FILE));
  }
}
