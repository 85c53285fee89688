package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.attachments.KeptFile;
import fabulum.server.attachments.KeptFiles;
import fabulum.server.attachments.Papers;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.script.ScriptAttachments;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import java.io.InputStream;
import java.util.List;
import org.springframework.stereotype.Service;

/** What people put to the texts they write. */
@Service
public class PaperAttachments {
  private final Papers papers;
  private final InSight inSight;
  private final Permits permits;
  private final Lines lines;
  private final KeptFiles kept;
  private final ScriptAttachments scripts;

  PaperAttachments(
      Papers papers,
      InSight inSight,
      Permits permits,
      Lines lines,
      KeptFiles kept,
      ScriptAttachments scripts) {
    this.kept = kept;
    this.scripts = scripts;
    this.papers = papers;
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
    return papers.put(row.id(), by, name, content, most(row));
  }

  /** Puts a file of the shelf, or one that is kept with a customer, there. */
  public AttachmentView putKept(ConversationId id, long file, StaffId by) {
    Conversation row = inSight.row(id, by);
    permits.require(by, Act.TEXT);
    return kept.putOnPaper(file, row.id(), by, most(row));
  }

  /** Puts what went or came with an earlier text there. */
  public AttachmentView putAgain(ConversationId id, AttachmentId earlier, StaffId by) {
    Conversation row = inSight.row(id, by);
    permits.require(by, Act.TEXT);
    return papers.putAgain(scripts.get(earlier, by), row.id(), by, most(row));
  }

  private long most(Conversation row) {
    return lines.get(new LineId(row.lineId())).mostOctets();
  }

  /**
   * What can be put there besides files of this computer.
   *
   * @param shelf what the line's shelf has
   * @param kept what is kept with the customer
   * @param earlier what went or came with earlier texts of theirs
   */
  public record OfferedFiles(
      List<KeptFile> shelf, List<KeptFile> kept, List<AttachmentView> earlier) {}

  /** What can be put to a text in a conversation. */
  public OfferedFiles offered(ConversationId id, StaffId by) {
    Conversation row = inSight.row(id, by);
    List<KeptFile> shelf =
        kept.listShelf().stream()
            .filter(file -> !file.retired())
            .filter(file -> file.lines().isEmpty() || file.lines().contains(row.lineId()))
            .toList();
    List<KeptFile> ofCustomer =
        row.customerId() == null ? List.of() : kept.listOfCustomer(row.customerId());
    return new OfferedFiles(shelf, ofCustomer, scripts.listOfCustomer(id, by));
  }

  /** Takes it off again. */
  public void remove(ConversationId id, AttachmentId attachment, StaffId by) {
    inSight.row(id, by);
    papers.remove(attachment, by);
  }
}
