package fabulum.server.attachments;

import fabulum.server.attachments.store.AttachmentMapper;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/** Removes what went or came with texts for good, and then the contents that nothing names. */
@Service
public class AttachmentRemoval {
  private final AttachmentMapper attachments;
  private final FileStore store;

  AttachmentRemoval(AttachmentMapper attachments, FileStore store) {
    this.attachments = attachments;
    this.store = store;
  }

  /** Contents that rows named which are gone for good. */
  public record Forgotten(List<String> hashes) {}

  /**
   * Forgets what went or came in conversations that are removed for good. To be used in that
   * transaction.
   *
   * @return to be told as an event in the same transaction; after it the contents go
   */
  public Forgotten forget(List<Long> conversations) {
    if (conversations.isEmpty()) {
      return new Forgotten(List.of());
    }
    List<String> hashes = attachments.listContents(conversations);
    attachments.deleteOfConversations(conversations);
    return new Forgotten(hashes);
  }

  /** The same of single texts. */
  public Forgotten forgetTexts(List<Long> entries) {
    List<Attachment> gone = attachments.listOfEntries(entries);
    if (!gone.isEmpty()) {
      attachments.deleteOfEntries(entries);
    }
    return forgotten(gone);
  }

  /** The same of what would have gone with a planned text. */
  public Forgotten forgetPlanned(long planned) {
    List<Attachment> gone = attachments.listOfPlanned(List.of(planned));
    if (!gone.isEmpty()) {
      attachments.deleteOfPlanned(planned);
    }
    return forgotten(gone);
  }

  private static Forgotten forgotten(List<Attachment> gone) {
    return new Forgotten(
        gone.stream()
            .flatMap(one -> Stream.of(one.hash(), one.preview()))
            .filter(Objects::nonNull)
            .distinct()
            .toList());
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void forgotten(Forgotten gone) {
    store.discard(gone.hashes(), hash -> !attachments.isUsed(hash));
  }
}
