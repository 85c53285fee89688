package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.Standing;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Failure;
import fabulum.core.delivery.Failure.Sending;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.lines.LineId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
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
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final GivingOutWork giving;
  private final ApplicationEventPublisher events;

  Deliveries(
      ConversationMapper conversations,
      EntryMapper entries,
      Bookkeeping books,
      Undelivered undelivered,
      GivingOutWork giving,
      ApplicationEventPublisher events) {
    this.conversations = conversations;
    this.entries = entries;
    this.books = books;
    this.undelivered = undelivered;
    this.giving = giving;
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
    ConversationRow row = books.lock(new ConversationId(entry.conversationId()));
    if (report.networkId() != null) {
      entries.setNetworkId(entry.id(), report.networkId());
    }
    EntryRow now = Objects.requireNonNull(entries.find(entry.id()));
    DeliveryState after = now.deliveryState().after(report.state());
    if (after != now.deliveryState()) {
      move(row, now, after, report);
    }
    return true;
  }

  private void move(ConversationRow row, EntryRow text, DeliveryState to, Report report) {
    boolean failed = to == DeliveryState.NOT_DELIVERED;
    entries.setDelivery(
        text.id(),
        to,
        failed ? report.failureCode() : null,
        failed ? report.failureReason() : null);
    List<Long> touched = new ArrayList<>(List.of(text.id()));
    if (failed) {
      touched.addAll(failed(row, text, report));
    } else if (text.needsHand()) {
      // It arrived after all, so nobody needs to deal with it any more.
      books.save(row, undelivered.settle(row, text.id()), books.now());
    }
    books.changed(row.id(), touched);
  }

  private List<Long> failed(ConversationRow row, EntryRow text, Report report) {
    ConversationId id = new ConversationId(row.id());
    String reason =
        Objects.requireNonNullElse(report.failureReason(), "The network gave no reason.");
    Sending sending = text.oneOfMany() ? Sending.ONE_OF_MANY : Sending.ANSWER;
    Failure failure = new Failure(sending, Optional.ofNullable(text.answeredSince()), books.now());
    List<Long> touched = new ArrayList<>();
    if (failure.needsAHand()) {
      boolean outOfSight = !(row.state().standing() instanceof Standing.Open);
      undelivered.mark(row, text, failure, reason);
      if (outOfSight) {
        touched.add(books.event(row, EventKind.BACK, null, Back.NOT_DELIVERED.name()));
      }
      touched.addAll(giving.arrived(id, false));
    }
    ConversationRow after = books.row(id);
    events.publishEvent(
        new TextNotDelivered(
            id,
            new EntryId(text.id()),
            after.ownerId(),
            after.teamId(),
            text.speakerId(),
            failure.needsAHand(),
            reason));
    return touched;
  }

  /** One of many texts that was not delivered. */
  public record Lost(long conversationId, String why) {}

  /** Which of many texts, whose references begin alike, were not delivered. */
  public List<Lost> listLost(String beginning) {
    String end = beginning.substring(0, beginning.length() - 1) + (char) (lastOf(beginning) + 1);
    return entries.listNotDelivered(beginning, end).stream()
        .map(text -> new Lost(text.conversationId(), String.valueOf(text.failureReason())))
        .toList();
  }

  private static char lastOf(String words) {
    return words.charAt(words.length() - 1);
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
