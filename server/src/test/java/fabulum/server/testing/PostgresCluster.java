package fabulum.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/**
 * A PostgreSQL server for tests: made in a temporary folder when the first test wants it, on a free
 * port, and gone when the tests end. Nothing in it is meant to survive, so nothing is synced.
 */
final class PostgresCluster {
  private static final boolean WANTED = Boolean.getBoolean("fabulum.postgres");
  private static final Path PROGRAMS = Path.of("/usr/lib/postgresql/15/bin");
  private static final String USER = "postgres";

  private final Path folder;
  private final int port;

  private PostgresCluster(Path folder, int port) {
    this.folder = folder;
    this.port = port;
  }

  /** Whether tests use PostgreSQL in place of the database file. */
  static boolean isWanted() {
    return WANTED;
  }

  private static final class Holder {
    static final PostgresCluster STARTED = start();
  }

  /** The arguments that make a program use a database of its own, which belongs to a folder. */
  static List<String> arguments(Path folder) {
    return List.of(
        "--fabulum.database.url=" + Holder.STARTED.database(folder),
        "--fabulum.database.user=" + USER);
  }

  private String database(Path folder) {
    String name = "f" + Integer.toUnsignedString(folder.toAbsolutePath().hashCode(), 36);
    try (Connection connection = DriverManager.getConnection(url(USER), USER, "");
        Statement statement = connection.createStatement()) {
      try (ResultSet found =
          statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
        if (found.next()) {
          return url(name);
        }
      }
      statement.execute("create database " + name);
      return url(name);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private String url(String name) {
    return "jdbc:postgresql://localhost:" + port + "/" + name;
  }

  private static PostgresCluster start() {
    try (ServerSocket free = new ServerSocket(0)) {
      PostgresCluster cluster =
          new PostgresCluster(Files.createTempDirectory("fabulum-postgres"), free.getLocalPort());
      free.close();
      cluster.make();
      return cluster;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void make() throws IOException {
    if (isRoot()) {
      run("chown", USER, folder.toString());
    }
    run(asUser("initdb", "-D", data(), "-U", USER, "-A", "trust", "-E", "UTF8", "--no-locale"));
    Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
    run(
        asUser(
            "pg_ctl",
            "-D",
            data(),
            "-w",
            "-l",
            folder.resolve("log").toString(),
            "-o",
            "-p "
                + port
                + " -c listen_addresses=localhost -c unix_socket_directories="
                + folder
                + " -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
                + " -c max_connections=400",
            "start"));
  }

  private void stop() {
    try {
      run(asUser("pg_ctl", "-D", data(), "-m", "immediate", "stop"));
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String data() {
    return folder.resolve("data").toString();
  }

  /** PostgreSQL refuses to run as root. */
  private static String[] asUser(String program, String... arguments) {
    List<String> command = new ArrayList<>();
    if (isRoot()) {
      command.addAll(List.of("runuser", "-u", USER, "--"));
    }
    command.add(PROGRAMS.resolve(program).toString());
    return Stream.concat(command.stream(), Stream.of(arguments)).toArray(String[]::new);
  }

  private static boolean isRoot() {
    return "root".equals(System.getProperty("user.name"));
  }

  private void run(String... command) throws IOException {
    Path said = Files.createTempFile("fabulum-postgres", ".log");
    try {
      Process process =
          new ProcessBuilder(command)
              .directory(folder.toFile())
              .redirectErrorStream(true)
              .redirectOutput(said.toFile())
              .start();
      if (!process.waitFor(60, TimeUnit.SECONDS) || process.exitValue() != 0) {
        throw new IOException(
            String.join(" ", command) + ": " + Files.readString(said, StandardCharsets.UTF_8));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    } finally {
      Files.delete(said);
    }
  }
}
