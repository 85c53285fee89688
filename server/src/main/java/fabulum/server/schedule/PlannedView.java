package fabulum.server.schedule;

import fabulum.core.schedule.WhenClosed;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.inbox.ConversationView;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text that goes later, as people see it.
 *
 * @param staff in whose name it goes
 * @param words with their placeholders
 * @param filled as they would go now; gaps stand in braces
 * @param dueAt when it goes next
 * @param zone by whose clocks, IANA name
 * @param theirZone of the clocks where the customer is
 * @param typed how its time is told from an appointment
 * @param rule by which it goes again, in the text of RFC 5545
 * @param repeats the rule as a sentence
 * @param next the dates after the next one, a few of them
 * @param went how often it went
 * @param held why it did not go; a person has to act
 */
public record PlannedView(
    long id,
    long version,
    long staff,
    String words,
    String filled,
    List<AttachmentView> attachments,
    Instant dueAt,
    String zone,
    String theirZone,
    @Nullable String typed,
    @Nullable String rule,
    @Nullable String repeats,
    WhenClosed whenClosed,
    List<Instant> next,
    boolean unlessWritten,
    boolean comesToMe,
    int went,
    @Nullable String held,
    ConversationView conversation) {
  public PlannedView {
    attachments = List.copyOf(attachments);
    next = List.copyOf(next);
  }
}
