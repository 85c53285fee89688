package fabulum.server.conversations.store;

import fabulum.core.conversation.Group;
import fabulum.core.conversation.Turn;
import fabulum.server.conversations.SpokeLast;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of conversation with the address of its number and the name of its customer. */
public record ConversationRow(
    long id,
    long lineId,
    long numberId,
    String address,
    @Nullable Long customerId,
    @Nullable String customerName,
    @Nullable Long ownerId,
    Group box,
    Turn turn,
    Instant since,
    @Nullable Instant dueAt,
    Instant sortAt,
    boolean finishedUnanswered,
    boolean toIdentify,
    Instant lastAt,
    String lastWords,
    SpokeLast lastSpeaker,
    boolean failed,
    long version) {

  /** How much of the last text a row keeps, in UTF-16 units. */
  private static final int BEGINNING = 200;

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
