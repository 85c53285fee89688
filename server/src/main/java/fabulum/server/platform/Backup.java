package fabulum.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.stereotype.Service;

/**
 * Copies of the data, made while the program runs: the database first, then the files, none of
 * which is thrown away within a day after a row has named it.
 */
@Service
public class Backup {
  private static final DateTimeFormatter NAME =
      DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);

  private final DataSource database;
  private final DatabaseSettings server;
  private final DataSettings settings;
  private final DiskReserve reserve;
  private final Clock clock;

  Backup(
      DataSource database,
      DatabaseSettings server,
      DataSettings settings,
      DiskReserve reserve,
      Clock clock) {
    this.database = database;
    this.server = server;
    this.settings = settings;
    this.reserve = reserve;
    this.clock = clock;
  }

  /**
   * A backup.
   *
   * @param file a ZIP archive of the database file and of the files beside it
   * @param octets its size
   */
  public record Made(String file, long octets) {}

  /**
   * Writes everything that is committed now into the folder {@code backups} beside the data. A
   * backup that fails leaves no file behind. What a PostgreSQL server keeps is backed up by its own
   * tools.
   */
  public synchronized Made make() {
    if (server.url() != null) {
      throw Problem.conflict(
          Problem.Kind.METHOD_NOT_ALLOWED,
          "The data is kept by a PostgreSQL server. Back it up with pg_dump.");
    }
    reserve.requireRoom();
    Path folder = settings.data().toAbsolutePath().normalize().resolve("backups");
    Path whole = folder.resolve("fabulum-" + NAME.format(clock.instant()) + ".zip");
    Path part = folder.resolve("part.zip");
    try {
      Files.createDirectories(folder);
      try (Connection connection = database.getConnection();
          PreparedStatement backup = connection.prepareStatement("backup to ?")) {
        backup.setString(1, part.toString());
        backup.execute();
        addFiles(part);
        Files.move(part, whole, StandardCopyOption.ATOMIC_MOVE);
      } finally {
        Files.deleteIfExists(part);
      }
      return new Made(whole.toString(), Files.size(whole));
    } catch (IOException e) {
      throw new UncheckedIOException("The backup could not be written", e);
    } catch (SQLException e) {
      throw new IllegalStateException("The backup could not be made", e);
    }
  }

  private void addFiles(Path archive) throws IOException {
    Path folder = settings.files();
    if (!Files.isDirectory(folder)) {
      return;
    }
    // Most files are packed already, so packing them again only takes time.
    try (FileSystem zip = FileSystems.newFileSystem(archive, Map.of("noCompression", true));
        Stream<Path> all = Files.walk(folder)) {
      for (Path file : (Iterable<Path>) all.filter(Files::isRegularFile)::iterator) {
        String name = folder.relativize(file).toString().replace('\\', '/');
        if (!name.startsWith("parts/")) {
          Path to = zip.getPath("/files/" + name);
          Files.createDirectories(to.getParent());
          Files.copy(file, to);
        }
      }
    }
  }
}
