package fabulum.server.writing;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A text that waits for a colleague's yes before it goes.
 *
 * @param staff who wrote it
 * @param words as they were typed
 * @param reference under which it will be sent
 * @param seen the newest entry that its writer saw
 * @param again a text that was not delivered and is replaced by it
 * @param template from which its words were made
 * @param endedAt when it was sent, returned or taken back; then its words are empty
 */
public record SecondLook(
    long id,
    long conversation,
    long staff,
    String words,
    String reference,
    @Nullable Long seen,
    @Nullable Long again,
    @Nullable Long template,
    Instant askedAt,
    @Nullable Instant endedAt) {

  @Override
  public String toString() {
    return "SecondLook[" + id + "]";
  }
}
