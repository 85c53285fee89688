package fabulum.server.conversations;

import fabulum.core.delivery.DeliveryState;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.lines.LineId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Texts of ours on their way. */
@Service
public class Deliveries {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final ApplicationEventPublisher events;

  Deliveries(
      ConversationMapper conversations, EntryMapper entries, ApplicationEventPublisher events) {
    this.conversations = conversations;
    this.entries = entries;
    this.events = events;
  }

  /**
   * What is said of a text of ours; the network's name for it and the failure where there are any.
   */
  public record Report(
      DeliveryState state,
      @Nullable String networkId,
      @Nullable String failureCode,
      @Nullable String failureReason) {}

  /** A text of ours that is to go out. */
  public record Outgoing(String reference, String words, LineId line, Sender to) {}

  /**
   * Moves a text of ours on, forward only.
   *
   * @return false when there is no such text
   */
  @Transactional
  public boolean reported(String reference, Report report) {
    EntryRow entry = entries.findByReference(reference);
    if (entry == null || entry.kind() != EntryKind.OUT) {
      return false;
    }
    // The dispatcher and several reports may speak of one text at once; here they queue up.
    conversations.lock(entry.conversationId());
    if (report.networkId() != null) {
      entries.setNetworkId(entry.id(), report.networkId());
    }
    DeliveryState before = DeliveryState.valueOf(String.valueOf(entries.getDelivery(entry.id())));
    DeliveryState after = before.after(report.state());
    if (after != before) {
      move(entry, after, report);
    }
    return true;
  }

  private void move(EntryRow entry, DeliveryState to, Report report) {
    boolean failed = to == DeliveryState.NOT_DELIVERED;
    entries.setDelivery(
        entry.id(),
        to,
        failed ? report.failureCode() : null,
        failed ? report.failureReason() : null);
    if (entries.isLastOut(entry.conversationId(), entry.id())) {
      conversations.setFailed(entry.conversationId(), failed);
    }
    conversations.nextVersion(entry.conversationId());
    events.publishEvent(ConversationChanged.of(entry.conversationId(), List.of(entry.id())));
  }

  /** The words of a text of ours that is to go out, and whence and whither. */
  public Optional<Outgoing> find(EntryId id) {
    EntryRow entry = entries.find(id.value());
    return entry == null
        ? Optional.empty()
        : conversations.find(entry.conversationId()).map(row -> outgoing(entry, row));
  }

  private static Outgoing outgoing(EntryRow entry, ConversationRow row) {
    return new Outgoing(
        String.valueOf(entry.reference()),
        String.valueOf(entry.words()),
        new LineId(row.lineId()),
        Sender.ofAddress(row.address()));
  }
}
