package fabulum.server.conversations;

import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.Match;
import fabulum.server.customers.NumberId;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Whose conversations are. A group belongs to no single customer; it is to identify while one of
 * its numbers is.
 */
@Component
public class Matching {
  private final ConversationMapper conversations;
  private final Holdings holdings;
  private final Bookkeeping books;

  Matching(ConversationMapper conversations, Holdings holdings, Bookkeeping books) {
    this.conversations = conversations;
    this.holdings = holdings;
    this.books = books;
  }

  Match of(List<NumberId> numbers, long conversation, boolean phone) {
    List<Match> each =
        numbers.stream().map(number -> holdings.match(number, conversation, phone)).toList();
    return each.size() == 1
        ? each.get(0)
        : new Match(null, false, each.stream().anyMatch(Match::toIdentify));
  }

  /**
   * Works out anew whose every conversation with a number is, after something changed that decides
   * it. To be used within the transaction of that change.
   *
   * @param touched entries that were added, by conversation
   */
  public void matchAgain(NumberId number, Map<Long, List<Long>> touched) {
    for (long id : conversations.listByNumber(number.value())) {
      Conversation row = books.lock(new ConversationId(id));
      List<NumberId> numbers =
          conversations.listParticipants(id).stream().map(NumberId::new).toList();
      boolean phone = Sender.ofAddress(row.address()).answerable().isPresent();
      conversations.setMatch(id, of(numbers, id, phone));
      books.changed(id, touched.getOrDefault(id, List.of()));
    }
  }
}
