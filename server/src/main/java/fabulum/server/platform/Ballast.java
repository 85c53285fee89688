package fabulum.server.platform;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A file that takes up room on the disk and can be thrown away. When something else fills the disk
 * at once, the database has that room to open again and to be read.
 */
final class Ballast {
  /** What opening the database writes, many times over. */
  static final long OCTETS = 16L << 20;

  private static final Logger log = LoggerFactory.getLogger(Ballast.class);
  private static final int CHUNK = 1 << 20;

  private final Path file;

  Ballast(Path file) {
    this.file = file;
  }

  /** Takes up the room, where it is not taken up already. */
  void takeUp() {
    try {
      if (Files.exists(file) && Files.size(file) == OCTETS) {
        return;
      }
      byte[] nothing = new byte[CHUNK];
      try (OutputStream out = Files.newOutputStream(file)) {
        for (long written = 0; written < OCTETS; written += CHUNK) {
          out.write(nothing);
        }
      }
    } catch (IOException e) {
      log.warn("Room could not be kept back on the disk", e);
      release();
    }
  }

  /** Gives the room to the database. */
  void release() {
    try {
      if (Files.deleteIfExists(file)) {
        log.warn("The disk is full: the room that was kept back is given to the database");
      }
    } catch (IOException e) {
      log.warn("The room that was kept back on the disk could not be given up", e);
    }
  }
}
