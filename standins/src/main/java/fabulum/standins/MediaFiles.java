package fabulum.standins;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Files that go with texts, as this network keeps them for handsets and for the business. */
@Component
class MediaFiles {
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final int OK = 200;

  private final Path folder;
  private final HttpClient http = HttpClient.newBuilder().connectTimeout(PATIENCE).build();

  MediaFiles(Settings settings) {
    this.folder = settings.data().resolve("media");
  }

  /** Keeps a file under a name that cannot be guessed. */
  String keep(byte[] content) {
    String name = UUID.randomUUID().toString();
    try {
      Files.createDirectories(folder);
      Files.write(folder.resolve(name), content);
    } catch (IOException e) {
      throw new UncheckedIOException("The file cannot be kept", e);
    }
    return name;
  }

  Optional<byte[]> find(String name) {
    Path file = folder.resolve(name);
    if (!name.matches("[0-9a-f-]{36}") || !Files.exists(file)) {
      return Optional.empty();
    }
    try {
      return Optional.of(Files.readAllBytes(file));
    } catch (IOException e) {
      throw new UncheckedIOException("The file cannot be read: " + file, e);
    }
  }

  /**
   * Fetches what goes with a text of the business; empty when it is not to be had or not whole.
   *
   * @throws IOException when the business cannot be reached, which may be over in a moment
   */
  Optional<String> fetch(Media media) throws IOException {
    try {
      HttpResponse<byte[]> answer =
          http.send(
              HttpRequest.newBuilder(URI.create(String.valueOf(media.url())))
                  .timeout(PATIENCE)
                  .build(),
              BodyHandlers.ofByteArray());
      boolean whole =
          answer.statusCode() == OK
              && (media.sha256() == null || media.sha256().equals(hash(answer.body())));
      return whole ? Optional.of(keep(answer.body())) : Optional.empty();
    } catch (IllegalArgumentException notThere) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  static String hash(byte[] content) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }
}
