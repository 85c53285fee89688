package fabulum.server.conversations;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.phone.Sender;
import fabulum.server.lines.LineId;

/**
 * A text a customer sent.
 *
 * @param networkId the network's name for it, the same however often it is told
 * @param from one of the participants
 * @param participants everyone on the other side
 */
public record ReceivedText(
    String networkId,
    LineId line,
    Sender from,
    Participants participants,
    String words,
    Arrival when) {
  public ReceivedText {
    if (!participants.members().contains(from)) {
      throw new IllegalArgumentException("The writer of a text takes part in its conversation");
    }
  }

  /** A text of one sender to us alone. */
  public static ReceivedText of(
      String networkId, LineId line, Sender from, String words, Arrival when) {
    return new ReceivedText(networkId, line, from, Participants.of(from), words, when);
  }
}
