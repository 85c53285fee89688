package fabulum.server.messaging;

import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Conversations.Received;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.messaging.store.TextMapper;
import fabulum.server.ownership.Assignment;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one way in: a text is taken in, given an owner and told of, in one transaction. */
@Service
public class Arrivals {
  private final TextMapper texts;
  private final Conversations conversations;
  private final Assignment assignment;
  private final Bookkeeping books;

  Arrivals(
      TextMapper texts, Conversations conversations, Assignment assignment, Bookkeeping books) {
    this.texts = texts;
    this.conversations = conversations;
    this.assignment = assignment;
    this.books = books;
  }

  /**
   * Takes in a text from a customer.
   *
   * @return false when it was already here
   */
  @Transactional
  public boolean receive(ReceivedText text) {
    if (texts.existsReceived(text.networkId())) {
      return false;
    }
    Received received = conversations.receive(text);
    List<Long> touched = new ArrayList<>(received.touched());
    if (!text.when().history()) {
      touched.addAll(assignment.arrived(received.id(), received.newWait()));
    }
    books.changed(received.id().value(), touched);
    return true;
  }

  /** When the newest text the network told us of was received. */
  Optional<Instant> findLastReceived() {
    return Optional.ofNullable(texts.findLastReceived());
  }
}
