package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Fabulum;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A start that fails says why in a sentence, and what to do. */
@Tag("file")
class StartFailureTest {
  @TempDir Path folder;

  private String failure(String... more) {
    try (Fabulum started = Fabulum.start(folder, more)) {
      throw new AssertionError("It started on port " + started.port());
    } catch (RuntimeException failed) {
      return StartFailure.explain(failed);
    }
  }

  private static boolean canBeLocked(FileChannel file) {
    try {
      return file.lock().isValid();
    } catch (OverlappingFileLockException | IOException stillHeld) {
      return false;
    }
  }

  @Test
  void anotherOneHasTheData() throws IOException {
    Fabulum ended = Fabulum.start(folder);
    ended.close();
    try (FileChannel file =
        FileChannel.open(folder.resolve("fabulum.mv.db"), StandardOpenOption.WRITE)) {
      // A connection that was in use when the program ended lets go of the file a moment later.
      assertThat(ended.becomes(() -> canBeLocked(file))).isTrue();
      assertThat(failure())
          .isEqualTo(
              "Fabulum did not start: its data is in use by another Fabulum. Stop that one, or name"
                  + " another folder with --fabulum.data.");
    }
  }

  @Test
  void theFileIsDamaged() throws IOException {
    Path file = folder.resolve("fabulum.mv.db");
    Files.writeString(file, "this was a database once ".repeat(2_000));
    assertThat(failure())
        .startsWith("Fabulum did not start: the database file is damaged and was left as it is.")
        .contains("backup")
        .hasLineCount(1);
    assertThat(Files.readString(file)).startsWith("this was a database");
  }

  @Test
  void theFolderIsAFile() throws IOException {
    Path file = Files.writeString(folder.resolve("not-a-folder"), "x");
    assertThat(failure("--fabulum.data=" + file))
        .startsWith("Fabulum did not start: the data folder cannot be written")
        .contains("--fabulum.data")
        .hasLineCount(1);
  }

  @Test
  void thePortIsTaken() throws IOException {
    try (ServerSocket taken = new ServerSocket(0)) {
      assertThat(failure("--server.port=" + taken.getLocalPort()))
          .isEqualTo(
              "Fabulum did not start: port "
                  + taken.getLocalPort()
                  + " is taken by another program. Stop that one, or choose another with"
                  + " --server.port.");
    }
  }

  @Test
  void aSettingCannotBeRead() {
    assertThat(failure("--fabulum.clock.at=yesterday"))
        .startsWith("Fabulum did not start: a setting cannot be read")
        .contains("fabulum.clock.at")
        .hasLineCount(1);
    assertThat(failure("--fabulum.network.key="))
        .startsWith("Fabulum did not start: the configuration is not complete")
        .contains("fabulum.network.url needs")
        .hasLineCount(1);
  }
}
