package fabulum.server.conversations;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.Media;
import fabulum.core.phone.Sender;
import fabulum.server.lines.LineId;
import java.util.List;

/**
 * A text a customer sent.
 *
 * @param networkId the network's name for it, the same however often it is told
 * @param from one of the participants
 * @param participants everyone on the other side
 * @param media what came with it
 * @param isFromNumber whether it is sure that it came from that number; not so of a form on the web
 *     site whose number was not confirmed
 */
public record ReceivedText(
    String networkId,
    LineId line,
    Sender from,
    Participants participants,
    String words,
    Arrival when,
    List<Media> media,
    boolean isFromNumber) {
  public ReceivedText {
    media = List.copyOf(media);
    if (!participants.members().contains(from)) {
      throw new IllegalArgumentException("The writer of a text takes part in its conversation");
    }
  }

  /** A text that came from its number. */
  public ReceivedText(
      String networkId,
      LineId line,
      Sender from,
      Participants participants,
      String words,
      Arrival when,
      List<Media> media) {
    this(networkId, line, from, participants, words, when, media, true);
  }

  /** The same text in another conversation of its writer. */
  public ReceivedText in(Participants others) {
    return new ReceivedText(networkId, line, from, others, words, when, media, isFromNumber);
  }

  /** A text of one sender to us alone, with nothing but words. */
  public static ReceivedText of(
      String networkId, LineId line, Sender from, String words, Arrival when) {
    return new ReceivedText(networkId, line, from, Participants.of(from), words, when, List.of());
  }
}
