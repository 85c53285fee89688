package fabulum.server.clientele;

import fabulum.core.identify.WhoWrote;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.store.ClienteleMapper;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.Sights;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which entries belong to a customer: those of every number while it was theirs. */
@Component
public class WhoseEntries {
  private final ClienteleMapper rows;
  private final InSight inSight;
  private final Holdings holdings;
  private final Sights sights;

  WhoseEntries(ClienteleMapper rows, InSight inSight, Holdings holdings, Sights sights) {
    this.rows = rows;
    this.inSight = inSight;
    this.holdings = holdings;
    this.sights = sights;
  }

  /** What is a customer's, as far as someone sees it. */
  public Theirs of(CustomerId customer, StaffId asking) {
    Map<Long, WhoWrote> numbers = new HashMap<>();
    holdings
        .of(customer)
        .forEach(one ->
            numbers.computeIfAbsent(one.numberId(), id -> holdings.whoWrote(new NumberId(id))));
    return new Theirs(customer, numbers, conversations(numbers.keySet(), asking));
  }

  private Map<Long, Conversation> conversations(Set<Long> numbers, StaffId asking) {
    Map<Long, Conversation> seen = new HashMap<>();
    if (!numbers.isEmpty()) {
      List<ConversationId> ids =
          rows.listConversations(List.copyOf(numbers), SightColumns.of(sights.of(asking))).stream()
              .map(ConversationId::new)
              .toList();
      inSight.list(ids, asking).forEach(one -> seen.put(one.id(), one));
    }
    return seen;
  }
}
