package fabulum.server.wrongnumbers;

import fabulum.core.access.Act;
import fabulum.core.wrongnumber.WrongNumber;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.platform.Problem;
import fabulum.server.wrongnumbers.RightNumbers.Way;
import fabulum.server.wrongnumbers.store.WrongNumberMapper;
import fabulum.server.wrongnumbers.store.WrongNumberMapper.HeldRow;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to do when a number says that it is the wrong one. */
@Service
public class WrongNumbers {
  private static final int NEWEST = 20;

  private final WrongNumberMapper rows;
  private final RightNumbers right;
  private final InSight inSight;
  private final Bookkeeping books;
  private final Customers customers;
  private final Permits permits;

  WrongNumbers(
      WrongNumberMapper rows,
      RightNumbers right,
      InSight inSight,
      Bookkeeping books,
      Customers customers,
      Permits permits) {
    this.rows = rows;
    this.right = right;
    this.inSight = inSight;
    this.books = books;
    this.customers = customers;
    this.permits = permits;
  }

  /**
   * A text of ours that was not delivered, since the number was wrong.
   *
   * @param id of the text
   */
  public record HeldText(long id, String words) {}

  /**
   * What is known of a number that may be wrong.
   *
   * @param says the id of the text that says so and waits for an answer; null for none
   * @param way on which the customer can be asked for the right number; null for none
   * @param askedBy on which way they were asked; null for not asked
   * @param held texts that could not go to their wrong number and can go to this one now
   */
  public record WrongNumberView(
      @Nullable Long says,
      @Nullable String way,
      @Nullable String askedBy,
      @Nullable Instant askedAt,
      @Nullable Instant provedAt,
      List<HeldText> held) {}

  /** What is known of the number of a conversation. */
  public WrongNumberView of(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    Long customer = row.customerId();
    Long says = customer == null || row.isGroup() ? null : says(row).map(Entry::id).orElse(null);
    var asked = rows.findNewest(row.id());
    return new WrongNumberView(
        says,
        says == null || customer == null
            ? null
            : right.ways(row, new CustomerId(customer)).stream()
                .findFirst()
                .map(Way::name)
                .orElse(null),
        asked.map(WrongNumberMapper.AskRow::way).orElse(null),
        asked.map(WrongNumberMapper.AskRow::askedAt).orElse(null),
        asked.map(WrongNumberMapper.AskRow::usedAt).orElse(null),
        held(row, asking));
  }

  /** Of conversations that someone sees. */
  private List<HeldText> held(Conversation row, StaffId asking) {
    List<HeldRow> held = rows.listHeld(row.numberId());
    List<ConversationId> from =
        held.stream().map(HeldRow::conversationId).distinct().map(ConversationId::new).toList();
    Set<Long> seen =
        inSight.list(from, asking).stream().map(Conversation::id).collect(Collectors.toSet());
    return held.stream()
        .filter(one -> seen.contains(one.conversationId()))
        .map(one -> new HeldText(one.id(), one.words()))
        .toList();
  }

  private Optional<Entry> says(Conversation row) {
    if (row.state().waitingSince().isEmpty() || !rows.hasOut(row.id())) {
      return Optional.empty();
    }
    return books.listNewest(new ConversationId(row.id()), null, null, NEWEST).stream()
        .filter(entry -> entry.kind() == EntryKind.IN)
        .findFirst()
        .filter(entry -> WrongNumber.isSaidIn(String.valueOf(entry.words())));
  }

  /**
   * No more texts to the number of a conversation, and its customer is asked for the right one on
   * another way. What waits to be sent to it is held back.
   */
  @Transactional
  public void stop(ConversationId id, StaffId by) {
    Conversation row = InSight.requireOneNumber(inSight.lock(id, by));
    if (row.customerId() == null) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "It is not known any more whose number this is. Nothing was changed.");
    }
    books.changed(row.id(), stop(row, new CustomerId(row.customerId()), by));
  }

  /** The same, within a transaction that has the conversation; null for Fabulum itself. */
  List<Long> stop(Conversation row, CustomerId customer, @Nullable StaffId by) {
    customers.markWrong(new NumberId(row.numberId()), customer);
    long marked = books.event(row, EventKind.NUMBER_WRONG, by, null);
    return List.of(marked, right.ask(row, customer));
  }

  /** Whether Fabulum does this by itself. */
  public boolean isByItself(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return rows.isByItself();
  }

  /** Lets Fabulum do it by itself, or only propose it. */
  @Transactional
  public void setByItself(boolean byItself, StaffId by) {
    permits.require(by, Act.LEAD);
    rows.setByItself(byItself);
  }
}
