package fabulum.server.attachments;

import fabulum.core.attachment.FileKind;
import org.jspecify.annotations.Nullable;

/**
 * What goes or came with a text, as it is shown.
 *
 * @param mediaType as its content says, whatever its name is
 * @param octets its size
 * @param cameOctets its size before it was made ready to be sent, where that was more
 * @param width of a picture, in pixels
 * @param words what a person says that it shows; empty for nothing
 * @param state whether its content is here
 * @param preview whether there is a picture of it in small
 * @param shown whether it can be shown or played in the page; all others are only downloaded
 */
public record AttachmentView(
    long id,
    FileKind kind,
    String name,
    String mediaType,
    long octets,
    @Nullable Long cameOctets,
    @Nullable Integer width,
    @Nullable Integer height,
    String words,
    Attachment.State state,
    boolean preview,
    boolean shown) {

  static AttachmentView of(Attachment row) {
    return new AttachmentView(
        row.id(),
        row.kind(),
        row.name(),
        row.mediaType(),
        row.octets(),
        row.cameOctets() > row.octets() ? row.cameOctets() : null,
        row.width(),
        row.height(),
        row.words(),
        row.state(),
        row.preview() != null,
        row.hash() != null && FileKind.isShown(row.mediaType()));
  }
}
