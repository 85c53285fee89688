package fabulum.server.writing;

import fabulum.server.attachments.AttachmentView;
import java.time.Instant;
import java.util.List;

/**
 * What a person who has left had begun to write.
 *
 * @param words empty where there are only attachments
 */
public record LeftDraft(
    String by, Paper paper, String words, Instant at, List<AttachmentView> attachments) {
  public LeftDraft {
    attachments = List.copyOf(attachments);
  }
}
