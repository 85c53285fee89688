package fabulum.server.history;

import java.io.Closeable;
import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;
import org.apache.lucene.store.AlreadyClosedException;
import org.apache.lucene.store.LockObtainFailedException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A folder beside the database in which an index of what was said lies. */
record IndexFolder(Path path) {
  private static final Logger log = LoggerFactory.getLogger(IndexFolder.class);

  /** Opens the index in a folder, or begins one there. */
  @FunctionalInterface
  interface Opening<T> {
    T open(Path folder) throws IOException;
  }

  /**
   * The index; one that cannot be read is removed and begun anew.
   *
   * @throws IOException when the folder cannot be written, or another process has it
   */
  <T> T open(Opening<T> opening) throws IOException {
    try {
      return opening.open(Files.createDirectories(path));
    } catch (AccessDeniedException | LockObtainFailedException notForUs) {
      throw notForUs;
    } catch (IOException | IllegalArgumentException broken) {
      log.warn("The index in {} cannot be read and is made anew", path.getFileName(), broken);
      remove();
      return opening.open(Files.createDirectories(path));
    }
  }

  private void remove() throws IOException {
    try (Stream<Path> all = Files.walk(path)) {
      for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(each);
      }
    }
  }

  /** What a lead is told while the folder cannot be written. */
  String trouble(String what) {
    return what
        + ": its folder "
        + path.getFileName()
        + " beside the database cannot be written. Everything else works; Fabulum tries again by"
        + " itself.";
  }

  /** Closes an index that failed. */
  static void closeFailed(@Nullable Closeable index) {
    try {
      if (index != null) {
        index.close();
      }
    } catch (IOException | AlreadyClosedException alreadyBroken) {
      log.debug("It was closed after it failed", alreadyBroken);
    }
  }

  /**
   * How much is in an index that is read from the newest entry down, 0 to 99 %.
   *
   * @param below entries with ids below this one are still to be read
   * @param last the highest id
   */
  static int percent(long below, long last) {
    long all = Math.max(1, last);
    return (int) Math.max(0, Math.min(99, 100 - 100 * Math.min(below, all) / all));
  }
}
