package fabulum.server.sending;

import fabulum.core.agreement.Agreement;
import fabulum.core.agreement.Agreement.Answer;
import fabulum.core.agreement.Ground;
import fabulum.core.agreement.StopWish;
import fabulum.core.agreement.TextKind;
import fabulum.core.hours.PossibleDates;
import fabulum.core.phone.Sender;
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
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.sending.Agreements.Noted;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Set;
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
  private final Lines lines;

  AgreementNotes(
      InSight inSight,
      Bookkeeping books,
      Customers customers,
      Agreements agreements,
      SendSetup setup,
      Lines lines) {
    this.inSight = inSight;
    this.books = books;
    this.customers = customers;
    this.agreements = agreements;
    this.setup = setup;
    this.lines = lines;
  }

  /** What the customer of a conversation allows. */
  public AgreementView of(ConversationId id, StaffId asking) {
    Conversation row = InSight.requireOneNumber(inSight.row(id, asking));
    NumberFacts number =
        customers.facts(Sender.ofAddress(row.address()), holder(row)).orElseThrow();
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
   * Says that the number of a conversation belongs to someone else than its customer, or that it is
   * right after all.
   */
  @Transactional
  public void markNumber(ConversationId id, boolean wrong, StaffId by) {
    Conversation row = InSight.requireOneNumber(inSight.lock(id, by));
    NumberId number = new NumberId(row.numberId());
    if (wrong) {
      customers.markWrong(number, holder(row));
    } else {
      customers.markRight(number, holder(row));
    }
    EventKind kind = wrong ? EventKind.NUMBER_WRONG : EventKind.NUMBER_RIGHT;
    books.changed(row.id(), List.of(books.event(row, kind, by, null)));
  }

  private static @Nullable CustomerId holder(Conversation row) {
    return row.customerId() == null ? null : new CustomerId(row.customerId());
  }

  /**
   * What a customer said to a member of staff.
   *
   * @param given whether they agreed, or want no more texts
   * @param lastDay the last day on which an agreement holds; null for no end
   * @param words what they said; null for nothing
   */
  public record Said(
      boolean given, Set<TextKind> kinds, @Nullable LocalDate lastDay, @Nullable String words) {}

  private @Nullable Instant until(Said said, Conversation row) {
    if (said.lastDay() == null || !said.given()) {
      return null;
    }
    ZoneId zone = ZoneId.of(lines.get(new LineId(row.lineId())).zone());
    LocalDate today = LocalDate.ofInstant(books.now(), zone);
    if (said.lastDay().isBefore(today) || !PossibleDates.isOne(said.lastDay())) {
      throw Problem.fields(List.of(new FieldProblem("lastDay", "Choose today or a later day.")));
    }
    return said.lastDay().plusDays(1).atStartOfDay(zone).toInstant();
  }

  /**
   * Notes what a customer said. Who opted out by a keyword opts in by a keyword only: that somebody
   * agreed is kept in the history then, and changes nothing.
   */
  @Transactional
  public void note(ConversationId id, Said said, StaffId by) {
    Conversation row = InSight.requireOneNumber(inSight.lock(id, by));
    Noted noted =
        new Noted(said.given(), said.kinds(), Ground.BY_WORD, until(said, row), said.words());
    agreements.note(new NumberId(row.numberId()), noted, null, by);
    EventKind kind = noted.given() ? EventKind.OPTED_IN : EventKind.OPTED_OUT;
    boolean newsOnly = !noted.kinds().contains(TextKind.SERVICE);
    long event = books.event(row, kind, by, newsOnly ? TextKind.NEWS.name() : null);
    books.changed(row.id(), List.of(event));
  }
}
