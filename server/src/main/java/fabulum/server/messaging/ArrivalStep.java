package fabulum.server.messaging;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.ReceivedText;
import java.util.List;
import java.util.Optional;

/**
 * Something that Fabulum does by itself when a text comes in, in the transaction that takes it in.
 * The first that has something to do with a text does it.
 */
public interface ArrivalStep {
  /** What a text asks for; empty when it is none of its business. */
  Optional<Doing> read(ReceivedText text);

  /** What is done. */
  interface Doing {
    /** Whether nobody waits for a person's answer to the text. */
    boolean isSettled();

    /**
     * Does it.
     *
     * @return the entries that this wrote into the script
     */
    List<Long> act(ConversationId id);
  }
}
