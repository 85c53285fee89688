package fabulum.server.conversations;

import fabulum.core.sending.Author;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A text of ours that is to be sent.
 *
 * @param reference ours, made once for it
 * @param seen the newest entry that the writer saw when they began: when a colleague has answered
 *     since, it is refused and says so; null to send it whatever stands there
 * @param again a text of ours that was not delivered and is replaced by this one; null for none
 * @param when not to go before; what is written in the conversation after it goes after it. Null
 *     for at once
 */
public record Said(
    String words,
    Author author,
    String reference,
    @Nullable Long seen,
    @Nullable Long again,
    @Nullable Instant when) {

  /** A text that goes at once, whatever stands there, and replaces none. */
  public static Said by(Author author, String words, String reference) {
    return new Said(words, author, reference, null, null, null);
  }

  /** The same text, not to go before a time. */
  public Said notBefore(Instant time) {
    return new Said(words, author, reference, seen, again, time);
  }
}
