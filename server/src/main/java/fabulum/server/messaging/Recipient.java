package fabulum.server.messaging;

import fabulum.core.conversation.Participants;
import fabulum.server.conversations.ConversationId;
import fabulum.server.lines.LineId;

/** Where a text of ours goes. */
public sealed interface Recipient {
  /** To the other side of a conversation. */
  static Recipient in(ConversationId conversation) {
    return new InConversation(conversation);
  }

  /** From a line to a number or a group of them, in the conversation they have or in a new one. */
  static Recipient on(LineId from, Participants others) {
    return new OnLine(from, others);
  }

  /** The other side of a conversation. */
  record InConversation(ConversationId id) implements Recipient {}

  /**
   * Numbers, from a line.
   *
   * @param from the line it leaves from
   */
  record OnLine(LineId from, Participants others) implements Recipient {}
}
