package fabulum.server.conversations;

import fabulum.core.access.Spot;
import fabulum.core.conversation.Back;
import fabulum.core.conversation.Channel;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Participants;
import fabulum.core.conversation.Standing;
import fabulum.core.conversation.Turn;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * A conversation, with the address of its number and the name of its customer.
 *
 * @param numberId the number on the other side; of a group the first in order
 * @param apart whether it is not for us, and in no list
 * @param beganWith the {@linkplain Participants#key() key} of all numbers on the other side
 */
public record Conversation(
    long id,
    long lineId,
    long numberId,
    String address,
    Channel channel,
    String beganWith,
    @Nullable Long customerId,
    @Nullable String customerName,
    @Nullable Long ownerId,
    @Nullable Long teamId,
    @Nullable Long handedEntry,
    @Nullable Long startedBy,
    Group box,
    boolean apart,
    Turn turn,
    Instant since,
    Instant openedAt,
    @Nullable Instant asideUntil,
    @Nullable Back back,
    @Nullable Instant dueAt,
    Instant sortAt,
    boolean finishedUnanswered,
    boolean toIdentify,
    Instant lastAt,
    String lastWords,
    SpokeLast lastSpeaker,
    boolean failed,
    @Nullable String failureReason,
    long version) {

  /** How much of the last text a row keeps, in UTF-16 units. */
  private static final int BEGINNING = 200;

  /** Where it is, as far as that decides who sees it. */
  public Spot spot() {
    return new Spot(
        lineId,
        ownerId == null ? OptionalLong.empty() : OptionalLong.of(ownerId),
        teamId == null ? OptionalLong.empty() : OptionalLong.of(teamId),
        id);
  }

  /** Whether several numbers are on the other side. */
  public boolean isGroup() {
    return !beganWith.equals(address);
  }

  /** How it stands. */
  public ConversationState state() {
    Standing standing =
        Standing.of(
            box, Optional.ofNullable(back), Optional.ofNullable(asideUntil), finishedUnanswered);
    return new ConversationState(turn, since, standing);
  }

  /**
   * The beginning of a text in quotation marks; of one without words, that something came with it.
   */
  public static String quoted(@Nullable String words) {
    return words == null || words.isBlank() ? "an attachment" : "“" + beginning(words) + "”";
  }

  /** The beginning of a text as a row keeps it: on one line, cut between whole characters. */
  public static String beginning(String words) {
    String flat = words.strip().replaceAll("\\s+", " ");
    if (flat.length() <= BEGINNING) {
      return flat;
    }
    boolean torn = Character.isHighSurrogate(flat.charAt(BEGINNING - 1));
    return flat.substring(0, torn ? BEGINNING - 1 : BEGINNING);
  }
}
