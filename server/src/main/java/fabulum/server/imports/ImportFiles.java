package fabulum.server.imports;

import fabulum.server.platform.DataSettings;
import fabulum.server.platform.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.springframework.stereotype.Component;

/** The files that were handed in, beside the database, until they are taken or given up. */
@Component
class ImportFiles {
  private final Path folder;

  ImportFiles(DataSettings settings) {
    this.folder = settings.data().resolve("imports");
  }

  /** Keeps a file whole or not at all. */
  void keep(long id, byte[] octets) {
    try {
      Files.createDirectories(folder);
      Path begun = folder.resolve(id + ".begun");
      Files.write(begun, octets);
      Files.move(begun, place(id), StandardCopyOption.ATOMIC_MOVE);
    } catch (IOException broken) {
      throw new UncheckedIOException("The file could not be kept", broken);
    }
  }

  private Path place(long id) {
    return folder.resolve(id + ".file");
  }

  byte[] read(long id) {
    try {
      return Files.readAllBytes(place(id));
    } catch (IOException gone) {
      throw Problem.conflict(
          Problem.Kind.ENDED, "This file is no longer kept. Please hand it in again.");
    }
  }

  void forget(long id) {
    try {
      Files.deleteIfExists(place(id));
    } catch (IOException broken) {
      throw new UncheckedIOException("The file could not be removed", broken);
    }
  }
}
