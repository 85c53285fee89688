package fabulum.server.inbox;

import fabulum.core.access.Spot;
import fabulum.core.conversation.Back;
import fabulum.core.conversation.Group;
import fabulum.server.conversations.SpokeLast;
import fabulum.server.people.StaffView;
import java.time.Instant;
import java.util.List;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * A conversation as a row of the list.
 *
 * @param version grows with every change; a smaller one is older
 * @param since our turn: when the customer began to wait; their turn: our last answer; done: when
 *     it was finished
 * @param dueAt on our turn, when an answer is due
 * @param secondsLeft working time left till then at the moment of asking; negative when late
 * @param number as people at home write it, or the sender's name; of a group who takes part
 * @param address the number in E.164, or the sender's name
 * @param numbers how many numbers are on the other side; more than one for a group
 * @param answerable false for names and short codes
 * @param toIdentify nobody, or more than one, is known to hold the number
 * @param notForUs a person said that the texts of this number are not for us
 * @param teamId the team it was handed to, other than the line's
 * @param lastWords the beginning of the last text, at most 200 characters
 * @param failed a text of ours was not delivered, and nobody has dealt with that yet
 * @param failureReason why the last of them was not
 * @param openedAt when it last opened
 * @param asideUntil set aside: when it comes back; empty for when the customer writes
 * @param back why it is back from being set aside, until someone acts on it
 * @param topics what it is about, by their ids
 */
public record ConversationView(
    long id,
    long version,
    Group group,
    Instant since,
    @Nullable Instant dueAt,
    @Nullable Long secondsLeft,
    long lineId,
    String number,
    String address,
    int numbers,
    boolean answerable,
    @Nullable Long customerId,
    @Nullable String customerName,
    boolean toIdentify,
    boolean notForUs,
    @Nullable StaffView owner,
    @Nullable Long teamId,
    Instant lastAt,
    String lastWords,
    SpokeLast lastSpeaker,
    boolean failed,
    @Nullable String failureReason,
    Instant openedAt,
    @Nullable Instant asideUntil,
    @Nullable Back back,
    List<Long> topics) {

  /** Where it is, as far as that decides who sees it. */
  public Spot spot() {
    return new Spot(
        lineId,
        owner == null ? OptionalLong.empty() : OptionalLong.of(owner.id()),
        teamId == null ? OptionalLong.empty() : OptionalLong.of(teamId),
        id);
  }
}
