package fabulum.server.inbox;

import fabulum.core.conversation.Group;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.inbox.store.InboxMapper;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What else is said with the same people, on any line and from any of their numbers. */
@Service
public class Elsewhere {
  private static final int MOST = 100;

  private final InboxMapper conversations;
  private final Customers customers;
  private final InSight inSight;
  private final Inbox inbox;

  Elsewhere(InboxMapper conversations, Customers customers, InSight inSight, Inbox inbox) {
    this.conversations = conversations;
    this.customers = customers;
    this.inSight = inSight;
    this.inbox = inbox;
  }

  /**
   * The other conversations with the customer of a conversation, or while that is not known with
   * its number, as far as someone sees them; the one with the newest text first.
   */
  public List<ConversationView> of(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    Stream<NumberId> held =
        row.customerId() == null
            ? Stream.of()
            : customers.numbersOf(new CustomerId(row.customerId())).stream();
    List<Long> numbers =
        Stream.concat(Stream.of(row.numberId()), held.map(NumberId::value)).distinct().toList();
    List<ConversationId> others =
        conversations.listOfNumbers(numbers, MOST).stream()
            .filter(other -> other != row.id())
            .map(ConversationId::new)
            .toList();
    return inbox.list(others, asking).stream()
        .filter(other -> other.group() != Group.BLANK)
        .sorted(Comparator.comparing(ConversationView::lastAt).reversed())
        .toList();
  }
}
