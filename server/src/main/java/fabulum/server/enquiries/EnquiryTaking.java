package fabulum.server.enquiries;

import fabulum.core.agreement.Ground;
import fabulum.core.agreement.TextKind;
import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.enquiry.FilledForm;
import fabulum.core.enquiry.FormPurpose;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.enquiries.store.EnquiryMapper;
import fabulum.server.enquiries.store.EnquiryRow;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Arrivals;
import fabulum.server.sending.Agreements;
import fabulum.server.sending.Agreements.Noted;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Takes an enquiry in, within the transaction that decided so. */
@Component
class EnquiryTaking {
  /** What is kept of a wording with the agreement; all of it stays with the enquiry. */
  private static final int WORDING = 400;

  private final EnquiryMapper rows;
  private final Arrivals arrivals;
  private final Agreements agreements;
  private final Customers customers;
  private final Conversations conversations;
  private final Bookkeeping books;

  EnquiryTaking(
      EnquiryMapper rows,
      Arrivals arrivals,
      Agreements agreements,
      Customers customers,
      Conversations conversations,
      Bookkeeping books) {
    this.rows = rows;
    this.arrivals = arrivals;
    this.agreements = agreements;
    this.customers = customers;
    this.conversations = conversations;
    this.books = books;
  }

  /** Holds a number until the end of the transaction. */
  void hold(PhoneNumber number) {
    agreements.hold(customers.numberOf(number));
  }

  /**
   * It becomes the customer's line in their conversation; what they agreed to is noted.
   *
   * @param confirmed whether the number is theirs for sure
   */
  void take(EnquiryRow row, FormView form, boolean confirmed) {
    PhoneNumber from = new PhoneNumber(row.number());
    LineId line = new LineId(row.lineId());
    NumberId number = customers.numberOf(from);
    agreements.hold(number);
    Instant now = books.now();
    ConversationId id =
        form.asks() == FormPurpose.ENQUIRY
            ? arrivals
                .receiveEnquiry(text(row, line, from, now, confirmed), form.name())
                .orElseGet(() -> conversations.open(line, Participants.of(from)))
            : agreed(line, from, form);
    if (confirmed) {
      // Somebody else's number must not be agreed for.
      agreements.note(
          number,
          new Noted(true, Set.of(TextKind.SERVICE), Ground.FORM, null, cut(row)),
          line,
          null);
    }
    rows.setTaken(row.id(), now, id.value());
  }

  private static ReceivedText text(
      EnquiryRow row, LineId line, PhoneNumber from, Instant now, boolean confirmed) {
    return new ReceivedText(
        "enquiry-" + row.reference(),
        line,
        from,
        Participants.of(from),
        new FilledForm(row.name(), row.number(), row.words(), true).line(),
        Arrival.of(now, now),
        List.of(),
        confirmed);
  }

  private ConversationId agreed(LineId line, PhoneNumber from, FormView form) {
    ConversationId id = conversations.open(line, Participants.of(from));
    long event = books.event(books.row(id), EventKind.WEB_AGREEMENT, null, form.name());
    books.changed(id.value(), List.of(event));
    return id;
  }

  private static String cut(EnquiryRow row) {
    String said = "By a form from " + row.cameFrom() + ": " + row.wording();
    return said.length() <= WORDING ? said : said.substring(0, WORDING - 1) + "…";
  }
}
