package fabulum.server.inbox;

import fabulum.server.attachments.AttachmentView;
import fabulum.server.customers.CustomerView;
import fabulum.server.ownership.SummaryView;
import fabulum.server.presence.Watchers;
import fabulum.server.writing.DraftView;
import fabulum.server.writing.LeftDraft;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a person needs to know before answering.
 *
 * @param customer who it is; empty while to be identified
 * @param holders everybody the number belongs to, by name
 * @param members of a group: everybody on the other side; empty for one number
 * @param guests colleagues who were brought in
 * @param myPart what who asks may here, where they were only brought in; else empty
 * @param drafts what this member of staff has begun to write here
 * @param attached what they have put to the text they write here
 * @param left what those who have left had begun to write here, for leads
 * @param summary after a handing over, until someone has acted on it
 * @param newest the highest id among the entries of the script now; 0 for none
 * @param lost texts of ours that were not delivered and must still be dealt with, by their ids
 * @param watchers who is looking at it or writing in it now
 */
public record DossierView(
    ConversationView conversation,
    @Nullable CustomerView customer,
    List<String> holders,
    List<MemberView> members,
    List<GuestView> guests,
    @Nullable MyPart myPart,
    List<DraftView> drafts,
    List<AttachmentView> attached,
    List<LeftDraft> left,
    @Nullable SummaryView summary,
    long newest,
    Set<Long> lost,
    List<Watchers.Watcher> watchers) {

  /** What a colleague may in a conversation into which they were brought. */
  public enum MyPart {
    NOTES,
    NOTES_AND_ANSWERS
  }
}
