package fabulum.server.messaging;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.Standing;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Failure;
import fabulum.core.delivery.Failure.Sending;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.GroupMembers;
import fabulum.server.conversations.Undelivered;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.store.SentToRow;
import fabulum.server.messaging.store.TextMapper;
import fabulum.server.ownership.Assignment;
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
  private final TextMapper texts;
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final Assignment assignment;
  private final Customers customers;
  private final GroupMembers members;
  private final ApplicationEventPublisher events;

  Deliveries(
      TextMapper texts,
      Bookkeeping books,
      Undelivered undelivered,
      Assignment assignment,
      Customers customers,
      GroupMembers members,
      ApplicationEventPublisher events) {
    this.texts = texts;
    this.books = books;
    this.undelivered = undelivered;
    this.assignment = assignment;
    this.customers = customers;
    this.members = members;
    this.events = events;
  }

  /**
   * What is said of a text of ours; the network's name for it and the failure where there are any.
   *
   * @param to which of several numbers it is about, in E.164; null for all of them
   */
  public record Report(
      DeliveryState state,
      @Nullable String networkId,
      @Nullable String failureCode,
      @Nullable String failureReason,
      @Nullable String to) {
    /** The same of one of several numbers, in E.164. */
    Report about(String number) {
      return new Report(state, networkId, failureCode, failureReason, number);
    }
  }

  /**
   * A text of ours that is to go out.
   *
   * @param to one sender, or those of a group to whom it still waits to go
   */
  public record Outgoing(
      EntryId id, String reference, String words, LineId line, List<Sender> to, boolean group) {
    public Outgoing {
      to = List.copyOf(to);
    }
  }

  /**
   * Moves a text of ours on, forward only.
   *
   * @return false when there is no such text
   */
  @Transactional
  public boolean reported(String reference, Report report) {
    Entry entry = books.findByReference(reference).orElse(null);
    if (entry == null || entry.kind() != EntryKind.OUT) {
      return false;
    }
    // The dispatcher and several reports may speak of one text at once; here they queue up.
    Conversation row = books.lock(new ConversationId(entry.conversationId()));
    if (report.networkId() != null) {
      texts.setNetworkId(entry.id(), report.networkId());
    }
    Entry now = books.findEntry(entry.id()).orElseThrow();
    if (row.isGroup()) {
      return reportedOfGroup(row, now, report);
    }
    DeliveryState after = now.deliveryState().after(report.state());
    if (after != now.deliveryState()) {
      move(row, now, after, report);
    }
    return true;
  }

  private boolean reportedOfGroup(Conversation row, Entry text, Report report) {
    List<DeliveryState> each = new ArrayList<>();
    boolean known = false;
    boolean moved = false;
    for (SentToRow one : texts.listDeliveries(text.id())) {
      boolean about = report.to() == null || one.address().equals(report.to());
      DeliveryState state = about ? one.state().after(report.state()) : one.state();
      if (state != one.state()) {
        if (state == DeliveryState.NOT_DELIVERED) {
          failedFor(new NumberId(one.numberId()), report);
        }
        texts.setDeliveryTo(one.after(state, report.failureCode(), report.failureReason()));
        moved = true;
      }
      known |= about;
      each.add(state);
    }
    DeliveryState after = DeliveryState.overall(each);
    if (after != text.deliveryState()) {
      move(row, text, after, report);
    } else if (moved) {
      books.changed(row.id(), List.of(text.id()));
    }
    return known;
  }

  private void move(Conversation row, Entry text, DeliveryState to, Report report) {
    boolean failed = to == DeliveryState.NOT_DELIVERED;
    texts.setDelivery(
        text.id(),
        to,
        failed ? report.failureCode() : null,
        failed ? report.failureReason() : null);
    List<Long> touched = new ArrayList<>(List.of(text.id()));
    if (failed) {
      if (!row.isGroup()) {
        failedFor(new NumberId(row.numberId()), report);
      }
      touched.addAll(failed(row, text, report));
    } else if (text.needsHand()) {
      // It arrived after all, so nobody needs to deal with it any more.
      books.save(row, undelivered.settle(row, text.id()), books.now());
    }
    books.changed(row.id(), touched);
  }

  private void failedFor(NumberId number, Report report) {
    Optional.ofNullable(report.failureCode())
        .flatMap(NumberState::ofFailure)
        .ifPresent(state -> customers.failed(number, state));
  }

  /** Why a text was not delivered; of one to a group also for whom. */
  private String reason(Conversation row, Report report) {
    String why = Objects.requireNonNullElse(report.failureReason(), "The network gave no reason.");
    if (report.to() == null) {
      return why;
    }
    return members.of(new ConversationId(row.id())).stream()
        .filter(one -> one.sender().address().equals(report.to()))
        .map(one -> members.name(one) + ": " + why)
        .findFirst()
        .orElse(why);
  }

  private List<Long> failed(Conversation row, Entry text, Report report) {
    ConversationId id = new ConversationId(row.id());
    String reason = reason(row, report);
    Sending sending = text.oneOfMany() ? Sending.ONE_OF_MANY : Sending.ANSWER;
    Failure failure = new Failure(sending, Optional.ofNullable(text.answeredSince()), books.now());
    List<Long> touched = new ArrayList<>();
    if (failure.needsAHand()) {
      boolean outOfSight = !(row.state().standing() instanceof Standing.Open);
      undelivered.mark(row, text, failure, reason);
      if (outOfSight) {
        touched.add(books.event(row, EventKind.BACK, null, Back.NOT_DELIVERED.name()));
      }
      touched.addAll(assignment.arrived(id, false));
    }
    Conversation after = books.row(id);
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
    return texts.listNotDelivered(beginning, end).stream()
        .map(text -> new Lost(text.conversationId(), String.valueOf(text.failureReason())))
        .toList();
  }

  private static char lastOf(String words) {
    return words.charAt(words.length() - 1);
  }

  /** The words of a text of ours that is to go out, and whence and whither. */
  public Optional<Outgoing> find(EntryId id) {
    return books
        .findEntry(id.value())
        .flatMap(entry ->
            books
                .find(new ConversationId(entry.conversationId()))
                .map(row -> outgoing(entry, row)));
  }

  /**
   * One number of a group does not get a text that still waits.
   *
   * @return whether the text goes to others; false also where it goes to that number alone
   */
  boolean leaveOut(EntryId id, NumberId number, Report why) {
    List<SentToRow> each = texts.listDeliveries(id.value());
    boolean others =
        each.stream()
            .anyMatch(
                one -> one.numberId() != number.value() && one.state() == DeliveryState.WAITING);
    if (others) {
      String reference = String.valueOf(books.findEntry(id.value()).orElseThrow().reference());
      each.stream()
          .filter(one -> one.numberId() == number.value())
          .forEach(one -> reported(reference, why.about(one.address())));
    }
    return others;
  }

  private Outgoing outgoing(Entry entry, Conversation row) {
    List<Sender> to =
        row.isGroup()
            ? texts.listDeliveries(entry.id()).stream()
                .filter(one -> one.state() == DeliveryState.WAITING)
                .map(one -> Sender.ofAddress(one.address()))
                .toList()
            : List.of(Sender.ofAddress(row.address()));
    return new Outgoing(
        new EntryId(entry.id()),
        String.valueOf(entry.reference()),
        String.valueOf(entry.words()),
        new LineId(row.lineId()),
        to,
        row.isGroup());
  }
}
