package fabulum.server.ownership;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import java.util.Optional;

/** Knows who asked to get a conversation when the customer answers in it. */
public interface AnswerGoesTo {
  /**
   * Who asked for it, once: asked again after the same answer, nobody did. To be used in the
   * transaction that takes the answer in.
   */
  Optional<StaffId> take(Conversation row);
}
