package fabulum.server.conversations.script;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.AttachmentFetched;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.Attachments;
import fabulum.server.attachments.Papers;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.platform.Problem;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What goes and came with texts, as far as people see their conversations. */
@Service
public class ScriptAttachments {
  private static final int SHOWN = 60;

  private final Attachments attachments;
  private final Papers papers;
  private final InSight inSight;
  private final Bookkeeping books;
  private final Permits permits;
  private final ConversationMapper conversations;

  ScriptAttachments(
      Attachments attachments,
      Papers papers,
      InSight inSight,
      Bookkeeping books,
      Permits permits,
      ConversationMapper conversations) {
    this.conversations = conversations;
    this.attachments = attachments;
    this.papers = papers;
    this.inSight = inSight;
    this.books = books;
    this.permits = permits;
  }

  /**
   * A file that may be handed out.
   *
   * @param mediaType as its content says
   */
  public record SeenFile(Path path, String name, String mediaType) {}

  /** The content, for a person who sees it. */
  public SeenFile content(AttachmentId id, StaffId asking) {
    Attachment seen = see(id, asking);
    return file(attachments.content(seen), seen.name(), seen.mediaType());
  }

  /** Its picture in small, for a person who sees it. */
  public SeenFile preview(AttachmentId id, StaffId asking) {
    Attachment seen = see(id, asking);
    return file(attachments.preview(seen), seen.name(), "image/jpeg");
  }

  private static SeenFile file(Optional<Path> path, String name, String mediaType) {
    return path.map(there -> new SeenFile(there, name, mediaType))
        .orElseThrow(() -> Problem.notFound("file"));
  }

  /**
   * What went or came with texts of a conversation's customer, as far as it is seen, the newest.
   */
  public List<AttachmentView> listOfCustomer(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    List<ConversationId> all =
        row.customerId() == null
            ? List.of(id)
            : conversations.listByCustomer(row.customerId()).stream()
                .map(ConversationId::new)
                .toList();
    List<Long> seen = inSight.list(all, asking).stream().map(Conversation::id).toList();
    return attachments.listNewest(seen, SHOWN);
  }

  /** What went or came with a text, for a person who sees it. */
  public Attachment get(AttachmentId id, StaffId asking) {
    return see(id, asking);
  }

  /** What is only on a paper is seen by its writer, and by leads when the writer has left. */
  private Attachment see(AttachmentId id, StaffId asking) {
    Attachment attachment = attachments.get(id);
    inSight.row(new ConversationId(attachment.conversationId()), asking);
    boolean onPaper =
        attachment.entryId() == null
            && attachment.secondLookId() == null
            && attachment.plannedId() == null;
    if (onPaper
        && !Long.valueOf(asking.value()).equals(attachment.staffId())
        && !isLeftToLeads(attachment, asking)) {
      throw Problem.notFound("attachment");
    }
    return attachment;
  }

  private boolean isLeftToLeads(Attachment attachment, StaffId asking) {
    return permits.of(asking).may(Act.LEAD)
        && papers.listLeft(attachment.conversationId()).values().stream()
            .flatMap(paper -> paper.attachments().stream())
            .anyMatch(one -> one.id() == attachment.id());
  }

  /** Says what something shows, for those who do not see it. */
  @Transactional
  public void describe(AttachmentId id, String words, StaffId by) {
    Attachment attachment = see(id, by);
    permits.require(by, Act.WORK);
    attachments.describe(id, words);
    changed(attachment);
  }

  /** Tries again to fetch what could not be fetched. */
  @Transactional
  public void fetchAgain(AttachmentId id, StaffId by) {
    Attachment attachment = see(id, by);
    permits.require(by, Act.WORK);
    attachments.fetchAgain(id);
    changed(attachment);
  }

  private void changed(Attachment attachment) {
    if (attachment.entryId() != null) {
      books.changed(attachment.conversationId(), List.of(attachment.entryId()));
    }
  }

  /** Tells of what is here now, in the same transaction. */
  @EventListener
  void fetched(AttachmentFetched event) {
    books.changed(event.conversation(), List.of(event.entry()));
  }
}
