package fabulum.server.conversations;

import fabulum.core.sending.Author;
import org.jspecify.annotations.Nullable;

/**
 * A text of ours that is to be sent.
 *
 * @param reference ours, made once for it
 * @param seen the newest entry that the writer saw when they began: when a colleague has answered
 *     since, it is refused and says so; null to send it whatever stands there
 * @param again a text of ours that was not delivered and is replaced by this one; null for none
 */
public record Said(
    String words, Author author, String reference, @Nullable Long seen, @Nullable Long again) {

  /** A text that goes whatever stands there, and replaces none. */
  public static Said by(Author author, String words, String reference) {
    return new Said(words, author, reference, null, null);
  }
}
