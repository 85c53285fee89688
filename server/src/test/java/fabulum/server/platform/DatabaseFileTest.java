package fabulum.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

@Tag("file")
class DatabaseFileTest {
  private static final int ROWS = 400;

  @Test
  void aFileGrownBeyondThreeTimesItsContentIsCompactedAndNothingIsLost(@TempDir Path folder)
      throws Exception {
    DatabaseFile database = new DatabaseFile(folder, Duration.ZERO);
    Path file = folder.resolve("fabulum.mv.db");
    try (Connection connection = DriverManager.getConnection(database.url(), "fabulum", "");
        Statement statement = connection.createStatement()) {
      statement.execute("create table t (id int primary key, words varchar(2000))");
      for (int i = 0; i < 6; i++) {
        write(connection, i);
      }
      // As when the process is killed: nothing is tidied up on the way out.
      statement.execute("SHUTDOWN IMMEDIATELY");
    }
    long grown = Files.size(file);
    assertThat(grown).as("each commit writes whole pages").isGreaterThan(16L << 20);

    database.compactWhenGrown();

    assertThat(Files.size(file)).isLessThan(grown / 3);
    try (Connection connection = DriverManager.getConnection(database.url(), "fabulum", "");
        Statement statement = connection.createStatement();
        ResultSet count =
            statement.executeQuery("select count(*) from t where words like 'version 5%'")) {
      count.next();
      assertThat(count.getInt(1)).isEqualTo(ROWS);
    }
  }

  @Test
  void whileItRunsTheFileStaysBoundedAndASmallOneIsLeftAlone(@TempDir Path folder)
      throws Exception {
    DatabaseFile database = new DatabaseFile(folder, Duration.ZERO);
    Path file = folder.resolve("fabulum.mv.db");
    try (Connection connection = DriverManager.getConnection(database.url(), "fabulum", "");
        Statement statement = connection.createStatement()) {
      statement.execute("create table t (id int primary key, words varchar(2000))");
      assertThat(OpenCompaction.step(connection, Duration.ofMinutes(1))).as("small").isFalse();
      for (int i = 0; i < 8; i++) {
        write(connection, i);
      }
      long grown = Files.size(file);
      assertThat(grown).isGreaterThan(OpenCompaction.SMALL);
      assertThat(OpenCompaction.step(connection, Duration.ZERO)).isTrue();
      for (int i = 8; i < 30; i++) {
        write(connection, i);
        OpenCompaction.step(connection, Duration.ZERO);
        assertThat(Files.size(file)).isLessThan(grown);
      }
      statement.execute("SHUTDOWN IMMEDIATELY");
    }
    try (Connection connection = DriverManager.getConnection(database.url(), "fabulum", "");
        Statement statement = connection.createStatement();
        ResultSet count =
            statement.executeQuery("select count(*) from t where words like 'version 29%'")) {
      count.next();
      assertThat(count.getInt(1)).as("nothing is lost").isEqualTo(ROWS);
    }
  }

  private static void write(Connection connection, int version) throws SQLException {
    try (PreparedStatement insert =
        connection.prepareStatement("merge into t key (id) values (?, ?)")) {
      for (int row = 0; row < ROWS; row++) {
        insert.setInt(1, row);
        insert.setString(2, ("version " + version + " ").repeat(180));
        insert.execute();
      }
    }
  }

  @Test
  void aNewFolderIsMadeAndASmallFileLeftAlone(@TempDir Path folder) {
    DatabaseFile database = new DatabaseFile(folder.resolve("new/deep"), Duration.ZERO);
    database.compactWhenGrown();
    assertThat(folder.resolve("new/deep")).isDirectory();
  }
}
