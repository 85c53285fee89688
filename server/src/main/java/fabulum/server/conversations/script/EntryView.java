package fabulum.server.conversations.script;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.people.StaffView;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line of the script.
 *
 * @param words of a text or note
 * @param event of an event
 * @param speaker the colleague who wrote or did it
 * @param author of a text of ours that is older than Fabulum: who wrote it, where that is nobody on
 *     the staff
 * @param automatic written by the program
 * @param reference our own name for a text of ours
 * @param delivery how far a text of ours has come
 * @param failureReason in plain words, when it was not delivered
 * @param parts billed parts of a text of ours
 * @param workingSeconds of an answer: how long the customer had waited; of done: since it was
 *     opened
 * @param about the colleague an event is about
 * @param aboutTeam the team an event is about
 * @param editedAt when a note was last changed or withdrawn
 * @param withdrawn of a note: it has no words any more but for its trace
 * @param claimedAt what the network claimed as its time, where that is not believed
 * @param arrivedAt when it reached us, where that was long after it was written
 * @param needsHand a text of ours that was not delivered, and nobody has dealt with that yet
 * @param mentions colleagues whom a note names
 * @param number of a text that came in: the number it came from, in E.164, or the sender's name
 * @param writer of a text that came in: the customer who wrote it, where that is known
 * @param deliveries of a text of ours to a group: how far it has come with each number
 * @param leavesAt of a text of ours that waits: until then its writer can take it back
 * @param cost what a text cost
 * @param currency of the cost, ISO 4217
 * @param attachments what goes or came with a text; empty where nothing does
 */
public record EntryView(
    long id,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable String words,
    @Nullable EventKind event,
    @Nullable StaffView speaker,
    @Nullable String author,
    boolean automatic,
    @Nullable String reference,
    @Nullable DeliveryState delivery,
    @Nullable String failureCode,
    @Nullable String failureReason,
    @Nullable Integer parts,
    @Nullable Long workingSeconds,
    @Nullable StaffView about,
    @Nullable Long aboutTeam,
    @Nullable Instant editedAt,
    boolean withdrawn,
    @Nullable Instant claimedAt,
    @Nullable Instant arrivedAt,
    boolean needsHand,
    List<Long> mentions,
    @Nullable String number,
    @Nullable Writer writer,
    @Nullable List<To> deliveries,
    @Nullable Instant leavesAt,
    @Nullable BigDecimal cost,
    @Nullable String currency,
    @Nullable List<AttachmentView> attachments) {

  /** A customer who wrote. */
  public record Writer(long id, String name) {}

  /**
   * How far a text of ours has come with one number of a group.
   *
   * @param number in E.164
   * @param failureReason in plain words, when it was not delivered
   */
  public record To(String number, DeliveryState delivery, @Nullable String failureReason) {}
}
