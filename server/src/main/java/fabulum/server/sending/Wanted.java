package fabulum.server.sending;

import fabulum.core.sending.Author;
import fabulum.core.sending.SendQuestion.Attachment;
import fabulum.core.sending.SendQuestion.Sent;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A text that its author would send.
 *
 * @param reference of the text, when it has one already; null while it is being written
 * @param answered a colleague's answer that its writer has not seen
 * @param at when it is to go; null for now
 */
public record Wanted(
    String words,
    Author author,
    @Nullable String reference,
    Optional<Sent> answered,
    List<Attachment> attachments,
    @Nullable Instant at) {
  public Wanted {
    attachments = List.copyOf(attachments);
  }

  /** A text that crosses no colleague's answer. */
  public static Wanted of(
      String words, Author author, @Nullable String reference, List<Attachment> attachments) {
    return new Wanted(words, author, reference, Optional.empty(), attachments, null);
  }

  /** A text without attachments that crosses no colleague's answer. */
  public static Wanted of(String words, Author author, @Nullable String reference) {
    return of(words, author, reference, List.of());
  }

  /** The same text with attachments. */
  public Wanted with(List<Attachment> others) {
    return new Wanted(words, author, reference, answered, others, at);
  }

  /** The same text, crossing a colleague's answer. */
  public Wanted crossing(Optional<Sent> other) {
    return new Wanted(words, author, reference, other, attachments, at);
  }

  /** The same text, to go at a time. */
  public Wanted at(Instant time) {
    return new Wanted(words, author, reference, answered, attachments, time);
  }
}
