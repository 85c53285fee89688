package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import java.io.InputStream;
import org.springframework.stereotype.Service;

/** What people put to the texts they write. */
@Service
public class PaperAttachments {
  private final Attachments attachments;
  private final InSight inSight;
  private final Permits permits;
  private final Lines lines;

  PaperAttachments(Attachments attachments, InSight inSight, Permits permits, Lines lines) {
    this.attachments = attachments;
    this.inSight = inSight;
    this.permits = permits;
    this.lines = lines;
  }

  /**
   * Makes a file ready and puts it to the text that a person writes in a conversation. It stays
   * there, also over a reload, until it is sent or removed.
   */
  public AttachmentView put(ConversationId id, String name, InputStream content, StaffId by) {
    Conversation row = inSight.row(id, by);
    permits.require(by, Act.TEXT);
    long most = lines.get(new LineId(row.lineId())).mostOctets();
    return attachments.put(row.id(), by, name, content, most);
  }

  /** Takes it off again. */
  public void remove(ConversationId id, AttachmentId attachment, StaffId by) {
    inSight.row(id, by);
    attachments.remove(attachment, by);
  }
}
