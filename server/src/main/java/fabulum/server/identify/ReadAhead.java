package fabulum.server.identify;

import fabulum.core.identify.Inquiry;
import fabulum.core.identify.Spoken;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.SightColumns;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.customers.NumberId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Looks up what texts from unknown numbers mean, and what may be answered by them, before someone
 * opens the conversation: evidence does not change under the eyes of who reads it, and nobody waits
 * for the model.
 */
@Component
class ReadAhead {
  private static final int AT_START = 200;

  private final KnownCustomers known;
  private final Bookkeeping books;
  private final Inquiries inquiries;
  private final Talk talk;
  private final Weighing weighing;
  private final Meant meant;
  private final Set<Long> changed = new LinkedHashSet<>();

  ReadAhead(
      KnownCustomers known,
      Bookkeeping books,
      Inquiries inquiries,
      Talk talk,
      Weighing weighing,
      Meant meant) {
    this.known = known;
    this.books = books;
    this.inquiries = inquiries;
    this.talk = talk;
    this.weighing = weighing;
    this.meant = meant;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    // The model itself takes seconds to load.
    meant.ahead(Set::of);
    List<Long> waiting = talk.listToIdentify(AT_START);
    synchronized (changed) {
      changed.addAll(waiting);
    }
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    if (!meant.isWithout()) {
      synchronized (changed) {
        changed.add(change.id().value());
      }
    }
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void read() {
    if (!known.isLoaded()) {
      return;
    }
    List<Long> ids;
    synchronized (changed) {
      ids = List.copyOf(changed);
      changed.clear();
    }
    ids.forEach(id -> meant.ahead(() -> words(new ConversationId(id))));
  }

  private Set<String> words(ConversationId id) {
    Conversation row = books.row(id);
    if (!row.toIdentify()) {
      return Set.of();
    }
    SightColumns sight = KnownCustomers.ALL_LINES;
    List<Spoken> said = talk.of(row.address(), known.since(row.lastAt()), sight);
    if (said.stream().allMatch(Spoken::ours)) {
      return Set.of();
    }
    Inquiry inquiry = inquiries.of(row, said, inquiries.check(row));
    return weighing.meant(
        inquiry, weighing.candidates(inquiry, new NumberId(row.numberId()), sight));
  }
}
