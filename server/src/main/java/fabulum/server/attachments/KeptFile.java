package fabulum.server.attachments;

import fabulum.core.attachment.FileKind;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A file that is kept to be sent.
 *
 * @param customerId with whom it is kept; null on the team's shelf
 * @param job of theirs to which it belongs; null for none
 * @param title what people call it
 * @param name of the file as it is sent
 * @param preview hash of its picture in small; null where there is none
 * @param retired it is offered no more
 * @param lines from which it is offered; empty for all
 */
public record KeptFile(
    long id,
    @Nullable Long customerId,
    @Nullable FileOfJob job,
    String title,
    String name,
    String mediaType,
    long octets,
    String hash,
    @Nullable String preview,
    @Nullable Integer width,
    @Nullable Integer height,
    boolean retired,
    long putBy,
    Instant putAt,
    long version,
    Set<Long> lines) {

  /**
   * The job a file belongs to.
   *
   * @param name its number, if it has one, and what it is
   */
  public record FileOfJob(long id, String name) {}

  /** What it is. */
  public FileKind kind() {
    return FileKind.of(mediaType);
  }
}
