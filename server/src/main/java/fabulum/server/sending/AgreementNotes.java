package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.Agreement.Answer;
import fabulum.core.agreement.StopWish;
import fabulum.core.agreement.TextKind;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.sending.Agreements.Noted;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a customer allows, seen and noted beside a conversation. */
@Service
public class AgreementNotes {
  /**
   * The customer's last text is searched among this many newest entries; further back it is long
   * answered.
   */
  private static final int NEWEST = 20;

  private final InSight inSight;
  private final Bookkeeping books;
  private final Customers customers;
  private final Agreements agreements;
  private final SendSetup setup;

  AgreementNotes(
      InSight inSight,
      Bookkeeping books,
      Customers customers,
      Agreements agreements,
      SendSetup setup) {
    this.inSight = inSight;
    this.books = books;
    this.customers = customers;
    this.agreements = agreements;
    this.setup = setup;
  }

  /** What the customer of a conversation allows. */
  public AgreementView of(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    NumberFacts number = customers.facts(Sender.ofAddress(row.address())).orElseThrow();
    List<NotedChange> history = agreements.history(new NumberId(number.id()));
    Agreement agreement = agreements.of(number, new LineId(row.lineId()), history);
    boolean optedOut = agreement.service().answer() == Answer.OPTED_OUT;
    return new AgreementView(
        number.state(),
        AgreementView.SaidView.of(agreement.service()),
        AgreementView.SaidView.of(agreement.news()),
        number.firstWroteAt(),
        history,
        optedOut ? null : asksToStop(row));
  }

  private @Nullable Long asksToStop(Conversation row) {
    if (row.state().waitingSince().isEmpty()) {
      return null;
    }
    return books.listNewest(new ConversationId(row.id()), null, null, NEWEST).stream()
        .filter(entry -> entry.kind() == EntryKind.IN)
        .findFirst()
        .filter(entry -> StopWish.isIn(String.valueOf(entry.words()), setup.get().languages()))
        .map(Entry::id)
        .orElse(null);
  }

  /**
   * Says that the number of a conversation belongs to someone else, or that it is right after all.
   */
  @Transactional
  public void markNumber(ConversationId id, boolean wrong, StaffId by) {
    Conversation row = inSight.lock(id, by);
    customers.setState(
        new NumberId(row.numberId()), wrong ? NumberState.MARKED_WRONG : NumberState.GOOD);
    EventKind kind = wrong ? EventKind.NUMBER_WRONG : EventKind.NUMBER_RIGHT;
    books.changed(row.id(), List.of(books.event(row, kind, by, null)));
  }

  /**
   * Notes what a customer said. Who opted out by a keyword opts in by a keyword only: that somebody
   * agreed is kept in the history then, and changes nothing.
   */
  @Transactional
  public void note(ConversationId id, Noted noted, StaffId by) {
    Conversation row = inSight.lock(id, by);
    agreements.note(new NumberId(row.numberId()), noted, null, by);
    EventKind kind = noted.given() ? EventKind.OPTED_IN : EventKind.OPTED_OUT;
    boolean newsOnly = !noted.kinds().contains(TextKind.SERVICE);
    long event = books.event(row, kind, by, newsOnly ? TextKind.NEWS.name() : null);
    books.changed(row.id(), List.of(event));
  }
}
