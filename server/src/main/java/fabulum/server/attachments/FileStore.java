package fabulum.server.attachments;

import fabulum.server.platform.DataSettings;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Contents of files, each kept once under the SHA-256 of its octets (FIPS 180-4), in the folder
 * {@code files} beside the database. A content is written whole under another name and moved into
 * place, so there is never half of one; it is there before a row names it, and stays for a day
 * after the last row has gone, so a backup of rows and then of files has all.
 */
@Component
public class FileStore {
  private static final int BUFFER = 1 << 16;

  private final Path folder;
  private final Path parts;

  private final Clock clock;

  FileStore(DataSettings settings, Clock clock) {
    this.clock = clock;
    this.folder = settings.files();
    this.parts = folder.resolve("parts");
  }

  /** A content that is kept. */
  public record Kept(String hash, long octets) {}

  /** More than may be read. */
  public static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * A file that is being written and has no name yet; closed, it is thrown away.
   *
   * @param path where it lies meanwhile
   */
  public record Part(Path path) implements AutoCloseable {
    @Override
    public void close() throws IOException {
      Files.deleteIfExists(path);
    }
  }

  /** A file of its own to write to. */
  public Part begin() throws IOException {
    Files.createDirectories(parts);
    return new Part(Files.createFile(parts.resolve(UUID.randomUUID().toString())));
  }

  /**
   * Reads all there is into a file of its own.
   *
   * @param most octets that may be read
   * @throws TooLarge when there is more; nothing is kept then
   */
  Part read(InputStream from, long most) throws IOException {
    Part part = begin();
    try (OutputStream to = Files.newOutputStream(part.path())) {
      byte[] buffer = new byte[BUFFER];
      long all = 0;
      for (int n = from.read(buffer); n >= 0; n = from.read(buffer)) {
        all += n;
        if (all > most) {
          throw new TooLarge();
        }
        to.write(buffer, 0, n);
      }
      return part;
    } catch (IOException | RuntimeException e) {
      part.close();
      throw e;
    }
  }

  /** Keeps what was written; of what is kept already there is only one. */
  public Kept keep(Part part) throws IOException {
    long octets = Files.size(part.path());
    String hash = hash(part.path());
    try (FileChannel written = FileChannel.open(part.path(), StandardOpenOption.WRITE)) {
      written.force(true);
    }
    Path place = place(hash);
    synchronized (this) {
      Files.createDirectories(place.getParent());
      if (!Files.exists(place)) {
        Files.move(part.path(), place, StandardCopyOption.ATOMIC_MOVE);
      }
      // As young as the row that will name it, so it is not swept away before.
      Files.setLastModifiedTime(place, FileTime.from(clock.instant()));
    }
    return new Kept(hash, octets);
  }

  static String hash(Path file) throws IOException {
    MessageDigest digest = digest();
    try (OutputStream counted = new DigestOutputStream(OutputStream.nullOutputStream(), digest)) {
      Files.copy(file, counted);
    }
    return HexFormat.of().formatHex(digest.digest());
  }

  private static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }

  /** Where a content lies. */
  public Path place(String hash) {
    return folder.resolve(hash.substring(0, 2)).resolve(hash);
  }

  /** Whether a content is here. */
  public boolean has(String hash) {
    return Files.isRegularFile(place(hash));
  }

  /**
   * Throws contents away.
   *
   * @param unused said of each just before
   */
  synchronized void discard(List<String> hashes, Predicate<String> unused) {
    for (String hash : hashes) {
      if (unused.test(hash)) {
        try {
          Files.deleteIfExists(place(hash));
        } catch (IOException e) {
          throw new UncheckedIOException("A file cannot be deleted: " + hash, e);
        }
      }
    }
  }

  /** The contents that were put here before a time, in no promised order. */
  List<String> listOlderThan(Instant time) throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.walk(folder, 2)) {
      return all.filter(file -> file.getNameCount() == folder.getNameCount() + 2)
          .filter(file -> !file.startsWith(parts))
          .filter(file -> isOlder(file, time))
          .map(file -> file.getFileName().toString())
          .toList();
    }
  }

  /** Throws away what was begun before a time and never kept: the program ended meanwhile. */
  void discardPartsOlderThan(Instant time) throws IOException {
    if (Files.isDirectory(parts)) {
      try (Stream<Path> all = Files.list(parts)) {
        for (Path part : all.filter(one -> isOlder(one, time)).toList()) {
          Files.deleteIfExists(part);
        }
      }
    }
  }

  private static boolean isOlder(Path file, Instant time) {
    try {
      return Files.getLastModifiedTime(file).toInstant().isBefore(time);
    } catch (NoSuchFileException gone) {
      return false;
    } catch (IOException e) {
      throw new UncheckedIOException("A file cannot be looked at: " + file, e);
    }
  }
}
