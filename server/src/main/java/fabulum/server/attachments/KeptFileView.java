package fabulum.server.attachments;

import fabulum.core.attachment.FileKind;
import fabulum.server.attachments.KeptFile.FileOfJob;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A file that is kept to be sent, as it is shown.
 *
 * @param job of the customer to which it belongs; null for none
 * @param title what people call it
 * @param name of the file as it is sent
 * @param preview whether there is a picture of it in small
 * @param shown whether it can be shown or played in the page
 * @param lines from which it is offered; empty for all
 * @param putBy who put it there
 */
public record KeptFileView(
    long id,
    FileKind kind,
    @Nullable FileOfJob job,
    String title,
    String name,
    String mediaType,
    long octets,
    @Nullable Integer width,
    @Nullable Integer height,
    boolean preview,
    boolean shown,
    boolean retired,
    Set<Long> lines,
    long putBy,
    Instant putAt,
    long version) {

  /** As it is shown. */
  public static KeptFileView of(KeptFile file) {
    return new KeptFileView(
        file.id(),
        file.kind(),
        file.job(),
        file.title(),
        file.name(),
        file.mediaType(),
        file.octets(),
        file.width(),
        file.height(),
        file.preview() != null,
        FileKind.isShown(file.mediaType()),
        file.retired(),
        file.lines(),
        file.putBy(),
        file.putAt(),
        file.version());
  }
}
