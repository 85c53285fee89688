package fabulum.server.attachments;

import fabulum.core.attachment.FileKind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What goes or came with a text.
 *
 * @param entryId the text; null while it is on somebody's paper or waits for a second look
 * @param staffId who put it there; null for what a customer sent
 * @param secondLookId of the text with which it waits for a colleague's yes
 * @param plannedId of the planned text with which it goes later
 * @param place among the others of its text
 * @param cameOctets its size before it was made ready to be sent
 * @param hash of its content, SHA-256; null while it is not here
 * @param preview hash of its picture in small, where there is one
 * @param width of a picture, in pixels
 * @param words what a person says that it shows, for those who do not see it; empty for nothing
 * @param source where the network has it; null for ours
 * @param sourceHash SHA-256 that it must have, as the network says
 * @param tries how often it was asked for in vain
 */
public record Attachment(
    long id,
    long conversationId,
    @Nullable Long entryId,
    @Nullable Long staffId,
    @Nullable Long secondLookId,
    @Nullable Long plannedId,
    int place,
    String name,
    String mediaType,
    long octets,
    long cameOctets,
    @Nullable String hash,
    @Nullable String preview,
    @Nullable Integer width,
    @Nullable Integer height,
    String words,
    State state,
    Instant madeAt,
    @Nullable String source,
    @Nullable String sourceHash,
    int tries) {

  /** Whether its content is here. */
  public enum State {
    HERE,
    /** It is being fetched from the network, or will be tried again. */
    FETCHING,
    /** It could not be fetched, and is not tried again by itself. */
    MISSING
  }

  /** The same content once more, with another text or on a person's paper. */
  Attachment copied(
      long conversation, @Nullable Long entry, @Nullable Long staff, int at, Instant now) {
    return new Attachment(
        0,
        conversation,
        entry,
        staff,
        null,
        null,
        at,
        name,
        mediaType,
        octets,
        cameOctets,
        hash,
        preview,
        width,
        height,
        words,
        state,
        now,
        null,
        null,
        0);
  }

  /** What it is. */
  public FileKind kind() {
    return FileKind.of(mediaType);
  }
}
