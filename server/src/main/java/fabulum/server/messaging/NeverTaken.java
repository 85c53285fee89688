package fabulum.server.messaging;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Deliveries.Outgoing;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.sending.Decisions;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * A text that the network never took was not delivered, and costs nothing: its parts are used by
 * nobody. To be used within the transaction that takes it out of the outbox.
 */
@Component
class NeverTaken {
  private final Deliveries deliveries;
  private final Decisions decisions;
  private final Bookkeeping books;

  NeverTaken(Deliveries deliveries, Decisions decisions, Bookkeeping books) {
    this.deliveries = deliveries;
    this.decisions = decisions;
    this.books = books;
  }

  void report(EntryId id, Report failure) {
    Outgoing text = deliveries.find(id).orElseThrow();
    deliveries.reported(text.reference(), failure);
    books.findEntry(id.value()).ifPresent(entry -> count(entry, text.line()));
    books.costsNothing(id);
  }

  private void count(Entry entry, LineId line) {
    Optional<StaffId> writer = Optional.ofNullable(entry.speakerId()).map(StaffId::new);
    int parts = entry.parts() == null ? 0 : entry.parts();
    decisions.staysHere(writer, line, new EntryId(entry.id()), entry.at(), parts);
  }
}
