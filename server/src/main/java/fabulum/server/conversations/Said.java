package fabulum.server.conversations;

import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Purpose;
import fabulum.core.sending.Reason;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
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
 * @param confirmed what its writer knows to speak against it and sends it all the same
 * @param looked the words as its writer saw that they would leave; null when they did not look
 * @param template from which its words were made; null for none
 * @param attachments what goes with it, in order
 */
public record Said(
    String words,
    Author author,
    ClientReference reference,
    @Nullable Long seen,
    @Nullable Long again,
    @Nullable Instant when,
    Set<Reason> confirmed,
    @Nullable String looked,
    @Nullable Long template,
    List<Long> attachments) {
  public Said {
    attachments = List.copyOf(attachments);
    confirmed = Set.copyOf(confirmed);
  }

  /** A text that goes at once, whatever stands there, and replaces none. */
  public static Said by(Author author, String words, ClientReference reference) {
    return new Said(words, author, reference, null, null, null, Set.of(), null, null, List.of());
  }

  /**
   * A text of Fabulum's own: there is nobody to ask. It is not said twice in a moment, or two
   * programs could go on answering each other.
   */
  public static Said itself(Purpose purpose, String words) {
    Set<Reason> confirmed = EnumSet.complementOf(EnumSet.of(Reason.SAME_TEXT));
    return new Said(
        words,
        new Author.Itself(purpose),
        new ClientReference("itself-" + UUID.randomUUID()),
        null,
        null,
        null,
        confirmed,
        null,
        null,
        List.of());
  }

  /** The same text, with what its writer knows to speak against it. */
  public Said confirming(Set<Reason> reasons) {
    return new Said(
        words, author, reference, seen, again, when, reasons, looked, template, attachments);
  }

  /** The same text, not to go before a time. */
  public Said notBefore(Instant time) {
    return new Said(
        words, author, reference, seen, again, time, confirmed, looked, template, attachments);
  }
}
