package fabulum.server.clientele;

import fabulum.core.identify.WhoWrote;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.customers.CustomerId;
import java.time.Instant;
import java.util.Collection;
import java.util.Map;
import java.util.OptionalLong;

/** What was said with one customer, as far as someone sees it. */
public final class Theirs {
  private final CustomerId customer;
  private final Map<Long, WhoWrote> numbers;
  private final Map<Long, Conversation> conversations;

  Theirs(CustomerId customer, Map<Long, WhoWrote> numbers, Map<Long, Conversation> conversations) {
    this.customer = customer;
    this.numbers = Map.copyOf(numbers);
    this.conversations = Map.copyOf(conversations);
  }

  /** Conversations with numbers that are or were theirs. */
  public Collection<Conversation> conversations() {
    return conversations.values();
  }

  /**
   * Whether an entry is part of their story. What is known to be another's is not theirs; what may
   * be theirs or another holder's is shown with both. Notes and events belong to whose conversation
   * it was then.
   */
  public boolean has(Entry entry) {
    Conversation said = conversations.get(entry.conversationId());
    if (said == null || said.isGroup()) {
      return said != null;
    }
    WhoWrote who = numbers.get(said.numberId());
    if (who == null) {
      return false;
    }
    OptionalLong writer =
        entry.kind() == EntryKind.IN
            ? who.of(said.id(), entry.id(), entry.at())
            : who.of(said.id(), entry.at());
    return writer.isPresent() ? writer.getAsLong() == customer.value() : isHeld(who, entry.at());
  }

  private boolean isHeld(WhoWrote who, Instant at) {
    return who.holdings().stream()
        .filter(held -> held.customer() == customer.value())
        .anyMatch(held -> held.at(at));
  }
}
